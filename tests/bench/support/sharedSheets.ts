import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { type ChartReading, readChart, readPaper } from '$lib/core/reading/papers';
import { openFile } from '../../../src/lib/files';

/** What an instruction sheet of other hands asks for. */
export interface SheetTruth {
  item: string;
  sentences: { i: number; text: string; kind: string[] }[];
  stops: { n: number; role: string; roleAlso?: string[]; sentence: number }[];
  pieces: { name: string; count: number; cut: { widthMm: number; heightMm: number | null } | null }[];
  actions: {
    after: number;
    action: string;
    actionAlso?: string[];
    piece: string | null;
    face: 'up' | 'down' | null;
    faceFromAbove?: 'up' | 'down';
    where: 'above' | 'below' | null;
    sentence: number;
    optional?: boolean;
  }[];
  tips: number[];
}

const FOLDER = new URL('../../papers/sheets/', import.meta.url).pathname;

/** Sheets that the reader’s author did not write, with what they ask for. */
export function sharedSheets(): [file: string, truth: SheetTruth][] {
  const all = JSON.parse(readFileSync(join(FOLDER, 'expected.json'), 'utf8')) as {
    sheets: Record<string, SheetTruth>;
  };
  return Object.entries(all.sheets);
}

/** Reads one of them as it would be dropped. */
export async function readSharedSheet(file: string): Promise<ChartReading> {
  const brought = await openFile(file, new Uint8Array(readFileSync(join(FOLDER, file))));
  if (brought.kind === 'paper') return readPaper(brought.paper);
  return readChart(brought.kind === 'text' ? brought.text : '');
}
