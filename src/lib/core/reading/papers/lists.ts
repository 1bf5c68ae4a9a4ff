import type { PaperLine } from '$lib/core/reading/pages';
import { type PaperFacts, readFacts } from './facts';

/** One of several lists of stops on a paper: a size or a file of its own. */
export interface ReadList {
  /** What the paper calls it, or its place in the order. */
  name: string;
  /** The lines of its rows. */
  lines: number[];
  facts: PaperFacts;
}

interface Numbered {
  line: number;
  lines: number[];
  number: number | null;
}

/** What stands in the columns that hold no field of a stop, by row. */
type LeftOut = readonly (readonly string[])[];

/** Lines above a list that may name it. */
const NAMED_WITHIN = 4;
const LONGEST_NAME = 60;

/**
 * The lists of stops on a paper: numbers that begin again begin another size or file.
 *
 * @param rows rows in their order
 * @param rest lines that are no rows and no headings
 * @param leftOut columns that are no field: one that says the same all through each list names it
 * @returns one list for each beginning; none where there is only one
 *
 * @example
 * listsOf(rows, rest).map(({ name }) => name) // ['Small, 100 x 100', 'Large, 130 x 180']
 */
export function listsOf(
  rows: readonly Numbered[],
  rest: readonly PaperLine[],
  leftOut: LeftOut = []
): ReadList[] {
  const [first] = rows;
  if (!first || first.number === null) return [];
  const starts = rows.flatMap(({ number }, at) =>
    at === 0 || (number !== null && number === first.number && (rows[at - 1]?.number ?? 0) > number)
      ? [at]
      : []
  );
  const parts = starts.map((from, at) => rows.slice(from, starts[at + 1] ?? rows.length));
  const counts = parts.every(
    (part) =>
      part.length >= 2 &&
      part.every(({ number }, at) => at === 0 || (number ?? 0) > (part[at - 1]?.number ?? 0))
  );
  if (parts.length < 2 || !counts) return [];
  const naming = leftOut
    .map((texts) => starts.map((from, at) => [...new Set(texts.slice(from, starts[at + 1] ?? rows.length))]))
    .find(
      (groups) =>
        groups.every(([name, ...others]) => name !== undefined && name !== '' && others.length === 0) &&
        new Set(groups.flat()).size === groups.length
    );
  return parts.map((part, at) => {
    const top = Math.min(...part.flatMap(({ lines }) => lines));
    const bottom = at === 0 ? 0 : Math.max(...(parts[at - 1] ?? []).flatMap(({ lines }) => lines));
    const above = rest.filter(({ line }) => line < top && line > bottom);
    const below = rest.filter(({ line }) => line > Math.max(...part.flatMap(({ lines }) => lines)));
    const next = parts[at + 1];
    const own = next
      ? below.filter(({ line }) => line < Math.min(...next.flatMap(({ lines }) => lines)))
      : below;
    return {
      name:
        naming?.[at]?.[0]?.slice(0, LONGEST_NAME) ??
        nameAmong(above.slice(-NAMED_WITHIN)) ??
        `List ${at + 1}`,
      lines: part.map(({ line }) => line),
      facts: readFacts([...above.slice(-NAMED_WITHIN), ...own.slice(0, 1)], () => false).facts
    };
  });
}

/** The nearest line above that reads like a name: short, with words, and no heading of columns. */
function nameAmong(lines: readonly PaperLine[]): string | undefined {
  for (const { text, cells } of [...lines].reverse()) {
    const clean = text.replace(/^[\s#*=_–—-]+|[\s#*=_:–—-]+$/g, '').replace(/\s+/g, ' ');
    const isTotal = /^\W*(?:sub-?)?(?:total|sum|stops|stitches)\b/i.test(clean);
    if (
      cells.length <= 2 &&
      /\p{L}{2}|\d\s?[x×]\s?\d/u.test(clean) &&
      clean.length <= LONGEST_NAME &&
      !isTotal
    )
      return clean;
  }
  return undefined;
}
