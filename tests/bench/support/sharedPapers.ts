import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { type ChartReading, readChart, readPaper, type ReadRow } from '$lib/core/reading/papers';
import { openFile } from '../../../src/lib/files';

/** A row of a paper as its truth has it. */
export interface TruthRow {
  n: number;
  label: string | null;
  colour: string | null;
  code: string | null;
  stitches: number | null;
  threadMm: number | null;
  role: string | null;
  roleAlso?: string[];
  garbled?: boolean;
}
interface Truth {
  isChart: boolean;
  header: { widthMm: number | null; heightMm: number | null; totalStitches: number | null };
  problemsMin: number;
  rows?: TruthRow[];
}

const FOLDER = new URL('../../papers/charts/', import.meta.url).pathname;

/** Papers that the reader’s author did not write, with what stands on them. */
export function sharedTruths(): [file: string, truth: Truth][] {
  const all = JSON.parse(readFileSync(join(FOLDER, 'expected.json'), 'utf8')) as {
    files: Record<string, Truth>;
  };
  return Object.entries(all.files);
}

/** Reads one of them as it would be dropped; what cannot be opened is a reading without rows. */
export async function readShared(file: string): Promise<ChartReading> {
  const brought = await openFile(file, new Uint8Array(readFileSync(join(FOLDER, file))));
  if (brought.kind === 'paper') return readPaper(brought.paper);
  return readChart(brought.kind === 'text' ? brought.text : '');
}

/** Text as it is compared: blanks joined, quotation marks and dashes alike, case ignored. */
function compared(text: string | null | undefined): string {
  return (text ?? '')
    .replace(/[“”„"«»]/g, '"')
    .replace(/[‘’‚']/g, "'")
    .replace(/[‐‑‒–—−-]/g, '-')
    .replace(/\s+/g, ' ')
    .trim()
    .toLowerCase();
}

/** Number, label, colour (with its code or without), stitches and length all as the paper has them. */
export function isTrueRow(found: ReadRow, truth: TruthRow): boolean {
  const colour = compared(found.colour);
  const code = compared(truth.code);
  const mm = found.threadMetres === null ? null : found.threadMetres * 1000;
  return (
    found.number === truth.n &&
    compared(found.name) === compared(truth.label) &&
    (colour === compared(truth.colour) || (code !== '' && colour === `${compared(truth.colour)} ${code}`)) &&
    found.stitches === truth.stitches &&
    (mm === null || truth.threadMm === null
      ? mm === truth.threadMm
      : Math.abs(mm - truth.threadMm) <= Math.max(0.5, truth.threadMm * 0.001))
  );
}
