import type { RunEvent, RunEventType } from '$lib/core/documents/run';
import { plan } from '$lib/core/making/plan';
import { compareRun, foldRun, lookAhead, readStitch, stepSeconds, timesFrom } from '$lib/core/running/runs';
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
  it('says when hands are needed: one needle halts after every stop, several run on', () => {
    expect(lookAhead(badger, indexOf('stop-2'), 0).untilHands).to.equal(22);
    expect(lookAhead(badger, indexOf('stop-2'), 12).untilHands).to.equal(10);
    expect(lookAhead(badger, indexOf('stop-2'), 60).untilHands).to.equal(0);
    expect(lookAhead(badger, indexOf('lay-front'), 0).untilHands).to.equal(0);
    const six = { ...badger, machine: { ...badger.machine, needles: 6 } };
    expect(lookAhead(six, indexOf('stop-2'), 12).untilHands).to.equal(10 + 229);
    // In one-colour mode one needle runs through as well.
    const [first, ...rest] = badger.steps;
    if (!first) throw new Error('no steps');
    const merged = { ...badger, steps: [{ ...first, op: { do: 'one-colour' as const, stops: 6 } }, ...rest] };
    expect(lookAhead(merged, indexOf('stop-2'), 0).untilHands).to.equal(22 + 229);
  });
  it('counts what lies after a stitch that is known, not what the clock has seen', () => {
    const face = indexOf('stop-3');
    // 1,500 stitches in 229 s: at stitch 1,200 a fifth is left, however long it took to get there.
    const known = { stitch: 1200, seconds: 400 };
    expect(lookAhead(badger, face, 400, known).untilHands).to.be.closeTo(229 / 5, 1e-9);
    expect(lookAhead(badger, face, 410, known).left).to.be.closeTo(229 / 5 - 10, 1e-9);
    const log = (...more: RunEvent[]): RunEvent[] => [
      ...events(['start', null, 0], ['go-to', 'a', 0]),
      ...more
    ];
    const marked: RunEvent = {
      ...{ runId: 'run', seq: 3, client: 'tab', copy: 1, stop: 3, text: '', type: 'mark-stitch' },
      ...{ stepId: 'b', stitch: 1200, at: 45_000 }
    };
    const state = foldRun(steps, log({ ...marked, seq: 2, type: 'done', stepId: 'a', at: 5000 }, marked));
    expect(state.known).to.deep.equal({ stitch: 1200, seconds: 40 });
    expect(state.mark).to.deep.equal({ stepId: 'b', stop: 3, stitch: 1200 });
    // Coming back to the marked stop, it goes on at the mark; once it is done there is no mark any more.
    const away: RunEvent = { ...marked, type: 'go-to', to: 'a', at: 50_000 };
    const back: RunEvent = { ...marked, type: 'go-to', stepId: 'a', to: 'b', at: 60_000 };
    const did: RunEvent = { ...marked, type: 'done', at: 70_000 };
    const before = log({ ...marked, seq: 2, type: 'done', stepId: 'a', at: 5000 }, marked, away);
    expect(foldRun(steps, before).known).to.equal(null);
    expect(foldRun(steps, [...before, back]).known?.stitch).to.equal(1200);
    expect(foldRun(steps, [...before, back, did]).mark).to.equal(null);
  });
  it('reads a stitch number as people write it, and refuses more than the stop has', () => {
    const face = indexOf('stop-3');
    const read = (typed: string, counts?: 'stop' | 'design'): number | string | null => {
      const { stitch, problem } = readStitch(typed, badger, face, counts && { counts });
      return problem ?? stitch;
    };
    for (const typed of ['1200', '1,200', '1.200', '1 200', '1’200', ' 1200 '])
      expect(read(typed)).to.equal(1200);
    expect(read('')).to.equal(null);
    for (const typed of ['12,0', '1.2', 'half', '-3', '12 00'])
      expect(read(typed)).to.equal('A stitch number is a whole number.');
    expect(read('1,600')).to.equal('Stop 3 has 1,500 stitches.');
    // Two stops of 120 stitches come before it, which a machine that counts over the design shows too.
    expect(read('1,440', 'design')).to.equal(1200);
    expect(read('1,741', 'design')).to.equal('Stop 3 ends at stitch 1,740 of the design.');
    expect(read('200', 'design')).to.equal('Stop 3 begins at stitch 240 of the design.');
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
