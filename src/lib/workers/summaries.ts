/** Keeps the summaries of items and runs fresh, in a worker, for as long as the page is open. */
export function followSummaries(): () => void {
  const worker = new Worker(new URL('./summaries.worker.ts', import.meta.url), { type: 'module' });
  return () => worker.terminate();
}
