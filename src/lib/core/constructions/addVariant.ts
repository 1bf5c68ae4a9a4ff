import {
  findLine,
  findStop,
  stitchesOf,
  type Item,
  type Phase,
  type Step,
  type Stop,
  type Variant
} from '$lib/core/item';
import { assemble } from './assemble';
import type { Pattern } from './pattern';

/**
 * Adds a variant of an item: the same construction with some answers changed. What both share stays shared; lines and
 * stitches that differ are kept with the variant, steps and pieces that only one of them has are marked as its own.
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
  const variant: Variant = { ...next.variant, id, name, overrides, lines: {}, phases: {} };
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
                .filter((stop) => !findStop(item, stopIdOf(stop)))
                .map((stop) => ({
                  ...stop,
                  id: stopIdOf(stop),
                  threadId: item.threads[0]?.id ?? stop.threadId
                }))
            ]
          }
    ),
    steps: merged(item.steps, stepsFor(other, stopIdOf), id, others)
  };
}

const stopsOf = (item: Item): Stop[] => item.files.flatMap(({ stops }) => stops);

/** A step or piece that some variants have, and now this one too. */
function withVariant<T extends { only?: string[] | undefined }>(part: T, id: string): T {
  return part.only ? { ...part, only: [...part.only, id] } : part;
}

function scaled(stop: Stop, was: Stop, is: Stop): Phase[] | undefined {
  const [from, to] = [stitchesOf(was), stitchesOf(is)];
  if (from === to || from === 0 || to === 0) return undefined;
  return stop.phases.map((phase) => ({ ...phase, stitches: Math.round((phase.stitches * to) / from) }));
}

/** Steps of the other assembly with the ids they have in this item. */
function stepsFor(other: Item, stopIdOf: (stop: Stop) => string): Step[] {
  const idOf = new Map<string, string>();
  for (const step of other.steps) {
    const stop = step.kind === 'stop' ? findStop(other, step.stopId) : undefined;
    idOf.set(step.id, stop ? stopIdOf(stop) : step.id);
  }
  return other.steps.map((step): Step => {
    const id = idOf.get(step.id) ?? step.id;
    const needs = step.needs.map((need) => idOf.get(need) ?? need);
    return step.kind === 'stop' ? { ...step, id, needs, stopId: id } : { ...step, id, needs };
  });
}

/** The item’s steps with those that only the variant has put where they follow. */
function merged(steps: Step[], wanted: Step[], id: string, others: string[]): Step[] {
  const asked = new Set(wanted.map((step) => step.id));
  const there = new Set(steps.map((step) => step.id));
  const result = steps.map((step): Step =>
    asked.has(step.id)
      ? withVariant(step, id)
      : isOurs(step)
        ? withVariant({ ...step, only: step.only ?? others }, id)
        : { ...step, only: step.only ?? others }
  );
  let after = -1;
  for (const step of wanted) {
    const at = result.findIndex((each) => each.id === step.id);
    if (there.has(step.id)) after = Math.max(after, at);
    else {
      result.splice(after + 1, 0, { ...step, only: [id] });
      after += 1;
    }
  }
  return result;
}

/** A step the maker added by hand belongs to every variant. */
function isOurs(step: Step): boolean {
  return step.kind === 'hand' && step.needs.length === 0 && step.only === undefined;
}
