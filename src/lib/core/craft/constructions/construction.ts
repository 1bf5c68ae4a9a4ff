import type { z } from 'zod';
import type { Pattern } from './pattern';

/** A question a construction asks; the screen draws it by its kind. */
export type Question<Key extends string = string> =
  | { key: Key; kind: 'length'; label: string; help?: string }
  | { key: Key; kind: 'number'; label: string; help?: string }
  | { key: Key; kind: 'text'; label: string; help?: string }
  | { key: Key; kind: 'choice'; label: string; help?: string; options: { value: string; label: string }[] }
  | { key: Key; kind: 'outline'; label: string; help?: string; options: { value: string; label: string }[] }
  | { key: Key; kind: 'material'; label: string; help?: string; kinds: { value: string; label: string }[] }
  | { key: Key; kind: 'thread'; label: string; help?: string; onlyWithoutChart: true }
  | { key: Key; kind: 'threads'; label: string; help?: string; onlyWithoutChart: true };

/**
 * A way of building an item: what it asks and what it makes of the answers. One file holds one.
 * `params` carries the defaults, so `params.parse({})` is a whole set of answers.
 */
export interface Construction<Schema extends z.ZodType = z.ZodType> {
  kind: string;
  name: string;
  summary: string;
  params: Schema;
  questions: Question[];
  pattern(params: z.output<Schema>): Pattern;
}

/** What the rest of the application needs of any construction. */
export interface AnyConstruction {
  kind: string;
  name: string;
  summary: string;
  questions: Question[];
  defaults: Record<string, unknown>;
  /**
   * Makes the pattern from answers that nobody has checked.
   * @returns the pattern with the full answers, or one sentence for each wrong answer
   */
  patternOf(
    answers: Record<string, unknown>
  ): { ok: true; pattern: Pattern; params: Record<string, unknown> } | { ok: false; problems: string[] };
}

/** Hides a construction’s own parameter type behind one that checks them. */
export function sealed<Schema extends z.ZodType<Record<string, unknown>>>(
  construction: Construction<Schema>
): AnyConstruction {
  const { kind, name, summary, questions } = construction;
  return {
    kind,
    name,
    summary,
    questions,
    defaults: construction.params.parse({}),
    patternOf(answers) {
      const parsed = construction.params.safeParse(answers);
      if (!parsed.success) {
        const labelOf = (key: unknown): string =>
          questions.find((question) => question.key === key)?.label ?? String(key ?? 'Answers');
        return {
          ok: false,
          problems: parsed.error.issues.map(({ path, message }) => `${labelOf(path[0])}: ${message}`)
        };
      }
      return { ok: true, pattern: construction.pattern(parsed.data), params: parsed.data };
    }
  };
}
