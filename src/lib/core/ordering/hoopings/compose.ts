import type { Hoop } from '$lib/core/documents/shop';
import { borderRepeats, cornerHoopings } from '$lib/core/ordering/copies';
import { machineSeconds } from '$lib/core/solvers/schedule';
import type { LineContext, StationOf } from './lineContext';

/** A hooping before anything is decided of when and where. */
export interface ComposedHooping {
  lineId: string;
  stage: number;
  copies: number;
  hoopId: string;
  /** Index of the hooping of the same cloth that comes before it, where one cloth is hooped again and again. */
  follows: number | null;
  /** Copies of other lines that are stitched after them in the same clamping; none where missing. */
  and?: readonly { lineId: string; copies: number }[];
}

/** How copies are shared out over hoopings. */
export const COMPOSITIONS = ['full', 'even', 'shared', 'rounds'] as const;
export type Composition = (typeof COMPOSITIONS)[number];

/** Full rounds of one machine, by its place among the machines; what is left goes to the others. */
export interface Rounds {
  station: number;
  count: number;
}

export interface ComposeInput {
  context: LineContext;
  stage: number;
  copies: number;
  hoop: Hoop;
  /** Every hoop of the shop, for what is left over. */
  hoops: readonly Hoop[];
  stations: readonly StationOf[];
}

/**
 * Shares the copies of one stage out over hoopings: every hoop full and what is left in the smallest that takes it; all
 * about equally full; or shared over the machines by how fast they are, so that they end together.
 *
 * @example
 * compose('full', 38 patches, six to a hoop).map(({ copies }) => copies) // [6, 6, 6, 6, 6, 6, 2]
 */
export function compose(how: Composition, input: ComposeInput): ComposedHooping[] {
  const { context, copies } = input;
  if (copies <= 0) return [];
  if (context.line.repeats) return repeated(input);
  const usable = usableStations(input);
  const room = Math.max(0, ...usable.map(({ room: each }) => each));
  if (room === 0) return [];
  if (how === 'shared' && usable.length > 1) return shared(input, usable);
  if (how === 'full') return full(input, room);
  return split(copies, room).map((each) => hooping(input, each));
}

/**
 * So many full rounds on one machine, what is left on the others, in hoopings about equally full: a machine that would stand
 * idle is tried with every part it can take.
 *
 * @returns none where the machine cannot fill so many, or nothing is left for another
 *
 * @example
 * inRounds(25 copies, { station: 0, count: 1 }).map(({ copies }) => copies) // [18, 4, 3], three heads and one, six to a hoop
 */
export function inRounds(input: ComposeInput, { station, count }: Rounds): ComposedHooping[] {
  const { copies, stations, context } = input;
  if (copies <= 0 || context.line.repeats) return [];
  const usable = usableStations(input);
  const own = usable.find((each) => each.station === stations[station]);
  const others = usable.filter((each) => each !== own);
  if (!own || others.length === 0) return [];
  const rest = copies - count * own.room;
  if (count < 1 || rest <= 0) return [];
  return [
    ...Array.from({ length: count }, () => hooping(input, own.room)),
    ...split(rest, Math.max(...others.map(({ room }) => room))).map((each) => hooping(input, each))
  ];
}

/** The most full rounds a machine could take of some copies, leaving work for another. */
export function mostRounds(input: ComposeInput, station: number): number {
  const own = usableStations(input).find((each) => each.station === input.stations[station]);
  return own ? Math.floor((input.copies - 1) / own.room) : 0;
}

interface Usable {
  station: StationOf;
  /** Copies it takes in one go, all heads together. */
  room: number;
}

function usableStations({ context, stage, hoop, stations }: ComposeInput): Usable[] {
  return stations.flatMap((station): Usable[] => {
    const own = context.stagesOf(station.machine, hoop)[stage];
    if (!own || !context.allowed(station.machine)) return [];
    const room = context.capacity(own, station.machine, hoop) * station.heads;
    return room > 0 ? [{ station, room }] : [];
  });
}

const hooping = (
  { context, stage, hoop }: ComposeInput,
  copies: number,
  hoopId = hoop.id
): ComposedHooping => ({
  lineId: context.line.id,
  stage,
  copies,
  hoopId,
  follows: null
});

function full(input: ComposeInput, room: number): ComposedHooping[] {
  const { copies } = input;
  const found = Array.from({ length: Math.floor(copies / room) }, () => hooping(input, room));
  const rest = copies % room;
  if (rest > 0) found.push(hooping(input, rest, smallestFor(input, rest).id));
  return found;
}

/** The smallest hoop that takes what is left over on a machine that takes it; the hoop itself where none is smaller. */
function smallestFor(input: ComposeInput, rest: number): Hoop {
  const { hoop, hoops, context } = input;
  if (context.line.hoopId) return hoop;
  const area = ({ ring }: Hoop): number => ring.width * ring.height;
  return (
    hoops
      .filter((each) => area(each) < area(hoop))
      .filter((each) => usableStations({ ...input, hoop: each }).some(({ room }) => room >= rest))
      .sort((a, b) => area(a) - area(b))[0] ?? hoop
  );
}

/** A number in as few parts as a limit allows, as equal as can be. */
export function split(count: number, limit: number): number[] {
  return shareOver(count, Math.ceil(count / limit));
}

/**
 * A number in so many parts, as equal as can be.
 *
 * @example
 * shareOver(20, 6) // [4, 4, 3, 3, 3, 3]
 */
export function shareOver(count: number, parts: number): number[] {
  return Array.from({ length: parts }, (_, at) => Math.floor(count / parts) + (at < count % parts ? 1 : 0));
}

/** Copies for each machine by its speed, the remainders where they are largest; then each machine’s hoopings as equal as can be. */
function shared(input: ComposeInput, usable: readonly Usable[]): ComposedHooping[] {
  const { context, stage, copies, hoop } = input;
  const rates = usable.map(({ station, room }) => {
    const one = context.timesOn(stage, Math.min(room, copies), station, hoop);
    const seconds = one ? machineSeconds(one) : Infinity;
    return Math.min(room, copies) / Math.max(1, seconds);
  });
  const all = rates.reduce((sum, rate) => sum + rate, 0);
  const exact = rates.map((rate) => (copies * rate) / all);
  const shares = exact.map(Math.floor);
  const left = copies - shares.reduce((sum, share) => sum + share, 0);
  exact
    .map((share, at) => ({ at, part: share - Math.floor(share) }))
    .sort((a, b) => b.part - a.part || a.at - b.at)
    .slice(0, left)
    .forEach(({ at }) => (shares[at] = (shares[at] ?? 0) + 1));
  return shares.flatMap((share, at) =>
    share > 0 ? split(share, usable[at]?.room ?? 1).map((each) => hooping(input, each)) : []
  );
}

/** Hoopings of borders and corners: each cloth goes through its own, one after another. */
function repeated(input: ComposeInput): ComposedHooping[] {
  const { context, stage, copies, hoop, stations } = input;
  const { repeats } = context.line;
  const machine = usableStations(input)[0]?.station.machine ?? stations[0]?.machine;
  const own = machine && context.stagesOf(machine, hoop)[stage];
  if (!repeats || !machine || !own) return [];
  const sizes = sizesOf();
  const found: ComposedHooping[] = [];
  for (let cloth = 0; cloth < copies; cloth++)
    sizes.forEach((size, at) =>
      found.push({ ...hooping(input, size), follows: at === 0 ? null : found.length - 1 })
    );
  return found;

  function sizesOf(): number[] {
    if (!repeats || !machine || !own) return [];
    if (repeats.of === 'corners')
      return cornerHoopings(
        repeats.corners,
        context.layoutOf(own, machine, hoop, repeats.corners).placements
      ).map(({ length }) => length);
    const { width, height } = context.outlineOf(own, machine, hoop);
    const border = borderRepeats(
      repeats.length,
      Math.max(width, height),
      context.areaOf(machine, hoop),
      repeats.sides
    );
    if (!border) return [];
    const onSide = border.repeats / repeats.sides;
    const side = Array.from({ length: Math.ceil(onSide / border.perHooping) }, (_, at) =>
      Math.min(border.perHooping, onSide - at * border.perHooping)
    );
    return Array.from({ length: repeats.sides }, () => side).flat();
  }
}
