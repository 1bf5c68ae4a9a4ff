import { json } from '@sveltejs/kit';
import { sentenceOf } from '$lib/core/craft/findings';
import { defaultShop } from '$lib/core/documents/shop';
import { interpret } from '$lib/core/making/interpret';
import { textOf } from '$lib/core/reading/pages';
import type { SheetReading } from '$lib/core/reading/sheets';
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
 * POST a chart or an instruction sheet (text, CSV, PDF) or a drawing (SVG), by content type, and get its stops, what
 * its sentences ask for, both merged into one item, and problems. Nothing is kept.
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
      return json(answer(readChart(brought.text), brought.text));
    case 'paper':
      return json(answer(readPaper(brought.paper), textOf(brought.paper)));
    case 'drawing': {
      const { size, problems } = brought.drawing;
      return json({ rows: rowsOfDrawing(brought.drawing), instructions: [], size, problems });
    }
    default:
      return refuse(422, 'not-a-chart', 'This is no chart, instruction sheet or drawing.');
  }
};

function answer(reading: ChartReading, text: string): unknown {
  const { rows, lists, title, instructions, facts, thread, problems, sheet } = reading;
  const chart = { rows, lists, title, instructions, facts, thread, problems };
  if (!sheet)
    return { ...chart, pieces: [], steps: [], sentences: [], stops: [], actions: [], tips: [], merge: null };
  return { ...chart, ...sheet, merge: merged(reading, sheet, text) };
}

/** Chart and sheet as one item: each step with its sentence, how it ends, and what is wrong with it. */
function merged({ rows, title, facts }: ChartReading, sheet: SheetReading, text: string): unknown {
  const name = title ?? 'As the paper says';
  const papers = { id: 'read', name, now: new Date().toISOString(), sheet, rows, size: facts.size, text };
  const { item, steps, ends, findings, questions } = interpret(papers, defaultShop('intake'));
  return {
    item,
    steps: steps.map(({ id, sentence }) => ({ id, sentence, ours: sentence === null })),
    ends,
    findings: findings.map(({ code, severity, stepId, values }) => ({
      code,
      severity,
      stepId,
      message: sentenceOf(code, values)
    })),
    questions
  };
}
