import { type SheetPiece, wordsFor } from './pieceWords';

/** A piece that words name, with where they stand. */
export interface Mention {
  piece: SheetPiece;
  at: number;
  end: number;
}

/** Nouns of the craft that are pieces even where no list names them, the telling ones first. */
const NOUNS =
  /\b(?:(?:front|back|backing|lining|pocket|upper|lower|top|bottom|outer|inner|main|second|first|left|right|accent|border|ear|wing|flap|side|base|cover)\s+(?:fabric|cloth|piece|panel|felt|vinyl|cotton|lining|pocket|zip tape)s?|tear-?away(?:\s+stabili[sz]er)?|cut-?away(?:\s+stabili[sz]er)?|(?:tear|cut)\s+away\s+stabili[sz]er|(?:wash[\s-]?away|water[\s-]soluble)(?:\s+(?!off\b|in\b|from\b|and\b|with\b|on\b|to\b|into\b|is\b|goes\b)\p{L}+)?|stabili[sz]er|topping|batting|wadding|fleece|foam|interfacing|felt|vinyl|fabric|cotton|towel|towelling|lining|backing|zip(?:per)?|ribbon|elastic|cord|strap|loop|tab|webbing|pocket|flap|mesh|film|appliqué|applique|lace|canvas|leather|cork|ticking|linen|velvet|denim|fur|tulle|organza|pages?|cover|binding|piping|handle)\b/giu;

/** A piece called by a letter. */
const LETTERED = /\b(?:fabric|piece|felt|vinyl|cotton|cloth|panel)\s+([A-Z])\b/;

/** Ends of a piece that a sentence may name for the piece, and words that are never one. */
const NO_PIECE =
  /^(?:the|a|an|your|its|it|them|this|that|these|those|both|all|everything|each|tape|tapes|strips?|pins?|hoop|frame|ring|machine|thread|threads|needle|bobbin|corners?|edges?|ends?|sides?|curves?|seams?|line|lines|stitch(?:es|ing)?|opening|gap|work|project|item|excess|rest|same|folds?|layers?|pieces?|fabrics|weight|tails?|(?:\p{L}+ )?(?:spray|glue|adhesive))$/iu;

/** The pieces of a sheet, and what words mean which. Names that only sentences use become pieces when they are first handled. */
export class Things {
  readonly pieces: SheetPiece[];

  constructor(listed: readonly SheetPiece[]) {
    this.pieces = [...listed];
  }

  /** Pieces that a text names, in the order of the text; a longer name hides a shorter one inside it. */
  mentions(text: string): Mention[] {
    const lower = text.toLowerCase();
    const taken = new Array<boolean>(text.length).fill(false);
    const found: Mention[] = [];
    const words = this.pieces
      .flatMap((piece) => piece.words.map((word) => ({ piece, word })))
      .sort((a, b) => b.word.length - a.word.length);
    for (const { piece, word } of words) {
      if (!lower.includes(word)) continue;
      for (const { index, 0: own } of lower.matchAll(
        new RegExp(`(?<![\\p{L}-])${escaped(word)}(?:s|es)?(?![\\p{L}-])`, 'gu')
      )) {
        const end = index + own.length;
        if (taken.slice(index, end).includes(true) || !this.#means(text, word, index, end)) continue;
        taken.fill(true, index, end);
        found.push({ piece, at: index, end });
      }
    }
    return found.sort((a, b) => a.at - b.at);
  }

  /** Whether a word at a place means the piece: a letter stands alone and large, “back” and “front” need an article. */
  #means(text: string, word: string, at: number, end: number): boolean {
    const [before, after] = [text.slice(0, at), text.slice(end)];
    if (/^[a-z]\d?$/.test(word)) {
      if (text.slice(at, at + 1) !== word.slice(0, 1).toUpperCase()) return false;
      // "A ribbon": an article.
      return !(
        word === 'a' &&
        /^\s+\p{Ll}/u.test(after) &&
        !/^\s+(?:and|or|on|over|to|in|at|with|right|wrong|face|under|from|along|is|goes|flat|up|down|back|into|onto|against|so|again|close|only|lies|centred|as|across|about|through)\b/.test(
          after
        )
      );
    }
    if (/^(?:back|front|top|bottom|upper|lower)$/.test(word)) {
      if (
        /^\s+(?:of|side|edge|corner|end|half|layer)\b/i.test(after) &&
        !/^\s+(?:on|over)\s+(?:the|it|top)\b/i.test(after)
      )
        return false;
      return (
        /(?:\b(?:the|a|your|its|this|and|both|lay|place|put|trim|tape|untape|flip|fold)|,)\s*$/i.test(
          before
        ) || before.trim() === ''
      );
    }
    return true;
  }

  /** Takes up what sentences call by a letter or by two words, before they are read: it may be spoken of before it is laid. */
  foresee(text: string): void {
    for (const { 0: phrase } of text.matchAll(new RegExp(LETTERED.source, 'g'))) this.takeUp(phrase);
    for (const { 0: phrase, index } of text.matchAll(NOUNS)) {
      const known = this.mentions(text).some(({ at, end }) => index < end && index + phrase.length > at);
      if (!known && /\s/.test(phrase)) this.takeUp(phrase);
    }
  }

  /** The one listed piece that has a word in its name or its material; it is meant by that word from now on. */
  #onlyWith(word: string): SheetPiece | undefined {
    const has = new RegExp(`(?<!\\p{L})${escaped(word)}(?!\\p{L})`, 'iu');
    const found = this.pieces.filter(
      ({ name, material, line }) => line !== null && has.test(`${name} ${material ?? ''}`)
    );
    const [only] = found;
    if (!only || found.length > 1 || word.length < 3) return undefined;
    only.words.push(word.toLowerCase());
    return only;
  }

  /** A piece that a noun phrase names and no list has: it is taken up. */
  takeUp(phrase: string): SheetPiece | undefined {
    const letter = LETTERED.exec(phrase)?.[1];
    const noun = letter ?? [...phrase.matchAll(NOUNS)][0]?.[0];
    const own = letter ?? (noun ?? headOf(phrase))?.toLowerCase();
    if (own === undefined || own === '' || (letter === undefined && NO_PIECE.test(own))) return undefined;
    const known = this.pieces.find(({ words }) => words.includes(own.toLowerCase()));
    if (known) return known;
    const named = this.#onlyWith(own);
    if (named) return named;
    const role = /topping|film/.test(own)
      ? 'topping'
      : /stabili|away|mesh|soluble/.test(own)
        ? 'stabiliser'
        : null;
    const piece: SheetPiece = {
      name: own,
      material: null,
      count: 1,
      cut: null,
      printed: null,
      role,
      words: wordsFor(own, null, role),
      line: null
    };
    this.pieces.push(piece);
    return piece;
  }
}

/** The thing a short phrase is about, without article and how many. */
function headOf(phrase: string): string | undefined {
  const bare = phrase
    .replace(/^(?:up|down|on|in|out|off|away)\s+/i, '')
    .replace(
      /^(?:the|a|an|your|its|one|two|three|another|some|first|second|other|more|next|whole|prepared|cut|pressed|folded|finished)\s+/gi,
      ''
    )
    .replace(
      /^(?:more|layer|layers|piece|pieces|sheet|sheets|strip|strips|length|square|scrap)\s+(?:of\s+)?/i,
      ''
    )
    .trim();
  const words = bare.split(/\s+/);
  return words.length <= 3 && /^[\p{L}\s’'-]+$/u.test(bare) && !NO_PIECE.test(words.at(-1) ?? '')
    ? bare
    : undefined;
}

function escaped(word: string): string {
  return word.replace(/[.*+?^${}()|[\]\\]/g, '\\$&').replace(/\s+/g, '[\\s-]+');
}
