import { count, length, material, outline, thread, threads } from '$lib/core/craft/sequence';
import type { Construction } from './construction';
import { block, outlineOf } from './recipe';

const FELT = { felt: 'Felt' };
const FIELDS = {
  shape: outline('rounded', 'rectangle', 'scallop'),
  width: length('Opened, width', 140, 60, 300),
  height: length('Height', 90, 40, 300),
  pages: count('Pages', 2, 1, 6),
  cover: material('Cover', FELT, ['felt', 'Moss felt', '#7c8a6a']),
  lining: material('Inside of the cover', FELT, ['felt', 'Burgundy felt', '#6d1f31']),
  page: material('Pages', FELT, ['felt', 'Cream felt', '#efe3c4']),
  colours: threads('Colours of the design, in order', ['Brass', '#b58a3c']),
  outlineThread: thread('Outline and spine thread', 'Cream', '#efe3c4')
};

/** A needle book of felt: cover, lining and pages stitched through along the spine. */
export const needleBook: Construction<typeof FIELDS> = {
  kind: 'needle-book',
  name: 'Needle book of felt',
  called: ['needle', 'book'],
  summary:
    'A felt cover lined with felt, cut out; pages under the hoop are stitched through along the spine.',
  fields: FIELDS,
  draft: outlineOf,
  recipe: ({ width, height, pages, cover, lining, page, colours, outlineThread }) => [
    block('hooping', 'hooping', { stabiliser: 'tear-away' }),
    block('front', 'front', { cloth: cover, thread: outlineThread }, 'Cover'),
    block('design', 'details', { where: 'right', colours }, 'Design'),
    block('back', 'back-under', { cloth: lining, thread: outlineThread }, 'Inside of the cover'),
    block('outline', 'edge-cut', { thread: outlineThread }),
    block('pages', 'pages', {
      pages,
      width: width - 16,
      height: height - 16,
      cloth: page,
      thread: outlineThread
    }),
    block('finishing', 'finishing', { pressed: 'no' })
  ]
};
