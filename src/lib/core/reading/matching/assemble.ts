import type { DetailColour, ExpectedStop, Pattern } from '$lib/core/craft/constructions';
import {
  type CountSource,
  type Item,
  ITEM_VERSION,
  type Operation,
  type Step,
  type Stop,
  type Thread,
  comparedName
} from '$lib/core/documents/item';
import { colourOf, type ReadRow, UNKNOWN_COLOUR } from '$lib/core/reading/papers';
import type { Alignment } from './align';
import { type Built, remarksOf } from './remarks';

/** The chart an item is made from: the text as it was pasted, its rows and where they belong. */
export interface ChartInput {
  source?: { kind: 'pasted-chart' | 'pdf-chart' | 'drawing' | 'stitch-list'; name?: string };
  /** What its thread lengths mean, where the maker or the reader knows. */
  meaning?: 'used' | 'path';
  text: string;
  setAside: number[];
  rows: ReadRow[];
  alignment: Alignment;
}

export interface AssembleInput {
  id: string;
  name: string;
  /** Time of making, ISO 8601. */
  now: string;
  construction: string;
  params: Record<string, unknown>;
  chart?: ChartInput;
}

/**
 * Makes an item from a construction’s pattern: its stops take numbers, counts and colours from the chart
 * where there is one, and estimated counts where there is none.
 *
 * @returns a whole item; what the chart left open is said in `remarks`
 *
 * @example
 * assemble(pattern, { id: 'tab', name: 'Badger tab', now, construction: 'snap-tab', params, chart }).steps.length
 */
export function assemble(pattern: Pattern, input: AssembleInput): Item {
  const threads = new ThreadRack();
  const built = input.chart
    ? stopsFromChart(pattern, input.chart, threads)
    : stopsFromPattern(pattern, threads);
  const expectedKeys = new Set(pattern.expected.map(({ key }) => key));
  for (const [key, [colour]] of Object.entries(pattern.threads)) {
    if (!expectedKeys.has(key) && colour) built.named.set(key, threads.take(colour.name, colour.colour));
  }
  const steps = stepsOf(pattern, built);
  return {
    schema: 'jolt-step/item',
    version: ITEM_VERSION,
    id: input.id,
    name: input.name,
    note: '',
    construction: input.construction,
    params: input.params,
    createdAt: input.now,
    updatedAt: input.now,
    threads: threads.all,
    variants: [pattern.variant],
    hoopings: pattern.hoopings,
    files: [
      {
        id: 'file-1',
        variantId: pattern.variant.id,
        name: input.name,
        ...(input.chart && {
          source: {
            ...(input.chart.source ?? { kind: 'pasted-chart' as const }),
            text: input.chart.text,
            setAside: input.chart.setAside
          },
          ...(input.chart.meaning && { threadMeaning: input.chart.meaning })
        }),
        stops: built.stops
      }
    ],
    lines: pattern.lines,
    pieces: pattern.pieces,
    steps,
    remarks: remarksOf(pattern, built, steps),
    answers: []
  };
}

function stopsFromChart(pattern: Pattern, chart: ChartInput, threads: ThreadRack): Built {
  const built: Built = { stops: [], byKey: new Map(), extras: [], named: new Map() };
  const expected = new Map(pattern.expected.map((stop) => [stop.key, stop]));
  const matchOf = new Map(chart.alignment.matches.map((match) => [match.line, match]));
  let before: Stop | undefined;

  chart.rows.forEach((row, at) => {
    const match = matchOf.get(row.line);
    const targets = (match?.keys ?? []).flatMap((key) => expected.get(key) ?? []);
    const [first] = targets;
    const { line, number, name, colour, stitches, threadMetres } = row;
    const role = first === undefined || acceptsRole(first, row.role) ? row.role : first.role;
    const stop: Stop = {
      id: `stop-${at + 1}`,
      ...(first && { expects: first.key }),
      number: number ?? at + 1,
      name: nameOf(row, targets),
      chart: { line, number, name, colour, stitches, threadMetres },
      role,
      confidence: match?.fixed ? 1 : role === row.role ? row.confidence : 0.7,
      threadId: threads.take(colour || 'Not charted', colourOf(colour)),
      visible: first?.visible ?? 'unknown',
      countSource: stitches === null ? 'none' : row.stitched?.from === 'drawing' ? 'estimate' : 'chart',
      phases: [phaseOf(stitches ?? 0, first)],
      ...linesOf(row, targets),
      halts: true,
      protected: targets.some((target) => target.protected),
      through: targets.some((target) => target.through)
    };
    built.stops.push(stop);
    if (targets.length === 0) built.extras.push({ stop, after: before });
    for (const { key } of targets) built.byKey.set(key, [...(built.byKey.get(key) ?? []), stop]);
    before = stop;
  });

  for (const missing of pattern.expected) {
    if (built.byKey.has(missing.key) || missing.optional) continue;
    const stop = expectedStop(missing, `stop-${missing.key}`, null, 'none', threads.take('Your choice'));
    stop.phases = [phaseOf(0, missing)];
    built.stops.push(stop);
    built.byKey.set(missing.key, [stop]);
  }
  keepThreadsOn(pattern, built);
  return built;
}

function stopsFromPattern(pattern: Pattern, threads: ThreadRack): Built {
  const built: Built = { stops: [], byKey: new Map(), extras: [], named: new Map() };
  for (const expected of pattern.expected) {
    const colours: (DetailColour | undefined)[] = expected.repeats
      ? (pattern.threads[expected.key] ?? [])
      : [pattern.threads[expected.threadOf ?? expected.key]?.[0]];
    colours.forEach((colour, at) => {
      const number = built.stops.length + 1;
      const thread = threads.take(colour?.name ?? 'Your choice', colour?.colour);
      const stop = expectedStop(expected, `stop-${number}`, number, 'estimate', thread);
      if (expected.repeats) stop.name = colours.length > 1 ? `${expected.one} ${at + 1}` : expected.one;
      built.stops.push(stop);
      built.byKey.set(expected.key, [...(built.byKey.get(expected.key) ?? []), stop]);
    });
  }
  return built;
}

/**
 * Where a stop stitches. A line of the pattern says more than a drawing of it; a stop the pattern does not bound, and
 * any stop of a stitch list, keeps its own stitches.
 */
function linesOf({ stitched }: ReadRow, targets: ExpectedStop[]): Pick<Stop, 'lineIds' | 'stitched'> {
  const lineIds = [...new Set(targets.flatMap((target) => target.lineIds))];
  if (!stitched) return { lineIds };
  const isDetail = targets.length === 0 || targets.some(({ repeats }) => repeats);
  if (stitched.from === 'drawing' && lineIds.length > 0 && !isDetail) return { lineIds };
  return { lineIds: isDetail ? [] : lineIds, stitched };
}

function expectedStop(
  expected: ExpectedStop,
  id: string,
  number: number | null,
  countSource: CountSource,
  threadId: string
): Stop {
  const { key, name, role, visible, lineIds } = expected;
  return {
    id,
    expects: key,
    number,
    name,
    role,
    confidence: 1,
    threadId,
    visible,
    countSource,
    phases: expected.estimate,
    lineIds,
    halts: true,
    protected: expected.protected,
    through: expected.through
  };
}

/** Gives each stop whose colour is never seen, or must match, the thread of the stop it follows. */
function keepThreadsOn(pattern: Pattern, built: Built): void {
  for (const { key, threadOf } of pattern.expected) {
    const leader = threadOf === undefined ? undefined : built.byKey.get(threadOf)?.[0];
    // A leader the chart does not have says nothing about colour.
    if (!leader || leader.number === null) continue;
    for (const stop of built.byKey.get(key) ?? []) stop.threadId = leader.threadId;
  }
}

/** Walks the pattern: hand steps as they stand, each stop once, extra stops behind the row before them. */
function stepsOf(pattern: Pattern, built: Built): Step[] {
  const steps: Step[] = [];
  const hooping = pattern.hoopings[0]?.id ?? 'hooping-1';
  const stepIdsOf = new Map<string, string[]>();
  const lastIndexOf = new Map<Stop, number>();
  const passesOf = new Map<Stop, number>();
  let handsSince = 0;

  const addStop = (stop: Stop, needs: string[], hoopingId: string): string => {
    const before = lastIndexOf.get(stop);
    // One row for two stops with no hand step between them is stitched once.
    if (before !== undefined && before >= handsSince) return steps[before]?.id ?? stop.id;
    const pass = (passesOf.get(stop) ?? 0) + 1;
    const id = pass === 1 ? stop.id : `${stop.id}-again-${pass}`;
    passesOf.set(stop, pass);
    lastIndexOf.set(stop, steps.length);
    steps.push({ kind: 'stop', id, hoopingId, needs, note: '', stopId: stop.id, pass });
    for (const extra of built.extras) {
      if (extra.after === stop && pass === 1) addStop(extra.stop, [], hoopingId);
    }
    return id;
  };

  const needsOf = (needs: string[] = []): string[] =>
    needs.flatMap((need) => stepIdsOf.get(need) ?? []).filter((id, at, all) => all.indexOf(id) === at);

  let leading = built.extras.filter(({ after }) => after === undefined);
  for (const entry of pattern.entries) {
    const hoopingId = entry.hoopingId ?? hooping;
    if (entry.kind === 'stop') {
      for (const { stop } of leading) addStop(stop, [], hoopingId);
      leading = [];
      const needs = needsOf(entry.needs);
      const ids = (built.byKey.get(entry.key) ?? []).map((stop) => addStop(stop, needs, hoopingId));
      // What needs a stop that the item does not have needs what that stop needed.
      stepIdsOf.set(entry.key, ids.length > 0 ? ids : needs);
    } else {
      handsSince = steps.length + 1;
      stepIdsOf.set(entry.id, [entry.id]);
      const needs = needsOf(entry.needs);
      const op = withThread(entry.op, (key) => built.byKey.get(key)?.[0]?.threadId, built.named);
      steps.push({ kind: 'hand', id: entry.id, hoopingId, needs, note: entry.note ?? '', op });
    }
  }
  markHalts(steps, built.stops);
  return steps;
}

/**
 * A construction names the thread of a hand step by the stop it goes with (`stop:KEY`) or as one of its own
 * (`thread:KEY`); here it becomes a thread of the item.
 */
function withThread(
  op: Operation,
  ofStop: (key: string) => string | undefined,
  named: Map<string, string>
): Operation {
  if (op.do !== 'bobbin' && op.do !== 'insert-run') return op;
  if (op.threadId === undefined) return op;
  const [from, key] = op.threadId.split(':');
  const threadId = from === 'stop' ? ofStop(key ?? '') : named.get(key ?? '');
  return { ...op, threadId };
}

/** A machine must halt after every stop that hands follow. */
function markHalts(steps: Step[], stops: Stop[]): void {
  const halting = new Set(
    steps.flatMap((step, at) => (step.kind === 'stop' && steps[at + 1]?.kind !== 'stop' ? [step.stopId] : []))
  );
  for (const stop of stops) stop.halts = halting.has(stop.id);
}

function acceptsRole(expected: ExpectedStop, role: ReadRow['role']): boolean {
  return expected.role === role || (expected.repeats && expected.alsoRoles.includes(role));
}

/** Counts of one row as a phase; a satin’s stitches are as long as it is wide, which the pattern knows. */
function phaseOf(stitches: number, expected: ExpectedStop | undefined): Stop['phases'][number] {
  const { length, width } = expected?.estimate[0] ?? {};
  return width === undefined ? { stitches, attended: false } : { stitches, length, width, attended: false };
}

/** Details keep the chart’s word; a stop the pattern names takes its name, two together both. */
function nameOf(row: ReadRow, targets: ExpectedStop[]): string {
  const own = capitalised(row.name || row.colour || 'Stop');
  if (targets.length === 0 || targets.some(({ repeats }) => repeats)) return own;
  return targets.map(({ name }, at) => (at === 0 ? name : name.toLowerCase())).join(' and ');
}

function capitalised(text: string): string {
  return text.charAt(0).toUpperCase() + text.slice(1);
}

/** Threads by name, each once. */
class ThreadRack {
  readonly all: Thread[] = [];

  take(name: string, colour = UNKNOWN_COLOUR): string {
    const shown = capitalised(name.trim());
    const found = this.all.find((thread) => comparedName(thread.name) === comparedName(shown));
    if (found) return found.id;
    const id = `thread-${this.all.length + 1}`;
    this.all.push({ id, name: shown.slice(0, 80), colour });
    return id;
  }
}
