/**
 * Writes tests/kept/<kind>-<version>-landed.json for every kind of document as today’s code writes it, where there is none
 * of that version yet. Run it once when a version lands; what is kept is never written again.
 */
import { newCutJob } from '$lib/core/documents/cutJob';
import { BACKUP_VERSION } from '$lib/core/documents/files';
import { Item } from '$lib/core/documents/item';
import { Order } from '$lib/core/documents/order';
import { Run } from '$lib/core/documents/run';
import { defaultShop, Setup } from '$lib/core/documents/shop';
import { Stash } from '$lib/core/documents/stash';
import { existsSync, readFileSync, writeFileSync } from 'node:fs';

const ROOT = new URL('..', import.meta.url).pathname;
const demo = (path: string): unknown => JSON.parse(readFileSync(`${ROOT}demo/${path}.json`, 'utf8'));

const item = Item.parse(demo('items/odd-pouch'));
const setup = Setup.parse(demo('setups/odd-pouch'));
const stash = Stash.parse(demo('stash'));
const run = Run.parse(demo('runs/run-4'));
const order = Order.parse(demo('orders/gala-weekend'));
const shop = defaultShop('shop');
const job = newCutJob(item.id, 2);
const documents: Record<string, { version?: number | undefined }> = {
  item,
  setup,
  shop,
  stash: { ...stash, entries: stash.entries.slice(0, 3) } as { version: number },
  line: stash.entries[0] ?? {},
  'cut-job': job,
  order,
  plan: run.plan,
  run,
  backup: {
    schema: 'jolt-step/backup',
    version: BACKUP_VERSION,
    at: '2026-11-27T10:00:00.000Z',
    items: [item],
    setups: [setup],
    shop,
    runs: [run],
    orders: [order],
    stash: stash.entries.slice(0, 3),
    cutJobs: [job],
    meta: [],
    photos: []
  } as { version: number }
};
for (const [kind, document] of Object.entries(documents)) {
  const path = `${ROOT}tests/kept/${kind}-${document.version ?? 1}-landed.json`;
  if (!existsSync(path)) writeFileSync(path, `${JSON.stringify(document)}\n`);
}
