import type { Operation } from '$lib/core/documents/item';
import type { EffectOf, StackEffect } from './effects';
import { traitsOf } from './table';

/**
 * What an operation does to the sandwich in the hoop.
 *
 * @returns null for what moves no cloth, as threading
 *
 * @example
 * effectOf({ do: 'unhoop' }) // { does: 'unclamp' }
 */
export function effectOf(op: Operation): StackEffect | null {
  return traitsOf(op.do).stack?.(op) ?? null;
}

/**
 * The effect of an operation, where it is of this kind: asked instead of what the operation is called, so that one that is new
 * is seen wherever another of its kind is.
 *
 * @param op null for a step without an operation
 *
 * @example
 * does({ do: 'hoop', pieceIds: ['tear-away'], sticky: false }, 'clamp')?.pieceIds // ['tear-away']
 */
export function does<D extends StackEffect['does']>(
  op: Operation | null | undefined,
  kind: D
): EffectOf<D> | null {
  const effect = op ? effectOf(op) : null;
  return effect && isOf(effect, kind) ? effect : null;
}

function isOf<D extends StackEffect['does']>(effect: StackEffect, kind: D): effect is EffectOf<D> {
  return effect.does === kind;
}

/** A step of an item, a pattern or a plan: what is done by hand has an operation. */
interface MaybeHand {
  readonly kind: string;
  readonly op?: Operation | null;
}

/**
 * The effect of a step, where it is a hand step with one of this kind.
 *
 * @example
 * item.steps.some((step) => stepDoes(step, 'turn')) // is it turned right side out?
 */
export function stepDoes<D extends StackEffect['does']>(
  step: MaybeHand | undefined,
  kind: D
): EffectOf<D> | null {
  return step?.kind === 'hand' ? does(step.op, kind) : null;
}

/**
 * The piece an operation irons on, be it laid with the iron or fused where it lies.
 *
 * @example
 * fusedBy({ do: 'fuse', pieceId: 'leaf' }) // 'leaf'
 */
export function fusedBy(op: Operation): string | null {
  const [held, laid] = [does(op, 'hold'), does(op, 'lay')];
  if (held?.by.by === 'fuse') return held.pieceId;
  return laid?.hold?.by === 'fuse' ? laid.pieceId : null;
}
