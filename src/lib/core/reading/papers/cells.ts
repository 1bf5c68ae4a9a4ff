import Papa from 'papaparse';

/** How the cells of a pasted chart are told apart. */
export type CellLayout = 'tabs' | 'commas' | 'semicolons' | 'bars' | 'aligned';

const MARKS: [CellLayout, string][] = [
  ['tabs', '\t'],
  ['semicolons', ';'],
  ['bars', '|'],
  ['commas', ',']
];

/**
 * Tells how a chart’s cells are set apart: by a mark that most of its lines hold at least twice, or by
 * blanks. A comma inside `1,500` is no mark.
 */
export function cellLayoutOf(lines: string[]): CellLayout {
  const filled = lines.filter((line) => line.trim() !== '');
  for (const [layout, mark] of MARKS) {
    const holding = filled.filter(
      (line) => line.replace(/\d,\d{3}(?!\d)|\d,\d{1,2}\s*(?:m|cm|ft|in)\b/g, '').split(mark).length > 2
    );
    if (holding.length * 2 > filled.length) return layout;
  }
  return 'aligned';
}

/**
 * Splits one line into its cells.
 *
 * @example
 * splitCells('1   placement   grey   120   0.60 m', 'aligned') // ['1', 'placement', 'grey', '120', '0.60 m']
 * splitCells('3,face,white,"1,500",8.10 m', 'commas') // ['3', 'face', 'white', '1,500', '8.10 m']
 */
export function splitCells(line: string, layout: CellLayout): string[] {
  if (layout === 'aligned') {
    return line
      .trim()
      .split(/\t|\s{2,}/)
      .filter((cell) => cell !== '');
  }
  const mark = MARKS.find(([name]) => name === layout)?.[1] ?? ',';
  const parsed = Papa.parse<string[]>(line, { delimiter: mark });
  const cells = (parsed.data[0] ?? []).map((cell) => cell.trim());
  // A table drawn with bars has an empty cell at either end.
  if (layout === 'bars') {
    if (cells[0] === '') cells.shift();
    if (cells.at(-1) === '') cells.pop();
  }
  return cells;
}
