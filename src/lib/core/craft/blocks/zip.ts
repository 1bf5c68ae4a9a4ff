import { box, inset, segment } from '$lib/core/base/geometry';
import {
  choice,
  heldAs,
  type HeldBy,
  hold,
  length,
  material,
  MATERIALS,
  onlyWhere,
  stopPart,
  thread
} from '$lib/core/craft/sequence';
import type { BlockMaker } from './block';
import { beforeClosing } from './refusals';
import type { Site } from './site';

/** Half of the zip’s tape that stays between the two panels, and where the tape and the topstitch run, mm. */
export const HALF_MM = 5;
const TAPE_MM = 10;
const TOP_MM = 8;
/** Seam allowance of a panel on the zip tape, mm. */
const ON_TAPE_MM = 6;
/** Batting ends so far inside the seam, mm. */
const BATTING_MM = 2;

const CLOTHS = { woven: 'Woven cotton', canvas: 'Canvas' } as const;
const fields = {
  down: length('Zip below the top edge', 32, 20, 300),
  upper: material('Above the zip', CLOTHS, ['woven', 'Fern print', '#4d7148']),
  lower: material('Below the zip', CLOTHS, ['woven', 'Carriage red', '#8d2f35']),
  padded: choice('Batting under the panels', { no: 'No', yes: 'Yes, cut out behind the zip' }, 'no'),
  battingHold: onlyWhere(hold('Batting held with', 'spray'), 'padded', 'yes'),
  thread: thread('Seam thread', 'Cream', '#efe3c4')
} as const;

/** A zip across the item with a panel flipped away from it on either side. */
export const zip: BlockMaker<typeof fields> = {
  kind: 'zip',
  name: 'Zip with two panels',
  summary: 'A zip taped to its line, the stabiliser cut away behind it, a panel flipped away on either side.',
  group: 'Openings',
  fields,
  refuses: (standing) =>
    beforeClosing(standing) ??
    (standing.zip
      ? { why: 'There is a zip already.', repair: 'Take one of the two out.' }
      : standing.top
        ? {
            why: `The zip would lie on ${standing.top.name}.`,
            repair: 'Take the front out: the panels are it.'
          }
        : null),
  make(site, p) {
    const { frame, s } = site;
    const [w, h] = [frame.width / 2, frame.height / 2];
    const y = Math.min(h - 20, -h + p.down);
    const hidden = { threadOf: site.key('upper-sewn'), visible: 'hidden' } as const;
    const zipLine = site.line('zip', 'Zip line', box(-w, y - 12.5, w, y + 12.5));
    const gap = site.line('gap', 'Zip gap', box(-w + 5, y - 4, w - 5, y + 4));
    const tapes = site.line('tapes', 'Zip seams', box(-w + 2, y - TAPE_MM, w - 2, y + TAPE_MM));
    const piece = site.piece(
      'piece',
      'Zip',
      { kind: 'zip', name: 'Nylon zip', colour: '#2c2a28' },
      'zip-tape',
      {
        covers: zipLine,
        shows: 'front'
      }
    );
    const { ring } = site.standing;
    if (p.padded === 'yes') battingBehind(site, p.battingHold, gap);
    site.toMachine();
    site.stop('placement', stopPart('Zip placement', 'placement', /zip/, [zipLine], hidden));
    site.hand(
      'lay',
      {
        do: 'lay',
        pieceId: piece,
        side: 'above',
        face: 'up',
        covers: zipLine,
        hold: { by: 'tape', strips: 4 }
      },
      { note: 'Slider and stops lie outside the stitching.' }
    );
    site.stop('tack', stopPart('Zip tack-down', 'tack-down', /zip|tack/, [tapes], hidden));
    site.toBack();
    site.freeHolds();
    const cut = site.hand('cut-behind', {
      do: 'cut-away-behind',
      pieceIds: ring.map(({ id }) => id),
      lineId: gap,
      keepIds: [piece]
    });
    s.must(cut);
    for (const which of ['upper', 'lower'] as const) {
      const up = which === 'upper';
      const at = up ? y - HALF_MM : y + HALF_MM;
      const seam = site.line(`${which}-seam`, `${up ? 'Upper' : 'Lower'} zip seam`, segment(-w, at, w, at));
      const area = site.line(
        `${which}-area`,
        `${up ? 'Upper' : 'Lower'} front`,
        up ? box(-w, -h, w, at) : box(-w, at, w, h)
      );
      const top = up ? y - TOP_MM : y + TOP_MM;
      const topLine = site.line(
        `${which}-top`,
        `${up ? 'Upper' : 'Lower'} topstitch`,
        segment(-w, top, w, top)
      );
      const cloth = site.piece(which, `${up ? 'Upper' : 'Lower'} front`, p[which], 'flipped', {
        covers: area,
        shows: 'front'
      });
      site.toMachine();
      const laid = site.hand(`${which}-lay`, {
        do: 'lay',
        pieceId: cloth,
        side: 'above',
        face: 'down',
        edge: { lineId: seam, body: up ? 'down' : 'up', allowance: ON_TAPE_MM },
        hold: { by: 'tape', strips: 4 }
      });
      site.stop(`${which}-sewn`, {
        ...stopPart(`${up ? 'Upper' : 'Lower'} zip seam`, 'join-seam', /seam|zip/, [seam], {
          visible: 'hidden'
        }),
        ...(up ? { thread: p.thread } : { threadOf: site.key('upper-sewn') })
      });
      site.freeHolds();
      site.hand(`${which}-flip`, { do: 'flip', pieceId: cloth, lineId: seam, covers: area });
      site.stop(
        `${which}-topped`,
        stopPart(`${up ? 'Upper' : 'Lower'} topstitch`, 'topstitch', /topstitch|top|tack/, [topLine], {
          // What holds the panel down may be called its tack-down.
          alsoRoles: ['tack-down'],
          threadOf: site.key('upper-sewn'),
          visible: 'front'
        })
      );
      s.must(laid);
    }
  }
};

/** Batting inside the outline, cut away where the zip comes; the stabiliser there stays whole. */
function battingBehind(site: Site, held: HeldBy, gap: string): void {
  const { frame } = site;
  const line = site.line('batting', 'Batting line', inset(frame.seam, BATTING_MM));
  const piece = site.piece('batting', 'Batting', MATERIALS.batting, 'batting', { covers: frame.seamId });
  const hidden = { threadOf: site.key('upper-sewn'), visible: 'hidden' } as const;
  site.toMachine();
  site.stop('batting-placement', stopPart('Batting placement', 'placement', /batting|place/, [line], hidden));
  site.hand('batting-lay', {
    do: 'lay',
    pieceId: piece,
    side: 'above',
    face: 'up',
    covers: line,
    over: 12,
    hold: heldAs(held)
  });
  site.stop('batting-tack', stopPart('Batting tack-down', 'tack-down', /batting|tack/, [line, gap], hidden));
  site.toTable();
  site.freeHolds();
  const keepIds = site.standing.ring.map(({ id }) => id);
  site.hand('batting-trim', {
    do: 'trim',
    pieceIds: [piece],
    lineId: line,
    side: 'outside',
    margin: 0,
    keepIds
  });
  site.hand('batting-gap', {
    do: 'cut-away-behind',
    pieceIds: [piece],
    lineId: gap,
    from: 'front',
    keepIds
  });
}
