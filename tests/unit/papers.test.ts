import { matchInstructions, readChart, readPaper, type ReadRow } from '$lib/core/reading/papers';
import { threadMeaning } from '$lib/core/reading/papers/threadMeaning';
import { expect } from 'chai';
import fc from 'fast-check';
import { paperOf, setRow, word } from './support/papers';

const told = (rows: ReadRow[]): unknown[] =>
  rows.map(({ number, name, colour, stitches, threadMetres }) => [
    number,
    name,
    colour,
    stitches,
    threadMetres
  ]);
const TWO = [
  [1, 'Signal arm', 'red', 1500, 8.1],
  [2, 'Border', 'brass 0614', 900, 5.85]
];

describe('a paper with positions', () => {
  it('gives the rows of a table, cells under their headings', () => {
    const columns = [40, 80, 260, 380, 460];
    const reading = readPaper(
      paperOf([
        ...setRow(columns, ['No', 'Part', 'Colour', 'Stitches', 'Length (cm)'], 60),
        ...setRow(columns, ['1', 'Signal arm', 'red', '1,500', '810'], 80),
        ...setRow(columns, ['2', 'Border', 'brass 0614', '900', '585'], 100)
      ])
    );
    expect(told(reading.rows)).to.deep.equal(TWO);
    expect(reading.problems).to.deep.equal([]);
    expect(reading.rows[1]?.place).to.include({ page: 0, x: 40, y: 90 });
  });
  it('gives stops in blocks side by side, in the order of their numbers', () => {
    const block = (x: number, lines: string[]): ReturnType<typeof word>[] =>
      lines.map((text, at) => word(text, x, 100 + at * 14));
    const reading = readPaper(
      paperOf([
        ...block(320, ['Stop 2', 'Part: Border', 'Colour: brass 0614', 'Stitches: 900', 'Thread: 5.85 m']),
        ...block(40, ['Stop 1', 'Part: Signal arm', 'Colour: red', 'Stitches: 1,500', 'Thread: 8.1 m'])
      ])
    );
    expect(told(reading.rows)).to.deep.equal(TWO);
    expect(new Set(reading.rows.map(({ line }) => line)).size, 'each row has a line of its own').to.equal(2);
  });
  it('takes a name above its big number to the block it stands in', () => {
    const card = (
      y: number,
      number: string,
      name: string,
      colour: string,
      stitches: string
    ): ReturnType<typeof word>[] => [
      word(number, 40, y, 26),
      word(name, 90, y - 8),
      word(colour, 90, y + 6),
      word(`${stitches} stitches`, 90, y + 20)
    ];
    const { rows } = readPaper(
      paperOf([...card(100, '1', 'Signal arm', 'red', '1500'), ...card(190, '2', 'Border', 'brass', '900')])
    );
    expect(rows.map(({ number, name, stitches }) => [number, name, stitches])).to.deep.equal([
      [1, 'Signal arm', 1500],
      [2, 'Border', 900]
    ]);
  });
  it('reads two tables side by side one after the other, and one stop a column', () => {
    const columns = [40, 60, 160, 240, 320, 340, 440, 520];
    const heading = ['No', 'Part', 'Colour', 'Stitches'];
    const beside = readPaper(
      paperOf([
        ...setRow(columns, [...heading, ...heading], 60),
        ...setRow(columns, ['1', 'Signal arm', 'red', '1500', '3', 'Edge', 'ink', '80'], 80),
        ...setRow(columns, ['2', 'Border', 'brass', '900'], 100)
      ])
    );
    expect(beside.rows.map(({ number }) => number)).to.deep.equal([1, 2, 3]);
    const turned = readPaper(
      paperOf([
        ...setRow([40, 140, 260], ['Stop', '1', '2'], 60),
        ...setRow([40, 140, 260], ['Name', 'Signal arm', 'Border'], 76),
        ...setRow([40, 140, 260], ['Colour', 'red', 'brass 0614'], 92),
        ...setRow([40, 140, 260], ['Stitches', '1500', '900'], 108),
        ...setRow([40, 140, 260], ['Length (m)', '8.1', '5.85'], 124)
      ])
    );
    expect(told(turned.rows)).to.deep.equal(TWO);
  });
  it('goes on over a page break, and leaves out what every page repeats', () => {
    const columns = [40, 80, 260, 380];
    const foot = word('Little railway stall', 40, 780);
    const { rows, problems } = readPaper(
      paperOf(
        [
          ...setRow(columns, ['No', 'Part', 'Colour', 'Stitches'], 60),
          ...setRow(columns, ['1', 'Face', 'white', '90'], 80),
          foot
        ],
        [...setRow(columns, ['2', 'Ears', 'black', '70'], 60), foot, word('Page 2 of 2', 300, 790)]
      )
    );
    expect(rows.map(({ name, stitches }) => [name, stitches])).to.deep.equal([
      ['Face', 90],
      ['Ears', 70]
    ]);
    expect(problems).to.deep.equal([]);
  });
  it('can be set right line by line, and lines set aside', () => {
    const paper = paperOf([word('1 face white 9o0', 40, 60), word('2 ears black 70 0.4 m', 40, 80)]);
    expect(readPaper(paper).rows).to.have.length(1);
    expect(
      readPaper(paper, { corrections: { 1: '1 face white 900' } }).rows.map(({ stitches }) => stitches)
    ).to.deep.equal([900, 70]);
    expect(readPaper(paper, { setAside: [1] }).setAside).to.deep.equal([
      { line: 1, text: '1 face white 9o0' }
    ]);
  });
});

describe('what a paper says of the whole design', () => {
  const facts = (text: string): unknown => readChart(text).facts;
  it('is read in millimetres or inches', () => {
    expect(facts('Size 94.0 x 30.0 mm')).to.deep.include({ size: { width: 94, height: 30 } });
    // 3.70 in = 93.98 mm, 1.18 in = 29.972 mm.
    expect(facts('Finished: 3.70 x 1.18 in')).to.deep.include({ size: { width: 93.98, height: 29.97 } });
    expect(facts('Width: 94 mm\nHeight: 3 cm')).to.deep.include({ size: { width: 94, height: 30 } });
    expect(facts('for the hoop 100 x 100 mm'), 'a hoop is no design').to.deep.include({ size: null });
    expect(facts('for the small hoop, 30 x 94 mm')).to.deep.include({ size: { width: 30, height: 94 } });
  });
  it('is compared with the rows: stitches, stops and thread', () => {
    const rows = '1 face white 900 4.9 m\n2 ears black 100 0.5 m';
    const said = (line: string): string[] =>
      readChart(`${rows}\n${line}`).problems.map(({ message }) => message);
    expect(said('Total: 1,000 stitches')).to.deep.equal([]);
    expect(said('Total: 1,010 stitches')).to.deep.equal([
      'The chart states 1,010 stitches, its rows add up to 1,000.'
    ]);
    expect(said('Colour stops: 3')).to.deep.equal(['The paper speaks of 3 stops, 2 were read.']);
    expect(said('Total thread 7.0 m')).to.deep.equal([
      'The chart states 7.00 m of thread, its rows add up to 5.40 m.'
    ]);
  });
  it('says when two sizes contradict each other', () => {
    expect(readChart('Size 94 x 30 mm (3.70 x 1.50 in)').problems[0]?.message).to.match(
      /not the one said before/
    );
    expect(readChart('Size 94 x 30 mm (3.70 x 1.18 in)').problems).to.deep.equal([]);
  });
});

describe('an instruction sheet', () => {
  const SHEET = `1. Hoop the tear-away.
2. Stitch colour 1, the placement line.
3. Lay the front felt over the line and tape
   its four corners.
4. Stitch colour 2 to tack it down.
5. Trim the felt close to the stitching.`;
  it('is read sentence by sentence, those that run over lines included', () => {
    const { instructions, rows, problems } = readChart(SHEET);
    expect(instructions.map(({ number, text }) => [number, text])[2]).to.deep.equal([
      3,
      'Lay the front felt over the line and tape its four corners.'
    ]);
    expect([instructions.length, rows, problems]).to.deep.equal([5, [], []]);
  });
  it('stands beside a chart on the same paper without disturbing it', () => {
    const both = readChart(`1 placement grey 120 0.6 m\n2 tack-down black 120 0.6 m\n\n${SHEET}`);
    expect(both.rows.map(({ stitches }) => stitches)).to.deep.equal([120, 120]);
    expect(both.instructions).to.have.length(5);
  });
  it('is put on steps by words and order, a stop by its number', () => {
    const step = (
      stepId: string,
      does: string | null,
      words: string,
      machineNumber: number | null = null
    ): never =>
      ({ stepId, does, words, machineNumber, kind: machineNumber === null ? 'hand' : 'stop' }) as never;
    const steps = [
      step('hoop', 'hoop', 'Hoop STABILISER'),
      step('on', 'hoop-on', 'Put the hoop on'),
      step('place', null, 'Placement line', 1),
      step('front', 'lay', 'Lay FRONT, felt'),
      step('tack', null, 'Tack-down', 2),
      step('trim', 'trim', 'Trim FRONT close, felt')
    ];
    const matched = matchInstructions(readChart(SHEET).instructions, steps);
    expect(matched.map(({ stepId }) => stepId)).to.deep.equal(['hoop', 'place', 'front', 'tack', 'trim']);
    const lost = matchInstructions([{ number: 1, text: 'Thank the badger warmly.', lines: [1] }], steps);
    expect(lost[0]?.stepId).to.equal(null);
  });
});

describe('what a charted thread length means', () => {
  const row = (stitches: number, metres: number, role: ReadRow['role'] = 'placement'): never =>
    ({ stitches, threadMetres: metres, role }) as never;
  it('is told by the millimetres for each stitch', () => {
    // 120 stitches: 5.0 mm each with take-up, 2.5 mm of bare path.
    expect(threadMeaning([row(120, 0.6)])).to.deep.equal({ meaning: 'used', sure: true, mmPerStitch: 5 });
    expect(threadMeaning([row(120, 0.3)])).to.deep.equal({ meaning: 'path', sure: true, mmPerStitch: 2.5 });
    // 5.4 mm a fill stitch is thread used.
    expect(threadMeaning([row(1000, 5.4, 'decoration')])).to.include({ meaning: 'used', sure: true });
  });
  it('is asked where the figure fits neither, or only satin tells', () => {
    expect(threadMeaning([row(1000, 3.55)]).sure).to.equal(false);
    expect(threadMeaning([row(1000, 6.5, 'satin-edge')])).to.deep.equal({
      meaning: 'used',
      sure: false,
      mmPerStitch: null
    });
  });
  it('is not swayed by the unit of length', () => {
    fc.assert(
      fc.property(fc.integer({ min: 50, max: 5000 }), (stitches) => {
        expect(threadMeaning([row(stitches, (stitches * 5) / 1000)]).meaning).to.equal('used');
        expect(threadMeaning([row(stitches, (stitches * 2.5) / 1000)]).meaning).to.equal('path');
      })
    );
  });
});
