import { shapePath } from '$lib/core/base/geometry';
import type { Block } from '$lib/core/documents/item';
import type { Pattern, Sequence } from '$lib/core/craft/sequence';
import { blockOf, BLOCKS } from './all';
import type { AnyBlock, ReadyBlock, Refusal } from './block';
import type { Frame } from './frame';
import { Site } from './site';
import { type Standing, standingOf } from './standing';

/** A block that cannot do its work where it stands; nothing of it is in the pattern. */
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
 * Writes blocks down one after another on the outline of a construction. A block that cannot stand where it is put is left
 * out and said; the others go on.
 *
 * @param draft the construction’s outline and parts, made anew each time it is called
 * @param blocks its own parts (kind `part`) and blocks of the table, in the order of the work
 *
 * @example
 * compose(draft, blocks).troubles // [{ blockId: 'name', why: 'Nothing lies open to stitch on.', repair: 'Move it before the back.' }]
 */
export function compose(draft: () => Sequence, blocks: readonly Block[]): Composed {
  const usual = draft();
  const parts = new Map(usual.parts.map((part) => [part.key, part]));
  if (
    parts.size > 0 &&
    blocks.length === parts.size &&
    blocks.every(({ kind, id }, at) => kind === 'part' && usual.parts[at]?.key === id)
  )
    return { pattern: usual.done(), troubles: [] };
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
    if (
      block.kind === 'finishing' &&
      blocks.some(({ kind, id }) => kind === block.kind || id === 'finishing')
    )
      return {
        block,
        refusal: { why: 'The item is finished once.', repair: 'Move the finishing that is there.' }
      };
    return { block, refusal: made.ok && standing ? made.block.refuses(standing) : null };
  });
}

/** The pattern, and how far the work has come before each block and after the last. */
function written(draft: () => Sequence, blocks: readonly Block[]): Composed & { standings: Standing[] } {
  const usual = draft();
  const parts = new Map(usual.parts.map((part) => [part.key, part]));
  if (parts.size > 0) usual.done();

  const s = draft();
  const troubles: Trouble[] = [];
  const standings: Standing[] = [];
  const ready = blocks.map((block) => readied(block, parts, troubles));
  const frame = frameOf(s, ready);
  const seen = new Set<string>();
  blocks.forEach((block, at) => {
    const standing = standingOf(s.sofar, [frame.outlineId, frame.seamId]);
    standings.push(standing);
    if (seen.has(block.id)) {
      troubles.push({ blockId: block.id, why: 'It stands here twice.', repair: 'Take one of the two out.' });
      return;
    }
    seen.add(block.id);
    if (block.kind === 'part') {
      if (parts.has(block.id)) s.write(block.id, usual.movesBefore.get(block.id));
      return;
    }
    const own = ready[at];
    if (!own) return;
    const refusal = own.refuses(standing);
    if (refusal) {
      troubles.push({ blockId: block.id, ...refusal });
      return;
    }
    s.under(block.id, () => {
      const site = new Site(s, block.id, block.name, frame);
      own.make(site);
      // A part of the construction begins where the part before it left the hoop.
      if (blocks[at + 1]?.kind === 'part' && standing.hooping !== null && !site.standing.out) {
        if (standing.onMachine) site.toMachine();
        else if (standing.turned) site.toBack();
        else site.toTable();
      }
    });
  });
  standings.push(standingOf(s.sofar, [frame.outlineId, frame.seamId]));
  const pattern = s.composed();
  if (pattern.entries.every(({ kind }) => kind === 'hand') && troubles.length === 0)
    troubles.push({
      blockId: blocks.at(-1)?.id ?? '',
      why: 'Nothing is stitched.',
      repair: 'Add a block that stitches.'
    });
  return { pattern, troubles, standings };
}

function readied(block: Block, parts: ReadonlyMap<string, unknown>, troubles: Trouble[]): ReadyBlock | null {
  if (block.kind === 'part') {
    if (!parts.has(block.id))
      troubles.push({
        blockId: block.id,
        why: `The construction has no part “${block.name ?? block.id}” with these answers.`,
        repair: 'Take it out.'
      });
    return null;
  }
  const found = blockOf(block.kind)?.with(block.answers);
  if (found?.ok) return found.block;
  troubles.push({
    blockId: block.id,
    why: found ? found.problems.join(' ') : `There is no block ${block.kind}.`,
    repair: found ? 'Change the answer.' : 'Take it out.'
  });
  return null;
}

/** The outline blocks measure from: that of the construction’s first line, or one drawn for the blocks. */
function frameOf(s: Sequence, ready: readonly (ReadyBlock | null)[]): Frame {
  const { variant, lines } = s.sofar;
  const { width, height } = variant.size;
  const [first] = lines;
  if (first) {
    return {
      outlineId: first.id,
      outline: first.path,
      seamId: first.id,
      seam: first.path,
      width,
      height,
      edge: 'none',
      edgeMm: 0
    };
  }
  const outline = shapePath(s.shape, width, height);
  const plain: Frame = {
    outlineId: 'outline',
    outline,
    seamId: 'outline',
    seam: outline,
    width,
    height,
    edge: 'none',
    edgeMm: 0
  };
  const frame = ready.reduce((found, own) => own?.frames(found) ?? found, plain);
  s.line(frame.outlineId, 'Outline', frame.outline);
  if (frame.seamId !== frame.outlineId) s.line(frame.seamId, 'Middle of the edge', frame.seam);
  return frame;
}
