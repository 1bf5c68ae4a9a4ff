import { stepDoes } from '$lib/core/craft/operations';
import { found } from '$lib/core/craft/findings';
import { offsetPath, type Path, type Point } from '$lib/core/base/geometry';
import { findLine, findPiece, type Item, type Line, type Piece } from '$lib/core/documents/item';
import { type Layer, liesAt, samplesOf } from '$lib/core/craft/stack';
import { boxOf, type Check, type CheckContext, type Finding, handed } from './finding';

/** A laid piece covers its whole line with at least this much to spare, mm. */
const SPARE_MM = 6;
/** A piece cut on its line may be off by as much as a maker’s hand, mm. */
const ACCURACY_MM = 1;

/** Pieces that do not reach over the line they must cover, or only just; flipped pieces once they lie open. */
export const covering: Check = (context) => [...laid(context), ...flipped(context)];

function laid(context: CheckContext): Finding[] {
  const { item } = context;
  return handed(context, 'lay', 'patch-hole').flatMap(({ op, step, after }): Finding[] => {
    const piece = findPiece(item, op.pieceId);
    const layer = after.state.layers.find(({ pieceId }) => pieceId === op.pieceId);
    if (!piece || !layer || after.problem !== null) return [];
    if (op.do === 'patch-hole') return judge(context, step.id, layer, findLine(item, op.lineId), () => true);
    const flips = item.steps.some((each) => stepDoes(each, 'flip')?.pieceId === piece.id);
    if (op.edge && (flips || piece.covers === null)) return [];
    const line = findLine(item, op.edge ? (piece.covers ?? '') : (op.covers ?? ''));
    const edge = op.edge && findLine(item, op.edge.lineId)?.path;
    const cutToLine = !op.edge && op.over === 0;
    if (cutToLine) return exact(context, step.id, layer, line);
    return judge(
      context,
      step.id,
      layer,
      line,
      (point) => (!edge || awayFrom(edge, point) > SPARE_MM + 2) && !isAtFold(piece, line, point)
    );
  });
}

/** A fold lies on the line: nothing reaches over it there. */
function isAtFold({ foldAt }: Piece, line: Line | undefined, [x, y]: Point): boolean {
  if (foldAt === undefined || !line) return false;
  const { minX, minY, maxX, maxY } = boxOf(line.path);
  return {
    top: y < minY + ACCURACY_MM,
    bottom: y > maxY - ACCURACY_MM,
    left: x < minX + ACCURACY_MM,
    right: x > maxX - ACCURACY_MM
  }[foldAt];
}

function flipped(context: CheckContext): Finding[] {
  return handed(context, 'flip').flatMap(({ op, step, after }): Finding[] => {
    const layer = after.state.layers.find(({ pieceId }) => pieceId === op.pieceId);
    const line = op.covers === undefined ? undefined : findLine(context.item, op.covers);
    const fold = findLine(context.item, op.lineId)?.path;
    if (!layer || !fold || after.problem !== null) return [];
    return judge(context, step.id, layer, line, (point) => awayFrom(fold, point) > SPARE_MM + 2);
  });
}

/** A piece cut on its line: no spare, but nothing short either. */
function exact(context: CheckContext, stepId: string, layer: Layer, line: Line | undefined): Finding[] {
  const inner = line?.path.closed ? offsetPath(line.path, -ACCURACY_MM) : undefined;
  if (!line || !inner || covers(layer, inner)) return [];
  return [finding(context, stepId, layer, line, null)];
}

function judge(
  context: CheckContext,
  stepId: string,
  layer: Layer,
  line: Line | undefined,
  counts: (point: Point) => boolean
): Finding[] {
  const wide = line?.path.closed ? offsetPath(line.path, SPARE_MM) : undefined;
  if (!line || !wide || covers(layer, wide, counts)) return [];
  return [finding(context, stepId, layer, line, spareOf(layer, line.path, counts))];
}

function finding(
  { plan }: CheckContext,
  stepId: string,
  { name, pieceId }: Layer,
  { name: lineName }: Line,
  spareMm: number | null
): Finding {
  const values = { piece: name, line: lineName.toLowerCase(), leastMm: SPARE_MM, unit: plan.unit };
  return {
    ...(spareMm === null
      ? found('covering/uncovered', stepId, values, pieceId)
      : found('covering/short', stepId, { ...values, spareMm }, pieceId)),
    fix: { label: 'Cut it by the rule', apply: (before) => byRule(before, pieceId) }
  };
}

/** How far a layer reaches beyond a line all round, whole mm; null where it does not cover it. */
function spareOf(layer: Layer, path: Path, counts: (point: Point) => boolean): number | null {
  if (!covers(layer, path, counts)) return null;
  for (let mm = SPARE_MM - 1; mm > 0; mm--) {
    const wide = offsetPath(path, mm);
    if (wide && covers(layer, wide, counts)) return mm;
  }
  return 0;
}

function byRule(item: Item, pieceId: string): Item {
  return {
    ...item,
    pieces: item.pieces.map((piece) => (piece.id === pieceId ? { ...piece, overrides: {} } : piece))
  };
}

function covers(layer: Layer, path: Path, counts: (point: Point) => boolean = () => true): boolean {
  return samplesOf(path).every((point) => !counts(point) || liesAt(layer, point));
}

/** Distance of a point from the straight line that a fold or edge lies on, mm. */
function awayFrom({ points }: Path, [x, y]: Point): number {
  const [[x1, y1], [x2, y2]] = [points[0] ?? [0, 0], points[1] ?? [1, 0]];
  return Math.abs((x2 - x1) * (y1 - y) - (x1 - x) * (y2 - y1)) / Math.hypot(x2 - x1, y2 - y1);
}
