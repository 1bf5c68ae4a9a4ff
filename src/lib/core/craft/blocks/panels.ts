import { box, type Path, segment } from '$lib/core/base/geometry';
import {
  choice,
  count,
  length,
  material,
  OPPOSITE,
  type Side,
  stopPart,
  thread
} from '$lib/core/craft/sequence';
import type { BlockMaker } from './block';
import type { Frame } from './frame';
import { CLOTHS } from './hooping';
import { saidName } from './layPiece';
import { beforeClosing } from './refusals';
import { sideField } from './spots';
import type { Site } from './site';

/** Seam allowance of a piece that is flipped, mm. */
const SEAM_MM = 12;
/** What is left of the cloth under it beyond the seam, mm. */
const UNDER_MM = 6;

const panelFields = {
  side: sideField('It lies at the', 'bottom'),
  share: length('How much of the item it takes', 50, 10, 500),
  cloth: material('Cloth', CLOTHS, ['woven', 'Ticket buff', '#d9bd8b']),
  under: choice('The cloth under it', { stays: 'Stays', cut: 'Is cut back to its seam' }, 'stays'),
  thread: thread('Seam thread', 'Cream', '#efe3c4')
} as const;

/** A panel sewn face down along a line and flipped over its seam: no edge is seen between the two. */
export const panel: BlockMaker<typeof panelFields> = {
  kind: 'panel',
  name: 'Panel, joined and flipped',
  summary: 'A second cloth sewn face down along a straight line and flipped open over it.',
  group: 'Cloth',
  fields: panelFields,
  lays: true,
  refuses: (standing) =>
    beforeClosing(standing) ??
    (standing.top
      ? null
      : {
          why: 'There is no cloth to sew it to.',
          repair: 'Put a front, or cloth in the hooping, before it.'
        }),
  make(site, { side, share, cloth, under, thread: colour }) {
    const { seam, area } = split(site.frame, side, share);
    const { top } = site.standing;
    const cut =
      under === 'cut' && top?.use === 'flipped'
        ? { pieceId: top.id, name: `${saidName(top)}, cut back`, keep: kept(site.frame, side, share) }
        : undefined;
    flipped(site, 'panel', site.label('Panel'), { side, seam, area, cloth, colour, marked: true, cut });
  }
};

const stripFields = {
  strips: count('Strips', 4, 2, 30),
  from: sideField('The first lies at the', 'top'),
  reach: length('How far the first reaches', 0, 0, 400, '0: as far as the others'),
  marked: choice('A line shows where they go', { no: 'No', yes: 'Yes' }, 'no'),
  first: material('First, third … cloth', CLOTHS, ['woven', 'Fern print', '#4d7148']),
  second: material('Second, fourth … cloth', CLOTHS, ['woven', 'Ticket buff', '#d9bd8b']),
  thread: thread('Seam thread', 'Cream', '#efe3c4')
} as const;

/** Strips sewn on one after another, each flipped over its seam. */
export const strips: BlockMaker<typeof stripFields> = {
  kind: 'strips',
  name: 'Strips, flipped one after another',
  summary:
    'Foundation piecing: the first strip lies open, each further one is sewn to it face down and flipped.',
  group: 'Cloth',
  fields: stripFields,
  refuses: (standing) =>
    beforeClosing(standing) ??
    (standing.top
      ? {
          why: `They would lie on ${standing.top.name}.`,
          repair: 'Take the front out, or move them before it.'
        }
      : null),
  make(site, { strips: many, from, reach, marked, first, second, thread: colour }) {
    const { frame } = site;
    const along = from === 'top' || from === 'bottom' ? frame.height : frame.width;
    const own = reach > 0 ? Math.min(reach, along - 10) : along / many;
    const endOf = (at: number): number => own + ((along - own) / (many - 1)) * at;
    const start = split(frame, from, own);
    const names = namesOf(site.label('Strip'), many, from);
    const shape = site.line('area-1', names[0] ?? '', start.area);
    const piece = site.piece('strip-1', names[0] ?? '', first, 'flipped', { covers: shape, shows: 'front' });
    const firstSeam = site.line('strip-2-seam', `${names[1] ?? ''} seam`, start.seam);
    if (marked === 'yes') {
      site.toMachine();
      site.stop(
        'placement',
        stopPart('Placement line', 'placement', /place|position|guide/, [frame.seamId, firstSeam], {
          threadOf: site.key('strip-2-sewn'),
          visible: 'hidden'
        })
      );
    }
    const laid = site.hand('lay-1', {
      do: 'lay',
      pieceId: piece,
      side: 'above',
      face: 'up',
      covers: shape,
      over: SEAM_MM,
      hold: { by: 'spray' }
    });
    site.s.must(laid);
    for (let at = 1; at < many; at++) {
      const { seam, area } = split(frame, OPPOSITE[from], along - endOf(at - 1));
      flipped(site, `strip-${at + 1}`, names[at] ?? '', {
        side: OPPOSITE[from],
        seam,
        area: at === many - 1 ? area : between(frame, from, endOf(at - 1), endOf(at)),
        cloth: at % 2 === 0 ? first : second,
        colour,
        marked: false,
        ...(at === 1 && { seamLine: firstSeam })
      });
    }
  }
};

/** Two are called by where they lie, more are numbered. */
function namesOf(label: string, many: number, from: Side): string[] {
  if (many !== 2) return Array.from({ length: many }, (_, at) => `${label} ${at + 1}`);
  return [from, OPPOSITE[from]].map((side) => `${PLACE[side]} ${label.toLowerCase()}`);
}
const PLACE = { top: 'Upper', bottom: 'Lower', left: 'Left', right: 'Right' } as const;

interface Flip {
  side: Side;
  seam: Path;
  area: Path;
  cloth: Parameters<Site['piece']>[2];
  colour: { name: string; colour: string };
  /** A line shows where its edge goes, before it is laid. */
  marked: boolean;
  /** The line of its seam, where it is there already. */
  seamLine?: string;
  /** A piece that is cut back to the seam before, and what of it is kept. */
  cut?: { pieceId: string; name: string; keep: Path } | undefined;
}

/** Lays a piece face down along a seam, sews it and flips it over to its side. */
function flipped(
  site: Site,
  part: string,
  label: string,
  { side, seam, area, cloth, colour, marked, seamLine: given, cut }: Flip
): void {
  const seamLine = given ?? site.line(`${part}-seam`, `${label} seam`, seam);
  const areaLine = site.line(`${part}-area`, label, area);
  const piece = site.piece(part, label, cloth, 'flipped', { covers: areaLine, shows: 'front' });
  site.toMachine();
  if (marked) {
    // In some files the line that holds the cloth under it down shows its place too.
    const before = site.s.sofar.expected.at(-1);
    site.stop(`${part}-line`, {
      ...stopPart(`${label} line`, 'placement', /accent|line|place|join|tack/, [seamLine], {
        threadOf: site.key(`${part}-sewn`),
        visible: 'hidden'
      }),
      alsoRoles: ['tack-down'],
      optional: true,
      ...(before?.role === 'topstitch' && { sharesRowOf: before.key })
    });
  }
  if (cut) {
    const keep = site.line(`${part}-keep`, cut.name, cut.keep);
    site.hand(`${part}-cut`, {
      do: 'trim',
      pieceIds: [cut.pieceId],
      lineId: keep,
      side: 'outside',
      margin: 0
    });
  }
  const body = { top: 'down', bottom: 'up', left: 'right', right: 'left' } as const;
  const laid = site.hand(`${part}-lay`, {
    do: 'lay',
    pieceId: piece,
    side: 'above',
    face: 'down',
    edge: { lineId: seamLine, body: body[side], allowance: SEAM_MM },
    hold: { by: 'tape', strips: 4 }
  });
  const sewn = site.stop(`${part}-sewn`, {
    ...stopPart(`${label} seam`, 'join-seam', /join|seam/, [seamLine], { visible: 'hidden' }),
    thread: colour
  });
  site.freeHolds();
  site.hand(`${part}-flip`, { do: 'flip', pieceId: piece, lineId: seamLine, covers: areaLine });
  site.s.must(laid, sewn);
}

/** A straight line across the item, so far from one side, and the part of it on that side. */
function split({ width, height }: Frame, side: Side, share: number): { seam: Path; area: Path } {
  const [w, h] = [width / 2, height / 2];
  const x = side === 'left' ? Math.min(w - 5, -w + share) : Math.max(-w + 5, w - share);
  const y = side === 'top' ? Math.min(h - 5, -h + share) : Math.max(-h + 5, h - share);
  switch (side) {
    case 'top':
      return { seam: segment(-w, y, w, y), area: box(-w, -h, w, y) };
    case 'bottom':
      return { seam: segment(-w, y, w, y), area: box(-w, y, w, h) };
    case 'left':
      return { seam: segment(x, -h, x, h), area: box(-w, -h, x, h) };
    case 'right':
      return { seam: segment(x, -h, x, h), area: box(x, -h, w, h) };
  }
}

/** What is kept of the cloth under a panel: as far as the seam and its allowance, beyond the item on the other sides. */
function kept({ width, height }: Frame, side: Side, share: number): Path {
  const [w, h] = [width / 2, height / 2];
  const [far, into] = [40, UNDER_MM];
  switch (side) {
    case 'top':
      return box(-w - far, -h + share - into, w + far, h + far);
    case 'bottom':
      return box(-w - far, -h - far, w + far, h - share + into);
    case 'left':
      return box(-w + share - into, -h - far, w + far, h + far);
    case 'right':
      return box(-w - far, -h - far, w - share + into, h + far);
  }
}

/** The part of the item between two distances from a side. */
function between({ width, height }: Frame, from: Side, near: number, far: number): Path {
  const [w, h] = [width / 2, height / 2];
  if (from === 'top') return box(-w, -h + near, w, -h + far);
  if (from === 'bottom') return box(-w, h - far, w, h - near);
  return from === 'left' ? box(-w + near, -h, -w + far, h) : box(w - far, -h, w - near, h);
}
