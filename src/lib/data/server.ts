import type { DemoPack } from './demo';

/** Whether the server was started to show the demo. */
export async function serverOffersDemo(): Promise<boolean> {
  try {
    const answer = await fetch('/api/health');
    const body: unknown = await answer.json();
    return typeof body === 'object' && body !== null && 'demo' in body && body.demo === true;
  } catch {
    // Offline: there is nothing to offer.
    return false;
  }
}

/**
 * Fetches the demo stall.
 *
 * @throws Error when the server does not answer
 */
export async function fetchDemo(): Promise<DemoPack> {
  const answer = await fetch('/api/demo');
  if (!answer.ok) throw new Error('The demo could not be fetched from the server.');
  return (await answer.json()) as DemoPack;
}
