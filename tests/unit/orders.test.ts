import { expect } from 'chai';
import { newLine, piecesToStitch } from '$lib/core/documents/order';
import { type BatchPlan, planBatch, sayTime, wallTimeAt } from '$lib/core/ordering/day';
import { secondsBetween } from '$lib/core/ordering/day/wallTime';
import { LineContext, stationsOf } from '$lib/core/ordering/hoopings';
import { split } from '$lib/core/ordering/hoopings/compose';
import { compareWays } from '$lib/core/ordering/hoopings/ways';
import { machine, orderOf, patches, plainPatch, shopOf, SIX } from './support/orders';
import { demoItem, demoShop } from './support/demo';

/** Needle time of 21,000 stitches at 800 a minute, s. */
const EACH = 26.25 * 60;
/** What a hooping loses to starting and halting, s. */
const OVERHEAD = 4;
const copies = (plan: BatchPlan): number[] => plan.hoopings.map((each) => each.copies).sort((a, b) => b - a);
const onStation = (plan: BatchPlan): number[] =>
  plan.stations
    .map(({ id }) =>
      plan.hoopings.filter((each) => each.stationId === id).reduce((sum, each) => sum + each.copies, 0)
    )
    .sort((a, b) => b - a);

describe('orders: 38 patches of 21,000 stitches, six to a hoop', () => {
  it('on one head take seven hoopings and 16 h 37.5 min of needle, whatever the number to a hoop', () => {
    const one = planBatch(patches(38, shopOf([machine('one')])));
    expect(copies(one)).to.have.length(7);
    expect(copies(one).reduce((sum, each) => sum + each, 0)).to.equal(38);
    expect(one.needle - 7 * OVERHEAD).to.be.closeTo(38 * EACH, 0.01);
    expect((38 * EACH) / 3600).to.be.closeTo(16 + 37.5 / 60, 1e-9);
    const two = planBatch({
      ...patches(38, shopOf([machine('one')])),
      order: orderOf([{ ...newLine('line', 'patch', 38), most: 2 }])
    });
    expect(two.hoopings).to.have.length(19);
    expect(two.needle - 19 * OVERHEAD).to.be.closeTo(38 * EACH, 0.01);
  });

  it('on four machines that run by themselves are 10, 10, 9 and 9, at least 4 h 22.5 min of needle', () => {
    const four = planBatch(patches(38, shopOf(['a', 'b', 'c', 'd'].map((id) => machine(id)))));
    expect(onStation(four)).to.deep.equal([10, 10, 9, 9]);
    const begins = four.start;
    expect(four.worked - begins).to.be.greaterThan((4 + 22.5 / 60) * 3600);
    expect(four.worked - begins).to.be.lessThan(5.25 * 3600);
    expect(four.bound.worked).to.be.at.most(four.worked + 1e-6);
  });

  it('on one machine with four heads that run apart are shared in the same way', () => {
    const apart = planBatch(patches(38, shopOf([machine('multi', { heads: 4, headsRun: 'apart' })])));
    expect(apart.stations.map(({ name }) => name)).to.include('Machine multi, head 3');
    expect(onStation(apart)).to.deep.equal([10, 10, 9, 9]);
  });

  it('on a multi-head of four with one start take two rounds', () => {
    const multi = planBatch(patches(38, shopOf([machine('multi', { heads: 4 })])));
    expect(multi.hoopings).to.have.length(2);
    expect(copies(multi).reduce((sum, each) => sum + each, 0)).to.equal(38);
    // 24 and 14 (six and four to a head), or 19 and 19 (five to a head): ten after one another either way.
    expect(multi.needle - 2 * OVERHEAD).to.be.closeTo(10 * EACH, 0.01);
    for (const { heads } of multi.hoopings) expect(heads).to.have.length(4);
  });

  it('20 over six heads are 4 + 4 + 3 + 3 + 3 + 3, one round', () => {
    const plan = planBatch(patches(20, shopOf([machine('multi', { heads: 6 })])));
    expect(plan.hoopings.map(({ heads }) => heads)).to.deep.equal([[4, 4, 3, 3, 3, 3]]);
    expect(plan.needle - OVERHEAD).to.be.closeTo(4 * EACH, 0.01);
  });

  it('stitch enough for what comes out bad', () => {
    expect(piecesToStitch(38, 0.03)).to.equal(40);
    expect(piecesToStitch(100, 0.03)).to.equal(103);
    expect(piecesToStitch(38, 0)).to.equal(38);
    expect(
      copies(planBatch(patches(38, shopOf([machine('one')]), { spoilage: 0.03 }))).reduce((a, b) => a + b)
    ).to.equal(40);
  });

  it('put what is left over into the smallest hoop that takes it', () => {
    const single = {
      ...SIX,
      id: 'small',
      name: 'Small hoop',
      field: { width: 100, height: 100 },
      ring: { width: 140, height: 140 }
    };
    const plan = planBatch(patches(7, shopOf([machine('one')], [SIX, single])));
    const left = plan.hoopings.map((each) => `${each.copies} in ${each.hoopId}`);
    expect(left).to.satisfy(
      (all: string[]) => all.includes('1 in small') || all.every((each) => each.endsWith('six'))
    );
    expect(plan.lines[0]?.words).to.match(/hooping/);
    expect(plan.lines[0]?.hoops.find(({ recommended }) => recommended)?.hoopId).to.equal('six');
    expect(plan.lines[0]?.hoops.map(({ hoopId, copies: each }) => [hoopId, each])).to.deep.include.members([
      ['six', 6],
      ['small', 1]
    ]);
  });

  it('say in plain words what cannot be planned, and plan the rest', () => {
    const tiny = { ...SIX, field: { width: 50, height: 50 } };
    const none = planBatch(patches(3, shopOf([machine('one')], [tiny])));
    expect(none.hoopings).to.deep.equal([]);
    expect(none.problems.join()).to.match(/Plain patch: no hoop of the machines of this order takes it/);
    const gone = planBatch({ ...patches(3, shopOf([machine('one')])), items: [] });
    expect(gone.problems.join()).to.match(/no longer on the shelf/);
    const late = planBatch(patches(38, shopOf([machine('one')]), { due: '2026-11-27T12:00' }));
    expect(late.problems.join()).to.match(/not done when it is due/);
  });

  it('split as equally as can be', () => {
    expect(split(20, 4)).to.deep.equal([4, 4, 4, 4, 4]);
    expect(split(14, 4)).to.deep.equal([4, 4, 3, 3]);
    expect(split(0, 4)).to.deep.equal([]);
  });
});

describe('orders: the copies in one hoop', () => {
  const shop = demoShop();
  const left = shop.machines[0];
  const hoop = shop.hoops[2];
  const context = new LineContext(newLine('line', 'badger-tab', 6), demoItem('badger-tab'), undefined, shop);

  it('colour by colour change a thread once a colour, copy by copy once a colour and copy', () => {
    if (!left || !hoop) return expect.fail('the demo shop has a machine and a hoop');
    const [stage] = context.stagesOf(left, hoop);
    if (!stage) return expect.fail('a tab has a hooping');
    const ways = compareWays(stage, { total: 3, heads: 1 }, context.contextOf(left, hoop));
    const of = (way: string): (typeof ways)[number] | undefined => ways.find((each) => each.way === way);
    // White, pink, black, white: four threadings for one tab; the next begins with the white that ended the last.
    expect(of('colour-by-colour')?.threadChanges).to.equal(4);
    expect(of('copy-by-copy')?.threadChanges).to.equal(4 + 3 + 3);
    // Six stops, two moves from copy to copy in each; copy by copy two in all.
    expect(of('colour-by-colour')?.jumps).to.equal(12);
    expect(of('copy-by-copy')?.jumps).to.equal(2);
    expect(ways[0]?.way).to.equal('colour-by-colour');
    // The line-only file halts once to lay all pieces; then each copy is sent past its placement line.
    expect(of('lines-first')?.halts).to.equal(of('copy-by-copy')?.halts);
  });

  it('take as much needle as so many single copies, less the starts and halts they share', () => {
    if (!left || !hoop) throw new Error('nothing to look at');
    const [stage] = context.stagesOf(left, hoop);
    if (!stage) throw new Error('nothing to look at');
    const sum = (count: number): number =>
      context
        .stepsOf(stage, { total: count, heads: 1 }, left, hoop)
        .reduce((total, { step }) => total + step.running.value, 0);
    expect(sum(1) * 3 - sum(3)).to.be.closeTo(2 * 6 * 4, 0.01);
  });

  it('are set up once and hooped once, laid and cut out one by one', () => {
    if (!left || !hoop) throw new Error('nothing to look at');
    const [stage] = context.stagesOf(left, hoop);
    if (!stage) throw new Error('nothing to look at');
    const steps = context.stepsOf(stage, { total: 3, heads: 1 }, left, hoop).map(({ step }) => step);
    const times = (op: string): number =>
      steps.filter((step) => step.op?.do === op).reduce((sum, { parts }) => sum + (parts[0]?.times ?? 0), 0);
    expect(times('hoop')).to.equal(1);
    expect(times('set-up')).to.equal(0);
    expect(times('lay')).to.equal(6);
    expect(times('unhoop')).to.equal(1);
    expect(times('tear-away')).to.equal(3);
  });

  it('on heads that stitch together need hands on every head and the needle once', () => {
    const multi = machine('multi', { heads: 4 });
    const own = new LineContext(newLine('line', 'patch', 8), plainPatch(), undefined, shopOf([multi]));
    const station = stationsOf(shopOf([multi]), [])[0];
    if (!station) return expect.fail('a machine is a station');
    const times = own.timesOn(0, 8, station, SIX);
    // Two copies a head: needle of two; hooping, putting on and taking off four times over.
    expect(
      times?.segments.filter(({ kind }) => kind === 'needle').reduce((sum, each) => sum + each.seconds, 0)
    ).to.be.closeTo(2 * EACH + OVERHEAD, 0.01);
    expect(times?.load).to.equal(4 * 120);
    expect(times?.finish[0]?.times).to.equal(8);
    expect(own.timesOn(0, 25, station, SIX)).to.equal(null);
  });

  it('of a border patch are two clampings, the second for what the first has cut', () => {
    const border = new LineContext(
      newLine('line', 'fern-border-patch', 4),
      demoItem('fern-border-patch'),
      undefined,
      shop
    );
    if (!left || !hoop) throw new Error('nothing to look at');
    const stages = border.stagesOf(left, hoop);
    expect(stages.map(({ hoopingIds }) => hoopingIds)).to.deep.equal([['hooping-1'], ['hooping-2']]);
    expect(stages[0]?.steps.at(-1)?.step.op?.do).to.equal('cut-out');
    expect(
      stages[1]?.steps.filter(({ phase }) => phase === 'load').map(({ step }) => step.op?.do)
    ).to.deep.equal(['hoop']);
  });
});

describe('orders: one cloth again and again', () => {
  it('a border round a hem goes side by side, each hooping after the last', () => {
    const line = {
      ...newLine('line', 'patch', 1),
      repeats: { of: 'border' as const, length: 1280, sides: 4 }
    };
    const plan = planBatch({ ...patches(1, shopOf([machine('one')])), order: orderOf([line]) });
    // A side of 320 mm holds 320 / 60 = five repeats of 64 mm; a field of 220 mm (220 - 60) / 64 + 1 = 3: three and two.
    expect(plan.hoopings.map((each) => each.copies)).to.deep.equal([3, 2, 3, 2, 3, 2, 3, 2]);
    const ends = plan.hoopings.map(({ to }) => to);
    expect(ends).to.deep.equal(ends.toSorted((a, b) => a - b));
    expect(plan.hoopings[0]?.placements.map(({ y }) => y)).to.deep.equal([-64, 0, 64]);
  });

  it('the corners of a cloth are turned a quarter further each', () => {
    const line = { ...newLine('line', 'patch', 1), most: 1, repeats: { of: 'corners' as const, corners: 4 } };
    const single = { ...SIX, field: { width: 100, height: 100 } };
    const plan = planBatch({ ...patches(1, shopOf([machine('one')], [single])), order: orderOf([line]) });
    expect(plan.hoopings.flatMap(({ placements }) => placements.map(({ turn }) => turn))).to.deep.equal([
      0, 90, 180, 270
    ]);
  });
});

describe('orders: times on the wall', () => {
  it('count from the midnight before, over days and years', () => {
    expect(secondsBetween('2026-11-27T09:00', '2026-11-28T09:30')).to.equal(120_600);
    expect(wallTimeAt('2026-12-31T09:00', 120_600)).to.equal('2027-01-01T09:30');
    expect(sayTime('2026-11-27T09:00', 59_520)).to.equal('16:32');
    expect(sayTime('2026-11-27T09:00', 120_600)).to.equal('Sat 09:30');
  });
});
