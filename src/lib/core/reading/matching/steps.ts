import type { Pattern, PatternEntry } from '$lib/core/craft/sequence';
import type { Operation, Step, Stop } from '$lib/core/documents/item';
import type { BuiltFile } from './files';
import type { Built } from './remarks';

type HandEntry = Extract<PatternEntry, { kind: 'hand' }>;

/**
 * Walks the pattern: hand steps as they stand, each stop once. Between several rows of one stop its own hand steps come;
 * a file that is not there need not be loaded.
 */
export function stepsOf(pattern: Pattern, built: Built, files: readonly BuiltFile[]): Step[] {
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
    return id;
  };

  const needsOf = (needs: string[] = []): string[] =>
    needs.flatMap((need) => stepIdsOf.get(need) ?? []).filter((id, at, all) => all.indexOf(id) === at);

  const addHand = (
    { op, note = '' }: Pick<HandEntry, 'op' | 'note'>,
    id: string,
    needs: string[],
    hoopingId: string,
    own?: Stop
  ): void => {
    handsSince = steps.length + 1;
    const threadOf = (key: string): string | undefined =>
      own && key === 'this' ? own.threadId : built.byKey.get(key)?.[0]?.threadId;
    steps.push({ kind: 'hand', id, hoopingId, needs, note, op: withThread(op, threadOf, built.named) });
  };
  const fileOf = new Map(files.map(({ key, file }) => [`file:${key ?? ''}`, file.id]));
  const betweenOf = new Map(pattern.expected.map(({ key, between }) => [key, between]));

  for (const entry of pattern.entries) {
    const hoopingId = entry.hoopingId ?? hooping;
    if (entry.kind === 'stop') {
      const needs = needsOf(entry.needs);
      let last: string | undefined;
      const stops = built.byKey.get(entry.key) ?? [];
      const ids = stops.map((stop, at) => {
        // Between two of one colour nothing is threaded or wound.
        const alike = stops[at - 1]?.threadId === stop.threadId;
        for (const between of at === 0 || alike ? [] : (betweenOf.get(entry.key) ?? [])) {
          if (between.kind !== 'hand') continue;
          const id = `${between.id}-${at + 1}`;
          addHand(between, id, last === undefined ? needs : [last], hoopingId, stop);
          last = id;
        }
        const id = addStop(stop, last === undefined ? needs : [...needs, last], hoopingId);
        if (last !== undefined || betweenOf.get(entry.key)?.length) last = id;
        return id;
      });
      // What needs a stop that the item does not have needs what that stop needed.
      stepIdsOf.set(entry.key, ids.length > 0 ? ids : needs);
    } else {
      const needs = needsOf(entry.needs);
      const loads = entry.op.do === 'load-file' ? fileOf.get(entry.op.fileId) : undefined;
      if (entry.op.do === 'load-file' && loads === undefined) {
        // What needs a file that is not there needs what its loading needed.
        stepIdsOf.set(entry.id, needs);
        continue;
      }
      stepIdsOf.set(entry.id, [entry.id]);
      const op = loads === undefined ? entry.op : { do: 'load-file' as const, fileId: loads };
      addHand({ ...entry, op }, entry.id, needs, hoopingId);
    }
  }
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
  if (!('threadId' in op) || op.threadId === undefined) return op;
  const [from, key] = op.threadId.split(':');
  const threadId = from === 'stop' ? ofStop(key ?? '') : named.get(key ?? '');
  if (op.do === 'thread') return { ...op, threadId: threadId ?? op.threadId };
  return { ...op, threadId };
}
