import { box, type Path, segment } from '$lib/core/base/geometry';
import type { Construction } from './construction';
import {
  Sequence,
  stopPart,
  type AnswersOf,
  choice,
  length,
  material,
  thread,
  addStabiliser,
  stabiliserFields,
  takeStabiliserOff,
  MATERIALS
} from '$lib/core/craft/sequence';

const FIELDS = {
  width: length('Both pieces, width', 100, 40, 300),
  height: length('Both pieces, height', 70, 30, 300),
  joinAt: length('The join, from the left edge', 45, 15, 200),
  ground: material('Ground', { woven: 'Woven cotton', canvas: 'Canvas' }, [
    'woven',
    'Apron cotton',
    '#e7dcc0'
  ]),
  left: material('Left piece', { woven: 'Woven cotton' }, ['woven', 'Fern print', '#4d7148']),
  right: material('Right piece', { woven: 'Woven cotton' }, ['woven', 'Carriage red', '#8d2f35']),
  rightHold: choice(
    'Right piece held with',
    { hand: 'A finger or a tool', tape: 'Tape' },
    'hand',
    'its glue lies up, so no iron comes near it before the flip'
  ),
  ...stabiliserFields(['tear-away', 'cutaway', 'wash-away'], 'tear-away', 2),
  leftThread: thread('Left thread', 'Fern green', '#3c5a38'),
  rightThread: thread('Right thread', 'Burgundy', '#6d1f31')
};
type Params = AnswersOf<typeof FIELDS>;

const SATIN_MM = 3.5;
/** The overlap of the second piece at the join, mm. */
const OVERLAP_MM = 3;

/** Two pieces joined by a seam that is flipped open, so that no edge lies between them. */
export const joinedApplique: Construction<typeof FIELDS> = {
  kind: 'joined-applique',
  name: 'Joined appliqué with flip',
  summary: 'The second piece is sewn face down at the join and flipped: no satin between the two.',
  fields: FIELDS,
  draft
};

function draft(p: Params): Sequence {
  const [w, h] = [p.width / 2, p.height / 2];
  const x = Math.min(w - 10, -w + p.joinAt);
  const size = { width: p.width + SATIN_MM, height: p.height + SATIN_MM };
  const s = new Sequence({ shape: 'rectangle', size, finished: size, edge: 'satin edge' });
  s.line('left', 'Left shape', box(-w, -h, x, h));
  s.line('right', 'Right shape', box(x, -h, w, h));
  s.line('left-cut', 'Left shape and the overlap', box(-w, -h, x + OVERLAP_MM, h));
  s.line('join', 'Join line', segment(x, -h, x, h));
  s.line('top', 'Topstitch', segment(x + 2, -h, x + 2, h));
  s.line('left-edge', 'Left edge', around([x, -h], [-w, -h], [-w, h], [x, h]));
  s.line('right-edge', 'Right edge', around([x, -h], [w, -h], [w, h], [x, h]));
  addStabiliser(s, p);
  s.piece('ground', 'GROUND', p.ground, 'hooped', { shows: 'front' });
  s.piece('left', 'LEFT PIECE', p.left, 'applique', {
    covers: 'left',
    shows: 'front',
    backed: [MATERIALS.web]
  });
  s.piece('right', 'RIGHT PIECE', p.right, 'flipped', {
    covers: 'right',
    shows: 'front',
    backed: [MATERIALS.web]
  });

  const left = { threadOf: 'left-satin', visible: 'hidden' } as const;
  const right = { threadOf: 'right-satin', visible: 'hidden' } as const;
  s.part('hooping', 'Hooping', () => {
    s.hand('web', { do: 'back-cloth', pieceIds: ['left', 'right'] }, { note: 'The paper stays on.' });
    s.hoop('hooping-1', 'Hooping', ['stabiliser', 'ground']);
  });
  s.part('left', 'Left piece', () => {
    s.stop('placement', stopPart('Left placement', 'placement', /place|left/, ['left'], left));
    s.hand(
      'lay-left',
      {
        do: 'lay',
        pieceId: 'left',
        side: 'above',
        face: 'up',
        covers: 'left',
        over: 12,
        hold: { by: 'tape', strips: 4 }
      },
      { note: 'Peel the paper first. It is fused only when it has been trimmed.' }
    );
    s.stop('left-tack', stopPart('Left tack-down', 'tack-down', /tack|left/, ['left-edge'], left));
    s.stop('left-zigzag', stopPart('Left zigzag', 'tack-down', /zig/, ['left-edge'], { ...left, width: 2 }));
    s.move('hoop-off');
    s.hand('untape-left', { do: 'untape', strips: 4 });
    s.hand(
      'trim-left',
      { do: 'trim', pieceIds: ['left'], lineId: 'left-cut', side: 'outside', margin: 0 },
      { note: 'Flush, but 3 mm stay at the join.' }
    );
    s.move('hoop-on');
  });
  s.part('right', 'Right piece, joined and flipped', () => {
    s.stop('join-line', stopPart('Join line', 'placement', /join|line/, ['join'], left));
    s.hand(
      'lay-right',
      {
        do: 'lay',
        pieceId: 'right',
        side: 'above',
        face: 'down',
        edge: { lineId: 'join', body: 'left', allowance: OVERLAP_MM },
        hold: p.rightHold === 'hand' ? { by: 'hand' } : { by: 'tape', strips: 4 }
      },
      { note: 'Joining edge cut straight, adhesive up to the edge, peeled, glue up: no iron here.' }
    );
    s.stop('join-seam', stopPart('Join seam', 'join-seam', /join|seam/, ['join'], right));
    s.move('hoop-off');
    if (p.rightHold === 'tape') s.hand('untape-right', { do: 'untape', strips: 4 });
    s.hand(
      'flip-right',
      { do: 'flip', pieceId: 'right', lineId: 'join', covers: 'right' },
      { needs: ['join-seam'] }
    );
    s.hand('fuse-seam', { do: 'fuse', pieceId: 'right', lineId: 'join' }, { needs: ['flip-right'] });
    s.move('hoop-on');
    s.stop(
      'topstitch',
      stopPart('Topstitch', 'topstitch', /top/, ['top'], { threadOf: 'right-satin', visible: 'front' })
    );
  });
  s.part('trim', 'Right piece trimmed, both fused', () => {
    s.stop(
      'right-zigzag',
      stopPart('Right zigzag', 'tack-down', /zig/, ['right-edge'], { ...right, width: 2 })
    );
    s.move('hoop-off');
    s.hand('trim-right', { do: 'trim', pieceIds: ['right'], lineId: 'right', side: 'outside', margin: 0 });
    s.hand('fuse-left', { do: 'fuse', pieceId: 'left' }, { needs: ['trim-left'] });
    s.hand('fuse-right', { do: 'fuse', pieceId: 'right' }, { needs: ['trim-right'] });
    s.move('hoop-on');
  });
  s.part('edges', 'Satin edges', () => {
    // The right piece’s thread is on.
    s.stop('right-satin', {
      ...stopPart('Right satin edge', 'applique-edge', /satin|right|edge/, ['right-edge'], {
        visible: 'front'
      }),
      width: SATIN_MM,
      thread: p.rightThread
    });
    s.stop('left-satin', {
      ...stopPart('Left satin edge', 'applique-edge', /satin|left|edge/, ['left-edge'], { visible: 'front' }),
      width: SATIN_MM,
      thread: p.leftThread
    });
  });
  s.part('finishing', 'Finishing', () => {
    s.move('hoop-off');
    s.hand('inspect', { do: 'inspect' }, { needs: ['left-satin'] });
    s.hand('unhoop', { do: 'unhoop' }, { needs: ['inspect'] });
    s.hand('snip-both', { do: 'snip', side: 'both', jumps: 4 });
    takeStabiliserOff(s, p);
  });
  s.must('lay-left', 'trim-left', 'lay-right', 'trim-right', 'join-seam');
  return s;
}

function around(...points: Path['points']): Path {
  return { closed: false, points };
}
