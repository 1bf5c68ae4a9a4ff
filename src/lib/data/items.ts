import { type DocumentError, readDocument } from '$lib/core/documents/files';
import type { Item } from '$lib/core/documents/item';
import type { Setup } from '$lib/core/documents/shop';
import { db } from './db';

/** Every item, the last worked on first; those put away too. */
export function listItems(): Promise<Item[]> {
  return db.items.orderBy('updatedAt').reverse().toArray();
}

export function getItem(id: string): Promise<Item | undefined> {
  return db.items.get(id);
}

/** Saves an item, marked as worked on at `now` (ISO 8601). */
export async function saveItem(item: Item, now: string): Promise<void> {
  await db.items.put({ ...item, updatedAt: now });
}

/** Saves a new item together with the setup chosen for it. */
export async function addItem(item: Item, setup: Setup): Promise<void> {
  await db.transaction('rw', db.items, db.setups, async () => {
    await db.items.add(item);
    await db.setups.put(setup);
  });
}

/** Copies an item and its setup under a new id and name; gives the copy. */
export async function duplicateItem(id: string, newId: string, now: string): Promise<Item | undefined> {
  return db.transaction('rw', db.items, db.setups, async () => {
    const item = await db.items.get(id);
    if (!item) return undefined;
    const copy: Item = {
      ...item,
      id: newId,
      name: `${item.name.slice(0, 112)}, copy`,
      createdAt: now,
      updatedAt: now
    };
    delete copy.putAwayAt;
    await db.items.add(copy);
    const setup = await db.setups.get(id);
    if (setup) await db.setups.put({ ...setup, itemId: newId });
    return copy;
  });
}

/** Puts an item away, off the shelf but not gone. */
export async function putItemAway(id: string, now: string): Promise<void> {
  await db.items.update(id, { putAwayAt: now });
}

export async function bringItemBack(id: string): Promise<void> {
  await db.items.update(id, { putAwayAt: undefined });
}

/**
 * Brings in an item from the text of a file. An item already here is never overwritten: the file’s comes in
 * beside it under `freshId`. When the file is refused nothing stored changes.
 */
export async function importItem(
  text: string,
  freshId: string,
  now: string
): Promise<{ ok: true; item: Item } | { ok: false; error: DocumentError }> {
  const read = readDocument('item', text);
  if (!read.ok) return read;
  return db.transaction('rw', db.items, async () => {
    const there = (await db.items.get(read.document.id)) !== undefined;
    const item: Item = { ...read.document, id: there ? freshId : read.document.id, updatedAt: now };
    await db.items.add(item);
    return { ok: true as const, item };
  });
}

export function getSetup(itemId: string): Promise<Setup | undefined> {
  return db.setups.get(itemId);
}

/**
 * Stores what a page changed of a setup, and nothing else of it: another change may have been stored since the page last
 * showed it.
 *
 * @param shown the setup as the page showed it
 * @param wanted the same with what was changed
 */
export async function changeSetup(shown: Setup, wanted: Setup): Promise<void> {
  await db.transaction('rw', db.setups, async () => {
    const stored = (await db.setups.get(wanted.itemId)) ?? shown;
    const known: Record<string, unknown> = shown;
    const changed = Object.entries(wanted).filter(
      ([key, value]) => JSON.stringify(value) !== JSON.stringify(known[key])
    );
    await db.setups.put({ ...stored, ...(Object.fromEntries(changed) as Partial<Setup>) });
  });
}
