import { z } from 'zod';
import { Operation } from '$lib/core/documents/item';
import { type Construction, usualAnswers } from './construction';
import { layeredMat } from './layeredMat';
import type { Pattern, PatternEntry } from './pattern';
import { snapTab } from './snapTab';
import { topper } from './topper';
import { turnedFlat } from './turnedFlat';
import { type AnswersOf, choice, text, thread } from './fields';

const FIELDS = {
  base: choice(
    'The item',
    {
      'turned-flat': 'Turned flat item',
      'snap-tab': 'Snap tab',
      'layered-mat': 'Layered mat',
      topper: 'Topper on a towel'
    },
    'turned-flat'
  ),
  name: text('Name or monogram', z.string().trim().min(1, 'write the name').max(40).default('Bramble')),
  thread: thread('Thread of the name', 'Burgundy', '#6d1f31')
};
type Params = AnswersOf<typeof FIELDS>;

/** Stitches of a name, for each letter. */
const STITCHES_A_LETTER = 220;

/** A second design, as a name, run in the middle of the first. */
export const namedItem: Construction<typeof FIELDS> = {
  kind: 'named-item',
  name: 'Item with a name run in between',
  summary:
    'A tab, turned item, mat or topper whose name is a file of its own, stitched before the surface is covered.',
  fields: FIELDS,
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
      return snapTab.pattern(usualAnswers(snapTab, { width: 70, height: 90, shape: 'rounded' }));
    case 'turned-flat':
      return turnedFlat.pattern(usualAnswers(turnedFlat, { school: 'pieced' }));
    case 'layered-mat':
      return layeredMat.pattern(usualAnswers(layeredMat, { lettering: 'no' }));
    case 'topper':
      return topper.pattern(usualAnswers(topper, {}));
  }
}
