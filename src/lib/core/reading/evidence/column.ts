import { median, metresPer } from '$lib/core/base/units';
import { colourOf, isColourName } from './colour';
import { columnOf } from './heading';
import type { Field } from './fields';
import { guessRole } from './roleGuess';
import {
  type Figure,
  figureIn,
  isBlank,
  isDitto,
  stopNumberIn,
  valueOf,
  type Writing,
  writingsOf
} from './values';

/** One column of a grid as its cells tell of it, all rows together. */
export interface Column {
  /** Cells without labels that stand in all of them. */
  texts: string[];
  /** The word that stands behind all figures: their unit, whatever it is. */
  unitWord: string | undefined;
  /** What its heading and those words name, if anything. */
  named: Field | undefined;
  namedUnit: string | undefined;
  /** Share of the cells that say nothing. */
  blank: number;
  figures: (Figure | undefined)[];
  /** Share of the filled cells that are one figure. */
  figured: number;
  writings: Writing[];
  numbers: (number | undefined)[];
  /** Share of the filled cells that count up by one from the one before. */
  counting: number;
  /** Shares of the filled cells: with letters, nothing but colours, a colour among other words, work of the craft, codes; and how many differ. */
  worded: number;
  coloured: number;
  tinted: number;
  working: number;
  coded: number;
  differing: number;
  /** Share that holds minutes. */
  timed: number;
  words: number;
}

/** A word must stand in this share of the cells to belong to the column, not to the value. */
const CONSTANT = 0.85;

/**
 * Looks at the cells of one column together.
 *
 * @param labelled whether most columns of its grid begin with a label in every cell
 *
 * @example
 * columnFrom('Job', ['placement', 'tack-down']).working // 1
 */
export function columnFrom(head: string, cells: readonly string[], labelled = false): Column {
  const heading = head.replace(/[\s:=–-]+$/, '');
  const { texts, bare, constant, unitWord } = withoutConstants(
    cells.map((cell) => cell.trim()),
    labelled
  );
  const filled = texts.filter((text) => !isBlank(text) && !isDitto(text));
  const share = (is: (text: string) => boolean, of = filled): number =>
    of.length === 0 ? 0 : of.filter(is).length / of.length;
  const figures = bare.map((text) => (isBlank(text) ? undefined : figureIn(text)));
  const numbers = bare.map(stopNumberIn);
  const named =
    columnOf(heading) ?? constant.map((word) => columnOf(word)).find((found) => found !== undefined);
  // A unit behind the figures is nearer than one in the heading.
  const unit = constant.map(unitIn).find((found) => found !== undefined) ?? named?.unit ?? unitIn(heading);
  return {
    texts,
    unitWord,
    named: named?.field,
    namedUnit: unit,
    blank: 1 - filled.length / Math.max(1, texts.length),
    figures,
    figured: share(
      (text) => figureIn(text) !== undefined,
      bare.filter((text) => !isBlank(text))
    ),
    writings: writingsOf(figures.flatMap((figure) => (figure ? [figure.digits] : []))),
    numbers,
    counting: countingShare(numbers),
    worded: share((text) => /\p{L}{2}/u.test(text)),
    coloured: share(
      (text) => isColourName(text.replace(/[^\p{L}\s]*\d[^\s]*/gu, '')) || /#[0-9a-f]{6}\b/i.test(text)
    ),
    tinted: share((text) => colourOf(text) !== undefined),
    working: share((text) => {
      const { role, confidence } = guessRole(text, null, 0.5);
      return role !== 'decoration' && confidence > 0.6;
    }),
    coded: share(isCode),
    timed: share((text) => /(?:^|\s)\d{1,2}:\d{2}(?:$|\s)/.test(text)),
    differing: new Set(filled.map((text) => text.toLowerCase())).size / Math.max(1, filled.length),
    words: median(
      filled.map((text) => text.split(' ').length),
      0
    )
  };
}

/** A code: short, with one blank at most and a digit in it, or a few capitals; a small bare number is none. */
function isCode(text: string): boolean {
  if (text.length > 12 || /\s.*\s/.test(text) || /\d[.,]\d/.test(text)) return false;
  if (/^#?\d+$/.test(text)) return text.length >= 3;
  // "6 841" is a figure.
  if (/^\d{1,3}(?:[ \u2009\u202f'’]\d{3})+$/.test(text)) return false;
  return /^[\p{L}\d\s./#*-]*\d[\p{L}\d./#*-]*$/u.test(text) || /^[A-Z]{1,4}$/.test(text);
}

/** How many numbers follow the one before by one, among those there are. */
function countingShare(numbers: readonly (number | undefined)[]): number {
  const known = numbers.filter((number) => number !== undefined);
  if (known.length < 2) return known.length === 1 && (known[0] ?? 9) <= 1 ? 0.5 : 0;
  // Cards beside each other may come in another order: then they still count without a gap.
  const lowest = Math.min(...known);
  const missing = Math.max(...known) - lowest + 1 - known.length;
  if (new Set(known).size === known.length && missing <= 0.15 * known.length && lowest <= 1)
    return known.length / numbers.length;
  const steps = known.slice(1).filter((number, at) => number === (known[at] ?? 0) + 1);
  return (steps.length / (known.length - 1)) * (known.length / numbers.length);
}

/**
 * Takes off what nearly all cells share in front of and behind their values: labels with a mark from all of them, other words
 * only from figures.
 */
function withoutConstants(
  cells: readonly string[],
  labelled: boolean
): {
  texts: string[];
  bare: string[];
  constant: string[];
  unitWord: string | undefined;
} {
  const constant: string[] = [];
  let texts = [...cells];
  let bare = [...cells];
  let unitWord: string | undefined;
  const filled = texts.filter((text) => !isBlank(text));
  const label = /^([^:=]{1,30}?)\s?[:=](?=\s|$)/.exec(filled[0] ?? '')?.[0] ?? '';
  if (label !== '' && filled.length > 1 && filled.every((text) => text.startsWith(label))) {
    constant.push(label.replace(/\s?[:=]$/, ''));
    texts = texts.map((text) => (isBlank(text) ? text : text.slice(label.length).trim()));
    bare = texts;
  }
  for (const end of ['front', 'back'] as const) {
    for (let round = 0; round < 3; round++) {
      const words = bare.map((text) => (end === 'front' ? text.split(' ')[0] : text.split(' ').at(-1)) ?? '');
      const filled = words.filter((_, at) => !isBlank(bare[at] ?? ''));
      const [word] = filled;
      if (filled.length < 3 || word === undefined || /\d/.test(word)) break;
      const same = (each: string | undefined): boolean => each?.toLowerCase() === word.toLowerCase();
      const many = filled.filter(same).length;
      if (many < CONSTANT * filled.length || bare.some(same)) break;
      const taken = (all: readonly string[]): string[] =>
        all.map((text, at) =>
          same(words[at])
            ? (end === 'front' ? text.slice(word.length) : text.slice(0, -word.length)).trim()
            : text
        );
      const rest = taken(bare);
      const names = /^\p{L}{3,}\.?$/u.test(word) && rest.every((text) => isBlank(text) || isCode(text));
      const heads = labelled && sharedFirst(bare) === word;
      const isLabel = end === 'front' && (/[:=]$/.test(word) || names || heads);
      if (!isLabel && rest.some((text) => !isBlank(text) && !/\d/.test(text))) break;
      constant.push(word.replace(/[:=]$/, ''));
      if (end === 'back') unitWord ??= word;
      bare = rest;
      if (isLabel) texts = taken(texts);
    }
  }
  return { texts, bare, constant, unitWord };
}

/**
 * The word that begins all cells of a column, with different things behind it: a label, where most columns of a grid have one.
 *
 * @example
 * sharedFirst(['Job Ears', 'Job Lamp', 'Job Fern', 'Job Rim']) // 'Job'
 */
export function sharedFirst(cells: readonly string[]): string | undefined {
  const filled = cells.filter((text) => !isBlank(text));
  const word = filled[0]?.split(' ')[0] ?? '';
  if (filled.length < 4 || word === '' || /\d/.test(word) || isCapital(word)) return undefined;
  const rests = new Set(filled.map((text) => text.slice(word.length)));
  return filled.every((text) => text.startsWith(`${word} `)) && rests.size > 1 ? word : undefined;
}

/** A letter or two in capitals begin a code. */
const isCapital = (word: string): boolean => /^\p{Lu}{1,3}$/u.test(word);

function unitIn(heading: string): string | undefined {
  const words = heading.toLowerCase().match(/[\p{L}"″]+/gu) ?? [];
  return (
    words.reverse().find((word) => word.length <= 12 && metresPer(word) !== undefined && word !== 'in') ??
    (/[([]\s*in\.?\s*[)\]]|,\s*in$/i.test(heading) ? 'in' : undefined)
  );
}

/** The values of a column’s figures in one way of writing. */
export function valuesIn({ figures }: Column, writing: Writing): (number | undefined)[] {
  return figures.map((figure) => {
    const value = figure ? valueOf(figure.digits, writing) : undefined;
    return value !== undefined && Number.isFinite(value) ? value : undefined;
  });
}
