import type { RunState } from '$lib/core/running/runs';

/** What the great key says: what a press of the space bar or the pedal does now. */
export function mainKeyWords({ phase, fault }: RunState, hasStep: boolean): string {
  if (phase === 'not-started') return 'Start';
  if (fault) return 'Sorted, go on';
  if (phase === 'set-aside') return 'It is back on: go on';
  if (phase === 'paused') return 'Go on';
  return hasStep ? 'Done' : 'Finish the run';
}
