import { jobRoute } from '$lib/server';

/**
 * POST { order, items, setups?, shop? } gives the plan of an order, by the same core as in the browser; { orders, … } the week
 * of several, with what can be promised of each. Nothing is kept.
 */
export const POST = jobRoute('batch');
