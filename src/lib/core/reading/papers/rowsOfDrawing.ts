import { extents, type Path, pathArea, type Point } from '$lib/core/base/geometry';
import { type Role, stitchKind } from '$lib/core/documents/item';
import type { DrawingReading, DrawnGroup } from '$lib/core/reading/drawings';
import {
  fillStitches,
  joined,
  type ListReading,
  measure,
  packStitches,
  runStitches,
  SATIN_SPACING_MM,
  satinStitches,
  type Stitches
} from '$lib/core/stitching/stitches';
import type { ReadRow } from './chart';
import { shelfName } from '$lib/core/reading/evidence';
import { guessRole } from '$lib/core/reading/evidence';

/** Width of satin laid along a drawn line, mm. */
const SATIN_MM = 4;
/** Area of one outline beyond which it is not filled, mm²: it bounds the item rather than being stitched. */
const MOST_FILL_MM2 = 40_000;
/** Stitches laid on one drawing; groups beyond them are counted only. */
const MOST_STITCHES = 100_000;

/**
 * The stops that a drawing becomes: one a named group or colour, in the order drawn, with stitches laid on its outlines
 * as the group’s words ask: satin for edges, fill for filled shapes, else a run along the line.
 *
 * @example
 * rowsOfDrawing(readSvg(svgOfACircle40mm))[0]?.stitches // 51: 125.66 mm at 2.5 mm a stitch
 */
export function rowsOfDrawing({ groups }: DrawingReading): ReadRow[] {
  let left = MOST_STITCHES;
  return groups.map((group, at): ReadRow => {
    const guess = guessRole(group.name, null, groups.length > 1 ? at / (groups.length - 1) : 0);
    const expected = expectedStitches(group, guess.role);
    const stitches = expected <= left ? laidOn(group, guess.role) : null;
    left -= expected;
    return {
      line: at + 1,
      number: at + 1,
      name: group.name || `Outline ${at + 1}`,
      colour: group.colour === null ? '' : `${shelfName(group.colour)} ${group.colour}`,
      stitches: stitches ? measure(stitches).count : expected,
      threadMetres: null,
      ...guess,
      ...(stitches && { stitched: packStitches(stitches, 'drawing') })
    };
  });
}

/** About how many stitches a group takes. */
function expectedStitches({ paths, filled, length }: DrawnGroup, role: Role): number {
  const kind = stitchKind(role);
  if (kind === 'satin') return Math.ceil(length / SATIN_SPACING_MM);
  if (kind !== 'fill' || !filled) return Math.ceil(length / 2.5);
  return Math.ceil(paths.reduce((sum, path) => sum + Math.min(MOST_FILL_MM2, pathArea(path)) / 1.4, 0));
}

function laidOn({ paths, filled }: DrawnGroup, role: Role): Stitches {
  const kind = stitchKind(role);
  return joined(
    paths.map((path) => {
      if (kind === 'satin') return satinStitches(path, { width: SATIN_MM, underlay: 'none' });
      if (kind === 'fill' && filled && path.closed && pathArea(path) < MOST_FILL_MM2)
        return fillStitches(path);
      return runStitches(path);
    })
  );
}

/** The stops of a stitch list. */
export function rowsOfList({ stops }: ListReading): ReadRow[] {
  return stops.map(({ stop, stitches }, at): ReadRow => {
    const { count } = measure(stitches);
    return {
      line: at + 1,
      number: stop,
      name: `Stop ${stop}`,
      colour: '',
      stitches: count,
      threadMetres: null,
      ...guessRole('', count, stops.length > 1 ? at / (stops.length - 1) : 0),
      stitched: packStitches(stitches, 'list')
    };
  });
}

/**
 * A drawing laid so that one of its outlines has a size and its middle at the origin, as the outline of an item has.
 *
 * @param outline one of the drawing’s closed paths
 */
export function drawnAround(
  drawing: DrawingReading,
  outline: Path,
  size: { width: number; height: number }
): DrawingReading {
  const box = extents(outline);
  const [cx, cy] = [(box.minX + box.maxX) / 2, (box.minY + box.maxY) / 2];
  const [sx, sy] = [size.width / Math.max(0.001, box.width), size.height / Math.max(0.001, box.height)];
  return {
    ...drawing,
    groups: drawing.groups.map((group) => ({
      ...group,
      paths: group.paths.map((path) => ({
        ...path,
        points: path.points.map(([x, y]): Point => [(x - cx) * sx, (y - cy) * sy])
      }))
    }))
  };
}

/** The outline of a drawing that an answer to the question of shape names, if it names one. */
export function chosenOutline(
  outlines: readonly { name: string; path: Path }[],
  answer: unknown
): { name: string; path: Path } | undefined {
  return outlines.find(
    ({ path }) => typeof answer === 'object' && answer !== null && 'drawn' in answer && answer.drawn === path
  );
}

/** The closed outlines of a drawing that an item could have, the largest first, without two of one size and place. */
export function outlineChoices({ groups }: DrawingReading): { name: string; path: Path }[] {
  const closed = groups.flatMap(({ name, colour, paths }) =>
    paths
      .filter((path) => path.closed && path.points.length <= 5000 && pathArea(path) > 100)
      .map((path) => ({ name: name || (colour ?? 'outline'), path, area: pathArea(path) }))
  );
  return closed
    .sort((a, b) => b.area - a.area)
    .filter(({ area }, at, all) => at === 0 || Math.abs(area - (all[at - 1]?.area ?? 0)) > 1)
    .slice(0, 12)
    .map(({ name, path }) => ({ name, path }));
}
