import tailwindcss from '@tailwindcss/vite';
import { sveltekit } from '@sveltejs/kit/vite';
import { SvelteKitPWA } from '@vite-pwa/sveltekit';
import { defineConfig } from 'vite';

export default defineConfig({
  build: {
    // The library that reads PDFs is one file; no page loads it before a PDF is brought.
    chunkSizeWarningLimit: 1600,
    rolldownOptions: { checks: { bundlerTimings: false } }
  },
  worker: { rolldownOptions: { checks: { bundlerTimings: false } } },
  plugins: [
    tailwindcss(),
    sveltekit(),
    SvelteKitPWA({
      // A new version is offered and never taken while somebody works.
      registerType: 'prompt',
      injectRegister: false,
      manifest: {
        name: 'Jolt Step',
        short_name: 'Jolt Step',
        description: 'Embroidery projects, step by step: one sheet, and led through at the machine.',
        start_url: '/',
        display: 'standalone',
        background_color: '#f5eee0',
        theme_color: '#1f2530',
        icons: [
          { src: '/icon.svg', sizes: 'any', type: 'image/svg+xml', purpose: 'any' },
          { src: '/icon-maskable.svg', sizes: 'any', type: 'image/svg+xml', purpose: 'maskable' }
        ]
      },
      workbox: {
        globPatterns: ['client/**/*.{js,mjs,css,svg,woff2,woff,ttf,wasm,webmanifest}'],
        maximumFileSizeToCacheInBytes: 8_000_000,
        // Every page is the same shell; what it shows lies in the browser.
        additionalManifestEntries: [{ url: '/', revision: String(Date.now()) }],
        navigateFallback: '/',
        navigateFallbackDenylist: [/^\/api\//],
        cleanupOutdatedCaches: true
      },
      kit: { adapterFallback: '/' }
    })
  ]
});
