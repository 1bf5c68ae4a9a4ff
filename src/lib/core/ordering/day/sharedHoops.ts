import { TURNS } from '$lib/core/documents/order';
import type { StationOf } from '$lib/core/ordering/hoopings';
import { layOutMixed } from '$lib/core/solvers/nesting';
import type { PlannedHooping, SharedHoop } from './batchPlan';
import type { BatchInput, LinePlan } from './linePlan';

/**
 * Remainders of different items that could share a hoop: both in hoops that are not full, of one size, on the same hooped
 * material, stitched in one clamping. The maker stitches the one, leaves the hoop on and loads the other; the schedule
 * keeps them apart.
 */
export function sharedHoops(
  lines: readonly LinePlan[],
  hoopings: readonly PlannedHooping[],
  stations: readonly StationOf[],
  { shop }: BatchInput
): SharedHoop[] {
  const rests = lines.flatMap((line) => {
    const { context, hoop } = line;
    const machine = stations.find((station) => context.allowed(station.machine))?.machine;
    const stages = machine ? context.stagesOf(machine, hoop) : [];
    const [stage] = stages;
    if (!machine || !stage || stages.length > 1 || context.line.repeats || context.movesHoop(stage))
      return [];
    const least = hoopings
      .filter((each) => each.lineId === context.line.id && each.runId === null && each.heads.length === 1)
      .toSorted((a, b) => a.copies - b.copies)[0];
    const own = shop.hoops.find(({ id }) => id === least?.hoopId);
    if (!least || !own || least.copies >= context.capacity(stage, machine, own)) return [];
    return [{ line, stage, machine, hoop: own, copies: least.copies, material: hoopedWith(line) }];
  });
  return rests.flatMap((a, at) =>
    rests.slice(at + 1).flatMap((b): SharedHoop[] => {
      if (a.material !== b.material || a.hoop.id !== b.hoop.id || a.machine.id !== b.machine.id) return [];
      const outlines = [a, b].map(({ line, stage, machine, hoop }) =>
        line.context.outlineOf(stage, machine, hoop)
      );
      const area = a.line.context.areaOf(a.machine, a.hoop);
      const gap = Math.max(a.line.context.gap, b.line.context.gap);
      const turned = a.line.context.line.turned && b.line.context.line.turned;
      const parts = [a, b].map(({ line, copies }) => ({
        lineId: line.context.line.id,
        name: line.context.item.name,
        copies
      }));
      const placements = layOutMixed(
        outlines.map((outline, part) => ({ outline, count: parts[part]?.copies ?? 0 })),
        area,
        gap,
        turned ? TURNS : [0]
      );
      return placements ? [{ hoopId: a.hoop.id, parts, placements, outlines, area }] : [];
    })
  );
}

/** What the ring holds, in words that are the same for the same material. */
function hoopedWith({ context: { item } }: LinePlan): string {
  const hooped = new Set(item.hoopings.flatMap((each) => each.hooped));
  return item.pieces
    .flatMap(({ id, material, plies }) =>
      hooped.has(id) ? `${material.kind} ${material.name} ${plies}` : []
    )
    .sort()
    .join();
}
