import { expect } from 'chai';
import { bendsOf, shapePath } from '$lib/core/base/geometry';
import { review } from '$lib/core/making/checks';
import type { Item } from '$lib/core/documents/item';
import { blocksOf, composed, itemOf, saidOf, soundItem as made } from './support/blocks';
import { makeItem } from './support/badger';
import { endOf, roomyShop } from './support/ends';
import { sheetWords } from './support/sheetWords';

type Said = Parameters<typeof blocksOf>[number];
const COTTON = { kind: 'woven', name: 'Fern print', colour: '#4d7148' };
const CREAM = { kind: 'woven', name: 'Cream', colour: '#efe3c4' };
const GROUND: Said = ['hooping', { ground: 'hooped', cloth: COTTON, stabiliser: 'tear-away' }];

const planOf = (item: Item) => review(item, undefined, roomyShop).plan;
const titlesOf = (item: Item): string[] => planOf(item).steps.map(({ title }) => title);
const placeOf = (titles: string[], start: string): number =>
  titles.findIndex((title) => title.startsWith(start));

describe('the lining of a case with a mouth', () => {
  const cased = (lies: string): Item =>
    made(
      { shape: 'rectangle', width: 90, height: 180 },
      ['hooping', { stabiliser: 'cutaway' }],
      'batting',
      ['front', { cloth: COTTON }],
      ['piece', { extent: 'whole', lies, shows: 'lining', cloth: CREAM, held: 'tape' }, 'Lining'],
      ['back-turned', { cloth: COTTON, closes: 'mouth', at: 'top' }],
      'finishing'
    );
  it('is seen through it, and turned through it', () => {
    const item = cased('below-out');
    expect(saidOf(item)).to.deep.equal([]);
    expect(endOf(item)).to.deep.include({ front: ['FRONT right'], lining: ['LINING right'] });
    expect(titlesOf(item)).to.include('Turn through the mouth');
  });
  it('is told where it lies the wrong way up', () => {
    expect(saidOf(cased('below-in'))).to.deep.equal([
      'faces/wrong-side: LINING ends with its wrong side out.'
    ]);
  });
});

describe('pennants sewn to a tape', () => {
  const pennants = (...turned: Said[]): Item =>
    made(
      { shape: 'triangle', width: 120, height: 140 },
      ...[1, 2].flatMap((): Said[] => [
        GROUND,
        ['details', { where: 'lower' }],
        ['back-turned', { cloth: CREAM, closes: 'mouth', at: 'bottom' }],
        ['finishing', { then: 'sewn-up' }]
      ]),
      ...turned,
      ['sew-up', { how: 'lap', parts: 'both pennants, the tape', long: 240, seam: 8 }]
    );
  const never = (item: Item): string[] => saidOf(item).filter((said) => said.startsWith('faces/never'));
  it('are told to stay right sides together where nothing turns them', () => {
    expect(never(pennants())).to.deep.equal([
      'faces/never-turned: FRONT and BACK stay right sides together: nothing turns them right side out.',
      'faces/never-turned: FRONT 2 and BACK 2 stay right sides together: nothing turns them right side out.'
    ]);
  });
  it('come out right once they are turned', () => {
    expect(never(pennants(['sew-up', { how: 'turn', parts: 'both pennants' }]))).to.deep.equal([]);
  });
});

describe('a patch on bare cutaway', () => {
  const patch = (stabiliser: string) =>
    composed(
      blocksOf(
        ['hooping', { ground: 'bare', stabiliser }],
        ['details', { where: 'all' }],
        'edge-satin',
        'finishing'
      ),
      'own',
      { shape: 'oval', width: 70, height: 70 }
    );
  it('is stitched wholly on two layers, cut out close to its edge, and nothing is missed under it', () => {
    const made = patch('cutaway');
    expect(made.troubles).to.deep.equal([]);
    const item = itemOf(made);
    expect(saidOf(item)).to.deep.equal([]);
    expect(item.pieces.map(({ name, plies, shows }) => [name, plies, shows])).to.deep.equal([
      ['STABILISER', 2, 'front']
    ]);
    expect(titlesOf(item)).to.include('Cut out');
    expect(endOf(item).front).to.deep.equal(['STABILISER right']);
  });
  it('is none on what tears or washes out', () => {
    expect(patch('tear-away').troubles.map(({ why }) => why)).to.include(
      'What tears or washes out cannot be all there is.'
    );
  });
  it('is what is said where cloth was only forgotten', () => {
    const item = composed(blocksOf(['hooping', { stabiliser: 'cutaway' }], 'details', 'finishing'));
    expect(item.troubles.map(({ why }) => why)).to.include('No cloth lies open to stitch on.');
  });
});

describe('seams that bend', () => {
  it('are told by corners and curves: a rectangle has four and none, a tab the circle of its two ends', () => {
    expect(bendsOf(shapePath('rectangle', 160, 200))).to.deep.equal({ corners: 4, curve: 0 });
    const tab = bendsOf(shapePath('tab', 30, 94));
    expect(tab.corners).to.equal(0);
    // π × 30 mm.
    expect(tab.curve).to.be.closeTo(94.2, 0.5);
    expect(bendsOf(shapePath('hexagon', 60, 60)).corners).to.equal(6);
  });
  it('are clipped there and nowhere else', () => {
    const clip = (shape: string) =>
      planOf(made({ shape, width: 160, height: 200 }, GROUND, 'back-turned', 'finishing')).steps.find(
        ({ title }) => title.startsWith('Clip')
      );
    // Four snips of 1.5 s, not one every 12 mm of 720.
    expect(clip('rectangle')).to.deep.include({ title: 'Clip the corners' });
    expect(clip('rectangle')?.hands.value).to.equal(6);
    expect(clip('oval')?.title).to.equal('Clip the curves');
    // The front of a pouch: two corners above, round below.
    expect(clip('pouch')?.title).to.equal('Clip the curves and corners');
  });
});

describe('what is longer than its way', () => {
  it('an elastic caught at both ends: 330 between the seams and 10 over each', () => {
    const item = made(
      { shape: 'oval', width: 190, height: 90 },
      GROUND,
      ['caught', { what: 'elastic', side: 'left', width: 15, other: 'opposite', long: 330 }, 'Band'],
      ['back-turned', { cloth: CREAM, at: 'bottom' }],
      'finishing'
    );
    expect(saidOf(item)).to.deep.equal([]);
    const band = planOf(item).cuts.find(({ name }) => name === 'BAND');
    expect(band?.cut).to.deep.equal({ width: 350, height: 15 });
    // It lies straight from seam to seam, the rest of it rolled up.
    const lay = planOf(item).steps.find(({ title }) => title.startsWith('Lay BAND'));
    expect(lay?.note ?? lay?.detail).to.match(/Roll the loose end up/);
  });
});

describe('a pocket divided by seams', () => {
  const item = made(
    { shape: 'rectangle', width: 260, height: 180 },
    GROUND,
    ['piece', { side: 'bottom', much: 100, form: 'folded', openEdge: 'fold', cloth: CREAM }, 'Pocket'],
    [
      'own-stop',
      { title: 'Dividers', role: 'topstitch', form: 'up', long: 100, lines: 5, apart: 43, down: 40 },
      'Dividers'
    ],
    ['back-turned', { cloth: CREAM, at: 'top' }],
    'finishing'
  );
  it('five lines of 100 mm, 43 from one to the next, round the middle', () => {
    expect(saidOf(item)).to.deep.equal([]);
    const lines = item.lines.filter(({ name }) => name === 'Dividers');
    expect(lines.map(({ path }) => path.points)).to.deep.equal(
      [-86, -43, 0, 43, 86].map((x) => [
        [x, -10],
        [x, 90]
      ])
    );
  });
  it('is held by them before the back comes on', () => {
    const titles = titlesOf(item);
    expect(placeOf(titles, 'Dividers')).to.be.lessThan(placeOf(titles, 'Take the tape off'));
    expect(placeOf(titles, 'Take the tape off')).to.be.lessThan(placeOf(titles, 'Lay BACK'));
  });
});

describe('an eyelet in an item that gets a back', () => {
  const felt = { kind: 'felt', name: 'Moss', colour: '#667755' };
  const ring = (...blocks: Said[]): string[] =>
    saidOf(
      made(
        { shape: 'tab', width: 160, height: 40 },
        ['hooping', { stabiliser: 'tear-away' }],
        ['front', { cloth: felt }],
        ...blocks,
        'edge-satin',
        'finishing'
      )
    );
  const eyelet: Said = ['eyelet', { across: -65 }];
  const back: Said = ['back-under', { cloth: felt }];
  it('is closed by the back where it is punched before', () => {
    expect(ring(eyelet, back)).to.deep.equal([
      'holes/closed: BACK closes the hole that stop 3 goes round: it has none of its own.'
    ]);
  });
  it('goes through both where it is punched after', () => {
    expect(ring(back, eyelet)).to.deep.equal([]);
  });
});

describe('answers nobody gave', () => {
  it('are those usual for what was answered: a shirt is of jersey, its design over the heart', () => {
    const item = made({ width: 90, height: 60 }, ['ready-made', { thing: 'shirt' }], 'details', 'finishing');
    const shirt = item.pieces.find(({ name }) => name === 'SHIRT');
    expect(shirt?.material.kind).to.equal('knit');
    expect(shirt?.readyMade).to.include({ width: 500, height: 700, right: 100, towards: -150 });
  });
  it('are told in the words of the field where they are none of those there are', () => {
    const { troubles } = composed(blocksOf(['hooping', { stabiliser: 'paper' }], 'finishing'));
    expect(troubles[0]?.why).to.match(/^Stabiliser: choose one of: Tear-away; /);
  });
});

describe('lace with a cloth in its middle', () => {
  it('is cut out roughly and rinsed once, as lace without', () => {
    for (const inlay of ['no', 'yes']) {
      const words = sheetWords(makeItem('lace', { inlay })).map((word) => word.split(' ')[0]);
      expect(words.slice(words.indexOf('unhoop')), inlay).to.deep.equal([
        'unhoop',
        'cut-roughly',
        'rinse',
        'wait',
        'join-parts'
      ]);
    }
  });
});

describe('a piece in the shape of another', () => {
  const felt = { kind: 'felt', name: 'Moss', colour: '#667755' };
  const badge = (whose: string) =>
    composed(
      blocksOf(
        GROUND,
        [
          'applique',
          { shape: 'heart', width: 50, height: 46, across: 10, cloth: felt, edge: 'raw' },
          'Heart'
        ],
        [
          'piece',
          {
            extent: 'like',
            whose,
            cloth: felt,
            top: 'open',
            right: 'stitched',
            bottom: 'stitched',
            left: 'stitched',
            openEdge: 'raw'
          },
          'Pocket'
        ],
        'finishing'
      )
    );
  it('lies exactly on it, stitched down but for its open edge', () => {
    const made = badge('heart');
    expect(made.troubles).to.deep.equal([]);
    const pathOf = (id: string) => made.pattern.lines.find((line) => line.id === id)?.path;
    expect(pathOf('piece-3-area')).to.deep.equal(pathOf('applique-2-shape'));
    expect(badge('').troubles).to.deep.equal([]);
  });
  it('is refused where nothing is called so', () => {
    expect(badge('Lantern').troubles.map(({ why }) => why)).to.deep.equal([
      'There is no piece “Lantern” with a shape of its own in the hoop by then.'
    ]);
    const alone = composed(blocksOf(GROUND, ['piece', { extent: 'like', cloth: felt }], 'finishing'));
    expect(alone.troubles.map(({ why }) => why)).to.include(
      'No piece in the hoop has a shape of its own by then.'
    );
  });
});
