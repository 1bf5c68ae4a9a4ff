import { answered, constructionOf, type Made } from '$lib/core/craft/constructions';
import { wordingOf } from '$lib/core/craft/operations';
import { carried, isSame } from '$lib/core/documents/changes';
import { type Block, brokenReferences, findStop, Item, type Step } from '$lib/core/documents/item';
import { HOOP_AT_START } from '$lib/core/documents/plan';
import { addVariant } from './addVariant';
import { assemble } from './assemble';
import { inTheirNames, stopsOf } from './inTheirNames';
import { madeFor } from './madeFor';
import { remadeFiles } from './remadeStops';
import { remadeSteps, stopIn } from './remadeSteps';

/** An item whose answers or blocks were changed, or why it cannot be. */
export type Remade =
  | {
      ok: true;
      item: Item;
      /** What the maker did by hand that has no place any more, a sentence each. */
      lost: string[];
      made: Extract<Made, { ok: true }>;
    }
  | { ok: false; problems: string[] };

/**
 * Makes an item anew from other answers or blocks. What the maker did by hand (threads, notes, added, changed and moved steps,
 * matched rows, own sizes, “meant so”) is kept where its place still exists, and told where not.
 *
 * @param blocks null for those the construction takes
 *
 * @example
 * remake(tab, { ...tab.params, width: 40 }, null) // { ok: true, item, lost: [] }
 */
export function remake(item: Item, params: Record<string, unknown>, blocks: readonly Block[] | null): Remade {
  const construction = constructionOf(item.construction ?? '');
  if (!construction) return NO_CONSTRUCTION;
  const made = madeFor(item, { params, blocks });
  const old = madeFor(item);
  if (!made || !old) return NO_CONSTRUCTION;
  if (!made.ok) return made;
  if (!old.ok) return old;

  const base = { id: item.id, name: item.name, now: item.updatedAt, construction: construction.kind, params };
  const first = ofFirstVariant(item);
  const before = inTheirNames(assemble(old.pattern, base), first);
  const next = inTheirNames(assemble(made.pattern, base), before.theirs);
  const [was, is, mine] = [before.made, next.made, next.theirs];

  const known = new Set(stopsOf(was).map(({ id }) => id));
  const files = remadeFiles(mine, was, is, ({ id }) => !known.has(id));
  const { steps, gone, reordered } = remadeSteps(mine, was.steps, is.steps, stopIn({ ...mine, files }));
  const [variant] = is.variants;
  // What the construction never made is the maker’s, or of an earlier day.
  const rows = <T extends { id: string }>(from: (of: Item) => T[]): T[] => {
    const has = (of: Item, row: T): boolean => from(of).some(({ id }) => id === row.id);
    const made = from(is).map((row) => {
      const [old, own] = [from(was), from(mine)].map((all) => all.find(({ id }) => id === row.id));
      return old && own ? carried(old, own, row) : row;
    });
    return [...made, ...from(mine).filter((row) => !has(was, row) && !has(is, row))];
  };
  const isUsual = isSame(construction.blocksOf(params), made.blocks);
  const changed: Item = {
    ...mine,
    params: made.params,
    blocks: isUsual ? undefined : made.blocks,
    variants:
      variant && mine.variants[0]
        ? [carried(was.variants[0] ?? variant, mine.variants[0], variant)]
        : mine.variants,
    hoopings: rows(({ hoopings }) => hoopings),
    files,
    lines: rows(({ lines }) => lines),
    pieces: rows(({ pieces }) => pieces),
    steps
  };
  const whole = cleared(changed);
  const lost = [
    ...gone.map((step) => `Changed by you: ${titleOf(step, item)}.`),
    ...whole.dropped.map((step) => `Added by you: ${titleOf(step, item)}.`),
    ...(reordered ? ['The order you had given the steps.'] : []),
    ...lostAnswers(item, whole.item)
  ];
  return { ok: true, made, ...withVariants(item, whole.item, lost) };
}

const NO_CONSTRUCTION: Remade = {
  ok: false,
  problems: ['This item was written by hand: its steps are changed on the sheet.']
};

/** The item with its first variant alone. */
function ofFirstVariant(item: Item): Item {
  const [first] = item.variants;
  const has = ({ only }: { only?: string[] | undefined }): boolean =>
    only === undefined || only.includes(first?.id ?? '');
  const bare = <T extends { only?: string[] | undefined }>(part: T): T =>
    part.only === undefined ? part : { ...part, only: undefined };
  return {
    ...item,
    variants: first ? [first] : item.variants,
    steps: item.steps.filter(has).map(bare),
    pieces: item.pieces.filter(has).map(bare)
  };
}

/** Takes out what points at something that is not there any more, and what only that needed. */
function cleared(item: Item): { item: Item; dropped: Step[] } {
  const kept = item.steps.some(({ hoopingId }) => item.hoopings.every(({ id }) => id !== hoopingId))
    ? item.steps.map((step) =>
        item.hoopings.some(({ id }) => id === step.hoopingId)
          ? step
          : { ...step, hoopingId: item.hoopings[0]?.id ?? step.hoopingId }
      )
    : item.steps;
  const placed = { ...item, steps: kept };
  const broken = new Set(
    brokenReferences(placed).flatMap(({ path }) => /^steps\.(\d+)\./.exec(path)?.[1] ?? [])
  );
  const dropped = kept.filter((_, at) => broken.has(String(at)));
  const ids = new Set(kept.filter((step) => !dropped.includes(step)).map(({ id }) => id));
  const used = new Set([
    ...stopsOf(item).map(({ threadId }) => threadId),
    ...kept.flatMap((step) => (step.kind === 'hand' && 'threadId' in step.op ? (step.op.threadId ?? []) : []))
  ]);
  return {
    dropped,
    item: {
      ...placed,
      threads: item.threads.filter(({ id }) => used.has(id)),
      steps: kept
        .filter(({ id }) => ids.has(id))
        .map((step) => ({ ...step, needs: step.needs.filter((need) => ids.has(need)) })),
      remarks: item.remarks.filter(({ stepId }) => stepId === undefined || ids.has(stepId)),
      answers: item.answers.filter(({ stepId }) => stepId === undefined || ids.has(stepId)),
      files: item.files.map((file) => ({
        ...file,
        stops: file.stops.map((stop) => ({
          ...stop,
          lineIds: stop.lineIds.filter((id) => item.lines.some((line) => line.id === id))
        }))
      }))
    }
  };
}

function lostAnswers(before: Item, after: Item): string[] {
  return before.answers
    .filter((answer) => !after.answers.includes(answer))
    .map(({ reason, code }) => `Intended: ${reason || code}.`);
}

/** The item’s other variants, each made of its own answers on the new ones. */
function withVariants(before: Item, item: Item, lost: string[]): { item: Item; lost: string[] } {
  const old = madeFor(item);
  let grown = item;
  for (const variant of before.variants.slice(1)) {
    const own = answered(item.params, old?.ok ? old.blocks : [], variant.overrides);
    const next = madeFor(item, own);
    if (!old?.ok || !next?.ok) {
      lost = [...lost, `The variant ${variant.name}: its answers do not go with the new ones.`];
      continue;
    }
    grown = addVariant(grown, variant, { old: old.pattern, next: next.pattern });
  }
  return { item: grown, lost };
}

function titleOf(step: Step, item: Item): string {
  if (step.kind === 'stop') return findStop(item, step.stopId)?.name ?? 'a stop';
  return wordingOf(step.op, {
    item,
    unit: 'mm',
    hoop: HOOP_AT_START
  }).title;
}
