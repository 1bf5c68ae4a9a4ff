import type { Operation } from '$lib/core/documents/item';
import type { HoopState } from '$lib/core/documents/plan';
import { isKindOf, traitsOf } from './table';

/**
 * The hoop after an operation. A stop needs it on the machine; it changes nothing.
 *
 * @example
 * hoopAfter({ where: 'on', turned: false }, { do: 'hoop-off' }) // { where: 'off', turned: false }
 */
export function hoopAfter(state: HoopState, op: Operation): HoopState {
  const { hoop } = traitsOf(op.do);
  return hoop === 'stays' ? state : hoop(state);
}

/**
 * Which way an operation moves the hoop: onto the machine, off it, or over on its other side.
 *
 * @example
 * hoopMove({ do: 'hoop-off' }) // 'off'
 */
export function hoopMove(op: Operation | null | undefined): 'on' | 'off' | 'over' | null {
  if (!op || !isKindOf(op, ({ order, stack }) => order === 'move' && stack === null)) return null;
  const { where, turned } = hoopAfter({ where: 'off', turned: false }, op);
  if (turned) return 'over';
  return where === 'on' || where === 'off' ? where : null;
}

/**
 * The state in words, as the run screen calls it out.
 *
 * @example
 * hoopWords({ where: 'off', turned: true }) // 'Hoop off, turned over'
 */
export function hoopWords({ where, turned }: HoopState): string {
  const words = {
    empty: 'Nothing hooped yet',
    off: 'Hoop off',
    on: 'Hoop on the machine',
    forward: 'Frame forward',
    unhooped: 'Out of the hoop'
  }[where];
  return turned ? `${words}, turned over` : words;
}
