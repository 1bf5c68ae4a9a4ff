import type { Calendar, Span } from './calendar';
import type { TableWork, WorkTimes } from './work';

/** A hooping on one machine, with the set-up its job needs there. */
export interface JobTimes extends WorkTimes {
  /** Set-up of the job, where the machine did another one before, s. */
  setUp: number;
  /** Left on the bobbin after a hooping that began with a full one, m. */
  bobbinAfter: number;
}

/** A hooping that is to be scheduled. */
export interface ScheduleJob {
  id: string;
  /** Hoopings of one kind need one set-up on a machine. */
  kind: string;
  /** The kind its machine is set up for afterwards, where it ends with another; its own where missing. */
  leaves?: string;
  hoopId: string;
  /** Hoops it fills: one for each head. */
  hoops: number;
  /** Indices of the jobs whose pieces it needs. */
  after: number[];
  /** Its times on each machine; null where it cannot be stitched there. */
  on: readonly (JobTimes | null)[];
  /** Parts washed with those of other jobs, by name; null for none. */
  wash: string | null;
  /** Under way already, on this machine. */
  begun: number | null;
  /** When it may begin at the earliest, s from the midnight before; with the rest where missing. */
  notBefore?: number;
}

/** A machine as it stands when the schedule begins. */
export interface Station {
  id: string;
  /** Kind of hooping it is set up for, and the thread on its needle. */
  kind: string | null;
  thread: string | null;
  /** On its bobbin, and on a full one, m. */
  bobbin: number;
  bobbinFull: number;
  /** A bobbin change, all heads together, s. */
  bobbinChange: number;
  /** A new spool when one runs out, s. */
  spoolChange: number;
  /** Stitches a minute that it averages. */
  spm?: number;
  /** When it is away, the earliest first; never where missing. */
  away?: readonly Span[];
}

/** Everything the scheduler has to know. */
export interface Problem {
  jobs: ScheduleJob[];
  stations: Station[];
  people: number;
  /** Hoops of each size. */
  hoops: Record<string, number>;
  calendar: Calendar;
  /** When work may begin, s from the midnight before. */
  start: number;
  /** What is left to do at the table for pieces already off the machine. */
  table: { id: string; work: TableWork[]; wash: string | null; washed: TableWork[] }[];
  /** On a spool, m. */
  spoolMetres: number;
}

/** What one person, machine or wait does from when to when. */
export interface ScheduleTask {
  kind: 'load' | 'hands' | 'needle' | 'attended' | 'off' | 'finish' | 'wait' | 'wash';
  /** Index of the job; null for what several share. */
  job: number | null;
  /** Index of the machine; null at the table. */
  machine: number | null;
  /** Index of the person; null for needle and waiting. */
  person: number | null;
  from: number;
  to: number;
  title: string;
  /** Which of the items that share the hoop it is for, from 0; for all of them where missing. */
  part?: number | undefined;
}

/** A schedule: what it costs, and every task where it was asked for. */
export interface Schedule {
  /** When everything is done, waiting included. */
  finish: number;
  /** When the last hands or needle have done; what only dries then is left out. */
  worked: number;
  /** When everything is off the machines and finished, before what is washed together. */
  stitched: number;
  /** Time a person has to be there, s. */
  presence: number;
  setUps: number;
  bobbins: number;
  spools: number;
  tasks: ScheduleTask[];
}
