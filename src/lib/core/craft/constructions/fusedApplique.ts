import {
  choice,
  count,
  hold,
  length,
  material,
  outline,
  stabiliserFields,
  thread,
  type AnswersOf
} from '$lib/core/craft/sequence';
import type { Block } from '$lib/core/documents/item';
import type { Construction } from './construction';
import { block, hoopedGround, outlineOf } from './recipe';

const FIELDS = {
  shape: outline('oval', 'rounded', 'tab', 'rectangle', 'shield', 'heart', 'scallop'),
  width: length('A shape, width', 50, 15, 200),
  height: length('A shape, height', 60, 15, 200),
  pieces: count('Pieces', 2, 1, 8, 'by turns of the first and the second cloth'),
  edge: choice('Edge stitch', { satin: 'Satin', blanket: 'Blanket', motif: 'Motif' }, 'satin'),
  lines: choice('Placement lines', { each: 'One stop a piece', one: 'One stop for all pieces' }, 'each'),
  ...stabiliserFields(['tear-away', 'cutaway', 'soft-mesh', 'wash-away'], 'tear-away', 2),
  ground: material('Ground', { woven: 'Woven cotton', canvas: 'Canvas', knit: 'Jersey' }, [
    'woven',
    'Apron cotton',
    '#e7dcc0'
  ]),
  first: material('First piece', { woven: 'Woven cotton', felt: 'Felt' }, ['woven', 'Fern print', '#4d7148']),
  firstMethod: choice(
    'First piece is',
    {
      'pre-cut': 'Pre-cut and fused',
      'trim-in-place': 'Trimmed in place'
    },
    'pre-cut'
  ),
  second: material('Second piece', { woven: 'Woven cotton', felt: 'Felt' }, [
    'woven',
    'Carriage red',
    '#8d2f35'
  ]),
  secondMethod: choice(
    'Second piece is',
    {
      'pre-cut': 'Pre-cut and fused',
      'trim-in-place': 'Trimmed in place'
    },
    'pre-cut'
  ),
  secondHold: hold('A piece trimmed in place is held with', 'spray'),
  firstThread: thread('First edge thread', 'Fern green', '#3c5a38'),
  secondThread: thread('Second edge thread', 'Burgundy', '#6d1f31')
};

/** Shapes fused on cloth, from the bottom up, each under its own edge. */
export const fusedApplique: Construction<typeof FIELDS> = {
  kind: 'fused-applique',
  name: 'Fused pre-cut appliqué',
  called: ['picture', 'block'],
  summary:
    'Pre-cut shapes laid inside their lines, fused and edged; a later piece covers a part of the first.',
  fields: FIELDS,
  draft: ({ shape, width, height, edge, pieces }) =>
    outlineOf({ shape, width: width + (pieces - 1) * width * STEP + 6, height: height + 6 }, `${edge} edge`),
  recipe: (p) => [
    hoopedGround({
      ...p,
      // Tear-away does not carry a knit.
      stabiliser: p.ground.kind === 'knit' && p.stabiliser === 'tear-away' ? 'cutaway' : p.stabiliser
    }),
    ...piecesOf(p),
    block('details', 'details', { where: 'all', inFile: 'charted' }, 'Details'),
    block('finishing', 'finishing')
  ]
};

const METHOD = { 'pre-cut': 'pre-cut', 'trim-in-place': 'trim' } as const;

/** From the middle of a piece to that of the next, in widths of a piece: each covers a part of the one before. */
const STEP = 2 / 3;
const ORDINALS = ['First', 'Second', 'Third', 'Fourth', 'Fifth', 'Sixth', 'Seventh', 'Eighth'];

/** Each piece covers a part of the one before. */
function piecesOf(p: AnswersOf<typeof FIELDS>): Block[] {
  const { shape, width, height, edge, pieces } = p;
  const alike = p.firstMethod === p.secondMethod;
  const cut = { shape, width, height, edge, held: p.secondHold };
  if (p.lines === 'one' && alike && pieces > 1)
    return [
      block('pieces', 'pieces', {
        ...cut,
        pieces,
        apart: width * STEP,
        method: METHOD[p.firstMethod],
        first: p.first,
        second: p.second,
        thread: p.firstThread,
        secondThread: p.secondThread
      })
    ];
  return ORDINALS.slice(0, pieces).map((ordinal, at) => {
    const across = (at - (pieces - 1) / 2) * width * STEP;
    const [cloth, method, thread] =
      at % 2 === 0 ? [p.first, p.firstMethod, p.firstThread] : [p.second, p.secondMethod, p.secondThread];
    return block(
      ordinal.toLowerCase(),
      'applique',
      { ...cut, across, cloth, method: METHOD[method], thread },
      `${ordinal} piece`
    );
  });
}
