import { z } from 'zod';
import { Material, type MaterialKind } from '$lib/core/item';

/** Answers that several constructions ask for, with the words for a wrong one. */

/** A side of an outline, mm. */
export function sideMm(standard: number, least = 5, most = 1000): z.ZodDefault<z.ZodNumber> {
  return z
    .number('give a length')
    .min(least, `at least ${least} mm`)
    .max(most, `at most ${most} mm`)
    .default(standard);
}

/** A material with a standard answer. */
export function material(kind: MaterialKind, name: string, colour: string): z.ZodDefault<typeof Material> {
  return Material.default({ kind, name, colour });
}

export const ThreadAnswer = z.object({
  name: z.string().trim().min(1, 'give the thread a name').max(80),
  colour: z.string().regex(/^#[0-9a-f]{6}$/, 'choose a colour')
});
