import { type PaperLine, partOf } from '$lib/core/reading/pages';
import { columnAt, columnsOf } from './columns';
import { type Grid, type GridRecord, hasFigure, joined, mode, numberedStart } from './grid';
import { constantLabels, labelledValues } from './labels';
import { type Segment, segmentsOf } from './segments';
import { byLabels, byNumbers, byWhite, type Unfolded } from './starts';

/**
 * Records of several lines that come again and again: cards in one column or several, lists with a value a line, entries of
 * two lines. What stands in all of them at the same place is a label; what differs is a value.
 *
 * @example
 * cardsOf(linesOfText(['1', 'Ears', '120 st', '2', 'Rim', '900 st']))[0]?.records[1]?.cells // ['2', 'Rim', '900 st']
 */
export function cardsOf(lines: readonly PaperLine[]): Grid[] {
  return [...byNumbers(lines), ...byLabels(lines), ...byWhite(lines)].flatMap(
    (unfolded) => gridOf(unfolded) ?? []
  );
}

/** Papers of several columns as one, for tables that stand beside each other. */
export function unfoldedLines(lines: readonly PaperLine[]): PaperLine[][] {
  return byNumbers(lines)
    .filter(({ lines: laid }) => laid.length > lines.length)
    .map(({ lines: laid, starts }) => {
      // Moved so that every column begins at the same edge, and further down than the one before.
      const x = (at: number): number => laid[at]?.tokens[0]?.x ?? 0;
      const [first = 0] = starts;
      let shift = 0;
      let edge = x(first);
      let down = 0;
      return laid.map((line, at) => {
        if (starts.includes(at)) shift = x(at) - edge;
        if (at === 0) edge = x(first);
        const before = laid[at - 1];
        if (before && (line.y < before.y || line.page !== before.page))
          down += before.y - line.y + 2 * line.height;
        return {
          ...partOf(
            line,
            line.tokens.map((token) => ({ ...token, x: token.x - shift, right: token.right - shift }))
          ),
          y: line.y + down
        };
      });
    });
}

function gridOf({ lines, starts }: Unfolded): Grid | undefined {
  if (starts.length < 2) return undefined;
  const spans = starts.map((from, at) => lines.slice(from, starts[at + 1] ?? lines.length));
  const usual = mode(spans.slice(0, -1).map((span) => span.length));
  const inner = innerGap(spans.filter((span) => span.length === usual));
  const records = spans.map((span) => trimmed(span, usual, inner));
  if (records.every((record) => record.length <= 1)) return undefined;
  const split = records.map((record) => record.map(segmentsOf));
  const labels = constantLabels(split);
  const numbered = split.map(numberOf);
  const hasNumbers = numbered.every((found) => found !== undefined);
  const rest = split.map((record, at) =>
    hasNumbers ? withoutNumber(record, numbered[at]?.rest ?? '') : record
  );
  const labelled = rest.map((record) => labelledValues(record, labels));
  const loose = looseColumns(
    labelled.map(({ loose: own }) => own),
    records
  );
  const keys = labels.filter((label) => labelled.some(({ values }) => values.has(label)));
  return {
    layout: 'cards',
    headings: [...(hasNumbers ? [''] : []), ...loose.headings, ...keys],
    records: records.map((parts, at): GridRecord => ({
      cells: [
        ...(hasNumbers ? [String(numbered[at]?.number ?? '')] : []),
        ...(loose.records[at] ?? []),
        ...keys.map((key) => labelled[at]?.values.get(key) ?? '')
      ],
      parts
    }))
  };
}

/** The widest step from line to line inside a record, as most records have it. */
function innerGap(spans: readonly PaperLine[][]): number {
  const widest = spans
    .map((span) => Math.max(0, ...span.slice(1).map((line, at) => line.y - (span[at]?.y ?? line.y))))
    .sort((a, b) => a - b);
  return widest[Math.floor(widest.length * 0.7)] ?? Infinity;
}

/** A record keeps to its page, and its lines are no further apart than those of the others: a footer is none of them. */
function trimmed(span: PaperLine[], usual: number, inner: number): PaperLine[] {
  const [first] = span;
  if (!first) return [];
  const own: PaperLine[] = [];
  for (const line of span) {
    const before = own.at(-1) ?? first;
    const step = line.y - before.y;
    if (line.page !== first.page || step > 1.15 * inner + 0.1 * line.height || step < -line.height) break;
    own.push(line);
  }
  return own.slice(0, usual + 2);
}

function numberOf(record: readonly Segment[][]): { number: number; rest: string } | undefined {
  return numberedStart(record[0]?.[0]?.text ?? '');
}

/** The record without its number; what stood behind the number in one piece stays. */
function withoutNumber(record: Segment[][], rest: string): Segment[][] {
  const [[first, ...others] = [], ...lines] = record;
  if (!first) return record;
  const kept = rest === '' ? [] : [{ ...first, text: rest, tokens: first.tokens.slice(1) }];
  const head = [...kept, ...others];
  return head.length > 0 ? [head, ...lines] : lines;
}

/** Values without a label, put under each other: line by line, by place where their number differs. */
function looseColumns(
  records: readonly Segment[][][],
  parts: readonly PaperLine[][]
): { headings: string[]; records: string[][] } {
  const usual = mode(records.map((record) => record.length));
  const template = templateOf(records.filter((record) => record.length === usual));
  const fitted = records.map((record) => placed(fittedTo(record, usual), template));
  const out = records.map((): string[] => []);
  for (let line = 0; line < usual; line++) {
    const own = fitted.map((record) => record[line] ?? []);
    const counts = own.filter((segments) => segments.length > 0).map((segments) => segments.length);
    const count = mode(counts);
    const same = counts.filter((each) => each === count).length >= 0.8 * counts.length;
    if (same && counts.every((each) => each <= count)) {
      own.forEach((segments, at) => {
        const places = byEnds(segments, own, count);
        for (let column = 0; column < count; column++) out[at]?.push(places[column] ?? '');
      });
      continue;
    }
    const lines = own.map((segments, at): PaperLine => ({
      ...(parts[at]?.[0] ?? { line: 0, page: 0, y: 0, height: 1, tokens: [], cells: [], text: '' }),
      tokens: segments.map(({ text, x, right }) => ({ text, x, right }))
    }));
    const shifted = lines.map((each, at) => moved(each, -(parts[at]?.[0]?.tokens[0]?.x ?? 0)));
    const columns = columnsOf(
      shifted.filter(({ tokens }) => tokens.length > 0),
      0.3 * (lines[0]?.height ?? 1)
    );
    shifted.forEach((each, at) => {
      const cells = columns.map((): string[] => []);
      for (const token of each.tokens) cells[columnAt(token, columns)]?.push(token.text);
      out[at]?.push(...cells.map((words) => words.join(' ')));
    });
  }
  const width = Math.max(0, ...out.map((cells) => cells.length));
  return { headings: Array.from({ length: width }, () => ''), records: out };
}

/** What usually stands in a line of a record: how often a figure, and which last words. */
interface LineKind {
  figure: number;
  units: Set<string>;
  codes: number;
}

function templateOf(whole: readonly Segment[][][]): LineKind[] {
  const count = whole[0]?.length ?? 0;
  return Array.from({ length: count }, (_, line): LineKind => {
    const texts = whole.map((record) => (record[line] ?? []).map(({ text }) => text).join(' '));
    return {
      figure: texts.filter(hasFigure).length / Math.max(1, texts.length),
      units: new Set(texts.map(unitOf)),
      codes: texts.filter(isShort).length / Math.max(1, texts.length)
    };
  });
}

const unitOf = (text: string): string =>
  /\d/.test(text) ? (/([\p{L}"%]*)$/u.exec(text)?.[1] ?? '') : 'words';
const isShort = (text: string): boolean => /^\S{1,3}\s?\d+$|^\p{Lu}\S*\d$/u.test(text);

/** A record with fewer lines than usual: which of them are missing, by what the others look like. */
function placed(record: Segment[][], template: readonly LineKind[]): Segment[][] {
  const missing = template.length - record.length;
  if (missing <= 0 || record.length === 0) return record;
  const fit = (line: Segment[], { figure, units, codes }: LineKind): number => {
    const text = line.map((segment) => segment.text).join(' ');
    const own = hasFigure(text) ? figure : 1 - figure;
    return own + (units.has(unitOf(text)) ? 0.6 : 0) + (isShort(text) ? codes : 1 - codes) * 0.5;
  };
  // best[i][j]: how well the first i lines stand in the first j places.
  const best: { sum: number; skipped: boolean }[][] = [template.map(() => ({ sum: 0, skipped: true }))];
  best[0]?.unshift({ sum: 0, skipped: true });
  record.forEach((line, at) => {
    const row: { sum: number; skipped: boolean }[] = [];
    for (let place = 0; place <= template.length; place++) {
      const kind = template[place - 1];
      const put =
        kind && place > at ? (best[at]?.[place - 1]?.sum ?? -Infinity) + fit(line, kind) : -Infinity;
      const skip = place > at + 1 ? (row[place - 1]?.sum ?? -Infinity) : -Infinity;
      row.push(put >= skip ? { sum: put, skipped: false } : { sum: skip, skipped: true });
    }
    best.push(row);
  });
  const out: Segment[][] = template.map(() => []);
  let [at, place] = [record.length, template.length];
  while (at > 0 && place > 0) {
    if (best[at]?.[place]?.skipped === false) out[place - 1] = record[--at] ?? [];
    place--;
  }
  return out;
}

/** Where a segment is missing, the others go to the columns whose kind they have: figures with figures, words with words. */
function byEnds(segments: readonly Segment[], all: readonly Segment[][], count: number): string[] {
  if (segments.length === count) return segments.map(({ text }) => text);
  const whole = all.filter((each) => each.length === count);
  const places: string[] = Array.from({ length: count }, () => '');
  let from = 0;
  segments.forEach(({ text, x, right }, at) => {
    let [best, most] = [from, -Infinity];
    for (let column = from; column <= count - (segments.length - at); column++) {
      const like = whole.map((each) => each[column]).filter((each) => each !== undefined);
      const kind =
        like.filter((each) => hasFigure(each.text) === hasFigure(text)).length / Math.max(1, like.length);
      const near = like.filter(
        (each) => Math.min(Math.abs(each.x - x), Math.abs(each.right - right)) < 3
      ).length;
      const fit = kind + near / Math.max(1, like.length);
      if (fit > most + 1e-9) [best, most] = [column, fit];
    }
    places[best] = text;
    from = best + 1;
  });
  return places;
}

function moved(line: PaperLine, by: number): PaperLine {
  return {
    ...line,
    tokens: line.tokens.map((token) => ({ ...token, x: token.x + by, right: token.right + by }))
  };
}

/** A record with more lines than usual has words that ran on: joined where that keeps figures apart. */
function fittedTo(record: Segment[][], usual: number): Segment[][] {
  const lines = [...record];
  while (lines.length > usual && lines.length > 1) {
    let at = lines.findIndex(
      (line, index) => index > 0 && line.length === 1 && !line.some(({ text }) => hasFigure(text))
    );
    if (at < 0) at = lines.length - 1;
    const [before = [], own = []] = [lines[at - 1], lines[at]];
    const last = before.at(-1);
    const [first, ...others] = own;
    if (!last || !first) break;
    const merged = {
      ...last,
      text: joined([last.text, first.text]),
      tokens: [...last.tokens, ...first.tokens]
    };
    lines.splice(at - 1, 2, [...before.slice(0, -1), merged, ...others]);
  }
  return lines;
}
