import { expect } from 'chai';
import { blocksOf, composed, itemOf, saidOf } from './support/blocks';
import { sheetWords } from './support/sheetWords';

type Said = Parameters<typeof blocksOf>[number];
const words = (...blocks: Said[]): string[] => sheetWords(itemOf(composed(blocksOf(...blocks))));

describe('answers of blocks', () => {
  it('as many cutting needles as the set has, spread evenly over half a turn', () => {
    const cuts = (needles: number): string[] =>
      words(
        ['hooping', { stabiliser: 'wash-away', layers: 2, ground: 'hooped' }],
        ['cutwork-opening', { school: 'needles', needles }],
        'finishing'
      ).flatMap((word) => /Needle cut, (\d+)°/.exec(word)?.[1] ?? []);
    expect(cuts(2)).to.deep.equal(['0', '90']);
    expect(cuts(3)).to.deep.equal(['0', '60', '120']);
    expect(cuts(4)).to.deep.equal(['0', '45', '90', '135']);
  });
  it('a row of snaps says the side it sits on', () => {
    const item = itemOf(
      composed(blocksOf('hooping', 'front', 'finishing', ['hardware', { count: 4, holes: 8, where: 'left' }]))
    );
    const set = item.steps.find((step) => step.kind === 'hand' && step.op.do === 'hardware');
    expect(set?.note).to.equal('In a row on the left, evenly spaced.');
  });
  it('cloth that is larger than the ring is cut as large as it was asked', () => {
    const { pieces } = itemOf(
      composed(blocksOf(['hooping', { ground: 'hooped', wide: 400, high: 900 }], 'details', 'finishing'))
    );
    expect(pieces.find(({ name }) => name === 'FRONT')?.overrides).to.deep.equal({ width: 400, height: 900 });
  });
  it('an opening where it was asked beside the middle of its side, and another at a second one', () => {
    const item = itemOf(
      composed(
        blocksOf(
          ['hooping', { ground: 'hooped', stabiliser: 'cutaway' }],
          'details',
          ['back-turned', { at: 'bottom', from: 20, opening: 60, also: 'left' }],
          'finishing'
        ),
        'own',
        { shape: 'rectangle', width: 200, height: 200 }
      )
    );
    expect(saidOf(item)).to.deep.equal([]);
    const gaps = item.lines.find(({ gaps: own }) => own.length > 0)?.gaps ?? [];
    expect(gaps.map(({ from, to }) => Math.round(to - from))).to.deep.equal([60, 60]);
    // The path runs from the upper left corner over right and bottom: 400 to the lower right corner, 80 back to 20 right of the middle.
    expect((gaps[0]?.from ?? 0) + 30).to.be.closeTo(480, 0.5);
  });
  it('a piece is not offered what would fray, have no fold or lie on a closed item', () => {
    const why = (answers: Record<string, unknown>, ...after: Said[]): string | undefined =>
      composed(blocksOf(['hooping', { ground: 'hooped' }], ...after, ['piece', answers])).troubles[0]?.why;
    expect(why({ openEdge: 'raw' })).to.equal('Ticket buff frays where its edge stays raw.');
    expect(why({ openEdge: 'fold' })).to.equal('Only what is folded has a fold at its edge.');
    expect(why({ form: 'folded', top: 'seam' })).to.equal('A fold lies at an open edge, and none is open.');
    expect(why({}, 'back-turned')).to.equal('Front and back are closed already.');
  });
});
