import type { ChartRow } from '$lib/core/documents/item';
import { isColourName } from './colour';
import type { Heading } from './heading';
import { readCount, readStopNumber, readThreadLength } from './numbers';

/** One line read as a row, with what was doubtful about it. */
export interface LineReading {
  row: Omit<ChartRow, 'line'>;
  doubts: string[];
}

const NO_UNIT = 'The thread length names no unit; it is read as metres.';

/**
 * Reads cells by the columns of a heading.
 *
 * @returns undefined when the number of stitches, or both name and colour, cannot be read
 */
export function readByHeading(cells: string[], heading: Heading): LineReading | undefined {
  const doubts: string[] = [];
  const cell = (field: string): string | undefined => {
    const at = heading.fields.findIndex((candidate) => candidate === field);
    return at < 0 ? undefined : cells[at]?.trim();
  };
  const stitchText = cell('stitches');
  const stitches = stitchText ? readCount(stitchText) : undefined;
  if (heading.fields.includes('stitches') && stitches === undefined) return undefined;
  const numberText = cell('number');
  const number = numberText ? readStopNumber(numberText) : undefined;
  if (numberText && number === undefined) return undefined;
  const threadText = cell('thread');
  const thread = threadText ? readThreadLength(threadText, heading.threadUnit) : undefined;
  if (threadText && !thread) doubts.push(`“${threadText}” is not a thread length, so it is left out.`);
  if (thread && !thread.unitSeen) doubts.push(NO_UNIT);
  const name = cell('name') ?? '';
  const colour = [cell('colour'), cell('code')].filter(Boolean).join(' ');
  if (name === '' && colour === '') return undefined;
  return {
    row: {
      number: number ?? null,
      name: tidy(name),
      colour: tidy(colour),
      stitches: stitches ?? null,
      threadMetres: thread?.metres ?? null
    },
    doubts
  };
}

/**
 * Reads a line without a heading from both of its ends: the stop’s number in front, thread length and
 * stitches at the back, name and colour between.
 *
 * @param cells the line’s cells; a line set with single blanks may come as one cell
 * @returns undefined when there is no stitch count with words before it
 *
 * @example
 * readByShape(['3 face white 1,500 8.10 m'])?.row.stitches // 1500
 */
export function readByShape(cells: string[]): LineReading | undefined {
  const loose = cells.length < 3;
  const parts = loose
    ? words(cells.join(' '))
    : cells.map((cell) => cell.trim()).filter((cell) => cell !== '');
  const doubts: string[] = [];

  let number: number | null = null;
  const first = parts[0];
  if (first !== undefined && parts.length > 2) {
    const found = readStopNumber(first);
    if (found !== undefined) {
      number = found;
      parts.shift();
    }
  }

  let threadMetres: number | null = null;
  const last = parts.at(-1);
  const length = last === undefined ? undefined : readThreadLength(last);
  const before = parts.at(-2);
  const countBefore = before !== undefined && readCount(before) !== undefined;
  if (length && (length.unitSeen || (countBefore && parts.length > 2))) {
    threadMetres = length.metres;
    if (!length.unitSeen) doubts.push(NO_UNIT);
    parts.pop();
  }

  const countText = parts.pop();
  const stitches = countText === undefined ? undefined : readCount(countText);
  if (stitches === undefined || parts.length === 0) return undefined;
  if (!parts.some((part) => /\p{L}/u.test(part))) return undefined;

  const { name, colour } = loose ? splitWords(parts) : splitTexts(parts);
  return { row: { number, name: tidy(name), colour: tidy(colour), stitches, threadMetres }, doubts };
}

/** Marks left over between the words of a line, as the dash of "Placement - 120". */
function tidy(text: string): string {
  return text.replace(/^[\s\-–:,;.]+|[\s\-–:,;]+$/g, '');
}

/** Words of a line set with single blanks; a number keeps its unit and its thousands. */
function words(line: string): string[] {
  return (
    line
      .trim()
      .replace(
        /^((?:stop|step|no\.?|colou?r)\s+#?\d{1,3}[.):]?)\s/i,
        (_, head: string) => `${head.replace(/\s+/g, '')} `
      )
      .replace(/(\d)\s+(m|cm|mm|in|ft|sts?|stitches)\b\.?/gi, '$1$2')
      // "1 500" is one count; "800 190in" is a count and a length.
      .replace(/(\s\d{1,3})[ \u00a0\u202f](\d{3})(?=\s|$|st)/g, '$1$2')
      .split(/\s+/)
  );
}

/** With single blanks only colour words tell where the name ends; a lone colour word stays the colour. */
function splitWords(parts: string[]): { name: string; colour: string } {
  let from = parts.length;
  while (from > 0 && isColourName(parts.slice(from - 1).join(' '))) from--;
  return { name: parts.slice(0, from).join(' '), colour: parts.slice(from).join(' ') };
}

/** With cells, the first text names the stop and the second its colour, unless only the first is a colour. */
function splitTexts(parts: string[]): { name: string; colour: string } {
  const [first = '', second, ...rest] = parts;
  if (second === undefined)
    return isColourName(first) ? { name: '', colour: first } : { name: first, colour: '' };
  if (isColourName(first) && !isColourName(second))
    return { name: [second, ...rest].join(' '), colour: first };
  return { name: first, colour: [second, ...rest].join(' ') };
}
