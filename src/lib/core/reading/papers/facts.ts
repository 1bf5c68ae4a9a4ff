import { metresPer, MM_PER_INCH } from '$lib/core/base/units';
import { readCount, readThreadLength } from '$lib/core/reading/evidence';
import type { PaperLine } from '$lib/core/reading/pages';

/** What a paper says of the whole design; null where it does not. Size in mm, thread in metres. */
export interface PaperFacts {
  size: { width: number; height: number } | null;
  stitches: number | null;
  stops: number | null;
  threadMetres: number | null;
}

export interface FactsReading {
  facts: PaperFacts;
  /** Lines that say nothing but facts. */
  lines: Set<number>;
  doubts: { line: number; message: string }[];
}

const NUMBER = String.raw`(\d{1,4}(?:[.,]\d+)?)`;
const UNIT = String.raw`(mm|cm|in(?:ch(?:es)?)?\b\.?|"|″)`;
const SIZE = new RegExp(
  `${NUMBER}\\s*${UNIT}?\\s*(?:\\(?[wh]\\)?)?\\s*(?:[x×*]|by)\\s*${NUMBER}\\s*${UNIT}`,
  'gi'
);
const SIDE = new RegExp(`\\b(width|wide|height|high|tall)\\b\\s*[:=]?\\s*${NUMBER}\\s*${UNIT}`, 'gi');

/**
 * Reads what a paper says of the whole design: its size in millimetres or inches, how many stops and stitches it has,
 * and how much thread it takes.
 *
 * @param lines lines of the paper
 * @param isRow whether a line is read as a stop, so that its figures are the stop’s
 *
 * @example
 * readFacts(linesOfText(['Size 3.70 x 1.18 in']), () => false).facts.size // { width: 93.98, height: 29.97 }
 */
export function readFacts(lines: PaperLine[], isRow: (line: number) => boolean): FactsReading {
  const facts: PaperFacts = { size: null, stitches: null, stops: null, threadMetres: null };
  const reading: FactsReading = { facts, lines: new Set(), doubts: [] };
  const sides: { width?: number; height?: number } = {};
  for (const { line, text, cells } of lines) {
    if (isRow(line)) continue;
    const flat = clear(cells.map((cell) => cell.text).join(' ') || text);
    // A hoop’s size is not the design’s; another clause of the same line may still say it.
    const clauses = cells.flatMap((cell) => clear(cell.text).split(/[,;]\s+|[()]\s*|\.\s/));
    for (const size of clauses
      .filter((clause) => !/\b(?:hoop|field|frame|ring)\b/i.test(clause))
      .flatMap(readSizes)) {
      reading.lines.add(line);
      if (facts.size === null) facts.size = size;
      else if (differs(facts.size.width, size.width, 0.02) || differs(facts.size.height, size.height, 0.02)) {
        reading.doubts.push({
          line,
          message: `This size is not the one said before (${said(facts.size)}). Which is the finished size?`
        });
      }
    }
    if (readSizes(flat).length > 0) reading.lines.add(line);
    for (const [, which = '', digits = '', unit = ''] of flat.matchAll(SIDE)) {
      reading.lines.add(line);
      sides[/^(?:height|high|tall)$/i.test(which) ? 'height' : 'width'] ??= toMm(digits, unit);
    }
    const stops =
      /\b(?:colou?r\s+)?stops\s*[:=]?\s*(\d{1,3})\b/i.exec(flat) ??
      /\b(\d{1,3})\s+(?:colou?r\s+)?stops\b/i.exec(flat);
    if (stops?.[1] !== undefined) {
      facts.stops ??= Number(stops[1]);
      reading.lines.add(line);
    }
    const stitches = totalStitches(flat);
    if (stitches !== undefined) {
      facts.stitches = stitches;
      reading.lines.add(line);
    }
    const thread = totalThread(flat);
    if (thread !== undefined) {
      facts.threadMetres ??= thread;
      reading.lines.add(line);
    }
  }
  if (sides.width !== undefined && sides.height !== undefined)
    facts.size ??= { width: sides.width, height: sides.height };
  return reading;
}

/** A line as it is searched: blanks run together, no longer than anyone would write one. */
function clear(text: string): string {
  return text.replace(/\s+/g, ' ').slice(0, 400);
}

/** Sizes such as `94 x 30 mm` or `3.7" × 1.2"` in a line, mm. */
function readSizes(text: string): { width: number; height: number }[] {
  return [...text.matchAll(SIZE)].map(([, width = '', own, height = '', unit = '']) => ({
    width: toMm(width, own ?? unit),
    height: toMm(height, unit)
  }));
}

function toMm(digits: string, unit: string): number {
  const value = Number(digits.replace(',', '.'));
  const word = unit.toLowerCase();
  if (word.startsWith('in') || word === '"' || word === '″')
    return Math.round(value * MM_PER_INCH * 100) / 100;
  return Math.round(value * (metresPer(word) ?? 0.001) * 1000 * 100) / 100;
}

/** Whether a line speaks of the whole chart, so that it is no row. */
export function isSummary(text: string): boolean {
  return isTotal(text) || /^\W*(?:colou?r\s+)?stops\s*[:=]/i.test(text);
}

function isTotal(text: string): boolean {
  return /^\W*(?:total|sum|in all|altogether|grand total)\b/i.test(text);
}

const IN_ALL = /\b(?:total|sum|in all|altogether|design|whole|overall)\b/i;
const COUNT = String.raw`(\d{1,3}(?:[.,'’ \u00a0\u202f]\d{3})+|\d+)`;

function totalStitches(text: string): number | undefined {
  const labelled =
    new RegExp(
      `(?:stitch(?:es)?(?:\\s*count)?)\\s*(?:total|in all|altogether)?\\s*[:=]?\\s*${COUNT}(?!\\s*\\d*\\s*(?:m|cm|in|ft)\\b)`,
      'i'
    ).exec(text) ?? new RegExp(`${COUNT}\\s*(?:stitches|sts)\\b`, 'i').exec(text);
  if (labelled?.[1] !== undefined && (IN_ALL.test(text) || /^\W*stitch/i.test(text)))
    return readCount(labelled[1]);
  if (!isTotal(text)) return undefined;
  const bare = text.replace(new RegExp(`${NUMBER}\\s*(?:m|cm|in|ft|metres|meters)\\b.*$`, 'i'), '');
  const found = [...bare.matchAll(new RegExp(COUNT, 'g'))].map(([digits]) => readCount(digits));
  return found.filter((count) => count !== undefined).at(-1);
}

function totalThread(text: string): number | undefined {
  if (!IN_ALL.test(text)) return undefined;
  const found = /(\d{1,6}(?:[.,]\d+)?)\s*(m|cm|ft|metres|meters|feet)\b/i.exec(text);
  return found ? readThreadLength(`${found[1] ?? ''} ${found[2] ?? ''}`)?.metres : undefined;
}

function differs(a: number, b: number, share: number): boolean {
  return Math.abs(a - b) > share * Math.max(a, b);
}

function said({ width, height }: { width: number; height: number }): string {
  return `${width} × ${height} mm`;
}
