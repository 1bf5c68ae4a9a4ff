import { choice, count, length, material, outline, threads, type AnswersOf } from '$lib/core/craft/sequence';
import { LACE_APART_MM } from '$lib/core/craft/blocks';
import type { Block } from '$lib/core/documents/item';
import type { Construction } from './construction';
import { block, outlineOf } from './recipe';

const FIELDS = {
  shape: outline('oval', 'rounded', 'tab', 'rectangle', 'shield', 'heart', 'scallop'),
  width: length('One part, width', 60, 20, 300),
  height: length('One part, height', 60, 20, 300),
  parts: count('Parts in the hoop', 1, 1, 6),
  layers: count('Layers of wash-away', 2, 2, 3, 'three for dense lace'),
  loops: count('Loops to join', 4, 0, 40, 'none for a single part'),
  rinsed: choice(
    'Rinsed',
    { warm: 'Under warm water', soaked: 'Soaked a few hours: dense, or large' },
    'warm'
  ),
  inlay: choice('Cloth in the middle', { no: 'None', yes: 'An appliqué inlay' }, 'no'),
  inlayCloth: material('Inlay', { woven: 'Organza or cotton', felt: 'Felt' }, [
    'woven',
    'Organza',
    '#d9c7d6'
  ]),
  oneColour: choice(
    'One-colour mode',
    { no: 'No: the bobbin changes with each colour', yes: 'Yes: all stops run as one' },
    'no'
  ),
  colours: threads('Colours, in order; the bobbin changes with each', ['Cream', '#efe3c4'])
};

/** Lace that stands by itself: thread alone, once the stabiliser is rinsed out. */
export const lace: Construction<typeof FIELDS> = {
  kind: 'lace',
  name: 'Freestanding lace',
  called: ['ornament', 'earrings', 'doily', 'snowflake', 'pendant'],
  summary:
    'Underlay and lace on wash-away, the bobbin in the lace’s own colour, rinsed and dried; sets are joined.',
  fields: FIELDS,
  draft: ({ shape, width, height, parts }) =>
    outlineOf({ shape, width: (width + LACE_APART_MM) * parts - LACE_APART_MM, height }, 'lace', {
      width,
      height
    }),
  recipe: (p) => [
    block('hooping', 'hooping', { stabiliser: 'wash-away', layers: p.layers }),
    ...(p.inlay === 'yes' ? [inlay(p)] : []),
    block('lace', 'lace-part', {
      shape: p.shape,
      width: p.width,
      height: p.height,
      parts: p.parts,
      thread: p.colours[0] ?? { name: 'Cream', colour: '#efe3c4' },
      more: p.colours.slice(1),
      mode: p.oneColour === 'yes' ? 'one-run' : 'apart'
    }),
    block('finishing', 'finishing', { washed: 'later', pressed: 'no' }),
    block('rinse', 'rinse-all', { loops: p.loops, soaked: p.rinsed === 'soaked' ? 'yes' : 'no' })
  ]
};

/** The lace reaches so far over the edge of its inlay, mm. */
const OVER_MM = 12;

/** Cloth in the middle of every part; the lace covers its edge. */
function inlay(p: AnswersOf<typeof FIELDS>): Block {
  const cut = {
    shape: p.shape,
    width: Math.max(5, p.width - 2 * OVER_MM),
    height: Math.max(5, p.height - 2 * OVER_MM),
    edge: 'later'
  };
  return p.parts > 1
    ? block(
        'inlay',
        'pieces',
        {
          ...cut,
          pieces: p.parts,
          apart: p.width + LACE_APART_MM,
          first: p.inlayCloth,
          second: p.inlayCloth
        },
        'Inlay'
      )
    : block('inlay', 'applique', { ...cut, cloth: p.inlayCloth }, 'Inlay');
}
