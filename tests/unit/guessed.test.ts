import { editStop, findStop, type Item } from '$lib/core/documents/item';
import type { Shop } from '$lib/core/documents/shop';
import { plan } from '$lib/core/making/plan';
import { countsFromItems } from '$lib/core/running/learning';
import { expect } from 'chai';
import { badgerShop, makeItem } from './support/badger';

/** Counts that nobody has charted: said as guesses, wide, and learned from items that are charted. */
const shop = badgerShop();
/** A patch of which only the border is charted, so many stitches to a millimetre of it. */
const patchAt = (perMm: number, house: string): Item => {
  const patch = makeItem('patch');
  const border = patch.files[0]?.stops.find(({ expects }) => expects === 'border');
  if (!border) throw new Error('no border');
  const charted = (border.phases.reduce((sum, { stitches }) => sum + stitches, 0) / 7.5) * perMm;
  const item = editStop(patch, border.id, { stitches: Math.round(charted) });
  return {
    ...item,
    house,
    files: item.files.map((file) => ({
      ...file,
      stops: file.stops.map((stop) =>
        stop.id === border.id ? { ...stop, countSource: 'chart' as const } : stop
      )
    }))
  };
};

describe('counts that nobody has charted', () => {
  it('are said to be guesses, with their range in stitches, thread and bobbin', () => {
    const made = plan(makeItem('patch'), undefined, shop);
    // Colour 2,500 and a border of 3.0 + 4.5 a millimetre along its middle, an oval of 76 mm: 238.8 mm, 1,791 together.
    expect(made.stitches).to.be.within(4285, 4297);
    const said = made.warnings.find(({ code }) => code === 'chart/guessed');
    expect(said?.severity).to.equal('note');
    expect(said?.text).to.match(
      /^Nobody has charted these 2 stops: about 4,29\d stitches, 2,68\d to 6,86\d; /
    );
    expect(said?.text).to.match(/It rests on what most files have\.$/);
  });
  it('range 1.6 times further either way than charted ones, in time too', () => {
    const guessed = plan(makeItem('patch'), undefined, shop).totals.needle;
    const charted = plan(makeItem('patch', {}, '1 badge gold 2,500\n2 border black 1,791'), undefined, shop)
      .totals.needle;
    expect(guessed.value).to.be.closeTo(charted.value, 5);
    expect(guessed.high / guessed.value).to.be.closeTo((charted.high / charted.value) * 1.6, 0.01);
    expect(guessed.value / guessed.low).to.be.closeTo((charted.value / charted.low) * 1.6, 0.01);
  });
  it('are learned from charted edges of the same house first, from all others else, and the range narrows', () => {
    const nine = [9, 9, 9, 9].map((perMm) => patchAt(perMm, 'Fern & Lamp'));
    const six = [6, 6, 6, 6].map((perMm) => patchAt(perMm, 'Carriage Row'));
    const counts = countsFromItems([...nine, ...six]);
    const edge = (house: string): number | undefined =>
      counts.find((each) => each.house === house && each.kind === 'edge')?.times;
    // Four items move the default most of the way: 1.2 and 0.8 would be all of it.
    expect(edge('Fern & Lamp')).to.be.within(1.15, 1.2);
    expect(edge('Carriage Row')).to.be.within(0.8, 0.84);
    expect(edge('')).to.be.within(0.95, 1.02);
    const taught: Shop = { ...shop, learned: { people: {}, machines: {}, runIds: [], counts } };
    const border = (house: string | undefined): number => {
      const item = { ...makeItem('patch'), ...(house && { house }) };
      const step = plan(item, undefined, taught).steps.find(({ stop }) => stop?.role === 'satin-edge');
      return (step?.stop?.stitches ?? 0) / 1791;
    };
    expect(border('Fern & Lamp')).to.be.closeTo(edge('Fern & Lamp') ?? 0, 0.01);
    expect(border('Carriage Row')).to.be.closeTo(edge('Carriage Row') ?? 0, 0.01);
    expect(border(undefined)).to.be.closeTo(edge('') ?? 0, 0.01);
    const said = plan({ ...makeItem('patch'), house: 'Fern & Lamp' }, undefined, taught).warnings[0]?.text;
    expect(said).to.match(/It rests on 4 charted items of yours\.$/);
    const factor = counts.find((each) => each.house === 'Fern & Lamp')?.factor ?? 9;
    expect(factor).to.be.within(1.25, 1.45);
  });
  it('say nothing where all is charted, and take nothing from items that are not', () => {
    expect(countsFromItems([makeItem('patch'), makeItem('topper')])).to.deep.equal([]);
    const charted = makeItem('patch', {}, '1 badge gold 2,500\n2 border black 1,791');
    expect(plan(charted, undefined, shop).warnings).to.deep.equal([]);
    // A field that several colours share is filled once.
    const two = makeItem('patch', {}, '1 badge gold 900\n2 letters cream 600\n3 border black 1,791');
    const one = makeItem('patch', {}, '1 badge gold 1,500\n2 border black 1,791');
    const fill = (item: Item): number | undefined =>
      countsFromItems([item]).find(({ kind }) => kind === 'fill')?.times;
    expect(findStop(two, 'stop-2')?.role).to.not.equal('satin-edge');
    expect(fill(one)).to.be.a('number');
  });
});

describe('lace underlay', () => {
  it('runs on: two parts of 80 by 120 mm are no 29 minutes, and nothing is trimmed at a crossing', () => {
    const lace = makeItem('lace', { width: 80, height: 120, parts: 2, shape: 'oval' });
    const home: Shop = {
      ...shop,
      machines: shop.machines.map((each) => ({ ...each, setSpm: 600, trimmer: true }))
    };
    const underlay = plan(lace, undefined, home).steps.find(({ stop }) => stop?.role === 'lace-underlay');
    // 2 × 7,540 mm² at a line each 4 mm, both ways, there and back: 15.1 m, 7,540 stitches, and 8 to 9 % along the edge.
    expect(underlay?.stop?.stitches).to.be.within(7800, 8500);
    expect((underlay?.running.value ?? 0) / 60).to.be.within(18, 21);
    // One jump from part to part.
    expect(underlay?.stop?.geometry?.jumps).to.be.at.most(1);
  });
});
