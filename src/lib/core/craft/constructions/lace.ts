import { inset, shapePath, shifted } from '$lib/core/base/geometry';
import type { Construction } from './construction';
import {
  type PatternEntry,
  Sequence,
  type AnswersOf,
  choice,
  count,
  length,
  material,
  outline,
  threads,
  MATERIALS
} from '$lib/core/craft/sequence';

const FIELDS = {
  shape: outline('oval', 'rounded', 'tab', 'rectangle', 'shield', 'heart', 'scallop'),
  width: length('One part, width', 60, 20, 300),
  height: length('One part, height', 60, 20, 300),
  parts: count('Parts in the hoop', 1, 1, 6),
  layers: count('Layers of wash-away', 2, 2, 3, 'three for dense lace'),
  loops: count('Loops to join', 4, 0, 40, 'none for a single part'),
  inlay: choice('Cloth in the middle', { no: 'None', yes: 'An appliqué inlay' }, 'no'),
  inlayCloth: material('Inlay', { woven: 'Organza or cotton', felt: 'Felt' }, [
    'woven',
    'Organza',
    '#d9c7d6'
  ]),
  oneColour: choice(
    'One-colour mode',
    { no: 'No: the bobbin changes with each colour', yes: 'Yes: all stops run as one' },
    'no'
  ),
  colours: threads('Colours, in order; the bobbin changes with each', ['Cream', '#efe3c4'])
};
type Params = AnswersOf<typeof FIELDS>;

/** Between two colours of lace. */
const CHANGE_BOTH_THREADS: PatternEntry[] = [
  { kind: 'hand', id: 'hoop-off-colour', op: { do: 'hoop-off' } },
  { kind: 'hand', id: 'snip', op: { do: 'snip', side: 'back', jumps: 2 } },
  { kind: 'hand', id: 'bobbin', op: { do: 'bobbin', threadId: 'stop:this' } },
  { kind: 'hand', id: 'hoop-on-colour', op: { do: 'hoop-on' } }
];

/** Lace that stands by itself: thread alone, once the stabiliser is rinsed out. */
export const lace: Construction<typeof FIELDS> = {
  kind: 'lace',
  name: 'Freestanding lace',
  summary:
    'Underlay and lace on wash-away, the bobbin in the lace’s own colour, rinsed and dried; sets are joined.',
  fields: FIELDS,
  draft
};

function draft(p: Params): Sequence {
  const shape = shapePath(p.shape, p.width, p.height);
  const pitch = p.width + 8;
  const size = { width: pitch * p.parts - 8, height: p.height };
  const s = new Sequence({
    shape: p.shape,
    size,
    finished: { width: p.width, height: p.height },
    edge: 'lace'
  });
  if (p.oneColour === 'yes') s.oneColour();
  const parts = Array.from({ length: p.parts }, (_, at) => at);
  const x = (at: number): number => (at - (p.parts - 1) / 2) * pitch;
  for (const at of parts)
    s.line(`lace-${at}`, p.parts > 1 ? `Lace ${at + 1}` : 'Lace', shifted(shape, x(at), 0));
  const all = parts.map((at) => `lace-${at}`);
  s.piece('base', 'WASH-AWAY', MATERIALS.washAway, 'hooped', { plies: p.layers });
  const cloth = p.inlay === 'yes';
  if (cloth) {
    for (const at of parts) s.line(`inlay-${at}`, `Inlay ${at + 1}`, shifted(inset(shape, 12), x(at), 0));
    for (const at of parts)
      s.piece(`inlay-${at}`, p.parts > 1 ? `INLAY ${at + 1}` : 'INLAY', p.inlayCloth, 'applique', {
        covers: `inlay-${at}`,
        shows: 'front'
      });
  }

  s.part('hooping', 'Hooping', () => {
    s.hoop('hooping-1', 'Hooping', ['base'], { on: false });
    s.hand('bobbin-0', { do: 'bobbin', threadId: 'stop:lace' });
    s.move('hoop-on');
  });
  s.part('inlay', 'Cloth in the middle', () => {
    if (cloth) inlay(s, parts);
  });
  s.part('lace', 'Lace', () => {
    s.stop('underlay', {
      name: 'Underlay',
      role: 'lace-underlay',
      words: /underlay|net|grid|base/,
      // Some files have none.
      optional: true,
      threadOf: 'lace',
      visible: 'both',
      lineIds: all,
      passes: 4
    });
    s.stop('lace', {
      name: 'Lace',
      one: p.colours.length > 1 ? 'Lace, colour' : 'Lace',
      role: 'lace',
      alsoRoles: ['decoration', 'satin-edge', 'applique-edge', 'lettering'],
      words: /lace|fill|colou?r/,
      // A row for each colour: both threads change, and the tails on the back would show in lace.
      repeats: true,
      takesAny: true,
      between: p.oneColour === 'yes' ? [] : CHANGE_BOTH_THREADS,
      visible: 'both',
      protected: true,
      lineIds: all,
      thread: p.colours
    });
  });
  s.part('finishing', 'Rinsed and finished', () => {
    s.move('hoop-off');
    s.hand('inspect', { do: 'inspect' }, { needs: ['lace'] });
    s.hand('unhoop', { do: 'unhoop' }, { needs: ['inspect'] });
    const [first = 'lace-0', ...others] = all;
    s.hand(
      'trim',
      { do: 'cut-roughly', lineId: first, margin: 5, ...(others.length > 0 && { alsoLineIds: others }) },
      { needs: ['unhoop'] }
    );
    s.hand('rinse', { do: 'rinse' }, { needs: ['trim'] });
    s.hand('dry', { do: 'wait', why: 'dry' }, { needs: ['rinse'] });
    if (p.loops > 0) s.hand('join', { do: 'join-parts', loops: p.loops }, { needs: ['dry'] });
  });
  s.must('lace', 'bobbin-0');
  s.truth({
    kind: 'stabiliser',
    pieceId: 'base',
    kinds: ['wash-away-mesh', 'wash-away-film', 'sticky-wash-away'],
    plies: 2
  });
  return s;
}

function inlay(s: Sequence, parts: number[]): void {
  const lines = parts.map((at) => `inlay-${at}`);
  s.stop('inlay-placement', {
    name: 'Inlay placement',
    role: 'placement',
    words: /place|inlay|position/,
    threadOf: 'lace',
    visible: 'hidden',
    lineIds: lines
  });
  for (const at of parts)
    s.hand(`lay-inlay-${at}`, {
      do: 'lay',
      pieceId: `inlay-${at}`,
      side: 'above',
      face: 'up',
      covers: `inlay-${at}`,
      over: 12,
      hold: { by: 'spray' }
    });
  s.stop('inlay-tack', {
    name: 'Inlay tack-down',
    role: 'tack-down',
    words: /tack|inlay/,
    threadOf: 'lace',
    visible: 'front',
    lineIds: lines
  });
  for (const at of parts)
    s.hand(`trim-inlay-${at}`, {
      do: 'trim',
      pieceIds: [`inlay-${at}`],
      lineId: `inlay-${at}`,
      side: 'outside',
      margin: 1,
      where: 'on-machine'
    });
  s.must(...parts.map((at) => `lay-inlay-${at}`));
}
