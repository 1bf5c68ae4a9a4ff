import type { Item, Role } from '$lib/core/documents/item';
import { outside } from './outside';
import type { StackState } from './state';
import { visibleThreads } from './visible';

/** Thread alone, or thread over a hole: both its sides are seen. */
const OPEN_WORK: readonly Role[] = ['lace', 'lace-underlay', 'bars'];

/**
 * Steps whose bobbin must be wound with their own thread, since their back is seen in the end: lace, cutwork, and the
 * satin edge of an item with a back of its own. On felt many accept a white bobbin, so it asks for none.
 *
 * @param last the hoop after the last step
 */
export function matchingBobbins(item: Item, last: StackState): Set<string> {
  const shows = new Map(visibleThreads(last).map(({ stepId, bobbin }) => [stepId, bobbin !== null]));
  const cutwork = last.seams.some(({ role }) => role === 'bars');
  const backs = outside(last, item).back.some(
    ({ layer }) =>
      item.pieces.some(({ id, shows: side }) => id === layer.pieceId && side === 'back') &&
      layer.material.kind !== 'felt'
  );
  return new Set(
    last.seams.flatMap(({ stepId, role }) => {
      const open = OPEN_WORK.includes(role) || (role === 'satin-edge' && cutwork);
      return open || (role === 'satin-edge' && backs && shows.get(stepId) === true) ? [stepId] : [];
    })
  );
}
