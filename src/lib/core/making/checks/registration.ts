import { does, stepDoes } from '$lib/core/craft/operations';
import { found } from '$lib/core/craft/findings';
import { findLine, type Item } from '$lib/core/documents/item';
import { type Check, type CheckContext, type Finding, handed, LACE, runsAlong, runsOf } from './finding';

/** Stops that cannot meet the ones before: after unhooping, in the wrong hooping, or on a piece nobody placed. */
export const registration: Check = (context) => [
  ...unhooped(context),
  ...wrongHooping(context),
  ...unplaced(context)
];

function unhooped(context: CheckContext): Finding[] {
  const { item, plan } = context;
  const out = new Set<string>();
  return item.steps.flatMap((step): Finding[] => {
    if (step.kind === 'hand') {
      if (does(step.op, 'unclamp') !== null) out.add(step.hoopingId);
      return [];
    }
    if (!out.has(step.hoopingId)) return [];
    const number = plan.steps.find(({ itemStepId }) => itemStepId === step.id)?.stop?.machineNumber;
    if (number === null || number === undefined) return [];
    return [found('registration/unhooped', step.id, { stop: number })];
  });
}

/** The hooping whose material is in the ring at each step. */
function inRing(item: Item): (string | null)[] {
  let now: string | null = null;
  return item.steps.map((step) => {
    if (stepDoes(step, 'clamp') !== null) now = step.hoopingId;
    return now;
  });
}

function wrongHooping(context: CheckContext): Finding[] {
  const hooped = inRing(context.item);
  return runsOf(context).flatMap(({ at, stepId, called, role, lineIds }): Finding[] => {
    const step = context.item.steps[at];
    // Lace stands by itself: each of its segments may run it again on fresh material.
    if (step?.kind === 'stop' && step.pass > 1 && LACE.includes(role)) return [];
    const frames = lineIds.flatMap((id) => findLine(context.item, id)?.frame ?? []);
    const now = hooped[at];
    // Cut line and placement line in one is run in both hoopings.
    if (!now || frames.length === 0 || frames.includes(now)) return [];
    return [found('registration/other-hooping', stepId, { called })];
  });
}

/** A piece carried over from an earlier hooping registers only on a line stitched in this one. */
function unplaced(context: CheckContext): Finding[] {
  const runs = runsOf(context);
  const hoops = handed(context, 'hoop');
  return handed(context, 'lay').flatMap(({ op, step, at, before, after }): Finding[] => {
    const carried = before.aside.some(({ pieceId }) => pieceId === op.pieceId);
    const line = op.covers ?? op.edge?.lineId;
    const path = line === undefined ? undefined : findLine(context.item, line)?.path;
    const since = hoops.findLast((hoop) => hoop.at < at)?.at ?? 0;
    const lifted = context.item.steps.some((each) => stepDoes(each, 'lift')?.pieceId === op.pieceId);
    if (!carried || lifted || !path || after.problem !== null) return [];
    if (
      runs.some(
        (run) =>
          run.at > since &&
          run.at < at &&
          run.paths.some((own) => runsAlong(own, path) || runsAlong(path, own))
      )
    )
      return [];
    return [found('registration/unplaced', step.id, {})];
  });
}
