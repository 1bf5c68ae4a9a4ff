import { findPiece, type Item, type MaterialKind, type Operation } from '$lib/core/documents/item';
import { cut, rinse, takeOff, tear } from './cutting';
import { flip } from './flip';
import type { CutSizes } from './layer';
import { hold, hoop, lay, lift, nameOf, release } from './laying';
import { type Change, refuse, type StackState, touch } from './state';
import { turnThrough } from './turning';

/**
 * Applies a hand step to the layers of the hoop. Steps that move no cloth (threading, looking, pressing) give
 * the same layers.
 */
export function changeLayers(state: StackState, op: Operation, item: Item, cuts: CutSizes): Change {
  const all = (): string[] => state.layers.map(({ pieceId }) => pieceId);
  switch (op.do) {
    case 'hoop':
      return hoop(state, op, item, cuts);
    case 'unhoop':
      return touch(state, all(), (layer) => ({
        ...layer,
        holds: layer.holds.filter((own) => own !== 'hooped')
      }));
    case 'lay':
    case 'float':
      return lay(state, op.pieceId, op, item, cuts);
    case 'topping-on':
      return lay(state, op.pieceId, { side: 'above', face: 'up' }, item, cuts);
    case 'patch-hole':
      return lay(state, op.pieceId, { side: 'above', face: 'up', covers: op.lineId }, item, cuts);
    case 'heat-adhesive':
      return lay(
        state,
        op.pieceId,
        {
          side: 'below',
          face: 'up',
          covers: findPiece(item, op.pieceId)?.covers ?? undefined,
          hold: { by: 'fuse' }
        },
        item,
        cuts
      );
    case 'lift':
      return lift(state, op.pieceId, item);
    case 'tape':
      return hold(state, op.pieceId, { by: 'tape', strips: op.strips }, item);
    case 'spray':
    case 'glue':
      // Both may come before the piece as well as under a piece that lies there.
      return state.layers.some(({ pieceId }) => pieceId === op.pieceId)
        ? hold(state, op.pieceId, { by: op.do }, item)
        : { layers: state.layers, changed: [], problem: null };
    case 'pin':
      return hold(state, op.pieceId, { by: 'pins', pins: op.pins, away: op.away }, item, op.lineId);
    case 'fuse':
      return hold(state, op.pieceId, { by: 'fuse' }, item);
    case 'untape':
      return release(state, 'tape');
    case 'unpin':
      return release(state, 'pins');
    case 'flip':
      return flip(state, op, item);
    case 'trim':
      return cut(
        state,
        op.pieceIds,
        item,
        op.lineId,
        op.side === 'outside' ? op.margin : -op.margin,
        op.side
      );
    case 'cut-away-behind':
    case 'cut-through':
      return cut(state, op.pieceIds, item, op.lineId, 0, 'inside');
    case 'cut-out':
    case 'cut-roughly':
      return cut(state, all(), item, op.lineId, op.margin, 'outside');
    case 'tear-away':
      return tear(state);
    case 'rinse':
      return rinse(state);
    case 'topping-off':
      return toppingOff(state, op.pieceId, item);
    case 'zip':
      return state.layers.some(({ pieceId, zip }) => pieceId === op.pieceId && zip !== null)
        ? touch(state, [op.pieceId], (layer) => ({ ...layer, zip: op.to }))
        : refuse(state, `${nameOf(item, op.pieceId)} is no zip in the hoop.`);
    case 'turn-through':
      return turnThrough(state, op, item);
    default:
      return { layers: state.layers, changed: [], problem: null };
  }
}

/** Topping tears or washes off; anything that lasts would have to be cut. */
function toppingOff(state: StackState, pieceId: string, item: Item): Change {
  const layer = state.layers.find((each) => each.pieceId === pieceId);
  if (!layer) return refuse(state, `${nameOf(item, pieceId)} is not in the hoop, so it cannot be taken off.`);
  if (LASTS.includes(layer.material.kind))
    return refuse(state, `${layer.name} is ${layer.material.name.toLowerCase()}: it does not tear off.`);
  return takeOff(state, (each) => each === layer);
}

const LASTS: readonly MaterialKind[] = ['cutaway', 'soft-mesh'];
