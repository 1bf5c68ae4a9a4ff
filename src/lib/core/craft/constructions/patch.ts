import {
  choice,
  length,
  material,
  outline,
  stabiliserFields,
  thread,
  threads
} from '$lib/core/craft/sequence';
import type { Construction } from './construction';
import { block, hoopedGround, outlineOf } from './recipe';

const FIELDS = {
  shape: outline('oval', 'rounded', 'rectangle', 'tab', 'shield', 'heart', 'scallop'),
  measured: choice(
    'The size is',
    { border: 'The outer edge of the border', design: 'The design’s: the border comes round it' },
    'border'
  ),
  width: length('Its size, width', 80, 15, 400),
  height: length('Its size, height', 80, 15, 400),
  borderWidth: length('Width of the satin border', 4, 2, 10),
  designGap: length('Gap between design and border', 3, 0, 30),
  finish: choice('Goes on', { 'sew-on': 'Sewn on', 'iron-on': 'Ironed on' }, 'sew-on'),
  ground: material(
    'Ground cloth',
    { felt: 'Felt', canvas: 'Canvas', woven: 'Woven cotton' },
    ['felt', 'Wool felt', '#7c8a6a'],
    'woven cloth and canvas fray, so their edge is sealed before cutting'
  ),
  lies: choice(
    'The ground cloth is',
    { hooped: 'Hooped with the stabiliser', laid: 'Laid on it, tacked down and trimmed to its line' },
    'hooped'
  ),
  ...stabiliserFields(['tear-away', 'cutaway', 'soft-mesh', 'wash-away'], 'tear-away', 1),
  border: thread('Border thread', 'Ink black', '#20242c'),
  colours: threads('Colours, in order', ['Lamp yellow', '#e3b341'])
};

/** A patch stitched on hooped cloth in one hooping, then cut out: sewn on later, or ironed on. */
export const patch: Construction<typeof FIELDS> = {
  kind: 'patch',
  name: 'Patch, one hooping',
  called: ['patch', 'badge', 'emblem', 'brooch'],
  summary: 'Colours and border stitched on hooped felt or canvas, then cut out close. To sew on or iron on.',
  fields: FIELDS,
  draft: ({ shape, measured, width, height, designGap, borderWidth }) => {
    const round = measured === 'design' ? 2 * (designGap + borderWidth) : 0;
    return outlineOf({ shape, width: width + round, height: height + round });
  },
  recipe: (p) => [
    ...(p.lies === 'hooped'
      ? [hoopedGround(p)]
      : [
          block('hooping', 'hooping', { stabiliser: p.stabiliser, layers: p.layers }),
          block('ground', 'front', { cloth: p.ground, thread: p.border }, 'Ground')
        ]),
    block('colours', 'details', {
      where: 'all',
      inside: p.borderWidth / 2 + p.designGap,
      stitches: 2500,
      colours: p.colours
    }),
    block('edge', 'edge-satin', { width: p.borderWidth, thread: p.border }, 'Border'),
    block('finishing', 'finishing', {
      behind: p.finish === 'iron-on' ? 'adhesive' : 'nothing',
      pressed: 'no'
    })
  ]
};
