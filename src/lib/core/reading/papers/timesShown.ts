import type { ChartRow } from '$lib/core/documents/item';
import { guessRole, isColourName } from '$lib/core/reading/evidence';
import type { PaperLine } from '$lib/core/reading/pages';

/** A row of what a machine shows: a colour or a name, with the minutes of its stop or with nothing. */
export type ShownRow = ChartRow & { lines: number[]; seconds?: number };

/** A number, words, and a time or nothing: “1  Brown  4 min”, “2. Black 1:30”, “3 Brown”. */
const SHOWN =
  /^\s*(?:(?<number>\d{1,3})\s*[.):]?\s+)?(?<words>\p{L}[^\d]*?)(?:[\s:–-]+(?:(?<minutes>\d{1,3})\s*min(?:utes?|\.)?|(?<clock>\d{1,2}:\d{2}(?::\d{2})?)|(?<seconds>\d{1,3})\s*s(?:ec(?:onds?|\.)?)?))?\s*$/iu;

/** Fewer rows than this are no list. */
const FEW = 2;
/** So many of them must be colours, or work of the needle, that the others may have any name. */
const KNOWN = 0.5;

/**
 * The list of colours that a machine shows, with minutes or without, where nothing else on a paper is a chart: most rows are
 * colours or work of the needle, and numbers, where there are any, count from 1.
 *
 * @returns none where the lines are something else
 *
 * @example
 * timesShown(linesOfText(['1 Brown 4 min', '2 Black 1:30']))[1]?.seconds // 90
 */
export function timesShown(lines: readonly PaperLine[]): ShownRow[] {
  const rows = lines.flatMap(({ line, text }): ShownRow[] => {
    const found = SHOWN.exec(text)?.groups;
    const words = found?.['words']?.trim();
    if (!found || !words) return [];
    const seconds = secondsOf(found);
    const colour = isColourName(words);
    // Without a time it must be a colour and have its number.
    if (seconds === null && !colour) return [];
    if (seconds === null && found['number'] === undefined) return [];
    return [
      {
        line,
        lines: [line],
        number: found['number'] === undefined ? null : Number(found['number']),
        name: colour ? '' : words,
        colour: colour ? words : '',
        stitches: null,
        threadMetres: null,
        ...(seconds !== null && { seconds })
      }
    ];
  });
  const numbers = rows.map(({ number }, at) => number ?? at + 1);
  const counts = numbers.every((number, at) => number === at + 1);
  // A time here and none there is a sentence, not a list.
  const alike = new Set(rows.map(({ seconds }) => seconds !== undefined)).size === 1;
  const known = rows.filter(({ name }) => name === '' || guessRole(name, null, 0).role !== 'decoration');
  if (rows.length < FEW || !counts || !alike || known.length < KNOWN * rows.length) return [];
  return rows.map((row, at) => ({ ...row, number: at + 1 }));
}

function secondsOf(found: Record<string, string | undefined>): number | null {
  if (found['minutes'] !== undefined) return Number(found['minutes']) * 60;
  if (found['seconds'] !== undefined) return Number(found['seconds']);
  const parts = found['clock']?.split(':').map(Number);
  return parts ? parts.reduce((sum, part) => sum * 60 + part, 0) : null;
}
