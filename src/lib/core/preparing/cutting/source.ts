import type { CutJob } from '$lib/core/documents/cutJob';
import { forVariant, type Item } from '$lib/core/documents/item';
import { defaultOffers, defaultSetup, type Setup, type Shop } from '$lib/core/documents/shop';
import type { ClothEntry, StashEntry } from '$lib/core/documents/stash';
import { plan } from '$lib/core/making/plan';
import { demandsOf, type Want } from './demand';
import type { PlanCutsInput } from './planCuts';

/** What a cutting plan is made from. */
export interface CutSource {
  shop: Shop;
  stash: readonly StashEntry[];
  wants: readonly { item: Item; setup: Setup | undefined; copies: number }[];
  job: Pick<CutJob, 'choices' | 'kept' | 'done'>;
}

/** Items that are wanted with their plans, each in the setup chosen for it or the shop’s own, and in the variant of that setup. */
export function plannedWants({ wants, shop }: Pick<CutSource, 'wants' | 'shop'>): Want[] {
  return wants.map(({ item, setup, copies }) => {
    const planned = plan(item, setup ?? defaultSetup(item, shop), shop);
    return { item: forVariant(item, planned.variant.id), copies, plan: planned };
  });
}

/** What is asked of the planner: every piece of every item, and all that can be cut or bought. */
export function cutInputOf({ shop, stash, wants, job }: CutSource): PlanCutsInput {
  const entries = stash.filter((entry): entry is ClothEntry => entry.what === 'cloth');
  return {
    demands: demandsOf(plannedWants({ wants, shop }), shop, entries),
    entries,
    offers: shop.offers ?? defaultOffers(shop.unit),
    unit: shop.unit,
    job
  };
}
