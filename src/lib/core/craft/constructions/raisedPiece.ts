import { shapePath } from '$lib/core/base/geometry';
import type { Construction } from './construction';
import {
  Sequence,
  type AnswersOf,
  length,
  material,
  thread,
  addStabiliser,
  stabiliserFields,
  takeStabiliserOff,
  MATERIALS
} from '$lib/core/craft/sequence';

const FIELDS = {
  width: length('The piece, across', 90, 40, 200),
  centre: length('Its centre, across', 24, 12, 60),
  ground: material('Ground', { woven: 'Woven cotton', canvas: 'Canvas', felt: 'Felt' }, [
    'woven',
    'Carriage cloth',
    '#31405c'
  ]),
  petals: material('Petals', { felt: 'Felt', woven: 'Organza or cotton' }, [
    'felt',
    'Felt petals',
    '#c96f80'
  ]),
  ...stabiliserFields(['cutaway', 'tear-away', 'soft-mesh'], 'cutaway', 1),
  middle: material('Centre', { woven: 'Woven cotton', felt: 'Felt' }, ['woven', 'Lamp yellow', '#e3b341']),
  thread: thread('Texture thread', 'Lamp yellow', '#e3b341'),
  ring: thread('Ring thread', 'Brass', '#b58a3c')
};
type Params = AnswersOf<typeof FIELDS>;

/** A flower or bow that stands up from the cloth, stitched down in its middle only. */
export const raisedPiece: Construction<typeof FIELDS> = {
  kind: 'raised-piece',
  name: '3-D piece on top',
  summary:
    'A finished flower or bow stitched down in its middle; pins out, hard parts out, petals taped flat.',
  fields: FIELDS,
  draft
};

function draft(p: Params): Sequence {
  const size = { width: p.width, height: p.width };
  const s = new Sequence({ shape: 'oval', size, finished: size, edge: 'loose petals' });
  const hidden = { threadOf: 'ring', visible: 'hidden' } as const;
  s.line('petals', 'Petals', shapePath('oval', p.width, p.width));
  s.line('mark', 'Centre mark', shapePath('oval', 4, 4));
  s.line('centre', 'Centre', shapePath('oval', p.centre, p.centre));
  s.line('texture', 'Texture', shapePath('oval', p.centre * 0.7, p.centre * 0.7));
  s.line('inner', 'Tack circle', shapePath('oval', p.centre * 0.5, p.centre * 0.5));
  addStabiliser(s, p);
  s.piece('ground', 'GROUND', p.ground, 'hooped', { shows: 'front' });
  s.piece('petals', 'PETALS', p.petals, 'applique', {
    covers: 'petals',
    shows: 'front',
    shape: 'pre-cut',
    loose: true
  });
  s.piece('middle', 'CENTRE', p.middle, 'applique', { covers: 'centre', shows: 'front' });
  // Over the whole flower: its petals are what the foot catches.
  s.piece('topping', 'TOPPING', MATERIALS.film, 'applique', { covers: 'petals' });

  s.part('hooping', 'Hooping', () => {
    s.hoop('hooping-1', 'Hooping', ['stabiliser', 'ground']);
  });
  s.part('petals', 'Petals pinned and tacked', () => {
    s.stop('mark', {
      name: 'Centre mark',
      role: 'centre-mark',
      words: /mark|centre|cross/,
      lineIds: ['mark'],
      ...hidden
    });
    s.move('hoop-off');
    s.hand('hard-parts', { do: 'align-holes', pieceId: 'petals' });
    s.hand(
      'pin-centre',
      { do: 'pin', pieceId: 'ground', pins: 1, away: 0, lineId: 'mark' },
      { needs: ['hard-parts'] }
    );
    s.hand(
      'lay-petals',
      {
        do: 'lay',
        pieceId: 'petals',
        side: 'above',
        face: 'up',
        covers: 'petals',
        hold: { by: 'tape', strips: 6 }
      },
      {
        needs: ['pin-centre'],
        note: 'Its holes over the pin, tape on the petals only, outside the stitching; rest the hoop on a container.'
      }
    );
    s.hand(
      'check-centre',
      { do: 'other', title: 'Check the centre: the pin stands in the middle of every hole', seconds: 20 },
      { needs: ['lay-petals'] }
    );
    s.hand('unpin', { do: 'unpin' }, { needs: ['check-centre'], note: 'Before the hoop goes on.' });
    s.move('hoop-on');
    s.hand('slow', { do: 'speed', spm: 350 });
    s.stop('tack', { name: 'Tack-down', role: 'tack-down', words: /tack/, lineIds: ['inner'], ...hidden }, [
      'unpin'
    ]);
    s.stop('zigzag', {
      name: 'Zigzag',
      role: 'tack-down',
      words: /zig/,
      lineIds: ['inner'],
      width: 2,
      ...hidden
    });
  });
  s.part('middle', 'Centre and topping', () => {
    s.hand('lay-middle', {
      do: 'lay',
      pieceId: 'middle',
      side: 'above',
      face: 'up',
      covers: 'centre',
      over: 12,
      hold: { by: 'spray' }
    });
    s.hand('topping-on', { do: 'topping-on', pieceId: 'topping' }, { needs: ['lay-middle'] });
    s.stop('middle-tack', {
      name: 'Centre tack-down',
      role: 'tack-down',
      words: /centre|tack/,
      lineIds: ['centre'],
      ...hidden
    });
    s.move('hoop-off');
    s.hand(
      'trim-middle',
      {
        do: 'trim',
        pieceIds: ['middle'],
        lineId: 'centre',
        side: 'outside',
        margin: 0.5,
        keepIds: ['topping', 'petals']
      },
      { note: 'Lift the topping, trim the centre’s cloth under it, lay the topping back.' }
    );
    s.move('hoop-on');
  });
  s.part('texture', 'Texture and ring', () => {
    s.stop('texture', {
      name: 'Texture',
      role: 'decoration',
      words: /texture|fill|detail/,
      visible: 'front',
      lineIds: ['texture'],
      estimate: [{ stitches: 900, attended: false }],
      thread: p.thread
    });
    s.stop('ring', {
      name: 'Ring',
      role: 'applique-edge',
      alsoRoles: ['satin-edge'],
      words: /ring|edge|satin/,
      visible: 'front',
      lineIds: ['centre'],
      width: 4,
      thread: p.ring
    });
  });
  s.part('finishing', 'Finishing', () => {
    s.hand('speed-up', { do: 'speed', spm: null });
    s.move('hoop-off');
    s.hand('untape', { do: 'untape', strips: 6 });
    s.hand('topping-off', { do: 'topping-off', pieceId: 'topping' }, { needs: ['ring'] });
    s.hand('inspect', { do: 'inspect' }, { needs: ['ring'] });
    s.hand('unhoop', { do: 'unhoop' }, { needs: ['inspect'] });
    takeStabiliserOff(s, p);
  });
  s.must('hard-parts', 'lay-petals', 'unpin', 'lay-middle', 'trim-middle');
  return s;
}
