/** Writes the demo documents to demo/: `npm run make-demo`. The same code gives the same files. */
import { mkdirSync, rmSync, writeFileSync } from 'node:fs';
import { wishes, type Wish } from './demo-items';
import { order } from './demo-order';
import { stash } from './demo-stash';
import { seeded } from '$lib/core/base/units';
import type { Item } from '$lib/core/documents/item';
import type { Run, RunEvent } from '$lib/core/documents/run';
import { defaultSetup, defaultShop, type Setup, type Shop } from '$lib/core/documents/shop';
import { plan } from '$lib/core/making/plan';
import { align, assemble } from '$lib/core/reading/matching';
import { readChart } from '$lib/core/reading/papers';
import { constructionOf } from '$lib/core/craft/constructions';
import { RUN_VERSION } from '$lib/core/documents/run';

const shop: Shop = {
  ...defaultShop('shop'),
  name: 'Bracken Vale Light Railway, gift stall',
  machines: [
    {
      id: 'left',
      name: 'Left machine',
      needles: 1,
      heads: 1,
      setSpm: 400,
      maxSpm: 800,
      paceSpm: null,
      trimmer: false
    },
    {
      id: 'right',
      name: 'Right machine',
      needles: 6,
      heads: 1,
      setSpm: 800,
      maxSpm: 1000,
      paceSpm: null,
      trimmer: true
    }
  ],
  hoops: [
    {
      id: 'hoop-100',
      name: 'Small hoop',
      field: { width: 100, height: 100 },
      ring: { width: 140, height: 140 },
      capSpm: null,
      count: 2
    },
    {
      id: 'hoop-130',
      name: 'Long hoop',
      field: { width: 130, height: 180 },
      ring: { width: 175, height: 230 },
      capSpm: null,
      count: 2
    },
    {
      id: 'hoop-200',
      name: 'Large hoop',
      field: { width: 200, height: 300 },
      ring: { width: 245, height: 350 },
      capSpm: 700,
      count: 2
    }
  ]
};

const folder = new URL('../demo/', import.meta.url);
for (const name of ['items', 'setups', 'runs', 'orders']) {
  rmSync(new URL(name, folder), { recursive: true, force: true });
  mkdirSync(new URL(name, folder), { recursive: true });
}
write('shop.json', shop);
write('stash.json', stash);

const made = new Map<string, { item: Item; setup: Setup }>();
for (const wish of wishes) {
  const item = makeItem(wish);
  const setup: Setup = { ...defaultSetup(item, shop), machineId: wish.machineId, hoopId: wish.hoopId };
  made.set(item.id, { item, setup });
  write(`items/${item.id}.json`, item);
  write(`setups/${item.id}.json`, setup);
}

const days: [itemId: string, startedAt: string, seed: number][] = [
  ['badger-tab', '2026-11-06T13:10:00.000Z', 11],
  ['badger-tab', '2026-11-07T09:30:00.000Z', 23],
  ['badger-tab', '2026-11-14T10:05:00.000Z', 37],
  ['lamp-patch', '2026-11-15T14:20:00.000Z', 41],
  ['lamp-patch', '2026-11-20T16:00:00.000Z', 59]
];
days.forEach(([itemId, startedAt, seed], at) =>
  write(`runs/run-${at + 1}.json`, makeRun(`run-${at + 1}`, itemId, startedAt, seed))
);

write('orders/gala-weekend.json', order);

function makeItem(wish: Wish): Item {
  const made = constructionOf(wish.kind)?.patternOf(wish.answers);
  if (!made?.ok) throw new Error(`${wish.id}: ${made?.problems.join(' ') ?? 'no such construction'}`);
  const base = { id: wish.id, name: wish.name, now: wish.made, construction: wish.kind, params: made.params };
  let item: Item;
  if (wish.chart === undefined) item = assemble(made.pattern, base);
  else {
    const { rows } = readChart(wish.chart);
    const alignment = align(rows, made.pattern.expected);
    item = assemble(made.pattern, { ...base, chart: { text: wish.chart, setAside: [], rows, alignment } });
  }
  const noted = { ...item, note: wish.note };
  return wish.change ? wish.change(noted) : noted;
}

/** A run as it might have gone: hands a little off the estimate, a broken thread here, a tea break there. */
function makeRun(id: string, itemId: string, startedAt: string, seed: number): Run {
  const found = made.get(itemId);
  if (!found) throw new Error(`There is no demo item ${itemId}.`);
  const { item, setup } = found;
  const snapshot = plan(item, setup, shop);
  const chance = seeded(seed);
  const events: RunEvent[] = [];
  let at = Date.parse(startedAt);
  const log = (type: RunEvent['type'], stepId: string | null, more: Partial<RunEvent> = {}): void => {
    events.push({
      runId: id,
      seq: events.length + 1,
      at: Math.round(at),
      client: 'demo',
      type,
      stepId,
      copy: 1,
      stop: null,
      stitch: null,
      text: '',
      ...more
    });
  };
  log('start', null);
  for (const step of snapshot.steps) {
    const seconds =
      step.hands.value * logNormal(chance, 1.12, 0.25) +
      step.running.value * logNormal(chance, 1.06, 0.04) +
      step.waiting.value * (1 + 0.3 * chance());
    if (step.stop && step.stop.stitches > 800 && chance() < 0.3) {
      at += (seconds * 1000) / 2;
      const stitch = Math.round(step.stop.stitches / 2);
      log('thread-broke', step.id, { stop: step.stop.machineNumber, stitch });
      at += 95_000;
    }
    if (step.number === 9 && seed % 2 === 1) {
      log('pause', step.id);
      at += 420_000;
      log('resume', step.id);
    }
    at += seconds * 1000;
    log('done', step.id);
  }
  log('finish', null);
  return {
    schema: 'jolt-step/run',
    version: RUN_VERSION,
    id,
    itemId,
    itemName: item.name,
    startedAt,
    finishedAt: new Date(Math.round(at)).toISOString(),
    setup,
    plan: snapshot,
    item,
    events
  };
}

function logNormal(chance: () => number, middle: number, sigma: number): number {
  const normal = Math.sqrt(-2 * Math.log(1 - chance())) * Math.cos(2 * Math.PI * chance());
  return middle * Math.exp(sigma * normal);
}

function write(path: string, document: unknown): void {
  writeFileSync(new URL(path, folder), `${JSON.stringify(document, null, 1)}\n`);
}
