import {
  choice,
  count,
  heldOn,
  hold,
  length,
  material,
  MATERIALS,
  onlyWhere,
  type StabiliserKind,
  STABILISERS,
  stabiliserWords,
  stopPart
} from '$lib/core/craft/sequence';
import type { Hold, Piece } from '$lib/core/documents/item';
import type { BlockMaker } from './block';
import { needsNoRing } from './refusals';
import type { Site } from './site';

/** Cloth a block can ask for. */
export const CLOTHS = {
  woven: 'Woven cotton or linen',
  canvas: 'Canvas',
  felt: 'Felt',
  knit: 'Jersey',
  vinyl: 'Vinyl',
  fleece: 'Fleece',
  towelling: 'Towelling'
} as const;

/** Stabilisers that stay in the item. */
const LASTS: readonly StabiliserKind[] = ['cutaway', 'soft-mesh'];

const FOLDS = {
  bottom: 'The bottom',
  top: 'The top',
  left: 'The left side',
  right: 'The right side'
} as const;
const cushionFields = {
  finishedWidth: onlyWhere(length('Sewn up, width', 200, 60, 1000), 'sewnUp', 'folded'),
  finishedHeight: onlyWhere(length('Sewn up, height', 260, 60, 1000), 'sewnUp', 'folded'),
  fold: onlyWhere(choice('Folded at', FOLDS, 'bottom'), 'sewnUp', 'folded'),
  seam: onlyWhere(
    length('Its seam', 12, 6, 25, '6 to 12 mm is usual, up to half an inch'),
    'sewnUp',
    'folded'
  )
} as const;

const fields = {
  stabiliser: choice('Stabiliser', stabiliserWords(), 'tear-away'),
  layers: count('Layers of stabiliser', 1, 1, 4, 'two under a satin edge, unless it is cutaway'),
  ground: choice(
    'Cloth',
    {
      none: 'None: it is laid later',
      bare: 'None at all: stitched on the stabiliser itself',
      hooped: 'Hooped with the stabiliser',
      floated: 'Floated on it',
      padded: 'Hooped over batting'
    },
    'none'
  ),
  cloth: onlyWhere(
    material('The cloth', CLOTHS, ['woven', 'Fern print', '#4d7148']),
    'ground',
    'hooped',
    'floated',
    'padded'
  ),
  wide: onlyWhere(length('Cut it so wide', 0, 0, 3000, '0: as the ring needs'), 'ground', 'hooped', 'padded'),
  high: onlyWhere(length('Cut it so high', 0, 0, 3000, '0: as the ring needs'), 'ground', 'hooped', 'padded'),
  backed: onlyWhere(
    choice('Fused behind it', { no: 'Nothing', mesh: 'Soft mesh: a knit would stretch' }, 'no'),
    'ground',
    'hooped',
    'floated',
    'padded'
  ),
  sewnUp: onlyWhere(
    choice('It is sewn up afterwards', { no: 'No', folded: 'Folded once and seamed, as a cushion' }, 'no'),
    'ground',
    'hooped'
  ),
  ...cushionFields,
  held: onlyWhere(hold('Floated cloth is held with', 'spray'), 'ground', 'floated')
} as const;

/** Stabiliser in the ring, with the cloth the item begins with. */
export const hooping: BlockMaker<typeof fields> = {
  kind: 'hooping',
  name: 'Hooping',
  summary: 'Stabiliser in the ring, with or without the cloth that is stitched on.',
  group: 'Hooping',
  fields,
  refuses: (standing, { ground, stabiliser }) =>
    needsNoRing(standing) ??
    (ground === 'bare' && !LASTS.includes(stabiliser)
      ? {
          why: 'What tears or washes out cannot be all there is.',
          repair: 'Take cutaway, or lay a cloth.'
        }
      : null),
  make(site, p) {
    const { stabiliser, layers, ground, cloth, held } = p;
    const { s } = site;
    const kind = STABILISERS[stabiliser];
    const base = site.piece('stabiliser', kind.name, kind.material, 'hooped', {
      // One layer of what tears or washes out gives way under a satin over raw edges.
      plies:
        stabiliser === 'sticky'
          ? 1
          : ground === 'bare' ||
              (site.frame.edge === 'satin' &&
                (ground !== 'hooped' || site.frame.backed) &&
                !LASTS.includes(stabiliser))
            ? Math.max(2, layers)
            : layers,
      ...(ground === 'bare' && { shows: 'front' as const })
    });
    const sticky = stabiliser === 'sticky';
    const hooped = ground === 'hooped' || ground === 'padded';
    const ring = [base];
    const backed = p.backed === 'mesh' ? { backed: [MATERIALS.softMesh] } : {};
    const fused = (piece: string): string => {
      if (p.backed === 'mesh') site.prepare('mesh', { do: 'back-cloth', pieceIds: [piece] });
      return piece;
    };
    if (ground === 'padded') {
      const batting = site.piece('batting', 'Batting', MATERIALS.batting, 'hooped');
      site.hand(
        'spray-batting',
        { do: 'spray', pieceId: batting },
        { note: 'Stabiliser, batting and cloth become one.' }
      );
      ring.push(batting);
    }
    if (hooped) {
      const piece = site.piece('cloth', site.label('Front'), cloth, 'hooped', {
        shows: 'front',
        ...backed,
        ...cutAs(p)
      });
      ring.push(fused(piece));
      // Felt shifts on cutaway while it is hooped.
      if (cloth.kind === 'felt' && LASTS.includes(stabiliser))
        site.hand('spray', { do: 'spray', pieceId: piece }, { note: 'On to the cutaway.' });
    }
    const at = s.sofar.hoopings.length + 1;
    s.hoop(site.newHooping(), at === 1 ? 'Hooping' : `Hooping ${at}`, ring, { sticky });
    if (ground === 'floated') {
      const piece = site.piece('cloth', site.label('Front'), cloth, 'applique', {
        covers: site.frame.seamId,
        shows: 'front',
        ...backed
      });
      floated(site, fused(piece), sticky ? { by: 'nothing' } : heldOn(cloth, held));
    }
  }
};

type Answers = Parameters<(typeof hooping)['make']>[1];

/** Cut as the ring needs, in a size of its own, or as large as what it is sewn up to. */
function cutAs(p: Answers): Partial<Pick<Piece, 'overrides' | 'sewnUp'>> {
  if (p.sewnUp === 'folded')
    return { sewnUp: { width: p.finishedWidth, height: p.finishedHeight, seam: p.seam, fold: p.fold } };
  return { overrides: { ...(p.wide > 0 && { width: p.wide }), ...(p.high > 0 && { height: p.high }) } };
}

function floated(site: Site, pieceId: string, hold: Hold): void {
  site.hand('lay', {
    do: 'lay',
    pieceId,
    side: 'above',
    face: 'up',
    covers: site.frame.seamId,
    over: 12,
    hold
  });
  // Nothing more is needed where it sticks.
  if (hold.by === 'nothing') return;
  site.toMachine();
  site.stop('tack', {
    ...stopPart('Tack-down', 'tack-down', /tack|fix|outline/, [site.frame.seamId], { visible: 'hidden' }),
    thread: { name: 'Cream', colour: '#efe3c4' }
  });
  site.freeHolds();
}
