import type { Page } from '@playwright/test';
import { readRow, type RowKind } from '$lib/core/documents/files';
import { RunEvent } from '$lib/core/documents/run';

/** Tables whose rows an edit changes, and what they hold. */
const TABLES: Readonly<Record<string, RowKind>> = {
  items: 'item',
  setups: 'setup',
  shops: 'shop',
  orders: 'order',
  stash: 'line of the stash',
  cutJobs: 'cut job'
};

/** Every row by table and key, as text; when it was worked on last is left out. */
export type Stored = Readonly<Record<string, string>>;

/** Reads what the browser keeps, past the application. */
export async function storedIn(page: Page, tables = Object.keys(TABLES)): Promise<Stored> {
  return page.evaluate(
    (names) =>
      new Promise<Record<string, string>>((done, failed) => {
        const opening = indexedDB.open('jolt-step');
        opening.onerror = () => failed(new Error('The database does not open.'));
        opening.onsuccess = () => {
          const db = opening.result;
          const there = names.filter((name) => db.objectStoreNames.contains(name));
          if (there.length === 0) {
            db.close();
            done({});
            return;
          }
          const rows: Record<string, string> = {};
          const reading = db.transaction(there);
          for (const name of there) {
            const asked = reading.objectStore(name).openCursor();
            asked.onsuccess = () => {
              const cursor = asked.result;
              if (!cursor) return;
              const row = { ...(cursor.value as Record<string, unknown>) };
              delete row.updatedAt;
              rows[`${name}/${String(cursor.key)}`] = JSON.stringify(row);
              cursor.continue();
            };
          }
          reading.oncomplete = () => {
            db.close();
            done(rows);
          };
          reading.onerror = () => failed(new Error('The database is not read.'));
        };
      }),
    tables
  );
}

/** Keys of rows that differ. */
export function changed(before: Stored, after: Stored): string[] {
  return [...new Set([...Object.keys(before), ...Object.keys(after)])].filter(
    (key) => before[key] !== after[key]
  );
}

/** What of some rows does not pass its schema. */
export function broken(stored: Stored, keys: readonly string[]): string[] {
  return keys.flatMap((key) => {
    const text = stored[key];
    const kind = TABLES[key.split('/')[0] ?? ''];
    if (text === undefined || kind === undefined) return [];
    const read = readRow(kind, withDate(JSON.parse(text) as object));
    return read.ok ? [] : [`${key}: ${read.error.message}`];
  });
}

const withDate = (row: object): object => ({ ...row, updatedAt: new Date(0).toISOString() });

/** Events of runs that do not pass their schema. */
export async function brokenEvents(page: Page): Promise<string[]> {
  const events = await storedIn(page, ['events']);
  return Object.entries(events).flatMap(([key, text]) => {
    const read = RunEvent.safeParse(JSON.parse(text));
    return read.success ? [] : [`${key}: ${read.error.issues[0]?.message ?? ''}`];
  });
}
