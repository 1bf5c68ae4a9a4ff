import type { MachineCommand, MachineEvent, MachineState } from './schema';
import { run, stopAt, Told } from './standIn';

export type Obeyed =
  { ok: true; state: MachineState; events: MachineEvent[] } | { ok: false; code: string; message: string };

/**
 * Tells a machine what to do. What it cannot do in this moment it refuses, with the reason, as a machine would.
 *
 * @param before is left as it was
 *
 * @example
 * obey(newStandIn(setup), { do: 'start' }) // { ok: false, code: 'no-job', message: 'Nothing is loaded.' }
 */
export function obey(before: MachineState, command: MachineCommand): Obeyed {
  const refused = refusal(before, command);
  if (refused) return { ok: false, ...refused };
  const told = new Told(structuredClone(before));
  carryOut(told, command);
  return { ok: true, state: told.state, events: told.events };
}

type Refusal = { code: string; message: string } | null;
const refuse = (code: string, message: string): Refusal => ({ code, message });

function refusal(state: MachineState, command: MachineCommand): Refusal {
  const { phase, job, setup } = state;
  if (phase === 'running' && command.do !== 'stop')
    return refuse('running', 'The needle is moving. Halt the machine first.');
  switch (command.do) {
    case 'stop':
      return phase === 'running' ? null : refuse('not-running', 'It stands still already.');
    case 'load': {
      if (command.job.hoop !== setup.hoop)
        return refuse(
          'wrong-hoop',
          `This file is for ${command.job.hoop}; the machine is set for ${setup.hoop}.`
        );
      const beyond = command.job.stops.find(({ needle }) => needle > setup.needles);
      if (beyond)
        return refuse(
          'no-needle',
          `Stop ${beyond.number} wants needle ${beyond.needle}; there are ${setup.needles}.`
        );
      return null;
    }
    case 'start':
      return mayStart(state);
    case 'jump': {
      if (!job) return refuse('no-job', 'Nothing is loaded.');
      const stop = job.stops.find(({ number }) => number === command.stop);
      if (!stop) return refuse('no-stop', `The file has no stop ${command.stop}.`);
      if (command.stitch >= stop.stitches)
        return refuse('no-stitch', `Stop ${command.stop} has ${stop.stitches} stitches.`);
      return null;
    }
    case 'rethread':
      return command.needle <= setup.needles
        ? null
        : refuse('no-needle', `There is no needle ${command.needle}.`);
    case 'clear':
      return state.fault?.kind === 'nest' ? null : refuse('no-nest', 'Nothing is caught underneath.');
    case 'hoop-on':
      if (state.hoop !== null) return refuse('hoop-is-on', `${state.hoop} is on already.`);
      return command.hoop === setup.hoop
        ? null
        : refuse('wrong-hoop', `The machine is set for ${setup.hoop}, not ${command.hoop}.`);
    case 'hoop-off':
      return state.hoop === null ? refuse('no-hoop', 'No hoop is on.') : null;
    case 'bobbin':
      return null;
  }
}

function mayStart(state: MachineState): Refusal {
  const { phase, job, hoop, fault, bobbin, threads } = state;
  if (!job) return refuse('no-job', 'Nothing is loaded.');
  if (phase === 'finished') return refuse('finished', 'The design is done. Jump to a stop to run it again.');
  if (hoop === null) return refuse('no-hoop', 'No hoop is on.');
  if (fault?.kind === 'nest') return refuse('nest', 'Thread is caught underneath. Clear it first.');
  if (bobbin <= 0) return refuse('no-bobbin', 'The bobbin is empty.');
  const needle = stopAt(state)?.needle ?? 1;
  if (threads[needle - 1] === null) return refuse('no-thread', `Needle ${needle} has no thread.`);
  return null;
}

function carryOut(told: Told, command: MachineCommand): void {
  const { state } = told;
  switch (command.do) {
    case 'load':
      Object.assign(state, { job: command.job, at: 0, stitch: 0, reached: 0, passes: {}, spent: 0, lag: 0 });
      Object.assign(state, { ending: false, phase: 'ready', fault: null, mended: false });
      told.say('loaded', command.job.name);
      return;
    case 'start':
      state.fault = null;
      state.mended = false;
      told.say('started', state.stitch > 0 ? `Goes on at stitch ${Math.floor(state.stitch)}` : 'Started');
      run(told);
      return;
    case 'stop':
      state.phase = 'halted';
      state.lag = 0;
      state.stitch = Math.floor(state.stitch);
      told.say('halted', `Halted by hand at stitch ${state.stitch}`);
      return;
    case 'jump': {
      const at = state.job?.stops.findIndex(({ number }) => number === command.stop) ?? -1;
      const same = at === state.at && state.phase !== 'finished';
      // Backing up inside a stop goes on with it; anywhere else a pass of the stop begins anew.
      if (!same) Object.assign(state, { at, spent: 0, reached: command.stitch });
      Object.assign(state, { stitch: command.stitch, ending: false, lag: 0 });
      if (state.phase !== 'fault') state.phase = 'halted';
      told.say('jumped', `At stop ${command.stop}, stitch ${command.stitch}`);
      return;
    }
    case 'rethread':
      state.threads[command.needle - 1] = command.thread;
      if (state.fault?.kind === 'thread-broke' && state.fault.needle === command.needle) mended(state);
      told.say('rethreaded', `Needle ${command.needle}: ${command.thread}`);
      return;
    case 'bobbin':
      state.bobbin = command.metres ?? state.setup.bobbinMetres;
      if (state.fault?.kind === 'bobbin-out' && state.bobbin > 0) mended(state);
      told.say('bobbin', `Bobbin with ${state.bobbin} m`);
      return;
    case 'clear':
      mended(state);
      told.say('cleared', 'Nothing is caught any more');
      return;
    case 'hoop-on':
      state.hoop = command.hoop;
      told.say('hoop-on', `${command.hoop} is on`);
      return;
    case 'hoop-off':
      state.hoop = null;
      told.say('hoop-off', 'The hoop is off');
  }
}

function mended(state: MachineState): void {
  state.fault = null;
  state.mended = true;
  state.phase = 'halted';
}
