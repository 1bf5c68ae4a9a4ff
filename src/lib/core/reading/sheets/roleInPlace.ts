import type { Role } from '$lib/core/documents/item';
import type { SheetAction, SheetStop } from './action';
import { roleSaid } from './stopsSaid';

/** Words that say this surely what a stop does. */
const SAID = 0.72;

/**
 * What a stop does: as its words say, else as what hands do before and after it shows.
 *
 * @param actions all actions of the sheet
 * @param stops all its stops
 *
 * @example
 * roleInPlace(stop, [], [stop]).role // 'placement': the first stop, with nothing laid before it
 */
export function roleInPlace(
  { n, text }: Pick<SheetStop, 'n' | 'text'>,
  actions: readonly SheetAction[],
  stops: readonly Pick<SheetStop, 'n'>[]
): { role: Role; confidence: number } {
  const said = roleSaid(text);
  if (said.confidence >= SAID) return said;
  // Where nothing is laid and only stabiliser is hooped, the thread is all there is.
  if (isBare(actions)) return { role: 'lace', confidence: 0.75 };
  // "Stitch the lamp and its glow" says what is drawn.
  const bare = text
    .replace(/\bwith\b[^,]*\bthread\b|\ba\s+(?:triple|double|bean|single|straight)\s+stitch\b/gi, ' ')
    .replace(
      /\b(?:sew|stitch|run|embroider|go|on|with|it|out|now|then|and|the|next|last|first|following|machine|let|stops?|colou?rs?|thread|slowly|again|\p{L}+th|second|third)\b|\d+|[^\p{L}]/giu,
      ''
    );
  if (
    bare.length > 3 &&
    said.role === 'decoration' &&
    n > 1 &&
    !/\b(?:everything|layers|in place|down)\b/i.test(text)
  )
    return said;
  const before = actions.filter(({ after }) => after === n - 1);
  const after = actions.filter(({ after: own }) => own === n);
  const laid = before.filter(({ action }) => action === 'lay' || action === 'insert-ribbon').at(-1);
  const isLast = stops.every((other) => other.n <= n);
  const ends = after.some(({ action }) => action === 'unhoop' || action === 'turn-through');
  if (laid && n > 1) {
    const isFlipped = after.some(({ action, piece }) => action === 'flip' && piece === laid.piece);
    if (isFlipped) return { role: 'join-seam', confidence: 0.85 };
    if (laid.face === 'down' && ends) return { role: 'closing-seam', confidence: 0.8 };
    if (isLast && ends && /\bfold/.test(before.map(({ action }) => action).join(' ')))
      return { role: 'join-seam', confidence: 0.6 };
    return { role: 'tack-down', confidence: 0.75 };
  }
  const lays = after.some(({ action }) => action === 'lay' || action === 'insert-ribbon');
  // What runs after a flip, with nothing laid and nothing said, holds down what was flipped.
  if (!laid && before.some(({ action }) => action === 'flip')) return { role: 'topstitch', confidence: 0.7 };
  const threaded = before.some(({ action }) => action === 'change-thread');
  if (n === 1 || (lays && !threaded)) return { role: 'placement', confidence: lays ? 0.8 : 0.6 };
  if (isLast && ends) return { role: 'closing-seam', confidence: 0.6 };
  return said;
}

/** A sheet that hoops stabiliser alone, lays nothing and rinses it out. */
function isBare(actions: readonly SheetAction[]): boolean {
  const uses = new Set(actions.map(({ action }) => action));
  return uses.has('hoop') && uses.has('rinse') && !uses.has('lay') && !uses.has('insert-ribbon');
}
