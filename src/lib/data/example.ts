import { constructionOf } from '$lib/core/craft/constructions';
import { defaultShop } from '$lib/core/documents/shop';
import { plan } from '$lib/core/making/plan';
import { ribbonSteps } from '$lib/core/making/summary';
import { assemble } from '$lib/core/reading/matching';
import { db } from './db';

/** Raised when the plain tab is made in another way. */
const STAMP = '1';

/** A plain tab, planned as any other item, to show an empty workroom what a ribbon says: meant for a worker. */
export async function refreshExample(): Promise<void> {
  if ((await db.computed.get('example'))?.stamp === STAMP) return;
  const made = constructionOf('snap-tab')?.patternOf({});
  if (!made?.ok) return;
  const about = { id: 'example', name: 'Snap tab', now: new Date(0).toISOString(), construction: 'snap-tab' };
  const item = assemble(made.pattern, { ...about, params: made.params });
  const value = ribbonSteps(plan(item, undefined, defaultShop('example')).steps);
  await db.computed.put({ key: 'example', stamp: STAMP, value });
}
