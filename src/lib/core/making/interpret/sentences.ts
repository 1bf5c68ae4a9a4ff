import type { Item } from '$lib/core/documents/item';
import type { SheetReading } from '$lib/core/reading/sheets';
import type { Interpretation } from './judge';

/** Longest note beside a step, and longest sentence kept. */
const MOST_NOTE = 2000;
const MOST_SENTENCE = 1000;

/**
 * The item with each sentence as a note beside the first step it asks for; sentences that ask for nothing, or for what no step
 * does, are kept in a list of their own.
 *
 * @param name of the sheet
 *
 * @example
 * withSentences(interpretation, sheet, 'Bib').paper?.unused.length
 */
export function withSentences(
  { item, steps }: Pick<Interpretation, 'item' | 'steps'>,
  { sentences, steps: sheetSteps }: Pick<SheetReading, 'sentences' | 'steps'>,
  name: string
): Item {
  const numberOf = (step: number): string => sheetSteps[step]?.number ?? String(step + 1);
  const notes = new Map<string, string>();
  const used = new Set<number>();
  for (const { id, sentence } of steps) {
    if (sentence === null || used.has(sentence)) continue;
    used.add(sentence);
    const own = sentences[sentence];
    if (own) notes.set(id, `Paper ${numberOf(own.step)}: ${own.text}`.slice(0, MOST_NOTE));
  }
  return {
    ...item,
    steps: item.steps.map((step) => ({ ...step, note: notes.get(step.id) ?? step.note })),
    paper: {
      name: name.slice(0, 200),
      unused: sentences
        .filter(({ index }) => !used.has(index))
        .map(({ step, text }) => ({
          number: numberOf(step).slice(0, 40),
          text: text.slice(0, MOST_SENTENCE)
        }))
    }
  };
}
