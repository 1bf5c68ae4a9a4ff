import { readValue, type DocumentResult } from '$lib/core/documents';
import { db } from './db';

/** The demo as the server sends it. */
export interface DemoPack {
  shop: unknown;
  items: unknown[];
  setups: unknown[];
  runs: unknown[];
}

const LOADED = 'demo-loaded';

/** Whether the demo has ever been brought into this browser. */
export async function demoWasLoaded(): Promise<boolean> {
  return (await db.meta.get(LOADED)) !== undefined;
}

/** Whether this browser holds nothing yet. */
export async function isEmpty(): Promise<boolean> {
  return (await db.items.count()) === 0 && (await db.runs.count()) === 0;
}

/**
 * Brings the demo stall in: everything is checked first and stored in one go. Items and runs of the same id
 * are replaced; the maker’s own shop stays unless `withShop` is set.
 *
 * @throws Error when a demo document is broken
 */
export async function loadDemo(pack: DemoPack, withShop: boolean): Promise<void> {
  const shop = must(readValue('shop', pack.shop));
  const items = pack.items.map((item) => must(readValue('item', item)));
  const setups = pack.setups.map((setup) => must(readValue('setup', setup)));
  const runs = pack.runs.map((run) => must(readValue('run', run)));
  await db.transaction('rw', [db.items, db.setups, db.shops, db.runs, db.events, db.meta], async () => {
    if (withShop) await db.shops.put(shop);
    await db.items.bulkPut(items);
    await db.setups.bulkPut(setups);
    for (const { events, ...head } of runs) {
      await db.runs.put(head);
      await db.events.bulkPut(events);
    }
    await db.meta.put({ key: LOADED, value: true });
  });
}

function must<T>(result: DocumentResult<T>): T {
  if (!result.ok) throw new Error(result.error.message);
  return result.document;
}
