import type { Placement } from '$lib/core/documents/order';
import type { Hoop } from '$lib/core/documents/shop';
import { borderPlacements, borderRepeats, cornerHoopings, traceHoop } from '$lib/core/ordering/copies';
import { copiesPerHead, type StationOf } from '$lib/core/ordering/hoopings';
import type { PlannedHooping } from './batchPlan';
import type { BatchInput, LinePlan } from './linePlan';

/** Under which key the maker’s own places of a hooping are kept: those of one head. */
export function placedKey(hoopId: string, stage: number, copies: number): string {
  return `${hoopId} ${stage} ${copies}`;
}

/** Where the copies of a hooping lie on one head, and what a trace of them would show. */
export function placesOf(
  { context }: LinePlan,
  stageIndex: number,
  copies: number,
  heads: number,
  { machine }: StationOf,
  hoop: Hoop,
  firstNumber: number,
  { shop }: BatchInput
): Pick<PlannedHooping, 'placements' | 'findings' | 'outline' | 'area' | 'pitch'> {
  const stage = context.stagesOf(machine, hoop)[stageIndex];
  if (!stage) throw new RangeError('A hooping needs its stage.');
  const each = copiesPerHead({ total: copies, heads });
  const outline = context.outlineOf(stage, machine, hoop);
  const area = context.areaOf(machine, hoop);
  const layout = context.layoutOf(stage, machine, hoop, each);
  const own = context.line.placed[placedKey(hoop.id, stageIndex, each)] ?? repeatedPlaces();
  const placements = own ?? layout.placements;
  const findings = context.movesHoop(stage)
    ? []
    : traceHoop([outline], placements, area, context.line.repeats ? 0 : context.gap, shop.unit);
  return { placements, findings, outline, area, pitch: own ? null : layout.pitch };

  function repeatedPlaces(): Placement[] | null {
    const { repeats } = context.line;
    if (!repeats || !stage) return null;
    if (repeats.of === 'corners') {
      const places = context.layoutOf(stage, machine, hoop, repeats.corners).placements;
      const at = (firstNumber - 1) % repeats.corners;
      return cornerHoopings(repeats.corners, places)
        .flat()
        .slice(at, at + each);
    }
    const border = borderRepeats(
      repeats.length,
      Math.max(outline.width, outline.height),
      area,
      repeats.sides
    );
    return border && borderPlacements(each, border.pitch, area);
  }
}
