import type { Placement } from '$lib/core/documents/order';
import type { Machine } from '$lib/core/documents/shop';
import type { Stage } from './stages';
import { MM_PER_INCH } from '$lib/core/base/units';

/** What is typed at the panel of a machine that repeats a design in a grid, in the order it asks for it. */
export interface AtPanel {
  entries: { label: string; value: string }[];
  /** Copies that the grid has more than are wanted. */
  spare: number;
  /** Where the first copy lies. */
  corner: string;
  /** Where the trace of the whole begins, mm from the middle of the field: right and towards you are above 0. */
  traceFrom: { x: number; y: number };
  /** Numbers of the stops after which a halt is programmed; a machine of one needle halts at every colour by itself. */
  halts: number[];
  /** The file begins with lines that show where cloth goes, so that it can be run once by itself to set everything. */
  linesFirst: boolean;
}

/** Places that belong to one column or row, mm apart at most. */
const SAME_MM = 0.5;
const LINES: ReadonlySet<string> = new Set(['placement', 'centre-mark']);

/**
 * Columns, rows and pitch of a hooping as its machine wants them typed; null where it places each copy by itself, or where the
 * copies lie in no grid.
 *
 * @param placements of one head
 * @param pitch middle to middle, mm
 *
 * @example
 * atPanel(two, { placements, pitch: { x: 80, y: 80 } }, stage)?.entries[0] // { label: 'Columns', value: '3' }
 */
export function atPanel(
  { panel, needles }: Pick<Machine, 'panel' | 'needles'>,
  { placements, pitch }: { placements: readonly Placement[]; pitch: { x: number; y: number } | null },
  { steps }: Pick<Stage, 'steps'>
): AtPanel | null {
  const first = placements[0];
  if (panel?.copies !== 'grid' || !first || (placements.length > 1 && !pitch)) return null;
  const columns = apart(placements.map(({ x }) => x));
  const rows = apart(placements.map(({ y }) => y));
  const [left, top] = [Math.min(...columns), Math.min(...rows)];
  const across = [
    { label: 'Columns', value: `${columns.length}` },
    { label: 'Column pitch', value: inUnit(columns.length > 1 ? (pitch?.x ?? 0) : 0, panel.unit) }
  ];
  const down = [
    { label: 'Rows', value: `${rows.length}` },
    { label: 'Row pitch', value: inUnit(rows.length > 1 ? (pitch?.y ?? 0) : 0, panel.unit) }
  ];
  const entries =
    panel.asks === 'counts-first'
      ? [across[0], down[0], across[1], down[1]].filter((each) => each !== undefined)
      : [...across, ...down];
  const stops = steps.flatMap(({ step }) => (step.kind === 'stop' && step.stop ? [step.stop] : []));
  const numbers = new Set<number>();
  for (const { machineNumber, halts } of stops)
    if (halts && machineNumber !== null) numbers.add(machineNumber);
  return {
    entries,
    spare: columns.length * rows.length - placements.length,
    corner: `${Math.abs(first.y - top) < SAME_MM ? 'upper' : 'lower'} ${Math.abs(first.x - left) < SAME_MM ? 'left' : 'right'}`,
    traceFrom: { x: left, y: top },
    halts: needles > 1 ? [...numbers].sort((a, b) => a - b) : [],
    linesFirst: stops[0] !== undefined && LINES.has(stops[0].role)
  };
}

/** Values that lie apart, the smallest first. */
function apart(values: readonly number[]): number[] {
  return [...values]
    .sort((a, b) => a - b)
    .filter((value, at, all) => at === 0 || value - (all[at - 1] ?? value) > SAME_MM);
}

/** A length as a panel shows it: 1/10 mm, 1/100 in, or whole tenths as a number. */
function inUnit(mm: number, unit: NonNullable<Machine['panel']>['unit']): string {
  if (unit === 'in') return `${(mm / MM_PER_INCH).toFixed(2)} in`;
  return unit === 'tenths' ? `${Math.round(mm * 10)}` : `${mm.toFixed(1)} mm`;
}
