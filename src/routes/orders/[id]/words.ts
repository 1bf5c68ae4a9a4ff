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
