import { json } from '@sveltejs/kit';
import { readValue } from '$lib/core/documents/files';
import { defaultShop, type Setup, type Shop } from '$lib/core/documents/shop';
import { review } from '$lib/core/making/checks';
import { readBody, refuse } from '$lib/server';
import type { RequestHandler } from './$types';

/**
 * POST { item, setup?, shop? } gives the Plan and what the checks find, by the same core as in the browser. Nothing
 * is kept.
 */
export const POST: RequestHandler = async ({ request }) => {
  const body = await readBody(request);
  if (!body.ok) return body.answer;
  const { item: itemValue, setup: setupValue, shop: shopValue } = body.value;

  const item = readValue('item', itemValue);
  if (!item.ok) return refuse(422, item.error.code, item.error.message, at('item', item.error.path));
  let setup: Setup | undefined;
  if (setupValue !== undefined) {
    const read = readValue('setup', setupValue);
    if (!read.ok) return refuse(422, read.error.code, read.error.message, at('setup', read.error.path));
    setup = read.document;
  }
  let shop: Shop = defaultShop('shop');
  if (shopValue !== undefined) {
    const read = readValue('shop', shopValue);
    if (!read.ok) return refuse(422, read.error.code, read.error.message, at('shop', read.error.path));
    shop = read.document;
  }
  const { plan, checked } = review(item.document, setup, shop);
  const findings = checked.open.map(({ code, severity, stepId, values, text, advice }) => ({
    code,
    severity,
    stepId,
    values,
    text,
    advice
  }));
  return json({ ...plan, findings });
};

function at(part: string, path: string): string {
  return path === '' ? part : `${part}.${path}`;
}
