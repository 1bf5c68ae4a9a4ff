import { expect } from 'chai';
import fc from 'fast-check';
import { type JobTimes, searchSchedule, type TableWork } from '$lib/core/solvers/schedule';
import { lowerBound } from '$lib/core/solvers/schedule/bound';
import { sharedOutSeconds } from '$lib/core/solvers/schedule/sharedOut';
import { hands, job, jobTimes, needle, problemOf, randomOrder, station } from './support/randomOrders';

const finish = (seconds: number): TableWork[] => [
  { kind: 'hands', seconds, title: 'finish', times: 1, what: 'cut-out', once: false }
];
const machines = (count: number): ReturnType<typeof station>[] =>
  Array.from({ length: count }, (_, at) => station(`${at}`));
/** So many hoopings of these times, which every machine takes. */
const alike = (count: number, times: JobTimes, on = 2): ReturnType<typeof problemOf> =>
  problemOf(
    Array.from({ length: count }, (_, at) => job(`${at}`, Array<JobTimes>(on).fill(times), { kind: 'one' })),
    machines(on)
  );
const NONE = new Set<string>();

describe('schedule: the bound of hoopings that are given to one machine each', () => {
  const hour = jobTimes({ load: 100, segments: [hands(20), needle(3580)], off: 50, finish: finish(30) });

  it('of three alike hoopings on two machines one machine has two', () => {
    // Loaded once before the first stitch, two hours, taken out and finished.
    expect(sharedOutSeconds(alike(3, hour), 0, NONE)).to.equal(100 + 7200 + 80);
    expect(sharedOutSeconds(alike(4, hour), 0, NONE)).to.equal(120 + 120 + 7180 + 80);
  });

  it('one pair of hands begins two machines one after the other, and ends them so; two pairs do not', () => {
    const short = alike(2, jobTimes({ load: 300, segments: [hands(20), needle(1000)], finish: finish(500) }));
    // On at 320 and 640; off at 1,320 and 1,640; finished at 1,820 and 2,320.
    expect(sharedOutSeconds(short, 0, NONE)).to.equal(2320);
    expect(searchSchedule(short, { rounds: 50 }).schedule.worked).to.equal(2320);
    expect(sharedOutSeconds({ ...short, people: 2 }, 0, NONE)).to.equal(1820);
  });

  it('a job is set up once on each machine it is on, and not where a machine stands set up', () => {
    const own = jobTimes({ ...hour, setUp: 200 });
    expect(sharedOutSeconds(alike(2, own, 1), 0, NONE)).to.equal(100 + 200 + 7200 + 80);
    expect(sharedOutSeconds(alike(2, own, 1), 0, new Set(['one']))).to.equal(100 + 7200 + 80);
    // Hoopings of one kind that are not all alike need no second set-up.
    const longer = jobTimes({ ...own, segments: [hands(20), needle(4000)] });
    const mixed = problemOf(
      [job('a', [own], { kind: 'one' }), job('b', [longer], { kind: 'one' })],
      machines(1)
    );
    expect(sharedOutSeconds(mixed, 0, NONE)).to.equal(100 + 200 + 3600 + 4020 + 80);
  });

  it('what is under way stays on its machine, loaded already; hands of all count as well', () => {
    const two = alike(2, hour);
    const [first, second] = two.jobs;
    if (!first || !second) throw new Error('There are two.');
    const begun = { ...two, jobs: [{ ...first, begun: 0 }, second] };
    // The other goes on the second machine: loading it is all that comes before.
    expect(sharedOutSeconds(begun, 0, NONE)).to.be.closeTo(20 + 120 + 3580 + 80, 1e-6);
    expect(sharedOutSeconds(begun, 50_000, NONE)).to.be.above(50_000);
  });

  it('what is under way needs no set-up more, so that the bound is the end of it', () => {
    const times = jobTimes({ segments: [hands(20), needle(1000)], off: 50, setUp: 500 });
    const one = problemOf([job('a', [times], { kind: 'one', begun: 0 })], machines(1));
    expect(lowerBound(one).worked).to.equal(1070);
    expect(searchSchedule(one, { rounds: 10 }).schedule.worked).to.equal(1070);
  });

  it('says nothing where there are too many ways, or nothing to stitch', () => {
    const many = problemOf(
      Array.from({ length: 60 }, (_, at) =>
        job(`${at}`, Array<JobTimes>(4).fill(jobTimes({ segments: [hands(20), needle(1000 + at)] })))
      ),
      machines(4)
    );
    expect(sharedOutSeconds(many, 0, NONE)).to.equal(0);
    expect(sharedOutSeconds(problemOf([], machines(2)), 0, NONE)).to.equal(0);
  });

  it('is above no schedule of any order, whoever works', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 0, max: 10_000 }),
        fc.integer({ min: 1, max: 4 }),
        fc.integer({ min: 1, max: 9 }),
        fc.integer({ min: 1, max: 3 }),
        (seed, count, hoopings, people) => {
          const order = randomOrder(seed, {
            machines: count,
            hoopings,
            halts: 2,
            share: 0.3 + (seed % 10) / 8
          });
          const problem = { ...order, people };
          const { schedule } = searchSchedule(problem, { rounds: 40 });
          expect(sharedOutSeconds(problem, 0, NONE)).to.be.at.most(schedule.worked + 1e-6);
        }
      ),
      { numRuns: 60 }
    );
  });
});
