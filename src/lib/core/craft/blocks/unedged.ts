import type { Sequence } from '$lib/core/craft/sequence';
import type { Role } from '$lib/core/documents/item';
import type { Frame } from './frame';

/** Stops that cover the edge of a piece, or hold one that stays as it is. */
const EDGES: readonly Role[] = ['applique-edge', 'satin-edge', 'topstitch', 'lace'];

/**
 * Appliqué pieces whose edge is still to come: they were placed by a line and tacked out of sight, and nothing covers that line
 * yet.
 *
 * @example
 * unedged(s, frame) // [{ name: 'LEAF', lineId: 'leaf-shape' }]
 */
export function unedged(
  { sofar: { expected, pieces } }: Sequence,
  { seamId, outlineId }: Pick<Frame, 'seamId' | 'outlineId'>
): { name: string; lineId: string }[] {
  const on = (has: (stop: (typeof expected)[number]) => boolean): Set<string> =>
    new Set(expected.flatMap((stop) => (has(stop) ? stop.lineIds : [])));
  const placed = on(({ role }) => role === 'placement');
  const edged = on(
    ({ role, visible }) => EDGES.includes(role) || (role === 'tack-down' && visible === 'front')
  );
  return pieces.flatMap(({ name, use, covers }) =>
    use === 'applique' &&
    covers !== null &&
    covers !== seamId &&
    covers !== outlineId &&
    placed.has(covers) &&
    !edged.has(covers)
      ? [{ name, lineId: covers }]
      : []
  );
}
