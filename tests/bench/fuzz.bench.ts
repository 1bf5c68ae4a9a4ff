/**
 * 10,000 random and mutated inputs for each reader (500 for PDF): none may throw, none may take long. The slowest of
 * each reader is printed; what a reader refuses is an answer like any other.
 */
import { readdirSync, readFileSync } from 'node:fs';
import { zipSync, strToU8 } from 'fflate';
import { isOurFault } from '$lib/core/base/problems';
import { parseLength } from '$lib/core/base/units';
import { BackupReader, readDocument } from '$lib/core/documents/files';
import { defaultShop } from '$lib/core/documents/shop';
import { review } from '$lib/core/making/checks';
import { interpret } from '$lib/core/making/interpret';
import { readSvg } from '$lib/core/reading/drawings';
import { readChart, readPaper, rowsOfDrawing } from '$lib/core/reading/papers';
import { readStitchList } from '$lib/core/stitching/stitches';
import { openFile, readPdf, readZip } from '../../src/lib/files';
import { Pool } from '../../src/lib/server/pool';
import { paperSentences } from './support/paperSentences';
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
/** Work that was ended from outside. */
let unended = 0;
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
const sheets = paperSentences();
/** Sentences of sheets recombined, cut, repeated, run together on one line. */
function recombined(): string {
  const sentences = Array.from({ length: 2 + Math.floor(random() * 25) }, () => {
    const own = pick(random, pick(random, sheets));
    return random() < 0.1 ? mutated(own) : own;
  });
  if (random() < 0.2) sentences.push(...sentences);
  return sentences.join(random() < 0.3 ? ' ' : '\n');
}
await fuzz('instruction sheet', COUNT, () => {
  const text = recombined();
  return () => readChart(text);
});
await fuzz('sheet as an item', 300, () => {
  const text = recombined();
  return () => {
    const { sheet, rows, facts } = readChart(text);
    if (sheet)
      interpret(
        { id: 'a', name: 'A', now: '2026-01-01T00:00:00.000Z', sheet, rows, size: facts.size, text },
        defaultShop('a')
      );
  };
});
const kept = readdirSync('tests/kept').map((name) => readFileSync(`tests/kept/${name}`, 'utf8'));
const demo = readdirSync('demo/items').map((name) => readFileSync(`demo/items/${name}`, 'utf8'));
await fuzz('kept document', COUNT, () => {
  const text = mutated(pick(random, kept).slice(0, 60_000));
  const kind = pick(random, ['item', 'shop', 'order', 'run', 'setup', 'stash', 'pattern'] as const);
  return () => readDocument(kind, text);
});
await fuzz('backup', 1000, () => {
  const text = spoiled(kept.filter((each) => each.includes('jolt-step/backup')));
  return () => {
    const reader = new BackupReader();
    for (let at = 0; at < text.length; at += 8192) reader.push(text.slice(at, at + 8192));
    reader.end();
  };
});
/** An item with some of its numbers, points and lists otherwise than anybody would make them. */
function spoiledItem(): string {
  return pick(random, demo).replace(/-?\d+(?:\.\d+)?/g, (number) =>
    random() < 0.01 ? pick(random, ['0', '-1', '1e6', '0.0001', '99999', number]) : number
  );
}
await fuzz('spoiled item planned', 500, () => {
  const read = readDocument('item', spoiledItem());
  return () => {
    try {
      if (read.ok) review(read.document, undefined, defaultShop('a'));
    } catch (problem) {
      // Refused in words is an answer.
      if (isOurFault(problem)) throw problem;
    }
  };
});
/** The same through the server: every answer is one of ours, whatever is sent. */
const pool = new Pool(1);
const words = new TextEncoder();
// The first answer loads the thread; a built server has loaded it before anybody asks.
await pool.do(
  'intake',
  { bytes: words.encode('1. Hoop.'), type: 'text/plain' },
  new AbortController().signal
);
await fuzz('route', 400, () => {
  const asks = [
    () =>
      pool.do(
        'intake',
        { bytes: words.encode(recombined()), type: 'text/plain' },
        new AbortController().signal
      ),
    () =>
      pool.do(
        'intake',
        { bytes: words.encode(spoiled([SVG])), type: 'image/svg+xml' },
        new AbortController().signal
      ),
    () =>
      pool.do(
        'plan',
        { bytes: words.encode(`{"item":${spoiledItem()}}`), type: 'application/json' },
        new AbortController().signal
      )
  ];
  const ask = pick(random, asks);
  return async () => {
    const { status, body } = await ask();
    if (status === 500) throw new Error(body.slice(0, 300));
    if (status === 503) unended++;
  };
});
await pool.close();
console.log(JSON.stringify({ inputs, uncaught, unended, slowestMs: Number(slowestMs.toFixed(1)) }));
// Broken files leave timers of the library behind.
process.exit(0);
