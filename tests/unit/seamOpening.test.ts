import { pathArea, pathLength, type Point, segment, SHAPES, shapePath } from '$lib/core/base/geometry';
import { seamOpening, type Side } from '$lib/core/craft/sequence';
import { expect } from 'chai';
import fc from 'fast-check';
import { makeItem } from './support/badger';

/** The point so far along a closed path, walked side by side. */
function at({ points }: { points: Point[] }, along: number): Point {
  let left = along;
  for (let corner = 0; ; corner = (corner + 1) % points.length) {
    const [a, b] = [points[corner], points[(corner + 1) % points.length]];
    if (!a || !b) throw new Error('no path');
    const length = Math.hypot(b[0] - a[0], b[1] - a[1]);
    if (left <= length)
      return [a[0] + ((b[0] - a[0]) * left) / length, a[1] + ((b[1] - a[1]) * left) / length];
    left -= length;
  }
}
const ends = (
  outline: Parameters<typeof shapePath>[0],
  opening: number,
  asked?: Parameters<typeof seamOpening>[2]
): [Point, Point] => {
  const { path, gaps } = seamOpening(shapePath(outline, 160, 200), opening, asked);
  return [at(path, gaps[0]?.from ?? 0), at(path, gaps[0]?.to ?? 0)].map(([x, y]): Point => [
    Math.round(x),
    Math.round(y)
  ]) as [Point, Point];
};

describe('an opening to turn through', () => {
  it('lies in the middle of the straight side nearest the maker', () => {
    // 160 wide: 40 mm to either side of the middle, on the lower side, 100 mm down.
    expect(ends('rectangle', 80)).to.deep.equal([
      [40, 100],
      [-40, 100]
    ]);
    // The corners of the rounded one take 32 mm each: 96 mm are straight, 80 and twice 10 mm clear are too much, so a long side.
    const [from, to] = ends('rounded', 80);
    expect([Math.abs(from[0]), Math.abs(to[0])]).to.deep.equal([80, 80]);
    expect(Math.abs(from[1] - to[1])).to.equal(80);
  });
  it('goes down no neck of a bib, round no corner, and not over the join of two fronts', () => {
    const bib = makeItem('turned-flat', { shape: 'bib', width: 220, height: 260, school: 'pieced' });
    const seam = bib.lines.find(({ id }) => id === 'closing');
    const join = bib.lines.find(({ id }) => id === 'join');
    if (!seam || !join) throw new Error('no seam');
    const [gap] = seam.gaps;
    if (!gap) throw new Error('no opening');
    const along = Array.from({ length: 9 }, (_, step) =>
      at(seam.path, gap.from + ((gap.to - gap.from) * step) / 8)
    );
    // Straight: every point of it on the line between its ends, within half a millimetre.
    const [[ax, ay], [bx, by]] = [along[0] as Point, along[8] as Point];
    for (const [x, y] of along)
      expect(
        Math.abs((bx - ax) * (y - ay) - (by - ay) * (x - ax)) / Math.hypot(bx - ax, by - ay)
      ).to.be.below(0.5);
    const joinAt = join.path.points[0]?.[1] ?? 0;
    expect(along.every(([, y]) => Math.abs(y - joinAt) > 5)).to.equal(true);
    expect(Math.min(...along.map(([, y]) => y))).to.be.greaterThan(-130 + 40);
  });
  it('has its middle where it was asked, on any outline, and is as long as asked', () => {
    fc.assert(
      fc.property(
        fc.constantFrom(...SHAPES),
        fc.constantFrom<Side>('top', 'bottom', 'left', 'right'),
        fc.integer({ min: 20, max: 120 }),
        (shape, side, opening) => {
          const outline = shapePath(shape, 160, 200);
          const { path, gaps } = seamOpening(outline, opening, { side });
          const [gap] = gaps;
          if (!gap) throw new Error('no opening');
          expect(gap.to - gap.from).to.be.closeTo(opening, 1e-6);
          expect(gap.from).to.be.at.least(0);
          expect(gap.to).to.be.at.most(pathLength(path) + 1e-6);
          // It is the same seam, wherever its path begins.
          expect(pathLength(path)).to.be.closeTo(pathLength(outline), 1e-6);
          expect(pathArea(path)).to.be.closeTo(pathArea(outline), 1e-4);
          const asked = { top: [0, -100], bottom: [0, 100], left: [-80, 0], right: [80, 0] }[side] as Point;
          const away = (along: number): number => {
            const [x, y] = at(path, along);
            return Math.hypot(x - asked[0], y - asked[1]);
          };
          const nearest = Math.min(
            ...Array.from({ length: Math.floor(pathLength(path)) }, (_, mm) => away(mm))
          );
          expect(away((gap.from + gap.to) / 2)).to.be.at.most(nearest + 0.6);
        }
      )
    );
  });
  it('keeps clear of what crosses the seam, where there is room', () => {
    const crossing = segment(-80, 0, 80, 0).points;
    const [from, to] = ends('rounded', 80, { avoid: crossing });
    // Both long sides are crossed in their middle: what is left of them is too short beside the corners.
    const inside = (y: number): boolean => Math.min(from[1], to[1]) < y && y < Math.max(from[1], to[1]);
    expect(inside(0) && Math.abs(from[0]) === 80).to.equal(false);
  });
});
