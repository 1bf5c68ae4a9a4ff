import { box, inset, segment, shapePath, shifted } from '$lib/core/base/geometry';
import type { Material } from '$lib/core/documents/item';
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
  shape: outline('rounded', 'oval', 'rectangle'),
  width: length('Outer edge, width', 120, 80, 300),
  height: length('Outer edge, height', 130, 100, 300),
  borderWidth: length('Width of the satin edge', 5, 4, 8),
  slotWidth: length('Slot, width', 60, 30, 150),
  base: choice('Stabiliser', { 'tear-away': 'Tear-away', 'wash-away': 'Wash-away, cloth type' }, 'tear-away'),
  layers: count('Layers of stabiliser', 2, 2, 4, 'one tears through under the edge'),
  front: material('Front, interfaced', { woven: 'Woven cotton', canvas: 'Canvas' }, [
    'woven',
    'Carriage red',
    '#8d2f35'
  ]),
  frontHold: hold('Front held with', 'tape'),
  back: material('Back, interfaced', { woven: 'Woven cotton', felt: 'Felt' }, ['woven', 'Cream', '#efe3c4']),
  towel: material('Towel', { towelling: 'Towelling', woven: 'Woven cotton' }, [
    'towelling',
    'Tea towel',
    '#e9e2d0'
  ]),
  towelHold: choice('Towel held with', { tape: 'Tape', pins: 'Pins' }, 'tape'),
  border: thread('Edge thread', 'Navy', '#27324d'),
  details: thread('Detail thread', 'Brass', '#b58a3c')
};
type Params = AnswersOf<typeof FIELDS>;

/** A padded topper with a slot, edged in satin, that a folded towel is stitched to. */
export const topper: Construction<typeof FIELDS> = {
  kind: 'topper',
  name: 'Topper with a slot, on a towel',
  summary: 'A padded shape with a slot, edged all round, stitched to the fold of a towel that hangs from it.',
  fields: FIELDS,
  draft
};

const HIDDEN = { threadOf: 'border', visible: 'hidden' } as const;
const stop: typeof stopPart = (name, role, words, lineIds, more = HIDDEN) =>
  stopPart(name, role, words, lineIds, more);

function draft(p: Params): Sequence {
  const outer = shapePath(p.shape, p.width, p.height);
  const size = { width: p.width, height: p.height };
  const [w, h] = [p.width / 2, p.height / 2];
  const s = new Sequence({ shape: p.shape, size, finished: size, edge: 'satin edge' });
  s.line('outer', 'Outer edge', outer);
  s.line('edge', 'Edge', inset(outer, p.borderWidth / 2));
  s.line('slot', 'Slot', shifted(shapePath('tab', p.slotWidth, 14), 0, -h + 28));
  s.line('field', 'Design', box(-w / 2, -h / 4, w / 2, h / 4));
  s.line('towel-edge', 'Towel line', segment(-w * 0.6, h - 22, w * 0.6, h - 22));
  s.line('attach', 'Towel seam', box(-w * 0.5, h - 20, w * 0.5, h - 12));
  const washes = p.base === 'wash-away';
  s.piece(
    'base',
    washes ? 'WASH-AWAY' : 'TEAR-AWAY',
    washes ? MATERIALS.washAway : MATERIALS.tearAway,
    'hooped',
    {
      plies: p.layers
    }
  );
  s.piece('batting', 'BATTING', MATERIALS.batting, 'batting', { covers: 'edge' });
  const interfaced = (kind: string): { backed?: Material[] } =>
    kind === 'felt' ? {} : { backed: [MATERIALS.interfacing] };
  s.piece('front', 'FRONT', p.front, 'applique', {
    covers: 'edge',
    shows: 'front',
    ...interfaced(p.front.kind)
  });
  s.piece('back', 'BACK', p.back, 'backing', {
    covers: 'edge',
    shows: 'back',
    ...interfaced(p.back.kind)
  });
  s.piece('towel', 'TOWEL', p.towel, 'backing', {
    covers: 'attach',
    shows: 'back',
    folded: true,
    readyMade: { width: 230, height: 330, right: 0, towards: 0 }
  });

  s.part('hooping', 'Hooping', () => {
    s.hand('interface', {
      do: 'back-cloth',
      pieceIds: p.back.kind === 'felt' ? ['front'] : ['front', 'back']
    });
    s.hoop('hooping-1', 'Hooping', ['base']);
  });
  s.part('front', 'Batting and front', () => {
    s.stop('batting-placement', stop('Batting placement', 'placement', /batting|place/, ['edge']));
    s.hand('lay-batting', {
      do: 'lay',
      pieceId: 'batting',
      side: 'above',
      face: 'up',
      covers: 'edge',
      over: 12,
      hold: { by: 'spray' }
    });
    s.stop('batting-tack', stop('Batting tack-down', 'tack-down', /batting|tack/, ['edge', 'slot']));
    s.hand(
      'lay-front',
      {
        do: 'lay',
        pieceId: 'front',
        side: 'above',
        face: 'up',
        covers: 'edge',
        over: 12,
        hold: heldAs(p.frontHold)
      },
      { note: 'The hoop stays on.' }
    );
    s.stop('front-tack', stop('Front tack-down', 'tack-down', /front|tack/, ['edge', 'slot']));
    if (p.frontHold === 'pins') s.hand('unpin-front', { do: 'unpin' });
  });
  s.part('details', 'Details', () => {
    s.stop('details', {
      ...stop('Details', 'decoration', /detail|design/, ['field'], { visible: 'front' }),
      estimate: [{ stitches: 2600, attended: false }],
      thread: p.details
    });
  });
  s.part('trim', 'Trimming', () => {
    s.nameGoes('details', 'front', 'field');
    s.move('hoop-off');
    s.hand('trim-front', {
      do: 'trim',
      pieceIds: ['batting', 'front'],
      lineId: 'edge',
      side: 'outside',
      margin: 0.5
    });
    s.hand('trim-slot', {
      do: 'trim',
      pieceIds: ['batting', 'front'],
      lineId: 'slot',
      side: 'inside',
      margin: 0.5,
      keepIds: ['base']
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
      hold: { by: 'tape', strips: 4 }
    });
    s.toFront();
    s.stop('back-tack', stop('Back tack-down', 'tack-down', /back|tack/, ['edge', 'slot']));
    s.toBack();
    s.hand('untape-back', { do: 'untape', strips: 4 });
    s.hand('trim-back', { do: 'trim', pieceIds: ['back'], lineId: 'edge', side: 'outside', margin: 0.5 });
    s.hand('trim-back-slot', {
      do: 'trim',
      pieceIds: ['back'],
      lineId: 'slot',
      side: 'inside',
      margin: 0.5,
      keepIds: ['base']
    });
    s.toFront();
  });
  s.part('edge', 'Satin edge', () => {
    s.hand(
      'bobbin',
      { do: 'bobbin', threadId: 'stop:border' },
      { note: 'A full one: this is the longest stop.' }
    );
    s.stop('border', {
      ...stop('Satin edge', 'satin-edge', /border|edge|satin/, ['edge', 'slot'], { visible: 'both' }),
      protected: true,
      width: p.borderWidth,
      thread: p.border
    });
  });
  s.part('towel', 'Towel stitched on', () => {
    s.stop('towel-placement', {
      ...stop('Towel placement', 'placement', /towel|place/, ['attach'], { visible: 'front' }),
      threadOf: 'border'
    });
    s.toBack();
    s.hand(
      'lay-towel',
      {
        do: 'lay',
        pieceId: 'towel',
        side: 'below',
        // Its front towards the maker as the hoop lies turned over.
        face: 'down',
        edge: { lineId: 'towel-edge', body: 'down', allowance: 0 },
        hold: p.towelHold === 'tape' ? { by: 'tape', strips: 4 } : { by: 'pins', pins: 4, away: 12 }
      },
      {
        note: 'Folded in half lengthways, its front to you, centred on the marks with equal excess on both sides.'
      }
    );
    s.toFront();
    s.hand('support', { do: 'check-under' }, { note: 'Support the towel while it stitches.' });
    s.stop('attach', {
      ...stop('Towel seam', 'topstitch', /attach|towel|seam/, ['attach'], { visible: 'both' }),
      through: true,
      threadOf: 'border',
      passes: 2
    });
  });
  s.part('finishing', 'Finishing', () => {
    s.move('hoop-off');
    s.hand('inspect', { do: 'inspect' }, { needs: ['attach'] });
    s.hand('unhoop', { do: 'unhoop' }, { needs: ['inspect'] });
    s.hand('take-off', p.towelHold === 'tape' ? { do: 'untape', strips: 4 } : { do: 'unpin' });
    s.hand('stabiliser-off', washes ? { do: 'rinse' } : { do: 'tear-away' }, { needs: ['unhoop'] });
  });
  s.must(
    'lay-back',
    'trim-front',
    'trim-slot',
    'trim-back',
    'trim-back-slot',
    'lay-towel',
    'bobbin',
    'border'
  );
  s.truth({
    kind: 'stabiliser',
    pieceId: 'base',
    kinds: ['tear-away', 'wash-away-mesh'],
    plies: 2
  });
  return s;
}
