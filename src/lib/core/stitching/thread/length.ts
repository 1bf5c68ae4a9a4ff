import { type Phase, type Role, stitchesOf, stitchKind, type Stop } from '$lib/core/documents/item';

/** Thread taken up by each stitch beyond its length, mm. */
export const TAKE_UP_MM = 2.5;

/** Mean stitch length where only counts are known, mm; a satin’s is its width. */
export const MEAN_LENGTH_MM = { running: 2.5, fill: 2.9, satin: 4 } as const;

/** Bobbin thread for each metre of upper thread. */
const BOBBIN_SHARE = { running: 0.8, fill: 0.4, satin: 0.4 } as const;

/** A length of thread and where the figure comes from. */
export interface ThreadLength {
  metres: number;
  source: 'chart' | 'geometry' | 'role-average' | 'none';
}

/**
 * Mean length of a phase’s stitches, mm: what is known of it, else its role’s average.
 *
 * @example
 * meanStitchLength({ stitches: 120, attended: false }, 'placement') // 2.5
 */
export function meanStitchLength(phase: Phase, role: Role): number {
  const kind = stitchKind(role);
  return phase.length ?? (kind === 'satin' ? (phase.width ?? MEAN_LENGTH_MM.satin) : MEAN_LENGTH_MM[kind]);
}

/** What is known of a stop’s thread beside the stop itself. */
export interface ThreadKnown {
  /** What the chart’s lengths mean: thread used, or the bare path of the needle. */
  meaning?: 'used' | 'path' | undefined;
  /** Whether the stitch lengths were measured on geometry. */
  measured?: boolean | undefined;
}

/**
 * Upper thread of a stop, metres: the charted length, else stitches × (mean stitch length + 2.5 mm). A chart that states
 * the bare path leaves out the take-up of every stitch, which is added.
 *
 * @example
 * upperThread(stop) // { metres: 0.6, source: 'role-average' } for 120 running stitches
 */
export function upperThread(
  stop: Stop,
  { meaning = 'used', measured = false }: ThreadKnown = {}
): ThreadLength {
  // A chisel carries no thread.
  if (stop.role === 'needle-cut') return { metres: 0, source: 'none' };
  const charted = stop.chart?.threadMetres;
  const stitches = stitchesOf(stop);
  if (charted !== null && charted !== undefined && stop.countSource === 'chart') {
    const takeUp = meaning === 'path' ? (stitches * TAKE_UP_MM) / 1000 : 0;
    return { metres: charted + takeUp, source: 'chart' };
  }
  if (stitches === 0) return { metres: 0, source: 'none' };
  const mm = stop.phases.reduce(
    (sum, phase) => sum + phase.stitches * (meanStitchLength(phase, stop.role) + TAKE_UP_MM),
    0
  );
  return { metres: mm / 1000, source: measured ? 'geometry' : 'role-average' };
}

/** Bobbin thread of a stop, metres: two fifths of the upper thread in satin and fill, four fifths in running. */
export function bobbinThread(stop: Stop, known: ThreadKnown = {}): number {
  return upperThread(stop, known).metres * BOBBIN_SHARE[stitchKind(stop.role)];
}
