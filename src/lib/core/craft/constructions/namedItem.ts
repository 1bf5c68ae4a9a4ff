import { z } from 'zod';
import { Operation } from '$lib/core/documents/item';
import { ask, thread } from './answers';
import type { Construction } from './construction';
import { layeredMat } from './layeredMat';
import type { Pattern, PatternEntry } from './pattern';
import { snapTab } from './snapTab';
import { topper } from './topper';
import { turnedFlat } from './turnedFlat';

const Params = z.object({
  base: z.enum(['snap-tab', 'turned-flat', 'layered-mat', 'topper']).default('turned-flat'),
  name: z.string().trim().min(1, 'write the name').max(40).default('Bramble'),
  thread: thread('Burgundy', '#6d1f31')
});
type Params = z.output<typeof Params>;

/** Stitches of a name, for each letter. */
const STITCHES_A_LETTER = 220;

/** A second design, as a name, run in the middle of the first. */
export const namedItem: Construction<typeof Params> = {
  kind: 'named-item',
  name: 'Item with a name run in between',
  summary:
    'A tab, turned item, mat or topper whose name is a file of its own, stitched before the surface is covered.',
  params: Params,
  questions: [
    ask.choice('base', 'The item', {
      'turned-flat': 'Turned flat item',
      'snap-tab': 'Snap tab',
      'layered-mat': 'Layered mat',
      topper: 'Topper on a towel'
    }),
    { key: 'name', kind: 'text', label: 'Name or monogram' },
    ask.thread('thread', 'Thread of the name')
  ],
  pattern
};

function pattern(p: Params): Pattern {
  const base = baseOf(p.base);
  const place = base.name;
  if (!place) return base;
  const run: PatternEntry = {
    kind: 'hand',
    id: 'name-run',
    op: Operation.parse({
      do: 'insert-run',
      fileName: p.name,
      pieceId: place.pieceId,
      lineId: place.lineId,
      threadId: 'thread:name',
      stitches: p.name.length * STITCHES_A_LETTER
    }),
    needs: [place.after]
  };
  const entries = base.entries.flatMap((entry) =>
    (entry.kind === 'stop' ? entry.key : entry.id) === place.after ? [entry, run] : [entry]
  );
  // What covers the surface, or follows on it, waits for the name.
  const at = entries.indexOf(run);
  const next = entries.findIndex(
    (entry, index) => index > at && entry.kind === 'hand' && entry.op.do === 'lay'
  );
  return {
    ...base,
    threads: { ...base.threads, name: [p.thread] },
    entries: entries.map((entry, index) =>
      index === next ? { ...entry, needs: [...(entry.needs ?? []), 'name-run'] } : entry
    )
  };
}

function baseOf(kind: Params['base']): Pattern {
  switch (kind) {
    case 'snap-tab':
      return snapTab.pattern(snapTab.params.parse({ width: 70, height: 90, shape: 'rounded' }));
    case 'turned-flat':
      return turnedFlat.pattern(turnedFlat.params.parse({ school: 'pieced' }));
    case 'layered-mat':
      return layeredMat.pattern(layeredMat.params.parse({ lettering: 'no' }));
    case 'topper':
      return topper.pattern(topper.params.parse({}));
  }
}
