import type { AnyConstruction } from '$lib/core/craft/constructions';
import { findStop, type Item, type Step } from '$lib/core/documents/item';
import { assemble } from '$lib/core/reading/matching';

/** What an item comes to is that of a construction, as far as its steps go. */
export interface Likeness {
  kind: string;
  name: string;
  /** Share of the steps of both that stand in the same order, 0 to 1. */
  share: number;
}

/** A construction this like an item is told. */
const LIKE = 0.8;
/** What makes no item another: looking, snipping, threads, names of files. */
const BESIDE: ReadonlySet<string> = new Set([
  'snip',
  'inspect',
  'check-under',
  'load-file',
  'thread',
  'bobbin',
  'other',
  'trace',
  'press',
  'tape',
  'untape',
  'hoop-on',
  'hoop-off'
]);

/** Steps as what they do to the sandwich. */
function doings(item: Item): string[] {
  const said = (step: Step): string[] => {
    if (step.kind === 'stop') {
      const role = findStop(item, step.stopId)?.role;
      return role === undefined || role === 'decoration' || role === 'lettering' ? [] : [role];
    }
    if (BESIDE.has(step.op.do)) return [];
    return [step.op.do === 'lay' ? `lay ${step.op.face} ${step.op.side}` : step.op.do];
  };
  return item.steps.flatMap(said);
}

/** Length of the longest row of doings that stands in both in the same order. */
function inBoth(a: readonly string[], b: readonly string[]): number {
  let row = new Array<number>(b.length + 1).fill(0);
  for (const one of a) {
    const next = [0];
    b.forEach((other, at) => {
      next.push(one === other ? (row[at] ?? 0) + 1 : Math.max(next[at] ?? 0, row[at + 1] ?? 0));
    });
    row = next;
  }
  return row.at(-1) ?? 0;
}

/**
 * The construction whose steps an item’s are most like, where one is like enough; decoration counts for nothing, since any item
 * may carry it.
 *
 * @example
 * likeConstruction(sleeveFromASheet, CONSTRUCTIONS)?.kind // 'envelope-cover'
 */
export function likeConstruction(
  item: Item,
  constructions: readonly AnyConstruction[]
): Likeness | undefined {
  const own = doings(item);
  let best: Likeness | undefined;
  for (const construction of constructions) {
    const made = construction.kind === 'own' ? undefined : construction.patternOf({});
    if (!made?.ok) continue;
    const { id, createdAt: now } = item;
    const other = doings(
      assemble(made.pattern, {
        id,
        now,
        name: construction.name,
        construction: made.construction,
        params: made.params
      })
    );
    const share = (2 * inBoth(own, other)) / Math.max(1, own.length + other.length);
    if (!best || share > best.share) best = { kind: construction.kind, name: construction.name, share };
  }
  return best && best.share >= LIKE ? best : undefined;
}
