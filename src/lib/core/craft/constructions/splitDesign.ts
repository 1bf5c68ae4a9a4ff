import {
  type AnswersOf,
  choice,
  hold,
  length,
  material,
  stabiliserFields,
  thread
} from '$lib/core/craft/sequence';
import type { Block } from '$lib/core/documents/item';
import type { Construction } from './construction';
import { block, hoopedGround, outlineOf } from './recipe';

const FIELDS = {
  width: length('The whole design, width', 80, 30, 250),
  height: length('The whole design, height', 150, 60, 400),
  ground: material(
    'Ground',
    {
      woven: 'Woven cotton',
      canvas: 'Canvas',
      towelling: 'Towelling',
      fleece: 'Fleece'
    },
    ['woven', 'Carriage cloth', '#31405c']
  ),
  upper: material('Upper piece', { woven: 'Woven cotton', felt: 'Felt' }, ['woven', 'Cream', '#efe3c4']),
  lower: material('Lower piece', { woven: 'Woven cotton', felt: 'Felt' }, [
    'woven',
    'Carriage red',
    '#8d2f35'
  ]),
  pieceHold: hold('Pieces held with', 'spray'),
  cushion: choice('Sewn up as a cushion', { yes: 'Yes', no: 'No' }, 'yes'),
  cushionWidth: length('Cushion, width', 200, 60, 1000, 'finished, when it is sewn up as one'),
  cushionHeight: length('Cushion, height', 260, 60, 1000),
  cushionFold: choice(
    'Cushion, folded at',
    { bottom: 'The bottom', top: 'The top', left: 'The left side', right: 'The right side' },
    'bottom'
  ),
  cushionSeam: length('Cushion, seam', 12, 6, 25, '6 to 12 mm is usual, up to half an inch'),
  cushionGap: length('Cushion, gap to turn through', 90, 60, 200, '75 to 100 mm'),
  ...stabiliserFields(['cutaway', 'tear-away', 'soft-mesh'], 'cutaway', 1),
  details: thread('Detail thread', 'Ink black', '#20242c'),
  satin: thread('Satin thread', 'Brass', '#b58a3c')
};
type Params = AnswersOf<typeof FIELDS>;

/** One design in two files, stitched at two mounting positions of one hooping. */
export const splitDesign: Construction<typeof FIELDS> = {
  kind: 'split-design',
  name: 'Split design, two positions',
  called: ['cushion'],
  summary:
    'Two files, two mounting positions, one hooping; placements first, satins last; sewn up as a cushion.',
  fields: FIELDS,
  draft: ({ width, height }) =>
    // The field of one position holds one half.
    outlineOf({ shape: 'rounded', width: width + SATIN_MM, height: height / 2 + SATIN_MM }, 'satin edge', {
      width: width + SATIN_MM,
      height: height + SATIN_MM
    }),
  recipe: (p) => [
    hoopedGround(p, 'Ground', {
      ...(p.cushion === 'yes' && {
        sewnUp: 'folded',
        finishedWidth: p.cushionWidth,
        finishedHeight: p.cushionHeight,
        fold: p.cushionFold,
        seam: p.cushionSeam
      })
    }),
    block('cross', 'hand-step', { title: 'Check the centre cross with ruler and grid', seconds: 60 }),
    block('trace', 'trace'),
    ...half(p, 'upper', -p.height / 4),
    // Each file is finished before the hoop is moved: it moves once.
    block('lower-file', 'split-position', { file: 'Lower half', before: 'Upper half' }),
    ...half(p, 'lower', p.height / 4),
    block('finishing', 'finishing', { pressed: 'no' }),
    ...sewnUp(p)
  ]
};

const SATIN_MM = 4;

/** One half: its piece, the details on it, its satin last. */
function half(p: Params, which: 'upper' | 'lower', down: number): Block[] {
  const name = which === 'upper' ? 'Upper' : 'Lower';
  return [
    block(
      which,
      'applique',
      {
        shape: 'rounded',
        width: p.width,
        height: p.height / 2 - 6,
        down,
        cloth: p[which],
        web: 'later',
        edge: 'later',
        held: p.pieceHold,
        thread: p.satin
      },
      `${name} piece`
    ),
    block(
      `${which}-details`,
      'details',
      {
        where: 'spot',
        width: p.width / 2,
        height: p.height / 5,
        down,
        stitches: 1600,
        colours: [p.details]
      },
      `${name} details`
    ),
    block(`${which}-satin`, 'later-edges', { width: SATIN_MM, thread: p.satin }, `${name} satin`)
  ];
}

/** Folded right sides together, seamed, turned, its pieces fused, stuffed and closed. */
function sewnUp(p: Params): Block[] {
  const fuse = block('fuse', 'fuse-pieces');
  if (p.cushion === 'no') return [fuse];
  const along = p.cushionFold === 'top' || p.cushionFold === 'bottom';
  const [side, end] = along ? [p.cushionHeight, p.cushionWidth] : [p.cushionWidth, p.cushionHeight];
  const parts = 'the ground';
  return [
    block('size', 'hand-step', {
      title: 'Cut the ground to size, the design in the middle of its half',
      seconds: 120
    }),
    block('fold', 'sew-up', { how: 'fold', parts }),
    block('sew', 'sew-up', {
      how: 'join',
      parts,
      long: Math.min(2000, 2 * side + end),
      seam: p.cushionSeam,
      open: p.cushionGap
    }),
    block('turn', 'sew-up', { how: 'turn', parts }),
    fuse,
    block('stuff', 'sew-up', { how: 'stuff', parts }),
    block('close', 'sew-up', { how: 'close', parts, long: p.cushionGap })
  ];
}
