import type { SheetStep } from './step';

/** A sentence of an instruction sheet, in reading order. */
export interface Sentence {
  index: number;
  /** Place of its step among the steps. */
  step: number;
  text: string;
  /** Lines of the paper its part of the step stands on. */
  lines: number[];
}

/** A sheet with more sentences, or a step with more letters, is none. */
const MOST_SENTENCES = 400;
const LONGEST_STEP = 3000;
/** A sentence longer than this is cut: nothing asks for so much at once. */
const LONGEST_SENTENCE = 500;
/** Words that end with a full stop in the middle of a sentence. */
const SHORT = /(?:\b(?:approx|ca|e\.g|i\.e|no|nr|incl|min|max|vs|fig|pp?|mm|cm|in|st|sts|alt|opt))\.$/i;

/**
 * The sentences of steps, one after the other.
 *
 * @example
 * sentencesOf([{ number: '1', section: null, parts: [{ text: 'Sew stop 1. Hoop off.', lines: [1] }] }]).length // 2
 */
export function sentencesOf(steps: readonly SheetStep[]): Sentence[] {
  const sentences: Sentence[] = [];
  steps.forEach(({ parts }, step) => {
    for (const { text, lines } of parts)
      for (const each of split(text))
        sentences.push({ index: sentences.length, step, text: each.slice(0, LONGEST_SENTENCE), lines });
  });
  return sentences.slice(0, MOST_SENTENCES);
}

function split(whole: string): string[] {
  const text = whole.slice(0, LONGEST_STEP);
  const sentences: string[] = [];
  let open = '';
  for (const part of text.split(/(?<=[.!?]["”’)]?)\s+(?=["“‘(]?[\p{Lu}\d])/u)) {
    open = open === '' ? part : `${open} ${part}`;
    // "No. 3" and "approx. 5 mm" go on; so does a figure's own full stop before a unit.
    if (SHORT.test(open) && !/\bstop\s+\S+\.$/i.test(open) && !/\s(?:mm|cm|in|st|sts)\.$/i.test(open))
      continue;
    sentences.push(open.trim());
    open = '';
  }
  if (open.trim() !== '') sentences.push(open.trim());
  return sentences;
}
