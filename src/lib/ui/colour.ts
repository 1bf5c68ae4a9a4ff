import { modeLrgb, modeRgb, useMode, wcagLuminance } from 'culori/fn';

// Only the two spaces that luminance needs: every page has this.
useMode(modeRgb);
useMode(modeLrgb);

/** At this luminance black and white read equally well, both at 4.58 : 1 (WCAG 2: (1.05) / (L + 0.05) = (L + 0.05) / 0.05). */
const EVEN_LUMINANCE = 0.179;

/**
 * The text colour that reads on a thread’s colour, at 4.5 : 1 or better.
 *
 * @example
 * inkOn('#f6f3ec') // '#000000'
 */
export function inkOn(colour: string | null): string {
  if (colour === null) return 'currentColor';
  return wcagLuminance(colour) > EVEN_LUMINANCE ? '#000000' : '#ffffff';
}
