import type { PaperLine, Token } from '$lib/core/reading/pages';

/** Words of a line that belong together: no gap between them, and one face. */
export interface Segment {
  text: string;
  x: number;
  right: number;
  tokens: Token[];
}

const GAP = 0.72;
/** White that parts words of two faces. */
const FACE_GAP = 0.2;

/** The segments of a line from left to right. */
export function segmentsOf({ tokens, height }: PaperLine): Segment[] {
  const segments: Segment[] = [];
  for (const token of tokens) {
    const last = segments.at(-1);
    const before = last?.tokens.at(-1);
    const gap = last ? token.x - last.right : Infinity;
    const otherFace = before?.font !== token.font && gap > FACE_GAP * height;
    if (last && gap < GAP * height && !otherFace) {
      last.text += ` ${token.text}`;
      last.right = Math.max(last.right, token.right);
      last.tokens.push(token);
    } else segments.push({ text: token.text, x: token.x, right: token.right, tokens: [token] });
  }
  return segments;
}
