import adapter from '@sveltejs/adapter-node';
import { vitePreprocess } from '@sveltejs/vite-plugin-svelte';

/** @type {import('@sveltejs/kit').Config} */
export default {
  preprocess: vitePreprocess(),
  kit: {
    adapter: adapter(),
    // The shell is served for every page, also from the browser’s own store without a server.
    paths: { relative: false },
    serviceWorker: { register: false },
    // Our own guard (src/lib/server/guard.ts) checks host and origin of every request, also of those that are no forms. The
    // framework’s check would refuse scripts, which send no origin, with a pasted chart as plain text.
    csrf: { trustedOrigins: ['*'] },
    // Everything the page needs ships with it, so nothing else may load, run or be sent anywhere.
    csp: {
      mode: 'nonce',
      directives: {
        'default-src': ['none'],
        'script-src': ['self'],
        'style-src': ['self'],
        // The two style attributes that libraries write, each the same every time, both to hide a text that is
        // only heard: SvelteKit's announcement of a new page, and the label of the command palette.
        'style-src-attr': [
          'unsafe-hashes',
          'sha256-S8qMpvofolR8Mpjy4kQvEm7m1q8clzU4dfDH0AmvZjo=',
          'sha256-iaOezIDcQIoxCULa6FBKKuLUu09R7kG+Mlu+JVfU3Rw='
        ],
        'img-src': ['self', 'data:', 'blob:'],
        'font-src': ['self'],
        'connect-src': ['self'],
        'worker-src': ['self'],
        'manifest-src': ['self'],
        'form-action': ['self'],
        'base-uri': ['none'],
        'frame-ancestors': ['none'],
        'object-src': ['none']
      }
    }
  }
};
