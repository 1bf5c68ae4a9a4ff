import type { Pattern } from '$lib/core/craft/sequence';
import {
  findLine,
  findStop,
  type Item,
  type Operation,
  type Phase,
  type Step,
  stitchesOf,
  type Stop,
  type Variant
} from '$lib/core/documents/item';
import { assemble } from './assemble';

/**
 * Adds a variant of an item: the same construction with some answers changed. What both share stays shared; lines,
 * stitches, pieces and hand steps that differ are kept with the variant, steps and pieces that only one of them has are marked as its own.
 * A charted count is scaled as the estimates differ, since the chart is of the first variant.
 *
 * @param made the construction’s pattern for the item’s answers, and for the variant’s
 *
 * @example
 * addVariant(tab, { id: 'large', name: 'Large', overrides: { width: 40 } }, { old, next }).variants.length // 2
 */
export function addVariant(
  item: Item,
  { id, name, overrides }: Pick<Variant, 'id' | 'name' | 'overrides'>,
  { old, next }: { old: Pattern; next: Pattern }
): Item {
  const base = {
    id: item.id,
    name: item.name,
    now: item.updatedAt,
    construction: item.construction ?? '',
    params: {}
  };
  const other = assemble(next, base);
  const before = assemble(old, base);
  const others = item.variants.map((variant) => variant.id);
  const variant: Variant = {
    ...next.variant,
    id,
    name,
    overrides,
    lines: {},
    phases: {},
    pieces: piecesOtherwise(item, old, next),
    ops: opsOtherwise(item, before, other)
  };
  for (const line of next.lines) {
    const own = findLine(item, line.id);
    if (own && JSON.stringify([own.path, own.gaps]) !== JSON.stringify([line.path, line.gaps]))
      variant.lines[line.id] = { path: line.path, gaps: line.gaps };
  }
  for (const stop of item.files.flatMap(({ stops }) => stops)) {
    const [was, is] = [before, other].map((each) =>
      stopsOf(each).find(({ expects }) => expects === stop.expects)
    );
    const phases = was && is && scaled(stop, was, is);
    if (phases) variant.phases[stop.id] = phases;
  }
  const keys = (each: Item): Set<string> => new Set(each.steps.map((step) => keyOf(each, step)));
  const [oldKeys, newKeys] = [keys(before), keys(other)];
  const stopIdOf = (stop: Stop): string =>
    stopsOf(item).find(({ expects }) => expects === stop.expects)?.id ?? `${id}-${stop.id}`;
  const there = new Set(item.pieces.map((piece) => piece.id));
  const wanted = new Set(next.pieces.map((piece) => piece.id));
  return {
    ...item,
    variants: [...item.variants, variant],
    lines: [...item.lines, ...next.lines.filter((line) => !findLine(item, line.id))],
    pieces: [
      ...item.pieces.map((piece) =>
        wanted.has(piece.id) ? withVariant(piece, id) : { ...piece, only: piece.only ?? others }
      ),
      ...next.pieces.filter((piece) => !there.has(piece.id)).map((piece) => ({ ...piece, only: [id] }))
    ],
    files: item.files.map((file, at) =>
      at > 0
        ? file
        : {
            ...file,
            stops: [
              ...file.stops,
              ...stopsOf(other)
                .filter(
                  ({ expects }) =>
                    !stopsOf(item).some((own) => own.expects === expects) && !oldKeys.has(expects ?? '')
                )
                .map((stop) => ({
                  ...stop,
                  id: stopIdOf(stop),
                  threadId: item.threads[0]?.id ?? stop.threadId
                }))
            ]
          }
    ),
    steps: merged(item, stepsFor(other, stopIdOf, oldKeys), { id, others, oldKeys, newKeys })
  };
}

const stopsOf = (item: Item): Stop[] => item.files.flatMap(({ stops }) => stops);

/** A step or piece that some variants have, and now this one too. */
function withVariant<T extends { only?: string[] | undefined }>(part: T, id: string): T {
  return part.only ? { ...part, only: [...part.only, id] } : part;
}

export function scaled(stop: Stop, was: Stop, is: Stop): Phase[] | undefined {
  const [from, to] = [stitchesOf(was), stitchesOf(is)];
  const shapes = ({ phases }: Stop): string =>
    JSON.stringify(phases.map(({ length, width }) => [length, width]));
  if (from === 0 || to === 0 || (from === to && shapes(was) === shapes(is))) return undefined;
  return stop.phases.map((phase, at) => ({
    ...phase,
    // A wider edge has longer stitches, charted or not.
    ...pick(is.phases[at]),
    stitches: Math.round((phase.stitches * to) / from)
  }));
}

function pick(phase: Phase | undefined): Partial<Phase> {
  return {
    ...(phase?.length !== undefined && { length: phase.length }),
    ...(phase?.width !== undefined && { width: phase.width })
  };
}

/** What differs of the pieces both variants have; what the maker changed on the item by hand stays everywhere. */
function piecesOtherwise(item: Item, old: Pattern, next: Pattern): Variant['pieces'] {
  const otherwise: Variant['pieces'] = {};
  for (const piece of next.pieces) {
    const was = old.pieces.find(({ id }) => id === piece.id);
    if (!was || !item.pieces.some(({ id }) => id === piece.id)) continue;
    const differs = <K extends 'material' | 'plies' | 'use' | 'covers' | 'shows' | 'shape'>(
      key: K
    ): boolean => JSON.stringify(was[key]) !== JSON.stringify(piece[key]);
    const own = {
      ...(differs('material') && { material: piece.material }),
      ...(differs('plies') && { plies: piece.plies }),
      ...(differs('use') && { use: piece.use }),
      ...(differs('covers') && { covers: piece.covers }),
      ...(differs('shows') && { shows: piece.shows }),
      ...(differs('shape') && { shape: piece.shape })
    };
    if (Object.keys(own).length > 0) otherwise[piece.id] = own;
  }
  return otherwise;
}

/** Hand steps both variants have and do otherwise, with the threads of the item. */
function opsOtherwise(item: Item, before: Item, other: Item): Variant['ops'] {
  const opOf = (steps: Step[], id: string): Operation | undefined => {
    const step = steps.find((each) => each.id === id);
    return step?.kind === 'hand' ? step.op : undefined;
  };
  const otherwise: Variant['ops'] = {};
  for (const step of other.steps) {
    const [own, was] = [opOf(item.steps, step.id), opOf(before.steps, step.id)];
    if (step.kind !== 'hand' || !own || !was || own.do !== step.op.do) continue;
    // Threads are shared: each keeps the one the item has.
    const threadless = (op: Operation): string =>
      JSON.stringify('threadId' in op ? { ...op, threadId: '' } : op);
    if (threadless(was) !== threadless(step.op))
      otherwise[step.id] =
        'threadId' in own ? ({ ...step.op, threadId: own.threadId } as Operation) : step.op;
  }
  return otherwise;
}

/** What a step is called in its construction: the stop it expects, or its own id. */
function keyOf(item: Item, step: Step): string {
  return (step.kind === 'stop' && findStop(item, step.stopId)?.expects) || step.id;
}

/** Steps of the other assembly with the ids they have in this item, and whether only the new variant has them. */
function stepsFor(
  other: Item,
  stopIdOf: (stop: Stop) => string,
  oldKeys: Set<string>
): { step: Step; fresh: boolean }[] {
  const idOf = new Map<string, string>();
  for (const step of other.steps) {
    const stop = step.kind === 'stop' ? findStop(other, step.stopId) : undefined;
    idOf.set(step.id, stop ? stopIdOf(stop) : step.id);
  }
  return other.steps.map((step) => {
    const id = idOf.get(step.id) ?? step.id;
    const needs = step.needs.map((need) => idOf.get(need) ?? need);
    const own: Step = step.kind === 'stop' ? { ...step, id, needs, stopId: id } : { ...step, id, needs };
    return { step: own, fresh: !oldKeys.has(keyOf(other, step)) };
  });
}

/** The item’s steps with those that only the variant has put where they follow. */
function merged(
  item: Item,
  wanted: { step: Step; fresh: boolean }[],
  {
    id,
    others,
    oldKeys,
    newKeys
  }: { id: string; others: string[]; oldKeys: Set<string>; newKeys: Set<string> }
): Step[] {
  const result = item.steps.map((step): Step => {
    const key = keyOf(item, step);
    if (newKeys.has(key)) return withVariant(step, id);
    // A step the construction never made is the maker’s own, and belongs to every variant.
    return oldKeys.has(key) ? { ...step, only: step.only ?? others } : step;
  });
  let after = -1;
  for (const { step, fresh } of wanted) {
    if (!fresh || result.some((each) => each.id === step.id)) {
      after = Math.max(
        after,
        result.findLastIndex((each) => each.id === step.id)
      );
      continue;
    }
    const needs = step.needs.filter((need) => result.some((each) => each.id === need));
    result.splice(after + 1, 0, { ...step, needs, only: [id] });
    after += 1;
  }
  return result;
}
