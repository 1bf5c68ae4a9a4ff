import type { Handle } from '@sveltejs/kit';
import { refuse } from '$lib/server';

/** Headers that hold for every answer; the content security policy itself is set in svelte.config.js. */
export const handle: Handle = async ({ event, resolve }) => {
  let response = await resolve(event);
  if (event.url.pathname.startsWith('/api/') && response.status >= 400) {
    const kind = response.headers.get('content-type') ?? '';
    // What the framework answers by itself (no such route, wrong method) takes our form too.
    if (!kind.includes('application/json') || response.status === 405) {
      const method = response.status === 405;
      response = refuse(
        response.status,
        method ? 'method-not-allowed' : 'not-found',
        method ? `${event.request.method} is not answered here.` : 'There is no such route.'
      );
    }
  }
  response.headers.set('x-content-type-options', 'nosniff');
  response.headers.set('referrer-policy', 'no-referrer');
  response.headers.set('permissions-policy', 'camera=(), microphone=(), geolocation=()');
  return response;
};
