import type { SheetReadings } from './action';
import { facing } from './facing';
import { fits } from './fits';
import type { ActionKind } from './actionKinds';
import { HARDWARE_WORDS, type Meaning, MEANINGS } from './meanings';
import { sizeIn } from './measures';
import { objectsOf } from './objects';
import type { SheetPiece } from './pieceWords';
import { segmentsOf } from './segments';
import type { Sentence } from './sentences';
import { type More, type Said, SoFar } from './soFar';
import { roleInPlace } from './roleInPlace';
import { againAs, type Repeats, repeatsOf, toRepeat } from './repeats';
import { withSkipped } from './skipped';
import { thingTurned } from './thingTurned';
import { namesStop, runsBySubject, runsUnnamed, stopsSaid } from './stopsSaid';
import { Things } from './things';
import { BELOW, FLIPS_ALL, LISTS, OPTIONAL, RIBBON, SAME_WITH } from './telling';
import { hooping } from './hooping';
import { askedWithoutVerb } from './withoutVerb';

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
  sentences.forEach((sentence, at) => {
    const runsLater = sentences
      .slice(at + 1)
      .some(({ step, text }) => step === sentence.step && /^(?:stitch|sew|run|flip|fold)\b/i.test(text));
    reader.read(sentence, runsLater);
  });
  const used = new Set(reader.actions.map(({ piece }) => piece));
  return {
    actions: reader.actions,
    stops: withSkipped(reader.stops).map((stop) => ({
      ...stop,
      ...roleInPlace(stop, reader.actions, reader.stops)
    })),
    pieces: things.pieces.filter(({ line, name }) => line !== null || used.has(name))
  };
}

/** Reads sentence by sentence. */
class Reader extends SoFar {
  /** Stops that a sentence names before all it asks for is done: “for stop 5 change to gold and wind a bobbin”. */
  readonly #deferred: (() => void)[] = [];
  /** Sentences read so far, as they were written. */
  readonly #past: Sentence[] = [];
  /** Whether the sheet numbers its stops: then one without a number is only spoken of. */
  #numbered = false;
  readonly #item: string | null;

  constructor(things: Things, item: string | null) {
    super(things);
    this.#item = item;
  }

  /**
   * @param runsLater the same step says itself what is stitched after this sentence
   */
  read(sentence: Sentence, runsLater = false): void {
    const optional = OPTIONAL.test(sentence.text);
    const isThing = (part: string): boolean =>
      this.things.mentions(part).some(({ at }) => at <= 8) || /^(?:the\s+)?(?:fabrics|cloths)\b/.test(part);
    if (LISTS.test(sentence.text)) return;
    const again = SAME_WITH.exec(sentence.text)?.[1];
    const repeats = repeatsOf(sentence.text);
    if (repeats && this.#repeat(sentence, repeats, runsLater)) return;
    this.#past.push(sentence);
    if (again !== undefined) return this.#again({ sentence, text: sentence.text, optional }, again);
    if (namesStop(sentence.text)) this.#numbered = true;
    for (const { text, kind } of segmentsOf(hooping(this.#labelled(sentence), this.now.hooped), isThing))
      if (kind !== 'not') this.#segment({ sentence, text, optional });
    this.#deferred.splice(0).forEach((run) => run());
  }

  /** Reads what was done before once more, as at the other side. */
  #repeat({ index }: Sentence, repeats: Repeats, runsLater: boolean): boolean {
    // What asks for a repeat is never repeated itself: it would not end.
    const own = toRepeat(repeats, this.#past, this.actions).filter(({ text }) => !repeatsOf(text));
    const hands = own.findIndex(({ index: at }) => this.stops.some(({ sentence }) => sentence === at));
    const meant = runsLater && hands >= 0 && !('steps' in repeats) ? own.slice(0, hands) : own;
    for (const past of meant) this.read(againAs(past, index));
    return meant.length > 0;
  }

  /** “Loop: fold it in half”: a label names what the sentence is about. */
  #labelled({ text, index }: Sentence): string {
    const label = /^([^:.]{2,40}):\s+(?=\p{L})/u.exec(text);
    const named = label?.[1] === undefined ? undefined : this.things.mentions(label[1])[0];
    if (!label?.[1] || namesStop(label[1]) || !named || named.end - named.at < label[1].length - 6)
      return text;
    this.now.speakOf(index, [named.piece]);
    return text.slice(label[0].length);
  }

  /** “Do the same with C”: what the sentence before asked for, with another piece. */
  #again(said: Said, words: string): void {
    const piece = this.things.mentions(words)[0]?.piece ?? this.things.takeUp(words);
    const before = this.actions.at(-1)?.sentence;
    if (!piece || before === undefined) return;
    for (const { action, piece: own, where, face, faceFromAbove, is, text } of this.actions.filter(
      ({ sentence }) => sentence === before
    ))
      this.add({ ...said, text }, action, own === null ? null : piece, { where, face, faceFromAbove, is });
    this.now.speakOf(said.sentence.index, [piece]);
  }

  #segment(said: Said): void {
    const { text, sentence } = said;
    const stops = stopsSaid(text, this.reached);
    if (stops) {
      // "with the grey thread" and "change to amber for stop 3" come before the stop runs.
      if (
        /^(?:change|switch|swap|thread|rethread|put|load|use)\b/i.test(text) ||
        /\bwith\b[^,]*\bthread\b/i.test(text)
      ) {
        this.add(said, 'change-thread');
        if (/\bbobbin\b/i.test(text)) this.add(said, 'change-bobbin');
      }
      const isFor =
        /\bfor (?:the )?(?:\p{L}+ )?(?:stop|colou?r)/iu.test(text) &&
        !/^(?:sew|stitch|run|embroider)\b/i.test(text);
      if (isFor) {
        const n = stops.from ?? this.reached + 1;
        this.#deferred.push(() => (n > this.reached ? this.run(n, said) : undefined));
        return;
      }
      const from = stops.from ?? this.reached + 1;
      const colours = /\b(?:in|with)\s+\p{L}+(?:,\s*\p{L}+)*(?:,?\s+and\s+\p{L}+)/iu.test(sentence.text);
      for (let n = from; n < from + Math.min(40, stops.count); n++) {
        if (stops.count > 1 && colours) this.add({ ...said, optional: true }, 'change-thread');
        this.run(n, said);
      }
      return;
    }
    if (!this.now.out && !namesStop(text) && runsUnnamed(text, this.now.hooped)) {
      if (/\bwith\b[^,]*\bthread\b/i.test(text)) this.add(said, 'change-thread');
      this.run(this.reached + 1, said);
      return;
    }
    // “Cover felt on the outline” begins with a piece, whatever verb its name looks like.
    const [first] = this.things.mentions(text);
    const named =
      !said.reworded && first?.at === 0 && /\s/.test(text.slice(0, first.end)) && !/^lay\b/i.test(text);
    const asked = named ? askedWithoutVerb(text, first) : undefined;
    const meaning = MEANINGS.find((each) => fits(each, text, this.now, this.things));
    if (asked !== undefined) this.#segment({ ...said, text: asked, reworded: true });
    else if (meaning) this.#mean(said, meaning);
    else if (this.now.waitsToRun && !this.#numbered && runsBySubject(text)) this.run(this.reached + 1, said);
    else this.#withoutVerb(said);
  }

  #mean(said: Said, { action, on, thing, is, sure }: Meaning): void {
    const { text } = said;
    const more: More = { ...(is !== undefined && { is }), confidence: sure ?? SURE };
    switch (action) {
      case 'turn-hoop-over':
      case 'turn-hoop-back':
        this.add(said, action, null, more);
        this.now.over = action === 'turn-hoop-over';
        this.now.lastWasHoop = true;
        return;
      case 'hoop-off':
        this.now.waitsToRun = false;
        this.add(said, action, null, more);
        this.now.lastWasHoop = true;
        if (/\bover(?:\s+again)?\s*$/i.test(text) && !this.now.over) {
          this.add(said, 'turn-hoop-over', null, more);
          this.now.over = true;
        }
        return;
      case 'hoop-on':
        if (this.now.over) {
          if (/\b(?:turn|right way|face up)\b/i.test(text)) this.add(said, 'turn-hoop-back', null, more);
          this.now.over = false;
        }
        this.now.waitsToRun = true;
        this.add(said, action, null, more);
        this.now.lastWasHoop = true;
        return;
      case 'tear-away':
        // Before anything is stitched it is the paper of a sticky stabiliser that comes off.
        if (this.reached === 0) this.#onPieces(said, 'other', { ...more, is: 'peel' });
        else this.#onPieces(said, action, more);
        return;
      case 'unhoop':
        this.add(said, action, null, more);
        [this.now.over, this.now.out, this.now.hooped, this.now.lastWasHoop] = [false, true, false, false];
        return;
      case 'hoop':
        [this.now.hooped, this.now.out] = [true, false];
        this.#onPieces(said, action, more);
        return;
      case 'untape':
      case 'unpin':
        this.loosen(said, action, more);
        return;
      case 'change-bobbin':
        if (
          /^(?:change|switch)\s+(?:back\s+)?to\b|\b(?:needle|top|both|thread)\b.{0,20}\band\b.{0,20}\bbobbin\b/i.test(
            text
          ) &&
          !/^wind\b/i.test(text)
        )
          this.add(said, 'change-thread', null, more);
        this.add(said, action, null, more);
        return;
      case 'turn-through':
        this.now.turnedOut = true;
        this.add(said, action, thingTurned(text) ?? this.#item, more);
        return;
      case 'clip':
        this.add(said, action, /\bcorners?\b/i.test(text) ? 'corners' : (thing ?? null), more);
        return;
      default:
        if (thing !== undefined || on === 'none') this.add(said, action, thing ?? null, more);
        else this.#onPieces(said, action, more);
    }
  }

  /** What is done to pieces, one action for each. */
  #onPieces(said: Said, action: ActionKind, more: More): void {
    const { text } = said;
    if (this.now.turnedOut && OF_THE_ITEM.has(action) && this.things.mentions(text).length === 0) {
      this.add(said, action, this.#item, more);
      return;
    }
    if (action === 'attach-hardware' && this.things.mentions(text).length === 0) {
      this.add(said, action, HARDWARE_WORDS.exec(text)?.[0].toLowerCase() ?? null, more);
      return;
    }
    if (action === 'cut-out' && this.things.mentions(text).length === 0) {
      this.add(said, action, thingTurned(text) ?? this.#item, more);
      return;
    }
    const loose = this.now.laid.filter(
      (piece) => this.now.laidSince.has(piece) && !this.now.taped.includes(piece)
    );
    // A sentence that only says “Tape.” means all that was laid since the last stop.
    const pieces =
      action === 'tape' &&
      /^tape(?: (?:it|them|both|all))?(?: down)?$/i.test(said.sentence.text.replace(/[.!]$/, '')) &&
      loose.length > 0
        ? loose
        : action === 'flip' && FLIPS_ALL.test(text)
          ? this.#joinedLast()
          : objectsOf(this.things, action, text, this.now);
    // Whatever is hooped without a name is the stabiliser.
    const stabiliser =
      this.things.pieces.find(({ role }) => role === 'stabiliser') ?? this.things.takeUp('stabiliser');
    if (action === 'hoop' && pieces.length === 0 && stabiliser) pieces.push(stabiliser);
    const where = this.whereOf(action, text);
    const side = action === 'lay' || action === 'insert-ribbon' ? facing(text, where === 'below') : {};
    // “Put the silk, 22 x 9 cm, over it” says what no list does.
    const [only] = pieces;
    if (action === 'lay' && pieces.length === 1 && typeof only === 'object' && only.cut === null) {
      const sized = sizeIn(text);
      if (sized) [only.cut, only.printed] = [sized.cut, sized.printed];
    }
    for (const piece of pieces.length > 0 ? pieces : [null]) {
      if (piece === null || typeof piece === 'string') {
        this.add(said, action, piece, { ...more, ...side, where });
        continue;
      }
      const isNew =
        !this.now.laid.includes(piece) ||
        (piece.count > 1 && action === 'tape' && /\b(?:second|other|remaining|2nd)\b/i.test(text));
      const isRibbon = RIBBON.test(`${piece.name} ${piece.material ?? ''}`) && !/\btape\b/i.test(piece.name);
      if (isNew && isRibbon && ['tape', 'pin', 'lay', 'glue'].includes(action) && !this.now.out) {
        this.add(said, 'insert-ribbon', piece, {
          ...more,
          ...facing(text, where === 'below'),
          where: where ?? this.now.here
        });
        this.now.laid.push(piece);
        if (action === 'lay') continue;
      }
      // "Tape the back in place" lays what does not lie there yet.
      if (
        isNew &&
        !isRibbon &&
        (action === 'tape' || action === 'pin') &&
        !this.now.out &&
        piece.role !== 'stabiliser'
      ) {
        this.add(said, 'lay', piece, {
          ...more,
          ...facing(text, where === 'below'),
          where: BELOW.test(text) ? 'below' : where
        });
        this.now.laid.push(piece);
        this.now.sides.set(piece, BELOW.test(text) ? 'below' : where);
      }
      const at =
        action === 'tape' && this.now.sides.get(piece) ? { where: this.now.sides.get(piece) ?? null } : {};
      const flipped: More =
        action === 'flip'
          ? { face: 'up', faceFromAbove: this.now.over ? 'down' : 'up', where: this.now.here }
          : {};
      this.add(said, action, piece, { ...more, ...side, where, ...at, ...flipped });
      if (action === 'lay') this.now.laidSince.add(piece);
      if (action === 'lay' && isNew) this.now.laid.push(piece);
      if (action === 'lay') this.now.sides.set(piece, where);
      if (action === 'tape' && !this.now.taped.includes(piece)) this.now.taped.push(piece);
      if (action === 'pin' && !this.now.pinned.includes(piece)) this.now.pinned.push(piece);
    }
    const known = pieces.filter((piece) => typeof piece !== 'string');
    if (known.length > 0) this.now.speakOf(said.sentence.index, known);
  }

  /** What was laid for the seam that ran last; what was spoken of last where nothing was. */
  #joinedLast(): SheetPiece[] {
    const names = this.actions
      .filter(({ action, after }) => action === 'lay' && after === this.reached - 1)
      .map(({ piece }) => piece);
    const own = this.things.pieces.filter(({ name }) => names.includes(name));
    return own.length > 0 ? own : this.now.last.slice(-1);
  }

  /** Parts without a verb of the craft: “the back, right side down, over everything”, “the batting goes over the line”. */
  #withoutVerb(said: Said): void {
    if (said.reworded) return;
    const asked = askedWithoutVerb(said.text, this.things.mentions(said.text)[0]);
    if (asked !== undefined) this.#segment({ ...said, text: asked, reworded: true });
  }
}
