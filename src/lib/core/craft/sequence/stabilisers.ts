import type { z } from 'zod';
import type { Material } from '$lib/core/documents/item';
import { asSchool, choice, count, type Field } from './fields';
import { MATERIALS } from './materials';
import type { Sequence } from './sequence';

/** Stabilisers a maker may choose, by what they are called. */
const KINDS = {
  'tear-away': { label: 'Tear-away', material: MATERIALS.tearAway },
  cutaway: { label: 'Cutaway', material: MATERIALS.cutaway },
  'soft-mesh': { label: 'Soft mesh cutaway', material: MATERIALS.softMesh },
  'wash-away': { label: 'Wash-away, cloth type', material: MATERIALS.washAway },
  film: { label: 'Wash-away film', material: MATERIALS.film }
} as const satisfies Record<string, { label: string; material: Material }>;
export type StabiliserKind = keyof typeof KINDS;

/** What was answered about the stabiliser. */
export interface StabiliserAnswers {
  stabiliser: StabiliserKind;
  layers: number;
}

/** Asks which stabiliser is hooped and in how many layers; the first answers are what most makers take. */
export function stabiliserFields(
  kinds: readonly [StabiliserKind, ...StabiliserKind[]],
  usual: StabiliserKind,
  layers: number,
  least = 1
): {
  stabiliser: Field<z.ZodDefault<z.ZodEnum<{ [P in StabiliserKind]: P }>>>;
  layers: Field<z.ZodDefault<z.ZodNumber>>;
} {
  const words = Object.fromEntries(kinds.map((kind) => [kind, KINDS[kind].label])) as Record<
    StabiliserKind,
    string
  >;
  return {
    stabiliser: asSchool(choice('Stabiliser', words, usual), 'stabiliser'),
    layers: count('Layers of stabiliser', layers, least, 4)
  };
}

/** The material of an answer. */
function stabiliserOf({ stabiliser }: Pick<StabiliserAnswers, 'stabiliser'>): Material {
  return KINDS[stabiliser].material;
}

/** The hooped stabiliser as it was answered; gives its piece. */
export function addStabiliser(
  s: Sequence,
  answers: StabiliserAnswers,
  id = 'stabiliser',
  name = 'STABILISER'
): string {
  return s.piece(id, name, stabiliserOf(answers), 'hooped', { plies: answers.layers });
}

/** Takes the stabiliser off as its kind wants: torn, trimmed back on the wrong side, or rinsed out. */
export function takeStabiliserOff(s: Sequence, { stabiliser }: StabiliserAnswers): void {
  if (stabiliser === 'tear-away') s.hand('tear-away', { do: 'tear-away' }, { needs: ['unhoop'] });
  else if (stabiliser === 'wash-away' || stabiliser === 'film')
    s.hand('rinse-stabiliser', { do: 'rinse' }, { needs: ['unhoop'] });
  else
    s.hand(
      'trim-stabiliser',
      { do: 'other', title: 'Trim the stabiliser on the back, 6 mm from the stitching', seconds: 60 },
      { needs: ['unhoop'] }
    );
}
