/**
 * Charts of every construction in layouts of our own making, text and PDF, read and put on the stops of their
 * construction. A row counts only if number, name, colour, stitches and thread length all match.
 * With `--list` every row that went wrong is printed.
 */
import { align } from '$lib/core/reading/matching';
import { type ChartReading, readChart, readPaper, type ReadRow } from '$lib/core/reading/papers';
import { readPdf } from '../../src/lib/files';
import { trueCharts, type TrueChart, type TrueRow } from './support/chartTruths';
import { PDF_LAYOUTS, UNSEEN_LAYOUTS } from './support/pdfLayouts';
import { TEXT_LAYOUTS, type Layout } from './support/textLayouts';

const list = process.argv.includes('--list');
const total = { rows: 0, read: 0, right: 0, roles: 0, placed: 0 };

for (const layout of [...TEXT_LAYOUTS, ...PDF_LAYOUTS, ...UNSEEN_LAYOUTS]) {
  const here = { rows: 0, read: 0, right: 0 };
  for (const chart of [...trueCharts(7), ...trueCharts(1912)]) {
    const reading = await read(layout, chart);
    const right = chart.rows.filter((row) => reading.rows.some((found) => isSame(found, row)));
    here.rows += chart.rows.length;
    here.read += reading.rows.length;
    here.right += right.length;
    if (list && (right.length < chart.rows.length || reading.rows.length > chart.rows.length)) {
      for (const row of chart.rows.filter((each) => !right.includes(each)))
        console.log(
          '  missed',
          chart.kind,
          row,
          reading.rows.find(({ number }) => number === row.number)
        );
      for (const row of reading.rows.filter((found) => !chart.rows.some((each) => isSame(found, each))))
        console.log('  too many', chart.kind, row);
    }
    const { matches } = align(reading.rows, chart.pattern.expected);
    for (const row of chart.rows) {
      const found = reading.rows.find(({ number }) => number === row.number);
      if (found?.role === row.role) total.roles++;
      else if (list) console.log('  role', chart.kind, row.name, row.role, found?.role);
      const keys = matches.find(({ line }) => line === found?.line)?.keys ?? [];
      if (keys.includes(row.key)) total.placed++;
      else if (list) console.log('  place', chart.kind, row.name, row.key, keys);
    }
  }
  total.rows += here.rows;
  total.read += here.read;
  total.right += here.right;
  console.log(`${layout.name}: ${here.right} of ${here.rows} rows, ${here.read - here.right} read otherwise`);
}

async function read(layout: Layout, chart: TrueChart): Promise<ChartReading> {
  const written = await layout.write(chart);
  if (typeof written === 'string') return readChart(written);
  const pdf = await readPdf(written);
  if (!pdf.ok) throw new Error(pdf.message);
  return readPaper(pdf.paper);
}

function isSame(found: ReadRow, row: TrueRow): boolean {
  return (
    found.number === row.number &&
    found.name === row.name &&
    found.colour === row.colour &&
    found.stitches === row.stitches &&
    found.threadMetres !== null &&
    // Centimetres, feet and inches are printed rounded.
    Math.abs(found.threadMetres - row.metres) <= 0.006
  );
}

const share = (part: number, whole: number): number => Number((part / whole).toFixed(4));
console.log(
  JSON.stringify({
    rows: total.rows,
    recall: share(total.right, total.rows),
    precision: share(total.right, total.read),
    roleAccuracy: share(total.roles, total.rows),
    alignment: share(total.placed, total.rows)
  })
);
