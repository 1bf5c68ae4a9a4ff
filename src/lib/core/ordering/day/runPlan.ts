import type { Item } from '$lib/core/documents/item';
import type { Order } from '$lib/core/documents/order';
import type { Plan, PlanStep } from '$lib/core/documents/plan';
import type { Setup, Shop } from '$lib/core/documents/shop';
import { sumEstimates } from '$lib/core/making/time';
import { LineContext, stationsOf } from '$lib/core/ordering/hoopings';
import type { PlannedHooping } from './batchPlan';

/**
 * The plan a run of a hooping follows: its steps for all its copies in the order of its way, numbered from 1, the set-up
 * of the job first. Null where its item, machine or hoop is gone.
 *
 * @example
 * hoopingPlan(order, hooping, item, setup, shop)?.plan.steps.length
 */
export function hoopingPlan(
  order: Order,
  hooping: PlannedHooping,
  item: Item,
  setup: Setup | undefined,
  shop: Shop
): { plan: Plan; setup: Setup } | null {
  const line = order.lines.find(({ id }) => id === hooping.lineId);
  const station = stationsOf(shop, []).find(({ id }) => id === hooping.stationId);
  const hoop = shop.hoops.find(({ id }) => id === hooping.hoopId);
  if (!line || !station || !hoop) return null;
  const { machine } = station;
  const context = new LineContext(line, item, setup, shop);
  const stage = context.stagesOf(machine, hoop)[hooping.stage];
  if (!stage) return null;
  const made = context.planOf(machine, hoop);
  const copies = { total: hooping.copies, heads: hooping.heads.length };
  const hooped = new Set(context.item.hoopings.flatMap((each) => each.hooped));
  const setUp = made.steps.filter(({ op }) => op?.do === 'set-up');
  const own = context.stepsOf(stage, copies, machine, hoop, hooping.way).map(({ step }) => step);
  const steps = [...setUp, ...own].map((step, at): PlanStep => ({ ...step, number: at + 1 }));
  const stops = steps.flatMap(({ stop }) => stop ?? []);
  const each = stops.reduce((sum, { upperMetres }) => sum + upperMetres, 0);
  return {
    setup: { ...context.setupFor(machine, hoop), copies: hooping.copies },
    plan: {
      ...made,
      copies: hooping.copies,
      // What the ring holds is cut once for each hoop, all else for each copy.
      cuts: made.cuts.map((cut) => ({
        ...cut,
        count: cut.count * (hooped.has(cut.backs ?? cut.pieceId) ? copies.heads : copies.total)
      })),
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
