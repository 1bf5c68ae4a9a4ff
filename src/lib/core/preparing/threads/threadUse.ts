import type { Plan } from '$lib/core/documents/plan';
import type { Setup } from '$lib/core/documents/shop';
import type { StashEntry, ThreadEntry } from '$lib/core/documents/stash';
import { sameName } from '$lib/core/preparing/stash';
import type { ItemBobbins } from './bobbinPlan';
import { type Match, nearestThreads } from './palette';

/** What one thread is used for, and what there is of it. */
export interface ThreadNeed {
  thread: Plan['threads'][number]['thread'];
  stops: number;
  /** Upper thread, and thread on bobbins wound with it, of all copies, m. */
  upper: number;
  bobbin: number;
  /** Spools of the stash that serve, by name, and what is on them, m. */
  have: number | null;
  lacks: number;
  /** New spools to buy, by what one of the maker’s holds. */
  buy: number;
  /** Spools of the stash nearest in colour. */
  nearest: Match<ThreadEntry>[];
}

/** What a new spool holds where nobody has said, m. */
const SPOOL_METRES = 1000;
const NEAREST = 4;

/**
 * Threads of an item, what all its copies take of them, and what the stash lacks.
 *
 * @param copies how many are made
 */
export function threadNeeds(
  plan: Plan,
  copies: number,
  bobbins: ItemBobbins,
  stash: readonly StashEntry[]
): ThreadNeed[] {
  const palette = stash.filter((entry): entry is ThreadEntry => entry.what === 'thread');
  const taken = fromBobbins(plan, bobbins);
  return plan.threads.map(({ thread, upperMetres, stops }) => {
    const wound = taken.get(thread.id) ?? 0;
    const upper = upperMetres * copies;
    const bobbin = wound * copies;
    const own = palette.filter(({ name }) => sameName(name, thread.name));
    const have = own.length > 0 ? own.reduce((sum, { metres }) => sum + metres, 0) : null;
    const lacks = Math.max(0, upper + bobbin - (have ?? 0));
    const spool = own.find(({ spools, metres }) => spools > 0 && metres > 0);
    const holds = spool ? Math.max(spool.metres / spool.spools, 100) : SPOOL_METRES;
    return {
      thread,
      stops,
      upper,
      bobbin,
      have,
      lacks,
      buy: Math.ceil(lacks / holds),
      nearest: nearestThreads(thread.colour, palette, NEAREST)
    };
  });
}

/** Thread that one copy takes from bobbins, by what they are wound with, m. */
function fromBobbins({ steps }: Plan, { levels, use }: ItemBobbins): Map<string, number> {
  const taken = new Map<string, number>();
  for (const { stepId, colour } of levels.filter(({ copy }) => copy === 1)) {
    const metres = (steps.find(({ id }) => id === stepId)?.stop?.bobbinMetres ?? 0) * use.factor;
    taken.set(colour, (taken.get(colour) ?? 0) + metres);
  }
  return taken;
}

/** The setup with a spool chosen for a thread, or with none. */
export function chooseSpool(setup: Setup, threadId: string, entry: ThreadEntry | null): Setup {
  const others = Object.fromEntries(Object.entries(setup.threads).filter(([id]) => id !== threadId));
  return {
    ...setup,
    threads: entry
      ? { ...others, [threadId]: { entryId: entry.id, name: entry.name, colour: entry.colour } }
      : others
  };
}
