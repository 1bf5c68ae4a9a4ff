import { type DetailColour, edgePhases, type ExpectedStop, type Pattern } from '$lib/core/craft/sequence';
import type { CountSource, Phase, Stop } from '$lib/core/documents/item';
import { DEFAULT_PACE } from '$lib/core/documents/shop';
import { colourOf } from '$lib/core/reading/evidence';
import type { ReadRow } from '$lib/core/reading/papers';
import type { ChartInput } from './input';
import type { Built } from './remarks';
import { capitalised, type ThreadRack } from './threadRack';

/** Stops as a chart has them, each on the expected stop it stands for; what the chart lacks gets no number. */
export function stopsFromChart(pattern: Pattern, chart: ChartInput, threads: ThreadRack): Built {
  const built: Built = { stops: [], byKey: new Map(), extras: [], named: new Map() };
  const expected = new Map(pattern.expected.map((stop) => [stop.key, stop]));
  const matchOf = new Map(chart.alignment.matches.map((match) => [match.line, match]));
  let before: Stop | undefined;

  chart.rows.forEach((row, at) => {
    const match = matchOf.get(row.line);
    const targets = (match?.keys ?? []).flatMap((key) => expected.get(key) ?? []);
    const [first] = targets;
    const { line, number, name, colour, stitches: charted, threadMetres } = row;
    const shown =
      row.seconds === undefined ? null : Math.round((row.seconds / 60) * (chart.pace ?? DEFAULT_PACE.single));
    const stitches = charted ?? shown;
    const role = first === undefined || acceptsRole(first, row.role) ? row.role : first.role;
    const becomesEdge = first !== undefined && first.role !== role && role === 'satin-edge';
    const stop: Stop = {
      id: `stop-${at + 1}`,
      ...(first && { expects: first.key }),
      number: number ?? at + 1,
      name: nameOf(row, targets),
      chart: { line, number, name, colour, stitches: charted, threadMetres },
      role,
      confidence: match?.fixed ? 1 : role === row.role ? row.confidence : 0.7,
      threadId: threads.take(colour || 'Not charted', colourOf(colour)),
      visible: first?.visible ?? 'unknown',
      countSource:
        stitches === null
          ? 'none'
          : charted === null || row.stitched?.from === 'drawing'
            ? 'estimate'
            : 'chart',
      phases: phasesOf(stitches ?? 0, becomesEdge ? CHARTED_EDGE : first?.estimate),
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

  for (const { key, again } of pattern.expected)
    if (again !== undefined && !built.byKey.has(key)) built.byKey.set(key, built.byKey.get(again) ?? []);
  for (const missing of pattern.expected) {
    if (built.byKey.has(missing.key) || missing.optional || missing.again !== undefined) continue;
    const stop = expectedStop(missing, `stop-${missing.key}`, null, 'none', threads.take('Your choice'));
    stop.phases = phasesOf(0, missing.estimate);
    built.stops.push(stop);
    built.byKey.set(missing.key, [stop]);
  }
  keepThreadsOn(pattern, built);
  return built;
}

/** Stops as the pattern expects them, with estimated counts. */
export function stopsFromPattern(pattern: Pattern, threads: ThreadRack): Built {
  const built: Built = { stops: [], byKey: new Map(), extras: [], named: new Map() };
  for (const expected of pattern.expected.filter(({ onlyCharted }) => !onlyCharted)) {
    const colours: (DetailColour | undefined)[] = expected.repeats
      ? (pattern.threads[expected.key] ?? pattern.threads[expected.threadOf ?? ''] ?? [])
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

/**
 * Gives each stop that will not be seen, or whose colour nobody has charted, the thread of the stop it follows. A charted
 * colour that will be seen is the maker’s.
 */
function keepThreadsOn(pattern: Pattern, built: Built): void {
  for (const { key, threadOf, visible } of pattern.expected) {
    const leader = threadOf === undefined ? undefined : built.byKey.get(threadOf)?.[0];
    // A leader the chart does not have says nothing about colour.
    if (!leader || leader.number === null) continue;
    for (const stop of built.byKey.get(key) ?? [])
      if (visible === 'hidden' || !stop.chart?.colour) stop.threadId = leader.threadId;
  }
}

function acceptsRole(expected: ExpectedStop, role: ReadRow['role']): boolean {
  return (
    expected.role === role ||
    expected.asCharted.includes(role) ||
    (expected.repeats && !expected.takesAny && expected.alsoRoles.includes(role))
  );
}

/** A satin edge that the pattern did not expect, as it comes in a file. */
const CHARTED_EDGE = edgePhases(1000, 4);

/**
 * A charted count laid out as the pattern knows the stop: each of its parts takes its share, with its own width and speed,
 * as the first pass of an edge that hands hold down.
 */
export function phasesOf(stitches: number, estimate: readonly Phase[] = []): Stop['phases'] {
  const all = estimate.reduce((sum, phase) => sum + phase.stitches, 0);
  const shaped = estimate.some(({ width }) => width !== undefined);
  if (!shaped || all === 0) return [{ stitches, attended: false }];
  let left = stitches;
  return estimate.map((phase, at) => {
    const share = at === estimate.length - 1 ? left : Math.round((stitches * phase.stitches) / all);
    left -= share;
    return { ...phase, stitches: share };
  });
}

/** Details keep the chart’s word; a stop the pattern names takes its name, two together both. */
function nameOf(row: ReadRow, targets: ExpectedStop[]): string {
  const own = capitalised(row.name || row.colour || 'Stop');
  if (targets.length === 0 || targets.some(({ repeats }) => repeats)) return own;
  return targets.map(({ name }, at) => (at === 0 ? name : name.toLowerCase())).join(' and ');
}
