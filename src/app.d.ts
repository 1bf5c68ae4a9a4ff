import type { IncomingMessage } from 'node:http';
import 'vite-plugin-pwa/svelte';

declare global {
  namespace App {
    interface Error {
      message: string;
    }
    /** What adapter-node knows of a request beside the request itself. */
    interface Platform {
      req?: IncomingMessage;
    }
  }
}

export {};
