import type { Block } from '$lib/core/documents/item';
import { isAsked } from '$lib/core/craft/sequence';
import { blockOf } from './all';

/**
 * What a block is made of, in few words: the choices that differ from the usual ones, its cloths and what is written.
 *
 * @example
 * blockWords({ id: 'leaf', kind: 'applique', answers: { edge: 'blanket' } }) // 'Blanket stitch · Carriage red'
 */
export function blockWords({ kind, answers }: Block): string {
  const block = blockOf(kind);
  if (!block) return '';
  const given: Record<string, unknown> = { ...block.defaults, ...answers };
  const words = block.questions.flatMap((question): string[] => {
    if (!isAsked(question, given)) return [];
    const value = given[question.key];
    switch (question.kind) {
      case 'choice':
        if (value === block.defaults[question.key]) return [];
        return question.options.flatMap((option) => (option.value === value ? [option.label] : []));
      case 'material':
      case 'text':
        return nameOf(value);
      case 'number':
        return value === block.defaults[question.key]
          ? []
          : [`${question.label.toLowerCase()} ${String(value)}`];
      default:
        return [];
    }
  });
  return words.slice(0, 3).join(' · ');
}

function nameOf(value: unknown): string[] {
  if (typeof value === 'string') return [`“${value}”`];
  return typeof value === 'object' && value !== null && 'name' in value ? [String(value.name)] : [];
}
