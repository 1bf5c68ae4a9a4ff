import { DEFAULT_OFFCUT_RULE } from './buying';
import { DEFAULT_HAND_TIMES } from './handTimes';
import { type Hoop, type Machine, type Setup, SETUP_VERSION, type Shop, SHOP_VERSION } from './schema';
import { BOBBIN_KINDS } from './supplies';

/** Pace of a machine nobody has measured yet, stitches a minute. */
export const DEFAULT_PACE = { single: 420, multi: 800 } as const;

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
 * The setup an item gets when nobody has chosen one: a variant, the first where none is named, on the shop’s first machine,
 * in the smallest hoop whose field takes the outline, upright or turned a quarter.
 */
export function defaultSetup(
  item: {
    id: string;
    variants: { id: string; size: Size; finished?: Size }[];
    steps?: readonly MaybeMount[];
  },
  shop: Shop,
  variantId?: string
): Setup {
  const variant = item.variants.find(({ id }) => id === variantId) ?? item.variants[0];
  const machine = shop.machines[0];
  return {
    schema: 'jolt-step/setup',
    version: SETUP_VERSION,
    itemId: item.id,
    variantId: variant?.id ?? '',
    machineId: machine?.id ?? '',
    ...hoopFor(hoopsMovedTo(shop.hoops, item.steps ?? [], variant?.finished), variant?.size),
    copies: 1,
    threads: {},
    bobbin: 'white',
    schools: {}
  };
}

/** A step of an item that may move the hoop on its mount. */
interface MaybeMount {
  readonly kind: string;
  readonly op?: object;
}

/**
 * Mounting positions that the steps of an item move the hoop to; 1 where it is not moved.
 *
 * @example
 * positionsOf(splitDesign.steps) // 2
 */
export function positionsOf(steps: readonly MaybeMount[]): number {
  return Math.max(
    1,
    ...steps.flatMap(({ op }) =>
      op && 'do' in op && op.do === 'mount' && 'position' in op ? Number(op.position) : []
    )
  );
}

/**
 * Hoops that hold what is stitched at several mounting positions: its whole in the ring, and so many positions where hoops are said
 * to have them. All of them where the hoop is not moved, or none would do.
 *
 * @param whole size of both halves together, mm
 *
 * @example
 * hoopsMovedTo([small, moved], splitDesign.steps, { width: 84, height: 154 }) // [moved]
 */
export function hoopsMovedTo(
  hoops: readonly Hoop[],
  steps: readonly MaybeMount[],
  whole: Size | undefined
): readonly Hoop[] {
  const positions = positionsOf(steps);
  if (positions === 1) return hoops;
  const holding = whole ? hoops.filter((hoop) => fitIn({ ...hoop, field: hoop.ring }, whole)) : hoops;
  const able = holding.filter((hoop) => (hoop.positions ?? 1) >= positions);
  return [able, holding, hoops].find((some) => some.length > 0) ?? hoops;
}

interface Size {
  width: number;
  height: number;
}

/** A hoop that takes a size, and whether the design is turned a quarter in it. */
interface HoopFit {
  hoop: Hoop;
  turned: boolean;
}

/**
 * The hoop with the smallest field that takes a size, upright or turned a quarter.
 *
 * @param size width and height that must lie inside the field, mm
 * @returns undefined when none takes it
 *
 * @example
 * smallestFit([hoop130x180, hoop200x300], { width: 165, height: 115 }) // { hoop: hoop130x180, turned: true }
 */
export function smallestFit(hoops: readonly Hoop[], size: Size): HoopFit | undefined {
  return hoops.flatMap((hoop) => fitIn(hoop, size) ?? []).sort((a, b) => areaOf(a.hoop) - areaOf(b.hoop))[0];
}

/** How a size lies in the hoop’s field: upright where it can, else turned a quarter; undefined where it does not fit. */
export function fitIn(hoop: Hoop, { width, height }: Size): HoopFit | undefined {
  const { field } = hoop;
  if (width <= field.width && height <= field.height) return { hoop, turned: false };
  return height <= field.width && width <= field.height ? { hoop, turned: true } : undefined;
}

/** A hoop as the design sees it: lying on its side where the design is turned a quarter. */
export function asTheDesignLies<H extends Pick<Hoop, 'field' | 'ring'>>(hoop: H, turned: boolean): H {
  const onItsSide = ({ width, height }: Size): Size => ({ width: height, height: width });
  return turned ? { ...hoop, field: onItsSide(hoop.field), ring: onItsSide(hoop.ring) } : hoop;
}

/** The hoop proposed for a size, as a setup names it; the largest where none takes it. */
export function hoopFor(hoops: readonly Hoop[], size: Size | undefined): Pick<Setup, 'hoopId' | 'turned'> {
  const fit = size && smallestFit(hoops, size);
  const hoop = fit?.hoop ?? [...hoops].sort((a, b) => areaOf(b) - areaOf(a))[0];
  return { hoopId: hoop?.id ?? '', turned: fit?.turned === true };
}

/** A setup for another variant of its item: the hoop is proposed anew for its size. */
export function inVariant(
  setup: Setup,
  { variants, steps = [] }: Pick<Parameters<typeof defaultSetup>[0], 'variants' | 'steps'>,
  hoops: readonly Hoop[],
  variantId: string
): Setup {
  const variant = variants.find(({ id }) => id === variantId);
  return {
    ...setup,
    variantId,
    ...(variant && hoopFor(hoopsMovedTo(hoops, steps, variant.finished), variant.size))
  };
}

function areaOf({ field }: Hoop): number {
  return field.width * field.height;
}
