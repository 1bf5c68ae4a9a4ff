import { chromium, type Page } from '@playwright/test';
import { mkdirSync, readFileSync, writeFileSync } from 'node:fs';

/** A database as plain data: its stores with their keys, indexes and rows. */
interface Stored {
  name: string;
  version: number;
  stores: {
    name: string;
    keyPath: string | string[];
    indexes: { name: string; keyPath: string | string[]; multiEntry: boolean; unique: boolean }[];
    rows: unknown[];
  }[];
}

const FILE = new URL('../../../tmp/demo-state.json', import.meta.url);

/**
 * Brings the demo in once, through its button, and keeps what the browser stored with all its summaries. Fifty tests begin
 * with the demo; each would plan its fourteen items anew.
 */
export async function keepDemo(
  address: string,
  launch: Parameters<typeof chromium.launch>[0]
): Promise<void> {
  const browser = await chromium.launch(launch);
  try {
    const page = await browser.newPage({ baseURL: address, locale: 'en-GB', timezoneId: 'UTC' });
    // The compiler of benches names functions by a helper that the page does not have.
    await page.addInitScript('globalThis.__name = (named) => named');
    await page.goto('/');
    await page.getByRole('button', { name: 'Look at the demo stall first' }).click();
    await page.getByRole('link', { name: /Badger luggage tab/ }).waitFor();
    while (!(await page.evaluate(summarised))) await page.waitForTimeout(500);
    mkdirSync(new URL('.', FILE), { recursive: true });
    writeFileSync(FILE, await page.evaluate(dumped));
  } finally {
    await browser.close();
  }
}

/** The file, read once by each worker. */
let state: string | undefined;

/** Fills the browser of a page as the demo left it; the page must not have been anywhere yet. */
export async function seedDemo(page: Page): Promise<void> {
  // A picture of the same address holds no script that would open the database before.
  await page.goto('/icon.svg');
  await page.evaluate(filled, (state ??= readFileSync(FILE, 'utf8')));
}

/* These three run in the page: each is whole by itself. */

async function summarised(): Promise<boolean> {
  const db = await new Promise<IDBDatabase>((done, failed) => {
    const asked = indexedDB.open('jolt-step');
    asked.onsuccess = () => done(asked.result);
    asked.onerror = () => failed(asked.error ?? new Error('not opened'));
  });
  const count = (store: string): Promise<number> =>
    new Promise((done) => {
      const asked = db.transaction(store).objectStore(store).count();
      asked.onsuccess = () => done(asked.result);
    });
  const [items, summaries, runs, runSummaries, computed] = await Promise.all(
    ['items', 'itemSummaries', 'runs', 'runSummaries', 'computed'].map(count)
  );
  db.close();
  return items === summaries && runs === runSummaries && (computed ?? 0) >= 7;
}

async function dumped(): Promise<string> {
  const db = await new Promise<IDBDatabase>((done, failed) => {
    const asked = indexedDB.open('jolt-step');
    asked.onsuccess = () => done(asked.result);
    asked.onerror = () => failed(asked.error ?? new Error('not opened'));
  });
  const names = [...db.objectStoreNames];
  const transaction = db.transaction(names);
  const stores = await Promise.all(
    names.map(async (name) => {
      const store = transaction.objectStore(name);
      const rows = await new Promise<unknown[]>((done) => {
        const asked = store.getAll();
        asked.onsuccess = () => done(asked.result);
      });
      const indexes = [...store.indexNames].map((index) => {
        const { keyPath, multiEntry, unique } = store.index(index);
        return { name: index, keyPath, multiEntry, unique };
      });
      return { name, keyPath: store.keyPath as string | string[], indexes, rows };
    })
  );
  const { name, version } = db;
  db.close();
  return JSON.stringify({ name, version, stores } satisfies Stored);
}

async function filled(state: string): Promise<void> {
  const { name, version, stores } = JSON.parse(state) as Stored;
  const db = await new Promise<IDBDatabase>((done, failed) => {
    const asked = indexedDB.open(name, version);
    asked.onupgradeneeded = () => {
      for (const { name: store, keyPath, indexes } of stores) {
        const made = asked.result.createObjectStore(store, { keyPath });
        for (const index of indexes) made.createIndex(index.name, index.keyPath, index);
      }
    };
    asked.onsuccess = () => done(asked.result);
    asked.onerror = () => failed(asked.error ?? new Error('not opened'));
  });
  await new Promise<void>((done, failed) => {
    const transaction = db.transaction(
      stores.map((store) => store.name),
      'readwrite'
    );
    for (const { name: store, rows } of stores)
      for (const row of rows) transaction.objectStore(store).put(row);
    transaction.oncomplete = () => done();
    transaction.onerror = () => failed(transaction.error ?? new Error('not filled'));
  });
  db.close();
}
