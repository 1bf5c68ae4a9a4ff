import { sentenceOf } from '$lib/core/craft/findings';
import { defaultShop } from '$lib/core/documents/shop';
import { interpret } from '$lib/core/making/interpret';
import { textOf } from '$lib/core/reading/pages';
import type { SheetReading } from '$lib/core/reading/sheets';
import { type ChartReading, readChart, readPaper, rowsOfDrawing } from '$lib/core/reading/papers';
import { openFile } from '$lib/files';
import { answered, refused } from './jobAnswers';
import type { JobAnswer } from './jobs';

/** What a body of each content type must turn out to be. */
export const PAPER_TYPES: Readonly<Record<string, readonly string[]>> = {
  'text/plain': ['text'],
  'text/csv': ['text'],
  'text/tab-separated-values': ['text'],
  'application/pdf': ['paper'],
  'image/svg+xml': ['drawing']
};

/** A chart, an instruction sheet or a drawing as its stops, actions and problems, both merged into one item. */
export async function answerIntake(bytes: Uint8Array, type: string): Promise<JobAnswer> {
  const wanted = PAPER_TYPES[type] ?? [];
  const brought = await openFile('body', bytes);
  if (brought.kind === 'refused') {
    return refused(brought.code === 'too-large' ? 413 : 422, brought.code, brought.message);
  }
  if (!wanted.includes(brought.kind))
    return refused(422, 'not-what-it-says', `The body is not ${type}.`, 'content-type');
  switch (brought.kind) {
    case 'text':
      return answered(answer(readChart(brought.text), brought.text));
    case 'paper':
      return answered(answer(readPaper(brought.paper), textOf(brought.paper)));
    case 'drawing': {
      const { size, problems } = brought.drawing;
      return answered({ rows: rowsOfDrawing(brought.drawing), instructions: [], size, problems });
    }
    default:
      return refused(422, 'not-a-chart', 'This is no chart, instruction sheet or drawing.');
  }
}

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
