import type { SheetAction } from './action';
import type { Sentence } from './sentences';

/** “Do the same at the lower side”, “repeat for the other end”. */
const SAME =
  /^(?:then\s+|now\s+)?(?:do|repeat)\s+(?:(?:exactly\s+)?the same|this|these(?: two| three)? steps|that|it)?\s*(?:again\s+)?(?:at|on|for|to|with|in|along)\s+(.+?)[.!]?$/i;
/** “Repeat steps 5 to 7 for the bottom”. */
const STEPS =
  /^(?:then\s+|now\s+)?repeat\s+(?:the\s+)?steps?\s+#?(\d{1,2})(?:\s*(?:to|–|-|through|and|&)\s*#?(\d{1,2}))?\b/i;
const STOP_NUMBER = /\b(stops?|colou?rs?|steps?|rounds?|runs?)\s*(?:#|no\.?\s*)?\d{1,2}\b/gi;
const OPPOSITES: readonly [RegExp, string][] = [
  [/\bupper\b/gi, 'lower'],
  [/\btop\b(?!stitch)/gi, 'bottom'],
  [/\bleft\b/gi, 'right']
];

/** What a sentence asks to be done again: steps by their numbers, or what was done last. */
export type Repeats = { steps: readonly [from: number, to: number] } | { side: string };

/**
 * What a sentence asks to be done once more, at another place.
 *
 * @returns undefined where it asks for nothing of the kind
 *
 * @example
 * repeatsOf('Repeat steps 5 and 6 for the bottom.') // { steps: [5, 6] }
 */
export function repeatsOf(text: string): Repeats | undefined {
  const steps = STEPS.exec(text);
  if (steps?.[1]) {
    const from = Number(steps[1]);
    return { steps: [from, Math.max(from, Number(steps[2] ?? steps[1]))] };
  }
  const side = SAME.exec(text)?.[1];
  return side !== undefined && /\b(?:side|half|end|edge|lower|bottom|other|second|right|left)\b/i.test(side)
    ? { side }
    : undefined;
}

/**
 * A sentence as it is meant when it is done again: stops run on, and what was above is below.
 *
 * @example
 * againAs({ text: 'Stitch stop 3 at the upper edge.', … }).text // 'Stitch the next stop at the lower edge.'
 */
export function againAs(sentence: Sentence, index: number): Sentence {
  const text = sentence.text
    .replace(STOP_NUMBER, 'the next stop')
    .replace(/^#\s?\d{1,2}\b/, 'The next stop,')
    .replace(/\(\s*#?\d{1,2}\s*\)/g, '(the next stop)')
    .replace(/\b(stitch|sew|run|embroider)\s+#?\d{1,2}\b/gi, '$1 the next stop');
  return {
    ...sentence,
    index,
    text: OPPOSITES.reduce((written, [from, to]) => written.replace(from, to), text)
  };
}

/**
 * The sentences that are done again: steps by their numbers, or all since what was laid for the last seam.
 *
 * @param past sentences read so far
 */
export function toRepeat(
  repeats: Repeats,
  past: readonly Sentence[],
  actions: readonly SheetAction[]
): Sentence[] {
  if ('steps' in repeats) {
    const [from, to] = repeats.steps;
    return past.filter(({ step }) => step + 1 >= from && step + 1 <= to);
  }
  const lay = actions.findLast(({ action }) => action === 'lay');
  const first = actions.find(({ action, after }) => action === 'lay' && after === lay?.after);
  return first ? past.filter(({ index }) => index >= first.sentence) : [];
}
