import { isOurFault, whyNot } from '$lib/core/base/problems';
import { readValue } from '$lib/core/documents/files';
import { defaultShop, type Setup, type Shop } from '$lib/core/documents/shop';
import { review } from '$lib/core/making/checks';
import { answered, objectOf, refused, under } from './jobAnswers';
import type { JobAnswer } from './jobs';

/** `{ item, setup?, shop? }` as a Plan with what the checks find. */
export function answerPlan(bytes: Uint8Array): JobAnswer {
  const body = objectOf(bytes);
  if (!body.ok) return body.answer;
  const { item: itemValue, setup: setupValue, shop: shopValue } = body.value;

  const item = readValue('item', itemValue);
  if (!item.ok) return refused(422, item.error.code, item.error.message, under('item', item.error.path));
  let setup: Setup | undefined;
  if (setupValue !== undefined) {
    const read = readValue('setup', setupValue);
    if (!read.ok) return refused(422, read.error.code, read.error.message, under('setup', read.error.path));
    setup = read.document;
  }
  let shop: Shop = defaultShop('shop');
  if (shopValue !== undefined) {
    const read = readValue('shop', shopValue);
    if (!read.ok) return refused(422, read.error.code, read.error.message, under('shop', read.error.path));
    shop = read.document;
  }
  try {
    const { plan, checked } = review(item.document, setup, shop);
    const findings = checked.open.map(({ code, severity, stepId, values, text, advice }) => ({
      code,
      severity,
      stepId,
      values,
      text,
      advice
    }));
    return answered({ ...plan, findings });
  } catch (problem) {
    if (isOurFault(problem)) throw problem;
    return refused(422, 'not-plannable', whyNot(problem), 'item');
  }
}
