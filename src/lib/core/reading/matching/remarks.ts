import { type FindingCode, severityOf, type ValuesOf } from '$lib/core/craft/findings';
import type { Pattern } from '$lib/core/craft/sequence';
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
        ...remark('chart/no-row', { stop: nameOfKey.get(stop.expects ?? '') ?? stop.name })
      });
    } else if (stop.countSource === 'none') {
      remarks.push({
        ...base,
        ...remark('chart/no-count', { stop: stop.number })
      });
    }
  }
  for (const { stop } of built.extras) {
    remarks.push({
      ...remark('chart/extra', { stop: stop.number }),
      stepId: stop.id
    });
  }
  for (const step of steps) {
    if (step.kind !== 'stop' || step.pass === 1) continue;
    const number = built.stops.find(({ id }) => id === step.stopId)?.number;
    remarks.push({
      ...remark('chart/again', { stop: number ?? null }),
      stepId: step.id
    });
  }
  return remarks;
}

/** A remark by its code: the item keeps what it is made of, and the sentence comes from that. */
function remark<C extends FindingCode>(code: C, values: ValuesOf<C>): Omit<Remark, 'stepId'> {
  return { code, severity: severityOf(code), values };
}
