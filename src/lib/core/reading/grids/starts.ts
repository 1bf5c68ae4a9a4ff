import { median } from '$lib/core/base/units';
import { type PaperLine, partOf } from '$lib/core/reading/pages';
import { type Segment, segmentsOf } from './segments';
import { mode, numberedStart } from './grid';

/** Where records of several lines begin, on lines that have been laid under each other as one column. */
export interface Unfolded {
  lines: PaperLine[];
  /** Indices into the lines. */
  starts: number[];
}

interface Begin {
  line: PaperLine;
  segment: Segment;
  number: number | null;
}

/** Most clusters of numbers that are tried together. */
const MOST_CLUSTERS = 9;

/**
 * The ways in which the numbers of stops may divide a paper: numbers at one left edge, or at several beside each other, that
 * count 1, 2, 3 … between them.
 */
export function byNumbers(lines: readonly PaperLine[]): Unfolded[] {
  const begins = lines.flatMap((line) =>
    segmentsOf(line).flatMap((segment, at, all): (Begin & { shape: string })[] => {
      const found = numberedStart(segment.text);
      if (!found) return [];
      const begin = { line, segment, number: found.number, shape: found.shape };
      // The number may be the value of a label of its own in front of it.
      const before = all[at - 1];
      const label = before && labelOf(`${before.text} ${found.number}`);
      return label === undefined || !before
        ? [begin]
        : [begin, { ...begin, segment: before, shape: `${label} ${found.shape}` }];
    })
  );
  const shapes = [...new Set(begins.map(({ shape }) => shape))];
  return shapes.flatMap((shape) => {
    const clusters = clustersOf(begins.filter((begin) => begin.shape === shape)).map(rising);
    const chain = chainOf(clusters.slice(0, MOST_CLUSTERS));
    return chain ? raised(unfold(lines, chain)) : [];
  });
}

/** The ways in which a label that comes again and again may divide it; a name without a label may stand above. */
export function byLabels(lines: readonly PaperLine[]): Unfolded[] {
  const begins = new Map<string, Begin[]>();
  for (const line of lines) {
    for (const [at, segment, all] of segmentsOf(line).map(
      (each, index, own) => [index, each, own] as const
    )) {
      const heads = all[at + 1] !== undefined && /^[\p{L} .'’/()#-]{2,30}$/u.test(segment.text);
      const label = labelOf(segment.text) ?? (heads ? segment.text.toLowerCase() : undefined);
      if (label !== undefined)
        begins.set(label, [...(begins.get(label) ?? []), { line, segment, number: null }]);
    }
  }
  const most = Math.max(0, ...[...begins.values()].map((own) => own.length));
  if (most < 2) return [];
  const first = [...begins.values()].find((own) => own.length >= most);
  if (!first) return [];
  const clusters = clustersOf(first).filter((own) => own.length > 0);
  return raised(unfold(lines, clusters));
}

/** Most lines of a record that may stand above the line it was found by: a name, a picture’s title. */
const ABOVE = 3;

/** The same records, begun higher up where the white between them says so; both ways where it says little. */
function raised({ lines, starts }: Unfolded): Unfolded[] {
  const white = (above: number): number => {
    const gaps = starts.flatMap((start) => {
      const [line, before] = [lines[start - above], lines[start - above - 1]];
      return line && before && line.page === before.page && line.y > before.y ? [line.y - before.y] : [];
    });
    return median(gaps, 0);
  };
  const gaps = Array.from({ length: ABOVE + 1 }, (_, above) => white(above));
  const best = gaps.indexOf(Math.max(...gaps));
  const at = (above: number): Unfolded => ({
    lines,
    starts: starts.map((start) => start - above).filter((start) => start >= 0)
  });
  return best > 0 && (gaps[best] ?? 0) > 1.15 * (gaps[0] ?? 0) ? [at(best), at(0)] : [at(0)];
}

/** The blocks that white parts from each other, if most of them have as many lines. */
export function byWhite(lines: readonly PaperLine[]): Unfolded[] {
  const steps = lines
    .slice(1)
    .map((line, at) => (line.page === lines[at]?.page ? line.y - lines[at].y : Infinity));
  const usual = [...steps].sort((a, b) => a - b)[Math.floor(steps.length * 0.3)] ?? Infinity;
  const starts = [0, ...steps.flatMap((step, at) => (step > 1.45 * usual ? [at + 1] : []))];
  const lengths = starts.map((from, at) => (starts[at + 1] ?? lines.length) - from);
  const common = mode(lengths.filter((length) => length > 1));
  const own = starts.filter((_, at) => Math.abs((lengths[at] ?? 0) - common) <= 1 && (lengths[at] ?? 0) > 1);
  return own.length >= 3 && own.length * 2 > starts.length ? [{ lines: [...lines], starts: own }] : [];
}

/** What a text begins with if it looks like a label: up to its mark, or its first words in front of a figure. */
function labelOf(text: string): string | undefined {
  const marked = /^(\p{L}[\p{L} .'’/()#-]{0,30}?)\s?[:=]/u.exec(text);
  if (marked?.[1]) return marked[1].toLowerCase();
  const before = /^(\p{L}[\p{L} .'’/-]{0,24}?)\s+[\d#]/u.exec(text);
  return before?.[1]?.toLowerCase();
}

/** Begins at one left edge each, from the left. */
function clustersOf<B extends Begin>(begins: readonly B[]): B[][] {
  const clusters: B[][] = [];
  for (const begin of [...begins].sort((a, b) => a.segment.x - b.segment.x)) {
    const last = clusters.at(-1);
    const [first] = last ?? [];
    if (last && first && begin.segment.x - first.segment.x < 1.3 * begin.line.height) last.push(begin);
    else clusters.push([begin]);
  }
  return clusters.map((own) => own.sort((a, b) => a.line.page - b.line.page || a.line.y - b.line.y));
}

/** Cards beside each other count on by as many as there are in a row. */
const STEPS = [1, 2, 3, 4];

/** The longest run down the page that counts up by one step: other figures at the same edge are left out. */
function rising<B extends Begin>(own: readonly B[]): B[] {
  let best: B[] = [];
  for (const step of STEPS) {
    const runs = new Map<number, B[]>();
    for (const begin of own) {
      const number = begin.number ?? -1;
      const run = [...(runs.get(number - step) ?? []), begin];
      if (run.length > (runs.get(number)?.length ?? 0)) runs.set(number, run);
      if (run.length > best.length) best = run;
    }
  }
  return best;
}

/** The clusters that count from 1 (or 0) up between them without a gap, longest count first. */
function chainOf<B extends Begin>(clusters: B[][]): B[][] | undefined {
  let best: B[][] | undefined;
  let longest = 1;
  for (let pick = 1; pick < 1 << clusters.length; pick++) {
    const own = clusters.filter((_, at) => (pick & (1 << at)) !== 0);
    const numbers = own.flatMap((cluster) => cluster.map(({ number }) => number ?? -1)).sort((a, b) => a - b);
    const [lowest = 9] = numbers;
    const whole = numbers.every((number, at) => at === 0 || number === (numbers[at - 1] ?? 0) + 1);
    if (lowest <= 1 && whole && numbers.length > longest) [best, longest] = [own, numbers.length];
  }
  return best;
}

/** Lays the columns that begin at these edges under each other, each moved to the left edge of the first. */
function unfold(lines: readonly PaperLine[], clusters: readonly Begin[][]): Unfolded {
  const edges = clusters.flatMap((own) => {
    const [first] = own;
    return first ? [Math.min(...own.map(({ segment }) => segment.x)) - 0.6 * first.line.height] : [];
  });
  const starts = new Set<string>();
  for (const { line, segment } of clusters.flat()) starts.add(`${line.line}/${Math.round(segment.x * 100)}`);
  const pages = [...new Set(lines.map(({ page }) => page))];
  const laid: { line: PaperLine; starts: boolean }[] = [];
  for (const page of pages) {
    edges.forEach((edge, column) => {
      const until = edges[column + 1] ?? Infinity;
      const own = lines
        .filter((line) => line.page === page)
        .flatMap((line) => {
          const tokens = line.tokens.filter(({ x }) => (column === 0 || x >= edge) && x < until);
          if (tokens.length === 0) return [];
          const part = partOf(line, tokens);
          const begin = segmentsOf(part).find(({ x }) => starts.has(`${line.line}/${Math.round(x * 100)}`));
          return begin ? startLines(part, begin) : [{ line: part, starts: false, top: part.y }];
        })
        .sort((a, b) => a.top - b.top);
      laid.push(...own);
    });
  }
  return {
    lines: laid.map(({ line }) => line),
    starts: laid.flatMap((each, at) => (each.starts ? [at] : []))
  };
}

/** The line a record begins with; a number in large type begins as high as it reaches, apart from the words beside its foot. */
function startLines(line: PaperLine, begin: Segment): { line: PaperLine; starts: boolean; top: number }[] {
  const [first] = begin.tokens;
  const height = first?.height ?? line.height;
  const others = line.tokens.filter((token) => token !== first);
  const usual = Math.min(...others.map((token) => token.height ?? line.height));
  if (!first || height < 1.25 * usual) return [{ line, starts: true, top: line.y - 0.01 }];
  const top = line.y - 0.9 * height;
  return [
    { line: { ...partOf(line, [first]), y: top }, starts: true, top },
    ...(others.length > 0 ? [{ line: partOf(line, others), starts: false, top: line.y }] : [])
  ];
}
