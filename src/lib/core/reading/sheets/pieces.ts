import { isSame } from '$lib/core/documents/changes';
import { numberSaid } from '$lib/core/base/units';
import type { PaperLine } from '$lib/core/reading/pages';
import { entriesOf } from './entries';
import { flat, LENGTH, SIZE, type Sized, sizeIn, toMm } from './measures';
import { type SheetPiece, withHeads, wordsFor } from './pieceWords';

/** A list of more pieces, or a longer line, is none of a sheet. */
const MOST_PIECES = 60;
const LONGEST_LINE = 300;
/** Words that say what a thing is made of or does, not which it is. */
const STABILISER =
  /\b(?:stabili[sz]ers?|tear[\s-]?away|cut[\s-]?away|wash[\s-]?away|water[\s-]soluble|mesh|backing paper|vlies(?:eline)?|organza)\b/i;
const TOPPING = /\btopp(?:ing|er film)\b|\bfilm\b/i;
/** Lines above which a list of pieces stands. */
const HEADS = /^\W*(?:part|piece|item|material|fabric|name|qty|no\.?|count|cut|size|you (?:will )?need)\b/i;

/**
 * The pieces a sheet lists: lines with a size to cut, read as count, letter, name and material, in whatever order and marks.
 *
 * @param lines lines that are no steps
 *
 * @example
 * piecesListed(linesOfText(['1 back (towelling), 220 x 260 mm']))[0]
 * // { name: 'back', material: 'towelling', count: 1, cut: { widthMm: 220, heightMm: 260 }, … }
 */
export function piecesListed(lines: readonly PaperLine[]): SheetPiece[] {
  const pieces: (SheetPiece & { isCounted: boolean })[] = [];
  const first = lines.findIndex(({ text }) => sizeIn(text) && !isOfTheWhole(text));
  let heads: Head[] = [];
  for (const [at, { line, text: written, cells, tokens }] of lines
    .flatMap(entriesOf)
    .map(withCells)
    .entries()) {
    const text = flat(written);
    if (text.length > LONGEST_LINE || pieces.length >= MOST_PIECES) continue;
    if (at < first && cells.length >= 2 && HEADS.test(text))
      heads = cells.map((cell) => ({ text: cell.text.toLowerCase(), x: cell.x }));
    const piece = pieceOn(
      text,
      cells.map((cell) => cell.text),
      under(heads, tokens)
    );
    if (piece && !pieces.some(({ name }) => name === piece.name)) pieces.push({ ...piece, line });
  }
  // The thing itself may stand above its list with its size; pieces are counted.
  const [top, ...others] = pieces;
  const isThing =
    top?.role === null &&
    top.line !== others[0]?.line &&
    !top.isCounted &&
    others.every(({ cut }) => !isSame(cut, top.cut)) &&
    (others.filter(({ isCounted }) => isCounted).length >= 2 ||
      (top.line === lines[0]?.line && others.length >= 2));
  return withHeads(isThing ? others : pieces);
}

/** A row whose cells are parted by bars. */
function withCells(line: PaperLine): PaperLine {
  const texts = line.text.split('|').map((text) => text.trim());
  if (texts.length < 3 || line.cells.length >= 3) return line;
  return {
    ...line,
    cells: texts.filter((text) => text !== '').map((text, at) => ({ text, x: at, width: 1 }))
  };
}

interface Head {
  text: string;
  x: number;
}

/** What stands under each heading, by its place. */
function under(heads: readonly Head[], tokens: PaperLine['tokens']): ReadonlyMap<string, string> {
  const texts = new Map<string, string>();
  for (const { text, x } of tokens) {
    const head = heads.findLast((each) => x >= each.x - 1.5) ?? heads[0];
    if (head) texts.set(head.text, `${texts.get(head.text) ?? ''} ${text}`.trim());
  }
  return texts;
}

/** A size of the finished thing, of its hoop or of its design is none to cut. */
function isOfTheWhole(text: string): boolean {
  return /\b(?:hoop|finished|design|closed?s?|opens?|fits|makes|holds|sewing field|field|size[d]? of|overall|stitched|frame)\b/i.test(
    text
  );
}

function pieceOn(
  text: string,
  cells: readonly string[],
  heads: ReadonlyMap<string, string>
): (Omit<SheetPiece, 'line'> & { isCounted: boolean }) | undefined {
  if (isOfTheWhole(text)) return undefined;
  const long =
    /^\W*(\d+(?:[.,]\d+)?)\s*(mm|cm|m|in(?:ch(?:es)?)?)\s+of\s+(?:\d+\s*mm\s+)?(\p{L}[\p{L}\s-]*)/iu.exec(
      text
    );
  if (long?.[1] && long[2] && long[3]) {
    const name = tidy(long[3]);
    return {
      name,
      material: null,
      count: 1,
      isCounted: true,
      cut: { widthMm: toMm(long[1], long[2]), heightMm: null },
      printed: long[0].trim(),
      role: null,
      words: wordsFor(name, null, null)
    };
  }
  const sized = sizeIn(text) ?? squareIn(text) ?? longIn(text, cells);
  if (!sized) return undefined;
  const rest = text.slice(0, sized.at) + ' ' + text.slice(sized.at + sized.printed.length);
  // A second size is what it is folded to, no count.
  const others = rest.replace(new RegExp(SIZE.source, 'gi'), ' ');
  // A sentence that names a size on the way is no line of the list.
  if (
    /[.!?]\s*$/.test(text.trim()) &&
    /\b(?:lay|fold|trim|place|leave|put|sew|cut)\b/i.test(rest) &&
    rest.split(/\s+/).length > 9
  )
    return undefined;
  const counted = countIn(others, cells);
  const bare = tidy(counted.rest);
  const named = heads.size >= 3 ? byHeads(heads) : byMarks(bare, cells);
  if (!named || !/\p{L}/u.test(named.name) || named.name.length > 60) return undefined;
  const all = `${named.name} ${named.material ?? ''}`;
  const role = STABILISER.test(all) ? 'stabiliser' : TOPPING.test(all) ? 'topping' : null;
  return {
    name: named.name,
    material: named.material,
    count: counted.count,
    isCounted: counted.rest !== others || /^[A-Z]$/.test(named.name),
    cut: sized.cut,
    printed: sized.printed,
    role,
    words: wordsFor(named.name, named.material, role)
  };
}

/** A length alone that says both sides: “a square of felt, 4 1/2 in”. */
function squareIn(text: string): Sized | undefined {
  const found = /\b(?:squares?|circles?|discs?|round)\b/i.test(text) ? LENGTH.exec(text) : null;
  if (!found?.[1] || !found[2]) return undefined;
  const side = toMm(found[1], found[2]);
  return { cut: { widthMm: side, heightMm: side }, printed: found[0].trim(), at: found.index };
}

/** A length alone, as of a ribbon, where the line looks like one of a list. */
function longIn(text: string, cells: readonly string[]): Sized | undefined {
  if (cells.length < 2 && !/^\W*\d+\s*[x×]?\s*\p{L}|[:–—]|^\s*[-•*]/u.test(text)) return undefined;
  if (!/\b(?:ribbon|cord|elastic|webbing|tape|zip(?:per)?|strap|lace|rope|velcro|binding)\b/i.test(text))
    return undefined;
  const all = [...text.matchAll(new RegExp(LENGTH.source, 'gi'))];
  const found = all.at(-1);
  if (!found?.[1] || !found[2]) return undefined;
  return {
    cut: { widthMm: toMm(found[1], found[2]), heightMm: null },
    printed: found[0].trim(),
    at: found.index
  };
}

function countIn(text: string, cells: readonly string[]): { count: number; rest: string } {
  const lone = cells.find((cell) =>
    /^[x×]?\s*\d{1,2}\s*(?:[x×]|pcs?\.?|pieces?|layers?|sheets?)?$/i.test(cell.trim())
  );
  if (lone !== undefined && cells.length >= 3)
    return { count: Math.max(1, Number(lone.replace(/\D/g, ''))), rest: text.replace(lone, ' ') };
  const found =
    /^\W*(\d{1,2})\s*(?:[x×]|pcs?\.?|pieces?(?: of)?|layers?(?: of)?|sheets?(?: of)?)?\s+(?=\p{L})/iu.exec(
      text
    ) ??
    /\bcut\s+(\d{1,2})\b/i.exec(text) ??
    /(?:^|[\s(,;])[x×]\s?(\d{1,2})\b/.exec(text) ??
    /\((\d{1,2})\s?[x×]?\)/.exec(text) ??
    /\b(\d{1,2})\s?[x×](?=[\s,;.)]|$)/.exec(text) ??
    /\b(\d{1,2})\s+(?:pieces?|pcs?|layers?|sheets?)\b/i.exec(text);
  if (found?.[1]) return { count: Math.max(1, Number(found[1])), rest: text.replace(found[0], ' ') };
  // A size that was taken out leaves two blanks: “A 17 x 14 cm front” is piece A.
  const word = /^\W*(one|two|three|four|a|an)\b(?:\s+(?:layers?|pieces?|sheets?)\s+of)?\s(?=\S)/i.exec(text);
  if (word?.[1]) return { count: numberSaid(word[1]) ?? 1, rest: text.replace(word[0], ' ') };
  return { count: 1, rest: text };
}

function tidy(text: string): string {
  return text
    .replace(/^[\s•◦▪●·*–—>|:=,-]+|[\s|,;:=–—.-]+$/g, '')
    .replace(/\s+/g, ' ')
    .replace(/(?:\s?\.){3,}/g, ' ')
    .replace(/^each\b,?\s*/i, '')
    .replace(/^panels?\s+(?=\p{L})/iu, '')
    .replace(
      /^(?:squares?|pieces?|strips?|sheets?|layers?|lengths?|scraps?|rectangles?|circles?)\s+of\s+/i,
      ''
    )
    .replace(/\b(?:cut|size[ds]?|to|at|about|approx\.?|each)\s*$/i, '')
    .replace(/\(\s*\)/g, '')
    .replace(/[\s,;:|–—-]+$/g, '')
    .replace(/(?<=\p{L})\s+(?:squares?|circles?|discs?|rectangles?)$/iu, '');
}

type Named = { name: string; material: string | null };

function byHeads(heads: ReadonlyMap<string, string>): Named | undefined {
  const at = (pattern: RegExp): string | undefined => [...heads].find(([head]) => pattern.test(head))?.[1];
  const name =
    at(/^(?:part|piece|item|name|letter|label|what)/) ??
    [...heads.values()].find((text) => /\p{L}/u.test(text));
  const material = at(/^(?:material|fabric|cloth|made of|from|kind)/);
  if (name === undefined) return undefined;
  return { name: tidy(name), material: material === undefined || material === name ? null : tidy(material) };
}

/** Name and material as marks part them: brackets, a colon, a dash, a comma; or cells of their own. */
function byMarks(bare: string, cells: readonly string[]): Named | undefined {
  const words = cells.filter((cell) => /\p{L}/u.test(cell) && !sizeIn(cell) && !/^\d/.test(cell.trim()));
  if (words.length >= 2 && words[0] !== undefined)
    return { name: tidy(words[0]), material: tidy(words.slice(1).join(', ')) };
  const letter = /^(?:(?:piece|fabric|part)\s+)?([A-Z])\b\s*[.):=,–—-]*\s*(?:\(?\s*)(.*?)\)?$/.exec(bare);
  if (letter?.[1] && letter[1] !== 'I')
    return { name: letter[1], material: letter[2] ? tidy(letter[2]) : null };
  const only = /^\(([^)]+)\)$/.exec(bare)?.[1];
  if (only !== undefined) return { name: tidy(only), material: null };
  const bracket = /^([^([]+?)\s*[([]([^)\]]+)[)\]]/.exec(bare);
  if (bracket?.[1] && bracket[2]) {
    const inside = bracket[2].trim();
    if (/^\d+\s?[x×]?$/.test(inside)) return { name: tidy(bracket[1]), material: null };
    if (/^(?:pieces?|strips?|squares?|rectangles?|parts?)$/i.test(bracket[1].trim()))
      return { name: tidy(inside), material: null };
    if (/^[A-Z]$/.test(inside)) return { name: inside, material: tidy(bracket[1]) };
    return { name: tidy(bracket[1]), material: tidy(inside) };
  }
  const parts = bare.split(/\s*[:;|]\s*|\s+[–—-]\s+|,\s+/).filter((part) => part.trim() !== '');
  if (parts[0] === undefined) return undefined;
  return { name: tidy(parts[0]), material: parts.length > 1 ? tidy(parts.slice(1).join(', ')) : null };
}
