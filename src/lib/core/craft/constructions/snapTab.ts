import {
  type AnswersOf,
  choice,
  hold,
  length,
  material,
  onlyWhere,
  outline,
  stabiliserFields,
  thread,
  threads
} from '$lib/core/craft/sequence';
import type { Block } from '$lib/core/documents/item';
import type { Construction } from './construction';
import { block, outlineOf } from './recipe';

const FIELDS = {
  shape: outline('tab', 'rounded', 'rectangle', 'oval'),
  width: length('Stitched outline, width', 30, 15, 200, 'the last outline, not the cut edge'),
  height: length('Stitched outline, height', 94, 15, 400),
  edge: choice(
    'Its edge',
    { cut: 'A last line, cut outside it', satin: 'Satin round trimmed layers' },
    'cut'
  ),
  outside: onlyWhere(length('Cut outside the outline', 3, 1, 15), 'edge', 'cut'),
  closing: choice(
    'Closes with',
    {
      snap: 'One snap, two holes',
      'snap-ring': 'One snap, round a ring',
      eyelet: 'One eyelet and a ring',
      ring: 'A ring through a punched hole',
      'ribbon-loop': 'A ribbon loop in the seam, and a ring'
    },
    'snap'
  ),
  ...stabiliserFields(['tear-away', 'cutaway', 'wash-away'], 'tear-away', 1),
  front: material('Front', { vinyl: 'Vinyl', felt: 'Felt' }, ['vinyl', 'Vinyl', '#3d4a66']),
  frontHold: hold('Front held with', 'tape'),
  backed: choice('Back', { yes: 'Under the hoop', no: 'None: the front alone' }, 'yes'),
  back: material('Back', { felt: 'Felt', vinyl: 'Vinyl' }, ['felt', 'Felt', '#9aa78f']),
  outline: thread('Outline thread', 'Signal white', '#f4f1ea'),
  details: threads('Detail colours, in order', ['Ink black', '#20242c'])
};

type Params = AnswersOf<typeof FIELDS>;

/** A tab with a front and a back, closed by a snap or carried by an eyelet or a loop, made in one hooping. */
export const snapTab: Construction<typeof FIELDS> = {
  kind: 'snap-tab',
  name: 'Snap tab',
  called: ['tab', 'fob', 'keyring', 'keychain', 'tag'],
  summary: 'Front and back joined in the hoop, cut out, closed with a snap or hung from an eyelet or a loop.',
  fields: FIELDS,
  draft: outlineOf,
  recipe: (p) => [
    block('hooping', 'hooping', { stabiliser: p.stabiliser, layers: p.layers }),
    block('front', 'front', { cloth: p.front, held: p.frontHold, thread: p.outline }),
    block(
      'details',
      'details',
      { where: 'all', inside: 4, stitches: 1500, inFile: 'maybe', colours: p.details },
      'Detail'
    ),
    ...(p.closing === 'ribbon-loop'
      ? [block('loop', 'caught', { what: 'loop', side: 'top', width: 10, reach: 25 }, 'Ribbon loop')]
      : []),
    ...(p.backed === 'yes' ? [block('back', 'back-under', { cloth: p.back, thread: p.outline })] : []),
    p.edge === 'satin'
      ? block('edge', 'edge-satin', { thread: p.outline })
      : block('edge', 'edge-cut', { margin: p.outside, thread: p.outline }),
    ...holes(p),
    block('finishing', 'finishing', { pressed: 'no' }),
    ...hardware(p)
  ]
};

/** Where holes are punched: the other half of a snap sits at the far end. */
function holes({ closing, outline: colour }: Params): Block[] {
  if (closing === 'ribbon-loop') return [];
  const snap = closing === 'snap' || closing === 'snap-ring';
  return [block('marks', 'marks', { marks: snap ? 2 : 1, where: snap ? 'ends' : 'top', thread: colour })];
}

function hardware({ closing }: Params): Block[] {
  const ring = { what: 'split-ring', count: 1 };
  switch (closing) {
    case 'snap':
      return [block('snap', 'hardware', { what: 'snap', count: 1, holes: 2 })];
    case 'snap-ring':
      // Snapped last, round the ring.
      return [
        block('snap', 'hardware', { what: 'snap', count: 1, holes: 2 }),
        block('ring', 'hardware', { ...ring, holes: 0 })
      ];
    case 'eyelet':
      return [
        block('eyelet', 'hardware', { what: 'eyelet', count: 1, holes: 1 }),
        block('ring', 'hardware', { ...ring, holes: 0 })
      ];
    case 'ring':
      return [block('ring', 'hardware', { ...ring, holes: 1 })];
    case 'ribbon-loop':
      return [block('ring', 'hardware', { ...ring, holes: 0 })];
  }
}
