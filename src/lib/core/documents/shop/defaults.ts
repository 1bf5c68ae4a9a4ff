import { DEFAULT_OFFCUT_RULE } from './buying';
import { DEFAULT_HAND_TIMES } from './handTimes';
import { type Hoop, type Machine, type Setup, SETUP_VERSION, type Shop, SHOP_VERSION } from './schema';
import { BOBBIN_KINDS } from './supplies';

/** Pace of a machine nobody has measured yet, stitches a minute. */
const DEFAULT_PACE = { single: 420, multi: 800 } as const;

/** What a machine really averages, or the default for its kind. */
export function paceOf(machine: Machine): number {
  return machine.paceSpm ?? (machine.needles > 1 ? DEFAULT_PACE.multi : DEFAULT_PACE.single);
}

/** A new shop: one home machine and the two hoops most people begin with. */
export function defaultShop(id: string): Shop {
  return {
    schema: 'jolt-step/shop',
    version: SHOP_VERSION,
    id,
    name: 'My workroom',
    unit: 'mm',
    rounding: '5mm',
    machines: [
      {
        id: 'machine-1',
        name: 'Home machine',
        needles: 1,
        heads: 1,
        setSpm: 600,
        maxSpm: 800,
        paceSpm: null,
        trimmer: true
      }
    ],
    hoops: [
      {
        id: 'hoop-100',
        name: 'Small hoop',
        field: { width: 100, height: 100 },
        ring: { width: 140, height: 140 },
        capSpm: null
      },
      {
        id: 'hoop-130',
        name: 'Long hoop',
        field: { width: 130, height: 180 },
        ring: { width: 175, height: 230 },
        capSpm: null
      }
    ],
    hands: { ...DEFAULT_HAND_TIMES },
    cutAccuracy: 1,
    margins: {},
    offcuts: DEFAULT_OFFCUT_RULE,
    offers: null,
    schools: {},
    bobbins: [...BOBBIN_KINDS],
    needleHours: 8
  };
}

/**
 * The setup an item gets when nobody has chosen one: its first variant on the shop’s first machine, in the
 * smallest hoop whose field takes the outline.
 */
export function defaultSetup(
  item: { id: string; variants: { id: string; size: { width: number; height: number } }[] },
  shop: Shop
): Setup {
  const variant = item.variants[0];
  const machine = shop.machines[0];
  const hoop = (variant && smallestHoop(shop.hoops, variant.size)) ?? largestHoop(shop.hoops);
  return {
    schema: 'jolt-step/setup',
    version: SETUP_VERSION,
    itemId: item.id,
    variantId: variant?.id ?? '',
    machineId: machine?.id ?? '',
    hoopId: hoop?.id ?? '',
    copies: 1,
    threads: {},
    bobbin: 'white',
    schools: {}
  };
}

/**
 * The hoop with the smallest field that takes a size as it stands.
 *
 * @param size width and height that must lie inside the field, mm
 * @returns undefined when none takes it
 */
export function smallestHoop(hoops: Hoop[], size: { width: number; height: number }): Hoop | undefined {
  return hoops
    .filter((hoop) => fitsField(hoop, size))
    .sort((a, b) => a.field.width * a.field.height - b.field.width * b.field.height)[0];
}

/** Whether a size lies inside the hoop’s field as it stands. */
export function fitsField(hoop: Hoop, size: { width: number; height: number }): boolean {
  return size.width <= hoop.field.width && size.height <= hoop.field.height;
}

function largestHoop(hoops: Hoop[]): Hoop | undefined {
  return [...hoops].sort((a, b) => b.field.width * b.field.height - a.field.width * a.field.height)[0];
}
