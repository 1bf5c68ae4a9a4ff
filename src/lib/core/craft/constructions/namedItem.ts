import { z } from 'zod';
import { type AnswersOf, choice, type Sequence, text, thread } from '$lib/core/craft/sequence';
import type { Block } from '$lib/core/documents/item';
import { type Construction, usualAnswers } from './construction';
import { layeredMat } from './layeredMat';
import { block } from './recipe';
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
type Params = AnswersOf<typeof FIELDS>;

/** A second design, as a name, run in the middle of the first. */
export const namedItem: Construction<typeof FIELDS> = {
  kind: 'named-item',
  name: 'Item with a name run in between',
  called: ['name', 'monogram'],
  summary:
    'A tab, turned item, mat or topper whose name is a file of its own, stitched before the surface is covered.',
  fields: FIELDS,
  draft: ({ base }) => BASES[base]().draft,
  recipe
};

/** An item a name goes on: where its field lies, and the block it follows. */
interface Base {
  draft: Sequence;
  blocks: Block[];
  after: string;
  field: { width: number; height: number; across?: number; down?: number };
}

/** A construction with some answers given. */
function made<F extends Construction['fields']>(
  construction: Construction<F>,
  given: Partial<AnswersOf<F>>
): Pick<Base, 'draft' | 'blocks'> {
  const answers = usualAnswers(construction, given);
  return { draft: construction.draft(answers), blocks: construction.recipe(answers) };
}

const BASES: Record<Params['base'], () => Base> = {
  'turned-flat': () => ({
    ...made(turnedFlat, { school: 'pieced' }),
    after: 'quilting',
    field: { width: 80, height: 25, down: -21 }
  }),
  'snap-tab': () => ({
    ...made(snapTab, { width: 70, height: 90, shape: 'rounded' }),
    after: 'details',
    field: { width: 50, height: 20 }
  }),
  'layered-mat': () => ({
    ...made(layeredMat, { lettering: 'no' }),
    after: 'applique',
    field: { width: 75, height: 12, down: 32 }
  }),
  topper: () => ({
    ...made(topper, {}),
    after: 'details',
    field: { width: 60, height: 20 }
  })
};

/** The blocks of the base, with the name after the one its place follows. */
function recipe({ base, name, thread: colour }: Params): Block[] {
  const { blocks, after, field } = BASES[base]();
  const run = block('name', 'name', { name, thread: colour, ...field });
  return blocks.flatMap((each) => (each.id === after ? [each, run] : [each]));
}
