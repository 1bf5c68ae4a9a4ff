import { NUMBER_WORDS, numberSaid } from '$lib/core/base/units';
import type { Role } from '$lib/core/documents/item';
import { guessRole } from '$lib/core/reading/evidence';

const ORDINALS = [
  'first',
  'second',
  'third',
  'fourth',
  'fifth',
  'sixth',
  'seventh',
  'eighth',
  'ninth',
  'tenth',
  'eleventh',
  'twelfth',
  'thirteenth',
  'fourteenth',
  'fifteenth',
  'sixteenth',
  'seventeenth',
  'eighteenth',
  'nineteenth',
  'twentieth'
];
/** What the machine does by itself, in a sheet’s verbs. */
const RUN =
  /^(?:sew|stitch|run|embroider|start|work|do|machine|let|go|continue|finish|make|repeat|use|press|resume)\b/i;
const STOP = String.raw`(?:(?:colou?r|thread|machine|needle|sewing)[\s-])?(?:stops?|colou?rs?|rounds?|sections?|runs?|passe?s?|sequences?)`;
/** A number in figures or in words, which measures nothing. */
const COUNT = String.raw`(?:\d{1,3}(?!\s*(?:mm|cm|in\b|inch|["″”/.]\d?))|(?:${NUMBER_WORDS.join('|')})(?!\s+(?:after|by|at|of)\b))`;
const MORE = String.raw`(?:\s*\([^)]*\))?\s*(?:to|–|-|through|and|&|,|\+)\s*(?:${STOP}\s*)?#?(${COUNT})\b`;
const NUMBERED = new RegExp(
  String.raw`\b${STOP}\s*(?:#|no\.?|number|nr\.?)?\s*(${COUNT})\b(?!\s+(?:more\s+)?(?:${STOP}|times)\b)(?:${MORE})?(?:${MORE})?`,
  'i'
);
/** “Stitch 4 to 7”: the machine’s verb with numbers alone. */
const BARE = new RegExp(
  String.raw`^(?:sew|stitch|run|embroider)\s+(\d{1,3})\b(?!\s*(?:mm|cm|in\b|inch|["″”/.]|(?!and\b|to\b|through\b)\p{L}))(?:${MORE})?(?:${MORE})?`,
  'iu'
);
/** “Stitch the zip guide (1)”. */
const IN_BRACKETS =
  /^(?:sew|stitch|run|embroider)\b[^()]{0,60}\(\s*(?:(?:stop|colou?r)\s*)?#?(\d{1,2})\s*\)/i;
const RELATIVE = new RegExp(
  `\\b(?:the\\s+)?(next|following|${ORDINALS.join('|')}|last|final)\\s+(?:(${NUMBER_WORDS.slice(1).join('|')}|\\d{1,2})\\s+)?(?:\\p{L}+\\s+)?${STOP}\\b`,
  'iu'
);
/** “The first thread stitches the outline”. */
const THREAD_RUNS = new RegExp(
  `^(?:the\\s+)?(next|following|${ORDINALS.join('|')}|last|final)\\s+threads?\\s+(?:stitch|sew|tack|run|embroider|hold|secure|make|draw|mark|join)`,
  'i'
);
const SEVERAL = new RegExp(`\\b(${NUMBER_WORDS.join('|')}|\\d{1,2})\\s+(?:more\\s+)?${STOP}\\b`, 'i');
/** What a sheet calls the work of a stop, where it does not number them. */
const WORK =
  /\b(?:placement|position(?:ing)?|guide|die|cutting?|outline|tack-?down|tacking|hold-?down|holding|basting|zig-?zag|satin|border|edge|edging|seam|quilting|stippling|design|motif|lettering|letters|name|words?|eyes?|details?|decoration|top-?stitch\w*|perimeter|cover stitch\w*|buttonholes?|eyelets?|marks?|lines?)\b/i;

/** “#3 seam”. */
const HASHED = /^(?:(?:sew|stitch|run|embroider)\s+)?#\s?(\d{1,2})\b/i;

/** Stops that a part of a sentence runs: how many, and the number of the first where it says one. */
export interface StopsSaid {
  from: number | null;
  count: number;
  /** Whether it is the last of all. */
  last: boolean;
}

/**
 * The stops that a part of a sentence runs.
 *
 * @param reached number of the last stop that ran
 * @returns undefined where it runs none, or only speaks of one that ran before
 *
 * @example
 * stopsSaid('Sew stops 4 to 6', 3) // { from: 4, count: 3, last: false }
 */
export function stopsSaid(segment: string, reached: number): StopsSaid | undefined {
  const text = segment.replace(/^(?:and|then|now|next)\s+/i, '');
  if (/^(?:before|until)\b/i.test(text)) return undefined;
  const numbered = NUMBERED.exec(text) ?? BARE.exec(text) ?? IN_BRACKETS.exec(text) ?? HASHED.exec(text);
  if (numbered?.[1]) {
    const from = numberSaid(numbered[1]) ?? 0;
    const to = Math.max(from, numberSaid(numbered[2] ?? '') ?? 0, numberSaid(numbered[3] ?? '') ?? 0);
    const runs =
      RUN.test(text) ||
      numbered.index <= 12 ||
      /\b(?:for|sew|stitch|run|embroider|with|is)\s+(?:the\s+)?(?:\p{L}+,?\s+)?$/iu.test(
        text.slice(0, numbered.index)
      ) ||
      /[(,⟨]\s*$|\bmachine\s+(?:draws|sews|stitches|runs|marks)\b/i.test(text.slice(0, numbered.index));
    return runs && to > reached
      ? { from: Math.max(from, reached + 1), count: to - Math.max(from, reached + 1) + 1, last: false }
      : undefined;
  }
  const relative = RELATIVE.exec(text) ?? THREAD_RUNS.exec(text);
  if (relative?.[1]) {
    const word = relative[1].toLowerCase();
    const count = numberSaid(relative[2] ?? '') ?? 1;
    const runs =
      RUN.test(text) ||
      relative.index <= 12 ||
      /\b(?:for|sew|stitch|run|embroider)\s*$/i.test(text.slice(0, relative.index));
    if (!runs) return undefined;
    if (word === 'last' || word === 'final') return { from: null, count, last: true };
    const ordinal = ORDINALS.indexOf(word) + 1;
    if (ordinal > 0 && count === 1)
      return ordinal > reached ? { from: ordinal, count: 1, last: false } : undefined;
    return { from: null, count, last: false };
  }
  const several = SEVERAL.exec(text);
  if (several?.[1] && (RUN.test(text) || several.index <= 12 || /\bfollow/i.test(text)))
    return { from: null, count: numberSaid(several[1]) ?? 1, last: false };
  return undefined;
}

/** Whether a part of a sentence names a stop by its number, run or only spoken of. */
export function namesStop(segment: string): boolean {
  return NUMBERED.test(segment) || HASHED.test(segment);
}

/**
 * Whether a part of a sentence that names no stop still runs one: a verb of the machine and its work, not by hand.
 *
 * @param isHooped whether something is in the hoop: then whatever is stitched, the machine stitches
 *
 * @example
 * runsUnnamed('stitch the placement line') // true
 */
export function runsUnnamed(segment: string, isHooped = false): boolean {
  if (!/^(?:sew|stitch|run|embroider|machine|topstitch|quilt|baste)\b/i.test(segment)) return false;
  const own = segment.replace(/,?\s*\b(?:leav\w+|with|except\w*|but)\b[^,]*\b(?:opening|gap)\b.*$/i, '');
  if (/\b(?:by hand|hand-|opening|gap|button|snap|hook|loop tape|shut)\b/i.test(own)) return false;
  return isHooped || WORK.test(segment);
}

/**
 * Whether a part of a sentence tells what the machine’s stitches do: “two satin rounds finish the edge”.
 *
 * @example
 * runsBySubject('a zigzag closes the edge') // true
 */
export function runsBySubject(segment: string): boolean {
  return /^(?:(?:the|a|an|one|two|three|final|last|next|wide|narrow|dense)\s+)*(?:machine|satin|zig-?zag|triple|double|bean|running|border|edging|seam|stitch(?:es|ing)?)\b(?:\s+\p{L}+){0,2}?\s+(?:finish|complete|sew|close|cover|secure|join|go|run|stitch|hold|embroider|draw|mark)(?:es|s)?\b/iu.test(
    segment
  );
}

/**
 * What a stop does, from the sentence that runs it.
 *
 * @example
 * roleSaid('Stop 2: holds the batting.') // 'tack-down'
 */
export function roleSaid(text: string): { role: Role; confidence: number } {
  const lower = text.toLowerCase();
  if (/\b(?:leav\w+|with|has)\s+(?:\p{L}+\s+){0,3}(?:opening|gap)\b/u.test(lower))
    return { role: 'closing-seam', confidence: 0.85 };
  if (/\b(?:holds?|fix(?:es)?|secures?|catch(?:es)?|attach(?:es)?|tacks?|fastens?)\b/.test(lower))
    return { role: 'tack-down', confidence: 0.85 };
  if (
    /\b(?:shows? where|draws?|marks?|outline of|outlines? the|where the .* (?:goes|belongs)|place(?:ment)? for)\b/.test(
      lower
    )
  )
    return { role: 'placement', confidence: 0.85 };
  if (/\b(?:joins?|sews? .* together|across|through everything|through all)\b/.test(lower))
    return { role: 'join-seam', confidence: 0.75 };
  if (/\bquilt/.test(lower)) return { role: 'quilting', confidence: 0.9 };
  if (/\b(?:all round|all around|closes?|seam round)\b/.test(lower))
    return { role: 'closing-seam', confidence: 0.75 };
  const { role, confidence } = guessRole(
    text.replace(/\b(?:sew|stitch|run|stop|stops|next|the|colou?r|number)\b/gi, ' '),
    null,
    0.5
  );
  return { role, confidence };
}
