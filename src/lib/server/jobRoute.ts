import type { RequestHandler } from '@sveltejs/kit';
import { PAPER_TYPES } from './answerIntake';
import { MAX_BODY_BYTES, readBytes, refuse, responseOf } from './answers';
import type { JobName } from './jobs';
import { pool, RETRY_S } from './pool';

/** What each job takes, by content type, and how much of it, bytes. */
const TAKES: Readonly<Record<JobName, { types: readonly string[]; bytes: number }>> = {
  plan: { types: ['application/json'], bytes: MAX_BODY_BYTES },
  batch: { types: ['application/json'], bytes: MAX_BODY_BYTES },
  intake: { types: Object.keys(PAPER_TYPES), bytes: 20 * 1024 * 1024 }
};

/** A route that has a job done in the pool: 415 and 413 here, all else is answered by the job. */
export function jobRoute(name: JobName): RequestHandler {
  return async ({ request, platform }) => {
    const type = (request.headers.get('content-type') ?? '').split(';')[0]?.trim().toLowerCase() ?? '';
    const { types, bytes: most } = TAKES[name];
    if (!types.includes(type))
      return refuse(415, 'unknown-type', `Send ${types.join(', ')} as content type.`, 'content-type');
    const body = await readBytes(request, most);
    if (!body.ok) return body.answer;
    const gone = new AbortController();
    const leave = (): void => gone.abort();
    request.signal.addEventListener('abort', leave, { once: true });
    // Once the body is read only the line itself tells that nobody waits any more.
    platform?.req?.socket.once('close', leave);
    const answer = await pool.do(name, { bytes: body.bytes, type }, gone.signal);
    platform?.req?.socket.off('close', leave);
    return responseOf(answer, answer.status === 503 ? { 'retry-after': String(RETRY_S) } : {});
  };
}
