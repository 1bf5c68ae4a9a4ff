import { KeptWeek } from '$lib/core/ordering/week';
import { db } from './db';

const KEY = 'week';

/** The week as it was planned last; null where it never was, or cannot be read any more. */
export async function weekKept(): Promise<KeptWeek | null> {
  const kept = KeptWeek.safeParse((await db.meta.get(KEY))?.value);
  return kept.success ? kept.data : null;
}

export async function keepWeek(week: KeptWeek): Promise<void> {
  await db.meta.put({ key: KEY, value: week });
}
