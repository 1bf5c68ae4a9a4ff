import 'fake-indexeddb/auto';
import { defaultSetup } from '$lib/core/documents/shop';
import { review } from '$lib/core/making/checks';
import { itemSummary } from '$lib/core/making/summary';
import { compareRun, needleTimes, runSummary } from '$lib/core/running/runs';
import { db } from '$lib/data/db';
import { changeItem, changeSetup, changeShop, putAway } from '$lib/data/edits';
import { addItem } from '$lib/data/items';
import { faultsLogged, needlesLogged, refreshLearned } from '$lib/data/learned';
import { markRun } from '$lib/data/runEdits';
import { openRuns } from '$lib/data/runs';
import { refreshItems, refreshRuns } from '$lib/data/keepSummaries';
import { lastRun, loggedRuns, runsThatTell, searchShelf, shelfRows, summariesOf } from '$lib/data/summaries';
import { exampleRibbon } from '$lib/server/example';
import { expect } from 'chai';
import { badgerShop, badgerTab, makeItem } from './support/badger';
import { demoRun } from './support/demo';

const tab = badgerTab();
const shop = badgerShop();
const setup = defaultSetup(tab, shop);

describe('a summary of an item', () => {
  it('holds what its plan and checks say', () => {
    const { plan, checked } = review(tab, setup, shop);
    const summary = itemSummary(tab, setup, shop);
    expect(summary).to.include({ stitches: plan.stitches, needle: plan.totals.needle.value, toLookAt: 0 });
    expect(summary.ribbon.map(({ id }) => id)).to.deep.equal(plan.steps.map(({ id }) => id));
    expect(checked.open).to.deep.equal([]);
  });
});

describe('summaries in the browser', () => {
  beforeEach(async () => {
    await db.delete();
    await db.open();
    await changeShop(() => shop, null);
    await addItem(tab, setup);
  });
  after(() => db.delete());
  const summary = async (id: string): Promise<string> => {
    const [found] = await summariesOf([id]);
    return found?.problem ?? String(found?.summary?.hoop);
  };
  const stamps = async (): Promise<string[]> =>
    (await db.itemSummaries.orderBy('id').toArray()).map(({ stamp }) => stamp);

  it('are made once, and anew when the item, its setup or the shop changes', async () => {
    await refreshItems();
    const first = await stamps();
    await refreshItems();
    expect(await stamps()).to.deep.equal(first);
    await changeSetup(tab.id, (now) => ({ ...now, hoopId: 'hoop-130' }));
    await refreshItems();
    const second = await stamps();
    expect(second).to.not.deep.equal(first);
    expect(await summary(tab.id)).to.equal('Long hoop');
    await changeShop((now) => ({ ...now, unit: 'in' }));
    await refreshItems();
    expect(await stamps()).to.not.deep.equal(second);
    await changeItem(tab.id, (item) => ({ ...item, name: 'Stationmaster' }));
    await refreshItems();
    expect([...(await searchShelf('STATION'))]).to.deep.equal([tab.id]);
    expect([...(await searchShelf('badger'))]).to.deep.equal([]);
  });
  it('list every item by its name, the last worked on first, without reading one', async () => {
    await addItem(
      { ...makeItem('patch'), id: 'lamp', name: 'Lamp patch', updatedAt: '2027-01-01T00:00:00.000Z' },
      {
        ...setup,
        itemId: 'lamp'
      }
    );
    await putAway('item', tab.id, true, 'putting away');
    expect(await shelfRows()).to.deep.equal([
      { id: 'lamp', name: 'Lamp patch', away: false },
      { id: tab.id, name: tab.name, away: true }
    ]);
  });
  it('say what is wrong with one item, and go on with the others; those of items that are gone go too', async () => {
    await db.items.put({ ...tab, id: 'far', name: 'Far tab', pieces: 'none' } as never);
    await db.items.put({ ...tab, id: 'bare', name: 'No variant', variants: [] } as never);
    await refreshItems();
    expect(await summary('far')).to.match(/field “pieces” of this item/);
    expect(await summary('bare')).to.match(/field “variants” of this item/);
    expect(await summary(tab.id)).to.equal('Small hoop');
    await db.items.delete('far');
    await refreshItems();
    expect(await summariesOf(['far'])).to.deep.equal([undefined]);
  });
  it('hold of a run what the log lists, and whether it teaches', async () => {
    const run = demoRun('run-1');
    const { events, ...head } = run;
    await db.runs.bulkAdd([head, { ...head, id: 'on', finishedAt: null }]);
    await db.events.bulkAdd(events);
    expect(runSummary({ ...run, finishedAt: null })).to.equal(null);
    await refreshRuns();
    const { count, runs } = await loggedRuns(10);
    expect(count).to.equal(1);
    expect(runs[0]).to.deep.include({
      id: run.id,
      leftOut: false,
      actual: compareRun(run.plan, events).actual
    });
    expect((await openRuns()).map(({ id }) => id)).to.deep.equal(['on']);
    await markRun(run.id, { leftOut: true });
    expect((await loggedRuns(10)).runs[0]?.leftOut).to.equal(true);
    await db.runs.delete(run.id);
    await refreshRuns();
    expect((await loggedRuns(10)).runs).to.deep.equal([]);
  });
  it('tell of the last run what it taught', async () => {
    expect(await lastRun()).to.equal(undefined);
    await refreshLearned();
    expect(await lastRun()).to.equal(null);
    for (const name of ['run-1', 'run-2', 'run-3'])
      await (async () => {
        const { events, ...head } = demoRun(name);
        await db.runs.add(head);
        await db.events.bulkAdd(events);
      })();
    await refreshLearned();
    expect((await lastRun())?.id).to.match(/^run-/);
    expect((await lastRun())?.lessons.join()).to.match(/now planned \d+ % (longer|shorter)/);
  });
  it('tell pages of needles, faults and the runs that taught, so that no page reads the log', async () => {
    expect(await faultsLogged()).to.equal(null);
    const run = demoRun('run-1');
    const { events, ...head } = run;
    await db.runs.add(head);
    await db.events.bulkAdd(events);
    await refreshLearned();
    await refreshRuns();
    const stops = run.plan.steps.filter(({ kind }) => kind === 'stop');
    expect(await faultsLogged()).to.deep.equal({
      faults: events.filter(({ type }) => type === 'fault').length,
      stitches: stops.reduce((sum, { stop }) => sum + (stop?.stitches ?? 0), 0)
    });
    expect(await needlesLogged()).to.deep.equal([needleTimes(run)]);
    const told = await runsThatTell(run.itemId, ['run-1', 'gone']);
    expect([told.logged, told.teachers].map((runs) => runs.map(({ id }) => id))).to.deep.equal([
      ['run-1'],
      ['run-1']
    ]);
    expect((await runsThatTell('another', [])).logged).to.deep.equal([]);
  });
});

describe('runs that are under way', () => {
  before(async () => {
    await db.delete();
    await db.open();
  });
  after(() => db.delete());
  it('are found among many that are over, also where the clock was set back meanwhile', async () => {
    const { events, ...head } = demoRun('run-1');
    await db.events.bulkAdd(events);
    const day = (at: number): string => new Date(Date.UTC(2026, 0, 1 + at)).toISOString();
    await db.runs.bulkAdd(
      Array.from({ length: 250 }, (_, at) => ({
        ...head,
        id: `r-${at}`,
        startedAt: day(at),
        // The third of them ended before it began, as the clock has it.
        finishedAt: at % 120 === 7 ? null : day(at === 3 ? 0 : at + 1)
      }))
    );
    expect((await openRuns()).map(({ id }) => id)).to.deep.equal(['r-247', 'r-127', 'r-7']);
    await db.runs.clear();
    expect(await openRuns()).to.deep.equal([]);
  });
});

describe('the ribbon of an empty workroom', () => {
  it('is a plain tab as it is planned anywhere', () => {
    const needle = exampleRibbon().filter(({ kind }) => kind === 'needle');
    expect(needle).to.have.length.above(4);
    expect(exampleRibbon()).to.equal(exampleRibbon());
  });
});
