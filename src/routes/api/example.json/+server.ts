import { json } from '@sveltejs/kit';
import { exampleRibbon } from '$lib/server';

/** The same for everybody: made once, with the build, and kept by the browser. */
export const prerender = true;

/** The ribbon of a plain tab, for a workroom that has no item yet. */
export function GET(): Response {
  return json(exampleRibbon());
}
