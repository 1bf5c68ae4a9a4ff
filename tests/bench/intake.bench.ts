/**
 * Charts by a grammar of layouts (15 layouts, 10 charts each, three modes: named headings, nonsense for headings, none), the papers
 * that the reader’s author did not write, and charts of every construction for roles and alignment. A row counts only if number,
 * label, colour, stitches and thread length are all right. With `--list` what went wrong is printed.
 */
import { align } from '$lib/core/reading/matching';
import { type ChartReading, readChart, readPaper } from '$lib/core/reading/papers';
import { readPdf } from '../../src/lib/files';
import { type TrueChart, trueCharts } from './support/chartTruths';
import { type Mode, setChart } from './support/grammarCells';
import { GRAMMAR_LAYOUTS, HEADLESS } from './support/grammarLayouts';
import { grammarChart } from './support/grammarTruth';
import { PDF_LAYOUTS, UNSEEN_LAYOUTS } from './support/pdfLayouts';
import { seeded } from './support/random';
import { isTrueRow, readShared, sharedTruths } from './support/sharedPapers';
import { type Layout, TEXT_LAYOUTS } from './support/textLayouts';

const CHARTS = 10;
/** Roles at least this sure are held to it. */
const SURE = 0.9;
const list = process.argv.includes('--list');
const count = { rows: 0, read: 0, right: 0 };
const share = (part: number, whole: number): number => Number((part / whole).toFixed(4));

/** Share of the rows of a mode that are read wholly right. */
function recall(mode: Mode): number {
  const all = { rows: 0, right: 0 };
  const words: string[] = [];
  for (const [at, [name, write]] of Object.entries(GRAMMAR_LAYOUTS).entries()) {
    const here = { rows: 0, right: 0 };
    for (let n = 0; n < CHARTS; n++) {
      const seed = 1000 * at + 31 * n + mode.length;
      const random = seeded(seed);
      const set = setChart(grammarChart(seed), HEADLESS.includes(name) ? 'bare' : mode, random);
      const written = write(set, random);
      const { rows } = 'text' in written ? readChart(written.text) : readPaper(written.paper);
      const right = set.chart.rows.filter((row, place) => {
        const truth = { ...row, n: row.number, threadMm: set.printedMm[place] ?? null, role: null };
        return rows.some((found) => isTrueRow(found, truth));
      });
      if (list && right.length < set.chart.rows.length)
        console.log(`  ${name}, ${mode}, seed ${seed}: ${right.length} of ${set.chart.rows.length}`);
      here.rows += set.chart.rows.length;
      here.right += right.length;
      count.read += rows.length;
    }
    words.push(`${name} ${share(here.right, here.rows)}`);
    all.rows += here.rows;
    all.right += here.right;
  }
  count.rows += all.rows;
  count.right += all.right;
  console.log(`${mode}: ${words.join(' · ')}`);
  return share(all.right, all.rows);
}

/** The papers of other hands, and how many rows are read on those that are no chart. */
async function sharedRecall(): Promise<number> {
  const all = { rows: 0, right: 0, none: 0 };
  for (const [file, { isChart, rows = [] }] of sharedTruths()) {
    const reading = await readShared(file);
    const wanted = rows.filter(({ garbled }) => garbled !== true);
    const right = wanted.filter((row) => reading.rows.some((found) => isTrueRow(found, row)));
    if (list) console.log(`  ${file}: ${right.length} of ${wanted.length}, ${reading.rows.length} read`);
    all.rows += wanted.length;
    all.right += right.length;
    if (!isChart) all.none += reading.rows.length;
  }
  console.log(
    `papers of other hands: ${all.right} of ${all.rows} rows; ${all.none} rows on papers that are no chart`
  );
  return share(all.right, all.rows);
}

/** Charts of every construction: roles guessed, and rows put on the stops they are. */
async function rolesAndPlaces(): Promise<{ roleAccuracy: number; alignment: number }> {
  const all = { rows: 0, roles: 0, placed: 0, sure: 0, surelyRight: 0 };
  const layouts = [...TEXT_LAYOUTS, ...PDF_LAYOUTS, ...UNSEEN_LAYOUTS];
  for (const [at, chart] of trueCharts(7).entries()) {
    const layout = layouts[at % layouts.length];
    if (!layout) continue;
    const reading = await read(layout, chart);
    const { matches } = align(reading.rows, chart.pattern.expected);
    for (const row of chart.rows) {
      const found = reading.rows.find(({ number }) => number === row.number);
      all.rows++;
      const isRight = found?.role === row.role;
      if (found && found.confidence >= SURE) {
        all.sure++;
        if (isRight) all.surelyRight++;
      }
      if (isRight) all.roles++;
      else if (list) console.log('  role', chart.kind, layout.name, row.name, row.role, found?.role);
      if (matches.find(({ line }) => line === found?.line)?.keys.includes(row.key)) all.placed++;
    }
  }
  console.log(
    `roles said to be ${100 * SURE} % sure or more: ${all.surelyRight} of ${all.sure} right (${share(all.surelyRight, all.sure)})`
  );
  return { roleAccuracy: share(all.roles, all.rows), alignment: share(all.placed, all.rows) };
}

async function read(layout: Layout, chart: TrueChart): Promise<ChartReading> {
  const written = await layout.write(chart);
  if (typeof written === 'string') return readChart(written);
  const pdf = await readPdf(written);
  if (!pdf.ok) throw new Error(pdf.message);
  return readPaper(pdf.paper);
}

const [named, nameless, bare] = [recall('named'), recall('nameless'), recall('bare')];
const shared = await sharedRecall();
const { roleAccuracy, alignment } = await rolesAndPlaces();
console.log(
  JSON.stringify({
    rows: count.rows,
    named,
    nameless,
    bare,
    precision: share(count.right, count.read),
    shared,
    roleAccuracy,
    alignment
  })
);
