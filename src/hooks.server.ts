import type { Handle } from '@sveltejs/kit';
import { env } from '$env/dynamic/private';
import { allowedHosts, guard, refuse } from '$lib/server';

const WORDS: Record<number, [code: string, message: string]> = {
  404: ['not-found', 'There is no such route.'],
  405: ['method-not-allowed', 'This method is not answered here.'],
  413: ['too-large', 'The request is larger than what is read.']
};

const HOSTS = allowedHosts(env);

/** Headers that hold for every answer; the content security policy itself is set in svelte.config.js. */
export const handle: Handle = async ({ event, resolve }) => {
  const { method, headers } = event.request;
  const refused = guard({ method, headers, host: headers.get('host') ?? event.url.host }, HOSTS);
  let response = refused ?? (await resolve(event));
  if (event.url.pathname.startsWith('/api/') && response.status >= 400) {
    const kind = response.headers.get('content-type') ?? '';
    // What the framework answers by itself (no such route, wrong method, a fault) takes our form too.
    if (!kind.includes('application/json') || response.status === 405) {
      const [code, message] = WORDS[response.status] ?? ['failed', 'The server could not answer this.'];
      response = refuse(response.status, code, message);
    }
  }
  response.headers.set('x-content-type-options', 'nosniff');
  response.headers.set('referrer-policy', 'no-referrer');
  response.headers.set('permissions-policy', 'camera=(), microphone=(), geolocation=()');
  return response;
};
