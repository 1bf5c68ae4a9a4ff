import { segmentFields } from '$lib/core/craft/blocks';
import type { Construction } from './construction';
import { block, outlineOf } from './recipe';

/** A border of lace on stretch mesh, segment by segment, sewn to a tube. */
export const meshLace: Construction<typeof segmentFields> = {
  kind: 'mesh-lace',
  name: 'Lace on stretch mesh',
  called: ['collar', 'trim', 'edging'],
  summary:
    'Long lace segments on mesh over wash-away, repeated and mirrored, sewn to a strip, rinsed at the end.',
  fields: segmentFields,
  draft: ({ width, height }) => outlineOf({ shape: 'rectangle', width, height }),
  recipe: (p) => [
    block('segments', 'lace-segments', p),
    block('partly', 'hand-step', { title: 'Rinse only partly: the edge stays stiff', seconds: 120 }),
    block('strip', 'hand-step', { title: 'Pin to the strip and sew, 12 mm seam', seconds: 600 }),
    block('tube', 'hand-step', { title: 'Fold lengthwise, sew, turn the tube', seconds: 480 }),
    block('ends', 'hand-step', {
      title: 'Straighten the mesh again and join the ends as far as you reach',
      seconds: 300
    }),
    block('topstitch', 'hand-step', { title: 'Topstitch the gap, away from the lace', seconds: 180 }),
    block('finishing', 'rinse-all')
  ]
};
