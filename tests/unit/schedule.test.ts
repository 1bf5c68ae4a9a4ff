import { expect } from 'chai';
import fc from 'fast-check';
import { calendarOf } from '$lib/core/ordering/day/benchHours';
import {
  decode,
  oneByOne,
  presenceOf,
  type Problem,
  type ScheduleTask,
  searchSchedule,
  type TableWork
} from '$lib/core/solvers/schedule';
import { lowerBound } from '$lib/core/solvers/schedule/bound';
import { fitIn, openAfter } from '$lib/core/solvers/schedule/calendar';
import type { Decisions } from '$lib/core/solvers/schedule/decode';
import type { Schedule } from '$lib/core/solvers/schedule/problem';
import { tightened } from '$lib/core/solvers/schedule';
import { exactSchedule } from '$lib/core/solvers/schedule/exact';
import { hands, job, jobTimes, needle, problemOf, randomOrder, station } from './support/randomOrders';

const inOrder = (problem: Problem): Decisions => ({
  queues: problem.stations.map((_, machine) =>
    problem.jobs.flatMap((each, at) => {
      const first = each.on.findIndex((times) => times !== null);
      return first === machine ? [at] : [];
    })
  ),
  patience: 0
});
const work = (
  kind: TableWork['kind'],
  seconds: number,
  what: string,
  more: Partial<TableWork> = {}
): TableWork => ({
  ...{ kind, seconds, what, title: what, times: 1, once: kind === 'wait' },
  ...more
});
const overlaps = (tasks: readonly ScheduleTask[]): boolean => {
  const sorted = tasks.toSorted((a, b) => a.from - b.from);
  return sorted.slice(1).some((task, at) => task.from < (sorted[at]?.to ?? 0) - 1e-6);
};
/** What no schedule may break. */
function expectSound(problem: Problem, schedule: Schedule): void {
  problem.stations.forEach((_, machine) =>
    expect(
      overlaps(schedule.tasks.filter((task) => task.machine === machine && task.kind !== 'load')),
      `machine ${machine} twice at once`
    ).to.equal(false)
  );
  for (let person = 0; person < problem.people; person++)
    expect(overlaps(schedule.tasks.filter((task) => task.person === person)), 'hands twice at once').to.equal(
      false
    );
  problem.jobs.forEach((each, at) => {
    const own = schedule.tasks.filter((task) => task.job === at).sort((a, b) => a.from - b.from);
    const machine = own.find((task) => task.machine !== null)?.machine ?? -1;
    const times = each.on[machine];
    expect(times, 'a machine that takes it').to.not.equal(null);
    const sum = (kind: ScheduleTask['kind']): number =>
      own.filter((task) => task.kind === kind).reduce((total, task) => total + task.to - task.from, 0);
    const wanted = times?.segments.reduce(
      (total, { kind, seconds }) => total + (kind === 'needle' ? seconds : 0),
      0
    );
    expect(sum('needle')).to.be.closeTo(wanted ?? 0, 1e-6);
    const order = ['load', 'hands', 'off', 'finish'].flatMap(
      (kind) => own.find((task) => task.kind === kind)?.from ?? []
    );
    if (each.begun === null)
      expect(order, 'loaded, stitched, freed, finished').to.deep.equal(order.toSorted((a, b) => a - b));
    for (const before of each.after) {
      const done = Math.max(...schedule.tasks.filter((task) => task.job === before).map(({ to }) => to));
      expect(own[0]?.from ?? Infinity, 'pieces it needs').to.be.at.least(done - 1e-6);
    }
  });
  for (const [hoopId, count] of Object.entries(problem.hoops)) {
    const used = problem.jobs.flatMap(({ hoopId: own, hoops }, at) => {
      const tasks = schedule.tasks.filter(
        (task) => task.job === at && ['load', 'hands', 'needle', 'off'].includes(task.kind)
      );
      return own === hoopId && tasks.length > 0
        ? [
            {
              from: Math.min(...tasks.map(({ from }) => from)),
              to: Math.max(...tasks.map(({ to }) => to)),
              hoops
            }
          ]
        : [];
    });
    for (const { from } of used)
      expect(
        used.reduce((sum, each) => sum + (each.from <= from && each.to > from + 1e-6 ? each.hoops : 0), 0),
        'hoops at once'
      ).to.be.at.most(count);
  }
}

describe('schedule: by hand', () => {
  const one = jobTimes({ load: 120, segments: [hands(20), needle(1500), hands(15)], off: 75, setUp: 90 });

  it('one hooping: load, set up and put on, stitch, take off, free', () => {
    const problem = problemOf([job('a', [one])], [station('m')]);
    const { worked, setUps } = decode(problem, { queues: [[0]], patience: 0 }, true);
    expect(worked).to.equal(120 + 90 + 20 + 1500 + 15 + 75);
    expect(setUps).to.equal(1);
  });

  it('a spare hoop is loaded while another stitches; with one hoop it waits', () => {
    const jobs = [job('a', [one], { kind: 'tab' }), job('b', [one], { kind: 'tab' })];
    const two = decode(problemOf(jobs, [station('m')], { hoops: { hoop: 2 } }), {
      queues: [[0, 1]],
      patience: 0
    });
    // The second load is hidden: 120 + 90 + (20 + 1500 + 15) × 2 + 75; freeing the first waits for no machine.
    expect(two.worked).to.equal(120 + 90 + 1535 + 1535 + 75);
    const single = decode(problemOf(jobs, [station('m')], { hoops: { hoop: 1 } }), {
      queues: [[0, 1]],
      patience: 0
    });
    expect(single.worked).to.equal(120 + 90 + 1535 + 75 + 120 + 1535 + 75);
  });

  it('one pair of hands loads two machines one after the other', () => {
    const short = jobTimes({ load: 100, segments: [hands(10), needle(1000), hands(10)] });
    const problem = problemOf(
      [job('a', [short, null]), job('b', [null, short])],
      [station('m'), station('n')]
    );
    // 100 + 10 for the first, 100 + 10 for the second, which stitches until 1220; two people need no turn.
    expect(decode(problem, inOrder(problem)).worked).to.equal(100 + 10 + 100 + 10 + 1000 + 10);
    expect(decode({ ...problem, people: 2 }, inOrder(problem)).worked).to.equal(100 + 10 + 1000 + 10);
  });

  it('waits are shared: one rinse and one drying for all lace, each piece pressed after', () => {
    const wash = [
      work('hands', 180, 'rinse', { once: true }),
      work('wait', 36_000, 'wait dry'),
      work('hands', 90, 'press')
    ];
    const lace = jobTimes({ load: 0, segments: [hands(10), needle(1000), hands(10)], wash });
    const problem = problemOf(
      [job('a', [lace], { wash: 'dry', kind: 'lace' }), job('b', [lace], { wash: 'dry', kind: 'lace' })],
      [station('m')]
    );
    const made = decode(problem, { queues: [[0, 1]], patience: 0 }, true);
    const of = (title: string): ScheduleTask[] => made.tasks.filter((task) => task.title === title);
    expect(of('rinse')).to.have.length(1);
    expect(of('wait dry')).to.have.length(1);
    expect(of('press').reduce((sum, task) => sum + task.to - task.from, 0)).to.equal(180);
    expect(made.finish).to.equal(2 * 1020 + 180 + 36_000 + 180);
    expectSound(problem, made);
  });

  it('a bobbin is changed before a hooping it would not last, a spool when it runs out', () => {
    const thirsty = jobTimes({
      segments: [hands(10), needle(100), hands(10)],
      bobbinMetres: 15,
      bobbinAfter: 25,
      threads: [{ name: 'Red', metres: 60 }]
    });
    const jobs = ['a', 'b', 'c', 'd'].map((id) => job(id, [thirsty], { kind: 'tab' }));
    const made = decode(
      problemOf(jobs, [station('m', { bobbin: 40, bobbinFull: 40 })], {
        hoops: { hoop: 4 },
        spoolMetres: 100
      }),
      { queues: [[0, 1, 2, 3]], patience: 0 }
    );
    // 40 m last two hoopings of 15 m; a new one the two others. 240 m of thread are three spools of 100 m: two run out.
    expect(made.bobbins).to.equal(1);
    expect(made.spools).to.equal(2);
    expect(made.worked).to.equal(4 * 120 + 60 + 2 * 70);
  });

  it('keeps to bench hours: hands in no break, the needle through it, nothing after closing', () => {
    const calendar = calendarOf(
      { from: 540, to: 720, breaks: [{ from: 600, to: 630 }], days: [1, 2] },
      '2026-11-30T08:00'
    );
    expect(calendar.hands.slice(0, 3)).to.deep.equal([
      { from: 32_400, to: 36_000 },
      { from: 37_800, to: 43_200 },
      { from: 86_400 + 32_400, to: 86_400 + 36_000 }
    ]);
    expect(calendar.needle[0]).to.deep.equal({ from: 32_400, to: 43_200 });
    // Two hours of needle begun at 9:10 run through the break; an hour more does not fit before noon, nor on Tuesday before its turn.
    expect(fitIn(calendar.needle, 33_000, 7200)).to.deep.equal({ from: 33_000, to: 40_200 });
    expect(fitIn(calendar.needle, 40_200, 3600)).to.deep.equal({ from: 118_800, to: 122_400 });
    expect(fitIn(calendar.hands, 35_900, 300)).to.deep.equal({ from: 37_800, to: 38_100 });
    // Longer than any day: it goes on in the next stretch.
    expect(fitIn(calendar.needle, 32_400, 14_400)).to.deep.equal({ from: 32_400, to: 118_800 + 3600 });
    expect(openAfter(calendar.hands, 32_400, 4000)).to.equal(37_800 + 400);
  });

  it('says when somebody must be there, and when not', () => {
    const spans = [
      { from: 0, to: 60 },
      { from: 600, to: 700 },
      { from: 2000, to: 2100 }
    ];
    // Ten minutes are too short to leave, twenty are not.
    expect(presenceOf(spans)).to.deep.equal([
      { from: 0, to: 700 },
      { from: 2000, to: 2100 }
    ]);
  });

  it('what is under way keeps its machine and goes on from there', () => {
    const half = jobTimes({ segments: [needle(400), hands(15)], off: 75 });
    const problem = problemOf(
      [job('a', [half, null], { begun: 0 }), job('b', [one, one])],
      [station('m'), station('n')]
    );
    const made = decode(problem, { queues: [[0, 1], []], patience: 0 }, true);
    expect(made.tasks.find((task) => task.job === 0 && task.kind === 'needle')).to.include({
      from: 0,
      to: 400,
      machine: 0
    });
    expect(made.tasks.find((task) => task.job === 1 && task.kind === 'needle')?.from).to.be.at.least(400);
    expectSound(problem, made);
  });
});

describe('schedule: whatever the order', () => {
  const orders = fc.record({
    seed: fc.integer({ min: 1, max: 5000 }),
    machines: fc.integer({ min: 1, max: 4 }),
    hoopings: fc.integer({ min: 1, max: 9 }),
    halts: fc.integer({ min: 0, max: 3 }),
    share: fc.double({ min: 0.3, max: 1.4, noNaN: true }),
    hoops: fc.integer({ min: 1, max: 6 }),
    people: fc.integer({ min: 1, max: 3 })
  });
  const withStages = (problem: Problem): Problem => ({
    ...problem,
    jobs: problem.jobs.map((each, at) => ({ ...each, after: at > 2 && at % 3 === 0 ? [at - 3, at - 2] : [] }))
  });

  it('no machine and no hand is in two places, precedence holds, hoops suffice, the bound stays below', () => {
    fc.assert(
      fc.property(orders, ({ seed, hoops, people, ...rest }) => {
        const problem = withStages({ ...randomOrder(seed, rest), hoops: { hoop: hoops }, people });
        const { schedule, bound } = searchSchedule(problem, { rounds: 60, seed });
        expectSound(problem, schedule);
        expect(bound.worked).to.be.at.most(schedule.worked + 1e-6);
        expect(bound.finish).to.be.at.most(schedule.finish + 1e-6);
        expect(schedule.tasks.filter(({ kind }) => kind === 'off')).to.have.length(problem.jobs.length);
      }),
      { numRuns: 60 }
    );
  });

  it('looking longer never gives a worse plan, and the same seed gives the same', () => {
    const problem = randomOrder(41, { machines: 2, hoopings: 7, halts: 2, share: 0.9 });
    const short = searchSchedule(problem, { rounds: 40 });
    const long = searchSchedule(problem, { rounds: 600 });
    expect(long.schedule.worked).to.be.at.most(short.schedule.worked + 1e-6);
    expect(searchSchedule(problem, { rounds: 600 }).schedule).to.deep.equal(long.schedule);
    expect(long.schedule.worked).to.be.lessThan(oneByOne(problem));
  });

  it('stops when it is told to, with the best so far', () => {
    const problem = randomOrder(7, { machines: 3, hoopings: 9, halts: 2, share: 0.9 });
    let told = 0;
    const found = searchSchedule(problem, { stop: () => ++told > 10 });
    expect(told).to.equal(11);
    expectSound(problem, found.schedule);
  });

  it('the bound is below every order of hands there is, and the plan near it, on small orders', () => {
    let solved = 0;
    for (let seed = 0; seed < 8; seed++) {
      const problem = randomOrder(900 + seed, {
        machines: 1 + (seed % 2),
        hoopings: 2,
        halts: 1,
        share: 0.9
      });
      const { schedule } = searchSchedule(problem, { rounds: 300 });
      const exact = exactSchedule(problem, schedule.worked);
      if (exact === null) continue;
      solved += 1;
      expect(lowerBound(problem).worked).to.be.at.most(exact + 1e-6);
      expect(schedule.worked).to.be.at.most(exact * 1.02);
    }
    expect(solved).to.be.greaterThan(3);
  });

  it('a small order is gone through exactly: the bound is the plan where nothing can end sooner, and never above it', () => {
    let [proven, raised] = [0, 0];
    for (let seed = 0; seed < 8; seed++) {
      const problem = randomOrder(900 + seed, {
        machines: 1 + (seed % 2),
        hoopings: 2,
        halts: 1,
        share: 0.9
      });
      const { schedule, bound } = searchSchedule(problem, { rounds: 300 });
      const tight = tightened(problem, schedule, bound);
      expect(tight.worked).to.be.at.least(bound.worked);
      expect(tight.worked).to.be.at.most(schedule.worked + 1e-6);
      if (schedule.worked - tight.worked < 1) proven++;
      if (tight.worked > bound.worked + 1) raised++;
    }
    expect(proven).to.be.greaterThan(3);
    expect(raised).to.be.greaterThan(0);
    // Nothing is said of an order with two pairs of hands, or of many hoopings.
    const two = randomOrder(901, { machines: 2, hoopings: 2, halts: 1, share: 0.9 });
    const { schedule, bound } = searchSchedule(two, { rounds: 100 });
    expect(tightened({ ...two, people: 2 }, schedule, bound)).to.equal(bound);
  });
});
