import { findStop, type Item, stitchesOf } from '$lib/core/documents/item';
import type { PlanStep } from '$lib/core/documents/plan';
import type { Segment, TableWork, WorkTimes } from '$lib/core/solvers/schedule';
import { type Copies, isOnce, type PhasedStep } from './stages';

/**
 * The times of a hooping’s steps as the schedule sees them. What several hoopings can share, from the first rinse, soak
 * or drying on, is kept apart.
 *
 * @param item the item, for stops held down by hand
 * @param copies all of them, and the heads that stitch together
 * @param isLast nothing is stitched after this hooping, so that its washing can wait for the others
 * @param staysOn another item is stitched in the same hoop after these steps
 */
export function workTimes(
  steps: readonly PhasedStep[],
  item: Item,
  copies: Copies,
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
    copies.heads
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
    finish: tableWork(from < 0 ? finish : finish.slice(0, from), copies.total),
    wash: from < 0 ? [] : tableWork(finish.slice(from), copies.total),
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

/** Of a stop’s hands what one thing takes, as snips that can wait until the hoop is off; s. */
function ofHands({ hands, parts, kind }: PlanStep, wanted: string): number {
  if (kind !== 'stop') return 0;
  const all = parts.reduce((sum, { seconds }) => sum + seconds, 0);
  const own = parts.reduce((sum, { key, seconds }) => sum + (key === wanted ? seconds : 0), 0);
  return all > 0 ? (hands.value * own) / all : 0;
}

const snips = (steps: readonly PlanStep[]): number =>
  steps.reduce((sum, step) => sum + ofHands(step, 'snipJump'), 0);

function segmentsOf(steps: readonly PlanStep[], item: Item, heads: number): Segment[] {
  const found: Segment[] = [];
  const add = (kind: Segment['kind'], seconds: number, title: string): void => {
    const last = found.at(-1);
    if (seconds <= 0) return;
    if (last?.kind === kind) last.seconds += seconds;
    else found.push({ kind, seconds, title });
  };
  for (const step of steps) {
    const inside = ofHands(step, 'bobbin');
    add('hands', step.hands.value - ofHands(step, 'snipJump') - inside, step.title);
    const held = step.running.value * attendedShare(step, item);
    add('attended', held, step.title);
    const halts = inside > 0 ? changesInside(step, heads) : 0;
    for (let part = 0; part <= halts; part++) {
      if (part > 0) add('hands', inside / halts, 'Change the bobbin, in the middle of the stop');
      add('needle', (step.running.value - held) / (halts + 1), step.title);
    }
  }
  return found;
}

/** How often the bobbin runs out in a stop; heads that stitch together halt together. */
function changesInside({ parts }: PlanStep, heads: number): number {
  return parts.reduce((sum, { key, times }) => sum + (key === 'bobbin' ? times / heads : 0), 0);
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
