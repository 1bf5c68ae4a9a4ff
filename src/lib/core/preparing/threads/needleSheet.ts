import { does } from '$lib/core/craft/operations';
import type { Item } from '$lib/core/documents/item';
import type { Plan, PlanStep } from '$lib/core/documents/plan';
import type { Machine } from '$lib/core/documents/shop';
import { type PlanAndTrace, threadsOn } from '$lib/core/making/plan';
import { type NeedlePlan, planNeedles } from '$lib/core/solvers/needles';
import { type NeedleAdvice, needleFor } from './needleKind';

/** A line of the run sheet for the needles. */
export interface NeedleRow {
  stepId: string;
  number: number;
  name: string;
  needle: number;
  thread: PlanStep['thread'];
  /** Hands thread this needle before the stop. */
  rethread: boolean;
  /** A needle of another kind that goes in before it. */
  needleBefore: string | null;
  /** Why the machine must halt after it; null where it may run on. */
  halt: { why: string; sameNeedle: boolean } | null;
}

export interface NeedleSheet {
  /** Threads at the start, by needle. */
  needles: { needle: number; thread: PlanStep['thread']; threadFirst: boolean }[];
  rows: NeedleRow[];
  rethreads: number;
  /** Needle by hooping. */
  advice: { hooping: string; needle: NeedleAdvice }[];
}

/**
 * The run sheet for the needles: what is threaded where, and after which stops a halt must be programmed.
 *
 * A machine of several needles runs on unless it is told to halt; so a halt is asked for wherever hands come next, also
 * between two stops of one colour, where not even a change of needle would stop it.
 */
export function needleSheet(
  { item, plan, trace }: Pick<PlanAndTrace, 'item' | 'plan' | 'trace'>,
  machine: Machine
): NeedleSheet {
  const stitched = plan.steps.filter(({ stop }) => stop !== null && stop.machineNumber !== null);
  const assigned = planNeedles(
    stitched.map(({ thread }) => thread?.id ?? ''),
    machine.needles,
    threadsOn(machine, item)
  );
  return {
    needles: needlesAtStart(assigned, plan),
    rows: stitched.map((step, at): NeedleRow => {
      const needle = assigned.changes[at]?.needle ?? 1;
      const next = stitched[at + 1];
      const nextNeedle = assigned.changes[at + 1];
      const between = handsBetween(plan, step, next);
      const why = between.map(({ title }) => title);
      return {
        stepId: step.id,
        number: step.stop?.machineNumber ?? 0,
        name: step.title,
        needle,
        thread: step.thread,
        rethread: assigned.changes[at]?.kind === 'thread',
        needleBefore: needleBefore(plan, stitched[at - 1], step),
        halt:
          next && why.length > 0 ? { why: whyWords(why), sameNeedle: nextNeedle?.needle === needle } : null
      };
    }),
    rethreads: assigned.changes.filter(({ kind }) => kind === 'thread').length,
    advice: adviceFor(item, plan, trace)
  };
}

function needlesAtStart({ atStart, threadFirst }: NeedlePlan, { threads }: Plan): NeedleSheet['needles'] {
  return atStart.map((id, at) => ({
    needle: at + 1,
    thread: threads.find(({ thread }) => thread.id === id)?.thread ?? null,
    threadFirst: threadFirst.includes(at + 1)
  }));
}

function handsBetween(plan: Plan, step: PlanStep, next: PlanStep | undefined): PlanStep[] {
  return plan.steps
    .slice(step.number, next ? next.number - 1 : undefined)
    .filter(({ kind }) => kind === 'hand');
}

function whyWords(titles: readonly string[]): string {
  const [first = '', second] = titles;
  if (second === undefined) return first;
  return titles.length === 2 ? `${first}, ${lower(second)}` : `${first} and ${titles.length - 1} steps more`;
}

const lower = (words: string): string => words.charAt(0).toLowerCase() + words.slice(1);

function needleBefore(plan: Plan, before: PlanStep | undefined, step: PlanStep): string | null {
  const changes = plan.steps.slice(before?.number ?? 0, step.number - 1);
  return changes.flatMap(({ op }) => does(op, 'needle')?.needle ?? []).at(-1) ?? null;
}

/** The needle for each hooping, from what lies under it there. */
function adviceFor(item: Item, plan: Plan, trace: PlanAndTrace['trace']): NeedleSheet['advice'] {
  return item.hoopings.flatMap(({ id, name }) => {
    const own = item.steps.flatMap((step) =>
      step.hoopingId === id && step.kind === 'stop' ? [step.id] : []
    );
    const steps = plan.steps.filter((step) => own.includes(step.id) && step.stop?.role !== 'needle-cut');
    const seams = (trace.at(-1)?.state.seams ?? []).filter(({ stepId }) => own.includes(stepId));
    if (steps.length === 0) return [];
    const pieces = new Map(item.pieces.map((piece) => [piece.id, piece]));
    const layers = seams.map((seam) =>
      seam.layers.reduce((sum, pieceId) => {
        const piece = pieces.get(pieceId);
        return sum + (piece ? piece.plies * (piece.folded ? 2 : 1) : 1);
      }, 0)
    );
    const under = new Set(seams.flatMap((seam) => seam.layers));
    const needle = needleFor({
      materials: [...under].flatMap((pieceId) => pieces.get(pieceId)?.material.kind ?? []),
      layers: Math.max(0, ...layers),
      roles: steps.flatMap(({ stop }) => stop?.role ?? []),
      stitches: steps.reduce((sum, { stop }) => sum + (stop?.stitches ?? 0), 0),
      threads: [...new Set(steps.flatMap(({ thread }) => thread?.name ?? []))]
    });
    return [{ hooping: name, needle }];
  });
}
