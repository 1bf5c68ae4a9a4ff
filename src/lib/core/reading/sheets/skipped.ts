import type { SheetStop } from './action';

/** Stops with those in between that no sentence runs by itself: the file has them all the same. */
export function withSkipped(stops: readonly SheetStop[]): SheetStop[] {
  return stops.flatMap((stop, at) => {
    const before = stops[at - 1]?.n ?? 0;
    const skipped = Array.from({ length: Math.max(0, stop.n - before - 1) }, (_, nth) => ({
      ...stop,
      n: before + 1 + nth,
      text: ''
    }));
    return [...skipped, stop];
  });
}
