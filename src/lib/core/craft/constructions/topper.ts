import { choice, count, hold, length, material, outline, thread } from '$lib/core/craft/sequence';
import type { Construction } from './construction';
import { block, outlineOf } from './recipe';

const FIELDS = {
  shape: outline('rounded', 'oval', 'rectangle'),
  width: length('Outer edge, width', 120, 80, 300),
  height: length('Outer edge, height', 130, 100, 300),
  borderWidth: length('Width of the satin edge', 5, 4, 8),
  slotWidth: length('Slot, width', 60, 30, 150),
  base: choice('Stabiliser', { 'tear-away': 'Tear-away', 'wash-away': 'Wash-away, cloth type' }, 'tear-away'),
  layers: count('Layers of stabiliser', 2, 2, 4, 'one tears through under the edge'),
  front: material('Front, interfaced', { woven: 'Woven cotton', canvas: 'Canvas' }, [
    'woven',
    'Carriage red',
    '#8d2f35'
  ]),
  frontHold: hold('Front held with', 'tape'),
  back: material('Back, interfaced', { woven: 'Woven cotton', felt: 'Felt' }, ['woven', 'Cream', '#efe3c4']),
  towel: material('Towel', { towelling: 'Towelling', woven: 'Woven cotton' }, [
    'towelling',
    'Tea towel',
    '#e9e2d0'
  ]),
  towelHold: choice('Towel held with', { tape: 'Tape', pins: 'Pins' }, 'tape'),
  border: thread('Edge thread', 'Navy', '#27324d'),
  details: thread('Detail thread', 'Brass', '#b58a3c')
};

/** A padded topper with a slot, edged in satin, that a folded towel is stitched to. */
export const topper: Construction<typeof FIELDS> = {
  kind: 'topper',
  name: 'Topper with a slot, on a towel',
  called: ['topper', 'hanger'],
  summary: 'A padded shape with a slot, edged all round, stitched to the fold of a towel that hangs from it.',
  fields: FIELDS,
  draft: outlineOf,
  recipe: (p) => [
    block('hooping', 'hooping', { stabiliser: p.base, layers: p.layers }),
    block('slot', 'slot-through', { width: p.slotWidth, height: 14, down: 28 - p.height / 2 }),
    block('batting', 'batting', { tacked: 'with-front', thread: p.border }),
    block('front', 'front', {
      cloth: p.front,
      backed: interfacedUnless(p.front.kind),
      lines: 'tack',
      held: p.frontHold,
      thread: p.border
    }),
    block(
      'details',
      'details',
      {
        where: 'spot',
        width: p.width / 2,
        height: p.height / 4,
        stitches: 2600,
        colours: [p.details]
      },
      'Details'
    ),
    block('back', 'back-under', {
      cloth: p.back,
      backed: interfacedUnless(p.back.kind),
      thread: p.border
    }),
    block('edge', 'edge-satin', { width: p.borderWidth, thread: p.border }),
    block('towel', 'hung-on', { cloth: p.towel, held: p.towelHold, seam: p.width / 2, thread: p.border }),
    block('finishing', 'finishing', { pressed: 'no' })
  ]
};

/** Felt is stiff enough. */
const interfacedUnless = (kind: string): 'no' | 'interfacing' => (kind === 'felt' ? 'no' : 'interfacing');
