import { json } from '@sveltejs/kit';
import { exampleRibbon } from '$lib/server';

/** The ribbon of a plain tab, for a workroom that has no item yet. */
export function GET(): Response {
  return json(exampleRibbon());
}
