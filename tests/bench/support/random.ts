/** A seeded generator of numbers from 0 to 1 (mulberry32), so that a benchmark is the same every time. */
export function seeded(seed: number): () => number {
  let state = seed >>> 0;
  return () => {
    state = (state + 0x6d2b79f5) >>> 0;
    let mixed = Math.imul(state ^ (state >>> 15), 1 | state);
    mixed = (mixed + Math.imul(mixed ^ (mixed >>> 7), 61 | mixed)) ^ mixed;
    return ((mixed ^ (mixed >>> 14)) >>> 0) / 4_294_967_296;
  };
}

/** One of several. */
export function pick<T>(random: () => number, from: readonly T[]): T {
  const found = from[Math.floor(random() * from.length)];
  if (found === undefined) throw new RangeError('Nothing to pick from.');
  return found;
}
