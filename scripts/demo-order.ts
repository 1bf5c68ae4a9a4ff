import { DEFAULT_BENCH } from '$lib/core/documents/shop';
import { DEFAULT_RATES, newLine, type Order } from '$lib/core/documents/order';

/** The stall’s order for a weekend: tabs with names, patches, and lace that dries overnight. */
export const order: Order = {
  schema: 'jolt-step/order',
  version: 1,
  id: 'gala-weekend',
  name: 'Gala weekend stall',
  customer: 'Gift stall, platform 1',
  note: '',
  createdAt: '2026-11-24T18:00:00.000Z',
  updatedAt: '2026-11-24T18:00:00.000Z',
  lines: [
    { ...newLine('line-1', 'badger-tab', 12), names: ['Ivy', 'Otto', 'Wren', 'Hugo'], price: 9.5 },
    { ...newLine('line-2', 'lamp-patch', 18), price: 12 },
    newLine('line-3', 'canopy-lace', 6)
  ],
  due: '2026-11-28T18:00',
  from: '2026-11-27T09:00',
  spoilage: 0.03,
  machineIds: [],
  people: 1,
  bench: DEFAULT_BENCH,
  rates: DEFAULT_RATES
};
