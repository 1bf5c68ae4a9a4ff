import { box, type Path } from '$lib/core/base/geometry';
import {
  type AnswersOf,
  choice,
  count,
  length,
  material,
  onlyWhere,
  OPPOSITE,
  outermost,
  stopPart,
  thread
} from '$lib/core/craft/sequence';
import type { BlockMaker } from './block';
import type { Frame } from './frame';
import { layPiece } from './layPiece';
import { beforeClosing, needsRing, notReadyMade, type Refusal } from './refusals';
import { sideField } from './spots';
import type { Standing } from './standing';

const PIECE = {
  ribbon: 'Ribbon',
  elastic: 'Elastic',
  loop: 'Loop',
  strap: 'Strap',
  tie: 'Tie',
  label: 'Label'
} as const;
const WHAT = {
  ribbon: 'A ribbon',
  elastic: 'Elastic',
  loop: 'A loop, folded in two',
  strap: 'A strap',
  tie: 'A tie, long and loose',
  label: 'A label, folded in two'
} as const;
/** What is folded in two, both ends over the seam. */
const FOLDED: readonly (keyof typeof WHAT)[] = ['loop', 'strap', 'label'];
const fields = {
  what: choice('What is caught', WHAT, 'loop'),
  side: sideField('In the seam at the', 'top'),
  along: length('From the middle of that side', 0, -400, 400),
  width: length('Its width', 12, 3, 100),
  other: choice('Its other end', { free: 'Hangs free', opposite: 'Is caught at the opposite side' }, 'free'),
  reach: onlyWhere(length('How far it reaches from the seam', 40, 10, 1500), 'other', 'free'),
  long: onlyWhere(
    length('How long it is between the seams', 0, 0, 1500, '0: straight across'),
    'other',
    'opposite'
  ),
  cloth: material('Made of', { woven: 'Ribbon or cotton', felt: 'Felt', vinyl: 'Vinyl', knit: 'Elastic' }, [
    'woven',
    'Burgundy ribbon',
    '#6d1f31'
  ])
} as const;
type Answers = AnswersOf<typeof fields>;

/** How far an end reaches over the seam that catches it, mm. */
const END_MM = 10;
/** Room that a loose end keeps from the seam opposite, mm. */
const CLEAR_MM = 20;
/** Outside the seam no more than this lies loose beside the hoop, mm. */
const BESIDE_MM = 100;

/** A ribbon, elastic, loop, strap or tie laid across a seam that catches its end, or across the item with both. */
export const caught: BlockMaker<typeof fields> = {
  kind: 'caught',
  name: 'Ribbon, elastic, loop, strap or tie',
  summary: 'Taped across the seam or edge that comes later and catches its end, or both its ends.',
  group: 'Caught in',
  fields,
  lays: true,
  refuses: (standing) =>
    beforeClosing(standing) ??
    notReadyMade(standing) ??
    (standing.top ? null : { why: 'There is nothing to tape it to.', repair: 'Move it after the front.' }),
  make(site, p) {
    const turned = site.frame.edge === 'turned';
    const label = site.label(PIECE[p.what]);
    const across = p.other === 'opposite';
    const folded = FOLDED.includes(p.what);
    const whole = lengthOf(site.frame, p);
    const room = across ? throughOf(site.frame, p) + 2 * END_MM : roomFor(site.frame, p, turned);
    const lies = Math.min(whole, room);
    const end = site.line(
      'end',
      `Place of the ${label.toLowerCase()}`,
      across ? band(site.frame, p) : strip(site.frame, p, lies - END_MM, turned)
    );
    const upright = p.side === 'top' || p.side === 'bottom';
    layPiece(site, {
      part: 'piece',
      label,
      cloth: p.cloth,
      use: 'applique',
      area: end,
      // Between front and back, whichever side the back comes on.
      side: turned || across ? 'above' : 'below',
      // Right sides together where it swings out when the item is turned; else its right side goes with the front.
      face: turned && !across && !folded ? 'down' : 'up',
      hold: { by: 'tape', strips: 2 },
      note: noteOf(p, turned, lies < whole),
      more: {
        shape: 'pre-cut',
        folded,
        bound: true,
        ...(p.what === 'loop' && !across && { foldAt: turned ? OPPOSITE[p.side] : p.side }),
        ...(lies < whole && {
          takenUp: { along: upright ? 'height' : 'width', times: whole / lies } as const
        }),
        ...(!across && { hangs: p.side })
      }
    });
  }
};

/** Its whole length before it is folded, its ends over the seams, mm. */
function lengthOf(frame: Frame, p: Answers): number {
  return p.other === 'opposite' ? Math.max(p.long, throughOf(frame, p)) + 2 * END_MM : p.reach + END_MM;
}

/** From one side to the opposite one, mm. */
function throughOf({ width, height }: Frame, { side }: Answers): number {
  return side === 'top' || side === 'bottom' ? height : width;
}

/** How much of it lies stretched out; the rest is rolled up and kept clear of the needle. */
function roomFor(
  { seam, width, height }: Frame,
  { side, along, width: wide }: Answers,
  turned: boolean
): number {
  if (!turned) return BESIDE_MM + END_MM;
  const [from, to] = [along - wide / 2, along + wide / 2];
  const here = outermost(seam, side, from, to);
  const there = outermost(seam, OPPOSITE[side], from, to);
  const across =
    here === undefined || there === undefined
      ? side === 'top' || side === 'bottom'
        ? height
        : width
      : Math.abs(there - here);
  return Math.max(30, across - CLEAR_MM + END_MM);
}

function noteOf({ other, side }: Answers, turned: boolean, rolled: boolean): string {
  const where =
    other === 'opposite'
      ? `From the ${side} to the ${OPPOSITE[side]}, both ends over the seam.`
      : turned
        ? 'Its ends over the seam, all else towards the middle: it comes out when the item is turned.'
        : 'Its ends inside the seam, all else outwards.';
  return rolled ? `${where} Roll the loose end up and tape it where no seam comes.` : where;
}

/** From seam to seam across the item, both ends over. */
function band({ width: w, height: h }: Frame, { side, along, width }: Answers): Path {
  const half = width / 2;
  return side === 'top' || side === 'bottom'
    ? box(along - half, -h / 2 - END_MM, along + half, h / 2 + END_MM)
    : box(-w / 2 - END_MM, along - half, w / 2 + END_MM, along + half);
}

/** Its end over the seam as it runs there, the rest inwards where the item is turned, outwards where it is not. */
function strip(frame: Frame, { side, along, width }: Answers, reach: number, inward: boolean): Path {
  const half = width / 2;
  const [near, far] = inward ? [reach, END_MM] : [END_MM, reach];
  const upright = side === 'top' || side === 'bottom';
  const out = upright ? frame.height / 2 : frame.width / 2;
  const first = side === 'top' || side === 'left';
  const at = outermost(frame.seam, side, along - half, along + half) ?? (first ? -out : out);
  const [low, high] = first ? [at - far, at + near] : [at - near, at + far];
  return upright ? box(along - half, low, along + half, high) : box(low, along - half, high, along + half);
}

const pocketFields = {
  height: length('Height of the pocket', 60, 20, 400),
  side: choice('It opens towards', { up: 'The top', down: 'The bottom' }, 'up'),
  elastic: choice('Elastic in its fold', { no: 'No', yes: 'Drawn through' }, 'no'),
  cloth: material('Cloth', { woven: 'Woven cotton', canvas: 'Canvas', felt: 'Felt' }, [
    'woven',
    'Ticket buff',
    '#d9bd8b'
  ])
} as const;

/** A folded pocket or flap whose raw edges lie in the seam round the item. */
export const pocket: BlockMaker<typeof pocketFields> = {
  kind: 'pocket',
  name: 'Pocket or flap, folded',
  summary: 'Folded cloth laid on the front, its fold inside, its raw edges in the seam that closes the item.',
  group: 'Caught in',
  fields: pocketFields,
  lays: true,
  refuses: (standing) =>
    beforeClosing(standing) ??
    notReadyMade(standing) ??
    (standing.top ? null : { why: 'There is no front to lay it on.', repair: 'Move it after the front.' }),
  make(site, { height, side, elastic, cloth }) {
    const { frame } = site;
    const [w, h] = [frame.width / 2, frame.height / 2];
    const label = site.label('Pocket');
    const tall = Math.min(height, frame.height - 15);
    const area = site.line(
      'area',
      `Place of the ${label.toLowerCase()}`,
      side === 'up' ? box(-w, h - tall, w, h) : box(-w, -h, w, -h + tall)
    );
    if (elastic === 'yes')
      site.hand('elastic', {
        do: 'other',
        title: 'Stitch a tunnel along the fold and draw the elastic through',
        seconds: 240
      });
    layPiece(site, {
      part: 'piece',
      label,
      cloth,
      use: 'applique',
      area,
      side: 'above',
      face: 'up',
      over: 12,
      hold: { by: 'tape', strips: 4 },
      note: `Folded in half, the fold towards the ${side === 'up' ? 'top' : 'bottom'}, raw edges over the seam.`,
      more: { shows: 'front', folded: true, foldAt: side === 'up' ? 'top' : 'bottom' }
    });
  }
};

const pageFields = {
  pages: count('Pages', 2, 1, 6),
  width: length('One page, width', 60, 10, 400),
  height: length('One page, height', 60, 10, 400),
  cloth: material('Cloth', { felt: 'Felt', woven: 'Woven cotton', vinyl: 'Vinyl' }, [
    'felt',
    'Cream felt',
    '#efe3c4'
  ]),
  thread: thread('Spine thread', 'Cream', '#efe3c4')
} as const;

/** Pages or further layers under the hoop, stitched through along a spine. */
export const pages: BlockMaker<typeof pageFields> = {
  kind: 'pages',
  name: 'Pages, stitched through',
  summary:
    'Layers laid under the hoop and stitched through everything along one line, as the pages of a needle book.',
  group: 'Caught in',
  fields: pageFields,
  refuses: (standing: Standing): Refusal | null =>
    needsRing(standing) ??
    (standing.top
      ? null
      : { why: 'There is no cover to stitch them to.', repair: 'Move them after the front.' }),
  make(site, { pages: many, width, height, cloth, thread: colour }) {
    const area = site.line('area', 'Place of the pages', box(-width / 2, -height / 2, width / 2, height / 2));
    const spine = site.line('spine', 'Spine', {
      closed: false,
      points: [
        [0, -height / 2 + 3],
        [0, height / 2 - 3]
      ]
    });
    site.toBack();
    for (let page = 1; page <= many; page++) {
      layPiece(site, {
        part: `page-${page}`,
        step: `lay-${page}`,
        label: many > 1 ? `Page ${page}` : 'Page',
        cloth,
        use: 'applique',
        area,
        side: 'below',
        face: 'down',
        hold: { by: 'tape', strips: 2 },
        more: { shape: 'pre-cut' }
      });
    }
    site.toMachine();
    site.stop('spine', {
      ...stopPart('Spine seam', 'topstitch', /spine|page|seam/, [spine], { visible: 'both' }),
      through: true,
      passes: 2,
      thread: colour
    });
    site.toTable();
    site.freeHolds();
  }
};
