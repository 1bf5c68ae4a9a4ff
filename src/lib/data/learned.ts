import type { LearnedCount } from '$lib/core/documents/shop';
import {
  bobbinMeasures,
  countsFromItems,
  learnFromRuns,
  lessonWords,
  type LoggedFaults,
  loggedFaults,
  taughtBy
} from '$lib/core/running/learning';
import { type NeedleTimes, needleTimes, type RunSummary } from '$lib/core/running/runs';
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

/** Runs that say something of bobbins, needles and faults: enough for years of a small workroom. */
const TELLING_RUNS = 400;
/** Runs with trouble that are looked at before a start. */
const TROUBLED = 100;

function findTroubled(): Promise<RunSummary[]> {
  return db.runSummaries
    .orderBy('startedAt')
    .reverse()
    .filter(({ trouble = [] }) => trouble.length > 0)
    .limit(TROUBLED)
    .toArray();
}

/** What logged run-outs measured of the bobbins, as the worker last found it. */
export async function bobbinsMeasured(): Promise<number[]> {
  const found = await db.computed.get('bobbins');
  return found?.key === 'bobbins' ? found.value : [];
}

/** Runs of which the maker said what went wrong, the latest first, as the worker last found them. */
export async function troubledRuns(): Promise<RunSummary[]> {
  const found = await db.computed.get('troubled');
  return found?.key === 'troubled' ? found.value : [];
}

/** Faults that runs logged, as the worker last counted them; null where it has not yet. */
export async function faultsLogged(): Promise<LoggedFaults | null> {
  const found = await db.computed.get('faults');
  return found?.key === 'faults' ? found.value : null;
}

/** What runs did to needles, as the worker last found it. */
export async function needlesLogged(): Promise<NeedleTimes[]> {
  const found = await db.computed.get('needles');
  return found?.key === 'needles' ? found.value : [];
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
  const stamp = JSON.stringify([3, finished.length, finished.slice(-RECENT), marked?.value, hands, known]);
  if (before?.stamp === stamp) return;
  const told = await recentRuns(TELLING_RUNS);
  const teaching = told.filter(teaches).slice(0, RECENT);
  const [latest] = told;
  const lessons = latest ? taughtBy(teaching, latest.id, hands).slice(0, LESSONS).map(lessonWords) : [];
  await db.computed.bulkPut([
    { key: 'bobbins', stamp, value: told.flatMap(bobbinMeasures) },
    { key: 'faults', stamp, value: loggedFaults(told) },
    { key: 'needles', stamp, value: told.map(needleTimes) },
    { key: 'troubled', stamp, value: await findTroubled() },
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
