import { stepDoes } from '$lib/core/craft/operations';
import { extentsOfAll, shapePath } from '$lib/core/base/geometry';
import type { Block } from '$lib/core/documents/item';
import type { Pattern, Sequence } from '$lib/core/craft/sequence';
import { blockOf, BLOCKS } from './all';
import { Ahead } from './ahead';
import type { AnyBlock, ReadyBlock } from './block';
import type { Refusal } from './refusals';
import { type Frame, Frames } from './frame';
import { Site } from './site';
import { type Standing, standingOf } from './standing';

/** A block that cannot do its work where it stands; all of it in the pattern is a step that says so. */
export interface Trouble extends Refusal {
  blockId: string;
}

/** What blocks make together. */
export interface Composed {
  pattern: Pattern;
  troubles: Trouble[];
}

/** A block that could be put in, and why it could not. */
export interface Offer {
  block: AnyBlock;
  refusal: Refusal | null;
}

/**
 * Writes blocks down one after another on the outline of a construction. A block that cannot stand where it is put keeps its
 * place as a step that says why nothing of it is on the sheet; the others go on.
 *
 * @param draft the construction’s outline, made anew each time it is called
 * @param blocks in the order of the work
 *
 * @example
 * compose(draft, blocks).troubles // [{ blockId: 'name', why: 'Nothing lies open to stitch on.', repair: 'Move it before the back.' }]
 */
export function compose(draft: () => Sequence, blocks: readonly Block[]): Composed {
  const { pattern, troubles } = written(draft, blocks);
  return { pattern, troubles };
}

/**
 * Every block of the table, and whether it could stand before the block at a place: the work has come so far by then.
 *
 * @example
 * offersAt(draft, blocks, 3).filter(({ refusal }) => refusal === null)[0]?.block.name // 'Panel, joined and flipped'
 */
export function offersAt(draft: () => Sequence, blocks: readonly Block[], at: number): Offer[] {
  const standing = written(draft, blocks).standings[at];
  return BLOCKS.map((block) => {
    const made = block.with({});
    if (block.kind === 'finishing' && isFinished(blocks, at))
      return {
        block,
        refusal: { why: 'This hooping is finished once.', repair: 'Move the finishing that is there.' }
      };
    const refusal = made.ok && standing ? made.block.refuses(standing) : null;
    return { block, refusal: refusal ?? triedAt(draft, blocks.slice(0, at), block.kind) };
  });
}

/** Why the simulated hoop would not let a block stand after others, with its usual answers. */
function triedAt(draft: () => Sequence, before: readonly Block[], kind: string): Refusal | null {
  const put = { id: 'offered', kind, answers: {} };
  const { troubles } = written(draft, [...before, put]);
  const own = troubles.find(({ blockId, why }) => blockId === put.id && why !== NOTHING_STITCHED);
  return own ? { why: own.why, repair: own.repair } : null;
}

/** Whether the hooping a place lies in has its finishing: another hooping has its own. */
function isFinished(blocks: readonly Block[], at: number): boolean {
  const hoops = ({ kind }: Block): boolean => blockOf(kind)?.group === 'Hooping';
  const from = blocks.slice(0, at).findLastIndex(hoops) + 1;
  const next = blocks.slice(at).findIndex(hoops);
  return blocks
    .slice(from, next < 0 ? blocks.length : at + next)
    .some(({ kind, id }) => kind === 'finishing' || id === 'finishing');
}

interface Written extends Composed {
  /** How far the work has come before each block and after the last. */
  standings: Standing[];
}

/**
 * Writes blocks down. One whose own steps the simulated hoop does not allow is left out, and the rest is written anew
 * without it.
 *
 * @param impossible blocks of which that is known, by their place
 */
function written(
  draft: () => Sequence,
  blocks: readonly Block[],
  impossible: ReadonlyMap<number, Refusal> = new Map()
): Written {
  const s = draft();
  const troubles: Trouble[] = [];
  const standings: Standing[] = [];
  const ready = blocks.map(readied);
  const frames = new Frames(s, frameOf(s, ready));
  const ahead = new Ahead(
    ready.map((own) => ('why' in own ? null : own.hoops ? 'hoops' : own.lays ? 'lays' : null))
  );
  const seen = new Set<string>();
  const leaveOut = ({ id, name, kind }: Block, at: number, { why, repair }: Refusal): void => {
    troubles.push({ blockId: id, why, repair });
    const what = name ?? blockOf(kind)?.name ?? id;
    // One that stands here twice has a name of its own for each place.
    const step = seen.has(id) ? `${id}-${at}` : id;
    s.under(id, () => void s.hand(`${step}.left-out`, { do: 'left-out', what, why, repair }));
  };
  let found: [at: number, why: string] | undefined;
  blocks.forEach((block, at) => {
    if (found) return;
    const standing = standingOf(s, frames.now);
    standings.push(standing);
    const own = ready[at];
    const cannot = impossible.get(at);
    if (cannot) return leaveOut(block, at, cannot);
    if (seen.has(block.id))
      return leaveOut(block, at, { why: 'It stands here twice.', repair: 'Take one of the two out.' });
    if (!own) return;
    if ('why' in own) return leaveOut(block, at, own);
    const refusal = own.refuses(standing);
    if (refusal) return leaveOut(block, at, refusal);
    seen.add(block.id);
    const problems = s.impossible.length;
    ahead.reach(at);
    s.under(block.id, () => {
      own.make(new Site(s, block.id, block.name, frames, ahead));
    });
    const problem = asked(block) ? s.impossible[problems] : undefined;
    if (problem) found = [at, problem.why];
  });
  if (found) {
    const [at, why] = found;
    return written(draft, blocks, new Map([...impossible, [at, { why, repair: ELSEWHERE }]]));
  }
  standings.push(standingOf(s, frames.now));
  roomFor(s);
  const pattern = frames.trimmed(s.composed());
  if (pattern.entries.every(({ kind }) => kind === 'hand') && troubles.length === 0)
    troubles.push({
      blockId: blocks.at(-1)?.id ?? '',
      why: NOTHING_STITCHED,
      repair: 'Add a block that stitches.'
    });
  return { pattern, troubles, standings };
}

/** What is stitched beyond the outline needs its place in the hoop too. */
function roomFor(s: Sequence): void {
  const runs = s.sofar.entries.flatMap((entry) => stepDoes(entry, 'stitch')?.run.lineId ?? []);
  const used = new Set([...s.sofar.expected.flatMap(({ lineIds }) => lineIds), ...runs]);
  const box = extentsOfAll(s.sofar.lines.filter(({ id }) => used.has(id)).map(({ path }) => path));
  if (!box) return;
  const { width, height } = s.sofar.variant.size;
  // Each mounting position holds its own part: together they are larger than the field, and each is checked by itself.
  if (s.sofar.entries.some((entry) => entry.kind === 'hand' && entry.op.do === 'mount')) return;
  const [wide, high] = [2 * Math.max(-box.minX, box.maxX), 2 * Math.max(-box.minY, box.maxY)];
  if (wide > width || high > height)
    s.ends({ size: { width: Math.max(width, wide), height: Math.max(height, high) } });
}

/** Of the whole item, told at its last block. */
const NOTHING_STITCHED = 'Nothing is stitched.';
const ELSEWHERE = 'Move it to where that can be done, or take it out.';

/** Whether a maker chose it: what a sheet says stays as it is said, and the finding beside it says what is wrong. */
const asked = ({ kind }: Block): boolean => BLOCKS.some((block) => block.kind === kind);

/** A block whose answers are right, or why it is none. */
function readied(block: Block): ReadyBlock | Refusal {
  const found = blockOf(block.kind)?.with(block.answers);
  if (found?.ok) return found.block;
  return {
    why: found ? found.problems.map(sentence).join(' ') : `There is no block ${block.kind}.`,
    repair: found ? 'Change the answer.' : 'Take it out.'
  };
}

/** A problem as a sentence. @example sentence('Width: at least 5 mm') // 'Width: at least 5 mm.' */
function sentence(problem: string): string {
  return problem.endsWith('.') ? problem : `${problem}.`;
}

/** The outline blocks measure from. */
function frameOf(s: Sequence, ready: readonly (ReadyBlock | Refusal)[]): Frame {
  const { width, height } = s.sofar.variant.size;
  const outline = shapePath(s.shape, width, height);
  const plain: Frame = {
    outlineId: 'outline',
    outline,
    seamId: 'outline',
    seam: outline,
    width,
    height,
    backed: false,
    holes: [],
    edge: 'none',
    edgeMm: 0
  };
  const frame = ready.reduce((found, own) => ('frames' in own ? own.frames(found) : found), plain);
  s.line(frame.outlineId, 'Outline', frame.outline);
  if (frame.seamId !== frame.outlineId) s.line(frame.seamId, 'Edge', frame.seam);
  return frame;
}
