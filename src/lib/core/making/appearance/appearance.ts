import {
  type Extents,
  extentsOfAll,
  type Path,
  type Region,
  regionExtents,
  simplified
} from '$lib/core/base/geometry';
import {
  type ClothPhoto,
  findLine,
  findPiece,
  findStop,
  isStabiliserKind,
  isTwoSided,
  type Item,
  type MaterialKind,
  type Role,
  stitchesOf
} from '$lib/core/documents/item';
import {
  type Layer,
  outside,
  type Seam,
  type Shown,
  type StackState,
  visibleThreads
} from '$lib/core/craft/stack';
import { artOn, type PlacedArt } from './art';
import { type Fitting, fittingsOn, markStitches, withFittings } from './hardware';

/** A part of one face of an item: one piece, as far as it is seen. */
export interface Patch {
  pieceId: string;
  name: string;
  kind: MaterialKind;
  colour: string;
  rightSide: boolean;
  /** Its wrong side shows where its right side is meant to be seen. */
  amiss?: true;
  /** A photo of its right side, true to size. */
  photo?: ClothPhoto;
  /** mm, as seen from above in stitching position. */
  region: Region;
  /** The middle of a zip’s teeth, along it; null for anything else. */
  teeth: { from: [number, number]; to: [number, number] } | null;
  /** Straight folds it was flipped at. */
  folds: { from: [number, number]; to: [number, number] }[];
}

/** How a thread lies: a line, an edge of satin, an area filled, a net that stands by itself. */
export type Weave = 'line' | 'satin' | 'filled' | 'net';

/** Visible thread of one stop. */
export interface Threadwork {
  stepId: string;
  /** Several where stops fill one area and nobody knows which thread lies where: the one that stitches most first. */
  colours: string[];
  weave: Weave;
  /** Width of the stitching, mm. */
  width: number;
  /** The piece it lies on, beyond which it is not seen; null where it goes over edges or stands free. */
  on: string | null;
  paths: Path[];
  /** The design’s own picture stands for it wherever that can be shown. */
  asArt?: true;
}

/** One face, from the outside; the back is drawn mirrored, as one sees it when the item is turned. */
export interface Side {
  side: 'front' | 'back' | 'inside';
  patches: Patch[];
  threads: Threadwork[];
  /** Designs’ own pictures, over the threads. */
  art: PlacedArt[];
  /** Hardware, over everything. */
  fittings: Fitting[];
}

/** What an item looks like, true to size. */
export interface Appearance {
  /** All faces together, mm. */
  box: Extents;
  sides: Side[];
  /** Picture of the finished item, which takes the place of a small drawn one. */
  photo?: string;
}

/** Corners of regions are drawn this exactly, mm: finer than a pixel on any card. */
const EXACT = 0.15;
/** Dots that a card is wide at most. */
const CARD = 400;
/** Widths of stitching, mm. */
const WIDTHS: Partial<Record<Role, number>> = { 'satin-edge': 4, 'applique-edge': 3, bars: 1.5, lace: 1.5 };
const LINE = 0.7;
const SATIN: ReadonlySet<Role> = new Set(['satin-edge', 'applique-edge']);
const AREAS: ReadonlySet<Role> = new Set(['decoration', 'lettering']);
const NETS: ReadonlySet<Role> = new Set(['lace', 'bars', 'lace-underlay']);
/** A spool that nobody has named yet. */
const UNSAID = '#f4efe4';
const EMPTY: Extents = { minX: -50, minY: -50, maxX: 50, maxY: 50, width: 100, height: 100 };

/**
 * What one sees of an item as the simulation leaves it: front, back and, where a zip opens it, inside, region by region, with
 * the threads that show there.
 *
 * @param state the hoop after any step; after the last one it is the finished item
 * @returns patches that do not overlap, and threads to draw over them; an empty hoop gives no patches
 *
 * @example
 * appearance(lastStateOfTheTab, tab).sides[0]?.patches.map(({ name }) => name) // ['FRONT']
 */
export function appearance(state: StackState, item: Item): Appearance {
  const seen = outside(state, item);
  const threads = threadwork(state, item);
  const side = (name: Side['side'], shown: readonly Shown[]): Side => {
    // Stabiliser counts while the work is in the hoop; what is left of it in the end nobody looks at.
    const cloth = shown.filter(
      ({ layer }) =>
        isInHoop(state) ||
        !isStabiliserKind(layer.material.kind) ||
        findPiece(item, layer.pieceId)?.shows === 'front'
    );
    const { art } = name === 'inside' ? { art: [] } : artOn(name, state, item);
    return {
      side: name,
      patches: cloth.map((each) => {
        const patch = patchOf(each);
        const amiss = !patch.rightSide && isMeant(item, patch.pieceId, name);
        return amiss ? { ...patch, amiss } : patch;
      }),
      threads: threads.flatMap(({ face, work }) => (face === name ? [work] : [])),
      art,
      fittings: []
    };
  };
  const sides = [side('front', seen.front), side('back', seen.back)];
  if (seen.lining.length > 0) sides.push(side('inside', seen.lining));
  const box =
    regionExtents(sides.flatMap(({ patches }) => patches.map(({ region }) => region))) ??
    extentsOfAll(sides.flatMap((own) => own.threads.flatMap(({ paths }) => paths))) ??
    EMPTY;
  const fitted = sides.map((own) => ({ ...own, fittings: fittingsOn(own.side, state, box) }));
  return {
    box: withFittings(
      box,
      fitted.flatMap(({ fittings }) => fittings)
    ),
    sides: fitted
  };
}

/**
 * A look small enough to keep: its front alone, with no more corners than a card can show.
 *
 * @example
 * sketchOf(look).sides.map(({ side }) => side) // ['front']
 */
export function sketchOf({ box, sides }: Appearance): Appearance {
  const exact = Math.max(EXACT, Math.max(box.width, box.height) / CARD);
  const tenth = (mm: number): number => Math.round(mm * 10) / 10;
  const fewer = (path: Path): Path => {
    const { closed, points } = simplified(path, exact);
    return { closed, points: points.map(([x, y]) => [tenth(x), tenth(y)]) };
  };
  return {
    box,
    sides: sides.slice(0, 1).map(({ side, patches, threads, art, fittings }) => ({
      side,
      art,
      fittings,
      patches: patches.map((patch) => ({
        ...patch,
        region: patch.region.map((points) => fewer({ closed: true, points }).points)
      })),
      threads: threads.map((thread) => ({ ...thread, paths: thread.paths.map(fewer) }))
    }))
  };
}

function isInHoop({ hoop }: StackState): boolean {
  return hoop.where !== 'unhooped' && hoop.where !== 'empty';
}

/** Whether a piece is meant to be seen on a face: cloth alone shows its wrong side behind as a matter of course. */
function isMeant(item: Item, pieceId: string, side: Side['side']): boolean {
  const piece = findPiece(item, pieceId);
  return piece?.seenLater !== true && piece?.shows === (side === 'inside' ? 'lining' : side);
}

function patchOf({ layer, rightSide, region }: Shown): Patch {
  return {
    pieceId: layer.pieceId,
    name: layer.name,
    kind: layer.material.kind,
    colour: layer.material.colour,
    // Adhesive has a side that sticks, and none that is meant to be seen.
    rightSide: rightSide || layer.material.kind === 'heat-adhesive' || isTwoSided(layer.material.kind),
    ...(layer.material.photo && rightSide && { photo: layer.material.photo }),
    region: region.map((points) => simplified({ closed: true, points }, EXACT).points),
    teeth: layer.zip === null ? null : teethOf(layer),
    folds: layer.folds.map(({ from, to }) => ({ from: [...from], to: [...to] }))
  };
}

/** Along the longer side of a zip, in its middle. */
function teethOf(layer: Layer): Patch['teeth'] {
  const box = regionExtents([layer.outline]);
  if (!box) return null;
  const [x, y] = [(box.minX + box.maxX) / 2, (box.minY + box.maxY) / 2];
  return box.width >= box.height
    ? { from: [box.minX, y], to: [box.maxX, y] }
    : { from: [x, box.minY], to: [x, box.maxY] };
}

/** Threads that show, each on the face where it does. */
function threadwork(state: StackState, item: Item): Faced[] {
  const colours = new Map(item.threads.map(({ id, colour }) => [id, colour]));
  const visible = new Map(visibleThreads(state).map((each) => [each.stepId, each]));
  const drawn = new Set(
    (['front', 'back'] as const).flatMap((side) => [...artOn(side, state, item).stepIds])
  );
  const works = state.seams.flatMap((seam) => {
    const { upper, bobbin } = visible.get(seam.stepId) ?? { upper: null, bobbin: null };
    const stitched = seam.role === 'closure-mark' ? markStitches(seam.paths) : seam.paths;
    const paths = stitched.filter(({ points }) => points.length > 1);
    if (paths.length === 0) return [];
    const work = (colour: string, on: string | null): Threadwork => ({
      stepId: seam.stepId,
      colours: [colour],
      weave: weaveOf(seam, item),
      width: WIDTHS[seam.role] ?? LINE,
      on: SATIN.has(seam.role) ? null : on,
      paths,
      ...(drawn.has(seam.stepId) && { asArt: true as const })
    });
    const onOf = (thread: Seam['upper']): string | null =>
      state.layers.some(({ pieceId }) => pieceId === thread?.pieceId) ? (thread?.pieceId ?? null) : null;
    const stop = findStop(item, seam.stopId ?? '');
    const stitches = stop ? stitchesOf(stop) : 0;
    const found: Faced[] = [];
    if (upper)
      found.push({
        face: upper,
        stitches,
        work: work(colours.get(seam.threadId) ?? UNSAID, onOf(seam.upper))
      });
    // From behind only an edge or a seam is looked at; the back of a fill lies inside most items.
    if (bobbin && bobbin !== upper)
      found.push({
        face: bobbin,
        stitches,
        work: work(colours.get(seam.bobbin ?? '') ?? UNSAID, onOf(seam.under))
      });
    return found;
  });
  return together(works);
}

/** Threads of one stop on a face, with the stitches they take. */
type Faced = { face: 'front' | 'back'; stitches: number; work: Threadwork };

/** Areas that several stops fill, as one with all their threads. */
function together(works: readonly Faced[]): Faced[] {
  const kept: Faced[] = [];
  for (const { face, stitches, work } of works) {
    const same =
      work.weave === 'filled'
        ? kept.find(
            (each) =>
              each.face === face &&
              each.work.weave === 'filled' &&
              each.work.asArt === work.asArt &&
              each.work.paths[0] === work.paths[0]
          )
        : undefined;
    if (!same) kept.push({ face, stitches, work });
    else if (stitches <= same.stitches)
      same.work.colours = [...new Set([...same.work.colours, ...work.colours])];
    else {
      same.work.colours = [...new Set([...work.colours, ...same.work.colours])];
      same.stitches = stitches;
    }
  }
  return kept;
}

function weaveOf({ role, lineIds, paths }: Seam, item: Item): Weave {
  if (SATIN.has(role)) return 'satin';
  if (NETS.has(role)) return 'net';
  const closed = paths.some((path) => path.closed) || lineIds.some((id) => findLine(item, id)?.path.closed);
  return AREAS.has(role) && closed ? 'filled' : 'line';
}
