import type { PaperLine } from '$lib/core/reading/pages';

/** What a paper may look like once its structure is seen: records of the same columns, each with a heading or none. */
export interface Grid {
  layout: 'table' | 'turned' | 'cards' | 'sentences' | 'ragged';
  headings: string[];
  records: GridRecord[];
  /** The lines its headings stand on. */
  heads?: readonly PaperLine[];
  /** How plainly its cells are parted: wide white more than narrow; 1 where nothing is said. */
  plain?: number;
}

export interface GridRecord {
  /** One text a column; empty where the paper has none. */
  cells: string[];
  /** The parts of lines it was read from. */
  parts: PaperLine[];
}

/** A stop’s number in front of a text: `3`, `3.`, `#3`, `Stop 3:`, `03 Face`. */
export interface Numbered {
  number: number;
  /** What stands in front of the number and directly behind it, by which numbers of one kind are known. */
  shape: string;
  rest: string;
}

/**
 * The number a text begins with, if it may be that of a stop.
 *
 * @example
 * numberedStart('Stop 3: Face') // { number: 3, shape: 'stop:', rest: 'Face' }
 */
export function numberedStart(text: string): Numbered | undefined {
  const found = /^(?:(\p{L}{1,12})[.:]?\s?)?(#?)(\d{1,3})(?:\s?([.):\]/,–—-]))?(?=\s|$)\s*(.*)$/u.exec(text);
  if (!found?.[3]) return undefined;
  const [, word = '', hash = '', digits, mark = '', rest = ''] = found;
  return { number: Number(digits), shape: `${word.toLowerCase()}${hash}${mark}`, rest };
}

/** Whether a text holds a figure. */
export function hasFigure(text: string): boolean {
  return /\d/.test(text);
}

/** Joins parts of a text that ran over lines; a word broken at its dash is joined at it. */
export function joined(parts: readonly string[]): string {
  return parts.reduce(
    (text, part) => (text === '' || /\p{L}-$/u.test(text) ? text + part : `${text} ${part}`),
    ''
  );
}

/** The value that comes most often; the larger of two that come as often. */
export function mode(values: readonly number[]): number {
  const counts = new Map<number, number>();
  for (const value of values) counts.set(value, (counts.get(value) ?? 0) + 1);
  return [...counts].sort((a, b) => b[1] - a[1] || b[0] - a[0])[0]?.[0] ?? 0;
}
