import type { Item } from '$lib/core/documents/item';
import type { Plan } from '$lib/core/documents/plan';
import {
  type Instruction,
  type InstructionMatch,
  matchInstructions,
  type StepWords
} from '$lib/core/reading/papers';

/** Longest note beside a step. */
const MOST_CHARACTERS = 2000;

/**
 * Puts the sentences of an instruction sheet on the steps of a plan, by words and order.
 *
 * @example
 * matchPaper(plan, readChart('3. Trim the felt close to the line.\n4. Rinse.').instructions)
 */
export function matchPaper(plan: Plan, instructions: readonly Instruction[]): InstructionMatch[] {
  const steps = plan.steps.flatMap((step): StepWords[] => {
    if (step.itemStepId === null) return [];
    const { kind, stop, title, detail, op } = step;
    const role = stop?.role.replaceAll('-', ' ') ?? '';
    return [
      {
        stepId: step.itemStepId,
        kind,
        machineNumber: stop?.machineNumber ?? null,
        words: `${title} ${detail} ${role}`,
        does: op?.do ?? null
      }
    ];
  });
  return matchInstructions(instructions, steps);
}

/** The item with each instruction as a note beside its step; those without a step stand in the note of the item. */
export function withPaperNotes(item: Item, matches: readonly InstructionMatch[]): Item {
  const notes = new Map<string | null, string[]>();
  for (const { instruction, stepId } of matches) {
    const text = `Paper ${instruction.number}: ${instruction.text}`;
    notes.set(stepId, [...(notes.get(stepId) ?? []), text]);
  }
  const joined = (before: string, stepId: string | null, most: number): string =>
    [before, ...(notes.get(stepId) ?? [])]
      .filter((part) => part !== '')
      .join('\n')
      .slice(0, most);
  return {
    ...item,
    note: joined(item.note, null, 5000),
    steps: item.steps.map((step) => ({ ...step, note: joined(step.note, step.id, MOST_CHARACTERS) }))
  };
}
