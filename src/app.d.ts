import 'vite-plugin-pwa/svelte';

declare global {
  namespace App {
    interface Error {
      message: string;
    }
  }
}

export {};
