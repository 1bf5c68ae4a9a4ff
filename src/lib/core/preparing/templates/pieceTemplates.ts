import { box, extents, mirrored, type Path } from '$lib/core/base/geometry';
import { formatSize } from '$lib/core/base/units';
import { findLine, type Item, type Piece } from '$lib/core/documents/item';
import type { CutPiece, Plan } from '$lib/core/documents/plan';
import { arrow, drawn, fromTopLeft, type Template, type TemplateMark, written } from './marks';

/** Free paper round a cut shape, mm, so that its line can be followed. */
const MARGIN_MM = 3;

/**
 * A template of every piece that is cut: its cut shape true to size, the line it must cover, which way the grain runs,
 * which side is up while cutting, its name and size. A shape cut wrong side up, as fused ones are, is drawn mirrored.
 *
 * @param item the item as the planned variant has it
 *
 * @example
 * pieceTemplates(item, plan).map(({ name }) => name) // ['FRONT', 'BACK']
 */
export function pieceTemplates(item: Item, plan: Plan): Template[] {
  return plan.cuts.flatMap((cut) => {
    const piece = item.pieces.find(({ id }) => id === cut.pieceId);
    return piece && cut.cutFrom === null && cut.readyMade !== true
      ? [pieceTemplate(piece, cut, item, plan)]
      : [];
  });
}

function pieceTemplate(piece: Piece, cut: CutPiece, item: Item, plan: Plan): Template {
  const line = piece.covers === null ? undefined : findLine(item, piece.covers)?.path;
  const wrongSideUp = piece.template?.wrongSideUp ?? false;
  const turned = (path: Path): Path => (wrongSideUp ? mirrored(path) : path);
  const isShape = piece.shape === 'pre-cut' && line?.closed === true;
  const centre = line ? extents(turned(line)) : undefined;
  const [cx, cy] = centre ? [(centre.minX + centre.maxX) / 2, (centre.minY + centre.maxY) / 2] : [0, 0];
  const { width, height } = cut.cut;
  const outline = isShape
    ? turned(line)
    : box(cx - width / 2, cy - height / 2, cx + width / 2, cy + height / 2);
  const laid = fromTopLeft([outline, ...(line && !isShape ? [turned(line)] : [])], MARGIN_MM);
  const [edge, covered] = laid.paths;
  const marks: TemplateMark[] = [];
  if (edge) marks.push(drawn(edge, 'cut'));
  if (covered) marks.push(drawn(covered, 'line'));
  const [mx, my] = [laid.width / 2, laid.height / 2];
  const size = Math.max(2.2, Math.min(7, laid.width / (piece.name.length * 0.75), laid.height / 8));
  const small = Math.max(1.8, size * 0.5);
  const words = [
    `${formatSize(cut.cut, plan.unit)}${cut.count > 1 ? `, cut ${cut.count}` : ''}`,
    cut.material.name,
    sideWords(piece)
  ];
  marks.push(written(mx, my - small, piece.name, { size, align: 'middle', bold: true }));
  words.forEach((text, at) => {
    // A letter is about half as wide as its type is high.
    const fit = Math.min(small, (laid.width - 2 * MARGIN_MM) / (text.length * 0.52));
    marks.push(written(mx, my + small * (0.6 + at * 1.35), text, { size: fit, align: 'middle' }));
  });
  const reach = Math.min(20, laid.height / 4);
  if (piece.grain !== 'any' && laid.height > 30) {
    const x = Math.max(MARGIN_MM + 4, mx - laid.width / 3);
    marks.push(...arrow([x, my + reach], [x, my - reach], piece.grain === 'either-way'));
  }
  return { id: piece.id, name: piece.name, width: laid.width, height: laid.height, marks };
}

/** Which side lies up while cutting. */
function sideWords({ template, material }: Piece): string {
  if (template?.wrongSideUp) return 'mirrored: cut with the wrong side up';
  if (material.kind === 'felt' || material.kind === 'batting') return 'either side up';
  return 'right side up';
}
