import { expect } from 'chai';
import { saidOf, soundItem } from './support/blocks';

const GROUND = {
  stabiliser: 'tear-away',
  layers: 2,
  ground: 'hooped',
  cloth: { kind: 'felt', name: 'Felt', colour: '#333333' }
};

describe('small pieces', () => {
  it('of 6 to 12 mm are seen: an eye is no sliver of something else', () => {
    for (const width of [6, 8, 10, 12])
      expect(
        saidOf(
          soundItem(
            { width: 120, height: 120 },
            ['hooping', GROUND],
            ['applique', { width, height: width, shape: 'oval' }],
            ['applique', { width, height: width, shape: 'oval', across: 30, method: 'pre-cut' }],
            'finishing'
          )
        ),
        `${width} mm`
      ).to.deep.equal([]);
  });
});
