import { differenceCiede2000, formatHex, parse } from 'culori';

/** Words that soften or deepen a colour without naming one. */
const SHADES = new Set([
  'light',
  'dark',
  'pale',
  'deep',
  'bright',
  'soft',
  'warm',
  'cool',
  'medium',
  'old',
  'antique'
]);

/** Colours as thread has them: duller than the web’s names, and some the web has no name for. */
const SHELF: Record<string, string> = {
  white: '#f6f3ec',
  black: '#23262b',
  grey: '#8b8f94',
  gray: '#8b8f94',
  red: '#bf2f2a',
  pink: '#e2a1ae',
  orange: '#d97a2b',
  yellow: '#e8c33c',
  green: '#3f7d4e',
  blue: '#33619c',
  navy: '#26345c',
  purple: '#6c4a8c',
  brown: '#6f4a30',
  gold: '#c69a35',
  teal: '#2b7378',
  turquoise: '#4aa9a6',
  beige: '#dccdb0',
  tan: '#c2a076',
  lime: '#9bbf45',
  cream: '#f3e9d2',
  ink: '#20242c',
  madder: '#b0362c',
  rose: '#c96f80',
  rust: '#a34a28',
  brass: '#b08d3c',
  fern: '#4f7f4a',
  moss: '#6a7042',
  amber: '#d99a2b',
  lamp: '#e3b341',
  signal: '#c23b2e',
  slate: '#5c6775',
  charcoal: '#3b3f46',
  mustard: '#c99a2e',
  burgundy: '#6d1f31',
  mint: '#a9d6bd',
  lilac: '#b59ac6',
  apricot: '#eeb083',
  copper: '#b4704a',
  natural: '#ece3cf',
  ecru: '#e4d8bd',
  silver: '#b9bdc2'
};

/** What a thread is drawn in when its name says no colour. */
export const UNKNOWN_COLOUR = '#a9a294';

/**
 * The colour that a thread’s name most likely means.
 *
 * @param name as charted, for instance `dark red 0614` or `#c23b2e`
 * @returns a hex colour, or undefined when no word of the name is a colour
 *
 * @example
 * colourOf('grey') // '#808080'
 * colourOf('badger 12') // undefined
 */
export function colourOf(name: string): string | undefined {
  const hex = /#[0-9a-f]{6}\b/i.exec(name);
  if (hex) return hex[0].toLowerCase();
  const words = name.toLowerCase().match(/[a-z]+/g) ?? [];
  const joined = words.length > 1 ? toHex(words.join('')) : undefined;
  if (joined) return joined;
  // The noun of a colour comes last: "lamp black" is black, "rose pink" is pink.
  for (const word of words.reverse()) {
    if (SHADES.has(word)) continue;
    const found = SHELF[word] ?? toHex(word);
    if (found) return found;
  }
  return undefined;
}

/** Whether a text is nothing but a colour: each of its words names one or shades one. */
export function isColourName(text: string): boolean {
  const words = text.toLowerCase().match(/[a-z]+/g) ?? [];
  return (
    words.length > 0 &&
    words.every((word) => SHADES.has(word) || colourOf(word) !== undefined) &&
    colourOf(text) !== undefined
  );
}

/**
 * What a maker would call a colour: the nearest name of the thread shelf, by the CIEDE2000 difference.
 *
 * @example
 * shelfName('#23262b') // 'black'
 */
export function shelfName(hex: string): string {
  const difference = differenceCiede2000();
  const apart = Object.entries(SHELF).map(([name, colour]) => [name, difference(hex, colour)] as const);
  return apart.reduce((best, each) => (each[1] < best[1] ? each : best))[0];
}

/** Names looked up before; papers say the same few words again and again. */
const LOOKED_UP = new Map<string, string | undefined>();
const MOST_WORDS = 5000;

function toHex(word: string): string | undefined {
  if (LOOKED_UP.has(word)) return LOOKED_UP.get(word);
  const hex = namedHex(word);
  if (LOOKED_UP.size < MOST_WORDS) LOOKED_UP.set(word, hex);
  return hex;
}

function namedHex(word: string): string | undefined {
  // Names only: the parser would take "face" or "bad" for the digits of a hex colour.
  if (!/^[a-z]{3,}$/.test(word) || /^[a-f]+$/.test(word) || word === 'transparent') return undefined;
  const parsed = parse(word);
  return parsed ? formatHex(parsed) : undefined;
}
