import type { Placement, Turn } from '$lib/core/documents/order';
import type { Area, CopyOutline } from './types';

/** Rounding of a field or a size must not cost a copy, mm. */
const LEAST_MM = 1e-6;

interface Block {
  placements: Placement[];
  pitch: { x: number; y: number } | null;
}

/**
 * The most copies in rows and columns of their boxes: all upright, all turned by 90 degrees, or upright ones with turned
 * ones in the strip that is left beside or below them.
 *
 * @param most as many as are wanted
 */
export function grids(
  { width, height }: CopyOutline,
  area: Area,
  gap: number,
  turns: readonly Turn[],
  most = Infinity
): Block {
  const upright = turns.includes(0) || turns.includes(180);
  const turned = turns.includes(90) || turns.includes(270);
  const sizes: Size[] = [];
  if (upright) sizes.push({ width, height, turn: turns.includes(0) ? 0 : 180 });
  if (turned) sizes.push({ width: height, height: width, turn: turns.includes(90) ? 90 : 270 });
  const tried = sizes.flatMap((size) => {
    const other = sizes.find(({ turn }) => turn !== size.turn);
    return other && width !== height
      ? [block(size, area, gap), ...split(size, other, area, gap)]
      : [block(size, area, gap)];
  });
  const held = ({ placements }: Block): number => Math.min(most, placements.length);
  return tried.reduce<Block>(
    (best, each) => {
      const more = held(each) - held(best);
      // Of two that hold enough, the one with even rows is easier to lay.
      return more > 0 || (more === 0 && each.pitch !== null && best.pitch === null) ? each : best;
    },
    { placements: [], pitch: null }
  );
}

interface Size {
  width: number;
  height: number;
  turn: Turn;
}

/** Rows and columns of one size, about the middle of the area. */
function block(size: Size, { minX, minY, maxX, maxY }: Area, gap: number, most = Infinity): Block {
  const across = fits(maxX - minX, size.width, gap);
  const down = Math.min(most, fits(maxY - minY, size.height, gap));
  const pitch = { x: size.width + gap, y: size.height + gap };
  const [cx, cy] = [(minX + maxX) / 2, (minY + maxY) / 2];
  const placements = Array.from({ length: across * down }, (_, at): Placement => ({
    part: 0,
    x: cx + ((at % across) - (across - 1) / 2) * pitch.x,
    y: cy + (Math.floor(at / across) - (down - 1) / 2) * pitch.y,
    turn: size.turn,
    mirrored: false
  }));
  return { placements, pitch };
}

/** Some rows (or columns) of one size and the rest of the area filled with the other. */
function split(size: Size, other: Size, area: Area, gap: number): Block[] {
  const rows = fits(area.maxY - area.minY, size.height, gap);
  const columns = fits(area.maxX - area.minX, size.width, gap);
  const found: Block[] = [];
  for (let kept = 1; kept <= rows; kept++) {
    const edge = area.minY + kept * (size.height + gap);
    found.push(
      together(block(size, { ...area, maxY: edge - gap }, gap), block(other, { ...area, minY: edge }, gap))
    );
  }
  for (let kept = 1; kept <= columns; kept++) {
    const edge = area.minX + kept * (size.width + gap);
    found.push(
      together(block(size, { ...area, maxX: edge - gap }, gap), block(other, { ...area, minX: edge }, gap))
    );
  }
  return found;
}

function together(a: Block, b: Block): Block {
  return {
    placements: [...a.placements, ...b.placements],
    pitch: b.placements.length === 0 ? a.pitch : null
  };
}

function fits(room: number, side: number, gap: number): number {
  return Math.max(0, Math.floor((room + gap + LEAST_MM) / (side + gap)));
}
