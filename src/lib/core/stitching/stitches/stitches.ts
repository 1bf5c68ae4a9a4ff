import type { Path, Point } from '$lib/core/base/geometry';

/** What the machine does to get to a point. */
export const COMMAND = { stitch: 0, jump: 1, trim: 2 } as const;
export type StitchCommand = keyof typeof COMMAND;

/** Stitches of one stop, in hoop coordinates, mm. The first point is where the needle goes down. */
export interface Stitches {
  x: Float32Array;
  y: Float32Array;
  command: Uint8Array;
}

/** Puts stitches down one after another. */
export class StitchWriter {
  #x: number[] = [];
  #y: number[] = [];
  #command: number[] = [];

  /** A stitch to a point; a second one at the same place is left out. */
  stitch(x: number, y: number): void {
    const last = this.#x.length - 1;
    if (last >= 0 && Math.abs((this.#x[last] ?? 0) - x) < 1e-6 && Math.abs((this.#y[last] ?? 0) - y) < 1e-6)
      return;
    this.#add(x, y, COMMAND.stitch);
  }

  /** The thread carried over to a point, nothing sewn; at the very start the needle just begins there. */
  jump(x: number, y: number): void {
    const last = this.#x.length - 1;
    if (last >= 0 && Math.hypot((this.#x[last] ?? 0) - x, (this.#y[last] ?? 0) - y) < 1e-6) return;
    this.#add(x, y, last < 0 ? COMMAND.stitch : COMMAND.jump);
  }

  /** Any command at a point, as a stitch list says it. */
  put(x: number, y: number, command: StitchCommand): void {
    this.#add(x, y, COMMAND[command]);
  }

  get length(): number {
    return this.#x.length;
  }

  done(): Stitches {
    return {
      x: Float32Array.from(this.#x),
      y: Float32Array.from(this.#y),
      command: Uint8Array.from(this.#command)
    };
  }

  #add(x: number, y: number, command: number): void {
    this.#x.push(x);
    this.#y.push(y);
    this.#command.push(command);
  }
}

/** Several runs of stitches as one, a jump between them. */
export function joined(parts: readonly Stitches[]): Stitches {
  const writer = new StitchWriter();
  for (const { x, y, command } of parts) {
    for (let at = 0; at < x.length; at++) {
      const [px, py] = [x[at] ?? 0, y[at] ?? 0];
      if (at === 0) writer.jump(px, py);
      else if (command[at] === COMMAND.stitch) writer.stitch(px, py);
      else writer.put(px, py, command[at] === COMMAND.trim ? 'trim' : 'jump');
    }
  }
  return writer.done();
}

/** What stitches measure. Lengths in mm. */
export interface Measure {
  /** Stitches sewn: times the needle goes down after the first. */
  count: number;
  length: number;
  meanLength: number;
  jumps: number;
  trims: number;
  extents: { minX: number; minY: number; maxX: number; maxY: number } | null;
  /** Stitches to a square millimetre of the box round them. */
  density: number;
}

/**
 * Counts and measures stitches. A jump longer than 3 mm leaves a thread to snip.
 *
 * @example
 * measure(runStitches(segment(0, 0, 100, 0), { length: 2.5 })).count // 40
 */
export function measure({ x, y, command }: Stitches): Measure {
  let [count, length, jumps, trims] = [0, 0, 0, 0];
  let [minX, minY, maxX, maxY] = [Infinity, Infinity, -Infinity, -Infinity];
  for (let at = 0; at < x.length; at++) {
    const [px, py] = [x[at] ?? 0, y[at] ?? 0];
    if (at > 0) {
      const step = Math.hypot(px - (x[at - 1] ?? 0), py - (y[at - 1] ?? 0));
      if (command[at] === COMMAND.stitch) {
        count++;
        length += step;
      } else if (command[at] === COMMAND.trim) trims++;
      else if (step > 3) jumps++;
    }
    minX = Math.min(minX, px);
    maxX = Math.max(maxX, px);
    minY = Math.min(minY, py);
    maxY = Math.max(maxY, py);
  }
  const area = (maxX - minX) * (maxY - minY);
  return {
    count,
    length,
    meanLength: count === 0 ? 0 : length / count,
    jumps,
    trims,
    extents: x.length === 0 ? null : { minX, minY, maxX, maxY },
    density: area > 0 ? count / area : 0
  };
}

/**
 * Stitches as lines to draw or to compare with cloth: one path from jump to jump, thinned to at most so many points.
 *
 * @param most points of all paths together
 */
export function pathsOf({ x, y, command }: Stitches, most = Infinity): Path[] {
  const every = Math.max(1, Math.ceil(x.length / most));
  const paths: Path[] = [];
  let points: Point[] = [];
  const finish = (): void => {
    if (points.length >= 2) paths.push({ closed: false, points });
    points = [];
  };
  for (let at = 0; at < x.length; at++) {
    if (command[at] !== COMMAND.stitch) finish();
    const last = at === x.length - 1 || command[at + 1] !== COMMAND.stitch;
    if (points.length === 0 || last || at % every === 0) points.push([x[at] ?? 0, y[at] ?? 0]);
  }
  finish();
  return paths;
}
