import type { Meaning } from './meanings';
import type { Memory } from './memory';
import type { Things } from './things';

/** Whether a wording means what a text says, as the hoop lies now. */
export function fits({ says, over, action }: Meaning, text: string, now: Memory, things: Things): boolean {
  if (!says.test(text) || (over !== undefined && over !== now.over)) return false;
  // "turn it over" turns the hoop only where it was the hoop that was spoken of.
  if (
    (action === 'turn-hoop-over' || action === 'turn-hoop-back') &&
    /^(?:turn|flip|roll)\s+it\b/i.test(text)
  )
    return (now.lastWasHoop || now.over) && !now.out;
  if (action === 'turn-hoop-over' && /^(?:turn|flip)$/i.test(text)) return now.lastWasHoop && !now.out;
  // Once the work is turned, nothing is laid in a hoop.
  if (action === 'lay' && (now.turnedOut || now.out)) return false;
  if (action === 'hoop-on' && /^\S+\s+(?:back\s+)?it\b/i.test(text))
    return now.lastWasHoop || /\b(?:machine|arm)\b/i.test(text);
  if (action === 'lay' && /^smooth\b/i.test(text))
    return things.mentions(text).some(({ piece }) => !now.laid.includes(piece));
  // "Lay C in the frame": a frame that was stitched, once something is in the hoop.
  if (action === 'hoop' && now.hooped) return /^(?:re-?)?hoop\b/i.test(text);
  return true;
}
