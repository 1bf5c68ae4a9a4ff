import { BASTED, BOUGHT, boughtSize, PLACED_ON_IT } from '$lib/core/craft/blocks';
import { length, outline, threads } from '$lib/core/craft/sequence';
import type { Construction } from './construction';
import { block, outlineOf } from './recipe';

const [OWN_WIDTH, OWN_HEIGHT] = boughtSize('The thing itself, width', 'The thing itself, height');

const FIELDS = {
  ...BOUGHT,
  shape: outline('rectangle', 'oval'),
  width: length('The design, width', 90, 10, 400),
  height: length('The design, height', 60, 10, 400),
  ownWidth: OWN_WIDTH,
  ownHeight: OWN_HEIGHT,
  ...PLACED_ON_IT,
  ...BASTED,
  colours: threads('Colours, in order', ['Fern green', '#4d7148'], ['Burgundy', '#6d1f31'])
};

/** A design on something bought finished. */
export const plainEmbroidery: Construction<typeof FIELDS> = {
  kind: 'plain-embroidery',
  name: 'Plain embroidery',
  called: ['towel', 'shirt', 'tote', 'cap', 'sampler', 'picture', 'garment'],
  summary:
    'A design on a towel, shirt, tote, cap, napkin, pocket or part of a garment: marked, hooped or floated, kept clear.',
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
