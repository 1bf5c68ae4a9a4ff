import type { Item } from '$lib/core/documents/item';
import type { Order } from '$lib/core/documents/order';
import { type Run, RUN_VERSION, type RunEvent } from '$lib/core/documents/run';
import type { Shop } from '$lib/core/documents/shop';
import { type BatchInput, hoopingPlan, type PlannedHooping } from '$lib/core/ordering/day';

export type Happening = Pick<RunEvent, 'type'> & Partial<RunEvent>;

/** A run of a hooping of a plan, so far on that so many of its steps are done; `extra` happens before the second step. */
export function runOfHooping(
  {
    order,
    item,
    shop,
    items = [{ item }]
  }: { order: Order; item: Item; shop: Shop; items?: BatchInput['items'] },
  hooping: PlannedHooping | undefined,
  done: number | 'all',
  extra: readonly Happening[] = []
): Run {
  const made = hooping && hoopingPlan({ order, items, shop }, hooping);
  if (!hooping || !made) throw new RangeError('A hooping can be stitched.');
  const { lineId, stage, copies, stationId, hoopId, names } = hooping;
  const events: RunEvent[] = [];
  const log = ({ type, ...more }: Happening): void => {
    const seq = events.length + 1;
    const plain = { runId: 'run', seq, at: 1_000_000 * seq, client: 'test', copy: 1 };
    events.push({ ...plain, type, stepId: null, stop: null, stitch: null, text: '', ...more });
  };
  log({ type: 'start' });
  const count = done === 'all' ? made.plan.steps.length : done;
  made.plan.steps.slice(0, count).forEach(({ id }, at) => {
    if (at === 1) for (const each of extra) log({ stepId: id, ...each });
    log({ type: 'done', stepId: id });
  });
  if (done === 'all') log({ type: 'finish' });
  return {
    schema: 'jolt-step/run',
    version: RUN_VERSION,
    item: null,
    id: 'run',
    itemId: item.id,
    itemName: item.name,
    startedAt: '2026-11-27T09:00:00.000Z',
    finishedAt: done === 'all' ? '2026-11-27T12:00:00.000Z' : null,
    ...made,
    order: { orderId: order.id, lineId, stage, copies, stationId, hoopId, names },
    events
  };
}
