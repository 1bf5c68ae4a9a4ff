/** A piece as a sheet lists it, or only speaks of it. */
export interface SheetPiece {
  /** What the sheet calls it: its letter where it has one. */
  name: string;
  material: string | null;
  count: number;
  /** Size to cut, mm; null where the sheet says none. */
  cut: { widthMm: number; heightMm: number | null } | null;
  /** The size as printed. */
  printed: string | null;
  role: 'stabiliser' | 'topping' | null;
  /** Words by which sentences mean it, in small letters, the longest first. */
  words: string[];
  /** Line of the list; null where only sentences name it. */
  line: number | null;
}

/** Positions and words for any cloth, by which alone no piece is meant. */
const NO_HEAD =
  /^(?:top|bottom|front|back|upper|lower|left|right|inner|outer|fabric|cloth|piece|panel|tape|line|side|set|sheet|layer|cover)s?$/;
/** Parts of an item, each meant by one word of a longer name. */
const PARTS = /^(?:front|back|lining|inside|outside|base|lid|pocket|flap|strap|handle|loop|zip|zipper)s?$/;

/**
 * Pieces that a word of their name means too, where it is no other’s: “zipper” for the nylon zipper, “front” for the front
 * cotton green.
 */
export function withHeads(pieces: readonly SheetPiece[]): SheetPiece[] {
  const wordsOf = ({ name }: SheetPiece): string[] => name.toLowerCase().split(/\s+/);
  const headOf = (piece: SheetPiece): string => wordsOf(piece).at(-1) ?? '';
  const withParts = (piece: SheetPiece): SheetPiece => {
    const parts = wordsOf(piece).filter(
      (word) =>
        PARTS.test(word) &&
        !piece.words.includes(word) &&
        pieces.every(
          (other) => other === piece || (!wordsOf(other).includes(word) && !other.words.includes(word))
        )
    );
    return parts.length > 0 ? { ...piece, words: [...piece.words, ...parts] } : piece;
  };
  return pieces.map(withParts).map((piece) => {
    const head = headOf(piece);
    const isOwn = pieces.every(
      (other) => other === piece || (headOf(other) !== head && !other.words.includes(head))
    );
    return isOwn && /^\p{L}{2}/u.test(head) && !NO_HEAD.test(head) && !piece.words.includes(head)
      ? { ...piece, words: [...piece.words, head] }
      : piece;
  });
}

/**
 * Words by which sentences mean a piece: its name, what the name is about, its material where it is no cloth like the others.
 *
 * @example
 * wordsFor('A', 'cotton, front', null) // ['cotton, front', 'front', 'a']
 */
export function wordsFor(name: string, material: string | null, role: SheetPiece['role']): string[] {
  const words = new Set<string>();
  const lower = name.toLowerCase();
  words.add(lower);
  const isLetter = /^[A-Z]\d?$/.test(name);
  // "Felt, charcoal" is meant by "felt".
  if (lower.includes(',')) words.add(lower.slice(0, lower.indexOf(',')).trim());
  // "felt front" is meant by "front felt" too.
  const two = /^(\p{L}+)\s+(\p{L}+)$/u.exec(lower);
  if (two?.[1] && two[2]) words.add(`${two[2]} ${two[1]}`);
  // "vinyl for the front" is meant by "front" and by "front vinyl".
  const [, what, part] = /^(.+?)\s+for\s+(?:the\s+|a\s+)?(.+)$/.exec(lower) ?? [];
  if (what !== undefined && part !== undefined) words.add(part).add(`${part} ${what}`).add(what);
  if (!isLetter) {
    // "front fabric" is meant by "front", "upper fabric" by "upper piece".
    const core = lower.replace(/\b(?:fabric|cloth|piece|panel|material|main|sheet)s?\b/g, '').trim();
    if (core !== '' && core !== lower) words.add(core);
  }
  if (material !== null) {
    const own = material.toLowerCase();
    words.add(own);
    for (const part of own.split(/,\s*|\s+for\s+(?:the\s+)?|\s*\/\s*/))
      if (isLetter || role !== null) words.add(part.trim());
  }
  if (role === 'stabiliser') {
    words.add('stabiliser').add('stabilizer');
    const kinds = `${lower} ${material?.toLowerCase() ?? ''}`;
    for (const [kind] of kinds.matchAll(/\b(?:mesh|tear-?away|cut-?away|wash-?away|organza|film)\b/g))
      words.add(kind);
  }
  if (role === 'topping') words.add('topping').add('film');
  // “Two panels” are meant by “panel” too.
  for (const word of [...words]) words.add(word.replace(/(?<=\p{L}{3}[^s])s$/u, ''));
  return [...words].filter((word) => word !== '').sort((a, b) => b.length - a.length);
}
