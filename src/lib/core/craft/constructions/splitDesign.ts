import { shapePath, shifted } from '$lib/core/base/geometry';
import { roundTo } from '$lib/core/base/units';
import type { Construction } from './construction';
import {
  Sequence,
  type AnswersOf,
  choice,
  heldAs,
  hold,
  length,
  material,
  thread,
  addStabiliser,
  stabiliserFields,
  takeStabiliserOff,
  MATERIALS
} from '$lib/core/craft/sequence';

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
const HALVES = ['upper', 'lower'] as const;

/** One design in two files, stitched at two mounting positions of one hooping. */
export const splitDesign: Construction<typeof FIELDS> = {
  kind: 'split-design',
  name: 'Split design, two positions',
  summary:
    'Two files, two mounting positions, one hooping; placements first, satins last; sewn up as a cushion.',
  fields: FIELDS,
  draft
};

function draft(p: Params): Sequence {
  const size = { width: p.width + 4, height: p.height / 2 + 4 };
  const s = new Sequence({
    shape: 'rounded',
    size,
    finished: { width: p.width + 4, height: p.height + 4 },
    edge: 'satin edge'
  });
  const half = shapePath('rounded', p.width, p.height / 2 - 6);
  s.line('upper', 'Upper shape', shifted(half, 0, -p.height / 4));
  s.line('lower', 'Lower shape', shifted(half, 0, p.height / 4));
  for (const [id, dy] of [
    ['upper', -p.height / 4],
    ['lower', p.height / 4]
  ] as const)
    s.line(
      `${id}-field`,
      `${id === 'upper' ? 'Upper' : 'Lower'} details`,
      shifted(shapePath('oval', p.width / 2, p.height / 5), 0, dy)
    );
  const pile = p.ground.kind === 'towelling' || p.ground.kind === 'fleece';
  addStabiliser(s, p);
  s.piece('ground', 'GROUND', p.ground, 'hooped', {
    shows: 'front',
    ...(p.cushion === 'yes' && {
      sewnUp: { width: p.cushionWidth, height: p.cushionHeight, seam: p.cushionSeam, fold: p.cushionFold }
    })
  });
  for (const id of HALVES)
    s.piece(id, id === 'upper' ? 'UPPER PIECE' : 'LOWER PIECE', p[id], 'applique', {
      covers: id,
      shows: 'front',
      backed: [MATERIALS.web]
    });
  if (pile) s.piece('topping', 'TOPPING', MATERIALS.film, 'hooped');

  s.part('hooping', 'Hooping', () => {
    s.hand('web', { do: 'back-cloth', pieceIds: [...HALVES] }, { note: 'They are fused when all is sewn.' });
    s.file('upper', 'Upper half');
    s.hoop('hooping-1', 'Hooping', ['stabiliser', 'ground'], { on: false });
    s.hand('cross', { do: 'other', title: 'Check the centre cross with ruler and grid', seconds: 60 });
    s.move('hoop-on');
    s.hand('trace', { do: 'trace' }, { note: 'Check the space behind the machine.' });
    if (pile) s.hand('topping-on', { do: 'topping-on', pieceId: 'topping' });
  });
  s.part('halves', 'Both halves', () => {
    // Each file is finished before the hoop is moved: it moves once.
    for (const id of HALVES) {
      if (id === 'lower') {
        s.hand('position-2', { do: 'mount', position: 2 });
        s.file('lower', 'Lower half');
      }
      build(s, p, id);
    }
  });
  s.part('finishing', 'Finishing', () => {
    finish(s, p, pile);
  });
  s.must(...HALVES.flatMap((id) => [`lay-${id}`, `trim-${id}`, `${id}-satin`]));
  return s;
}

function build(s: Sequence, p: Params, id: (typeof HALVES)[number]): void {
  const name = id === 'upper' ? 'Upper' : 'Lower';
  const hidden = { threadOf: 'upper-satin', visible: 'hidden' } as const;
  s.stop(`${id}-placement`, {
    name: `${name} placement`,
    role: 'placement',
    words: /place/,
    lineIds: [id],
    ...hidden
  });
  s.hand(`lay-${id}`, {
    do: 'lay',
    pieceId: id,
    side: 'above',
    face: 'up',
    covers: id,
    over: 12,
    hold: heldAs(p.pieceHold)
  });
  s.stop(`${id}-tack`, {
    name: `${name} tack-down`,
    role: 'tack-down',
    words: /tack/,
    lineIds: [id],
    ...hidden
  });
  if (p.pieceHold === 'pins') s.hand(`unpin-${id}`, { do: 'unpin' });
  s.hand(`trim-${id}`, {
    do: 'trim',
    pieceIds: [id],
    lineId: id,
    side: 'outside',
    margin: 0.5,
    where: 'on-machine'
  });
  s.stop(`${id}-details`, {
    name: `${name} details`,
    role: 'decoration',
    words: /detail|design/,
    visible: 'front',
    lineIds: [`${id}-field`],
    estimate: [{ stitches: 1600, attended: false }],
    ...(id === 'upper' ? { thread: p.details } : { threadOf: 'upper-details' })
  });
  s.stop(`${id}-satin`, {
    name: `${name} satin`,
    role: 'applique-edge',
    alsoRoles: ['satin-edge'],
    words: /satin|edge/,
    visible: 'front',
    protected: true,
    lineIds: [id],
    width: 4,
    ...(id === 'upper' ? { thread: p.satin } : { threadOf: 'upper-satin' })
  });
}

function finish(s: Sequence, p: Params, pile: boolean): void {
  s.move('hoop-off');
  s.hand('inspect', { do: 'inspect' }, { needs: ['lower-satin'] });
  s.hand('unhoop', { do: 'unhoop' }, { needs: ['inspect'] });
  if (pile) s.hand('topping-off', { do: 'topping-off', pieceId: 'topping' }, { needs: ['lower-satin'] });
  s.hand('snip-both', { do: 'snip', side: 'both', jumps: 6 });
  takeStabiliserOff(s, p);
  if (p.cushion === 'no') {
    s.hand('fuse-now', { do: 'fuse', pieceId: 'upper' }, { needs: ['unhoop'], note: 'And the lower piece.' });
    return;
  }
  s.hand(
    'sew-up',
    {
      do: 'other',
      title: `Cut to size, fold right sides together at the ${p.cushionFold}, sew the other sides`,
      seconds: 480
    },
    {
      needs: ['unhoop'],
      note: `Seam ${roundTo(p.cushionSeam, 1)} mm, ${roundTo(p.cushionGap, 1)} mm left open in one side; the design in the middle of its half.`
    }
  );
  s.hand('turn-cushion', { do: 'other', title: 'Turn it', seconds: 180 }, { needs: ['sew-up'] });
  s.hand(
    'fuse-now',
    { do: 'fuse', pieceId: 'upper' },
    { needs: ['turn-cushion'], note: 'And the lower piece.' }
  );
  s.hand('stuff', { do: 'other', title: 'Stuff it', seconds: 240 }, { needs: ['fuse-now'] });
  s.hand(
    'close',
    { do: 'other', title: 'Close the gap with a topstitch', seconds: 90 },
    { needs: ['stuff'] }
  );
}
