import {
  contains,
  inset,
  offsetPath,
  pathLength,
  type Path,
  pointsAlong,
  regionOf
} from '$lib/core/base/geometry';
import {
  blanketPhase,
  choice,
  type DetailColour,
  heldOn,
  hold,
  type HeldBy,
  MATERIALS,
  onlyWhere,
  stopPart
} from '$lib/core/craft/sequence';
import type { Line, Material } from '$lib/core/documents/item';
import { needsSurface, noFilmUnderTheIron, STAYS_WHOLE, type Refusal } from './refusals';
import type { Site } from './site';
import { unedged } from './unedged';
import type { Standing } from './standing';

const INSIDE_MM = 2;
/** Cut a little outside what covers the edge, flush at a zigzag, and farther out where only a run holds it, mm. */
const TRIMMED_MM = { covered: 0.5, zigzag: 0.5, raw: 2 } as const;
const ZIGZAG_MM = 2.5;
const EDGE_MM = { satin: 3.5, blanket: 3, motif: 5, zigzag: 3 } as const;

/** Asks how a piece is cut, tacked, held and edged. */
export const pieceFields = {
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
      later: 'Stitched later, or covered by what is',
      raw: 'None: it stays as it is tacked'
    },
    'satin'
  ),
  tack: onlyWhere(
    choice('Tack-down', { run: 'A run', zigzag: 'A zigzag over the line' }, 'run'),
    'method',
    'trim'
  ),
  trims: onlyWhere(
    choice('Trimmed', { machine: 'On the machine', table: 'With the hoop off' }, 'machine'),
    'method',
    'trim'
  ),
  web: onlyWhere(
    choice('Behind it', { no: 'Nothing', later: 'Web, fused when all is sewn' }, 'no'),
    'method',
    'trim'
  ),
  held: onlyWhere(hold('Held with', 'spray'), 'method', 'trim', 'laid')
} as const;

/** How a piece is cut and edged. */
export interface Manner {
  method: 'trim' | 'pre-cut' | 'laid';
  edge: keyof typeof EDGE_MM | 'later' | 'raw';
  tack: 'run' | 'zigzag';
  trims: 'machine' | 'table';
  web: 'no' | 'later';
  held: HeldBy;
}

/** Why pieces of such cloth cannot lie here, edged so. */
export function refusesPiece(
  standing: Standing,
  { edge, method, tack }: Manner,
  cloth: Material
): Refusal | null {
  const none = standing.ring.length > 0 && onLace(standing) ? null : needsSurface(standing);
  if (none) return none;
  if (standing.under)
    return {
      why: 'It would be stitched through the back, which lies under the hoop.',
      repair: 'Move it before the back.'
    };
  const film = method === 'pre-cut' ? noFilmUnderTheIron(standing) : null;
  if (film) return film;
  if (method === 'pre-cut' && cloth.kind === 'vinyl')
    return { why: `${cloth.name} melts where it is fused.`, repair: 'Lay it, or trim it in place.' };
  return edge === 'raw' && !STAYS_WHOLE.includes(cloth.kind) && !(tack === 'zigzag' && method === 'trim')
    ? {
        why: `${cloth.name} frays where its edge stays raw.`,
        repair: 'Take felt or vinyl, tack it with a zigzag, or give it an edge.'
      }
    : null;
}

/** Nothing but wash-away lies open: what is laid on it is an inlay of lace. */
function onLace({ top, ring, covered }: Standing): boolean {
  return (
    top === null && covered === null && ring.every(({ material }) => material.kind.includes('wash-away'))
  );
}

/** One piece among those a block lays. */
export interface OnePiece extends Manner {
  /** Its part of the block’s names; empty for the only piece. */
  part: string;
  label: string;
  /** The line it lies in. */
  shape: string;
  cloth: Material;
  thread: DetailColour;
  /** The stop whose thread its hidden stops take. */
  leader: string;
}

const named = ({ part }: OnePiece, what: string): string => (part === '' ? what : `${part}-${what}`);

const hasWeb = ({ method, web }: Manner): boolean =>
  method === 'pre-cut' || (method === 'trim' && web === 'later');

/** The piece itself; gives its id. */
export function madePiece(site: Site, p: OnePiece): string {
  const { method, cloth, label, shape } = p;
  leaveOutUnder(site, site.s.pathOf(shape));
  return site.piece(named(p, 'piece'), label, cloth, 'applique', {
    covers: shape,
    shows: 'front',
    ...(method !== 'trim' && { shape: 'pre-cut' as const }),
    ...(method === 'pre-cut' && { template: { wrongSideUp: true, mirrored: true } }),
    ...(hasWeb(p) && { backed: [MATERIALS.web] })
  });
}

/** Web goes on before the shapes are cut, and before the hooping. */
export function webBehind(site: Site, pieceIds: string[], manner: Manner): void {
  if (!hasWeb(manner)) return;
  const note =
    manner.method === 'pre-cut'
      ? 'Before the shapes are cut; the paper stays on.'
      : 'They are fused when all is sewn.';
  site.prepare('web', { do: 'back-cloth', pieceIds }, note);
}

/** Lays a piece; fused ones want the hoop on the table. */
export function laidOn(site: Site, pieceId: string, p: OnePiece): void {
  const { method, cloth, shape, held } = p;
  site.s.must(
    site.hand(
      named(p, 'lay'),
      {
        do: 'lay',
        pieceId,
        side: 'above',
        face: 'up',
        covers: shape,
        ...(method === 'trim' && { over: 12 }),
        hold: method === 'pre-cut' ? { by: 'fuse' } : heldOn(cloth, held)
      },
      method === 'pre-cut' ? { note: 'Peel the paper. On a felt mat.' } : {}
    )
  );
}

/** Tacks a piece that is not fused, and trims it where it was not cut beforehand. */
export function tackedAndTrimmed(site: Site, pieceId: string, p: OnePiece): void {
  const { method, edge, tack, trims, label, shape, thread, leader } = p;
  const raw = edge === 'raw';
  if (raw && method !== 'trim') tackInside(site, p);
  if (method === 'pre-cut' || (raw && method === 'laid')) return;
  const zigzag = tack === 'zigzag' && method === 'trim';
  site.toMachine();
  const tacked = site.stop(named(p, 'tack'), {
    ...stopPart(zigzag ? `${label}: zigzag tack-down` : `${label}: tack-down`, 'tack-down', /tack|fix|zig/, [
      shape
    ]),
    ...(zigzag && { width: ZIGZAG_MM }),
    visible: raw ? 'front' : 'hidden',
    ...(raw || leader === site.key(named(p, 'tack')) ? { thread } : { threadOf: leader })
  });
  if (method === 'trim' && trims === 'table') site.toTable();
  site.freeHolds();
  if (method !== 'trim') return;
  const margin = TRIMMED_MM[zigzag ? 'zigzag' : raw ? 'raw' : 'covered'];
  site.s.must(
    tacked,
    site.hand(named(p, 'trim'), {
      do: 'trim',
      pieceIds: [pieceId],
      lineId: shape,
      side: 'outside',
      margin
    })
  );
}

/** The edge of pieces that take one thread. */
export function edgedPieces(
  site: Site,
  key: string,
  name: string,
  lineIds: string[],
  { edge, width, thread }: { edge: keyof typeof EDGE_MM; width?: number; thread: DetailColour }
): string {
  const wide = width ?? EDGE_MM[edge];
  const length = lineIds.reduce((sum, id) => sum + pathLength(site.s.pathOf(id)), 0);
  return site.stop(key, {
    ...stopPart(name, 'applique-edge', /edge|satin|blanket|motif|appli|ring/, lineIds),
    alsoRoles: ['satin-edge'],
    visible: 'front',
    width: wide,
    ...(edge === 'blanket' && { estimate: [blanketPhase(length, wide)] }),
    thread
  });
}

/** A piece that is cut already and stays raw is tacked a little inside its edge. */
function tackInside(site: Site, p: OnePiece): void {
  const { shape, label, thread } = p;
  const line = site.s.line(
    `${shape}-in`,
    `${label}: inside its edge`,
    inset(site.s.pathOf(shape), INSIDE_MM)
  );
  site.toMachine();
  site.stop(named(p, 'tack'), {
    ...stopPart(`${label}: tack-down`, 'tack-down', /tack|fix/, [line], { visible: 'front' }),
    thread
  });
  site.freeHolds();
}

/** What lies so near to the edge of a later piece is under its satin, mm. */
const UNDER_EDGE_MM = 1;

/** An edge, stitched or still to come, is left out under a piece that is laid later: it would stand up as a ridge. */
function leaveOutUnder(site: Site, over: Path): void {
  const edges = site.s.sofar.expected.flatMap(({ role, lineIds }) =>
    role === 'applique-edge' ? lineIds : []
  );
  const waiting = unedged(site.s, site.frame).map(({ lineId }) => lineId);
  for (const id of new Set([...edges, ...waiting])) site.s.leaveOut(id, under(site.s.pathOf(id), over));
}

/** The stretches of a path that lie inside another or under its edge, as gaps. */
function under(path: Path, over: Path): Line['gaps'] {
  const region = regionOf(offsetPath(over, UNDER_EDGE_MM) ?? over);
  const points = pointsAlong(path, 1);
  const step = pathLength(path) / Math.max(1, points.length - 1);
  const gaps: { from: number; to: number }[] = [];
  points.forEach((point, at) => {
    if (!contains(region, point)) return;
    const last = gaps.at(-1);
    if (last && last.to === (at - 1) * step) last.to = at * step;
    else gaps.push({ from: at * step, to: at * step });
  });
  // Wholly covered, it is another matter: a shape laid over the whole piece.
  return gaps.filter(({ from, to }) => to > from && to - from < pathLength(path) - 2 * step);
}
