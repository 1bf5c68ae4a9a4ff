import { box, quarterTurned, shifted } from '$lib/core/base/geometry';
import type { Piece } from '$lib/core/documents/item';
import type { Construction } from './construction';
import {
  Sequence,
  type AnswersOf,
  choice,
  count,
  length,
  material,
  threads,
  MATERIALS
} from '$lib/core/craft/sequence';

const FIELDS = {
  school: choice(
    'What is stitched',
    {
      napkins: 'Several napkins, laid together, designs turned',
      corners: 'The corners of one napkin, one after another'
    },
    'napkins'
  ),
  designs: count('Designs in the hooping', 2, 2, 4),
  width: length('One design, width', 60, 15, 150),
  height: length('One design, height', 60, 15, 150),
  napkinWidth: length('The napkin as it was bought, width', 400, 60, 1500),
  napkinHeight: length('The napkin as it was bought, height', 400, 60, 1500),
  cloth: material('Cloth', { woven: 'Woven cotton or linen' }, ['woven', 'Napkin linen', '#efe9da']),
  colours: threads('Colours, in order', ['Fern green', '#4d7148'], ['Burgundy', '#6d1f31'])
};
type Params = AnswersOf<typeof FIELDS>;

/** Space between two designs; the edges of their napkins meet in the middle of it, mm. */
const APART_MM = 24;

/** A design several times in one hooping: on several napkins, or on the corners of one. */
export const severalDesigns: Construction<typeof FIELDS> = {
  kind: 'several-designs',
  name: 'Several designs in one hooping',
  summary: 'Napkins side by side on sticky stabiliser, or one napkin lifted and laid again corner by corner.',
  fields: FIELDS,
  // Corners are corners of one napkin.
  piecesPerFile: ({ school, designs }) => (school === 'corners' ? 1 : designs),
  draft
};

function draft(p: Params): Sequence {
  const pitch = Math.max(p.width, p.height) + APART_MM;
  const columns = Math.min(2, p.designs);
  const rows = Math.ceil(p.designs / columns);
  const size = { width: columns * pitch - APART_MM, height: rows * pitch - APART_MM };
  const s = new Sequence({
    shape: 'rectangle',
    size,
    finished: { width: p.width, height: p.height },
    edge: 'none'
  });
  const all = Array.from({ length: p.designs }, (_, at) => at);
  const placeOf = (at: number): [dx: number, dy: number] => [
    ((at % columns) - (columns - 1) / 2) * pitch,
    (Math.floor(at / columns) - (rows - 1) / 2) * pitch
  ];
  /** The corner of a napkin lies under its design; the rest hangs out of the hoop, away from the other designs. */
  const cornerOf = (at: number): NonNullable<Piece['readyMade']> => {
    const [dx, dy] = placeOf(at);
    const [wide, high] = at % 2 === 0 ? [p.width, p.height] : [p.height, p.width];
    const fromMiddle = (whole: number, own: number): number => Math.max(0, (whole - own - APART_MM) / 2);
    return {
      width: p.napkinWidth,
      height: p.napkinHeight,
      right: -Math.sign(dx) * fromMiddle(p.napkinWidth, wide) + 0,
      towards: -Math.sign(dy) * fromMiddle(p.napkinHeight, high) + 0
    };
  };
  for (const at of all) {
    const [dx, dy] = placeOf(at);
    const design = quarterTurned(box(-p.width / 2, -p.height / 2, p.width / 2, p.height / 2), at);
    s.line(`design-${at}`, `Design ${at + 1}`, shifted(design, dx, dy));
  }
  s.piece('base', 'STICKY WASH-AWAY', MATERIALS.sticky, 'hooped');
  const napkins = p.school === 'napkins';
  for (const at of napkins ? all : [0])
    s.piece(napkins ? `cloth-${at}` : 'cloth', napkins ? `NAPKIN ${at + 1}` : 'NAPKIN', p.cloth, 'applique', {
      covers: `design-${at}`,
      shows: 'front',
      readyMade: cornerOf(at)
    });
  if (!napkins)
    for (const at of all.slice(1))
      s.piece(`scrap-${at}`, `STICKY SCRAP ${at}`, MATERIALS.sticky, 'applique', {
        covers: `design-${at - 1}`
      });

  s.part('designs', 'Designs', () => {
    s.hoop('hooping-1', 'Hooping', ['base'], { sticky: true, on: false });
    if (napkins) for (const at of all) layCloth(s, `cloth-${at}`, at);
    else layCloth(s, 'cloth', 0);
    s.move('hoop-on');
    for (const at of all) {
      if (!napkins && at > 0) {
        s.move('hoop-off');
        s.hand(`lift-${at}`, { do: 'lift', pieceId: 'cloth' });
        s.hand(
          `patch-${at}`,
          { do: 'patch-hole', pieceId: `scrap-${at}`, lineId: `design-${at - 1}` },
          { needs: [`lift-${at}`] }
        );
        layCloth(s, 'cloth', at, [`patch-${at}`]);
        s.move('hoop-on');
      }
      s.stop(`design-${at}`, {
        name: `Design ${at + 1}`,
        one: `Design ${at + 1}, colour`,
        role: 'decoration',
        alsoRoles: ['lettering'],
        words: /design|fill|colou?r/,
        repeats: true,
        visible: 'front',
        lineIds: [`design-${at}`],
        estimate: [{ stitches: 1400, attended: false }],
        thread: p.colours
      });
    }
  });
  s.part('finishing', 'Finishing', () => {
    s.move('hoop-off');
    s.hand('inspect', { do: 'inspect' });
    s.hand('unhoop', { do: 'unhoop' }, { needs: ['inspect', `design-${p.designs - 1}`] });
    s.hand('snip-both', { do: 'snip', side: 'both', jumps: 4 * p.designs });
    s.hand('rinse', { do: 'rinse' }, { needs: ['unhoop'] });
    s.hand('press', { do: 'press', from: 'back' }, { needs: ['rinse'] });
  });
  return s;
}

function layCloth(s: Sequence, pieceId: string, at: number, needs: string[] = []): void {
  s.hand(
    `lay-${at}`,
    { do: 'lay', pieceId, side: 'above', face: 'up', covers: `design-${at}`, over: 12 },
    {
      needs,
      note:
        at > 0 ? 'On a free part of the stabiliser, never over finished work.' : 'Straight with the weave.'
    }
  );
  s.must(`lay-${at}`);
}
