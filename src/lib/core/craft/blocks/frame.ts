import { inset, type Path } from '$lib/core/base/geometry';
import { namesIn } from '$lib/core/documents/item';
import type { Pattern, Sequence } from '$lib/core/craft/sequence';

/** The outline of the whole item, which every block measures from. */
export interface Frame {
  /** The outermost line that is stitched. */
  outlineId: string;
  outline: Path;
  /** Where lines that hold the layers run: the outline, or the middle of a satin edge. */
  seamId: string;
  seam: Path;
  /** A back comes under the hoop, whose raw edge the satin covers too. */
  backed: boolean;
  /** Lines of slots that are tacked, trimmed and edged with the outline. */
  holes: readonly string[];
  width: number;
  height: number;
  edge: 'none' | 'satin' | 'cut' | 'turned';
  /** Width of the satin, or how far outside the seam it is cut, mm. */
  edgeMm: number;
}

/** The frame of an item with a satin edge: what holds the layers runs under its middle. */
export function satinFrame(frame: Frame, width: number): Frame {
  return { ...frame, edge: 'satin', edgeMm: width, seamId: 'seam', seam: inset(frame.outline, width / 2) };
}

/**
 * The outline in each hooping: a line registers in the hooping it is stitched in, so a further hooping has an outline of its
 * own, of the same shape.
 */
export class Frames {
  readonly #s: Sequence;
  #first: Frame;
  readonly #further = new Map<number, Frame>();

  constructor(s: Sequence, first: Frame) {
    this.#s = s;
    this.#first = first;
  }

  /** The outline in the hooping that is in the ring, or was last. */
  get now(): Frame {
    const { hoopings } = this.#s.sofar;
    const [at, hooping] = [hoopings.length, hoopings.at(-1)];
    if (at < 2 || !hooping) return this.#first;
    let frame = this.#further.get(at);
    if (!frame) {
      const { outlineId, outline, seamId, seam } = this.#first;
      const own = `${outlineId}-${at}`;
      this.#s.line(own, 'Outline', outline, hooping.id);
      const ownSeam = seamId === outlineId ? own : `${seamId}-${at}`;
      if (ownSeam !== own) this.#s.line(ownSeam, 'Edge', seam, hooping.id);
      frame = { ...this.#first, outlineId: own, seamId: ownSeam, holes: [] };
      this.#further.set(at, frame);
    }
    return frame;
  }

  /** A slot through all that is laid from now on in this hooping. */
  addHole(lineId: string): void {
    const { now } = this;
    const open = { ...now, holes: [...now.holes, lineId] };
    if (now === this.#first) this.#first = open;
    else this.#further.set(this.#s.sofar.hoopings.length, open);
  }

  /** A pattern without the outlines of hoopings that do not use them. */
  trimmed(pattern: Pattern): Pattern {
    const own = new Set([...this.#further.values()].flatMap(({ outlineId, seamId }) => [outlineId, seamId]));
    const used = new Set([
      ...pattern.expected.flatMap(({ lineIds }) => lineIds),
      ...pattern.pieces.map(({ covers }) => covers),
      ...pattern.entries.flatMap((entry) =>
        entry.kind === 'hand' ? namesIn(entry.op).map(({ id }) => id) : []
      )
    ]);
    return { ...pattern, lines: pattern.lines.filter(({ id }) => !own.has(id) || used.has(id)) };
  }
}
