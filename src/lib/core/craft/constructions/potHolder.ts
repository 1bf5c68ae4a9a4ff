import { length, material, outline, thread } from '$lib/core/craft/sequence';
import type { Construction } from './construction';
import { block, outlineOf } from './recipe';

const COTTON = { woven: 'Woven cotton', canvas: 'Canvas' };
const FIELDS = {
  shape: outline('rounded', 'rectangle', 'oval', 'shield'),
  width: length('Finished width', 170, 100, 300),
  height: length('Finished height', 170, 100, 300),
  front: material('Front', COTTON, ['canvas', 'Coal canvas', '#3f4550']),
  back: material('Back', COTTON, ['woven', 'Ticket buff', '#d9bd8b']),
  loop: material('Loop', { woven: 'Ribbon or cotton' }, ['woven', 'Burgundy ribbon', '#6d1f31']),
  quilting: thread('Quilting thread', 'Brass', '#b58a3c'),
  seams: thread('Seam thread', 'Ink black', '#20242c')
};

/** A pot holder with a loop in its seam. */
export const potHolder: Construction<typeof FIELDS> = {
  kind: 'pot-holder',
  name: 'Pot holder with a loop',
  called: ['pot', 'oven', 'holder', 'mitt'],
  summary: 'Two layers of batting, quilted; a loop caught in the seam, the back turned.',
  fields: FIELDS,
  draft: outlineOf,
  recipe: ({ front, back, loop, quilting, seams }) => [
    block('hooping', 'hooping', { stabiliser: 'tear-away' }),
    block('batting', 'batting'),
    block('front', 'front', { cloth: front, thread: seams }),
    block('quilting', 'quilting', { thread: quilting }),
    block('loop', 'caught', { what: 'loop', side: 'top', width: 20, reach: 60, cloth: loop }),
    block('back', 'back-turned', { cloth: back, padded: 'yes', opening: 90, thread: seams }),
    block('finishing', 'finishing', { topstitched: 'yes' })
  ]
};
