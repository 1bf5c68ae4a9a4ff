import Papa from 'papaparse';
import { COMMAND, type StitchCommand, type Stitches, StitchWriter } from './stitches';

/** Stitches of a whole file: each stop’s number with its stitches, in the order of the list. */
export interface StopStitches {
  stop: number;
  stitches: Stitches;
}
export interface ListReading {
  stops: StopStitches[];
  count: number;
  problems: { line: number; column: number; text: string; message: string }[];
}

/** Lines of a stitch list beyond which it is no design for one hoop, and problems after which no more are named. */
const MAX_LIST_LINES = 500_000;
const MOST_PROBLEMS = 50;
/** No hoop reaches further than this from its centre, mm. */
const FURTHEST_MM = 1000;
const HEADING = ['stop', 'x', 'y', 'command'] as const;
const WORDS: readonly string[] = Object.keys(COMMAND);

/** Whether a text is a stitch list: its first line is the heading. */
export function isStitchList(text: string): boolean {
  return /^\uFEFF?\s*"?stop"?\s*[,;\t]\s*"?x(?: mm)?"?\s*[,;\t]\s*"?y(?: mm)?"?\s*[,;\t]\s*"?command"?\s*$/im.test(
    text.slice(0, 200).split(/\r\n|\r|\n/)[0] ?? ''
  );
}

/**
 * Reads a stitch list: CSV with the heading `stop,x,y,command`; x and y in mm from the centre of the field, y down;
 * commands `stitch`, `jump`, `trim`. It never throws: a line it does not understand is named and left out.
 *
 * @example
 * readStitchList('stop,x,y,command\n1,0,0,jump\n1,2.5,0,stitch').stops[0]?.stop // 1
 */
export function readStitchList(text: string): ListReading {
  const reading: ListReading = { stops: [], count: 0, problems: [] };
  const report = (line: number, column: number, cells: string[], message: string): void => {
    if (reading.problems.length < MOST_PROBLEMS)
      reading.problems.push({ line, column, text: cells.join(','), message });
  };
  if (!isStitchList(text)) {
    report(1, 1, [text.slice(0, 80)], 'A stitch list begins with the heading stop,x,y,command.');
    return reading;
  }
  const rows = Papa.parse<string[]>(text.replace(/^\uFEFF/, ''), {
    skipEmptyLines: false,
    preview: MAX_LIST_LINES + 1
  }).data;
  const byStop = new Map<number, StitchWriter>();
  rows.forEach((cells, at) => {
    const line = at + 1;
    if (at === 0 || cells.every((cell) => cell.trim() === '')) return;
    const [stopText = '', xText = '', yText = '', word = 'stitch'] = cells.map((cell) => cell.trim());
    const stop = Number(stopText);
    const [x, y] = [numberOf(xText), numberOf(yText)];
    if (!Number.isInteger(stop) || stop < 1 || stop > 999 || stopText === '')
      return report(line, 1, cells, `“${stopText}” is no stop number: a whole number from 1.`);
    if (x === undefined || Math.abs(x) > FURTHEST_MM)
      return report(line, 2, cells, `“${xText}” is no place in a hoop: millimetres from the centre.`);
    if (y === undefined || Math.abs(y) > FURTHEST_MM)
      return report(line, 3, cells, `“${yText}” is no place in a hoop: millimetres from the centre.`);
    const command = word === '' ? 'stitch' : word.toLowerCase();
    if (!isCommand(command))
      return report(line, 4, cells, `“${word}” is no command: write ${WORDS.join(', ')}.`);
    const writer = byStop.get(stop) ?? new StitchWriter();
    byStop.set(stop, writer);
    writer.put(x, y, command);
    reading.count++;
  });
  if (rows.length > MAX_LIST_LINES)
    report(MAX_LIST_LINES, 1, [], `Only the first ${MAX_LIST_LINES.toLocaleString('en')} lines are read.`);
  reading.stops = [...byStop]
    .sort(([a], [b]) => a - b)
    .map(([stop, writer]) => ({ stop, stitches: writer.done() }));
  return reading;
}

/**
 * Writes a stitch list as CSV, places to a hundredth of a millimetre.
 *
 * @example
 * stitchListCsv([{ stop: 1, stitches }]) // 'stop,x,y,command\r\n1,0,0,stitch\r\n1,2.5,0,stitch\r\n'
 */
export function stitchListCsv(stops: readonly StopStitches[]): string {
  const lines: string[] = [HEADING.join(',')];
  for (const { stop, stitches } of stops) {
    const { x, y, command } = stitches;
    for (let at = 0; at < x.length; at++) {
      const mm = (value: number): number => Math.round(value * 100) / 100 + 0;
      lines.push(`${stop},${mm(x[at] ?? 0)},${mm(y[at] ?? 0)},${WORDS[command[at] ?? 0] ?? 'stitch'}`);
    }
  }
  return `${lines.join('\r\n')}\r\n`;
}

function numberOf(text: string): number | undefined {
  return /^-?\d{1,5}(?:\.\d{1,6})?$/.test(text) ? Number(text) : undefined;
}

function isCommand(word: string): word is StitchCommand {
  return WORDS.includes(word);
}
