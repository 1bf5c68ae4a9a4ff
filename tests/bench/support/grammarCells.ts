/** How a chart of the grammar writes its figures, its headings, and the columns nobody asked for. */
import type { Paper } from '$lib/core/reading/pages';
import type { GrammarChart, GrammarRow } from './grammarTruth';
import { pick } from './random';

export type Mode = 'named' | 'nameless' | 'bare';
export interface SetColumn {
  kind: string;
  heading: string;
  right: boolean;
  cells: string[];
}
export interface SetChart {
  chart: GrammarChart;
  columns: SetColumn[];
  /** Length as it is printed in each row, mm. */
  printedMm: (number | null)[];
  total: string;
  headed: boolean;
}

const MM = { m: 1000, cm: 10, mm: 1, ft: 304.8, in: 25.4, yd: 914.4 } as const;
const DECIMALS = { m: 2, cm: 0, mm: 0, ft: 1, in: 1, yd: 2 } as const;
const HEADINGS: Record<string, readonly string[]> = {
  number: ['No', 'Stop', '#', 'Step', 'Nr.', 'Seq', 'Colour stop', 'Pos'],
  label: [
    'Part',
    'Element',
    'Job',
    'Part stitched',
    'What it does',
    'Name',
    'Description',
    'Stitched here',
    'Section',
    'Task'
  ],
  colour: ['Colour', 'Thread', 'Thread colour', 'Shade', 'Color', 'Spool'],
  code: ['Code', 'Ref', 'Thread no.', 'Colour no.', 'Shade no', 'Number of thread'],
  stitches: ['Stitches', 'Sts', 'Stitch count', 'Count', 'No. of stitches', 'Stitches in stop'],
  thread: ['Length', 'Thread used', 'Usage', 'Thread length', 'Consumption', 'Thread per stop'],
  time: ['Time', 'Min:s'],
  needle: ['Needle', 'N'],
  percent: ['Share', '%'],
  running: ['So far', 'Running total'],
  remark: ['Remark', 'Notes']
};
const NONSENSE = [
  'Blorf',
  'Quintle',
  'Vasp',
  'Mirrow',
  'Tolk',
  'Zembra',
  'Hurnt',
  'Pliv',
  'Ostrel',
  'Wuggit',
  'Krine',
  'Feddle'
];
const REMARKS = ['trim close', 'lay felt', 'hoop over', 'see sheet', 'tape corners', 'slow'];

/** The cells of a chart as one house would print them. */
export function setChart(chart: GrammarChart, mode: Mode, random: () => number): SetChart {
  const { rows, unit } = chart;
  const european = random() < 0.2;
  const group = pick(random, european ? ['.', ' ', '\u2009', ''] : [',', ',', ' ', '\u2009', '']);
  const mark = european ? ',' : '.';
  const count = (value: number): string => String(value).replace(/\B(?=(\d{3})+$)/g, group);
  const unitAt = pick(random, ['cell', 'cell', 'heading'] as const);
  const inCell = unitAt === 'cell' || mode !== 'named';
  const decimals = DECIMALS[unit];
  const printed = rows.map(({ mm }) => (mm === null ? null : (mm / MM[unit]).toFixed(decimals)));
  const stitchWord = random() < 0.25 ? pick(random, [' st', ' sts', ' stitches']) : '';
  const blank = pick(random, ['', '–', '-']);
  const numberForm = pick(random, [
    (n: number): string => String(n),
    (n: number): string => String(n),
    (n: number): string => `${n}.`,
    (n: number): string => String(n).padStart(2, '0'),
    (n: number): string => `#${n}`
  ]);
  const value: Record<string, (row: GrammarRow, at: number) => string> = {
    number: (row) => numberForm(row.number),
    label: (row) => row.label,
    colour: (row) => row.colour,
    code: (row) => row.code || blank,
    stitches: (row) => count(row.stitches) + stitchWord,
    thread: (_, at) => {
      const text = printed[at];
      if (text === null || text === undefined) return blank;
      const [whole = '', rest] = text.split('.');
      const grouped = group === mark ? whole : whole.replace(/\B(?=(\d{3})+$)/g, group);
      return `${grouped}${rest === undefined ? '' : `${mark}${rest}`}${inCell ? ` ${unit}` : ''}`;
    },
    time: ({ stitches }) =>
      `${Math.floor(stitches / 700)}:${String(Math.round((stitches % 700) / 12)).padStart(2, '0')}`,
    needle: (row) => String(1 + (row.colour.length % 6)),
    percent: ({ stitches }) =>
      `${((stitches * 100) / rows.reduce((sum, row) => sum + row.stitches, 0)).toFixed(1)} %`,
    running: (_, at) => count(rows.slice(0, at + 1).reduce((sum, row) => sum + row.stitches, 0)),
    remark: (_, at) => ((at * 7) % 5 === 0 ? pick(random, REMARKS) : '')
  };
  const base = ['label', 'colour', 'stitches', ...(chart.hasLengths ? ['thread'] : [])];
  const order = shuffledSometimes(base, random);
  if (chart.hasCodes) order.splice(order.indexOf('colour') + (random() < 0.8 ? 1 : 0), 0, 'code');
  if (chart.numbered) order.splice(random() < 0.85 ? 0 : order.length, 0, 'number');
  for (const extra of ['time', 'needle', 'percent', 'running', 'remark'])
    if (random() < 0.09) order.splice(1 + Math.floor(random() * order.length), 0, extra);
  const nonsense = [...NONSENSE].sort(() => random() - 0.5);
  const columns = order.map((kind, at): SetColumn => ({
    kind,
    heading:
      mode === 'bare'
        ? ''
        : mode === 'nameless'
          ? (nonsense[at] ?? `Xo${at}`)
          : pick(random, HEADINGS[kind] ?? ['']) + (kind === 'thread' && !inCell ? ` (${unit})` : ''),
    right: ['stitches', 'thread', 'time', 'percent', 'running'].includes(kind) ? random() < 0.85 : false,
    cells: rows.map((row, row_) => value[kind]?.(row, row_) ?? '')
  }));
  return {
    chart,
    columns,
    printedMm: printed.map((text) => (text === null ? null : Number(text) * MM[unit])),
    total: count(rows.reduce((sum, { stitches }) => sum + stitches, 0)),
    headed: mode !== 'bare'
  };
}

function shuffledSometimes(kinds: string[], random: () => number): string[] {
  return random() < 0.45 ? kinds : [...kinds].sort(() => random() - 0.5);
}

/** A chart as it comes to the reader: as text, or as words with places. */
export type Written = { text: string } | { paper: Paper };
/** A way of setting a chart. */
export type Write = (set: SetChart, random: () => number) => Written;

/** What a paper says above its chart. */
export function facts(set: SetChart, random: () => number): string[] {
  const lines = [
    set.chart.title,
    `${40 + Math.floor(random() * 150)} x ${40 + Math.floor(random() * 150)} mm`
  ];
  if (random() < 0.6) lines.push(`${set.total} stitches, ${set.chart.rows.length} stops`);
  if (random() < 0.3) lines.push(`printed ${1 + Math.floor(random() * 28)} March 2026`);
  return lines;
}
