import { json } from '@sveltejs/kit';
import { readValue } from '$lib/core/documents/files';
import { defaultShop, type Shop } from '$lib/core/documents/shop';
import type { Order } from '$lib/core/documents/order';
import { type BatchInput, planBatch } from '$lib/core/ordering/day';
import { spreadOf } from '$lib/core/ordering/promise';
import { planWeek } from '$lib/core/ordering/week';
import { readBody, refuse } from '$lib/server';
import type { RequestHandler } from './$types';

/** Most items in one request. */
const MOST_ITEMS = 60;
/** Most copies that are planned in one request; a larger order is planned in the browser. */
const MOST_COPIES = 3000;
/** Schedules that are worked out: a request is answered soon. */
const ROUNDS = 800;
const WEEK_ROUNDS = 300;

/** Most orders of one week. */
const MOST_ORDERS = 20;

/**
 * POST { order, items, setups?, shop? } gives the plan of an order, by the same core as in the browser; { orders, … } the week
 * of several, with what can be promised of each. Nothing is kept.
 */
export const POST: RequestHandler = async ({ request }) => {
  const body = await readBody(request);
  if (!body.ok) return body.answer;
  const { order: orderValue, orders: orderValues, items: itemValues } = body.value;
  const { setups: setupValues = [], shop: shopValue } = body.value;

  const several = orderValues !== undefined;
  if (
    several &&
    (!Array.isArray(orderValues) || orderValues.length === 0 || orderValues.length > MOST_ORDERS)
  )
    return refuse(422, 'invalid', `Send one to ${MOST_ORDERS} orders as a list.`, 'orders');
  const orders: Order[] = [];
  for (const [index, value] of (several ? (orderValues as unknown[]) : [orderValue]).entries()) {
    const path = several ? `orders.${index}` : 'order';
    const read = readValue('order', value);
    if (!read.ok) return refuse(422, read.error.code, read.error.message, at(path, read.error.path));
    orders.push(read.document);
  }
  if (!Array.isArray(itemValues) || !Array.isArray(setupValues))
    return refuse(
      422,
      'invalid',
      'Send the items of the order as a list: { "order": …, "items": […] }.',
      'items'
    );
  if (itemValues.length > MOST_ITEMS || setupValues.length > MOST_ITEMS)
    return refuse(422, 'too-many', `At most ${MOST_ITEMS} items are planned at once.`, 'items');
  const copies = orders.flatMap(({ lines }) => lines).reduce((sum, { quantity }) => sum + quantity, 0);
  if (copies > MOST_COPIES)
    return refuse(
      422,
      'too-many',
      `At most ${MOST_COPIES} pieces are planned at once. Split the order.`,
      several ? 'orders' : 'order.lines'
    );
  let shop: Shop = defaultShop('shop');
  if (shopValue !== undefined) {
    const read = readValue('shop', shopValue);
    if (!read.ok) return refuse(422, read.error.code, read.error.message, at('shop', read.error.path));
    shop = read.document;
  }
  const setups = [];
  for (const [index, value] of setupValues.entries()) {
    const read = readValue('setup', value);
    if (!read.ok)
      return refuse(422, read.error.code, read.error.message, at(`setups.${index}`, read.error.path));
    setups.push(read.document);
  }
  const items: BatchInput['items'][number][] = [];
  for (const [index, value] of itemValues.entries()) {
    const read = readValue('item', value);
    if (!read.ok)
      return refuse(422, read.error.code, read.error.message, at(`items.${index}`, read.error.path));
    items.push({ item: read.document, setup: setups.find(({ itemId }) => itemId === read.document.id) });
  }
  const [order] = orders;
  if (!order) return refuse(422, 'invalid', 'Send an order.', 'order');
  if (!several) return json(planBatch({ order, items, shop }, { rounds: ROUNDS }));
  const room = {
    from: orders.map(({ from }) => from).sort()[0] ?? order.from,
    bench: shop.workroom?.bench ?? order.bench,
    people: shop.workroom?.people ?? Math.max(...orders.map(({ people }) => people))
  };
  const week = { orders: orders.map((each) => ({ order: each })), items, shop, room };
  return json(planWeek(week, spreadOf(shop, [], order.spoilage), WEEK_ROUNDS));
};

function at(part: string, path: string): string {
  return path === '' ? part : `${part}.${path}`;
}
