import type { RunEvent, RunEventType } from '$lib/core/documents/run';
import { plan } from '$lib/core/making/plan';
import { compareRun, foldRun, lookAhead, stepSeconds, timesFrom } from '$lib/core/running/runs';
import { expect } from 'chai';
import fc from 'fast-check';
import { badgerShop, badgerTab } from './support/badger';

const badger = plan(badgerTab(), undefined, badgerShop());
const steps = [
  { id: 'a', kind: 'hand' as const },
  { id: 'b', kind: 'stop' as const },
  { id: 'c', kind: 'hand' as const }
];

/** Events from `type stepId atSeconds`, numbered in order. */
function events(...lines: [type: RunEventType, stepId: string | null, at: number][]): RunEvent[] {
  return lines.map(([type, stepId, at], index) => ({
    ...{ runId: 'run', seq: index + 1, client: 'tab', copy: 1, stop: null, stitch: null, text: '' },
    ...{ type, stepId, at: at * 1000 }
  }));
}

describe('run: the fold over events', () => {
  it('steps on with each done and books the time between', () => {
    const state = foldRun(steps, events(['start', null, 100], ['done', 'a', 130], ['done', 'b', 230]));
    expect(state).to.deep.include({ phase: 'running', at: 2, seconds: [30, 100, 0] });
    expect(stepSeconds(state, 240_000)).to.equal(10);
  });
  it('leaves pauses out, also when the next press is done', () => {
    const paused = events(['start', null, 0], ['pause', 'a', 10], ['resume', 'a', 500], ['done', 'a', 520]);
    expect(foldRun(steps, paused).seconds[0]).to.equal(30);
    expect(stepSeconds(foldRun(steps, paused.slice(0, 2)), 400_000)).to.equal(10);
    expect(
      foldRun(steps, events(['start', null, 0], ['pause', 'a', 10], ['done', 'a', 500])).seconds[0]
    ).to.equal(10);
  });
  it('goes back and adds to what the step took before', () => {
    const state = foldRun(
      steps,
      events(['start', null, 0], ['done', 'a', 10], ['back', 'b', 15], ['done', 'a', 35])
    );
    expect(state).to.deep.include({ at: 1, seconds: [30, 5, 0] });
  });
  it('takes a press on a stale screen for nothing, so two tabs never step twice', () => {
    const state = foldRun(
      steps,
      events(['start', null, 0], ['done', 'a', 10], ['done', 'a', 11], ['back', 'a', 12])
    );
    expect(state).to.deep.include({ at: 1, seconds: [10, 0, 0] });
  });
  it('runs the last stop again and notes it', () => {
    const state = foldRun(
      steps,
      events(['start', null, 0], ['done', 'a', 10], ['done', 'b', 20], ['again', 'c', 25])
    );
    expect(state.at).to.equal(1);
    expect(state.incidents.map(({ type, stepId }) => [type, stepId])).to.deep.equal([['again', 'b']]);
    expect(foldRun(steps, events(['start', null, 0], ['again', 'a', 5])).incidents).to.deep.equal([]);
  });
  it('keeps faults and goes on', () => {
    const state = foldRun(
      steps,
      events(['start', null, 0], ['thread-broke', 'a', 5], ['note', 'a', 6], ['done', 'a', 10])
    );
    expect(state.incidents.map(({ type }) => type)).to.deep.equal(['thread-broke', 'note']);
    expect(state.seconds[0]).to.equal(10);
  });
  it('is over with finish; nothing after counts', () => {
    const state = foldRun(
      steps,
      events(
        ['start', null, 0],
        ['done', 'a', 10],
        ['done', 'b', 20],
        ['done', 'c', 30],
        ['finish', null, 40],
        ['back', null, 50]
      )
    );
    expect(state).to.deep.include({ phase: 'finished', at: 3, endedAt: 40_000, seconds: [10, 10, 10] });
  });
  it('does not count a clock that was set back', () => {
    expect(foldRun(steps, events(['start', null, 100], ['done', 'a', 40])).seconds[0]).to.equal(0);
  });

  const anyEvents = fc.array(
    fc.tuple(
      fc.constantFrom<RunEventType>('done', 'back', 'pause', 'resume', 'thread-broke', 'again'),
      fc.constantFrom('a', 'b', 'c', null),
      fc.integer({ min: 0, max: 60 })
    ),
    { maxLength: 25 }
  );
  it('never books more than the time that passed, and stays inside the item', () => {
    fc.assert(
      fc.property(anyEvents, (list) => {
        let at = 0;
        const all = events(
          ['start', null, 0],
          ...list.map(([type, id, wait]): [RunEventType, string | null, number] => [type, id, (at += wait)])
        );
        const state = foldRun(steps, all);
        expect(state.at).to.be.within(0, steps.length);
        expect(state.seconds.reduce((sum, seconds) => sum + seconds, 0)).to.be.at.most(at);
        // A reload in the middle is the same as none: the fold has no memory but the events.
        expect(foldRun(steps, JSON.parse(JSON.stringify(all)) as RunEvent[])).to.deep.equal(state);
      })
    );
  });
});

describe('run: predicted against actual', () => {
  it('compares only what the run came to, each kind by itself', () => {
    const log = events(
      ['start', null, 0],
      ['done', 'set-up', 100],
      ['done', 'hoop', 250],
      ['done', 'hoop-on-1', 270],
      ['done', 'thread-before-stop-1', 370],
      ['done', 'stop-1', 400],
      ['stop-early', 'lay-front', 410]
    );
    const { steps: compared, predicted, actual } = compareRun(badger, log);
    expect(compared.slice(0, 6).map((step) => step.actual)).to.deep.equal([100, 150, 20, 100, 30, 10]);
    expect(compared[7]?.actual).to.equal(null);
    // The step that was broken off is shown but not compared.
    expect(actual).to.deep.equal({ hands: 370, needle: 30, waiting: 0 });
    expect(predicted).to.deep.equal({ hands: 90 + 120 + 20 + 85, needle: 22, waiting: 0 });
  });
});

describe('run: looking ahead', () => {
  const indexOf = (id: string): number => badger.steps.findIndex((step) => step.id === id);
  it('says when hands are needed: this stop’s rest and what follows without a halt', () => {
    expect(lookAhead(badger, indexOf('stop-2'), 0).untilHands).to.equal(22 + 229);
    expect(lookAhead(badger, indexOf('stop-2'), 12).untilHands).to.equal(10 + 229);
    expect(lookAhead(badger, indexOf('stop-2'), 60).untilHands).to.equal(229);
    expect(lookAhead(badger, indexOf('lay-front'), 0).untilHands).to.equal(0);
  });
  it('says what is still to do, by kind', () => {
    expect(timesFrom(badger, 0).needle).to.equal(492);
    expect(timesFrom(badger, indexOf('stop-6'))).to.deep.include({ needle: 67, waiting: 0 });
    expect(timesFrom(badger, badger.steps.length)).to.deep.equal({ hands: 0, needle: 0, waiting: 0 });
  });
  it('says which thread and which piece come next', () => {
    const ahead = lookAhead(badger, indexOf('turn-over-3'), 0);
    expect([ahead.thread?.name, ahead.piece?.name, ahead.nextStop?.id, ahead.next?.id]).to.deep.equal([
      'White',
      'BACK',
      'stop-6',
      'snip-back'
    ]);
    expect(lookAhead(badger, badger.steps.length - 1, 0)).to.deep.include({
      next: undefined,
      thread: undefined,
      piece: undefined
    });
  });
});
