import { columnFrom } from '$lib/core/reading/evidence/column';
import { fitGrid } from '$lib/core/reading/evidence';
import { agreement, countFit, lengthFit, numberScore } from '$lib/core/reading/evidence/scores';
import { figureIn, isDitto, valueOf, writingsOf } from '$lib/core/reading/evidence/values';
import { expect } from 'chai';

const NOTHING = { stated: new Set<number>(), unit: undefined };
const LABELS = ['Placement line', 'Tack-down', 'Badger', 'Fern', 'Satin edge'];
const COLOURS = ['Halt', 'Halt', 'Ballast', 'Moss', 'Ballast'];
const CODES = ['K7', 'K7', 'K3', 'K9', 'K3'];
const COUNTS = ['212', '228', '2,874', '1,964', '3,120'];

describe('figures of a column', () => {
  it('are told with their units, however thousands are parted', () => {
    expect(figureIn('1 410 st')).to.deep.equal({ before: '', digits: '1 410', unit: 'st' });
    expect(figureIn('ca. 3.40 m')).to.deep.equal({ before: 'ca.', digits: '3.40', unit: 'm' });
    expect(figureIn('12:40')).to.equal(undefined);
    expect(figureIn('5 x 7')).to.equal(undefined);
  });
  it('may be thousands or decimals one by one, and are settled by the whole column', () => {
    // "5.236" alone may be either; beside "242" and "13.966" nothing speaks for decimals but the mark.
    expect(writingsOf(['242', '5.236', '13.966']).map(({ decimal }) => decimal)).to.deep.equal([null, '.']);
    // Two places behind the comma are no thousands.
    expect(writingsOf(['1,31', '28,25']).map(({ decimal }) => decimal)).to.deep.equal([',']);
    const [both] = writingsOf(['1.234,5', '94,5']);
    expect(both && valueOf('1.234,5', both)).to.equal(1234.5);
    expect(writingsOf(['1,23,4'])).to.deep.equal([]);
  });
  it('are lengths in the unit whose millimetres for each stitch are those of the craft', () => {
    const counts = countFit(columnFrom('', COUNTS), new Set());
    if (!counts) throw new Error('no counts');
    // 212 stitches of 5 mm are 1,060 mm: 1.06 m, 106 cm or 41.7 in.
    const fits = (cells: string[]): (number | undefined)[] | undefined =>
      lengthFit(columnFrom('', cells), counts, undefined)?.metres.slice(0, 2);
    expect(fits(['1.06', '1.21', '15.86', '11.14', '18.04'])).to.deep.equal([1.06, 1.21]);
    expect(fits(['106', '121', '1586', '1114', '1804'])).to.deep.equal([1.06, 1.21]);
    expect(fits(['41.7', '47.6', '624.4', '438.6', '710.2'])?.[0]).to.be.closeTo(1.059, 0.001);
    expect(fits(['9.1 %', '2.1 %', '40 %', '20 %', '28.8 %']), 'a share is no length').to.equal(undefined);
  });
});

describe('what a column is', () => {
  it('is seen by numbers that count up, in the order of the page or of cards beside each other', () => {
    expect(numberScore(columnFrom('', ['1', '2', '3', '4']))).to.be.greaterThan(0.8);
    expect(numberScore(columnFrom('', ['1', '4', '2', '5', '3', '6']))).to.be.greaterThan(0.8);
    expect(numberScore(columnFrom('', ['Stop 1', 'Stop 2', 'Stop 3']))).to.be.greaterThan(0.8);
    expect(numberScore(columnFrom('', ['5', '2', '5', '2']))).to.be.lessThan(0);
  });
  it('is seen by counts that add up to a figure on the paper', () => {
    const score = (stated: number[]): number => countFit(columnFrom('', COUNTS), new Set(stated))?.score ?? 0;
    expect(score([8398]) - score([])).to.equal(1);
    expect(countFit(columnFrom('', ['K-118', 'K-900', 'K-031']), new Set()), 'codes').to.equal(undefined);
    expect(countFit(columnFrom('', ['0610', '0102', '0117']), new Set()), 'codes').to.equal(undefined);
    expect(countFit(columnFrom('', ['4.50 €', '9.00 €']), new Set()), 'prices').to.equal(undefined);
  });
  it('is seen by codes that go with their colours', () => {
    const against = (codes: string[]): number => agreement(columnFrom('', codes), columnFrom('', COLOURS));
    expect(against(['K1', 'K1', 'K2', 'K3', 'K2'])).to.equal(1);
    expect(against(['K1', 'K2', 'K3', 'K4', 'K5'])).to.equal(-1);
  });
  it('leaves out labels that stand in every cell, and keeps the letters of a code', () => {
    expect(columnFrom('', ['Part: Badger', 'Part: Fern', 'Part: Rim']).texts).to.deep.equal([
      'Badger',
      'Fern',
      'Rim'
    ]);
    expect(columnFrom('', ['R 18', 'R 04', 'R 23']).texts).to.deep.equal(['R 18', 'R 04', 'R 23']);
  });
  it('knows the marks for “the same as above”', () => {
    expect(['"', '”', 'ditto', '- " -'].every(isDitto)).to.equal(true);
    expect(['-', '', 'Moss'].some(isDitto)).to.equal(false);
  });
});

describe('the joint assignment', () => {
  const METRES = ['1.06', '1.21', '15.86', '11.14', '18.04'];
  const records = LABELS.map((label, at) => [
    METRES[at] ?? '',
    COLOURS[at] ?? '',
    `${at + 1}`,
    label,
    COUNTS[at] ?? ''
  ]);
  it('finds every field without a heading, in any order', () => {
    const fitted = fitGrid(['', '', '', '', ''], records, NOTHING);
    expect(fitted?.rows[2]).to.deep.equal({
      at: 2,
      number: 3,
      name: 'Badger',
      colour: 'Ballast',
      stitches: 2874,
      metres: 15.86
    });
    expect(fitted?.rows).to.have.length(5);
  });
  it('is not led astray by headings that mean nothing', () => {
    const fitted = fitGrid(['Blorf', 'Vasp', 'Tolk', 'Quintle', 'Zembra'], records, NOTHING);
    expect(fitted?.rows[0]).to.include({ number: 1, name: 'Placement line', stitches: 212 });
  });
  it('takes cells apart that hold two values', () => {
    const fitted = fitGrid(
      ['', '', ''],
      LABELS.map((label, at) => [
        `${at + 1}. ${label}`,
        `${COLOURS[at] ?? ''} (${CODES[at] ?? ''})`,
        `${COUNTS[at] ?? ''} st / ${METRES[at] ?? ''} m`
      ]),
      NOTHING
    );
    expect(fitted?.rows[4]).to.include({ number: 5, name: 'Satin edge', stitches: 3120, metres: 18.04 });
  });
  it('leaves a sum out, and fills down what stands once for several rows', () => {
    const fitted = fitGrid(
      ['', '', '', ''],
      [
        ['1', 'Placement', 'Grey G1', '210'],
        ['2', 'Tack-down', '', '168'],
        ['3', 'Badger', 'White G2', '2,790'],
        ['', 'Sum', '', '3,168']
      ],
      NOTHING
    );
    expect(fitted?.rows.map(({ colour }) => colour)).to.deep.equal(['Grey G1', 'Grey G1', 'White G2']);
    expect(fitted?.left).to.deep.equal([3]);
  });
});
