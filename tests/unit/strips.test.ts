import { MM_PER_INCH } from '$lib/core/base/units';
import {
  type Cloth,
  cutsOf,
  frameOf,
  layOutPieces,
  remaindersOf,
  type StripLayout,
  usedHeight,
  type Wanted
} from '$lib/core/solvers/strips';
import { expect } from 'chai';
import fc from 'fast-check';

const inches = (value: number): number => value * MM_PER_INCH;
const cloth = (id: string, width: number, height: number | null, more: Partial<Cloth> = {}): Cloth => ({
  id,
  width,
  height,
  turn: true,
  first: 'across',
  bought: false,
  perMm: height === null ? 1 : 0,
  whole: 0,
  ...more
});
const want = (key: string, width: number, height: number, count: number, turn = true): Wanted => ({
  key,
  width,
  height,
  count,
  turn
});

/** Everything that makes a layout one that can be cut: each strip, column and piece from edge to edge. */
function expectCuttable(layout: StripLayout, wanted: readonly Wanted[], cloths: readonly Cloth[]): void {
  const placed = new Map<string, number>();
  for (const { clothId, along, strips } of layout.cloths) {
    const own = cloths.find(({ id }) => id === clothId);
    if (!own) throw new Error('A cloth nobody has.');
    const frame = frameOf(own, along);
    let y = 0;
    let area = 0;
    for (const strip of strips) {
      expect(strip.y, 'strips follow each other').to.be.closeTo(y, 0.01);
      y += strip.height;
      let x = 0;
      for (const column of strip.columns) {
        expect(column.x, 'columns follow each other').to.be.closeTo(x, 0.01);
        x += column.width;
        let down = 0;
        for (const piece of column.pieces) {
          expect(piece.x).to.equal(column.x);
          expect(piece.y, 'pieces follow each other').to.be.closeTo(down, 0.01);
          expect(piece.width, 'a piece is as wide as its column').to.be.closeTo(column.width, 0.01);
          down += piece.height;
          area += piece.width * piece.height;
          placed.set(piece.key, (placed.get(piece.key) ?? 0) + 1);
          const size = wanted.find(({ key }) => key === piece.key);
          const straight = along ? [size?.height, size?.width] : [size?.width, size?.height];
          const lies = [piece.width, piece.height];
          if (piece.turned) {
            expect(size?.turn && own.turn, 'turned only where it may be').to.equal(true);
            straight.reverse();
          }
          expect(lies[0]).to.be.closeTo(straight[0] ?? 0, 0.01);
          expect(lies[1]).to.be.closeTo(straight[1] ?? 0, 0.01);
        }
        expect(down, 'a column ends within its strip').to.be.at.most(strip.height + 0.01);
      }
      expect(x, 'a strip ends within the cloth').to.be.at.most(frame.width + 0.01);
    }
    if (frame.height !== null) expect(y, 'strips end within the cloth').to.be.at.most(frame.height + 0.01);
    const left = remaindersOf(strips, frame).reduce((sum, { width, height }) => sum + width * height, 0);
    const whole = frame.width * (frame.height ?? usedHeight(strips));
    // What is under half a millimetre wide is no remainder, so a sliver of area may be missing.
    expect(area + left, 'area is conserved').to.be.within(whole - whole * 0.01 - 2000, whole + 1);
  }
  for (const { key, count } of wanted)
    expect((placed.get(key) ?? 0) + (layout.unplaced.get(key) ?? 0), `every ${key} once`).to.equal(count);
}

describe('straight cuts', () => {
  it('put six 4 × 4, two 9 × 10 and four 3 × 9 in into one strip of 9 in', () => {
    // Turned, the two large ones take 10 in each across a strip 9 high: 20. The four narrow ones stand: 12.
    // Two small ones stand above each other in 8 of the 9 in, so six need three columns of 4: 12. 20 + 12 + 12 = 44.
    const wanted = [
      want('small', inches(4), inches(4), 6),
      want('large', inches(9), inches(10), 2),
      want('narrow', inches(3), inches(9), 4)
    ];
    const cloths = [cloth('cotton', inches(44), null)];
    const layout = layOutPieces(wanted, cloths);
    expectCuttable(layout, wanted, cloths);
    const strips = layout.cloths[0]?.strips ?? [];
    expect(strips).to.have.length(1);
    expect(strips[0]?.height).to.be.closeTo(inches(9), 0.001);
    // One cut frees the strip, eight part its nine columns, two in each of three columns free the small ones.
    expect(cutsOf(strips, { width: inches(44), height: null })).to.equal(1 + 8 + 6);
  });
  it('need a longer strip where nothing may be turned', () => {
    // Standing, the 9 × 10 need a strip of 10 in: 18 + 12 + 12 = 42 in of the 44 go into it.
    const wanted = [
      want('small', inches(4), inches(4), 6, false),
      want('large', inches(9), inches(10), 2, false),
      want('narrow', inches(3), inches(9), 4, false)
    ];
    const layout = layOutPieces(wanted, [cloth('cotton', inches(44), null)]);
    expect(layout.score.used).to.be.closeTo(inches(10), 0.001);
  });
  it('reach the optimum of a sheet cut up without waste', () => {
    // Three strips of a sheet 600 wide: 200 high in three, 150 in two, 100 in four columns, one of them halved.
    const wanted = [
      want('a', 200, 200, 3, false),
      want('b', 300, 150, 2, false),
      want('c', 150, 100, 3, false),
      want('d', 150, 50, 2, false)
    ];
    const cloths = [cloth('sheet', 600, null)];
    const layout = layOutPieces(wanted, cloths);
    expectCuttable(layout, wanted, cloths);
    expect(layout.score).to.include({ unplaced: 0, used: 450 });
  });
  it('use offcuts before anything is cut off a length, and buy last', () => {
    const wanted = [want('piece', 100, 100, 5)];
    const cloths = [
      cloth('offcut', 210, 110),
      cloth('length', 200, 100, { perMm: 1 }),
      cloth('shop', 100, null, { perMm: 1, bought: true })
    ];
    const layout = layOutPieces(wanted, cloths);
    const counts = layout.cloths.map(({ clothId, strips }) => [
      clothId,
      strips.flatMap(({ columns }) => columns.flatMap(({ pieces }) => pieces)).length
    ]);
    expect(counts).to.deep.equal([
      ['offcut', 2],
      ['length', 2],
      ['shop', 1]
    ]);
    expect(layout.score).to.include({ unplaced: 0, bought: 100, used: 100 });
  });
  it('run along an offcut where that is the only way', () => {
    // Across, strips 90 wide take one column of 80; along, a strip 80 high takes both 150 long ones.
    const wanted = [want('band', 80, 150, 2, false)];
    const cloths = [cloth('offcut', 90, 310, { first: 'either' })];
    const layout = layOutPieces(wanted, cloths);
    expectCuttable(layout, wanted, cloths);
    expect(layout.unplaced.size).to.equal(0);
  });
  it('leave a piece on the cloth it was put on, or without a place', () => {
    const wanted = [{ ...want('piece', 100, 100, 3), only: 'small' }];
    const layout = layOutPieces(wanted, [cloth('large', 1000, 1000), cloth('small', 200, 100)]);
    expect(layout.cloths.map(({ clothId }) => clothId)).to.deep.equal(['small']);
    expect(layout.unplaced.get('piece')).to.equal(1);
  });
  it('keep a nap that may not be turned', () => {
    const layout = layOutPieces([want('towel', 300, 100, 1)], [cloth('terry', 200, 500, { turn: false })]);
    expect(layout.unplaced.get('towel')).to.equal(1);
  });
  it('give the same layout for the same seed, and stop when told to', () => {
    const wanted = [want('a', 130, 70, 7), want('b', 55, 210, 4), want('c', 90, 90, 9)];
    const cloths = [cloth('cotton', 700, null)];
    expect(layOutPieces(wanted, cloths)).to.deep.equal(layOutPieces(wanted, cloths));
    let rounds = 0;
    layOutPieces(wanted, cloths, { stop: () => ++rounds === 3 });
    expect(rounds).to.equal(3);
  });
  it('are never worse for looking longer', () => {
    const wanted = [
      want('a', 130, 70, 7),
      want('b', 55, 210, 4),
      want('c', 90, 90, 9),
      want('d', 40, 330, 3)
    ];
    const cloths = [cloth('cotton', 700, null)];
    const scores: number[] = [];
    layOutPieces(wanted, cloths, { onBetter: ({ score }) => scores.push(score.used) });
    expect([...scores].sort((a, b) => b - a)).to.deep.equal(scores);
    const area = wanted.reduce((sum, { width, height, count }) => sum + width * height * count, 0);
    expect(scores.at(-1)).to.be.at.least(area / 700 - 0.001);
  });

  const sizes = fc.array(
    fc.record({
      width: fc.integer({ min: 10, max: 400 }).map((mm) => mm + 0.5),
      height: fc.integer({ min: 10, max: 400 }),
      count: fc.integer({ min: 1, max: 5 }),
      turn: fc.boolean()
    }),
    { minLength: 1, maxLength: 6 }
  );
  const stuff = fc.array(
    fc.record({
      width: fc.integer({ min: 50, max: 900 }),
      height: fc.option(fc.integer({ min: 50, max: 900 })),
      turn: fc.boolean(),
      first: fc.constantFrom('across' as const, 'either' as const)
    }),
    { minLength: 1, maxLength: 3 }
  );
  it('never overlap, go from edge to edge, place every piece once and lose no cloth', () => {
    fc.assert(
      fc.property(sizes, stuff, fc.integer({ min: 1, max: 1000 }), (pieces, pile, seed) => {
        const wanted = pieces.map((piece, at) => ({ key: `piece-${at}`, ...piece }));
        const cloths = pile.map((each, at) =>
          cloth(`cloth-${at}`, each.width, each.height, {
            turn: each.turn,
            first: each.height === null ? 'across' : each.first
          })
        );
        expectCuttable(layOutPieces(wanted, cloths, { seed, rounds: 8 }), wanted, cloths);
      }),
      { numRuns: 60 }
    );
  });
});
