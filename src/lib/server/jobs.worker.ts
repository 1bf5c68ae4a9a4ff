import { whyNot } from '$lib/core/base/problems';
import { parentPort } from 'node:worker_threads';
import { JOBS } from './jobs';
import type { Asked, Told } from './pool';

/** One thread of the pool: does one job after another. */
parentPort?.on('message', ({ name, input }: Asked) => {
  parentPort?.postMessage({ begun: true } satisfies Told);
  void work(name, input).then((told) => parentPort?.postMessage(told));
});

async function work(name: Asked['name'], input: Asked['input']): Promise<Told> {
  try {
    return { ok: true, answer: await JOBS[name](input) };
  } catch (problem) {
    return { ok: false, why: whyNot(problem) };
  }
}
