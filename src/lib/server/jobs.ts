import { answerBatch } from './answerBatch';
import { answerIntake } from './answerIntake';
import { answerPlan } from './answerPlan';

/** What a job answers: a status and a body of JSON. */
export interface JobAnswer {
  status: number;
  body: string;
}

/** What is asked of a job. */
export interface JobInput {
  bytes: Uint8Array;
  /** Content type, in small letters. */
  type: string;
}

/** Work that may take long: each is done in a thread of its own, never in the one that answers everybody. */
export const JOBS = {
  plan: ({ bytes }: JobInput) => answerPlan(bytes),
  batch: ({ bytes }: JobInput) => answerBatch(bytes),
  intake: ({ bytes, type }: JobInput) => answerIntake(bytes, type)
} satisfies Record<string, (input: JobInput) => JobAnswer | Promise<JobAnswer>>;
export type JobName = keyof typeof JOBS;

/** The most that a job may take, s. */
export const JOB_SECONDS: Readonly<Record<JobName, number>> = { plan: 10, batch: 40, intake: 25 };
