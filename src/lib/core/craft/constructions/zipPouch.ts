import { choice, hold, length, material, stabiliserFields, thread } from '$lib/core/craft/sequence';
import type { Construction } from './construction';
import { block, outlineOf } from './recipe';

const FIELDS = {
  width: length('Finished width', 180, 110, 400),
  height: length('Finished height', 120, 90, 300),
  zipDown: length('Zip below the top edge', 32, 25, 120),
  opening: length('Opening in the lining', 80, 60, 150, 'at least 60 mm, or nothing turns through it'),
  liningClosed: choice(
    'Lining closed',
    { machine: 'By machine', hand: 'By hand', tape: 'With fusible tape' },
    'machine'
  ),
  accent: choice('Accent strip', { yes: 'At the bottom of the front', no: 'None' }, 'yes'),
  upper: material('Upper front', { woven: 'Woven cotton', canvas: 'Canvas' }, [
    'woven',
    'Fern print',
    '#4d7148'
  ]),
  lower: material('Lower front', { woven: 'Woven cotton', canvas: 'Canvas' }, [
    'woven',
    'Carriage red',
    '#8d2f35'
  ]),
  accentCloth: material('Accent', { woven: 'Woven cotton', canvas: 'Canvas' }, [
    'woven',
    'Ticket buff',
    '#d9bd8b'
  ]),
  back: material('Back', { woven: 'Woven cotton', canvas: 'Canvas' }, ['woven', 'Carriage red', '#8d2f35']),
  lining: material('Lining', { woven: 'Woven cotton' }, ['woven', 'Cream', '#efe3c4']),
  ...stabiliserFields(['cutaway', 'soft-mesh', 'tear-away'], 'cutaway', 1),
  battingHold: hold('Batting held with', 'spray'),
  seams: thread('Seam thread', 'Cream', '#efe3c4'),
  quilting: thread('Quilting thread', 'Brass', '#b58a3c')
};

/** Quilting keeps so far from the zip and from the edge, mm. */
const CLEAR_MM = 8;

/** A pouch with a zip and a lining, built in one hooping and turned twice. */
export const zipPouch: Construction<typeof FIELDS> = {
  kind: 'zip-pouch',
  name: 'Lined zip pouch',
  called: ['pouch', 'purse', 'case', 'bag', 'zipped'],
  summary:
    'Panels flipped away from a zip, linings under the hoop, a back on top; turned through lining and zip.',
  fields: FIELDS,
  draft: ({ width, height }) => outlineOf({ shape: 'rectangle', width, height }),
  recipe: (p) => {
    const accented = p.accent === 'yes';
    const [from, to] = [p.zipDown - p.height / 2 + CLEAR_MM, accented ? p.height / 4 : p.height / 2];
    return [
      block('hooping', 'hooping', { stabiliser: p.stabiliser, layers: p.layers }),
      block('zip', 'zip', {
        down: p.zipDown,
        upper: p.upper,
        lower: p.lower,
        padded: 'yes',
        battingHold: p.battingHold,
        thread: p.seams
      }),
      ...(accented
        ? [
            block(
              'accent',
              'panel',
              { side: 'bottom', share: p.height / 4, cloth: p.accentCloth, under: 'cut', thread: p.seams },
              'Accent'
            )
          ]
        : []),
      block('outline', 'outline-run', { outside: 2, thread: p.seams }, 'Outline tack'),
      block('quilting', 'quilting', {
        where: 'spot',
        width: p.width - 2 * CLEAR_MM,
        height: Math.max(5, to - from - 2 * CLEAR_MM),
        down: (from + to) / 2,
        thread: p.quilting
      }),
      block('linings', 'zip-linings', { cloth: p.lining, thread: p.quilting }),
      block('back', 'back-lined', {
        cloth: p.back,
        lining: p.lining,
        opening: p.opening,
        thread: p.seams
      }),
      block('finishing', 'finishing', { closed: p.liningClosed })
    ];
  }
};
