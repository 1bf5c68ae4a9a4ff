import 'fake-indexeddb/auto';
import { expect } from 'chai';
import { shapePath } from '$lib/core/base/geometry';
import { newLine } from '$lib/core/documents/order';
import { placedKey, type PlannedHooping } from '$lib/core/ordering/day';
import { makeBackup } from '../../src/lib/data/backup';
import { bringBack } from './support/restore';
import { db } from '../../src/lib/data/db';
import { getOrder, importOrder, listOrders, newOrder, runsOfOrder } from '../../src/lib/data/orders';
import { orderTable } from '../../src/lib/data/orderTable';
import { prepareHooping } from '../../src/lib/data/hoopingRuns';
import { changeOrder, changeShop, putAway } from '../../src/lib/data/edits';
import { demoItem, demoOrder, demoSetup, demoShop } from './support/demo';
import { orderOf } from './support/orders';

const NOW = '2026-11-25T10:00:00.000Z';

describe('orders in the browser', () => {
  beforeEach(async () => {
    if (!db.isOpen()) await db.open();
    for (const table of db.tables) await table.clear();
  });
  const fill = async (): Promise<void> => {
    await changeShop(() => demoShop());
    await db.items.bulkAdd(['badger-tab', 'lamp-patch', 'canopy-lace'].map(demoItem));
    await db.setups.bulkAdd(['badger-tab', 'lamp-patch'].map(demoSetup));
    await db.orders.put({ ...demoOrder(), updatedAt: NOW });
  };

  it('a new one keeps hours and rates of the last', async () => {
    const first = await newOrder('a', 'First', '2026-11-27T09:00', NOW, {
      ...{ itemId: 'badger-tab', count: 1, spare: true }
    });
    expect(first.lines).to.have.length(1);
    expect(first.spoilage).to.be.above(0);
    const own = { itemId: 'badger-tab', count: 1, spare: false };
    // One made for its own sake is stitched once.
    expect((await newOrder('c', 'Own', '2026-11-27T09:00', NOW, own)).spoilage).to.equal(0);
    await changeOrder('a', (order) => ({ ...order, rates: { ...order.rates, handsHour: 21 } }));
    const second = await newOrder('b', 'Second', '2026-11-28T09:00', NOW);
    expect(second.rates.handsHour).to.equal(21);
    expect(second.lines).to.deep.equal([]);
  });

  it('two quick changes both hold; one of an order that is gone changes nothing', async () => {
    await fill();
    await Promise.all([
      changeOrder('gala-weekend', (order) => ({ ...order, customer: 'Platform 2' })),
      changeOrder('gala-weekend', (order) => ({ ...order, people: 2 }))
    ]);
    expect(await getOrder('gala-weekend')).to.include({ customer: 'Platform 2', people: 2 });
    await changeOrder('gone', (order) => order);
    expect(await listOrders()).to.have.length(1);
  });

  it('is put away and brought back', async () => {
    await fill();
    await putAway('order', 'gala-weekend', true, 'putting away');
    expect((await getOrder('gala-weekend'))?.putAwayAt).to.match(/^20/);
    await putAway('order', 'gala-weekend', false, 'bringing back');
    expect((await getOrder('gala-weekend'))?.putAwayAt).to.equal(undefined);
  });

  it('comes in from a file beside the one that is here, and a broken file changes nothing', async () => {
    await fill();
    const read = await importOrder(JSON.stringify(demoOrder()), 'fresh', NOW);
    expect(read.ok && read.order.id).to.equal('fresh');
    for (const text of ['{', '{}', JSON.stringify({ ...demoOrder(), version: 9 })])
      expect((await importOrder(text, 'other', NOW)).ok).to.equal(false);
    expect(await listOrders()).to.have.length(2);
  });

  it('has its items, setups and progress on one table', async () => {
    await fill();
    const table = await orderTable('gala-weekend');
    expect(table?.input.items.map(({ item }) => item.id).sort()).to.deep.equal([
      'badger-tab',
      'canopy-lace',
      'lamp-patch'
    ]);
    expect(table?.input.items.find(({ item }) => item.id === 'canopy-lace')?.setup).to.equal(undefined);
    expect(table?.shelf.map(({ name }) => name)).to.deep.equal(table?.shelf.map(({ name }) => name).sort());
    expect(await orderTable('none')).to.equal(undefined);
  });

  it('a hooping becomes a run that knows its order, and the plan begins where the run has come to', async () => {
    await fill();
    const table = await orderTable('gala-weekend');
    if (!table) return expect.fail('there is an order');
    const hooping: PlannedHooping = {
      ...{ id: 'x', lineId: 'line-1', itemId: 'badger-tab', name: 'Badger luggage tab', stage: 0, stages: 1 },
      ...{
        copies: 2,
        heads: [2],
        numbers: [1, 2],
        names: ['Ivy', 'Otto'],
        hoopId: 'hoop-100',
        stationId: 'left'
      },
      ...{
        machineId: 'left',
        way: 'colour-by-colour',
        placements: [],
        findings: [],
        runId: null,
        shared: null,
        pitch: null,
        from: 0,
        to: 1
      },
      outline: { path: shapePath('tab', 30, 94), width: 30, height: 94, middle: { x: 0, y: 0 }, reach: 12 },
      area: { minX: -50, minY: -50, maxX: 50, maxY: 50 }
    };
    const at = Date.parse('2027-01-05T08:00:00.000Z');
    expect(await prepareHooping(table, hooping, 'run', at, 'test')).to.equal('run');
    const [head] = await runsOfOrder('gala-weekend');
    expect(head?.itemName).to.equal('Badger luggage tab, 2 copies: Ivy, Otto');
    expect(head?.order).to.include({ orderId: 'gala-weekend', copies: 2, stationId: 'left' });
    expect(head?.plan.copies).to.equal(2);
    expect((await orderTable('gala-weekend'))?.input.order.from.slice(0, 10)).to.equal('2027-01-05');
    expect(await prepareHooping(table, { ...hooping, stationId: 'gone' }, 'no', at, 'test')).to.equal(
      undefined
    );
  });

  it('reckons with what the last order spoiled, once the maker has said so', async () => {
    await fill();
    const usual = await newOrder('one', 'One', '2026-12-01T09:00', NOW);
    expect(usual.spoilage).to.equal(demoOrder().spoilage);
    await changeShop((shop) => ({ ...shop, spoilage: 0.08 }));
    expect((await newOrder('two', 'Two', '2026-12-01T09:00', NOW)).spoilage).to.equal(0.08);
  });

  it('goes into a backup and comes out of it', async () => {
    await fill();
    const backup = await makeBackup(NOW);
    expect(backup.orders).to.have.length(1);
    await db.orders.clear();
    expect((await bringBack(JSON.stringify(backup)))?.left).to.deep.equal([]);
    expect(await getOrder('gala-weekend')).to.deep.equal({ ...demoOrder(), updatedAt: NOW });
    // A backup from before there were orders is read as one without.
    const older: Record<string, unknown> = { ...backup };
    delete older.orders;
    expect((await bringBack(JSON.stringify(older)))?.left).to.deep.equal([]);
    expect(await listOrders()).to.deep.equal([]);
  });

  it('keeps places under hoop, clamping and copies', () => {
    expect(placedKey('hoop-200', 0, 6)).to.equal('hoop-200 0 6');
    expect(
      orderOf([{ ...newLine('a', 'patch', 1), placed: { [placedKey('six', 0, 1)]: [] } }]).lines[0]?.placed
    ).to.deep.equal({
      'six 0 1': []
    });
  });
});
