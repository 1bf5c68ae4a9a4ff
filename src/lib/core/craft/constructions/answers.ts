import { z } from 'zod';
import { type Outline, Path, Point, type Shape } from '$lib/core/base/geometry';
import { type Hold, Material, type MaterialKind } from '$lib/core/documents/item';
import type { Question } from './construction';

/** Answers that several constructions ask for, with the words for a wrong one, and the questions for them. */

/** A side of an outline, mm. */
export function sideMm(standard: number, least = 5, most = 1000): z.ZodDefault<z.ZodNumber> {
  return z
    .number('give a length')
    .min(least, `at least ${least} mm`)
    .max(most, `at most ${most} mm`)
    .default(standard);
}

/** How many. */
export function count(standard: number, least: number, most: number): z.ZodDefault<z.ZodNumber> {
  return z
    .number('give a number')
    .int('give a whole number')
    .min(least, `at least ${least}`)
    .max(most, `at most ${most}`)
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

/** A thread with a standard answer. */
export const thread = (name: string, colour: string): z.ZodDefault<typeof ThreadAnswer> =>
  ThreadAnswer.default({ name, colour });

/** Detail colours with a standard answer. */
export const threads = (
  ...standard: [name: string, colour: string][]
): z.ZodDefault<z.ZodArray<typeof ThreadAnswer>> =>
  z
    .array(ThreadAnswer)
    .max(30)
    .default(standard.map(([name, colour]) => ({ name, colour })));

/** An outline the maker has drawn; it is stretched to the width and height that are asked. */
const DrawnOutline = z.object({
  drawn: Path.extend({ points: z.array(Point).min(3).max(5000) }).refine(
    ({ closed }) => closed,
    'choose an outline that is closed'
  )
});

/** One of the outlines a construction offers, the first being the usual one, or one that was drawn. */
export function shape<const Shapes extends readonly [Shape, ...Shape[]]>(
  ...shapes: Shapes
): z.ZodDefault<z.ZodType<Outline>> {
  const outline: z.ZodType<Outline> = z.union([z.enum(shapes), DrawnOutline]);
  return outline.default(shapes[0]);
}

const SHAPE_LABELS: Record<Shape, string> = {
  rectangle: 'Square corners',
  rounded: 'Rounded corners',
  tab: 'Rounded ends',
  oval: 'Circle or oval',
  shield: 'Shield',
  heart: 'Heart',
  bib: 'Bib',
  pouch: 'Pouch front',
  scallop: 'Scalloped'
};

/** What a piece can be held with, where makers differ. */
export const HOLDS = ['tape', 'spray', 'glue', 'pins'] as const;
export const heldBy = (
  standard: (typeof HOLDS)[number]
): z.ZodDefault<z.ZodEnum<{ tape: 'tape'; spray: 'spray'; glue: 'glue'; pins: 'pins' }>> =>
  z.enum(HOLDS).default(standard);

/** A way of holding with its usual number of strips or pins. */
export function heldAs(by: (typeof HOLDS)[number]): Hold {
  if (by === 'tape') return { by, strips: 4 };
  return by === 'pins' ? { by, pins: 4, away: 12 } : { by };
}

/** The questions, in few words. */
export const ask = {
  length: <K extends string>(key: K, label: string, help?: string): Question<K> => ({
    key,
    kind: 'length',
    label,
    ...(help !== undefined && { help })
  }),
  number: <K extends string>(key: K, label: string, help?: string): Question<K> => ({
    key,
    kind: 'number',
    label,
    ...(help !== undefined && { help })
  }),
  choice: <K extends string>(
    key: K,
    label: string,
    options: Record<string, string>,
    help?: string
  ): Question<K> => ({
    key,
    kind: 'choice',
    label,
    options: Object.entries(options).map(([value, words]) => ({ value, label: words })),
    ...(help !== undefined && { help })
  }),
  shape: (...shapes: Shape[]): Question<'shape'> => ({
    key: 'shape',
    kind: 'outline',
    label: 'Shape',
    options: shapes.map((value) => ({ value, label: SHAPE_LABELS[value] }))
  }),
  material: <K extends string>(
    key: K,
    label: string,
    kinds: Partial<Record<MaterialKind, string>>,
    help?: string
  ): Question<K> => ({
    key,
    kind: 'material',
    label,
    kinds: Object.entries(kinds).map(([value, words]) => ({ value, label: words })),
    ...(help !== undefined && { help })
  }),
  hold: <K extends string>(key: K, label: string): Question<K> =>
    ask.choice(key, label, { tape: 'Tape', spray: 'Spray', glue: 'Glue stick', pins: 'Pins' }),
  thread: <K extends string>(key: K, label: string): Question<K> => ({
    key,
    kind: 'thread',
    label,
    onlyWithoutChart: true
  }),
  threads: <K extends string>(key: K, label: string): Question<K> => ({
    key,
    kind: 'threads',
    label,
    onlyWithoutChart: true
  })
};

/** Stabilisers and the like, as most makers buy them. */
export const MATERIALS = {
  tearAway: { kind: 'tear-away', name: 'Tear-away', colour: '#efece4' },
  cutaway: { kind: 'cutaway', name: 'Cutaway', colour: '#f3f0ea' },
  softMesh: { kind: 'soft-mesh', name: 'Soft mesh cutaway', colour: '#f5f3ee' },
  washAway: { kind: 'wash-away-mesh', name: 'Wash-away, cloth type', colour: '#e9eef0' },
  film: { kind: 'wash-away-film', name: 'Wash-away film', colour: '#dfe9ec' },
  sticky: { kind: 'sticky-wash-away', name: 'Sticky wash-away', colour: '#e6e9df' },
  batting: { kind: 'batting', name: 'Batting', colour: '#f6f2e8' }
} as const satisfies Record<string, Material>;
