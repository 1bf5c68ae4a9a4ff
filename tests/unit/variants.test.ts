import { extents } from '$lib/core/base/geometry';
import type { Pattern } from '$lib/core/craft/sequence';
import { GLOSSARY, wordsIn } from '$lib/core/craft/operations';
import {
  brokenReferences,
  forVariant,
  Item,
  type Item as ItemType,
  stitchesOf
} from '$lib/core/documents/item';
import { newCutJob } from '$lib/core/documents/cutJob';
import { newLine } from '$lib/core/documents/order';
import { defaultSetup, inVariant } from '$lib/core/documents/shop';
import { review } from '$lib/core/making/checks';
import { plan } from '$lib/core/making/plan';
import { planBatch } from '$lib/core/ordering/day';
import { orderWants } from '$lib/core/ordering/quote';
import { orderDemands } from '$lib/core/ordering/quote/needs';
import { cutInputOf } from '$lib/core/preparing/cutting';
import { addVariant } from '$lib/core/reading/matching';
import { expect } from 'chai';
import { badgerShop, badgerTab, makeItem, NOW, patternOf } from './support/badger';
import { orderOf } from './support/orders';

const shop = badgerShop();
const patternFor = (item: ItemType, overrides: object = {}): Pattern =>
  patternOf(item.construction ?? '', { ...item.params, ...overrides }).pattern;
const vary = (item: ItemType, overrides: Record<string, unknown>): ItemType =>
  addVariant(
    item,
    { id: 'other', name: 'Other', overrides },
    { old: patternFor(item), next: patternFor(item, overrides) }
  );
const ids = (item: ItemType): string[] => item.steps.map(({ id }) => id);

describe('variants of an item', () => {
  const tab = badgerTab();

  it('of another size share steps, threads and chart; lines and stitches are their own', () => {
    const both = vary(tab, { height: 114 });
    expect(Item.parse(both)).to.deep.equal(both);
    const large = forVariant(both, 'other');
    expect(ids(large)).to.deep.equal(ids(tab));
    expect(extents(large.lines[0]?.path as never).height).to.equal(114);
    expect(extents(forVariant(both, 'variant-1').lines[0]?.path as never).height).to.equal(94);
    // Round the outline 128 + 30 pi = 222.2 mm before, 262.2 mm now, so 120 charted stitches become 142.
    const stops = large.files.flatMap((file) => file.stops);
    expect(stops.map(stitchesOf).slice(0, 2)).to.deep.equal([142, 142]);
    expect(stitchesOf(tab.files[0]?.stops[0] as never)).to.equal(120);
  });
  it('that close otherwise bring their own steps and leave the others out', () => {
    const both = vary(tab, { closing: 'eyelet' });
    expect(brokenReferences(both)).to.deep.equal([]);
    expect(ids(forVariant(both, 'other'))).to.include('ring');
    expect(ids(forVariant(both, 'variant-1'))).to.deep.equal(ids(tab));
  });
  it('that are built by another school keep every step in its order', () => {
    const bib = makeItem('turned-flat');
    const both = vary(bib, { school: 'pieced' });
    expect(Item.parse(both)).to.deep.equal(both);
    const pieced = forVariant(both, 'other');
    expect(ids(pieced)).to.include.members(['lay-lower', 'lay-upper', 'flip']);
    expect(ids(pieced).indexOf('flip')).to.be.below(ids(pieced).indexOf('lay-back'));
    expect(pieced.pieces.map(({ id }) => id)).to.include('lower');
    expect(ids(forVariant(both, 'variant-1'))).to.deep.equal(ids(bib));
    expect(forVariant(both, 'variant-1').pieces.map(({ id }) => id)).to.not.include('lower');
  });
  it('may be three, each with its own steps', () => {
    const bib = makeItem('turned-flat');
    const both = vary(bib, { school: 'pieced' });
    const next = addVariant(
      both,
      { id: 'third', name: 'Third', overrides: { school: 'pieced', width: 180 } },
      { old: patternFor(bib), next: patternFor(bib, { school: 'pieced', width: 180 }) }
    );
    expect(brokenReferences(next)).to.deep.equal([]);
    expect(ids(forVariant(next, 'third'))).to.deep.equal(ids(forVariant(both, 'other')));
    expect(ids(forVariant(next, 'other'))).to.deep.equal(ids(forVariant(both, 'other')));
    expect(ids(forVariant(next, 'variant-1'))).to.deep.equal(ids(bib));
  });
  it('are planned as the setup names them, cut list and finished size with it', () => {
    const both = vary(tab, { height: 114 });
    const planned = plan(both, { ...defaultSetup(both, shop), variantId: 'other' }, shop);
    expect(planned.variant).to.deep.equal({ id: 'other', name: 'Other' });
    expect(planned.finished).to.deep.equal({ width: 36, height: 120 });
    expect(planned.cuts[1]?.cut).to.deep.equal({ width: 55, height: 140 });
    expect(plan(both, undefined, shop).finished.height).to.equal(100);
  });
  it('are cut by their own lines, pieces and cloth: sheet, cutting plan, shopping, order and quote', () => {
    const felt = { kind: 'felt', name: 'Felt', colour: '#7c8a6a' };
    const both = vary(tab, { height: 114, front: felt });
    const setup = { ...defaultSetup(both, shop), variantId: 'other' };
    const planned = plan(both, setup, shop);
    expect(planned.cuts.map(({ material }) => material.kind)).to.deep.equal(['tear-away', 'felt', 'felt']);
    const want = { item: both, setup, copies: 2 };
    const job = newCutJob('item', 2);
    const { demands } = cutInputOf({ shop, stash: [], wants: [want], job });
    const front = demands.find(({ pieceId }) => pieceId === 'front');
    expect([front?.material.kind, front?.cut]).to.deep.equal(['felt', { width: 55, height: 140 }]);

    const line = { ...newLine('line', both.id, 2), variantId: 'other' };
    const input = {
      shop,
      items: [{ item: both, setup: undefined }],
      order: orderOf([line]),
      now: Date.parse(NOW)
    };
    const batch = planBatch(input);
    const ordered = orderDemands(input, batch, []).find(({ pieceId }) => pieceId === 'front');
    expect([ordered?.material.kind, ordered?.cut]).to.deep.equal(['felt', { width: 55, height: 140 }]);
    const [wanted] = orderWants(input, batch);
    expect(wanted?.item.pieces.find(({ id }) => id === 'front')?.material.kind).to.equal('felt');
    expect(wanted?.plan.cuts.find(({ pieceId }) => pieceId === 'front')?.cut.height).to.equal(140);
  });
  it('hold, lay and hoop as their answers say, and have the width of their own edge', () => {
    const bib = makeItem('turned-flat');
    const pieced = forVariant(vary(bib, { school: 'pieced', backHold: 'pins' }), 'other');
    expect(pieced.hoopings[0]?.hooped).to.deep.equal(['stabiliser']);
    expect(pieced.pieces.find(({ id }) => id === 'front')?.covers).to.equal('panel-upper');
    const back = pieced.steps.find(({ id }) => id === 'lay-back');
    expect(back?.kind === 'hand' && back.op.do === 'lay' && back.op.hold.by).to.equal('pins');
    const patch = makeItem('patch');
    const wide = forVariant(vary(patch, { borderWidth: 6 }), 'other');
    const border = wide.files[0]?.stops.find(({ expects }) => expects === 'border');
    expect(border?.phases.at(-1)?.width).to.equal(6);
  });
  it('get the hoop of their own size, turned a quarter where that fits a smaller one', () => {
    const both = vary(tab, { width: 114, height: 60 });
    const setup = inVariant(defaultSetup(both, shop), both, shop.hoops, 'other');
    expect([setup.variantId, setup.hoopId, setup.turned]).to.deep.equal(['other', 'hoop-130', false]);
    const wide = vary(tab, { width: 165, height: 115 });
    const turned = inVariant(defaultSetup(wide, shop), wide, shop.hoops, 'other');
    expect([turned.hoopId, turned.turned]).to.deep.equal(['hoop-130', true]);
    // The hoop lies on its side under the design; the first step says so, and nothing reaches outside.
    const { plan: lying, checked } = review(wide, turned, shop);
    expect(lying.hoop.field).to.deep.equal({ width: 180, height: 130 });
    expect(lying.steps[0]?.detail).to.contain('turn the design a quarter');
    expect(checked.open.map(({ code }) => code)).to.deep.equal([]);
    // A hoop that is too small stays, is said, and the one that takes it is offered.
    const small = review(wide, { ...turned, hoopId: 'hoop-100', turned: false }, shop).checked.open;
    expect([...new Set(small.map(({ code }) => code))]).to.deep.equal(['field/outside']);
    expect(small[0]?.fix).to.deep.include({
      label: 'Take Long hoop, turned a quarter',
      setup: { hoopId: 'hoop-130', turned: true }
    });
    // Upright it is said once, with the turn as the fix.
    const upright = review(wide, { ...turned, turned: false }, shop).checked.open;
    expect(upright.map(({ code, fix }) => [code, fix?.setup])).to.deep.equal([
      ['field/turn', { turned: true }]
    ]);
  });
});

describe('the words of the craft', () => {
  it('are found where a text uses them', () => {
    expect(wordsIn('Flip UPPER FRONT').map(({ word }) => word)).to.deep.equal(['flip']);
    expect(wordsIn('Unhoop').map(({ word }) => word)).to.deep.equal(['unhoop']);
    expect(wordsIn('')).to.deep.equal([]);
  });
  it('are each explained once', () => {
    expect(new Set(GLOSSARY.map(({ word }) => word)).size).to.equal(GLOSSARY.length);
  });
});
