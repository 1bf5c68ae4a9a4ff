import type { Plan } from '$lib/core/documents/plan';
import type { Item } from '$lib/core/documents/item';
import { BACK_UP, recoveryFor } from '$lib/core/running/runs';
import {
  advance,
  machineJobOf,
  type MachineCommand,
  type MachineState,
  newStandIn,
  obey,
  StandInSetup
} from '$lib/core/running/standIn';
import type { Choice, Drill } from './drill';

/** Faults in 10,000 stitches of the machine that is practised on: one comes soon. */
const FAULTY = 40;
/** Machines tried until one has a fault in this item, and how long each runs, s. */
const TRIED = 60;
const LONGEST_S = 4 * 3600;
/** How long one has to decide, s: a broken thread does not wait, and nobody needs to hurry into the needle. */
const SECONDS = 40;

/** What one could do at a fault, as the machine is told it. */
interface Way {
  id: string;
  words: string;
  commands: MachineCommand[];
}

/**
 * Faults to be led out of, made by the stand-in machine: each way out is played on it, and the right one goes on a few stitches
 * before the fault, over what was stitched.
 *
 * @example
 * rescueDrills(tab, plan, random)[0]?.question // 'Stop 3, stitch 820 of 1,500: the thread broke. What do you do?'
 */
export function rescueDrills(item: Item, plan: Plan, random: () => number): Drill[] {
  const kinds = new Set<string>();
  const found: Drill[] = [];
  const job = machineJobOf(plan, item.id);
  if (job.stops.length === 0) return [];
  for (let seed = 1; seed <= TRIED && kinds.size < 3; seed++) {
    const broken = brokenAt(job, plan, seed);
    if (!broken?.fault || kinds.has(broken.fault.kind)) continue;
    const drill = drillAt(item, plan, broken, random);
    if (!drill) continue;
    kinds.add(broken.fault.kind);
    found.push(drill);
  }
  return found;
}

/** A machine that has run into a fault well inside a stop; null where it did not. */
function brokenAt(
  job: ReturnType<typeof machineJobOf>,
  { machine }: Pick<Plan, 'machine'>,
  seed: number
): MachineState | null {
  const setup = StandInSetup.parse({
    name: machine.name,
    needles: Math.max(...job.stops.map(({ needle }) => needle)),
    hoop: job.hoop,
    faultsPer10k: FAULTY,
    seed
  });
  let state = newStandIn(setup);
  const threads = new Map(job.stops.map(({ needle, thread }) => [needle, thread]));
  const commands: MachineCommand[] = [
    { do: 'load', job },
    { do: 'hoop-on', hoop: job.hoop },
    ...[...threads].map(([needle, thread]): MachineCommand => ({ do: 'rethread', needle, thread })),
    { do: 'start' }
  ];
  for (const command of commands) {
    const answer = obey(state, command);
    if (!answer.ok) return null;
    state = answer.state;
  }
  for (let passed = 0; passed < LONGEST_S && state.phase !== 'finished'; passed += 60) {
    state = advance(state, 60).state;
    const stop = state.job?.stops[state.at];
    if (state.phase === 'fault') return state.stitch > 3 * BACK_UP && stop ? state : null;
    if (state.phase !== 'halted') continue;
    // It waits for hands; they have done their work, and the next thread is on.
    const next = obey(stop ? withThread(state, stop.needle, stop.thread) : state, { do: 'start' });
    if (!next.ok) return null;
    state = next.state;
  }
  return null;
}

function withThread(state: MachineState, needle: number, thread: string): MachineState {
  const answer = obey(state, { do: 'rethread', needle, thread });
  return answer.ok ? answer.state : state;
}

function drillAt(item: Item, plan: Plan, state: MachineState, random: () => number): Drill | null {
  const { fault, job, at } = state;
  const stop = job?.stops[at];
  if (!fault || !stop) return null;
  const stitch = Math.floor(state.stitch);
  const mend: MachineCommand[] =
    fault.kind === 'bobbin-out'
      ? [{ do: 'bobbin' }]
      : [
          ...(fault.kind === 'nest' ? [{ do: 'clear' } as const] : []),
          { do: 'rethread', needle: stop.needle, thread: stop.thread }
        ];
  const first = {
    'thread-broke': 'Thread it again from the spool',
    'bobbin-out': 'Put a full bobbin in',
    nest: 'Clear the nest from below, thread again'
  }[fault.kind];
  const back = Math.max(0, stitch - BACK_UP);
  const ways: Way[] = [
    {
      id: 'lap',
      words: `${first}, go back to stitch ${back.toLocaleString('en')}, start`,
      commands: [...mend, { do: 'jump', stop: stop.number, stitch: back }, { do: 'start' }]
    },
    { id: 'at-once', words: 'Start again at once', commands: [{ do: 'start' }] },
    {
      id: 'no-lap',
      words: `${first}, start where it stands`,
      commands: [...mend, { do: 'start' }]
    },
    {
      id: 'anew',
      words: `${first}, begin the stop anew`,
      commands: [...mend, { do: 'jump', stop: stop.number, stitch: 0 }, { do: 'start' }]
    }
  ];
  const played = ways.map((way) => ({ way, outcome: outcomeOf(state, way.commands, stitch) }));
  const right = played.filter(({ outcome }) => outcome.right);
  if (right.length !== 1 || !right[0]) return null;
  const step = plan.steps.find((each) => each.stop?.machineNumber === stop.number);
  const choices = played
    .map(({ way, outcome }): Choice => ({ id: way.id, words: way.words, comes: outcome.words }))
    .toSorted(() => random() - 0.5);
  const recovery = step && recoveryFor(fault.kind, step, stitch, plan.hoop.name);
  const happened = {
    'thread-broke': 'the thread broke',
    'bobbin-out': 'the bobbin is empty',
    nest: 'a nest is caught below'
  }[fault.kind];
  return {
    id: `${item.id}/rescue/${fault.kind}`,
    skill: 'rescue',
    itemId: item.id,
    itemName: item.name,
    question: `Stop ${stop.number}, stitch ${stitch.toLocaleString('en')} of ${stop.stitches.toLocaleString('en')}: ${happened}. What do you do?`,
    choices,
    answer: right[0].way.id,
    why: recovery ? recovery.steps.join(' ') : right[0].outcome.words,
    shown: item,
    until: step?.itemStepId ?? null,
    seconds: SECONDS
  };
}

/** What comes of it when the machine is told so: it refuses, leaves a gap, laps over, or stitches all of it twice. */
function outcomeOf(
  before: MachineState,
  commands: readonly MachineCommand[],
  broke: number
): { right: boolean; words: string } {
  let state = before;
  for (const command of commands) {
    const answer = obey(state, command);
    if (!answer.ok) return { right: false, words: `The machine refuses: ${answer.message}` };
    state = answer.state;
  }
  const lap = broke - Math.floor(state.stitch);
  if (lap <= 2)
    return {
      right: false,
      words: 'It goes on, and a gap stays where the thread ended: nothing holds the old tail.'
    };
  if (lap > 3 * BACK_UP)
    return {
      right: false,
      words: `${lap.toLocaleString('en')} stitches go over what is stitched already: twice as thick, and the needle may break.`
    };
  return { right: true, words: `The new thread laps over the last ${lap} stitches.` };
}
