import type { Field } from './fields';
import { columnOf, type Heading } from './heading';
import type { Cell, PaperLine } from './paper';
import { BESIDE, placeOf, type RowLine } from './rows';

/** Tables with one stop a column: every line begins with a label, and one table’s lines hold as many values. */
export function turnedTables(lines: PaperLine[]): { rows: RowLine[]; unread: PaperLine[] } | undefined {
  const bands: TurnedLine[][] = [];
  for (const line of lines) {
    const [head, ...values] = line.cells;
    const column = head && columnOf(head.text.replace(/\s*[:=]$/, ''));
    if (!column || values.length === 0 || values.some(({ text }) => columnOf(text) !== undefined)) continue;
    const band = bands.at(-1);
    const turned = { line: line.line, at: line, ...column, values };
    // A label that comes again begins another table below the first.
    if (band && !band.some(({ field }) => field === column.field)) band.push(turned);
    else bands.push([turned]);
  }
  const whole = bands.flatMap((band) => {
    const counts = band.find(({ field }) => field === 'stitches');
    if (!counts || band.length < 2 || !counts.values.every(({ text }) => /^\d/.test(text))) return [];
    return [{ counts, same: band.filter(({ values }) => values.length === counts.values.length) }];
  });
  // Blocks of labelled lines hold one value a label; a turned table holds several.
  if (!whole.some(({ counts, same }) => counts.values.length >= 2 && same.length >= 2)) return undefined;
  const rows = whole.flatMap(({ counts, same }) => {
    const heading: Heading = {
      fields: same.map(({ field }) => field),
      threadUnit: same.find(({ unit }) => unit !== undefined)?.unit
    };
    return counts.values.map((_, column): RowLine => ({
      line: counts.line + column * BESIDE,
      lines: same.map(({ line }) => line),
      cells: same.map(({ values }) => values[column]?.text ?? ''),
      place: placeOf(same.map(({ at, values }) => ({ ...at, cells: values.slice(column, column + 1) }))),
      heading
    }));
  });
  const taken = new Set(rows.flatMap((row) => row.lines));
  return { rows, unread: lines.filter(({ line }) => !taken.has(line)) };
}

interface TurnedLine {
  line: number;
  at: PaperLine;
  field: Field;
  unit?: string;
  values: Cell[];
}
