import { z } from 'zod';
import { extents } from '$lib/core/base/geometry';
import type { Block } from '$lib/core/documents/item';
import { type AnswersOf, choice, type Sequence, text, thread } from '$lib/core/craft/sequence';
import { type Construction, partsOf, usualAnswers } from './construction';
import { layeredMat } from './layeredMat';
import { snapTab } from './snapTab';
import { topper } from './topper';
import { turnedFlat } from './turnedFlat';

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
const USUAL_FIELD = { minX: -30, maxX: 30, minY: -10, maxY: 10 };
type Params = AnswersOf<typeof FIELDS>;

/** A second design, as a name, run in the middle of the first. */
export const namedItem: Construction<typeof FIELDS> = {
  kind: 'named-item',
  name: 'Item with a name run in between',
  summary:
    'A tab, turned item, mat or topper whose name is a file of its own, stitched before the surface is covered.',
  fields: FIELDS,
  draft: ({ base }) => baseOf(base),
  recipe
};

/** The parts of the base, with the name after the one its place follows. */
function recipe({ base, name, thread: colour }: Params): Block[] {
  const parts = partsOf(baseOf(base));
  const { name: place, entries, lines } = baseOf(base).done();
  const field = lines.find(({ id }) => id === place?.lineId);
  const { minX, maxX, minY, maxY } = field ? extents(field.path) : USUAL_FIELD;
  const after = entries.find(
    (entry) => (entry.kind === 'stop' ? entry.key : entry.id) === place?.after
  )?.block;
  const run: Block = {
    id: 'name',
    kind: 'name',
    answers: {
      name,
      thread: colour,
      width: maxX - minX,
      height: maxY - minY,
      across: (minX + maxX) / 2,
      down: (minY + maxY) / 2
    }
  };
  return parts.flatMap((part) => (part.id === after ? [part, run] : [part]));
}

function baseOf(kind: Params['base']): Sequence {
  switch (kind) {
    case 'snap-tab':
      return snapTab.draft(usualAnswers(snapTab, { width: 70, height: 90, shape: 'rounded' }));
    case 'turned-flat':
      return turnedFlat.draft(usualAnswers(turnedFlat, { school: 'pieced' }));
    case 'layered-mat':
      return layeredMat.draft(usualAnswers(layeredMat, { lettering: 'no' }));
    case 'topper':
      return topper.draft(usualAnswers(topper, {}));
  }
}
