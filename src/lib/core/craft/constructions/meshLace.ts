import { choice, count, length, material, thread } from '$lib/core/craft/sequence';
import type { Construction } from './construction';
import { block, outlineOf } from './recipe';

const FIELDS = {
  width: length('One segment, width', 110, 40, 300),
  height: length('One segment, height', 160, 40, 350),
  segments: count('Segments', 2, 1, 6, 'each is one hooping; every other one is mirrored'),
  layers: count('Layers of wash-away', 1, 1, 3),
  colours: choice(
    'Colours of the lace',
    { 'one-run': 'All as one run, in one thread', apart: 'Each in its own thread' },
    'one-run'
  ),
  mesh: material('Mesh', { 'stretch-mesh': 'Stretch mesh' }, ['stretch-mesh', 'Stretch mesh', '#d8d2cc']),
  thread: thread('Thread', 'Fern green', '#4d7148')
};

/** A border of lace on stretch mesh, segment by segment, sewn to a tube. */
export const meshLace: Construction<typeof FIELDS> = {
  kind: 'mesh-lace',
  name: 'Lace on stretch mesh',
  summary:
    'Long lace segments on mesh over wash-away, repeated and mirrored, sewn to a strip, rinsed at the end.',
  fields: FIELDS,
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
