import { length, material, outline, thread, threads } from '$lib/core/craft/sequence';
import type { Construction } from './construction';
import { block, outlineOf } from './recipe';

const STIFF = { vinyl: 'Vinyl', felt: 'Felt' };
const FIELDS = {
  shape: outline('tab', 'rounded'),
  width: length('Stitched outline, width', 28, 15, 360),
  height: length('Stitched outline, length', 160, 15, 360),
  outside: length('Cut outside the outline', 3, 1, 15),
  front: material('Front', STIFF, ['vinyl', 'Grained vinyl', '#4a3b30']),
  back: material('Back', STIFF, ['felt', 'Felt', '#9aa78f']),
  colours: threads('Colours of the design, in order', ['Brass', '#b58a3c']),
  outlineThread: thread('Outline thread', 'Cream', '#efe3c4')
};

/** A strap that two snaps close. */
export const snapStrap: Construction<typeof FIELDS> = {
  kind: 'snap-strap',
  name: 'Strap with two snaps',
  called: ['strap'],
  summary: 'A long tab with a design, a back under the hoop, cut out, closed with two snaps.',
  fields: FIELDS,
  draft: outlineOf,
  recipe: ({ outside, front, back, colours, outlineThread }) => [
    block('hooping', 'hooping', { stabiliser: 'tear-away' }),
    block('front', 'front', { cloth: front, held: 'tape', thread: outlineThread }),
    block('design', 'details', { colours }, 'Design'),
    block('marks', 'marks', { marks: 4, thread: outlineThread }),
    block('back', 'back-under', { cloth: back }),
    block('outline', 'edge-cut', { margin: outside, thread: outlineThread }),
    block('finishing', 'finishing', { pressed: 'no' }),
    block('snaps', 'hardware', { what: 'snap', count: 2, holes: 4 })
  ]
};
