import { formatLength, formatSize, formatThread, type LengthUnit } from '$lib/core/base/units';

/** How grave: the item fails, it may fail, or it is worth knowing. */
export type Severity = 'stop' | 'warn' | 'note';

/** What a sentence is made of: names, counts, millimetres. */
export type FindingValues = Readonly<Record<string, string | number | boolean | null>>;

/** What is said of one thing that can be found: what is wrong, and what to do about it. */
export interface Saying<V extends FindingValues> {
  severity: Severity;
  text: (values: V) => string;
  advice: string | ((values: V) => string);
}

/** A saying with the values it is made of. */
export function saying<V extends FindingValues>(
  severity: Severity,
  text: (values: V) => string,
  advice: string | ((values: V) => string)
): Saying<V> {
  return { severity, text, advice };
}

/** “Stop 3” inside a sentence. */
export function inside(called: string): string {
  return called.replace('Stop', 'stop');
}

/** A length in the maker’s unit. */
export function lengthIn(mm: number, unit: string): string {
  return formatLength(mm, unit as LengthUnit);
}

/** A length of thread, metres, as the maker measures. */
export function threadIn(metres: number, unit: string): string {
  return formatThread(metres, unit as LengthUnit, true);
}

/** A size in the maker’s unit. */
export function sizeIn({ width, height, unit }: { width: number; height: number; unit: string }): string {
  return formatSize({ width, height }, unit as LengthUnit);
}
