import { json } from '@sveltejs/kit';
import { type ChartReading, readChart, readPaper, rowsOfDrawing } from '$lib/core/reading/papers';
import { LIMITS, openFile } from '$lib/files';
import { readBytes, refuse } from '$lib/server';
import type { RequestHandler } from './$types';

/** What a body of each content type must turn out to be. */
const TYPES: Readonly<Record<string, readonly string[]>> = {
  'text/plain': ['text'],
  'text/csv': ['text'],
  'text/tab-separated-values': ['text'],
  'application/pdf': ['paper'],
  'image/svg+xml': ['drawing']
};

/**
 * POST a chart or an instruction sheet (text, CSV, PDF) or a drawing (SVG), by content type, and get its stops, notes
 * and problems. Nothing is kept.
 */
export const POST: RequestHandler = async ({ request }) => {
  const type = (request.headers.get('content-type') ?? '').split(';')[0]?.trim().toLowerCase() ?? '';
  const wanted = TYPES[type];
  if (!wanted) {
    return refuse(
      415,
      'unknown-type',
      `Send one of ${Object.keys(TYPES).join(', ')} as content type.`,
      'content-type'
    );
  }
  const body = await readBytes(request, LIMITS.pdf.bytes);
  if (!body.ok) return body.answer;
  const brought = await openFile('body', body.bytes);
  if (brought.kind === 'refused') {
    return refuse(brought.code === 'too-large' ? 413 : 422, brought.code, brought.message);
  }
  if (!wanted.includes(brought.kind))
    return refuse(422, 'not-what-it-says', `The body is not ${type}.`, 'content-type');
  switch (brought.kind) {
    case 'text':
      return json(answer(readChart(brought.text)));
    case 'paper':
      return json(answer(readPaper(brought.paper)));
    case 'drawing': {
      const { size, problems } = brought.drawing;
      return json({ rows: rowsOfDrawing(brought.drawing), instructions: [], size, problems });
    }
    default:
      return refuse(422, 'not-a-chart', 'This is no chart, instruction sheet or drawing.');
  }
};

function answer({ rows, instructions, facts, thread, problems }: ChartReading): unknown {
  return { rows, instructions, facts, thread, problems };
}
