import type { Problem, ScheduleTask } from './problem';
import { type Wash, washesOf } from './washes';
import type { TableWork } from './work';

/** Work at the table that is under way or waits for hands. */
export interface TableTask {
  job: number | null;
  work: readonly TableWork[];
  /** Which of it is next, and how many of its copies are done. */
  at: number;
  done: number;
  ready: number;
  wash: string | null;
  isWash: boolean;
}

type Note = (
  kind: ScheduleTask['kind'],
  job: number | null,
  from: number,
  to: number,
  title: string,
  part: number | undefined
) => void;

/** What is finished, washed and dried away from the machines. */
export class Table {
  tasks: TableTask[] = [];
  /** When the pieces of each job are done, as far as that is known. */
  readonly finished: number[];
  /** When the last wait is over. */
  waited = 0;
  readonly #washes: Map<string, Wash>;
  readonly #note: Note;

  constructor(problem: Problem, note: Note) {
    this.finished = new Array<number>(problem.jobs.length).fill(NaN);
    this.#washes = washesOf(problem);
    this.#note = note;
    for (const { work, wash } of problem.table) this.begin(null, work, wash, problem.start);
  }

  begin(job: number | null, work: readonly TableWork[], wash: string | null, ready: number): void {
    this.#settle({ job, work, at: 0, done: 0, ready, wash, isWash: false });
  }

  /** One copy of the next piece of work is done. */
  advance(task: TableTask, at: number): void {
    const next = task.work[task.at];
    this.tasks.splice(this.tasks.indexOf(task), 1);
    task.done++;
    task.ready = at;
    if (!next || task.done >= next.times) {
      task.at++;
      task.done = 0;
    }
    this.#settle(task);
  }

  /** Lets waiting pass; when all is done, hands over to the wash, or to whatever needed these pieces. */
  #settle(task: TableTask): void {
    for (let next = task.work[task.at]; next?.kind === 'wait'; next = task.work[task.at]) {
      const to = task.ready + next.seconds;
      this.#note('wait', task.job, task.ready, to, next.title, next.part);
      this.waited = Math.max(this.waited, to);
      task.ready = to;
      task.at++;
    }
    if (task.at < task.work.length) {
      this.tasks.push(task);
      return;
    }
    if (task.job !== null) this.finished[task.job] = task.ready;
    const wash = task.isWash || task.wash === null ? undefined : this.#washes.get(task.wash);
    if (!wash) return;
    wash.waitsFor--;
    wash.ready = Math.max(wash.ready, task.ready);
    if (wash.waitsFor === 0)
      this.#settle({
        job: null,
        work: wash.work,
        at: 0,
        done: 0,
        ready: wash.ready,
        wash: null,
        isWash: true
      });
  }
}
