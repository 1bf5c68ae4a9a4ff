import type { Mention } from './things';

const PARTICIPLES: Readonly<Record<string, string>> = {
  laid: 'lay',
  placed: 'place',
  put: 'put',
  taped: 'tape',
  trimmed: 'trim',
  pinned: 'pin',
  flipped: 'flip',
  folded: 'fold',
  pressed: 'press',
  sprayed: 'spray',
  glued: 'glue',
  fused: 'fuse',
  hooped: 'hoop',
  torn: 'tear',
  rinsed: 'rinse',
  clipped: 'clip'
};

const PASSIVE =
  /\b(?:is|are|gets?)\s+(?:now\s+|then\s+|next\s+|also\s+)?(laid|placed|put|taped|trimmed|pinned|flipped|folded|pressed|sprayed|glued|fused|hooped|torn|rinsed|clipped)\b/i;

const GOING = /\b(?:goes|go|comes|come)\s+(?:now\s+|then\s+|next\s+|also\s+)?/i;

/**
 * Whether words that begin with a piece tell what is done with it: “the back goes face down on top”, “the felt is hooped”.
 *
 * @example
 * tellsOf('the back goes face down on top') // true
 */
export function tellsOf(text: string): boolean {
  return GOING.test(text) || PASSIVE.test(text);
}

/**
 * What a part of a sentence asks for that has no verb of the craft in front, as one that has: “the back goes face down on
 * top” is “lay the back face down on top”.
 *
 * @param first the first piece it names
 * @returns undefined where it only tells how things are
 */
export function askedWithoutVerb(text: string, first: Mention | undefined): string | undefined {
  if (!first) return undefined;
  const going = GOING.exec(text);
  if (going) return `lay ${text.slice(first.at, first.end)} ${text.slice(going.index + going[0].length)}`;
  const passive = PASSIVE.exec(text);
  if (passive?.[1]) {
    const verb = PARTICIPLES[passive[1].toLowerCase()] ?? 'lay';
    return `${verb} ${text.slice(first.at, first.end)}${text.slice(passive.index + passive[0].length)}`;
  }
  const placed =
    /^\s+down\b(?!\s+to\b)|\b(?:right|wrong|pretty|good) sides?\b|\bface (?:up|down)\b|\s(?:over|on|onto|under|underneath)(?:\s+(?:the|it|everything|top)\b|$)/i.test(
      text.slice(first.end)
    );
  const tells = /\b(?:is|are|has|have|will|must|may|can|should|shows?|lies|looks?|ends?|stays?)\b/i.test(
    text
  );
  return first.at <= 12 && placed && !tells ? `lay ${text.slice(first.at)}` : undefined;
}
