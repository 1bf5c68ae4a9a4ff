import { InWords } from '$lib/core/base/problems';
import { isSame, merge } from '$lib/core/documents/changes';
import type { CutJob } from '$lib/core/documents/cutJob';
import { readRow, type RowOf } from '$lib/core/documents/files';
import type { Item } from '$lib/core/documents/item';
import type { Order } from '$lib/core/documents/order';
import { defaultSetup, defaultShop, type Setup, type Shop } from '$lib/core/documents/shop';
import type { StashEntry } from '$lib/core/documents/stash';
import type { Table } from 'dexie';
import { db } from './db';
import { type EditedKind, wordsFor } from './editWords';
import { type DocumentChange, type Edit, editHistory } from './history';
import { askToKeep } from './keep';

/** One browser holds one shop. */
export const SHOP_ID = 'shop';

/** Where each kind lies, and whether it says when it was last worked on. */
const STORES = {
  item: { table: db.items, dated: true },
  setup: { table: db.setups, dated: false },
  shop: { table: db.shops, dated: false },
  order: { table: db.orders, dated: true },
  'cut job': { table: db.cutJobs, dated: false },
  'line of the stash': { table: db.stash, dated: false }
} as const satisfies Record<EditedKind, { table: unknown; dated: boolean }>;

const TABLES = [db.items, db.setups, db.shops, db.orders, db.cutJobs, db.stash];

/** An edit that cannot be stored, in words for the maker. */
export class NotStored extends InWords {}

/**
 * Changes documents as they stand in the store, in one transaction, so that two quick changes both hold and nothing is
 * written that was read a while ago. An edit with words can be taken back.
 *
 * @throws NotStored when the result would not be a document any more; nothing is stored then
 */
function store(
  words: string | null | undefined,
  work: () => Promise<(DocumentChange | null)[]>
): Promise<void> {
  return inTurn(async () => {
    const changes = await db.transaction('rw', TABLES, async () =>
      (await work()).filter((change) => change !== null)
    );
    if (changes.length === 0) return;
    const [first] = changes;
    if (words !== null && first) editHistory.record({ words: words ?? wordsFor(first), changes });
    askToKeep();
  });
}

let last: Promise<unknown> = Promise.resolve();

/** Edits and what takes them back come one after another, so that a quick undo means the edit just made. */
function inTurn<T>(work: () => Promise<T>): Promise<T> {
  const made = last.then(work);
  // Who asked for the edit hears how it went; the next one does not wait for that.
  last = Promise.allSettled([made]);
  return made;
}

/** Changes one document inside a transaction; gives what changed, or null for nothing. */
async function changeOne<K extends EditedKind>(
  kind: K,
  id: string,
  change: (stored: RowOf<K> | null) => RowOf<K> | null,
  touch = true
): Promise<DocumentChange | null> {
  const before = await stored(kind, id);
  const after = change(before);
  if (isSame(after, before)) return null;
  await put(kind, id, after, touch);
  return { kind, id, before, after };
}

async function stored<K extends EditedKind>(kind: K, id: string): Promise<RowOf<K> | null> {
  const row = await tableOf(kind).get(id);
  if (row === undefined) return null;
  const read = readRow(kind, row);
  if (!read.ok) throw new NotStored(read.error.message);
  return read.document;
}

/** @param touch whether the document counts as worked on */
async function put(kind: EditedKind, id: string, document: object | null, touch = true): Promise<void> {
  if (document === null) return tableOf(kind).delete(id);
  const now = new Date().toISOString();
  const read = readRow(kind, STORES[kind].dated && touch ? { ...document, updatedAt: now } : document);
  if (!read.ok) throw new NotStored(`This is not kept. ${read.error.message}`);
  await tableOf(kind).put(read.document);
}

function tableOf(kind: EditedKind): Table<object, string> {
  return STORES[kind].table as unknown as Table<object, string>;
}

const present =
  <T>(change: (document: T) => T) =>
  (document: T | null): T | null =>
    document && change(document);

/**
 * Stores new documents together, as one edit that can be taken back.
 *
 * @throws NotStored where one is no document, or its id is taken
 */
export function storeNew(
  words: string,
  { item, setup, order }: { item?: Item; setup?: Setup; order?: Order }
): Promise<void> {
  const fresh =
    <T>(document: T) =>
    (there: T | null): T => {
      if (there !== null) throw new NotStored('There is one of this id already.');
      return document;
    };
  return store(words, async () => [
    item ? await changeOne('item', item.id, fresh(item), false) : null,
    setup ? await changeOne('setup', setup.itemId, () => setup, false) : null,
    order ? await changeOne('order', order.id, fresh(order), false) : null
  ]);
}

/**
 * Changes an item as it is stored; one that is not there stays so.
 *
 * @param words what an undo takes back; told by the field that changed where missing, and null for what is not taken back
 */
export function changeItem(id: string, change: (item: Item) => Item, words?: string | null): Promise<void> {
  return store(words, async () => [await changeOne('item', id, present(change))]);
}

/** Changes how an item is made this time; what nobody has chosen yet is the shop’s own choice. */
export function changeSetup(
  itemId: string,
  change: (setup: Setup) => Setup,
  words?: string | null
): Promise<void> {
  return store(words, async () => [await setupChanged(itemId, change)]);
}

/** A change of a setup; of an item that has none yet, the usual one is changed. */
async function setupChanged(itemId: string, change: (setup: Setup) => Setup): Promise<DocumentChange | null> {
  const [item, shop] = [await stored('item', itemId), await stored('shop', SHOP_ID)];
  const usual = item && defaultSetup(item, shop ?? defaultShop(SHOP_ID));
  return changeOne('setup', itemId, (setup) => {
    const before = setup ?? usual;
    return before && change(before);
  });
}

/** Changes an item and its setup together, as for a variant that is added and chosen. */
export function changeItemAndSetup(
  id: string,
  changeOfItem: (item: Item) => Item,
  changeOfSetup: (setup: Setup, changed: Item) => Setup,
  words: string
): Promise<void> {
  return store(words, async () => {
    const item = await changeOne('item', id, present(changeOfItem));
    const now = await stored('item', id);
    const shop = (await stored('shop', SHOP_ID)) ?? defaultShop(SHOP_ID);
    return [
      item,
      await changeOne('setup', id, (setup) => {
        const before = setup ?? (now && defaultSetup(now, shop));
        return before && now ? changeOfSetup(before, now) : null;
      })
    ];
  });
}

/** Changes the shop; a new one is stored with its first change. What the runs taught is computed and never stored. */
export function changeShop(change: (shop: Shop) => Shop, words?: string | null): Promise<void> {
  return store(words, async () => [
    await changeOne('shop', SHOP_ID, (shop) => {
      const next = { ...change(shop ?? defaultShop(SHOP_ID)), id: SHOP_ID };
      delete next.learned;
      return next;
    })
  ]);
}

/** Changes an order as it is stored. */
export function changeOrder(
  id: string,
  change: (order: Order) => Order,
  words?: string | null
): Promise<void> {
  return store(words, async () => [await changeOne('order', id, present(change))]);
}

/** Puts an item or an order away, off its list but not gone, or brings it back. */
export function putAway(kind: 'item' | 'order', id: string, away: boolean, words: string): Promise<void> {
  const putAwayAt = away ? new Date().toISOString() : undefined;
  return store(words, async () => {
    const table = tableOf(kind);
    const row = await table.get(id);
    // What cannot be read can still be put out of the way.
    if (row && !readRow(kind, row).ok) {
      await table.put({ ...row, putAwayAt });
      return [];
    }
    const change = <T extends { putAwayAt?: string | undefined }>(document: T | null): T | null => {
      if (!document) return null;
      const next = { ...document, putAwayAt };
      if (!away) delete next.putAwayAt;
      return next;
    };
    return [
      kind === 'item'
        ? await changeOne('item', id, change, false)
        : await changeOne('order', id, change, false)
    ];
  });
}

/** Changes a line of the stash: from null for a new one, to null for one that is taken out. */
export function changeStash(
  id: string,
  change: (entry: StashEntry | null) => StashEntry | null,
  words?: string | null
): Promise<void> {
  return store(words, async () => [await changeOne('line of the stash', id, change)]);
}

/** Changes what is cut together; `usual` is the job where none has been begun. */
export function changeCutJob(
  usual: CutJob,
  change: (job: CutJob) => CutJob,
  words?: string | null
): Promise<void> {
  return store(words, async () => [await changeOne('cut job', usual.id, (job) => change(job ?? usual))]);
}

/** Changes how many of an item are cut: in the job, and in how the item is made where the job is its own; one edit for both. */
export function changeCopies(usual: CutJob, itemId: string, copies: number): Promise<void> {
  return store(undefined, async () => [
    await changeOne('cut job', usual.id, (job) => {
      const now = job ?? usual;
      return {
        ...now,
        wants: now.wants.map((each) => (each.itemId === itemId ? { ...each, copies } : each))
      };
    }),
    ...(itemId === usual.id ? [await setupChanged(itemId, (now) => ({ ...now, copies }))] : [])
  ]);
}

/**
 * Stores what a cut changed, the stash and the job together or not at all.
 *
 * @throws NotStored when an entry is not what the change began with, as when another tab has used it
 */
export function storeCut(
  usual: CutJob,
  change: (job: CutJob) => CutJob,
  changes: readonly { id: string; before: StashEntry | null; after: StashEntry | null }[],
  words?: string
): Promise<void> {
  return store(words, async () => {
    const made: (DocumentChange | null)[] = [];
    for (const { id, before, after } of changes)
      made.push(
        await changeOne('line of the stash', id, (now) => {
          if (!isSame(now, before))
            throw new NotStored(
              `${(before ?? after)?.name ?? 'A cloth'} has been used meanwhile, so this cut is not stored. Plan anew.`
            );
          return after;
        })
      );
    made.push(await changeOne('cut job', usual.id, (job) => change(job ?? usual)));
    return made;
  });
}

/** What an undo or redo came to: the words of the edit, and why it could not be done where it could not. */
export type StepBack = { words: string; problem: string | null };

/** Takes the last edit of this tab back. What others changed meanwhile stays; where both changed the same, it says so. */
export function undoEdit(): Promise<StepBack | null> {
  return inTurn(async () => {
    const edit = editHistory.last;
    if (!edit) return null;
    const problem = await carryOver(edit, ({ before, after }) => [after, before]);
    editHistory.undone(problem === null);
    return { words: edit.words, problem };
  });
}

/** Makes the edit taken back last again. */
export function redoEdit(): Promise<StepBack | null> {
  return inTurn(async () => {
    const edit = editHistory.next;
    if (!edit) return null;
    const problem = await carryOver(edit, ({ before, after }) => [before, after]);
    editHistory.redone(problem === null);
    return { words: edit.words, problem };
  });
}

async function carryOver(
  { changes }: Edit,
  way: (change: DocumentChange) => [from: object | null, to: object | null]
): Promise<string | null> {
  try {
    await db.transaction('rw', TABLES, async () => {
      for (const change of changes) {
        const kind = change.kind as EditedKind;
        const [from, to] = way(change).map(undated);
        const now = undated(await stored(kind, change.id));
        const merged = merge(from, to, now);
        if (!merged.ok)
          throw new NotStored(
            'The same has been changed since, in another tab or by what came after, so it stays as it is.'
          );
        await put(kind, change.id, merged.value as object | null);
      }
    });
    return null;
  } catch (problem) {
    if (problem instanceof NotStored) return problem.message;
    throw problem;
  }
}

/** When something was worked on last is nobody’s edit. */
function undated(document: object | null | undefined): object | null {
  if (!document) return null;
  const rest: Record<string, unknown> = { ...document };
  delete rest.updatedAt;
  return rest;
}
