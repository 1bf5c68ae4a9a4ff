import { extentsOfAll, type Path, pathLength, shifted } from '$lib/core/base/geometry';
import { MM_PER_INCH, roundTo } from '$lib/core/base/units';
import { MAX_POINTS, outlinesOf, type Viewport } from './outlines';
import { coloursOf, sheetOf, type StyleSheet } from './style';
import { type SvgElement, svgTree } from './tree';

/** What of a drawing becomes one stop: a named group, or all there is of one colour. */
export interface DrawnGroup {
  name: string;
  /** As drawn, `#rrggbb`; null where the drawing says none. */
  colour: string | null;
  /** Whether the outlines are filled rather than drawn as lines. */
  filled: boolean;
  paths: Path[];
  /** Length of all its outlines, mm. */
  length: number;
}

/** A drawing as geometry, its middle at the origin. */
export interface DrawingReading {
  groups: DrawnGroup[];
  /** Size of everything drawn, mm. */
  size: { width: number; height: number } | null;
  problems: { kind: 'not-understood' | 'doubt'; message: string }[];
}

/** Elements that hold no outlines of their own, or none that are seen. */
const UNSEEN = new Set([
  'defs',
  'clipPath',
  'mask',
  'pattern',
  'marker',
  'symbol',
  'metadata',
  'style',
  'title',
  'desc',
  'script',
  'filter',
  'linearGradient',
  'radialGradient'
]);
const WORDLESS: Readonly<Record<string, string>> = {
  text: 'lettering that is not turned into outlines',
  image: 'a picture',
  foreignObject: 'something that is no drawing'
};
/** Letters of one path: more points than a line of an item may have. */
const LONGEST_DATA = 300_000;
const SHAPES = new Set(['path', 'rect', 'circle', 'ellipse', 'line', 'polyline', 'polygon']);

/**
 * Reads the outlines of an SVG for what they measure: paths, basic shapes, groups, transforms, `viewBox` and units. It
 * never throws; what it cannot use it names.
 *
 * @param text the SVG’s text
 * @returns groups in the order they are drawn, mm, curves flattened to 0.05 mm, the middle of all at the origin
 *
 * @example
 * readSvg('<svg width="40mm" height="40mm" viewBox="0 0 40 40"><circle cx="20" cy="20" r="20" stroke="#336699"/></svg>')
 *   .size // { width: 40, height: 40 }
 */
export function readSvg(text: string): DrawingReading {
  const { root, problem } = svgTree(text);
  const problems: DrawingReading['problems'] = problem ? [{ kind: 'doubt', message: problem }] : [];
  if (root?.name !== 'svg') {
    problems.push({
      kind: 'not-understood',
      message: 'This is no SVG drawing: it does not begin with an svg element.'
    });
    return { groups: [], size: null, problems };
  }
  const { viewport, doubt } = viewportOf(root);
  if (doubt) problems.push({ kind: 'doubt', message: doubt });
  const collected = collect(root, viewport);
  for (const [what, times] of collected.left) {
    problems.push({
      kind: 'not-understood',
      message: `${times === 1 ? 'One part' : `${times} parts`} of the drawing ${times === 1 ? 'is' : 'are'} ${what}; only outlines can be stitched.`
    });
  }
  const groups = collected.groups.filter(({ paths }) => paths.length > 0);
  const box = extentsOfAll(groups.flatMap(({ paths }) => paths));
  if (!box) {
    problems.push({ kind: 'not-understood', message: 'The drawing holds no outlines.' });
    return { groups: [], size: null, problems };
  }
  const [dx, dy] = [-(box.minX + box.maxX) / 2, -(box.minY + box.maxY) / 2];
  return {
    groups: groups.map((group) => {
      const paths = group.paths.map((path) => rounded(shifted(path, dx, dy)));
      return { ...group, paths, length: paths.reduce((sum, path) => sum + pathLength(path), 0) };
    }),
    size: { width: roundTo(box.width, 3), height: roundTo(box.height, 3) },
    problems
  };
}

/** No hoop is so large that an outline could reach this far, mm. */
const FURTHEST_MM = 2000;

/** Millimetres of one unit of length of a drawing. */
const UNITS: Readonly<Record<string, number>> = {
  mm: 1,
  cm: 10,
  in: MM_PER_INCH,
  pt: MM_PER_INCH / 72,
  pc: MM_PER_INCH / 6,
  px: MM_PER_INCH / 96
};

/** How units of the drawing become millimetres, from its size and its `viewBox`. */
function viewportOf({ attributes }: SvgElement): { viewport: Viewport; doubt: string | null } {
  const width = lengthOf(attributes['width']);
  const height = lengthOf(attributes['height']);
  const box = (attributes['viewBox'] ?? '')
    .trim()
    .split(/[\s,]+/)
    .map(Number);
  const [, , boxWidth = 0, boxHeight = 0] = box;
  const hasBox = box.length === 4 && box.every(Number.isFinite) && boxWidth > 0 && boxHeight > 0;
  const scales = [
    ...(width && hasBox ? [width.mm / boxWidth] : []),
    ...(height && hasBox ? [height.mm / boxHeight] : [])
  ].filter((scale) => scale > 0 && Number.isFinite(scale));
  const px = MM_PER_INCH / 96;
  const scale = scales.length > 0 ? Math.min(...scales) : px;
  const said = [width, height].some((side) => side?.unit === true);
  const doubt = said
    ? null
    : 'The drawing names no unit of length: its sizes are read at 96 to the inch. Check the size below.';
  return { viewport: { scale, dx: 0, dy: 0 }, doubt };
}

function lengthOf(text: string | undefined): { mm: number; unit: boolean } | undefined {
  const found = /^\s*(\d*\.?\d+(?:e[-+]?\d+)?)\s*(mm|cm|in|pt|pc|px)?\s*$/i.exec(text ?? '');
  if (found?.[1] === undefined) return undefined;
  const unit = found[2]?.toLowerCase();
  return { mm: Number(found[1]) * (UNITS[unit ?? 'px'] ?? 1), unit: unit !== undefined && unit !== 'px' };
}

interface Collected {
  groups: DrawnGroup[];
  left: Map<string, number>;
}

function collect(root: SvgElement, viewport: Viewport): Collected {
  const byKey = new Map<string, DrawnGroup>();
  const left = new Map<string, number>();
  const leave = (what: string): void => {
    left.set(what, (left.get(what) ?? 0) + 1);
  };
  const sheet = sheetOf(root);
  const byId = idsOf(root);
  let points = 0;
  let uses = 0;
  /** Parts that are being used just now. */
  const within = new Set<SvgElement>();

  const visit = (
    element: SvgElement,
    transforms: readonly string[],
    named: string,
    style: StyleSheet
  ): void => {
    if (UNSEEN.has(element.name)) return;
    const wordless = WORDLESS[element.name];
    if (wordless !== undefined) {
      leave(wordless);
      return;
    }
    const paint = coloursOf(element, style, sheet);
    if (paint.hidden) return;
    const own = element.attributes['transform'];
    const all = own === undefined ? transforms : [own, ...transforms];
    if (element.name === 'use') {
      const target = byId.get(
        (element.attributes['href'] ?? element.attributes['xlink:href'] ?? '').slice(1)
      );
      // A part that uses itself would go on for ever.
      if (!target || ++uses > 500 || within.has(target)) return;
      const [x, y] = [element.attributes['x'] ?? '0', element.attributes['y'] ?? '0'];
      const inner = target.name === 'symbol' ? { ...target, name: 'g' } : target;
      within.add(target);
      visit(inner, [`translate(${x} ${y})`, ...all], named, paint.inherited);
      within.delete(target);
      return;
    }
    if (!SHAPES.has(element.name)) {
      const name = nameOf(element) ?? named;
      for (const child of element.children) visit(child, all, name, paint.inherited);
      return;
    }
    if (paint.stroke === null && paint.fill === null) {
      leave('drawn without line or fill');
      return;
    }
    if (points >= MAX_POINTS) {
      leave(`beyond the first ${MAX_POINTS.toLocaleString('en')} points`);
      return;
    }
    if ((element.attributes['d'] ?? element.attributes['points'] ?? '').length > LONGEST_DATA) {
      leave(`longer than ${LONGEST_DATA.toLocaleString('en')} letters: no outline that is cut or stitched`);
      return;
    }
    const { paths: read, broken } = outlinesOf(element, all, viewport);
    if (broken) leave('a path whose data breaks off');
    const paths = read.filter((path) =>
      path.points.every(([x, y]) => Math.abs(x) < FURTHEST_MM && Math.abs(y) < FURTHEST_MM)
    );
    if (paths.length < read.length) leave('further than 2 m from the corner of the drawing');
    points += read.reduce((sum, path) => sum + path.points.length, 0);
    const colour = paint.stroke ?? paint.fill;
    const key = `${named}|${colour ?? ''}`;
    const group = byKey.get(key) ?? {
      name: named,
      colour,
      filled: paint.stroke === null,
      paths: [],
      length: 0
    };
    group.paths.push(...paths);
    byKey.set(key, group);
  };
  visit(root, [], '', {});
  return { groups: [...byKey.values()], left };
}

/** What the maker called a group; names a program gave by itself say nothing. */
function nameOf({ name, attributes, children }: SvgElement): string | undefined {
  if (name !== 'g') return undefined;
  const title = children.find((child) => child.name === 'title')?.text.trim();
  const label = Object.entries(attributes).find(([key]) => key === 'label' || key.endsWith(':label'))?.[1];
  const said = label ?? title ?? attributes['data-name'] ?? attributes['id'];
  if (said === undefined || /^(?:g|group|layer|svg|path|use)?[-_ ]?\d*$/i.test(said.trim())) return undefined;
  return said.trim().replace(/[-_]+/g, ' ').slice(0, 80);
}

function idsOf(root: SvgElement): Map<string, SvgElement> {
  const found = new Map<string, SvgElement>();
  const visit = (element: SvgElement): void => {
    const id = element.attributes['id'];
    if (id !== undefined) found.set(id, element);
    element.children.forEach(visit);
  };
  visit(root);
  return found;
}

function rounded(path: Path): Path {
  return { ...path, points: path.points.map(([x, y]) => [roundTo(x, 3) + 0, roundTo(y, 3) + 0]) };
}
