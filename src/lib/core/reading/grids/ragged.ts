import type { PaperLine } from '$lib/core/reading/pages';
import type { Grid, GridRecord } from './grid';

interface Ends {
  number: string;
  words: string[];
  figures: string[];
  line: PaperLine;
}

/**
 * Lines set with single blanks, so that nothing parts their columns: read from both ends, a number in front, figures at the
 * back, words between. Where the words end and the colour begins, the lines tell each other: the same last words come again
 * behind different ones.
 *
 * @param isColour whether words are nothing but a colour
 */
export function raggedOf(lines: readonly PaperLine[], isColour: (text: string) => boolean): Grid[] {
  const ends = lines.flatMap((line) => endsOf(line) ?? []);
  if (ends.length === 0) return [];
  const whole = ends.filter(
    ({ figures }) => figures.length === Math.max(...ends.map((each) => each.figures.length))
  );
  const kinds = (whole[0]?.figures ?? []).map(kindOf);
  const endings = endingsOf(ends);
  const tails = ends.map(({ words }) => tailOf(words, endings, isColour));
  return [
    {
      layout: 'ragged',
      headings: ['', '', '', ...kinds.map(() => '')],
      records: ends.map(({ number, words, figures, line }, at): GridRecord => {
        const tail = tails[at] ?? 0;
        return {
          cells: [
            number,
            clean(words.slice(0, words.length - tail).join(' ')),
            words.slice(words.length - tail).join(' '),
            ...placedByKind(figures, kinds)
          ],
          parts: [line]
        };
      })
    }
  ];
}

/** The unit of a figure, by which a figure that is missing leaves its own place empty. */
const kindOf = (figure: string): string => figure.replace(/[\d.,'’\s]/g, '').toLowerCase();

function placedByKind(figures: readonly string[], kinds: readonly string[]): string[] {
  if (figures.length === kinds.length) return [...figures];
  const places = kinds.map(() => '');
  let from = 0;
  for (const figure of figures) {
    const same = kinds.findIndex((kind, at) => at >= from && kind === kindOf(figure));
    const at = same < 0 ? from : same;
    if (at < places.length) places[at] = figure;
    from = at + 1;
  }
  return places;
}

const FIGURE = /^(?:\d[\d.,'’]*)$/;
const UNIT = /^(?:\p{L}{1,3}|stitches|metres|meters|inches|feet|yards|["″])\.?$/u;

function endsOf(line: PaperLine): Ends | undefined {
  const tokens = line.tokens.filter(({ text }) => !/^[-–—|/·•]$/.test(text));
  if (tokens.length < 3 || tokens.length > 16) return undefined;
  const figures: string[] = [];
  const take = (unit: string): void => {
    const last = tokens.pop();
    const before = tokens.at(-1);
    // "1 500" is one count, if no wider blank parts it.
    const near = last !== undefined && before !== undefined && last.x - before.right < 0.7 * line.height;
    const isGroup =
      near && tokens.length > 1 && /^\d{3}(?:[.,]\d+)?$/.test(last.text) && /^\d{1,2}$/.test(before.text);
    const digits = `${isGroup ? (tokens.pop()?.text ?? '') : ''}${last?.text ?? ''}`;
    figures.unshift(unit === '' ? digits : `${digits} ${unit}`);
  };
  while (tokens.length > 1 && figures.length < 3) {
    const last = tokens.at(-1)?.text.replace(/[),;]$/, '') ?? '';
    const before = tokens.at(-2)?.text ?? '';
    if (/^\(?\d[\d.,'’]*(?:\p{L}{1,3}|["″])?$/u.test(last)) take('');
    else if (UNIT.test(last) && FIGURE.test(before) && tokens.length > 2) {
      tokens.pop();
      take(last);
    } else break;
  }
  if (figures.length === 0) return undefined;
  const words = tokens.map(({ text }) => text);
  const [first = ''] = words;
  const joinedNumber =
    /^(?:stop|step|no\.?|colou?r)$/i.test(first) && /^#?\d{1,3}[.):]?$/.test(words[1] ?? '');
  const number = joinedNumber
    ? words.splice(0, 2).join(' ')
    : /^#?\d{1,3}[.):]?$/.test(first)
      ? (words.shift() ?? '')
      : '';
  if (words.length === 0 || words.some((word) => /^\d{2,}$/.test(word))) return undefined;
  if (!words.some((word) => /\p{L}{2}/u.test(word))) return undefined;
  return {
    number,
    words,
    figures: figures.map((figure) => figure.replace(/[(),;]/g, (mark) => (mark === ',' ? ',' : ''))),
    line
  };
}

/** How many of the last words are the colour. */
function tailOf(words: readonly string[], all: Endings, isColour: (text: string) => boolean): number {
  let tail = 0;
  while (tail < words.length && isColour(words.slice(words.length - tail - 1).join(' '))) tail++;
  if (tail === 0) return 0;
  // In "Lanyard Oxide Red" a capital inside the line begins the colour.
  const isCapital = (word: string | undefined): boolean => /^\p{Lu}\p{Ll}/u.test(word ?? '');
  if (isCapital(words.at(-tail)) && isCapital(words[0]))
    while (tail < Math.min(3, words.length - 1) && isCapital(words.at(-tail - 1)) && words.length - tail > 1)
      tail++;
  while (tail < Math.min(3, words.length - 1)) {
    const longer = all.get(endOf(words, tail + 1));
    const shorter = all.get(endOf(words, tail));
    if (!longer || longer.count < 2 || longer.before.size < 2 || longer.count < (shorter?.count ?? 0)) break;
    tail++;
  }
  return tail;
}

/** How often lines end with the same words, and behind which. */
type Endings = Map<string, { count: number; before: Set<string> }>;

function endingsOf(all: readonly Ends[]): Endings {
  const endings: Endings = new Map();
  for (const { words } of all)
    for (let length = 1; length <= Math.min(4, words.length); length++) {
      const end = endOf(words, length);
      const own = endings.get(end) ?? { count: 0, before: new Set<string>() };
      own.count++;
      own.before.add(words.at(-length - 1)?.toLowerCase() ?? '');
      endings.set(end, own);
    }
  return endings;
}

const endOf = (words: readonly string[], length: number): string =>
  words.slice(-length).join(' ').toLowerCase();

function clean(text: string): string {
  return text.replace(/^[\s\-–:,;.]+|[\s\-–:,;]+$/g, '');
}
