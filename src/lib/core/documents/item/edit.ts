import { comparedName } from './find';
import type { Operation } from './operation';
import type { Answer } from './remark';
import type { HandStep, Item, Step, Stop, Thread } from './schema';

/** Edits of an item: each takes an item and gives a new one, so that undo is a list of items. */

/**
 * Adds a hand step after another step, or at the very start.
 *
 * @param afterId the step to follow, or null for the start
 * @param stepId a fresh id
 */
export function addHandStep(
  item: Item,
  afterId: string | null,
  stepId: string,
  op: Operation,
  note = ''
): Item {
  const at = afterId === null ? 0 : indexOfStep(item, afterId) + 1;
  const neighbour = item.steps[at - 1] ?? item.steps[at];
  const hoopingId = neighbour?.hoopingId ?? item.hoopings[0]?.id ?? 'hooping-1';
  const step: HandStep = { kind: 'hand', id: stepId, hoopingId, needs: [], note, op };
  return { ...item, steps: [...item.steps.slice(0, at), step, ...item.steps.slice(at)] };
}

/**
 * Moves a step so that it comes after another step of the item, or to the start.
 *
 * @param afterId the step it follows then, or null for the start
 */
export function moveStepAfter(item: Item, stepId: string, afterId: string | null): Item {
  if (afterId === stepId) return item;
  const step = item.steps[indexOfStep(item, stepId)];
  if (!step) return item;
  const rest = item.steps.filter(({ id }) => id !== stepId);
  const at = afterId === null ? 0 : rest.findIndex(({ id }) => id === afterId) + 1;
  return { ...item, steps: [...rest.slice(0, at), step, ...rest.slice(at)] };
}

/**
 * Moves a step one place up (-1) or down (+1); at either end it stays.
 */
export function moveStep(item: Item, stepId: string, by: -1 | 1): Item {
  const from = indexOfStep(item, stepId);
  const to = from + by;
  const step = item.steps[from];
  if (!step || to < 0 || to >= item.steps.length) return item;
  const steps = item.steps.filter(({ id }) => id !== stepId);
  steps.splice(to, 0, step);
  return { ...item, steps };
}

/** Takes a step out; steps that needed it no longer do. Its stop stays in the file. */
export function removeStep(item: Item, stepId: string): Item {
  indexOfStep(item, stepId);
  return {
    ...item,
    steps: item.steps
      .filter(({ id }) => id !== stepId)
      .map((step): Step => ({ ...step, needs: step.needs.filter((id) => id !== stepId) })),
    remarks: item.remarks.filter((remark) => remark.stepId !== stepId)
  };
}

/** Changes what a hand step does, or the note beside any step. */
export function editStep(item: Item, stepId: string, change: { op?: Operation; note?: string }): Item {
  indexOfStep(item, stepId);
  return {
    ...item,
    steps: item.steps.map((step): Step => {
      if (step.id !== stepId) return step;
      const note = change.note ?? step.note;
      return step.kind === 'hand' ? { ...step, note, op: change.op ?? step.op } : { ...step, note };
    })
  };
}

/** What a maker may change of a stop by hand. */
export type StopChange = Partial<
  Pick<Stop, 'name' | 'role' | 'threadId' | 'number' | 'protected' | 'halts' | 'apart'>
> & {
  stitches?: number;
};

/**
 * Changes a stop. A stitch count typed by the maker replaces all phases by one and is remembered as theirs.
 */
export function editStop(item: Item, stopId: string, { stitches, ...change }: StopChange): Item {
  const edited = (stop: Stop): Stop => {
    const next = { ...stop, ...change };
    if (change.role !== undefined) next.confidence = 1;
    if (stitches === undefined) return next;
    const [first] = stop.phases;
    return { ...next, countSource: 'maker', phases: [{ attended: false, ...first, stitches }] };
  };
  return {
    ...item,
    files: item.files.map((file) => ({
      ...file,
      stops: file.stops.map((stop) => (stop.id === stopId ? edited(stop) : stop))
    }))
  };
}

/** Runs a file in one-colour mode, or stop after stop again. */
export function setOneColour(item: Item, fileId: string, oneColour: boolean): Item {
  return {
    ...item,
    files: item.files.map((file) => (file.id === fileId ? { ...file, oneColour } : file))
  };
}

/** What an answer is about: a finding of one code, at a step, of a piece. */
export interface Answerable {
  code: string;
  severity: 'stop' | 'warn' | 'note';
  stepId: string | null;
  about: string | null;
  /** Later steps that show the same. */
  also?: string[];
}

/**
 * Answers a finding with “meant so”; an older answer to the same finding is replaced.
 *
 * @param at time of the answer, ISO 8601
 */
export function answerFinding(item: Item, finding: Answerable, reason: string, at: string): Item {
  const { answers, ...rest } = takeBackAnswer(item, finding);
  const { code, severity, stepId, about } = finding;
  const answer = {
    code,
    severity,
    ...(stepId !== null && { stepId }),
    ...(about !== null && { about }),
    reason,
    at
  };
  return { ...rest, answers: [...answers, answer] };
}

/** Takes an answer back, so that the finding stands again. */
export function takeBackAnswer(item: Item, finding: Answerable): Item {
  const places = [finding.stepId, ...(finding.also ?? [])];
  return {
    ...item,
    answers: item.answers.filter(
      (answer) => !places.some((stepId) => isAbout(answer, { ...finding, stepId }))
    )
  };
}

/** Whether an answer was given to a finding, however grave that is now. */
export function isAbout(answer: Answer, { code, stepId, about }: Answerable): boolean {
  const [check] = code.split('/');
  // Answers of version 1 named the check alone.
  const sameCode = answer.code === code || answer.code === `${check}/*`;
  return (
    sameCode && (answer.stepId ?? null) === stepId && (answer.about === undefined || answer.about === about)
  );
}

/** Adds a thread, unless one of the same name and colour is there; gives the item and the thread’s id. */
export function addThread(item: Item, thread: Thread): { item: Item; threadId: string } {
  const same = item.threads.find(
    ({ name, colour }) => comparedName(name) === comparedName(thread.name) && colour === thread.colour
  );
  if (same) return { item, threadId: same.id };
  return { item: { ...item, threads: [...item.threads, thread] }, threadId: thread.id };
}

function indexOfStep(item: Item, stepId: string): number {
  const at = item.steps.findIndex(({ id }) => id === stepId);
  if (at < 0) throw new RangeError(`The item has no step ${stepId}.`);
  return at;
}
