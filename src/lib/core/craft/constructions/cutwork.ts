import { choice, count, length, material, outline, thread } from '$lib/core/craft/sequence';
import type { Construction } from './construction';
import { block, outlineOf } from './recipe';

const FIELDS = {
  school: choice(
    'How it is cut',
    {
      scissors: 'Scissors: the cloth only',
      'cut-through': 'Knife: cloth and stabiliser, then patched',
      needles: 'Cutting needles at four angles'
    },
    'scissors'
  ),
  shape: outline('oval', 'rounded', 'tab', 'rectangle', 'shield', 'heart'),
  width: length('The window, width', 50, 15, 150),
  height: length('The window, height', 40, 15, 150),
  layers: count('Layers of wash-away', 2, 1, 4, 'the sticky kind is always one'),
  eyelet: choice('Punched eyelet', { no: 'No', yes: 'One, punched' }, 'no'),
  ground: material('Cloth', { woven: 'Woven cotton or linen', knit: 'Jersey' }, [
    'woven',
    'Napkin linen',
    '#efe9da'
  ]),
  thread: thread('Thread, top and bobbin', 'Cream', '#efe3c4')
};

/** A window cut in cloth and bridged with bars. */
export const cutwork: Construction<typeof FIELDS> = {
  kind: 'cutwork',
  name: 'Cutwork',
  called: ['doily', 'cutwork'],
  summary:
    'A window cut by scissors, cut through and patched, or cut by chisel needles; then bars and satin.',
  fields: FIELDS,
  draft: ({ shape, width, height }) =>
    outlineOf({ shape, width: width + 2 * SATIN_MM, height: height + 2 * SATIN_MM }, 'satin edge'),
  recipe: (p) => {
    const through = p.school === 'cut-through';
    return [
      block(
        'hooping',
        'hooping',
        {
          stabiliser: through ? 'sticky' : 'wash-away',
          layers: p.layers,
          ground: through ? 'floated' : 'hooped',
          cloth: p.ground,
          // A knit would stretch out of the window.
          backed: p.ground.kind === 'knit' ? 'mesh' : 'no'
        },
        'Cloth'
      ),
      block('window', 'cutwork-opening', {
        shape: p.shape,
        width: p.width,
        height: p.height,
        school: p.school,
        thread: p.thread
      }),
      ...(p.eyelet === 'yes'
        ? [block('eyelet', 'eyelet', { down: p.height / 2 + 8, thread: p.thread })]
        : []),
      block('finishing', 'finishing', { pressed: 'yes' })
    ];
  }
};

const SATIN_MM = 3;
