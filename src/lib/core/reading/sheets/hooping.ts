/** What is hooped, said without a verb: “Cut-away into the hoop”, “Hooping: soft mesh”. */
const LABELLED = /^hooping\s*[:–-]\s*(?=\p{L})/iu;
const PUT_IN =
  /^(?:the\s+)?((?:cut|tear|wash)-?\s?away|stabili[sz]er|mesh|film|felt|(?:[a-z-]+\s+)?(?:cut|tear|wash)-?away)\s+(?:in|into)\s+(?:the\s+|your\s+)?(?:hoop|frame)\b/i;

/**
 * The same with its verb, while nothing is hooped.
 *
 * @example
 * hooping('Cut-away into the hoop', false) // 'hoop the Cut-away'
 */
export function hooping(text: string, isHooped: boolean): string {
  if (isHooped) return text;
  if (LABELLED.test(text)) return text.replace(LABELLED, 'hoop the ');
  const what = PUT_IN.exec(text)?.[1];
  return what === undefined ? text : `hoop the ${what}`;
}
