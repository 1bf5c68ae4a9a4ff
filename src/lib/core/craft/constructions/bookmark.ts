import { length, material, thread, threads } from '$lib/core/craft/sequence';
import type { Construction } from './construction';
import { block, outlineOf } from './recipe';

const FIELDS = {
  width: length('Stitched width', 40, 15, 300),
  height: length('Stitched length', 150, 15, 300),
  front: material('Front', { felt: 'Felt', vinyl: 'Vinyl' }, ['felt', 'Moss felt', '#7c8a6a']),
  back: material('Back', { felt: 'Felt', vinyl: 'Vinyl' }, ['felt', 'Cream felt', '#efe3c4']),
  ribbon: material('Ribbon', { woven: 'Ribbon' }, ['woven', 'Burgundy ribbon', '#6d1f31']),
  colours: threads('Colours of the design, in order', ['Brass', '#b58a3c']),
  outlineThread: thread('Outline thread', 'Cream', '#efe3c4')
};

/** A bookmark with a ribbon in its end. */
export const bookmark: Construction<typeof FIELDS> = {
  kind: 'bookmark',
  name: 'Bookmark with a ribbon',
  called: ['bookmark'],
  summary: 'Felt with a design and a felt back, a ribbon caught in the last line, cut out.',
  fields: FIELDS,
  draft: ({ width, height }) => outlineOf({ shape: 'rounded', width, height }),
  recipe: ({ front, back, ribbon, colours, outlineThread }) => [
    block('hooping', 'hooping', { stabiliser: 'tear-away' }),
    block('front', 'front', { cloth: front, thread: outlineThread }),
    block('design', 'details', { colours }, 'Design'),
    block(
      'ribbon',
      'caught',
      { what: 'ribbon', side: 'bottom', width: 8, reach: 60, cloth: ribbon },
      'Ribbon'
    ),
    block('back', 'back-under', { cloth: back }),
    block('outline', 'edge-cut', { thread: outlineThread }),
    block('finishing', 'finishing', { pressed: 'no' })
  ]
};
