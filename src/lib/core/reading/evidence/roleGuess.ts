import type { Role } from '$lib/core/documents/item';

export interface RoleGuess {
  role: Role;
  /** From 0 to 1: how sure the words make us. Below 0.6 the maker is asked to look. */
  confidence: number;
}

/** Words of charts and what they mean; the first that fits is taken, so the telling ones stand first. */
const WORDS: [words: RegExp, role: Role, confidence: number][] = [
  [
    /\b(hole|snap|eyelet|closure|button|fasten(er|ing)?)s?\b.*\b(mark|position|placement)/,
    'closure-mark',
    0.9
  ],
  [
    /\b(tack|tacking|tack-?\s?down|fix(ing)? line|hold(ing)? line|hold(s|ing)?[\s-]?(it |the \w+ )?down|fixing run)\b/,
    'tack-down',
    0.95
  ],
  [/\b(placement|place(ment)?\s?line|position(ing)?|guide\s?line|target)\b/, 'placement', 0.95],
  [/\b(die|cut(ting)?|trim(ming)?)[\s-]?lines?\b|\bcut outline\b/, 'cut-line', 0.9],
  [/\b(outline|line) again\b/, 'tack-down', 0.6],
  [/\b(needle[\s-]?cut|chisel)\b/, 'needle-cut', 0.9],
  [/\b(underlay)\b/, 'lace-underlay', 0.8],
  [/\b(lace|filigree|freestanding)\b/, 'lace', 0.85],
  [/\b(bars?|brides?)\b/, 'bars', 0.75],
  [/\b(quilt(ing)?|stippl(e|ing)|meander)\b/, 'quilting', 0.95],
  [/\b(applique|appliqué).*\b(edges?|satin|border|zigzag|cover)\b/, 'applique-edge', 0.9],
  // The edge of a part, not of the item.
  [/\b(first|second|third|left|right|upper|lower|inner)\b.*\b(edges?|satin)\b/, 'applique-edge', 0.7],
  [/\b(satin|borders?|edges?|edging|merrow|rim)\b/, 'satin-edge', 0.85],
  [/\b(topstitch|top[\s-]stitch)/, 'topstitch', 0.95],
  [/\b(zig-?\s?zag)\b/, 'tack-down', 0.65],
  [/\b(closing|final|last|perimeter)\b.*\b(seam|outline|line|stitch)/, 'closing-seam', 0.9],
  [/\b(clos(e|ing)|final)\b/, 'closing-seam', 0.7],
  [/\b(join(ing)?|seam)\b/, 'join-seam', 0.75],
  [/\b(hole|snap|eyelet|closure|button)s?\b.*\b(mark|line|hole|position)?/, 'closure-mark', 0.8],
  [/\b(cent(re|er))\b/, 'centre-mark', 0.85],
  [/\bbast(e|ing)\b/, 'basting', 0.95],
  [/\b(letter(s|ing)?|text|name|word(s|ing)?|monogram|number|initials?)\b/, 'lettering', 0.85],
  [/\b(outline|contour)\b/, 'closing-seam', 0.55]
];

/**
 * Guesses what a stop does from its charted name, its stitch count and where it stands in the chart.
 *
 * @param name the charted name
 * @param stitches stitch count, null when unknown
 * @param place 0 for the first row of the chart, 1 for the last
 *
 * @example
 * guessRole('tack-down', 120, 0.2) // { role: 'tack-down', confidence: 0.95 }
 * guessRole('face', 1500, 0.4) // { role: 'decoration', confidence: 0.7 }
 */
export function guessRole(name: string, stitches: number | null, place: number): RoleGuess {
  const text = name.toLowerCase().replace(/[_/]+/g, ' ');
  const known = WORDS.find(([words]) => words.test(text));
  if (known) {
    const [, role, confidence] = known;
    // An outline in the middle of a chart is drawing, at the end it closes the item.
    if (role === 'closing-seam' && confidence < 0.6 && place < 0.75)
      return { role: 'decoration', confidence: 0.5 };
    return { role, confidence };
  }
  if (text.trim() !== '') return { role: 'decoration', confidence: 0.7 };
  if (place === 0 && stitches !== null && stitches < 600) return { role: 'placement', confidence: 0.4 };
  return { role: 'decoration', confidence: 0.35 };
}
