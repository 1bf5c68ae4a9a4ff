/** Headers that hold for every answer, of pages, routes and files; the content security policy itself is set in svelte.config.js. */
export const SAFE_HEADERS: Readonly<Record<string, string>> = {
  'x-content-type-options': 'nosniff',
  'referrer-policy': 'no-referrer',
  'permissions-policy': 'camera=(), microphone=(), geolocation=()'
};
