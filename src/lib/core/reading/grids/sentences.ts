import type { PaperLine } from '$lib/core/reading/pages';
import { type Grid, type GridRecord, hasFigure, mode } from './grid';

interface Entry {
  /** Null where entries are not counted. */
  number: number | null;
  text: string;
  parts: PaperLine[];
}

/** Marks that may part the values of an entry: one of them throughout, or any of them. */
const MARKS = [/\s*;\s+/, /\s+[-–—]\s+/, /\s*,\s+/, /\s*[|·•/]\s*/];
const ANY = /\s*[;,|·•]\s+|\s+[-–—/@]\s+|:\s+|\s*[([]\s*|\s*[)\]]\s*/;

/**
 * Entries that are told one after another in running text, counted 1, 2, 3: `1) Grey - placement line, 120 st; 2) …`. They may
 * run on over lines; an entry ends where the next begins, with its sentence, or with its paragraph.
 *
 * @returns a grid for each mark that may part the values of an entry; none where nothing counts
 *
 * @example
 * sentencesOf(linesOfText(['1) Grey, rim, 120 st; 2) Black, face, 900 st']))[0]?.records.length // 2
 */
export function sentencesOf(lines: readonly PaperLine[]): Grid[] {
  const counted = entriesOf(lines);
  return [
    ...byMarks(counted),
    ...(counted.length > 1 ? [proseOf(counted)] : []),
    ...listsOf(lines).flatMap(byMarks)
  ];
}

/** Lines one below the other that begin alike, with a dash or a dot, or not at all: each is an entry. */
function listsOf(lines: readonly PaperLine[]): Entry[][] {
  const runs: PaperLine[][] = [];
  for (const line of lines) {
    const before = runs.at(-1)?.at(-1);
    if (before && line.page === before.page && line.y - before.y < 2.1 * line.height) runs.at(-1)?.push(line);
    else runs.push([line]);
  }
  return runs.flatMap((run): Entry[][] => {
    const entries: Entry[] = [];
    const bullets = run.some(({ tokens }) => BULLET.test(tokens[0]?.text ?? ''));
    for (const line of run) {
      const begins = BULLET.test(line.tokens[0]?.text ?? '');
      const text = line.tokens
        .slice(begins ? 1 : 0)
        .map((token) => token.text)
        .join(' ');
      const last = entries.at(-1);
      if (begins || (!bullets && hasFigure(text))) entries.push({ number: null, text, parts: [line] });
      else if (last) {
        last.text += ` ${text}`;
        last.parts.push(line);
      }
    }
    return entries.length > 1 ? [entries] : [];
  });
}

/** Parts of an entry that may be joined again, and letters of a unit. */
const MOST_JOINED = 8;
const LONGEST_UNIT = 24;

const BULLET = /^[-–—•*·▪◦]$/;

/** Whole sentences: their figures by unit, and what is said without them. */
function proseOf(entries: readonly Entry[]): Grid {
  const read = entries.map(({ text }) => {
    const figures = new Map<string, string>();
    const words = text.replace(FIGURE, (whole, digits: string, unit = '') => {
      if (!figures.has(unit.toLowerCase())) figures.set(unit.toLowerCase(), `${digits} ${unit}`.trim());
      return ' ; ';
    });
    const said = words
      .split(/\s*[;()]\s*|\.\s/)[0]
      ?.replace(/^(?:is|are|does|has|gives|makes)?\s*(?:the|a|an)?\s+/i, '')
      .replace(/(?:,|\s+(?:has|with|and|takes|of|at|for|using|uses|needs))+\s*$/i, '')
      .trim();
    return { figures, said: said ?? '' };
  });
  const units = [...new Set(read.flatMap(({ figures }) => [...figures.keys()]))];
  return {
    layout: 'sentences',
    headings: ['', '', ...units],
    records: entries.map(({ number, parts }, at): GridRecord => ({
      cells: [
        String(number ?? ''),
        read[at]?.said ?? '',
        ...units.map((unit) => read[at]?.figures.get(unit) ?? '')
      ],
      parts
    }))
  };
}

const FIGURE = /(\d[\d.,'’]*(?:[ \u2009\u202f]\d{3})*)\s*(\p{L}{1,8}\b|["″%])?(?:\s+of\s+\p{L}+)?/gu;

function byMarks(entries: readonly Entry[]): Grid[] {
  if (entries.length < 2) return [];
  const steady = MARKS.filter((mark) => {
    const counts = entries.map(({ text }) => text.split(mark).length);
    const common = mode(counts);
    return common >= 3 && counts.filter((count) => count === common).length >= 0.6 * counts.length;
  });
  return [...steady, ANY].map((mark) => gridBy(entries, mark));
}

function gridBy(entries: readonly Entry[], mark: RegExp): Grid {
  let parted = entries.map(({ text }) =>
    text
      .split(mark)
      .map((part) => part.trim())
      .filter((part) => part !== '')
  );
  const common = mode(parted.map((parts) => parts.length));
  // As many parts as usual stand in their order; else figures are told apart by their unit, words by their order.
  const usual = parted.find((parts) => parts.length === common) ?? [];
  const order = kindsOf(usual);
  const known = new Set(parted.filter((parts) => parts.length === common).flat());
  parted = parted.map((parts) => rejoined(parts, order, known));
  const kinds = parted.map((parts) => (parts.length === common ? order : kindsOf(parts)));
  const columns = [...new Set(kinds.flat())];
  return {
    layout: 'sentences',
    headings: ['', ...columns.map(() => '')],
    records: entries.map((entry, at): GridRecord => ({
      cells: [
        String(entry.number ?? ''),
        ...columns.map((kind) => {
          const place = (kinds[at] ?? []).indexOf(kind);
          return place < 0 ? '' : (parted[at]?.[place] ?? '');
        })
      ],
      parts: entry.parts
    }))
  };
}

/**
 * An entry with more parts than usual, because a mark stands inside one of them: two words joined so that the others stand as
 * usual, best where they are values that other entries have too.
 */
function rejoined(parts: string[], order: readonly string[], known: ReadonlySet<string>): string[] {
  // So many more are no entry whose words hold a mark, but running text: what is too much stays together.
  if (parts.length > order.length + MOST_JOINED) {
    const last = Math.max(0, order.length - 1);
    return [...parts.slice(0, last), parts.slice(last).join(', ')];
  }
  let own = parts;
  while (own.length > order.length) {
    let best: { parts: string[]; score: number } | undefined;
    for (let at = 0; at + 1 < own.length; at++) {
      const joinedParts = [
        ...own.slice(0, at),
        `${own[at] ?? ''}, ${own[at + 1] ?? ''}`,
        ...own.slice(at + 2)
      ];
      const kinds = kindsOf(joinedParts);
      const score =
        kinds.filter((kind, place) => kind === order[place]).length +
        0.5 * joinedParts.filter((part, place) => place !== at && known.has(part)).length;
      if (!best || score > best.score) best = { parts: joinedParts, score };
    }
    if (!best) break;
    own = best.parts;
  }
  return own;
}

function kindsOf(parts: readonly string[]): string[] {
  let words = 0;
  const seen = new Map<string, number>();
  return parts.map((part) => {
    if (!hasFigure(part) || !/^[~c. ]*\d/.test(part)) return `w${words++}`;
    const unit = `#${unitOf(part)}`;
    const times = seen.get(unit) ?? 0;
    seen.set(unit, times + 1);
    return times === 0 ? unit : `${unit}${times}`;
  });
}

function unitOf(part: string): string {
  return /(\p{L}+|["″'′])\.?$/u.exec(part.slice(-LONGEST_UNIT))?.[1]?.toLowerCase() ?? '';
}

function entriesOf(lines: readonly PaperLine[]): Entry[] {
  const entries: Entry[] = [];
  let wanted = 1;
  let before: PaperLine | undefined;
  let open = false;
  for (const line of lines) {
    if (before && (line.page !== before.page || line.y - before.y > 1.9 * line.height)) open = false;
    before = line;
    let rest = line.tokens.map(({ text }) => text).join(' ');
    for (;;) {
      const next = beginOf(wanted).exec(rest);
      if (!next) break;
      add(entries.at(-1), rest.slice(0, next.index), line, open);
      entries.push({ number: wanted, text: '', parts: [line] });
      open = true;
      wanted++;
      rest = rest.slice(next.index + next[0].length);
    }
    add(entries.at(-1), rest, line, open);
    if (/[.!?]$/.test(rest)) open = false;
  }
  return entries.map((entry) => ({ ...entry, text: entry.text.replace(/[\s.;,]+$/, '') }));
}

/** How an entry may begin in running text: its number with a mark behind it, or a word in front. */
function beginOf(number: number): RegExp {
  const digits = `#?0?${number}`;
  return new RegExp(
    `(?:^|[\\s;,.(])(?:${digits}\\s?[).:](?!\\d)|(?:stop|no|nr|step|colou?r)\\.?\\s?${digits}\\s?[).:,–-]?)\\s+(?=[\\p{L}\\d])`,
    'iu'
  );
}

function add(entry: Entry | undefined, text: string, line: PaperLine, open: boolean): void {
  if (!entry || !open || text.trim() === '') return;
  entry.text = `${entry.text} ${text.trim()}`.trim();
  if (!entry.parts.includes(line)) entry.parts.push(line);
}
