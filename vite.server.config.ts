import { fileURLToPath } from 'node:url';
import { defineConfig } from 'vite';

/** The server’s own entry and the thread of its long jobs, built beside what adapter-node builds. */
export default defineConfig({
  resolve: { alias: { $lib: fileURLToPath(new URL('./src/lib', import.meta.url)) } },
  // The built page lies there already.
  publicDir: false,
  ssr: { noExternal: true, target: 'node' },
  build: {
    ssr: true,
    outDir: 'build',
    emptyOutDir: false,
    target: 'node20',
    chunkSizeWarningLimit: 4000,
    rolldownOptions: {
      checks: { bundlerTimings: false },
      input: { start: 'src/lib/server/start.ts', 'jobs.worker': 'src/lib/server/jobs.worker.ts' },
      external: [/handler\.js$/, /^@napi-rs\/canvas/],
      output: { entryFileNames: '[name].js', chunkFileNames: 'jobs/[name]-[hash].js' }
    }
  }
});
