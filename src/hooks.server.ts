import type { Handle } from '@sveltejs/kit';
import { building } from '$app/environment';
import { env } from '$env/dynamic/private';
import { allowedHosts, guard, refuse, SAFE_HEADERS } from '$lib/server';

const WORDS: Record<number, [code: string, message: string]> = {
  404: ['not-found', 'There is no such route.'],
  405: ['method-not-allowed', 'This method is not answered here.'],
  413: ['too-large', 'The request is larger than what is read.']
};

const HOSTS = allowedHosts(env);

export const handle: Handle = async ({ event, resolve }) => {
  const { method, headers } = event.request;
  // What is made with the build is asked for by nobody.
  const refused = building
    ? null
    : guard({ method, headers, host: headers.get('host') ?? event.url.host }, HOSTS);
  let response = refused ?? (await resolve(event));
  if (event.url.pathname.startsWith('/api/') && response.status >= 400) {
    const kind = response.headers.get('content-type') ?? '';
    // What the framework answers by itself (no such route, wrong method, a fault) takes our form too.
    if (!kind.includes('application/json') || response.status === 405) {
      const [code, message] = WORDS[response.status] ?? ['failed', 'The server could not answer this.'];
      response = refuse(response.status, code, message);
    }
  }
  for (const [name, value] of Object.entries(SAFE_HEADERS)) response.headers.set(name, value);
  return response;
};
