import { type Backup, BACKUP_VERSION, BackupReader, type LooseBackup } from '$lib/core/documents/files';
import type { Table } from 'dexie';
import { db } from './db';
import { type Run, RunHead } from '$lib/core/documents/run';
import { editHistory } from './history';
import { picturesShown } from './pictures';
import { readable } from './rows';
import { runDocuments } from './runs';

const LAST = 'last-backup';
const DAY_MS = 86_400_000;
/** A backup older than this is asked for again, if anything has changed since. */
const OLD_MS = 7 * DAY_MS;
/** Below this much room a photo or a long run may not be stored any more, bytes. */
const LITTLE_ROOM = 50 * 1024 * 1024;

const all = [
  db.items,
  db.setups,
  db.shops,
  db.runs,
  db.events,
  db.orders,
  db.stash,
  db.cutJobs,
  db.meta,
  db.photos,
  db.pictures
];

/**
 * Everything this browser keeps, as one document.
 *
 * @param now ISO 8601
 */
export async function makeBackup(now: string): Promise<Backup> {
  const stored = await db.transaction('r', all, async () => ({
    ...(await storedDocuments()),
    meta: await db.meta.toArray(),
    photos: await db.photos.toArray(),
    pictures: await db.pictures.bulkGet([...(await picturesShown())])
  }));
  return {
    schema: 'jolt-step/backup',
    version: BACKUP_VERSION,
    at: now,
    ...stored,
    photos: await Promise.all(stored.photos.map(asText)),
    pictures: await Promise.all(stored.pictures.filter((picture) => picture !== undefined).map(asText))
  };
}

/** Documents of every kind as they are stored, without their pictures; what cannot be read is left out. */
export async function storedDocuments(): Promise<
  Pick<Backup, 'items' | 'setups' | 'shop' | 'runs' | 'orders' | 'stash' | 'cutJobs'>
> {
  return {
    items: readable('item', await db.items.toArray()),
    setups: readable('setup', await db.setups.toArray()),
    shop: readable('shop', await db.shops.toArray())[0] ?? null,
    runs: await runDocuments(),
    orders: readable('order', await db.orders.toArray()),
    stash: readable('line of the stash', await db.stash.toArray()),
    cutJobs: readable('cut job', await db.cutJobs.toArray())
  };
}

/** A row with its picture as text. */
export async function asText<T extends { image: Blob }>({
  image,
  ...row
}: T): Promise<Omit<T, 'image'> & { type: string; base64: string }> {
  return { ...row, type: image.type, base64: toBase64(new Uint8Array(await image.arrayBuffer())) };
}

/** As it was before it was made text. */
function asImage<T extends { type: string; base64: string }>({
  type,
  base64,
  ...row
}: T): Omit<T, 'type' | 'base64'> & { image: Blob } {
  return { ...row, image: new Blob([fromBase64(base64)], { type }) };
}

/** Remembers that a backup was kept. */
export async function rememberBackup(now: string): Promise<void> {
  await db.meta.put({ key: LAST, value: now });
}

/**
 * Reads a backup while its text comes in, however large it is: what is whole and valid is kept, the rest is named. Nothing is
 * stored.
 *
 * @returns null where the file is no backup
 */
export async function readBackup(file: Blob): Promise<LooseBackup | null> {
  const reader = new BackupReader();
  const text = new TextDecoder();
  const chunks = file.stream().getReader();
  for (let next = await chunks.read(); !next.done; next = await chunks.read())
    reader.push(text.decode(next.value, { stream: true }));
  reader.push(text.decode());
  return reader.end();
}

/** Everything as it lies in the tables, row by row. */
export type Everything = ReadonlyMap<string, readonly object[]>;

/**
 * Puts everything back as a backup has it; what is here now is replaced, and given back so that this can be undone. What cannot
 * be stored changes nothing.
 *
 * @throws Error where the browser cannot store it, as when its storage is full
 */
export async function restoreBackup(backup: Backup): Promise<Everything> {
  const before = await everything();
  await replaceAll(rowsOf(backup));
  return before;
}

/** Takes a restore back. */
export function undoRestore(before: Everything): Promise<void> {
  return replaceAll(before);
}

export async function everything(): Promise<Everything> {
  return db.transaction(
    'r',
    all,
    async () =>
      new Map(await Promise.all(all.map(async (table) => [table.name, await table.toArray()] as const)))
  );
}

/** A run without its events, which lie in a table of their own. */
function headOf(run: Run): RunHead {
  return RunHead.parse(run);
}

/** A backup as rows of the tables. */
export function rowsOf(backup: Backup): Everything {
  return new Map<string, readonly object[]>([
    [db.items.name, backup.items],
    [db.setups.name, backup.setups],
    [db.shops.name, backup.shop ? [backup.shop] : []],
    [db.runs.name, backup.runs.map(headOf)],
    [db.events.name, backup.runs.flatMap(({ events }) => events)],
    [db.orders.name, backup.orders],
    [db.stash.name, backup.stash],
    [db.cutJobs.name, backup.cutJobs],
    [db.meta.name, backup.meta.map(({ key, value }) => ({ key, value }))],
    [db.photos.name, backup.photos.map(asImage)],
    [db.pictures.name, backup.pictures.map(asImage)]
  ]);
}

async function replaceAll(rows: Everything): Promise<void> {
  // What was edited before is gone with the rest.
  editHistory.forget();
  await db.transaction('rw', all, async () => {
    for (const table of all) {
      await table.clear();
      await (table as Table<object>).bulkPut([...(rows.get(table.name) ?? [])]);
    }
  });
}

/** What there is to say of how safely things are kept. */
export interface Keeping {
  /** When everything was last kept in a file; null for never. */
  last: string | null;
  /** Whether to ask for a backup now. */
  due: boolean;
  /** Room left, bytes, where there is little. */
  little: number | null;
}

/**
 * Whether a backup is due, and whether the browser’s storage is nearly full.
 *
 * @param now milliseconds since 1970
 */
export async function keeping(now: number): Promise<Keeping> {
  const last = ((await db.meta.get(LAST))?.value as string | undefined) ?? null;
  const since = last ?? '';
  const runs = await db.runs.where('startedAt').above(since).count();
  const items = await db.items.where('updatedAt').above(since).count();
  const orders = await db.orders.where('updatedAt').above(since).count();
  const changed = runs + items + orders > 0;
  const old = last === null ? runs > 0 : now - Date.parse(last) > OLD_MS;
  return { last, due: changed && old, little: await littleRoom() };
}

async function littleRoom(): Promise<number | null> {
  if (typeof navigator === 'undefined' || !('storage' in navigator)) return null;
  const { quota, usage } = await navigator.storage.estimate();
  if (quota === undefined || usage === undefined) return null;
  const room = quota - usage;
  return room < LITTLE_ROOM ? Math.max(0, room) : null;
}

function toBase64(bytes: Uint8Array): string {
  let text = '';
  for (let at = 0; at < bytes.length; at += 32_768)
    text += String.fromCharCode(...bytes.subarray(at, at + 32_768));
  return btoa(text);
}

function fromBase64(text: string): Uint8Array<ArrayBuffer> {
  return Uint8Array.from(atob(text), (letter) => letter.charCodeAt(0));
}
