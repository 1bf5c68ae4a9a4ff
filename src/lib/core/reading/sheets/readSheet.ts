import { NUMBER_WORDS, numberSaid } from '$lib/core/base/units';
import type { PaperLine } from '$lib/core/reading/pages';
import type { SheetAction, SheetStop } from './action';
import { readActions } from './actions';
import { type SheetPiece, wordsFor } from './pieceWords';
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
  const sentences = stopsCalledSteps(sentencesOf(steps), steps);
  const listed = piecesListed(filled.flatMap((line) => (used.has(line.line) ? besideSteps(line) : [line])));
  const beside = filled.filter(({ line }) => !used.has(line)).map(({ text }) => text);
  const { actions, stops, pieces } = readActions(
    sentences,
    [...listed, ...stabiliserIn(beside, listed)],
    nounOf(title)
  );
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

/** Kinds of stabiliser as lists name them, in how many layers. */
const STABILISER =
  /\b((?:(?:tear|cut|wash)[\s-]?away|water[\s-]?soluble|no-show mesh|poly ?mesh|soft mesh)(?:\s+(?:mesh|fabric|film|stabili[sz]er))?)\b(?!\s+(?:film\s+)?topp)(?:,?\s*(?:x\s?)?(\d|one|two|three)\s*(?:layers?|sheets?|x)?\b)?/i;
const LAYERS = /\b(\d|one|two|three|double)\s+(?:layers?|sheets?)\b/i;

/** The stabiliser that a list names without a size, where it lists no other: sentences only say “the stabiliser”. */
function stabiliserIn(lines: readonly string[], listed: readonly SheetPiece[]): SheetPiece[] {
  if (listed.some(({ role }) => role === 'stabiliser')) return [];
  const line = lines.find((text) => STABILISER.test(text));
  const found = line === undefined ? null : STABILISER.exec(line);
  if (!line || !found?.[1]) return [];
  const name = found[1].toLowerCase();
  return [
    {
      name,
      material: null,
      count: numberSaid(LAYERS.exec(line)?.[1]?.replace(/double/i, 'two') ?? 'one') ?? 1,
      cut: null,
      printed: null,
      role: 'stabiliser',
      words: wordsFor(name, null, 'stabiliser'),
      line: null
    }
  ];
}

/** Stops that a sheet without numbers calls its steps: “step two tacks it down” is stop two. */
function stopsCalledSteps(sentences: Sentence[], steps: readonly SheetStep[]): Sentence[] {
  const called = new RegExp(String.raw`\b(s)tep(?=\s+(?:${NUMBER_WORDS.join('|')}|\d{1,2})\b)`, 'gi');
  const uses = sentences.filter(({ text }) => text.search(called) >= 0).length;
  if (uses < 2 || steps.some(({ number }) => number !== null && number !== '')) return sentences;
  return sentences.map((sentence) => ({ ...sentence, text: sentence.text.replace(called, '$1top') }));
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
