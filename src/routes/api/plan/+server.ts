import { jobRoute } from '$lib/server';

/**
 * POST { item, setup?, shop? } gives the Plan and what the checks find, by the same core as in the browser. Nothing
 * is kept.
 */
export const POST = jobRoute('plan');
