import { inset, shapePath } from '$lib/core/base/geometry';
import type { Construction } from './construction';
import {
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
  shape: outline('rounded', 'oval', 'rectangle', 'tab', 'shield', 'heart'),
  width: length('Edge of the pile, width', 90, 30, 300),
  height: length('Edge of the pile, height', 60, 30, 300),
  edge: choice('Edge', { satin: 'Satin edge', zigzag: 'The zigzag stays open' }, 'satin'),
  ground: material('Ground', { felt: 'Felt', canvas: 'Canvas' }, ['felt', 'Felt', '#31405c']),
  pile: material('Pile', { towelling: 'Towelling', fleece: 'Fleece' }, ['towelling', 'Towelling', '#e9e2d0']),
  ...stabiliserFields(['tear-away', 'cutaway', 'soft-mesh'], 'tear-away', 2),
  pileHold: hold('Pile held with', 'spray'),
  lettering: thread('Lettering thread', 'Burgundy', '#6d1f31'),
  border: thread('Edge thread', 'Navy', '#27324d')
};
type Params = AnswersOf<typeof FIELDS>;

/** Towelling trimmed to shape on felt, lettered through a topping that keeps the stitches up. */
export const pilePatch: Construction<typeof FIELDS> = {
  kind: 'pile-patch',
  name: 'Pile patch',
  summary: 'Towelling or fleece on felt, trimmed in the hoop, lettered through a topping that tears off.',
  fields: FIELDS,
  draft
};

function draft(p: Params): Sequence {
  const line = shapePath(p.shape, p.width, p.height);
  const satin = p.edge === 'satin';
  const s = new Sequence({
    shape: p.shape,
    size: { width: p.width + 4, height: p.height + 4 },
    finished: { width: p.width + 10, height: p.height + 10 },
    edge: satin ? 'satin edge' : 'zigzag'
  });
  s.line('pile', 'Edge of the pile', line);
  s.line('field', 'Lettering', inset(line, 12));
  // One layer of tear-away tears through under a satin.
  addStabiliser(s, satin && p.stabiliser === 'tear-away' ? { ...p, layers: Math.max(2, p.layers) } : p);
  s.piece('ground', 'GROUND', p.ground, 'hooped', { shows: 'front' });
  s.piece('pile', 'PILE', p.pile, 'applique', { covers: 'pile', shows: 'front' });
  s.piece('topping', 'TOPPING', MATERIALS.film, 'applique', { covers: 'pile' });

  s.part('hooping', 'Hooping', () => {
    s.hoop('hooping-1', 'Hooping', ['stabiliser', 'ground']);
  });
  s.part('pile', 'Pile laid and trimmed', () => {
    s.stop('placement', {
      name: 'Placement line',
      role: 'placement',
      words: /place|position|guide/,
      threadOf: 'border',
      visible: 'hidden',
      lineIds: ['pile']
    });
    s.hand('lay-pile', {
      do: 'lay',
      pieceId: 'pile',
      side: 'above',
      face: 'up',
      covers: 'pile',
      over: 12,
      hold: heldAs(p.pileHold)
    });
    s.stop('tack-down', {
      name: 'Zigzag tack-down',
      role: 'tack-down',
      words: /tack|zig/,
      threadOf: 'border',
      visible: satin ? 'hidden' : 'front',
      lineIds: ['pile'],
      width: 2.5,
      ...(!satin && { thread: p.border, threadOf: undefined })
    });
    s.move('hoop-off');
    if (p.pileHold === 'pins') s.hand('unpin-pile', { do: 'unpin' });
    s.hand('trim-pile', { do: 'trim', pieceIds: ['pile'], lineId: 'pile', side: 'outside', margin: 0.5 });
  });
  s.part('lettering', 'Lettering through topping', () => {
    s.hand('topping-on', { do: 'topping-on', pieceId: 'topping' }, { needs: ['trim-pile'] });
    s.hand('pin-topping', { do: 'pin', pieceId: 'topping', pins: 4, away: 12 }, { needs: ['topping-on'] });
    s.move('hoop-on');
    s.stop('lettering', {
      name: 'Lettering',
      role: 'lettering',
      alsoRoles: ['decoration'],
      words: /letter|name|text|word|design/,
      visible: 'front',
      lineIds: ['field'],
      thread: p.lettering
    });
    s.nameGoes('lettering', 'pile', 'field');
  });
  s.part('edge', 'Satin edge', () => {
    if (satin)
      s.stop('border', {
        name: 'Satin edge',
        role: 'satin-edge',
        words: /border|edge|satin|rim/,
        optional: true,
        visible: 'front',
        protected: true,
        lineIds: ['pile'],
        width: 4,
        thread: p.border
      });
  });
  s.part('finishing', 'Finishing', () => {
    s.move('hoop-off');
    s.hand('unpin', { do: 'unpin' });
    s.hand('topping-off', { do: 'topping-off', pieceId: 'topping' }, { needs: ['lettering', 'unpin'] });
    s.hand('brush', { do: 'other', title: 'Brush the pile up', seconds: 20 }, { needs: ['topping-off'] });
    s.hand('inspect', { do: 'inspect' });
    s.hand('unhoop', { do: 'unhoop' }, { needs: ['inspect', 'topping-off'] });
    takeStabiliserOff(s, p);
    s.hand('cut-out', { do: 'cut-out', lineId: 'pile', margin: 5 }, { needs: ['unhoop'] });
  });
  s.must('lay-pile', 'tack-down', 'trim-pile', 'topping-on');
  return s;
}
