import { roundTo } from '$lib/core/units';
import type { Path, Point } from './path';

/** Outlines a maker can name without drawing. */
export const SHAPES = ['rectangle', 'rounded', 'tab', 'oval'] as const;
export type Shape = (typeof SHAPES)[number];

/** Greatest distance between a curve and its straight pieces, mm. */
const FLATNESS_MM = 0.02;

/**
 * An outline of one of the named shapes, centred on the origin.
 *
 * @param shape `rectangle`; `rounded` (corner radius a fifth of the short side); `tab` (ends fully
 * rounded); `oval` (a circle where both sides are equal)
 * @param width mm
 * @param height mm
 * @throws RangeError when a side is not above 0
 *
 * @example
 * extents(shapePath('tab', 30, 94)).width // 30
 */
export function shapePath(shape: Shape, width: number, height: number): Path {
  if (!(width > 0 && height > 0)) throw new RangeError('An outline needs a width and a height above 0 mm.');
  const short = Math.min(width, height);
  switch (shape) {
    case 'rectangle':
      return roundedRectangle(width, height, 0);
    case 'rounded':
      return roundedRectangle(width, height, short / 5);
    case 'tab':
      return roundedRectangle(width, height, short / 2);
    case 'oval':
      return oval(width, height);
  }
}

function roundedRectangle(width: number, height: number, radius: number): Path {
  const [halfW, halfH] = [width / 2, height / 2];
  if (radius === 0) {
    return closed([
      [-halfW, -halfH],
      [halfW, -halfH],
      [halfW, halfH],
      [-halfW, halfH]
    ]);
  }
  const steps = arcSteps(radius) / 4;
  const corners: [x: number, y: number, from: number][] = [
    [halfW - radius, -halfH + radius, -90],
    [halfW - radius, halfH - radius, 0],
    [-halfW + radius, halfH - radius, 90],
    [-halfW + radius, -halfH + radius, 180]
  ];
  return closed(
    corners.flatMap(([x, y, from]) =>
      Array.from({ length: steps + 1 }, (_, at): Point => {
        const angle = ((from + (90 * at) / steps) * Math.PI) / 180;
        return [x + radius * Math.cos(angle), y + radius * Math.sin(angle)];
      })
    )
  );
}

function oval(width: number, height: number): Path {
  const steps = arcSteps(Math.max(width, height) / 2);
  return closed(
    Array.from({ length: steps }, (_, at): Point => {
      const angle = (2 * Math.PI * at) / steps;
      return [(width / 2) * Math.cos(angle), (height / 2) * Math.sin(angle)];
    })
  );
}

/** Straight pieces of a full turn, a multiple of four, so that no piece strays further than the flatness. */
function arcSteps(radius: number): number {
  const angle = 2 * Math.acos(Math.max(0, 1 - FLATNESS_MM / radius));
  return Math.max(8, Math.ceil((2 * Math.PI) / angle / 4) * 4);
}

/** Rounds to a thousandth of a millimetre and drops points that fall together, as where two arcs of a tab meet. */
function closed(points: Point[]): Path {
  const rounded = points.map(([x, y]): Point => [roundTo(x, 3) + 0, roundTo(y, 3) + 0]);
  const kept = rounded.filter(([x, y], at) => {
    const [prevX, prevY] = rounded[(at + rounded.length - 1) % rounded.length] ?? [NaN, NaN];
    return x !== prevX || y !== prevY;
  });
  return { closed: true, points: kept };
}
