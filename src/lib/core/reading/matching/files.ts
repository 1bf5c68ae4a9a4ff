import type { Pattern } from '$lib/core/craft/sequence';
import type { Item, Stop } from '$lib/core/documents/item';
import type { AssembleInput } from './input';
import type { Built } from './remarks';

/** A file of the item, and the file of the pattern it is. */
export interface BuiltFile {
  key: string | null;
  file: Item['files'][number];
}

/**
 * The files of an item. A pattern of several files becomes as many where nothing is charted, or where the chart’s
 * numbers begin anew; a chart that counts through is one file. Without a chart each file counts from 1, what it skips
 * included.
 */
export function filesOf(pattern: Pattern, { stops, extras }: Built, input: AssembleInput): BuiltFile[] {
  const several = pattern.files.length > 1 && (!input.chart || beginsAnew(stops));
  const keys = several ? pattern.files.map(({ key }) => key) : [null];
  const fileOfKey = new Map(pattern.expected.map(({ key, file }) => [key, file ?? null]));
  const isExtra = new Set(extras.map(({ stop }) => stop));
  const own = new Map<string | null, Stop[]>(keys.map((key) => [key, []]));
  let before = keys[0] ?? null;
  for (const stop of stops) {
    const wanted = isExtra.has(stop) ? before : (fileOfKey.get(stop.expects ?? '') ?? null);
    const key = several && wanted !== null && own.has(wanted) ? wanted : (keys[0] ?? null);
    own.get(key)?.push(stop);
    before = key;
  }
  let passed = 0;
  return keys.map((key, at) => {
    const made = own.get(key) ?? [];
    const { name, skips = 0 } = pattern.files.find((each) => each.key === key) ?? {};
    if (!input.chart && several)
      made.forEach((stop, index) => {
        stop.number = skips + index + 1;
      });
    // Of a charted file that begins later, what comes before is passed over.
    const passedOver = input.chart ? Math.min(skips, (made[0]?.number ?? 1) - 1) : skips;
    const behind = passed;
    passed += skips;
    return {
      key,
      file: {
        id: `file-${at + 1}`,
        variantId: pattern.variant.id,
        name: several ? `${input.name}, ${(name ?? '').toLowerCase()}` : input.name,
        ...(pattern.oneColour && { oneColour: true }),
        ...(input.chart &&
          at === 0 && {
            source: {
              ...(input.chart.source ?? { kind: 'pasted-chart' as const }),
              text: input.chart.text,
              setAside: input.chart.setAside
            }
          }),
        ...(input.chart?.meaning && { threadMeaning: input.chart.meaning }),
        stops: [...skippedStops(passedOver, behind, made[0]), ...made]
      }
    };
  });
}

/** Whether a chart’s numbers start from the beginning again. */
function beginsAnew(stops: readonly Stop[]): boolean {
  const numbers = stops.flatMap(({ chart, number }) => (chart ? (number ?? []) : []));
  return numbers.some((number, at) => at > 0 && number === 1);
}

/** Stops at the start of a file that the maker passes over, behind those of files before it. */
function skippedStops(skips: number, passed: number, like: Stop | undefined): Stop[] {
  if (!like) return [];
  return Array.from({ length: skips }, (_, at): Stop => {
    const { confidence, threadId } = like;
    return {
      confidence,
      threadId,
      id: `skipped-${passed + at + 1}`,
      number: at + 1,
      name: 'Stitched already',
      role: 'placement',
      visible: 'hidden',
      countSource: 'none',
      phases: [{ stitches: 0, attended: false }],
      lineIds: [],
      halts: false,
      protected: false,
      through: false
    };
  });
}
