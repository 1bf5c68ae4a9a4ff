import { expect } from 'chai';
import { review } from '$lib/core/making/checks';
import type { Item } from '$lib/core/documents/item';
import { saidOf, soundItem as made } from './support/blocks';
import { roomyShop } from './support/ends';

const COTTON = { kind: 'woven', name: 'Fern print', colour: '#4d7148' };
const planOf = (item: Item) => review(item, undefined, roomyShop).plan;
const titlesOf = (item: Item): string[] => planOf(item).steps.map(({ title }) => title);
const placeOf = (titles: string[], start: string): number =>
  titles.findIndex((title) => title.startsWith(start));

describe('a towel with an appliqué', () => {
  const item = made(
    { shape: 'oval', width: 100, height: 80 },
    ['ready-made', { thing: 'towel' }],
    ['applique', { cloth: COTTON, width: 50, height: 50 }, 'Leaf'],
    'details',
    'finishing'
  );
  it('gets its topping once the cloth is on, before the first stitches that would sink in', () => {
    expect(saidOf(item)).to.deep.equal([]);
    const titles = titlesOf(item);
    const on = placeOf(titles, 'Lay TOPPING');
    expect(on).to.be.greaterThan(placeOf(titles, 'Trim LEAF'));
    expect(titles.slice(on, on + 4)).to.deep.equal([
      'Lay TOPPING on top',
      'Pin TOPPING',
      'Put the hoop on',
      'Leaf: edge'
    ]);
    expect(titles.filter((title) => title.startsWith('Lay TOPPING'))).to.have.length(1);
  });
  it('is brushed up in the end: the towel has pile, whatever lies on it', () => {
    expect(titlesOf(item)).to.include('Brush the pile up');
  });
  it('is laid by its marks: no line shows where', () => {
    const lay = planOf(item).steps.find(({ title }) => title.startsWith('Lay TOWEL'));
    expect(lay?.detail).to.match(/^Its marks on the middle of the hoop\./);
  });
  it('has its topping on at once where no cloth follows in that hooping', () => {
    const plain = made({ width: 90, height: 60 }, ['ready-made', { thing: 'towel' }], 'details', 'finishing');
    const titles = titlesOf(plain);
    expect(placeOf(titles, 'Lay TOPPING')).to.be.lessThan(placeOf(titles, 'Colour'));
  });
});

describe('a topping that waited for stitches that never came', () => {
  it('is not laid in another hooping', () => {
    const item = made(
      { width: 120, height: 120 },
      ['ready-made', { thing: 'towel' }],
      [
        'piece',
        {
          extent: 'shape',
          cloth: COTTON,
          top: 'stitched',
          right: 'stitched',
          bottom: 'stitched',
          left: 'stitched'
        }
      ],
      ['finishing', { then: 'usual' }],
      ['hooping', { ground: 'hooped', cloth: COTTON, stabiliser: 'tear-away' }],
      'details',
      'finishing'
    );
    expect(titlesOf(item).filter((title) => title.startsWith('Lay TOPPING'))).to.deep.equal([]);
  });
});
