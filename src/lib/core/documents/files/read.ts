import { z } from 'zod';
import { CutJob } from '$lib/core/documents/cutJob';
import { brokenReferences, Item } from '$lib/core/documents/item';
import { Order } from '$lib/core/documents/order';
import { Plan } from '$lib/core/documents/plan';
import { Run } from '$lib/core/documents/run';
import { Setup, Shop } from '$lib/core/documents/shop';
import { Stash } from '$lib/core/documents/stash';
import { Backup } from './backup';

/** The documents that are saved, sent and exported, by the name their `schema` field ends with. */
export const DOCUMENTS = {
  item: Item,
  setup: Setup,
  shop: Shop,
  stash: Stash,
  run: Run,
  order: Order,
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

/**
 * Changes that lift a document of version n to version n + 1, by kind, the first from version 1. There are
 * none yet: all documents stand at version 1.
 */
type Migration = (document: Record<string, unknown>) => Record<string, unknown>;
const MIGRATIONS: Record<DocumentKind, Migration[]> = {
  item: [],
  setup: [],
  shop: [],
  stash: [],
  run: [],
  order: [],
  plan: [],
  'cut-job': [],
  backup: []
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
  let raw = value as Record<string, unknown>;
  if (raw.schema !== `jolt-step/${kind}`) {
    const found = typeof raw.schema === 'string' ? `“${raw.schema}”` : 'nothing';
    return refuse(
      'wrong-kind',
      'schema',
      `This is not ${article(kind)} file: its field “schema” says ${found} instead of “jolt-step/${kind}”.`
    );
  }
  const current = MIGRATIONS[kind].length + 1;
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
  for (const migrate of MIGRATIONS[kind].slice(version - 1)) raw = migrate(raw);

  const parsed = DOCUMENTS[kind].safeParse(raw);
  if (!parsed.success) {
    const issue = parsed.error.issues[0];
    const path = issue?.path.join('.') ?? '';
    return refuse(
      'invalid',
      path,
      `The field “${path || 'document'}” of this ${kind} is wrong: ${sentence(issue?.message)}`
    );
  }
  if (kind === 'item') {
    const broken = brokenReferences(parsed.data as Item)[0];
    if (broken)
      return refuse('invalid', broken.path, `The field “${broken.path}” of this item ${broken.message}.`);
  }
  return { ok: true, document: parsed.data as DocumentOf<K> };
}

/** The JSON Schema of a kind of document, for other programs. */
export function jsonSchema(kind: DocumentKind): unknown {
  return z.toJSONSchema(DOCUMENTS[kind], { io: 'input', unrepresentable: 'any' });
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
