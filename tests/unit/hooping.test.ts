import { expect } from 'chai';
import fc from 'fast-check';
import { extents, type Shape, shapePath } from '$lib/core/base/geometry';
import { TURNS } from '$lib/core/documents/order';
import {
  borderPlacements,
  borderRepeats,
  cornerHoopings,
  outlineAt,
  reachedArea,
  traceHoop
} from '$lib/core/ordering/copies';
import { type CopyOutline, layOutCopies, layOutMixed } from '$lib/core/solvers/nesting';

const outline = (shape: Shape, width: number, height: number, reach = 0): CopyOutline => ({
  path: shapePath(shape, width, height),
  width,
  height,
  middle: { x: 0, y: 0 },
  reach
});
const field = (width: number, height: number): ReturnType<typeof reachedArea> =>
  reachedArea({ name: 'a hoop', field: { width, height } }, {}, []);
const all = (gap: number, most = 99): Parameters<typeof layOutCopies>[2] => ({ gap, most, turns: TURNS });

describe('hooping: copies in a field', () => {
  it('holds what one counts by hand, boxes upright or turned', () => {
    // 60 and a gap of 20 in 130 × 180: one across (60 + 20 + 60 > 130), two down.
    expect(layOutCopies(outline('rectangle', 60, 60), field(130, 180), all(20)).placements).to.have.length(2);
    // 55 × 55 in 200 × 300: (200 + 20) / 75 = 2, (300 + 20) / 75 = 4.
    expect(layOutCopies(outline('rectangle', 55, 55), field(200, 300), all(20)).placements).to.have.length(8);
    // Tabs of 30 × 94 in 200 × 300: upright 5 across and 3 down; lying (200 + 8) / 102 = 2 across, (300 + 8) / 38 = 8 down.
    const tabs = layOutCopies(outline('rectangle', 30, 94), field(200, 300), all(8));
    expect(tabs.placements).to.have.length(16);
    expect(tabs.pitch).to.deep.equal({ x: 102, y: 38 });
    // 94 × 30 in 100 × 300: only one across; turned, 2 across and 3 down are 6; lying, 8.
    expect(layOutCopies(outline('rectangle', 94, 30), field(100, 300), all(8)).placements).to.have.length(8);
  });

  it('fills the strip that is left with copies turned by 90 degrees', () => {
    // 60 × 90 in 150 × 160, gap 0: two upright side by side, and below them 70 mm hold one lying.
    const found = layOutCopies(outline('rectangle', 60, 90), field(150, 160), all(0));
    expect(found.placements).to.have.length(3);
    expect(new Set(found.placements.map(({ turn }) => turn)).size).to.equal(2);
    expect(found.pitch).to.equal(null);
  });

  it('nests rounds where rows of boxes hold fewer', () => {
    // Circles of 50 touching in 104 × 142: rows hold 2 × 2; three rows set off by half a pitch are 50 + 2 × 43.3 = 136.6.
    const found = layOutCopies(outline('oval', 50, 50), field(130, 138), all(0));
    expect(found.inRows).to.equal(4);
    expect(found.how).to.equal('nested');
    expect(found.placements.length).to.be.greaterThan(4);
  });

  it('lays hearts with every other one upside down, none on another', () => {
    const heart = outline('heart', 70, 66);
    const area = field(200, 300);
    const found = layOutCopies(heart, area, all(6));
    expect(found.placements.length).to.be.at.least(found.inRows);
    expect(traceHoop([heart], found.placements, area, 5.9, 'mm')).to.deep.equal([]);
  });

  it('says when nothing fits, and stops at what is wanted', () => {
    expect(layOutCopies(outline('rectangle', 110, 60), field(100, 100), all(10)).placements).to.deep.equal(
      []
    );
    const three = layOutCopies(outline('rectangle', 20, 20), field(100, 100), all(10, 3)).placements;
    expect(three).to.have.length(3);
    expect(three.reduce((sum, { x }) => sum + x, 0)).to.be.closeTo(0, 1e-9);
  });

  it('never lays copies on each other or outside, whatever the shape, gap and field', () => {
    fc.assert(
      fc.property(
        fc.constantFrom<Shape[]>('rectangle', 'tab', 'oval', 'heart', 'shield', 'bib'),
        fc.integer({ min: 25, max: 90 }),
        fc.integer({ min: 25, max: 90 }),
        fc.integer({ min: 0, max: 20 }),
        fc.constantFrom([100, 100], [130, 180], [200, 300]),
        (shape, width, height, gap, [w = 0, h = 0]) => {
          const piece = outline(shape, width, height);
          const area = field(w, h);
          const { placements } = layOutCopies(piece, area, { ...all(gap), most: 12 });
          const findings = traceHoop([piece], placements, area, gap, 'mm');
          expect(findings).to.deep.equal([]);
        }
      ),
      { numRuns: 30 }
    );
  });

  it('lays different items in one hoop, or says that they do not fit', () => {
    const parts = [
      { outline: outline('rectangle', 80, 40), count: 1 },
      { outline: outline('rectangle', 30, 40), count: 2 }
    ];
    const found = layOutMixed(parts, field(100, 100), 10, TURNS);
    expect(found?.map(({ part }) => part).sort()).to.deep.equal([0, 1, 1]);
    expect(
      traceHoop(
        parts.map((part) => part.outline),
        found ?? [],
        field(100, 100),
        9.9,
        'mm'
      )
    ).to.deep.equal([]);
    expect(
      layOutMixed([{ outline: outline('rectangle', 80, 60), count: 2 }], field(100, 100), 10, TURNS)
    ).to.equal(null);
  });
});

describe('hooping: what the needle reaches', () => {
  it('keeps off the ring, and loses what an outer needle does not reach', () => {
    const hoop = { name: 'Small hoop', field: { width: 100, height: 100 }, safe: 2 };
    expect(reachedArea(hoop, {}, [])).to.deep.equal({ minX: -48, minY: -48, maxX: 48, maxY: 48 });
    const unreached = [
      { left: 12, right: 0 },
      { left: 0, right: 0 },
      { left: 0, right: 9 }
    ];
    expect(reachedArea(hoop, { unreached }, [2])).to.include({ minX: -48, maxX: 48 });
    expect(reachedArea(hoop, { unreached }, [1, 2])).to.include({ minX: -38, maxX: 48 });
    expect(reachedArea(hoop, { unreached }, [])).to.include({ minX: -38, maxX: 41 });
    expect(() => reachedArea({ ...hoop, safe: 60 }, {}, [])).to.throw('Nothing of the field of Small hoop');
  });

  it('warns in a trace: outside, on each other, too close, pieces under stitches', () => {
    const at = (
      x: number,
      turn: 0 | 90 = 0
    ): { part: 0; x: number; y: number; turn: 0 | 90; mirrored: boolean } => ({
      part: 0,
      x,
      y: 0,
      turn,
      mirrored: false
    });
    const ids = (piece: CopyOutline, places: ReturnType<typeof at>[], gap: number): string[] =>
      traceHoop([piece], places, field(100, 100), gap, 'mm').map(({ id }) => id);
    const narrow = outline('rectangle', 20, 40);
    expect(ids(narrow, [at(0)], 10)).to.deep.equal([]);
    expect(ids(narrow, [at(41)], 10)).to.deep.equal(['outside']);
    expect(ids(narrow, [at(0), at(15)], 10)).to.deep.equal(['overlap']);
    expect(ids(narrow, [at(0), at(25)], 10)).to.deep.equal(['too-close']);
    expect(ids(narrow, [at(0), at(31)], 10)).to.deep.equal([]);
    expect(ids({ ...narrow, reach: 12 }, [at(0), at(31)], 10)).to.deep.equal(['under-stitches']);
    // Turned by 90 degrees it is 40 wide.
    expect(ids(narrow, [at(-20, 90), at(18)], 10)).to.deep.equal(['too-close']);
    expect(extents(outlineAt(narrow, at(5, 90)))).to.include({ minX: -15, maxX: 25 });
  });
});

describe('hooping: borders, corners', () => {
  it('lets a border come out even on every side of a hem', () => {
    const plan = borderRepeats(1600, 78, field(130, 180), 4);
    // 400 / 78 = 5.13, so five to a side, 80 mm apart; 180 mm hold (180 - 78) / 80 + 1 = 2; three hoopings a side.
    expect(plan).to.deep.equal({ repeats: 20, pitch: 80, stretch: 2, perHooping: 2, hoopings: 12 });
    expect(borderPlacements(2, 80, field(130, 180)).map(({ y, turn }) => [y, turn])).to.deep.equal([
      [-40, 90],
      [40, 90]
    ]);
    expect(borderRepeats(300, 190, field(130, 180))).to.equal(null);
  });

  it('turns each corner of a cloth a quarter further, as many in a hooping as there are places', () => {
    const places = layOutCopies(outline('rectangle', 60, 60), field(130, 180), all(20)).placements;
    expect(cornerHoopings(4, places).map((each) => each.map(({ turn }) => turn))).to.deep.equal([
      [0, 90],
      [180, 270]
    ]);
    expect(cornerHoopings(4, places.slice(0, 1))).to.have.length(4);
  });
});
