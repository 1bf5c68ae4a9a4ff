import 'fake-indexeddb/auto';
import { db } from '$lib/data/db';
import { addPhoto, eventsOf, getRun, photosOf, runDocument } from '$lib/data/runs';
import { appendEvent, prepareRun } from '$lib/data/runEvents';
import { bringRunBack, deleteRun, mendTime } from '$lib/data/runEdits';
import { refreshRuns } from '$lib/data/keepSummaries';
import { defaultSetup } from '$lib/core/documents/shop';
import { RUN_VERSION } from '$lib/core/documents/run';
import { plan } from '$lib/core/making/plan';
import { ThreadEntry } from '$lib/core/documents/stash';
import { listStash } from '$lib/data/stash';
import { expect } from 'chai';
import { badgerShop, badgerTab, NOW } from './support/badger';

const tab = badgerTab();
const shop = badgerShop();
const setup = defaultSetup(tab, shop);

describe('a run in the store', () => {
  const head = {
    schema: 'jolt-step/run' as const,
    version: RUN_VERSION,
    item: null,
    id: 'run',
    itemId: tab.id,
    itemName: tab.name,
    startedAt: NOW,
    finishedAt: null,
    setup,
    plan: plan(tab, setup, shop)
  };

  beforeEach(async () => {
    await db.delete();
    await db.open();
  });
  after(() => db.delete());
  it('stores a press once, also where another tab was quicker', async () => {
    await prepareRun(head, 0, 'one');
    await appendEvent('run', { type: 'start', stepId: null }, 1, 'one');
    const press = { type: 'done' as const, stepId: head.plan.steps[0]?.id ?? '' };
    const stored = await Promise.all(['one', 'two'].map((tab_) => appendEvent('run', press, 5, tab_)));
    expect(stored.filter((event) => event !== undefined)).to.have.length(1);
    expect((await eventsOf('run')).map(({ clock }) => clock)).to.deep.equal([1, 2, 3]);
  });
  it('is mended in the log, and what it taught is learned anew', async () => {
    await prepareRun(head, 0, 'one');
    await appendEvent('run', { type: 'start', stepId: null }, 0, 'one');
    const [first] = head.plan.steps;
    await appendEvent('run', { type: 'done', stepId: first?.id ?? '' }, 77_100_000, 'one');
    await appendEvent('run', { type: 'finish', stepId: null }, 77_200_000, 'one');
    await refreshRuns();
    await mendTime('run', first?.id ?? '', 240, 77_300_000, 'one');
    expect(await db.runSummaries.get('run')).to.equal(undefined);
    await refreshRuns();
    expect((await db.runSummaries.get('run'))?.actual.hands).to.equal(240);
  });
  it('is deleted with all that belongs to it, and brought back whole', async () => {
    await prepareRun(head, 0, 'one');
    await appendEvent('run', { type: 'start', stepId: null }, 0, 'one');
    await addPhoto({ id: 'p', runId: 'run', at: 1, stepId: null, name: 'p', image: new Blob(['p']) });
    const [run, photos] = [await runDocument('run'), (await photosOf('run')).length];
    const deleted = await deleteRun('run');
    expect([await getRun('run'), await eventsOf('run'), await photosOf('run')]).to.deep.equal([
      undefined,
      [],
      []
    ]);
    if (!deleted) throw new Error('The run was there.');
    await bringRunBack(deleted);
    expect([await runDocument('run'), (await photosOf('run')).length]).to.deep.equal([run, photos]);
    expect(await deleteRun('none')).to.equal(undefined);
  });
  it('takes what it stitched off the stash once, and puts it back where it never ran', async () => {
    const spool = (id: string, metres: number, spools: number): ThreadEntry =>
      ThreadEntry.parse({ what: 'thread', id, name: 'Black', colour: '#111111', metres, spools });
    const black = head.plan.threads.find(({ thread }) => thread.name === 'Black');
    const needed = black?.upperMetres ?? 0;
    expect(needed).to.be.greaterThan(1);
    // The first spool is used up, of the other two the rest is taken.
    await db.stash.bulkAdd([spool('a', 1, 1), spool('b', 1000, 2)]);
    await prepareRun(head, 0, 'one');
    await appendEvent('run', { type: 'start', stepId: null }, 0, 'one');
    for (const { id } of head.plan.steps) await appendEvent('run', { type: 'done', stepId: id }, 1, 'one');
    const metres = async (): Promise<number[]> =>
      (await listStash()).flatMap((entry) => (entry.what === 'thread' ? entry.metres : []));
    expect(await metres()).to.deep.equal([1, 1000]);
    await appendEvent('run', { type: 'finish', stepId: null }, 2, 'one');
    const [a = 0, b = 0] = await metres();
    expect([a, Math.round((1001 - needed) * 100)]).to.deep.equal([0, Math.round(b * 100)]);
    expect((await getRun('run'))?.spent?.map(({ entryId }) => entryId)).to.deep.equal(['a', 'b']);
    expect((await db.stash.get('a')) as ThreadEntry).to.include({ metres: 0, spools: 0 });
    await appendEvent('run', { type: 'finish', stepId: null }, 3, 'one');
    expect(await metres()).to.deep.equal([a, b]);
    const deleted = await deleteRun('run');
    expect(await metres()).to.deep.equal([1, 1000]);
    expect((await db.stash.get('a')) as ThreadEntry).to.include({ spools: 1 });
    if (!deleted) throw new Error('The run was there.');
    await bringRunBack(deleted);
    expect(await metres()).to.deep.equal([a, b]);
  });
});
