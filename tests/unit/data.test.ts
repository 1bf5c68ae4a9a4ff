import 'fake-indexeddb/auto';
import { db } from '$lib/data/db';
import { loadDemo } from '$lib/data/demo';
import { addItem, duplicateItem, getItem, getSetup, importItem, itemFile, listItems } from '$lib/data/items';
import { keeping, makeBackup, readBackup, rememberBackup, undoRestore } from '$lib/data/backup';
import { bringBack } from './support/restore';
import { addPhoto, eventsOf, getRun, photosOf, runDocument } from '$lib/data/runs';
import { appendEvent, appendFromMachine, prepareRun } from '$lib/data/runEvents';
import { markRun } from '$lib/data/runEdits';
import { changeItem, changeSetup, changeShop, putAway } from '$lib/data/edits';
import { getShop } from '$lib/data/shop';
import { readValue } from '$lib/core/documents/files';
import { defaultSetup } from '$lib/core/documents/shop';
import { plan } from '$lib/core/making/plan';
import { expect } from 'chai';
import { badgerShop, badgerTab, NOW } from './support/badger';
import { RUN_VERSION } from '$lib/core/documents/run';
import { refreshLearned } from '$lib/data/learned';

const tab = badgerTab();
const shop = badgerShop();
const setup = defaultSetup(tab, shop);
const noStash = { schema: 'jolt-step/stash', version: 1, entries: [] };
const dump = async (): Promise<string> =>
  JSON.stringify(await Promise.all(db.tables.map((table) => table.toArray())));

describe('what the browser keeps', () => {
  beforeEach(async () => {
    if (!db.isOpen()) await db.open();
    await Promise.all(db.tables.map((table) => table.clear()));
  });
  after(() => db.delete());

  it('an item with its setup, as it was', async () => {
    await addItem(tab, setup);
    expect(await getItem(tab.id)).to.deep.equal(tab);
    await changeItem(tab.id, (item) => ({ ...item, name: 'Stationmaster' }));
    const changed = await getItem(tab.id);
    expect(changed).to.include({ name: 'Stationmaster' });
    expect(Date.parse(changed?.updatedAt ?? '')).to.be.above(Date.parse(tab.updatedAt));
  });
  it('two changes of a setup made before the page could show the first', async () => {
    await addItem(tab, setup);
    await changeSetup(tab.id, (now) => ({ ...now, hoopId: 'hoop-200' }));
    await changeSetup(tab.id, (now) => ({ ...now, machineId: 'right' }));
    await changeSetup(tab.id, (now) => ({ ...now, person: undefined }));
    expect(await db.setups.get(tab.id)).to.include({ hoopId: 'hoop-200', machineId: 'right' });
    expect((await db.setups.get(tab.id))?.person).to.equal(undefined);
  });
  it('a copy under its own name, put away and brought back', async () => {
    await addItem(tab, setup);
    const copy = await duplicateItem(tab.id, 'copy', NOW);
    expect(copy).to.include({ id: 'copy', name: 'Test item, copy' });
    await putAway('item', 'copy', true, 'putting away');
    // Putting away is no work on it.
    expect((await getItem('copy'))?.putAwayAt).to.match(/^20/);
    expect((await getItem('copy'))?.updatedAt).to.equal(NOW);
    await putAway('item', 'copy', false, 'bringing back');
    expect(await getItem('copy')).to.not.have.property('putAwayAt');
  });
  it('an item from a file, beside one of the same id, never over it', async () => {
    await addItem({ ...tab, name: 'Mine' }, setup);
    const result = await importItem(JSON.stringify(tab), 'fresh', NOW);
    expect(result.ok && result.item.id).to.equal('fresh');
    expect((await listItems()).map(({ name }) => name).sort()).to.deep.equal(['Mine', 'Test item']);
  });
  it('an item from a file with how it is made, in the hoop of this shop that has its field', async () => {
    const [hoop] = shop.hoops.slice(-1);
    const made = { ...setup, hoopId: hoop?.id ?? '', copies: 3 };
    const file = itemFile(tab, made, {
      ...shop,
      hoops: shop.hoops.map((each) => (each.id === hoop?.id ? { ...each, name: 'Theirs' } : each))
    });
    await changeShop((now) => ({
      ...now,
      hoops: shop.hoops.map((each) => (each.id === hoop?.id ? { ...each, id: 'ours' } : each))
    }));
    const result = await importItem(JSON.stringify(file), 'fresh', NOW);
    expect(result.ok && (await getSetup(result.item.id))).to.deep.equal({ ...made, hoopId: 'ours' });
    // A file without one leaves it to the shop.
    const plain = await importItem(JSON.stringify({ ...tab, id: 'plain' }), 'fresh-2', NOW);
    expect(plain.ok && (await getSetup('plain'))).to.equal(undefined);
  });
  it('nothing of a file that is broken or newer', async () => {
    await addItem(tab, setup);
    const before = await dump();
    for (const text of ['{', JSON.stringify({ ...tab, version: 7 }), JSON.stringify({ ...tab, steps: 3 })]) {
      expect((await importItem(text, 'fresh', NOW)).ok).to.equal(false);
    }
    expect(await dump()).to.equal(before);
  });
  it('a shop, once it is changed', async () => {
    expect((await getShop()).unit).to.equal('mm');
    await changeShop((now) => ({ ...now, unit: 'in' }));
    expect((await getShop()).unit).to.equal('in');
  });

  describe('a run', () => {
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

    it('as a document that its own schema takes', async () => {
      await prepareRun(head, Date.parse(NOW), 'tab');
      await appendEvent('run', { type: 'done', stepId: 'set-up' }, Date.parse(NOW) + 90_000, 'tab');
      expect(readValue('run', await runDocument('run'))).to.include({ ok: true });
    });
    it('with events numbered without a gap or a double, also when two tabs press at once', async () => {
      await prepareRun(head, 0, 'one');
      await Promise.all(
        Array.from({ length: 40 }, (_, at) =>
          appendEvent('run', { type: 'note', stepId: 'set-up', text: `${at}` }, at, at % 2 ? 'one' : 'two')
        )
      );
      const stored = await eventsOf('run');
      expect(stored.map(({ seq }) => seq)).to.deep.equal(Array.from({ length: 41 }, (_, at) => at + 1));
      expect(new Set(stored.slice(1).map(({ text }) => text)).size).to.equal(40);
    });
    it('told of each event of a machine once, however many tabs follow it', async () => {
      await prepareRun(head, 0, 'one');
      await appendEvent('run', { type: 'start', stepId: null }, 1, 'one');
      const told = (seq: number, stop: number, type: 'stop-began' | 'stop-ended') =>
        ({
          seq,
          type,
          clock: seq,
          stop,
          stitch: 0,
          text: '',
          ...(type === 'stop-ended' && { seconds: 22 })
        }) as const;
      const first = head.plan.steps.findIndex(({ kind }) => kind === 'stop');
      for (const event of [told(3, 1, 'stop-began'), told(4, 1, 'stop-ended')])
        await Promise.all(
          ['one', 'two', 'three'].map((tab_) => appendFromMachine('run', 'm', event, 5, tab_))
        );
      const stored = await eventsOf('run');
      // Prepared and started, the hand work before the stop, and the stop.
      expect(stored).to.have.length(2 + first + 1);
      expect(stored.map(({ seq }) => seq)).to.deep.equal(stored.map((_, at) => at + 1));
      expect(stored.at(-1)).to.deep.include({ type: 'done', seconds: 22, from: { session: 'm', seq: 4 } });
      // The connection comes back and tells the same again.
      expect(await appendFromMachine('run', 'm', told(4, 1, 'stop-ended'), 9, 'one')).to.equal(0);
    });
    it('is learned from once it is over, unless the maker leaves it out', async () => {
      await prepareRun(head, 0, 'one');
      let at = 1000;
      await appendEvent('run', { type: 'start', stepId: null }, at, 'one');
      for (const { id } of head.plan.steps) {
        at += 60_000;
        await appendEvent('run', { type: 'done', stepId: id }, at, 'one');
      }
      await refreshLearned();
      expect((await getShop()).learned).to.equal(undefined);
      await appendEvent('run', { type: 'finish', stepId: null }, at, 'one');
      await refreshLearned();
      expect((await getShop()).learned?.runIds).to.deep.equal(['run']);
      await changeShop(() => shop);
      expect((await db.shops.toArray())[0]).to.not.have.property('learned');
      await markRun('run', { leftOut: true });
      await refreshLearned();
      expect((await getShop()).learned).to.equal(undefined);
    });
    it('that is finished with its last event', async () => {
      await prepareRun(head, 0, 'one');
      await appendEvent('run', { type: 'finish', stepId: null }, Date.parse(NOW), 'one');
      expect((await getRun('run'))?.finishedAt).to.equal(NOW);
    });
    it('whose start is stored whole or not at all', async () => {
      await prepareRun(head, 0, 'one');
      const before = await dump();
      await prepareRun({ ...head, itemName: 'Another' }, 5, 'two').then(
        () => expect.fail('the same run was started twice'),
        () => undefined
      );
      expect(await dump()).to.equal(before);
    });
  });

  it('a demo beside what the maker has: their shop, and an item of the same id, stay', async () => {
    const pack = {
      shop,
      items: [tab, { ...tab, id: 'lamp' }],
      setups: [setup, { ...setup, itemId: 'lamp', machineId: 'left' }],
      runs: [],
      orders: [],
      stash: noStash
    };
    await changeShop(() => ({ ...shop, name: 'Mine', machines: shop.machines.slice(1) }));
    await addItem({ ...tab, name: 'Mine' }, { ...setup, copies: 7 });
    await loadDemo(pack);
    expect((await getShop()).name).to.equal('Mine');
    expect((await getItem(tab.id))?.name).to.equal('Mine');
    expect((await db.setups.get(tab.id))?.copies).to.equal(7);
    // The demo’s machine is not in this shop, so its item is planned on the shop’s own.
    expect(await getItem('lamp')).to.not.equal(undefined);
    expect(await db.setups.get('lamp')).to.equal(undefined);
  });
  it('a demo with its shop and setups in an empty browser, and no second time over', async () => {
    const pack = { shop, items: [tab], setups: [setup], runs: [], orders: [], stash: noStash };
    await loadDemo(pack);
    await changeItem(tab.id, (item) => ({ ...item, name: 'Changed' }));
    await loadDemo(pack);
    expect((await getShop()).name).to.equal(shop.name);
    expect((await getItem(tab.id))?.name).to.equal('Changed');
    expect(await db.setups.get(tab.id)).to.deep.equal(setup);
  });
  it('nothing of a demo with one broken document', async () => {
    const before = await dump();
    await loadDemo({
      shop,
      items: [tab, { ...tab, name: 5 }],
      setups: [],
      runs: [],
      orders: [],
      stash: noStash
    }).then(
      () => expect.fail('a broken demo was taken'),
      (error: Error) => expect(error.message).to.match(/“name”/)
    );
    expect(await dump()).to.equal(before);
  });
  it('goes into one file and comes back as it was, photos too', async () => {
    await addItem(tab, setup);
    await changeShop(() => ({ ...shop, name: 'Mine' }));
    const planned = plan(tab, setup, shop);
    await prepareRun(
      {
        ...{
          schema: 'jolt-step/run',
          version: RUN_VERSION,
          item: null,
          id: 'run',
          itemId: tab.id,
          itemName: tab.name
        },
        ...{ startedAt: NOW, finishedAt: null, setup, plan: planned }
      },
      0,
      'one'
    );
    const image = new Blob([new Uint8Array([1, 2, 250])], { type: 'image/png' });
    await addPhoto({ id: 'p', runId: 'run', at: 5, stepId: null, name: 'edge.png', image });
    expect((await keeping(Date.parse(NOW))).due).to.equal(true);
    const now = '2026-11-25T00:00:00.000Z';
    const text = JSON.stringify(await makeBackup(now));
    await rememberBackup(now);
    expect(await keeping(Date.parse(now))).to.deep.include({ due: false, last: now });

    const before = await dump();
    await Promise.all(db.tables.map((table) => table.clear()));
    await changeShop(() => ({ ...shop, name: 'Somebody else’s' }));
    const restored = await bringBack(text);
    expect((await getShop()).name).to.equal('Mine');
    expect(await runDocument('run')).to.deep.include({ id: 'run', itemName: tab.name });
    const [photo] = await photosOf('run');
    expect(new Uint8Array((await photo?.image.arrayBuffer()) ?? new ArrayBuffer(0))).to.deep.equal(
      new Uint8Array([1, 2, 250])
    );
    await rememberBackup(now);
    expect(JSON.parse(await dump())).to.deep.equal(JSON.parse(before));
    expect(restored?.left).to.deep.equal([]);
    if (restored) await undoRestore(restored.before);
    expect((await getShop()).name).to.equal('Somebody else’s');
    expect(await db.items.count()).to.equal(0);
  });
  it('nothing changes by reading a backup, and what is none is told apart', async () => {
    await addItem(tab, setup);
    const text = JSON.stringify(await makeBackup(NOW));
    const before = await dump();
    expect(await readBackup(new Blob(['[]']))).to.equal(null);
    expect(await readBackup(new Blob([text.replace('"jolt-step/backup"', '"something"')]))).to.equal(null);
    expect((await readBackup(new Blob([text.slice(0, 300)])))?.truncated).to.equal(true);
    expect(await dump()).to.equal(before);
  });
});
