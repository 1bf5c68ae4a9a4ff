import type { Pattern, PatternEntry, Truth } from './pattern';

/** What a step of a pattern is called by others that need it. */
function nameOf(entry: PatternEntry): string {
  return entry.kind === 'hand' ? entry.id : entry.key;
}

/** Steps a truth names. */
export function stepsOfTruth(truth: Truth): string[] {
  return 'steps' in truth ? truth.steps : 'step' in truth ? [truth.step] : [];
}

/**
 * The names of all steps.
 *
 * @throws RangeError when two steps have one name
 */
export function namesOf({ entries }: Pick<Pattern, 'entries'>): Set<string> {
  const names = entries.map(nameOf);
  const known = new Set(names);
  if (known.size < names.length)
    throw new RangeError(`Two steps are called ${names.find((name, at) => names.indexOf(name) < at)}.`);
  return known;
}
