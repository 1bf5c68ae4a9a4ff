import { colourOf } from '$lib/core/reading/evidence';
import { readChart } from '$lib/core/reading/papers';
import { isColourName } from '$lib/core/reading/evidence';
import { guessRole } from '$lib/core/reading/evidence';
import { expect } from 'chai';
import fc from 'fast-check';
import { BADGER_CHART } from './support/badger';
import { stopsOf } from './support/papers';

const BADGER = [
  [1, 'placement', 'grey', 120, 0.6],
  [2, 'tack-down', 'black', 120, 0.6],
  [3, 'face', 'white', 1500, 8.1],
  [4, 'cheeks', 'pink', 60, 0.32],
  [5, 'eyes', 'black', 900, 4.86],
  [6, 'outline', 'white', 420, 2.1]
];

describe('intake: a pasted chart', () => {
  const layouts: Record<string, string> = {
    'single blanks': BADGER_CHART,
    'aligned with a heading': `Stop  Description     Colour    Stitches    Thread
----------------------------------------------------
  1   placement       grey           120    0.60 m
  2   tack-down       black          120    0.60 m
  3   face            white        1,500    8.10 m
  4   cheeks          pink            60    0.32 m
  5   eyes            black          900    4.86 m
  6   outline         white          420    2.10 m`,
    'CSV with quoted thousands and the unit in the heading': `No,Name,Colour,Stitches,Length (m)
1,placement,grey,120,0.60
2,tack-down,black,120,0.60
3,face,white,"1,500",8.10
4,cheeks,pink,60,0.32
5,eyes,black,900,4.86
6,outline,white,420,2.10`,
    'CSV with semicolons, decimal commas and points between thousands': `1;placement;grey;120;0,60 m
2;tack-down;black;120;0,60 m
3;face;white;1.500;8,10 m
4;cheeks;pink;60;0,32 m
5;eyes;black;900;4,86 m
6;outline;white;420;2,10 m`,
    'TSV with other columns first and centimetres': `Stitches\tPart\tThread colour\tUsed\tStop
120\tplacement\tgrey\t60 cm\t1
120\ttack-down\tblack\t60 cm\t2
1500\tface\twhite\t810 cm\t3
60\tcheeks\tpink\t32 cm\t4
900\teyes\tblack\t486 cm\t5
420\toutline\twhite\t210 cm\t6`,
    'a table drawn with bars': `| # | part | colour | stitches | length |
|---|---|---|---|---|
| 1 | placement | grey | 120 | 0.60 m |
| 2 | tack-down | black | 120 | 0.60 m |
| 3 | face | white | 1 500 | 8.10 m |
| 4 | cheeks | pink | 60 | 0.32 m |
| 5 | eyes | black | 900 | 4.86 m |
| 6 | outline | white | 420 | 2.10 m |`
  };
  for (const [layout, text] of Object.entries(layouts)) {
    it(`reads ${layout}`, () => {
      expect(stopsOf(text)).to.deep.equal(BADGER);
      expect(readChart(text).problems).to.deep.equal([]);
    });
  }

  it('reads rows without a thread length, and feet where they are named', () => {
    expect(stopsOf('1. Placement - 120 stitches\nStop 2: rose pink 1 500 sts')).to.deep.equal([
      [1, 'Placement', '', 120, null],
      [2, '', 'rose pink', 1500, null]
    ]);
    expect(stopsOf('1 eyes black 900 10 ft')).to.deep.equal([[1, 'eyes', 'black', 900, 3.048]]);
  });

  it('keeps a line it does not understand, says where and why', () => {
    const { rows, problems } = readChart('Badger tab\n1 placement grey 120 0.60 m\n   mind the gap');
    expect(rows).to.have.length(1);
    expect(problems.map(({ line, column, text, kind }) => [line, column, text, kind])).to.deep.equal([
      [1, 1, 'Badger tab', 'not-understood'],
      [3, 4, '   mind the gap', 'not-understood']
    ]);
    expect(problems[0]?.message).to.match(/stitch count/);
  });
  it('sets a line aside when the maker says it is no stop, and keeps its text', () => {
    const reading = readChart('Badger tab\n1 placement grey 120', { setAside: [1] });
    expect(reading.problems).to.deep.equal([]);
    expect(reading.setAside).to.deep.equal([{ line: 1, text: 'Badger tab' }]);
  });
  it('does not take a remark that ends in a number for a stop', () => {
    const { rows, problems } = readChart(`${BADGER_CHART}\nMade for the stall, hoop 100`);
    expect(rows).to.have.length(6);
    expect(problems.map(({ line }) => line)).to.deep.equal([7]);
  });
  it('says when the stated total differs from the rows', () => {
    expect(readChart(`${BADGER_CHART}\nTotal 3,120 stitches`)).to.deep.include({
      statedStitches: 3120,
      problems: []
    });
    const [doubt] = readChart(`${BADGER_CHART}\nTotal: 3,210`).problems;
    expect(doubt?.message).to.equal('The chart states 3,210 stitches, its rows add up to 3,120.');
  });
  it('doubts a number out of order and a length without a unit', () => {
    expect(
      readChart('1 face white 1,000 5.5 m\n3 eyes black 200 1.1 m\n2 ears grey 300 1.6 m').problems[0]
        ?.message
    ).to.match(/Stop 2 comes after stop 3/);
    expect(readChart('1,face,white,1000,5.5\n2,eyes,black,200,1.1').problems[0]?.message).to.match(
      /name no unit/
    );
  });

  it('never throws and loses no line, whatever is pasted', () => {
    const word = fc.constantFrom(
      '1',
      '2.',
      'face',
      'white',
      '1,500',
      '0.60 m',
      ',',
      ';',
      '\t',
      '"',
      '|',
      'total',
      'stitches',
      '⅜',
      '-'
    );
    const line = fc.oneof(
      fc.array(word, { maxLength: 8 }).map((words) => words.join(' ')),
      fc.string()
    );
    fc.assert(
      fc.property(fc.array(line, { maxLength: 12 }), (lines) => {
        const text = lines.join('\n');
        const kept = new Set(readChart(text).problems.map(({ line, text: content }) => `${line} ${content}`));
        // Words without a number are never a row, so they must come back as they were.
        text.split(/\r\n|\r|\n/).forEach((content, at) => {
          if (/^face( face| white)*$/.test(content))
            expect(kept.has(`${at + 1} ${content}`), content).to.equal(true);
        });
      })
    );
  });
  it('keeps a line that a page says twice', () => {
    expect(readChart('face\nface').problems.map(({ line, text }) => `${line} ${text}`)).to.deep.equal([
      '1 face',
      '2 face'
    ]);
  });
  it('stops at a length no chart has, and says so', () => {
    const lines = Array.from({ length: 3000 }, (_, at) => `${at + 1} face white ${100 + ((at * 37) % 900)}`);
    const { rows, problems } = readChart(lines.join('\n'));
    // A stop’s number has three digits at most.
    expect(rows.length).to.be.within(900, 1001);
    expect(problems.some(({ message }) => /only the first 2000 lines/.test(message))).to.equal(true);
  });
});

describe('intake: roles and colours', () => {
  it('guesses what a stop does from its words', () => {
    const roleOf = (name: string, place = 0.5): string => guessRole(name, 500, place).role;
    expect(
      [
        'Placement line',
        'tack_down',
        'satin border',
        'quilting 2',
        'Name: letters',
        'cut line',
        'hole marks'
      ].map((name) => roleOf(name))
    ).to.deep.equal([
      'placement',
      'tack-down',
      'satin-edge',
      'quilting',
      'lettering',
      'cut-line',
      'closure-mark'
    ]);
    expect(roleOf('outline', 1)).to.equal('closing-seam');
    expect(roleOf('outline', 0.3)).to.equal('decoration');
  });
  it('is unsure where the words say nothing', () => {
    expect(guessRole('badger', 500, 0.5).confidence).to.be.below(guessRole('tack-down', 500, 0.5).confidence);
    expect(guessRole('', 120, 0)).to.deep.equal({ role: 'placement', confidence: 0.4 });
  });
  it('finds the colour in a thread’s name', () => {
    expect(colourOf('lamp black')).to.equal(colourOf('black'));
    expect(colourOf('dark red 0614')).to.equal('#8b0000');
    expect(colourOf('shade #C23B2E')).to.equal('#c23b2e');
    expect(colourOf('badger 12')).to.equal(undefined);
    // "face" and "bad" are hex digits, not colours.
    expect([
      isColourName('face'),
      isColourName('bad'),
      isColourName('rose pink'),
      isColourName('face white')
    ]).to.deep.equal([false, false, true, false]);
  });
});
