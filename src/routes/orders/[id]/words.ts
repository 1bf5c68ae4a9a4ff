import type { Way } from '$lib/core/documents/run';
import type { PlannedHooping } from '$lib/core/ordering/day';

export const WAY_WORDS: Record<Way, string> = {
  'copy-by-copy': 'Copy by copy',
  'colour-by-colour': 'Colour by colour, all copies together',
  'lines-first': 'All placement lines first from a file of lines alone, then copy by copy'
};

/** `1 to 6`, or `7` */
export function copyWords({ numbers }: Pick<PlannedHooping, 'numbers'>): string {
  const [first, last] = [numbers[0], numbers.at(-1)];
  return first === last ? String(first ?? '') : `${first} to ${last}`;
}

/**
 * What is stitched in one hoop.
 *
 * @example
 * sharedWords(shared) // '4 × Badger luggage tab and 2 × Lamp patch'
 */
export function sharedWords({ parts }: NonNullable<PlannedHooping['shared']>): string {
  return new Intl.ListFormat('en-GB').format(parts.map(({ name, copies }) => `${copies} × ${name}`));
}

/** What the button that begins a hooping, or goes back to it, says. */
export function stitchWords(
  { runId, shared }: Pick<PlannedHooping, 'runId' | 'shared'>,
  usual: string
): string {
  if (runId) return 'Back to the machine';
  return shared && shared.at > 0 ? 'Stitch the hoop it shares' : usual;
}
