import { box, quarterTurned, shifted } from '$lib/core/base/geometry';
import { choice, count, length, material, MATERIALS, stopPart, threads } from '$lib/core/craft/sequence';
import type { Piece } from '$lib/core/documents/item';
import type { BlockMaker } from './block';
import { needsNoRing } from './refusals';
import type { Site } from './site';

/** What is asked of it; a construction that is this block alone asks the same. */
export const severalFields = {
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
} as const;
type Answers = Parameters<(typeof severalDesigns)['make']>[1];

/** Space between two designs; the edges of their napkins meet in the middle of it, mm. */
const APART_MM = 24;

/** A design several times in one hooping: on several napkins, or on the corners of one. */
export const severalDesigns: BlockMaker<typeof severalFields> = {
  kind: 'several-designs',
  name: 'Napkins, or corners of one, in one hooping',
  summary: 'Napkins side by side on sticky stabiliser, or one napkin lifted and laid again corner by corner.',
  group: 'Hooping',
  fields: severalFields,
  refuses: needsNoRing,
  make(site, p) {
    const { s } = site;
    const hooping = site.newHooping();
    const { size, placeOf } = layOut(p);
    const all = Array.from({ length: p.designs }, (_, at) => at);
    const lines = all.map((at) => {
      const design = quarterTurned(box(-p.width / 2, -p.height / 2, p.width / 2, p.height / 2), at);
      return s.line(site.key(`design-${at}`), `Design ${at + 1}`, shifted(design, ...placeOf(at)), hooping);
    });
    const base = site.piece('base', 'Sticky wash-away', MATERIALS.sticky, 'hooped');
    const napkins = p.school === 'napkins';
    const cloths = (napkins ? all : [0]).map((at) =>
      site.piece(
        napkins ? `cloth-${at}` : 'cloth',
        napkins ? `Napkin ${at + 1}` : 'Napkin',
        p.cloth,
        'applique',
        {
          covers: lines[at] ?? null,
          shows: 'front',
          readyMade: cornerOf(p, at, placeOf(at))
        }
      )
    );
    s.hoop(hooping, 'Hooping', [base], { sticky: true });
    for (const at of napkins ? all : [0]) lay(site, cloths[at] ?? '', lines[at] ?? '', at);
    for (const at of all) {
      if (!napkins && at > 0) nextCorner(site, cloths[0] ?? '', lines, at);
      site.toMachine();
      site.stop(`design-${at}`, {
        ...stopPart(`Design ${at + 1}`, 'decoration', /design|fill|colou?r/, [lines[at] ?? '']),
        one: `Design ${at + 1}, colour`,
        alsoRoles: ['lettering'],
        repeats: true,
        visible: 'front',
        estimate: [{ stitches: 1400, attended: false }],
        thread: p.colours
      });
    }
    s.ends({ size, finished: { width: p.width, height: p.height } });
  }
};

type Place = [dx: number, dy: number];

function layOut(p: Answers): { size: { width: number; height: number }; placeOf: (at: number) => Place } {
  const pitch = Math.max(p.width, p.height) + APART_MM;
  const columns = Math.min(2, p.designs);
  const rows = Math.ceil(p.designs / columns);
  return {
    size: { width: columns * pitch - APART_MM, height: rows * pitch - APART_MM },
    placeOf: (at) => [
      ((at % columns) - (columns - 1) / 2) * pitch,
      (Math.floor(at / columns) - (rows - 1) / 2) * pitch
    ]
  };
}

/** The corner of a napkin lies under its design; the rest hangs out of the hoop, away from the other designs. */
function cornerOf(p: Answers, at: number, [dx, dy]: Place): NonNullable<Piece['readyMade']> {
  const [wide, high] = at % 2 === 0 ? [p.width, p.height] : [p.height, p.width];
  const fromMiddle = (whole: number, own: number): number => Math.max(0, (whole - own - APART_MM) / 2);
  return {
    width: p.napkinWidth,
    height: p.napkinHeight,
    right: -Math.sign(dx) * fromMiddle(p.napkinWidth, wide) + 0,
    towards: -Math.sign(dy) * fromMiddle(p.napkinHeight, high) + 0
  };
}

function lay(site: Site, pieceId: string, covers: string, at: number, needs: string[] = []): void {
  const note =
    at > 0 ? 'On a free part of the stabiliser, never over finished work.' : 'Straight with the weave.';
  site.s.must(
    site.hand(
      `lay-${at}`,
      { do: 'lay', pieceId, side: 'above', face: 'up', covers, over: 12 },
      { needs, note }
    )
  );
}

/** The napkin is lifted, the stabiliser patched where it was stitched, and the next corner laid. */
function nextCorner(site: Site, cloth: string, lines: string[], at: number): void {
  const done = lines[at - 1] ?? '';
  const scrap = site.piece(`scrap-${at}`, `Sticky scrap ${at}`, MATERIALS.sticky, 'applique', {
    covers: done
  });
  site.toTable();
  const lifted = site.hand(`lift-${at}`, { do: 'lift', pieceId: cloth });
  const patched = site.hand(
    `patch-${at}`,
    { do: 'patch-hole', pieceId: scrap, lineId: done },
    { needs: [lifted] }
  );
  lay(site, cloth, lines[at] ?? '', at, [patched]);
}
