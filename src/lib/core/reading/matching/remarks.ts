import type { Pattern } from '$lib/core/craft/constructions';
import type { Remark, Step, Stop } from '$lib/core/documents/item';

/** Stops in file order, and which of them each expected stop became. */
export interface Built {
  stops: Stop[];
  byKey: Map<string, Stop[]>;
  /** Extra stops, each with the stop of the chart before it. */
  extras: { stop: Stop; after: Stop | undefined }[];
  /** Threads of the pattern that belong to no stop, by key. */
  named: Map<string, string>;
}

/** What making an item from its chart left to say. */
export function remarksOf(pattern: Pattern, built: Built, steps: Step[]): Remark[] {
  const remarks: Remark[] = [];
  const nameOfKey = new Map(pattern.expected.map(({ key, name }) => [key, name.toLowerCase()]));
  for (const stop of built.stops) {
    const step = steps.find((candidate) => candidate.kind === 'stop' && candidate.stopId === stop.id);
    const base = { stepId: step?.id };
    if (stop.number === null) {
      remarks.push({
        ...base,
        id: `no-row-${stop.expects ?? stop.id}`,
        severity: 'warn',
        text: `Your chart has no row for the ${nameOfKey.get(stop.expects ?? '') ?? stop.name}. Its hand steps stay; check which stop of your file does this.`
      });
    } else if (stop.countSource === 'none') {
      remarks.push({
        ...base,
        id: `no-count-${stop.id}`,
        severity: 'warn',
        text: `Stop ${stop.number} has no stitch count, so its time is not counted.`
      });
    }
  }
  for (const { stop } of built.extras) {
    remarks.push({
      id: `extra-${stop.id}`,
      severity: 'note',
      stepId: stop.id,
      text: `Stop ${stop.number ?? ''} is extra: the pattern does not expect it. It stays where your chart has it.`
    });
  }
  for (const step of steps) {
    if (step.kind !== 'stop' || step.pass === 1) continue;
    const number = built.stops.find(({ id }) => id === step.stopId)?.number;
    remarks.push({
      id: `again-${step.id}`,
      severity: 'note',
      stepId: step.id,
      text: `Stop ${number ?? ''} runs again here: send the machine back to it before you start.`
    });
  }
  return remarks;
}
