import { hoopMove } from '$lib/core/craft/operations';
import type { Item, OperationKind } from '$lib/core/documents/item';
import { type Placement, type Turn, TURNS } from '$lib/core/documents/order';
import type { PlanStep } from '$lib/core/documents/plan';
import type { Way } from '$lib/core/documents/run';
import type { Hoop, Machine } from '$lib/core/documents/shop';
import { type Area, type CopyOutline, layOutMixed } from '$lib/core/solvers/nesting';
import { type JobTimes, together } from '$lib/core/solvers/schedule';
import { bobbinAfter } from './bobbins';
import type { LineContext } from './lineContext';
import { broughtStep } from './repeated';
import { isOnce, type PhasedStep, type Stage } from './stages';

/** Copies of one line among several that are stitched in one clamping, one item after the other. */
export interface SharedPart {
  context: LineContext;
  copies: number;
  way?: Way | undefined;
  /** Steps of its run that are done. */
  done?: readonly string[] | undefined;
  /** Nothing of it is left to do. */
  over?: boolean | undefined;
}

/** Where the copies of all items lie. */
export interface SharedLayout {
  placements: Placement[];
  /** Of one copy of each item. */
  outlines: CopyOutline[];
  area: Area;
}

/** Done to single copies before the ring is opened, but as well after it. */
const CAN_WAIT: ReadonlySet<OperationKind> = new Set(['snip', 'topping-off']);
const canWait = ({ op }: PlanStep): boolean => op !== null && CAN_WAIT.has(op.do);

/** What the first stitch of the next item needs at least: its file is called up and started, s. */
const CALL_UP_S = 5;

/**
 * Whether an item can share a hoop on a machine: all of it is stitched in one clamping, nothing that needs the ring is done to
 * single copies once the hoop is off, and the machine places each design by itself.
 *
 * @example
 * canShare(borderPatch, machine, hoop) // false: it is hooped twice
 */
export function canShare(context: LineContext, machine: Machine, hoop: Hoop): boolean {
  const { line } = context;
  if (line.repeats || line.alone === true || machine.panel || !context.allowed(machine)) return false;
  if (line.hoopId !== undefined && line.hoopId !== hoop.id) return false;
  const [stage, second] = context.stagesOf(machine, hoop);
  if (!stage || second || context.movesHoop(stage)) return false;
  return stage.steps.every(({ step, phase }) => phase !== 'off' || isOnce(step) || canWait(step));
}

/**
 * What the ring holds, in words that are the same for the same material.
 *
 * @example
 * hoopedWith(badgerTab) // 'stabiliser Cut-away 1'
 */
export function hoopedWith({ hoopings, pieces }: Pick<Item, 'hoopings' | 'pieces'>): string {
  const hooped = new Set(hoopings.flatMap((each) => each.hooped));
  return pieces
    .flatMap(({ id, material: { kind, name }, plies }) => (hooped.has(id) ? `${kind} ${name} ${plies}` : []))
    .sort()
    .join();
}

/**
 * Lays the copies of several items in one hoop; null where they do not all fit.
 *
 * @example
 * sharedLayout([twoTabs, twoFobs], machine, longHoop)?.placements.length // 4
 */
export function sharedLayout(
  parts: readonly SharedPart[],
  machine: Machine,
  hoop: Hoop
): SharedLayout | null {
  const outlines = parts.flatMap(({ context }) => {
    const [stage] = context.stagesOf(machine, hoop);
    return stage ? context.outlineOf(stage, machine, hoop) : [];
  });
  const areas = parts.map(({ context }) => context.areaOf(machine, hoop));
  const area: Area = {
    minX: Math.max(...areas.map(({ minX }) => minX)),
    minY: Math.max(...areas.map(({ minY }) => minY)),
    maxX: Math.min(...areas.map(({ maxX }) => maxX)),
    maxY: Math.min(...areas.map(({ maxY }) => maxY))
  };
  const [first] = parts;
  if (!first || outlines.length < parts.length || area.minX >= area.maxX || area.minY >= area.maxY)
    return null;
  const known = layouts.get(first.context) ?? new Map<string, Placement[] | null>();
  layouts.set(first.context, known);
  const key = JSON.stringify([
    hoop.id,
    area,
    parts.map(({ context, copies }) => [context.line.id, context.gap, copies])
  ]);
  let placements = known.get(key);
  if (placements === undefined) {
    placements = layOutMixed(
      outlines.map((outline, at) => ({ outline, count: parts[at]?.copies ?? 0 })),
      area,
      // A piece of one item must not reach under the stitches of another.
      Math.max(...parts.map(({ context }) => context.gap), ...outlines.map(({ reach }) => reach)),
      turnsOf(parts, hoop)
    );
    known.set(key, placements);
  }
  return placements && { placements, outlines, area };
}

/** What was laid out already, by the first of the lines: a search for the best way asks for the same again and again. */
const layouts = new WeakMap<LineContext, Map<string, Placement[] | null>>();

/** Ways round that every item may lie. */
function turnsOf(parts: readonly SharedPart[], hoop: Hoop): Turn[] {
  const each = parts.map(({ context }) => context.turnsIn(hoop));
  return TURNS.filter((turn) => each.every((turns) => turns.includes(turn)));
}

/**
 * The steps of each item in a shared hoop: the first is hooped and put on, the others are called up where it stays on, and
 * only after the last it comes off. Each begins with the bobbin that the one before has left.
 *
 * @example
 * sharedSteps([tabs, badges], machine, hoop)[1]?.some(({ step }) => step.op?.do === 'hoop') // false
 */
export function sharedSteps(parts: readonly SharedPart[], machine: Machine, hoop: Hoop): PhasedStep[][] {
  let left: number | undefined;
  return parts.map(({ context, copies, way }, at) => {
    const [stage] = context.stagesOf(machine, hoop);
    if (!stage) return [];
    const next = parts[at + 1]?.context.item.name;
    const full = context.planOf(machine, hoop).bobbin.metres;
    const all = context.stepsOf(stage, { total: copies, heads: 1 }, machine, hoop, way, left);
    left = bobbinAfter(stopsOf(all), full, left);
    const mounted = at === 0 ? all : withoutHooping(all, stage, context);
    return next === undefined ? mounted : leavingOn(mounted, next, context, machine, hoop);
  });
}

const stopsOf = (steps: readonly PhasedStep[]): NonNullable<PlanStep['stop']>[] =>
  steps.flatMap(({ step }) => step.stop ?? []);

/** What has been done for the item before it: the ring is closed and on the machine. */
function withoutHooping(steps: PhasedStep[], stage: Stage, { item }: LineContext): PhasedStep[] {
  const hooped = new Set(
    item.hoopings.filter(({ id }) => stage.hoopingIds.includes(id)).flatMap((each) => each.hooped)
  );
  const first = steps.findIndex(({ phase }) => phase === 'machine');
  return steps.filter(({ step: { op }, phase }, at) => {
    if (phase === 'load') return !piecesIn(op).some((id) => hooped.has(id));
    return at !== first || hoopMove(op) !== 'on';
  });
}

function piecesIn(op: PlanStep['op']): string[] {
  if (!op) return [];
  if ('pieceIds' in op) return op.pieceIds ?? [];
  return 'pieceId' in op && typeof op.pieceId === 'string' ? [op.pieceId] : [];
}

/** The hoop is not taken off after these stitches: what is finished at the table waits for the last item. */
function leavingOn(
  steps: PhasedStep[],
  next: string,
  context: LineContext,
  machine: Machine,
  hoop: Hoop
): PhasedStep[] {
  const last = steps.findLast(({ phase }) => phase === 'machine')?.step;
  const kept = steps
    .filter(({ step, phase }) =>
      phase === 'off' ? canWait(step) : step !== last || hoopMove(step.op) !== 'off'
    )
    .map((each): PhasedStep => (each.phase === 'off' ? { ...each, phase: 'finish' } : each));
  const at = kept.findLastIndex(({ phase }) => phase !== 'finish') + 1;
  const beside = kept[at - 1]?.step;
  if (!beside) return kept;
  const leave = broughtStep(
    beside,
    {
      id: LEAVE_ON,
      mark: 'hoop',
      title: `Leave the hoop on: ${next} is next`,
      detail: 'Do not open the ring. Call up the next file where the layout of this hoop has it.',
      op: null
    },
    [],
    context.contextOf(machine, hoop)
  );
  return kept.toSpliced(at, 0, { step: { ...leave, thread: null }, phase: 'finish' });
}

/** Id of the step that goes on to the next item of a shared hoop. */
export const LEAVE_ON = 'leave-hoop-on';

/**
 * Times of a shared hoop as one hooping: loaded once, stitched item by item, off once, each item finished at the table.
 *
 * @example
 * sharedTimes([tabs, badges], machine, hoop).load // less than both loaded by themselves
 */
export function sharedTimes(parts: readonly SharedPart[], machine: Machine, hoop: Hoop): JobTimes | null {
  const steps = sharedSteps(parts, machine, hoop);
  const each = parts.map(({ context, copies, done = [], over }, at): JobTimes | null => {
    const [stage] = context.stagesOf(machine, hoop);
    if (!stage) return null;
    const left = over ? [] : (steps[at] ?? []).filter(({ step }) => !done.includes(step.id));
    return context.timesOf(left, { total: copies, heads: 1 }, stage, machine, hoop, at < parts.length - 1);
  });
  const all = each.filter((times) => times !== null);
  const [first] = all;
  if (!first || all.length < parts.length) return null;
  const full = parts[0]?.context.planOf(machine, hoop).bobbin.metres ?? 0;
  return {
    ...first,
    load: sumOf(all, ({ load }) => load),
    firstThread: all.find(({ firstThread }) => firstThread !== null)?.firstThread ?? null,
    lastThread: all.findLast(({ lastThread }) => lastThread !== null)?.lastThread ?? null,
    segments: all.flatMap((own, part) => [
      ...calledUp(own, all[part - 1], parts[part], part),
      ...own.segments.map((segment) => ({ ...segment, part }))
    ]),
    off: sumOf(all, ({ off }) => off),
    finish: all.flatMap(({ finish }, part) => finish.map((work) => ({ ...work, part }))),
    wash: all.map(({ wash }) => wash).reduce(together, []),
    threads: all.flatMap(({ threads }) => threads),
    bobbinMetres: sumOf(all, ({ bobbinMetres }) => bobbinMetres),
    bobbinAfter: bobbinAfter(steps.flatMap(stopsOf), full)
  };
}

const sumOf = (all: readonly JobTimes[], value: (times: JobTimes) => number): number =>
  all.reduce((sum, times) => sum + value(times), 0);

/** Hands between two items of a hoop: set up and thread for the next. */
function calledUp(
  own: JobTimes,
  before: JobTimes | undefined,
  part: SharedPart | undefined,
  at: number
): JobTimes['segments'] {
  if (!before || !part || own.segments.length === 0 || (part.done?.length ?? 0) > 0) return [];
  const threading = before.lastThread === own.firstThread ? 0 : own.threading;
  return [
    {
      kind: 'hands',
      seconds: Math.max(CALL_UP_S, own.setUp + threading),
      title: `Call up ${part.context.item.name}`,
      part: at
    }
  ];
}
