import type { Hoop, Shop } from '$lib/core/documents/shop';
import {
  type ComposedHooping,
  type LineContext,
  type SharedPart,
  sharedSteps,
  sharedTimes,
  type StationOf
} from '$lib/core/ordering/hoopings';
import type { JobTimes, Problem, ScheduleJob } from '$lib/core/solvers/schedule';
import type { Begun, Progress } from './progress';
import { fitOn } from './shareHoops';

type Contexts = ReadonlyMap<string, LineContext>;

/** A hooping as a job: its times on every machine that takes it. Null where a line of it is gone. */
export function scheduleJobOf(
  hooping: ComposedHooping,
  contexts: Contexts,
  stations: readonly StationOf[],
  { hoops }: Pick<Shop, 'hoops'>
): ScheduleJob | null {
  const { lineId, stage, copies, hoopId, and = [] } = hooping;
  const hoop = hoops.find(({ id }) => id === hoopId);
  const parts = [{ lineId, copies }, ...and].flatMap((each): SharedPart[] => {
    const context = contexts.get(each.lineId);
    return context ? [{ context, copies: each.copies }] : [];
  });
  const [first] = parts;
  const last = and.at(-1);
  if (!first || parts.length < and.length + 1) return null;
  const on = stations.map((station) => {
    if (!hoop) return null;
    if (and.length === 0) return first.context.timesOn(stage, copies, station, hoop);
    return fitOn(parts, station, hoop) ? sharedTimes(parts, station.machine, hoop) : null;
  });
  const heads = Math.max(1, ...stations.map((station, at) => (on[at] ? Math.min(station.heads, copies) : 1)));
  return {
    id: '',
    kind: kindOf(lineId, stage, hoopId, copies),
    ...(last && { leaves: kindOf(last.lineId, stage, hoopId, last.copies) }),
    hoopId,
    hoops: heads,
    after: [],
    on,
    wash: washName(on),
    begun: null
  };
}

/** Hoopings of one kind need one set-up on a machine. */
function kindOf(lineId: string, stage: number, hoopId: string, copies: number): string {
  return `${lineId}/${stage}/${hoopId}/${copies}`;
}

/** What is rinsed, soaked and dried in the same way goes together, also where nothing waits in between. */
function washName(on: readonly (JobTimes | null)[]): string | null {
  const wash = on.find((times) => times !== null)?.wash ?? [];
  const waits = wash.flatMap(({ what, kind }) => (kind === 'wait' ? what : []));
  const shared = waits.length > 0 ? waits : wash.flatMap(({ what, once }) => (once ? what : []));
  return shared.length > 0 ? shared.join() : null;
}

/**
 * A hooping that is under way: what is left of it on its machine, or at the table. Nothing where its machine or hoop is
 * gone.
 */
export function beganJob(
  begun: Begun,
  contexts: Contexts,
  stations: readonly StationOf[],
  { hoops }: Pick<Shop, 'hoops'>
): { job: ScheduleJob } | { table: Problem['table'][number] } | null {
  const { stage: index, copies: total, stationId, hoopId, runId, lineId } = begun;
  const context = contexts.get(lineId);
  const hoop = hoops.find(({ id }) => id === hoopId);
  const at = stations.findIndex(({ id }) => id === stationId);
  const station = stations[at];
  const stage = hoop && station && context?.stagesOf(station.machine, hoop)[index];
  if (!context || !hoop || !station || !stage) return null;
  const heads = Math.min(station.heads, total);
  const left = begun.shared
    ? sharedLeft(begun.shared, contexts, station, hoop)
    : ownLeft(begun, context, stage, station, hoop);
  if (!left) return null;
  const { times, onMachine } = left;
  if (!onMachine) {
    const wash = washName([times]);
    return {
      table: {
        id: runId,
        wash,
        work: [
          {
            kind: 'hands',
            seconds: times.off,
            title: 'Take the work out of the hoop',
            times: 1,
            what: 'off',
            once: true
          },
          ...times.finish,
          // Dry already, what is left of it is done for these pieces alone.
          ...(wash === null ? times.wash : [])
        ],
        washed: wash === null ? [] : times.wash
      }
    };
  }
  const loading = times.load + times.threading;
  const own: JobTimes = {
    ...times,
    load: 0,
    threading: 0,
    segments:
      loading > 0
        ? [{ kind: 'hands', seconds: loading, title: 'Load the hoop' }, ...times.segments]
        : times.segments
  };
  return {
    job: {
      id: '',
      kind: kindOf(lineId, index, hoopId, total),
      hoopId,
      hoops: heads,
      after: [],
      on: stations.map((_, other) => (other === at ? own : null)),
      wash: washName([times]),
      begun: at
    }
  };
}

/** What is left of a hooping under way, and whether its machine is needed for it. */
interface Left {
  times: JobTimes;
  onMachine: boolean;
}

function ownLeft(
  { copies: total, way, done }: Begun,
  context: LineContext,
  stage: ReturnType<LineContext['stagesOf']>[number],
  station: StationOf,
  hoop: Hoop
): Left {
  const { machine } = station;
  const copies = { total, heads: Math.min(station.heads, total) };
  const steps = context
    .stepsOf(stage, copies, machine, hoop, way)
    .filter(({ step }) => !done.includes(step.id));
  return {
    times: context.timesOf(steps, copies, stage, machine, hoop),
    onMachine: steps.some(({ phase }) => phase === 'machine')
  };
}

function sharedLeft(
  { parts }: NonNullable<Begun['shared']>,
  contexts: Contexts,
  { machine }: StationOf,
  hoop: Hoop
): Left | null {
  const own = parts.flatMap(({ lineId, copies, way, done, over }): SharedPart[] => {
    const context = contexts.get(lineId);
    return context ? [{ context, copies, way, done, over }] : [];
  });
  const times = own.length === parts.length ? sharedTimes(own, machine, hoop) : null;
  if (!times) return null;
  const onMachine = sharedSteps(own, machine, hoop).some((steps, at) =>
    steps.some(
      ({ step, phase }) =>
        phase === 'machine' && own[at]?.over !== true && own[at]?.done?.includes(step.id) !== true
    )
  );
  return { times, onMachine };
}

/**
 * Which jobs each job needs: hoopings of a later stage those of the one before that give its pieces, and one cloth’s
 * hoopings one another.
 *
 * @returns indices of jobs, those under way first, for each job
 */
export function precedence(
  begun: readonly Begun[],
  hoopings: readonly ComposedHooping[],
  { done }: Pick<Progress, 'done'>
): number[][] {
  const all = [...begun.map((each) => ({ ...each, follows: null })), ...hoopings];
  const through = (lineId: string, stage: number): number =>
    done
      .filter((each) => each.lineId === lineId && each.stage === stage)
      .reduce((sum, each) => sum + each.copies, 0);
  return all.map(({ lineId, stage, copies, follows }, at) => {
    // A line’s own hoopings of one stage follow each other in the list, so an offset finds the one before.
    const first = all.findIndex(
      (each, index) => index >= begun.length && each.lineId === lineId && each.stage === stage
    );
    const before = follows === null || first < 0 ? [] : [first + follows];
    if (stage === 0 || at < begun.length) return before;
    const start = through(lineId, stage) + copiesBefore(all, at);
    const end = start + copies;
    let count = through(lineId, stage - 1);
    const needs: number[] = [];
    all.forEach((each, index) => {
      if (each.lineId !== lineId || each.stage !== stage - 1) return;
      const from = count;
      count += each.copies;
      if (count > start && from < end) needs.push(index);
    });
    return [...before, ...needs];
  });
}

function copiesBefore(all: readonly { lineId: string; stage: number; copies: number }[], at: number): number {
  const own = all[at];
  return all
    .slice(0, at)
    .filter((each) => each.lineId === own?.lineId && each.stage === own.stage)
    .reduce((sum, each) => sum + each.copies, 0);
}
