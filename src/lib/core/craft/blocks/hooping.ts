import {
  choice,
  count,
  heldAs,
  hold,
  length,
  material,
  MATERIALS,
  onlyWhere,
  stopPart
} from '$lib/core/craft/sequence';
import type { BlockMaker } from './block';
import { needsNoRing } from './refusals';
import type { Site } from './site';

const STABILISERS = {
  'tear-away': { label: 'Tear-away', material: MATERIALS.tearAway },
  cutaway: { label: 'Cutaway', material: MATERIALS.cutaway },
  'soft-mesh': { label: 'Soft mesh cutaway', material: MATERIALS.softMesh },
  'wash-away': { label: 'Wash-away, cloth type', material: MATERIALS.washAway },
  film: { label: 'Wash-away film', material: MATERIALS.film },
  sticky: { label: 'Sticky wash-away', material: MATERIALS.sticky }
} as const;
type Stabiliser = keyof typeof STABILISERS;
const WORDS = Object.fromEntries(
  Object.entries(STABILISERS).map(([key, { label }]) => [key, label])
) as Record<Stabiliser, string>;

const CLOTHS = {
  woven: 'Woven cotton or linen',
  canvas: 'Canvas',
  felt: 'Felt',
  knit: 'Jersey',
  vinyl: 'Vinyl',
  fleece: 'Fleece',
  towelling: 'Towelling'
} as const;

/** Stabilisers that stay in the item. */
const LASTS: readonly Stabiliser[] = ['cutaway', 'soft-mesh'];

const fields = {
  stabiliser: choice('Stabiliser', WORDS, 'tear-away'),
  layers: count('Layers of stabiliser', 1, 1, 4, 'two under a satin edge, unless it is cutaway'),
  ground: choice(
    'Cloth',
    {
      none: 'None: it is laid later',
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
  held: onlyWhere(hold('Floated cloth is held with', 'spray'), 'ground', 'floated')
} as const;

/** Stabiliser in the ring, with the cloth the item begins with. */
export const hooping: BlockMaker<typeof fields> = {
  kind: 'hooping',
  name: 'Hooping',
  summary: 'Stabiliser in the ring, with or without the cloth that is stitched on.',
  group: 'Hooping',
  fields,
  refuses: needsNoRing,
  make(site, { stabiliser, layers, ground, cloth, wide, high, held }) {
    const { s } = site;
    const base = site.piece('stabiliser', 'Stabiliser', STABILISERS[stabiliser].material, 'hooped', {
      // One layer of what tears or washes out gives way under a satin edge.
      plies:
        stabiliser === 'sticky'
          ? 1
          : site.frame.edge === 'satin' && !LASTS.includes(stabiliser)
            ? Math.max(2, layers)
            : layers
    });
    const sticky = stabiliser === 'sticky';
    const hooped = ground === 'hooped' || ground === 'padded';
    const ring = [base];
    if (ground === 'padded') ring.push(site.piece('batting', 'Batting', MATERIALS.batting, 'hooped'));
    if (hooped)
      ring.push(
        site.piece('cloth', 'Front', cloth, 'hooped', {
          shows: 'front',
          overrides: { ...(wide > 0 && { width: wide }), ...(high > 0 && { height: high }) }
        })
      );
    const at = s.sofar.hoopings.length + 1;
    s.hoop(site.newHooping(), at === 1 ? 'Hooping' : `Hooping ${at}`, ring, { sticky, on: false });
    if (ground === 'floated') {
      const piece = site.piece('cloth', 'Front', cloth, 'applique', {
        covers: site.frame.seamId,
        shows: 'front'
      });
      floated(site, piece, sticky ? 'nothing' : cloth.kind === 'vinyl' && held === 'pins' ? 'tape' : held);
    }
  }
};

function floated(site: Site, pieceId: string, held: 'tape' | 'spray' | 'glue' | 'pins' | 'nothing'): void {
  site.hand('lay', {
    do: 'lay',
    pieceId,
    side: 'above',
    face: 'up',
    covers: site.frame.seamId,
    over: 12,
    hold: held === 'nothing' ? { by: 'nothing' } : heldAs(held)
  });
  site.toMachine();
  site.stop('tack', {
    ...stopPart('Tack-down', 'tack-down', /tack|fix|outline/, [site.frame.seamId], { visible: 'hidden' }),
    thread: { name: 'Cream', colour: '#efe3c4' }
  });
  site.freeHolds();
}

/** The stabilisers a block can ask for. */
export { CLOTHS };
