import { defaultSetup, type Hoop, type Shop } from '$lib/core/documents/shop';
import { review } from '$lib/core/making/checks';
import { expect } from 'chai';
import { badgerShop, makeItem } from './support/badger';

const long: Hoop = {
  id: 'moved',
  name: 'Moved hoop',
  field: { width: 130, height: 180 },
  ring: { width: 180, height: 330 },
  capSpm: null,
  positions: 2
};
/** Nobody has said how it is mounted. */
const unsaid: Hoop = {
  id: 'plain',
  name: 'Plain hoop',
  field: { width: 130, height: 180 },
  ring: { width: 175, height: 230 },
  capSpm: null
};
const withHoops = (...hoops: Hoop[]): Shop => ({ ...badgerShop(), hoops });

describe('a split design', () => {
  const item = makeItem('split-design', { width: 80, height: 150 });
  const said = (shop: Shop, hoopId?: string): string[] => {
    const setup = defaultSetup(item, shop);
    const own = hoopId === undefined ? setup : { ...setup, hoopId };
    return review(item, own, shop).checked.open.flatMap(({ code }) =>
      code.startsWith('mounting') ? code : []
    );
  };
  it('takes a hoop that is moved on its mount, where there is one', () => {
    const shop = withHoops({ ...unsaid, field: { width: 100, height: 100 } }, long);
    expect(defaultSetup(item, shop).hoopId).to.equal('moved');
    expect(said(shop)).to.deep.equal([]);
  });
  it('says nothing where nobody has said how hoops are mounted', () => {
    expect(said(withHoops(unsaid))).to.deep.equal([]);
  });
});

describe('mounting', () => {
  it('a hoop that is not moved is told where another is', () => {
    const item = makeItem('split-design', { width: 80, height: 150 });
    const shop = withHoops(unsaid, long);
    const setup = { ...defaultSetup(item, shop), hoopId: 'plain' };
    const [found] = review(item, setup, shop).checked.open.filter(({ code }) => code === 'mounting/too-few');
    expect(found?.text).to.equal('Plain hoop has one mounting position, and this is stitched at 2.');
    expect(found?.fix?.label).to.equal('Take Moved hoop');
    expect(found?.fix?.setup?.hoopId).to.equal('moved');
  });
  it('both halves must lie in the ring', () => {
    const item = makeItem('split-design', { width: 80, height: 300, cushion: 'no' });
    const shop = withHoops({ ...long, ring: { width: 180, height: 250 } });
    const texts = review(item, defaultSetup(item, shop), shop).checked.open.flatMap(({ code, text }) =>
      code === 'mounting/ring' ? text : []
    );
    expect(texts).to.have.length(1);
    expect(texts[0]).to.match(
      /^Both halves together, 80 × 29\d(?:\.\d)? mm, do not lie in the ring of Moved hoop\.$/
    );
  });
});
