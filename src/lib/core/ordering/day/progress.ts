import { type Order, type OrderLine, piecesToStitch } from '$lib/core/documents/order';
import type { HoopShare, Run, Way } from '$lib/core/documents/run';
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
  /** All items of the hoop in their order, where several share it; the fields above are those of the first with work left. */
  shared?: { id: string; parts: BegunShare[] } | undefined;
}

/** An item of a shared hoop: its run, once there is one, and what is done of it. */
export interface BegunShare extends HoopShare {
  runId: string | null;
  done: string[];
  /** Nothing of it is left to do in this hoop: finished, or given up. */
  over: boolean;
}

/**
 * Every line that is in a hoop under way, with the copies that are still to come off it.
 *
 * @example
 * inHoop(progress.begun[0]).map(({ copies }) => copies) // [2, 2]: two tabs and two badges
 */
export function inHoop({ lineId, stage, copies, names, runId, done, way, shared }: Begun): {
  lineId: string;
  stage: number;
  copies: number;
  names: string[];
  runId: string | null;
  done: string[];
  way: Way | undefined;
  /** Which item of a shared hoop, from 0. */
  at: number;
}[] {
  if (!shared) return [{ lineId, stage, copies, names, runId, done, way, at: 0 }];
  return shared.parts.flatMap((part, at) => (part.over ? [] : [{ ...part, stage, way: part.way, at }]));
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
  const hoops = new Map<string, HoopUnderWay>();
  for (const { id, order, plan, events } of runs) {
    if (!order) continue;
    const { lineId, stage, copies, stationId, hoopId, way, names } = order;
    const state = foldRun(plan.steps, events);
    if (state.phase === 'finished') {
      progress.done.push({ lineId, stage, copies });
      if (names.length > 0) progress.named.push({ lineId, stage, names });
    }
    const isOver = state.phase === 'finished' || state.phase === 'stopped-early';
    const done = plan.steps.flatMap((step, at) => (state.done[at] ? step.id : []));
    const hooping: Begun = { runId: id, lineId, stage, copies, stationId, hoopId, way, names, done };
    if (order.shared && state.phase !== 'not-started') {
      const { id: hoop, at, parts } = order.shared;
      const known = hoops.get(hoop) ?? {
        hooping,
        wasOpened: false,
        parts: parts.map((part) => ({ ...part, runId: null, done: [], over: false }))
      };
      const own = known.parts[at];
      // One given up and begun anew counts as begun.
      if (own && (own.runId === null || !isOver))
        Object.assign(own, { runId: id, done, over: isOver, names });
      known.wasOpened ||= state.phase !== 'stopped-early';
      hoops.set(hoop, known);
    } else if (!isOver && state.phase !== 'not-started') progress.begun.push(hooping);
  }
  for (const [id, hoop] of hoops) progress.begun.push(...sharedBegun(id, hoop));
  return progress;
}

/** A hoop that several items share, as its runs tell it. */
interface HoopUnderWay {
  hooping: Begun;
  parts: BegunShare[];
  /** One of its runs goes on, or was finished. */
  wasOpened: boolean;
}

/** A shared hoop under way, told by the first item that has something left; none where all is done, or all was given up. */
function sharedBegun(id: string, { parts, hooping, wasOpened }: HoopUnderWay): Begun[] {
  const at = parts.findIndex(({ over }) => !over);
  const part = parts[at];
  if (!part || !wasOpened) return [];
  const { lineId, copies, way, names, runId, done } = part;
  return [
    { ...hooping, runId: runId ?? `${id}/${at}`, lineId, copies, way, names, done, shared: { id, parts } }
  ];
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
