import type { RunEvent, RunEventType } from '$lib/core/documents/run';

/** An event in short: what, at which step, after how many seconds. */
export type Line = [type: RunEventType, stepId: string | null, at: number, more?: Partial<RunEvent>];
/** Events of a run, numbered in order. */
export const events = (...lines: Line[]): RunEvent[] =>
  lines.map(([type, stepId, at, more], index) => ({
    ...{ runId: 'run', seq: index + 1, client: 'tab', copy: 1, stop: null, stitch: null, text: '' },
    ...{ type, stepId, at: at * 1000, ...more }
  }));
