import { json } from '@sveltejs/kit';
import { demoPack } from '$lib/server';

/** The demo stall: a shop, items, their setups and past runs. */
export function GET(): Response {
  return json(demoPack());
}
