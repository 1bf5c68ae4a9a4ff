import { blockOf } from '$lib/core/craft/blocks';
import type { Question } from '$lib/core/craft/sequence';
import type { Block } from '$lib/core/documents/item';
import type { OwnPattern } from '$lib/core/documents/pattern';
import { constructionOf } from './all';
import { answered } from './answered';
import type { AnyConstruction } from './construction';

/** What a pattern of the maker’s own is called among the constructions. */
const OWN = 'own:';

/**
 * A pattern of the maker’s own as a construction: it asks what was left open, and takes the rest as it was answered.
 *
 * @returns undefined where the construction it builds on is not known here
 *
 * @example
 * asConstruction(mugMat)?.questions.map(({ label }) => label) // ['Width', 'Name: Name or monogram']
 */
function asConstruction(own: OwnPattern): AnyConstruction | undefined {
  const base = constructionOf(own.construction);
  if (!base) return undefined;
  const open = (key: string): boolean => own.asks.includes(key);
  const usual = (block: Block): Record<string, unknown> => ({
    ...blockOf(block.kind)?.defaults,
    ...block.answers
  });
  const questions: Question[] = [
    ...base.questions.filter(({ key }) => open(key)),
    ...own.blocks.flatMap((block) =>
      questionsOf(block)
        .filter(({ key }) => open(`${block.id}.${key}`))
        .map((question): Question => ({
          ...question,
          where: undefined,
          key: `${block.id}.${question.key}`,
          label: `${block.name ?? blockOf(block.kind)?.name ?? block.id}: ${question.label.toLowerCase()}`
        }))
    )
  ];
  const defaults = Object.fromEntries(
    questions.map(({ key }) => {
      const [id, field] = key.split('.');
      const block = field === undefined ? undefined : own.blocks.find((each) => each.id === id);
      return [
        key,
        block && field !== undefined ? usual(block)[field] : (own.params[key] ?? base.defaults[key])
      ];
    })
  );
  const filled = (given: Record<string, unknown>): { params: Record<string, unknown>; blocks: Block[] } =>
    answered(own.params, own.blocks, Object.fromEntries(Object.entries(given).filter(([key]) => open(key))));
  return {
    kind: `${OWN}${own.id}`,
    name: own.name,
    called: [],
    summary: own.summary === '' ? `Your own, as ${base.name.toLowerCase()}.` : own.summary,
    questions,
    defaults,
    patternOf(given, blocks) {
      const answers = filled(given);
      return base.patternOf(answers.params, blocks ?? answers.blocks);
    },
    blocksOf: (given, blocks) => {
      const answers = filled(given);
      return base.blocksOf(answers.params, blocks ?? answers.blocks);
    },
    offers: (given, blocks, at) => base.offers(filled(given).params, blocks, at),
    piecesPerFile: (given) => base.piecesPerFile(filled(given).params)
  };
}

/** The questions of a block; none of a part, which asks nothing of its own. */
export function questionsOf({ kind }: Block): Question[] {
  return blockOf(kind)?.questions ?? [];
}

/** Every construction with the maker’s own behind them. */
export function withOwn(
  constructions: readonly AnyConstruction[],
  own: readonly OwnPattern[]
): AnyConstruction[] {
  return [...constructions, ...own.flatMap((pattern) => asConstruction(pattern) ?? [])];
}

/** Whether a kind is a pattern of the maker’s own. */
export function isOwn(kind: string): boolean {
  return kind.startsWith(OWN);
}
