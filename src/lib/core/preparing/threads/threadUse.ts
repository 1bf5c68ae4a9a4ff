import type { Plan } from '$lib/core/documents/plan';
import type { Setup } from '$lib/core/documents/shop';
import type { StashEntry, ThreadEntry } from '$lib/core/documents/stash';
import { sameName } from '$lib/core/preparing/stash';
import type { ItemBobbins } from './bobbinPlan';
import { type Match, nearestThreads } from './palette';
import { spoolHolds, spoolsFor } from './spools';

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

const NEAREST = 4;

/**
 * Threads of an item, what all its copies take of them, and what the stash lacks.
 *
 * @param copies how many are made
 * @param heads that stitch them side by side: each wants a spool of its own
 */
export function threadNeeds(
  plan: Plan,
  copies: number,
  bobbins: ItemBobbins,
  stash: readonly StashEntry[],
  heads = 1
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
    const holds = spoolHolds(spool ?? { metres: 0, spools: 0 });
    return {
      thread,
      stops,
      upper,
      bobbin,
      have,
      lacks,
      buy: spoolsToBuy(own, upper + bobbin, Math.min(heads, copies), holds),
      nearest: nearestThreads(thread.colour, palette, NEAREST)
    };
  });
}

/** Spools to buy so that there is enough, and one for every head. */
function spoolsToBuy(own: readonly ThreadEntry[], metres: number, heads: number, holds: number): number {
  const there = own.reduce((sum, { spools }) => sum + spools, 0);
  const lacks = metres - own.reduce((sum, entry) => sum + entry.metres, 0);
  const forHeads = spoolsFor(0, heads, holds) - there;
  return Math.max(0, Math.ceil(lacks / holds), forHeads);
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
