import { figureIn, isBlank } from './values';

/** One column taken apart, or the reason not to. */
type Split = (texts: readonly string[]) => string[][] | undefined;

/** No cell that holds two values is longer, letters: what is longer is running text. */
const LONGEST_CELL = 200;

/** A way of taking cells apart must do so in this share of them. */
const SHARE = 0.7;

/** A number in front of something else, `3. Face`, `03 Face`, or of anything at all where the numbers count up. */
const numberInFront: Split = (texts) =>
  apart(texts, (text) => {
    const found = /^((?:\p{L}{1,8}\.?\s)?#?\d{1,3}\s?[.):–-]?)\s+(\D.*)$/u.exec(text);
    return found?.[1] && found[2] ? [found[1], found[2]] : undefined;
  });
const countInFront: Split = (texts) => {
  const counted = texts.map((text) => /^#?(\d{1,3})[.)]?\s+\S/.exec(text)?.[1]);
  const first = Number(counted[0]);
  if (counted.length < 3 || !counted.every((digits, at) => Number(digits) === first + at)) return undefined;
  return apart(texts, (text) => [text.slice(0, text.search(/\s/)), text.slice(text.search(/\s/)).trim()]);
};

/** Words in brackets at the end: `Grey (S61)`. */
const brackets: Split = (texts) =>
  apart(texts, (text) => {
    const found = /^([^([]+?)\s*[([]([^)\]]+)[)\]]$/.exec(text);
    return found?.[1] && found[2] ? [found[1], found[2]] : undefined;
  });

/** Words, then a figure: `grey 120`, `grey 120 st`. */
const figureBehind: Split = (texts) =>
  apart(texts, (text) => {
    // "W 159" is one code.
    if (!/\d/.test(text) || /^\p{Lu}{1,3}\s\d+$/u.test(text)) return undefined;
    const found = /^(\D*\p{L}[^\d]*?)[\s:,]+(\d[\d.,' \u2009\u202f]*(?:\s?\p{L}{1,8}\.?)?)$/u.exec(text);
    return found?.[1] && found[2] ? [found[1], found[2]] : undefined;
  });

/** A figure, then words: `3.4 % grey`. */
const figureInFront: Split = (texts) =>
  apart(texts, (text) => {
    const found = /^(\d[\d.,]*\s?(?:%|\p{L}{1,3}\.?)?)\s+(\p{L}{2}.*)$/u.exec(text);
    return found?.[1] && found[2] ? [found[1], found[2]] : undefined;
  });

/** Minutes beside words: `Ears 1:03`, `0:42 Ears`. */
const timeBehind: Split = (texts) =>
  apart(texts, (text) => {
    // Looked at from its end first: most texts have no time there, and the whole is slow to match.
    if (!/\d:\d{2}$/.test(text)) return undefined;
    const found = /^(.*\p{L}.*?)[\s,;]+(\d{1,2}:\d{2}(?::\d{2})?)$/u.exec(text);
    return found?.[1] && found[2] ? [found[1], found[2]] : undefined;
  });
const timeInFront: Split = (texts) =>
  apart(texts, (text) => {
    const found = /^(\d{1,2}:\d{2}(?::\d{2})?)[\s,;]+(.*\p{L}.*)$/u.exec(text);
    return found?.[1] && found[2] ? [found[1], found[2]] : undefined;
  });

/** Two figures, each with its unit: `120 st 0.60 m`, `120 / 0.60 m`. */
const twoFigures: Split = (texts) =>
  apart(texts, (text) => {
    // "1 744.4 in" is one figure.
    if (figureIn(text)) return undefined;
    const found =
      /^(\d[\d.,'\u2009\u202f]*(?:\s\d{3})*\s?\p{L}*\.?)(?:\s+|\s*[/|·;=]\s*|,\s+|\s+[–-]\s+)\(?(\d[\d.,'\u2009\u202f]*(?:\s\d{3})*\s?(?:\p{L}+|["″])?\.?)\)?$/u.exec(
        text
      );
    return found?.[1] && found[2] ? [found[1], found[2]] : undefined;
  });

/** Words, then a code: `Grey S61`; and the other way round. */
const codeBehind: Split = (texts) =>
  apart(texts, (text) => {
    const found = /^(\p{L}[\p{L}\s'’.-]*?)[\s,]+(#?[\p{L}-]{0,4}\d[\p{L}\d-]*)$/u.exec(text);
    return found?.[1] && found[2] ? [found[1], found[2]] : undefined;
  });
const codeInFront: Split = (texts) =>
  apart(texts, (text) => {
    const found = /^(#?[\p{L}-]{0,4}\d[\p{L}\d-]*)[\s,:]+(\p{L}[\p{L}\s'’.-]*)$/u.exec(text);
    return found?.[1] && found[2] ? [found[1], found[2]] : undefined;
  });

const MARKS: [name: string, mark: RegExp][] = [
  ['dash', /\s+[-–—]\s+/],
  ['slash', /\s*\/\s*/],
  ['semicolon', /\s*;\s*/],
  ['comma', /\s*,\s+/],
  ['bar', /\s*[|·•]\s*/],
  ['colon', /:\s+/],
  ['in', /\s+in\s+/]
];
const byMarks = MARKS.flatMap(([name, mark]): [name: string, split: Split][] => [
  [
    `first ${name}`,
    (texts) =>
      apart(texts, (text) => {
        const at = text.search(mark);
        if (at < 0) return undefined;
        const [, ...rest] = text.split(mark);
        return [
          text.slice(0, at),
          text.slice(text.length - rest.join('').length).trim() && text.slice(at).replace(mark, '')
        ];
      })
  ],
  [
    `every ${name}`,
    (texts) => {
      const most = Math.max(...texts.map((text) => text.split(mark).length));
      return most >= 3 && most <= 6
        ? apart(texts, (text) => {
            const parts = text.split(mark);
            return parts.length === most ? parts : undefined;
          })
        : undefined;
    }
  ]
]);

/** Ways of taking cells apart that hold two values or more, by name, the likeliest first. */
export const SPLITS: ReadonlyMap<string, Split> = new Map([
  ['number in front', numberInFront],
  ['count in front', countInFront],
  ['two figures', twoFigures],
  ['time behind', timeBehind],
  ['time in front', timeInFront],
  ['figure behind', figureBehind],
  ['figure in front', figureInFront],
  ['brackets', brackets],
  ['code behind', codeBehind],
  ['code in front', codeInFront],
  ...byMarks
]);

/** Takes every cell apart; a cell that cannot be goes whole to the first part, if that is seldom. */
function apart(
  texts: readonly string[],
  split: (text: string) => string[] | undefined
): string[][] | undefined {
  const parts = texts.map((text) =>
    isBlank(text) ? null : text.length > LONGEST_CELL ? undefined : split(text)
  );
  const filled = parts.filter((part) => part !== null);
  const done = filled.filter((part) => part !== undefined);
  const width = Math.max(0, ...done.map((part) => part.length));
  if (done.length === 0 || done.length < SHARE * filled.length || width < 2) return undefined;
  return Array.from({ length: width }, (_, column) =>
    parts.map((part, at) => (part ? (part[column] ?? '').trim() : column === 0 ? (texts[at] ?? '') : ''))
  );
}
