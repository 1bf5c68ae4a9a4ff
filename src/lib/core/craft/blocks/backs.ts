import { box } from '$lib/core/base/geometry';
import {
  choice,
  count,
  heldAs,
  heldOn,
  hold,
  length,
  material,
  MATERIALS,
  onlyWhere,
  openSides,
  type OpenSeam,
  stopPart,
  thread,
  seamOpening
} from '$lib/core/craft/sequence';
import type { BlockMaker } from './block';
import { backedField, backing, interfaced } from './cloth';
import { CLOTHS } from './hooping';
import { layPiece } from './layPiece';
import { beforeClosing, notReadyMade } from './refusals';
import type { Site } from './site';
import { SIDES } from './spots';

const turnedFields = {
  cloth: material('Back', CLOTHS, ['woven', 'Cream', '#efe3c4']),
  closes: choice(
    'It is turned through',
    {
      opening: 'An opening in the seam',
      mouth: 'A whole side that stays open: the mouth of a bag',
      envelope: 'An envelope: two backs that overlap'
    },
    'opening'
  ),
  opening: onlyWhere(
    length('Opening to turn through', 80, 60, 300, 'at least 60 mm'),
    'closes',
    'opening',
    'mouth'
  ),
  at: onlyWhere(
    choice('It is open at the', { ...SIDES, free: 'Wherever it lies straight and free' }, 'bottom'),
    'closes',
    'opening',
    'mouth'
  ),
  from: onlyWhere(length('From the middle of that side', 0, -400, 400), 'closes', 'opening'),
  also: onlyWhere(
    choice(
      'Open at another side too',
      { no: 'No', top: 'At the top', bottom: 'At the bottom', left: 'On the left', right: 'On the right' },
      'no',
      'an opening that is closed in the end'
    ),
    'closes',
    'opening',
    'mouth'
  ),
  held: hold('Back held with', 'tape'),
  padded: choice('Batting over it', { no: 'No', yes: 'Yes' }, 'no'),
  passes: count('Times round', 2, 1, 3),
  thread: thread('Seam thread', 'Cream', '#efe3c4')
} as const;

/** A back face down on the front, closed all round but for an opening: the item is turned afterwards. */
export const backTurned: BlockMaker<typeof turnedFields> = {
  kind: 'back-turned',
  name: 'Back, turned',
  summary:
    'The back face down on the front, a closing seam all round, turned through an opening, an envelope or the zip.',
  group: 'Back and edge',
  fields: turnedFields,
  frames: (frame) => ({ ...frame, edge: 'turned', edgeMm: 0 }),
  refuses: (standing) =>
    beforeClosing(standing) ??
    notReadyMade(standing) ??
    (standing.under
      ? {
          why: `A back is under the hoop already: ${standing.under.name}.`,
          repair: 'Take one of the two backs out.'
        }
      : standing.top
        ? null
        : { why: 'There is no front to lay it on.', repair: 'Put a front before it.' }),
  make(site, p) {
    const { frame, s } = site;
    const { zip: fastener } = site.standing;
    const envelope = p.closes === 'envelope';
    const closed = envelope || fastener ? { path: frame.seam, gaps: [] } : openings(site, p);
    const closing = site.line('closing', 'Closing seam', closed.path, closed.gaps);
    site.toTable();
    site.snipJumps('front');
    site.freeHolds();
    site.freeToppings();
    if (fastener) s.must(site.hand('zip-open', { do: 'zip', pieceId: fastener.id, to: 'three-quarters' }));
    // Pins would stand in the seam where the two overlap.
    if (envelope) envelopeBacks(site, p.cloth, p.held === 'pins' ? 'tape' : p.held);
    else {
      const piece = site.piece('back', site.label('Back'), p.cloth, 'backing', {
        covers: frame.seamId,
        shows: 'back'
      });
      s.must(
        site.hand('lay', {
          do: 'lay',
          pieceId: piece,
          side: 'above',
          face: 'down',
          covers: frame.seamId,
          over: 20,
          hold: heldOn(p.cloth, p.held)
        })
      );
    }
    if (p.padded === 'yes') {
      const piece = site.piece('batting', 'Back batting', MATERIALS.batting, 'batting', {
        covers: frame.seamId
      });
      site.hand('lay-batting', {
        do: 'lay',
        pieceId: piece,
        side: 'above',
        face: 'up',
        covers: frame.seamId,
        over: 12,
        hold: { by: 'tape', strips: 4 }
      });
    }
    site.toMachine();
    const seam = site.stop('closing', {
      ...stopPart('Closing seam', 'closing-seam', /clos|final|seam|outline/, [closing], {
        visible: 'hidden'
      }),
      passes: p.passes,
      thread: p.thread
    });
    s.must(seam);
    s.ends({ edge: 'turned' });
  }
};

type Closing = Parameters<(typeof backTurned)['make']>[1];

/** The gaps of a closing seam: an opening or a mouth, and another opening where one is asked. */
function openings(site: Site, { closes, opening, at, from, also }: Closing): OpenSeam {
  const { seam } = site.frame;
  // Where fronts are joined four layers lie.
  const avoid = site.s.sofar.expected.flatMap(({ role, lineIds }) =>
    role === 'join-seam' ? lineIds.flatMap((id) => site.s.pathOf(id).points) : []
  );
  const first =
    closes === 'mouth'
      ? openSides(seam, [at === 'free' ? 'bottom' : at])
      : seamOpening(seam, opening, at === 'free' ? { avoid } : { side: at, along: from });
  if (at === 'free') return first;
  if (also === 'no' || (also === at && closes === 'mouth')) return first;
  const second = seamOpening(first.path, opening, { side: also, begun: true });
  return { path: first.path, gaps: [...first.gaps, ...second.gaps] };
}

/** Two folded backs; the second overlaps the first by a third. */
function envelopeBacks(
  site: Site,
  cloth: Parameters<Site['piece']>[2],
  held: 'tape' | 'spray' | 'glue'
): void {
  const { width, height } = site.frame;
  const [w, h] = [width / 2, height / 2];
  for (const [part, label, area, fold] of [
    ['back-upper', 'Upper back', box(-w, -h, w, height / 6), 'bottom'],
    ['back-lower', 'Lower back', box(-w, -height / 6, w, h), 'top']
  ] as const) {
    const line = site.line(`${part}-area`, label, area);
    layPiece(site, {
      part,
      step: `lay-${part}`,
      label,
      cloth,
      use: 'backing',
      area: line,
      side: 'above',
      face: 'down',
      over: 20,
      hold: heldAs(held),
      note: 'Folded, its fold across the middle, raw edges over the seam.',
      more: { shows: 'back', folded: true, foldAt: fold }
    });
  }
}

const underFields = {
  cloth: material('Back', CLOTHS, ['felt', 'Felt', '#9aa78f']),
  backed: backedField,
  held: hold('Held with', 'tape'),
  thread: thread('Tack-down thread', 'Cream', '#efe3c4')
} as const;

/** A back under the hoop; the edge that follows joins it. */
export const backUnder: BlockMaker<typeof underFields> = {
  kind: 'back-under',
  name: 'Back, under the hoop',
  summary: 'The back laid under the hoop and tacked; the edge that follows joins it.',
  group: 'Back and edge',
  fields: underFields,
  frames: (frame) => ({ ...frame, backed: true }),
  refuses: (standing) =>
    beforeClosing(standing) ??
    notReadyMade(standing) ??
    (standing.under
      ? {
          why: `A back is under the hoop already: ${standing.under.name}.`,
          repair: 'Take one of the two out.'
        }
      : standing.top
        ? null
        : { why: 'There is no front yet.', repair: 'Put a front before it.' }),
  make(site, { cloth, backed, held, thread: colour }) {
    const { frame, s } = site;
    const satin = frame.edge === 'satin';
    const piece = site.piece('back', site.label('Back'), cloth, 'backing', {
      covers: frame.seamId,
      shows: 'back',
      ...backing(backed)
    });
    interfaced(site, backed, piece);
    // Only now: what was stitched has drawn the cloth in.
    if (satin || site.standing.toppings.length > 0) {
      site.toTable();
      site.freeToppings();
      if (satin) site.trimToSeam();
    }
    site.toBack();
    site.freePins();
    site.snip('back');
    const laid = site.hand('lay', {
      do: 'lay',
      pieceId: piece,
      side: 'below',
      face: 'down',
      covers: frame.seamId,
      over: 20,
      hold: heldOn(cloth, held)
    });
    s.must(laid);
    site.toMachine('Support the back while the hoop goes on.');
    site.stop('tack', {
      ...stopPart('Back tack-down', 'tack-down', /back/, [frame.seamId, ...frame.holes], {
        visible: 'hidden'
      }),
      // A cut edge is joined by its outline; some files tack the back first.
      ...(!satin && { optional: true, onlyCharted: true }),
      thread: colour
    });
    if (!satin) return;
    site.toBack();
    site.freeHolds();
    s.must(
      site.hand('trim', { do: 'trim', pieceIds: [piece], lineId: frame.seamId, side: 'outside', margin: 0.5 })
    );
    site.openHoles([piece]);
  }
};
