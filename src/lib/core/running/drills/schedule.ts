import { type Card, createEmptyCard, fsrs, Rating } from 'ts-fsrs';
import { z } from 'zod';
import { type Drill, type Skill, SKILLS } from './drill';

const Answers = z
  .record(z.string(), z.object({ right: z.number().int().min(0), wrong: z.number().int().min(0) }))
  .default({});

/** When each drill is due again, and how often each skill was right. */
export const Practised = z.object({
  cards: z.record(z.string(), z.unknown()).default({}),
  skills: Answers,
  /** By item, for those of the beginner’s path. */
  items: Answers
});
export type Practised = z.infer<typeof Practised>;

/** Drills kept; the one longest not asked goes first. */
const MOST_CARDS = 2000;
/** Times a skill is asked before its answers say how well it goes. */
const FEW = 2;
const scheduler = fsrs({ enable_fuzz: false });

/**
 * What is known after a drill was answered: a wrong one comes again soon, a right one later each time.
 *
 * @example
 * practised(nothing, drill, true, now).skills[drill.skill] // { right: 1, wrong: 0 }
 */
export function practised(
  before: Practised,
  { id, skill, itemId }: Pick<Drill, 'id' | 'skill' | 'itemId'>,
  right: boolean,
  now: Date
): Practised {
  const card = cardOf(before, id, now);
  const next = scheduler.next(card, now, right ? Rating.Good : Rating.Again).card;
  const kept = Object.entries(before.cards)
    .filter(([other]) => other !== id)
    .slice(-(MOST_CARDS - 1));
  const more = (had = { right: 0, wrong: 0 }): { right: number; wrong: number } => ({
    right: had.right + Number(right),
    wrong: had.wrong + Number(!right)
  });
  return {
    cards: { ...Object.fromEntries(kept), [id]: JSON.parse(JSON.stringify(next)) as unknown },
    skills: { ...before.skills, [skill]: more(before.skills[skill]) },
    items: { ...before.items, [itemId]: more(before.items[itemId]) }
  };
}

/**
 * The drill to ask next: what is due, the longest overdue first, else a new one of the skill that is weakest.
 *
 * @example
 * nextDrill(drills, nothing, now)?.skill // 'mistake'
 */
export function nextDrill(drills: readonly Drill[], known: Practised, now: Date): Drill | undefined {
  const due = drills
    .filter(({ id }) => id in known.cards && cardOf(known, id, now).due.getTime() <= now.getTime())
    .sort((a, b) => cardOf(known, a.id, now).due.getTime() - cardOf(known, b.id, now).due.getTime());
  if (due[0]) return due[0];
  const weakness = (skill: Skill): number => {
    const { right, wrong } = known.skills[skill] ?? { right: 0, wrong: 0 };
    const asked = right + wrong;
    // Every skill is asked a few times before the weakest goes first.
    return asked < FEW ? asked - FEW : (right + 1) / (asked + 2);
  };
  const order = SKILLS.toSorted((a, b) => weakness(a) - weakness(b));
  const fresh = drills.filter(({ id }) => !(id in known.cards));
  for (const skill of order) {
    const found = fresh.find((drill) => drill.skill === skill);
    if (found) return found;
  }
  return undefined;
}

function cardOf({ cards }: Practised, id: string, now: Date): Card {
  const kept = cards[id];
  if (typeof kept !== 'object' || kept === null) return createEmptyCard(now);
  const card = { ...createEmptyCard(now), ...kept };
  const last = (kept as { last_review?: string }).last_review;
  return {
    ...card,
    due: new Date(card.due),
    ...(last !== undefined && { last_review: new Date(last) })
  };
}
