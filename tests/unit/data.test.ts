import 'fake-indexeddb/auto';
import { db } from '$lib/data/db';
import { loadDemo } from '$lib/data/demo';
import {
  addItem,
  bringItemBack,
  duplicateItem,
  getItem,
  importItem,
  listItems,
  putItemAway,
  saveItem
} from '$lib/data/items';
import { appendEvent, eventsOf, getRun, runDocument, prepareRun } from '$lib/data/runs';
import { getShop, saveShop } from '$lib/data/shop';
import { plan } from '$lib/core/plan';
import { readValue } from '$lib/core/documents';
import { defaultSetup } from '$lib/core/shop';
import { expect } from 'chai';
import { badgerShop, badgerTab, NOW } from './support/badger';

const tab = badgerTab();
const shop = badgerShop();
const setup = defaultSetup(tab, shop);
const noStash = { schema: 'jolt-step/stash', version: 1, entries: [] };
const dump = async (): Promise<string> =>
  JSON.stringify(await Promise.all(db.tables.map((table) => table.toArray())));

describe('what the browser keeps', () => {
  beforeEach(async () => {
    await Promise.all(db.tables.map((table) => table.clear()));
  });
  after(() => db.delete());

  it('an item with its setup, as it was', async () => {
    await addItem(tab, setup);
    expect(await getItem(tab.id)).to.deep.equal(tab);
    await saveItem({ ...tab, name: 'Stationmaster' }, '2026-11-24T00:00:00.000Z');
    expect(await getItem(tab.id)).to.include({
      name: 'Stationmaster',
      updatedAt: '2026-11-24T00:00:00.000Z'
    });
  });
  it('a copy under its own name, put away and brought back', async () => {
    await addItem(tab, setup);
    const copy = await duplicateItem(tab.id, 'copy', NOW);
    expect(copy).to.include({ id: 'copy', name: 'Test item, copy' });
    await putItemAway('copy', NOW);
    expect((await getItem('copy'))?.putAwayAt).to.equal(NOW);
    await bringItemBack('copy');
    expect(await getItem('copy')).to.not.have.property('putAwayAt');
  });
  it('an item from a file, beside one of the same id, never over it', async () => {
    await addItem({ ...tab, name: 'Mine' }, setup);
    const result = await importItem(JSON.stringify(tab), 'fresh', NOW);
    expect(result.ok && result.item.id).to.equal('fresh');
    expect((await listItems()).map(({ name }) => name).sort()).to.deep.equal(['Mine', 'Test item']);
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
    await saveShop({ ...shop, unit: 'in' });
    expect((await getShop()).unit).to.equal('in');
  });

  describe('a run', () => {
    const head = {
      schema: 'jolt-step/run' as const,
      version: 1 as const,
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
      stash: noStash
    };
    await saveShop({ ...shop, name: 'Mine', machines: shop.machines.slice(1) });
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
    const pack = { shop, items: [tab], setups: [setup], runs: [], stash: noStash };
    await loadDemo(pack);
    await saveItem({ ...tab, name: 'Changed' }, NOW);
    await loadDemo(pack);
    expect((await getShop()).name).to.equal(shop.name);
    expect((await getItem(tab.id))?.name).to.equal('Changed');
    expect(await db.setups.get(tab.id)).to.deep.equal(setup);
  });
  it('nothing of a demo with one broken document', async () => {
    const before = await dump();
    await loadDemo({ shop, items: [tab, { ...tab, name: 5 }], setups: [], runs: [], stash: noStash }).then(
      () => expect.fail('a broken demo was taken'),
      (error: Error) => expect(error.message).to.match(/“name”/)
    );
    expect(await dump()).to.equal(before);
  });
});
