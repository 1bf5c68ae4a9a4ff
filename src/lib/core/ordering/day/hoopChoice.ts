import { formatDuration } from '$lib/core/base/units';
import type { Rates } from '$lib/core/documents/order';
import type { Hoop } from '$lib/core/documents/shop';
import { compose, type LineContext, type StationOf } from '$lib/core/ordering/hoopings';

/** What one hoop means for a line of an order. */
export interface HoopOption {
  hoopId: string;
  name: string;
  /** Copies in one hoop, in the hooping that takes fewest. */
  copies: number;
  hoopings: number;
  /** Middle to middle of neighbours, mm; null where they are nested. */
  pitch: { x: number; y: number } | null;
  nested: boolean;
  /** As many as rows of boxes hold. */
  inRows: number;
  /** For each copy: hands and needle, s, and hooped material, m². */
  hands: number;
  needle: number;
  stabiliser: number;
  cost: number;
  recommended: boolean;
  why: string;
}

/** Hooped material reaches this far beyond the ring on every side, mm. */
const BEYOND_RING_MM = 25;

/**
 * Every hoop that takes a line, with what it asks of hands, needle and stabiliser for each copy. The one that costs least
 * at the order’s rates is recommended.
 *
 * @param copies to be stitched
 */
export function compareHoops(
  context: LineContext,
  copies: number,
  hoops: readonly Hoop[],
  stations: readonly StationOf[],
  rates: Rates
): HoopOption[] {
  const options = hoops.flatMap((hoop) => optionOf(hoop) ?? []);
  const best = options.toSorted((a, b) => a.cost - b.cost || a.stabiliser - b.stabiliser)[0];
  return options
    .map((option) => ({
      ...option,
      recommended: option === best,
      why: best ? whyOf(option, best, options) : ''
    }))
    .sort((a, b) => a.cost - b.cost);

  function optionOf(hoop: Hoop): HoopOption | null {
    const station = stations.find(({ machine }) => {
      const stages = context.allowed(machine) ? context.stagesOf(machine, hoop) : [];
      return stages.length > 0 && stages.every((stage) => context.capacity(stage, machine, hoop) > 0);
    });
    if (!station || copies <= 0) return null;
    const { machine } = station;
    const stages = context.stagesOf(machine, hoop);
    const layouts = stages.map((stage) => context.layoutOf(stage, machine, hoop));
    const fewest = layouts.toSorted((a, b) => a.placements.length - b.placements.length)[0];
    const hoopings = stages.flatMap(({ index }) =>
      compose('full', {
        context,
        stage: index,
        copies,
        hoop,
        hoops: [],
        stations: [{ ...station, heads: 1 }]
      })
    );
    if (hoopings.length === 0 || !fewest) return null;
    const sums = { hands: 0, needle: 0, stabiliser: 0 };
    for (const { stage: at, copies: each } of hoopings) {
      const stage = stages[at];
      if (!stage) continue;
      for (const { step } of context.stepsOf(stage, { total: each, heads: 1 }, machine, hoop)) {
        sums.hands += step.hands.value / copies;
        sums.needle += step.running.value / copies;
      }
      sums.stabiliser += (hoopedPlies(at) * ringArea(hoop)) / copies;
    }
    const cost =
      (sums.hands / 3600) * rates.handsHour +
      (sums.needle / 3600) * rates.machineHour +
      sums.stabiliser * rates.clothM2;
    return {
      hoopId: hoop.id,
      name: hoop.name,
      copies: fewest.placements.length,
      hoopings: hoopings.length,
      pitch: fewest.pitch,
      nested: fewest.how === 'nested',
      inRows: fewest.inRows,
      ...sums,
      cost,
      recommended: false,
      why: ''
    };

    function hoopedPlies(at: number): number {
      const ids = stages[at]?.hoopingIds ?? [];
      const hooped = new Set(
        context.item.hoopings.filter(({ id }) => ids.includes(id)).flatMap((each) => each.hooped)
      );
      return context.item.pieces.reduce((sum, { id, plies }) => sum + (hooped.has(id) ? plies : 0), 0);
    }
  }
}

/** Material one hooping takes, m². */
function ringArea({ ring }: Hoop): number {
  return ((ring.width + 2 * BEYOND_RING_MM) * (ring.height + 2 * BEYOND_RING_MM)) / 1e6;
}

function whyOf(option: HoopOption, best: HoopOption, all: readonly HoopOption[]): string {
  const percent = (a: number, b: number): number => Math.round(((a - b) / b) * 100);
  if (option !== best) {
    const parts = [
      difference(option.hands - best.hands, 'hands'),
      difference(option.needle - best.needle, 'needle'),
      Math.abs(percent(option.stabiliser, best.stabiliser)) >= 5
        ? `${Math.abs(percent(option.stabiliser, best.stabiliser))} % ${option.stabiliser > best.stabiliser ? 'more' : 'less'} stabiliser`
        : ''
    ].filter((part) => part !== '');
    return parts.length > 0 ? `A copy takes ${parts.join(', ')}.` : 'Much the same.';
  }
  const least = (key: 'hands' | 'needle' | 'stabiliser'): boolean =>
    all.every((other) => other[key] >= option[key] * 0.999);
  const names = { hands: 'hands', needle: 'needle', stabiliser: 'stabiliser' } as const;
  const leads = (['hands', 'stabiliser', 'needle'] as const).filter(least).map((key) => names[key]);
  if (all.length === 1) return 'The only hoop it fits.';
  return leads.length > 0 ? `Least ${leads.join(', ')} for each copy.` : 'Least cost at your rates.';
}

function difference(seconds: number, kind: string): string {
  if (Math.abs(seconds) < 5) return '';
  return `${formatDuration(Math.abs(seconds))} ${seconds > 0 ? 'more' : 'less'} ${kind}`;
}
