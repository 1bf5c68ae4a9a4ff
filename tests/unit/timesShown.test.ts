import { stitchesOf } from '$lib/core/documents/item';
import { readChart } from '$lib/core/reading/papers';
import { expect } from 'chai';
import { makeItem } from './support/badger';

const rowsOf = (text: string) => readChart(text).rows;

describe('what a machine shows', () => {
  it('colours and minutes are a chart: 4 min, 1:30, 45 s', () => {
    const rows = rowsOf('1  Brown  4 min\n2  Black  1:30\n3  Red  45 s');
    expect(
      rows.map(({ number, colour, stitches, seconds }) => [number, colour, stitches, seconds])
    ).to.deep.equal([
      [1, 'Brown', null, 240],
      [2, 'Black', null, 90],
      [3, 'Red', null, 45]
    ]);
  });
  it('so are names of work with minutes, and colours alone with their numbers', () => {
    expect(
      rowsOf('placement line 1 min\ntack-down 1 min\nsatin edge 9 min').map(({ role }) => role)
    ).to.deep.equal(['placement', 'tack-down', 'satin-edge']);
    expect(rowsOf('1 Brown\n2 Black\n3 Brown').map(({ colour, seconds }) => [colour, seconds])).to.deep.equal(
      [
        ['Brown', undefined],
        ['Black', undefined],
        ['Brown', undefined]
      ]
    );
  });
  it('a recipe, a list of shopping and a letter are none', () => {
    for (const text of [
      'Knead 10 min\nRest 45 min\nBake 40 min',
      '1 Flour\n2 Butter\n3 Salt',
      'Dear Bramble,\nthe brown one took 4 min.\nThe black one is still to come.',
      '4 Brown\n7 Black'
    ])
      expect(rowsOf(text), text).to.deep.equal([]);
  });
  it('minutes are stitches at the machine’s pace, told as estimates: 4 min at 420 are 1,680', () => {
    const item = makeItem('plain-embroidery', { basting: 'no' }, '1  Brown  4 min\n2  Black  1:30');
    const stops = item.files.flatMap(({ stops: own }) => own);
    expect(stops.map(stitchesOf)).to.deep.equal([1680, 630]);
    expect(stops.map(({ countSource }) => countSource)).to.deep.equal(['estimate', 'estimate']);
  });
});
