import type { Pattern } from '$lib/core/craft/sequence';
import { type Item, ITEM_VERSION, type Step, type Stop } from '$lib/core/documents/item';
import type { AssembleInput } from './input';
import { placeExtras } from './extras';
import { filesOf } from './files';
import { remarksOf } from './remarks';
import { stepsOf } from './steps';
import { stopsFromChart, stopsFromPattern } from './stops';
import { ThreadRack } from './threadRack';

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
  const files = filesOf(pattern, built, input);
  for (const [key, [colour]] of Object.entries(pattern.threads)) {
    if (!expectedKeys.has(key) && colour) built.named.set(key, threads.take(colour.name, colour.colour));
  }
  const steps = placeExtras(stepsOf(pattern, built, files), built.extras, pattern.pieces);
  markHalts(steps, built.stops);
  return {
    schema: 'jolt-step/item',
    version: ITEM_VERSION,
    id: input.id,
    name: input.name,
    note: '',
    ...(input.house && { house: input.house }),
    construction: input.construction,
    params: input.params,
    createdAt: input.now,
    updatedAt: input.now,
    threads: threads.all,
    variants: [pattern.variant],
    hoopings: pattern.hoopings,
    files: files.map(({ file }) => file),
    lines: pattern.lines,
    pieces: pattern.pieces,
    steps,
    remarks: remarksOf(pattern, built, steps),
    answers: []
  };
}

/** A machine must halt after every stop that hands follow. */
function markHalts(steps: Step[], stops: Stop[]): void {
  const halting = new Set(
    steps.flatMap((step, at) => (step.kind === 'stop' && steps[at + 1]?.kind !== 'stop' ? [step.stopId] : []))
  );
  for (const stop of stops) stop.halts = halting.has(stop.id);
}
