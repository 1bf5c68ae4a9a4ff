import { sidesInWords } from './facing';
import { tellsOf } from './withoutVerb';

/** A part of a sentence that asks for one thing, with where it stands. */
export interface Segment {
  /** As written, without words that only lead over. */
  text: string;
  /** Whether it says what is not to be done, and so asks for nothing. */
  kind: 'plain' | 'not';
}

/** Verbs of the craft in their plain form; each begins a part of a sentence. */
const VERBS =
  'add adhere align anchor apply arrange attach baste begin bond bring burn butt button bury carry catch centre center change check clamp clean clip close coat collect continue cover crease cut dab detach discard dip dissolve do draw drop dry embroider ensure expose fasten feel feed fill finger-press finish fit fix flatten flip float fold free fuse gather get give glue go grade hammer hand-sew hand-stitch hang heat hold hook hoop insert iron join keep knot ladder-stitch lay leave let lift line load lock loosen lower make mark match mind mist mount move nick notch open overlap overlay pair pare park peel pin place poke pop position pour press pull punch push put quilt raise re-hoop re-thread reach reattach rehoop release remove repeat replace rest rethread return reverse rinse rip roll rotate rub run score screw seal seam secure see set sew shake shape shut skip slide slip slip-stitch slipstitch smooth snap snip soak spray spread square stabilise stabilize start staple steam stick stitch stop straighten stretch strip support swap switch tack take tap tape tear thread tie tighten topstitch trace transfer trim tuck turn unclip undo unfold unhook unhoop unpick unpin unroll untape unthread unwrap unzip use wait warm wash watch wet whip-stitch wind wipe work wrap zip'.split(
    ' '
  );
const VERB = new Set(VERBS);

/** Words in front of a verb that change nothing. */
const LEADING =
  /^(?:(?:and|then|now|next|again|also|first|finally|lastly|last|carefully|gently|slowly|firmly|neatly|just|simply|please|afterwards|once more|at last|this time|only now|only then|here|now you can|you can(?: now)?|you may|you should|you need to|you will|you now|it is time to|be sure to|remember to|make sure to|if you like|if needed|if necessary|if you wish|for now|to start|to begin|to finish|with care|with both hands|but|so|or|either|to do so|in the end|at the end|when done|when it is done|when finished|when the machine stops|when it stops|as before)\b[\s,]*)+/i;

/** Gerunds and third persons as the verbs they come from. */
function lemma(word: string): string | undefined {
  const lower = word.toLowerCase();
  if (VERB.has(lower)) return lower;
  const ing = /^(.*?)ing$/.exec(lower)?.[1];
  if (ing !== undefined) {
    for (const form of [`${ing}e`, ing, ing.replace(/(.)\1$/, '$1')]) if (VERB.has(form)) return form;
  }
  return undefined;
}

/**
 * The verb a text begins with, in its plain form.
 *
 * @example
 * verbOf('taping its corners') // 'tape'
 */
export function verbOf(text: string): string | undefined {
  const word = /^[\p{L}-]+/u.exec(text)?.[0];
  return word === undefined ? undefined : lemma(word);
}

const isVerb = (word: string | undefined): boolean => word !== undefined && VERB.has(word.toLowerCase());

/**
 * The parts of a sentence that each ask for something: it is parted at marks and at “and”, “then”, “while”, “before”, where a
 * verb follows; a part without one belongs to the part before it, save where it only leaves the verb out.
 *
 * @param isThing whether words begin with a piece, so that “then the fabrics to 6 mm” goes on with the verb before
 *
 * @example
 * segmentsOf('Lay A over it and tape the corners.', () => false).map(({ text }) => text) // ['Lay A over it', 'tape the corners']
 */
export function segmentsOf(sentence: string, isThing: (text: string) => boolean): Segment[] {
  const clean = sidesInWords(sentence)
    .replace(/[.!?]+["”’)]*$/, '')
    .replace(/\b(hand|slip|ladder|whip)\s+(stitch|sew)\b/gi, '$1-$2')
    .replace(
      /\b((?:stitch|sew|run|embroider|stop|colou?r)s?\s+\d+)\s*\([^)]*\)(?=\s*(?:and|,|to|–)\s*\d)/gi,
      '$1'
    )
    .replace(/\b(pin|clip|glue)\s+or\s+tape\b/gi, 'tape')
    .replace(/\b(top|edge)[\s-](stitch)/gi, '$1$2')
    .trim();
  // "Stop 3: outline of the batting" only says what the stop is.
  if (/^(?:colou?r\s+)?stops?\s*#?\d+\s*(?:[:=(–—-]|is\b|draws\b|holds\b|sews\b)/i.test(clean))
    return [{ text: clean, kind: 'plain' }];
  const raw = clean
    .replace(/\s*\((?=(?:\p{L}+\s)?(?:stop|colou?r)s?\s?\d)([^)]*)\)/giu, ' ⟨$1')
    .split(
      /\s*[;:]\s+|\s+[–—-]\s+|,\s*|\s+(?=and\b)|\s+(?=then\b)|\s+(?=while\b)|\s+(?=before\b)|\s+(?=until\b)|\s+(?=so that\b)|\s+(?=because\b)|\s+(?=without\b)|\s+(?=after\b(?!\s+another))|\s+\(|\)\s*/i
    )
    .map((part) => part.trim())
    .filter((part) => part !== '');
  const segments: Segment[] = [];
  /** What stands in front of the first verb: “With right sides together,” “On the reverse,”. */
  let before = '';
  for (const part of raw) {
    const isNot = /^(?:and\s+)?(?:without|do not|don['’]t|never|no need|not)\b/i.test(part);
    const leads = /^(?:once|after|when|as soon as|before|while)\b/i.test(part);
    const bare = part.replace(/^(?:after|once|when|while|before)\s+/i, '').replace(LEADING, '');
    const reason = /^(?:so that|because|until|while|before|where|which|who|as it|since)\b/i.test(part);
    const begins =
      !HOW_IT_LIES.test(bare) &&
      verbOf(bare) !== undefined &&
      (isVerb(bare.split(/[\s,]/)[0]) || leads || /^(?:taping|pinning)\b/i.test(bare));
    const last = segments.at(-1);
    if (isNot) segments.push({ text: part, kind: 'not' });
    else if (begins && !(reason && !/^(?:while|before)\b/i.test(part)))
      segments.push({ text: bare, kind: 'plain' });
    else if (isNominal(bare) || (!reason && !leads && isThing(bare) && tellsOf(bare)))
      segments.push({ text: bare, kind: 'plain' });
    else if (
      /\b(?:and|then)\b/i.test(part) &&
      last &&
      (isThing(bare)
        ? (PLACED.test(` ${bare}`) && PLACED.test(last.text)) ||
          /^with\b/i.test(bare) ||
          (/^(?:and\s+)?then\s+(?:the|a)\s/i.test(part) && LAYS.test(last.text))
        : FROM_HOOP.test(bare))
    ) {
      // The verb before is meant again.
      const verb = /^[\p{L}-]+/u.exec(last.text)?.[0] ?? '';
      segments.push({ text: `${verb} ${bare}`, kind: last.kind });
    } else if (/^(?:on|over|under)\b.*\bgo(?:es)?\b/i.test(bare))
      segments.push({ text: bare, kind: 'plain' });
    else if (reason && /\b(?:hoop|frame) goes (?:back )?on\b/i.test(part))
      segments.push({ text: 'hoop on', kind: 'plain' });
    else if (last && last.kind !== 'not')
      last.text = /^and\b/i.test(part) ? `${last.text} ${part}` : `${last.text}, ${part}`;
    else if (fronted(bare) !== bare) segments.push({ text: fronted(bare), kind: 'plain' });
    else if (TELLS.test(bare)) segments.push({ text: bare, kind: 'plain' });
    else before = before === '' ? bare : `${before}, ${bare}`;
  }
  const [first] = segments;
  if (before !== '') {
    if (first) first.text = `${first.text}, ${before}`;
    else segments.push({ text: before, kind: 'plain' });
  }
  return segments.map((segment) => ({ ...segment, text: plainly(fronted(segment.text)) }));
}

/** A gerund at the front as the plain verb: “changing to green”. */
function plainly(text: string): string {
  const word = /^[\p{L}-]+/u.exec(text)?.[0] ?? '';
  const verb = verbOf(text);
  return verb === undefined || verb === word.toLowerCase() ? text : verb + text.slice(word.length);
}

/** Nouns that look like verbs: “fold in the middle”, “loop towards the centre”. */
const HOW_IT_LIES =
  /^(?:fold|loop|seam|hook|tape)\s+(?:in the (?:middle|centre|center)|towards?|facing|at the|pointing|level|flush)\b/i;

/** A sentence of its own, with no verb of the craft in front: “the back goes face down on top”. */
const TELLS = /\b(?:is|are|goes|go|comes|gets|get|will|has)\b/i;
const FROM_HOOP = /^(?:the\s+)?(?:project|work|item|piece|fabric)\s+from\s+the\s+(?:hoop|frame)\b/i;

/** Verbs that a further piece goes on with: “lay the front over it, then the back”. */
const LAYS = /^(?:lay|place|put|add|float)\b/i;

/** A thing and then where it goes or how large it is to be. */
const PLACED =
  /\s(?:in|on|onto|over|under|into|to|at|against|across|along|close|flush|right side|wrong side|face)\b/i;

/** Parts without a verb that still say what to do: “hoop off”, “over again”, “stop 4”, “a full bobbin in”. */
function isNominal(text: string): boolean {
  return (
    /^(?:the\s+)?(?:hoop|frame)\s+(?:is\s+)?(?:off|on|back|over|goes|comes|out)\b/i.test(text) ||
    /^(?:off|over|on|back on)\s*(?:again|with it|it goes|it comes)?$/i.test(text) ||
    /^(?:the\s+)?(?:\p{L}+\s+)?(?:stops?|colou?rs?|runs?|rounds?)\s*(?:#|no\.?\s*)?\d/iu.test(text) ||
    /^(?:the\s+)?(?:first|second|third|fourth|fifth|sixth|seventh|eighth|ninth|tenth|next|last|final|following)\s+(?:\p{L}+\s+)?(?:stop|colou?r)\b/iu.test(
      text
    ) ||
    /^(?:two|three|four|five|six)\s+stops\b/i.test(text) ||
    /^(?:needle|thread)\b.*\b(?:bobbin|top)\b/i.test(text) ||
    /^thread\b.*\bon top\b/i.test(text)
  );
}

/** A verb that stands behind a phrase of purpose or place moves to the front: “For a name slide a sheet under it”. */
function fronted(text: string): string {
  if (
    verbOf(text) !== undefined ||
    !/^(?:for|if|when|once|with|on|in|at|from|to|as|using|where|every|each|before|while)\b/i.test(text)
  )
    return text;
  const words = text.split(/\s+/);
  for (let at = 1; at < words.length - 1; at++) {
    const [before, word] = [words[at - 1] ?? '', words[at] ?? ''];
    if (!isVerb(word) || word !== word.toLowerCase()) continue;
    if (
      /^(?:the|a|an|to|that|which|who|it|they|its|your|this|of|with|is|are|and|or|will|can|not|each|every|no|for|on|in|at|from)$/i.test(
        before
      )
    )
      continue;
    return `${words.slice(at).join(' ')}, ${words.slice(0, at).join(' ').replace(/,$/, '')}`;
  }
  return text;
}
