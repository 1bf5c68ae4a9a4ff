import { expect } from 'chai';
import { cutList } from '$lib/core/craft/sizes';
import { review } from '$lib/core/making/checks';
import type { Item } from '$lib/core/documents/item';
import type { CutPiece } from '$lib/core/documents/plan';
import { composed, itemOf, saidOf } from './support/blocks';
import { endOf, roomyShop } from './support/ends';
import { EVERYDAY, type Everyday } from './support/everyday';
import { sheetWords } from './support/sheetWords';

function made({ outline, blocks }: Everyday): Item {
  const { troubles, ...rest } = composed(blocks, 'own', outline);
  expect(troubles).to.deep.equal([]);
  return itemOf({ troubles, ...rest });
}

const planOf = (item: Item) => review(item, undefined, roomyShop).plan;
const cutsOf = (item: Item): string[] =>
  planOf(item).cuts.map(
    ({ name, cut, count }: CutPiece) => `${name} ${cut.width} × ${cut.height}${count > 1 ? `, ${count}` : ''}`
  );
const titlesOf = (item: Item): string[] => planOf(item).steps.map(({ title }) => title);

describe('everyday items that no construction has', () => {
  it('a lined sleeve open at one end: outer bag and lining, the mouth never closed by itself', () => {
    const item = made(EVERYDAY.sleeve);
    expect(saidOf(item)).to.deep.equal([]);
    // 150 × 210: batting and fronts 12 more on each side, 174 × 234 to the ruler; backs 20 more, 190 × 250.
    expect(cutsOf(item).filter((cut) => !cut.startsWith('STABILISER'))).to.deep.equal([
      'BATTING 175 × 235',
      'FRONT 175 × 235',
      'BACK 190 × 250',
      'LINING FRONT 175 × 235',
      'LINING BACK 190 × 250'
    ]);
    const seams = planOf(item).steps.filter(({ title }) => title === 'Closing seam');
    expect(seams.map(({ detail }) => detail.replace(/^.*lines\. /, ''))).to.deep.equal([
      'The top stays open: 156 mm.',
      'The top stays open: 156 mm. It leaves 80 mm open at the bottom.'
    ]);
    const titles = titlesOf(item);
    // The outer bag is turned, the lining only once both are joined; nothing closes a mouth.
    expect(titles.filter((title) => /turn|clos|join|push/i.test(title))).to.deep.equal([
      'Closing seam',
      'Turn through the mouth',
      'Closing seam',
      'Join the mouths of outer bag and lining, right sides together',
      'Turn the sleeve right side out',
      'Close the opening of the lining',
      'Push the lining into the outer bag'
    ]);
  });
  it('a flag with a casing: folded, cut double, swung out beyond its seam', () => {
    const item = made(EVERYDAY.flag);
    expect(saidOf(item)).to.deep.equal([]);
    // 40 wide and 12 over the seam is 52, folded 104; 12 clear of the seams above and below leaves 76 of 100.
    expect(cutsOf(item)).to.include('CASING 104 × 76');
    expect(endOf(item)).to.deep.include({
      front: ['CASING right', 'FRONT right'],
      back: ['BACK right', 'CASING right']
    });
  });
  it('a three-sided pouch: three panels, a hooping each, sewn to each other', () => {
    const item = made(EVERYDAY.pouch);
    expect(saidOf(item)).to.deep.equal([]);
    expect(item.hoopings.map(({ hooped }) => hooped.length)).to.deep.equal([2, 2, 2]);
    expect(new Set(item.pieces.map(({ name }) => name)).size).to.equal(6);
    // Each is cut with its seam before the next is hooped.
    expect(
      sheetWords(item)
        .filter((word) => /^(hoop |cut-out|sew-up)/.test(word))
        .map((word) => word.split(' ')[0])
    ).to.deep.equal(['hoop', 'cut-out', 'hoop', 'cut-out', 'hoop', 'cut-out', 'sew-up', 'sew-up', 'sew-up']);
    // 360 mm at 90 s a metre and a minute of laying ready: 60 + 32 s.
    const joined = planOf(item).steps.find(({ title }) => title.startsWith('Join'));
    expect(joined?.title).to.equal('Join side 1, side 2 and side 3, right sides together');
    expect(joined?.detail).to.equal('360 mm by machine. Seam allowance 8 mm. Leave 100 mm open.');
    expect(joined?.hands.value).to.equal(92);
  });
  it('reverse appliqué on a pocket: the window shows the cloth beneath, the pocket is carried on', () => {
    const item = made(EVERYDAY.window);
    expect(saidOf(item)).to.deep.equal([]);
    expect(endOf(item).front).to.deep.equal(['FRONT right', 'POCKET right', 'SHOWING right']);
    const words = sheetWords(item);
    const at = (start: string): number => words.findIndex((word) => word.startsWith(start));
    // Cut once it is stitched, carried on once it is cut out, stitched down on a line of its own hooping.
    expect(at('trim')).to.be.greaterThan(at('S Window: cut outline'));
    expect(at('S Pocket: placement')).to.be.greaterThan(at('cut-out'));
    expect(at('S Pocket: stitched down')).to.be.greaterThan(words.lastIndexOf('lay piece-3-piece above up'));
  });
  it('a lace bowl: six segments two to a hoop and a base, rinsed and joined once', () => {
    const item = made(EVERYDAY.bowl);
    const words = sheetWords(item).map((word) => word.split(' ')[0]);
    expect(item.hoopings).to.have.length(4);
    expect(words.filter((word) => word === 'cut-roughly')).to.have.length(4);
    expect(words.slice(words.indexOf('rinse'))).to.deep.equal([
      'rinse',
      'wait',
      'join-parts',
      'other',
      'wait'
    ]);
    expect(words.filter((word) => word === 'rinse' || word === 'join-parts')).to.have.length(2);
    // One colour: the bobbin is wound once. Two parts of 60 and 8 between them are 128 wide.
    expect(words.filter((word) => word === 'bobbin')).to.have.length(1);
    expect(item.variants[0]?.size).to.deep.equal({ width: 128, height: 80 });
  });
  it('a runner of three hoopings: one cloth, crosses that are stitched, fresh stabiliser each time', () => {
    const item = made(EVERYDAY.runner);
    expect(saidOf(item)).to.deep.equal([]);
    expect(cutsOf(item).filter((cut) => cut.startsWith('FRONT'))).to.deep.equal(['FRONT 400 × 900']);
    expect(item.hoopings.map(({ hooped }) => hooped.at(-1))).to.deep.equal(Array(3).fill('hooping-1-cloth'));
    // The crosses are stitched before the cloth leaves the ring.
    const words = sheetWords(item).map((word) => word.replace(/ .*stabiliser.*/, ''));
    expect(words.filter((word) => /^(hoop|unhoop|S Crosses.*)$/.test(word))).to.deep.equal([
      'hoop',
      'S Crosses for the next hooping',
      'unhoop',
      'hoop',
      'S Crosses for the next hooping',
      'unhoop',
      'hoop',
      'unhoop'
    ]);
    expect(item.variants[0]?.finished).to.deep.equal({ width: 180, height: 640 });
  });
  it('a lined apron: ruffle, ties and pocket cut whole, and seen where they hang', () => {
    const item = made(EVERYDAY.apron);
    expect(saidOf(item)).to.deep.equal([]);
    expect(cutsOf(item).slice(2)).to.deep.equal([
      // 90 wide and 10 pressed under on either side; 70 high, 10 below and a hem of 20 above.
      'POCKET 110 × 100',
      // 176 between the side seams, twice, and two hems of 20; 50 deep, 12 over the seam, a hem of 20.
      'RUFFLE 392 × 82',
      'LEFT TIE 610 × 20',
      'RIGHT TIE 610 × 20',
      'LINING 240 × 300'
    ]);
    const end = endOf(item);
    expect(end.front).to.include.members(['FRONT right', 'POCKET right', 'RUFFLE right', 'LEFT TIE right']);
    expect(end.back).to.include('LINING right');
  });
  it('six napkins with a monogram: bought ones are counted, the stabiliser is cut for each', () => {
    const item = made(EVERYDAY.napkin);
    expect(saidOf(item)).to.deep.equal([]);
    const [hoop] = roomyShop.hoops;
    if (!hoop) throw new Error('The shop has no hoop.');
    const cuts = cutList(item, hoop, roomyShop, 6);
    expect(cuts.map(({ name, count, readyMade }) => [name, count, readyMade])).to.deep.equal([
      ['STABILISER', 6, undefined],
      ['NAPKIN', 6, true]
    ]);
  });
});
