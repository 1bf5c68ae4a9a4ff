import { does } from '$lib/core/craft/operations';
import type { Item } from '$lib/core/documents/item';
import type { SheetAction, SheetReading } from '$lib/core/reading/sheets';
import type { DraftStep } from './draftStep';
import type { SeamLine } from './lines';
import { closingOf } from './closing';
import { materialOf } from './matter';
import type { Settled } from './settled';
import { type Apart, NOT_APART, type Spot, spotsOf } from './spots';
import { isPart, isTied, type Rim, rimOf } from './rims';
import { foldOf, hangs, isBound, isQuiet } from './ways';
import { LOOP, ownSize } from './ownSize';
import { type Laid, useOf } from './uses';
import { FOLD_OVER, type Zipped, zippedIn } from './zipped';

/** Mm that an edge laid along a seam reaches over it. */
const SEAM = 6;
/** And over the outline’s own edge. */
const RIM = 12;

/** A topstitch runs this far beside its seam, mm. */
const BESIDE = 3;
/** What ends inside work that is turned. */
const LINING = /\blinings?\b/i;

export interface Panel {
  id: string;
  name: string;
  top: number;
  bottom: number;
}

/** The id of a piece of an item, by its place among those of the sheet. */
export function pieceIdAt(at: number): string {
  return `piece-${at + 1}`;
}

/** The pieces of a sheet as those of an item, and where each lies. */
export class Pieces {
  readonly seams: SeamLine[] = [];
  readonly panels: Panel[] = [];
  /** Places of small pieces inside the outline. */
  readonly spots: readonly Spot[];
  readonly #zipped: Zipped | undefined;
  readonly #sheet: SheetReading;
  readonly #size: { width: number; height: number };
  readonly #edges = new Map<string, { lineId: string; body: 'up' | 'down'; flipsTo: string | null }>();

  constructor(sheet: SheetReading, size: { width: number; height: number }, apart: Apart = NOT_APART) {
    this.#sheet = sheet;
    this.#size = size;
    const flips = sheet.actions.filter(({ action }) => action === 'flip');
    this.#zipped = zippedIn(sheet, size);
    flips.forEach((flip, at) => this.#seamOf(flip, at, flips.length));
    const placed = (name: string): boolean =>
      isBound(this.#sheet, name) ||
      name === this.#zipped?.zip.piece ||
      this.#edges.has(name) ||
      this.#rimOf(name) !== undefined;
    this.spots = [
      ...spotsOf(sheet, size, placed, apart),
      ...(this.#zipped && this.zip !== undefined ? [this.#zipped.zip] : [])
    ];
  }

  /** The size of all that is stitched. */
  get reach(): { width: number; height: number } {
    const { width, height } = this.#size;
    return {
      width: Math.max(width, ...this.spots.map((spot) => 2 * Math.abs(spot.x) + spot.width)),
      height: Math.max(height, ...this.spots.map((spot) => 2 * Math.abs(spot.y) + spot.height))
    };
  }

  /** The line on which a stop sews, where a small piece is laid before it, or after it to be placed. */
  spotAt(stop: number): string | undefined {
    const laid = this.#sheet.actions.filter(({ action }) => action === 'lay');
    const before = laid.findLast(({ after }) => after === stop - 1);
    if (before?.piece != null && hangs(this.#sheet, this.#size, before.piece)) return 'rim-bottom';
    const next = laid.find(({ after }) => after === stop);
    const piece = before ? before.piece : next?.piece;
    return this.spots.find((spot) => spot.piece === piece)?.id;
  }

  /** The line along which a piece is cut. */
  cutLine(name: string | null): string {
    return this.spots.find(({ piece }) => piece === name)?.id ?? 'outline';
  }

  /** A seam at which a piece is flipped: the piece lies on the other side of it first. */
  #seamOf({ piece, after, text }: SheetAction, at: number, count: number): void {
    if (piece === null) return;
    const { height } = this.#size;
    const zipped = this.#zipped?.seams.get(after);
    const down =
      zipped?.down ??
      (/\b(?:down|towards you|lower|bottom)\b/i.test(text) ||
        (/\b(?:lower|bottom)\b/i.test(piece) && !/\bup\b/i.test(text)));
    const partner = this.#sheet.actions.findLast(
      (each) =>
        each.action === 'lay' && each.after <= after && each.piece !== piece && this.#isPart(each.piece)
    );
    const lower = this.#sheet.pieces.find(({ name }) => name === (down ? piece : partner?.piece));
    const half = lower?.cut?.heightMm
      ? height / 2 - (lower.cut.heightMm - FOLD_OVER)
      : // A strip that lies on a whole piece covers as much as it is high.
        (this.#sheet.pieces.find(({ name }) => name === piece)?.cut?.heightMm ?? height / 2 + FOLD_OVER) -
        FOLD_OVER -
        height / 2;
    const y =
      zipped?.y ??
      (count > 1
        ? (at - (count - 1) / 2) * (height / (count + 1))
        : Math.max(-height * 0.4, Math.min(height * 0.4, half)));
    const id = `seam-${after}`;
    if (!this.seams.some((seam) => seam.id === id)) {
      this.seams.push({ id, y });
      this.seams.push({ id: `top-${after}`, y: y + (down ? BESIDE : -BESIDE), name: 'Beside the seam' });
    }
    const panel = `panel-${at + 1}`;
    this.panels.push(
      down
        ? { id: panel, name: `Part of ${piece}`, top: y, bottom: height / 2 }
        : { id: panel, name: `Part of ${piece}`, top: -height / 2, bottom: y }
    );
    this.#edges.set(piece, { lineId: id, body: down ? 'up' : 'down', flipsTo: panel });
    if (partner?.piece && !this.#edges.has(partner.piece)) {
      const other = `panel-${at + 1}-other`;
      this.panels.push(
        down
          ? { id: other, name: `Part of ${partner.piece}`, top: -height / 2, bottom: y }
          : { id: other, name: `Part of ${partner.piece}`, top: y, bottom: height / 2 }
      );
      this.#edges.set(partner.piece, { lineId: id, body: down ? 'up' : 'down', flipsTo: null });
    }
  }

  #isPart(name: string | null): boolean {
    return name !== null && isPart(this.#sheet, this.#size, name);
  }

  #isTied(name: string): boolean {
    return isTied(this.#sheet, this.#size, name);
  }

  #rimOf(name: string): Rim | undefined {
    return rimOf(this.#sheet, this.#size, name);
  }

  /** The seam that a stop sews, at which something is then flipped. */
  seamBefore(stop: number): string | undefined {
    return this.seams.find(({ id }) => id === `seam-${stop}`)?.id;
  }

  /** The line beside a seam along which a stop holds down what was flipped there, where nothing was laid since. */
  besideSeam(stop: number): string | undefined {
    const before = this.#sheet.actions.filter(({ after }) => after === stop - 1);
    if (before.some(({ action }) => action === 'lay' || action === 'insert-ribbon')) return undefined;
    const flip = before.find(({ action }) => action === 'flip');
    return flip && this.seams.find(({ id }) => id === `top-${flip.after}`)?.id;
  }

  /** The first of two folded backs, between which the work is turned. */
  get envelope(): string | undefined {
    const folded = this.#sheet.pieces.filter(
      (piece) => foldOf(this.#sheet, piece) !== undefined && !isBound(this.#sheet, piece.name)
    );
    const backs = folded.length >= 2 ? folded.map(({ name }) => name) : this.#overlapping;
    return backs.length >= 2 && closingOf(this.#sheet) ? this.id(backs[0] ?? null) : undefined;
  }

  /** Two backs that overlap: parts laid on the work along its upper and its lower edge, right before the end. */
  get #overlapping(): string[] {
    const laid = this.#sheet.actions.flatMap(({ action, piece, where }) =>
      action === 'lay' &&
      piece !== null &&
      where === 'above' &&
      !this.#edges.has(piece) &&
      !hangs(this.#sheet, this.#size, piece)
        ? [piece]
        : []
    );
    const last = [...new Set(laid)].slice(-2);
    const rims = new Set(last.map((name) => this.#rimOf(name)?.lineId));
    return rims.has('rim-top') && rims.has('rim-bottom') ? last : [];
  }

  /** Whether a stop sews a folded back on, between which the work is turned. */
  isEnvelopeSeam(stop: number): boolean {
    if (this.envelope === undefined) return false;
    return this.#sheet.actions.some(({ action, piece, after }) => {
      const laid =
        action === 'lay' && after === stop - 1
          ? this.#sheet.pieces.find(({ name }) => name === piece)
          : undefined;
      return (
        laid !== undefined &&
        (foldOf(this.#sheet, laid) !== undefined || this.#overlapping.includes(laid.name))
      );
    });
  }

  /** The zip, through which lined work is turned. */
  get zip(): string | undefined {
    const zip = this.#sheet.pieces.find((piece, at) => /zip$/.test(materialOf(piece, at).kind));
    return zip && this.id(zip.name);
  }

  /** Whether a stop sews cloth on that was laid right sides together with the whole front, and is not flipped. */
  joinsBack(stop: number, settled: Settled): boolean {
    return this.#sheet.actions.some(
      ({ action, piece, after, where, faceFromAbove }, at) =>
        action === 'lay' &&
        piece !== null &&
        after === stop - 1 &&
        where !== 'below' &&
        (faceFromAbove ?? settled.get(at)) === 'down' &&
        this.placing(piece).covers === 'outline' &&
        this.flipped(piece) === undefined &&
        !isQuiet(this.#sheet, piece)
    );
  }

  id(name: string | null): string | undefined {
    const at = this.#sheet.pieces.findIndex((piece) => piece.name === name);
    return at < 0 ? undefined : pieceIdAt(at);
  }

  /** Where a piece is laid: along a seam, or over the outline. */
  placing(name: string | null): {
    covers?: string;
    over: number;
    edge?: { lineId: string; body: 'up' | 'down'; allowance: number };
  } {
    const edge = name === null ? undefined : this.#edges.get(name);
    if (edge) return { over: 0, edge: { lineId: edge.lineId, body: edge.body, allowance: SEAM } };
    if (name !== null && this.#isTied(name))
      return { over: 0, edge: { lineId: 'rim-top', body: 'down', allowance: RIM } };
    const spot = this.spots.find(({ piece }) => piece === name);
    if (spot) return { covers: spot.id, over: 0 };
    const rim = name === null ? undefined : this.#rimOf(name);
    if (rim) return { over: 0, edge: { lineId: rim.lineId, body: rim.body, allowance: RIM } };
    return this.#coversOutline(name) ? { covers: 'outline', over: 0 } : { over: 0 };
  }

  flipped(name: string): { lineId: string; covers?: string } | undefined {
    const edge = this.#edges.get(name);
    return edge?.flipsTo ? { lineId: edge.lineId, covers: edge.flipsTo } : undefined;
  }

  #coversOutline(name: string | null): boolean {
    if (name !== null && isBound(this.#sheet, name)) return false;
    const piece = this.#sheet.pieces.find((each) => each.name === name);
    return (
      piece !== undefined && (piece.cut === null ? !isBound(this.#sheet, piece.name) : !this.#isPart(name))
    );
  }

  /** The cloth laid on the work last, by its id; batting and ribbons are none. */
  #lastCloth(steps: readonly DraftStep[]): string | undefined {
    const laid = steps.flatMap(({ op }) => {
      const now = 'do' in op ? does(op, 'lay') : null;
      return now?.side === 'above' ? now.pieceId : [];
    });
    return laid.findLast((id) => {
      const piece = this.#sheet.pieces.find(({ name }) => this.id(name) === id);
      return (
        piece !== undefined && !isBound(this.#sheet, piece.name) && materialOf(piece, 0).kind !== 'batting'
      );
    });
  }

  /** The pieces that the steps handle, with what each is for. */
  made(steps: readonly DraftStep[]): Item['pieces'] {
    const laid = new Map<string, Laid>();
    // Work that is turned ends with the cloth behind that was laid on it last.
    const behind = closingOf(this.#sheet) === null ? undefined : this.#lastCloth(steps);
    for (const { op } of steps) {
      if (!('do' in op)) continue;
      for (const id of does(op, 'clamp')?.pieceIds ?? [])
        laid.set(id, { below: false, flipped: false, hooped: true });
      const now = does(op, 'lay');
      if (now)
        laid.set(
          now.pieceId,
          laid.get(now.pieceId) ?? { below: now.side === 'below', flipped: false, hooped: false }
        );
      const own = laid.get(does(op, 'flip')?.pieceId ?? '');
      if (own) own.flipped = true;
    }
    return this.#sheet.pieces.flatMap((piece, at): Item['pieces'] => {
      const id = pieceIdAt(at);
      const how = laid.get(id);
      if (!how) return [];
      const material = materialOf(piece, at);
      const bound = isBound(this.#sheet, piece.name);
      const fold = foldOf(this.#sheet, piece);
      const edge = this.#edges.get(piece.name);
      const spot = this.spots.find((each) => each.piece === piece.name)?.id;
      const covers = how.hooped
        ? null
        : edge
          ? (edge.flipsTo ?? this.panels.find(({ name }) => name === `Part of ${piece.name}`)?.id ?? null)
          : (spot ??
            (this.#coversOutline(piece.name) && !hangs(this.#sheet, this.#size, piece.name)
              ? 'outline'
              : null));
      return [
        {
          id,
          name: piece.name.slice(0, 60).toUpperCase(),
          material,
          plies: how.hooped ? Math.min(20, piece.count) : 1,
          use: useOf(how, material.kind),
          covers,
          shows:
            isQuiet(this.#sheet, piece.name) || bound
              ? 'nothing'
              : behind !== undefined && id !== behind && LINING.test(`${piece.name} ${piece.material ?? ''}`)
                ? this.zip === undefined
                  ? 'nothing'
                  : 'lining'
                : how.below ||
                    id === behind ||
                    ((fold !== undefined || this.#overlapping.includes(piece.name)) &&
                      this.envelope !== undefined)
                  ? 'back'
                  : 'front',
          shape: bound ? 'pre-cut' : 'rough',
          grain: 'any',
          folded:
            fold !== undefined ||
            LOOP.test(piece.name) ||
            (this.envelope !== undefined && this.#overlapping.includes(piece.name)),
          ...(fold && { foldedTo: fold }),
          loose: false,
          ...(bound && { bound }),
          overrides: how.hooped
            ? {}
            : ownSize(piece, { tied: this.#isTied(piece.name), covers, zip: /zip$/.test(material.kind) })
        }
      ];
    });
  }
}
