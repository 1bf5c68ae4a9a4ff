import type { ExpectedStop, Pattern } from '$lib/core/craft/sequence';
import type { Role } from '$lib/core/documents/item';
import type { ReadRow } from '$lib/core/reading/papers';
import { align } from './align';

/** What in the rows of a chart speaks against a pattern, each counted; rows count by how sure their role is. */
export interface Against {
  /** Rows without a stop: colours of a design, and other work. */
  extraSeen: number;
  extraWork: number;
  /** Rows on a stop of another role, and of one that may stand there. */
  otherRole: number;
  alsoRole: number;
  /** Stops it needs, or may have, that no row stands for. */
  lacks: number;
  optional: number;
}

/** What each counts; fitted with those of `builtLike`. */
export const COUNTS: Readonly<Against> = {
  extraSeen: 0.15,
  extraWork: 0.8,
  otherRole: 0.9,
  alsoRole: 0.8,
  lacks: 0.9,
  optional: 0.4
};

/** Any pattern may have further colours. */
const COLOURS: readonly Role[] = ['decoration', 'lettering', 'quilting'];

/**
 * What speaks against a pattern in the rows of a chart, put on its stops as well as they can be.
 *
 * @example
 * against(rowsOfPatch, patchPattern) // { extraSeen: 0, extraWork: 0, otherRole: 0, alsoRole: 0.5, lacks: 0, optional: 0 }
 */
export function against(rows: readonly ReadRow[], { expected }: Pattern): Against {
  const { matches, missing } = align([...rows], expected);
  const stopOf = new Map(expected.map((stop) => [stop.key, stop]));
  const found: Against = { extraSeen: 0, extraWork: 0, otherRole: 0, alsoRole: 0, lacks: 0, optional: 0 };
  rows.forEach((row, at) => {
    const stops = (matches[at]?.keys ?? []).flatMap((key) => stopOf.get(key) ?? []);
    if (stops.length === 0) {
      if (COLOURS.includes(row.role)) found.extraSeen++;
      else found.extraWork += row.confidence;
    } else if (!stops.some(({ role }) => role === row.role))
      found[stops.some((stop) => mayBe(stop, row.role)) ? 'alsoRole' : 'otherRole'] += row.confidence;
  });
  for (const key of missing) found[stopOf.get(key)?.optional === true ? 'optional' : 'lacks']++;
  return found;
}

const mayBe = ({ alsoRoles, asCharted }: ExpectedStop, role: Role): boolean =>
  alsoRoles.includes(role) || asCharted.includes(role);

/** Counts weighed and summed. */
export function weighed<K extends string>(
  counts: Readonly<Record<K, number>>,
  weights: Readonly<Record<K, number>>
): number {
  let sum = 0;
  for (const key in weights) sum += weights[key] * counts[key];
  return sum;
}
