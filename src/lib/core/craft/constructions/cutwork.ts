import { offsetPath, segment, shapePath } from '$lib/core/base/geometry';
import type { Construction } from './construction';
import {
  Sequence,
  stopPart,
  type AnswersOf,
  choice,
  count,
  length,
  material,
  outline,
  thread,
  MATERIALS
} from '$lib/core/craft/sequence';

const FIELDS = {
  school: choice(
    'How it is cut',
    {
      scissors: 'Scissors: the cloth only',
      'cut-through': 'Knife: cloth and stabiliser, then patched',
      needles: 'Cutting needles at four angles'
    },
    'scissors'
  ),
  shape: outline('oval', 'rounded', 'tab', 'rectangle', 'shield', 'heart'),
  width: length('The window, width', 50, 15, 150),
  height: length('The window, height', 40, 15, 150),
  layers: count('Layers of wash-away', 2, 1, 4, 'the sticky kind is always one'),
  eyelet: choice('Punched eyelet', { no: 'No', yes: 'One, punched' }, 'no'),
  ground: material('Cloth', { woven: 'Woven cotton or linen', knit: 'Jersey' }, [
    'woven',
    'Napkin linen',
    '#efe9da'
  ]),
  thread: thread('Thread, top and bobbin', 'Cream', '#efe3c4')
};
type Params = AnswersOf<typeof FIELDS>;

const SATIN_MM = 3;
const ANGLES = [0, 45, 90, 135] as const;
const WASHES = ['wash-away-mesh', 'wash-away-film', 'sticky-wash-away'] as const;

/** A window cut in cloth and bridged with bars. */
export const cutwork: Construction<typeof FIELDS> = {
  kind: 'cutwork',
  name: 'Cutwork',
  summary:
    'A window cut by scissors, cut through and patched, or cut by chisel needles; then bars and satin.',
  fields: FIELDS,
  draft
};

function draft(p: Params): Sequence {
  const window = shapePath(p.shape, p.width, p.height);
  const size = { width: p.width + 2 * SATIN_MM, height: p.height + 2 * SATIN_MM };
  const s = new Sequence({ shape: p.shape, size, finished: size, edge: 'satin edge' });
  s.line('window', 'Window', window);
  s.line('bar-1', 'Bars across', segment(-p.width / 2, 0, p.width / 2, 0));
  s.line('bar-2', 'Bars down', segment(0, -p.height / 2, 0, p.height / 2));
  s.line('cover', 'Patch over the window', offsetPath(window, 12) ?? window);
  const knit = p.ground.kind === 'knit';
  const b = p.school === 'cut-through';
  s.piece('base', b ? 'STICKY WASH-AWAY' : 'WASH-AWAY', b ? MATERIALS.sticky : MATERIALS.washAway, 'hooped', {
    plies: b ? 1 : p.layers
  });
  s.piece('ground', 'CLOTH', p.ground, b ? 'applique' : 'hooped', {
    covers: b ? 'cover' : null,
    shows: 'front',
    // A knit would stretch out of the window: mesh is fused to its inside before it is hooped or stuck down.
    ...(knit && { backed: [MATERIALS.softMesh] })
  });
  if (b) s.piece('scrap', 'STICKY SCRAP', MATERIALS.sticky, 'applique', { covers: 'window' });

  s.part('window', 'Hooping and window', () => {
    if (knit) s.hand('mesh', { do: 'back-cloth', pieceIds: ['ground'] });
    if (b) cutThrough(s);
    else {
      s.hoop('hooping-1', 'Hooping', ['base', 'ground'], { on: false });
      s.hand('bobbin', { do: 'bobbin', threadId: 'stop:satin' });
      s.move('hoop-on');
      s.stop('outline', {
        ...stopPart('Cut outline', 'cut-line', /outline|cut/, ['window'], {
          threadOf: 'satin',
          visible: 'hidden'
        }),
        passes: 2
      });
      if (p.school === 'needles') needles(s);
      else {
        s.move('hoop-off');
        s.hand('cut-window', {
          do: 'cut-away-behind',
          pieceIds: ['ground'],
          lineId: 'window',
          from: 'front',
          keepIds: ['base']
        });
        s.move('hoop-on');
        s.must('cut-window');
      }
    }
  });
  s.part('edge', 'Bars and satin', () => {
    s.stop('bars', {
      ...stopPart('Bars', 'bars', /bar/, ['bar-1', 'bar-2'], { threadOf: 'satin', visible: 'both' }),
      width: 1.5
    });
    s.stop('satin', {
      ...stopPart('Satin edge', 'satin-edge', /satin|edge/, ['window'], { visible: 'both' }),
      protected: true,
      width: SATIN_MM,
      thread: p.thread
    });
  });
  s.part('eyelet', 'Eyelet', () => {
    if (p.eyelet === 'yes') {
      s.hand('punch', { do: 'punch', holes: 1 });
      s.stop('eyelet', {
        ...stopPart('Eyelet satin', 'satin-edge', /eyelet/, [], { threadOf: 'satin', visible: 'both' }),
        estimate: [{ stitches: 180, length: 2, width: 2, attended: false }]
      });
    }
  });
  s.part('finishing', 'Rinsed and finished', () => {
    s.move('hoop-off');
    s.hand('inspect', { do: 'inspect' }, { needs: ['satin'] });
    s.hand('unhoop', { do: 'unhoop' }, { needs: ['inspect'] });
    s.hand('rinse', { do: 'rinse' }, { needs: ['unhoop'], note: 'In the washing machine.' });
    s.hand('dry', { do: 'wait', why: 'dry' }, { needs: ['rinse'] });
    s.hand('press', { do: 'press', from: 'back' }, { needs: ['dry'] });
  });
  s.must('bobbin', 'satin');
  s.truth({ kind: 'stabiliser', pieceId: 'base', kinds: [...WASHES], plies: 1 });
  return s;
}

function cutThrough(s: Sequence): void {
  s.hoop('hooping-1', 'Hooping', ['base'], { sticky: true, on: false });
  s.hand('lay-ground', {
    do: 'lay',
    pieceId: 'ground',
    side: 'above',
    face: 'up',
    covers: 'cover',
    over: 12
  });
  s.hand('bobbin', { do: 'bobbin', threadId: 'stop:satin' });
  s.move('hoop-on');
  s.stop('outline', {
    ...stopPart('Cut outline', 'cut-line', /outline|cut/, ['window'], {
      threadOf: 'satin',
      visible: 'hidden'
    }),
    passes: 2
  });
  s.move('hoop-off');
  s.hand('cut-window', { do: 'cut-through', pieceIds: ['base', 'ground'], lineId: 'window' });
  s.hand('patch', { do: 'patch-hole', pieceId: 'scrap', lineId: 'window' }, { needs: ['cut-window'] });
  s.move('hoop-on');
  s.must('cut-window', 'patch');
}

function needles(s: Sequence): void {
  let before = 'outline';
  for (const angle of ANGLES) {
    const needle = `needle-${angle}`;
    s.hand(needle, { do: 'needle', needle: `cutting, ${angle} degrees` }, { needs: [before] });
    s.stop(
      `cut-${angle}`,
      stopPart(
        `Needle cut, ${angle}°`,
        'needle-cut',
        new RegExp(`cut.*${angle}|${angle}|needle`),
        ['window'],
        {
          threadOf: 'satin',
          visible: 'hidden'
        }
      ),
      [needle]
    );
    s.must(needle);
    before = `cut-${angle}`;
  }
  s.hand('needle-back', { do: 'needle', needle: 'new 75/11' }, { needs: [before] });
  s.must('needle-back');
}
