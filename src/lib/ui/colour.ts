import { wcagLuminance } from 'culori';

const INK = '#1e2530';
const PAPER = '#fffaf0';

/**
 * The text colour that reads on a thread’s colour.
 *
 * @example
 * inkOn('#ffffff') // '#1e2530'
 */
export function inkOn(colour: string | null): string {
  if (colour === null) return 'currentColor';
  // Contrast with black passes contrast with white at a luminance of about 0.18.
  return wcagLuminance(colour) > 0.18 ? INK : PAPER;
}
