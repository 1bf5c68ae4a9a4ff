import Dexie, { type EntityTable, type Table } from 'dexie';
import type { CutJob } from '$lib/core/documents/cutJob';
import type { Item } from '$lib/core/documents/item';
import type { Order } from '$lib/core/documents/order';
import type { RunEvent, RunHead } from '$lib/core/documents/run';
import type { Setup, Shop } from '$lib/core/documents/shop';
import type { StashEntry } from '$lib/core/documents/stash';
import type { RunSummary } from '$lib/core/running/runs';
import type { Computed, StoredSummary } from './storedSummary';

/** A small fact about this browser, as that the demo has been brought in. */
export interface Meta {
  key: string;
  value: unknown;
}

/** A photo taken during a run; it stays in this browser and in its backups. */
export interface Photo {
  id: string;
  runId: string;
  /** Milliseconds since 1970. */
  at: number;
  stepId: string | null;
  name: string;
  image: Blob;
}

/** A picture that items or cloths show by its id. */
export interface Picture {
  id: string;
  /** Milliseconds since 1970. */
  at: number;
  image: Blob;
}

/** The tables, as a readable list; each version step below says what it adds. */
class JoltStepDatabase extends Dexie {
  items!: EntityTable<Item, 'id'>;
  setups!: EntityTable<Setup, 'itemId'>;
  shops!: EntityTable<Shop, 'id'>;
  runs!: EntityTable<RunHead, 'id'>;
  /** Keyed by run and sequence, so that one event can never be there twice. */
  events!: Table<RunEvent, [runId: string, seq: number]>;
  meta!: EntityTable<Meta, 'key'>;
  stash!: EntityTable<StashEntry, 'id'>;
  cutJobs!: EntityTable<CutJob, 'id'>;
  photos!: EntityTable<Photo, 'id'>;
  pictures!: EntityTable<Picture, 'id'>;
  orders!: EntityTable<Order, 'id'>;
  /** What lists show of items and runs; made anew from them whenever they change. */
  itemSummaries!: EntityTable<StoredSummary, 'id'>;
  runSummaries!: EntityTable<RunSummary, 'id'>;
  /** What a worker computed for all pages, as what the runs taught. */
  computed!: EntityTable<Computed, 'key'>;

  constructor(name = 'jolt-step') {
    // What was stored is on the disk before the screen moves, so that a power cut loses nothing either.
    super(name, { chromeTransactionDurability: 'strict' });
    firstTables(this);
    stashTables(this);
    photoTable(this);
    orderTable(this);
    summaryTables(this);
    pictureTable(this);
  }
}

function firstTables(db: Dexie): void {
  db.version(1).stores({
    items: 'id, name, updatedAt, putAwayAt',
    setups: 'itemId',
    shops: 'id',
    runs: 'id, itemId, startedAt, finishedAt',
    events: '[runId+seq], runId',
    meta: 'key'
  });
}

function stashTables(db: Dexie): void {
  db.version(2).stores({ stash: 'id, what, name', cutJobs: 'id' });
}

function photoTable(db: Dexie): void {
  db.version(3).stores({ photos: 'id, runId' });
}

function orderTable(db: Dexie): void {
  db.version(4).stores({ orders: 'id, updatedAt', runs: 'id, itemId, startedAt, finishedAt, order.orderId' });
}

function summaryTables(db: Dexie): void {
  db.version(5).stores({ itemSummaries: 'id, stamp, words', runSummaries: 'id, startedAt', computed: 'key' });
}

function pictureTable(db: Dexie): void {
  db.version(6).stores({ pictures: 'id' });
}

export const db = new JoltStepDatabase();
