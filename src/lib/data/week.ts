import type { StashEntry } from '$lib/core/documents/stash';
import { DEFAULT_BENCH } from '$lib/core/documents/shop';
import { KeptWeek, type WeekInput } from '$lib/core/ordering/week';
import type { LoggedFaults } from '$lib/core/running/learning';
import { foldRun, timesFrom } from '$lib/core/running/runs';
import { db } from './db';
import { bobbinsMeasured, faultsLogged } from './learned';
import { ordersWithProgress, weekItems } from './orderTable';
import { eventsOf, openRuns } from './runs';
import { getShop } from './shop';
import { listStash } from './stash';
import { shelfRows } from './summaries';

const KEY = 'week';

/** The week as it was planned last; null where it never was, or cannot be read any more. */
export async function weekKept(): Promise<KeptWeek | null> {
  const kept = KeptWeek.safeParse((await db.meta.get(KEY))?.value);
  return kept.success ? kept.data : null;
}

export async function keepWeek(week: KeptWeek): Promise<void> {
  await db.meta.put({ key: KEY, value: week });
}

/** Everything the week is made of: what is open, its items, the shop, and what tells how far things stray. */
export interface WeekTable {
  input: WeekInput;
  /** Faults that runs logged. */
  logged: LoggedFaults | null;
  stash: StashEntry[];
  /** What logged run-outs measured of the bobbins. */
  measured: number[];
  /** Items on the shelf, to ask when they could be promised. */
  shelf: { id: string; name: string }[];
  /** The week as it was told last. */
  kept: KeptWeek | null;
}

/** All orders that are not put away, from now on. */
export async function weekTable(now: string): Promise<WeekTable> {
  const [orders, shop, shelf, logged, measured, stash, kept, busy] = await Promise.all([
    ordersWithProgress(),
    getShop(),
    shelfRows(),
    faultsLogged(),
    bobbinsMeasured(),
    listStash(),
    weekKept(),
    singleRuns()
  ]);
  const open = orders.filter(({ order }) => order.putAwayAt === undefined && order.lines.length > 0);
  const wanted = new Set(open.flatMap(({ order }) => order.lines.map(({ itemId }) => itemId)));
  const [first] = open;
  return {
    logged,
    measured,
    stash,
    kept,
    shelf: shelf.filter(({ away }) => !away).map(({ id, name }) => ({ id, name })),
    input: {
      orders: open,
      busy,
      shop,
      items: await weekItems([...wanted]),
      room: {
        from: now,
        bench: shop.workroom?.bench ?? first?.order.bench ?? DEFAULT_BENCH,
        people: shop.workroom?.people ?? Math.max(1, ...open.map(({ order }) => order.people))
      }
    }
  };
}

/** Single items that are under way: their machine, and what is left of them, s. */
async function singleRuns(): Promise<NonNullable<WeekInput['busy']>> {
  const heads = (await openRuns()).filter(({ order }) => order === undefined);
  const found = await Promise.all(
    heads.map(async (head) => {
      const state = foldRun(head.plan.steps, await eventsOf(head.id));
      const { hands, needle } = timesFrom(head.plan, state.at);
      // What only stands before its start, or is set aside, takes no machine.
      const isOn = state.phase !== 'not-started' && state.phase !== 'set-aside';
      return { machineId: head.plan.machine.id, name: head.itemName, seconds: isOn ? hands + needle : 0 };
    })
  );
  return found.filter(({ seconds }) => seconds > 0);
}
