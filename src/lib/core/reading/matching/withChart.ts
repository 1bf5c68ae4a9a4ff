import type { Item, Stop } from '$lib/core/documents/item';
import { assemble } from './assemble';
import { inTheirNames, stopsOf } from './inTheirNames';
import type { ChartInput } from './input';
import { madeFor } from './madeFor';
import { remadeSteps, stopIn } from './remadeSteps';

/**
 * Puts a chart, a stitch list or a drawing on an item that is there already: its stops take their numbers, counts and colours
 * from it; steps, notes, names and counts the maker gave stay.
 *
 * @returns the item as it was where its construction is not known, or its answers are not right any more
 *
 * @example
 * withChart(tab, { rows, alignment, text, setAside: [] }).files[0]?.stops.length // 6
 */
export function withChart(item: Item, chart: ChartInput): Item {
  const made = madeFor(item);
  if (!made?.ok) return item;
  const base = {
    id: item.id,
    name: item.name,
    now: item.updatedAt,
    construction: made.construction,
    params: item.params
  };
  const before = inTheirNames(assemble(made.pattern, base), item);
  const after = inTheirNames(assemble(made.pattern, { ...base, chart }), before.theirs);
  const mine = new Map(stopsOf(item).map((stop) => [stop.id, stop]));
  const files = after.made.files.map((file, at) => ({
    ...file,
    ...(item.files[at] && { id: item.files[at].id }),
    stops: file.stops.map((stop) => withOwn(stop, mine.get(stop.id)))
  }));
  const wholly: Item = { ...after.theirs, files };
  const { steps } = remadeSteps(item, before.made.steps, after.made.steps, stopIn(wholly));
  const used = new Set([
    ...stopsOf(wholly).map(({ threadId }) => threadId),
    ...steps.flatMap((step) =>
      step.kind === 'hand' && 'threadId' in step.op ? (step.op.threadId ?? []) : []
    )
  ]);
  const ids = new Set(steps.map(({ id }) => id));
  return {
    ...wholly,
    steps,
    threads: wholly.threads.filter(({ id }) => used.has(id)),
    remarks: after.made.remarks.filter(({ stepId }) => stepId === undefined || ids.has(stepId)),
    answers: item.answers.filter(({ stepId }) => stepId === undefined || ids.has(stepId))
  };
}

/** What the maker said of a stop holds against the chart. */
function withOwn(stop: Stop, mine: Stop | undefined): Stop {
  if (mine?.countSource !== 'maker') return stop;
  return { ...stop, countSource: 'maker', phases: mine.phases };
}
