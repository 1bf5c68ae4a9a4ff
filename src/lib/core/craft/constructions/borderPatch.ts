import { inset, pathLength, shapePath } from '$lib/core/base/geometry';
import type { Construction } from './construction';
import {
  edgePhases,
  Sequence,
  type AnswersOf,
  count,
  length,
  material,
  outline,
  thread,
  threads,
  addStabiliser,
  stabiliserFields,
  MATERIALS
} from '$lib/core/craft/sequence';

const FIELDS = {
  shape: outline('rounded', 'oval', 'rectangle', 'tab', 'shield', 'heart', 'scallop'),
  width: length('Outer edge of the border, width', 76, 25, 300),
  height: length('Outer edge of the border, height', 76, 25, 300),
  borderWidth: length('Width of the satin border', 4, 3, 8),
  overlap: length(
    'Satin inside the cut edge',
    2,
    0.5,
    7,
    'At least half the border: its middle must lie on the patch.'
  ),
  designGap: length('Gap between design and border', 3, 0, 30),
  ground: material('Ground cloth', { woven: 'Woven cotton', canvas: 'Canvas', felt: 'Felt' }, [
    'woven',
    'Cotton twill',
    '#31405c'
  ]),
  ...stabiliserFields(['tear-away', 'cutaway', 'soft-mesh'], 'tear-away', 1),
  baseLayers: count('Layers of wash-away under the border', 2, 2, 4),
  border: thread('Border thread', 'Brass', '#b58a3c'),
  colours: threads('Colours, in order', ['Cream', '#efe3c4'], ['Fern green', '#4d7148'])
};
type Params = AnswersOf<typeof FIELDS>;

/** A patch cut out after its design, laid on wash-away in a second hooping and edged all round. */
export const borderPatch: Construction<typeof FIELDS> = {
  kind: 'border-patch',
  name: 'Border patch, two hoopings',
  summary: 'Design first, cut out on its line, then edged in satin on wash-away: an edge with no raw cloth.',
  fields: FIELDS,
  draft
};

/** How far the satin reaches inside the raw edge: half its width at least, and not all of it. */
function overlapOf({ overlap, borderWidth }: Params): number {
  return Math.min(borderWidth - 0.5, Math.max(borderWidth / 2, overlap));
}

function draft(p: Params): Sequence {
  const outline = shapePath(p.shape, p.width, p.height);
  const edge = inset(outline, p.borderWidth / 2);
  const raw = inset(outline, p.borderWidth - overlapOf(p));
  const size = { width: p.width, height: p.height };
  const s = new Sequence({ shape: p.shape, size, finished: size, edge: 'satin border' });
  s.line('outline', 'Outer edge', outline, 'hooping-2');
  s.line('cut', 'Cut line', raw);
  s.line('raw', 'Edge of the patch', raw, 'hooping-2');
  s.line('edge', 'Middle of the border', edge, 'hooping-2');
  s.line('field', 'Design', inset(outline, p.borderWidth + p.designGap));
  addStabiliser(s, p);
  s.piece('ground', 'PATCH', p.ground, 'hooped', { shows: 'front' });
  s.piece('base', 'WASH-AWAY', MATERIALS.washAway, 'hooped', { plies: p.baseLayers });

  s.part('hooping', 'First hooping', () => {
    s.hoop('hooping-1', 'Design', ['stabiliser', 'ground']);
  });
  s.part('colours', 'Colours', () => {
    s.stop('colours', {
      name: 'Colours',
      one: 'Colour',
      role: 'decoration',
      alsoRoles: ['lettering', 'topstitch'],
      words: /colou?r|fill|design|letter|text/,
      repeats: true,
      visible: 'front',
      lineIds: ['field'],
      estimate: [{ stitches: 2500, attended: false }],
      thread: p.colours
    });
  });
  s.part('cut', 'Cut line and cutting out', () => {
    s.stop('cut-line', {
      name: 'Cut line',
      role: 'cut-line',
      words: /cut|die/,
      threadOf: 'border',
      visible: 'hidden',
      lineIds: ['cut']
    });
    s.move('hoop-off', 'unhoop');
    s.hand('cut-patch', { do: 'cut-out', lineId: 'cut', margin: 0 }, { needs: ['cut-line'] });
  });
  s.part('second', 'Second hooping', () => {
    s.hoop('hooping-2', 'Border', ['base']);
    s.stop('placement', {
      name: 'Placement line',
      role: 'placement',
      words: /place|position|guide/,
      threadOf: 'border',
      visible: 'hidden',
      lineIds: ['raw']
    });
    s.hand('glue', { do: 'glue', pieceId: 'ground', lineId: 'raw' });
    s.hand(
      'lay-patch',
      {
        do: 'lay',
        pieceId: 'ground',
        side: 'above',
        face: 'up',
        covers: 'raw',
        over: 0,
        hold: { by: 'glue' }
      },
      { needs: ['cut-patch'], note: 'Hold the edge down with an awl while the first pass runs.' }
    );
  });
  s.part('edge', 'Satin border', () => {
    s.hand('slow', { do: 'speed', spm: 350, firstPass: true });
    s.stop('border', {
      name: 'Border',
      role: 'satin-edge',
      alsoRoles: ['applique-edge'],
      words: /border|edge|satin|outline|rim/,
      visible: 'both',
      protected: true,
      lineIds: ['edge'],
      estimate: edgePhases(pathLength(edge), p.borderWidth, true),
      thread: p.border
    });
  });
  s.part('finishing', 'Finishing', () => {
    s.move('hoop-off');
    s.hand('inspect', { do: 'inspect' }, { needs: ['border'] });
    s.hand('unhoop', { do: 'unhoop' }, { needs: ['inspect'] });
    s.hand('trim-base', { do: 'cut-roughly', lineId: 'outline', margin: 5 }, { needs: ['unhoop'] });
    s.hand('rinse', { do: 'rinse' }, { needs: ['trim-base'] });
    s.hand('dry', { do: 'wait', why: 'dry' }, { needs: ['rinse'] });
  });
  s.must('cut-patch', 'lay-patch', 'border');
  s.truth({
    kind: 'stabiliser',
    pieceId: 'base',
    kinds: ['wash-away-mesh', 'wash-away-film', 'sticky-wash-away'],
    plies: 2
  });
  return s;
}
