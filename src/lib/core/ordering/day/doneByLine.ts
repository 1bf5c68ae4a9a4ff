import type { Problem, Schedule } from '$lib/core/solvers/schedule';

/**
 * When each line is done, s from the midnight before: what is washed together is waited for by all that is washed.
 *
 * @param linesOf the lines of each job: several share one hoop
 *
 * @example
 * doneByLine(problem, [['tabs'], ['lace']], schedule).get('lace') // 61200: 17:00
 */
export function doneByLine(
  { jobs }: Pick<Problem, 'jobs'>,
  linesOf: readonly (readonly string[])[],
  { tasks }: Pick<Schedule, 'tasks'>
): Map<string, number> {
  const washed = new Set(jobs.flatMap(({ wash }, at) => (wash === null ? [] : (linesOf[at] ?? []))));
  const done = new Map<string, number>();
  const until = (lineId: string, to: number): void => {
    done.set(lineId, Math.max(done.get(lineId) ?? 0, to));
  };
  for (const { job, to, kind, part } of tasks) {
    const lines = job === null ? [] : (linesOf[job] ?? []);
    const own = part === undefined ? undefined : lines[part];
    if (lines.length > 0) for (const lineId of own === undefined ? lines : [own]) until(lineId, to);
    else if (kind === 'wash' || kind === 'wait') for (const each of washed) until(each, to);
  }
  return done;
}
