import { z } from 'zod';

const Id = z.string().min(1).max(120);

/** A stand-in machine as it is set up. */
export const StandInSetup = z.object({
  name: z.string().trim().min(1).max(80),
  needles: z.number().int().min(1).max(20).default(1),
  heads: z.number().int().min(1).max(24).default(1),
  spm: z.number().int().min(50).max(1500).default(600).describe('stitches a minute'),
  trimmer: z.boolean().default(true),
  haltEveryStop: z
    .boolean()
    .default(false)
    .describe('a machine of several needles that halts at every stop all the same'),
  hoop: Id.default('hoop-100').describe('the hoop it is set for'),
  bobbinMetres: z.number().min(1).max(1000).default(40).describe('on the bobbin of each head, m'),
  faultsPer10k: z.number().min(0).max(500).default(2).describe('faults in 10,000 stitches of a head'),
  seed: z.number().int().min(0).max(4_294_967_295).default(1),
  speed: z.number().min(1).max(500).default(1).describe('times faster than a real machine')
});
export type StandInSetup = z.infer<typeof StandInSetup>;

/** A stop of a job, as a machine knows it. */
export const JobStop = z.object({
  number: z.number().int().min(0),
  stitches: z.number().int().min(1).max(2_000_000),
  thread: z.string().max(80).describe('what its thread is called'),
  needle: z.number().int().min(1).max(20).default(1),
  cap: z
    .number()
    .int()
    .min(50)
    .max(1500)
    .nullable()
    .default(null)
    .describe('highest speed, stitches a minute'),
  bobbinMetres: z.number().min(0).max(10_000).default(0).describe('that it takes from the bobbin, m'),
  halt: z.boolean().default(false).describe('a halt is programmed after it')
});
export type JobStop = z.infer<typeof JobStop>;

/** A file as it is loaded into a machine. */
export const MachineJob = z.object({
  id: Id,
  name: z.string().max(200),
  hoop: Id,
  stops: z.array(JobStop).min(1).max(1000)
});
export type MachineJob = z.infer<typeof MachineJob>;

/** What a machine can be told. */
export const MachineCommand = z.discriminatedUnion('do', [
  z.object({ do: z.literal('load'), job: MachineJob }),
  z.object({ do: z.literal('start') }),
  z.object({ do: z.literal('stop') }),
  z.object({
    do: z.literal('jump'),
    stop: z.number().int().min(0),
    stitch: z.number().int().min(0).default(0)
  }),
  z.object({
    do: z.literal('rethread'),
    needle: z.number().int().min(1).max(20).default(1),
    thread: z.string().min(1).max(80)
  }),
  z.object({ do: z.literal('bobbin'), metres: z.number().min(0).max(1000).optional() }),
  z.object({ do: z.literal('clear') }),
  z.object({ do: z.literal('hoop-on'), hoop: Id }),
  z.object({ do: z.literal('hoop-off') })
]);
export type MachineCommand = z.infer<typeof MachineCommand>;

/** What can go wrong by itself. */
export type MachineFault = 'thread-broke' | 'bobbin-out' | 'nest';

export const MACHINE_EVENT_TYPES = [
  'loaded',
  'hoop-on',
  'hoop-off',
  'rethreaded',
  'bobbin',
  'cleared',
  'jumped',
  'started',
  'stop-began',
  'stop-ended',
  'needle',
  'halted',
  'fault',
  'finished'
] as const;
export type MachineEventType = (typeof MACHINE_EVENT_TYPES)[number];

/** One thing a machine tells of; `seq` runs from 1 without a gap. */
export interface MachineEvent {
  seq: number;
  type: MachineEventType;
  /** Machine time, s: it goes as fast as the stand-in does. */
  clock: number;
  stop: number | null;
  stitch: number | null;
  /** Needle time of a stop that has ended, s. */
  seconds?: number;
  fault?: MachineFault;
  /** Head the fault is on, from 1. */
  head?: number;
  text: string;
}

export type MachinePhase = 'idle' | 'ready' | 'running' | 'halted' | 'fault' | 'finished';

/** A stand-in machine at a moment. The same commands at the same times give the same machine. */
export interface MachineState {
  setup: StandInSetup;
  phase: MachinePhase;
  job: MachineJob | null;
  /** Index of the stop it stands in, or comes to next. */
  at: number;
  stitch: number;
  /** Furthest stitch of this pass over the stop: faults come once. */
  reached: number;
  /** How often the stop has been gone into. */
  passes: Record<string, number>;
  hoop: string | null;
  /** Threads on the needles, by name. */
  threads: (string | null)[];
  bobbin: number;
  fault: { kind: MachineFault; head: number; needle: number } | null;
  /** A fault was put right, and it has not been started since. */
  mended: boolean;
  clock: number;
  /** Needle time spent in the stop so far, s. */
  spent: number;
  /** Time still to pass before it stitches: getting up to speed, changing the needle, s. */
  lag: number;
  /** The stop’s stitches are all made; it comes to a halt, and trims. */
  ending: boolean;
  seq: number;
}
