import { extents } from '$lib/core/base/geometry';
import { constructionOf } from '$lib/core/craft/constructions';
import { withUsual } from '$lib/core/craft/sequence';
import type { Item } from '$lib/core/documents/item';
import { review } from '$lib/core/making/checks';
import { expect } from 'chai';
import { makeItem } from './support/badger';
import { blocksOf, composed, itemOf, saidOf } from './support/blocks';
import { roomyShop } from './support/ends';

/** What is said of a design of 120 × 120 mm on a thing, beyond a note. */
const said = (answers: Record<string, unknown>): string[] =>
  review(
    itemOf(composed(blocksOf(['ready-made', answers], 'details', 'finishing'))),
    undefined,
    roomyShop
  ).checked.open.flatMap(({ code, text }) => (code === 'covering/off-edge' ? text : []));

describe('a design on a thing that was bought finished', () => {
  it('a design that hangs over a towel is told with how far', () => {
    // The details are 52 mm high: 26 mm from a middle that lies 435 of the towel's 450 mm down are 11 mm too far.
    const made = itemOf(composed(blocksOf(['ready-made', {}], 'details', 'finishing')));
    const details = made.lines.find(({ id }) => id.startsWith('details'));
    expect(details && extents(details.path).height).to.be.closeTo(52, 0.5);
    expect(said({ thing: 'towel', width: 500, height: 900, towards: 435 })).to.deep.equal([
      'The design reaches 11 mm beyond the edge of TOWEL.'
    ]);
    expect(said({ thing: 'towel', width: 500, height: 900, towards: -435 })).to.have.length(1);
    expect(said({ thing: 'towel', width: 500, height: 900, right: 240, towards: 0 })).to.have.length(1);
  });
  it('one that lies on it is not, hooped or floated, up to its very edge', () => {
    for (const mount of ['floated', 'hooped', 'stuck'])
      expect(said({ thing: 'towel', width: 500, height: 900, towards: 420, mount })).to.deep.equal([]);
  });
  it('one that lies on the hem is told with how much of it: thick cloth breaks needles', () => {
    const reached = (answers: Record<string, unknown>): string[] =>
      saidOf(itemOf(composed(blocksOf(['ready-made', answers], 'details', 'finishing'))));
    // 26 mm from a middle 415 down are 441 of 450: 9 from the edge, 6 of them on a hem of 15.
    expect(reached({ thing: 'towel', width: 500, height: 900, towards: 415 })).to.deep.equal([
      'covering/on-hem: The design reaches 6 mm on to the hem of TOWEL.'
    ]);
    expect(reached({ thing: 'towel', width: 500, height: 900, towards: 408 })).to.deep.equal([]);
  });
  it('one that is hooped must reach past the ring on every side, and is never told to be cut larger', () => {
    const held = (answers: Record<string, unknown>): string[] =>
      saidOf(itemOf(composed(blocksOf(['ready-made', answers], 'details', 'finishing')))).filter((each) =>
        each.startsWith('ring')
      );
    const napkin = { thing: 'napkin', width: 400, height: 400, mount: 'hooped', stabiliser: 'cutaway' };
    expect(held({ ...napkin, right: 0, towards: 0 })).to.deep.equal([]);
    // The ring of the large hoop is 370 high: 185 from a middle 120 down is 105 past 200.
    expect(held({ ...napkin, right: 0, towards: 120 })).to.deep.equal([
      'ring/off-thing: The ring reaches 105 mm beyond the edge of NAPKIN: it cannot hold it there.'
    ]);
    expect(held({ ...napkin, mount: 'floated', right: 0, towards: 120 })).to.deep.equal([]);
  });
  const plain = constructionOf('plain-embroidery');
  /** A design on a thing, all else as it is usual there. */
  const onIt = (thing: string): Item => {
    const answers = withUsual(plain?.questions ?? [], plain?.defaults ?? {}, { thing });
    const blocks = plain?.blocksOf({ ...plain.defaults, ...answers }) ?? [];
    return itemOf(composed([...blocks], 'plain-embroidery', answers), 'plain-embroidery');
  };
  const things = plain?.questions.find(({ key }) => key === 'thing');
  for (const { value, label } of things && 'options' in things ? things.options : [])
    it(`${label.toLowerCase()} has its own cloth, size and place for the design, and nothing is wrong there`, () => {
      expect(saidOf(onIt(value))).to.deep.equal([]);
    });
  it('a napkin is 400 each way and takes its design in a corner; what the maker said before stays', () => {
    const { questions = [], defaults = {} } = plain ?? {};
    const usual = withUsual(questions, defaults, { thing: 'napkin' });
    // 50 mm from both edges: 200 − 50 − 45 and 200 − 50 − 30.
    expect(usual).to.deep.include({ ownWidth: 400, ownHeight: 400, right: 105, towards: 120 });
    const own = withUsual(questions, { ...defaults, ownWidth: 450 }, { thing: 'napkin' });
    expect(own).to.not.have.property('ownWidth');
    expect(own).to.deep.include({ ownHeight: 400 });
  });
  it('the sheet says where the design goes: 300 from the end of a towel of 900, over the heart on a shirt', () => {
    const where = (thing: string): string | undefined =>
      review(onIt(thing), undefined, roomyShop).plan.steps.find(({ op }) => op?.do === 'mark-middle')?.detail;
    expect(where('towel')).to.equal('150 mm towards you, from the middle of TOWEL.');
    expect(where('shirt')).to.equal(
      '100 mm to the right and 150 mm away from you, from the middle of SHIRT.'
    );
    expect(where('tote')).to.equal('In the middle of TOTE BAG.');
  });
  it('the corners of napkins and a lace that hangs over a handkerchief are as they should be', () => {
    for (const kind of ['several-designs', 'cutwork-corner', 'topper'])
      expect(
        review(makeItem(kind), undefined, roomyShop).checked.open.map(({ code }) => code)
      ).to.not.include('covering/off-edge');
  });
});
