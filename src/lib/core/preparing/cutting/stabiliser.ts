import { roundTo } from '$lib/core/base/units';
import type { Hoop } from '$lib/core/documents/shop';
import type { ClothEntry } from '$lib/core/documents/stash';
import { fitsEitherWay, grown } from '$lib/core/preparing/stash';

/** One way to cut pieces for a hoop off a roll. */
export interface RollWay {
  rollId: string;
  rollName: string;
  rollWidth: number;
  /** The longer side of the piece lies across the roll. */
  longAcross: boolean;
  /** Pieces beside each other. */
  across: number;
  /** Length that one row takes off the roll, mm. */
  length: number;
  /** Pieces out of a metre. */
  perMetre: number;
  /** Roll spent on one piece, mm². */
  area: number;
  offcut: { width: number; height: number };
  /** The largest hoop the offcut serves as it is. */
  offcutFits: string | null;
  /** What more length makes the offcut serve a hoop, and which. */
  leaveMore: { mm: number; hoop: string } | null;
}

/** No more than this share is added so that an offcut serves. */
const MOST_MORE = 0.5;

/**
 * How to cut stabiliser for a hoop: off each roll, either way round, with what the offcut is good for. The way that spends
 * least roll on a piece comes first; an offcut that serves another hoop counts as half its area saved.
 *
 * @param piece what is cut for the ring, margin and rounding in it, mm
 * @param margin on each side of a ring, mm
 * @param hoops of the shop, for which offcuts may serve
 *
 * @example
 * // A ring of 140 with 25 each side wants 190 × 190: two across a roll of 508 mm, one across one of 254 mm.
 * rollWays({ width: 190, height: 190 }, 25, rolls, hoops).map(({ rollWidth, across }) => [rollWidth, across])
 */
export function rollWays(
  piece: { width: number; height: number },
  margin: number,
  rolls: readonly Pick<ClothEntry, 'id' | 'name' | 'width'>[],
  hoops: readonly Hoop[]
): RollWay[] {
  const [short, long] = [Math.min(piece.width, piece.height), Math.max(piece.width, piece.height)];
  const ways = rolls.flatMap((roll) =>
    (short === long ? [false] : [false, true]).flatMap((longAcross): RollWay[] => {
      const [side, length] = longAcross ? [long, short] : [short, long];
      const across = Math.floor((roll.width + 0.01) / side);
      if (across === 0) return [];
      const offcut = { width: roundTo(roll.width - across * side, 3), height: length };
      return [
        {
          rollId: roll.id,
          rollName: roll.name,
          rollWidth: roll.width,
          longAcross,
          across,
          length,
          perMetre: across * Math.floor(1000 / length),
          area: roundTo((roll.width * length) / across, 1),
          offcut,
          offcutFits: servedBy(offcut, margin, hoops)?.name ?? null,
          leaveMore: leaveMoreFor(offcut, margin, hoops)
        }
      ];
    })
  );
  const spent = ({ area, offcut, offcutFits, across }: RollWay): number =>
    area - (offcutFits === null ? 0 : (offcut.width * offcut.height) / across / 2);
  return ways.sort((a, b) => spent(a) - spent(b));
}

/** The largest hoop whose ring, with its margin, a piece of stabiliser serves. */
function servedBy(
  size: { width: number; height: number },
  margin: number,
  hoops: readonly Hoop[]
): Hoop | undefined {
  return bySize(hoops).find(({ ring }) => fitsEitherWay(size, grown(ring, margin)));
}

function leaveMoreFor(
  { width, height }: { width: number; height: number },
  margin: number,
  hoops: readonly Hoop[]
): RollWay['leaveMore'] {
  const now = servedBy({ width, height }, margin, hoops);
  let best: RollWay['leaveMore'] = null;
  for (const hoop of bySize(hoops)) {
    if (hoop === now) break;
    const { width: w, height: h } = grown(hoop.ring, margin);
    const wanted = [
      [w, h],
      [h, w]
    ] as const;
    for (const [side, length] of wanted) {
      const more = length - height;
      if (side <= width + 0.01 && more > 0 && more <= height * MOST_MORE && (!best || more < best.mm))
        best = { mm: roundTo(more, 3), hoop: hoop.name };
    }
  }
  return best;
}

function bySize(hoops: readonly Hoop[]): Hoop[] {
  return [...hoops].sort((a, b) => b.ring.width * b.ring.height - a.ring.width * a.ring.height);
}

/** A place for a ring on a piece that was hooped before, its corner in mm; `turned` when the hoop lies the other way. */
export interface ReuseSpot {
  x: number;
  y: number;
  turned: boolean;
}

/** Stitches keep this far from what is stitched already, mm; places are tried in steps of it. */
const APART_MM = 6;
const STEP_MM = 5;

/**
 * Where a part-used piece can be hooped again: the whole ring on it, no stitched part under the ring or under the design.
 *
 * @param piece its size and what is stitched already
 * @param design extents of what is stitched next, in the middle of the hoop
 * @returns the first place from the top left, or undefined
 */
export function reuseSpot(
  piece: Pick<ClothEntry, 'width' | 'height' | 'stitched'>,
  { ring, field }: Pick<Hoop, 'ring' | 'field'>,
  design: { width: number; height: number }
): ReuseSpot | undefined {
  for (const turned of [false, true]) {
    const swap = ({ width, height }: { width: number; height: number }): { width: number; height: number } =>
      turned ? { width: height, height: width } : { width, height };
    const [outer, inner, work] = [swap(ring), swap(field), swap(design)];
    for (let y = 0; y + outer.height <= piece.height + 0.01; y += STEP_MM)
      for (let x = 0; x + outer.width <= piece.width + 0.01; x += STEP_MM) {
        const middle = { x: x + outer.width / 2, y: y + outer.height / 2 };
        const free = piece.stitched.every(
          (box) =>
            !meets(box, middle, grown(work, APART_MM)) &&
            (!meets(box, middle, outer) || inside(box, middle, inner))
        );
        if (free) return { x, y, turned };
      }
  }
  return undefined;
}

interface Box {
  x: number;
  y: number;
  width: number;
  height: number;
}

function meets(box: Box, middle: { x: number; y: number }, size: { width: number; height: number }): boolean {
  return (
    box.x < middle.x + size.width / 2 &&
    box.x + box.width > middle.x - size.width / 2 &&
    box.y < middle.y + size.height / 2 &&
    box.y + box.height > middle.y - size.height / 2
  );
}

function inside(
  box: Box,
  middle: { x: number; y: number },
  size: { width: number; height: number }
): boolean {
  return (
    box.x >= middle.x - size.width / 2 &&
    box.x + box.width <= middle.x + size.width / 2 &&
    box.y >= middle.y - size.height / 2 &&
    box.y + box.height <= middle.y + size.height / 2
  );
}
