import type { Operation } from '$lib/core/documents/item';
import { HoopState } from '$lib/core/documents/plan';

/**
 * The hoop after an operation. A stop needs it on the machine; it changes nothing.
 *
 * @example
 * hoopAfter({ where: 'on', turned: false }, { do: 'hoop-off' }) // { where: 'off', turned: false }
 */
export function hoopAfter(state: HoopState, op: Operation): HoopState {
  switch (op.do) {
    case 'hoop':
      return { where: 'off', turned: false };
    case 'hoop-on':
      return { ...state, where: 'on' };
    case 'hoop-off':
      return { ...state, where: 'off' };
    case 'frame-forward':
      return { ...state, where: 'forward' };
    case 'turn-over':
      return { where: 'off', turned: !state.turned };
    case 'unhoop':
      return { where: 'unhooped', turned: false };
    default:
      return state;
  }
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
