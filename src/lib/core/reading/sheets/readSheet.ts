import type { PaperLine } from '$lib/core/reading/pages';
import type { SheetAction, SheetStop } from './action';
import { readActions } from './actions';
import type { SheetPiece } from './pieceWords';
import { piecesListed } from './pieces';
import { verbOf } from './segments';
import { type Sentence, sentencesOf } from './sentences';
import type { SheetStep } from './step';
import { stepsOf } from './steps';

/** An instruction sheet as it was read. */
export interface SheetReading {
  pieces: SheetPiece[];
  steps: SheetStep[];
  sentences: Sentence[];
  stops: SheetStop[];
  actions: SheetAction[];
  /** Sentences that ask for nothing. */
  tips: number[];
}

/**
 * Reads the lines of an instruction sheet: its pieces, its steps and sentences, and what each sentence asks for.
 *
 * @param title what the sheet makes
 * @param lines those of the whole paper, or those that are no rows of a chart
 *
 * @example
 * readSheet(linesOfText(['1. Hoop the felt.', '2. Sew stop 1.', '3. Trim it.'])).actions[1]?.action // 'trim'
 */
export function readSheet(lines: readonly PaperLine[], title: string | null = null): SheetReading {
  const filled = lines.filter(({ tokens }) => tokens.length > 0);
  const steps = stepsOf(filled);
  const used = new Set(steps.flatMap(({ parts }) => parts.flatMap((part) => part.lines)));
  const sentences = sentencesOf(steps);
  const listed = piecesListed(filled.flatMap((line) => (used.has(line.line) ? besideSteps(line) : [line])));
  const { actions, stops, pieces } = readActions(sentences, listed, nounOf(title));
  const asking = new Set([...actions, ...stops].map(({ sentence }) => sentence));
  return {
    pieces,
    steps,
    sentences,
    stops,
    actions,
    tips: sentences.flatMap(({ index }) => (asking.has(index) ? [] : [index]))
  };
}

/** A list beside steps in another column of the page: its cells by themselves, where they are no sentences. */
function besideSteps(line: PaperLine): PaperLine[] {
  if (line.cells.length !== 2) return [];
  return line.cells.flatMap((cell) =>
    verbOf(cell.text) === undefined && !/[.!?]$/.test(cell.text)
      ? [
          {
            ...line,
            cells: [cell],
            text: cell.text,
            tokens: line.tokens.filter(({ x }) => x >= cell.x - 0.01 && x < cell.x + cell.width)
          }
        ]
      : []
  );
}

/** What a title is about, in a word: “sleeve” of “Season-Ticket Sleeve”. */
function nounOf(title: string | null): string | null {
  const own = (title ?? '').split(/\s+(?:with|for|in|of|from|and)\s+|,|\(|–| - /i)[0] ?? '';
  return /(\p{L}+)\s*$/u.exec(own)?.[1]?.toLowerCase() ?? null;
}
