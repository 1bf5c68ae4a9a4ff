import { stepDoes } from '$lib/core/craft/operations';
import type { Found } from '$lib/core/craft/findings';
import { type Extents, extents, type Path, type Point } from '$lib/core/base/geometry';
import {
  findLine,
  findPiece,
  findStop,
  type HandStep,
  isStabiliserKind,
  type Item,
  type Operation,
  type OperationOf,
  type Role,
  type Stop
} from '$lib/core/documents/item';
import type { Plan } from '$lib/core/documents/plan';
import type { Hoop, Setup } from '$lib/core/documents/shop';
import { EMPTY_STACK, type Layer, samplesOf, type StackState, type StackStep } from '$lib/core/craft/stack';

/** What a check reads: the item, its plan on this machine, and the hoop after every step. Never the construction’s name. */
export interface CheckContext {
  item: Item;
  plan: Plan;
  trace: StackStep[];
  /** How far a cut of this maker strays, mm. */
  cutAccuracy: number;
  /** The hoops this maker has. */
  hoops: readonly Hoop[];
}

/** Something a check has found, and what mends it where there is something: an edit, or another setup. */
export interface Finding extends Found {
  fix?: { label: string; apply: (item: Item) => Item; setup?: Partial<Setup> };
  /** Later steps that show the same cause. */
  also?: string[];
}

export type Check = (context: CheckContext) => Finding[];

/** The title a step has on the sheet. */
export function titleOf({ plan }: CheckContext, stepId: string): string {
  return plan.steps.find(({ itemStepId }) => itemStepId === stepId)?.title ?? stepId;
}

/** The step that lays a piece, with its operation. */
export function layStepOf(item: Item, pieceId: string): { id: string; op: OperationOf<'lay'> } | undefined {
  return layStepsOf(item, pieceId)[0];
}

/** Every step that lays a piece: one that is lifted, or carried over, is laid again. */
export function layStepsOf(item: Item, pieceId: string): { id: string; op: OperationOf<'lay'> }[] {
  return item.steps.flatMap((step) =>
    step.kind === 'hand' && step.op.do === 'lay' && step.op.pieceId === pieceId
      ? [{ id: step.id, op: step.op }]
      : []
  );
}

/** The step after which the work of a place in the item leaves the ring. */
export function leavingAfter(item: Item, at: number): string | undefined {
  return item.steps.slice(at).find((step) => stepDoes(step, 'unclamp') !== null)?.id;
}

/** A hand step with the hoop before and after it. */
export interface Handed<K extends Operation['do']> {
  step: HandStep;
  op: OperationOf<K>;
  at: number;
  before: StackState;
  after: StackStep;
}

/** Every hand step of some kinds, in order. */
export function handed<K extends Operation['do']>(
  { item, trace }: CheckContext,
  ...kinds: readonly K[]
): Handed<K>[] {
  return item.steps.flatMap((step, at): Handed<K>[] => {
    const after = trace[at];
    if (step.kind !== 'hand' || !after || !(kinds as readonly string[]).includes(step.op.do)) return [];
    return [{ step, op: step.op as OperationOf<K>, at, before: stateBefore(trace, at), after }];
  });
}

/** A stop that really stitches, or a file run in between, with the hoop before and after it. */
export interface StopRun {
  stepId: string;
  at: number;
  stop: Stop | null;
  /** The machine’s number, or the name of the file that is run. */
  called: string;
  role: Role;
  threadId: string;
  lineIds: string[];
  paths: Path[];
  width: number;
  through: boolean;
  before: StackState;
  after: StackStep;
}

const known = new WeakMap<StackStep[], StopRun[]>();

/** Every stop the needle runs, in order; the same trace gives the same list. */
export function runsOf({ item, trace }: CheckContext): StopRun[] {
  const before = known.get(trace);
  if (before) return before;
  const runs = readRuns(item, trace);
  known.set(trace, runs);
  return runs;
}

function readRuns(item: Item, trace: StackStep[]): StopRun[] {
  return item.steps.flatMap((step, at): StopRun[] => {
    const after = trace[at];
    const seam = after?.state.seams.find(({ stepId }) => stepId === step.id);
    if (!after || !seam) return [];
    const stop = step.kind === 'stop' ? (findStop(item, step.stopId) ?? null) : null;
    const run = stepDoes(step, 'stitch')?.run;
    const called = stop ? `Stop ${stop.number ?? '?'}` : run ? `“${run.name}”` : '';
    const { role, threadId, lineIds, paths, through } = seam;
    const width = Math.max(0, ...(stop?.phases ?? []).map((phase) => phase.width ?? 0));
    return [
      {
        stepId: step.id,
        at,
        stop,
        called,
        role,
        threadId,
        lineIds,
        paths,
        width,
        through,
        before: stateBefore(trace, at),
        after
      }
    ];
  });
}

/** The hoop before a step. */
function stateBefore(trace: StackStep[], at: number): StackState {
  return trace[at - 1]?.state ?? EMPTY_STACK;
}

/** Roles meant to be seen on a surface. */
export const SURFACE: readonly Role[] = ['decoration', 'lettering', 'quilting', 'applique-edge', 'topstitch'];
/** Roles that hide a raw edge. */
export const EDGES: readonly Role[] = ['satin-edge', 'applique-edge'];
export const LACE: readonly Role[] = ['lace', 'lace-underlay'];

export const isStabiliser = ({ material }: Pick<Layer, 'material'>): boolean =>
  isStabiliserKind(material.kind);

/** The line a piece was laid over, or covers by its nature. */
export function lineUnder(item: Item, pieceId: string): Path | undefined {
  const id = layStepOf(item, pieceId)?.op.covers ?? findPiece(item, pieceId)?.covers ?? undefined;
  return id === undefined ? undefined : findLine(item, id)?.path;
}

const alongs = new WeakMap<Path, WeakMap<Path, boolean>>();

/** Whether most of a path runs along another, within a millimetre. */
export function runsAlong(path: Path, along: Path): boolean {
  if (path === along) return true;
  let byPath = alongs.get(path);
  if (!byPath) alongs.set(path, (byPath = new WeakMap<Path, boolean>()));
  let found = byPath.get(along);
  if (found === undefined) byPath.set(along, (found = liesAlong(path, along)));
  return found;
}

/** Points that are enough to tell whether two lines run together. */
const ENOUGH = 32;

function liesAlong(path: Path, along: Path): boolean {
  const all = samplesOf(path);
  const every = Math.max(1, Math.floor(all.length / ENOUGH));
  const points = all.filter((_, at) => at % every === 0);
  const near = points.filter((point) => distanceTo(along, point, 1) <= 1).length;
  return near >= points.length * 0.6;
}

/**
 * Shortest distance from a point to a path, mm.
 *
 * @param most mm; a path that is surely further away may give Infinity
 */
export function distanceTo(path: Path, [x, y]: Point, most = Infinity): number {
  const { points, closed } = path;
  const [first] = points;
  const { minX, minY, maxX, maxY } = boxOf(path);
  if (!first || x < minX - most || x > maxX + most || y < minY - most || y > maxY + most) return Infinity;
  // Asked for thousands of points, so in plain numbers, with one root at the end.
  let best = Infinity;
  let [x1, y1] = first;
  for (let at = 1; at < points.length + (closed ? 1 : 0); at++) {
    const next = points[at] ?? first;
    const [dx, dy] = [next[0] - x1, next[1] - y1];
    const squared = dx * dx + dy * dy;
    const along = squared === 0 ? 0 : Math.max(0, Math.min(1, ((x - x1) * dx + (y - y1) * dy) / squared));
    const [ox, oy] = [x - x1 - along * dx, y - y1 - along * dy];
    best = Math.min(best, ox * ox + oy * oy);
    [x1, y1] = next;
  }
  return Math.sqrt(best);
}

const boxes = new WeakMap<Path, Extents>();
/** The box of a path; the same path gives the same box. */
export function boxOf(path: Path): Extents {
  let box = boxes.get(path);
  if (!box) boxes.set(path, (box = extents(path)));
  return box;
}

/** Points to one side of a path and to the other, mm away, at the middle of each of its stretches of a few mm. */
export function besides(path: Path, mm: number): [one: Point, other: Point][] {
  const points = samplesOf(path);
  const count = path.closed ? points.length : points.length - 1;
  return Array.from({ length: count }, (_, at): [Point, Point] => {
    const [x1, y1] = points[at] ?? [0, 0];
    const [x2, y2] = points[(at + 1) % points.length] ?? [x1, y1];
    const length = Math.hypot(x2 - x1, y2 - y1) || 1;
    const [nx, ny] = [((y2 - y1) / length) * mm, (-(x2 - x1) / length) * mm];
    const [mx, my] = [(x1 + x2) / 2, (y1 + y2) / 2];
    return [
      [mx + nx, my + ny],
      [mx - nx, my - ny]
    ];
  });
}
