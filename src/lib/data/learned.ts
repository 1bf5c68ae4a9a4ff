import { learnFromRuns, lessonWords, taughtBy } from '$lib/core/running/learning';
import { db } from './db';
import { MARKED, recentRuns } from './runs';
import { getShop, RECENT, teaches } from './shop';

/** Lessons told of the last run. */
const LESSONS = 3;

/**
 * Computes what the logged runs teach, unless nothing has changed since: meant for a worker. Ids alone say whether anything
 * is new; the runs themselves are large.
 */
export async function refreshLearned(): Promise<void> {
  const [finished, marked, { hands }, before] = await Promise.all([
    db.runs.where('finishedAt').above('').primaryKeys(),
    db.meta.get(MARKED),
    getShop(),
    db.computed.get('learned')
  ]);
  const stamp = JSON.stringify([finished.length, finished.slice(-RECENT), marked?.value, hands]);
  if (before?.stamp === stamp) return;
  const teaching = await recentRuns(RECENT, teaches);
  const [latest] = await recentRuns(1);
  const lessons = latest ? taughtBy(teaching, latest.id, hands).slice(0, LESSONS).map(lessonWords) : [];
  await db.computed.bulkPut([
    { key: 'learned', stamp, value: learnFromRuns(teaching, hands) },
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
