export { seeded } from '$lib/core/base/units';

/** One of several. */
export function pick<T>(random: () => number, from: readonly T[]): T {
  const found = from[Math.floor(random() * from.length)];
  if (found === undefined) throw new RangeError('Nothing to pick from.');
  return found;
}
