import { z } from 'zod';
import { messageOf } from '$lib/core/base/problems';
import { CutJob } from '$lib/core/documents/cutJob';
import { brokenReferences, Item } from '$lib/core/documents/item';
import { Order } from '$lib/core/documents/order';
import { Run } from '$lib/core/documents/run';
import { Setup, Shop } from '$lib/core/documents/shop';
import { StashEntry } from '$lib/core/documents/stash';
import { type Backup, BACKUP_VERSION, emptyBackup, PhotoText, PictureText } from './backup';
import { type JsonPart, JsonSplitter } from './splitJson';

/** A document of a backup that cannot be brought back, and why. */
export interface LeftOut {
  /** What it is, as a maker calls it. */
  what: string;
  /** Its name, or its place in the file. */
  name: string;
  why: string;
}

/** All of a backup that can be brought back. */
export interface LooseBackup {
  backup: Backup;
  left: LeftOut[];
  /** The file breaks off. */
  truncated: boolean;
  /** It was written by a newer Jolt Step. */
  newer: boolean;
}

const Meta = z.object({ key: z.string().min(1), value: z.unknown() });

/** Lists of a backup: what each document is called, and its schema. */
const LISTS = {
  items: { what: 'item', schema: Item },
  setups: { what: 'setup', schema: Setup },
  runs: { what: 'run', schema: Run },
  orders: { what: 'order', schema: Order },
  stash: { what: 'line of the stash', schema: StashEntry },
  cutJobs: { what: 'cutting plan', schema: CutJob },
  meta: { what: 'setting', schema: Meta },
  photos: { what: 'photo', schema: PhotoText },
  pictures: { what: 'picture', schema: PictureText }
} as const;
type List = keyof typeof LISTS;
const isList = (field: string): field is List => Object.hasOwn(LISTS, field);

/** A document that cannot be read as one of a newer Jolt Step can. */
const NEWER = 'it was written by a newer Jolt Step';

/**
 * Reads a backup part by part as its text comes in: what is whole and valid is kept, the rest is named. A file that breaks off,
 * is newer, very large, or has a broken document gives all the others.
 *
 * @example
 * const reader = new BackupReader();
 * for (const chunk of chunks) reader.push(chunk);
 * reader.end()?.left // [{ what: 'item', name: 'Badger tab', why: 'steps.3.op: …' }]
 */
export class BackupReader {
  readonly #backup = emptyBackup();
  readonly #left: LeftOut[] = [];
  #isBackup = false;
  #newer = false;
  readonly #splitter = new JsonSplitter((part) => this.#take(part));

  push(chunk: string): void {
    this.#splitter.push(chunk);
  }

  /** What was found; null where the file is no backup. */
  end(): LooseBackup | null {
    const whole = this.#splitter.end();
    if (!this.#isBackup) return null;
    return { backup: this.#backup, left: this.#left, truncated: !whole, newer: this.#newer };
  }

  #take({ field, at, text }: JsonPart): void {
    let value: unknown;
    try {
      value = JSON.parse(text);
    } catch (problem) {
      this.#left.push({
        what: isList(field) ? LISTS[field].what : field,
        name: place(at),
        why: `it is broken: ${messageOf(problem)}`
      });
      return;
    }
    if (field === 'schema') this.#isBackup = value === 'jolt-step/backup';
    else if (field === 'version') this.#newer = typeof value === 'number' && value > BACKUP_VERSION;
    else if (field === 'at' && typeof value === 'string' && !Number.isNaN(Date.parse(value)))
      this.#backup.at = new Date(value).toISOString();
    else if (field === 'shop' && value !== null) {
      const shop = Shop.safeParse(value);
      if (shop.success) this.#backup.shop = shop.data;
      else this.#left.push({ what: 'shop', name: nameOf(value, at), why: whyNot(shop.error) });
    } else if (isList(field)) this.#add(field, value, at);
  }

  #add(field: List, value: unknown, at: number | null): void {
    const { what, schema } = LISTS[field];
    const read = schema.safeParse(value);
    const broken = read.success && field === 'items' ? brokenReferences(read.data as Item)[0] : undefined;
    if (!read.success || broken) {
      const why = read.success ? `${broken?.path ?? ''} ${broken?.message ?? ''}` : whyNot(read.error);
      this.#left.push({ what, name: nameOf(value, at), why });
      return;
    }
    const list = this.#backup[field] as unknown[];
    list.push(read.data);
  }
}

function whyNot({ issues }: z.ZodError): string {
  const [first] = issues;
  const path = first?.path.join('.') ?? '';
  if (path === 'version') return NEWER;
  return `${path ? `${path}: ` : ''}${first?.message ?? 'it cannot be read'}`;
}

function nameOf(value: unknown, at: number | null): string {
  if (typeof value !== 'object' || value === null) return place(at);
  for (const key of ['name', 'itemName', 'id', 'key'] as const) {
    const found: unknown = Reflect.get(value, key);
    if (typeof found === 'string' && found.trim()) return found.slice(0, 120);
  }
  return place(at);
}

const place = (at: number | null): string => (at === null ? 'without a name' : `number ${at + 1}`);
