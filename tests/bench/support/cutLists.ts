/** Cut lists and sheets without waste, for the bench of the cutting planner. Lengths are mm. */
import { MM_PER_INCH } from '$lib/core/base/units';
import type { Wanted } from '$lib/core/solvers/strips';
import { pick } from './random';

export interface CutCase {
  width: number;
  wanted: Wanted[];
  /** Length of cloth nobody can do without, where it is known. */
  optimum: number | null;
}

const QUARTER_INCH = MM_PER_INCH / 4;
/** Usable widths of cloth and widths of rolls, in. */
const WIDTHS = [42, 44, 54, 60, 20, 12];

/** A cut list as makers have them: 3 to 10 sizes, 1 to 8 of each, three in four free to lie either way. */
export function cutList(random: () => number): CutCase {
  const width = pick(random, WIDTHS) * 4;
  const sizes = 3 + Math.floor(random() * 8);
  const side = (): number => Math.round(6 + random() * random() * (Math.min(width, 120) - 6));
  const wanted = Array.from({ length: sizes }, (_, at): Wanted => ({
    key: `piece-${at}`,
    width: side(),
    height: side(),
    count: 1 + Math.floor(random() * 8),
    turn: random() < 0.75
  }));
  return inMillimetres({ width, wanted, optimum: null });
}

/** A sheet cut up by straight cuts, three levels at most, the first across: all of it is wanted, so its length is the optimum. */
export function zeroWaste(random: () => number): CutCase {
  const width = pick(random, WIDTHS) * 4;
  const counts = new Map<string, Wanted>();
  let optimum = 0;
  for (let strips = 1 + Math.floor(random() * 4); strips > 0; strips--) {
    const height = 12 + Math.floor(random() * 40);
    optimum += height;
    for (const across of cutUp(width, 12, random))
      for (const down of random() < 0.5 ? [height] : cutUp(height, 8, random)) add(across, down);
  }
  return inMillimetres({ width, wanted: [...counts.values()], optimum });

  function add(across: number, down: number): void {
    const key = `${across}x${down}`;
    const same = counts.get(key);
    if (same) same.count++;
    else counts.set(key, { key, width: across, height: down, count: 1, turn: random() < 0.5 });
  }
}

/** A length in parts of `least` or more, now and then several alike. */
function cutUp(length: number, least: number, random: () => number): number[] {
  const parts: number[] = [];
  let left = length;
  while (left >= 2 * least) {
    const part = least + Math.floor(random() * Math.min(left - 2 * least, length / 3));
    for (let times = random() < 0.4 ? 2 : 1; times > 0 && left - part >= least; times--) {
      parts.push(part);
      left -= part;
    }
    if (random() < 0.1) break;
  }
  return [...parts, left];
}

function inMillimetres({ width, wanted, optimum }: CutCase): CutCase {
  return {
    width: width * QUARTER_INCH,
    wanted: wanted.map((each) => ({
      ...each,
      width: each.width * QUARTER_INCH,
      height: each.height * QUARTER_INCH
    })),
    optimum: optimum === null ? null : optimum * QUARTER_INCH
  };
}
