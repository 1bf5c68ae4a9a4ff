import {
  cutInputOf,
  demandsOf,
  diePasses,
  entryBought,
  isMirrored,
  isSymmetrical,
  leftWords,
  letterOf,
  newCutJob,
  planCuts,
  reuseSpot,
  rollWays,
  sequenceOf,
  shoppingList,
  type Demand
} from '$lib/core/cutplan';
import { shapePath } from '$lib/core/geometry';
import type { Item, MaterialKind } from '$lib/core/item';
import { plan } from '$lib/core/plan';
import { defaultOffers, type Hoop } from '$lib/core/shop';
import { CountedEntry, ThreadEntry, type StashEntry } from '$lib/core/stash';
import { MM_PER_INCH } from '$lib/core/units';
import { expect } from 'chai';
import { badgerShop, badgerTab, makeItem } from './support/badger';
import { clothOf, demandOf, placedOn, planned } from './support/cutting';

const shop = badgerShop();
describe('a cutting plan', () => {
  it('takes what is of the same kind and name, and offcuts first', () => {
    const plans = planned(
      // Eleven go across the length; with two from the offcut one strip of it is enough for thirteen.
      [demandOf('front', 100, 100, 13)],
      [
        clothOf({ id: 'length', width: 1100, height: 500 }),
        clothOf({ id: 'offcut', form: 'scrap', width: 210, height: 110 }),
        clothOf({ id: 'other', name: 'Carriage red', width: 1100, height: 500 })
      ]
    );
    expect(placedOn(plans)).to.deep.equal({ offcut: 2, length: 11 });
    expect(plans[0]).to.include({ buy: null });
  });
  it('takes any stabiliser of the kind, whatever it is called', () => {
    const tear = demandOf('stabiliser', 190, 190, 2, {
      material: { kind: 'tear-away', name: 'Tear-away', colour: '#efece4' }
    });
    const roll = clothOf({
      id: 'roll',
      name: 'Wide roll',
      kind: 'tear-away',
      form: 'roll',
      width: 508,
      height: 3000
    });
    expect(placedOn(planned([tear], [roll]))).to.deep.equal({ roll: 2 });
  });
  it('says what to buy in the steps of the shop, with its cost', () => {
    // Eleven pieces of 200 lie five across 1,100 mm: three strips of 200, so 600 mm: six steps of 10 cm at 1.20.
    const offers = defaultOffers('mm')
      .filter(({ id }) => id === 'cloth')
      .map((offer) => ({ ...offer, price: 1.2 }));
    const [only] = planCuts({
      demands: [demandOf('front', 200, 200, 11)],
      entries: [],
      offers,
      unit: 'mm',
      job: newCutJob('item', 1)
    });
    expect(only?.buy).to.include({ count: 6, mm: 600, cost: 7.2 });
    expect(only?.unplaced).to.deep.equal([]);
    const entry = entryBought(only?.buy as never, 'new');
    expect(entry).to.include({ width: 1100, height: 600, form: 'length', price: 12, name: 'Fern print' });
  });
  it('says why a piece finds no place, and the nearest way out', () => {
    const towel = (grain: 'any' | 'fixed', width: number, height: number): Demand =>
      demandOf('towel', width, height, 1, {
        grain,
        material: { kind: 'zip', name: 'Tape', colour: '#000000' }
      });
    const tape = clothOf({ id: 'tape', kind: 'zip' as MaterialKind, name: 'Tape', width: 100, height: 300 });
    const why = (demand: Demand, entries = [tape]): { why: string; wayOut: string } | undefined =>
      planned([demand], entries)[0]?.unplaced[0];
    expect(why(towel('fixed', 200, 80))?.why).to.match(/only turned by 90 degrees/);
    expect(why(towel('any', 150, 150))?.why).to.match(/larger than any Tape there is; the widest is 100 mm/);
    // 110 covers 86: with 6 mm on each side 98 is enough, and that goes into 100.
    expect(why(towel('any', 110, 290))?.wayOut).to.match(/^With 6 mm to spare on each side instead of 12 mm/);
    expect(why(towel('any', 50, 50), [])?.why).to.match(/no Tape in the stash/);
    const crowded = planned([towel('any', 100, 200), { ...towel('any', 100, 290), key: 'more' }], [tape]);
    expect(crowded[0]?.unplaced[0]?.why).to.match(/goes to other pieces/);
  });
  it('lays fewer sheets open than there are, and none twice', () => {
    const sheets = clothOf({ id: 'fat', form: 'sheets', width: 457.2, height: 558.8, count: 3 });
    const plans = planned([demandOf('front', 220, 270, 5)], [sheets]);
    expect(placedOn(plans)).to.deep.equal({ 'fat#1': 4, 'fat#2': 1 });
  });
  it('cuts larger what a wash will shrink, and says so', () => {
    const tab = makeItem('turned-flat', {});
    const made = plan(tab, undefined, shop);
    const front = made.cuts.find(({ material }) => material.kind === 'woven');
    const entry = clothOf({
      id: 'unwashed',
      name: front?.material.name ?? '',
      width: 1100,
      height: 900,
      prewashed: false,
      direction: 'either-way',
      shrinkage: { along: 5, across: 0 }
    });
    const [dry] = demandsOf([{ item: tab, plan: made, copies: 1 }], shop, []).filter(
      ({ pieceId }) => pieceId === front?.pieceId
    );
    const [wet] = demandsOf([{ item: tab, plan: made, copies: 1 }], shop, [entry]).filter(
      ({ pieceId }) => pieceId === front?.pieceId
    );
    expect(wet?.cut.width).to.equal(dry?.cut.width);
    expect(wet?.cut.height).to.be.at.least((dry?.exact.height ?? 0) / 0.95);
    const part = wet?.parts.find(({ what }) => what === 'shrinkage');
    expect(part?.height).to.be.closeTo((dry?.exact.height ?? 0) / 0.95 - (dry?.exact.height ?? 0), 0.01);
    expect(planned(wet ? [wet] : [], [entry])[0]?.remarks[0]).to.match(/loses 5 % along/);
    // Where a piece may be turned nobody knows which side shrinks more, so both get the greater share.
    const [free] = demandsOf([{ item: tab, plan: made, copies: 1 }], shop, [
      { ...entry, direction: 'any' }
    ]).filter(({ pieceId }) => pieceId === front?.pieceId);
    expect(free?.cut.width).to.be.at.least((dry?.exact.width ?? 0) / 0.95);
  });
});

describe('the cuts in words', () => {
  it('go strip by strip, with what is turned and cut again', () => {
    const inch = MM_PER_INCH;
    const demands = [
      demandOf('small', 4 * inch, 4 * inch, 6),
      demandOf('large', 9 * inch, 10 * inch, 2),
      demandOf('narrow', 3 * inch, 9 * inch, 4)
    ];
    const [only] = planned(demands, [clothOf({ id: 'cotton', width: 44 * inch, height: 36 * inch })]);
    const cloth = only?.cloths[0];
    if (!cloth) throw new Error('There is no cloth.');
    const steps = sequenceOf(cloth, (key) => key.toUpperCase(), 'in');
    expect(steps[0]?.words).to.equal('Fold selvedge to selvedge. Square the end.');
    expect(steps[1]?.words).to.equal(
      'Cut a strip 9 in. From it: two at 10 in for LARGE; three at 4 in, each turned and cut into two of 4 in for SMALL; four at 3 in for NARROW.'
    );
    expect(leftWords(cloth, 'in')).to.match(/^27 in stays on it\. Offcuts: /);
  });
  it('give small pieces a letter', () => {
    expect([0, 25, 26, 27].map(letterOf)).to.deep.equal(['A', 'Z', 'A2', 'B2']);
  });
});

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
  it('mirrors what lies wrong side up, unless it is the same both ways', () => {
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
    expect(isMirrored({ wrongSideUp: true, symmetrical: false })).to.equal(true);
    expect(isMirrored({ wrongSideUp: true, symmetrical: true })).to.equal(false);
    expect(isMirrored({ wrongSideUp: false, symmetrical: false })).to.equal(false);
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
});
