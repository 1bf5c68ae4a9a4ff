import { MATERIAL_SAYINGS } from './ofMaterials';
import { ORDER_SAYINGS } from './ofOrder';
import { PIECE_SAYINGS } from './ofPieces';
import { CHART_SAYINGS } from './ofTheChart';
import { NEEDLE_SAYINGS } from './ofTheNeedle';
import type { FindingValues, Saying, Severity } from './saying';

/** Everything that can be found, by code: the check, and what of it. */
const SAYINGS = {
  ...ORDER_SAYINGS,
  ...PIECE_SAYINGS,
  ...NEEDLE_SAYINGS,
  ...MATERIAL_SAYINGS,
  ...CHART_SAYINGS
};

export type FindingCode = keyof typeof SAYINGS;

/** What a code is said with. */
export type ValuesOf<C extends FindingCode> = (typeof SAYINGS)[C] extends Saying<infer V> ? V : never;

/** Something found: a code with its values, and the sentences made from them. */
export interface Found {
  code: FindingCode;
  severity: Severity;
  /** Step of the item where it shows; null for the whole item. */
  stepId: string | null;
  /** The piece, thread or line it is about, where a step can show the same of several. */
  about: string | null;
  values: FindingValues;
  /** One plain sentence: what is wrong. */
  text: string;
  /** What to do about it. */
  advice: string;
}

/** Every code, in the order of the table. */
export const FINDING_CODES = Object.keys(SAYINGS) as FindingCode[];

/** How grave what a code says is. */
export function severityOf(code: FindingCode): Severity {
  return SAYINGS[code].severity;
}

/**
 * Something found, said in its words.
 *
 * @example
 * found('bare/no-cloth', 'satin', { called: 'Stop 4' }).text
 * // 'Stop 4 would run on bare stabiliser: there is no cloth under it.'
 */
export function found<C extends FindingCode>(
  code: C,
  stepId: string | null,
  values: ValuesOf<C>,
  about: string | null = null
): Found {
  const { severity, text, advice } = SAYINGS[code] as unknown as Saying<ValuesOf<C>>;
  return {
    code,
    severity,
    stepId,
    about,
    values,
    text: text(values),
    advice: typeof advice === 'string' ? advice : advice(values)
  };
}

/**
 * The sentence of a code kept in a document, which an older or newer version may have written.
 *
 * @example
 * sentenceOf('chart/no-count', { stop: 3 }) // 'Stop 3 has no stitch count, so its time is not counted.'
 */
export function sentenceOf(code: string, values: FindingValues): string {
  if (!(code in SAYINGS)) return typeof values.text === 'string' ? values.text : code;
  return (SAYINGS[code as FindingCode] as unknown as Saying<FindingValues>).text(values);
}

/** Severities from the least grave on. */
const GRAVITY: readonly Severity[] = ['note', 'warn', 'stop'];

/** Whether a finding is graver than a severity. */
export function isGraver(severity: Severity, than: Severity): boolean {
  return GRAVITY.indexOf(severity) > GRAVITY.indexOf(than);
}
