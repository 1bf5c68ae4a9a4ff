import { planThreads, type ThreadPlan, type ThreadPlanInput } from '$lib/core/preparing/threads';
import { expose } from 'comlink';

const worker = { plan: (input: ThreadPlanInput): ThreadPlan => planThreads(input) };
export type ThreadsWorker = typeof worker;

expose(worker);
