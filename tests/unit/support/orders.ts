import { shapePath } from '$lib/core/base/geometry';
import { Item } from '$lib/core/documents/item';
import { newLine, Order, type OrderLine } from '$lib/core/documents/order';
import { defaultShop, type Hoop, type Machine, type Shop } from '$lib/core/documents/shop';
import type { BatchInput } from '$lib/core/ordering/day';

const NOW = '2026-11-25T10:00:00.000Z';

/** A patch of one colour, 60 mm square, 21,000 stitches: the worked case. */
export function plainPatch(more: Partial<{ id: string; stitches: number; wash: boolean }> = {}): Item {
  const { id = 'patch', stitches = 21_000, wash = false } = more;
  const hand = (key: string, op: object): object => ({ id: key, hoopingId: 'h', kind: 'hand', op });
  return Item.parse({
    schema: 'jolt-step/item',
    version: 1,
    id,
    name: `Plain ${id}`,
    createdAt: NOW,
    updatedAt: NOW,
    threads: [{ id: 'red', name: 'Signal red', colour: '#bb2222' }],
    variants: [
      {
        id: 'v',
        name: 'As drawn',
        shape: 'rectangle',
        size: { width: 60, height: 60 },
        finished: { width: 60, height: 60 },
        edge: 'none'
      }
    ],
    hoopings: [{ id: 'h', name: 'Hooping', hooped: ['ground'] }],
    files: [
      {
        id: 'f',
        variantId: 'v',
        name: 'patch',
        stops: [
          {
            id: 'fill',
            number: 1,
            name: 'Fill',
            role: 'decoration',
            confidence: 1,
            threadId: 'red',
            countSource: 'chart',
            phases: [{ stitches, length: 2.5 }],
            lineIds: ['edge'],
            halts: true
          }
        ]
      }
    ],
    lines: [{ id: 'edge', name: 'Edge', frame: 'h', path: shapePath('rectangle', 60, 60) }],
    pieces: [
      {
        id: 'ground',
        name: 'GROUND',
        material: { kind: 'felt', name: 'Felt', colour: '#334455' },
        use: 'hooped',
        covers: null,
        shows: 'front'
      }
    ],
    steps: [
      hand('hoop', { do: 'hoop', pieceIds: ['ground'] }),
      hand('on', { do: 'hoop-on' }),
      { id: 'fill-step', hoopingId: 'h', kind: 'stop', stopId: 'fill' },
      hand('off', { do: 'hoop-off' }),
      hand('unhoop', { do: 'unhoop' }),
      ...(wash
        ? [
            hand('rinse', { do: 'rinse' }),
            hand('dry', { do: 'wait', why: 'dry' }),
            hand('press', { do: 'press' })
          ]
        : [hand('cut', { do: 'cut-out', lineId: 'edge', margin: 0 })])
    ]
  });
}

/** A hoop that takes six patches of 60 mm with a gap of 20: two across, three down. */
export const SIX: Hoop = {
  id: 'six',
  name: 'Six hoop',
  field: { width: 140, height: 220 },
  ring: { width: 190, height: 270 },
  capSpm: null,
  count: 8
};

/** A machine that really stitches 800 a minute. */
export const machine = (id: string, more: Partial<Machine> = {}): Machine => ({
  ...{
    id,
    name: `Machine ${id}`,
    needles: 6,
    heads: 1,
    setSpm: 800,
    maxSpm: 2000,
    paceSpm: 800,
    trimmer: false
  },
  ...more
});

export function shopOf(machines: Machine[], hoops: Hoop[] = [SIX]): Shop {
  return { ...defaultShop('shop'), machines, hoops };
}

/** An order for some lines, a bench that is always open unless it says otherwise. */
export function orderOf(lines: OrderLine[], more: Partial<Order> = {}): Order {
  return Order.parse({
    ...{ schema: 'jolt-step/order', version: 1, id: 'order', name: 'Stall', createdAt: NOW, updatedAt: NOW },
    ...{ from: '2026-11-27T09:00', spoilage: 0, lines },
    bench: { from: 0, to: 1440, breaks: [], days: [0, 1, 2, 3, 4, 5, 6] },
    ...more
  });
}

/** So many plain patches in a shop. */
export function patches(count: number, shop: Shop, more: Partial<Order> = {}): BatchInput {
  return { order: orderOf([newLine('line', 'patch', count)], more), items: [{ item: plainPatch() }], shop };
}
