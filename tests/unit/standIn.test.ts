import type { RunEvent, RunEventType } from '$lib/core/documents/run';
import { plan } from '$lib/core/making/plan';
import { foldRun, followMachine, nextCommand } from '$lib/core/running/runs';
import {
  advance,
  type MachineCommand,
  type MachineEvent,
  machineJobOf,
  type MachineState,
  newStandIn,
  obey,
  type StandInSetup
} from '$lib/core/running/standIn';
import { expect } from 'chai';
import fc from 'fast-check';
import { badgerShop, badgerTab } from './support/badger';

const tab = plan(badgerTab(), undefined, badgerShop());
const job = machineJobOf(tab, 'run-1');
const setup: StandInSetup = {
  ...{ name: 'Stand-in', needles: 1, heads: 1, spm: 400, trimmer: false, haltEveryStop: false },
  ...{ hoop: 'hoop-100', bobbinMetres: 40, faultsPer10k: 0, seed: 1, speed: 1 }
};

/** Tells a machine several things, all of which it must take. */
function tell(
  machine: MachineState,
  ...commands: MachineCommand[]
): { machine: MachineState; events: MachineEvent[] } {
  let state = machine;
  const events: MachineEvent[] = [];
  for (const command of commands) {
    const answer = obey(state, command);
    if (!answer.ok) throw new Error(`${command.do}: ${answer.message}`);
    state = answer.state;
    events.push(...answer.events);
  }
  return { machine: state, events };
}
const refusedWith = (machine: MachineState, command: MachineCommand): string => {
  const answer = obey(machine, command);
  return answer.ok ? 'taken' : answer.code;
};
const ready = (more: Partial<StandInSetup> = {}): MachineState =>
  tell(
    newStandIn({ ...setup, ...more }),
    { do: 'load', job },
    { do: 'hoop-on', hoop: 'hoop-100' },
    { do: 'rethread', needle: 1, thread: 'White' }
  ).machine;
const said = (events: readonly MachineEvent[]): string[] =>
  events.map(({ type, stop }) => `${type} ${stop ?? ''}`.trim());

describe('the stand-in machine', () => {
  it('stitches the placement of the worked example in 22 s and halts', () => {
    // 120 stitches at 400 spm are 18 s; 2 s to get up to speed and 2 s to halt.
    const { machine } = tell(ready(), { do: 'start' });
    expect(advance(machine, 21.9).state.phase).to.equal('running');
    const { state, events } = advance(machine, 22);
    expect(said(events)).to.deep.equal(['stop-ended 1', 'halted 2']);
    expect(events[0]?.seconds).to.be.closeTo(22, 1e-6);
    expect(state).to.include({ phase: 'halted', at: 1, stitch: 0 });
  });
  it('of six needles runs on, but for the halts that are programmed', () => {
    const sixNeedles = plan(badgerTab(), undefined, {
      ...badgerShop(),
      machines: [badgerShop().machines[1]!]
    });
    const file = machineJobOf(sixNeedles, 'run-2');
    expect(file.stops.map(({ halt }) => halt)).to.deep.equal([true, false, false, false, true, true]);
    const threads = [...new Set(file.stops.map(({ needle, thread }) => `${needle} ${thread}`))];
    const machine = tell(
      newStandIn({ ...setup, needles: 6 }),
      { do: 'load', job: file },
      { do: 'hoop-on', hoop: 'hoop-100' },
      ...threads.map((each): MachineCommand => ({
        do: 'rethread',
        needle: Number(each.split(' ')[0]),
        thread: each.slice(2)
      })),
      { do: 'start' }
    ).machine;
    const first = advance(machine, 10_000);
    expect(said(first.events)).to.deep.equal(['stop-ended 1', 'halted 2']);
    const second = advance(tell(first.state, { do: 'start' }).machine, 10_000);
    expect(said(second.events).filter((each) => !each.startsWith('needle'))).to.deep.equal(
      [
        'stop-ended 2',
        'stop-began 3',
        'stop-ended 3',
        'stop-began 4',
        'stop-ended 4',
        'stop-began 5',
        'stop-ended 5'
      ].concat('halted 6')
    );
  });
  it('refuses what a machine would, and says why', () => {
    const fresh = newStandIn(setup);
    const loaded = tell(fresh, { do: 'load', job }).machine;
    const hooped = tell(loaded, { do: 'hoop-on', hoop: 'hoop-100' }).machine;
    const running = tell(ready(), { do: 'start' }).machine;
    expect(refusedWith(fresh, { do: 'start' })).to.equal('no-job');
    expect(refusedWith(fresh, { do: 'jump', stop: 1, stitch: 0 })).to.equal('no-job');
    expect(refusedWith(fresh, { do: 'load', job: { ...job, hoop: 'hoop-200' } })).to.equal('wrong-hoop');
    expect(refusedWith(loaded, { do: 'start' })).to.equal('no-hoop');
    expect(refusedWith(loaded, { do: 'hoop-off' })).to.equal('no-hoop');
    expect(refusedWith(loaded, { do: 'hoop-on', hoop: 'hoop-130' })).to.equal('wrong-hoop');
    expect(refusedWith(hooped, { do: 'start' })).to.equal('no-thread');
    expect(refusedWith(hooped, { do: 'hoop-on', hoop: 'hoop-100' })).to.equal('hoop-is-on');
    expect(refusedWith(hooped, { do: 'rethread', needle: 2, thread: 'White' })).to.equal('no-needle');
    expect(refusedWith(hooped, { do: 'jump', stop: 9, stitch: 0 })).to.equal('no-stop');
    expect(refusedWith(hooped, { do: 'jump', stop: 1, stitch: 120 })).to.equal('no-stitch');
    expect(refusedWith(hooped, { do: 'stop' })).to.equal('not-running');
    expect(refusedWith(hooped, { do: 'clear' })).to.equal('no-nest');
    for (const command of [
      { do: 'start' },
      { do: 'hoop-off' },
      { do: 'bobbin' },
      { do: 'load', job }
    ] as const)
      expect(refusedWith(running, command)).to.equal('running');
    expect(refusedWith(running, { do: 'stop' })).to.equal('taken');
  });
  it('halts where the bobbin ends, goes on with a full one, and needs the stitches it was backed up over', () => {
    // The face takes 3.24 m of 8.1 m upper thread: with 1 m it ends after 1500 / 3.24 stitches.
    const start = tell(
      ready(),
      { do: 'jump', stop: 3, stitch: 0 },
      { do: 'bobbin', metres: 1 },
      { do: 'start' }
    ).machine;
    const { state, events } = advance(start, 10_000);
    const fault = events.at(-1);
    expect(fault).to.include({ type: 'fault', fault: 'bobbin-out', stop: 3 });
    expect(fault?.stitch).to.equal(Math.round(1500 / 3.24));
    expect(refusedWith(state, { do: 'start' })).to.equal('no-bobbin');
    const on = tell(state, { do: 'jump', stop: 3, stitch: 453 }, { do: 'bobbin' }, { do: 'start' });
    expect(said(on.events)).to.deep.equal(['jumped 3', 'bobbin 3', 'started 3']);
    expect(said(advance(on.machine, 10_000).events)[0]).to.equal('stop-ended 3');
  });
  it('breaks threads at the same stitches for the same seed, once each', () => {
    const often = { ...setup, faultsPer10k: 20, seed: 7 };
    const run = (): string[] => {
      let machine = tell(ready(often), { do: 'jump', stop: 3, stitch: 0 }, { do: 'start' }).machine;
      const faults: string[] = [];
      for (let tries = 0; tries < 50 && machine.at === 2; tries++) {
        const { state, events } = advance(machine, 10_000);
        const fault = events.find(({ type }) => type === 'fault');
        if (!fault) return faults;
        faults.push(`${fault.fault ?? ''} ${fault.stitch ?? ''}`);
        const mend: MachineCommand =
          fault.fault === 'nest' ? { do: 'clear' } : { do: 'rethread', needle: 1, thread: 'White' };
        machine = tell(state, mend, { do: 'start' }).machine;
      }
      return faults;
    };
    const faults = run();
    expect(faults.length).to.be.within(1, 10);
    expect(new Set(faults).size).to.equal(faults.length);
    expect(run()).to.deep.equal(faults);
  });
  it('comes out the same however time is cut into pieces', () => {
    fc.assert(
      fc.property(
        fc.array(fc.double({ min: 0.01, max: 60, noNaN: true }), { minLength: 1, maxLength: 40 }),
        fc.integer({ min: 0, max: 1000 }),
        (pieces, seed) => {
          const start = tell(
            ready({ faultsPer10k: 10, seed }),
            { do: 'jump', stop: 3, stitch: 0 },
            { do: 'start' }
          ).machine;
          const whole = advance(
            start,
            pieces.reduce((sum, each) => sum + each, 0)
          );
          let state = start;
          const events: MachineEvent[] = [];
          for (const piece of pieces) {
            const step = advance(state, piece);
            state = step.state;
            events.push(...step.events);
          }
          expect(said(events)).to.deep.equal(said(whole.events));
          expect(state.stitch).to.be.closeTo(whole.state.stitch, 1e-6);
          expect(state.bobbin).to.be.closeTo(whole.state.bobbin, 1e-6);
        }
      ),
      { numRuns: 60 }
    );
  });
});

describe('a run that follows a machine', () => {
  /** A whole item: hands press done, the machine does the rest, and every event it tells is taken once. */
  function follow(machine: MachineState, seconds: number): { events: RunEvent[]; faults: number } {
    const events: RunEvent[] = [];
    let state = machine;
    let now = 0;
    const store = (type: RunEventType, stepId: string | null, more: Partial<RunEvent> = {}): void => {
      events.push({
        ...{ runId: 'run-1', seq: events.length + 1, at: Math.round(now * 1000), client: 'tab', copy: 1 },
        ...{ stop: null, stitch: null, text: '', type, stepId, ...more }
      });
    };
    const take = (told: readonly MachineEvent[]): void => {
      for (const event of told)
        for (const draft of followMachine(tab, foldRun(tab.steps, events), event))
          store(draft.type, draft.stepId, { ...draft, from: { session: 'm', seq: event.seq } });
    };
    store('start', null);
    for (let turn = 0; turn < 2000; turn++) {
      const run = foldRun(tab.steps, events);
      if (run.at >= tab.steps.length) break;
      if (run.fault) {
        now += 90;
        store('sorted', null, { stitch: run.fault.stitch });
        continue;
      }
      const command = nextCommand(tab, run, state, job);
      if (command) {
        const answer = obey(state, command);
        if (!answer.ok) throw new Error(`${command.do}: ${answer.message}`);
        state = answer.state;
        take(answer.events);
      } else if (tab.steps[run.at]?.kind === 'hand') {
        now += 20;
        store('done', tab.steps[run.at]?.id ?? null);
      } else {
        const after = advance(state, seconds);
        now += seconds;
        state = after.state;
        take(after.events);
      }
    }
    return { events, faults: foldRun(tab.steps, events).faults.length };
  }
  it('is led through the whole tab, each stop timed by the machine', () => {
    const { events } = follow(newStandIn(setup), 7);
    const state = foldRun(tab.steps, events);
    expect(state.at).to.equal(tab.steps.length);
    expect(state.done.every(Boolean)).to.equal(true);
    const needle = tab.steps.flatMap(({ kind }, at) =>
      kind === 'stop' ? [Math.round(state.seconds[at] ?? 0)] : []
    );
    // As in the worked example.
    expect(needle).to.deep.equal([22, 22, 229, 13, 139, 67]);
    const told = events.flatMap(({ from }) => (from ? [from.seq] : []));
    expect(new Set(told).size).to.equal(told.length);
  });
  it('opens a recovery at every fault and books its time apart', () => {
    const { events, faults } = follow(newStandIn({ ...setup, faultsPer10k: 20, seed: 3 }), 5);
    const state = foldRun(tab.steps, events);
    expect(faults).to.be.greaterThan(1);
    expect(state.at).to.equal(tab.steps.length);
    expect(state.faults.every(({ seconds }) => seconds !== null && seconds >= 90)).to.equal(true);
    const face = tab.steps.findIndex(({ title }) => title === 'Face');
    // Backed up ten stitches and up to speed again for each fault, but not 90 s more.
    expect(state.seconds[face]).to.be.within(229, 229 + 10 * faults);
  });
  it('takes a stop that begins as the word that hands are done', () => {
    const run = foldRun(tab.steps, [
      {
        ...{ runId: 'r', seq: 1, at: 0, client: 'c', copy: 1, stop: null, stitch: null, text: '' },
        type: 'start',
        stepId: null
      }
    ]);
    const first = tab.steps.findIndex(({ kind }) => kind === 'stop');
    const began = { seq: 4, type: 'stop-began', clock: 0, stop: 1, stitch: 0, text: '' } as const;
    expect(followMachine(tab, run, began).map(({ type, stepId }) => [type, stepId])).to.deep.equal(
      tab.steps.slice(0, first).map(({ id }) => ['done', id])
    );
    // A stop further on, past others: the screen goes there, and what lies between is not taken for done.
    const ahead = followMachine(tab, run, { ...began, stop: 5 });
    expect(ahead.map(({ type }) => type)).to.deep.equal(['go-to']);
  });
});
