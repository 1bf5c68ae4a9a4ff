import { traitsOf } from '$lib/core/craft/operations';
import type { OperationKind } from '$lib/core/documents/item';
import type { Instruction } from './instructions';

/** What an instruction is compared with: a step of the sheet in words. */
export interface StepWords {
  stepId: string;
  kind: 'stop' | 'hand';
  /** The machine’s number of a stop. */
  machineNumber: number | null;
  /** All that the sheet says of the step. */
  words: string;
  /** What hands do; null for a stop. */
  does: OperationKind | null;
}

/** An instruction and the step it was put on. */
export interface InstructionMatch {
  instruction: Instruction;
  stepId: string | null;
}

/** Words that tell nothing apart. */
const COMMON = new Set(
  'the a an and or of on in to it its is are be with for from at by this that will all your you over under up down out off not do now then so as into onto around each both again using use step line piece fabric machine hoop one two'.split(
    ' '
  )
);
/** How sheets speak of a stop. */
const STOP_SPOKEN = /\b(stitch|sew|run|embroider|stop|colou?r)\b/;
/** Likeness below which an instruction stays by itself. */
const LEAST = 1;
const SKIP_STEP = -0.02;
const SKIP_INSTRUCTION = -0.3;

/**
 * Puts the sentences of an instruction sheet on the steps of a merged sheet: by the words they share and by their order,
 * so that the sum of likeness is greatest. A step may take several sentences.
 *
 * @returns every instruction, in order, with its step or null
 *
 * @example
 * matchInstructions([{ number: 7, text: 'Trim the felt close.', lines: [7] }], stepsOfTab)[0]?.stepId // 'trim'
 */
export function matchInstructions(
  instructions: readonly Instruction[],
  steps: readonly StepWords[]
): InstructionMatch[] {
  const stepWords = steps.map(({ words }) => new Set(stemsOf(words)));
  const likeness = instructions.map(({ text }) => {
    const stems = [...new Set(stemsOf(text))];
    const lower = text.toLowerCase();
    const named = /\b(?:stop|colou?r)\s*#?(\d{1,3})\b/.exec(lower)?.[1];
    return steps.map((step, at): number => {
      const shared = stems.filter((stem) => stepWords[at]?.has(stem)).length;
      const spoken = step.does === null ? STOP_SPOKEN : traitsOf(step.does).spoken;
      const does = spoken?.test(lower) === true ? (step.kind === 'stop' ? 0.7 : 1) : -0.4;
      const number =
        named === undefined || step.machineNumber === null
          ? 0
          : Number(named) === step.machineNumber
            ? 3
            : -1.5;
      return does + number + (1.6 * shared) / Math.sqrt(Math.max(1, stems.length)) - LEAST;
    });
  });

  // best[i][j]: the best way to place the first i instructions on the first j steps; order is kept.
  const width = steps.length + 1;
  const best = new Float64Array((instructions.length + 1) * width).fill(-Infinity);
  const from = new Int32Array(best.length);
  best[0] = 0;
  const offer = (to: number, value: number, move: number): void => {
    if (value > (best[to] ?? -Infinity)) {
      best[to] = value;
      from[to] = move;
    }
  };
  for (let i = 0; i <= instructions.length; i++) {
    for (let j = 0; j <= steps.length; j++) {
      const here = best[i * width + j] ?? -Infinity;
      if (j < steps.length) offer(i * width + j + 1, here + SKIP_STEP, 1);
      if (i < instructions.length) {
        offer((i + 1) * width + j, here + SKIP_INSTRUCTION, 2);
        // A sentence may lie on the step reached so far, beside the sentence before it.
        if (j > 0) offer((i + 1) * width + j, here + (likeness[i]?.[j - 1] ?? 0), 3);
      }
    }
  }
  const placed: (string | null)[] = instructions.map(() => null);
  let [i, j] = [instructions.length, steps.length];
  while (i > 0 || j > 0) {
    const move = from[i * width + j];
    if (move === 1) j--;
    else {
      i--;
      if (move === 3) placed[i] = steps[j - 1]?.stepId ?? null;
    }
  }
  return instructions.map((instruction, at) => ({ instruction, stepId: placed[at] ?? null }));
}

/** The telling words of a text, cut back to their stems. */
function stemsOf(text: string): string[] {
  return (text.toLowerCase().match(/\p{L}{3,}/gu) ?? [])
    .filter((word) => !COMMON.has(word))
    .map((word) => word.replace(/(?:ing|ed|es|s|e)$/, '').slice(0, 7));
}
