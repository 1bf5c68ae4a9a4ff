import { box, inset, type Path, segment, shapePath } from '$lib/core/base/geometry';
import type { Material } from '$lib/core/documents/item';
import type { Construction } from './construction';
import {
  type AnswersOf,
  heldAs,
  MATERIALS,
  Sequence,
  type StopPart,
  TOPSTITCH_S,
  seamOpening
} from '$lib/core/craft/sequence';
import { TURNED_FIELDS } from './turnedFlatFields';

type Params = AnswersOf<typeof TURNED_FIELDS>;

/** Tear-away goes with what is hooped as one; a knit, and what is floated, is carried by cutaway. */
function stabiliserFor(p: Params): Material {
  if (p.stabiliser !== 'usual') return STABILISERS[p.stabiliser];
  return p.school === 'all-hooped' && p.front.kind !== 'knit' ? MATERIALS.tearAway : MATERIALS.cutaway;
}
const STABILISERS = {
  'tear-away': MATERIALS.tearAway,
  cutaway: MATERIALS.cutaway,
  'soft-mesh': MATERIALS.softMesh
} as const;

/** Where the quilting goes: all over, or above or below the join of the panels. */
function quiltField(p: Params, outline: Path, joinAt: number): Path {
  if (p.quilted === 'all') return inset(outline, QUILT_INSET_MM);
  const [w, h] = [p.width / 2, p.height / 2];
  const panel = p.quilted === 'upper' ? box(-w, -h, w, joinAt) : box(-w, joinAt, w, h);
  return inset(panel, QUILT_INSET_MM);
}
const QUILT_INSET_MM = 14;

/** Seam allowance where two fronts are joined, mm. */
const JOIN_MM = 12;

/** A bib, a cloth or a cushion front: front and back right sides together, closed but for an opening, turned. */
export const turnedFlat: Construction<typeof TURNED_FIELDS> = {
  kind: 'turned-flat',
  name: 'Turned flat item',
  summary: 'Bib, cloth or cushion front: the back goes on face down, the whole is turned through an opening.',
  fields: TURNED_FIELDS,
  draft
};

function draft(p: Params): Sequence {
  const outline = shapePath(p.shape, p.width, p.height);
  const size = { width: p.width, height: p.height };
  const s = new Sequence({ shape: p.shape, size, finished: size, edge: 'turned' });
  const [w, h] = [p.width / 2, p.height / 2];
  const joinAt = h / 3;
  s.line('outline', 'Outline', outline);
  const closing = seamOpening(outline, p.opening, {
    // Where the fronts are joined four layers lie.
    avoid: p.school === 'pieced' ? segment(-w, joinAt, w, joinAt).points : []
  });
  s.line('closing', 'Closing seam', closing.path, 'hooping-1', closing.gaps);
  s.line('quilt', 'Quilting', quiltField(p, outline, joinAt));
  s.line('name', 'Name field', box(-w / 2, -h / 3, w / 2, -h / 12));
  s.piece('stabiliser', 'STABILISER', stabiliserFor(p), 'hooped', { plies: p.layers });
  s.piece('batting', 'BATTING', MATERIALS.batting, p.school === 'all-hooped' ? 'hooped' : 'batting', {
    covers: p.school === 'all-hooped' ? null : 'outline'
  });
  if (p.school === 'pieced') {
    s.line('join', 'Join line', segment(-w, joinAt, w, joinAt));
    s.line('panel-upper', 'Upper front', box(-w, -h, w, joinAt));
    s.line('panel-lower', 'Lower front', box(-w, joinAt, w, h));
    s.piece('lower', 'LOWER FRONT', p.lower, 'flipped', { covers: 'panel-lower', shows: 'front' });
    s.piece('front', 'UPPER FRONT', p.front, 'flipped', { covers: 'panel-upper', shows: 'front' });
  } else
    s.piece('front', 'FRONT', p.front, p.school === 'all-hooped' ? 'hooped' : 'applique', {
      covers: p.school === 'all-hooped' ? null : 'outline',
      shows: 'front'
    });
  s.piece('back', 'BACK', p.back, 'backing', { covers: 'outline', shows: 'back' });

  s.part('hooping', 'Hooping and front', () => {
    if (p.school === 'all-hooped') allHooped(s);
    else if (p.school === 'pieced') pieced(s);
    else floated(s);
  });
  s.part('quilting', 'Quilting', () => {
    s.stop('quilting', {
      name: 'Quilting',
      role: 'quilting',
      words: /quilt|stippl/,
      visible: 'front',
      optional: true,
      lineIds: ['quilt'],
      thread: p.quilting
    });
  });
  s.part('marks', 'Closure marks', () => {
    if (p.closes !== 'none')
      s.stop('marks', {
        name: 'Closure marks',
        role: 'closure-mark',
        alsoRoles: ['placement', 'centre-mark'],
        words: /mark|snap|closure|fasten|position/,
        threadOf: 'closing',
        optional: true,
        visible: 'front',
        estimate: [{ stitches: 40, length: 1.5, attended: false }]
      });
  });
  s.part('back', 'Back and closing seam', () => {
    s.nameGoes('quilting', 'front', 'name');
    s.move('hoop-off');
    s.hand(
      'lay-back',
      {
        do: 'lay',
        pieceId: 'back',
        side: 'above',
        face: 'down',
        covers: 'outline',
        over: 20,
        hold: heldAs(p.backHold)
      },
      { needs: ['quilting'] }
    );
    s.move('hoop-on');
    s.stop('closing', {
      name: 'Closing seam',
      role: 'closing-seam',
      words: /clos|final|seam|outline/,
      visible: 'hidden',
      lineIds: ['closing'],
      passes: p.school === 'pieced' ? 3 : 2,
      thread: p.seams
    });
  });
  s.part('finishing', 'Turned and finished', () => {
    finish(s, p);
  });
  s.must('lay-back', 'closing');
  return s;
}

const HIDDEN = { threadOf: 'closing', visible: 'hidden' } as const;
const outlineStop: StopPart = {
  name: 'Outline',
  role: 'basting',
  words: /outline|place|position/,
  lineIds: ['outline'],
  ...HIDDEN
};

function allHooped(s: Sequence): void {
  s.hand(
    'spray-batting',
    { do: 'spray', pieceId: 'batting' },
    { note: 'Stabiliser, batting and front become one.' }
  );
  s.hoop('hooping-1', 'Hooping', ['stabiliser', 'batting', 'front']);
  s.stop('outline', outlineStop);
}

function pieced(s: Sequence): void {
  s.hoop('hooping-1', 'Hooping', ['stabiliser'], { on: false });
  s.hand('float-batting', {
    do: 'lay',
    pieceId: 'batting',
    side: 'above',
    face: 'up',
    covers: 'outline',
    over: 12,
    hold: { by: 'spray' }
  });
  s.move('hoop-on');
  s.stop('placement', {
    name: 'Placement line',
    role: 'placement',
    words: /place|position|guide/,
    lineIds: ['outline', 'join'],
    ...HIDDEN
  });
  s.hand('lay-lower', {
    do: 'lay',
    pieceId: 'lower',
    side: 'above',
    face: 'up',
    edge: { lineId: 'join', body: 'down', allowance: JOIN_MM },
    hold: { by: 'tape', strips: 4 }
  });
  s.hand(
    'lay-upper',
    {
      do: 'lay',
      pieceId: 'front',
      side: 'above',
      face: 'down',
      edge: { lineId: 'join', body: 'down', allowance: JOIN_MM },
      hold: { by: 'tape', strips: 4 }
    },
    { needs: ['lay-lower'] }
  );
  s.stop('join', { name: 'Join seam', role: 'join-seam', words: /join|seam/, lineIds: ['join'], ...HIDDEN });
  s.hand('untape-upper', { do: 'untape', strips: 8 });
  s.hand(
    'flip',
    { do: 'flip', pieceId: 'front', lineId: 'join', covers: 'panel-upper' },
    { needs: ['untape-upper'] }
  );
}

function floated(s: Sequence): void {
  s.hoop('hooping-1', 'Hooping', ['stabiliser'], { on: false });
  s.hand('float-batting', {
    do: 'lay',
    pieceId: 'batting',
    side: 'above',
    face: 'up',
    covers: 'outline',
    over: 12,
    hold: { by: 'spray' }
  });
  s.hand(
    'float-front',
    {
      do: 'lay',
      pieceId: 'front',
      side: 'above',
      face: 'up',
      covers: 'outline',
      over: 12,
      hold: { by: 'spray' }
    },
    { needs: ['float-batting'] }
  );
  s.move('hoop-on');
}

function finish(s: Sequence, p: Params): void {
  s.move('hoop-off');
  s.hand('inspect', { do: 'inspect' }, { needs: ['closing'] });
  s.hand('unhoop', { do: 'unhoop' }, { needs: ['inspect'] });
  if (p.backHold === 'pins') s.hand('unpin-back', { do: 'unpin' });
  else s.hand('untape', { do: 'untape', strips: 4 });
  if (stabiliserFor(p).kind === 'tear-away') s.hand('tear-away', { do: 'tear-away' }, { needs: ['unhoop'] });
  s.hand(
    'trim-seam',
    { do: 'cut-out', lineId: 'outline', margin: 6 },
    { needs: ['unhoop'], note: 'Bulk first. Leave a lip at the opening.' }
  );
  s.hand('clip', { do: 'clip', lineId: 'outline' }, { needs: ['trim-seam'] });
  s.hand('turn', { do: 'turn-through', lineId: 'closing' }, { needs: ['trim-seam', 'clip'] });
  s.hand('press-flat', { do: 'press' }, { needs: ['turn'] });
  if (p.label === 'yes')
    s.hand('label', { do: 'other', title: 'Lay the label in the opening', seconds: 30 }, { needs: ['turn'] });
  if (p.topstitched === 'yes') {
    s.hand(
      'close',
      { do: 'close-opening', lineId: 'closing', by: 'machine' },
      { needs: ['turn'], note: 'The topstitch that goes all round closes it.' }
    );
    s.hand(
      'topstitch',
      { do: 'other', title: 'Topstitch all round, 3 mm from the edge', seconds: TOPSTITCH_S },
      { needs: ['close'] }
    );
  } else s.hand('close', { do: 'close-opening', lineId: 'closing', by: 'hand' }, { needs: ['turn'] });
  if (p.closes !== 'none')
    s.hand('fasten', { do: 'hardware', kind: p.closes, count: 1 }, { needs: ['close'] });
}
