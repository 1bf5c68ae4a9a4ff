import type { DrawingReading } from '$lib/core/drawing';
import { pathArea, type Path } from '$lib/core/geometry';
import { stitchKind } from '$lib/core/item';
import type { ReadRow } from './chart';
import { guessRole } from './roleGuess';

/** A row that a drawing gave, with the outlines it stitches. */
export type DrawnRow = ReadRow & { paths: Path[] };

/** Length of a running stitch, mm, and stitches to a square millimetre of fill, for counts nobody has charted. */
const RUN_MM = 2.5;
const FILL_PER_MM2 = 0.5;
const SATIN_SPACING_MM = 0.4;

/**
 * The stops that a drawing would become: one a named group or colour, in the order drawn. Their stitches are estimates
 * from what the outlines measure.
 *
 * @example
 * rowsOfDrawing(readSvg(svgOfACircle40mm))[0]?.stitches // 51: 125.66 mm at 2.5 mm a stitch
 */
export function rowsOfDrawing({ groups }: DrawingReading): DrawnRow[] {
  return groups.map(({ name, colour, filled, paths, length }, at): DrawnRow => {
    const guess = guessRole(name, null, groups.length > 1 ? at / (groups.length - 1) : 0);
    const area = paths.reduce((sum, path) => sum + pathArea(path), 0);
    const kind = stitchKind(guess.role);
    const stitches =
      kind === 'satin'
        ? length / SATIN_SPACING_MM
        : kind === 'fill' && filled
          ? area * FILL_PER_MM2
          : length / RUN_MM;
    return {
      line: at + 1,
      number: at + 1,
      name: name || `Outline ${at + 1}`,
      colour: colour ?? '',
      stitches: Math.ceil(stitches),
      threadMetres: null,
      ...guess,
      paths
    };
  });
}

/** The closed outlines of a drawing that an item could have, the largest first, without two of one size and place. */
export function outlineChoices({ groups }: DrawingReading): { name: string; path: Path }[] {
  const closed = groups.flatMap(({ name, colour, paths }) =>
    paths
      .filter((path) => path.closed && pathArea(path) > 100)
      .map((path) => ({ name: name || (colour ?? 'Outline'), path, area: pathArea(path) }))
  );
  return closed
    .sort((a, b) => b.area - a.area)
    .filter(({ area }, at, all) => at === 0 || Math.abs(area - (all[at - 1]?.area ?? 0)) > 1)
    .slice(0, 12)
    .map(({ name, path }) => ({ name, path }));
}
