import { messageOf } from '$lib/core/base/problems';
import { loadDemo, type DemoPack } from './demo';

/** Whether the server was started to show the demo. */
export async function serverOffersDemo(): Promise<boolean> {
  try {
    const answer = await fetch('/api/health');
    const body: unknown = await answer.json();
    return typeof body === 'object' && body !== null && 'demo' in body && body.demo === true;
  } catch (problem) {
    // Offline there is nothing to offer.
    console.info(`No demo: ${messageOf(problem)}`);
    return false;
  }
}

/**
 * Fetches the demo stall and brings it in beside what is there.
 *
 * @throws Error when the server does not answer or the demo is broken
 */
export async function bringInDemo(): Promise<void> {
  const answer = await fetch('/api/demo');
  if (!answer.ok) throw new Error('The demo could not be fetched from the server.');
  await loadDemo((await answer.json()) as DemoPack);
}
