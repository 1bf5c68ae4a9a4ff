import { readFileSync } from 'node:fs';
import { Item } from '$lib/core/documents/item';
import { Order } from '$lib/core/documents/order';
import { Run } from '$lib/core/documents/run';
import { Setup, Shop } from '$lib/core/documents/shop';
import { Stash, type StashEntry } from '$lib/core/documents/stash';

const read = (path: string): unknown =>
  JSON.parse(readFileSync(new URL(`../../../demo/${path}`, import.meta.url), 'utf8'));

/** Documents of the demo stall, as they ship. */
export const demoShop = (): Shop => Shop.parse(read('shop.json'));
export const demoItem = (id: string): Item => Item.parse(read(`items/${id}.json`));
export const demoSetup = (id: string): Setup => Setup.parse(read(`setups/${id}.json`));
export const demoStash = (): StashEntry[] => Stash.parse(read('stash.json')).entries;
export const demoOrder = (): Order => Order.parse(read('orders/gala-weekend.json'));
export const demoRun = (id: string): Run => Run.parse(read(`runs/${id}.json`));
