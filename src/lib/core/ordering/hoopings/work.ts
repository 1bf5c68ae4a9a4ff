import { findStop, type Item, stitchesOf } from '$lib/core/documents/item';
import type { PlanStep } from '$lib/core/documents/plan';
import type { Segment, TableWork, WorkTimes } from '$lib/core/solvers/schedule';
import { isOnce, type PhasedStep } from './stages';

/**
 * The times of a hooping’s steps as the schedule sees them. What several hoopings can share, from the first rinse, soak
 * or drying on, is kept apart.
 *
 * @param item the item, for stops held down by hand
 * @param copies of all heads together
 * @param isLast nothing is stitched after this hooping, so that its washing can wait for the others
 * @param staysOn another item is stitched in the same hoop after these steps
 */
export function workTimes(
  steps: readonly PhasedStep[],
  item: Item,
  copies: number,
  { isLast, staysOn = false }: { isLast: boolean; staysOn?: boolean }
): WorkTimes {
  const at = (phase: PhasedStep['phase']): PlanStep[] =>
    steps.flatMap((each) => (each.phase === phase ? each.step : []));
  const machine = at('machine');
  const first = machine.findIndex(({ op, kind }) => kind === 'stop' || op?.do === 'thread');
  const threads = first >= 0 && machine[first]?.op?.do === 'thread' ? machine[first] : undefined;
  const stops = machine.filter(({ kind }) => kind === 'stop');
  const finish = at('finish');
  const from = isLast ? finish.findIndex(isShared) : -1;
  const segments = segmentsOf(
    machine.filter((step) => step !== threads),
    item,
    new Map(steps.flatMap(({ step, changes }) => (changes === undefined ? [] : [[step.id, changes]])))
  );
  const off = handsOf(at('off')) + snips(machine);
  const ends = !staysOn && segments.at(-1)?.kind === 'needle';
  return {
    load: handsOf(at('load')),
    threading: threads?.hands.value ?? 0,
    firstThread: stops[0]?.thread?.id ?? null,
    lastThread: stops.at(-1)?.thread?.id ?? null,
    // Without a step that takes the hoop off, the machine is free only once hands have freed it.
    segments: ends
      ? [...segments, { kind: 'hands', seconds: Math.max(off, 1), title: 'Take the hoop off' }]
      : segments,
    off: ends ? 0 : off,
    finish: tableWork(from < 0 ? finish : finish.slice(0, from), copies),
    wash: from < 0 ? [] : tableWork(finish.slice(from), copies),
    threads: threadUse(stops),
    bobbinMetres: stops.reduce((sum, { stop }) => sum + (stop?.bobbinMetres ?? 0), 0)
  };
}

function handsOf(steps: readonly PlanStep[]): number {
  return steps.reduce((sum, { hands }) => sum + hands.value, 0);
}

/** Parts rinsed, soaked or dried together wait once. */
function isShared({ op }: PlanStep): boolean {
  return op?.do === 'rinse' || (op?.do === 'wait' && (op.why === 'soak' || op.why === 'dry'));
}

/** The share of a stop’s hands that snips jumps, which can wait until the hoop is off; s. */
function snipsOf({ hands, parts, kind }: PlanStep): number {
  if (kind !== 'stop') return 0;
  const all = parts.reduce((sum, { seconds }) => sum + seconds, 0);
  const snip = parts.reduce((sum, { key, seconds }) => sum + (key === 'snipJump' ? seconds : 0), 0);
  return all > 0 ? (hands.value * snip) / all : 0;
}

const snips = (steps: readonly PlanStep[]): number => steps.reduce((sum, step) => sum + snipsOf(step), 0);

function segmentsOf(
  steps: readonly PlanStep[],
  item: Item,
  changesOf: ReadonlyMap<string, number>
): Segment[] {
  const found: Segment[] = [];
  const add = (kind: Segment['kind'], seconds: number, title: string): void => {
    const last = found.at(-1);
    if (seconds <= 0) return;
    if (last?.kind === kind) last.seconds += seconds;
    else found.push({ kind, seconds, title });
  };
  let inside = NO_HALTS;
  steps.forEach((step, at) => {
    const changes = haltsInside(step, steps[at + 1], changesOf.get(step.id) ?? 0);
    add('hands', step.hands.value - snipsOf(step) - changes.count * changes.seconds, step.title);
    if (changes.count > 0) {
      inside = changes;
      return;
    }
    const held = step.running.value * attendedShare(step, item);
    add('attended', held, step.title);
    const parts = inside.count + 1;
    for (let part = 0; part < parts; part++) {
      if (part > 0) add('hands', inside.seconds, inside.title);
      add('needle', (step.running.value - held) / parts, step.title);
    }
    inside = NO_HALTS;
  });
  return found;
}

/** Halts of a stop in the middle of it, s each. */
interface Halts {
  count: number;
  seconds: number;
  title: string;
}
const NO_HALTS: Halts = { count: 0, seconds: 0, title: '' };

/**
 * Bobbin changes that come in the middle of the stop they stand before: all of them where a bobbin may run out in it, all but
 * the first where it must not, since that one is changed beforehand.
 */
function haltsInside({ hands }: PlanStep, next: PlanStep | undefined, changes: number): Halts {
  if (changes === 0 || !next?.stop) return NO_HALTS;
  const count = next.stop.protected ? changes - 1 : changes;
  return { count, seconds: hands.value / changes, title: 'Change the bobbin, in the middle of the stop' };
}

/** How much of a stop’s stitching hands hold something down. */
function attendedShare({ stop }: PlanStep, item: Item): number {
  const own = stop && findStop(item, stop.stopId);
  if (!own || stitchesOf(own) === 0) return 0;
  const held = own.phases.reduce((sum, { stitches, attended }) => sum + (attended ? stitches : 0), 0);
  return held / stitchesOf(own);
}

/** Steps at the table; what is done piece by piece in a row is one piece of work, taken up copy by copy. */
function tableWork(steps: readonly PlanStep[], copies: number): TableWork[] {
  const found: TableWork[] = [];
  for (const step of steps) {
    const { hands, waiting, title, op } = step;
    const what = op?.do === 'wait' ? `wait ${op.why}` : (op?.do ?? 'other');
    const once = isOnce(step);
    const last = found.at(-1);
    if (hands.value > 0) {
      if (last?.kind === 'hands' && !last.once && !once) {
        last.seconds += hands.value;
        last.what += `, ${what}`;
      } else found.push({ kind: 'hands', title, once, what, seconds: hands.value, times: once ? 1 : copies });
    }
    if (waiting.value > 0)
      found.push({ kind: 'wait', title, once: true, what, seconds: waiting.value, times: 1 });
  }
  return found;
}

function threadUse(stops: readonly PlanStep[]): WorkTimes['threads'] {
  const used = new Map<string, number>();
  for (const { thread, stop } of stops)
    if (thread && stop) used.set(thread.name, (used.get(thread.name) ?? 0) + stop.upperMetres);
  return [...used].map(([name, metres]) => ({ name, metres }));
}
