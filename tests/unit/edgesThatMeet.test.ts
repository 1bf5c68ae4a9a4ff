import { expect } from 'chai';
import { blocksOf, composed, itemOf, saidOf } from './support/blocks';

type Said = Parameters<typeof blocksOf>[number];
const CLOTH: Said = ['hooping', { ground: 'hooped', stabiliser: 'cutaway' }];
const FELT = { kind: 'felt', name: 'Felt', colour: '#6d1f31' };

describe('two edges that meet', () => {
  const two = (second: Record<string, unknown>): string[] =>
    saidOf(
      itemOf(
        composed(
          blocksOf(
            CLOTH,
            ['applique', { cloth: FELT, shape: 'rectangle', width: 40, height: 40, across: -20 }],
            ['applique', { cloth: FELT, shape: 'rectangle', width: 40, height: 40, ...second }],
            'finishing'
          )
        )
      )
    ).filter((said) => said.startsWith('ridge'));
  it('make a ridge where they run beside each other for 40 mm, half over half', () => {
    expect(two({ across: 21.4 })[0]).to.contain('two dense edges make a ridge');
  });
  it('are one where the pieces share a side: the satin of the upper one covers both, nothing is left raw', () => {
    expect(two({ across: 20 })).to.deep.equal([]);
    const made = composed(
      blocksOf(
        CLOTH,
        ['applique', { cloth: FELT, shape: 'rectangle', width: 40, height: 40, across: -20 }],
        ['applique', { cloth: FELT, shape: 'rectangle', width: 40, height: 40, across: 20 }],
        'finishing'
      )
    );
    const gaps = made.pattern.lines.find(({ id }) => id === 'applique-2-shape')?.gaps ?? [];
    // The side of 40, and what lies within a millimetre of its corners.
    expect(gaps.reduce((sum, { from, to }) => sum + to - from, 0)).to.be.within(39, 42.5);
    expect(saidOf(itemOf(made))).to.deep.equal([]);
  });
  it('make one too where a single stop stitches both', () => {
    const beside = (apart: number): string[] => {
      const answers = {
        pieces: 2,
        apart,
        shape: 'rectangle',
        width: 30,
        height: 30,
        first: FELT,
        second: FELT
      };
      const item = itemOf(composed(blocksOf(CLOTH, ['pieces', answers], 'finishing')));
      return saidOf(item).filter((said) => said.startsWith('ridge'));
    };
    expect(beside(30)).to.have.length(1);
    expect(beside(38)).to.deep.equal([]);
  });
  it('are left out under the piece that is laid later, whether they are stitched at once or all at last', () => {
    for (const edge of ['satin', 'later']) {
      const { pattern, troubles } = composed(
        blocksOf(
          CLOTH,
          ['applique', { cloth: FELT, shape: 'rectangle', width: 40, height: 40, edge }, 'Lower'],
          [
            'applique',
            { cloth: FELT, shape: 'rectangle', width: 40, height: 40, across: 20, down: 10, edge },
            'Upper'
          ],
          ...(edge === 'later' ? ['later-edges'] : []),
          'finishing'
        )
      );
      expect(troubles).to.deep.equal([]);
      const gaps = pattern.lines.find(({ id }) => id === 'applique-2-shape')?.gaps ?? [];
      // Of the lower square 30 mm on the right and 20 below lie under the upper one.
      const out = gaps.reduce((sum, { from, to }) => sum + to - from, 0);
      expect(out).to.be.closeTo(50, 3);
    }
  });
  it('make none where there is room between them, or where they only cross', () => {
    expect(two({ across: 28 })).to.deep.equal([]);
    expect(two({ across: -10, down: -17 })).to.deep.equal([]);
  });
});
