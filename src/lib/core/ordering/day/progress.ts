import { type Order, type OrderLine, piecesToStitch } from '$lib/core/documents/order';
import type { Run, Way } from '$lib/core/documents/run';
import { foldRun } from '$lib/core/running/runs';

/** A hooping of an order that is under way: what is done of it, by the ids of its steps. */
export interface Begun {
  runId: string;
  lineId: string;
  stage: number;
  copies: number;
  stationId: string;
  hoopId: string;
  /** The way its steps were made for; the quickest where nobody wrote it down. */
  way: Way | undefined;
  names: string[];
  done: string[];
}

/** How far an order has come. */
export interface Progress {
  /** Copies that are through, by line and stage. */
  done: { lineId: string; stage: number; copies: number }[];
  begun: Begun[];
  /** Names already stitched, by line and stage. */
  named: { lineId: string; stage: number; names: string[] }[];
}

export const NOTHING_DONE: Progress = { done: [], begun: [], named: [] };

/**
 * How far an order has come, by its runs: finished ones count their copies, those under way keep their place on the
 * machine, and one given up counts for nothing, so that its copies are planned again. What finished ones took reaches a plan
 * through what the shop has learned from them.
 *
 * @param runs of the order, with their events
 */
export function progressOf(runs: readonly Run[]): Progress {
  const progress: Progress = { done: [], begun: [], named: [] };
  for (const { id, order, plan, events } of runs) {
    if (!order) continue;
    const { lineId, stage, copies, stationId, hoopId, way, names } = order;
    const state = foldRun(plan.steps, events);
    if (state.phase === 'finished') {
      progress.done.push({ lineId, stage, copies });
      if (names.length > 0) progress.named.push({ lineId, stage, names });
    } else if (state.phase !== 'not-started' && state.phase !== 'stopped-early')
      progress.begun.push({
        runId: id,
        lineId,
        stage,
        copies,
        stationId,
        hoopId,
        way,
        names,
        done: plan.steps.flatMap((step, at) => (state.done[at] ? step.id : []))
      });
  }
  return progress;
}

/**
 * Copies of a line that are to be stitched in all: enough for what usually comes out bad, or for what did.
 *
 * @example
 * copiesOf({ quantity: 38, perFile: 1, spoiled: 0 }, 0.03) // 40
 * copiesOf({ quantity: 10, perFile: 2, spoiled: 0 }, 0) // 5
 */
export function copiesOf(
  { quantity, perFile, spoiled }: Pick<OrderLine, 'quantity' | 'perFile' | 'spoiled'>,
  spoilage: number
): number {
  return Math.ceil(Math.max(piecesToStitch(quantity, spoilage), quantity + spoiled) / perFile);
}

/** Good pieces of an order so far: those through their last stage, less the bad ones. */
export function piecesDone(
  { lines }: Pick<Order, 'lines'>,
  { done }: Progress,
  lastStageOf: (lineId: string) => number
): { lineId: string; pieces: number }[] {
  return lines.map(({ id, perFile, spoiled }) => {
    const copies = done
      .filter(({ lineId, stage }) => lineId === id && stage === lastStageOf(id))
      .reduce((sum, each) => sum + each.copies, 0);
    return { lineId: id, pieces: Math.max(0, copies * perFile - spoiled) };
  });
}
