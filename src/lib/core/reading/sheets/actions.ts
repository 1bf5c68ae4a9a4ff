import type { Role } from '$lib/core/documents/item';
import { type Facing, facing } from './facing';
import { type ActionKind, HARDWARE_WORDS, type Meaning, MEANINGS } from './meanings';
import { objectsOf } from './objects';
import type { SheetPiece } from './pieces';
import { segmentsOf } from './segments';
import type { Sentence } from './sentences';
import { roleInPlace } from './roleInPlace';
import { runsUnnamed, stopsSaid } from './stopsSaid';
import { Things } from './things';

/** Something a sentence asks hands to do. */
export interface SheetAction extends Facing {
  /** Number of the stop it follows; 0 before the first. */
  after: number;
  action: ActionKind;
  /** The piece, as the sheet calls it; null where the words name none. */
  piece: string | null;
  where: 'above' | 'below' | null;
  /** Index of its sentence. */
  sentence: number;
  /** What an `other` is. */
  is: string | null;
  optional: boolean;
  confidence: number;
  /** The words it was read from. */
  text: string;
}

/** A stop that a sentence runs. */
export interface SheetStop {
  n: number;
  role: Role;
  confidence: number;
  sentence: number;
  /** The words it was read from. */
  text: string;
}

export interface SheetReadings {
  actions: SheetAction[];
  stops: SheetStop[];
  pieces: SheetPiece[];
}

const BELOW =
  /\b(?:under(?:neath)?|beneath|below|behind)\b(?!\s+the\s+(?:foot|presser|needle|line|seam|edge))|\b(?:to|on|onto|against|at)\s+the\s+(?:(?:back|underside|bottom|wrong side)\s+of\s+the\s+(?:hoop|frame|work|stabili\w+|tear\S*|item|embroidery)|underside|reverse|back of it|(?:back|wrong side)(?=\s*(?:,|$)))/i;
const RIBBON = /\b(?:ribbon|cord|loop|elastic|strap|tab|webbing|string|hanger|band)\b/i;
const OPTIONAL =
  /\b(?:if you (?:like|wish|want|prefer)|optional(?:ly)?|if (?:needed|necessary|wanted))\b|^for (?:a|an|names?|dense|extra)\b/i;
/** What happens to the thing as a whole once it is out of the hoop. */
const OF_THE_ITEM: ReadonlySet<ActionKind> = new Set(['press', 'turn-through', 'rinse', 'dry']);
const SURE = 0.85;

/**
 * Reads sentences as actions and stops, in order; what words leave out is taken from what was said before: “it” is the last
 * piece, “the tape” lies on what was taped, and below is where the hoop has been turned over.
 *
 * @param listed pieces of the sheet’s list
 * @param item what the sheet makes, in a word
 *
 * @example
 * readActions(sentences, pieces, 'bib').actions[0] // { after: 0, action: 'hoop', piece: 'stabiliser', … }
 */
export function readActions(
  sentences: readonly Sentence[],
  listed: readonly SheetPiece[],
  item: string | null
): SheetReadings {
  const things = new Things(listed);
  const reader = new Reader(things, item);
  for (const { text } of sentences) things.foresee(text);
  for (const sentence of sentences) reader.read(sentence);
  const used = new Set(reader.actions.map(({ piece }) => piece));
  return {
    actions: reader.actions,
    stops: reader.stops.map((stop) => ({ ...stop, ...roleInPlace(stop, reader.actions, reader.stops) })),
    pieces: things.pieces.filter(({ line, name }) => line !== null || used.has(name))
  };
}

type More = Partial<Omit<SheetAction, 'action' | 'sentence' | 'text'>>;
type Said = { sentence: Sentence; text: string; optional: boolean };

/** What is known while the sentences go by. */
class Reader {
  readonly actions: SheetAction[] = [];
  readonly stops: SheetStop[] = [];
  #over = false;
  #hooped = false;
  #out = false;
  #taped: SheetPiece[] = [];
  #pinned: SheetPiece[] = [];
  #laid: SheetPiece[] = [];
  readonly #sides = new Map<SheetPiece, SheetAction['where']>();
  #last: SheetPiece[] = [];
  #group: { sentence: number; pieces: SheetPiece[] } = { sentence: -1, pieces: [] };
  #lastWasHoop = false;
  #turnedOut = false;
  /** Stops that a sentence names before all it asks for is done: “for stop 5 change to gold and wind a bobbin”. */
  readonly #deferred: (() => void)[] = [];
  readonly #things: Things;
  readonly #item: string | null;

  constructor(things: Things, item: string | null) {
    this.#things = things;
    this.#item = item;
  }

  get #reached(): number {
    return this.stops.at(-1)?.n ?? 0;
  }

  get #here(): 'above' | 'below' | null {
    return this.#out ? null : this.#over ? 'below' : 'above';
  }

  read(sentence: Sentence): void {
    const optional = OPTIONAL.test(sentence.text);
    const isThing = (part: string): boolean =>
      this.#things.mentions(part).some(({ at }) => at <= 8) || /^(?:the\s+)?(?:fabrics|cloths)\b/.test(part);
    for (const { text, kind } of segmentsOf(sentence.text, isThing))
      if (kind !== 'not') this.#segment({ sentence, text, optional });
    for (const run of this.#deferred.splice(0)) run();
  }

  #segment(said: Said): void {
    const { text, sentence } = said;
    const stops = stopsSaid(text, this.#reached);
    if (stops) {
      // "with the grey thread" and "change to amber for stop 3" come before the stop runs.
      if (
        /^(?:change|switch|swap|thread|rethread|put|load|use)\b/i.test(text) ||
        /\bwith\b[^,]*\bthread\b/i.test(text)
      ) {
        this.#add(said, 'change-thread');
        if (/\bbobbin\b/i.test(text)) this.#add(said, 'change-bobbin');
      }
      const isFor =
        /\bfor (?:the )?(?:\p{L}+ )?(?:stop|colou?r)/iu.test(text) &&
        !/^(?:sew|stitch|run|embroider)\b/i.test(text);
      if (isFor) {
        const n = stops.from ?? this.#reached + 1;
        this.#deferred.push(() => (n > this.#reached ? this.#run(n, said) : undefined));
        return;
      }
      const from = stops.from ?? this.#reached + 1;
      const colours = /\b(?:in|with)\s+\p{L}+(?:,\s*\p{L}+)*(?:,?\s+and\s+\p{L}+)/iu.test(sentence.text);
      for (let n = from; n < from + Math.min(40, stops.count); n++) {
        if (stops.count > 1 && colours) this.#add({ ...said, optional: true }, 'change-thread');
        this.#run(n, said);
      }
      return;
    }
    if (!this.#out && runsUnnamed(text, this.#hooped)) {
      if (/\bwith\b[^,]*\bthread\b/i.test(text)) this.#add(said, 'change-thread');
      this.#run(this.#reached + 1, said);
      return;
    }
    const meaning = MEANINGS.find((each) => this.#fits(each, text));
    if (meaning) this.#mean(said, meaning);
    else this.#withoutVerb(said);
  }

  #fits({ says, over, action }: Meaning, text: string): boolean {
    if (!says.test(text) || (over !== undefined && over !== this.#over)) return false;
    // "turn it over" turns the hoop only where it was the hoop that was spoken of.
    if (
      (action === 'turn-hoop-over' || action === 'turn-hoop-back') &&
      /^(?:turn|flip|roll)\s+it\b/i.test(text)
    )
      return (this.#lastWasHoop || this.#over) && !this.#out;
    if (action === 'hoop-on' && /^\S+\s+(?:back\s+)?it\b/i.test(text))
      return this.#lastWasHoop || /\b(?:machine|arm)\b/i.test(text);
    if (action === 'lay' && /^smooth\b/i.test(text))
      return this.#things.mentions(text).some(({ piece }) => !this.#laid.includes(piece));
    // "Lay C in the frame": a frame that was stitched, once something is in the hoop.
    if (action === 'hoop' && this.#hooped) return /^(?:re-?)?hoop\b/i.test(text);
    return true;
  }

  #run(n: number, { sentence, text }: Said): void {
    this.stops.push({ n, role: 'decoration', confidence: 0, sentence: sentence.index, text });
  }

  #mean(said: Said, { action, on, thing, is, sure }: Meaning): void {
    const { text } = said;
    const more: More = { ...(is !== undefined && { is }), confidence: sure ?? SURE };
    switch (action) {
      case 'turn-hoop-over':
      case 'turn-hoop-back':
        this.#add(said, action, null, more);
        this.#over = action === 'turn-hoop-over';
        this.#lastWasHoop = true;
        return;
      case 'hoop-off':
        this.#add(said, action, null, more);
        this.#lastWasHoop = true;
        if (/\bover(?:\s+again)?\s*$/i.test(text) && !this.#over) {
          this.#add(said, 'turn-hoop-over', null, more);
          this.#over = true;
        }
        return;
      case 'hoop-on':
        if (this.#over) {
          if (/\b(?:turn|right way|face up)\b/i.test(text)) this.#add(said, 'turn-hoop-back', null, more);
          this.#over = false;
        }
        this.#add(said, action, null, more);
        this.#lastWasHoop = true;
        return;
      case 'unhoop':
        this.#add(said, action, null, more);
        [this.#over, this.#out, this.#hooped, this.#lastWasHoop] = [false, true, false, false];
        return;
      case 'hoop':
        [this.#hooped, this.#out] = [true, false];
        this.#onPieces(said, action, more);
        return;
      case 'untape':
      case 'unpin':
        this.#loosen(said, action, more);
        return;
      case 'change-bobbin':
        if (
          /^(?:change|switch)\s+(?:back\s+)?to\b|\b(?:needle|top|both|thread)\b.{0,20}\band\b.{0,20}\bbobbin\b/i.test(
            text
          ) &&
          !/^wind\b/i.test(text)
        )
          this.#add(said, 'change-thread', null, more);
        this.#add(said, action, null, more);
        return;
      case 'change-thread':
        this.#add(said, action, null, more);
        return;
      case 'turn-through':
        this.#turnedOut = true;
        this.#add(said, action, this.#named(text) ?? this.#item, more);
        return;
      case 'clip':
        this.#add(said, action, /\bcorners?\b/i.test(text) ? 'corners' : (thing ?? null), more);
        return;
      default:
        if (thing !== undefined || on === 'none') this.#add(said, action, thing ?? null, more);
        else this.#onPieces(said, action, more);
    }
  }

  /** The thing that “turn the bib right side out” names. */
  #named(text: string): string | null {
    const noun = /^\p{L}+\s+(?:the|your)\s+((?:\p{L}+\s+)?\p{L}+?)\s+(?:right|inside|through|out)\b/iu.exec(
      text
    )?.[1];
    return noun === undefined || /^(?:whole|work|item|thing|project|excess|rest)/i.test(noun)
      ? null
      : noun.toLowerCase();
  }

  /** What is done to pieces, one action for each. */
  #onPieces(said: Said, action: ActionKind, more: More): void {
    const { text } = said;
    if (this.#turnedOut && OF_THE_ITEM.has(action) && this.#things.mentions(text).length === 0) {
      this.#add(said, action, this.#item, more);
      return;
    }
    if (action === 'attach-hardware' && this.#things.mentions(text).length === 0) {
      this.#add(said, action, hardwareIn(text), more);
      return;
    }
    if (action === 'cut-out' && this.#things.mentions(text).length === 0) {
      this.#add(said, action, this.#named(text) ?? this.#item, more);
      return;
    }
    const pieces = objectsOf(this.#things, action, text, {
      last: this.#last,
      group: this.#group.pieces,
      laid: this.#laid
    });
    const where = this.#whereOf(action, text);
    const side = action === 'lay' || action === 'insert-ribbon' ? facing(text, where === 'below') : {};
    for (const piece of pieces.length > 0 ? pieces : [null]) {
      if (piece === null || typeof piece === 'string') {
        this.#add(said, action, piece, { ...more, ...side, where });
        continue;
      }
      const isNew = !this.#laid.includes(piece);
      const isRibbon = RIBBON.test(`${piece.name} ${piece.material ?? ''}`) && !/\btape\b/i.test(piece.name);
      if (isNew && isRibbon && ['tape', 'pin', 'lay', 'glue'].includes(action) && !this.#out) {
        this.#add(said, 'insert-ribbon', piece, {
          ...more,
          ...facing(text, where === 'below'),
          where: where ?? this.#here
        });
        this.#laid.push(piece);
        if (action === 'lay') continue;
      }
      // "Tape the back in place" lays what does not lie there yet.
      if (
        isNew &&
        !isRibbon &&
        (action === 'tape' || action === 'pin') &&
        !this.#out &&
        piece.role !== 'stabiliser'
      ) {
        this.#add(said, 'lay', piece, {
          ...more,
          ...facing(text, where === 'below'),
          where: BELOW.test(text) ? 'below' : where
        });
        this.#laid.push(piece);
        this.#sides.set(piece, BELOW.test(text) ? 'below' : where);
      }
      const at = action === 'tape' && this.#sides.get(piece) ? { where: this.#sides.get(piece) ?? null } : {};
      const flipped: More =
        action === 'flip' ? { face: 'up', faceFromAbove: this.#over ? 'down' : 'up', where: this.#here } : {};
      this.#add(said, action, piece, { ...more, ...side, where, ...at, ...flipped });
      if (action === 'lay' && isNew) this.#laid.push(piece);
      if (action === 'lay') this.#sides.set(piece, where);
      if (action === 'tape' && !this.#taped.includes(piece)) this.#taped.push(piece);
      if (action === 'pin' && !this.#pinned.includes(piece)) this.#pinned.push(piece);
    }
    const known = pieces.filter((piece) => typeof piece !== 'string');
    if (known.length > 0) this.#speakOf(said, known);
  }

  /** Tape and pins come off the pieces named, else off all that have them. */
  #loosen(said: Said, action: 'untape' | 'unpin', more: More): void {
    const { text } = said;
    const held = action === 'untape' ? this.#taped : this.#pinned;
    const named = this.#things
      .mentions(text)
      .map(({ piece }) => piece)
      .filter((piece) => held.includes(piece) || !/\btapes?\b/i.test(piece.name));
    const where = action === 'untape' ? this.#here : null;
    if (action === 'untape' && named.length === 0 && /\ball\b/i.test(text) && held.length !== 1) {
      this.#add(said, action, 'all tape', { ...more, where: null });
      this.#taped = [];
      return;
    }
    const meant = /\b(?:it|them)\b/i.test(text) ? this.#last.filter((piece) => held.includes(piece)) : [];
    const off = named.length > 0 ? named : meant.length > 0 ? meant : [...held];
    for (const piece of off.length > 0 ? off : [null]) this.#add(said, action, piece, { ...more, where });
    const rest = held.filter((piece) => !off.includes(piece));
    if (action === 'untape') this.#taped = rest;
    else this.#pinned = rest;
    if (off.length > 0) this.#speakOf(said, off);
  }

  #speakOf({ sentence: { index } }: Said, pieces: SheetPiece[]): void {
    this.#last = pieces;
    this.#lastWasHoop = false;
    const before = this.#group.sentence === index ? this.#group.pieces : [];
    this.#group = { sentence: index, pieces: [...new Set([...before, ...pieces])] };
  }

  #whereOf(action: ActionKind, text: string): SheetAction['where'] {
    if (!['lay', 'insert-ribbon', 'tape', 'pin', 'flip'].includes(action))
      return this.#over && action === 'trim' ? 'below' : null;
    if (this.#over) return 'below';
    if (action === 'lay' || action === 'insert-ribbon') return BELOW.test(text) ? 'below' : 'above';
    return this.#here;
  }

  /** Parts without a verb of the craft: “the back, right side down, over everything”, “the batting goes over the line”. */
  #withoutVerb(said: Said): void {
    const { text } = said;
    const [first] = this.#things.mentions(text);
    if (!first) return;
    const passive =
      /\b(?:is|are|gets?|goes|go|comes|come)\s+(?:now\s+|then\s+|next\s+|also\s+)?(laid|placed|put|taped|trimmed|pinned|flipped|folded|pressed|sprayed|glued|fused|hooped|torn|rinsed|clipped|on|over|under|in|face|right|wrong|underneath|down)\b/i.exec(
        text
      );
    if (passive?.[1]) {
      const verb = PARTICIPLES[passive[1].toLowerCase()];
      // What only tells how things are is no step: "once the back is on it is too late".
      if (verb === undefined && !/^(?:goes|go|comes?)\b/i.test(passive[0])) return;
      const behind = text.slice(passive.index + passive[0].length);
      const rest = verb === undefined ? ` ${passive[1]}${behind}` : behind;
      this.#segment({ ...said, text: `${verb ?? 'lay'} ${text.slice(first.at, first.end)}${rest}` });
      return;
    }
    const placed =
      /\b(?:right|wrong|pretty|good) sides?\b|\bface (?:up|down)\b|\s(?:over|on|onto|under|underneath)(?:\s+(?:the|it|everything|top)\b|$)/i.test(
        text.slice(first.end)
      );
    const tells = /\b(?:is|are|has|have|will|must|may|can|should|shows?|lies|looks?|ends?|stays?)\b/i.test(
      text
    );
    if (first.at <= 12 && placed && !tells) this.#segment({ ...said, text: `lay ${text.slice(first.at)}` });
  }

  #add(
    { sentence, text, optional }: Said,
    action: ActionKind,
    piece: SheetPiece | string | null = null,
    more: More = {}
  ): void {
    this.actions.push({
      after: this.#reached,
      action,
      piece: typeof piece === 'string' ? piece : (piece?.name ?? null),
      face: null,
      faceFromAbove: null,
      where: null,
      sentence: sentence.index,
      is: null,
      optional,
      confidence: SURE,
      text,
      ...more
    });
  }
}

/** The hardware that words name. */
function hardwareIn(text: string): string | null {
  return HARDWARE_WORDS.exec(text)?.[0].toLowerCase() ?? null;
}

const PARTICIPLES: Readonly<Record<string, string>> = {
  laid: 'lay',
  placed: 'place',
  put: 'put',
  taped: 'tape',
  trimmed: 'trim',
  pinned: 'pin',
  flipped: 'flip',
  folded: 'fold',
  pressed: 'press',
  sprayed: 'spray',
  glued: 'glue',
  fused: 'fuse',
  hooped: 'hoop',
  torn: 'tear',
  rinsed: 'rinse',
  clipped: 'clip'
};
