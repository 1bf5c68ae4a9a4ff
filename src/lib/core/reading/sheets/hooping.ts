import { verbOf } from './segments';

/** What is hooped, said without a verb: “Cut-away into the hoop”, “Hooping: soft mesh”. */
const LABELLED = /^hooping\s*[:–-]\s*(?=\p{L})/iu;
const PUT_IN =
  /^(?:the\s+)?(?:(?:\d|one|two|three)\s+(?:layers?|sheets?)\s+(?:of\s+)?)?((?:[a-z-]+\s+){0,3}?(?:(?:cut|tear|wash)-?\s?away|stabili[sz]er|mesh|film|felt))\s+(?:in|into)\s+(?:the\s+|your\s+)?(?:hoop|frame)\b/i;

/**
 * The same with its verb, while nothing is hooped.
 *
 * @example
 * hooping('Cut-away into the hoop', false) // 'hoop the Cut-away'
 */
export function hooping(text: string, isHooped: boolean): string {
  if (isHooped) return text;
  if (LABELLED.test(text)) return text.replace(LABELLED, 'hoop the ');
  const put = verbOf(text) === undefined ? PUT_IN.exec(text) : null;
  return put?.[1] === undefined ? text : `hoop the ${put[1]}${text.slice(put[0].length)}`;
}
