import type { Item } from '$lib/core/documents/item';
import { newLine } from '$lib/core/documents/order';
import { defaultSetup, fitIn, type Hoop, type Setup, type Shop } from '$lib/core/documents/shop';
import { ThreadEntry } from '$lib/core/documents/stash';
import { review } from '$lib/core/making/checks';
import { planAndTrace } from '$lib/core/making/plan';
import { cutList } from '$lib/core/craft/sizes';
import { planBatch } from '$lib/core/ordering/day';
import { orderThreads, orderWants } from '$lib/core/ordering/quote';
import { diePasses, isFused, shoppingList } from '$lib/core/preparing/cutting';
import { needleSheet, planThreads, spoolEnds, spoolsFor, stationBobbins } from '$lib/core/preparing/threads';
import { beforeStart } from '$lib/core/running/runs';
import { bobbinUse } from '$lib/core/solvers/bobbins';
import { CONSTRUCTIONS } from '$lib/core/craft/constructions';
import { expect } from 'chai';
import { badgerShop, makeItem } from './support/badger';
import { machine, orderOf, plainPatch, shopOf } from './support/orders';

/** Sizes and counts worked by hand, and one figure for one thing wherever it is told. */
const hoop = (width: number, height: number): Hoop => ({
  ...{ id: `hoop-${width}`, name: `Hoop ${width}`, capSpm: null },
  field: { width, height },
  ring: { width: width + 40, height: height + 45 }
});
const inches = (value: number): number => value * 25.4;

describe('a cloth that is folded and sewn up', () => {
  const split = (answers: object): Item => makeItem('split-design', { ...answers });
  const ground = (item: Item, ring: Hoop): ReturnType<typeof cutList>[number] => {
    const cut = cutList(item, ring, { rounding: 'quarter-inch', margins: {} }, 1).find(
      ({ pieceId }) => pieceId === 'ground'
    );
    if (!cut) throw new Error('no ground');
    return cut;
  };
  it('follows from the cushion: a quarter yard folded once, half-inch seams, is 8 × 21 ½ in', () => {
    const item = split({ cushionWidth: inches(8), cushionHeight: inches(21.5), cushionSeam: inches(0.5) });
    const cut = ground(item, hoop(100, 100));
    expect(cut.cut.width).to.be.closeTo(inches(9), 0.01);
    expect(cut.cut.height).to.be.closeTo(inches(44), 0.01);
    const sum = (key: 'width' | 'height'): number => cut.parts.reduce((total, part) => total + part[key], 0);
    expect(sum('width')).to.be.closeTo(cut.cut.width, 0.01);
    expect(sum('height')).to.be.closeTo(cut.cut.height, 0.01);
  });
  it('is folded at any side, and is never smaller than the ring wants round the design', () => {
    const size = { cushionWidth: 150, cushionHeight: 200, cushionSeam: 10 };
    // Ring of 240 × 345: 145 and 197.5 from the middle of the design, which the cushion’s own seams do not reach.
    const down = ground(split({ ...size, cushionFold: 'bottom' }), hoop(200, 300));
    expect(down.exact).to.deep.equal({ width: 2 * 145, height: 197.5 + (300 + 10) });
    expect(down.offset).to.deep.equal({ x: 0, y: (down.cut.height - 2 * 197.5) / 2 });
    const left = ground(split({ ...size, cushionFold: 'left' }), hoop(200, 300));
    expect(left.exact).to.deep.equal({ width: 145 + (225 + 10), height: 2 * 197.5 });
    expect(left.offset?.x).to.be.below(0);
  });
});

describe('fusible and dies', () => {
  it('stands in the cut list, and counts a layer and a half whichever step fuses it', () => {
    const apron = makeItem('fused-applique');
    const cuts = cutList(apron, hoop(100, 100), { rounding: '5mm', margins: {} }, 12);
    const web = cuts.filter(({ material }) => material.kind === 'fusible');
    expect(web.map(({ name, count }) => [name, count])).to.deep.equal([
      ['FIRST PIECE, fusible web', 12],
      ['SECOND PIECE, fusible web', 12]
    ]);
    expect(isFused(apron, 'first')).to.equal(true);
    expect(isFused(makeItem('snap-tab'), 'front')).to.equal(false);
    // Twelve fused shapes: 3 passes of 4, not 2 of 6.
    expect(diePasses({ count: 12, fused: isFused(apron, 'first') })).to.include({ passes: 3, layers: 4 });
    expect(diePasses({ count: 12, fused: true, layers: 9 })).to.include({ passes: 2, layers: 6 });
  });
});

describe('every construction', () => {
  const hoops = [hoop(100, 100), hoop(130, 180), hoop(200, 300), hoop(360, 400)];
  const shop: Shop = { ...badgerShop(), hoops };
  const widened = (item: Item): string[] =>
    hoops.flatMap((each) => {
      const [variant] = item.variants;
      const fit = variant && fitIn(each, variant.size);
      if (!fit) return [];
      const setup: Setup = { ...defaultSetup(item, shop), hoopId: each.id, turned: fit.turned };
      return review(item, setup, shop)
        .checked.open.filter(({ severity }) => severity !== 'note')
        .map(({ text }) => `${each.name}: ${text}`);
    });
  for (const { kind, defaults } of CONSTRUCTIONS)
    it(`${kind} stands upright and lies, in any hoop it fits, without a finding above a note`, () => {
      const { width, height } = defaults;
      expect(widened(makeItem(kind))).to.deep.equal([]);
      if (typeof width === 'number' && typeof height === 'number')
        expect(widened(makeItem(kind, { width: height, height: width }))).to.deep.equal([]);
    });
  it('lace of several parts with an inlay is cut round every part', () => {
    expect(widened(makeItem('lace', { parts: 3, inlay: 'yes', width: 40, height: 40 }))).to.deep.equal([]);
  });
});

describe('bobbins', () => {
  const home = badgerShop();
  const topper = makeItem('topper');
  const setup = { ...defaultSetup(topper, home), machineId: 'left' };
  it('are as many on the list before the start, on the thread page and for an order of the same copies', () => {
    const made = planAndTrace(topper, setup, home);
    const use = bobbinUse([]);
    const page = planThreads({ item: topper, setup, shop: home, anyHidden: true, measured: [] });
    const station = stationBobbins(made, use, { copies: 1, heads: 1 });
    expect(page.wind).to.deep.equal(station.wind);
    const order = orderOf([newLine('line', topper.id, 1)]);
    const input = { order, items: [{ item: topper, setup }], shop: home };
    const prepared = orderThreads(input, planBatch(input), [], []).bobbins;
    const all = (rows: readonly { count?: number; bobbins?: number }[]): number =>
      rows.reduce((sum, { count = 0, bobbins = 0 }) => sum + count + bobbins, 0);
    expect(all(prepared)).to.equal(all(station.wind));
    const [left] = home.machines;
    if (!left) throw new Error('no machine');
    const checks = beforeStart({
      plan: made.plan,
      item: topper,
      machine: left,
      bobbins: station,
      needles: needleSheet(made, left),
      bobbinName: (colour) => colour
    });
    const said = checks.find(({ id }) => id === 'bobbin');
    const told = [...(said?.title ?? '').matchAll(/(\d+) in/g)].reduce(
      (sum, [, count]) => sum + Number(count),
      0
    );
    expect(told).to.equal(all(station.wind));
    if (station.changes > 0) expect(said?.detail).to.contain(`${station.changes} to change on the way`);
  });
  it('in the machine now are known to the check: a quarter full one can run out in the edge', () => {
    const bare = { ...topper, steps: topper.steps.filter(({ id }) => id !== 'bobbin') };
    const codes = (metres: number): string[] =>
      review(bare, { ...setup, bobbinOn: { threadId: '', metres } }, home).checked.open.map(
        ({ code }) => code
      );
    expect(codes(40)).to.not.include('bobbin/runs-out');
    expect(codes(10)).to.include('bobbin/runs-out');
  });
  it('never run out in a stop they are changed before', () => {
    for (const { kind } of CONSTRUCTIONS)
      for (const metres of [4, 12, 25]) {
        const item = makeItem(kind);
        const own = { ...defaultSetup(item, home), bobbinOn: { threadId: '', metres }, copies: 3 };
        const { bobbins } = stationBobbins(planAndTrace(item, own, home), bobbinUse([]), {
          ...own,
          heads: 1
        });
        for (const { runOut, why } of bobbins.changes) {
          if (!runOut?.expected || !runOut.before || why === 'planned halt') continue;
          const place = ({ copy, stop }: { copy: number; stop: number }): number => copy * 1000 + stop;
          expect(place(runOut.expected), `${kind}, ${metres} m`).to.be.below(place(runOut.before));
        }
      }
  });
});

describe('spools', () => {
  it('are one for each head, whatever the metres, and a new one when that is empty', () => {
    expect(spoolsFor(324, 3, 1000)).to.equal(3);
    expect(spoolsFor(972, 1, 1000)).to.equal(1);
    expect(spoolsFor(1001, 3, 1000)).to.equal(6);
  });
  it('run out on every head at the same stop of the same copy', () => {
    const { plan } = planAndTrace(plainPatch(), undefined, shopOf([machine('left')]));
    const [use] = plan.threads;
    if (!use) throw new Error('no thread');
    // 21,000 stitches of 5 mm are 105 m: a spool of 300 m ends in the third copy, another in the sixth.
    expect(use.upperMetres).to.be.closeTo(105, 0.5);
    const ends = spoolEnds(plan, use.thread.id, { heads: 2, perHead: 6, holds: 300 });
    expect(ends).to.deep.equal([
      { head: 1, copy: 3, stop: 1 },
      { head: 2, copy: 3, stop: 1 },
      { head: 1, copy: 6, stop: 1 },
      { head: 2, copy: 6, stop: 1 }
    ]);
  });
  it('to buy are spools: three heads want three, though the metres would fit on one', () => {
    const heads = machine('heads', { heads: 3 });
    const input = {
      order: orderOf([newLine('line', 'patch', 9)]),
      items: [{ item: plainPatch() }],
      shop: shopOf([heads])
    };
    const batch = planBatch(input);
    const { threads } = orderThreads(input, batch, [], []);
    const [row] = threads;
    expect([row?.atOnce, row?.spools]).to.deep.equal([3, 3]);
    expect(row?.upper).to.be.closeTo(9 * 105, 5);
    const spools = new Map([['signal red', row?.spools ?? 0]]);
    const bought = (stash: ThreadEntry[]): string | undefined =>
      shoppingList(orderWants(input, batch), [], stash, 'mm', spools).find(({ what }) => what === 'thread')
        ?.buy;
    expect(bought([])).to.equal('3 spools of 1000 m');
    const one = ThreadEntry.parse({
      ...{
        what: 'thread',
        id: 'red',
        name: 'Signal red',
        colour: '#bb2222',
        spools: 1,
        metres: 1000,
        price: 4
      }
    });
    expect(bought([one])).to.equal('2 spools of 1000 m');
    expect(bought([{ ...one, spools: 3, metres: 3000 }])).to.equal(undefined);
  });
});
