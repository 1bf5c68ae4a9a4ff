import { inset, pathLength } from '$lib/core/base/geometry';
import {
  blanketPhase,
  type DetailColour,
  choice,
  heldAs,
  hold,
  material,
  MATERIALS,
  onlyWhere,
  stopPart,
  thread
} from '$lib/core/craft/sequence';
import type { BlockMaker } from './block';
import type { Site } from './site';
import { CLOTHS } from './hooping';
import { needsSurface, noTopping, STAYS_WHOLE } from './refusals';
import { spotFields, spotPath } from './spots';

const INSIDE_MM = 2;
const WIDTH_MM = { satin: 3.5, blanket: 3, motif: 5, zigzag: 3, raw: 0 } as const;

const fields = {
  ...spotFields(50, 50),
  cloth: material('Cloth', CLOTHS, ['woven', 'Carriage red', '#8d2f35']),
  method: choice(
    'How it is cut',
    {
      trim: 'Trimmed in place',
      'pre-cut': 'Cut to shape beforehand, fused',
      laid: 'Cut to shape beforehand, laid'
    },
    'trim'
  ),
  edge: choice(
    'Its edge',
    {
      satin: 'Satin',
      blanket: 'Blanket stitch',
      motif: 'Motif stitch',
      zigzag: 'Zigzag',
      raw: 'None: it stays raw'
    },
    'satin'
  ),
  held: onlyWhere(hold('Held with', 'spray'), 'method', 'trim', 'laid'),
  thread: thread('Edge thread', 'Burgundy', '#6d1f31')
} as const;

/** One shape of cloth on the surface, under an edge of its own. */
export const applique: BlockMaker<typeof fields> = {
  kind: 'applique',
  name: 'Appliqué piece',
  summary:
    'A shape of cloth: trimmed in place, or cut beforehand and laid or fused, with the edge you choose.',
  group: 'Cloth',
  fields,
  refuses: (standing, { edge, cloth, method }) =>
    needsSurface(standing) ??
    noTopping(standing) ??
    (standing.under
      ? {
          why: 'It would be stitched through the back, which lies under the hoop.',
          repair: 'Move it before the back.'
        }
      : method === 'pre-cut' && standing.ring.some(({ material }) => material.kind === 'wash-away-film')
        ? { why: 'The film in the ring melts under the iron.', repair: 'Lay it, or take another stabiliser.' }
        : method === 'pre-cut' && cloth.kind === 'vinyl'
          ? { why: `${cloth.name} melts where it is fused.`, repair: 'Lay it, or trim it in place.' }
          : edge === 'raw' && !STAYS_WHOLE.includes(cloth.kind)
            ? {
                why: `${cloth.name} frays where its edge stays raw.`,
                repair: 'Take felt or vinyl, or give it an edge.'
              }
            : null),
  make(site, p) {
    const { method, edge, cloth } = p;
    const label = site.label('Appliqué');
    const precut = method !== 'trim';
    const raw = edge === 'raw';
    const shape = site.line('shape', label, spotPath(p));
    const last = raw ? site.key('tack') : site.key('edge');
    const hidden = { threadOf: last, visible: 'hidden' } as const;
    const piece = site.piece('piece', label, cloth, 'applique', {
      covers: shape,
      shows: 'front',
      ...(precut && { shape: 'pre-cut' as const }),
      ...(method === 'pre-cut' && {
        template: { wrongSideUp: true, mirrored: true },
        backed: [MATERIALS.web]
      })
    });
    site.toMachine();
    site.stop('placement', stopPart(`${label}: placement`, 'placement', /place|position/, [shape], hidden));
    if (method === 'pre-cut') {
      // A hoop is never ironed on the machine.
      site.toTable();
      site.hand(
        'lay',
        { do: 'lay', pieceId: piece, side: 'above', face: 'up', covers: shape, hold: { by: 'fuse' } },
        { note: 'Peel the paper. On a felt mat.' }
      );
      site.toMachine();
    } else {
      const held = cloth.kind === 'vinyl' && p.held === 'pins' ? 'tape' : p.held;
      site.hand('lay', {
        do: 'lay',
        pieceId: piece,
        side: 'above',
        face: 'up',
        covers: shape,
        ...(!precut && { over: 12 }),
        hold: heldAs(held)
      });
      if (!raw || !precut)
        site.stop('tack', {
          ...stopPart(`${label}: tack-down`, 'tack-down', /tack|fix/, [shape]),
          ...(raw ? { visible: 'front', thread: p.thread } : hidden)
        });
      site.freeHolds();
      if (!precut) {
        const trimmed = site.hand('trim', {
          do: 'trim',
          pieceIds: [piece],
          lineId: shape,
          side: 'outside',
          margin: raw ? 2 : 0.5,
          where: 'on-machine'
        });
        site.s.must(trimmed);
      }
    }
    site.s.must(site.key('lay'));
    if (raw) {
      if (precut) tackInside(site, shape, label, p.thread);
      return;
    }
    const width = WIDTH_MM[edge];
    site.stop('edge', {
      ...stopPart(`${label}: edge`, 'applique-edge', /edge|satin|blanket|motif|appli/, [shape]),
      alsoRoles: ['satin-edge'],
      visible: 'front',
      width,
      ...(edge === 'blanket' && {
        estimate: [blanketPhase(pathLength(site.s.pathOf(shape)), width)]
      }),
      thread: p.thread
    });
  }
};

/** A piece that is cut already is tacked a little inside its edge. */
function tackInside(site: Site, shape: string, label: string, colour: DetailColour): void {
  const line = site.s.line(
    `${shape}-in`,
    `${label}: inside its edge`,
    inset(site.s.pathOf(shape), INSIDE_MM)
  );
  site.stop('tack', {
    ...stopPart(`${label}: tack-down`, 'tack-down', /tack|fix/, [line], { visible: 'front' }),
    thread: colour
  });
  site.freeHolds();
}
