import { hemFields } from '$lib/core/craft/blocks';
import type { Construction } from './construction';
import { block, outlineOf } from './recipe';

/** A hem or corner that ends in lace, repeated hooping by hooping. */
export const cutworkCorner: Construction<typeof hemFields> = {
  kind: 'cutwork-corner',
  name: 'Corner or hem with a lace edge',
  called: ['napkin', 'tablecloth', 'corner', 'edging'],
  summary:
    'The hem aligned on a line, tacked, trimmed at the corner, lace over its edge; repeated round the cloth.',
  fields: hemFields,
  draft: ({ width, height }) => outlineOf({ shape: 'rectangle', width, height }),
  recipe: (p) => [block('repeats', 'hem-repeats', p), block('finishing', 'rinse-all', { pressed: 'yes' })]
};
