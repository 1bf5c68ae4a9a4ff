import type { z } from 'zod';
import type { Material } from '$lib/core/documents/item';
import { asSchool, choice, count, type Field } from './fields';
import { MATERIALS } from './materials';

/** Stabilisers a maker may choose, by what they are called, and what the piece is called on the sheet. */
export const STABILISERS = {
  'tear-away': { label: 'Tear-away', name: 'Stabiliser', material: MATERIALS.tearAway },
  cutaway: { label: 'Cutaway', name: 'Stabiliser', material: MATERIALS.cutaway },
  'soft-mesh': { label: 'Soft mesh cutaway', name: 'Stabiliser', material: MATERIALS.softMesh },
  'wash-away': { label: 'Wash-away, cloth type', name: 'Wash-away', material: MATERIALS.washAway },
  film: { label: 'Wash-away film', name: 'Film', material: MATERIALS.film },
  sticky: { label: 'Sticky wash-away', name: 'Sticky wash-away', material: MATERIALS.sticky }
} as const satisfies Record<string, { label: string; name: string; material: Material }>;
export type StabiliserKind = keyof typeof STABILISERS;

/** What some stabilisers are called, or all of them. */
export function stabiliserWords<K extends StabiliserKind = StabiliserKind>(
  kinds = Object.keys(STABILISERS) as K[]
): Record<K, string> {
  return Object.fromEntries(kinds.map((kind) => [kind, STABILISERS[kind].label])) as Record<K, string>;
}

/** Asks which stabiliser is hooped and in how many layers; the first answers are what most makers take. */
export function stabiliserFields<K extends StabiliserKind>(
  kinds: readonly [K, ...K[]],
  usual: NoInfer<K>,
  layers: number,
  least = 1
): {
  stabiliser: Field<z.ZodDefault<z.ZodEnum<{ [P in K]: P }>>>;
  layers: Field<z.ZodDefault<z.ZodNumber>>;
} {
  return {
    stabiliser: asSchool(choice('Stabiliser', stabiliserWords([...kinds]), usual), 'stabiliser'),
    layers: count('Layers of stabiliser', layers, least, 4)
  };
}
