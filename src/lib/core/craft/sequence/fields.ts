import { isSame } from '$lib/core/documents/changes';
import { z } from 'zod';
import { type Outline, Path, Point, type Shape } from '$lib/core/base/geometry';
import { type Hold, Material, type MaterialKind } from '$lib/core/documents/item';

/** A choice and what it is called. */
interface Option {
  value: string;
  label: string;
}

/** Another answer that makes a question matter. */
interface Where {
  key: string;
  values: readonly string[];
}

/** What is usual beside each of the answers to another question. */
interface Usual {
  key: string;
  by: Readonly<Record<string, unknown>>;
}

/** How a field is asked; the screen draws it by its kind. */
type Asked = {
  label: string;
  help?: string | undefined;
  where?: Where | undefined;
  school?: string;
  usual?: Usual;
} & (
  | { kind: 'length' | 'number'; least: number; most: number }
  | { kind: 'text' }
  | { kind: 'choice' | 'outline'; options: Option[] }
  | { kind: 'material'; kinds: Option[] }
  | { kind: 'thread' | 'threads'; onlyWithoutChart: true }
);

/** A question under the name of its answer. */
export type Question = Asked & { key: string };

/** One thing a construction asks: how it is asked, and what an answer must be, the usual one included. */
export interface Field<S extends z.ZodType = z.ZodType> {
  asked: Asked;
  answer: S;
}

/** What a block knows without asking. */
export interface KnownField<S extends z.ZodType = z.ZodType> {
  asked: null;
  answer: S;
}

/** Everything a construction asks, in its order. */
export type Fields = Readonly<Record<string, Field | KnownField>>;

/** The answers to fields. */
export type AnswersOf<F extends Fields> = { [K in keyof F]: z.output<F[K]['answer']> };

/** An answer that is known when the block is made. */
export function known<S extends z.ZodType>(answer: S): KnownField<S> {
  return { asked: null, answer };
}

/** The questions of fields, in their order. */
export function questionsOf(fields: Fields): Question[] {
  return Object.entries(fields).flatMap(([key, { asked }]) => (asked ? [{ key, ...asked }] : []));
}

/**
 * A field that matters only where another has one of some answers; elsewhere it is not asked.
 *
 * @example
 * onlyWhere(length('Opening', 80), 'closes', 'opening')
 */
export function onlyWhere<S extends z.ZodType>(
  { asked, answer }: Field<S>,
  key: string,
  ...values: string[]
): Field<S> {
  return { asked: { ...asked, where: { key, values } }, answer };
}

/**
 * A field whose usual answer depends on another’s, as the size of what was bought on what it is.
 *
 * @example
 * usuallyBy(length('Its own width', 500), 'thing', { towel: 500, napkin: 400 })
 */
export function usuallyBy<S extends z.ZodType>(
  { asked, answer }: Field<S>,
  key: string,
  by: Readonly<Record<string, z.output<S>>>
): Field<S> {
  return { asked: { ...asked, usual: { key, by } }, answer };
}

/**
 * Changed answers, with those that go along: what stood at the usual beside the old answer is the usual beside the new one.
 *
 * @param given every answer before
 *
 * @example
 * withUsual(questions, { thing: 'towel', width: 500, height: 750 }, { thing: 'napkin' })
 * // { thing: 'napkin', width: 400 }: the height was the maker’s own
 */
export function withUsual(
  questions: readonly Question[],
  given: Readonly<Record<string, unknown>>,
  changed: Readonly<Record<string, unknown>>
): Record<string, unknown> {
  const along = questions.flatMap(({ key, usual }) => {
    if (!usual || key in changed || !(usual.key in changed)) return [];
    const [was, is] = [given, changed].map((answers) => usual.by[String(answers[usual.key])]);
    return is !== undefined && isSame(was, given[key]) ? [[key, is]] : [];
  });
  return { ...Object.fromEntries(along), ...changed };
}

/** A field where makers differ: what one answers is remembered over items. */
export function asSchool<S extends z.ZodType>({ asked, answer }: Field<S>, school: string): Field<S> {
  return { asked: { ...asked, school }, answer };
}

/**
 * The usual answers, with those this maker gives where makers differ.
 *
 * @example
 * inSchool(questions, { held: 'spray' }, { hold: 'tape' }) // { held: 'tape' }
 */
export function inSchool(
  questions: readonly Question[],
  defaults: Readonly<Record<string, unknown>>,
  schools: Readonly<Record<string, string>>
): Record<string, unknown> {
  const own = questions.flatMap(({ key, school, ...asked }) => {
    const answer = school === undefined ? undefined : schools[school];
    const known = asked.kind === 'choice' && asked.options.some(({ value }) => value === answer);
    return known ? [[key, answer]] : [];
  });
  return { ...defaults, ...Object.fromEntries(own) };
}

/** Whether a question matters with the answers given. */
export function isAsked({ where }: Question, given: Readonly<Record<string, unknown>>): boolean {
  return where === undefined || where.values.includes(String(given[where.key]));
}

const field = <S extends z.ZodType>(asked: Asked, answer: S): Field<S> => ({ asked, answer });
const optionsOf = (words: Readonly<Partial<Record<string, string>>>): Option[] =>
  Object.entries(words).map(([value, label]) => ({ value, label: label ?? value }));

/** A side of an outline or the like, mm. */
export function length(
  label: string,
  standard: number,
  least = 5,
  most = 1000,
  help?: string
): Field<z.ZodDefault<z.ZodNumber>> {
  return field(
    { kind: 'length', label, help, least, most },
    z
      .number('give a length')
      .min(least, `at least ${least} mm`)
      .max(most, `at most ${most} mm`)
      .default(standard)
  );
}

/** How many. */
export function count(
  label: string,
  standard: number,
  least: number,
  most: number,
  help?: string
): Field<z.ZodDefault<z.ZodNumber>> {
  return field(
    { kind: 'number', label, help, least, most },
    z
      .number('give a number')
      .int('give a whole number')
      .min(least, `at least ${least}`)
      .max(most, `at most ${most}`)
      .default(standard)
  );
}

/** A few words. */
export function text<S extends z.ZodType>(label: string, answer: S): Field<S> {
  return field({ kind: 'text', label }, answer);
}

/** One of several, by what they are called. */
export function choice<const K extends string>(
  label: string,
  words: Readonly<Record<K, string>>,
  standard: NoInfer<K>,
  help?: string
): Field<z.ZodDefault<z.ZodEnum<{ [P in K]: P }>>> {
  const options = optionsOf(words);
  const values = options.map(({ value }) => value) as [K, ...K[]];
  const answer = z.enum(values, { error: () => noneOf(options) }) as unknown as z.ZodEnum<{ [P in K]: P }>;
  // The standard answer is one of the keys by its type.
  const usual = standard as unknown as z.util.NoUndefined<z.output<typeof answer>>;
  return field({ kind: 'choice', label, help, options }, answer.default(usual));
}

/** What is said of an answer that is none of those there are. */
const noneOf = (options: readonly { label: string }[]): string =>
  `choose one of: ${options.map(({ label }) => label).join('; ')}`;

/** An outline the maker has drawn; it is stretched to the width and height that are asked. */
const DrawnOutline = z.object({
  drawn: Path.extend({ points: z.array(Point).min(3).max(5000) }).refine(
    ({ closed }) => closed,
    'choose an outline that is closed'
  )
});

const SHAPE_LABELS: Record<Shape, string> = {
  rectangle: 'Square corners',
  rounded: 'Rounded corners',
  tab: 'Rounded ends',
  oval: 'Circle or oval',
  shield: 'Shield',
  heart: 'Heart',
  bib: 'Bib',
  pouch: 'Pouch front',
  scallop: 'Scalloped',
  triangle: 'Triangle',
  hexagon: 'Six-sided'
};

/** One of the outlines a construction offers, the first being the usual one, or one that was drawn. */
export function outline<const Shapes extends readonly [Shape, ...Shape[]]>(
  ...shapes: Shapes
): Field<z.ZodDefault<z.ZodType<Outline>>> {
  const options = shapes.map((value) => ({ value, label: SHAPE_LABELS[value] }));
  const answer: z.ZodType<Outline> = z.union([z.enum(shapes), DrawnOutline], {
    error: () => `${noneOf(options)}, or one that is drawn`
  });
  return field({ kind: 'outline', label: 'Shape', options }, answer.default(shapes[0]));
}

/** What a piece is made of. */
export function material(
  label: string,
  kinds: Partial<Record<MaterialKind, string>>,
  [kind, name, colour]: readonly [kind: MaterialKind, name: string, colour: string],
  help?: string
): Field<z.ZodDefault<typeof Material>> {
  return field(
    { kind: 'material', label, help, kinds: optionsOf(kinds) },
    Material.default({ kind, name, colour })
  );
}

/** What a piece can be held with, where makers differ. */
const HOLDS = { tape: 'Tape', spray: 'Spray', glue: 'Glue stick', pins: 'Pins' } as const;
export type HeldBy = keyof typeof HOLDS;

/** How a piece is held. */
export function hold(label: string, standard: HeldBy): Field<z.ZodDefault<z.ZodEnum<{ [P in HeldBy]: P }>>> {
  // Where spray would do, makers who do not spray take what they always take.
  const asked = choice(label, HOLDS, standard);
  return standard === 'spray' ? asSchool(asked, 'hold') : asked;
}

/** A way of holding with its usual number of strips or pins. */
export function heldAs(by: HeldBy): Hold {
  if (by === 'tape') return { by, strips: 4 };
  return by === 'pins' ? { by, pins: 4, away: 12 } : { by };
}

/**
 * How a cloth is held: as it is asked, but for pins, which leave holes in vinyl for good.
 *
 * @example
 * heldOn({ kind: 'vinyl', … }, 'pins') // { by: 'tape', strips: 4 }
 */
export function heldOn(cloth: Material, by: HeldBy): Hold {
  return heldAs(cloth.kind === 'vinyl' && by === 'pins' ? 'tape' : by);
}

const ThreadAnswer = z.object({
  name: z.string().trim().min(1, 'give the thread a name').max(80),
  colour: z.string().regex(/^#[0-9a-f]{6}$/, 'choose a colour')
});

/** A thread, where no chart names it. */
export function thread(
  label: string,
  name: string,
  colour: string
): Field<z.ZodDefault<typeof ThreadAnswer>> {
  return field({ kind: 'thread', label, onlyWithoutChart: true }, ThreadAnswer.default({ name, colour }));
}

/** Detail colours in their order, where no chart names them. */
export function threads(
  label: string,
  ...standard: [name: string, colour: string][]
): Field<z.ZodDefault<z.ZodArray<typeof ThreadAnswer>>> {
  return field(
    { kind: 'threads', label, onlyWithoutChart: true },
    z
      .array(ThreadAnswer)
      .max(30)
      .default(standard.map(([name, colour]) => ({ name, colour })))
  );
}
