import type { ActionKind } from './actionKinds';
import type { SheetPiece } from './pieceWords';
import type { Things } from './things';

/** What was spoken of before, by which pronouns are understood. */
export interface Before {
  /** What “it” and “them” are. */
  last: readonly SheetPiece[];
  /** All that the sentence, or the one before it, spoke of: “their corners”, “both folds”. */
  group: readonly SheetPiece[];
  /** Pieces laid so far, in their order. */
  laid: readonly SheetPiece[];
}

/** Parts of a piece by which the piece is meant: “tape its corners”. */
const PARTS =
  /^(?:(?:all|both|the|its|their|only|each|every|four|two|outer|upper|lower|free|short|long|top|bottom|raw|loose|open)\s+)*(?:corners?|edges?|ends?|sides?|tails?|flaps?|overhang)\b/i;
/** Words for several layers that no list names. */
const LAYERS =
  /^(?:the\s+|all\s+|both\s+|any\s+)*((?:all )?layers|fabrics|excess(?: fabric)?|seam allowances?|everything|edges?|outline|shape)\b/i;

/**
 * The pieces a verb acts on: named behind it, meant by a pronoun or by a part, or the last ones; a text where the words
 * only speak of layers.
 *
 * @example
 * objectsOf(things, 'tape', 'tape its corners', { last: [back], group: [back], laid: [] }) // [back]
 */
export function objectsOf(
  things: Things,
  action: ActionKind,
  text: string,
  { last, group, laid }: Before
): (SheetPiece | string)[] {
  const found = things.mentions(text);
  const cover = /^(?:cover|overlay|replace|wrap|begin|start)\b/i.test(text) ? text.search(/\bwith\b/i) : -1;
  const verb =
    /^\S+(?:\s+(?:up|down|on|in|out|off|away|back)(?=\s+(?:the|a|an|your|any|all|both)\b))?\s*/i.exec(
      text
    )?.[0].length ?? 0;
  const from = Math.max(cover > 0 ? cover + 5 : 0, verb);
  const end = endOfObject(masked(text, found), from);
  const object = text
    .slice(from, end)
    .replace(/[,(\s]+$/, '')
    .trim();
  const own = unique(found.filter(({ at }) => at >= from && at < end).map(({ piece }) => piece));
  const all = unique(found.map(({ piece }) => piece));
  if (own.length > 0) return action === 'lay' && !/\b(?:and|both)\b/i.test(object) ? own.slice(0, 1) : own;
  if (action === 'tear-away') {
    const stabiliser = things.pieces.find(({ role }) => role === 'stabiliser');
    return all.length > 0 ? all.slice(0, 1) : stabiliser ? [stabiliser] : [];
  }
  if (/\bof the (?:opening|gap)\b|^(?:the )?(?:opening|gap)['’]?s? edges?\b/i.test(text.slice(from)))
    return ['opening edges'];
  if (PARTS.test(object)) {
    const of = /\bof\s+(.*)$/i.exec(text.slice(from))?.[1];
    if (of === undefined) return /\btheir\b/i.test(object) ? [...group] : last.slice(-1);
    const named = unique(things.mentions(of).map(({ piece }) => piece));
    if (named.length > 0) return named;
    return /\b(?:both|the two|these|them)\b/i.test(of) ? twoOf(of, laid) : last.slice(-1);
  }
  const several = /^(?:the\s+|both\s+|two\s+|all\s+)+(\p{L}{3,})s\b/iu.exec(object)?.[1]?.toLowerCase();
  const alike =
    several === undefined || several === 'fabric'
      ? []
      : things.pieces.filter(
          ({ name, line }) => line !== null && new RegExp(`\\b${several}\\b`, 'i').test(name)
        );
  if (alike.length >= 2) return alike;
  if (/^(?:both|the two|two)\b/i.test(object) && !/\b(?:folds?|layers? of|sheets? of)\b/i.test(object))
    return twoOf(object, laid);
  if (
    /^(?:it|this|that|its|one(?=\s*$|\s+of\s+them)|the (?:piece|fabric|cloth|same))\b/i.test(object) ||
    object === ''
  )
    return object === '' && action === 'trim' ? ['all layers'] : last.slice(-1);
  if (/^(?:them|these|those|their|all|both)\b/i.test(object) && !LAYERS.test(object)) return [...group];
  if (/^(?:the\s+|both\s+|all\s+|its\s+)*(?:folds|creases)\b/i.test(object)) return [...group];
  const layers = LAYERS.exec(object)?.[1];
  if (
    layers !== undefined &&
    (action === 'trim' || action === 'press' || action === 'cut-out' || action === 'cut-away')
  )
    return all.length > 0 ? all : [layers.toLowerCase()];
  if (/^(?:the\s+|its\s+)*seams?\b/i.test(object) && (action === 'trim' || action === 'clip'))
    return ['seam'];
  if (/^(?:the\s+|its\s+)*(?:fold|seam|crease)\b/i.test(object)) return last.slice(-1);
  // "Apply spray to the reverse of the felt".
  const of =
    action === 'spray' || action === 'glue'
      ? /\b(?:to|of)\s+(?:the\s+)?([^,]+)$/i.exec(text)?.[1]
      : undefined;
  if (of !== undefined && all.length === 0) {
    const made = things.takeUp(of);
    if (made) return [made];
  }
  if (action === 'lay' || action === 'hoop' || action === 'fold' || action === 'cut-out') {
    const made = things.takeUp(object);
    if (made) return [made];
  }
  return all.slice(0, 1);
}

const unique = (pieces: readonly SheetPiece[]): SheetPiece[] => [...new Set(pieces)];

/** The two pieces that a plural means: those whose names have its noun, else the last two laid. */
function twoOf(words: string, laid: readonly SheetPiece[]): SheetPiece[] {
  const noun = /\b(fabric|felt|page|panel|ribbon|strap|flap|cloth|lining|layer|piece)s\b/i
    .exec(words)?.[1]
    ?.toLowerCase();
  const named =
    noun === undefined
      ? []
      : laid.filter(({ name, material }) => `${name} ${material ?? ''}`.toLowerCase().includes(noun));
  return (named.length >= 2 ? named : laid).slice(-2).reverse();
}

/** The text with the names of pieces filled in, so that “the back” is no direction. */
function masked(text: string, found: readonly { at: number; end: number }[]): string {
  return found.reduce(
    (masked, { at, end }) => masked.slice(0, at) + '#'.repeat(end - at) + masked.slice(end),
    text
  );
}

/** Where the object of a verb ends: at the first word that tells where it goes or how it lies. */
function endOfObject(text: string, from: number): number {
  const found =
    /(?:^|\s)(?:over|on|onto|under|underneath|at|to|with|in|into|along|from|so|right side|wrong side|pretty side|good side|printed side|face|close|until|for|against|across|beside|below|above|behind|around|round|inside|outside|through|by|out|up|down|back|away|off|where|which|that|as|centred|centered|flush|its|while|together|flat|before|after)\b|[,(]\s*(?!and\b)/i.exec(
      text.slice(from)
    );
  return found ? from + found.index + (found.index === 0 ? 0 : 1) : text.length;
}
