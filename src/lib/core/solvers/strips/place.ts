import { roundTo } from '$lib/core/base/units';
import type { Column, Strip } from '$lib/core/documents/cutJob';
import type { Filled, StripTask } from './build';
import type { Cloth, ClothLayout, Score, StripLayout } from './types';

/** A rectangle that is left over, in millimetres from the corner the cuts of the cloth begin at. */
export interface Remainder {
  x: number;
  y: number;
  width: number;
  height: number;
}

/** Rows in cells to strips in millimetres. */
function stripsOf(task: StripTask, { rows }: Filled): Strip[] {
  let y = 0;
  return [...rows]
    .sort((a, b) => b.height - a.height)
    .map(({ stacks }): Strip => {
      let x = 0;
      const columns = [...stacks]
        .sort((a, b) => b.width - a.width || b.pieces.length - a.pieces.length)
        .map(({ pieces }): Column => {
          const column: Column = { x: roundTo(x, 3), width: (pieces[0]?.true ?? 0) / 1000, pieces: [] };
          let down = 0;
          for (const { at, turned } of [...pieces].sort((a, b) => b.height - a.height)) {
            const wanted = task.wanted[at];
            if (!wanted) continue;
            const standing = isStanding(column.width, wanted, turned);
            const [width, height] = standing ? [wanted.width, wanted.height] : [wanted.height, wanted.width];
            column.pieces.push({ key: wanted.key, x: column.x, y: roundTo(down, 3), width, height, turned });
            down += height;
          }
          x += column.width;
          return column;
        });
      const height = Math.max(...columns.map(depthOf));
      const strip = { y: roundTo(y, 3), height: roundTo(height, 3), columns };
      y += height;
      return strip;
    });
}

/** Whether the side along the strip is the piece’s width. */
function isStanding(
  across: number,
  { width, height }: { width: number; height: number },
  turned: boolean
): boolean {
  if (Math.abs(width - height) < 0.001) return !turned;
  return Math.abs(across - width) < 0.002;
}

function depthOf({ pieces }: Column): number {
  return pieces.reduce((sum, { height }) => sum + height, 0);
}

/** Height of cloth that strips use, mm. */
export function usedHeight(strips: readonly Strip[]): number {
  return strips.reduce((most, { y, height }) => Math.max(most, y + height), 0);
}

/** The room of a cloth as its strips see it: width across, height in the direction they follow each other. */
export function frameOf(
  cloth: Pick<Cloth, 'width' | 'height'>,
  along: boolean
): { width: number; height: number | null } {
  return along
    ? { width: cloth.height ?? 0, height: cloth.width }
    : { width: cloth.width, height: cloth.height };
}

/**
 * What is left of a cloth, each rectangle in one piece: the end of every strip, what stands over a column, and the
 * cloth beyond the last strip (for a cloth with an end).
 */
export function remaindersOf(
  strips: readonly Strip[],
  frame: { width: number; height: number | null }
): Remainder[] {
  const left = strips.flatMap(({ y, height, columns }): Remainder[] => {
    const end = columns.reduce((most, { x, width }) => Math.max(most, x + width), 0);
    return [
      { x: end, y, width: frame.width - end, height },
      ...columns.map((column) => ({
        x: column.x,
        y: y + depthOf(column),
        width: column.width,
        height: height - depthOf(column)
      }))
    ];
  });
  const used = usedHeight(strips);
  if (frame.height !== null && strips.length > 0)
    left.push({ x: 0, y: used, width: frame.width, height: frame.height - used });
  return left
    .filter(({ width, height }) => width > 0.5 && height > 0.5)
    .map(({ x, y, width, height }) => ({
      x: roundTo(x, 3),
      y: roundTo(y, 3),
      width: roundTo(width, 3),
      height: roundTo(height, 3)
    }));
}

/** Passes of the ruler: one for every strip, column and piece that does not end where the cloth, strip or column ends. */
export function cutsOf(strips: readonly Strip[], frame: { width: number; height: number | null }): number {
  let cuts = 0;
  const apart = (a: number, b: number): boolean => b - a > 0.01;
  for (const { y, height, columns } of strips) {
    if (frame.height === null || apart(y + height, frame.height)) cuts++;
    for (const column of columns) {
      if (apart(column.x + column.width, frame.width)) cuts++;
      for (const piece of column.pieces) if (apart(piece.y + piece.height, height)) cuts++;
    }
  }
  return cuts;
}

/** A whole layout, placed and judged. */
export function stripLayoutOf(
  task: StripTask,
  filled: readonly Filled[],
  left: readonly number[]
): StripLayout {
  const cloths = task.cloths.flatMap((cloth, index): ClothLayout[] => {
    const own = filled[index];
    return own && own.rows.length > 0
      ? [{ clothId: cloth.id, along: own.along, strips: stripsOf(task, own) }]
      : [];
  });
  const unplaced = new Map<string, number>();
  left.forEach((count, at) => {
    const key = task.wanted[at]?.key;
    if (count > 0 && key !== undefined) unplaced.set(key, (unplaced.get(key) ?? 0) + count);
  });
  return { cloths, unplaced, score: scoreOf(cloths, task.cloths, left) };
}

function scoreOf(layouts: readonly ClothLayout[], cloths: readonly Cloth[], left: readonly number[]): Score {
  const score: Score = {
    unplaced: left.reduce((sum, count) => sum + count, 0),
    bought: 0,
    used: 0,
    cuts: 0,
    remainder: 0
  };
  for (const { clothId, along, strips } of layouts) {
    const cloth = cloths.find(({ id }) => id === clothId);
    if (!cloth) continue;
    const frame = frameOf(cloth, along);
    const cost = cloth.whole + cloth.perMm * usedHeight(strips);
    if (cloth.bought) score.bought = roundTo(score.bought + cost, 4);
    else score.used = roundTo(score.used + cost, 4);
    score.cuts += cutsOf(strips, frame);
    for (const { width, height } of remaindersOf(strips, frame))
      score.remainder = Math.min(score.remainder, -Math.round(width * height));
  }
  return score;
}

const JUDGED = ['unplaced', 'bought', 'used', 'cuts', 'remainder'] as const;

/** Below 0 when the first score is better. */
export function compareScores(a: Score, b: Score): number {
  for (const key of JUDGED) if (Math.abs(a[key] - b[key]) > 1e-6) return a[key] - b[key];
  return 0;
}
