import { roundTo } from '$lib/core/base/units';
import { flattenCubic } from './curve';
import { extents, type Path, type Point } from './path';

/** Outlines a maker can name without drawing. */
export const SHAPES = [
  'rectangle',
  'rounded',
  'tab',
  'oval',
  'shield',
  'heart',
  'bib',
  'pouch',
  'scallop',
  'triangle',
  'hexagon'
] as const;
export type Shape = (typeof SHAPES)[number];

/** An outline: one of the named shapes, or one that was drawn. */
export type Outline = Shape | { drawn: Path };

/** Greatest distance between a curve and its straight pieces, mm. */
const FLATNESS_MM = 0.02;

/**
 * An outline, centred on the origin.
 *
 * @param outline `rectangle`; `rounded` (corner radius a fifth of the short side); `tab` (ends fully
 * rounded); `oval` (a circle where both sides are equal); `shield`, `heart`, `bib` (neck cut out at the top),
 * `pouch` (front of a pouch: round lower corners), `scallop` (bows all round),
 * `triangle` (its point away from the maker), `hexagon` (points to the left and right); or a closed path, which is stretched to
 * the size
 * @param width mm
 * @param height mm
 * @throws RangeError when a side is not above 0
 *
 * @example
 * extents(shapePath('tab', 30, 94)).width // 30
 */
export function shapePath(outline: Outline, width: number, height: number): Path {
  if (!(width > 0 && height > 0)) throw new RangeError('An outline needs a width and a height above 0 mm.');
  if (typeof outline === 'object') return stretched(outline.drawn, width, height);
  const short = Math.min(width, height);
  switch (outline) {
    case 'rectangle':
      return roundedRectangle(width, height, 0);
    case 'rounded':
      return roundedRectangle(width, height, short / 5);
    case 'tab':
      return roundedRectangle(width, height, short / 2);
    case 'oval':
      return oval(width, height);
    case 'scallop':
      return scalloped(width, height);
    default:
      return stretched(curved(DRAWN[outline], width, height), width, height);
  }
}

/** A curve of a shape in a square from -1 to 1: its end, and its two control points where it is no straight line. */
type Stroke = [end: Point, first?: Point, second?: Point];

/** Share of a radius at which the control points of a quarter circle lie. */
const ROUND = 0.5523;

const DRAWN: Record<'shield' | 'heart' | 'bib' | 'pouch' | 'triangle' | 'hexagon', Stroke[]> = {
  triangle: [[[0, -1]], [[1, 1]], [[-1, 1]]],
  hexagon: [[[-0.5, -1]], [[0.5, -1]], [[1, 0]], [[0.5, 1]], [[-0.5, 1]], [[-1, 0]]],
  // Straight top, sides that draw together into a point below.
  shield: [
    [[-1, -1]],
    [[1, -1]],
    [[1, -0.1]],
    [
      [0, 1],
      [1, 0.5],
      [0.45, 0.8]
    ],
    [
      [-1, -0.1],
      [-0.45, 0.8],
      [-1, 0.5]
    ]
  ],
  heart: [
    [[0, -0.62]],
    [
      [0.52, -1],
      [0.1, -0.88],
      [0.28, -1]
    ],
    [
      [1, -0.48],
      [0.8, -1],
      [1, -0.77]
    ],
    [
      [0, 1],
      [1, 0.05],
      [0.35, 0.42]
    ],
    [
      [-1, -0.48],
      [-0.35, 0.42],
      [-1, 0.05]
    ],
    [
      [-0.52, -1],
      [-1, -0.77],
      [-0.8, -1]
    ],
    [
      [0, -0.62],
      [-0.28, -1],
      [-0.1, -0.88]
    ]
  ],
  // Two shoulders with the neck between them, round below.
  bib: [
    [[-0.62, -1]],
    [
      [-0.36, -0.74],
      [-0.46, -1],
      [-0.36, -0.9]
    ],
    [
      [0, -0.32],
      [-0.36, -0.5],
      [-0.22, -0.32]
    ],
    [
      [0.36, -0.74],
      [0.22, -0.32],
      [0.36, -0.5]
    ],
    [
      [0.62, -1],
      [0.36, -0.9],
      [0.46, -1]
    ],
    [
      [1, -0.62],
      [0.84, -1],
      [1, -0.84]
    ],
    [[1, 0.35]],
    [
      [0.35, 1],
      [1, 0.35 + 0.65 * ROUND],
      [0.35 + 0.65 * ROUND, 1]
    ],
    [[-0.35, 1]],
    [
      [-1, 0.35],
      [-0.35 - 0.65 * ROUND, 1],
      [-1, 0.35 + 0.65 * ROUND]
    ],
    [[-1, -0.62]],
    [
      [-0.62, -1],
      [-1, -0.84],
      [-0.84, -1]
    ]
  ],
  pouch: [
    [[-1, -1]],
    [[1, -1]],
    [[1, 0.6]],
    [
      [0.6, 1],
      [1, 0.6 + 0.4 * ROUND],
      [0.6 + 0.4 * ROUND, 1]
    ],
    [[-0.6, 1]],
    [
      [-1, 0.6],
      [-0.6 - 0.4 * ROUND, 1],
      [-1, 0.6 + 0.4 * ROUND]
    ]
  ]
};

function curved(strokes: Stroke[], width: number, height: number): Path {
  const place = ([x, y]: Point): Point => [(x * width) / 2, (y * height) / 2];
  const points: Point[] = [];
  for (const [end, first, second] of strokes) {
    const from = points.at(-1);
    if (from && first && second)
      points.push(...flattenCubic(from, place(first), place(second), place(end), FLATNESS_MM));
    else points.push(place(end));
  }
  return closed(points);
}

/** A path stretched so that its box has a size, and centred. */
function stretched(path: Path, width: number, height: number): Path {
  const box = extents(path);
  const [cx, cy] = [(box.minX + box.maxX) / 2, (box.minY + box.maxY) / 2];
  const [sx, sy] = [box.width > 0 ? width / box.width : 1, box.height > 0 ? height / box.height : 1];
  return closed(path.points.map(([x, y]): Point => [(x - cx) * sx, (y - cy) * sy]));
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

/** Bows of equal chords along the sides of a rectangle, each a flat arc outwards. */
function scalloped(width: number, height: number): Path {
  const bow = Math.min(width, height) / 5;
  const across = Math.max(2, Math.round(width / bow));
  const down = Math.max(2, Math.round(height / bow));
  const [w, h] = [width / across, height / down];
  // A bow rises by a quarter of its chord; the frame is drawn in by as much, so that the bows reach the size.
  const corners: Point[] = [
    ...Array.from({ length: across }, (_, at): Point => [-width / 2 + at * w, -height / 2]),
    ...Array.from({ length: down }, (_, at): Point => [width / 2, -height / 2 + at * h]),
    ...Array.from({ length: across }, (_, at): Point => [width / 2 - at * w, height / 2]),
    ...Array.from({ length: down }, (_, at): Point => [-width / 2, height / 2 - at * h])
  ];
  const points = corners.flatMap((from, at): Point[] => {
    const to = corners[(at + 1) % corners.length] ?? from;
    const [dx, dy] = [to[0] - from[0], to[1] - from[1]];
    const rise = (point: Point): Point => [point[0] + dy / 3, point[1] - dx / 3];
    return [
      from,
      ...flattenCubic(
        from,
        rise([from[0] + dx / 6, from[1] + dy / 6]),
        rise([to[0] - dx / 6, to[1] - dy / 6]),
        to,
        FLATNESS_MM
      )
    ];
  });
  return stretched({ closed: true, points }, width, height);
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
