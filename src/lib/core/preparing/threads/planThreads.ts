import { drawsLine, type Item } from '$lib/core/documents/item';
import type { Plan } from '$lib/core/documents/plan';
import type { Machine, Setup, Shop } from '$lib/core/documents/shop';
import { planAndTrace } from '$lib/core/making/plan';
import { visibleThreads } from '$lib/core/craft/stack';
import { bobbinUse } from '$lib/core/solvers/bobbins';
import type { ItemBobbins } from './bobbinPlan';
import { needleSheet, type NeedleSheet } from './needleSheet';
import { type OrderPlan, planOrder } from './planOrder';
import { headsTogether, stationBobbins, type ToWind } from './winding';

export interface ThreadPlanInput {
  item: Item;
  setup: Setup;
  shop: Shop;
  /** Stops that nobody will see may be stitched in any thread. */
  anyHidden: boolean;
  /** What logged run-outs measured. */
  measured: readonly number[];
}

/** Everything about the threads of an item: what the screen shows and nobody edits. */
export interface ThreadPlan {
  plan: Plan;
  order: OrderPlan;
  bobbins: ItemBobbins;
  /** What to wind for all copies on all heads. */
  wind: ToWind[];
  heads: number;
  needles: NeedleSheet;
  /** Stops that are seen on one line, so that they must match, by step. */
  together: string[][];
}

/**
 * Plans the threads of an item for a setup: the order of its stops, its bobbins and its needles.
 *
 * @throws RangeError when the shop has no machine or no hoop
 *
 * @example
 * planThreads({ item, setup, shop, anyHidden: true, measured: [] }).order.better?.cost.threads // 2
 */
export function planThreads({ item, setup, shop, anyHidden, measured }: ThreadPlanInput): ThreadPlan {
  const made = planAndTrace(item, setup, shop);
  const machine = machineOf(made.plan, shop);
  const { bobbins, wind, heads } = stationBobbins(made, bobbinUse(measured), {
    ...setup,
    heads: headsTogether(machine)
  });
  return {
    plan: made.plan,
    order: planOrder(item, setup, shop, anyHidden),
    bobbins,
    wind,
    heads,
    needles: needleSheet(made, machine),
    together: seenTogether(made)
  };
}

function machineOf({ machine }: Plan, { machines }: Shop): Machine {
  const found = machines.find(({ id }) => id === machine.id) ?? machines[0];
  if (!found) throw new RangeError('A shop needs a machine.');
  return found;
}

/** Steps whose upper thread is seen on one side along the same line: one shows through the other. */
function seenTogether({ trace }: ReturnType<typeof planAndTrace>): string[][] {
  const last = trace.at(-1)?.state;
  if (!last) return [];
  const side = new Map(visibleThreads(last).map(({ stepId, upper }) => [stepId, upper]));
  const groups = new Map<string, string[]>();
  for (const { stepId, role, lineIds } of last.seams) {
    const seen = side.get(stepId) ?? null;
    if (seen === null || !drawsLine(role)) continue;
    for (const line of lineIds)
      groups.set(`${line} ${seen}`, [...(groups.get(`${line} ${seen}`) ?? []), stepId]);
  }
  return [...groups.values()].filter(({ length }) => length > 1);
}
