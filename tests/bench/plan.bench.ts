/** How long a plan takes: a 60-stop item, warm, and 200 items of the size of the demo’s. */
import type { Item } from '$lib/core/documents/item';
import { defaultShop } from '$lib/core/documents/shop';
import { plan } from '$lib/core/making/plan';
import { align, assemble } from '$lib/core/reading/matching';
import { readChart } from '$lib/core/reading/papers';
import { constructionOf } from '$lib/core/craft/constructions';

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
const details = (count: number): string[] =>
  Array.from(
    { length: count },
    (_, at) => `${at + 3} detail ${colours[at % colours.length]} ${660 + at} 3.4 m`
  );
const large = tab(['1 placement grey 120', '2 tack-down black 120', ...details(57), '60 outline white 900']);
const small = tab(['1 placement grey 120', '2 tack-down black 120', ...details(3), '6 outline white 420']);
const stops = large.files.reduce((sum, { stops: list }) => sum + list.length, 0);
const stitches = large.files
  .flatMap(({ stops: list }) => list.flatMap(({ phases }) => phases))
  .reduce((sum, phase) => sum + phase.stitches, 0);
console.log(
  `plan(): an item of ${stops} stops, ${large.steps.length} steps and ${stitches.toLocaleString('en')} stitches, its lines and cloth simulated`
);

const time = (work: () => unknown): number => {
  const start = performance.now();
  work();
  return performance.now() - start;
};
for (let turn = 0; turn < 30; turn++) plan(large, undefined, shop);
const times = Array.from({ length: 200 }, () => time(() => plan(large, undefined, shop))).sort(
  (a, b) => a - b
);
const at = (share: number): number => Number((times[Math.floor(times.length * share)] ?? NaN).toFixed(2));
const items200Ms = time(() => {
  for (let item = 0; item < 200; item++) plan(small, undefined, shop);
});
console.log(
  JSON.stringify({ medianMs: at(0.5), p95Ms: at(0.95), items200Ms: Number(items200Ms.toFixed(1)) })
);
