import { messageOf } from '$lib/core/base/problems';
import { objectOf, refused } from './jobAnswers';
import type { JobAnswer } from './jobs';

/** Largest body a route reads, bytes. */
export const MAX_BODY_BYTES = 2 * 1024 * 1024;

/** An answer as it is sent. */
export function responseOf({ status, body }: JobAnswer, headers: Record<string, string> = {}): Response {
  return new Response(body, { status, headers: { 'content-type': 'application/json', ...headers } });
}

/** An error as every route answers it. */
export function refuse(status: number, code: string, message: string, path = ''): Response {
  return responseOf(refused(status, code, message, path));
}

export type BytesResult = { ok: true; bytes: Uint8Array } | { ok: false; answer: Response };
export type BodyResult = { ok: true; value: Record<string, unknown> } | { ok: false; answer: Response };

/**
 * Reads the body of a request, never more than a limit of it.
 *
 * @param most bytes
 * @returns the bytes, or 413 where there are more
 */
export async function readBytes(request: Request, most: number): Promise<BytesResult> {
  const tooLarge: BytesResult = {
    ok: false,
    answer: refuse(
      413,
      'too-large',
      `The request is larger than ${Math.round(most / 1024 / 1024)} MiB, the most that is read.`
    )
  };
  const chunks: Uint8Array[] = [];
  let size = 0;
  const reader = request.body?.getReader();
  while (reader) {
    let part;
    try {
      part = await reader.read();
    } catch (problem) {
      // The server’s own limit breaks the stream off; anything else is a sender that went away.
      if ((problem as { status?: unknown }).status === 413) return tooLarge;
      return { ok: false, answer: refuse(400, 'broken-off', `The request broke off: ${messageOf(problem)}`) };
    }
    if (part.done) break;
    size += part.value.byteLength;
    // What is too much is read and dropped, so that the sender is still there to hear the answer; the
    // server breaks off a body without end.
    if (size <= most) chunks.push(part.value);
    else chunks.length = 0;
  }
  return size > most ? tooLarge : { ok: true, bytes: new Uint8Array(Buffer.concat(chunks)) };
}

/**
 * Reads a JSON object from a request, never more than 2 MiB of it.
 *
 * @returns the object, or the answer to give: 415 not sent as JSON (as a form of another page would be), 413 too large, 400 no
 * JSON object
 */
export async function readBody(request: Request): Promise<BodyResult> {
  const type = (request.headers.get('content-type') ?? '').split(';')[0]?.trim().toLowerCase();
  if (type !== 'application/json')
    return {
      ok: false,
      answer: refuse(415, 'unknown-type', 'Send application/json as content type.', 'content-type')
    };
  const body = await readBytes(request, MAX_BODY_BYTES);
  if (!body.ok) return body;
  const object = objectOf(body.bytes);
  return object.ok ? object : { ok: false, answer: responseOf(object.answer) };
}
