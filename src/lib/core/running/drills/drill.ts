import type { Item } from '$lib/core/documents/item';

/** What a drill trains. */
export const SKILLS = ['mistake', 'next', 'side', 'chart', 'time', 'rescue'] as const;
export type Skill = (typeof SKILLS)[number];

export const SKILL_WORDS: Readonly<Record<Skill, string>> = {
  mistake: 'Spot the mistake',
  next: 'What now?',
  side: 'Which way up?',
  chart: 'Read the chart',
  time: 'How long, how much?',
  rescue: 'Rescue'
};

/** One answer that can be chosen, and what comes of it where it is the wrong one. */
export interface Choice {
  id: string;
  words: string;
  /** The item as it would be made with this answer, where that can be simulated. */
  leadsTo?: Item;
  /** What comes of it at the machine, where it is played there. */
  comes?: string;
}

/** A question made from an item by its simulation, with the one answer that comes out right. */
export interface Drill {
  /** The same drill of the same item, so that it can be asked again. */
  id: string;
  skill: Skill;
  itemId: string;
  itemName: string;
  question: string;
  choices: Choice[];
  answer: string;
  /** Why it is so, from the simulation. */
  why: string;
  /** The item to look at while one thinks, and how far its work has come. */
  shown: Item;
  until: string | null;
  /** How long one has to decide, s; as long as one likes where missing. */
  seconds?: number;
}
