import { choice, hold, length, material, outline, stabiliserFields, thread } from '$lib/core/craft/sequence';
import type { Construction } from './construction';
import { block, hoopedGround, outlineOf } from './recipe';

const FIELDS = {
  shape: outline('rounded', 'oval', 'rectangle', 'tab', 'shield', 'heart'),
  width: length('Edge of the pile, width', 90, 30, 300),
  height: length('Edge of the pile, height', 60, 30, 300),
  edge: choice('Edge', { satin: 'Satin edge', zigzag: 'The zigzag stays open' }, 'satin'),
  ground: material('Ground', { felt: 'Felt', canvas: 'Canvas' }, ['felt', 'Felt', '#31405c']),
  pile: material('Pile', { towelling: 'Towelling', fleece: 'Fleece' }, ['towelling', 'Towelling', '#e9e2d0']),
  ...stabiliserFields(['tear-away', 'cutaway', 'soft-mesh'], 'tear-away', 2),
  pileHold: hold('Pile held with', 'spray'),
  lettering: thread('Lettering thread', 'Burgundy', '#6d1f31'),
  border: thread('Edge thread', 'Navy', '#27324d')
};

/** Towelling trimmed to shape on felt, lettered through a topping that keeps the stitches up. */
export const pilePatch: Construction<typeof FIELDS> = {
  kind: 'pile-patch',
  name: 'Pile patch',
  called: ['pile', 'terry', 'chenille'],
  summary: 'Towelling or fleece on felt, trimmed in the hoop, lettered through a topping that tears off.',
  fields: FIELDS,
  draft: ({ shape, width, height, edge }) =>
    outlineOf(
      { shape, width: width + SATIN_MM, height: height + SATIN_MM },
      edge === 'satin' ? 'satin edge' : 'zigzag'
    ),
  recipe: (p) => [
    hoopedGround(p),
    block(
      'pile',
      'applique',
      {
        shape: p.shape,
        width: p.width,
        height: p.height,
        cloth: p.pile,
        tack: 'zigzag',
        trims: 'table',
        edge: p.edge === 'satin' ? 'later' : 'raw',
        held: p.pileHold,
        thread: p.border
      },
      'Pile'
    ),
    block('topping', 'topping'),
    block('lettering', 'details', {
      what: 'lettering',
      where: 'all',
      inside: 12,
      stitches: 0,
      colours: [p.lettering]
    }),
    ...(p.edge === 'satin'
      ? [block('edge', 'later-edges', { width: SATIN_MM, thread: p.border }, 'Satin edge')]
      : []),
    block('finishing', 'finishing', { then: 'cut-out', beyond: BEYOND_MM - SATIN_MM / 2, pressed: 'no' })
  ]
};

const SATIN_MM = 4;
/** The ground is cut so far outside the pile, mm. */
const BEYOND_MM = 5;
