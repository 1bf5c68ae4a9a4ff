import { json } from '@sveltejs/kit';
import { HAND_OVER, handOverBox, readBytes, refuse } from '$lib/server';
import type { RequestHandler } from './$types';

/** POST holds encrypted bytes for another device, for ten minutes, in memory; gives the id to ask for them. */
export const POST: RequestHandler = async ({ request, getClientAddress }) => {
  if (request.headers.get('content-type') !== 'application/octet-stream')
    return refuse(415, 'wrong-kind', 'Send what is handed over as application/octet-stream.');
  const body = await readBytes(request, HAND_OVER.bytes);
  if (!body.ok) return body.answer;
  if (body.bytes.length === 0) return refuse(422, 'invalid', 'Nothing was handed over.');
  const held = handOverBox.put(body.bytes, Date.now(), getClientAddress());
  return held
    ? json(held, { status: 201 })
    : refuse(503, 'too-many', 'Too much is being handed over just now. Wait ten minutes, or use a file.');
};
