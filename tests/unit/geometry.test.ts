import {
  extents,
  mirrored,
  offsetPath,
  type Path,
  pathArea,
  pathLength,
  shapePath,
  SHAPES
} from '$lib/core/base/geometry';
import { expect } from 'chai';
import fc from 'fast-check';

const moved = (path: Path, mm: number): Path => {
  const result = offsetPath(path, mm);
  if (!result) throw new Error('nothing is left');
  return result;
};

describe('geometry', () => {
  it('has the length and area of the shapes worked out by hand', () => {
    const rectangle = shapePath('rectangle', 30, 94);
    expect(pathLength(rectangle)).to.equal(248);
    expect(pathArea(rectangle)).to.equal(2820);
    // A tab: two straight sides of 64 mm and one whole turn of 30 mm diameter.
    const tab = shapePath('tab', 30, 94);
    expect(pathLength(tab)).to.be.closeTo(128 + 30 * Math.PI, 0.05);
    expect(pathArea(tab)).to.be.closeTo(64 * 30 + 225 * Math.PI, 1.5);
    // Corners of 60 / 5 = 12 mm: the straight sides are 76 and 36 mm.
    expect(pathLength(shapePath('rounded', 100, 60))).to.be.closeTo(2 * (76 + 36) + 24 * Math.PI, 0.05);
  });

  it('moves a circle of 40 mm outwards by 3 mm to an area of 1,661.9 mm²', () => {
    expect(pathArea(moved(shapePath('oval', 40, 40), 3))).to.be.closeTo(1661.9, 2);
  });

  it('moves a tab outwards by the same amount all round', () => {
    const cut = moved(shapePath('tab', 30, 94), 3);
    expect(extents(cut).width).to.be.closeTo(36, 0.02);
    expect(extents(cut).height).to.be.closeTo(100, 0.02);
    expect(pathLength(cut)).to.be.closeTo(128 + 36 * Math.PI, 0.1);
  });

  it('gives nothing when it is moved in further than it is wide', () => {
    expect(offsetPath(shapePath('oval', 20, 20), -11)).to.equal(undefined);
  });

  it('refuses a side that is not there', () => {
    expect(() => shapePath('oval', 0, 20)).to.throw(RangeError, 'above 0 mm');
    expect(() =>
      offsetPath(
        {
          closed: false,
          points: [
            [0, 0],
            [1, 1]
          ]
        },
        1
      )
    ).to.throw(RangeError, 'closed');
  });

  const anyShape = fc.tuple(
    fc.constantFrom(...SHAPES),
    fc.integer({ min: 10, max: 300 }),
    fc.integer({ min: 10, max: 300 })
  );
  it('fills its extents exactly, centred, whatever the shape', () => {
    fc.assert(
      fc.property(anyShape, ([shape, width, height]) => {
        const box = extents(shapePath(shape, width, height));
        expect(box.width).to.be.closeTo(width, 0.002);
        expect(box.height).to.be.closeTo(height, 0.002);
        expect(box.minX + box.maxX).to.be.closeTo(0, 0.002);
      })
    );
  });
  it('is itself again when it is mirrored twice, and keeps its area', () => {
    fc.assert(
      fc.property(anyShape, ([shape, width, height]) => {
        const path = shapePath(shape, width, height);
        expect(mirrored(mirrored(path))).to.deep.equal(path);
        expect(pathArea(mirrored(path))).to.be.closeTo(pathArea(path), 1e-6);
      })
    );
  });
});
