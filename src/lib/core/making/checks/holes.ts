import { found } from '$lib/core/craft/findings';
import { findPiece } from '$lib/core/documents/item';
import { clothAlong, samplesOf, shareOn } from '$lib/core/craft/stack';
import { type Check, type Finding, handed, runsOf } from './finding';

/** Share of a path that may lie over nothing, as where two cuts meet. */
const MOST_OPEN = 0.08;

/** Stitches over a hole that nothing patches, and holes that what is laid later closes. */
export const holes: Check = (context) => [...overNothing(context), ...closedAgain(context)];

const overNothing: Check = (context) =>
  runsOf(context).flatMap(({ stepId, called, paths, before }): Finding[] => {
    const open = paths.some((path) => {
      const layers = before.layers.map((layer) => clothAlong(layer, path));
      const count = samplesOf(path).length;
      let bare = 0;
      for (let at = 0; at < count; at++) if (!layers.some((hits) => hits[at])) bare++;
      return bare > count * MOST_OPEN;
    });
    if (!open || before.layers.length === 0) return [];
    return [found('holes/open', stepId, { called })];
  });

/** A hole punched in the hoop and edged goes through what lies there by then, not through a back that comes later. */
const closedAgain: Check = (context) =>
  handed(context, 'punch').flatMap(({ at, after }): Finding[] => {
    if (after.state.hoop.where === 'unhooped') return [];
    const edge = runsOf(context).find((run) => run.at > at && run.role === 'satin-edge');
    if (!edge) return [];
    const there = new Set(edge.before.layers.map(({ pieceId }) => pieceId));
    // A topping is torn off again, and what is only caught at its edge can be lifted.
    const over = (context.trace.at(-1)?.state.layers ?? []).find(
      (layer) =>
        !there.has(layer.pieceId) &&
        findPiece(context.item, layer.pieceId)?.bound !== true &&
        edge.paths.some((path) => shareOn(layer, path) > MOST_OPEN)
    );
    return over ? [found('holes/closed', edge.stepId, { called: edge.called, piece: over.name })] : [];
  });
