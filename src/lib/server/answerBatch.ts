import { readValue } from '$lib/core/documents/files';
import type { Order } from '$lib/core/documents/order';
import { defaultShop, type Shop } from '$lib/core/documents/shop';
import { type BatchInput, planBatch } from '$lib/core/ordering/day';
import { spreadOf } from '$lib/core/ordering/promise';
import { planWeek } from '$lib/core/ordering/week';
import { answered, objectOf, refused, under } from './jobAnswers';
import type { JobAnswer } from './jobs';

/** Most items in one request. */
const MOST_ITEMS = 60;
/** Most copies that are planned in one request; a larger order is planned in the browser. */
const MOST_COPIES = 3000;
/** Schedules that are worked out: a request is answered soon. */
const ROUNDS = 800;
const WEEK_ROUNDS = 300;

/** Most orders of one week. */
const MOST_ORDERS = 20;

/** `{ order, items, setups?, shop? }` as the plan of an order; `{ orders, … }` as the week of several. */
export function answerBatch(bytes: Uint8Array): JobAnswer {
  const body = objectOf(bytes);
  if (!body.ok) return body.answer;
  const { order: orderValue, orders: orderValues, items: itemValues } = body.value;
  const { setups: setupValues = [], shop: shopValue } = body.value;

  const several = orderValues !== undefined;
  if (
    several &&
    (!Array.isArray(orderValues) || orderValues.length === 0 || orderValues.length > MOST_ORDERS)
  )
    return refused(422, 'invalid', `Send one to ${MOST_ORDERS} orders as a list.`, 'orders');
  const orders: Order[] = [];
  for (const [index, value] of (several ? (orderValues as unknown[]) : [orderValue]).entries()) {
    const path = several ? `orders.${index}` : 'order';
    const read = readValue('order', value);
    if (!read.ok) return refused(422, read.error.code, read.error.message, under(path, read.error.path));
    orders.push(read.document);
  }
  if (!Array.isArray(itemValues) || !Array.isArray(setupValues))
    return refused(
      422,
      'invalid',
      'Send the items of the order as a list: { "order": …, "items": […] }.',
      'items'
    );
  if (itemValues.length > MOST_ITEMS || setupValues.length > MOST_ITEMS)
    return refused(422, 'too-many', `At most ${MOST_ITEMS} items are planned at once.`, 'items');
  const copies = orders.flatMap(({ lines }) => lines).reduce((sum, { quantity }) => sum + quantity, 0);
  if (copies > MOST_COPIES)
    return refused(
      422,
      'too-many',
      `At most ${MOST_COPIES} pieces are planned at once. Split the order.`,
      several ? 'orders' : 'order.lines'
    );
  let shop: Shop = defaultShop('shop');
  if (shopValue !== undefined) {
    const read = readValue('shop', shopValue);
    if (!read.ok) return refused(422, read.error.code, read.error.message, under('shop', read.error.path));
    shop = read.document;
  }
  const setups = [];
  for (const [index, value] of setupValues.entries()) {
    const read = readValue('setup', value);
    if (!read.ok)
      return refused(422, read.error.code, read.error.message, under(`setups.${index}`, read.error.path));
    setups.push(read.document);
  }
  const items: BatchInput['items'][number][] = [];
  for (const [index, value] of itemValues.entries()) {
    const read = readValue('item', value);
    if (!read.ok)
      return refused(422, read.error.code, read.error.message, under(`items.${index}`, read.error.path));
    items.push({ item: read.document, setup: setups.find(({ itemId }) => itemId === read.document.id) });
  }
  const [order] = orders;
  if (!order) return refused(422, 'invalid', 'Send an order.', 'order');
  if (!several) return answered(planBatch({ order, items, shop }, { rounds: ROUNDS }));
  const room = {
    from: orders.map(({ from }) => from).sort()[0] ?? order.from,
    bench: shop.workroom?.bench ?? order.bench,
    people: shop.workroom?.people ?? Math.max(...orders.map(({ people }) => people))
  };
  const week = { orders: orders.map((each) => ({ order: each })), items, shop, room };
  return answered(planWeek(week, spreadOf(shop, null, order.spoilage), WEEK_ROUNDS));
}
