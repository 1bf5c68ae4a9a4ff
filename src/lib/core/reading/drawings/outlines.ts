import svgpath from 'svgpath';
import { flattenCubic, type Path, type Point } from '$lib/core/base/geometry';
import { roundTo } from '$lib/core/base/units';
import type { SvgElement } from './tree';

/** Turns what a drawing says into millimetres: scale, then shift. */
export interface Viewport {
  scale: number;
  dx: number;
  dy: number;
}

/** Points of one drawing beyond which no more are taken. */
export const MAX_POINTS = 200_000;

/**
 * The outlines of a basic shape or a path, in mm, curves flattened.
 *
 * @param transforms transforms that apply, the innermost first
 * @returns the outlines, and whether the path’s data broke off early
 */
export function outlinesOf(
  element: SvgElement,
  transforms: readonly string[],
  { scale, dx, dy }: Viewport
): { paths: Path[]; broken: boolean } {
  const data = pathData(element);
  if (data === undefined) return { paths: [], broken: false };
  let path = svgpath(data);
  const broken = 'err' in path && path.err !== '';
  for (const transform of transforms) path = path.transform(transform);
  path = path.matrix([scale, 0, 0, scale, dx, dy]).abs().unshort().unarc();
  return { paths: flattened(path), broken };
}

function flattened(path: ReturnType<typeof svgpath>): Path[] {
  const paths: Path[] = [];
  let points: Point[] = [];
  const finish = (closed: boolean): void => {
    const kept = points
      .map(([x, y]): Point => [roundTo(x, 3) + 0, roundTo(y, 3) + 0])
      .filter(([x, y], at, all) => at === 0 || x !== all[at - 1]?.[0] || y !== all[at - 1]?.[1]);
    const [first, last] = [kept[0], kept.at(-1)];
    // A path drawn back to where it began is closed, whether it says so or not.
    const back =
      first && last && kept.length > 3 && Math.hypot(first[0] - last[0], first[1] - last[1]) < 0.01;
    if (back) kept.pop();
    if (kept.length >= 2 && kept.every(([x, y]) => Number.isFinite(x) && Number.isFinite(y)))
      paths.push({ closed: (closed || back === true) && kept.length >= 3, points: kept });
    points = [];
  };
  path.iterate((segment, _index, x, y) => {
    const here: Point = [x, y];
    switch (segment[0]) {
      case 'M':
        finish(false);
        points = [[segment[1], segment[2]]];
        return;
      case 'Z':
      case 'z':
        finish(true);
        return;
      default:
        // After a closed part the next one begins where that began.
        if (points.length === 0) points = [here];
    }
    switch (segment[0]) {
      case 'L':
        points.push([segment[1], segment[2]]);
        break;
      case 'H':
        points.push([segment[1], y]);
        break;
      case 'V':
        points.push([x, segment[1]]);
        break;
      case 'C': {
        const [, x1, y1, x2, y2, x3, y3] = segment;
        points.push(...flattenCubic(here, [x1, y1], [x2, y2], [x3, y3]));
        break;
      }
      case 'Q': {
        const [, x1, y1, x2, y2] = segment;
        const lift = (from: number, control: number): number => from + (2 / 3) * (control - from);
        points.push(
          ...flattenCubic(here, [lift(x, x1), lift(y, y1)], [lift(x2, x1), lift(y2, y1)], [x2, y2])
        );
        break;
      }
      default:
        break;
    }
  });
  finish(false);
  return paths;
}

/** A path’s data, or that of a basic shape. */
function pathData({ name, attributes }: SvgElement): string | undefined {
  const value = (key: string): number => Number.parseFloat(attributes[key] ?? '0') || 0;
  switch (name) {
    case 'path':
      return attributes['d'] ?? '';
    case 'rect': {
      const [x, y, w, h] = [value('x'), value('y'), value('width'), value('height')];
      if (!(w > 0 && h > 0)) return '';
      const rx = Math.min(w / 2, value(attributes['rx'] === undefined ? 'ry' : 'rx'));
      const ry = Math.min(h / 2, value(attributes['ry'] === undefined ? 'rx' : 'ry'));
      if (!(rx > 0 && ry > 0)) return `M${x} ${y}h${w}v${h}h${-w}z`;
      const arc = (ex: number, ey: number): string => `a${rx} ${ry} 0 0 1 ${ex} ${ey}`;
      return `M${x + rx} ${y}h${w - 2 * rx}${arc(rx, ry)}v${h - 2 * ry}${arc(-rx, ry)}h${2 * rx - w}${arc(-rx, -ry)}v${2 * ry - h}${arc(rx, -ry)}z`;
    }
    case 'circle':
    case 'ellipse': {
      const rx = value(name === 'circle' ? 'r' : 'rx');
      const ry = value(name === 'circle' ? 'r' : 'ry');
      if (!(rx > 0 && ry > 0)) return '';
      const [x, y] = [value('cx'), value('cy')];
      return `M${x - rx} ${y}a${rx} ${ry} 0 0 1 ${2 * rx} 0a${rx} ${ry} 0 0 1 ${-2 * rx} 0z`;
    }
    case 'line':
      return `M${value('x1')} ${value('y1')}L${value('x2')} ${value('y2')}`;
    case 'polyline':
    case 'polygon': {
      const numbers = (attributes['points'] ?? '').match(/-?(?:\d+\.?\d*|\.\d+)(?:e[-+]?\d+)?/gi) ?? [];
      const pairs = numbers.slice(0, numbers.length - (numbers.length % 2));
      if (pairs.length < 4) return '';
      return `M${pairs.join(' ')}${name === 'polygon' ? 'z' : ''}`;
    }
    default:
      return undefined;
  }
}
