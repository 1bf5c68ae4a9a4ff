import { does, hoopMove } from '$lib/core/craft/operations';
import { z } from 'zod';
import { type Path, pathLength } from '$lib/core/base/geometry';
import { known, material, onlyWhere, stopPart, thread } from '$lib/core/craft/sequence';
import {
  Line,
  namesIn,
  Operation,
  Phase,
  Piece,
  renamedIn,
  Role,
  Stop,
  Thread
} from '$lib/core/documents/item';
import type { BlockMaker } from './block';
import { CLOTHS } from './hooping';
import { needsNoRing, needsRing, type Refusal } from './refusals';
import type { Site } from './site';
import type { Standing } from './standing';

const HandWork = z.object({
  kind: z.literal('hand'),
  id: z.string(),
  op: Operation,
  turned: z.boolean().describe('the hoop is turned over once it is done')
});
const HoopWork = z.object({
  kind: z.literal('hoop'),
  id: z.string(),
  hoopingId: z.string(),
  name: z.string(),
  pieceIds: z.array(z.string()),
  sticky: z.boolean()
});
const StopWork = z.object({
  kind: z.literal('stop'),
  id: z.string(),
  name: z.string(),
  role: Role,
  lineIds: z.array(z.string()),
  visible: Stop.shape.visible,
  protected: z.boolean(),
  through: z.boolean(),
  phases: z.array(Phase),
  thread: Thread.omit({ id: true })
});

/** What some sentences of an instruction sheet ask for, with the pieces and lines that they are the first to use. */
export const SheetWork = z.object({
  /** The block it was read as; there its parts keep the names they have on the sheet. */
  home: z.string(),
  size: z.object({ width: z.number().positive(), height: z.number().positive() }),
  lines: z.array(Line),
  pieces: z.array(Piece),
  /** Threads that its hand work names. */
  threads: z.array(Thread).default([]),
  main: z.string().optional(),
  steps: z.array(z.discriminatedUnion('kind', [HoopWork, HandWork, StopWork]))
});
export type SheetWork = z.infer<typeof SheetWork>;

const NOTHING: SheetWork = {
  home: '',
  size: { width: 100, height: 100 },
  lines: [],
  pieces: [],
  threads: [],
  steps: []
};

/** Which of its answers can be changed. */
const ASKS = ['nothing', 'cloth', 'thread', 'both'] as const;

const fields = {
  work: known(SheetWork.default(NOTHING)),
  asks: known(z.enum(ASKS).default('nothing')),
  cloth: onlyWhere(material('Cloth', CLOTHS, ['woven', 'Cream', '#efe3c4']), 'asks', 'cloth', 'both'),
  thread: onlyWhere(thread('Thread', 'Cream', '#efe3c4'), 'asks', 'thread', 'both')
} as const;

/** What an instruction sheet asks for at one place, so that it can be moved, repeated, taken out and worked between. */
export const sheetSteps: BlockMaker<typeof fields> = {
  kind: 'sheet-steps',
  name: 'Steps of the sheet',
  summary: 'As the instruction sheet says; single steps are changed on the sheet.',
  group: 'Stitching',
  fields,
  refuses: (standing, { work }) => refused(standing, work),
  make(site, { work, asks, cloth, thread: colour }) {
    const own = new Set([...work.lines, ...work.pieces, ...work.steps].map(({ id }) => id));
    const name = (id: string): string => (work.home !== site.id && own.has(id) ? site.key(id) : id);
    for (const { id, name: title, path, frame, gaps } of work.lines)
      site.s.line(name(id), title, ...stretched({ path, gaps }, site.standing.hooping ?? frame, site, work));
    for (const { id, name: title, material: usual, use, ...more } of work.pieces) {
      const asked = id === work.main && (asks === 'cloth' || asks === 'both');
      const covers = more.covers === null ? null : name(more.covers);
      site.s.piece(name(id), title, asked ? cloth : usual, use, { ...more, covers });
    }
    for (const step of work.steps) {
      if (step.kind === 'hoop')
        site.s.hoop(site.newHooping(step.hoopingId), step.name, step.pieceIds.map(name), {
          sticky: step.sticky,
          step: name(step.id)
        });
      else if (step.kind === 'hand') byHand(site, step, name, work.threads);
      else {
        site.toMachine();
        site.s.stop(name(step.id), {
          ...stopPart(step.name, step.role, wordsOf(step.name), step.lineIds.map(name)),
          visible: step.visible,
          protected: step.protected,
          through: step.through,
          estimate: step.phases,
          thread: asks === 'thread' || asks === 'both' ? colour : step.thread
        });
      }
    }
  }
};

type Name = (id: string) => string;

/** A move that is made already is not made again; work is done on the side it is done on in the sheet. */
function byHand(
  site: Site,
  { id, op, turned }: z.infer<typeof HandWork>,
  name: Name,
  threads: readonly Thread[]
): void {
  const now = site.standing;
  if (hoopMove(op) === 'over' && now.turned === turned) return;
  if (
    hoopMove(op) !== 'over' &&
    does(op, 'unclamp') === null &&
    now.hooping !== null &&
    now.turned !== turned
  )
    if (turned) site.toBack();
    else site.toTable();
  const { onMachine } = site.standing;
  if ((hoopMove(op) === 'on' && onMachine) || (hoopMove(op) === 'off' && !onMachine)) return;
  const own = (threadId: string): string => {
    const thread = threads.find((each) => each.id === threadId);
    if (thread) site.s.ownThread(name(id), thread);
    return `thread:${name(id)}`;
  };
  site.s.hand(
    name(id),
    renamedIn(op, (kind, named) => (kind === 'thread' ? own(named) : name(named)))
  );
}

/** Lines follow the size the item has now, and openings in them the length they have then. */
function stretched(
  { path, gaps }: Pick<Line, 'path' | 'gaps'>,
  hooping: string,
  { frame }: Site,
  { size }: SheetWork
): [path: Path, hooping: string, gaps: Line['gaps']] {
  const [x, y] = [frame.width / size.width, frame.height / size.height];
  if (x === 1 && y === 1) return [path, hooping, gaps];
  const wide: Path = { ...path, points: path.points.map(([px, py]) => [px * x, py * y]) };
  const longer = pathLength(wide) / Math.max(1, pathLength(path));
  return [wide, hooping, gaps.map(({ from, to }) => ({ from: from * longer, to: to * longer }))];
}

function wordsOf(title: string): RegExp {
  return new RegExp(
    title
      .toLowerCase()
      .trim()
      .replace(/[^a-z0-9 ]+/g, '.')
  );
}

function refused(standing: Standing, { steps, lines, pieces }: SheetWork): Refusal | null {
  const hoops = steps.some(({ kind }) => kind === 'hoop');
  const hooped = hoops ? needsNoRing(standing) : null;
  if (hooped) return hooped;
  if (!hoops && steps.some(({ kind }) => kind === 'stop')) {
    const ring = needsRing(standing);
    if (ring) return ring;
  }
  const own = new Set([...lines, ...pieces].map(({ id }) => id));
  const missing = steps
    .flatMap((step) =>
      step.kind === 'hand'
        ? namesIn(step.op).flatMap(({ kind, id }) => (kind === 'thread' ? [] : [id]))
        : step.kind === 'stop'
          ? step.lineIds
          : step.pieceIds
    )
    .some((id) => !own.has(id) && !standing.made.has(id));
  return missing
    ? {
        why: 'It works on a piece that is not there yet.',
        repair: 'Move it after the block that lays the piece, or take it out.'
      }
    : null;
}
