import { seeded } from '$lib/core/base/units';
import { correctValues, type Filled, fillUp, type StripTask, taskOf } from './build';
import { takenBy } from './fillStrip';
import { cellFor } from './grid';
import { compareScores, stripLayoutOf } from './place';
import type { Cloth, StripLayout, Wanted } from './types';

export interface StripSearchOptions {
  /** The same seed gives the same layout. */
  seed?: number;
  /** How often a layout is built anew or taken apart. */
  rounds?: number;
  /** Called with each layout better than those before. */
  onBetter?: (layout: StripLayout, round: number) => void;
  /** Asked after every round; true ends the search with the best so far. */
  stop?: () => boolean;
}

/**
 * Lays pieces out on cloths by straight cuts, strips right across first. Cloths are filled in the order given; the best
 * layout has least that finds no place, then costs least, then takes fewest cuts, then leaves the largest remainder.
 *
 * Built by filling strips with a knapsack each, with sizes that end in wasteful strips rated higher the next time, and
 * then by taking strips out of the best layout and filling up again. Not exact; `npm run bench -- cutting` says how near.
 *
 * @param wanted sizes, mm
 * @param cloths what to cut from, the preferred first
 *
 * @example
 * layOut([{ key: 'a', width: 100, height: 50, count: 4, turn: false }], [cloth200wide]).cloths[0].strips.length // 2
 */
export function layOutPieces(
  wanted: readonly Wanted[],
  cloths: readonly Cloth[],
  { seed = 1, rounds = 240, onBetter, stop }: StripSearchOptions = {}
): StripLayout {
  const task = taskOf(wanted, cloths, cellFor(wanted, cloths));
  const random = seeded(seed);
  const counts = wanted.map(({ count }) => count);
  const area = task.sizes.map(({ width, height }) => width * height);
  const value = [...area];
  let best: { filled: Filled[]; layout: StripLayout } | undefined;

  for (let round = 0; round < rounds; round++) {
    // Every other round starts from the best layout; a third of the rest forgets what was learned of the sizes.
    const again = best !== undefined && round % 2 === 1;
    if (!again && round % 6 === 4) value.splice(0, value.length, ...area);
    const filled = again && best ? takenApart(best.filled, task, random) : emptied(task, random, round);
    const left = stillWanted(counts, filled);
    const noisy = value.map((each) => each * (1 + (round === 0 ? 0 : 0.08) * (random() - 0.5)));
    const skip = new Set(
      cloths.flatMap((cloth, index) => (round > 0 && !cloth.bought && random() < 0.08 ? [index] : []))
    );
    fillUp(task, filled, left, noisy, skip, random);
    // What was skipped comes last, where something would find no place otherwise.
    if (skip.size > 0 && left.some((count) => count > 0))
      fillUp(task, filled, left, noisy, new Set(), random);
    const layout = stripLayoutOf(task, filled, left);
    if (!again) correctValues(task, filled, value);
    const better = best ? compareScores(layout.score, best.layout.score) : -1;
    if (better <= 0) best = { filled, layout };
    if (better < 0) onBetter?.(layout, round);
    if (stop?.()) break;
  }
  return best?.layout ?? stripLayoutOf(task, [], counts);
}

function emptied(task: StripTask, random: () => number, round: number): Filled[] {
  return task.cloths.map((cloth) => ({ along: wayOf(cloth, round === 0 ? 1 : random()), rows: [] }));
}

/** Which way the first cuts of a cloth run; where either goes, as the chance says. */
function wayOf({ first }: Cloth, chance: number): boolean {
  return first === 'along' || (first === 'either' && chance < 0.5);
}

/** A layout without a few of its strips, or without all of those of one cloth, whose cuts may then run the other way. */
function takenApart(filled: readonly Filled[], { cloths }: StripTask, random: () => number): Filled[] {
  const rows = filled.reduce((sum, each) => sum + each.rows.length, 0);
  const share = Math.max(1.5, rows * (0.15 + 0.45 * random())) / Math.max(1, rows);
  const whole = random() < 0.25 ? Math.floor(random() * cloths.length) : -1;
  return filled.map(({ along, rows: own }, index) => {
    const cloth = cloths[index];
    if (index === whole && cloth) return { along: wayOf(cloth, random()), rows: [] };
    return { along, rows: own.filter(() => random() >= share) };
  });
}

function stillWanted(counts: readonly number[], filled: readonly Filled[]): number[] {
  const left = [...counts];
  for (const { rows } of filled)
    for (const row of rows) for (const [at, times] of takenBy(row)) left[at] = (left[at] ?? 0) - times;
  return left;
}
