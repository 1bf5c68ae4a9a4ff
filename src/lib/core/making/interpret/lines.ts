import { type Path, pathLength, segment, shapePath, inset } from '$lib/core/base/geometry';
import { seamOpening } from '$lib/core/craft/sequence';
import type { Item } from '$lib/core/documents/item';
import type { SheetReading } from '$lib/core/reading/sheets';

type Line = Item['lines'][number];

/** The outline of an item of which no paper says the size, mm. */
const UNSAID = { width: 100, height: 100 };
/** A stated size smaller than this share of what the cuts say is that of a folded thing. */
const FOLDED = 0.6;
/** A piece is cut this much larger than the line it covers, in all, mm. */
const CUT_OVER = 24;
/** An opening to turn an item through, mm. */
const OPENING = 70;
/** What lies under or behind the whole of an item, and words for what is only a part of it. */
const WHOLE = /\b(?:back|backing|batting|wadding)\b/i;
const PART = /\b(?:upper|lower|top|bottom|left|right|first|second|pocket|strap|flap|towel)\b/i;
/** Space between an outline and what is drawn inside it, mm. */
const DESIGN_GAP = 8;

/** Size of the outline: as the papers say, else so that every cloth that covers it does. */
export function outlineSize(
  { pieces, actions }: Pick<SheetReading, 'pieces' | 'actions'>,
  stated: { width: number; height: number } | null
): { width: number; height: number } {
  const laid = new Set(actions.filter(({ action }) => action === 'lay').map(({ piece }) => piece));
  const cuts = pieces.flatMap(({ name, cut, role }) =>
    cut && cut.heightMm !== null && role === null && laid.has(name)
      ? [{ width: cut.widthMm, height: cut.heightMm }]
      : []
  );
  // Parts that only cover a share of it are smaller in one direction: the usual size tells.
  const middle = (values: number[]): number | undefined =>
    values.sort((a, b) => a - b)[Math.floor((values.length - 1) / 2)];
  // A back or a batting that is no part itself covers all there is.
  const wholes = pieces.filter(
    ({ name, material, cut, role }) =>
      role === null &&
      cut?.heightMm != null &&
      laid.has(name) &&
      WHOLE.test(`${name} ${material ?? ''}`) &&
      !PART.test(`${name} ${material ?? ''}`)
  );
  const least = (side: (cut: NonNullable<(typeof wholes)[number]['cut']>) => number): number | undefined =>
    wholes.length > 0 ? Math.min(...wholes.flatMap(({ cut }) => (cut ? [side(cut)] : []))) : undefined;
  const larger = (usual: number | undefined, whole: number | undefined): number | undefined =>
    usual === undefined || (whole !== undefined && whole > usual) ? whole : usual;
  const [width, height] = [
    larger(
      middle(cuts.map((cut) => cut.width)),
      least(({ widthMm }) => widthMm)
    ),
    larger(
      middle(cuts.map((cut) => cut.height)),
      least(({ heightMm }) => heightMm ?? 0)
    )
  ];
  const byCuts = {
    width: Math.max(20, (width ?? UNSAID.width + CUT_OVER) - CUT_OVER),
    height: Math.max(20, (height ?? UNSAID.height + CUT_OVER) - CUT_OVER)
  };
  // What is said of a thing that is closed or folded in the end is not its outline.
  const isWhole = stated && stated.width > FOLDED * byCuts.width && stated.height > FOLDED * byCuts.height;
  return stated && (isWhole || width === undefined) ? stated : byCuts;
}

/** Where the seams lie that pieces are flipped at: across the item, one below the other. */
export interface SeamLine {
  id: string;
  /** Distance of the seam from the middle, mm, downwards. */
  y: number;
  name?: string;
}

/**
 * The lines of an item that only its sheet tells of: its outline, a field for what is drawn, a seam for each flip, a closing
 * seam with its opening.
 *
 * @param seams ids of the seams, from above down
 */
export function linesFor(
  size: { width: number; height: number },
  seams: readonly SeamLine[],
  closing: { opens: boolean } | null,
  frame: string
): Line[] {
  const outline = shapePath('rounded', size.width, size.height);
  const line = (id: string, name: string, path: Path, gaps: Line['gaps'] = []): Line => ({
    id,
    name,
    frame,
    path,
    gaps
  });
  const seam = seamOpening(outline, Math.min(OPENING, pathLength(outline) / 4), { side: 'bottom' });
  const half = size.width / 2;
  const named = seams.filter(({ name }) => name === undefined).length;
  return [
    line('outline', 'Outline', outline),
    line('rim-top', 'Upper edge', segment(-half, -size.height / 2, half, -size.height / 2)),
    line('rim-bottom', 'Lower edge', segment(-half, size.height / 2, half, size.height / 2)),
    line('design', 'Design', inset(outline, Math.min(DESIGN_GAP, size.width / 5, size.height / 5))),
    ...seams.map(({ id, y, name }, at) =>
      line(id, name ?? (named > 1 ? `Seam ${at / 2 + 1}` : 'Seam'), segment(-half, y, half, y))
    ),
    ...(closing ? [line('closing', 'Closing seam', seam.path, closing.opens ? seam.gaps : [])] : [])
  ];
}
