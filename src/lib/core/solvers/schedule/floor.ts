import { type Calendar, fitIn, openAfter, type Span, without } from './calendar';
import { HoopPool } from './hoopPool';
import type { JobTimes, Problem, ScheduleTask, Station } from './problem';
import { Table } from './table';

/** Somebody has to press the button, s. */
const PRESS_S = 5;

/** A machine while a schedule is worked out. */
interface MachineState {
  queue: number[];
  /** The job on it, and the one loaded ahead; -1 for none. */
  job: number;
  loaded: number;
  loadedAt: number;
  segment: number;
  /** When it is free, or waits for hands. */
  ready: number;
  kind: string | null;
  thread: string | null;
  bobbin: number;
  spools: Map<string, number>;
}

const known = new WeakMap<Station, Calendar>();

function hoursOf(station: Station, { calendar }: Problem): Calendar {
  if (!station.away?.length) return calendar;
  let hours = known.get(station);
  if (!hours) {
    hours = {
      hands: without(calendar.hands, station.away),
      needle: without(calendar.needle, station.away)
    };
    known.set(station, hours);
  }
  return hours;
}

/** The workroom while a schedule is worked out: what is on every machine, in every hoop and on the table. */
export class Floor {
  readonly machines: MachineState[];
  /** Hours of each machine: those of the workroom, less when it is away. */
  readonly hours: Calendar[];
  readonly hoops: HoopPool;
  readonly table: Table;
  readonly tasks: ScheduleTask[] = [];
  /** Hoops off a machine that wait to be freed. */
  readonly offs: { job: number; machine: number; ready: number }[] = [];
  worked: number;
  stitched: number;
  setUps = 0;
  bobbins = 0;
  spools = 0;

  constructor(
    readonly problem: Problem,
    queues: readonly (readonly number[])[],
    readonly record: boolean
  ) {
    const { jobs, stations, start } = problem;
    this.worked = start;
    this.stitched = start;
    this.hours = stations.map((station) => hoursOf(station, problem));
    this.hoops = new HoopPool(problem.hoops, start);
    this.table = new Table(problem, (kind, job, from, to, title, part) =>
      this.#note(kind, job, null, null, { from, to }, title, part)
    );
    this.machines = stations.map(({ kind, thread, bobbin }, at) => ({
      queue: (queues[at] ?? []).filter((job) => jobs[job]?.begun === null),
      job: -1,
      loaded: -1,
      loadedAt: start,
      segment: 0,
      ready: start,
      kind,
      thread,
      bobbin,
      spools: new Map()
    }));
    jobs.forEach(({ begun, hoopId, hoops, kind, leaves = kind }, job) => {
      const state = begun === null ? undefined : this.machines[begun];
      if (!state || begun === null) return;
      this.hoops.take(hoopId, hoops);
      Object.assign(state, { job, kind: leaves, thread: this.times(job, begun).lastThread });
      this.#run(begun, start);
    });
  }

  times(job: number, machine: number): JobTimes {
    const found = this.problem.jobs[job]?.on[machine];
    if (!found) throw new RangeError(`Job ${job} cannot be stitched on machine ${machine}.`);
    return found;
  }

  /** The first job of a machine’s queue whose pieces are known to be there, and when it can be loaded. */
  nextToLoad(machine: number): { job: number; ready: number } | null {
    const { jobs, start } = this.problem;
    const now = this.machines[machine]?.ready ?? start;
    let later: { job: number; ready: number } | null = null;
    for (const job of this.machines[machine]?.queue ?? []) {
      const own = jobs[job];
      if (!own) continue;
      let ready = start;
      for (const before of own.after) ready = Math.max(ready, this.table.finished[before] ?? NaN);
      if (Number.isNaN(ready)) continue;
      const found = { job, ready: Math.max(ready, this.hoops.freeAt(own.hoopId, own.hoops)) };
      if (own.notBefore === undefined || own.notBefore <= now) return found;
      // What may not begin yet lets the next one pass.
      found.ready = Math.max(found.ready, own.notBefore);
      if (!later || found.ready < later.ready) later = found;
    }
    return later;
  }

  /** When a hooping can be put on so that it is through before the machine goes away, from a time on. */
  beforeAway(machine: number, job: number, from: number): number {
    const station = this.problem.stations[machine];
    const hours = this.hours[machine];
    if (!station?.away?.length || !hours) return from;
    const seconds = this.times(job, machine).segments.reduce((sum, segment) => sum + segment.seconds, 0);
    let at = from;
    for (const gap of station.away) {
      if (gap.to <= at) continue;
      if (openAfter(this.problem.calendar.needle, at, seconds + this.putOnSeconds(machine, job)) > gap.from)
        at = gap.to;
    }
    return at;
  }

  load(machine: number, job: number, span: Span, person: number): void {
    const state = this.machines[machine];
    const own = this.problem.jobs[job];
    if (!state || !own) return;
    state.queue = state.queue.filter((each) => each !== job);
    state.loaded = job;
    state.loadedAt = span.to;
    this.hoops.take(own.hoopId, own.hoops);
    this.#note('load', job, machine, person, span, 'Load the hoop');
  }

  /** Hands before the first stitch of a job: set-up, thread, bobbin and spools as they are needed, and its own first step. */
  putOnSeconds(machine: number, job: number): number {
    const state = this.machines[machine];
    const station = this.problem.stations[machine];
    const own = this.times(job, machine);
    const first = own.segments[0];
    let seconds = first && first.kind !== 'needle' ? first.seconds : PRESS_S;
    if (!state || !station) return seconds;
    const sameKind = state.kind === this.problem.jobs[job]?.kind;
    if (!sameKind) seconds += own.setUp;
    if (!sameKind || state.thread === null || state.thread !== own.firstThread) seconds += own.threading;
    if (own.bobbinMetres > state.bobbin) seconds += station.bobbinChange;
    for (const { name, metres } of own.threads)
      if (this.#spool(machine, name) < metres) seconds += station.spoolChange;
    return seconds;
  }

  putOn(machine: number, job: number, span: Span, person: number): void {
    const state = this.machines[machine];
    if (!state) return;
    const own = this.times(job, machine);
    const { kind = '', leaves = kind } = this.problem.jobs[job] ?? {};
    if (state.kind !== kind) this.setUps++;
    if (own.bobbinMetres > state.bobbin) {
      this.bobbins++;
      state.bobbin = own.bobbinAfter;
    } else state.bobbin -= own.bobbinMetres;
    for (const { name, metres } of own.threads) {
      const left = this.#spool(machine, name) - metres;
      const runOuts = left < 0 ? Math.ceil(-left / this.problem.spoolMetres) : 0;
      this.spools += runOuts;
      state.spools.set(name, left + runOuts * this.problem.spoolMetres);
    }
    const first = own.segments[0];
    const begins = first !== undefined && first.kind !== 'needle';
    Object.assign(state, {
      ...{ kind: leaves, thread: own.lastThread },
      ...{ job, loaded: -1, segment: begins ? 1 : 0 }
    });
    this.#note(
      first?.kind === 'attended' ? 'attended' : 'hands',
      job,
      machine,
      person,
      span,
      begins ? first.title : 'Start',
      first?.part
    );
    this.#run(machine, span.to);
  }

  goOn(machine: number, span: Span, person: number): void {
    const state = this.machines[machine];
    if (!state) return;
    const next = this.times(state.job, machine).segments[state.segment];
    const kind = next?.kind === 'attended' ? 'attended' : 'hands';
    this.#note(kind, state.job, machine, person, span, next?.title ?? '', next?.part);
    state.segment++;
    this.#run(machine, span.to);
  }

  free(at: number, span: Span, person: number): void {
    const off = this.offs.splice(at, 1)[0];
    const own = off && this.problem.jobs[off.job];
    if (!own) return;
    this.stitched = Math.max(this.stitched, span.to);
    this.hoops.give(own.hoopId, own.hoops, span.to);
    this.#note('off', off.job, null, person, span, 'Take the work out of the hoop');
    this.table.begin(off.job, this.times(off.job, off.machine).finish, own.wash, span.to);
  }

  atTable(at: number, span: Span, person: number): void {
    const task = this.table.tasks[at];
    if (!task) return;
    if (!task.isWash) this.stitched = Math.max(this.stitched, span.to);
    const { title = '', part } = task.work[task.at] ?? {};
    this.#note(task.isWash ? 'wash' : 'finish', task.job, null, person, span, title, part);
    this.table.advance(task, span.to);
  }

  /** Runs the needle until hands are needed, or the hooping is over. */
  #run(machine: number, at: number): void {
    const state = this.machines[machine];
    if (!state) return;
    const { job } = state;
    const { segments } = this.times(job, machine);
    let end = at;
    for (let next = segments[state.segment]; next?.kind === 'needle'; next = segments[state.segment]) {
      const span = fitIn((this.hours[machine] ?? this.problem.calendar).needle, end, next.seconds);
      this.#note('needle', job, machine, null, span, next.title, next.part);
      end = span.to;
      state.segment++;
    }
    state.ready = end;
    this.worked = Math.max(this.worked, end);
    if (state.segment < segments.length) return;
    state.job = -1;
    this.offs.push({ job, machine, ready: end });
  }

  #spool(machine: number, name: string): number {
    return this.machines[machine]?.spools.get(name) ?? this.problem.spoolMetres;
  }

  #note(
    kind: ScheduleTask['kind'],
    job: number | null,
    machine: number | null,
    person: number | null,
    { from, to }: Span,
    title: string,
    part?: number
  ): void {
    if (this.record && to > from) this.tasks.push({ kind, job, machine, person, from, to, title, part });
  }
}
