import { MM_PER_INCH } from '$lib/core/base/units';
import { newCutJob } from '$lib/core/documents/cutJob';
import type { MaterialKind } from '$lib/core/documents/item';
import { defaultOffers, type Offer } from '$lib/core/documents/shop';
import { plan } from '$lib/core/making/plan';
import {
  type Demand,
  entryBought,
  leftWords,
  letterOf,
  type MaterialPlan,
  planCuts,
  sequenceOf
} from '$lib/core/preparing/cutting';
import { demandsOf } from '$lib/core/preparing/cutting/demand';
import { piecesIn } from '$lib/core/preparing/cutting/kept';
import { expect } from 'chai';
import fc from 'fast-check';
import { badgerShop, makeItem } from './support/badger';
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
  it('shows only plans better than those shown before, and no lack that can be bought', () => {
    const shown: MaterialPlan[] = [];
    const demands = [demandOf('front', 200, 250, 9), demandOf('back', 130, 340, 5)];
    const [last] = planCuts(
      {
        demands,
        entries: [clothOf({ id: 'length', width: 700, height: 400 })],
        offers: defaultOffers('mm'),
        unit: 'mm',
        job: newCutJob('item', 1)
      },
      { onBetter: (better) => shown.push(better) }
    );
    expect(shown.length).to.be.above(0);
    expect(shown.at(-1)).to.deep.equal(last);
    expect(shown.every(({ unplaced }) => unplaced.length === 0)).to.equal(true);
    const areas = shown.map(({ buy }) => (buy ? buy.count * buy.offer.width * buy.offer.height : 0));
    expect([...areas].sort((a, b) => b - a)).to.deep.equal(areas);
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
  it('places every piece once or says that it has no place, whatever is wanted and there', () => {
    const side = fc.integer({ min: 20, max: 500 });
    const pieces = fc.array(fc.record({ width: side, height: side, count: fc.integer({ min: 1, max: 4 }) }), {
      minLength: 1,
      maxLength: 5
    });
    const pile = fc.array(
      fc.record({
        width: fc.integer({ min: 60, max: 1200 }),
        height: fc.integer({ min: 60, max: 900 }),
        form: fc.constantFrom('length', 'scrap', 'sheets'),
        count: fc.integer({ min: 1, max: 3 })
      }),
      { maxLength: 3 }
    );
    fc.assert(
      fc.property(pieces, pile, fc.boolean(), (list, stuff, selling) => {
        const demands = list.map(({ width, height, count }, at) => demandOf(`p${at}`, width, height, count));
        const entries = stuff.map((each, at) => clothOf({ id: `cloth-${at}`, ...each } as never));
        const offers = selling ? defaultOffers('mm') : [];
        const plans = planCuts(
          { demands, entries, offers, unit: 'mm', job: newCutJob('item', 1) },
          { rounds: 4 }
        );
        const counted = new Map<string, number>();
        for (const { cloths, unplaced } of plans) {
          for (const { strips } of cloths)
            for (const { strip } of strips)
              for (const [key, count] of piecesIn(strip)) counted.set(key, (counted.get(key) ?? 0) + count);
          for (const { key, count, why, wayOut } of unplaced) {
            counted.set(key, (counted.get(key) ?? 0) + count);
            expect(why).to.match(/\.$/);
            expect(wayOut).to.match(/\.$/);
          }
        }
        for (const { key, count } of demands) expect(counted.get(key)).to.equal(count);
        const bought = plans.some(({ cloths }) => cloths.some(({ cloth }) => cloth.bought));
        expect(plans.some(({ buy }) => buy !== null)).to.equal(bought);
      }),
      { numRuns: 40 }
    );
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

describe('what was bought', () => {
  const fern = { kind: 'woven', name: 'Fern print', colour: '#4d7148' } as const;
  const offerOf = (id: string): Offer => {
    const offer = defaultOffers('in').find((each) => each.id === id);
    if (!offer) throw new Error(`Nobody sells ${id}.`);
    return { ...offer, price: 3 };
  };
  it('goes in as sheets, as a roll, or as a length with the price of a metre', () => {
    const sheets = entryBought(
      { offer: offerOf('fat-quarter'), material: fern, count: 2, mm: 0, cost: 6 },
      'a'
    );
    expect(sheets).to.include({ form: 'sheets', count: 2, price: 3 });
    expect([sheets.width, sheets.height]).to.deep.equal([457.2, 558.8]);
    const roll = entryBought(
      { offer: offerOf('roll-20'), material: fern, count: 2, mm: 18288, cost: 6 },
      'b'
    );
    expect(roll).to.include({ form: 'roll', width: 508, height: 18288, count: 1, price: 0.33 });
    // An eighth of a yard is 4 ½ in, so a metre is 8.75 of them.
    const length = entryBought(
      { offer: offerOf('cloth'), material: fern, count: 4, mm: 457.2, cost: 12 },
      'c'
    );
    expect(length).to.include({ form: 'length', width: 1117.6, height: 457.2, price: 26.25 });
  });
  it('is sold in eighths of a yard to who counts in inches, by 10 cm to others', () => {
    expect(offerOf('cloth')).to.include({ name: 'Cloth, by ⅛ yd', height: 114.3 });
    expect(defaultOffers('mm').find(({ id }) => id === 'cloth')).to.include({ width: 1100, height: 100 });
  });
  it('is the cheapest where prices are known, and the least cloth where not', () => {
    // Four of 200 x 250: a fat quarter takes two by two in 457 x 559; turned, all lie in 1,100 across a strip of 200, two
    // steps of 10 cm.
    const offers = (sheet: number | null, step: number | null): Offer[] =>
      defaultOffers('mm')
        .filter(({ id }) => id === 'cloth' || id === 'fat-quarter')
        .map((offer) => ({ ...offer, price: offer.by === 'sheet' ? sheet : step }));
    const bought = (sheet: number | null, step: number | null): string | undefined =>
      planCuts(
        {
          demands: [demandOf('front', 200, 250, 4)],
          entries: [],
          offers: offers(sheet, step),
          unit: 'mm',
          job: newCutJob('item', 1)
        },
        { rounds: 20 }
      )[0]?.buy?.offer.id;
    expect(bought(5, 1)).to.equal('cloth');
    expect(bought(1.5, 1)).to.equal('fat-quarter');
    // 457 x 559 is 0.26 square metres, two steps of 1,100 x 100 are 0.22.
    expect(bought(null, 1)).to.equal('cloth');
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
  it('name the side the strips run along, and leave slivers out of the offcuts', () => {
    const offcut = clothOf({ id: 'offcut', form: 'scrap', width: 100, height: 320 });
    const [only] = planned([demandOf('band', 80, 150, 2, { grain: 'fixed' })], [offcut]);
    const cloth = only?.cloths[0];
    if (!cloth) throw new Error('There is no cloth.');
    // Along, one strip holds both; across, it would take two.
    expect(cloth.along).to.equal(true);
    const words = sequenceOf(cloth, (key) => key.toUpperCase(), 'mm').map((step) => step.words);
    expect(words[0]).to.equal('Square one corner and begin there; strips are as long as the 320 mm side.');
    expect(words.slice(1)).to.deep.equal(['Cut a strip 80 mm. From it: two at 150 mm for BAND.']);
    // 20 mm at its end and 20 mm beside it are too narrow to be called an offcut.
    expect(leftWords(cloth, 'mm')).to.equal('No offcuts.');
  });
  it('say what a piece lower than its strip is cut to', () => {
    const demands = [
      demandOf('tall', 200, 150, 2, { grain: 'fixed' }),
      demandOf('low', 200, 100, 2, { grain: 'fixed' })
    ];
    const [only] = planned(demands, [clothOf({ id: 'length', width: 800, height: 500 })]);
    const cloth = only?.cloths[0];
    if (!cloth) throw new Error('There is no cloth.');
    expect(sequenceOf(cloth, (key) => key.toUpperCase(), 'mm')[1]?.words).to.equal(
      'Cut a strip 150 mm. From it: two at 200 mm for TALL; two at 200 mm, each turned and cut to 100 mm for LOW.'
    );
  });
  it('give small pieces a letter', () => {
    expect([0, 25, 26, 27].map(letterOf)).to.deep.equal(['A', 'Z', 'A2', 'B2']);
  });
});
