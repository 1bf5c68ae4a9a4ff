export type Seen = 'up' | 'down';

/** Which side of a piece lies towards the maker, and the same as seen from above in stitching position. */
export interface Facing {
  face: Seen | null;
  faceFromAbove: Seen | null;
}

const RIGHT = String.raw`(?:right|good|pretty|printed|nice|front|fabric|public|outer|patterned|best|smooth|decorated|coloured)\s+sides?`;
const WRONG = String.raw`(?:wrong|back|rear|reverse|inner|plain|unprinted|other)\s+sides?`;
const TOWARDS = String.raw`(?:up(?:wards?|permost)?|on top|facing (?:you|up(?:wards?)?|me|out(?:wards?)?)|towards you|to you|visible|showing|outside|out)`;
const AWAY = String.raw`(?:down(?:wards?)?|facing (?:down(?:wards?)?|the (?:hoop|machine|stabili[sz]er|front|batting|work|table|bed)|away|in(?:wards?)?|it|each other)|underneath|below|in|to (?:the|its) (?:front|work)|against|under)`;
const IS = String.raw`,?\s+(?:is\s+|are\s+|lies\s+|lying\s+|towards\s+)?`;

const SAYS: [pattern: RegExp, face: Seen][] = [
  [
    /\b(?:right|pretty|good|front) sides? (?:together|(?:to|on|against|facing) (?:the )?(?:right|pretty|good) sides?)\b/i,
    'down'
  ],
  [/\b(?:right|pretty|good) sides? facing(?: each other)?(?! (?:you|up|me|out))\b/i, 'down'],
  [/\bwrong sides? (?:together|(?:to|on|against) (?:the )?wrong sides?)\b/i, 'up'],
  [new RegExp(String.raw`\b${RIGHT}${IS}${AWAY}\b`, 'i'), 'down'],
  [new RegExp(String.raw`\b${WRONG}${IS}${TOWARDS}\b`, 'i'), 'down'],
  [new RegExp(String.raw`\b${RIGHT}${IS}${TOWARDS}\b`, 'i'), 'up'],
  [new RegExp(String.raw`\b${WRONG}${IS}${AWAY}\b`, 'i'), 'up'],
  [/\bface[\s-]?down\b|\bupside down\b/i, 'down'],
  [/\bface[\s-]?up\b/i, 'up']
];

/** Letters for how a side lies: RST, WST, RSU. */
const LIES: Readonly<Record<string, string>> = { T: 's together', U: ' up', D: ' down' };

/**
 * A text with the letters for how sides lie written out.
 *
 * @example
 * sidesInWords('the back on top, RST') // 'the back on top, right sides together'
 */
export function sidesInWords(text: string): string {
  return text.replace(
    /\b([RW])S(T|U|D)\b/g,
    (_, side: string, lies: string) => `${side === 'R' ? 'right' : 'wrong'} side${LIES[lies] ?? ''}`
  );
}

/**
 * Which side lies towards the maker, where words say it.
 *
 * @param isBelow whether the hoop is turned over, so that from above it is the other way round
 *
 * @example
 * facing('lay the back right side facing you', true) // { face: 'up', faceFromAbove: 'down' }
 */
export function facing(text: string, isBelow: boolean): Facing {
  const face = SAYS.find(([pattern]) => pattern.test(text))?.[1];
  if (face === undefined) return { face: null, faceFromAbove: null };
  return { face, faceFromAbove: isBelow ? turned(face) : face };
}

/** The other way up. */
function turned(face: Seen): Seen {
  return face === 'up' ? 'down' : 'up';
}
