import { contains, offsetPath, pointsAlong, type Path, type Region } from '$lib/core/geometry';
import { findLine } from '$lib/core/item';
import { clothOf } from '$lib/core/stack';
import { formatLength } from '$lib/core/units';
import type { Check, Finding } from './finding';

/** A laid piece covers its whole line with at least this much to spare, mm. */
const SPARE_MM = 6;

/** Pieces that do not reach over the line they must cover, or only just. */
export const covering: Check = ({ item, plan, trace }) =>
  item.steps.flatMap((step): Finding[] => {
    if (step.kind !== 'hand' || step.op.do !== 'lay' || step.op.covers === undefined) return [];
    const { pieceId, covers } = step.op;
    const line = findLine(item, covers);
    const layer = trace
      .find(({ stepId }) => stepId === step.id)
      ?.state.layers.find((each) => each.pieceId === pieceId);
    if (!line?.path.closed || !layer) return [];
    const cloth = clothOf(layer);
    const wide = offsetPath(line.path, SPARE_MM);
    if (wide && coversAll(cloth, wide)) return [];
    const short = !coversAll(cloth, line.path);
    const spare = formatLength(SPARE_MM, plan.unit);
    return [
      {
        checkId: 'covering',
        severity: short ? 'stop' : 'warn',
        stepId: step.id,
        text: short
          ? `${layer.name} does not cover the ${line.name.toLowerCase()} all round.`
          : `${layer.name} covers the ${line.name.toLowerCase()} by less than ${spare}.`,
        advice: `Cut it larger: at least ${spare} over the line on every side.`,
        fix: {
          label: 'Cut it by the rule',
          apply: (before) => ({
            ...before,
            pieces: before.pieces.map((piece) => (piece.id === pieceId ? { ...piece, overrides: {} } : piece))
          })
        }
      }
    ];
  });

function coversAll(cloth: Region, path: Path): boolean {
  return pointsAlong(path, 2).every((point) => contains(cloth, point));
}
