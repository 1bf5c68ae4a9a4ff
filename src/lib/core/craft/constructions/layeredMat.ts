import { z } from 'zod';
import {
  choice,
  count,
  hold,
  length,
  material,
  onlyWhere,
  outline,
  text,
  thread,
  type AnswersOf
} from '$lib/core/craft/sequence';
import type { Block, Material } from '$lib/core/documents/item';
import type { Construction } from './construction';
import { block, outlineOf } from './recipe';

const FIELDS = {
  shape: outline('rounded', 'rectangle', 'oval', 'shield', 'heart', 'scallop'),
  width: length('Outer edge, width', 150, 70, 400),
  height: length('Outer edge, height', 110, 70, 300),
  borderWidth: length('Width of the satin edge', 5, 4, 8),
  layers: count('Layers of wash-away', 2, 1, 3, 'one is enough where the edge is light'),
  throughAll: choice('Quilted through the back', { no: 'No', yes: 'Yes, on purpose' }, 'no'),
  lettering: choice(
    'Lettering',
    { yes: 'As in the file', own: 'A word from a file of its own', no: 'Left out' },
    'yes'
  ),
  top: material('Top', { woven: 'Woven cotton', canvas: 'Canvas' }, ['woven', 'Fern print', '#4d7148']),
  word: onlyWhere(
    text('The word', z.string().trim().min(1, 'write the word').max(40).default('Halt')),
    'lettering',
    'own'
  ),
  applique: choice(
    'Appliqué pieces',
    {
      together: 'Two under one placement line',
      each: 'Two, each under its own',
      one: 'One',
      none: 'None'
    },
    'together'
  ),
  first: material('First appliqué', { woven: 'Woven cotton', felt: 'Felt' }, [
    'woven',
    'Carriage red',
    '#8d2f35'
  ]),
  firstHold: hold('First appliqué held with', 'spray'),
  second: material('Second appliqué', { woven: 'Woven cotton', felt: 'Felt' }, ['woven', 'Cream', '#efe3c4']),
  secondHold: hold('Second appliqué held with', 'spray'),
  back: material('Back', { vinyl: 'Vinyl', felt: 'Felt', woven: 'Woven cotton' }, [
    'vinyl',
    'Grained vinyl',
    '#4a3b30'
  ]),
  border: thread('Edge thread', 'Burgundy', '#6d1f31'),
  details: thread('Detail thread', 'Brass', '#b58a3c')
};

/** A mat of several layers with appliqué, backed under the hoop and edged in satin. */
export const layeredMat: Construction<typeof FIELDS> = {
  kind: 'layered-mat',
  name: 'Layered mat, satin edge',
  called: ['mat', 'rug', 'trivet', 'placemat', 'coaster'],
  summary:
    'Batting, top and two appliqué pieces, a vinyl back under the hoop, one satin edge round everything.',
  fields: FIELDS,
  draft: outlineOf,
  recipe: (p) => [
    block('hooping', 'hooping', { stabiliser: 'wash-away', layers: p.layers }),
    block('batting', 'batting', { tacked: 'placed', thread: p.border }),
    block('top', 'front', { cloth: p.top, lines: 'tack', thread: p.border }, 'Top'),
    block('details', 'details', { where: 'all', inside: 8, colours: [p.details] }, 'Details'),
    ...appliqueOf(p),
    ...(p.lettering === 'own'
      ? [block('word', 'name', { name: p.word, ...wordAt(p), thread: p.details })]
      : []),
    ...(p.lettering === 'yes'
      ? [
          block('lettering', 'details', {
            what: 'lettering',
            where: 'spot',
            ...wordAt(p),
            stitches: 0,
            inFile: 'maybe',
            colours: [p.details]
          })
        ]
      : []),
    // Only now: the stitching has pulled the top in.
    block('trim', 'outline-run', { then: 'trimmed', thread: p.border }, 'Outline again'),
    block('back', 'back-under', { cloth: p.back, held: 'spray', thread: p.border }),
    ...(p.throughAll === 'yes'
      ? [block('through', 'quilting', { where: 'all', inside: 8, through: 'yes', thread: p.details })]
      : []),
    block('edge', 'edge-satin', { width: p.borderWidth, thread: p.border }),
    block('finishing', 'finishing')
  ]
};

function appliqueOf(p: AnswersOf<typeof FIELDS>): Block[] {
  const { apart, ...round } = acrossOf(p);
  if (p.applique === 'together')
    return [
      block('applique', 'pieces', {
        ...round,
        apart,
        first: p.first,
        second: p.second,
        held: p.firstHold,
        thread: p.details,
        secondThread: p.details
      })
    ];
  const piece = (id: string, cloth: Material, held: string, across: number, name: string): Block =>
    block(id, 'applique', { ...round, across, cloth, held, method: 'trim', thread: p.details }, name);
  if (p.applique === 'none') return [];
  const one = p.applique === 'one';
  return [
    piece('first', p.first, p.firstHold, one ? 0 : -apart / 2, one ? 'Appliqué' : 'First appliqué'),
    ...(one ? [] : [piece('second', p.second, p.secondHold, apart / 2, 'Second appliqué')])
  ];
}

/** A word stands under the pieces. */
function wordAt({ shape, width, height }: AnswersOf<typeof FIELDS>) {
  // A heart is narrow below.
  return { width: width * 0.28, height: height / 12, down: height * (shape === 'heart' ? 5 / 24 : 7 / 24) };
}

/** Two round pieces side by side, on an upright mat too. */
function acrossOf({ width, height }: AnswersOf<typeof FIELDS>) {
  const across = Math.min(height / 3, width / 4);
  return { shape: 'oval', width: across, height: across, apart: width / 3 };
}
