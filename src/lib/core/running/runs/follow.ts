import type { Plan, PlanStep } from '$lib/core/documents/plan';
import type { RunEvent } from '$lib/core/documents/run';
import type { MachineCommand, MachineEvent, MachineState } from '$lib/core/running/standIn';
import type { RunState } from './runState';
import { BACK_UP } from './recovery';

/** What a machine’s event says of a run: what is to be stored of it, in order. */
export type Followed = Pick<RunEvent, 'type' | 'stepId' | 'stop' | 'stitch'> &
  Partial<Pick<RunEvent, 'fault' | 'seconds' | 'to' | 'text'>>;

/**
 * What an event of the machine means to the run that follows it. A stop that begins says that the hand work before it is
 * done; one that ends is done, with the machine’s own time; a fault opens its recovery, and starting again closes it.
 *
 * @returns nothing where the run need not know
 *
 * @example
 * followMachine(plan, state, { type: 'stop-ended', stop: 3, seconds: 229, … })
 * // [{ type: 'done', stepId: 'stop-3', stop: 3, stitch: 1500, seconds: 229 }]
 */
export function followMachine(plan: Plan, state: RunState, event: MachineEvent): Followed[] {
  if (state.phase === 'not-started' || state.endedAt !== null) return [];
  const current = plan.steps[state.at];
  const here = { stop: event.stop, stitch: event.stitch === null ? null : Math.round(event.stitch) };
  switch (event.type) {
    case 'stop-began':
      return comeTo(plan, state, event.stop);
    case 'stop-ended':
      if (!current?.stop || current.stop.machineNumber !== event.stop) return [];
      return [
        {
          type: 'done',
          stepId: current.id,
          ...here,
          ...(event.seconds !== undefined && { seconds: event.seconds })
        }
      ];
    case 'fault':
      return event.fault && current
        ? [{ type: 'fault', stepId: current.id, ...here, fault: event.fault, text: event.text }]
        : [];
    case 'started':
      return state.fault?.told === true ? [{ type: 'sorted', stepId: current?.id ?? null, ...here }] : [];
    default:
      return [];
  }
}

/** The hand work up to a stop is done, or the screen goes to it. */
function comeTo({ steps }: Plan, state: RunState, number: number | null): Followed[] {
  const open = (at: number): boolean => state.done[at] === false;
  const isStop = ({ stop }: PlanStep): boolean => stop !== null && stop.machineNumber === number;
  const target = steps.findIndex((step, at) => isStop(step) && open(at));
  if (target < 0 || target === state.at) return [];
  const between = steps.slice(state.at, target);
  const none = { stop: null, stitch: null };
  if (target > state.at && between.every(({ kind }) => kind === 'hand'))
    return between.flatMap((step, index) =>
      open(state.at + index) && !state.skipped.includes(state.at + index)
        ? [{ type: 'done' as const, stepId: step.id, ...none }]
        : []
    );
  const to = steps[target]?.id;
  return to === undefined ? [] : [{ type: 'go-to', stepId: steps[state.at]?.id ?? null, ...none, to }];
}

/**
 * What to press at a machine next so that it does what the run is at; null where nothing, or where hands are at work.
 *
 * @param jobId the job that belongs to the run
 *
 * @example
 * nextCommand(plan, state, machine, job) // { do: 'start' }
 */
export function nextCommand(
  plan: Plan,
  state: RunState,
  machine: MachineState,
  job: Extract<MachineCommand, { do: 'load' }>['job']
): MachineCommand | null {
  if (state.phase !== 'running' || machine.phase === 'running') return null;
  if (machine.job?.id !== job.id) return { do: 'load', job };
  const step = plan.steps[state.at];
  if (state.fault || !step) return null;
  if (machine.phase === 'fault' && machine.fault) return mend(machine, job);
  const op = step.op?.do;
  if (op === 'hoop-off' || op === 'unhoop') return machine.hoop === null ? null : { do: 'hoop-off' };
  if (op === 'bobbin') return machine.bobbin < machine.setup.bobbinMetres ? { do: 'bobbin' } : null;
  const number = step.stop?.machineNumber ?? null;
  if (number === null) return null;
  return toStart(step, number, machine);
}

/** What a stop needs before it can be started. */
function toStart(step: PlanStep, number: number, machine: MachineState): MachineCommand | null {
  const stop = machine.job?.stops[machine.at];
  if (machine.hoop === null) return { do: 'hoop-on', hoop: machine.setup.hoop };
  if (machine.phase === 'finished' || stop?.number !== number) return { do: 'jump', stop: number, stitch: 0 };
  const thread = step.thread?.name ?? '';
  if (thread !== '' && machine.threads[stop.needle - 1] !== thread)
    return { do: 'rethread', needle: stop.needle, thread };
  // Halted in the middle by hand: whoever did it starts it again, unless a fault has just been mended.
  const begun = machine.stitch > 0 && machine.passes[machine.at] !== undefined;
  return begun && !machine.mended ? null : { do: 'start' };
}

/** Mends a fault that the maker has said is sorted: first what is wrong, then a little back. */
function mend(
  machine: MachineState,
  job: { stops: readonly { number: number; thread: string }[] }
): MachineCommand {
  const { fault, at } = machine;
  const stop = job.stops[at];
  const back = Math.max(0, Math.floor(machine.stitch) - BACK_UP);
  if (stop && machine.stitch > back + 1 && machine.stitch >= machine.reached - 1)
    return { do: 'jump', stop: stop.number, stitch: back };
  if (fault?.kind === 'bobbin-out') return { do: 'bobbin' };
  if (fault?.kind === 'nest') return { do: 'clear' };
  return { do: 'rethread', needle: fault?.needle ?? 1, thread: stop?.thread || 'thread' };
}
