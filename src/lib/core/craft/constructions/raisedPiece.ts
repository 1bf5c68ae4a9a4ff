import { length, material, stabiliserFields, thread } from '$lib/core/craft/sequence';
import type { Construction } from './construction';
import { block, hoopedGround, outlineOf } from './recipe';

const FIELDS = {
  width: length('The piece, across', 90, 40, 200),
  centre: length('Its centre, across', 24, 12, 60),
  ground: material('Ground', { woven: 'Woven cotton', canvas: 'Canvas', felt: 'Felt' }, [
    'woven',
    'Carriage cloth',
    '#31405c'
  ]),
  petals: material('Petals', { felt: 'Felt', woven: 'Organza or cotton' }, [
    'felt',
    'Felt petals',
    '#c96f80'
  ]),
  ...stabiliserFields(['cutaway', 'tear-away', 'soft-mesh'], 'cutaway', 1),
  middle: material('Centre', { woven: 'Woven cotton', felt: 'Felt' }, ['woven', 'Lamp yellow', '#e3b341']),
  thread: thread('Texture thread', 'Lamp yellow', '#e3b341'),
  ring: thread('Ring thread', 'Brass', '#b58a3c')
};

/** A flower or bow that stands up from the cloth, stitched down in its middle only. */
export const raisedPiece: Construction<typeof FIELDS> = {
  kind: 'raised-piece',
  name: '3-D piece on top',
  called: ['flower', 'petals'],
  summary:
    'A finished flower or bow stitched down in its middle; pins out, hard parts out, petals taped flat.',
  fields: FIELDS,
  draft: ({ width }) => outlineOf({ shape: 'oval', width, height: width }, 'loose petals'),
  recipe: (p) => [
    hoopedGround(p),
    block('petals', 'raised', { width: p.width, held: p.centre / 2, cloth: p.petals, thread: p.ring }),
    block('middle', 'raised-centre', { width: p.centre, cloth: p.middle, thread: p.ring }),
    block(
      'texture',
      'details',
      {
        where: 'spot',
        width: p.centre * 0.7,
        height: p.centre * 0.7,
        stitches: 900,
        colours: [p.thread]
      },
      'Texture'
    ),
    block('ring', 'later-edges', { width: 4, thread: p.ring }, 'Ring'),
    block('finishing', 'finishing', { pressed: 'no' })
  ]
};
