import { length, material, thread, threads } from '$lib/core/craft/sequence';
import type { Construction } from './construction';
import { block, outlineOf } from './recipe';

/** Share of the height that the pocket takes at most. */
const MOST = 0.6;
const COTTON = { woven: 'Woven cotton', canvas: 'Canvas' };
const FIELDS = {
  width: length('Finished width', 150, 60, 300),
  height: length('Finished height', 180, 60, 380),
  pocketHeight: length('Height of the pocket', 100, 30, 300),
  front: material('Front', COTTON, ['woven', 'Fern print', '#4d7148']),
  pocket: material('Pocket', COTTON, ['woven', 'Ticket buff', '#d9bd8b']),
  back: material('Back', COTTON, ['woven', 'Cream', '#efe3c4']),
  colours: threads('Colours of the design, in order', ['Brass', '#b58a3c']),
  seams: thread('Seam thread', 'Cream', '#efe3c4')
};

/** A flat holder with a pocket that elastic draws in. */
export const elasticPocket: Construction<typeof FIELDS> = {
  kind: 'elastic-pocket',
  name: 'Pocket with elastic',
  called: ['pocket', 'tissue'],
  summary: 'A folded pocket with elastic in its fold, caught in the seam of a turned item.',
  fields: FIELDS,
  draft: ({ width, height }) => outlineOf({ shape: 'rounded', width, height }),
  recipe: ({ height, pocketHeight, front, pocket, back, colours, seams }) => [
    block('hooping', 'hooping', { stabiliser: 'cutaway', ground: 'hooped', cloth: front }),
    block('design', 'details', { where: 'upper', colours }, 'Design'),
    // Higher it would lie over the design.
    block('pocket', 'pocket', {
      height: Math.min(pocketHeight, MOST * height),
      elastic: 'yes',
      cloth: pocket
    }),
    block('back', 'back-turned', { cloth: back, thread: seams }),
    block('finishing', 'finishing', { topstitched: 'yes' })
  ]
};
