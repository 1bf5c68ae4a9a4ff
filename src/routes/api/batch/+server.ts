import { json } from '@sveltejs/kit';
import { readValue } from '$lib/core/documents/files';
import { defaultShop, type Shop } from '$lib/core/documents/shop';
import { type BatchInput, planBatch } from '$lib/core/ordering/day';
import { readBody, refuse } from '$lib/server';
import type { RequestHandler } from './$types';

/** Most items in one request. */
const MOST_ITEMS = 60;
/** Most copies that are planned in one request; a larger order is planned in the browser. */
const MOST_COPIES = 3000;
/** Schedules that are worked out: a request is answered soon. */
const ROUNDS = 800;

/**
 * POST { order, items, setups?, shop? } gives the plan of an order, by the same core as in the browser. Nothing is kept.
 */
export const POST: RequestHandler = async ({ request }) => {
  const body = await readBody(request);
  if (!body.ok) return body.answer;
  const { order: orderValue, items: itemValues, setups: setupValues = [], shop: shopValue } = body.value;

  const order = readValue('order', orderValue);
  if (!order.ok) return refuse(422, order.error.code, order.error.message, at('order', order.error.path));
  if (!Array.isArray(itemValues) || !Array.isArray(setupValues))
    return refuse(
      422,
      'invalid',
      'Send the items of the order as a list: { "order": …, "items": […] }.',
      'items'
    );
  if (itemValues.length > MOST_ITEMS || setupValues.length > MOST_ITEMS)
    return refuse(422, 'too-many', `At most ${MOST_ITEMS} items are planned at once.`, 'items');
  const copies = order.document.lines.reduce((sum, { quantity }) => sum + quantity, 0);
  if (copies > MOST_COPIES)
    return refuse(
      422,
      'too-many',
      `At most ${MOST_COPIES} pieces are planned at once. Split the order.`,
      'order.lines'
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
  return json(planBatch({ order: order.document, items, shop }, { rounds: ROUNDS }));
};

function at(part: string, path: string): string {
  return path === '' ? part : `${part}.${path}`;
}
