import { PLACED_ON_IT, THING_WORDS } from '$lib/core/craft/blocks';
import { choice, length, material, outline, threads } from '$lib/core/craft/sequence';
import type { Construction } from './construction';
import { block, outlineOf } from './recipe';

const FIELDS = {
  thing: choice('What it goes on', THING_WORDS, 'towel'),
  cloth: material(
    'Made of',
    {
      towelling: 'Towelling',
      woven: 'Woven cotton or linen',
      knit: 'Jersey',
      canvas: 'Canvas',
      fleece: 'Fleece'
    },
    ['towelling', 'Station towel', '#e9e2d0']
  ),
  shape: outline('rectangle', 'oval'),
  width: length('The design, width', 90, 10, 400),
  height: length('The design, height', 60, 10, 400),
  ownWidth: length('The thing itself, width', 500, 40, 3000),
  ownHeight: length('The thing itself, height', 900, 40, 3000),
  ...PLACED_ON_IT,
  basting: choice('Basting box', { yes: 'Stitched first', no: 'None' }, 'yes'),
  colours: threads('Colours, in order', ['Fern green', '#4d7148'], ['Burgundy', '#6d1f31'])
};

/** A design on something bought finished. */
export const plainEmbroidery: Construction<typeof FIELDS> = {
  kind: 'plain-embroidery',
  name: 'Plain embroidery',
  summary:
    'A design on a towel, shirt, tote, cap, napkin or garment back: marked, hooped or floated, kept clear.',
  fields: FIELDS,
  draft: outlineOf,
  recipe: ({ thing, cloth, ownWidth, ownHeight, right, towards, mount, basting, colours }) => [
    block('thing', 'ready-made', {
      thing,
      cloth,
      width: ownWidth,
      height: ownHeight,
      right,
      towards,
      mount,
      basting
    }),
    block('design', 'details', { where: 'all', colours }, 'Design'),
    block('finishing', 'finishing', { pressed: cloth.kind === 'towelling' ? 'no' : 'yes' })
  ]
};
