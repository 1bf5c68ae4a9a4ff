import { length, material, thread, threads } from '$lib/core/craft/sequence';
import type { Construction } from './construction';
import { block, outlineOf } from './recipe';

const COTTON = { woven: 'Woven cotton', canvas: 'Canvas' };
const FIELDS = {
  width: length('Finished width', 180, 80, 400),
  height: length('Finished height', 180, 80, 400),
  front: material('Front', COTTON, ['woven', 'Carriage red', '#8d2f35']),
  back: material('Back', COTTON, ['woven', 'Cream', '#efe3c4']),
  colours: threads('Colours of the design, in order', ['Brass', '#b58a3c']),
  seams: thread('Seam thread', 'Cream', '#efe3c4')
};

/** A cover for a small cushion, closed by two backs that overlap. */
export const envelopeCover: Construction<typeof FIELDS> = {
  kind: 'envelope-cover',
  name: 'Cover with an envelope back',
  called: ['cushion', 'pillow', 'cover'],
  summary: 'A design on the front; two folded backs overlap and the cover is turned through them.',
  fields: FIELDS,
  draft: ({ width, height }) => outlineOf({ shape: 'rectangle', width, height }),
  recipe: ({ front, back, colours, seams }) => [
    block('hooping', 'hooping', { stabiliser: 'cutaway', ground: 'hooped', cloth: front }),
    block('design', 'details', { colours }, 'Design'),
    block('back', 'back-turned', { cloth: back, closes: 'envelope', thread: seams }),
    block('finishing', 'finishing')
  ]
};
