import {
  choice,
  count,
  length,
  material,
  outline,
  stabiliserFields,
  thread,
  threads,
  type AnswersOf
} from '$lib/core/craft/sequence';
import type { Construction } from './construction';
import { block, hoopedGround, outlineOf } from './recipe';

const FIELDS = {
  shape: outline('rounded', 'oval', 'rectangle', 'tab', 'shield', 'heart', 'scallop'),
  width: length('Outer edge of the border, width', 76, 25, 300),
  height: length('Outer edge of the border, height', 76, 25, 300),
  borderWidth: length('Width of the satin border', 4, 3, 8),
  overlap: length(
    'Satin inside the cut edge',
    2,
    0.5,
    7,
    'At least half the border: its middle must lie on the patch.'
  ),
  designGap: length('Gap between design and border', 3, 0, 30),
  ground: material('Ground cloth', { woven: 'Woven cotton', canvas: 'Canvas', felt: 'Felt' }, [
    'woven',
    'Cotton twill',
    '#31405c'
  ]),
  design: choice(
    'The design is stitched',
    { before: 'First, then the patch is cut out', after: 'With the border, on what was cut out before' },
    'before'
  ),
  ...stabiliserFields(['tear-away', 'cutaway', 'soft-mesh'], 'tear-away', 1),
  baseLayers: count('Layers of wash-away under the border', 2, 2, 4),
  border: thread('Border thread', 'Brass', '#b58a3c'),
  colours: threads('Colours, in order', ['Cream', '#efe3c4'], ['Fern green', '#4d7148'])
};

/** A patch cut out after its design, laid on wash-away in a second hooping and edged all round. */
export const borderPatch: Construction<typeof FIELDS> = {
  kind: 'border-patch',
  name: 'Border patch, two hoopings',
  called: ['patch', 'badge', 'emblem'],
  summary: 'Design first, cut out on its line, then edged in satin on wash-away: an edge with no raw cloth.',
  fields: FIELDS,
  draft: outlineOf,
  recipe: (p) => {
    const design = block('colours', 'details', {
      where: 'all',
      inside: p.borderWidth / 2 + p.designGap,
      stitches: 2500,
      colours: p.colours
    });
    const before = p.design === 'before';
    return [
      hoopedGround(p, 'Patch'),
      ...(before ? [design] : []),
      block('cut', 'cut-line', { inside: p.borderWidth - overlapOf(p), thread: p.border }),
      block('base', 'hooping', { stabiliser: 'wash-away', layers: p.baseLayers }),
      block(
        'second',
        'carried',
        {
          place: 'cut',
          // Glue holds it for an edge, not for a design.
          held: before ? 'glue' : 'spray',
          ...IN_THE_EDGE,
          thread: p.border
        },
        'Patch'
      ),
      ...(before ? [] : [design]),
      block('edge', 'edge-satin', { width: p.borderWidth, thread: p.border }, 'Border'),
      block('finishing', 'finishing', { washed: 'whole', pressed: 'no' })
    ];
  }
};

/** Nothing holds it but glue until the edge goes over it. */
const IN_THE_EDGE = { top: 'seam', right: 'seam', bottom: 'seam', left: 'seam' } as const;

/** How far the satin reaches inside the raw edge, mm: half its width at least, and not all of it. */
function overlapOf({ overlap, borderWidth }: AnswersOf<typeof FIELDS>): number {
  return Math.min(borderWidth - 0.5, Math.max(borderWidth / 2, overlap));
}
