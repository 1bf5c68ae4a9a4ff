import { z } from 'zod';
import { CUT_JOB_HISTORY, CutJob } from '$lib/core/documents/cutJob';
import { brokenReferences, Item, ITEM_HISTORY } from '$lib/core/documents/item';
import { Order, ORDER_HISTORY } from '$lib/core/documents/order';
import { OwnPattern, PATTERN_HISTORY } from '$lib/core/documents/pattern';
import { Plan, PLAN_HISTORY } from '$lib/core/documents/plan';
import { Run, RUN_HISTORY, RunHead } from '$lib/core/documents/run';
import { Setup, SETUP_HISTORY, Shop, SHOP_HISTORY } from '$lib/core/documents/shop';
import { Stash, STASH_HISTORY, StashEntry } from '$lib/core/documents/stash';
import { type RawDocument, type VersionHistory, versionOf } from '$lib/core/documents/versions';
import { Backup, BACKUP_HISTORY } from './backup';

/** The documents that are saved, sent and exported, by the name their `schema` field ends with. */
export const DOCUMENTS = {
  item: Item,
  setup: Setup,
  shop: Shop,
  stash: Stash,
  run: Run,
  order: Order,
  pattern: OwnPattern,
  plan: Plan,
  'cut-job': CutJob,
  backup: Backup
} as const;
export type DocumentKind = keyof typeof DOCUMENTS;
type DocumentOf<K extends DocumentKind> = z.output<(typeof DOCUMENTS)[K]>;

/** Why a document cannot be read: a code, the field, and a sentence a person can act on. */
export interface DocumentError {
  code: 'not-json' | 'wrong-kind' | 'newer' | 'invalid';
  path: string;
  message: string;
}

export type DocumentResult<T> = { ok: true; document: T } | { ok: false; error: DocumentError };

/** The versions each kind has had; a line of the stash lies in a row of its own. */
const HISTORIES: Record<DocumentKind, VersionHistory> = {
  item: ITEM_HISTORY,
  setup: SETUP_HISTORY,
  shop: SHOP_HISTORY,
  stash: STASH_HISTORY,
  run: RUN_HISTORY,
  order: ORDER_HISTORY,
  pattern: PATTERN_HISTORY,
  plan: PLAN_HISTORY,
  'cut-job': CUT_JOB_HISTORY,
  backup: BACKUP_HISTORY
};

/**
 * Reads a document from JSON text. Nothing is changed or stored; a document that is broken, of another
 * kind, or from a newer Jolt Step is refused with a sentence that names the field.
 *
 * @example
 * readDocument('item', '{"schema":"jolt-step/item","version":9}')
 * // { ok: false, error: { code: 'newer', path: 'version', message: 'This item was written by …' } }
 */
export function readDocument<K extends DocumentKind>(kind: K, text: string): DocumentResult<DocumentOf<K>> {
  let value: unknown;
  try {
    value = JSON.parse(text);
  } catch (error) {
    const why = error instanceof Error ? error.message : String(error);
    return refuse('not-json', '', `This is not ${article(kind)} file: it is not JSON (${why}).`);
  }
  return readValue(kind, value);
}

/** Reads a document from a value already parsed; as `readDocument` otherwise. */
export function readValue<K extends DocumentKind>(kind: K, value: unknown): DocumentResult<DocumentOf<K>> {
  if (typeof value !== 'object' || value === null || Array.isArray(value)) {
    return refuse('wrong-kind', '', `This is not ${article(kind)} file: it holds nothing of the kind.`);
  }
  const raw = value as RawDocument;
  if (raw.schema !== `jolt-step/${kind}`) {
    const found = typeof raw.schema === 'string' ? `“${raw.schema}”` : 'nothing';
    return refuse(
      'wrong-kind',
      'schema',
      `This is not ${article(kind)} file: its field “schema” says ${found} instead of “jolt-step/${kind}”.`
    );
  }
  const current = versionOf(HISTORIES[kind]);
  const { version } = raw;
  if (typeof version !== 'number' || !Number.isInteger(version) || version < 1) {
    return refuse('invalid', 'version', 'The field “version” must be a whole number from 1.');
  }
  if (version > current) {
    return refuse(
      'newer',
      'version',
      `This ${kind} was written by a newer Jolt Step: its field “version” says ${version}, this one reads up to ${current}. Update, then open it again.`
    );
  }
  const parsed = DOCUMENTS[kind].safeParse(raw);
  if (!parsed.success) return invalid(kind, parsed.error);
  if (kind === 'item') {
    const broken = brokenReferences(parsed.data as Item)[0];
    if (broken)
      return refuse('invalid', broken.path, `The field “${broken.path}” of this item ${broken.message}.`);
  }
  return { ok: true, document: parsed.data as DocumentOf<K> };
}

/** The rows of the browser’s database, by what they hold. */
const ROWS = {
  item: Item,
  setup: Setup,
  shop: Shop,
  order: Order,
  run: RunHead,
  'cut job': CutJob,
  'line of the stash': StashEntry
} as const;
export type RowKind = keyof typeof ROWS;
export type RowOf<K extends RowKind> = z.output<(typeof ROWS)[K]>;

/** Reads a row of the database through the schema of its kind: one of an older version is lifted, a broken one refused. */
export function readRow<K extends RowKind>(kind: K, row: unknown): DocumentResult<RowOf<K>> {
  const parsed = ROWS[kind].safeParse(row);
  return parsed.success ? { ok: true, document: parsed.data as RowOf<K> } : invalid(kind, parsed.error);
}

/** The JSON Schema of a kind of document, for other programs. */
export function jsonSchema(kind: DocumentKind): unknown {
  return z.toJSONSchema(DOCUMENTS[kind], { io: 'input', unrepresentable: 'any' });
}

/** The first thing wrong, with its field. */
function invalid(kind: string, { issues }: z.ZodError): { ok: false; error: DocumentError } {
  const path = issues[0]?.path.join('.') ?? '';
  return refuse(
    'invalid',
    path,
    `The field “${path || 'document'}” of this ${kind} is wrong: ${sentence(issues[0]?.message)}`
  );
}

function refuse(
  code: DocumentError['code'],
  path: string,
  message: string
): { ok: false; error: DocumentError } {
  return { ok: false, error: { code, path, message } };
}

function article(kind: DocumentKind): string {
  return kind === 'item' || kind === 'order' ? `an ${kind}` : `a ${kind}`;
}

function sentence(message = 'it cannot be read'): string {
  const text = message.charAt(0).toLowerCase() + message.slice(1);
  return text.endsWith('.') ? text : `${text}.`;
}
