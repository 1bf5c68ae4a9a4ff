import { jaggedness, offsetPath, type Path, type Point, shapePath } from '$lib/core/base/geometry';
import { InWords } from '$lib/core/base/problems';
import type { Item } from '$lib/core/documents/item';
import { review } from '$lib/core/making/checks';
import { expect } from 'chai';
import fc from 'fast-check';
import { badgerShop, badgerTab } from './support/badger';

const tab = badgerTab();
const drawnAs = (points: Point[], closed = true): Item => ({
  ...tab,
  lines: tab.lines.map((line, at) => (at === 0 ? { ...line, path: { closed, points } } : line))
});
const planned = (item: Item): number => review(item, undefined, badgerShop()).plan.steps.length;
const round = (count: number, radiusOf: (at: number) => number): Point[] =>
  Array.from({ length: count }, (_, at) => {
    const angle = (at / count) * 2 * Math.PI;
    return [radiusOf(at) * Math.cos(angle), radiusOf(at) * Math.sin(angle)];
  });
const star = (count: number): Point[] => round(count, (at) => (at % 2 === 0 ? 20 : 30));

describe('shapes nobody draws on purpose', () => {
  it('are planned where points lie on each other, on one line, or across', () => {
    const corners: Point[] = [
      [-20, -20],
      [20, -20],
      [20, 20],
      [-20, 20]
    ];
    const shapes: Point[][] = [
      Array.from({ length: 12 }, (): Point => [0, 0]),
      [corners[0] ?? [0, 0], corners[0] ?? [0, 0]],
      [...corners, ...corners],
      corners.flatMap((corner) => [corner, corner, corner]),
      [corners[0], corners[2], corners[1], corners[3]].flatMap((corner) => (corner ? [corner] : [])),
      [...corners.slice(0, 2), ...corners.slice(0, 2)]
    ];
    for (const points of shapes)
      for (const closed of [true, false]) expect(planned(drawnAs(points, closed))).to.be.above(20);
  });

  it('are moved outwards as if each point stood once', () => {
    const square = shapePath('rectangle', 40, 20);
    const doubled: Path = { ...square, points: square.points.flatMap((point) => [point, point]) };
    expect(offsetPath(doubled, 3)).to.deep.equal(offsetPath(square, 3));
    expect(
      offsetPath(
        {
          closed: true,
          points: [
            [1, 1],
            [1, 1],
            [1, 1]
          ]
        },
        3
      )
    ).to.equal(undefined);
  });

  it('are planned or refused in words, a star of any number of points', () => {
    // 60 sides of 10.3 mm are 619 mm, the box of 59.7 by 60 mm is 239 mm round: 2.59 times.
    expect(planned(drawnAs(star(60)))).to.be.above(20);
    expect(jaggedness({ closed: true, points: star(60) })).to.be.closeTo(2.59, 0.01);
    expect(planned(drawnAs(star(600)))).to.be.above(20);
    expect(() => planned(drawnAs(star(20_000)))).to.throw(InWords, /all spikes: 200 m long, 20,000 points/);
  });

  it('are followed as exactly as a needle can: ten thousand points round an oval', () => {
    const oval = review(drawnAs(round(10_000, () => 25)), undefined, badgerShop());
    expect(oval.plan.steps.length).to.equal(planned(drawnAs(round(200, () => 25))));
  });

  it('never end a plan with a fault of ours, whatever points are drawn', () => {
    const point = fc.tuple(fc.integer({ min: -30, max: 30 }), fc.integer({ min: -30, max: 30 }));
    fc.assert(
      fc.property(fc.array(point, { minLength: 2, maxLength: 12 }), fc.boolean(), (points, closed) => {
        expect(planned(drawnAs(points, closed))).to.be.above(20);
      }),
      { numRuns: 60 }
    );
  });
});
