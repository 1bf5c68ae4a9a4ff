import { review } from '$lib/core/making/checks';
import { plan } from '$lib/core/making/plan';
import { answersFor } from '$lib/core/reading/matching';
import { constructionOf } from '$lib/core/craft/constructions';
import { readChart } from '$lib/core/reading/papers';
import { expect } from 'chai';
import { makeItem } from './support/badger';
import { roomyShop } from './support/ends';

const NO_ROW = '1\tgrass\tfern green\t1200\n2\tbadger\tgrey\t3800\n3\teye\tblack\t90';
const titles = (item: ReturnType<typeof makeItem>): string[] =>
  plan(item, undefined, roomyShop).steps.map(({ title }) => title);
const aboveNotes = (item: ReturnType<typeof makeItem>): string[] =>
  review(item, undefined, roomyShop).checked.open.flatMap(({ severity, code }) =>
    severity === 'note' ? [] : code
  );

describe('a chart without a basting row', () => {
  const construction = constructionOf('plain-embroidery');
  if (!construction) throw new Error('no plain embroidery');
  const { rows } = readChart(NO_ROW);
  it('is answered by the machine’s own box', () => {
    expect(answersFor(construction, rows, construction.defaults)).to.deep.equal({ basting: 'machine' });
  });
  it('takes pins out once the box holds, and picks out what was put in', () => {
    const item = makeItem('plain-embroidery', { basting: 'machine' }, NO_ROW);
    const said = titles(item);
    const box = said.indexOf('Stitch the machine’s own basting box');
    expect(said.indexOf('Trace the design')).to.be.within(0, box - 1);
    expect(said.indexOf('Take every pin out')).to.equal(box + 2);
    expect(said).to.include('Pick the basting stitches out');
    expect(aboveNotes(item)).to.deep.equal([]);
  });
  it('with no box at all leaves the pins in until the end, and nothing is picked out', () => {
    const item = makeItem('plain-embroidery', { basting: 'no' }, NO_ROW);
    const said = titles(item);
    expect(said).to.not.include('Pick the basting stitches out');
    expect(said.indexOf('Take every pin out')).to.be.greaterThan(said.indexOf('Unhoop'));
    expect(aboveNotes(item)).to.deep.equal([]);
  });
  it('whose maker says the file has one hears that no row is it', () => {
    const item = makeItem('plain-embroidery', { basting: 'yes' }, NO_ROW);
    expect(item.remarks.map(({ code }) => code)).to.include('chart/no-row');
  });
});

describe('basting', () => {
  it('a box of the machine’s own is a step of the hands that stitches', () => {
    const item = makeItem('plain-embroidery', { basting: 'machine', width: 88, height: 48 });
    const step = plan(item, undefined, roomyShop).steps.find(({ op }) => op?.do === 'baste');
    // 100 by 60 with corners as the offset leaves them: some 320 mm in stitches of 5 mm, 64.
    expect(step?.op?.do === 'baste' && step.op.stitches).to.be.within(60, 64);
    expect(step?.hands.value).to.equal(5);
    expect(step?.running.value).to.be.within(5, 20);
  });
});
