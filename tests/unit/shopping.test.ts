import { isSymmetrical, shapePath } from '$lib/core/base/geometry';
import { newCutJob } from '$lib/core/documents/cutJob';
import type { Item } from '$lib/core/documents/item';
import type { Hoop } from '$lib/core/documents/shop';
import { CountedEntry, type StashEntry, ThreadEntry } from '$lib/core/documents/stash';
import { plan } from '$lib/core/making/plan';
import {
  cutInputOf,
  diePasses,
  planCuts,
  reuseSpot,
  rollWays,
  shoppingList
} from '$lib/core/preparing/cutting';
import { shoppingCsv, shoppingPdf } from '$lib/files';
import { expect } from 'chai';
import fc from 'fast-check';
import { badgerShop, badgerTab, makeItem } from './support/badger';
import { textOf } from './support/pdf';
import { FONTS } from './support/fonts';

const shop = badgerShop();

describe('stabiliser off the roll', () => {
  const rolls = [
    { id: 'narrow', name: 'Narrow', width: 254 },
    { id: 'wide', name: 'Wide', width: 508 }
  ];
  it('gives two across a wide roll where a narrow one gives one', () => {
    const ways = rollWays({ width: 190, height: 190 }, 25, rolls, shop.hoops);
    // 254 x 190 a piece off the narrow one, 508 x 190 for two off the wide one: alike, and so are the offcuts' uses.
    expect(ways.map(({ rollId, across, perMetre }) => [rollId, across, perMetre])).to.have.deep.members([
      ['narrow', 1, 5],
      ['wide', 2, 10]
    ]);
    expect(ways.map(({ area }) => area)).to.deep.equal([48260, 48260]);
  });
  it('tries both ways round and says how much more makes the offcut serve', () => {
    // A ring of 175 x 230 wants 225 x 280. Off 508: two across with the short side, 58 left; one with the long, 228 left.
    const small = shop.hoops[0];
    const hoops = [{ ...small, name: 'Small hoop', ring: { width: 140, height: 190 } } as Hoop];
    const ways = rollWays({ width: 225, height: 280 }, 25, [{ id: 'wide', name: 'Wide', width: 508 }], hoops);
    const short = ways.find(({ longAcross }) => !longAcross);
    const long = ways.find(({ longAcross }) => longAcross);
    expect(short).to.include({ across: 2, perMetre: 6, offcutFits: null, leaveMore: null });
    // The offcut is 228 x 225; the small ring wants 190 x 240, so 15 mm more length and it serves.
    expect(long).to.deep.include({
      across: 1,
      offcut: { width: 228, height: 225 },
      offcutFits: null,
      leaveMore: { mm: 15, hoop: 'Small hoop' }
    });
    expect(ways[0]).to.equal(short);
  });
  it('never asks for more than a roll is wide, and counts a metre right', () => {
    const side = fc.integer({ min: 50, max: 500 });
    fc.assert(
      fc.property(side, side, fc.integer({ min: 200, max: 600 }), (width, height, wide) => {
        for (const way of rollWays(
          { width, height },
          25,
          [{ id: 'r', name: 'Roll', width: wide }],
          shop.hoops
        )) {
          const [short, long] = [Math.min(width, height), Math.max(width, height)];
          const across = way.longAcross ? long : short;
          expect(way.across * across).to.be.at.most(wide);
          expect((way.across + 1) * across).to.be.above(wide);
          expect(way.perMetre).to.equal(way.across * Math.floor(1000 / (way.longAcross ? short : long)));
          expect(way.offcut.width).to.be.closeTo(wide - way.across * across, 0.001);
        }
      })
    );
  });
  it('is hooped again where neither ring nor design meets what is stitched', () => {
    const hoop = { ring: { width: 140, height: 140 }, field: { width: 100, height: 100 } };
    const used = { width: 300, height: 300, stitched: [{ x: 20, y: 20, width: 90, height: 90 }] };
    expect(reuseSpot(used, hoop, { width: 80, height: 80 })).to.deep.equal({ x: 110, y: 0, turned: false });
    const full = { ...used, stitched: [{ x: 100, y: 100, width: 100, height: 100 }] };
    expect(reuseSpot(full, hoop, { width: 80, height: 80 })).to.equal(undefined);
    // A small design beside what is stitched, both inside the field, and the ring on whole cloth all round.
    const corner = { width: 140, height: 140, stitched: [{ x: 22, y: 22, width: 20, height: 20 }] };
    expect(reuseSpot(corner, hoop, { width: 40, height: 40 })).to.deep.equal({ x: 0, y: 0, turned: false });
    expect(reuseSpot(corner, hoop, { width: 60, height: 60 })).to.equal(undefined);
  });
});

describe('a die', () => {
  it('takes six layers, fusible being half of one', () => {
    expect(diePasses({ count: 38, fused: true })).to.deep.equal({
      layers: 4,
      perPass: 4,
      passes: 10,
      last: 2
    });
    expect(diePasses({ count: 38, fused: false })).to.include({ layers: 6, passes: 7, last: 2 });
    expect(diePasses({ count: 12, fused: true, perLayer: 3 })).to.include({
      perPass: 12,
      passes: 1,
      last: 4
    });
  });
  it('a shape that is not its own mirror image comes out another way, as its face lies on the blades', () => {
    expect(isSymmetrical(shapePath('heart', 60, 50))).to.equal(true);
    const flag = {
      closed: true,
      points: [
        [0, 0],
        [40, 10],
        [0, 20]
      ] as [number, number][]
    };
    expect(isSymmetrical(flag)).to.equal(false);
  });
});

describe('a shopping list', () => {
  const wantsOf = (item: Item, copies: number) => [{ item, plan: plan(item, undefined, shop), copies }];
  it('lists cloth, thread and notions for all copies, less the stash', () => {
    const tab = badgerTab();
    const wants = wantsOf(tab, 10);
    const white = wants[0]?.plan.threads.find(({ thread }) => /white/i.test(thread.name));
    const stash: StashEntry[] = [
      CountedEntry.parse({
        what: 'notion',
        id: 'cap',
        name: 'snap cap',
        colour: '#999999',
        count: 15,
        price: 0.1
      }),
      ThreadEntry.parse({ what: 'thread', id: 'white', name: 'WHITE', colour: '#ffffff', metres: 40 })
    ];
    const input = cutInputOf({
      shop,
      stash,
      wants: [{ item: tab, setup: undefined, copies: 10 }],
      job: newCutJob(tab.id, 10)
    });
    const rows = shoppingList(wants, planCuts(input, { rounds: 5 }), stash, 'mm');
    const row = (name: string | RegExp) => rows.find((each) => new RegExp(name, 'i').test(each.name));
    // Ten tabs take two caps, one socket and one stud each; fifteen caps are there.
    expect(row('Snap cap')).to.deep.include({ need: '20', have: '15', buy: '5', cost: 0.5 });
    expect(row('Snap socket')).to.deep.include({ need: '10', have: '0', buy: '10', cost: null });
    expect(white && white.upperMetres * 10).to.be.greaterThan(40);
    expect(row('^White$')?.have).to.match(/^40\.00 m$/);
    expect(rows.filter(({ what }) => what === 'cloth').map(({ name }) => name)).to.have.members(
      wants[0]?.plan.cuts.map(({ material }) => material.name) ?? []
    );
  });
  it('takes zips from the shortest that is long enough', () => {
    const pouch = makeItem('zip-pouch', {});
    const zip = (id: string, length: number, count: number): StashEntry =>
      CountedEntry.parse({ what: 'zip', id, name: 'Nylon zip', colour: '#2c2a28', length, count });
    const rows = (stash: StashEntry[]) =>
      shoppingList(wantsOf(pouch, 3), [], stash, 'mm').filter(({ what }) => what === 'zip');
    expect(rows([zip('long', 300, 2), zip('short', 150, 9)])[0]).to.include({
      need: '3',
      have: '2',
      buy: '1'
    });
    expect(rows([zip('long', 300, 3)])).to.deep.equal([]);
  });
  it('goes along as CSV and as PDF, with what nobody knows left empty', async () => {
    const rows = [
      {
        what: 'cloth' as const,
        name: '=Fern print',
        colour: '#4d7148',
        need: '60 mm of 1100 mm wide',
        have: 'none that fits',
        buy: '1 × 100 mm = 100 mm',
        cost: 1.2
      },
      {
        what: 'notion' as const,
        name: 'Snap cap',
        colour: null,
        need: '20',
        have: '15',
        buy: '5',
        cost: null
      }
    ];
    const lines = shoppingCsv(rows).split('\n');
    expect(lines[0]).to.equal('what,name,needed,in the stash,buy,cost');
    // A name that begins like a formula must not become one in a spreadsheet.
    expect(lines[1]).to.equal(
      `cloth,"'=Fern print",60 mm of 1100 mm wide,none that fits,1 × 100 mm = 100 mm,1.20`
    );
    expect(lines[2]).to.equal('notion,Snap cap,20,15,5,');
    const words = await textOf(await shoppingPdf('For 4 pouches', rows, 'A4', FONTS));
    expect(words).to.include('Shopping list');
    expect(words).to.include('Snap cap: 5');
    expect(words).to.include('1.20');
  });
});
