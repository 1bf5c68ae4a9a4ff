import { constructionOf } from '$lib/core/craft/constructions';
import { cutList } from '$lib/core/craft/sizes';
import { expect } from 'chai';
import { blocksOf, composed, itemOf, saidOf } from './support/blocks';
import { endOf, roomyShop } from './support/ends';
import { sheetWords } from './support/sheetWords';

const FELT = { kind: 'felt', name: 'Felt', colour: '#7c8a6a' };
const LINEN = { kind: 'woven', name: 'Napkin linen', colour: '#efe9da' };
const [hooping] = roomyShop.hoops;

/** Items that no recipe has: built of blocks, simulated, and read as a maker would hold them in the end. */
describe('items that no recipe has', () => {
  it('a mat with four appliqué pieces and a name, edged in satin', () => {
    const four = [-30, 30].flatMap((across) =>
      [-30, 30].map((down): [string, Record<string, unknown>, string] => [
        'applique',
        { across, down, width: 30, height: 30 },
        `Leaf ${across < 0 ? 'left' : 'right'} ${down < 0 ? 'up' : 'down'}`
      ])
    );
    const made = composed(
      blocksOf(
        'hooping',
        'front',
        ...four,
        ['name', { name: 'Ada', width: 40, height: 12 }],
        'back-under',
        'edge-satin',
        'finishing'
      )
    );
    const item = itemOf(made);
    expect(made.troubles).to.deep.equal([]);
    expect(saidOf(item)).to.deep.equal([]);
    const end = endOf(item);
    expect(end.front).to.deep.equal([
      'FRONT right',
      'LEAF LEFT DOWN right',
      'LEAF LEFT UP right',
      'LEAF RIGHT DOWN right',
      'LEAF RIGHT UP right'
    ]);
    expect(end.back).to.deep.equal(['BACK right']);
    // The name comes on the finished surface and before the back.
    const words = sheetWords(item);
    const at = (word: string): number => words.findIndex((each) => each.startsWith(word));
    expect(at('insert-run')).to.be.greaterThan(at('S Leaf right down: edge'));
    expect(at('insert-run')).to.be.lessThan(at('lay back-under-8-back'));
  });
  it('a two-panel coaster with a turned edge and a name', () => {
    const made = composed(
      blocksOf(
        'hooping',
        'batting',
        'front',
        ['panel', { share: 40 }],
        'quilting',
        ['name', { down: -20 }],
        'back-turned',
        'finishing'
      )
    );
    expect(saidOf(itemOf(made))).to.deep.equal([]);
    expect(endOf(itemOf(made))).to.deep.include({
      front: ['FRONT right', 'PANEL right'],
      back: ['BACK right'],
      hidden: ['BATTING']
    });
  });
  it('a flower on a joined appliqué: a block between the parts of a construction', () => {
    const parts = constructionOf('joined-applique')?.patternOf({});
    if (!parts?.ok) throw new Error('There is no joined appliqué.');
    const at = parts.blocks.findIndex(({ id }) => id === 'trim');
    const flower = blocksOf(['applique', { across: 20, width: 20, height: 20, cloth: FELT }, 'Flower']);
    const made = composed(parts.blocks.toSpliced(at, 0, ...flower), 'joined-applique');
    const item = itemOf(made, 'joined-applique');
    expect(made.troubles).to.deep.equal([]);
    expect(saidOf(item)).to.deep.equal([]);
    expect(endOf(item).front).to.deep.equal([
      'FLOWER right',
      'GROUND right',
      'LEFT PIECE right',
      'RIGHT PIECE right'
    ]);
  });
  it('a mug mat of six strips with a ribbon in its seam', () => {
    const made = composed(
      blocksOf(
        'hooping',
        'batting',
        ['strips', { strips: 6 }],
        ['caught', { what: 'ribbon', side: 'left', reach: 20 }],
        'back-turned',
        'finishing'
      )
    );
    expect(saidOf(itemOf(made))).to.deep.equal([]);
    expect(endOf(itemOf(made)).front).to.deep.equal([
      'RIBBON right',
      ...[1, 2, 3, 4, 5, 6].map((strip) => `STRIP ${strip} right`)
    ]);
  });
  it('an unlined pouch: zip, panels, back, turned through the zip', () => {
    const made = composed(blocksOf('hooping', 'zip', 'details', 'back-turned', 'finishing'), 'own', {
      shape: 'rectangle'
    });
    const item = itemOf(made);
    expect(saidOf(item)).to.deep.equal([]);
    expect(endOf(item)).to.deep.include({
      front: ['LOWER FRONT right', 'UPPER FRONT right', 'ZIP right'],
      back: ['BACK right']
    });
    // Open before the back covers it, or nothing can be turned.
    const words = sheetWords(item);
    expect(words.indexOf('zip zip-2-piece')).to.be.lessThan(
      words.findIndex((each) => each.startsWith('lay back'))
    );
  });
  it('a felt badge with a raw shape, a slot and a back, cut out', () => {
    const made = composed(
      blocksOf(
        ['hooping', { ground: 'none' }],
        ['front', { cloth: FELT }],
        ['applique', { cloth: FELT, method: 'laid', edge: 'raw' }, 'Star'],
        ['slot', { down: -45 }],
        'back-under',
        'edge-cut',
        'finishing'
      )
    );
    expect(saidOf(itemOf(made))).to.deep.equal([]);
    expect(endOf(itemOf(made))).to.deep.include({
      front: ['FRONT right', 'STAR right'],
      back: ['BACK right']
    });
    expect(made.pattern.variant.finished).to.deep.equal({ width: 126, height: 126 });
  });
  it('a towel with an appliqué shape and a name through topping', () => {
    const made = composed(
      blocksOf(
        ['ready-made', { topping: 'no', towards: 200 }],
        ['applique', {}, 'Lamp'],
        'topping',
        ['name', { down: 45 }],
        'finishing'
      )
    );
    const item = itemOf(made);
    expect(saidOf(item)).to.deep.equal([]);
    expect(endOf(item).front).to.deep.equal(['LAMP right', 'TOWEL right']);
    // Counted, not cut: its own size, whatever the hoop.
    if (!hooping) throw new Error('The shop has no hoop.');
    const towel = cutList(item, hooping, roomyShop, 2).find(({ name }) => name === 'TOWEL');
    expect([towel?.count, towel?.cut, towel?.readyMade]).to.deep.equal([
      2,
      { width: 500, height: 900 },
      true
    ]);
  });
  it('a napkin with a cutwork opening and lace beside it', () => {
    const made = composed(
      blocksOf(
        ['hooping', { stabiliser: 'wash-away', layers: 2, ground: 'hooped', cloth: LINEN }],
        ['cutwork-opening', { across: -25, width: 30, height: 24 }],
        ['lace-part', { across: 30, width: 30, height: 30 }],
        'finishing'
      )
    );
    expect(made.troubles).to.deep.equal([]);
    expect(saidOf(itemOf(made))).to.deep.equal([]);
    expect(sheetWords(itemOf(made)).filter((word) => word.startsWith('bobbin'))).to.have.length(2);
  });
});

describe('an envelope back', () => {
  it('an envelope back turns the cover through its overlap', () => {
    const made = composed(
      blocksOf(
        ['hooping', { ground: 'hooped' }],
        'details',
        ['back-turned', { closes: 'envelope' }],
        'finishing'
      )
    );
    const item = itemOf(made);
    expect(saidOf(item)).to.deep.equal([]);
    expect(endOf(item)).to.deep.include({
      front: ['FRONT right'],
      back: ['LOWER BACK right', 'UPPER BACK right']
    });
    // One back alone overlaps nothing.
    const alone = {
      ...item,
      pieces: item.pieces.map((piece) => (piece.name === 'LOWER BACK' ? { ...piece, folded: false } : piece))
    };
    expect(saidOf(alone).join()).to.include('overlaps no other back');
  });
});
