import { box, contains, inset, type Path, pointsAlong, regionOf } from '$lib/core/base/geometry';
import type { Piece } from '$lib/core/documents/item';
import {
  heldOn,
  innermost,
  MATERIALS,
  openSides,
  OPPOSITE,
  type Side,
  stopPart,
  strokesOf
} from '$lib/core/craft/sequence';
import type { BlockMaker } from './block';
import type { Frame } from './frame';
import { layPiece } from './layPiece';
import { type Answers, fields, SIDES } from './pieceFields';
import { needsRing, STAYS_WHOLE, type Refusal } from './refusals';
import type { Site } from './site';
import { spotPath } from './spots';
import type { Standing } from './standing';

/** What reaches over a seam that catches it, what an open edge keeps clear of the next seam, and a hem, mm. */
const OVER_MM = 12;
const CLEAR_MM = 12;
const EDGE_MM = { fold: 0, hem: 20, casing: 30, elastic: 30, ribbon: 0, raw: 0 } as const;
/** So near its own seam an end may lie over the corner of another, mm. */
const NEAR_MM = 15;
/** Pressed under where an edge is stitched down, mm. */
const PRESSED_MM = 10;
/** An own seam runs so far inside the edge, mm. */
const INSIDE_MM = 3;
/** What preparing it takes, s. */
const PREPARED_S = { hem: 180, casing: 240, elastic: 300, ribbon: 180, gathered: 300, pleated: 360 } as const;

/** Any piece of cloth, wherever it lies and whichever of its edges is caught, stitched down or open. */
export const piece: BlockMaker<typeof fields> = {
  kind: 'piece',
  name: 'Piece of cloth',
  summary:
    'Any cloth of any outline, on or under the work, flat, folded, gathered or in pleats; each edge caught, stitched down or open.',
  group: 'Cloth',
  fields,
  lays: true,
  refuses: (standing, p) => needsRing(standing) ?? cannotLie(standing, p),
  make(site, p) {
    const label = site.label('Piece');
    const open = openOf(p);
    const area = areaLine(site, p, label, open);
    if (p.placement === 'yes') {
      site.toMachine();
      site.stop('placement', {
        ...stopPart(`${label}: placement`, 'placement', /place|position/, [area], { visible: 'hidden' }),
        thread: p.thread
      });
    }
    prepare(site, p, label, open);
    const below = p.lies.startsWith('below');
    const id = layPiece(site, {
      part: 'piece',
      label,
      cloth: p.cloth,
      use: useOf(p),
      area,
      side: below ? 'below' : 'above',
      // Face and side are as seen from above in stitching position.
      face: p.lies === 'up' || p.lies === 'below-in' ? 'up' : 'down',
      over: p.extent === 'whole' ? OVER_MM : 0,
      hold: heldOn(p.cloth, p.held),
      note: noteOf(p, open),
      more: {
        shows: showsOf(p),
        folded: p.form === 'folded',
        ...(p.extent !== 'whole' && { shape: 'pre-cut' as const }),
        ...formOf(p, open),
        ...(p.backed !== 'no' && { backed: [BACKING[p.backed]] })
      }
    });
    if (p.backed !== 'no') site.prepare('backed', { do: 'back-cloth', pieceIds: [id] });
    if (p.basted === 'yes') baste(site, p, label, area);
    if (p.extent !== 'whole') stitchDown(site, p, label, area);
  }
};

const BACKING = {
  interfacing: MATERIALS.interfacing,
  web: MATERIALS.web,
  batting: MATERIALS.batting
} as const;

function openOf(p: Answers): Side[] {
  return p.extent === 'whole' ? [] : SIDES.filter((side) => p[side] === 'open');
}

function caughtSides(p: Answers): Side[] {
  return p.extent === 'whole' ? [...SIDES] : SIDES.filter((side) => p[side] === 'seam');
}

/** What hangs from one side alone swings out when the item is turned. */
function hangsAt(p: Answers): Side | undefined {
  const [only, ...others] = p.extent === 'side' ? caughtSides(p) : [];
  return only !== undefined && others.length === 0 && openOf(p).length === 3 ? only : undefined;
}

function useOf(p: Answers): 'batting' | 'backing' | 'applique' {
  if (p.cloth.kind === 'batting') return 'batting';
  return p.extent === 'whole' && (p.lies === 'down' || p.lies.startsWith('below')) ? 'backing' : 'applique';
}

function showsOf(p: Answers): 'front' | 'back' | 'lining' | 'nothing' {
  if (p.shows !== 'usual') return p.shows;
  if (p.cloth.kind === 'batting') return 'nothing';
  return p.lies === 'up' || hangsAt(p) ? 'front' : 'back';
}

function cannotLie(standing: Standing, p: Answers): Refusal | null {
  if (p.extent === 'like' && shapeOf(standing, p.whose) === undefined)
    return {
      why:
        p.whose === ''
          ? 'No piece in the hoop has a shape of its own by then.'
          : `There is no piece “${p.whose}” with a shape of its own in the hoop by then.`,
      repair: 'Write its name as the list of pieces has it, or move this after it.'
    };
  const [first] = openOf(p);
  if (first && p.openEdge === 'raw' && !STAYS_WHOLE.includes(p.cloth.kind))
    return {
      why: `${p.cloth.name} frays where its edge stays raw.`,
      repair: 'Give the open edge a hem, or take felt or vinyl.'
    };
  if (first && p.openEdge === 'fold' && p.form !== 'folded')
    return { why: 'Only what is folded has a fold at its edge.', repair: 'Fold it in half, or hem it.' };
  if (p.form === 'folded' && openOf(p).length === 0)
    return { why: 'A fold lies at an open edge, and none is open.', repair: 'Leave one edge open.' };
  if (standing.closing)
    return { why: 'Front and back are closed already.', repair: 'Move it before the back.' };
  if (!p.lies.startsWith('below') && p.lies === 'up' && standing.covered && p.cloth.kind !== 'batting')
    return {
      why: `It would lie on ${standing.covered.name}, right side out, and end inside.`,
      repair: 'Lay it right side down, or move it before the back.'
    };
  return null;
}

/** Where it lies: over a seam by its allowance, clear of one beside an open edge, on its own line everywhere else. */
function areaLine(site: Site, p: Answers, label: string, open: readonly Side[]): string {
  const { frame } = site;
  if (p.extent === 'whole') return frame.seamId;
  const like = p.extent === 'like' ? shapeOf(site.standing, p.whose) : undefined;
  const path =
    like !== undefined ? site.s.pathOf(like) : p.extent === 'shape' ? spotPath(p) : alongSide(frame, p, open);
  return site.line('area', `Place of the ${label.toLowerCase()}`, path);
}

/** The line of a piece in the hoop by its name, or of the last that has a shape of its own. */
function shapeOf({ shaped }: Standing, whose: string): string | undefined {
  const own =
    whose === '' ? shaped.at(-1) : shaped.find(({ name }) => name.toLowerCase() === whose.toLowerCase());
  return own?.lineId;
}

function alongSide(frame: Frame, p: Answers, open: readonly Side[]): Path {
  const { width, height } = frame;
  const upright = p.side === 'top' || p.side === 'bottom';
  const [base, ends] = upright ? [height / 2, width / 2] : [width / 2, height / 2];
  const sign = p.side === 'top' || p.side === 'left' ? -1 : 1;
  const inner = sign * (base - p.much);
  const outer = sign * (p[p.side] === 'seam' ? base + OVER_MM : base);
  // Where an outline draws together, an open end keeps clear of it as it runs there.
  const free = (side: Side, usual: number): number => {
    if (!open.includes(side)) return p[side] === 'seam' ? usual + OVER_MM : usual;
    const near = sign * Math.max(base - NEAR_MM, base - p.much / 2);
    const [from, to] = [Math.min(inner, near), Math.max(inner, near)];
    const least = innermost(frame.seam, side, from, to) ?? usual;
    return Math.max(5, Math.floor(Math.min(usual, least) - CLEAR_MM));
  };
  const [first, last] = upright ? (['left', 'right'] as const) : (['top', 'bottom'] as const);
  const [before, after] = [-free(first, ends), free(last, ends)];
  const [low, high] = [Math.min(inner, outer), Math.max(inner, outer)];
  return upright ? box(before, low, after, high) : box(low, before, high, after);
}

/** How it is cut larger than it lies: doubled at its fold, gathered along its seam, turned under at open edges. */
function formOf(p: Answers, open: readonly Side[]) {
  const hangs = hangsAt(p);
  const fold = foldSide(p, open);
  const lengthwise = p.extent === 'side' && (p.side === 'left' || p.side === 'right') ? 'height' : 'width';
  return {
    ...(p.form === 'folded' && fold && { foldAt: fold }),
    ...((p.form === 'gathered' || p.form === 'pleated') && {
      takenUp: { along: lengthwise, times: Number(p.fullness) } as const
    }),
    ...(p.form !== 'folded' && turnedUnder(p, open)),
    ...(hangs && { hangs })
  };
}

/** A fold lies opposite the side it is laid along, where that is open. */
function foldSide(p: Answers, open: readonly Side[]): Side | undefined {
  const opposite = OPPOSITE[p.side];
  return p.extent === 'side' && open.includes(opposite) ? opposite : open[0];
}

/** Hems and casings at open edges, and what is pressed under where an edge that frays is stitched down. */
function turnedUnder(p: Answers, open: readonly Side[]): Pick<Piece, 'turnedUnder'> {
  const hem = EDGE_MM[p.openEdge];
  const pressed = STAYS_WHOLE.includes(p.cloth.kind) ? 0 : PRESSED_MM;
  const at = (side: Side): number => (open.includes(side) ? hem : p[side] === 'stitched' ? pressed : 0);
  const under = { width: at('left') + at('right'), height: at('top') + at('bottom') };
  return p.extent !== 'whole' && under.width + under.height > 0 ? { turnedUnder: under } : {};
}

const PREPARED = {
  hem: 'Hem the open edges of',
  casing: 'Stitch the casing of',
  elastic: 'Draw elastic through the edge of',
  ribbon: 'Bind the open edges of'
} as const;

/** What is done to it before it is laid. */
function prepare(site: Site, p: Answers, label: string, open: readonly Side[]): void {
  const { openEdge } = p;
  if (open.length > 0 && openEdge !== 'fold' && openEdge !== 'raw')
    site.hand('edge', {
      do: 'other',
      title: `${PREPARED[openEdge]} ${label}`,
      seconds: PREPARED_S[openEdge]
    });
  if (p.form === 'gathered' || p.form === 'pleated')
    site.hand('form', {
      do: 'other',
      title: p.form === 'gathered' ? `Gather ${label} to the length of its seam` : `Press ${label} in pleats`,
      seconds: PREPARED_S[p.form]
    });
}

function noteOf(p: Answers, open: readonly Side[]): string | undefined {
  const fold = foldSide(p, open);
  if (p.form === 'folded' && fold)
    return `Folded in half, the fold towards the ${fold}, raw edges over the seam.`;
  const hangs = hangsAt(p);
  return hangs
    ? `Its raw edge over the seam at the ${hangs}, the rest towards the middle, clear of the other seams: it swings out when the item is turned.`
    : undefined;
}

/** A run inside the seam allowance holds it before the rest comes: then an opening may lie over it. */
function baste(site: Site, p: Answers, label: string, area: string): void {
  const sides = SIDES.filter((side) => p.extent === 'whole' || p[side] === 'seam');
  const seam = openSides(
    site.frame.seam,
    SIDES.filter((side) => !sides.includes(side)),
    false
  );
  const within = regionOf(site.s.pathOf(area));
  const lines = strokesOf(seam).flatMap((path, at) => {
    const points = pointsAlong(path, 2).filter((point) => contains(within, point));
    return points.length < 2
      ? []
      : site.line(at === 0 ? 'basted' : `basted-${at + 1}`, `${label}: held in its seam`, {
          closed: false,
          points
        });
  });
  if (lines.length === 0) return;
  site.toMachine();
  site.stop('basted', {
    ...stopPart(`${label}: held in its seam`, 'tack-down', /bast|tack|hold/, lines, { visible: 'hidden' }),
    thread: p.thread
  });
  site.freeHolds();
}

/** Edges that are stitched down: one line a little inside, left open where it is open or the seam catches it. */
export function stitchDown(site: Site, p: Pick<Answers, 'thread' | Side>, label: string, area: string): void {
  const stitched = SIDES.filter((side) => p[side] === 'stitched');
  if (stitched.length === 0) return;
  const inside = inset(site.s.pathOf(area), INSIDE_MM);
  const seam = openSides(
    inside,
    SIDES.filter((side) => !stitched.includes(side)),
    false
  );
  const lines = strokesOf(seam).map((path, at) =>
    site.line(at === 0 ? 'own-seam' : `own-seam-${at + 1}`, `${label}: stitched down`, path)
  );
  site.toMachine();
  site.stop('own-seam', {
    ...stopPart(`${label}: stitched down`, 'topstitch', /stitch|edge|tack/, lines, { visible: 'front' }),
    passes: 2,
    thread: p.thread
  });
  site.freeHolds();
}
