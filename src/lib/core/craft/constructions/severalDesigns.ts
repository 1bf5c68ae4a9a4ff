import { severalFields } from '$lib/core/craft/blocks';
import type { Construction } from './construction';
import { block, outlineOf } from './recipe';

/** A design several times in one hooping: on several napkins, or on the corners of one. */
export const severalDesigns: Construction<typeof severalFields> = {
  kind: 'several-designs',
  name: 'Several designs in one hooping',
  called: ['napkins', 'corners', 'set'],
  summary: 'Napkins side by side on sticky stabiliser, or one napkin lifted and laid again corner by corner.',
  fields: severalFields,
  // Corners are corners of one napkin.
  piecesPerFile: ({ school, designs }) => (school === 'corners' ? 1 : designs),
  draft: ({ width, height }) => outlineOf({ shape: 'rectangle', width, height }),
  recipe: (p) => [block('designs', 'several-designs', p), block('finishing', 'finishing', { pressed: 'yes' })]
};
