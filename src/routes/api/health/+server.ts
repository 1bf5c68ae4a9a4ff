import { json } from '@sveltejs/kit';
import { env } from '$env/dynamic/private';
import { version } from '../../../../package.json';

/** Says that the server is up, which version it is, and whether it was started to show the demo. */
export function GET(): Response {
  return json({ ok: true, version, demo: env.JOLT_STEP_DEMO === '1' });
}
