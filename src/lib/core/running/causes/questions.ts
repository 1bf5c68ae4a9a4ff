import type { Cause } from './causes';

/** What only the maker can know; a yes speaks for the cause. */
const QUESTIONS: Readonly<Record<string, string>> = {
  'not-caught-all-round': 'Did an edge of the stabiliser lie inside the ring, not caught?',
  'stretched-cloth': 'Was the cloth pulled after the ring was closed?',
  'trim-left-out': 'Was a trim left out, or done in a hurry?',
  'upper-tension': 'Was the thread changed just before it began?',
  'bobbin-tension': 'Was a bobbin put in just before it began?',
  'bobbin-colour': 'Is the bobbin of another colour than the edge?',
  'long-tail': 'Is it at the first stitches of a colour?',
  'hoop-not-locked': 'Did the hoop sit loose, or was it pushed?',
  'under-the-hoop': 'Is something sewn on below that should not be?',
  'no-centre': 'Was the place of the name judged by eye?',
  'blunt-needle': 'Has this needle stitched for more than a day’s work?',
  'too-fast': 'Did it run at full speed?',
  gummed: 'Does the needle feel sticky?',
  'ironed-vinyl': 'Was it ironed from the front?',
  'not-clipped': 'Were the corners left as they were before turning?',
  'hoop-not-turned': 'Was the lower piece laid without turning the hoop over?'
};

/** At most so many are asked. */
const MOST = 2;
/** Causes that lie nearer than this are told apart by a question. */
const NEAR = 0.4;
/** Weight of a cause that the maker has seen, and what is left of one that was not so. */
const SAID = 0.99;
const NOT_SO = 0.15;
/** What is seen in the item itself needs no word of anybody. */
const CERTAIN = 0.9;

/**
 * The next question that tells the likeliest causes apart; null where none would, or two were asked.
 *
 * @param answers by cause: whether it is so
 *
 * @example
 * nextQuestion(causesOf('nest', facts), new Map())?.words // 'Was the thread changed just before it began?'
 */
export function nextQuestion(
  causes: readonly Cause[],
  answers: ReadonlyMap<string, boolean>
): { ruleId: string; words: string } | null {
  if (answers.size >= MOST || [...answers.values()].includes(true)) return null;
  const open = causes.filter(({ rule, weight }) => weight < CERTAIN && !answers.has(rule.id));
  const top = causes[0]?.weight ?? 0;
  // One that stands by itself at the top is told without a question.
  if (top >= CERTAIN || causes.length < 2) return null;
  for (const { rule, weight } of open) {
    const words = QUESTIONS[rule.id];
    if (words !== undefined && top - weight <= NEAR) return { ruleId: rule.id, words };
  }
  return null;
}

/**
 * Causes as the maker’s answers leave them, the likeliest first.
 *
 * @example
 * answeredCauses(causes, new Map([['long-tail', true]]))[0]?.rule.id // 'long-tail'
 */
export function answeredCauses(causes: readonly Cause[], answers: ReadonlyMap<string, boolean>): Cause[] {
  return causes
    .map((cause): Cause => {
      const said = answers.get(cause.rule.id);
      if (said === undefined || cause.weight >= CERTAIN) return cause;
      return said
        ? { ...cause, weight: SAID, evidence: `${QUESTIONS[cause.rule.id] ?? ''} You say yes.` }
        : { ...cause, weight: cause.weight * NOT_SO };
    })
    .sort((a, b) => b.weight - a.weight);
}
