/** The thing that “turn the bib right side out” names. */
export function thingTurned(text: string): string | null {
  const noun = /^\p{L}+\s+(?:the|your)\s+((?:\p{L}+\s+)?\p{L}+?)\s+(?:right|inside|through|out)\b/iu.exec(
    text
  )?.[1];
  return noun === undefined || /^(?:whole|work|item|thing|project|excess|rest)/i.test(noun)
    ? null
    : noun.toLowerCase();
}
