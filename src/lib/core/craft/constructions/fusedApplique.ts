import {
  contains,
  type Path,
  pathLength,
  pointsAlong,
  regionOf,
  shapePath,
  shifted
} from '$lib/core/base/geometry';
import type { Line } from '$lib/core/documents/item';
import type { Construction } from './construction';
import {
  blanketPhase,
  Sequence,
  type AnswersOf,
  choice,
  heldAs,
  hold,
  length,
  material,
  outline,
  thread,
  addStabiliser,
  stabiliserFields,
  takeStabiliserOff,
  MATERIALS
} from '$lib/core/craft/sequence';

const FIELDS = {
  shape: outline('oval', 'rounded', 'tab', 'rectangle', 'shield', 'heart', 'scallop'),
  width: length('A shape, width', 50, 15, 200),
  height: length('A shape, height', 60, 15, 200),
  edge: choice('Edge stitch', { satin: 'Satin', blanket: 'Blanket', motif: 'Motif' }, 'satin'),
  lines: choice('Placement lines', { each: 'One stop a piece', one: 'One stop for both pieces' }, 'each'),
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
type Params = AnswersOf<typeof FIELDS>;

const WIDTH = { satin: 3.5, blanket: 3, motif: 5 } as const;

/** Shapes fused on cloth, from the bottom up, each under its own edge. */
export const fusedApplique: Construction<typeof FIELDS> = {
  kind: 'fused-applique',
  name: 'Fused pre-cut appliqué',
  summary:
    'Pre-cut shapes laid inside their lines, fused and edged; a later piece covers a part of the first.',
  fields: FIELDS,
  draft
};

function draft(p: Params): Sequence {
  const shape = shapePath(p.shape, p.width, p.height);
  const first = shifted(shape, -p.width / 3, 0);
  const second = shifted(shape, p.width / 3, 0);
  const size = { width: p.width * (5 / 3) + 6, height: p.height + 6 };
  const s = new Sequence({ shape: p.shape, size, finished: size, edge: `${p.edge} edge` });
  s.line('first', 'First shape', first, 'hooping-1', hiddenUnder(first, second));
  s.line('second', 'Second shape', second);
  // Tear-away does not carry a knit.
  const base = p.ground.kind === 'knit' && p.stabiliser === 'tear-away' ? 'cutaway' : p.stabiliser;
  addStabiliser(s, { stabiliser: base, layers: p.layers });
  s.piece('ground', 'GROUND', p.ground, 'hooped', { shows: 'front' });
  for (const [id, name] of [
    ['first', 'FIRST PIECE'],
    ['second', 'SECOND PIECE']
  ] as const) {
    const precut = p[`${id}Method`] === 'pre-cut';
    s.piece(id, name, p[id], 'applique', {
      covers: id,
      shows: 'front',
      ...(precut && {
        shape: 'pre-cut',
        template: { wrongSideUp: true, mirrored: true },
        backed: [MATERIALS.web]
      })
    });
  }

  const fused = (['first', 'second'] as const).filter((id) => p[`${id}Method`] === 'pre-cut');
  s.part('hooping', 'Hooping', () => {
    if (fused.length > 0)
      s.hand(
        'web',
        { do: 'back-cloth', pieceIds: fused },
        { note: 'Before the shapes are cut; the paper stays on.' }
      );
    s.hoop('hooping-1', 'Hooping', ['stabiliser', 'ground']);
  });
  s.part('placement', 'Placement lines', () => {
    if (p.lines === 'one') placement(s, ['first', 'second'], 'placement');
  });
  s.part('first', 'First piece', () => {
    piece(s, p, 'first');
  });
  s.part('second', 'Second piece', () => {
    piece(s, p, 'second');
  });
  s.part('finishing', 'Finishing', () => {
    s.move('hoop-off');
    s.hand('inspect', { do: 'inspect' }, { needs: ['second-edge'] });
    s.hand('unhoop', { do: 'unhoop' }, { needs: ['inspect'] });
    s.hand('snip-both', { do: 'snip', side: 'both', jumps: 4 });
    takeStabiliserOff(s, { stabiliser: base, layers: p.layers });
    s.hand('press', { do: 'press', from: 'back' }, { needs: ['unhoop'] });
  });
  s.must('lay-first', 'lay-second');
  return s;
}

function placement(s: Sequence, lineIds: string[], key: string): void {
  s.stop(key, {
    name: lineIds.length > 1 ? 'Placement lines' : 'Placement line',
    role: 'placement',
    words: /place|position/,
    threadOf: `${lineIds[0] ?? 'first'}-edge`,
    visible: 'hidden',
    lineIds
  });
}

function piece(s: Sequence, p: Params, id: 'first' | 'second'): void {
  const precut = p[`${id}Method`] === 'pre-cut';
  if (p.lines === 'each') placement(s, [id], `${id}-placement`);
  if (precut) {
    // A hoop is never ironed on the machine.
    s.move('hoop-off');
    s.hand(
      `lay-${id}`,
      { do: 'lay', pieceId: id, side: 'above', face: 'up', covers: id, hold: { by: 'fuse' } },
      { note: 'Peel the paper. On a felt mat.' }
    );
    s.move('hoop-on');
  } else {
    s.hand(`lay-${id}`, {
      do: 'lay',
      pieceId: id,
      side: 'above',
      face: 'up',
      covers: id,
      over: 12,
      hold: heldAs(p.secondHold)
    });
    s.stop(`${id}-tack`, {
      name: 'Tack-down',
      role: 'tack-down',
      words: /tack/,
      threadOf: `${id}-edge`,
      visible: 'hidden',
      lineIds: [id]
    });
    s.move('hoop-off');
    if (p.secondHold === 'pins') s.hand(`unpin-${id}`, { do: 'unpin' });
    s.hand(`trim-${id}`, { do: 'trim', pieceIds: [id], lineId: id, side: 'outside', margin: 0 });
    s.must(`trim-${id}`, `${id}-tack`);
    s.move('hoop-on');
  }
  s.stop(`${id}-edge`, {
    name: id === 'first' ? 'First edge' : 'Second edge',
    role: 'applique-edge',
    alsoRoles: ['satin-edge'],
    words: /edge|satin|blanket|motif/,
    visible: 'front',
    lineIds: [id],
    width: WIDTH[p.edge],
    ...(p.edge === 'blanket' && { estimate: [blanketPhase(pathLength(s.pathOf(id)), WIDTH.blanket)] }),
    thread: p[`${id}Thread`]
  });
}

/** The stretch of an edge that a later piece covers: it is left out on purpose. */
function hiddenUnder(path: Path, over: Path): Line['gaps'] {
  const region = regionOf(over);
  const points = pointsAlong(path, 1);
  const step = pathLength(path) / Math.max(1, points.length - 1);
  const inside = points.flatMap((point, at) => (contains(region, point) ? [at] : []));
  const [from, to] = [inside[0], inside.at(-1)];
  return from === undefined || to === undefined ? [] : [{ from: from * step, to: to * step }];
}
