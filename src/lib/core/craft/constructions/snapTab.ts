import { inset, offsetPath, segment, shapePath } from '$lib/core/base/geometry';
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
  outline,
  thread,
  threads,
  addStabiliser,
  stabiliserFields,
  takeStabiliserOff
} from '$lib/core/craft/sequence';

const FIELDS = {
  shape: outline('tab', 'rounded', 'rectangle', 'oval'),
  width: length('Stitched outline, width', 30, 15, 200, 'the last outline, not the cut edge'),
  height: length('Stitched outline, height', 94, 15, 400),
  outside: length('Cut outside the outline', 3, 1, 15),
  closing: choice(
    'Closes with',
    {
      snap: 'One snap, two holes',
      eyelet: 'One eyelet and a ring',
      ring: 'A ring through a punched hole',
      'ribbon-loop': 'A ribbon loop in the seam, and a ring'
    },
    'snap'
  ),
  ...stabiliserFields(['tear-away', 'cutaway', 'wash-away'], 'tear-away', 1),
  front: material('Front', { vinyl: 'Vinyl', felt: 'Felt' }, ['vinyl', 'Vinyl', '#3d4a66']),
  frontHold: hold('Front held with', 'tape'),
  back: material('Back', { felt: 'Felt', vinyl: 'Vinyl' }, ['felt', 'Felt', '#9aa78f']),
  outline: thread('Outline thread', 'Signal white', '#f4f1ea'),
  details: threads('Detail colours, in order', ['Ink black', '#20242c'])
};
type Params = AnswersOf<typeof FIELDS>;

/** Holes to punch for what it closes with. */
const HOLES: Record<Params['closing'], number> = { snap: 2, eyelet: 1, ring: 1, 'ribbon-loop': 0 };

/** A tab with a front and a back, closed by a snap or carried by an eyelet or a loop, made in one hooping. */
export const snapTab: Construction<typeof FIELDS> = {
  kind: 'snap-tab',
  name: 'Snap tab',
  summary: 'Front and back joined in the hoop, cut out, closed with a snap or hung from an eyelet or a loop.',
  fields: FIELDS,
  draft
};

function draft(p: Params): Sequence {
  const holes = HOLES[p.closing];
  const outline = shapePath(p.shape, p.width, p.height);
  const outside = roundTo(p.outside, 3);
  const s = new Sequence({
    shape: p.shape,
    size: { width: p.width, height: p.height },
    finished: { width: p.width + 2 * p.outside, height: p.height + 2 * p.outside },
    edge: 'cut edge'
  });
  s.line('outline', 'Outline', outline);
  s.line('cut-edge', 'Cut edge', offsetPath(outline, p.outside) ?? outline);
  s.line('field', 'Inside of the outline', inset(outline, Math.min(4, Math.min(p.width, p.height) / 4)));
  s.line('holes', 'Hole mark', segment(0, -p.height / 2 + 8, 0, -p.height / 2 + 6));
  // The other half of a snap sits at the far end.
  const marks = p.closing === 'snap' ? ['holes', 'far-hole'] : ['holes'];
  if (p.closing === 'snap')
    s.line('far-hole', 'Far hole mark', segment(0, p.height / 2 - 8, 0, p.height / 2 - 6));
  addStabiliser(s, p);
  s.piece('front', 'FRONT', p.front, 'applique', { covers: 'outline', shows: 'front' });
  s.piece('back', 'BACK', p.back, 'backing', { covers: 'outline', shows: 'back' });

  s.part('hooping', 'Hooping', () => {
    s.hoop('hooping-1', 'Hooping', ['stabiliser']);
  });
  s.part('front', 'Front laid and tacked', () => {
    s.stop('placement', {
      name: 'Placement line',
      role: 'placement',
      words: /place|position|guide/,
      threadOf: 'outline',
      visible: 'hidden',
      lineIds: ['outline']
    });
    s.hand('lay-front', {
      do: 'lay',
      pieceId: 'front',
      side: 'above',
      face: 'up',
      covers: 'outline',
      over: 12,
      // Pins leave holes in vinyl for good.
      hold: heldAs(p.front.kind === 'vinyl' && p.frontHold === 'pins' ? 'tape' : p.frontHold)
    });
    s.stop('tack-down', {
      name: 'Tack-down',
      role: 'tack-down',
      words: /tack|fix/,
      threadOf: 'outline',
      visible: 'front',
      lineIds: ['outline']
    });
  });
  s.part('details', 'Details', () => {
    s.stop('details', {
      name: 'Details',
      one: 'Detail',
      role: 'decoration',
      alsoRoles: ['lettering', 'quilting', 'applique-edge', 'topstitch'],
      words: /detail|design|face|eye|letter|text/,
      repeats: true,
      optional: true,
      visible: 'front',
      lineIds: ['field'],
      estimate: [{ stitches: 1500, attended: false }],
      thread: p.details
    });
    s.nameGoes('details', 'front', 'field');
  });
  s.part('back', 'Back under the hoop', () => {
    const turned = s.toBack();
    // Tails on the back are covered for good once the backing is stitched on.
    s.hand('snip-back', { do: 'snip', side: 'back', jumps: 3 }, { needs: [turned, 'details'] });
    s.hand('lay-back', {
      do: 'lay',
      pieceId: 'back',
      side: 'below',
      face: 'down',
      covers: 'outline',
      over: 20,
      hold: { by: 'tape', strips: 4 }
    });
    if (p.closing === 'ribbon-loop')
      s.hand(
        'loop',
        { do: 'hardware', kind: 'ribbon-loop', count: 1 },
        { note: 'Tape it on the back, its ends inside the outline, so that the last seam catches it.' }
      );
    const turnedBack = s.toFront();
    s.must(turned, turnedBack);
    s.stop('back-tack', {
      name: 'Backing tack-down',
      role: 'tack-down',
      words: /back/,
      optional: true,
      onlyCharted: true,
      threadOf: 'outline',
      visible: 'hidden',
      lineIds: ['outline']
    });
  });
  s.part('edge', 'Outline and holes', () => {
    s.stop('outline', {
      name: 'Outline',
      role: 'closing-seam',
      alsoRoles: ['topstitch', 'satin-edge'],
      // A file may end in a satin edge.
      asCharted: ['satin-edge'],
      words: /outline|final|closing|border|edge|perimeter|satin/,
      visible: 'both',
      protected: true,
      lineIds: ['outline'],
      passes: 2,
      thread: p.outline
    });
    if (holes > 0)
      s.stop('holes', {
        name: holes === 1 ? 'Hole mark' : 'Hole marks',
        role: 'closure-mark',
        words: /hole|snap|eyelet|mark/,
        optional: true,
        sharesRowOf: 'outline',
        threadOf: 'outline',
        visible: 'both',
        lineIds: marks,
        estimate: [{ stitches: 20 * holes, length: 1.5, attended: false }]
      });
  });
  s.part('finishing', 'Finishing', () => {
    s.move('hoop-off');
    s.hand('inspect', { do: 'inspect' }, { needs: ['outline'] });
    s.hand('snip-both', { do: 'snip', side: 'both', jumps: 4 });
    s.hand('unhoop', { do: 'unhoop' }, { needs: ['inspect'] });
    s.hand('untape', { do: 'untape', strips: 8 });
    takeStabiliserOff(s, p);
    s.hand('cut-out', { do: 'cut-out', lineId: 'outline', margin: outside }, { needs: ['unhoop'] });
    if (holes > 0) s.hand('punch', { do: 'punch', holes }, { needs: ['cut-out'] });
    if (p.closing === 'snap' || p.closing === 'eyelet')
      s.hand('hardware', { do: 'hardware', kind: p.closing, count: 1 }, { needs: ['punch'] });
    if (p.closing !== 'snap')
      s.hand(
        'ring',
        { do: 'hardware', kind: 'split-ring', count: 1 },
        { needs: [holes > 0 ? 'punch' : 'cut-out'] }
      );
  });
  s.must('tack-down', 'outline', 'lay-front', 'lay-back');
  s.truth({ kind: 'one-colour', steps: ['tack-down', 'outline'] });
  return s;
}
