import { inset, shapePath } from '$lib/core/base/geometry';
import type { Construction } from './construction';
import {
  Sequence,
  type AnswersOf,
  choice,
  length,
  material,
  outline,
  thread,
  threads,
  addStabiliser,
  stabiliserFields,
  takeStabiliserOff
} from '$lib/core/craft/sequence';

const FIELDS = {
  shape: outline('oval', 'rounded', 'rectangle', 'tab', 'shield', 'heart', 'scallop'),
  width: length('Outer edge of the border, width', 80, 15, 400),
  height: length('Outer edge of the border, height', 80, 15, 400),
  borderWidth: length('Width of the satin border', 4, 2, 10),
  designGap: length('Gap between design and border', 3, 0, 30),
  finish: choice('Goes on', { 'sew-on': 'Sewn on', 'iron-on': 'Ironed on' }, 'sew-on'),
  ground: material(
    'Ground cloth',
    { felt: 'Felt', canvas: 'Canvas', woven: 'Woven cotton' },
    ['felt', 'Wool felt', '#7c8a6a'],
    'woven cloth and canvas fray, so their edge is sealed before cutting'
  ),
  ...stabiliserFields(['tear-away', 'cutaway', 'soft-mesh', 'wash-away'], 'tear-away', 1),
  border: thread('Border thread', 'Ink black', '#20242c'),
  colours: threads('Colours, in order', ['Lamp yellow', '#e3b341'])
};
type Params = AnswersOf<typeof FIELDS>;

/** Cut this far from the last stitch: close, and no thread touched. */
const CUT_CLOSE_MM = 1;
/** Cut this far out while the piece is only being freed from the rest. */
const CUT_ROUGH_MM = 15;

/** A patch stitched on hooped cloth in one hooping, then cut out: sewn on later, or ironed on. */
export const patch: Construction<typeof FIELDS> = {
  kind: 'patch',
  name: 'Patch, one hooping',
  summary: 'Colours and border stitched on hooped felt or canvas, then cut out close. To sew on or iron on.',
  fields: FIELDS,
  draft
};

function draft(p: Params): Sequence {
  const outline = shapePath(p.shape, p.width, p.height);
  const s = new Sequence({
    shape: p.shape,
    size: { width: p.width, height: p.height },
    finished: { width: p.width + 2 * CUT_CLOSE_MM, height: p.height + 2 * CUT_CLOSE_MM },
    edge: 'satin border'
  });
  s.line('outline', 'Outer edge', outline);
  // The needle travels along the middle of the border.
  s.line('border', 'Middle of the border', inset(outline, p.borderWidth / 2));
  s.line('field', 'Design', inset(outline, p.borderWidth + p.designGap));
  addStabiliser(s, p);
  s.piece('ground', 'GROUND', p.ground, 'hooped', { shows: 'front' });
  const irons = p.finish === 'iron-on';
  if (irons)
    s.piece(
      'adhesive',
      'ADHESIVE',
      { kind: 'heat-adhesive', name: 'Heat adhesive, strongest grade', colour: '#e6d9b8' },
      'adhesive',
      { covers: 'outline' }
    );

  s.part('hooping', 'Hooping', () => {
    s.hoop('hooping-1', 'Hooping', ['stabiliser', 'ground']);
  });
  s.part('colours', 'Colours', () => {
    s.stop('colours', {
      name: 'Colours',
      one: 'Colour',
      role: 'decoration',
      alsoRoles: ['lettering', 'quilting', 'topstitch', 'applique-edge'],
      words: /colou?r|fill|design|letter|text/,
      repeats: true,
      visible: 'front',
      lineIds: ['field'],
      estimate: [{ stitches: 2500, attended: false }],
      thread: p.colours
    });
  });
  s.part('edge', 'Satin border', () => {
    s.stop('border', {
      name: 'Border',
      role: 'satin-edge',
      alsoRoles: ['applique-edge', 'closing-seam'],
      words: /border|edge|satin|outline|rim/,
      visible: 'front',
      protected: true,
      lineIds: ['border'],
      width: p.borderWidth,
      thread: p.border
    });
  });
  s.part('finishing', 'Cut out and finished', () => {
    s.move('hoop-off');
    s.hand('inspect', { do: 'inspect' }, { needs: ['border'] });
    s.hand('unhoop', { do: 'unhoop' }, { needs: ['inspect'] });
    s.hand('snip-both', { do: 'snip', side: 'both', jumps: 6 });
    takeStabiliserOff(s, p);
    s.hand(
      'cut-roughly',
      { do: 'cut-roughly', lineId: 'outline', margin: CUT_ROUGH_MM },
      { needs: ['unhoop'] }
    );
    const before = ['cut-roughly'];
    if (irons) {
      s.hand('heat-adhesive', { do: 'heat-adhesive', pieceId: 'adhesive' }, { needs: ['cut-roughly'] });
      before.push('heat-adhesive');
    }
    if (p.ground.kind !== 'felt') {
      s.hand('fray-fluid', { do: 'fray-fluid', lineId: 'outline' }, { needs: ['unhoop'] });
      s.hand('wait-fray', { do: 'wait', why: 'fray-fluid' }, { needs: ['fray-fluid'] });
      before.push('wait-fray');
    }
    s.hand('cut-out', { do: 'cut-out', lineId: 'outline', margin: CUT_CLOSE_MM }, { needs: before });
  });
  return s;
}
