import {
  isStabiliserKind,
  type Item,
  type MaterialKind,
  type Piece,
  type Stop
} from '$lib/core/documents/item';
import type { Plan } from '$lib/core/documents/plan';
import type { Machine } from '$lib/core/documents/shop';
import type { Finding } from '$lib/core/making/checks';

/** What is known of an item that came out wrong, and of the run that made it. */
export interface Facts {
  item: Item;
  plan: Plan;
  machine: Machine | undefined;
  /** All that the checks find, answered or not. */
  findings: readonly Finding[];
  /** Faults of its run, and hours the needle had stitched by then; null where no run is known. */
  faults: number | null;
  needleHours: number | null;
  stitches: number;
  /** Hooped stabiliser and how many layers of it. */
  stabilisers: Piece[];
  layers: number;
  cloths: Set<MaterialKind>;
  stops: Stop[];
  hasTopping: boolean;
}

/**
 * Gathers what the rules look at.
 *
 * @param run faults and needle hours of the run, where it is known
 */
export function factsOf(
  item: Item,
  plan: Plan,
  machine: Machine | undefined,
  findings: readonly Finding[],
  run: { faults: number; needleHours: number } | null
): Facts {
  const hooped = new Set(item.hoopings.flatMap((hooping) => hooping.hooped));
  const stabilisers = item.pieces.filter(
    ({ id, material }) => hooped.has(id) && isStabiliserKind(material.kind)
  );
  const stops = item.files.flatMap((file) => file.stops);
  return {
    item,
    plan,
    machine,
    findings,
    faults: run?.faults ?? null,
    needleHours: run?.needleHours ?? null,
    stitches: plan.steps.reduce((sum, { stop }) => sum + (stop?.stitches ?? 0), 0),
    stabilisers,
    layers: stabilisers.reduce((sum, { plies }) => sum + plies, 0),
    cloths: new Set(
      item.pieces
        .filter(({ material }) => !isStabiliserKind(material.kind))
        .map(({ material }) => material.kind)
    ),
    stops,
    hasTopping: item.steps.some((step) => step.kind === 'hand' && step.op.do === 'topping-on')
  };
}
