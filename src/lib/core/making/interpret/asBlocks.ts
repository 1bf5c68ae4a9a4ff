import { shapePath } from '$lib/core/base/geometry';
import { CLOTHS, type SheetWork } from '$lib/core/craft/blocks';
import { constructionOf } from '$lib/core/craft/constructions';
import { does, hoopAfter, traitsOf } from '$lib/core/craft/operations';
import { HOOP_AT_START } from '$lib/core/documents/plan';
import { isSame } from '$lib/core/documents/changes';
import {
  type Block,
  findStop,
  findThread,
  type Item,
  namesIn,
  type Role,
  type Step,
  type Stop,
  type Thread
} from '$lib/core/documents/item';

type Work = SheetWork['steps'][number];

/** The construction of an item that is no construction. */
const OWN = 'own';
/** Stitching on what lies there, which is a block by itself. */
const BY_ITSELF: ReadonlySet<Role> = new Set<Role>([
  'decoration',
  'lettering',
  'quilting',
  'lace',
  'bars',
  'satin-edge',
  'applique-edge',
  'closing-seam',
  'topstitch',
  'basting'
]);
const LAYS: ReadonlySet<string> = new Set(['lay', 'float', 'topping-on']);

/**
 * An item that was read from a sheet, with its steps as blocks: hooping, each piece with what tacks it, each design, edge and
 * what comes after the hoop. So it can be built on like any other.
 *
 * @returns the item as it was where blocks would not make the same steps
 *
 * @example
 * asBlocks(item).blocks?.map(({ name }) => name) // ['Hooping', 'Fern front', 'Lantern', 'Back', 'Finishing']
 */
export function asBlocks(item: Item): Item {
  const [variant] = item.variants;
  if (!variant) return item;
  const { width, height } = variant.finished;
  const params = { shape: 'rounded', width, height };
  const blocks = blocksFor(item, { width, height });
  const made = constructionOf(OWN)?.patternOf(params, blocks);
  if (!made?.ok || made.troubles.length > 0) return item;
  const { entries } = made.pattern;
  const names = entries.map((entry) => (entry.kind === 'stop' ? entry.key : entry.id));
  if (
    !isSame(
      names,
      item.steps.map(({ id }) => id)
    )
  )
    return item;
  return {
    ...item,
    construction: OWN,
    params: made.params,
    blocks,
    lines: inOrderOf(made.pattern.lines, item.lines),
    pieces: inOrderOf(made.pattern.pieces, item.pieces),
    steps: item.steps.map((step, at) => ({ ...step, needs: entries[at]?.needs ?? [] })),
    files: item.files.map((file) => ({
      ...file,
      stops: file.stops.map((stop) => ({ ...stop, expects: stop.id }))
    }))
  };
}

/** Rows in the order of others of the same names. */
function inOrderOf<T extends { id: string }>(order: readonly T[], rows: readonly T[]): T[] {
  const ids = order.map(({ id }) => id);
  return [...rows].sort((a, b) => ids.indexOf(a.id) - ids.indexOf(b.id));
}

/** What a block is while it is put together. */
interface Group {
  name: string;
  steps: Step[];
}

function blocksFor(item: Item, size: { width: number; height: number }): Block[] {
  const outline = shapePath('rounded', size.width, size.height);
  const seen = new Set(
    item.lines.filter(({ id, path }) => id === 'outline' && isSame(path, outline)).map(({ id }) => id)
  );
  const turned = turnedAfter(item.steps);
  const groups = grouped(item);
  return groups.map(({ name, steps }, at): Block => {
    const home = `sheet-${at + 1}`;
    const named = steps.flatMap((step) =>
      step.kind === 'hand'
        ? namesIn(step.op).map(({ id }) => id)
        : (findStop(item, step.stopId)?.lineIds ?? [])
    );
    const names = new Set(named);
    const pieces = item.pieces.filter(({ id }) => names.has(id) && !seen.has(id));
    const covered = pieces.flatMap(({ covers }) => covers ?? []);
    const last = at === groups.length - 1;
    const lines = item.lines.filter(
      ({ id }) => !seen.has(id) && (last || names.has(id) || covered.includes(id))
    );
    for (const { id } of [...pieces, ...lines]) seen.add(id);
    const main = pieces.find(({ material }) => material.kind in CLOTHS);
    const work: SheetWork = {
      home,
      size,
      lines,
      pieces: last ? [...pieces, ...item.pieces.filter(({ id }) => !seen.has(id))] : pieces,
      threads: item.threads.filter(({ id }) => names.has(id)),
      ...(main && { main: main.id }),
      steps: steps.map((step) => workOf(step, item, turned.get(step.id) ?? false))
    };
    const threads = work.steps.flatMap((step) => (step.kind === 'stop' ? step.thread : []));
    const first = threads.every((each) => isSame(each, threads[0])) ? threads[0] : undefined;
    return {
      id: home,
      kind: 'sheet-steps',
      name: name.slice(0, 60),
      answers: {
        work,
        asks: main ? (first ? 'both' : 'cloth') : first ? 'thread' : 'nothing',
        ...(main && { cloth: main.material }),
        ...(first && { thread: first })
      }
    };
  });
}

function grouped(item: Item): Group[] {
  const groups: Group[] = [];
  const begin = (name: string, step: Step): void => {
    const before = groups.at(-1);
    // Moves of the hoop and changes of thread belong to what they are made for.
    const from = (before?.steps.findLastIndex((each) => !isReadying(each)) ?? -1) + 1;
    const moved = before?.steps.splice(from) ?? [];
    if (before?.steps.length === 0) groups.pop();
    groups.push({ name, steps: [...moved, step] });
  };
  const stopsOf = (steps: readonly Step[]): Stop[] =>
    steps.flatMap((step) => (step.kind === 'stop' ? (findStop(item, step.stopId) ?? []) : []));
  for (const step of item.steps) {
    const now = groups.at(-1);
    const stops = stopsOf(now?.steps ?? []);
    const lays = now?.steps.some((each) => each.kind === 'hand' && LAYS.has(each.op.do)) ?? false;
    if (step.kind === 'stop') {
      const [stop] = stopsOf([step]);
      const role = stop?.role ?? 'decoration';
      const before = stops.at(-1);
      // Colours of one design follow each other.
      const goesOn =
        before?.role === role &&
        before.name === stop?.name &&
        BY_ITSELF.has(role) &&
        (now?.steps.at(-1)?.kind === 'stop' || (now !== undefined && isReadying(now.steps.at(-1))));
      if (goesOn) {
        now?.steps.push(step);
        continue;
      }
      const alone = BY_ITSELF.has(role) || role === 'placement' || role === 'cut-line';
      if (alone || (!lays && stops.length === 0)) begin(sentenceCase(stop?.name ?? 'Stop'), step);
      else now?.steps.push(step);
      continue;
    }
    const { op } = step;
    if (does(op, 'clamp') !== null) begin('Hooping', step);
    else if (does(op, 'unclamp') !== null) begin('Finishing', step);
    else if (LAYS.has(op.do) && 'pieceId' in op) {
      const name = calledIn(item, op.pieceId ?? '');
      const waits = !lays && stops.length > 0 && stops.every(({ role }) => role === 'placement');
      if (waits && now) {
        now.name = name;
        now.steps.push(step);
      } else begin(name, step);
    } else if (now) now.steps.push(step);
    else begin('Before the hoop', step);
  }
  return groups;
}

function isReadying(step: Step | undefined): boolean {
  return (
    step?.kind === 'hand' &&
    (traitsOf(step.op.do).order === 'move' || step.op.do === 'thread') &&
    does(step.op, 'clamp') === null &&
    does(step.op, 'unclamp') === null
  );
}

/** What a piece is called; a letter alone says too little. */
function calledIn({ pieces }: Item, pieceId: string): string {
  const piece = pieces.find(({ id }) => id === pieceId);
  if (!piece) return 'Piece';
  return piece.name.length > 2 ? sentenceCase(piece.name) : `${piece.name}, ${piece.material.name}`;
}

function sentenceCase(name: string): string {
  const lower = name === name.toUpperCase() ? name.toLowerCase() : name;
  return lower.charAt(0).toUpperCase() + lower.slice(1);
}

/** Whether the hoop lies turned over after each step. */
function turnedAfter(steps: readonly Step[]): ReadonlyMap<string, boolean> {
  let state = HOOP_AT_START;
  return new Map(
    steps.map((step) => {
      if (step.kind === 'hand') state = hoopAfter(state, step.op);
      return [step.id, state.turned];
    })
  );
}

function workOf(step: Step, item: Item, turned: boolean): Work {
  const threadOf = (threadId: string): Pick<Thread, 'name' | 'colour'> => {
    const { name, colour } = findThread(item, threadId) ?? { name: 'Your choice', colour: '#20242c' };
    return { name, colour };
  };
  if (step.kind === 'stop') {
    const stop = findStop(item, step.stopId);
    if (!stop) throw new RangeError(`There is no stop ${step.stopId}.`);
    const { id, name, role, lineIds, visible, phases, through, threadId } = stop;
    return {
      kind: 'stop',
      id,
      name,
      role,
      lineIds,
      visible,
      protected: stop.protected,
      through,
      phases,
      thread: threadOf(threadId)
    };
  }
  const { id, op, hoopingId } = step;
  if (op.do === 'hoop') {
    const name = item.hoopings.find((hooping) => hooping.id === hoopingId)?.name ?? 'Hooping';
    return { kind: 'hoop', id, hoopingId, name, pieceIds: op.pieceIds, sticky: op.sticky };
  }
  return {
    kind: 'hand',
    id,
    op,
    turned
  };
}
