import type { LearnedCount } from '$lib/core/documents/shop';
import { countsFromItems, learnFromRuns, lessonWords, taughtBy } from '$lib/core/running/learning';
import { db } from './db';
import { readable } from './rows';
import { MARKED, recentRuns } from './runs';
import { getShop, RECENT, teaches } from './shop';

/** Charted items that tell how dense houses stitch: the last worked on. */
const TELLING = 100;

async function countsOfItems(): Promise<LearnedCount[]> {
  const rows = await db.items.orderBy('updatedAt').reverse().limit(TELLING).toArray();
  return countsFromItems(readable('item', rows));
}

/** Lessons told of the last run. */
const LESSONS = 3;

/**
 * Computes what the logged runs teach, unless nothing has changed since: meant for a worker. Ids alone say whether anything
 * is new; the runs themselves are large.
 */
export async function refreshLearned(): Promise<void> {
  const [finished, items, marked, { hands }, before] = await Promise.all([
    db.runs.where('finishedAt').above('').primaryKeys(),
    db.items.count(),
    db.meta.get(MARKED),
    getShop(),
    db.computed.get('learned')
  ]);
  // An item more among very many tells nothing new of counts.
  const known = items === 0 ? 0 : Math.round(Math.log(items) / Math.log(1.05));
  const stamp = JSON.stringify([finished.length, finished.slice(-RECENT), marked?.value, hands, known]);
  if (before?.stamp === stamp) return;
  const teaching = await recentRuns(RECENT, teaches);
  const [latest] = await recentRuns(1);
  const lessons = latest ? taughtBy(teaching, latest.id, hands).slice(0, LESSONS).map(lessonWords) : [];
  await db.computed.bulkPut([
    { key: 'learned', stamp, value: { ...learnFromRuns(teaching, hands), counts: await countsOfItems() } },
    {
      key: 'last-run',
      stamp,
      value: latest
        ? {
            ...{ id: latest.id, itemName: latest.itemName, startedAt: latest.startedAt },
            finishedAt: latest.finishedAt ?? latest.startedAt,
            lessons
          }
        : null
    }
  ]);
}
