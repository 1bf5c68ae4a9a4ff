import type { Machine, Setup } from '$lib/core/documents/shop';
import type { PlanAndTrace } from '$lib/core/making/plan';
import type { BobbinUse } from '$lib/core/solvers/bobbins';
import { type ItemBobbins, planItemBobbins } from './bobbinPlan';

/** Bobbins of one colour to wind full before the start. */
export interface ToWind {
  colour: string;
  count: number;
}

/** The bobbins of some copies on one station: what each head goes through, and what to wind for all of them. */
export interface StationBobbins {
  heads: number;
  /** Copies that one head stitches. */
  perHead: number;
  /** As one head has them. */
  bobbins: ItemBobbins;
  wind: ToWind[];
  /** Changes on the way on one head, the first bobbin left out. */
  changes: number;
}

/** Heads of a machine that stitch the same at the same time. */
export function headsTogether({ heads, headsRun }: Pick<Machine, 'heads' | 'headsRun'>): number {
  return headsRun === 'apart' ? 1 : heads;
}

/**
 * Plans the bobbins of some copies, shared out over the heads of a station. Everything that says how many bobbins there
 * are says it from here: the list before the start, the preparation of an order, the thread page.
 *
 * @param copies of all heads together
 * @param bobbinOn the bobbin in the machine now, in every head
 *
 * @example
 * stationBobbins(made, use, { copies: 6, heads: 3 }).wind // [{ colour: '', count: 3 }]: one a head
 */
export function stationBobbins(
  made: Pick<PlanAndTrace, 'item' | 'plan' | 'trace'>,
  use: BobbinUse,
  { copies, heads: all, bobbinOn }: { copies: number; heads: number; bobbinOn?: Setup['bobbinOn'] }
): StationBobbins {
  const heads = Math.max(1, Math.min(all, copies));
  const perHead = Math.ceil(Math.max(1, copies) / heads);
  const bobbins = planItemBobbins(made, use, { copies: perHead, ...(bobbinOn && { bobbinOn }) });
  // Of very many copies only the first are planned one by one; the rest take as many.
  const rounds = perHead / bobbins.copies;
  return {
    heads,
    perHead,
    bobbins,
    wind: bobbins.wind.map(({ colour, count }) => ({ colour, count: Math.ceil(count * rounds) * heads })),
    changes: bobbins.changes.filter(({ why }) => why !== 'start').length
  };
}
