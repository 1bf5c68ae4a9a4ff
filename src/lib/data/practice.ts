import { Practised } from '$lib/core/running/drills';
import { db } from './db';

const KEY = 'practice';

/** What was practised; nothing where it was never, or cannot be read any more. */
export async function practiceKept(): Promise<Practised> {
  const kept = Practised.safeParse((await db.meta.get(KEY))?.value ?? {});
  return kept.success ? kept.data : Practised.parse({});
}

export async function keepPractice(practised: Practised): Promise<void> {
  await db.meta.put({ key: KEY, value: practised });
}
