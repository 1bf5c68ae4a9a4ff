import { extents, type Path, pathLength } from '$lib/core/base/geometry';
import { seeded } from '$lib/core/base/units';
import { findLine, type Item, type Phase, type Role, stitchKind, type Stop } from '$lib/core/documents/item';
import {
  blanketStitches,
  SATIN_SPACING_MM,
  satinStitches,
  ZIGZAG_SPACING_MM,
  zigzagStitches
} from './column';
import { barStitches, laceGridStitches, stippleStitches } from './field';
import type { StopStitches } from './list';
import { runStitches } from './run';
import { COMMAND, joined, measure, type Measure, pathsOf, type Stitches, StitchWriter } from './stitches';

/** Stitches of a stop and where they come from: a list or drawing brought in, or the lines of the item. */
export interface StopGeometry {
  stitches: Stitches;
  source: 'list' | 'drawing' | 'lines';
  measure: Measure;
}

/** Places are stored in hundredths of a millimetre. */
const UNIT = 100;

/** Stitches as a stop keeps them: whole numbers, hundredths of a millimetre. */
export function packStitches(
  { x, y, command }: Stitches,
  from: 'list' | 'drawing'
): NonNullable<Stop['stitched']> {
  const jumps: number[] = [];
  const trims: number[] = [];
  command.forEach((each, at) => {
    if (each === COMMAND.jump) jumps.push(at);
    else if (each === COMMAND.trim) trims.push(at);
  });
  return {
    from,
    x: Array.from(x, (value) => Math.round(value * UNIT) + 0),
    y: Array.from(y, (value) => Math.round(value * UNIT) + 0),
    jumps,
    trims
  };
}

/** What `packStitches` has packed, as typed arrays again. */
export function unpackStitches({ x, y, jumps, trims }: NonNullable<Stop['stitched']>): Stitches {
  const command = new Uint8Array(x.length);
  for (const at of jumps) command[at] = COMMAND.jump;
  for (const at of trims) command[at] = COMMAND.trim;
  return {
    x: Float32Array.from(x, (value) => value / UNIT),
    y: Float32Array.from(y, (value) => value / UNIT),
    command
  };
}

const unpacked = new WeakMap<object, StopGeometry>();
const generated = new WeakMap<Path, Map<string, Stitches>>();

/**
 * The stitches of a stop where its geometry is known: brought in with a list or drawing, or laid along its lines as its
 * role and phases say. Decoration, lettering and lace have lines that only bound them, so nothing is laid there.
 *
 * @returns null where only counts are known
 */
export function geometryOf(stop: Stop, item: Item): StopGeometry | null {
  if (stop.stitched) {
    const known = unpacked.get(stop.stitched);
    if (known) return known;
    const stitches = unpackStitches(stop.stitched);
    const made: StopGeometry = { stitches, source: stop.stitched.from, measure: measure(stitches) };
    unpacked.set(stop.stitched, made);
    return made;
  }
  const parts = partsOf(stop, item);
  if (!parts) return null;
  const all = parts.flat();
  const stitches = all.length === 1 && all[0] ? all[0] : joinedOnce(all);
  return { stitches, source: 'lines', measure: measuredOnce(stitches) };
}

/** Spacing of stippling and of a lace grid, and of bars over a window, mm. */
const STIPPLE_MM = 6;
const GRID_MM = 4;
const BARS_MM = 10;
/** Distance between two bites of a blanket stitch, mm. */
const BLANKET_MM = 2.5;

/** Roles whose line bounds what they stitch, and what they lay inside it where no chart says. */
const INSIDE: Partial<Record<Role, (field: Path) => Stitches>> = {
  quilting: (field) => {
    const { width, height } = extents(field);
    return Math.min(width, height) < 4 * STIPPLE_MM
      ? runStitches(field)
      : stippleStitches(field, seeded(Math.round(width * 100 + height)), { spacing: STIPPLE_MM });
  },
  'lace-underlay': (field) => laceGridStitches(field, { spacing: GRID_MM }),
  bars: (field) => barStitches(field, { count: Math.max(2, Math.round(extents(field).height / BARS_MM)) })
};

/** The stitches of each phase of a stop along each of its lines, or null where its lines only bound it. */
function partsOf(stop: Stop, item: Item): Stitches[][] | null {
  if (stitchKind(stop.role) === 'fill') return null;
  const inside = INSIDE[stop.role];
  if (inside) {
    // A count from a chart says how much is stitched there, not how.
    const fields = stop.lineIds
      .flatMap((id) => findLine(item, id)?.path ?? [])
      .filter(({ closed }) => closed);
    if (stop.countSource !== 'estimate' || fields.length === 0 || stop.phases.length > 1) return null;
    return [fields.map((field) => once(field, stop.role, () => inside(field)))];
  }
  const paths = stop.lineIds.flatMap((id) => findLine(item, id)?.path ?? []);
  if (paths.length === 0 || stop.countSource === 'none') return null;
  const around = paths.reduce((sum, path) => sum + pathLength(path), 0);
  return stop.phases.map((phase) => paths.map((path) => laid(path, phase, stop, around)));
}

/**
 * The item with what its geometry tells: each phase of a stop whose stitches are known takes their mean length, and
 * their count where nobody has charted one. Times and threads computed from it then rest on the geometry.
 *
 * @returns the item, and the geometry it rests on by stop
 */
export function withGeometry(item: Item): { item: Item; geometry: Map<string, StopGeometry> } {
  const geometry = new Map<string, StopGeometry>();
  const files = item.files.map((file) => ({
    ...file,
    stops: file.stops.map((stop) => {
      const own = geometryOf(stop, item);
      if (!own) return stop;
      geometry.set(stop.id, own);
      return measuredStop(stop, item, own);
    })
  }));
  return { item: { ...item, files }, geometry };
}

function measuredStop(stop: Stop, item: Item, geometry: StopGeometry): Stop {
  if (stop.stitched) {
    const [phase] = stop.phases;
    if (!phase || stop.phases.length > 1) return stop;
    const { count, meanLength } = geometry.measure;
    const keeps = stop.countSource === 'chart' || stop.countSource === 'maker';
    return {
      ...stop,
      countSource: keeps ? stop.countSource : 'geometry',
      phases: [{ ...phase, stitches: keeps ? phase.stitches : count, ...lengthOf(meanLength) }]
    };
  }
  const parts = partsOf(stop, item);
  if (!parts) return stop;
  // How dense a bought edge is, no line tells: its guess stays a guess.
  const guessed = stop.countSource === 'estimate' && !isGuessedEdge(stop);
  const phases = stop.phases.map((phase, at): Phase => {
    const measures = (parts[at] ?? []).map(measuredOnce);
    const count = measures.reduce((sum, each) => sum + each.count, 0);
    const length = measures.reduce((sum, each) => sum + each.length, 0);
    if (count === 0) return phase;
    return { ...phase, stitches: guessed ? count : phase.stitches, ...lengthOf(length / count) };
  });
  return { ...stop, phases, countSource: guessed ? 'geometry' : stop.countSource };
}

/** Roles whose count depends on whose file it is. */
const EDGE_ROLES: readonly Role[] = ['satin-edge', 'applique-edge'];

/** An edge of which no line tells how dense it is; a blanket stitch has its own spacing. */
function isGuessedEdge({ role, phases }: Stop): boolean {
  return EDGE_ROLES.includes(role) && phases.every(({ stitch }) => stitch !== 'blanket');
}

/** A mean stitch length as a phase takes it. */
function lengthOf(mm: number): { length?: number } {
  return mm > 0 ? { length: Math.min(30, Math.max(0.1, mm)) } : {};
}

function measuredOnce(stitches: Stitches): Measure {
  const known = measured.get(stitches) ?? measure(stitches);
  measured.set(stitches, known);
  return known;
}

const measured = new WeakMap<Stitches, Measure>();
const joints = new WeakMap<Stitches, { parts: readonly Stitches[]; whole: Stitches }>();

/** Parts joined; the same parts give the same whole. */
function joinedOnce(parts: readonly Stitches[]): Stitches {
  const [first] = parts;
  if (!first) return new StitchWriter().done();
  const known = joints.get(first);
  if (known && known.parts.length === parts.length && known.parts.every((part, at) => part === parts[at]))
    return known.whole;
  const whole = joined(parts);
  joints.set(first, { parts, whole });
  return whole;
}

/** One phase of a stop along one of its lines; a count that is known sets how near the stitches lie. */
function laid(path: Path, phase: Phase, stop: Stop, around: number): Stitches {
  const free = stop.countSource === 'estimate' && !isGuessedEdge(stop);
  const known = free || phase.stitches === 0 ? null : phase.stitches;
  const width = phase.width ?? (stitchKind(stop.role) === 'satin' ? 4 : undefined);
  if (width !== undefined && phase.stitch === 'blanket') {
    // A bite there and back, and a step along, for every spacing.
    const spacing = known === null ? BLANKET_MM : Math.max(0.5, (3 * around) / known);
    return once(path, `blanket ${width} ${spacing.toFixed(3)}`, () =>
      blanketStitches(path, { bite: width, spacing })
    );
  }
  if (width !== undefined) {
    const open = phase.cap !== undefined || stitchKind(stop.role) !== 'satin';
    const spacing =
      known === null ? (open ? ZIGZAG_SPACING_MM : SATIN_SPACING_MM) : Math.max(0.15, around / known);
    const key = `${open ? 'zigzag' : 'satin'} ${width} ${spacing.toFixed(3)}`;
    return once(path, key, () =>
      open
        ? zigzagStitches(path, { width, spacing })
        : satinStitches(path, { width, spacing, underlay: 'none' })
    );
  }
  const usual = phase.length ?? 2.5;
  const wanted = known ?? phase.stitches;
  // So many stitches of the usual length go round so many times.
  const passes = Math.min(3, Math.max(1, Math.round((wanted * usual) / Math.max(1, around))));
  const length = known === null ? usual : Math.min(12, Math.max(0.5, (around * passes) / known));
  const kind = passes === 1 ? 'single' : passes === 2 ? 'double' : 'triple';
  return once(path, `run ${length.toFixed(3)} ${kind}`, () => runStitches(path, { length, kind }));
}

function once(path: Path, key: string, make: () => Stitches): Stitches {
  let byKey = generated.get(path);
  if (!byKey) generated.set(path, (byKey = new Map()));
  let stitches = byKey.get(key);
  if (!stitches) byKey.set(key, (stitches = make()));
  return stitches;
}

const sketches = new WeakMap<object, Path[]>();
/** Points of brought-in stitches that are compared with cloth. */
const SKETCH_POINTS = 600;

/** The paths of a stop that is known stitch by stitch, thinned, to see what lies under them; the same each time. */
export function sketchOf(stop: Stop): Path[] {
  if (!stop.stitched) return [];
  const known = sketches.get(stop.stitched) ?? pathsOf(unpackStitches(stop.stitched), SKETCH_POINTS);
  sketches.set(stop.stitched, known);
  return known;
}

/**
 * The stitch list of an item: every stop of its files whose stitches are known, by the machine’s number.
 *
 * @param item the item as one variant has it
 */
export function stitchListOf(item: Item): StopStitches[] {
  return item.files
    .flatMap(({ stops }) => stops)
    .flatMap((stop) => {
      const geometry = geometryOf(stop, item);
      return stop.number !== null && geometry ? [{ stop: stop.number, stitches: geometry.stitches }] : [];
    });
}
