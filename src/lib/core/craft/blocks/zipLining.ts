import { box, extents, segment } from '$lib/core/base/geometry';
import { length, material, seamOpening, stopPart, MATERIALS, thread } from '$lib/core/craft/sequence';
import type { BlockMaker } from './block';
import { CLOTHS } from './hooping';
import { beforeClosing, type Refusal } from './refusals';
import type { Site } from './site';
import type { Standing } from './standing';
import { HALF_MM } from './zip';

/** Pressed under at the zip, the fold beside its coil, and the seam on its tape, mm. */
const PRESSED_MM = 12;
const FOLD_MM = 3;
const SEAM_MM = 7;
const TAPE = { by: 'tape', strips: 4 } as const;

function needsZip(standing: Standing): Refusal | null {
  return (
    beforeClosing(standing) ??
    (standing.zip ? null : { why: 'There is no zip yet.', repair: 'Put a zip with its panels before it.' })
  );
}

const liningFields = {
  cloth: material('Lining', CLOTHS, ['woven', 'Cream', '#efe3c4']),
  thread: thread('Topstitch thread', 'Brass', '#b58a3c')
} as const;

/** Two linings under the hoop, their pressed folds along the zip. */
export const zipLinings: BlockMaker<typeof liningFields> = {
  kind: 'zip-linings',
  name: 'Linings along the zip',
  summary: 'A lining under the hoop on either side of the zip, its pressed fold topstitched along the tape.',
  group: 'Openings',
  fields: liningFields,
  refuses: (standing) =>
    needsZip(standing) ??
    (standing.hoop.layers.some(({ where }) => where === 'below')
      ? { why: 'Something lies under the hoop already.', repair: 'Put the linings before it.' }
      : null),
  make(site, { cloth, thread: colour }) {
    const { zip } = site.standing;
    const covers = zip?.covers ?? null;
    if (!zip || covers === null) return;
    const { minY, maxY } = extents(site.s.pathOf(covers));
    const at = (minY + maxY) / 2;
    const linings = (['lower', 'upper'] as const).map((which) => lining(site, which, at, cloth));
    site.prepare('press', {
      do: 'press-folds',
      pieceId: linings[0]?.piece ?? '',
      alsoIds: linings.slice(1).map(({ piece }) => piece),
      fold: PRESSED_MM
    });
    for (const { which, piece, fold, top } of linings) {
      site.toBack();
      site.s.must(
        site.hand(
          `${which}-lay`,
          {
            do: 'lay',
            pieceId: piece,
            side: 'below',
            face: 'down',
            edge: { lineId: fold, body: which === 'upper' ? 'up' : 'down', allowance: 0 },
            hold: { by: 'tape', strips: 8 }
          },
          { needs: [site.key('press')], note: 'The pressed fold along the zip.' }
        )
      );
      site.toMachine();
      site.stop(`${which}-top`, {
        ...stopPart(
          `${which === 'upper' ? 'Upper' : 'Lower'} lining topstitch`,
          'topstitch',
          /lining|topstitch/,
          [top],
          { visible: 'front' }
        ),
        thread: colour
      });
    }
  }
};

function lining(site: Site, which: 'upper' | 'lower', at: number, cloth: Parameters<Site['piece']>[2]) {
  const [w, h] = [site.frame.width / 2, site.frame.height / 2];
  const sign = which === 'upper' ? -1 : 1;
  const name = which === 'upper' ? 'Upper' : 'Lower';
  const across = (away: number) => segment(-w, at + sign * away, w, at + sign * away);
  const area = which === 'upper' ? box(-w, -h, w, at - HALF_MM) : box(-w, at + HALF_MM, w, h);
  return {
    which,
    fold: site.line(`${which}-fold`, `${name} fold at the zip`, across(FOLD_MM)),
    top: site.line(`${which}-top`, `${name} lining topstitch`, across(SEAM_MM)),
    piece: site.piece(which, `${name} lining`, cloth, 'flipped', {
      covers: site.line(`${which}-area`, `${name} lining`, area),
      shows: 'lining'
    })
  };
}

const backFields = {
  cloth: material('Back', CLOTHS, ['woven', 'Carriage red', '#8d2f35']),
  lining: material('Lining', CLOTHS, ['woven', 'Cream', '#efe3c4']),
  opening: length('Opening in the lining', 80, 60, 150, 'at least 60 mm, or nothing turns through it'),
  thread: thread('Seam thread', 'Cream', '#efe3c4')
} as const;

/** A back with batting on top and its lining under the hoop, turned through the lining and then through the zip. */
export const backLined: BlockMaker<typeof backFields> = {
  kind: 'back-lined',
  name: 'Lined back of a zip pouch',
  summary:
    'Back and batting face down, tacked all round; the back’s lining under the hoop, closed but for an opening.',
  group: 'Back and edge',
  fields: backFields,
  frames: (frame) => ({ ...frame, edge: 'turned', edgeMm: 0 }),
  refuses: (standing) =>
    needsZip(standing) ??
    (standing.under ? { why: 'A back is there already.', repair: 'Take one of the two out.' } : null),
  make(site, p) {
    const { frame, s } = site;
    const { zip } = site.standing;
    if (!zip) return;
    const covers = frame.seamId;
    const hidden = { threadOf: site.key('tack'), visible: 'hidden' } as const;
    const { path, gaps } = seamOpening(frame.seam, p.opening, { side: 'bottom' });
    const closing = site.line('closing', 'Closing seam', path, gaps);
    const back = site.piece('back', site.label('Back'), p.cloth, 'backing', { covers, shows: 'back' });
    const batting = site.piece('batting', 'Back batting', MATERIALS.batting, 'batting', { covers });
    const inside = site.piece('lining', 'Back lining', p.lining, 'backing', { covers, shows: 'lining' });
    const open = site.hand('zip-open', { do: 'zip', pieceId: zip.id, to: 'three-quarters' });
    const laid = site.hand(
      'lay',
      { do: 'lay', pieceId: back, side: 'above', face: 'down', covers, over: 20, hold: TAPE },
      { needs: [open] }
    );
    const padded = site.hand(
      'lay-batting',
      { do: 'lay', pieceId: batting, side: 'above', face: 'up', covers, over: 12, hold: TAPE },
      { needs: [laid] }
    );
    site.toMachine();
    const tack = site.stop('tack', {
      ...stopPart('Back tack-down', 'closing-seam', /back|tack/, [covers], { visible: 'hidden' }),
      thread: p.thread
    });
    site.toBack();
    const lined = site.hand('lay-lining', {
      do: 'lay',
      pieceId: inside,
      side: 'below',
      face: 'up',
      covers,
      over: 20,
      hold: TAPE
    });
    site.toMachine();
    const seam = site.stop('closing', {
      ...stopPart('Closing seam', 'closing-seam', /clos|final|seam/, [closing], hidden),
      passes: 2
    });
    s.must(open, laid, tack, lined, seam);
    s.truth({ kind: 'held', step: padded });
    s.ends({ edge: 'turned' });
  }
};
