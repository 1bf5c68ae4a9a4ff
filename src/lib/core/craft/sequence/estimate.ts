import { type Path, pathArea, pathLength } from '$lib/core/base/geometry';
import type { Phase, Role } from '$lib/core/documents/item';
import { edgePhases, fillPhase, runningPhase, satinPhase, zigzagPhase } from './pattern';

/**
 * What a stop stitches along its lines where nobody has counted it.
 *
 * @param passes times along the lines, for running stitch
 * @param width of satin or zigzag, mm
 *
 * @example
 * estimateAlong([outline], 'tack-down', 2, undefined) // [{ stitches: 198, length: 2.5, attended: false }]
 */
export function estimateAlong(paths: Path[], role: Role, passes: number, width: number | undefined): Phase[] {
  const along = paths.reduce((sum, path) => sum + pathLength(path), 0);
  const area = paths.reduce((sum, path) => sum + pathArea(path), 0);
  if (role === 'bars') return [satinPhase(along, width ?? 4)];
  if (role === 'satin-edge' || role === 'applique-edge') return edgePhases(along, width ?? 4);
  if (width !== undefined) return [zigzagPhase(along, width)];
  if (role === 'decoration' || role === 'lettering' || role === 'lace') return [fillPhase(area)];
  return [runningPhase(along, passes)];
}
