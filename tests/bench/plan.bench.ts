/**
 * How long a plan with its checks takes: an item of 60 stops and 40,000 stitches, and 200 different items of all
 * constructions and the demo; each on a fresh copy, so that nothing is remembered from the one before.
 */
import { readdirSync, readFileSync } from 'node:fs';
import { Item } from '$lib/core/documents/item';
import { defaultShop } from '$lib/core/documents/shop';
import { review } from '$lib/core/making/checks';
import { align, assemble } from '$lib/core/reading/matching';
import { readChart } from '$lib/core/reading/papers';
import { constructionOf } from '$lib/core/craft/constructions';
import { benchShop, intactCases } from './support/intact';
import { seeded } from './support/random';

const shop = defaultShop('shop');

function tab(rows: string[]): Item {
  const made = constructionOf('snap-tab')?.patternOf({});
  if (!made?.ok) throw new Error('The snap tab has no pattern.');
  const text = rows.join('\n');
  const { rows: read } = readChart(text);
  return assemble(made.pattern, {
    id: 'bench',
    name: 'Bench',
    now: '2026-01-01T00:00:00.000Z',
    construction: 'snap-tab',
    params: made.params,
    chart: { text, setAside: [], rows: read, alignment: align(read, made.pattern.expected) }
  });
}

const colours = ['white', 'pink', 'black', 'red', 'green', 'blue'];
const details = Array.from(
  { length: 57 },
  (_, at) => `${at + 3} detail ${colours[at % colours.length]} ${660 + at} 3.4 m`
);
const large = tab(['1 placement grey 120', '2 tack-down black 120', ...details, '60 outline white 900']);
const stops = large.files.reduce((sum, { stops: list }) => sum + list.length, 0);
const stitches = large.files
  .flatMap(({ stops: list }) => list.flatMap(({ phases }) => phases))
  .reduce((sum, phase) => sum + phase.stitches, 0);
console.log(
  `An item of ${stops} stops, ${large.steps.length} steps and ${stitches.toLocaleString('en')} stitches, its lines and cloth simulated and checked`
);

/** Milliseconds of a plan with its findings, on a copy nobody has seen. */
function time(item: Item, among: typeof shop): number {
  const fresh = structuredClone(item);
  const start = performance.now();
  review(fresh, undefined, among);
  return performance.now() - start;
}

for (let turn = 0; turn < 30; turn++) time(large, shop);
const times = Array.from({ length: 200 }, () => time(large, shop)).sort((a, b) => a - b);
const at = (share: number): number => Number((times[Math.floor(times.length * share)] ?? NaN).toFixed(2));

const folder = new URL('../../demo/items/', import.meta.url);
const demo = readdirSync(folder).map((file) =>
  Item.parse(JSON.parse(readFileSync(new URL(file, folder), 'utf8')))
);
const random = seeded(15);
const different = new Map(
  intactCases().map(({ item }) => [JSON.stringify({ ...item, id: '' }), { item, turn: random() }])
);
const made = [...different.values()].sort((a, b) => a.turn - b.turn).map(({ item }) => item);
const items = [...demo, ...made].slice(0, 200);
const items200Ms = items.reduce((sum, item) => sum + time(item, benchShop), 0);
const kinds = new Set(items.map(({ construction }) => construction));
console.log(
  `${items.length} different items of ${kinds.size} constructions, ${demo.length} of them the demo’s`
);
console.log(
  JSON.stringify({ medianMs: at(0.5), p95Ms: at(0.95), items200Ms: Number(items200Ms.toFixed(1)) })
);
