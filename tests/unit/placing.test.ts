import { expect } from 'chai';
import fc from 'fast-check';
import {
  convexHull,
  extents,
  isConvex,
  noFit,
  placed,
  regionArea,
  segment,
  shapePath,
  shifted,
  simplified
} from '$lib/core/base/geometry';

describe('geometry: where things may lie', () => {
  it('turns quarter turns exactly, and mirrors first', () => {
    expect(placed(segment(0, 0, 10, 5), 90).points).to.deep.equal([
      [0, 0],
      [-5, 10]
    ]);
    expect(placed(segment(0, 0, 10, 5), 180, true).points).to.deep.equal([
      [0, 0],
      [10, -5]
    ]);
    expect(placed(segment(0, 0, 10, 0), 45).points[1]?.[0]).to.be.closeTo(Math.SQRT1_2 * 10, 1e-9);
  });

  it('hulls points, and refuses those on one line', () => {
    const hull = convexHull([
      [0, 0],
      [4, 0],
      [2, 1],
      [4, 3],
      [0, 3],
      [2, 2]
    ]);
    expect(hull.points).to.have.length(4);
    expect(isConvex(hull)).to.equal(true);
    expect(isConvex(shapePath('heart', 60, 60))).to.equal(false);
    expect(() => convexHull([[0, 0], [1, 1], [2, 2]])).to.throw('no outline'); // prettier-ignore
  });

  it('no-fit areas of two boxes add their sides, of circles their radii', () => {
    const square = shapePath('rectangle', 10, 10);
    expect(regionArea(noFit(square, shapePath('rectangle', 20, 6)))).to.be.closeTo(30 * 16, 1e-6);
    const round = simplified(shapePath('oval', 40, 40), 0.02);
    expect(regionArea(noFit(round, round))).to.be.closeTo(Math.PI * 40 * 40, 15);
    // An outline with hollows blocks no less than its hull does not.
    const heart = simplified(shapePath('heart', 40, 40), 0.4);
    const hull = convexHull(heart.points);
    expect(regionArea(noFit(heart, heart))).to.be.at.most(regionArea(noFit(hull, hull)) + 1e-6);
  });

  it('no-fit areas of outlines without hollows are the hull of all differences', () => {
    const corner = fc.tuple(fc.integer({ min: -40, max: 40 }), fc.integer({ min: -40, max: 40 }));
    const outline = fc.array(corner, { minLength: 5, maxLength: 14 }).filter((points) => {
      const [[x, y] = [0, 0], ...others] = points;
      return others.some(([bx, by]) =>
        others.some(([cx, cy]) => (bx - x) * (cy - y) !== (by - y) * (cx - x))
      );
    });
    fc.assert(
      fc.property(outline, outline, (first, second) => {
        const [a, b] = [convexHull(first), convexHull(second)];
        const all = a.points.flatMap(([ax, ay]) =>
          b.points.map(([bx, by]): [number, number] => [ax - bx, ay - by])
        );
        expect(noFit(a, b)).to.deep.equal([convexHull(all).points]);
      })
    );
  });

  it('a copy just outside its no-fit area does not touch', () => {
    fc.assert(
      fc.property(fc.integer({ min: 0, max: 359 }), (degrees) => {
        const angle = (degrees * Math.PI) / 180;
        const round = shapePath('oval', 30, 30);
        const at = shifted(round, 30.5 * Math.cos(angle), 30.5 * Math.sin(angle));
        const box = extents(at);
        expect(Math.hypot((box.minX + box.maxX) / 2, (box.minY + box.maxY) / 2)).to.be.greaterThan(30);
      }),
      { numRuns: 20 }
    );
  });
});
