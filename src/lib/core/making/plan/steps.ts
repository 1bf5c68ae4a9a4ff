import { saidIn } from '$lib/core/base/units';
import {
  cautionOf,
  does,
  handTime,
  hoopAfter,
  type OwnRun,
  stepDoes,
  STOP_CAUTION,
  traitsOf,
  wordingOf
} from '$lib/core/craft/operations';
import {
  findStop,
  findThread,
  type Item,
  type Operation,
  stitchesOf,
  type Stop
} from '$lib/core/documents/item';
import { HOOP_AT_START, type HoopState, type PlanStep } from '$lib/core/documents/plan';
import type { HandTimeKey, Hoop, Machine, Shop } from '$lib/core/documents/shop';
import { leavingAt } from '$lib/core/craft/stack';
import {
  type CountGuess,
  fromDefaults,
  handsEstimate,
  needleEstimate,
  needleParts,
  type NeedleParts,
  widened
} from '$lib/core/making/time';
import { type ThreadChange, threadChanges } from '$lib/core/solvers/needles';
import type { StopGeometry } from '$lib/core/stitching/stitches';
import { bobbinThread, type Jump, jumpsOf, jumpWords, upperThread } from '$lib/core/stitching/thread';
import { openingWords } from './openings';
import { asStop } from './runStop';
import { threadsOn } from './spools';

/** What the simulated hoop and the geometry tell of stops. */
interface Known {
  /** Where the thread of each stop is seen in the end, by step. */
  seen: ReadonlyMap<string, Stop['visible']>;
  /** Stitches that are known one by one, by stop. */
  geometry: ReadonlyMap<string, StopGeometry>;
  /** Whose hands. */
  person: string;
  /** The design is turned a quarter in the hoop. */
  turned: boolean;
  /** How a count that nobody has charted is reckoned. */
  guess: (stop: Stop) => CountGuess;
}

const NO_NEEDLE: NeedleParts = { stitching: 0, overhead: 0, trims: 0 };

/**
 * The steps of an item on a machine: the item’s own, with the set-up and the thread changes that this
 * machine brings between them, numbered from 1.
 */
export function planSteps(
  item: Item,
  shop: Shop,
  machine: Machine,
  hoop: Hoop,
  { seen, geometry, person, turned, guess }: Known
): PlanStep[] {
  const ownHands = shop.learned?.people[person];
  const ownMachine = shop.learned?.machines[machine.id];
  const steps: PlanStep[] = [];
  const changes = changesByStep(item, machine);
  const jumps = jumpsByStep(item);
  let state: HoopState = HOOP_AT_START;
  /** Set by a step, until the next says otherwise. */
  let speed: number | null = null;
  const begun = new Set<string>();

  const addHand = (id: string, itemStepId: string | null, op: Operation, note: string): void => {
    const run = does(op, 'stitch')?.run;
    const threadId = op.do === 'thread' ? op.threadId : run?.threadId;
    const { title, detail } = wordingOf(op, {
      item,
      unit: shop.unit,
      hoop: state,
      ...(run && { leaving: leavingAt(item, id, machine.needles) })
    });
    const time = handTime(op, item, shop.hands, machine);
    const after = hoopAfter(state, op);
    steps.push({
      id,
      number: steps.length + 1,
      itemStepId,
      kind: 'hand',
      mark: traitsOf(op.do).mark,
      title,
      detail,
      note: saidIn(note, shop.unit),
      op,
      stop: null,
      thread: threadId === undefined ? null : (findThread(item, threadId) ?? null),
      needle: null,
      // A step that moves the hoop shows where it goes; any other where it is.
      hoop: after,
      hands: handsEstimate([time.parts], ownHands),
      running: needleEstimate([run ? runParts(run) : NO_NEEDLE], ownMachine),
      waiting: fromDefaults('waiting', time.waiting),
      parts: time.parts,
      caution: cautionOf(op) ?? null
    });
    state = after;
    if (op.do === 'speed' && !op.firstPass) speed = op.spm;
  };
  const atSpeed = (): Machine => (speed === null ? machine : { ...machine, setSpm: speed });

  const runParts = (run: OwnRun): NeedleParts =>
    run.stitches > 0 ? needleParts(asStop(run), atSpeed(), hoop) : NO_NEEDLE;

  addHand('set-up', null, { do: 'set-up', ...(turned && { turned }) }, '');
  for (const step of item.steps) {
    if (step.kind === 'hand') {
      const threadId = stepDoes(step, 'stitch')?.run.threadId;
      if (threadId !== undefined && changes.get(step.id)?.kind === 'thread')
        addHand(`thread-before-${step.id}`, null, { do: 'thread', threadId }, '');
      addHand(step.id, step.id, step.op, step.note);
      continue;
    }
    const stop = findStop(item, step.stopId);
    if (!stop) continue;
    const change = changes.get(step.id);
    const file = item.files.find(({ stops }) => stops.includes(stop));
    if (file?.oneColour && file.stops.length > 1 && !begun.has(file.id))
      addHand(`one-colour-${file.id}`, null, { do: 'one-colour', stops: file.stops.length }, '');
    if (file) begun.add(file.id);
    if (change?.kind === 'thread')
      addHand(`thread-before-${step.id}`, null, { do: 'thread', threadId: stop.threadId }, '');
    steps.push(stopStep(step.id, steps.length + 1, step.pass, step.note, stop, change));
  }
  return steps;

  function stopStep(
    id: string,
    number: number,
    pass: number,
    note: string,
    stop: Stop,
    change: ThreadChange | undefined
  ): PlanStep {
    const own = geometry.get(stop.id);
    const known = knownOf(item, stop, geometry);
    const upper = upperThread(stop, known);
    const jump = jumps.get(id) ?? null;
    const sent = jump ? handPart('goToStop', shop) : null;
    const guessed = stop.countSource === 'estimate' && stitchesOf(stop) > 0 ? guess(stop) : null;
    const needle = needleParts(stop, atSpeed(), hoop, change?.kind === 'switch', own?.measure.jumps ?? 0);
    const called = calledInChart(stop);
    return {
      id,
      number,
      itemStepId: id,
      kind: 'stop',
      mark: null,
      title: stop.name,
      detail: [
        stopDetail(stop, pass, jump),
        ...(called === undefined ? [] : [`“${called}” in the chart.`]),
        ...openingWords(item, stop, shop.unit)
      ].join(' '),
      note: saidIn(note, shop.unit),
      op: null,
      stop: {
        stopId: stop.id,
        machineNumber: stop.number,
        pass,
        role: stop.role,
        confidence: stop.confidence,
        charted: stop.chart?.colour ?? '',
        ...(called !== undefined && { called }),
        visible: seen.get(id) ?? stop.visible,
        protected: stop.protected,
        halts: stop.halts,
        jump,
        stitches: stitchesOf(stop),
        countSource: stop.countSource,
        ...(guessed && { guess: { factor: guessed.factor, items: guessed.items } }),
        upperMetres: upper.metres,
        bobbinMetres: bobbinThread(stop, known),
        threadSource: upper.source,
        needle,
        geometry: own
          ? {
              source: own.source,
              length: own.measure.length,
              density: own.measure.density,
              jumps: own.measure.jumps
            }
          : null
      },
      thread: stop.role === 'needle-cut' ? null : (findThread(item, stop.threadId) ?? null),
      needle: machine.needles > 1 ? (change?.needle ?? null) : null,
      hoop: state,
      hands: handsEstimate([sent ? [sent] : []], ownHands),
      running: guessed
        ? widened(needleEstimate([needle], ownMachine), 1, guessed.factor)
        : needleEstimate([needle], ownMachine),
      waiting: fromDefaults('waiting', 0),
      parts: sent ? [sent] : [],
      caution: STOP_CAUTION
    };
  }
}

/** What is on a needle that carries a chisel. */
const NO_THREAD = '';

/** The thread change before each stop’s step. */
function changesByStep(item: Item, machine: Machine): Map<string, ThreadChange> {
  const stops = item.steps.flatMap((step) => {
    if (step.kind === 'hand') {
      // A file run in between has its own thread, and the next stop needs its thread back.
      const threadId = stepDoes(step, 'stitch')?.run.threadId;
      return threadId === undefined ? [] : [{ stepId: step.id, threadId }];
    }
    const stop = findStop(item, step.stopId);
    // A stop the file does not have is never stitched, so it needs no thread.
    if (!stop || stop.number === null) return [];
    // A chisel takes the thread out of a single needle, so that the next stop has to thread it again.
    if (stop.role === 'needle-cut')
      return machine.needles === 1 ? [{ stepId: step.id, threadId: NO_THREAD }] : [];
    return [{ stepId: step.id, threadId: stop.threadId }];
  });
  const changes = threadChanges(
    stops.map(({ threadId }) => threadId),
    machine.needles,
    threadsOn(machine, item)
  );
  return new Map(
    stops.flatMap(({ stepId, threadId }, at) =>
      changes[at] && threadId !== NO_THREAD ? [[stepId, changes[at]] as const] : []
    )
  );
}

/** Where the machine must be sent before a stop’s step, in each file by itself. */
function jumpsByStep(item: Item): Map<string, Jump> {
  const jumps = new Map<string, Jump>();
  for (const { stops } of item.files) {
    const run = item.steps.flatMap((step) => {
      const stop = step.kind === 'stop' ? stops.find(({ id }) => id === step.stopId) : undefined;
      return stop && stop.number !== null ? [{ stepId: step.id, number: stop.number }] : [];
    });
    jumpsOf(run.map(({ number }) => number)).forEach((jump, at) => {
      const stepId = run[at]?.stepId;
      if (jump && stepId !== undefined) jumps.set(stepId, jump);
    });
  }
  return jumps;
}

function handPart(key: HandTimeKey, { hands }: Shop): PlanStep['parts'][number] {
  return { key, times: 1, seconds: hands[key] };
}

/** What is known of a stop’s thread: what its chart’s lengths mean, and whether its stitches were measured. */
export function knownOf(
  item: Item,
  stop: Stop,
  geometry: ReadonlyMap<string, StopGeometry>
): { meaning: 'used' | 'path' | undefined; measured: boolean } {
  const file = item.files.find(({ stops }) => stops.some(({ id }) => id === stop.id));
  return { meaning: file?.threadMeaning, measured: geometry.has(stop.id) };
}

/** What is said of a count that no chart gave. */
const COUNT_WORDS: Record<Stop['countSource'], string> = {
  chart: '',
  maker: '',
  geometry: ', measured on the lines',
  estimate: ', estimated',
  none: ''
};

function stopDetail(stop: Stop, pass: number, jump: Jump | null): string {
  if (stop.number === null) return 'Your chart has no row for this. Check which stop of your file does it.';
  const stitches = stitchesOf(stop);
  const count =
    stop.countSource === 'none'
      ? 'Stitch count unknown.'
      : `${stitches.toLocaleString('en')} stitches${COUNT_WORDS[stop.countSource]}.`;
  if (pass > 1) return `Send the machine back to stop ${stop.number} and run it again. ${count}`;
  return jump ? `${jumpWords(jump)} ${count}` : count;
}

/** What the row of the chart calls a stop, where that says more than its own name. */
function calledInChart({ name, chart }: Stop): string | undefined {
  const row = chart?.name.trim() ?? '';
  const [said, own] = [row.toLowerCase(), name.toLowerCase()];
  return row === '' || own.includes(said) || said.includes(own) ? undefined : row;
}
