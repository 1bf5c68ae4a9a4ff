import { handOverBox, readAs, refuse } from '$lib/server';
import { z } from 'zod';
import type { RequestHandler } from './$types';

const Asked = z.object({ id: z.string().regex(/^[2-9A-HJKMNP-Z]{5}$/, 'an id is five letters') });

/** POST { id } gives what is held under an id, once. */
export const POST: RequestHandler = async ({ request, getClientAddress }) => {
  const asked = await readAs(request, Asked);
  if (!asked.ok) return asked.answer;
  const bytes = handOverBox.take(asked.value.id, Date.now(), getClientAddress());
  if (bytes === 'none')
    return refuse(
      404,
      'not-found',
      'Nothing is held under this code: it was taken already, or ten minutes are over.',
      'id'
    );
  if (bytes === 'too-often')
    return refuse(429, 'too-often', 'Too many codes that do not fit. Wait a minute.');
  return new Response(new Uint8Array(bytes), {
    headers: { 'content-type': 'application/octet-stream', 'cache-control': 'no-store' }
  });
};
