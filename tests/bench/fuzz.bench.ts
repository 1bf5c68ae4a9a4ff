/**
 * 10,000 random and mutated inputs for each reader (500 for PDF): none may throw, none may take long. The slowest of
 * each reader is printed; what a reader refuses is an answer like any other.
 */
import { zipSync, strToU8 } from 'fflate';
import { parseLength } from '$lib/core/base/units';
import { readDocument } from '$lib/core/documents/files';
import { readSvg } from '$lib/core/reading/drawings';
import { readChart, readPaper, rowsOfDrawing } from '$lib/core/reading/papers';
import { readStitchList } from '$lib/core/stitching/stitches';
import { openFile, readPdf, readZip } from '../../src/lib/files';
import { trueCharts } from './support/chartTruths';
import { PDF_LAYOUTS } from './support/pdfLayouts';
import { pick, seeded } from './support/random';
import { TEXT_LAYOUTS } from './support/textLayouts';

const COUNT = 10_000;
const random = seeded(1872);
const charts = trueCharts(3).slice(0, 6);
const texts = (
  await Promise.all(TEXT_LAYOUTS.flatMap((layout) => charts.slice(0, 2).map((chart) => layout.write(chart))))
).filter((text) => typeof text === 'string');
const SVG = `<svg xmlns="http://www.w3.org/2000/svg" width="80mm" height="100mm" viewBox="0 0 160 200"><style>.a{stroke:#f00}</style>
<g id="Lamp" transform="rotate(30 5 5) scale(2,-1)"><path class="a" d="M0 0C1 2 3 4 50 60S7 8 9 10Q1 1 2 2T30 4A5 6 7 0 1 80 9z m5 5l9 9"/></g>
<rect x="1" y="2" width="30" height="40" rx="3"/><circle r="9"/><ellipse rx="4" ry="5"/><polygon points="0,0 9,9 3,4"/><use href="#Lamp"/></svg>`;
const LIST = `stop,x,y,command\n${Array.from({ length: 40 }, (_, at) => `${1 + (at % 3)},${at / 2},${-at / 3},stitch`).join('\n')}`;
const LENGTHS = ['4 3/8 in', '111mm', '4.375"', '11,1 cm'];
const DOCUMENT = '{"schema":"jolt-step/item","version":1,"id":"a","name":"Tab","threads":[],"variants":[{}]}';

/** Bits that break readers: marks, numbers without end, brackets, blanks of other kinds. */
const BITS = [
  '"',
  "'",
  ',',
  ';',
  '\t',
  '|',
  '\n',
  '\r\n',
  '\u0000',
  '\uFEFF',
  '<',
  '>',
  '</g>',
  '&',
  '&#x;',
  ']]>',
  '{',
  '}',
  '(',
  '1e999',
  '-',
  '9'.repeat(40),
  'NaN',
  '½',
  '😀',
  'a'.repeat(200),
  ' '.repeat(300),
  'M0 0',
  'z',
  '%PDF',
  'Stop 1',
  'Total'
];

function mutated(text: string): string {
  let out = text;
  for (let times = 1 + Math.floor(random() * 6); times > 0; times--) {
    const at = Math.floor(random() * (out.length + 1));
    const until = Math.min(out.length, at + Math.floor(random() * 30));
    const roll = random();
    if (roll < 0.4) out = out.slice(0, at) + pick(random, BITS) + out.slice(at);
    else if (roll < 0.6) out = out.slice(0, at) + out.slice(until);
    else if (roll < 0.75) out = out.slice(0, at) + out.slice(at, until).repeat(8) + out.slice(until);
    else if (roll < 0.9)
      out = out.slice(0, at) + String.fromCharCode(Math.floor(random() * 0x2fff)) + out.slice(at + 1);
    else out = out.slice(0, at);
  }
  return out;
}

function noise(length: number): string {
  return Array.from({ length }, () =>
    random() < 0.3 ? pick(random, BITS) : String.fromCharCode(32 + Math.floor(random() * 95))
  ).join('');
}

function mutatedBytes(bytes: Uint8Array): Uint8Array {
  const out = bytes.slice(0, random() < 0.15 ? Math.floor(random() * bytes.length) : bytes.length);
  for (let times = 1 + Math.floor(random() * 20); times > 0 && out.length > 0; times--)
    out[Math.floor(random() * out.length)] = Math.floor(random() * 256);
  return out;
}

let inputs = 0;
let uncaught = 0;
let slowestMs = 0;

async function fuzz(name: string, count: number, make: () => () => unknown): Promise<void> {
  let slowest = 0;
  for (let at = 0; at < count; at++) {
    const read = make();
    const start = performance.now();
    try {
      await read();
    } catch (problem) {
      if (uncaught++ < 5) console.log(`${name}:`, problem);
    }
    slowest = Math.max(slowest, performance.now() - start);
  }
  inputs += count;
  slowestMs = Math.max(slowestMs, slowest);
  console.log(`${name}: ${count.toLocaleString('en')} inputs, slowest ${slowest.toFixed(1)} ms`);
}

const spoiled = (from: readonly string[]): string =>
  random() < 0.1 ? noise(20 + Math.floor(random() * 200)) : mutated(pick(random, from));

await fuzz('chart', COUNT, () => {
  const text = spoiled(texts);
  return () => readChart(text);
});
await fuzz('svg', COUNT, () => {
  const text = spoiled([SVG]);
  return () => rowsOfDrawing(readSvg(text));
});
await fuzz('stitch list', COUNT, () => {
  const text = spoiled([LIST]);
  return () => readStitchList(text);
});
await fuzz('length', COUNT, () => {
  const text = spoiled(LENGTHS);
  return () => parseLength(text, 'mm');
});
await fuzz('document', COUNT, () => {
  const text = spoiled([DOCUMENT]);
  return () => readDocument('item', text);
});
const zip = zipSync({ 'chart.txt': strToU8(texts[0] ?? ''), 'lamp.svg': strToU8(SVG) });
await fuzz('zip', COUNT, () => {
  const bytes = mutatedBytes(zip);
  return () => readZip(bytes);
});
const blobs = [...texts, SVG, LIST, DOCUMENT].map((text) => strToU8(text));
await fuzz('any file', COUNT, () => {
  const bytes = mutatedBytes(pick(random, blobs));
  return () => openFile('x', bytes);
});
const pdfs: Uint8Array[] = [];
for (const layout of PDF_LAYOUTS.slice(0, 4))
  pdfs.push((await layout.write(charts[0] ?? trueCharts(3)[0]!)) as Uint8Array);
// The first reading loads the library.
await readPdf(pdfs[0] ?? new Uint8Array());
await fuzz('pdf', 500, () => {
  const bytes = mutatedBytes(pick(random, pdfs));
  return async () => {
    const read = await readPdf(bytes);
    if (read.ok) readPaper(read.paper);
  };
});
console.log(JSON.stringify({ inputs, uncaught, slowestMs: Number(slowestMs.toFixed(1)) }));
// Broken files leave timers of the library behind.
process.exit(0);
