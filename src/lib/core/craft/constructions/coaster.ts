import { length, material, outline, thread } from '$lib/core/craft/sequence';
import type { Construction } from './construction';
import { block, outlineOf } from './recipe';

const COTTON = { woven: 'Woven cotton', canvas: 'Canvas', knit: 'Jersey' };
const FIELDS = {
  shape: outline('rounded', 'rectangle', 'oval'),
  width: length('Finished width', 110, 60, 300),
  height: length('Finished height', 110, 60, 300),
  front: material('Front', COTTON, ['woven', 'Fern print', '#4d7148']),
  back: material('Back', COTTON, ['woven', 'Cream', '#efe3c4']),
  quilting: thread('Quilting thread', 'Brass', '#b58a3c'),
  seams: thread('Seam thread', 'Cream', '#efe3c4')
};

/** A coaster or mug mat, quilted, its back turned. */
export const coaster: Construction<typeof FIELDS> = {
  kind: 'quilted-coaster',
  name: 'Quilted coaster, turned edge',
  called: ['coaster', 'rug'],
  summary: 'Batting and front quilted, the back face down on it, turned and topstitched.',
  fields: FIELDS,
  draft: outlineOf,
  recipe: ({ front, back, quilting, seams }) => [
    block('hooping', 'hooping', { stabiliser: 'tear-away' }),
    block('batting', 'batting'),
    block('front', 'front', { cloth: front, thread: seams }),
    block('quilting', 'quilting', { thread: quilting }),
    block('back', 'back-turned', { cloth: back, opening: 60, thread: seams }),
    block('finishing', 'finishing', { topstitched: 'yes' })
  ]
};
