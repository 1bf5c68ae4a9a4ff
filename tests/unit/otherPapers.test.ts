import { readChart } from '$lib/core/reading/papers';
import { expect } from 'chai';
import { isTrueRow, readShared, sharedTruths } from '../bench/support/sharedPapers';
import { stopsOf } from './support/papers';

describe('papers that the reader’s author did not write', () => {
  for (const [file, truth] of sharedTruths()) {
    const wanted = (truth.rows ?? []).filter(({ garbled }) => garbled !== true);
    it(`${file}: ${wanted.length === 0 ? 'no row is made up' : `${wanted.length} rows`}`, async () => {
      const { rows, problems } = await readShared(file);
      expect(rows, 'nothing else is read').to.have.length(wanted.length);
      for (const row of wanted)
        expect(
          rows.some((found) => isTrueRow(found, row)),
          JSON.stringify(row)
        ).to.equal(true);
      // What cannot be opened is told by the page; what was opened must say that something is wrong.
      if (truth.problemsMin > 0 && wanted.length > 0)
        expect(problems.length).to.be.at.least(truth.problemsMin);
    });
  }
});

describe('papers that are no chart', () => {
  const PAPERS: [what: string, text: string][] = [
    [
      'a bill',
      'Pos  Article      Art. no   Qty   Price    Amount\n1    Felt, grey   F-118     4     2.50     10.00\n2    Thread, black   T-900     12    3.10     37.20\n3    Zip, red   Z-020     6     1.20     7.20\n\nTotal    54.40'
    ],
    [
      'a list of parts',
      'No,Part,Colour,Count\n1,Wheel,black,24\n2,Axle,silver,12\n3,Roof,red,6\n4,Chimney,black,6\n5,Buffer,grey,24'
    ],
    [
      'knitting',
      'Cast on 48 sts in grey.\nRow 1: K2, P2 to end (48 sts)\nRow 2: P2, K2 to end (48 sts)\nRow 3: change to red, K all (48 sts)\nRow 4: P all (48 sts)\nRow 5: K2tog, K to end (47 sts)\nCast off.'
    ],
    [
      'a timetable',
      'Station        Train 12   Train 14\nFerndale       9:04       10:34\nGreen Halt     9:12       10:42\nWhite Bridge   9:20       10:50'
    ],
    [
      'a recipe',
      'Ginger cake\n1. 250 g flour\n2. 120 g brown sugar\n3. 2 tsp ginger\n4. 150 g golden syrup\n5. 200 ml white milk'
    ],
    [
      'takings',
      'Day,Item,Colour,Sold,Takings\n1,Badger tab,grey,14,63.00\n2,Badger tab,black,22,99.00\n3,Signal patch,red,31,155.00\n4,Lamp fob,amber,17,68.00'
    ],
    [
      'stock',
      'Code   Colour         Spools  Metres\nK-118  Slate Grey     3       5000\nK-900  Boiler Black   7       5000\nK-031  Carriage Cream 2       1000\nK-418  Moss           4       5000'
    ],
    [
      'pieces to cut',
      'Cutting for the station quilt\nA  Grey cotton   12 pieces  130 x 130 mm\nB  White cotton  24 pieces  65 x 130 mm\nC  Red cotton     8 pieces  40 x 500 mm\nD  Black binding  4 pieces  60 x 1100 mm'
    ]
  ];
  for (const [what, text] of PAPERS)
    it(`${what} gives no rows`, () => {
      const { rows, problems } = readChart(text);
      expect(rows).to.deep.equal([]);
      expect(problems.length, 'its lines come back').to.be.greaterThan(0);
    });
});

describe('charts as houses set them', () => {
  it('in another language, with parts of the item between the rows', () => {
    const rows = stopsOf(
      'FRONT\n 1  Platzierung        Grau       S61     118    0,62 m\n 2  Heftlinie          Grau       S61     126    0,66 m\n 3  Kessel             Schwarz    S90   4.310   23,40 m\nBACK\n 4  Schlussnaht        Grau       S61     402    2,10 m\n\n                       Summe            4.956'
    );
    expect(rows).to.have.length(4);
    expect(rows[2]).to.deep.equal([3, 'Kessel', 'Schwarz S90', 4310, 23.4]);
  });
  it('with rows under their colours', () => {
    expect(
      stopsOf(
        'Slate Grey K-118\n  1  Placement line, batting    212 st   1.06 m\n  2  Tack-down, batting         228 st   1.21 m\nBoiler Black K-900\n  3  Lamp body                3,120 st  17.04 m\n  4  Lamp cap                   812 st   4.40 m'
      ).map((row) => (row as unknown[])[2])
    ).to.deep.equal(['Slate Grey K-118', 'Slate Grey K-118', 'Boiler Black K-900', 'Boiler Black K-900']);
  });
  it('in a list of dashes, colour first', () => {
    expect(
      stopsOf(
        '- Slate Grey (W-14): placement line, 146 stitches, 0.75 m\n- Slate Grey (W-14): tack-down, 158 stitches, 0.84 m\n- Brass (W-31): guard’s whistle, 1,842 stitches, 9.61 m\n- Oxide Red (W-08): lanyard cord, 964 stitches, 5.40 m'
      )[2]
    ).to.deep.equal([3, 'guard’s whistle', 'Brass W-31', 1842, 9.61]);
  });
  it('in whole sentences', () => {
    expect(
      stopsOf(
        'Stop 1 is the placement line in grey, 120 stitches and 0.60 m of thread. Stop 2 is the tack-down in black, 134 stitches, 0.68 m. Stop 3 is the board in signal red, 2310 stitches, 12.4 m. Stop 4, the lettering in white, has 846 stitches, 5.1 m.'
      )
    ).to.deep.equal([
      [1, 'placement line', 'grey', 120, 0.6],
      [2, 'tack-down', 'black', 134, 0.68],
      [3, 'board', 'signal red', 2310, 12.4],
      [4, 'lettering', 'white', 846, 5.1]
    ]);
  });
});
