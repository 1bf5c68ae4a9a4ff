import { choice, count, length, material, threads } from '$lib/core/craft/sequence';
import type { Construction } from './construction';
import { block, outlineOf } from './recipe';

const FIELDS = {
  school: choice(
    'What is stitched',
    {
      napkins: 'Several napkins, laid together, designs turned',
      corners: 'The corners of one napkin, one after another'
    },
    'napkins'
  ),
  designs: count('Designs in the hooping', 2, 2, 4),
  width: length('One design, width', 60, 15, 150),
  height: length('One design, height', 60, 15, 150),
  napkinWidth: length('The napkin as it was bought, width', 400, 60, 1500),
  napkinHeight: length('The napkin as it was bought, height', 400, 60, 1500),
  cloth: material('Cloth', { woven: 'Woven cotton or linen' }, ['woven', 'Napkin linen', '#efe9da']),
  colours: threads('Colours, in order', ['Fern green', '#4d7148'], ['Burgundy', '#6d1f31'])
};

/** A design several times in one hooping: on several napkins, or on the corners of one. */
export const severalDesigns: Construction<typeof FIELDS> = {
  kind: 'several-designs',
  name: 'Several designs in one hooping',
  summary: 'Napkins side by side on sticky stabiliser, or one napkin lifted and laid again corner by corner.',
  fields: FIELDS,
  // Corners are corners of one napkin.
  piecesPerFile: ({ school, designs }) => (school === 'corners' ? 1 : designs),
  draft: ({ width, height }) => outlineOf({ shape: 'rectangle', width, height }),
  recipe: (p) => [block('designs', 'several-designs', p), block('finishing', 'finishing', { pressed: 'yes' })]
};
