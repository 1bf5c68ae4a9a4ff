import { choice, count, length, material, onlyWhere, thread } from '$lib/core/craft/sequence';
import type { Construction } from './construction';
import { block, outlineOf } from './recipe';

const FIELDS = {
  width: length('One repeat, width', 80, 30, 250),
  height: length('One repeat, height', 80, 30, 250),
  repeats: count('Repeats round the hem', 2, 1, 12, 'each is a hooping, lined up on the last'),
  layers: count('Layers of wash-away', 2, 2, 4),
  trimCorner: choice('Cloth under the lace', { yes: 'Trimmed after the tack-down', no: 'Stays' }, 'yes'),
  made: choice(
    'The cloth is',
    { bought: 'Bought finished: a napkin, a handkerchief', cut: 'Cut for it' },
    'bought'
  ),
  clothWidth: onlyWhere(length('Its own width', 400, 60, 3000), 'made', 'bought'),
  clothHeight: onlyWhere(length('Its own height', 400, 60, 3000), 'made', 'bought'),
  ground: material('Cloth', { woven: 'Woven cotton or linen' }, ['woven', 'Table linen', '#efe9da']),
  thread: thread('Thread, top and bobbin', 'Cream', '#efe3c4')
};

/** A hem or corner that ends in lace, repeated hooping by hooping. */
export const cutworkCorner: Construction<typeof FIELDS> = {
  kind: 'cutwork-corner',
  name: 'Corner or hem with a lace edge',
  summary:
    'The hem aligned on a line, tacked, trimmed at the corner, lace over its edge; repeated round the cloth.',
  fields: FIELDS,
  draft: ({ width, height }) => outlineOf({ shape: 'rectangle', width, height }),
  recipe: ({ trimCorner, ground, ...p }) => [
    block('repeats', 'hem-repeats', { ...p, trimmed: trimCorner, cloth: ground }),
    block('finishing', 'rinse-all', { pressed: 'yes' })
  ]
};
