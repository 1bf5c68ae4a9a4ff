import type { Plan, PlanStep } from '$lib/core/documents/plan';
import type { HoopShare } from '$lib/core/documents/run';
import type { Setup } from '$lib/core/documents/shop';
import { sumEstimates } from '$lib/core/making/time';
import { LineContext, type SharedPart, sharedSteps, stationsOf } from '$lib/core/ordering/hoopings';
import type { PlannedHooping } from './batchPlan';
import type { BatchInput } from './linePlan';

/** What is stitched, of which line, where and how. */
export type HoopingToRun = Pick<
  PlannedHooping,
  'lineId' | 'stage' | 'copies' | 'heads' | 'stationId' | 'hoopId' | 'way'
> & { shared: { at: number; parts: readonly HoopShare[] } | null };

/**
 * The plan a run of a hooping follows: its steps for all its copies in the order of its way, numbered from 1, the set-up
 * of the job first. Null where its item, machine or hoop is gone.
 *
 * @example
 * hoopingPlan({ order, items, shop }, hooping)?.plan.steps.length
 */
export function hoopingPlan(
  { order, items, shop }: Pick<BatchInput, 'order' | 'items' | 'shop'>,
  hooping: HoopingToRun
): { plan: Plan; setup: Setup } | null {
  const contextOf = (lineId: string): LineContext | null => {
    const line = order.lines.find(({ id }) => id === lineId);
    const found = items.find(({ item }) => item.id === line?.itemId);
    return line && found ? new LineContext(line, found.item, found.setup, shop) : null;
  };
  const context = contextOf(hooping.lineId);
  const station = stationsOf(shop, []).find(({ id }) => id === hooping.stationId);
  const hoop = shop.hoops.find(({ id }) => id === hooping.hoopId);
  if (!context || !station || !hoop) return null;
  const { machine } = station;
  const stage = context.stagesOf(machine, hoop)[hooping.stage];
  if (!stage) return null;
  const made = context.planOf(machine, hoop);
  const copies = { total: hooping.copies, heads: hooping.heads.length };
  const hooped = new Set(context.item.hoopings.flatMap((each) => each.hooped));
  const setUp = made.steps.filter(({ op }) => op?.do === 'set-up');
  const { shared } = hooping;
  const mates = shared?.parts.flatMap(({ lineId, copies: total, way }): SharedPart[] => {
    const own = contextOf(lineId);
    return own ? [{ context: own, copies: total, way }] : [];
  });
  if (shared && mates?.length !== shared.parts.length) return null;
  const phased =
    shared && mates
      ? (sharedSteps(mates, machine, hoop)[shared.at] ?? [])
      : context.stepsOf(stage, copies, machine, hoop, hooping.way);
  const steps = [...setUp, ...phased.map(({ step }) => step)].map((step, at): PlanStep => ({
    ...step,
    number: at + 1
  }));
  // In a shared hoop the first item brings what the ring holds.
  const rings = (shared?.at ?? 0) > 0 ? 0 : copies.heads;
  const stops = steps.flatMap(({ stop }) => stop ?? []);
  const each = stops.reduce((sum, { upperMetres }) => sum + upperMetres, 0);
  return {
    setup: { ...context.setupFor(machine, hoop), copies: hooping.copies },
    plan: {
      ...made,
      copies: hooping.copies,
      // What the ring holds is cut once for each hoop, all else for each copy.
      cuts: made.cuts
        .map((cut) => ({
          ...cut,
          count: cut.count * (hooped.has(cut.backs ?? cut.pieceId) ? rings : copies.total)
        }))
        .filter(({ count }) => count > 0),
      steps,
      stitches: stops.reduce((sum, { stitches }) => sum + stitches, 0),
      upperMetres: each,
      bobbinMetres: stops.reduce((sum, { bobbinMetres }) => sum + bobbinMetres, 0),
      totals: {
        hands: sumEstimates(
          'hands',
          steps.map(({ hands }) => hands)
        ),
        needle: sumEstimates(
          'needle',
          steps.map(({ running }) => running)
        ),
        waiting: sumEstimates(
          'waiting',
          steps.map(({ waiting }) => waiting)
        )
      }
    }
  };
}
