import { offsetPath, pathLength } from '$lib/core/base/geometry';
import { type Material, sinksIn } from '$lib/core/documents/item';
import {
  choice,
  count,
  length,
  material,
  MATERIALS,
  onlyWhere,
  STABILISERS,
  stabiliserWords,
  stopPart,
  usuallyBy
} from '$lib/core/craft/sequence';
import type { BlockMaker } from './block';
import { type Bought, type Thing, THINGS } from './bought';
import { needsNoRing } from './refusals';
import type { Site } from './site';

/** What a maker calls the things. */
const THING_WORDS = Object.fromEntries(
  Object.entries(THINGS).map(([key, { label }]) => [key, label])
) as Record<Thing, string>;

const MARKS = {
  fold: 'Fold it both ways; the creases cross at the middle',
  crosshair: 'Ruler and pen: a cross at the middle',
  template: 'Lay the printed template, mark through its middle'
} as const;
const MARK_WORDS = {
  fold: 'By folding',
  crosshair: 'A cross with ruler and pen',
  template: 'A printed template'
} as const;

const CARRIERS = ['tear-away', 'cutaway', 'soft-mesh', 'wash-away', 'sticky'] as const;

/** An answer of its own for each thing. */
function eachThing<T>(answer: (thing: Bought) => T): Record<Thing, T> {
  return Object.fromEntries(
    Object.entries<Bought>(THINGS).map(([key, thing]) => [key, answer(thing)])
  ) as Record<Thing, T>;
}

/** What is asked about first. */
const USUAL = THINGS.towel;

/** What was bought, and what it is made of: asked alike wherever a design goes on something finished. */
export const BOUGHT = {
  thing: choice('What it is', THING_WORDS, 'towel'),
  cloth: usuallyBy(
    material(
      'Made of',
      {
        towelling: 'Towelling',
        woven: 'Woven cotton or linen',
        knit: 'Jersey',
        canvas: 'Canvas',
        fleece: 'Fleece',
        felt: 'Felt'
      },
      [USUAL.cloth.kind, USUAL.cloth.name, USUAL.cloth.colour]
    ),
    'thing',
    eachThing(({ cloth }) => cloth)
  )
};

/**
 * Asks for its own size, mm, under the words of whoever asks.
 *
 * @returns the fields of width and height, each usual for what was bought
 *
 * @example
 * const [width, height] = boughtSize('Its own width', 'Its own height')
 */
export const boughtSize = (width: string, height: string) =>
  [
    usuallyBy(
      length(width, USUAL.size[0], 40, 3000),
      'thing',
      eachThing(({ size }) => size[0])
    ),
    usuallyBy(
      length(height, USUAL.size[1], 40, 3000),
      'thing',
      eachThing(({ size }) => size[1])
    )
  ] as const;

/** Where a design stands on a thing, mm from its middle, and how the thing is held. */
export const PLACED_ON_IT = {
  right: usuallyBy(
    length(
      'The design from its middle, to the right',
      USUAL.place[0],
      -1500,
      1500,
      'less than 0: to the left'
    ),
    'thing',
    eachThing(({ place }) => place[0])
  ),
  towards: usuallyBy(
    length(
      'The design from its middle, towards you',
      USUAL.place[1],
      -1500,
      1500,
      'less than 0: away from you'
    ),
    'thing',
    eachThing(({ place }) => place[1])
  ),
  mount: choice(
    'In the hoop',
    {
      hooped: 'Hooped with the stabiliser',
      floated: 'Floated on it and pinned',
      stuck: 'Stuck on sticky stabiliser'
    },
    'floated'
  )
};

/** Which box of long stitches holds it before the design. */
export const BASTED = {
  basting: choice(
    'Basting box',
    {
      yes: 'The first stop of the file',
      machine: 'The machine’s own: no stop of the file',
      no: 'None'
    },
    'yes'
  )
};

const [WIDTH, HEIGHT] = boughtSize('Its own width', 'Its own height');

const fields = {
  ...BOUGHT,
  width: WIDTH,
  height: HEIGHT,
  ...PLACED_ON_IT,
  stabiliser: onlyWhere(
    choice('Stabiliser', stabiliserWords([...CARRIERS]), 'cutaway'),
    'mount',
    'hooped',
    'floated'
  ),
  layers: onlyWhere(count('Layers of stabiliser', 1, 1, 4), 'mount', 'hooped', 'floated'),
  centre: choice('The middle is found', MARK_WORDS, 'crosshair'),
  up: choice(
    'Which way up',
    { upright: 'As the maker sees it', turned: 'Upside down: the bulk hangs to the front' },
    'upright'
  ),
  ...BASTED,
  topping: choice('Topping', { usual: 'Where it has pile or is a knit', yes: 'Yes', no: 'No' }, 'usual'),
  mesh: choice('Mesh fused to its inside', { usual: 'Where it is a knit', yes: 'Yes', no: 'No' }, 'usual')
} as const;

/** The basting box runs so far outside the design, mm. */
const BASTING_MM = 6;
/** A machine bastes in stitches so long, mm. */
const BASTING_STITCH_MM = 5;

/** Something bought finished: counted, not cut; its middle found and marked, what hangs from the hoop kept clear. */
export const readyMade: BlockMaker<typeof fields> = {
  kind: 'ready-made',
  name: 'Ready-made thing',
  summary:
    'A towel, shirt, tote, cap, napkin, pocket or part of a garment: marked, hooped, floated or stuck, and held clear of the needle.',
  group: 'Hooping',
  fields,
  refuses: needsNoRing,
  make(site, p) {
    const { s, frame } = site;
    const { name, hangs, hem } = THINGS[p.thing];
    const stuck = p.mount === 'stuck';
    const carrier: Material = stuck ? MATERIALS.sticky : STABILISERS[p.stabiliser].material;
    const sinks = sinksIn(p.cloth.kind);
    const base = site.piece('stabiliser', 'Stabiliser', carrier, 'hooped', { plies: stuck ? 1 : p.layers });
    const fused = p.mesh === 'yes' || (p.mesh === 'usual' && p.cloth.kind === 'knit');
    const hooped = p.mount === 'hooped';
    const piece = site.piece('thing', name, p.cloth, hooped ? 'hooped' : 'applique', {
      covers: hooped ? null : frame.outlineId,
      shows: 'front',
      readyMade: { width: p.width, height: p.height, right: p.right, towards: p.towards, hem },
      ...(fused && { backed: [MATERIALS.softMesh] })
    });
    if (fused) site.hand('mesh', { do: 'back-cloth', pieceIds: [piece] });
    site.hand(
      'mark',
      { do: 'mark-middle', pieceId: piece },
      {
        note: `${MARKS[p.centre]}.${p.up === 'turned' ? ' It lies upside down in the hoop: turn the design by half.' : ''}`
      }
    );
    const at = s.sofar.hoopings.length + 1;
    s.hoop(site.newHooping(), at === 1 ? 'Hooping' : `Hooping ${at}`, hooped ? [base, piece] : [base], {
      sticky: stuck
    });
    if (!hooped)
      s.must(
        site.hand('lay', {
          do: 'lay',
          pieceId: piece,
          side: 'above',
          face: 'up',
          hold: stuck ? { by: 'nothing' } : { by: 'pins', pins: 6, away: 15 }
        })
      );
    site.hand(
      'clear',
      { do: 'other', title: 'Keep what hangs out clear of the needle', seconds: 30 },
      { note: hangs }
    );
    const trace = (): void => {
      site.toMachine();
      site.hand('trace', { do: 'trace' }, { note: 'The needle over the mark, then once round the design.' });
    };
    // Once it is basted it lies where it lies.
    if (p.basting !== 'no') {
      trace();
      baste(site, p.basting);
    }
    if (p.topping === 'yes' || (p.topping === 'usual' && sinks)) {
      const layIt = (): void => {
        const film = site.piece('film', 'Topping', MATERIALS.film, 'applique', { covers: frame.outlineId });
        site.toTable();
        const on = site.hand('topping-on', { do: 'topping-on', pieceId: film });
        site.hand('topping-pin', { do: 'pin', pieceId: film, pins: 4, away: 12 }, { needs: [on] });
      };
      if (site.ahead.laysMore) site.ahead.wait(layIt);
      else layIt();
    }
    if (p.basting === 'no') trace();
    else site.toMachine();
    s.ends({
      edge: 'ready-made',
      finished: { width: p.width, height: p.height },
      // The basting box goes round the design.
      ...(p.basting !== 'no' && {
        size: { width: frame.width + 2 * BASTING_MM, height: frame.height + 2 * BASTING_MM }
      })
    });
  }
};

/** A box of long stitches round the design holds all layers together; then what held them comes out. */
function baste(site: Site, by: 'yes' | 'machine'): void {
  const { frame } = site;
  const path = offsetPath(frame.outline, BASTING_MM) ?? frame.outline;
  const line = site.line('basting', 'Basting box', path);
  site.toMachine();
  if (by === 'machine')
    site.s.must(
      site.hand('basting', {
        do: 'baste',
        lineId: line,
        stitches: Math.round(pathLength(path) / BASTING_STITCH_MM)
      })
    );
  else
    site.stop('basting', {
      ...stopPart('Basting box', 'basting', /bast|box/, [line], { visible: 'hidden' }),
      thread: { name: 'Basting thread', colour: '#e9e2d0' }
    });
  site.toTable();
  site.freeHolds();
}
