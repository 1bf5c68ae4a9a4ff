import {
  contains,
  extents,
  offsetPath,
  type Path,
  regionOf,
  segment,
  shapePath
} from '$lib/core/base/geometry';
import {
  chooseSize,
  COMMAND,
  composeEdge,
  fillStitches,
  isStitchList,
  measure,
  packStitches,
  readStitchList,
  runStitches,
  satinStitches,
  sizesAround,
  type Stitches,
  stitchListCsv,
  unpackStitches
} from '$lib/core/stitching/stitches';
import { blanketStitches, zigzagStitches } from '$lib/core/stitching/stitches/column';
import { barStitches, laceGridStitches, stippleStitches } from '$lib/core/stitching/stitches/field';
import { expect } from 'chai';
import fc from 'fast-check';

/** Largest distance between two needle holes of one side of a column. */
function widestGap({ x, y }: Stitches): number {
  let widest = 0;
  for (let at = 2; at < x.length; at++)
    widest = Math.max(widest, Math.hypot((x[at] ?? 0) - (x[at - 2] ?? 0), (y[at] ?? 0) - (y[at - 2] ?? 0)));
  return widest;
}

/** A seeded generator (minimal standard of Park and Miller). */
function numbers(seed: number): () => number {
  let state = seed;
  return () => {
    state = (state * 16_807) % 2_147_483_647;
    return state / 2_147_483_647;
  };
}

describe('running stitch', () => {
  const line = segment(0, 0, 10, 0);
  it('divides a line evenly, goes there and back, or takes every stitch three times', () => {
    expect(measure(runStitches(line)).count).to.equal(4);
    expect(measure(runStitches(line, { kind: 'double' })).count).to.equal(8);
    expect(measure(runStitches(line, { kind: 'triple' })).count).to.equal(12);
    expect(measure(runStitches(line, { kind: 'triple' })).length).to.be.closeTo(30, 1e-4);
  });
  it('ends a stitch in every corner: 30 × 94 mm at 2.5 mm is 2 × (12 + 38) stitches', () => {
    const { count, length, jumps } = measure(runStitches(shapePath('rectangle', 30, 94)));
    expect([count, jumps]).to.deep.equal([100, 0]);
    expect(length).to.be.closeTo(248, 1e-3);
  });
  it('refuses a stitch without length', () =>
    expect(() => runStitches(line, { length: 0 })).to.throw(RangeError));
});

describe('a satin column', () => {
  it('round 100 × 60 mm with 10 mm corners counts as its outer edge and spacing say', () => {
    // Middle of the satin: 2 × (80 + 40) straight and four quarter circles of 10 mm; the outer ends go round at 12 mm.
    const perimeterOutside = 2 * (80 + 40) + 2 * Math.PI * 12;
    const around = offsetPath(shapePath('rectangle', 80, 40), 10);
    if (!around) throw new Error('no outline');
    const satin = satinStitches(around, { width: 4, spacing: 0.4, underlay: 'none' });
    expect(measure(satin).count).to.be.closeTo(perimeterOutside / 0.4, 2);
    expect(
      extents({ closed: true, points: Array.from(satin.x, (x, at) => [x, satin.y[at] ?? 0]) }).width
    ).to.be.closeTo(104, 0.01);
  });
  it('leaves no gap wider than its spacing on either side, at any corner', () => {
    fc.assert(
      fc.property(
        fc.array(fc.tuple(fc.integer({ min: -60, max: 60 }), fc.integer({ min: -60, max: 60 })), {
          minLength: 3,
          maxLength: 8
        }),
        fc.boolean(),
        (points, closed) => {
          const apart = points.filter(
            ([x, y], at) => at === 0 || x !== points[at - 1]?.[0] || y !== points[at - 1]?.[1]
          );
          fc.pre(
            apart.length >= 3 && (apart[0]?.[0] !== apart.at(-1)?.[0] || apart[0]?.[1] !== apart.at(-1)?.[1])
          );
          const satin = satinStitches(
            { closed, points: apart },
            { width: 4, spacing: 0.4, underlay: 'none' }
          );
          // Every second hole is on the same side.
          expect(widestGap(satin)).to.be.at.most(2 * 0.4 + 0.01);
        }
      ),
      { numRuns: 60 }
    );
  });
  it('lies on an underlay that is hidden under it', () => {
    const line = segment(0, 0, 100, 0);
    expect(measure(satinStitches(line, { width: 4, underlay: 'none' })).count).to.equal(250);
    // 40 running stitches there; the satin comes back: one stitch to its first hole, then 250.
    expect(measure(satinStitches(line, { width: 4 })).count).to.equal(40 + 1 + 250);
    const under = satinStitches(line, { width: 4, underlay: 'zigzag' });
    expect(Math.max(...under.y.slice(0, 40).map(Math.abs))).to.be.closeTo(1.2, 1e-5);
  });
  it('as a zigzag is open, as a blanket stitch bites to one side', () => {
    expect(measure(zigzagStitches(segment(0, 0, 15, 0), { width: 3 })).count).to.equal(10);
    const blanket = blanketStitches(segment(0, 0, 10, 0), { bite: 3, spacing: 2.5 });
    // Five bites there and back, and four steps along between them.
    expect(measure(blanket).count).to.equal(5 * 2 + 4);
    expect(Math.min(...blanket.y)).to.equal(-3);
    expect(Math.max(...blanket.y)).to.equal(0);
  });
});

describe('stitches in a field', () => {
  const oval = shapePath('oval', 100, 60);
  const points = ({ x, y }: Stitches): [number, number][] => Array.from(x, (each, at) => [each, y[at] ?? 0]);
  it('stippling stays inside and never crosses itself', () => {
    const stipple = stippleStitches(oval, numbers(7), { spacing: 6 });
    const all = points(stipple);
    const region = regionOf(oval);
    expect(all.every((point) => contains(region, point))).to.equal(true);
    const side = (a: [number, number], b: [number, number], c: [number, number]): number =>
      Math.sign((b[0] - a[0]) * (c[1] - a[1]) - (b[1] - a[1]) * (c[0] - a[0]));
    let crossings = 0;
    for (let i = 0; i + 1 < all.length; i++) {
      for (let j = i + 2; j + 1 < all.length; j++) {
        if (i === 0 && j === all.length - 2) continue;
        const [a, b, c, d] = [all[i]!, all[i + 1]!, all[j]!, all[j + 1]!];
        if (side(a, b, c) * side(a, b, d) < 0 && side(c, d, a) * side(c, d, b) < 0) crossings++;
      }
    }
    expect(crossings).to.equal(0);
    expect(measure(stipple).jumps).to.equal(0);
    expect(
      stippleStitches(oval, numbers(7), { spacing: 6 }),
      'the same seed, the same stitches'
    ).to.deep.equal(stipple);
  });
  it('a lace grid goes over every line there and back', () => {
    const grid = laceGridStitches(shapePath('rectangle', 40, 40), { spacing: 8 });
    const { length, jumps } = measure(grid);
    // Lines at 45° are 8 mm apart, so both ways together they are about 2 × 1,600 / 8 mm long, twice over.
    // twice over, and from each to the next along the edge 8 × √2 mm more, at a corner less: some 12 steps of 8 to 11 mm.
    expect(length).to.be.closeTo((2 * 2 * 1600) / 8 + 12 * 9, 100);
    // It runs on: the machine trims nowhere.
    expect(jumps).to.equal(0);
  });
  it('a fill has rows so far apart', () => {
    // 41 rows of 20 mm, seven stitches each, and a step of 0.5 mm between two.
    const fill = measure(fillStitches(shapePath('rectangle', 20, 20), { spacing: 0.5, length: 2.9 }));
    expect(fill.length).to.be.closeTo(41 * 20 + 40 * 0.5, 21);
    expect(fill.jumps).to.equal(0);
  });
  it('bars cross a window from edge to edge', () => {
    const window = shapePath('rectangle', 30, 20);
    const bars = barStitches(window, { count: 3, width: 2 });
    const box = extents({ closed: true, points: points(bars) });
    expect(box.width).to.be.closeTo(32, 0.01);
    expect(measure(bars).jumps).to.equal(2);
  });
  it('too fine for its size is refused rather than tried', () => {
    expect(() => stippleStitches(oval, numbers(1), { spacing: 0.05 })).to.throw(RangeError, 'too near');
    expect(() => laceGridStitches(oval, { spacing: 0 })).to.throw(RangeError);
  });
});

describe('a stitch list', () => {
  const CSV =
    'stop,x,y,command\r\n1,0,0,jump\r\n1,2.5,0,stitch\r\n1,5,-0.25,stitch\r\n2,10,10,trim\r\n2,12,10,stitch\r\n';
  it('is known by its heading, read and written', () => {
    expect([isStitchList(CSV), isStitchList('No;Name\n1;x')]).to.deep.equal([true, false]);
    const { stops, count, problems } = readStitchList(CSV);
    expect([count, problems, stops.map(({ stop }) => stop)]).to.deep.equal([5, [], [1, 2]]);
    expect(stitchListCsv(stops)).to.equal(CSV);
  });
  it('names the line and cell it cannot read, and keeps the rest', () => {
    const { problems, count } = readStitchList(
      'stop,x,y,command\n1,0,0,stitch\none,0,0,stitch\n1,far,0,stitch\n1,1,1,leap\n1,2000,0,stitch'
    );
    expect(count).to.equal(1);
    expect(problems.map(({ line, column }) => [line, column])).to.deep.equal([
      [3, 1],
      [4, 2],
      [5, 4],
      [6, 2]
    ]);
    expect(problems[2]?.message).to.equal('“leap” is no command: write stitch, jump, trim.');
    expect(readStitchList('1,0,0').problems[0]?.message).to.match(/begins with the heading/);
  });
  it('comes back from the item as it went in, to a hundredth of a millimetre', () => {
    const place = fc.integer({ min: -20_000, max: 20_000 }).map((hundredths) => hundredths / 100);
    fc.assert(
      fc.property(
        fc.array(fc.tuple(place, place, fc.constantFrom(0, 1, 2)), { minLength: 1, maxLength: 50 }),
        (list) => {
          const stitches: Stitches = {
            x: Float32Array.from(list, ([x]) => x),
            y: Float32Array.from(list, ([, y]) => y),
            command: Uint8Array.from(list, ([, , command]) => command)
          };
          expect(unpackStitches(packStitches(stitches, 'list'))).to.deep.equal(stitches);
          const again = readStitchList(stitchListCsv([{ stop: 1, stitches }])).stops[0]?.stitches;
          expect(again).to.deep.equal(stitches);
        }
      )
    );
  });
  it('is measured: stitches, jumps that leave a thread, trims, density', () => {
    const stitches: Stitches = {
      x: Float32Array.from([0, 4, 4, 10, 10]),
      y: Float32Array.from([0, 0, 3, 3, 5]),
      command: Uint8Array.from([COMMAND.stitch, COMMAND.stitch, COMMAND.stitch, COMMAND.jump, COMMAND.stitch])
    };
    const { count, length, jumps, density } = measure(stitches);
    expect([count, length, jumps]).to.deep.equal([3, 9, 1]);
    expect(density).to.equal(3 / 50);
  });
});

describe('an edge, composed', () => {
  const circle = shapePath('oval', 40, 40);
  it('follows from the cut shape by moving it in and out', () => {
    const edge = composeEdge({ rawEdge: circle, satinWidth: 4, overlap: 1.5, gap: 1, accuracy: 1 });
    const sizeOf = (path: Path | null): number => (path ? Math.round(extents(path).width * 100) / 100 : NaN);
    expect(edge.finished).to.deep.equal({ width: 45, height: 45 });
    expect([edge.satin, edge.inner, edge.outer, edge.design, edge.tackDown].map(sizeOf)).to.deep.equal([
      41, 37, 45, 34.99, 38.5
    ]);
    expect([edge.beyond, edge.spareInside, edge.spareBeyond]).to.deep.equal([2.5, 0.5, 1.5]);
    // Its outer ends go once round a circle of 45 mm.
    expect(edge.satinStitches).to.be.closeTo((Math.PI * 45) / 0.4, 3);
  });
  it('is refused where no shape is left, or the satin lies beside the edge', () => {
    expect(() => composeEdge({ rawEdge: circle, satinWidth: 50, overlap: 45, gap: 0, accuracy: 1 })).to.throw(
      RangeError,
      'too small'
    );
    expect(() => composeEdge({ rawEdge: circle, satinWidth: 4, overlap: 5, gap: 0, accuracy: 1 })).to.throw(
      RangeError,
      'inside'
    );
    expect(() =>
      composeEdge({ rawEdge: segment(0, 0, 1, 1), satinWidth: 4, overlap: 2, gap: 0, accuracy: 1 })
    ).to.throw(RangeError, 'closed');
  });
  it('takes the size in steps whose satin covers the raw edge best', () => {
    // Wanted 92.0; at 91.2 the satin lies 0.4 further in, at 92.7 0.35 further out.
    const { take, offered, why } = chooseSize(92, [91.2, 92.7], 4, 1);
    expect(offered.map(({ overlap, beyond, spare }) => [overlap, beyond, spare])).to.deep.equal([
      [2.4, 1.6, 0.6],
      [1.65, 2.35, 0.65]
    ]);
    expect(take?.size).to.equal(92.7);
    expect(why).to.match(/^Take 92.7 mm/);
    const none = chooseSize(92, [89, 95], 4, 1);
    // 1.5 mm off on each side: 0.5 mm inside, 0.5 mm short of what the cut strays; 1 mm more of satin does.
    expect([none.take, none.widthNeeded]).to.deep.equal([null, 5]);
    expect(none.why).to.match(/Take satin 5 mm wide, or another shape/);
    expect(sizesAround(92, 90, 1.5)).to.deep.equal([90, 91.5, 93, 94.5]);
  });
});
