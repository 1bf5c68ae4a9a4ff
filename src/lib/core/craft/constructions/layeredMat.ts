import { box, inset, shapePath, shifted } from '$lib/core/base/geometry';
import type { Construction } from './construction';
import {
  Sequence,
  stopPart,
  type AnswersOf,
  choice,
  count,
  heldAs,
  hold,
  length,
  material,
  outline,
  thread,
  MATERIALS
} from '$lib/core/craft/sequence';

const FIELDS = {
  shape: outline('rounded', 'rectangle', 'oval', 'shield', 'heart', 'scallop'),
  width: length('Outer edge, width', 150, 70, 400),
  height: length('Outer edge, height', 110, 70, 300),
  borderWidth: length('Width of the satin edge', 5, 4, 8),
  layers: count('Layers of wash-away', 2, 1, 3, 'one is enough where the edge is light'),
  throughAll: choice('Quilted through the back', { no: 'No', yes: 'Yes, on purpose' }, 'no'),
  lettering: choice('Lettering', { yes: 'As in the file', no: 'Left out' }, 'yes'),
  top: material('Top', { woven: 'Woven cotton', canvas: 'Canvas' }, ['woven', 'Fern print', '#4d7148']),
  first: material('First appliqué', { woven: 'Woven cotton', felt: 'Felt' }, [
    'woven',
    'Carriage red',
    '#8d2f35'
  ]),
  firstHold: hold('First appliqué held with', 'spray'),
  second: material('Second appliqué', { woven: 'Woven cotton', felt: 'Felt' }, ['woven', 'Cream', '#efe3c4']),
  secondHold: hold('Second appliqué held with', 'spray'),
  back: material('Back', { vinyl: 'Vinyl', felt: 'Felt', woven: 'Woven cotton' }, [
    'vinyl',
    'Grained vinyl',
    '#4a3b30'
  ]),
  border: thread('Edge thread', 'Burgundy', '#6d1f31'),
  details: thread('Detail thread', 'Brass', '#b58a3c')
};
type Params = AnswersOf<typeof FIELDS>;

/** A mat of several layers with appliqué, backed under the hoop and edged in satin. */
export const layeredMat: Construction<typeof FIELDS> = {
  kind: 'layered-mat',
  name: 'Layered mat, satin edge',
  summary:
    'Batting, top and two appliqué pieces, a vinyl back under the hoop, one satin edge round everything.',
  fields: FIELDS,
  draft
};

const HIDDEN = { threadOf: 'border', visible: 'hidden' } as const;

function draft(p: Params): Sequence {
  const outer = shapePath(p.shape, p.width, p.height);
  const edge = inset(outer, p.borderWidth / 2);
  const size = { width: p.width, height: p.height };
  const s = new Sequence({ shape: p.shape, size, finished: size, edge: 'satin edge' });
  // Side by side, on an upright mat too.
  const across = Math.min(p.height / 3, p.width / 4);
  const spot = shapePath('oval', across, across);
  s.line('outer', 'Outer edge', outer);
  s.line('edge', 'Edge', edge);
  s.line('quilt', 'Details', inset(edge, 8));
  s.line('first', 'First appliqué', shifted(spot, -p.width / 6, 0));
  s.line('second', 'Second appliqué', shifted(spot, p.width / 6, 0));
  s.line('letters', 'Lettering', box(-p.width / 4, p.height / 4, p.width / 4, p.height / 3));
  s.piece('base', 'WASH-AWAY', MATERIALS.washAway, 'hooped', { plies: p.layers });
  s.piece('batting', 'BATTING', MATERIALS.batting, 'batting', { covers: 'edge' });
  s.piece('top', 'TOP', p.top, 'applique', { covers: 'edge', shows: 'front' });
  s.piece('first', 'FIRST APPLIQUÉ', p.first, 'applique', { covers: 'first', shows: 'front' });
  s.piece('second', 'SECOND APPLIQUÉ', p.second, 'applique', { covers: 'second', shows: 'front' });
  s.piece('back', 'BACK', p.back, 'backing', { covers: 'edge', shows: 'back' });

  s.part('hooping', 'Hooping', () => {
    s.hoop('hooping-1', 'Hooping', ['base']);
  });
  s.part('top', 'Batting and top', () => {
    s.stop('placement', stopPart('Placement line', 'placement', /place|position/, ['edge'], HIDDEN));
    lay(s, 'batting', 'edge');
    lay(s, 'top', 'edge', 'spray', ['lay-batting']);
    s.stop('tack', stopPart('Tack-down', 'tack-down', /tack|fix/, ['edge'], HIDDEN));
  });
  s.part('details', 'Details', () => {
    s.stop('details', {
      ...stopPart('Details', 'decoration', /detail|design/, ['quilt'], { visible: 'front' }),
      estimate: [{ stitches: 2200, attended: false }],
      thread: p.details
    });
  });
  s.part('applique', 'Two appliqué pieces', () => {
    applique(s, p);
  });
  s.part('lettering', 'Lettering', () => {
    if (p.lettering === 'yes')
      s.stop('lettering', {
        ...stopPart('Lettering', 'lettering', /letter|name|text/, ['letters'], { visible: 'front' }),
        optional: true,
        threadOf: 'details'
      });
  });
  s.part('trim', 'Outline and trimming', () => {
    s.nameGoes('details', 'top', 'letters');
    s.stop('outline', stopPart('Outline again', 'tack-down', /outline|again/, ['edge'], HIDDEN));
    s.move('hoop-off');
    // Only now: the stitching has pulled the top in.
    s.hand('trim-top', {
      do: 'trim',
      pieceIds: ['batting', 'top'],
      lineId: 'edge',
      side: 'outside',
      margin: 0.5
    });
  });
  s.part('back', 'Back under the hoop', () => {
    s.move('turn-over');
    s.hand('snip-back', { do: 'snip', side: 'back', jumps: 4 });
    s.hand('lay-back', {
      do: 'lay',
      pieceId: 'back',
      side: 'below',
      face: 'down',
      covers: 'edge',
      over: 20,
      hold: { by: 'spray' }
    });
    s.toFront();
    s.hand('look-under', { do: 'check-under' }, { note: 'Support the back while the hoop goes on.' });
    s.stop('back-tack', stopPart('Back tack-down', 'tack-down', /back|tack/, ['edge'], HIDDEN));
    s.toBack();
    s.hand('trim-back', { do: 'trim', pieceIds: ['back'], lineId: 'edge', side: 'outside', margin: 0.5 });
    s.toFront();
  });
  s.part('through', 'Quilting through all', () => {
    if (p.throughAll === 'yes')
      s.stop('through', {
        ...stopPart('Quilting through all', 'quilting', /quilt|through/, ['quilt'], { visible: 'both' }),
        through: true,
        optional: true,
        threadOf: 'details'
      });
  });
  s.part('edge', 'Satin edge', () => {
    s.hand('bobbin', { do: 'bobbin', threadId: 'stop:border' });
    s.stop('border', {
      ...stopPart('Satin edge', 'satin-edge', /border|edge|satin/, ['edge'], { visible: 'both' }),
      protected: true,
      width: p.borderWidth,
      thread: p.border
    });
  });
  s.part('finishing', 'Finishing', () => {
    finish(s, p);
  });
  s.must('trim-top', 'trim-back', 'lay-back', 'bobbin', 'border');
  s.truth({
    kind: 'stabiliser',
    pieceId: 'base',
    kinds: ['wash-away-mesh', 'wash-away-film', 'sticky-wash-away'],
    plies: 1
  });
  return s;
}

function lay(
  s: Sequence,
  pieceId: string,
  covers: string,
  by: Params['firstHold'] = 'spray',
  needs: string[] = []
): void {
  s.hand(
    `lay-${pieceId}`,
    { do: 'lay', pieceId, side: 'above', face: 'up', covers, over: 12, hold: heldAs(by) },
    { needs }
  );
}

function applique(s: Sequence, p: Params): void {
  s.stop(
    'applique-placement',
    stopPart('Appliqué placement', 'placement', /appli|place/, ['first', 'second'], HIDDEN)
  );
  for (const [piece, by] of [
    ['first', p.firstHold],
    ['second', p.secondHold]
  ] as const) {
    lay(s, piece, piece, by);
    s.stop(
      `${piece}-tack`,
      stopPart(`${piece === 'first' ? 'First' : 'Second'} tack-down`, 'tack-down', /tack/, [piece], HIDDEN)
    );
    if (by === 'pins') s.hand(`unpin-${piece}`, { do: 'unpin' });
    s.hand(`trim-${piece}`, {
      do: 'trim',
      pieceIds: [piece],
      lineId: piece,
      side: 'outside',
      margin: 0.5,
      where: 'on-machine'
    });
  }
  s.stop('applique-edges', {
    ...stopPart('Appliqué edges', 'applique-edge', /appli|edge/, ['first', 'second'], { visible: 'front' }),
    threadOf: 'details',
    width: 3.5
  });
}

function finish(s: Sequence, p: Params): void {
  s.move('hoop-off');
  s.hand('inspect', { do: 'inspect' }, { needs: ['border'] });
  s.hand('unhoop', { do: 'unhoop' }, { needs: ['inspect'] });
  s.hand('cut-out', { do: 'cut-roughly', lineId: 'outer', margin: 25 }, { needs: ['unhoop'] });
  s.hand('rinse', { do: 'rinse' }, { needs: ['cut-out'], note: 'Dip only the edges, then peel.' });
  s.hand('press', { do: 'press', from: p.back.kind === 'vinyl' ? 'front' : 'back' }, { needs: ['rinse'] });
  s.hand('snip-last', { do: 'snip', side: 'both', jumps: 4 });
}
