import type { Shop } from '$lib/core/documents/shop';
import {
  compose,
  type ComposedHooping,
  type Composition,
  COMPOSITIONS,
  inRounds,
  mostRounds,
  type Rounds,
  type StationOf
} from '$lib/core/ordering/hoopings';
import type { LinePlan } from './linePlan';
import type { HoopSharing } from './shareHoops';

/** Numbers of full rounds tried on each machine. */
const MOST_ROUNDS = 5;

/** A way to share the copies of an order out over hoopings. */
export interface WayToShare {
  composition: Composition;
  hoopings: ComposedHooping[];
}

/**
 * Every way worth trying to share copies out over hoopings and machines, each once, with what different items have left over
 * apart and in one hoop.
 */
export function sharesOf(
  lines: readonly LinePlan[],
  shop: Shop,
  stations: readonly StationOf[],
  sharing: HoopSharing
): WayToShare[] {
  const found = new Map<string, WayToShare>();
  for (const { composition, rounds } of waysToShare(lines, shop, stations)) {
    const apart = lines.flatMap((line) => hoopingsOf(composition, line, shop, stations, rounds));
    for (const hoopings of [apart, [...sharing.share(apart)]]) {
      const key = JSON.stringify(hoopings);
      if (!found.has(key)) found.set(key, { composition, hoopings });
    }
  }
  return [...found.values()];
}

/** Ways to share the copies out over the machines; what one machine would leave idle is tried on every other. */
function waysToShare(
  lines: readonly LinePlan[],
  shop: Shop,
  stations: readonly StationOf[]
): { composition: Composition; rounds?: Rounds }[] {
  const several = stations.length > 1;
  const plain = COMPOSITIONS.filter((how) => how !== 'rounds' && (how !== 'shared' || several));
  const most = (station: number): number =>
    Math.max(
      0,
      ...lines.map(({ context, hoop, copies, gone }) =>
        mostRounds(
          { context, stage: 0, hoop, hoops: shop.hoops, stations, copies: copies - (gone[0] ?? 0) },
          station
        )
      )
    );
  const rounds = several
    ? stations.flatMap((_, station) =>
        Array.from({ length: Math.min(MOST_ROUNDS, most(station)) }, (__, at) => ({
          composition: 'rounds' as const,
          rounds: { station, count: most(station) - at }
        }))
      )
    : [];
  return [...plain.map((composition) => ({ composition })), ...rounds];
}

function hoopingsOf(
  composition: Composition,
  { context, hoop, copies, gone }: LinePlan,
  { hoops }: Shop,
  stations: readonly StationOf[],
  rounds?: Rounds
): ComposedHooping[] {
  return gone.flatMap((begun, stage) => {
    const input = { context, stage, hoop, hoops, stations };
    const own = rounds ? inRounds({ ...input, copies: Math.max(0, copies - begun) }, rounds) : [];
    if (own.length > 0) return own;
    const how = composition === 'rounds' ? 'full' : composition;
    return context.line.repeats
      ? withoutFirst(compose(how, { ...input, copies }), begun)
      : compose(how, { ...input, copies: Math.max(0, copies - begun) });
  });
}

/** Hoopings of one cloth after another, without those that are through or under way. */
function withoutFirst(hoopings: readonly ComposedHooping[], begun: number): ComposedHooping[] {
  let count = 0;
  const first = hoopings.findIndex(({ copies }) => (count += copies) > begun);
  if (first < 0) return [];
  return hoopings.slice(first).map((each) => ({
    ...each,
    follows: each.follows === null || each.follows < first ? null : each.follows - first
  }));
}
