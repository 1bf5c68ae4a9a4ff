import { found } from '$lib/core/craft/findings';
import { PILE, type Role, WASHES_OUT } from '$lib/core/documents/item';
import { shareOn } from '$lib/core/craft/stack';
import { type Check, type Finding, runsOf } from './finding';

const SINKS: readonly Role[] = ['decoration', 'lettering', 'satin-edge'];

/** Stitching into pile with no topping over it. */
export const pile: Check = (context) => {
  const said = new Set<string>();
  return runsOf(context).flatMap(({ role, stepId, called, paths, before }): Finding[] => {
    if (!SINKS.includes(role)) return [];
    const on = [...before.layers]
      .reverse()
      .filter((layer) => paths.length === 0 || paths.some((path) => shareOn(layer, path) > 0.3));
    const [first] = on;
    if (
      !first ||
      !PILE.includes(first.material.kind) ||
      WASHES_OUT.includes(first.material.kind) ||
      said.has(first.pieceId)
    )
      return [];
    said.add(first.pieceId);
    return [found('pile/no-topping', stepId, { called, layer: first.name }, first.pieceId)];
  });
};
