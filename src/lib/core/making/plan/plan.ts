import { does } from '$lib/core/craft/operations';
import { jaggedness, pathLength, simplified } from '$lib/core/base/geometry';
import { InWords } from '$lib/core/base/problems';
import type { LengthUnit } from '$lib/core/base/units';
import { found, sentenceOf } from '$lib/core/craft/findings';
import { findStop, forVariant, type Item, type Step, type Stop, variantOf } from '$lib/core/documents/item';
import { type Plan, PLAN_VERSION, type PlanStep, type PlanWarning } from '$lib/core/documents/plan';
import {
  asTheDesignLies,
  bobbinKindOf,
  defaultSetup,
  type Hoop,
  type Machine,
  type Setup,
  type Shop
} from '$lib/core/documents/shop';
import { cutList } from '$lib/core/craft/sizes';
import { cutSizes, sidesOf, simulate, type StackStep, visibleThreads } from '$lib/core/craft/stack';
import {
  guessFor,
  handsEstimate,
  needleEstimate,
  sumEstimates,
  widened,
  withGuesses
} from '$lib/core/making/time';
import { type StopGeometry, withGeometry } from '$lib/core/stitching/stitches';
import { bobbinThread, upperThread } from '$lib/core/stitching/thread';
import { inOneColour } from './oneColour';
import { asStop } from './runStop';
import { withSpools } from './spools';
import { knownOf, planSteps } from './steps';

/** The variant, machine and hoop that a setup names, or the shop’s own choice where it names what is gone. */
interface Resolved {
  setup: Setup;
  machine: Machine;
  hoop: Hoop;
  warnings: PlanWarning[];
}

/**
 * Plans an item for a setup in a shop: the merged sheet with its wording, times, threads and cutting list.
 * A plan is a function of its arguments alone, so the same arguments give the same plan.
 *
 * @param item what to make
 * @param setup how it is made this time; the shop’s own choice where missing
 * @param shop machines, hoops, hand times, unit
 * @throws RangeError when the shop has no machine or no hoop
 *
 * @example
 * plan(badgerTab, undefined, shop).totals.needle.value // 492 s on one needle at 400 spm
 */
export function plan(item: Item, setup: Setup | undefined, shop: Shop): Plan {
  return planAndTrace(item, setup, shop).plan;
}

/** A plan with what it was made from: the item as the chosen variant has it, and its hoop after every step. */
export interface PlanAndTrace {
  plan: Plan;
  trace: StackStep[];
  item: Item;
  /** How far a cut of this maker strays from its line, mm. */
  cutAccuracy: number;
  /** The hoops of the shop. */
  hoops: readonly Hoop[];
}

/** Plans an item as `plan` does, and gives the simulated hoop beside it. */
export function planAndTrace(whole: Item, setup: Setup | undefined, shop: Shop): PlanAndTrace {
  refuseSpikes(whole);
  const resolved = resolve(whole, setup, shop);
  const drawn = asFollowed(whole);
  const { machine, hoop } = resolved;
  const variant = variantOf(whole, resolved.setup.variantId);
  if (!variant) throw new RangeError('An item needs a variant.');
  const counts = shop.learned?.counts;
  const { item, geometry } = withGeometry(
    withGuesses(inOneColour(withSpools(forVariant(drawn, variant.id), resolved.setup)), counts)
  );
  const cuts = cutList(item, hoop, shop, resolved.setup.copies);
  const trace = simulate(item, cutSizes(cuts));
  const steps = planSteps(item, shop, machine, hoop, {
    seen: seenThreads(trace),
    geometry,
    person: resolved.setup.person ?? '',
    turned: resolved.setup.turned === true,
    guess: (stop) => guessFor(stop, item.house, counts)
  });
  const stops = steps.flatMap(({ stop }) => stop ?? []);
  const threads = threadUse(item, geometry);
  const warnings: PlanWarning[] = [
    ...resolved.warnings,
    ...item.remarks.map(({ code, severity, stepId, values }) => ({
      code,
      severity,
      stepId: stepId ?? null,
      text: sentenceOf(code, values)
    })),
    ...guessed(steps, shop.unit)
  ];
  const planned: Plan = {
    schema: 'jolt-step/plan',
    version: PLAN_VERSION,
    itemId: item.id,
    itemName: item.name,
    variant: { id: variant.id, name: variant.name },
    unit: shop.unit,
    finished: variant.finished,
    copies: resolved.setup.copies,
    machine: { id: machine.id, name: machine.name, needles: machine.needles, setSpm: machine.setSpm },
    hoop: {
      id: hoop.id,
      name: hoop.name,
      field: hoop.field,
      ring: hoop.ring,
      ...(resolved.setup.turned === true && { turned: true })
    },
    steps,
    totals: totalsOf(steps, shop, machine.id, resolved.setup.person ?? ''),
    // A file run in between stitches too, though it is no stop of this one.
    stitches: total([
      ...stops.map(({ stitches }) => stitches),
      ...steps.map(({ op }) => does(op, 'stitch')?.run.stitches ?? 0)
    ]),
    upperMetres: total(threads.map(({ upperMetres }) => upperMetres)),
    bobbinMetres: total(threads.map(({ bobbinMetres }) => bobbinMetres)),
    bobbin: bobbinKindOf(shop, resolved.setup),
    ...(resolved.setup.bobbinOn && { bobbinOn: resolved.setup.bobbinOn }),
    threads,
    cuts,
    warnings
  };
  return { plan: planned, trace, item, cutAccuracy: shop.cutAccuracy, hoops: shop.hoops };
}

const total = (values: readonly number[]): number => values.reduce((sum, value) => sum + value, 0);

/** Points from which a line is taken as exactly as it can be followed, and how exactly that is, mm. */
const MANY_POINTS = 1000;
const FOLLOWED_MM = 0.01;

/** An item whose lines have no more points than a needle or a blade could follow. */
function asFollowed(item: Item): Item {
  if (item.lines.every(({ path }) => path.points.length <= MANY_POINTS)) return item;
  const lines = item.lines.map((line) =>
    line.path.points.length > MANY_POINTS ? { ...line, path: simplified(line.path, FOLLOWED_MM) } : line
  );
  return { ...item, lines };
}

/** Times the way round its own box beyond which a line is no outline, but a drawing that went wrong. */
const MOST_SPIKES = 80;

/** @throws InWords where a line is all spikes: nobody could cut or stitch it, and nothing could be said of it in time */
function refuseSpikes({ lines }: Item): void {
  for (const { name, path } of lines) {
    if (jaggedness(path) <= MOST_SPIKES) continue;
    const metres = Math.round(pathLength(path) / 1000);
    throw new InWords(
      `The line “${name}” is all spikes: ${metres} m long, ${path.points.length.toLocaleString('en')} points. Bring a plainer drawing of it.`
    );
  }
}

/** Totals by kind; with what was learned, errors that do not go together are not added up. */
function totalsOf(steps: PlanStep[], { learned }: Shop, machineId: string, person: string): Plan['totals'] {
  const hands = learned?.people[person];
  const machine = learned?.machines[machineId];
  const needle = steps.flatMap(({ stop }) => stop?.needle ?? []);
  return {
    hands: hands
      ? handsEstimate(
          steps.map(({ parts }) => parts),
          hands
        )
      : sumEstimates(
          'hands',
          steps.map((step) => step.hands)
        ),
    needle:
      machine && steps.every(({ stop, running }) => stop !== null || running.value === 0)
        ? widened(needleEstimate(needle, machine), guessedShare(steps), guessedFactor(steps))
        : sumEstimates(
            'needle',
            steps.map(({ running }) => running)
          ),
    waiting: sumEstimates(
      'waiting',
      steps.map(({ waiting }) => waiting)
    )
  };
}

/** Share of the needle time that rests on counts nobody has charted. */
function guessedShare(steps: PlanStep[]): number {
  const all = steps.reduce((sum, { running }) => sum + running.value, 0);
  const guessed = steps.reduce(
    (sum, { stop, running }) => sum + (stop?.countSource === 'estimate' ? running.value : 0),
    0
  );
  return all > 0 ? guessed / all : 0;
}

/** The widest range of a count that nobody has charted. */
function guessedFactor(steps: PlanStep[]): number {
  return Math.max(1, ...steps.flatMap(({ stop }) => stop?.guess?.factor ?? []));
}

/** Fewer guessed stitches than these, as a few marks have, are not worth a word. */
const WORTH_SAYING = 200;

/** What rests on counts that nobody has charted, and how far that may be off. */
function guessed(steps: PlanStep[], unit: LengthUnit): PlanWarning[] {
  const stops = steps.flatMap(({ stop }) => (stop?.guess ? { ...stop, guess: stop.guess } : []));
  if (stops.reduce((sum, { stitches }) => sum + stitches, 0) < WORTH_SAYING) return [];
  const sum = (of: (stop: (typeof stops)[number]) => number): number =>
    stops.reduce((total, stop) => total + of(stop), 0);
  const { code, severity, stepId, text } = found('chart/guessed', null, {
    stops: stops.length,
    items: Math.max(...stops.map(({ guess }) => guess.items)),
    stitches: sum(({ stitches }) => stitches),
    low: Math.round(sum(({ stitches, guess }) => stitches / guess.factor)),
    high: Math.round(sum(({ stitches, guess }) => stitches * guess.factor)),
    threadLowM: Math.round(sum(({ upperMetres, guess }) => upperMetres / guess.factor)),
    threadHighM: Math.ceil(sum(({ upperMetres, guess }) => upperMetres * guess.factor)),
    bobbinLowM: Math.round(sum(({ bobbinMetres, guess }) => bobbinMetres / guess.factor)),
    bobbinHighM: Math.ceil(sum(({ bobbinMetres, guess }) => bobbinMetres * guess.factor)),
    unit
  });
  return [{ code, severity, stepId, text }];
}

/** Where the thread of each stop is seen in the end, by step; unknown while the work never leaves the ring. */
function seenThreads(trace: StackStep[]): Map<string, Stop['visible']> {
  const last = trace.at(-1)?.state;
  if (!last || last.hoop.where !== 'unhooped') return new Map();
  return new Map(visibleThreads(last).map((seen) => [seen.stepId, sidesOf(seen)]));
}

function resolve(item: Item, wanted: Setup | undefined, shop: Shop): Resolved {
  const standard = defaultSetup(item, shop, wanted?.variantId);
  const setup = wanted ?? standard;
  const machine =
    shop.machines.find(({ id }) => id === setup.machineId) ??
    shop.machines.find(({ id }) => id === standard.machineId);
  const hoop =
    shop.hoops.find(({ id }) => id === setup.hoopId) ?? shop.hoops.find(({ id }) => id === standard.hoopId);
  if (!machine || !hoop) throw new RangeError('A shop needs a machine and a hoop.');
  const warnings: PlanWarning[] = [];
  const gone = (what: string, used: string): void => {
    const { code, severity, stepId, text } = found('setup/gone', null, { what, used });
    warnings.push({ code, severity, stepId, text });
  };
  if (machine.id !== setup.machineId) gone('machine', machine.name);
  if (hoop.id !== setup.hoopId) gone('hoop', hoop.name);
  return { setup, machine, hoop: asTheDesignLies(hoop, setup.turned === true), warnings };
}

/** Upper thread by thread, in the order of first use, a stop that runs twice counted twice. */
function threadUse(item: Item, geometry: ReadonlyMap<string, StopGeometry>): Plan['threads'] {
  const uses = new Map<string, Plan['threads'][number]>();
  for (const step of item.steps) {
    const stop = stopOf(step, item);
    const thread = stop && item.threads.find(({ id }) => id === stop.threadId);
    if (!stop || !thread || stop.role === 'needle-cut') continue;
    const use = uses.get(thread.id) ?? { thread, upperMetres: 0, bobbinMetres: 0, stops: 0 };
    const known = knownOf(item, stop, geometry);
    use.upperMetres += upperThread(stop, known).metres;
    use.bobbinMetres += bobbinThread(stop, known);
    use.stops += 1;
    uses.set(thread.id, use);
  }
  return [...uses.values()];
}

/** The stop of a step, a file run in between counted as the stop it is. */
function stopOf(step: Step, item: Item): Stop | undefined {
  if (step.kind === 'stop') return findStop(item, step.stopId);
  const run = does(step.op, 'stitch')?.run;
  return run && run.stitches > 0 ? asStop(run) : undefined;
}
