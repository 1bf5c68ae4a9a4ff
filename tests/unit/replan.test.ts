import { expect } from 'chai';
import { readValue } from '$lib/core/documents/files';
import { newLine } from '$lib/core/documents/order';
import type { Run, RunEvent } from '$lib/core/documents/run';
import { type BatchPlan, hoopingPlan, planBatch, type Progress, progressOf } from '$lib/core/ordering/day';
import { precedence } from '$lib/core/ordering/day/jobs';
import { copiesOf, piecesDone } from '$lib/core/ordering/day/progress';
import { foldRun } from '$lib/core/running/runs';
import { demoItem, demoSetup, demoShop } from './support/demo';
import { machine, orderOf, patches, plainPatch, shopOf, SIX } from './support/orders';
import { runOfHooping } from './support/orderRuns';

const shop = shopOf([machine('one'), machine('two')]);
const input = patches(20, shop);
const begin = planBatch(input);
const first = begin.hoopings.toSorted((a, b) => a.from - b.from)[0];
const copiesIn = (plan: BatchPlan): number => plan.hoopings.reduce((sum, { copies }) => sum + copies, 0);

/** A run of a hooping of the plan, so far on that so many of its steps are done. */
function runOf(done: number | 'all', more: Partial<Run> = {}): Run {
  return { ...runOfHooping({ order: input.order, item: plainPatch(), shop }, first, done), ...more };
}

describe('re-plan: the run of a hooping', () => {
  it('has every step once, numbered from 1, the set-up of the job first', () => {
    const { plan } = runOf(0);
    expect(plan.copies).to.equal(first?.copies);
    expect(plan.steps.map(({ number }) => number)).to.deep.equal(plan.steps.map((_, at) => at + 1));
    expect(plan.steps[0]?.op?.do).to.equal('set-up');
    expect(new Set(plan.steps.map(({ id }) => id)).size).to.equal(plan.steps.length);
    expect(plan.stitches).to.equal(21_000 * (first?.copies ?? 0));
    expect(plan.totals.needle.value).to.be.closeTo(
      plan.steps.reduce((sum, { running }) => sum + running.value, 0),
      1e-6
    );
  });

  it('is a document that can be read again', () => {
    expect(readValue('run', runOf(2))).to.include({ ok: true });
  });

  it('cuts hooped material once, laid pieces for each copy', () => {
    const tabs = demoShop();
    const order = orderOf([newLine('line', 'badger-tab', 6)]);
    const items = [{ item: demoItem('badger-tab'), setup: demoSetup('badger-tab') }];
    const plan = planBatch({ order, items, shop: tabs }, { rounds: 20 });
    const [hooping] = plan.hoopings;
    const made = hooping && hoopingPlan({ order, items, shop: tabs }, hooping);
    const count = (piece: string): number | undefined =>
      made?.plan.cuts.find(({ pieceId }) => pieceId === piece)?.count;
    expect(count('stabiliser')).to.equal(1);
    expect(count('front')).to.equal(hooping?.copies);
  });

  it('is none where its machine or hoop is gone', () => {
    if (!first) throw new Error('nothing to look at');
    expect(hoopingPlan({ ...input, shop: shopOf([machine('other')]) }, first)).to.equal(null);
    expect(hoopingPlan({ ...input, order: orderOf([]) }, first)).to.equal(null);
  });
});

describe('re-plan: from what is done', () => {
  it('a finished hooping counts its copies, and only the rest is planned', () => {
    const progress = progressOf([runOf('all')]);
    expect(progress.done).to.deep.equal([{ lineId: 'line', stage: 0, copies: first?.copies }]);
    const plan = planBatch({ ...input, progress });
    expect(copiesIn(plan)).to.equal(20 - (first?.copies ?? 0));
    expect(plan.lines[0]?.done).to.equal(first?.copies);
    // Copies are numbered on from those that are through.
    const numbers = plan.hoopings.flatMap((each) => each.numbers).sort((a, b) => a - b);
    expect(numbers[0]).to.equal((first?.copies ?? 0) + 1);
    expect(numbers.at(-1)).to.equal(20);
  });

  it('what is under way stays on its machine and in its hoop, with what is left of it', () => {
    const run = runOf(4);
    const progress = progressOf([run]);
    expect(progress.begun).to.have.length(1);
    const plan = planBatch({ ...input, progress });
    const under = plan.hoopings.find(({ runId }) => runId === 'run');
    expect(under).to.include({ stationId: first?.stationId, hoopId: first?.hoopId, copies: first?.copies });
    expect(copiesIn(plan)).to.equal(20);
    const state = foldRun(run.plan.steps, run.events);
    const left = run.plan.steps.reduce(
      (sum, { running }, at) => sum + (state.done[at] ? 0 : running.value),
      0
    );
    const own = plan.tasks.filter(({ hoopingId, kind }) => hoopingId === 'run' && kind === 'needle');
    expect(own.reduce((sum, { from, to }) => sum + to - from, 0)).to.be.closeTo(left, 1e-6);
    expect(plan.tasks.filter(({ hoopingId, kind }) => hoopingId === 'run' && kind === 'load')).to.deep.equal(
      []
    );
    // Nothing else is put on that machine before it is off.
    const end = Math.max(...own.map(({ to }) => to));
    const others = plan.tasks.filter(
      ({ stationId, hoopingId, kind }) =>
        stationId === first?.stationId && hoopingId !== 'run' && kind === 'needle'
    );
    for (const { from } of others) expect(from).to.be.at.least(end);
  });

  it('a hooping off the machine is finished at the table and holds no machine up', () => {
    const run = runOf(0);
    const last = run.plan.steps.findIndex(({ op }) => op?.do === 'hoop-off');
    const plan = planBatch({ ...input, progress: progressOf([runOf(last + 1)]) });
    expect(plan.hoopings.some(({ runId }) => runId === 'run')).to.equal(false);
    expect(copiesIn(plan)).to.equal(20 - (first?.copies ?? 0));
    expect(
      plan.tasks.filter(({ kind, hoopingId }) => kind === 'finish' && hoopingId === null)
    ).to.not.deep.equal([]);
  });

  it('names already stitched, or under way, are not stitched again, whatever was taken first', () => {
    const lines = [{ ...newLine('line', 'patch', 20), names: ['Ivy', 'Otto', 'Wren', 'Ivy'] }];
    const done = runOf('all');
    if (done.order) done.order.names = ['Otto', 'Ivy'];
    const under = runOf(4, { id: 'other' });
    if (under.order) under.order.names = ['Wren'];
    const plan = planBatch({ ...input, order: orderOf(lines), progress: progressOf([done, under]) });
    const planned = plan.hoopings.filter(({ runId }) => runId === null).flatMap(({ names }) => names);
    expect(planned).to.deep.equal(['Ivy']);
    const none = planBatch({ ...input, order: orderOf(lines) });
    expect(none.hoopings.flatMap(({ names }) => names).sort()).to.deep.equal(['Ivy', 'Ivy', 'Otto', 'Wren']);
  });

  it('lace off the machine is washed once, together with what comes later', () => {
    const lace = plainPatch({ id: 'patch', stitches: 4000, wash: true });
    const own = { ...input, items: [{ item: lace }] };
    const [taken] = planBatch(own, { rounds: 20 }).hoopings;
    const made = taken && hoopingPlan(own, taken);
    if (!taken || !made) return expect.fail('lace can be stitched');
    const off = made.plan.steps.findIndex(({ op }) => op?.do === 'hoop-off');
    const { lineId, stage, copies, stationId, hoopId } = taken;
    const begun = {
      ...{ runId: 'run', lineId, stage, copies, stationId, hoopId, way: taken.way, names: [] },
      done: made.plan.steps.slice(0, off + 1).map(({ id }) => id)
    };
    const plan = planBatch({ ...own, progress: { done: [], begun: [begun], named: [] } }, { rounds: 20 });
    expect(plan.tasks.filter(({ title }) => /rinse/i.test(title))).to.have.length(1);
    expect(plan.tasks.filter(({ kind }) => kind === 'wait')).to.have.length(1);
    const press = plan.tasks.filter(({ title }) => /press/i.test(title));
    // Twenty pieces, 45 s each.
    expect(press.reduce((sum, { from, to }) => sum + to - from, 0)).to.be.closeTo(20 * 45, 1e-6);
  });

  it('a run keeps the way its steps were made for', () => {
    if (!first) throw new Error('nothing to look at');
    const way = first.way === 'copy-by-copy' ? 'colour-by-colour' : 'copy-by-copy';
    const made = hoopingPlan(input, { ...first, way });
    const steps = made?.plan.steps ?? [];
    const done = steps.slice(0, steps.findIndex(({ kind }) => kind === 'stop') + 1).map(({ id }) => id);
    const { lineId, stage, copies, stationId, hoopId } = first;
    const begun = { runId: 'run', lineId, stage, copies, stationId, hoopId, way, names: [], done } as const;
    const plan = planBatch({ ...input, progress: { done: [], begun: [{ ...begun, names: [] }], named: [] } });
    const left = steps.reduce((sum, { id, running }) => sum + (done.includes(id) ? 0 : running.value), 0);
    const needle = plan.tasks.filter(({ hoopingId, kind }) => hoopingId === 'run' && kind === 'needle');
    expect(needle.reduce((sum, { from, to }) => sum + to - from, 0)).to.be.closeTo(left, 1e-6);
  });

  it('a run given up, or never begun, leaves its copies to be planned', () => {
    const stopped = runOf(3);
    stopped.events.push({ ...(stopped.events[0] as RunEvent), seq: 99, type: 'stop-early', at: 9e9 });
    expect(progressOf([stopped])).to.deep.equal({ done: [], begun: [], named: [] });
    expect(progressOf([runOf(0, { events: [] })])).to.deep.equal({ done: [], begun: [], named: [] });
    const loose = runOf('all');
    delete loose.order;
    expect(progressOf([loose]).done).to.deep.equal([]);
  });

  it('pieces that came out bad are stitched again', () => {
    expect(copiesOf({ quantity: 20, perFile: 1, spoiled: 3 }, 0.03)).to.equal(23);
    expect(copiesOf({ quantity: 20, perFile: 1, spoiled: 0 }, 0.03)).to.equal(21);
    expect(copiesOf({ quantity: 20, perFile: 6, spoiled: 0 }, 0)).to.equal(4);
    const lines = [{ ...newLine('line', 'patch', 20), spoiled: 3 }];
    const plan = planBatch({ ...input, order: orderOf(lines), progress: progressOf([runOf('all')]) });
    expect(copiesIn(plan)).to.equal(23 - (first?.copies ?? 0));
    expect(piecesDone({ lines }, progressOf([runOf('all')]), () => 0)).to.deep.equal([
      { lineId: 'line', pieces: (first?.copies ?? 0) - 3 }
    ]);
  });

  it('an hour lost moves the rest of the day, a full order is done', () => {
    const late = planBatch({ ...input, order: { ...input.order, from: '2026-11-27T10:00' } });
    expect(late.finish - late.start).to.be.closeTo(begin.finish - begin.start, 60);
    expect(late.start - begin.start).to.equal(3600);
    const all: Progress = { done: [{ lineId: 'line', stage: 0, copies: 20 }], begun: [], named: [] };
    const done = planBatch({ ...input, progress: all });
    expect(done.hoopings).to.deep.equal([]);
    expect(done.finish).to.equal(done.start);
  });
});

describe('re-plan: which hoopings need which', () => {
  const hooping = (stage: number, copies: number, follows: number | null = null) =>
    ({ lineId: 'line', stage, copies, hoopId: 'six', follows }) as const;
  const none = { done: [] };

  it('patches of the second clamping need those that cut them', () => {
    // Cut 4 and 4, then edge 3, 3 and 2: the second lot of three takes the fourth of the first and two of the second.
    const all = [hooping(0, 4), hooping(0, 4), hooping(1, 3), hooping(1, 3), hooping(1, 2)];
    expect(precedence([], all, none)).to.deep.equal([[], [], [0], [0, 1], [1]]);
  });

  it('what is through already is needed no more', () => {
    const all = [hooping(0, 4), hooping(1, 3), hooping(1, 3), hooping(1, 2)];
    const done = [{ lineId: 'line', stage: 0, copies: 4 }];
    expect(precedence([], all, { done })).to.deep.equal([[], [], [0], [0]]);
  });

  it('one cloth follows itself', () => {
    expect(precedence([], [hooping(0, 1), hooping(0, 1, 0), hooping(0, 1, 1)], none)).to.deep.equal([
      [],
      [0],
      [1]
    ]);
  });

  it('a border patch is edged after it is cut', () => {
    const order = orderOf([newLine('line', 'fern-border-patch', 5)]);
    const items = [{ item: demoItem('fern-border-patch'), setup: demoSetup('fern-border-patch') }];
    const plan = planBatch({ order, items, shop: demoShop() }, { rounds: 60 });
    const cut = plan.hoopings.filter(({ stage }) => stage === 0);
    const edged = plan.hoopings.filter(({ stage }) => stage === 1);
    expect(cut.reduce((sum, { copies }) => sum + copies, 0)).to.equal(5);
    expect(edged.reduce((sum, { copies }) => sum + copies, 0)).to.equal(5);
    const firstCut = Math.min(...cut.map(({ to }) => to));
    for (const { from } of edged) expect(from).to.be.at.least(firstCut);
    expect(edged[0]?.stages).to.equal(2);
  });
});

describe('re-plan: a plan that is looked for', () => {
  it('tells of better ones on the way, each no worse than the last, and stops when asked', () => {
    const found: BatchPlan[] = [];
    const plan = planBatch(patches(30, shopOf([machine('a'), machine('b', { paceSpm: 500 })], [SIX])), {
      rounds: 300,
      onBetter: (better) => found.push(better)
    });
    expect(found.length).to.be.greaterThan(0);
    for (const each of found) {
      expect(each.finish).to.be.at.least(plan.bound.finish - 1e-6);
      expect(each.hoopings.every(({ from, to }) => Number.isFinite(from) && to > from)).to.equal(true);
    }
    let asked = 0;
    const stopped = planBatch(patches(30, shop), { stop: () => ++asked > 1 });
    expect(copiesIn(stopped)).to.equal(30);
  });
});
