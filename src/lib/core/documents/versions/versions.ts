import { z } from 'zod';

/** A document as it lies in a file or a row, not looked at yet. */
export type RawDocument = Record<string, unknown>;

/** Makes a document of one version into one of the next. It may rely on nothing: the schema looks at the result. */
export type Lift = (document: RawDocument) => RawDocument;

/** Every version a kind of document has had: the first lift goes from version 1 to 2, and so on. */
export interface VersionHistory {
  /** What the maker calls it: “This item was written by a newer Jolt Step.” */
  readonly kind: string;
  readonly lifts: Lift[];
}

/**
 * The version of today: one more than there are lifts.
 *
 * @example
 * versionOf({ kind: 'item', lifts: [withCodes] }) // 2
 */
export function versionOf({ lifts }: VersionHistory): number {
  return lifts.length + 1;
}

/**
 * The schema of a kind of document in all its versions: one of an older version is lifted step by step before it is looked
 * at, wherever it lies, so inside a run or a backup as well as alone.
 *
 * @param history its lifts; a test may add one
 * @param today the schema of its newest version
 *
 * @example
 * versioned(ITEM_HISTORY, z.object({ version: versionField(ITEM_HISTORY), … })).parse(itemOfVersion1).version // 2
 */
export function versioned<S extends z.ZodType>(history: VersionHistory, today: S) {
  return z.preprocess((value) => lifted(value, history), today);
}

/** The field that says the version: after lifting it is today’s, or the document is newer than this program. */
export function versionField(history: VersionHistory) {
  return z
    .number()
    .int()
    .min(1)
    .refine((version) => version === versionOf(history), {
      error: ({ input }) =>
        `this ${history.kind} was written by a newer Jolt Step: its version is ${String(input)}, this one reads up to ${versionOf(history)}`
    });
}

function lifted(value: unknown, history: VersionHistory): unknown {
  if (typeof value !== 'object' || value === null || Array.isArray(value)) return value;
  const raw = value as RawDocument;
  // A line of the stash had no version at first.
  const from = raw.version === undefined ? 1 : raw.version;
  if (typeof from !== 'number' || !Number.isInteger(from) || from < 1 || from >= versionOf(history))
    return value;
  return history.lifts
    .slice(from - 1)
    .reduce((document, lift, at): RawDocument => ({ ...tried(document, lift), version: from + at + 1 }), raw);
}

/** A document too broken to be lifted goes on as it is: the schema says what is wrong with it. */
function tried(document: RawDocument, lift: Lift): RawDocument {
  try {
    return lift(document);
  } catch (problem) {
    if (problem instanceof TypeError || problem instanceof RangeError) return document;
    throw problem;
  }
}
