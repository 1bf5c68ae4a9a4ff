import { extentsOfAll, type Path, type Point, shifted } from '$lib/core/base/geometry';

/** How a line of a template is drawn; each style reads without colour. */
export const LINE_STYLES = ['cut', 'line', 'guide', 'overlap', 'arrow', 'check', 'frame'] as const;
export type LineStyle = (typeof LINE_STYLES)[number];

/** One mark of a template or page: mm, origin at its top left, y down. */
export type TemplateMark =
  | { kind: 'path'; path: Path; style: LineStyle }
  | {
      kind: 'text';
      x: number;
      y: number;
      size: number;
      text: string;
      align: 'start' | 'middle';
      bold: boolean;
    };

/** A thing to print true to size. */
export interface Template {
  id: string;
  name: string;
  width: number;
  height: number;
  marks: TemplateMark[];
}

/** Marks of a page that show through a window on it, moved into place. */
export interface PlacedTemplate {
  dx: number;
  dy: number;
  /** The window, in the page’s own place. */
  window: { x: number; y: number; width: number; height: number };
  marks: TemplateMark[];
}

/** A page to print at 100 %. */
export interface TemplatePage {
  title: string;
  width: number;
  height: number;
  placed: PlacedTemplate[];
  /** What stands on every page: its title and the check squares. */
  marks: TemplateMark[];
}

/** A path as a mark. */
export const drawn = (path: Path, style: LineStyle): TemplateMark => ({ kind: 'path', path, style });

/** Words as a mark; size of the type in mm. */
export const written = (
  x: number,
  y: number,
  text: string,
  {
    size = 4,
    align = 'start',
    bold = false
  }: { size?: number; align?: 'start' | 'middle'; bold?: boolean } = {}
): TemplateMark => ({ kind: 'text', x, y, size, text, align, bold });

/** An arrow along a line, its head at the end; with both heads where either way will do. */
export function arrow(from: Point, to: Point, bothWays: boolean): TemplateMark[] {
  const length = Math.hypot(to[0] - from[0], to[1] - from[1]);
  const [ux, uy] = [(to[0] - from[0]) / length, (to[1] - from[1]) / length];
  const head = ([x, y]: Point, way: 1 | -1): Path => ({
    closed: false,
    points: [
      [x - way * (ux * 3 - uy * 1.5), y - way * (uy * 3 + ux * 1.5)],
      [x, y],
      [x - way * (ux * 3 + uy * 1.5), y - way * (uy * 3 - ux * 1.5)]
    ]
  });
  return [
    drawn({ closed: false, points: [from, to] }, 'arrow'),
    drawn(head(to, 1), 'arrow'),
    ...(bothWays ? [drawn(head(from, -1), 'arrow')] : [])
  ];
}

/** Paths moved so that the box round all of them begins at a margin from the origin. */
export function fromTopLeft(
  paths: Path[],
  margin: number
): { paths: Path[]; width: number; height: number; at: Point } {
  const box = extentsOfAll(paths) ?? { minX: 0, minY: 0, width: 0, height: 0 };
  const [width, height] = [box.width + 2 * margin, box.height + 2 * margin];
  const [dx, dy] = [margin - box.minX, margin - box.minY];
  return {
    paths: paths.map((path) => shifted(path, dx, dy)),
    width,
    height,
    at: [dx, dy]
  };
}
