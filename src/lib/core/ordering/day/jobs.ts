import type { Shop } from '$lib/core/documents/shop';
import type { ComposedHooping, LineContext, StationOf } from '$lib/core/ordering/hoopings';
import type { JobTimes, Problem, ScheduleJob } from '$lib/core/solvers/schedule';
import type { Begun, Progress } from './progress';

/** A hooping as a job: its times on every machine that takes it. */
export function scheduleJobOf(
  hooping: ComposedHooping,
  context: LineContext,
  stations: readonly StationOf[],
  { hoops }: Pick<Shop, 'hoops'>
): ScheduleJob {
  const { lineId, stage, copies, hoopId } = hooping;
  const hoop = hoops.find(({ id }) => id === hoopId);
  const on = stations.map((station) => (hoop ? context.timesOn(stage, copies, station, hoop) : null));
  const heads = Math.max(1, ...stations.map((station, at) => (on[at] ? Math.min(station.heads, copies) : 1)));
  return {
    id: '',
    kind: `${lineId}/${stage}/${hoopId}/${copies}`,
    hoopId,
    hoops: heads,
    after: [],
    on,
    wash: washName(on),
    begun: null
  };
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
  context: LineContext,
  stations: readonly StationOf[],
  { hoops }: Pick<Shop, 'hoops'>
): { job: ScheduleJob } | { table: Problem['table'][number] } | null {
  const { stage: index, copies: total, stationId, hoopId, runId, way } = begun;
  const hoop = hoops.find(({ id }) => id === hoopId);
  const at = stations.findIndex(({ id }) => id === stationId);
  const station = stations[at];
  const stage = hoop && station && context.stagesOf(station.machine, hoop)[index];
  if (!hoop || !station || !stage) return null;
  const heads = Math.min(station.heads, total);
  const steps = context
    .stepsOf(stage, { total, heads }, station.machine, hoop, way)
    .filter(({ step }) => !begun.done.includes(step.id));
  const times = context.timesOf(steps, total, stage, station.machine, hoop);
  if (!steps.some(({ phase }) => phase === 'machine')) {
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
  const lineId = context.line.id;
  return {
    job: {
      id: '',
      kind: `${lineId}/${index}/${hoopId}/${total}`,
      hoopId,
      hoops: heads,
      after: [],
      on: stations.map((_, other) => (other === at ? own : null)),
      wash: washName([times]),
      begun: at
    }
  };
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
