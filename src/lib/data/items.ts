import { isSame } from '$lib/core/documents/changes';
import { type DocumentError, readDocument, readValue } from '$lib/core/documents/files';
import type { Item } from '$lib/core/documents/item';
import { Hoop, type Setup, type Shop } from '$lib/core/documents/shop';
import { db } from './db';
import { storeNew } from './edits';
import { readable, readOne } from './rows';
import { getShop } from './shop';

/** Every item, the last worked on first; those put away too. */
export async function listItems(): Promise<Item[]> {
  return readable('item', await db.items.orderBy('updatedAt').reverse().toArray());
}

export async function getItem(id: string): Promise<Item | undefined> {
  return readOne('item', await db.items.get(id));
}

/** Saves a new item together with the setup chosen for it; it can be taken back. */
export function addItem(item: Item, setup: Setup): Promise<void> {
  return storeNew(`a new item · ${item.name}`, { item, setup });
}

/** Copies an item and its setup under a new id and name; gives the copy. */
export async function duplicateItem(id: string, newId: string, now: string): Promise<Item | undefined> {
  const item = await getItem(id);
  if (!item) return undefined;
  const copy: Item = {
    ...item,
    id: newId,
    name: `${item.name.slice(0, 112)}, copy`,
    createdAt: now,
    updatedAt: now
  };
  delete copy.putAwayAt;
  const setup = await getSetup(id);
  await storeNew(`a copy · ${item.name}`, {
    item: copy,
    ...(setup && { setup: { ...setup, itemId: newId } })
  });
  return copy;
}

/** An item as a file carries it: with how it is made, and the hoop it is made in. */
export function itemFile(item: Item, setup: Setup, shop: Shop): object {
  return { ...item, setup, hoop: shop.hoops.find(({ id }) => id === setup.hoopId) };
}

/** The setup a file carries, for an item as it is here: in the hoop of this shop that is the file’s own, or one of the same field. */
function setupIn(file: { setup?: unknown; hoop?: unknown }, item: Item, { hoops }: Shop): Setup | undefined {
  const read = readValue('setup', file.setup);
  if (!read.ok) return undefined;
  const brought = Hoop.safeParse(file.hoop).data;
  const own =
    hoops.find(({ id, field }) => id === brought?.id && isSame(field, brought.field)) ??
    hoops.find(({ field }) => isSame(field, brought?.field));
  return { ...read.document, itemId: item.id, hoopId: own?.id ?? read.document.hoopId };
}

/**
 * Brings in an item from the text of a file, with the setup the file carries. An item already here is never overwritten: the
 * file’s comes in beside it under `freshId`. When the file is refused nothing stored changes.
 */
export async function importItem(
  text: string,
  freshId: string,
  now: string
): Promise<{ ok: true; item: Item } | { ok: false; error: DocumentError }> {
  const read = readDocument('item', text);
  if (!read.ok) return read;
  const file = JSON.parse(text) as { setup?: unknown; hoop?: unknown };
  const shop = await getShop();
  const there = (await db.items.get(read.document.id)) !== undefined;
  const item: Item = { ...read.document, id: there ? freshId : read.document.id, updatedAt: now };
  const setup = setupIn(file, item, shop);
  await storeNew(`an item from a file · ${item.name}`, { item, ...(setup && { setup }) });
  return { ok: true as const, item };
}

export async function getSetup(itemId: string): Promise<Setup | undefined> {
  return readOne('setup', await db.setups.get(itemId));
}

/** Every setup. */
export async function listSetups(): Promise<Setup[]> {
  return readable('setup', await db.setups.toArray());
}

/** An item as it lies in the store, whether it can be read or not. */
export async function rawItem(id: string): Promise<object | undefined> {
  return db.items.get(id);
}
