import { review } from '$lib/core/making/checks';
import { expect } from 'chai';
import { makeItem } from './support/badger';
import { roomyShop } from './support/ends';

describe('a design on a cushion', () => {
  const found = (answers: Record<string, unknown>) =>
    review(makeItem('split-design', answers), undefined, roomyShop).checked.open.flatMap(({ code, text }) =>
      code === 'covering/off-edge' ? text : []
    );
  it('that is smaller than it is nothing to say', () => {
    expect(found({ width: 120, height: 240, cushionWidth: 200, cushionHeight: 260 })).to.deep.equal([]);
  });
  it('that is larger is told once, by how much: 240 wide and its satin of 4 on 200 reach 22 over', () => {
    const said = found({ width: 240, height: 200, cushionWidth: 200, cushionHeight: 260 });
    expect(said).to.have.length(1);
    expect(said[0]).to.match(/^The design reaches 22 mm beyond the edge of GROUND\.$/);
  });
  it('that is not sewn up has no seam to reach', () => {
    expect(found({ width: 240, height: 200, cushion: 'no' })).to.deep.equal([]);
  });
});
