import { type DocumentResult, readRow, type RowKind, type RowOf } from '$lib/core/documents/files';
import { db } from './db';

/** A stored document that cannot be read: it stays where it is, and stops nothing else. */
export interface SetAside {
  kind: RowKind;
  id: string;
  /** What it calls itself, as far as that can be told. */
  name: string;
  /** What is wrong with it, with the field. */
  problem: string;
  /** The row as it lies there. */
  row: object;
}

/** The rows of a kind that can be read. */
export function readable<K extends RowKind>(kind: K, rows: readonly object[]): RowOf<K>[] {
  return rows.flatMap((row) => {
    const read = readRow(kind, row);
    return read.ok ? [read.document] : [];
  });
}

/** A row, or undefined where there is none or it cannot be read. */
export function readOne<K extends RowKind>(kind: K, row: object | undefined): RowOf<K> | undefined {
  return row && readable(kind, [row])[0];
}

/** Every table with rows of a kind, and the name of its key. */
const TABLES = [
  { kind: 'item', table: db.items, key: 'id' },
  { kind: 'setup', table: db.setups, key: 'itemId' },
  { kind: 'shop', table: db.shops, key: 'id' },
  { kind: 'order', table: db.orders, key: 'id' },
  { kind: 'cut job', table: db.cutJobs, key: 'id' },
  { kind: 'line of the stash', table: db.stash, key: 'id' },
  { kind: 'run', table: db.runs, key: 'id' }
] as const;

/** Everything stored that cannot be read; runs are looked at one by one where they are shown, since they are large. */
export async function setAside(kinds: readonly RowKind[]): Promise<SetAside[]> {
  const found = TABLES.filter(({ kind }) => kinds.includes(kind)).map(async ({ kind, table, key }) => {
    const rows = (await table.toArray()) as unknown as Record<string, unknown>[];
    return rows.flatMap((row): SetAside[] => {
      const read: DocumentResult<unknown> = readRow(kind, row);
      if (read.ok) return [];
      const id = String(row[key]);
      const name = typeof row.name === 'string' && row.name !== '' ? row.name : id;
      return [{ kind, id, name, problem: read.error.message, row }];
    });
  });
  return (await Promise.all(found)).flat();
}

/** Takes a document that cannot be read out of the database, for good. */
export async function takeOut({ kind, id }: Pick<SetAside, 'kind' | 'id'>): Promise<void> {
  await TABLES.find((each) => each.kind === kind)?.table.delete(id);
}
