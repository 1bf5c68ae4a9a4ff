import { type CutJob, newCutJob } from '$lib/core/documents/cutJob';
import { defaultOffers } from '$lib/core/documents/shop';
import { ClothEntry } from '$lib/core/documents/stash';
import { type Demand, type MaterialPlan, planCuts } from '$lib/core/preparing/cutting';
import { piecesIn } from '$lib/core/preparing/cutting/kept';

/** A washed print of the stash. */
export const clothOf = (
  wish: Partial<ClothEntry> & Pick<ClothEntry, 'id' | 'width' | 'height'>
): ClothEntry =>
  ClothEntry.parse({
    what: 'cloth',
    name: 'Fern print',
    colour: '#4d7148',
    kind: 'woven',
    form: 'length',
    prewashed: true,
    ...wish
  });
/** Pieces of that print. */
export const demandOf = (
  key: string,
  width: number,
  height: number,
  count: number,
  more: Partial<Demand> = {}
): Demand => ({
  key,
  pieceId: key,
  itemId: 'item',
  itemName: 'Item',
  name: key.toUpperCase(),
  material: { kind: 'woven', name: 'Fern print', colour: '#4d7148' },
  count,
  covers: { width: width - 24, height: height - 24 },
  coversName: 'Outline',
  margin: 12,
  exact: { width, height },
  cut: { width, height },
  parts: [],
  grain: 'any',
  overridden: false,
  cutFrom: null,
  hooped: false,
  ...more
});
export const planned = (
  demands: Demand[],
  entries: ClothEntry[],
  job: Pick<CutJob, 'choices' | 'kept' | 'done'> = newCutJob('item', 1)
): MaterialPlan[] =>
  planCuts({ demands, entries, offers: defaultOffers('mm'), unit: 'mm', job }, { rounds: 30 });
/** How many pieces lie on each cloth. */
export const placedOn = (plans: MaterialPlan[]): Record<string, number> =>
  Object.fromEntries(
    plans.flatMap(({ cloths }) =>
      cloths.map(({ cloth, strips }) => [
        cloth.id,
        strips.reduce((sum, { strip }) => sum + [...piecesIn(strip).values()].reduce((a, b) => a + b, 0), 0)
      ])
    )
  );
