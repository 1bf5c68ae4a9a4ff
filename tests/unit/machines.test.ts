import { reachWords, readReach } from '$lib/core/documents/shop';
import { type MachineJob, StandInSetup } from '$lib/core/running/standIn';
import {
  createMachine,
  findMachine,
  listMachines,
  MachineSession,
  removeMachine,
  type TimedEvent,
  type Watcher
} from '$lib/server/machines';
import { expect } from 'chai';

const setup = (more: Record<string, unknown> = {}): StandInSetup =>
  StandInSetup.parse({ name: 'Test', spm: 600, trimmer: false, faultsPer10k: 0, ...more });
const job: MachineJob = {
  ...{ id: 'j', name: 'Tab', hoop: 'hoop-100' },
  stops: [100, 50].map((stitches, at) => ({
    ...{ number: at + 1, stitches, thread: 'white', needle: 1, cap: null, bobbinMetres: 0, halt: false }
  }))
};
/** A machine that was started at a moment, ms. */
function started(at: number, more: Record<string, unknown> = {}): MachineSession {
  const machine = new MachineSession(setup(more), at - 1000);
  for (const command of [
    { do: 'load', job },
    { do: 'hoop-on', hoop: 'hoop-100' },
    { do: 'rethread', needle: 1, thread: 'white' },
    { do: 'start' }
  ] as const) {
    const answer = machine.obey(command, at);
    if (!answer.ok) throw new Error(answer.message);
  }
  return machine;
}

describe('a session of the stand-in machine', () => {
  it('goes as fast as it is told, and tells when things happened, not when somebody looked', () => {
    // 2 s to get up to speed, 100 stitches at 600 a minute, 2 s to halt: 14 s, a tenth of it at ten times the speed.
    const machine = started(5000, { speed: 10 });
    expect(machine.stateAt(6300).phase).to.equal('running');
    expect(machine.stateAt(60_000).phase).to.equal('halted');
    const ended = machine.events.find(({ type }) => type === 'stop-ended');
    expect(ended?.at).to.be.closeTo(6400, 1);
    expect(ended?.seconds).to.be.closeTo(14, 1e-6);
  });
  it('may be looked at as often as one likes', () => {
    const [often, once] = [started(0), started(0)];
    for (let at = 0; at < 30_000; at += 37) often.stateAt(at);
    once.stateAt(30_000);
    often.stateAt(30_000);
    expect(often.events.map(({ type, at }) => [type, at])).to.deep.equal(
      once.events.map(({ type, at }) => [type, at])
    );
  });
  it('never goes back when a clock does', () => {
    const machine = started(10_000);
    const { clock } = machine.stateAt(15_000);
    expect(machine.stateAt(3000).clock).to.equal(clock);
  });
  it('takes another speed from then on', () => {
    const machine = started(0, { speed: 1 });
    machine.setSpeed(100, 4000);
    // 10 s are left of the 14, a tenth of a second at this speed.
    machine.stateAt(4101);
    expect(machine.events.at(-1)?.type).to.equal('halted');
  });
  it('tells a watcher what it missed, then what comes, and nothing once it has gone', () => {
    const machine = started(0);
    const [early, late]: [TimedEvent[], TimedEvent[]] = [[], []];
    const into =
      (list: TimedEvent[]): Watcher =>
      (told) => {
        if ('event' in told) list.push(told.event);
      };
    const end = machine.watch(0, 0, into(early));
    expect(machine.watched).to.equal(true);
    machine.stateAt(20_000);
    machine.watch(early.length, 20_000, into(late));
    expect(late).to.deep.equal([]);
    end?.();
    machine.obey({ do: 'start' }, 20_000);
    machine.stateAt(60_000);
    expect(early.map(({ seq }) => seq)).to.deep.equal(early.map((_, at) => at + 1));
    // Started, begun, ended, finished: all after what the first had.
    expect(late.map(({ type }) => type)).to.deep.equal(['started', 'stop-began', 'stop-ended', 'finished']);
    expect(late[0]?.seq).to.equal(early.length + 1);
  });
  it('is found by its id until it is taken away', () => {
    const machine = createMachine(setup(), 0);
    if (!machine) throw new Error('no room');
    expect(findMachine(machine.id)).to.equal(machine);
    expect(listMachines()).to.include(machine);
    expect(removeMachine(machine.id)).to.equal(true);
    expect(removeMachine(machine.id)).to.equal(false);
    expect(findMachine(machine.id)).to.equal(undefined);
  });
  it('is watched by so many at most, and tells all of them when it is taken away', () => {
    const machine = createMachine(setup(), 0);
    if (!machine) throw new Error('no room');
    let ended = 0;
    const ends = Array.from({ length: 1000 }, () =>
      machine.watch(
        0,
        0,
        () => undefined,
        () => ended++
      )
    );
    const watching = ends.filter((end) => end !== null);
    expect(watching).to.have.length(16);
    watching[0]?.();
    expect(machine.watch(0, 0, () => undefined)).not.to.equal(null);
    removeMachine(machine.id);
    // The one that ended by itself and the one without a word of its own are not told.
    expect(ended).to.equal(15);
    expect(machine.watched).to.equal(false);
  });
  it('keeps no more of its events than a few days have', () => {
    const machine = started(0);
    for (let at = 1; at <= 3000; at++) {
      machine.obey({ do: 'stop' }, 1000 * at);
      machine.obey({ do: 'start' }, 1000 * at + 1);
      machine.stateAt(1000 * at + 500);
    }
    expect(machine.events.length).to.be.at.most(5000);
    expect(machine.events.at(-1)?.seq).to.be.greaterThan(machine.events.length);
  });
  it('gives way to another only when it has rested for an hour', () => {
    const made = Array.from({ length: 60 }, () => createMachine(setup(), 0));
    expect(made.every((each) => each !== null)).to.equal(true);
    expect(createMachine(setup(), 3_000_000)).to.equal(null);
    const after = createMachine(setup(), 3_700_000);
    expect(after).to.not.equal(null);
    expect(findMachine(made[0]?.id ?? '')).to.equal(undefined);
    for (const each of listMachines()) removeMachine(each.id);
  });
});

describe('machines: what outer needles reach', () => {
  it('is read as it is written, and written as it is read', () => {
    const read = readReach('1: 12 left; 3: 9 right', 3);
    expect(read).to.deep.equal([
      { left: 12, right: 0 },
      { left: 0, right: 0 },
      { left: 0, right: 9 }
    ]);
    expect(reachWords(read ?? [])).to.equal('1: 12 left; 3: 9 right');
    expect(readReach('2 7.5 mm LEFT', 2)).to.deep.equal([
      { left: 0, right: 0 },
      { left: 7.5, right: 0 }
    ]);
  });
  it('is none for an empty field, and refused where it cannot be read', () => {
    expect(readReach('  ', 6)).to.deep.equal([]);
    expect(reachWords()).to.equal('');
    for (const wrong of ['left', '7: 5 left', '0: 5 left', '1: 5', '1: five left', '1: 5 up'])
      expect(readReach(wrong, 6), wrong).to.equal(null);
  });
});
