import { does } from '$lib/core/craft/operations';
import type { Plan } from '$lib/core/documents/plan';
import type { Machine, Setup } from '$lib/core/documents/shop';
import type { PlanAndTrace } from '$lib/core/making/plan';
import type { BobbinUse } from '$lib/core/solvers/bobbins';
import { type ItemBobbins, planItemBobbins, USUAL } from './bobbinPlan';

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

/**
 * The bobbins a hooping of an order goes through, as its own steps change them: a full one at the start, and one at each
 * change, before a stop or in the middle of it.
 *
 * @param heads that stitch together
 *
 * @example
 * bobbinsInSteps(sixPatches, 1) // { wind: [{ colour: '', count: 5 }], changes: 4, heads: 1 }
 */
export function bobbinsInSteps(
  { steps }: Pick<Plan, 'steps'>,
  heads: number
): Pick<StationBobbins, 'wind' | 'changes' | 'heads'> {
  const wind = new Map<string, number>();
  const first = steps.findIndex(({ stop }) => (stop?.bobbinMetres ?? 0) > 0);
  let colour = USUAL;
  let changes = 0;
  steps.forEach(({ op, parts }, at) => {
    const wound = does(op, 'wind');
    if (wound) colour = wound.threadId ?? USUAL;
    const changed = parts.reduce((sum, { key, times }) => sum + (key === 'bobbin' ? times : 0), 0);
    // What is put in before the first stitch is the bobbin it starts with.
    if (at < first) return;
    changes += changed;
    const count = at === first ? heads + changed : changed;
    if (count > 0) wind.set(colour, (wind.get(colour) ?? 0) + count);
  });
  return { wind: [...wind].map(([of, count]) => ({ colour: of, count })), changes: changes / heads, heads };
}
