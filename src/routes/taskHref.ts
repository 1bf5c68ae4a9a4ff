import type { KeptWeek } from '$lib/core/ordering/week';

/**
 * Where a task of the week is done: its run, the day of its order, or the week.
 *
 * @example
 * taskHref({ runId: null, orderId: 'gala' }) // '/orders/gala?tab=day'
 */
export function taskHref({ runId, orderId }: Pick<KeptWeek['tasks'][number], 'runId' | 'orderId'>): string {
  if (runId !== null) return `/run/${runId}`;
  return orderId === null ? '/week' : `/orders/${orderId}?tab=day`;
}
