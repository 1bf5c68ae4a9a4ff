import { align } from '$lib/core/reading/matching';
import { readChart } from '$lib/core/reading/papers';
import { expect } from 'chai';
import { patternOf } from './support/badger';

/** Charts of the gift stall in layouts of their own; each row is told as number, name, colour, stitches, metres, role. */
type Row = [
  number: number | null,
  name: string,
  colour: string,
  stitches: number,
  metres: number | null,
  role: string
];

const CHARTS: { what: string; text: string; rows: Row[]; onTo?: [kind: string, keys: string[]] }[] = [
  {
    what: 'a lamp patch from a spreadsheet, no heading',
    text: [
      '1\tlamp body\tslate\t3150\t17.0 m',
      '2\tglow\tlamp yellow\t2240\t12.1 m',
      '3\tborder satin\tbrass\t2610\t16.9 m'
    ].join('\n'),
    rows: [
      [1, 'lamp body', 'slate', 3150, 17, 'decoration'],
      [2, 'glow', 'lamp yellow', 2240, 12.1, 'decoration'],
      [3, 'border satin', 'brass', 2610, 16.9, 'satin-edge']
    ],
    onTo: ['patch', ['colours', 'colours', 'border']]
  },
  {
    what: 'numbered sentences with the colour in front of the name',
    text: `1)  grey    placement line   140 sts   0.7 m
2)  red     signal arm       980 sts   5.3 m
3)  cream   lettering        612 sts   3.3 m`,
    rows: [
      [1, 'placement line', 'grey', 140, 0.7, 'placement'],
      [2, 'signal arm', 'red', 980, 5.3, 'decoration'],
      [3, 'lettering', 'cream', 612, 3.3, 'lettering']
    ]
  },
  {
    what: 'a heading in capitals, length in centimetres and no colour',
    text: `STOP   DESCRIPTION            STITCHES   LENGTH (CM)
01     Quilting, ferns           2,204         1210
02     Top stitch                  318          160`,
    rows: [
      [1, 'Quilting, ferns', '', 2204, 12.1, 'quilting'],
      [2, 'Top stitch', '', 318, 1.6, 'topstitch']
    ]
  },
  {
    what: 'CSV in quotes with a total at the end',
    text: '"#","Colour","Stitches"\n"1","moss","1,204"\n"2","fern","2,310"\n"Total","","3,514"',
    rows: [
      [1, '', 'moss', 1204, null, 'decoration'],
      [2, '', 'fern', 2310, null, 'decoration']
    ]
  },
  {
    what: 'feet and inches of thread',
    text: '1 canopy fret ecru 3000 52 ft\n2 bars ecru 800 190 in',
    rows: [
      [1, 'canopy fret', 'ecru', 3000, 15.8496, 'decoration'],
      [2, 'bars', 'ecru', 800, 4.826, 'bars']
    ]
  },
  {
    what: 'names that hold numbers',
    text: 'No,Name,Colour,Stitches\n1,Carriage 7,burgundy,640\n2,Window 2 of 3,cream,410',
    rows: [
      [1, 'Carriage 7', 'burgundy', 640, null, 'decoration'],
      [2, 'Window 2 of 3', 'cream', 410, null, 'decoration']
    ]
  },
  {
    what: 'rows without numbers, counted in their order',
    text: 'placement; grey; 120\ntack down; black; 120\nfinal outline; white; 420',
    rows: [
      [1, 'placement', 'grey', 120, null, 'placement'],
      [2, 'tack down', 'black', 120, null, 'tack-down'],
      [3, 'final outline', 'white', 420, null, 'closing-seam']
    ],
    onTo: ['snap-tab', ['placement', 'tack-down', 'outline+holes']]
  },
  {
    what: 'Windows line ends and blank lines',
    text: '\r\n1 placement grey 120\r\n\r\n2 lace underlay ecru 900\r\n3 lace ecru 4100\r\n',
    rows: [
      [1, 'placement', 'grey', 120, null, 'placement'],
      [2, 'lace underlay', 'ecru', 900, null, 'lace-underlay'],
      [3, 'lace', 'ecru', 4100, null, 'lace']
    ]
  },
  {
    what: 'thousands set apart by an apostrophe and a narrow blank',
    text: "1  ticket ground  buff  2'480  13.4 m\n2  ticket rim  burgundy  1\u202f020  5.5 m",
    rows: [
      [1, 'ticket ground', 'buff', 2480, 13.4, 'decoration'],
      [2, 'ticket rim', 'burgundy', 1020, 5.5, 'satin-edge']
    ]
  },
  {
    what: 'a tab whose hole marks stand apart and whose tack-down is called a fixing line',
    text: '1 position line grey 95\n2 fixing line black 95\n3 ferns fern 1400\n4 closing outline white 380\n5 eyelet mark white 30',
    rows: [
      [1, 'position line', 'grey', 95, null, 'placement'],
      [2, 'fixing line', 'black', 95, null, 'tack-down'],
      [3, 'ferns', 'fern', 1400, null, 'decoration'],
      [4, 'closing outline', 'white', 380, null, 'closing-seam'],
      [5, 'eyelet mark', 'white', 30, null, 'closure-mark']
    ],
    onTo: ['snap-tab', ['placement', 'tack-down', 'details', 'outline', 'holes']]
  }
];

describe('charts of the gift stall', () => {
  for (const { what, text, rows, onTo } of CHARTS) {
    it(`${what}: every row, every figure`, () => {
      const reading = readChart(text);
      expect(reading.problems).to.deep.equal([]);
      expect(
        reading.rows.map((row) => [
          row.number,
          row.name,
          row.colour,
          row.stitches,
          row.threadMetres,
          row.role
        ])
      ).to.deep.equal(rows);
    });
    if (onTo) {
      it(`${what}: each row on its stop`, () => {
        const [kind, keys] = onTo;
        const { matches } = align(readChart(text).rows, patternOf(kind).pattern.expected);
        expect(matches.map((match) => match.keys.join('+'))).to.deep.equal(keys);
      });
    }
  }

  it('are read the same with a total, a title and blank lines about them', () => {
    for (const { text, rows } of CHARTS.filter(({ rows: all }) => all.every(([number]) => number !== null))) {
      const sum = rows.reduce((total, [, , , stitches]) => total + stitches, 0);
      if (/total/i.test(text)) continue;
      const dressed = `Gift stall chart\n\n${text}\n\nTotal ${sum}`;
      const reading = readChart(dressed, { setAside: [1] });
      expect(
        reading.rows.map(({ stitches }) => stitches),
        text
      ).to.deep.equal(rows.map(([, , , stitches]) => stitches));
      expect(reading.statedStitches).to.equal(sum);
      expect(reading.problems, text).to.deep.equal([]);
    }
  });

  it('keep the line each row came from, for the paper beside it', () => {
    const reading = readChart('Gift stall\n\n1 placement grey 120\n2 face white 900');
    expect(reading.rows.map(({ line }) => line)).to.deep.equal([3, 4]);
  });
});
