import { seeded } from '$lib/core/base/units';
import type { Run } from '$lib/core/documents/run';
import { DEFAULT_HAND_TIMES, defaultSetup } from '$lib/core/documents/shop';
import { plan } from '$lib/core/making/plan';
import { fromDefaults, halfRange, handsEstimate, needleEstimate } from '$lib/core/making/time';
import { fromNormal } from '$lib/core/making/time/estimate';
import { learnFromRuns } from '$lib/core/running/learning';
import { type HandSeen, learn, type NeedleSeen } from '$lib/core/running/learning/learn';
import { observed } from '$lib/core/running/learning/observed';
import { expect } from 'chai';
import fc from 'fast-check';
import { hiddenTruth, loggedRun, normal, reallyTakes, SPREAD } from '../bench/support/hiddenTruth';
import { badgerShop, badgerTab } from './support/badger';

const tab = badgerTab();
const shop = badgerShop();
const setup = defaultSetup(tab, shop);
const planned = plan(tab, setup, shop);

/** A lay of 30 s that took so long, in a run of its own. */
const lays = (...seconds: number[]): HandSeen[] =>
  seconds.map((each, at) => ({
    run: `r${at}`,
    person: '',
    parts: [{ key: 'lay', seconds: 30 }],
    seconds: each
  }));
const layOf = (seen: HandSeen[]): number =>
  handsEstimate([[{ key: 'lay', seconds: 30 }]], learn(seen, []).people['']).value;

describe('learning from the log', () => {
  it('keeps the craft’s default where nothing is logged', () => {
    expect(learn([], [])).to.deep.equal({ people: {}, machines: {}, runIds: [], counts: [] });
    expect(handsEstimate([[{ key: 'lay', seconds: 30 }]], undefined)).to.deep.equal(
      fromDefaults('hands', 30)
    );
  });
  it('moves part of the way with one run, nearly all the way with many', () => {
    const one = layOf(lays(60));
    const ten = layOf(lays(...Array.from({ length: 10 }, () => 60)));
    expect(one).to.be.within(33, 55);
    expect(ten).to.be.within(55, 63);
    expect(ten).to.be.greaterThan(one);
  });
  it('does not mind a pause that nobody pressed', () => {
    const calm = layOf(lays(40, 42, 38, 41, 39));
    const paused = layOf(lays(40, 42, 38, 41, 39, 1900));
    expect(paused).to.be.within(calm * 0.95, calm * 1.1);
  });
  it('charges the parts of a step with their shares', () => {
    // Laying is twice as slow, taping as told: steps of both, and of each alone.
    const step = (run: number, parts: Record<string, number>, seconds: number): HandSeen => ({
      run: `r${run}`,
      person: '',
      parts: Object.entries(parts).map(([key, base]) => ({ key, seconds: base })),
      seconds
    });
    const seen = Array.from({ length: 8 }, (_, run) => [
      step(run, { lay: 30, tapeStrip: 32 }, 92),
      step(run, { lay: 30 }, 60)
    ]).flat();
    const factors = learn(seen, []).people['']?.factors ?? {};
    expect(Math.exp(factors.lay?.mean ?? 0)).to.be.within(1.7, 2.1);
    expect(Math.exp(factors.tapeStrip?.mean ?? 0)).to.be.within(0.85, 1.2);
  });
  it('tells a machine’s speed from what it loses at each stop', () => {
    // A tenth slower in the stitch, and 8 s instead of 4 at each stop.
    const seen = [18, 225, 9, 135, 63, 400].flatMap((stitching) =>
      ['a', 'b', 'c', 'd'].map((run): NeedleSeen => ({
        ...{ run, machine: 'left', stitching, overhead: 4, trims: 0 },
        seconds: stitching * 1.1 + 8
      }))
    );
    const machine = learn([], seen).machines.left;
    expect(Math.exp(machine?.speed.mean ?? 0)).to.be.within(1.06, 1.12);
    expect(Math.exp(machine?.overhead.mean ?? 0)).to.be.within(1.6, 2.1);
    const said = needleEstimate([{ stitching: 300, overhead: 4, trims: 0 }], machine);
    expect(said.value).to.be.closeTo(338, 8);
    expect(said.source).to.equal('4 logged runs');
  });
  it('keeps people and machines apart', () => {
    const seen = [...lays(60, 60, 60), ...lays(30, 30, 30).map((one) => ({ ...one, person: 'Fern' }))];
    const { people } = learn(seen, []);
    expect(people['']?.factors.lay?.mean).to.be.greaterThan(people.Fern?.factors.lay?.mean ?? 1);
  });
  it('has ranges: half the times in the inner, four in five in the outer', () => {
    const said = fromNormal('hands', 100, 20, 'test', 5);
    const half = halfRange(said);
    const random = seeded(9);
    const sigma = Math.sqrt(Math.log(1.04));
    const draws = Array.from(
      { length: 20_000 },
      () => 100 * Math.exp(sigma * normal(random) - sigma ** 2 / 2)
    );
    const share = (low: number, high: number): number =>
      draws.filter((each) => each >= low && each <= high).length / draws.length;
    expect(share(said.low, said.high)).to.be.closeTo(0.8, 0.015);
    expect(share(half.low, half.high)).to.be.closeTo(0.5, 0.015);
  });
  it('never leaves what was seen and what is usual, however wild the times', () => {
    fc.assert(
      fc.property(fc.array(fc.double({ min: 1, max: 4000, noNaN: true }), { maxLength: 12 }), (seconds) => {
        const { value, low, high } = handsEstimate(
          [[{ key: 'lay', seconds: 30 }]],
          learn(lays(...seconds), []).people['']
        );
        expect(value).to.be.within(Math.min(30, ...seconds) * 0.5, Math.max(30, ...seconds) * 2);
        expect(low).to.be.at.most(value * 1.001);
        expect(high).to.be.at.least(value * 0.999);
      }),
      { numRuns: 60 }
    );
  });
});

describe('what is learned', () => {
  const random = seeded(11);
  const truth = hiddenTruth(random, SPREAD);
  const runs = Array.from({ length: 4 }, (_, at): Run =>
    loggedRun(`run-${at}`, { plan: planned, setup }, reallyTakes(planned, truth, random, SPREAD), random, {
      ...SPREAD,
      pauseOneIn: 1000
    })
  );
  const totals = (from: Run[]): [hands: number, needle: number] => {
    const { hands, needle } = plan(tab, setup, {
      ...shop,
      learned: learnFromRuns(from, DEFAULT_HAND_TIMES)
    }).totals;
    return [hands.value, needle.value];
  };
  /** The same runs on a clock that goes so many times as slow. */
  const slower = (by: number): Run[] =>
    runs.map((run) => ({
      ...run,
      events: run.events.map((event) => ({ ...event, at: Math.round(event.at * by) }))
    }));

  it('does not depend on the order of the runs', () => {
    const [hands, needle] = totals(runs);
    const [otherHands, otherNeedle] = totals([...runs].reverse());
    expect(otherHands).to.be.closeTo(hands, 1e-6);
    expect(otherNeedle).to.be.closeTo(needle, 1e-6);
  });
  it('grows with what the steps took', () => {
    const [hands, needle] = totals(runs);
    const [longHands, longNeedle] = totals(slower(1.3));
    expect(longHands / hands).to.be.within(1.15, 1.3);
    expect(longNeedle / needle).to.be.within(1.2, 1.3);
  });
  it('comes nearer to the truth with every run', () => {
    const off = (from: Run[]): number => Math.abs(Math.log(totals(from)[1] / totals(runs)[1]));
    expect(off(runs.slice(0, 1))).to.be.at.least(off(runs.slice(0, 3)) - 0.05);
    expect(learnFromRuns(runs, DEFAULT_HAND_TIMES).machines.left?.speed.sd).to.be.lessThan(
      learnFromRuns(runs.slice(0, 1), DEFAULT_HAND_TIMES).machines.left?.speed.sd ?? 0
    );
  });
  it('learn no pace from a stop in whose middle the bobbin is changed: nobody knows whether that was logged apart', () => {
    const [run] = runs;
    if (!run) throw new Error('no run');
    const part = { key: 'bobbin', times: 1, seconds: 60 };
    const stop = run.plan.steps.find(({ kind }) => kind === 'stop')?.id;
    const steps = run.plan.steps.map((step) =>
      step.id === stop ? { ...step, parts: [...step.parts, part] } : step
    );
    const seen = (of: Run): number => observed([of], DEFAULT_HAND_TIMES).needles.length;
    expect(seen({ ...run, plan: { ...run.plan, steps } })).to.equal(seen(run) - 1);
  });
});

describe('hidden truths', () => {
  const random = seeded(4);
  const truth = hiddenTruth(random, SPREAD);
  const runs = Array.from({ length: 8 }, (_, at): Run =>
    loggedRun(`run-${at}`, { plan: planned, setup }, reallyTakes(planned, truth, random, SPREAD), random, {
      ...SPREAD,
      pauseOneIn: 3
    })
  );
  const learned = learnFromRuns(runs, DEFAULT_HAND_TIMES);

  it('are found again in a plan: speed within a tenth, and its total says what it rests on', () => {
    expect(Math.exp(learned.machines.left?.speed.mean ?? 0)).to.be.closeTo(truth.speed, truth.speed * 0.1);
    const after = plan(tab, setup, { ...shop, learned });
    const really = planned.steps.reduce(
      (sum, { parts }) => sum + parts.reduce((all, { key, seconds }) => all + seconds * truth.kind(key), 0),
      0
    );
    expect(after.totals.hands.value).to.be.closeTo(really, really * 0.15);
    expect(after.totals.hands.source).to.equal('8 logged runs');
    const { low, high, value } = after.totals.hands;
    const before = planned.totals.hands;
    expect(high / low).to.be.lessThan(before.high / before.low);
    expect(after.steps.reduce((sum, { hands }) => sum + hands.value, 0)).to.be.closeTo(value, 1e-6);
  });
  it('leave out a run the maker leaves out, and steps that were done twice', () => {
    const one = runs.slice(0, 1);
    expect(learnFromRuns([{ ...one[0]!, leftOut: true }], DEFAULT_HAND_TIMES).runIds).to.deep.equal([]);
    const again = one.map((run) => ({
      ...run,
      events: [
        ...run.events.slice(0, 3),
        { ...run.events[2]!, seq: 99, type: 'back' as const, stepId: planned.steps[2]?.id ?? '' },
        ...run.events.slice(2)
      ]
    }));
    expect(observed(again, DEFAULT_HAND_TIMES).hands.length).to.be.lessThan(
      observed(one, DEFAULT_HAND_TIMES).hands.length
    );
  });
});
