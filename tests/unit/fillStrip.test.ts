import { seeded } from '$lib/core/base/units';
import type { Cloth, Wanted } from '$lib/core/solvers/strips';
import { type Lying, type Size, stacksFor, stripHeights, waysToLie } from '$lib/core/solvers/strips/columns';
import { bestRow, heightOf, stripArea, takenBy } from '$lib/core/solvers/strips/fillStrip';
import { cellFor, cellsOf, sizeInCells } from '$lib/core/solvers/strips/grid';
import { expect } from 'chai';
import fc from 'fast-check';

const size = (width: number, height: number, turn = true): Size => ({
  width,
  height,
  trueWidth: width * 1000,
  trueHeight: height * 1000,
  turn
});
const never = (): number => 0.99;
const room = { width: 12, height: 20, swapped: false };

describe('filling a strip', () => {
  it('takes the columns worth most that fit beside each other', () => {
    const stacks = [7, 6, 4].map((width) => ({ width, pieces: [] as Lying[], value: width }));
    expect(bestRow(stacks, 10).map(({ width }) => width)).to.have.members([6, 4]);
    expect(bestRow(stacks, 17).map(({ width }) => width)).to.deep.equal([7, 6, 4]);
    expect(bestRow(stacks, 3)).to.deep.equal([]);
  });
  it('is as good as trying every set of columns', () => {
    const columns = fc.array(
      fc.record({ width: fc.integer({ min: 1, max: 9 }), value: fc.integer({ min: 1, max: 30 }) }),
      { minLength: 1, maxLength: 9 }
    );
    fc.assert(
      fc.property(columns, fc.integer({ min: 1, max: 25 }), (list, width) => {
        let best = 0;
        for (let set = 0; set < 1 << list.length; set++) {
          const chosen = list.filter((_, at) => (set >> at) & 1);
          if (chosen.reduce((sum, each) => sum + each.width, 0) <= width)
            best = Math.max(
              best,
              chosen.reduce((sum, each) => sum + each.value, 0)
            );
        }
        const row = bestRow(
          list.map((each) => ({ ...each, pieces: [] as Lying[] })),
          width
        );
        expect(row.reduce((sum, each) => sum + each.width, 0)).to.be.at.most(width);
        expect(row.reduce((sum, each) => sum + each.value, 0)).to.equal(best);
      })
    );
  });
  it('puts pieces of one width above each other, the most valuable stack first', () => {
    // Heights 7, 5 and 4 in a strip of 9: 5 + 4 fill it, then 7 is left alone.
    const sizes = [size(3, 7, false), size(3, 5, false), size(3, 4, false)];
    const left = [1, 1, 1];
    const ways = waysToLie(sizes, left, room);
    const stacks = stacksFor(ways, 9, 12, left, [21, 15, 12], never);
    expect(stacks.map(({ pieces }) => pieces.map(({ height }) => height))).to.deep.equal([[4, 5], [7]]);
    expect(stacks.map(({ value }) => value)).to.deep.equal([27, 21]);
    const row = { height: heightOf(stacks), stacks };
    expect(row.height).to.equal(9);
    expect(stripArea(row)).to.equal(48);
    expect([...takenBy(row)].sort()).to.deep.equal([
      [0, 1],
      [1, 1],
      [2, 1]
    ]);
  });
  it('lays a size the way that fills the strip, and never the way it may not lie', () => {
    const widths = (turn: boolean, height: number): number[] => {
      const ways = waysToLie([size(2, 6, turn)], [9], room);
      return stacksFor(ways, height, 12, [9], [12], never).map(({ width }) => width);
    };
    // Standing, 2 wide and 6 high, it fills a strip of 6; lying, 6 wide, three fill it as well: the higher way is taken.
    expect(new Set(widths(true, 6))).to.deep.equal(new Set([2]));
    // In a strip of 4 it goes in lying only, and not at all where it may not be turned.
    expect(new Set(widths(true, 4))).to.deep.equal(new Set([6]));
    expect(widths(false, 4)).to.deep.equal([]);
  });
  it('knows a piece cut along the cloth as turned when it lies across', () => {
    const [only, ...more] = waysToLie([size(2, 6, false)], [1], { width: 12, height: 20, swapped: true });
    expect(more).to.deep.equal([]);
    expect(only).to.include({ width: 6, height: 2, turned: false });
  });
  it('tries every height of a piece, and sums of them', () => {
    const ways = waysToLie([size(3, 7, false), size(4, 5, false)], [2, 2], room);
    const heights = new Set(stripHeights(ways, 20, seeded(3)));
    expect([...heights]).to.include.members([7, 5]);
    for (const height of heights) expect([5, 7, 10, 12, 14, 15, 17, 19]).to.include(height);
  });
});

describe('the grid of a layout', () => {
  const wanted = (width: number, height: number): Wanted => ({
    key: 'a',
    width,
    height,
    count: 1,
    turn: true
  });
  const cloth = (width: number): Cloth => ({
    id: 'c',
    width,
    height: null,
    turn: true,
    first: 'across',
    bought: false,
    perMm: 1,
    whole: 0
  });
  it('counts in the greatest length all sides share', () => {
    expect(cellFor([wanted(101.6, 228.6)], [cloth(1117.6)])).to.equal(25400);
    expect(cellFor([wanted(55, 120), wanted(70, 135)], [cloth(1100)])).to.equal(5000);
  });
  it('rounds sizes up and cloth down where they share none', () => {
    const cell = cellFor([wanted(55.013, 120.031)], [cloth(1100)]);
    expect(cell).to.equal(Math.ceil(1_100_000 / 2400));
    const { width } = sizeInCells(wanted(55.013, 120.031), cell);
    expect(width * cell).to.be.at.least(55_013);
    expect(cellsOf(1100, cell) * cell).to.be.at.most(1_100_000);
  });
});
