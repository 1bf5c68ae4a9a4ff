import type { PlanStep } from '$lib/core/documents/plan';
import type { Fault, RunEvent } from '$lib/core/documents/run';

/** What the fold needs of a plan’s step. */
export type RunStep = Pick<PlanStep, 'id' | 'kind'>;

/** A fault and what it took to put right. */
export interface FaultRecord {
  fault: Fault;
  stepId: string;
  stop: number | null;
  stitch: number | null;
  at: number;
  /** Seconds until it was sorted; null where nobody told. */
  seconds: number | null;
  /** The machine told of it, and will tell when it goes on. */
  told: boolean;
}

/** Where a half-stitched hooping was left. */
export interface Bookmark {
  stepId: string;
  stop: number | null;
  stitch: number | null;
  at: number;
  text: string;
}

/** What a run has come to. */
export interface RunState {
  phase: 'not-started' | 'running' | 'paused' | 'set-aside' | 'finished' | 'stopped-early';
  /** Index of the step on the screen; the number of steps once all are done. */
  at: number;
  /** Which steps are done. */
  done: boolean[];
  /** Indices of steps left for later, in the order they were left. */
  skipped: number[];
  /** Active seconds of each step up to the last event; pauses and faults left out. */
  seconds: number[];
  /** Whether that time is known: not where clocks of two devices met, nobody looked, or a clock was set back. */
  trusted: boolean[];
  /** The step ids, and who wrote the last event. */
  steps: string[];
  client: string;
  /** Time from which the clock of the step, or of the open fault, goes on, ms; null while it stands still. */
  clockFrom: number | null;
  /** The fault that is being put right. */
  fault: FaultRecord | null;
  faults: FaultRecord[];
  /** Set while the hooping waits half-stitched. */
  bookmark: Bookmark | null;
  /** Faults, marks and notes, in order. */
  incidents: RunEvent[];
  /** Checks before the start that are ticked. */
  checked: string[];
  /** The machine this run follows. */
  follows: string | null;
  startedAt: number | null;
  endedAt: number | null;
  lastSeq: number;
  /** Indices of the steps that stood on the screen before, for going back. */
  path: number[];
  /** Seconds booked to the step since it came onto the screen. */
  visit: number;
  /** A stitch of the step on the screen that is known, and the step’s seconds at that moment. */
  known: { stitch: number; seconds: number } | null;
  /** The last stitch that was marked, while its stop is not done. */
  mark: { stepId: string; stop: number | null; stitch: number } | null;
}
