import type { Problem, ScheduleJob } from './problem';
import type { TableWork } from './work';

/** Parts of several hoopings that are rinsed, soaked and dried together. */
export interface Wash {
  work: TableWork[];
  /** Hoopings whose parts are not there yet. */
  waitsFor: number;
  ready: number;
}

/** The washes of a problem by name: what is shared is done once, what each piece needs adds up. */
export function washesOf({ jobs, table, start }: Problem): Map<string, Wash> {
  const found = new Map<string, Wash>();
  const add = (name: string | null, work: readonly TableWork[]): void => {
    if (name === null) return;
    const wash = found.get(name) ?? { work: [], waitsFor: 0, ready: start };
    found.set(name, { ...wash, work: together(wash.work, work), waitsFor: wash.waitsFor + 1 });
  };
  for (const job of jobs) add(job.wash, washOf(job));
  for (const { wash, washed } of table) add(wash, washed);
  return found;
}

/** What is washed of a job, as any of its machines has it. */
export function washOf({ on }: ScheduleJob): TableWork[] {
  return on.find((times) => times !== null)?.wash ?? [];
}

/**
 * Two lists of work as one: a rinse or a wait is shared and as long as the longer one; what is done piece by piece adds up.
 *
 * @example
 * together([{ ...rinse, seconds: 180 }], [{ ...rinse, seconds: 180 }]) // one rinse of 180 s
 */
export function together(a: readonly TableWork[], b: readonly TableWork[]): TableWork[] {
  const merged = a.map((each) => ({ ...each }));
  let from = 0;
  for (const each of b) {
    const at = merged.findIndex(
      ({ what, kind }, index) => index >= from && what === each.what && kind === each.kind
    );
    const same = merged[at];
    if (same) {
      const shared = each.once || each.kind === 'wait';
      same.seconds = shared ? Math.max(same.seconds, each.seconds) : same.seconds + each.seconds;
      same.times = shared ? 1 : same.times + each.times;
      from = at + 1;
    } else merged.splice(from++, 0, { ...each });
  }
  return merged;
}
