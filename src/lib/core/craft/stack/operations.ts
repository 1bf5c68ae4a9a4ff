import { effectOf, type StackEffect } from '$lib/core/craft/operations';
import { findPiece, type Item, type MaterialKind, type Operation } from '$lib/core/documents/item';
import { cut, outOfReach, rinse, takeOff, tear } from './cutting';
import { flip } from './flip';
import type { CutSizes } from './layer';
import { hold, hoop, lay, lift, nameOf, release } from './laying';
import { type Change, refuse, type StackState, touch } from './state';
import { turnThrough } from './turning';

/**
 * Applies a hand step to the hoop. Steps that move no cloth (threading, looking, pressing) give the same layers.
 */
export function changeLayers(state: StackState, op: Operation, item: Item, cuts: CutSizes): Change {
  const effect = effectOf(op);
  return effect ? apply(state, effect, item, cuts) : unchanged(state);
}

function apply(state: StackState, effect: StackEffect, item: Item, cuts: CutSizes): Change {
  const all = (): string[] => state.layers.map(({ pieceId }) => pieceId);
  switch (effect.does) {
    case 'clamp':
      return hoop(state, effect.pieceIds, item, cuts);
    case 'unclamp':
      return touch(state, all(), (layer) => ({
        ...layer,
        holds: layer.holds.filter((own) => own !== 'hooped')
      }));
    case 'lay':
      return lay(state, effect.pieceId, effect, item, cuts);
    case 'lift':
      return lift(state, effect.pieceId, item);
    case 'hold':
      return effect.early && !all().includes(effect.pieceId)
        ? unchanged(state)
        : hold(state, effect.pieceId, effect.by, item, effect.lineId);
    case 'release':
      return release(state, effect.held, effect.pieceIds);
    case 'flip':
      return flip(state, effect, item);
    case 'cut':
      return (
        outOfReach(state, effect, item) ??
        // What hangs from the edge on purpose is held clear of the scissors.
        cut(
          state,
          effect.pieceIds ?? all().filter((id) => findPiece(item, id)?.hangs === undefined),
          item,
          effect
        )
      );
    case 'take':
      return effect.what === 'topping'
        ? toppingOff(state, effect.pieceId, item)
        : effect.what === 'torn'
          ? tear(state)
          : rinse(state);
    case 'zip':
      return state.layers.some(({ pieceId, zip }) => pieceId === effect.pieceId && zip !== null)
        ? touch(state, [effect.pieceId], (layer) => ({ ...layer, zip: effect.to }))
        : refuse(state, `${nameOf(item, effect.pieceId)} is no zip in the hoop.`);
    case 'turn':
      return turnThrough(state, effect, item);
    case 'wind':
      return { ...unchanged(state), bobbin: effect.threadId };
    case 'needle':
      return { ...unchanged(state), needle: effect.needle };
    case 'fit':
      return {
        ...unchanged(state),
        hardware: [...state.hardware, ...Array.from({ length: effect.count }, () => effect.what)]
      };
    case 'stitch':
      // The needle does that: see simulate.
      return unchanged(state);
  }
}

function unchanged({ layers }: StackState): Change {
  return { layers, changed: [], problem: null };
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
