import { messageOf } from '$lib/core/base/problems';
import { type DrawingReading, readSvg } from '$lib/core/reading/drawings';
import type { Paper } from '$lib/core/reading/pages';
import { kindOf, textOf } from './kind';
import { LIMITS, sizeWords } from './limits';
import { readPdf } from './readPdf';
import { readZip, type Entry } from './readZip';

/** What a file brought turned out to be. */
export type Brought =
  | { kind: 'paper'; name: string; paper: Paper; note: string | null }
  | { kind: 'text'; name: string; text: string }
  | { kind: 'drawing'; name: string; drawing: DrawingReading }
  | { kind: 'document'; name: string; value: unknown }
  | { kind: 'archive'; name: string; entries: Entry[]; left: { name: string; why: string }[] }
  | { kind: 'refused'; name: string; code: string; message: string };

const NOT_OURS =
  'This is not a file we read: a machine’s own stitch file is closed, only open formats come in. Bring the colour chart (PDF, text or CSV), the outline as SVG, or a stitch list as CSV.';

/**
 * Opens whatever a maker brings and tells what it is. It never throws: what cannot be read comes back as `refused`, with
 * what to bring instead.
 *
 * @param name the file’s name, for what is said
 *
 * @example
 * (await openFile('tab.svg', bytesOfAnSvg)).kind // 'drawing'
 */
export async function openFile(name: string, bytes: Uint8Array): Promise<Brought> {
  const refused = (code: string, message: string): Brought => ({ kind: 'refused', name, code, message });
  if (bytes.length === 0) return refused('empty', 'This file is empty.');
  const kind = kindOf(bytes);
  if (kind === 'picture') {
    return refused(
      'picture',
      'This is a picture: its text cannot be read. Bring the chart as PDF with text, as text or CSV.'
    );
  }
  if (kind === 'other') return refused('not-open', NOT_OURS);
  const { bytes: most } = LIMITS[kind];
  if (bytes.length > most) {
    return refused(
      'too-large',
      `This file has ${sizeWords(bytes.length)}; at most ${sizeWords(most)} are read of ${KIND_WORDS[kind]}.`
    );
  }
  switch (kind) {
    case 'pdf': {
      const read = await readPdf(bytes);
      if (!read.ok) return refused(read.code, read.message);
      const note =
        read.skipped > 0 ? `Only the first ${LIMITS.pdf.pages} of ${read.pages} pages are read.` : null;
      return { kind: 'paper', name, paper: read.paper, note };
    }
    case 'zip': {
      const read = readZip(bytes);
      return read.ok
        ? { kind: 'archive', name, entries: read.entries, left: read.left }
        : refused('broken', read.message);
    }
    case 'svg':
      return { kind: 'drawing', name, drawing: readSvg(textOf(bytes)) };
    case 'json':
      try {
        return { kind: 'document', name, value: JSON.parse(textOf(bytes)) as unknown };
      } catch (problem) {
        return refused('not-json', `This looks like JSON but is broken: ${messageOf(problem)}.`);
      }
    case 'text':
      return { kind: 'text', name, text: textOf(bytes) };
  }
}

const KIND_WORDS = {
  pdf: 'a PDF',
  zip: 'a ZIP file',
  svg: 'a drawing',
  json: 'a document',
  text: 'a text'
} as const;
