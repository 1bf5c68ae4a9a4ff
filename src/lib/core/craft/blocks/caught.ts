import { box, type Path } from '$lib/core/base/geometry';
import { choice, count, length, material, type Side, stopPart, thread } from '$lib/core/craft/sequence';
import type { BlockMaker, Refusal } from './block';
import type { Frame } from './frame';
import { beforeClosing, needsRing, noTopping, notReadyMade } from './refusals';
import { sideField } from './spots';
import type { Standing } from './standing';

const PIECE = { ribbon: 'Ribbon', elastic: 'Elastic', loop: 'Loop', strap: 'Strap' } as const;
const WHAT = { ribbon: 'A ribbon', elastic: 'Elastic', loop: 'A loop', strap: 'A strap' } as const;
const fields = {
  what: choice('What is caught', WHAT, 'loop'),
  side: sideField('In the seam at the', 'top'),
  along: length('From the middle of that side', 0, -400, 400),
  width: length('Its width', 12, 3, 100),
  reach: length('How far it reaches from the seam', 40, 10, 600, 'folded in two where it is a loop'),
  cloth: material('Made of', { woven: 'Ribbon or cotton', felt: 'Felt', vinyl: 'Vinyl', knit: 'Elastic' }, [
    'woven',
    'Burgundy ribbon',
    '#6d1f31'
  ])
} as const;

/** A ribbon, elastic, loop or strap laid across a seam that catches its end. */
export const caught: BlockMaker<typeof fields> = {
  kind: 'caught',
  name: 'Ribbon, elastic, loop or strap',
  summary: 'Taped across the seam or edge that comes later and catches its end.',
  group: 'Caught in',
  fields,
  refuses: (standing) =>
    beforeClosing(standing) ??
    noTopping(standing) ??
    notReadyMade(standing) ??
    (standing.top ? null : { why: 'There is nothing to tape it to.', repair: 'Move it after the front.' }),
  make(site, { what, side, along, width, reach, cloth }) {
    const turned = site.frame.edge === 'turned';
    const label = site.label(PIECE[what]);
    const end = site.line(
      'end',
      `Place of the ${label.toLowerCase()}`,
      strip(site.frame, side, along, width, reach, turned)
    );
    const piece = site.piece('piece', label, cloth, 'applique', {
      covers: end,
      shape: 'pre-cut',
      folded: what === 'loop' || what === 'strap',
      bound: true
    });
    // Between front and back, whichever side the back comes on.
    if (turned) site.toTable();
    else site.toBack();
    const laid = site.hand(
      'lay',
      {
        do: 'lay',
        pieceId: piece,
        side: turned ? 'above' : 'below',
        face: turned ? 'up' : 'down',
        covers: end,
        hold: { by: 'tape', strips: 2 }
      },
      {
        note: turned
          ? 'Its ends over the seam, all else towards the middle: it comes out when the item is turned.'
          : 'Its ends inside the seam, all else outwards.'
      }
    );
    site.s.must(laid);
  }
};

/** Its end over the seam by 10 mm, the rest inwards where the item is turned, outwards where it is not. */
function strip(
  { width: w, height: h }: Frame,
  side: Side,
  along: number,
  width: number,
  reach: number,
  inward: boolean
): Path {
  const over = 10;
  const half = width / 2;
  const [near, far] = inward ? [reach, over] : [over, reach];
  switch (side) {
    case 'top':
      return box(along - half, -h / 2 - far, along + half, -h / 2 + near);
    case 'bottom':
      return box(along - half, h / 2 - near, along + half, h / 2 + far);
    case 'left':
      return box(-w / 2 - far, along - half, -w / 2 + near, along + half);
    case 'right':
      return box(w / 2 - near, along - half, w / 2 + far, along + half);
  }
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
  refuses: (standing) =>
    beforeClosing(standing) ??
    noTopping(standing) ??
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
    const piece = site.piece('piece', label, cloth, 'applique', {
      covers: area,
      shows: 'front',
      folded: true
    });
    if (elastic === 'yes')
      site.hand('elastic', {
        do: 'other',
        title: 'Stitch a tunnel along the fold and draw the elastic through',
        seconds: 240
      });
    site.toTable();
    const laid = site.hand(
      'lay',
      {
        do: 'lay',
        pieceId: piece,
        side: 'above',
        face: 'up',
        covers: area,
        over: 12,
        hold: { by: 'tape', strips: 4 }
      },
      {
        note: `Folded in half, the fold towards the ${side === 'up' ? 'top' : 'bottom'}, raw edges over the seam.`
      }
    );
    site.s.must(laid);
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
      const piece = site.piece(`page-${page}`, many > 1 ? `Page ${page}` : 'Page', cloth, 'applique', {
        covers: area,
        shape: 'pre-cut'
      });
      const laid = site.hand(`lay-${page}`, {
        do: 'lay',
        pieceId: piece,
        side: 'below',
        face: 'down',
        covers: area,
        hold: { by: 'tape', strips: 2 }
      });
      site.s.must(laid);
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
