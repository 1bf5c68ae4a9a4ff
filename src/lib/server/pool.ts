import { whyNot } from '$lib/core/base/problems';
import { availableParallelism } from 'node:os';
import { join } from 'node:path';
import { pathToFileURL } from 'node:url';
import { Worker } from 'node:worker_threads';
import { refused } from './jobAnswers';
import { JOB_SECONDS, type JobAnswer, type JobInput, type JobName } from './jobs';

/** A job that waits or is done. */
interface Job {
  name: JobName;
  input: JobInput;
  done: (answer: JobAnswer) => void;
  /** Set once nobody waits for the answer any more. */
  gone: boolean;
}

/** What a worker is asked, and what it answers: that it has taken the job up, then how it went. */
export type Asked = { name: JobName; input: JobInput };
export type Told = { begun: true } | { ok: true; answer: JobAnswer } | { ok: false; why: string };

/** Jobs that wait at most; more are asked to come again. */
const MOST_WAITING = 8;
/** When to come again, s. */
export const RETRY_S = 5;
/** The most that a thread may take until it is loaded and takes a job up, s: that is no fault of who asked. */
const LOADING_S = 60;
/** Memory of one worker, MB. */
const MEMORY_MB = 512;

/**
 * Does long jobs in threads beside the one that answers, as many at a time as there are cores to spare, each with a time budget
 * that is kept by ending its thread. What waits is bounded, and what nobody waits for any more is given up.
 */
export class Pool {
  readonly #lanes: number;
  readonly #open: () => Worker;
  readonly #seconds: Readonly<Record<JobName, number>>;
  readonly #idle: Worker[] = [];
  readonly #waiting: Job[] = [];
  #busy = 0;
  /** Jobs given up because whoever asked had left. */
  left = 0;

  /**
   * @param lanes jobs at a time
   * @param open makes a thread
   * @param seconds the most that each job may take
   */
  constructor(lanes = Math.max(1, availableParallelism() - 1), open = jobsWorker, seconds = JOB_SECONDS) {
    this.#lanes = lanes;
    this.#open = open;
    this.#seconds = seconds;
  }

  /**
   * Does a job.
   *
   * @param signal ends the job when whoever asked for it is gone
   * @returns its answer; 503 where too many wait, or it did not end in time
   */
  do(name: JobName, input: JobInput, signal: AbortSignal): Promise<JobAnswer> {
    if (this.#waiting.length >= MOST_WAITING)
      return Promise.resolve(
        refused(503, 'busy', `Too much is asked for just now. Ask again in ${RETRY_S} s.`)
      );
    return new Promise((done) => {
      const leave = (): void => this.#giveUp(job);
      const over = (answer: JobAnswer): void => {
        signal.removeEventListener('abort', leave);
        done(answer);
      };
      const job: Job = { name, input, done: over, gone: false };
      this.#waiting.push(job);
      signal.addEventListener('abort', leave, { once: true });
      if (signal.aborted) this.#giveUp(job);
      this.#next();
    });
  }

  /** Ends every thread. */
  async close(): Promise<void> {
    await Promise.all(this.#idle.splice(0).map((worker) => worker.terminate()));
  }

  readonly #running = new Map<Job, (answer: JobAnswer) => void>();

  #giveUp(job: Job): void {
    if (job.gone) return;
    job.gone = true;
    const at = this.#waiting.indexOf(job);
    const end = this.#running.get(job);
    const answer = refused(499, 'left', 'Whoever asked has left.');
    if (at >= 0) {
      this.#waiting.splice(at, 1);
      job.done(answer);
    } else if (!end) return;
    else end(answer);
    this.left += 1;
  }

  #next(): void {
    while (this.#busy < this.#lanes) {
      const job = this.#waiting.shift();
      if (!job) return;
      this.#run(job);
    }
  }

  #run(job: Job): void {
    this.#busy += 1;
    const worker = this.#idle.pop() ?? this.#open();
    const over = (answer: JobAnswer, whole: boolean): void => {
      if (!this.#running.delete(job)) return;
      clearTimeout(timer);
      worker.off('message', told).off('error', broke).off('exit', ended);
      // One that broke off, or was broken off, is not asked again.
      if (whole) this.#idle.push(worker);
      else void worker.terminate();
      this.#busy -= 1;
      job.done(answer);
      this.#next();
    };
    const failed = (why: string): void => over(refused(500, 'failed', why), false);
    const seconds = this.#seconds[job.name];
    const tooSlow = `This was not worked out within ${seconds} s. Ask for less at once.`;
    let timer = setTimeout(
      () => over(refused(503, 'busy', `The server is still starting. Ask again in ${RETRY_S} s.`), false),
      LOADING_S * 1000
    );
    const begun = (): void => {
      clearTimeout(timer);
      timer = setTimeout(() => over(refused(503, 'too-slow', tooSlow), false), seconds * 1000);
    };
    this.#running.set(job, (answer) => over(answer, false));
    const told = (result: Told): void => {
      if ('begun' in result) begun();
      else if (result.ok) over(result.answer, true);
      else failed(result.why);
    };
    const broke = (problem: unknown): void => failed(whyNot(problem));
    const ended = (): void => failed('The work broke off.');
    worker.on('message', told).on('error', broke).on('exit', ended);
    const asked: Asked = { name: job.name, input: job.input };
    worker.postMessage(asked);
  }
}

/** The thread that does jobs: built beside the server, or read from its source where nothing is built. */
function jobsWorker(): Worker {
  const built = process.env.JOLT_STEP_JOBS;
  const resourceLimits = { maxOldGenerationSizeMb: MEMORY_MB };
  if (built) return new Worker(built, { resourceLimits });
  const source = pathToFileURL(join(process.cwd(), 'src/lib/server/jobs.worker.ts')).href;
  // Node.js runs TypeScript in a thread only once it was told how, from within.
  const begin = `import('tsx/esm/api').then(({ register }) => (register(), import('${source}')))`;
  return new Worker(begin, { resourceLimits, eval: true });
}

/** The one of this server. */
export const pool = new Pool();
