import { fusedBy, stepDoes } from '$lib/core/craft/operations';
import {
  difference,
  offsetPath,
  type Path,
  pathLength,
  type Region,
  regionArea,
  regionOf
} from '$lib/core/base/geometry';
import type { Pattern, Sequence } from '$lib/core/craft/sequence';
import { EMPTY_STACK, type Layer, type Seam, shareOn, type StackState } from '$lib/core/craft/stack';
import { isStabiliserKind, type MaterialKind, type Piece, type Role } from '$lib/core/documents/item';
import type { Frame } from './frame';
import { unedged } from './unedged';

/** Tape or pins on a piece. */
export interface Hold {
  piece: Piece;
  strips: number;
  pins: boolean;
  stitched: boolean;
}

/** What a block asks the simulated hoop: how far the work has come by then. */
export interface Standing {
  /** The hooping whose material is in the ring; null before the first and after the last. */
  hooping: string | null;
  /** Pieces the ring clamps, from below up. */
  ring: Piece[];
  /** The hoop is on the machine, its front up. */
  onMachine: boolean;
  /** The hoop is turned over. */
  turned: boolean;
  /** The piece that lies open to the needle; null where only stabiliser does, or a back covers all. */
  top: Piece | null;
  /** Batting or a second cloth lies under the one on top. */
  layered: boolean;
  /** Cloth that reaches past the seam and is not cut back to it yet, and what is tacked along the seam. */
  untrimmed: Piece[];
  tacked: string[];
  /** Toppings that lie on the work. */
  toppings: Piece[];
  /** What tape and pins hold, by piece, and whether stitches hold it by now. */
  holds: Hold[];
  /** Pieces laid under the hoop that no stitch has caught yet. */
  loose: Piece[];
  /** A basting box was stitched, which is picked out at the end. */
  basted: boolean;
  /** Pieces in the hoop that have a shape of their own, and its line, in the order they came. */
  shaped: { name: string; lineId: string }[];
  /** Names of appliqué pieces whose edge is still to come. */
  unedged: string[];
  /** Pieces with fusible web behind them that nothing has fused yet. */
  unfused: Piece[];
  /** The back that was laid face down on the front. */
  covered: Piece | null;
  /** The back under the hoop. */
  under: Piece | null;
  /** The seam that closed front and back, with its opening, mm, and whether all of it stays open for good. */
  closing: { lineId: string; opening: number; stays: boolean } | null;
  /** What goes round the work as its edge. */
  edged: boolean;
  zip: Piece | null;
  /** What stands up from the work, held in its middle only. */
  raised: Piece | null;
  /** What edge the whole item gets. */
  edge: Frame['edge'];
  /** A thing bought finished, which the item is stitched on. */
  readyMade: Piece | null;
  /** The ring was opened for the last time. */
  out: boolean;
  /** Pieces and lines that blocks before it made. */
  made: ReadonlySet<string>;
  /** Pieces each hooping has put into the sandwich, in the order of the hoopings. */
  hoopings: string[][];
  /** The layers themselves, from the bottom up, and the seams. */
  hoop: StackState;
}

/** Cloth may reach past the seam by so much without being cut back, mm. */
const PAST_MM = 1;
/** A sliver smaller than this is not cut back, mm². */
const SLIVER_MM2 = 20;
/** A seam that only crosses a folded or bound piece holds nothing of it; one along it for so long does, mm. */
const ALONG_MM = 30;

/** A hoop is asked many times between one step and the next. */
const known = new WeakMap<StackState, { standing: Standing; frame: Frame; things: number }>();

/** How far a pattern has come, as the simulated hoop has it. */
export function standingOf(s: Sequence, frame: Frame): Standing {
  const { simulated, sofar } = s;
  const things = sofar.pieces.length + sofar.lines.length;
  const before = known.get(simulated);
  if (before?.frame === frame && before.things === things && simulated !== EMPTY_STACK)
    return before.standing;
  const standing = asked(s, simulated, frame);
  known.set(simulated, { standing, frame, things });
  return standing;
}

/** What takes long to find in the layers is found when it is asked: they stay as they are. */
function asked(s: Sequence, hoop: StackState, frame: Frame): Standing {
  const { sofar } = s;
  const { layers } = hoop;
  // Work of an earlier hooping is put aside with its seams.
  const inHoop = new Set(layers.map(({ pieceId }) => pieceId));
  const seams = hoop.seams.filter((seam) => seam.layers.some((id) => inHoop.has(id)));
  const { where, turned } = hoop.hoop;
  const pieceOf = (layer: Layer | undefined): Piece | null =>
    sofar.pieces.find(({ id }) => id === layer?.pieceId) ?? null;
  const piecesOf = (some: Layer[]): Piece[] => some.flatMap((layer) => pieceOf(layer) ?? []);
  const inRing = where !== 'empty' && where !== 'unhooped';
  const outlines = [frame.outlineId, frame.seamId];
  const covers = layers.filter((layer) => isOf(layer, 'above', 'backing', pieceOf) && !lies(layer, 'up'));
  const front = layers.filter(
    (layer) => layer.where !== 'below' && (layer.face === 'up' || layer.where === 'hooped')
  );
  const closing = seams.findLast(({ role }) => role === 'closing-seam');
  const covered = pieceOf(covers.at(-1));
  return {
    hooping: inRing ? lastHooping(sofar) : null,
    ring: inRing ? piecesOf(layers.filter((layer) => layer.where === 'hooped')) : [],
    onMachine: where === 'on' || where === 'forward',
    turned,
    top: covered ? null : pieceOf(front.findLast((layer) => isCloth(layer) || isGround(pieceOf(layer)))),
    layered: layers.some((layer) => {
      const piece = pieceOf(layer);
      return (
        layer.where !== 'below' &&
        (piece?.use === 'batting' || piece?.use === 'flipped' || layer.material.kind === 'batting')
      );
    }),
    get untrimmed() {
      return piecesOf(layers.filter((layer) => reachesPast(layer, pieceOf(layer), frame)));
    },
    tacked: seams
      .filter(({ role, lineIds }) => role === 'tack-down' && lineIds.some((id) => outlines.includes(id)))
      .flatMap((seam) => seam.layers),
    toppings: piecesOf(layers.filter(isTopping)),
    get holds() {
      return layers.flatMap((layer) => {
        const piece = pieceOf(layer);
        if (!piece || (layer.strips === 0 && layer.pins === null)) return [];
        const stitched = seams.some((seam) => holdsDown(seam, layer, piece, outlines));
        return [{ piece, strips: layer.strips, pins: layer.pins !== null, stitched }];
      });
    },
    loose: piecesOf(
      layers.filter(
        (layer) => layer.where === 'below' && !seams.some((seam) => seam.layers.includes(layer.pieceId))
      )
    ),
    basted: seams.some(({ role }) => role === 'basting'),
    shaped: sofar.pieces.flatMap(({ id, name, covers }) =>
      covers !== null && inHoop.has(id) && !outlines.includes(covers) ? [{ name, lineId: covers }] : []
    ),
    unedged: unedged(s, frame).map(({ name }) => name),
    unfused: waitingForTheIron(sofar),
    covered,
    under: pieceOf(
      layers.find((layer) => isOf(layer, 'below', 'backing', pieceOf) && pieceOf(layer)?.shows !== 'lining')
    ),
    closing: closing && covered ? closed(closing, sofar) : null,
    edged: seams.some(
      ({ role, lineIds }) =>
        (role === 'closing-seam' && covers.length === 0) ||
        (role === 'satin-edge' && lineIds.some((id) => outlines.includes(id)))
    ),
    zip: pieceOf(layers.find((layer) => pieceOf(layer)?.use === 'zip-tape')),
    raised: piecesOf(layers).findLast(({ loose }) => loose) ?? null,
    edge: frame.edge,
    readyMade: piecesOf(layers).find((piece) => piece.readyMade) ?? null,
    out: where === 'unhooped',
    hoopings: piecesByHooping(sofar),
    made: new Set([...sofar.pieces, ...sofar.lines].map(({ id }) => id)),
    hoop
  };
}

/** Pieces with web behind them that no step has fused. */
function waitingForTheIron({ entries, pieces }: Readonly<Pattern>): Piece[] {
  const fused = new Set(entries.flatMap((entry) => (entry.kind === 'hand' ? (fusedBy(entry.op) ?? []) : [])));
  return pieces.filter(
    ({ id, backed }) => backed?.some(({ kind }) => kind === 'fusible') === true && !fused.has(id)
  );
}

function closed({ lineIds: [lineId = ''], opening }: Seam, { lines }: Readonly<Pattern>) {
  const gaps = lines.find(({ id }) => id === lineId)?.gaps ?? [];
  return { lineId, opening, stays: gaps.length > 0 && gaps.every(({ stays }) => stays === true) };
}

function lastHooping({ entries }: Readonly<Pattern>): string | null {
  const hooped = entries.findLast((entry) => stepDoes(entry, 'clamp') !== null);
  return hooped?.hoopingId ?? null;
}

function piecesByHooping({ entries, hoopings }: Readonly<Pattern>): string[][] {
  return hoopings.map(({ id, hooped }) => [
    ...hooped,
    ...entries.flatMap((entry) => (entry.hoopingId === id ? (stepDoes(entry, 'lay')?.pieceId ?? []) : []))
  ]);
}

/** Cloth that lies open or under other cloth, from the bottom up. */
export function cloths({ layers }: StackState): Layer[] {
  return layers.filter((layer) => layer.where !== 'below' && isCloth(layer));
}

const lies = (layer: Layer, face: Layer['face']): boolean => layer.face === face;

function isOf(
  layer: Layer,
  where: Layer['where'],
  use: Piece['use'],
  pieceOf: (layer: Layer) => Piece | null
): boolean {
  return layer.where === where && pieceOf(layer)?.use === use;
}

/** Kinds that lie in a sandwich and are no cloth of it. */
const NO_CLOTH: readonly MaterialKind[] = ['batting', 'fusible', 'zip', 'metal-zip'];

/** Cloth that is meant to be seen or stitched on, no stabiliser, batting or film. */
function isCloth({ material }: Layer): boolean {
  return !isStabiliserKind(material.kind) && !NO_CLOTH.includes(material.kind);
}

/** Stabiliser that is all there is to stitch on. */
const isGround = (piece: Piece | null): boolean => piece?.use === 'hooped' && piece.shows !== 'nothing';

function isTopping({ material, where }: Layer): boolean {
  return where === 'above' && material.kind === 'wash-away-film';
}

/** Whether cloth on the front lies beyond the seam, where an edge would stitch over it or leave it standing out. */
function reachesPast(layer: Layer, piece: Piece | null, { seam }: Frame): boolean {
  if (!piece || layer.where !== 'above' || isTopping(layer)) return false;
  if (piece.readyMade || piece.bound === true || piece.use === 'backing' || piece.use === 'zip-tape')
    return false;
  return liesPast(seam, layer.outline);
}

/** Regions are kept by the simulation as long as nothing cuts them, so each is compared with a seam once. */
const past = new WeakMap<Path, { within: Region; of: WeakMap<Region, boolean> }>();

function liesPast(seam: Path, outline: Region): boolean {
  let known = past.get(seam);
  if (!known) {
    known = { within: regionOf(offsetPath(seam, PAST_MM) ?? seam), of: new WeakMap() };
    past.set(seam, known);
  }
  let lies = known.of.get(outline);
  if (lies === undefined) {
    lies = regionArea(difference(outline, known.within)) > SLIVER_MM2;
    known.of.set(outline, lies);
  }
  return lies;
}

/** Roles of stops that only show where something goes. */
const SHOWS: readonly Role[] = ['placement', 'centre-mark', 'closure-mark'];

/** Whether a seam holds a piece, so that its tape or pins may come off: what an edge is to catch waits for that. */
function holdsDown(seam: Seam, layer: Layer, piece: Piece, outlines: readonly string[]): boolean {
  if (!seam.layers.includes(layer.pieceId) || SHOWS.includes(seam.role)) return false;
  const round =
    seam.role === 'closing-seam' ||
    seam.role === 'basting' ||
    seam.lineIds.some((id) => outlines.includes(id));
  if (round || !(piece.bound === true || piece.folded)) return true;
  return seam.paths.some((path) => shareOn(layer, path) * pathLength(path) >= ALONG_MM);
}
