import { roundTo } from '$lib/core/base/units';

/** A size that a machine offers, compared with the raw edge that its satin must cover. Lengths in mm. */
export interface OfferedSize {
  size: number;
  /** How far the satin reaches inside the raw edge. */
  overlap: number;
  /** How far it reaches beyond it. */
  beyond: number;
  /** What is left of the smaller of both when the cut strays as far as this maker’s does; below 0 the edge may show. */
  spare: number;
}
export interface SizeChoice {
  offered: OfferedSize[];
  /** The best of them, or null where none covers the edge. */
  take: OfferedSize | null;
  why: string;
  /** Width of satin that would do with the best of the sizes. */
  widthNeeded: number;
}

/**
 * Which of the sizes a machine can reach covers a raw edge best. A machine that sizes in steps may miss the size wanted;
 * what counts is how far its satin reaches inside and beyond the raw edge, against how exactly the maker cuts.
 *
 * @param raw size of the cut shape, from edge to edge
 * @param sizes sizes the machine offers for the middle of its satin
 * @param satinWidth width of the satin
 * @param accuracy how far a cut of this maker strays
 *
 * @example
 * chooseSize(92, [91.2, 92.7], 4, 1).take?.size // 92.7: 1.65 mm inside the edge, 2.35 mm beyond
 */
export function chooseSize(
  raw: number,
  sizes: readonly number[],
  satinWidth: number,
  accuracy: number
): SizeChoice {
  const offered = [...new Set(sizes)]
    .sort((a, b) => a - b)
    .map((size): OfferedSize => {
      // Half the difference of the sizes lies on each side.
      const off = (raw - size) / 2;
      const overlap = roundTo(satinWidth / 2 + off, 3);
      const beyond = roundTo(satinWidth / 2 - off, 3);
      return { size, overlap, beyond, spare: roundTo(Math.min(overlap, beyond) - accuracy, 3) };
    });
  const best = [...offered].sort((a, b) => b.spare - a.spare || b.overlap - a.overlap)[0];
  if (!best)
    return { offered, take: null, why: 'Name the sizes that the machine offers.', widthNeeded: satinWidth };
  const widthNeeded = Math.ceil((satinWidth + Math.max(0, -2 * best.spare)) * 10 - 1e-6) / 10;
  const mm = (value: number): string => `${roundTo(value, 2)} mm`;
  if (best.spare < 0) {
    return {
      offered,
      take: null,
      widthNeeded,
      why: `None covers the raw edge safely: at ${mm(best.size)} the satin reaches ${mm(best.overlap)} inside the edge and ${mm(best.beyond)} beyond, and your cuts stray by ${mm(accuracy)}. Take satin ${mm(widthNeeded)} wide, or another shape. Test it first.`
    };
  }
  return {
    offered,
    take: best,
    widthNeeded,
    why: `Take ${mm(best.size)}: the satin reaches ${mm(best.overlap)} inside the raw edge and ${mm(best.beyond)} beyond; with cuts that stray by ${mm(accuracy)} there are ${mm(best.spare)} to spare.`
  };
}

/**
 * Reads the sizes a maker copies from a machine, set apart by blanks, semicolons or slashes.
 *
 * @returns sizes in mm; what is no size between 1 and 1000 mm is left out
 *
 * @example
 * readSizes('91.2  92,7 mm') // [91.2, 92.7]
 */
export function readSizes(text: string): number[] {
  return text
    .split(/[;/]|,\s|\s+/)
    .map((part) => Number(part.replace(',', '.').replace(/mm$/, '')))
    .filter((size) => size > 1 && size < 1000);
}

/**
 * The sizes round a wish that a machine reaches in even steps.
 *
 * @param start a size it offers, mm
 * @param step how far two of its sizes are apart, mm
 *
 * @example
 * sizesAround(92, 90, 1.5) // [90, 91.5, 93, 94.5]
 */
export function sizesAround(wish: number, start: number, step: number): number[] {
  if (!(step > 0)) throw new RangeError('The step between two sizes is above 0 mm.');
  const below = Math.floor((wish - start) / step + 1e-9);
  return [below - 1, below, below + 1, below + 2]
    .map((at) => roundTo(start + at * step, 3))
    .filter((size) => size > 0);
}
