import { type Path, segment } from '$lib/core/base/geometry';
import { choice, length, MATERIALS, stopPart } from '$lib/core/craft/sequence';
import { isStabiliserKind, type Piece } from '$lib/core/documents/item';
import type { BlockMaker } from './block';
import { needsRing, type Refusal } from './refusals';
import type { Site } from './site';
import type { Standing } from './standing';

/** Half the length of a stitched cross, mm. */
const CROSS_MM = 5;
/** Crosses lie so far inside the side the work goes on at, mm. */
const INSIDE_MM = 10;

const MARKS = {
  stitched: 'Crosses stitched before it leaves the ring',
  creases: 'Creases pressed into the cloth',
  template: 'A printed template'
} as const;
const NOTES = {
  stitched: 'The stitched crosses on the marks of the ring; trace before the first stop.',
  creases: 'The creases on the marks of the ring; trace before the first stop.',
  template: 'Lay the printed template on the last design and hoop by its marks; trace before the first stop.'
} as const;

const fields = {
  right: length('The next design lies to the right by', 0, -3000, 3000, 'less than 0: to the left'),
  towards: length('The next design lies towards you by', 240, -3000, 3000, 'less than 0: away from you'),
  marks: choice('It is aligned by', MARKS, 'stitched')
} as const;

/** The same cloth taken out and hooped again farther along, as a runner or a border is. */
export const hoopAgain: BlockMaker<typeof fields> = {
  kind: 'hoop-again',
  name: 'The same cloth, hooped again',
  summary:
    'The cloth leaves the ring and is hooped again farther along, aligned by marks, on fresh stabiliser.',
  group: 'Hooping',
  fields,
  refuses: (standing) => needsRing(standing) ?? nothingHooped(standing),
  make(site, p) {
    const { s } = site;
    const { ring } = site.standing;
    const cloth = ring.filter(isCloth);
    const base = ring.find(({ material }) => isStabiliserKind(material.kind));
    if (p.marks === 'stitched') crosses(site, p);
    const out = site.outOfTheRing('', s.before);
    if (base?.material.kind === 'tear-away') site.hand('tear-away', { do: 'tear-away' }, { needs: [out] });
    const at = s.sofar.hoopings.length + 1;
    const called = base?.name.replace(/ \d+$/, '') ?? 'Stabiliser';
    const fresh = site.piece('stabiliser', called, base?.material ?? MATERIALS.tearAway, 'hooped', {
      plies: base?.plies ?? 1
    });
    s.hoop(site.newHooping(), `Hooping ${at}`, [fresh, ...cloth.map(({ id }) => id)]);
    site.hand(
      'align',
      { do: 'other', title: 'Line the cloth up with what is stitched', seconds: 90 },
      { note: NOTES[p.marks] }
    );
    site.toMachine();
    site.hand('trace', { do: 'trace' });
    const { finished } = s.sofar.variant;
    s.ends({
      finished: {
        width: finished.width + Math.abs(p.right),
        height: finished.height + Math.abs(p.towards)
      }
    });
  }
};

const isCloth = ({ material }: Piece): boolean => !isStabiliserKind(material.kind);

function nothingHooped({ ring }: Standing): Refusal | null {
  return ring.some(isCloth)
    ? null
    : {
        why: 'No cloth is in the ring that could be hooped again.',
        repair: 'Hoop the cloth with the stabiliser.'
      };
}

/** Two crosses at the side where the next design comes. */
function crosses(site: Site, { right, towards }: { right: number; towards: number }): void {
  const { width: w, height: h } = site.frame;
  const sideways = Math.abs(right) > Math.abs(towards);
  const [x, y] = [
    sideways ? Math.sign(right) * (w / 2 - INSIDE_MM) : w / 3,
    sideways ? h / 3 : Math.sign(towards) * (h / 2 - INSIDE_MM)
  ];
  const at: [number, number][] = sideways
    ? [
        [x, -y],
        [x, y]
      ]
    : [
        [-x, y],
        [x, y]
      ];
  const paths = at.flatMap(([cx, cy]): Path[] => [
    segment(cx - CROSS_MM, cy, cx + CROSS_MM, cy),
    segment(cx, cy - CROSS_MM, cx, cy + CROSS_MM)
  ]);
  const lines = paths.map((path, index) =>
    site.line(`cross-${index + 1}`, `Cross ${Math.floor(index / 2) + 1}`, path)
  );
  site.toMachine();
  site.stop('crosses', {
    ...stopPart('Crosses for the next hooping', 'centre-mark', /cross|mark|align/, lines, {
      visible: 'hidden'
    }),
    alsoRoles: ['placement', 'closure-mark'],
    thread: { name: 'Basting thread', colour: '#e9e2d0' }
  });
}
