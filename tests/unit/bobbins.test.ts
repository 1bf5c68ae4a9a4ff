import { type BobbinStop, bobbinUse, followBobbins, planBobbins } from '$lib/core/solvers/bobbins';
import { expect } from 'chai';
import fc from 'fast-check';
import { bruteBobbins, randomBobbinStops } from './support/bruteForce';

const need = (metres: number, more: Partial<BobbinStop> = {}): BobbinStop => ({
  id: `${metres}`,
  metres,
  colour: null,
  protected: false,
  ...more
});

describe('the bobbin plan', () => {
  it('puts a full bobbin in before a topper’s edge that takes 14 m with 12 m left', () => {
    const stops = [need(3), need(14, { protected: true })];
    const plan = planBobbins(stops, {
      capacity: 40,
      usual: 'white',
      start: { colour: 'white', metres: 15 }
    });
    expect(plan.changes).to.deep.equal([
      { at: 1, colour: 'white', metres: 40, full: true, into: 0, leaves: 12 }
    ]);
    expect(plan.leftBehind).to.be.closeTo(12, 1e-9);
    expect(plan.wind).to.deep.equal([{ colour: 'white', count: 1 }]);
  });
  it('lets a bobbin run out where it may', () => {
    // 30 and 20 on bobbins of 40: the first runs out 10 m into the second stop, and nothing is left behind.
    const plan = planBobbins([need(30), need(20)], { capacity: 40, usual: 'white' });
    expect(plan.changes.map(({ at, into, leaves }) => [at, into, leaves])).to.deep.equal([
      [0, 0, null],
      [1, 10, 0]
    ]);
    expect(plan.leftBehind).to.equal(0);
  });
  it('puts a bobbin that came off on again when it does', () => {
    // Cream, rust, cream: three put on, but only two are wound.
    const stops = ['cream', 'rust', 'cream'].map((colour) => need(15, { colour, protected: true }));
    const plan = planBobbins(stops, { capacity: 40, usual: 'white' });
    expect(plan.changes.map(({ colour, full, metres }) => [colour, full, metres])).to.deep.equal([
      ['cream', true, 40],
      ['rust', true, 40],
      ['cream', false, 25]
    ]);
    expect(plan.leftBehind).to.be.closeTo(25, 1e-9);
  });
  it('winds the colour of the border from the start, so that nothing has to be changed', () => {
    const plan = planBobbins([need(2), need(5), need(14, { colour: 'rust', protected: true })], {
      capacity: 40,
      usual: 'white'
    });
    expect(plan.wind).to.deep.equal([{ colour: 'rust', count: 1 }]);
  });
  it('halts inside a protected stop only when it needs more than a full bobbin', () => {
    const plan = planBobbins([need(90, { protected: true })], { capacity: 40, usual: 'white' });
    expect(plan.changes.map(({ into }) => into)).to.deep.equal([0, 40, 80]);
  });
  it('puts a smaller one on again that does, and the fullest last, where nothing of it stays behind', () => {
    const { stops, options } = randomBobbinStops(6, 6062);
    expect(planBobbins(stops, options).leftBehind).to.be.closeTo(11, 1e-6);
    expect(bruteBobbins(stops, options).leftBehind).to.be.closeTo(11, 1e-6);
  });
  it('is as good as the best of all plans', () => {
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 6 }), fc.integer({ min: 0, max: 100_000 }), (count, seed) => {
        const { stops, options } = randomBobbinStops(count, seed);
        const plan = planBobbins(stops, options);
        const best = bruteBobbins(stops, options);
        expect(plan.changes.length).to.equal(best.puts);
        expect(plan.leftBehind).to.be.closeTo(best.leftBehind, 1e-6);
        expect(plan.proven).to.equal(true);
      }),
      { numRuns: 300 }
    );
  });
  it('never lets one run out inside a protected stop, and always finds an end', () => {
    fc.assert(
      fc.property(fc.integer({ min: 10, max: 32 }), fc.integer({ min: 0, max: 100_000 }), (count, seed) => {
        const { stops, options } = randomBobbinStops(count, seed);
        const { changes } = planBobbins(stops, options);
        for (const { at, into } of changes.filter((change) => change.into > 0)) {
          expect(stops[at]?.protected && stops[at].metres <= options.capacity).to.equal(false);
          expect(into).to.be.at.most(stops[at]?.metres ?? 0);
        }
      }),
      { numRuns: 20 }
    );
  });
});

describe('where a bobbin runs out', () => {
  const margin = 0.25;
  const worst = (stops: BobbinStop[]): BobbinStop[] =>
    stops.map((stop) => ({ ...stop, metres: stop.metres * (1 + margin) }));

  it('is said as expected, with the earliest place, and when to change it at the latest', () => {
    // Planned for a quarter more: 20, 10 and 7.5 m on bobbins of 22 run out 2 m into the second stop, a fifth of it.
    const stops = [need(16), need(8), need(6, { protected: true })];
    const most = worst(stops);
    const { changes } = planBobbins(most, { capacity: 22, usual: 'white' });
    expect(changes.map(({ at, into, leaves }) => [at, into, leaves])).to.deep.equal([
      [0, 0, null],
      [1, 2, 0]
    ]);
    const { levels, runOuts } = followBobbins(stops, most, changes);
    // Expected: 6 m are left for the 8 m, so it runs out after three quarters of the second stop.
    expect(runOuts[1]).to.deep.equal({
      earliest: { at: 1, share: 0.2 },
      expected: { at: 1, share: 0.75 },
      before: 2
    });
    expect(levels.map(({ before, after }) => [before, after])).to.deep.equal([
      [22, 6],
      [6, 20],
      [20, 14]
    ]);
  });
  it('is nowhere where the bobbin lasts to the protected stop, before which it is changed all the same', () => {
    // At most 20 + 5 m, so a bobbin of 22 may run out in the second stop; 16 + 4 are expected, which it gives.
    const stops = [need(16), need(4), need(12, { protected: true })];
    const most = worst(stops);
    const { changes } = planBobbins(most, { capacity: 22, usual: 'white' });
    expect(changes).to.have.length(2);
    const { levels, runOuts } = followBobbins(stops, most, changes);
    expect(runOuts[1]).to.deep.equal({ earliest: { at: 1, share: 0.4 }, expected: null, before: 2 });
    expect(levels[2]).to.deep.equal({ colour: 'white', before: 22, after: 10 });
  });
  it('is where it was planned for a halt inside a long protected stop', () => {
    const stops = [need(60, { protected: true })];
    const most = worst(stops);
    const { changes } = planBobbins(most, { capacity: 40, usual: 'white' });
    const { levels, runOuts } = followBobbins(stops, most, changes);
    expect(runOuts[1]?.expected?.share).to.be.closeTo(40 / 75, 1e-9);
    // 28 of the 60 m are stitched with the second.
    expect(levels[0]?.after).to.be.closeTo(12, 1e-9);
  });
  it('shrinks its margin as run-outs are logged, and follows them', () => {
    expect(bobbinUse([]).margin).to.be.closeTo(0.247, 0.001);
    const five = bobbinUse([1.1, 1.12, 1.08, 1.1, 1.1]);
    expect(five.margin).to.be.lessThan(0.13);
    expect(five.factor).to.be.within(1.08, 1.1);
    // One alone moves it part of the way only.
    expect(bobbinUse([1.3]).factor).to.be.within(1.1, 1.25);
  });
});
