import 'fake-indexeddb/auto';
import { roundTo } from '$lib/core/base/units';
import { newCutJob } from '$lib/core/documents/cutJob';
import { ClothEntry, type StashEntry } from '$lib/core/documents/stash';
import { plan } from '$lib/core/making/plan';
import { MARGIN_MM } from '$lib/core/craft/sizes';
import { sizeOf } from '$lib/core/craft/sizes/sizing';
import { serves, usableOf, withoutCorner, worthKeeping } from '$lib/core/preparing/stash';
import { changeStash, storeCut } from '$lib/data/edits';
import { getCutJob, importStash, listStash, stashDocument } from '$lib/data/stash';
import { db } from '$lib/data/db';
import { expect } from 'chai';
import fc from 'fast-check';
import { badgerShop, badgerTab, makeItem } from './support/badger';

const shop = badgerShop();
const felt = ClothEntry.parse({
  what: 'cloth',
  id: 'felt',
  name: 'Grey felt',
  colour: '#777777',
  kind: 'felt',
  form: 'sheets',
  width: 230,
  height: 305,
  count: 2
});

describe('the reasons of a cut size', () => {
  const pouch = makeItem('zip-pouch', {});
  const cuts = plan(pouch, undefined, shop).cuts;
  const cutOf = (pieceId: string) => cuts.find((cut) => cut.pieceId === pieceId);
  it('add up to it, for every piece of every item tried', () => {
    for (const item of [pouch, badgerTab(), makeItem('joined-applique'), makeItem('topper')])
      for (const { name, cut, parts } of plan(item, undefined, shop).cuts) {
        expect(
          roundTo(
            parts.reduce((sum, part) => sum + part.width, 0),
            2
          ),
          name
        ).to.equal(roundTo(cut.width, 2));
        expect(
          roundTo(
            parts.reduce((sum, part) => sum + part.height, 0),
            2
          ),
          name
        ).to.equal(roundTo(cut.height, 2));
      }
  });
  it('count the fold of a lining strip and the allowance over its seam', () => {
    // The upper lining covers 180 x 27 between the top and the zip's middle less half a tape: a margin of 12 all round makes
    // 204 x 51, the pressed fold 63, and 5 mm is what the ruler shows.
    const lining = cutOf('lining-upper');
    expect(lining?.covers).to.deep.equal({ width: 180, height: 27 });
    expect(lining?.parts).to.deep.include({ what: 'fold', width: 0, height: 12 });
    expect(lining?.cut).to.deep.equal({ width: 205, height: 65 });
    const upper = cutOf('upper');
    expect(upper?.parts.find(({ what }) => what === 'seam')).to.deep.equal({
      what: 'seam',
      width: 0,
      height: 6
    });
    // 27 + 24 + 6 = 57, so 60.
    expect(upper?.cut).to.deep.equal({ width: 205, height: 60 });
  });
  it('follow the maker’s own rule, and a piece of its own before that', () => {
    const tab = badgerTab();
    const [front] = tab.pieces.filter(({ id }) => id === 'front');
    if (!front) throw new Error('The tab has no front.');
    const sized = (overrides: typeof front.overrides, margins: typeof shop.margins): number =>
      sizeOf({ ...front, overrides }, tab, { width: 30, height: 94 }, { rounding: '5mm', margins }).cut.width;
    expect(MARGIN_MM[front.use]).to.equal(12);
    expect(sized({}, {})).to.equal(55);
    expect(sized({}, { [front.use]: 20 })).to.equal(70);
    expect(sized({ margin: 6 }, { [front.use]: 20 })).to.equal(45);
    expect(sized({ width: 41 }, { [front.use]: 20 })).to.equal(41);
  });
});

describe('the stash', () => {
  beforeEach(async () => {
    if (!db.isOpen()) await db.open();
    await Promise.all(db.tables.map((table) => table.clear()));
  });
  after(() => db.delete());

  it('serves what is of its kind, and of its name where it will be seen', () => {
    const grey = { kind: 'felt', name: ' grey  FELT', colour: '#000000' } as const;
    expect(serves(felt, grey)).to.equal(true);
    expect(serves(felt, { ...grey, name: 'Red felt' })).to.equal(false);
    expect(serves(felt, { ...grey, kind: 'woven' })).to.equal(false);
    expect(serves({ kind: 'batting', name: 'Thin' }, { ...grey, kind: 'batting', name: 'Thick' })).to.equal(
      true
    );
  });
  it('keeps stabiliser a hoop can use, and cloth by its shorter side', () => {
    const rule = { by: 'kind', side: 100, margin: 25 } as const;
    const hoops = shop.hoops.map((hoop) => ({ ...hoop, ring: { width: 140, height: 180 } }));
    expect(worthKeeping({ width: 230, height: 190 }, 'tear-away', rule, hoops)).to.equal(true);
    expect(worthKeeping({ width: 229, height: 190 }, 'tear-away', rule, hoops)).to.equal(false);
    expect(worthKeeping({ width: 99, height: 900 }, 'woven', rule, hoops)).to.equal(false);
    expect(worthKeeping({ width: 100, height: 100 }, 'woven', rule, hoops)).to.equal(true);
    expect(worthKeeping({ width: 229, height: 190 }, 'tear-away', { ...rule, by: 'side' }, hoops)).to.equal(
      true
    );
    expect(worthKeeping({ width: 100, height: 100 }, 'woven', { ...rule, by: 'ring' }, hoops)).to.equal(
      false
    );
  });
  it('knows the largest rectangle of a scrap with a corner gone, and of one stitched before', () => {
    const outline = {
      closed: true,
      points: [
        [0, 0],
        [200, 0],
        [200, 100],
        [100, 200],
        [0, 200]
      ] as [number, number][]
    };
    expect(withoutCorner(200, 200, 100, 100)).to.deep.equal(outline);
    expect(withoutCorner(50, 40, 90, 90).points.slice(2, 4)).to.deep.equal([
      [50, 0],
      [0, 40]
    ]);
    // A corner on the slanted side at (x, 300 - x) spans x (300 - x), most at 150 x 150; the slant cuts a square of 5 off.
    const slanted = usableOf({ width: 200, height: 200, outline, stitched: [] });
    expect(slanted.width * slanted.height).to.be.within(145 * 150, 150 * 150);
    expect(usableOf({ width: 200, height: 100, stitched: [] })).to.include({ width: 200, height: 100 });
    const used = usableOf({ width: 300, height: 100, stitched: [{ x: 100, y: 40, width: 50, height: 50 }] });
    expect(used).to.deep.equal({ x: 150, y: 0, width: 150, height: 100 });
  });
  it('never takes a rectangle that leaves the scrap or meets what is stitched', () => {
    const corner = fc.integer({ min: 20, max: 150 });
    const part = fc.record({
      x: fc.integer({ min: 0, max: 150 }),
      y: fc.integer({ min: 0, max: 150 }),
      width: fc.integer({ min: 5, max: 60 }),
      height: fc.integer({ min: 5, max: 60 })
    });
    fc.assert(
      fc.property(corner, corner, fc.array(part, { maxLength: 3 }), (across, down, stitched) => {
        const outline = {
          closed: true,
          points: [
            [0, 0],
            [200, 0],
            [200, 200 - down],
            [200 - across, 200],
            [0, 200]
          ] as [number, number][]
        };
        const { x, y, width, height } = usableOf({ width: 200, height: 200, outline, stitched });
        // The corner nearest to the slant lies on the near side of it: x / across + y / down as the slant has it.
        const [right, bottom] = [x + width, y + height];
        expect((right - (200 - across)) / across + (bottom - (200 - down)) / down).to.be.at.most(1.0001);
        for (const box of stitched)
          expect(
            box.x >= right || box.x + box.width <= x || box.y >= bottom || box.y + box.height <= y
          ).to.equal(true);
      }),
      { numRuns: 40 }
    );
  });
  it('stores a cut with its job or not at all', async () => {
    await changeStash('felt', () => felt);
    const job = newCutJob('item', 2);
    const one = { ...felt, count: 1 };
    await storeCut(job, (now) => now, [{ id: 'felt', before: felt, after: one }], 'a cut');
    expect(await listStash()).to.deep.equal([one]);
    expect(await getCutJob('item')).to.deep.equal(job);
    const late = storeCut(
      job,
      (now) => ({ ...now, wants: [{ itemId: 'item', copies: 9 }] }),
      [
        { id: 'new', before: null, after: { ...felt, id: 'new' } },
        { id: 'felt', before: felt, after: null }
      ],
      'a cut'
    );
    await late.then(
      () => expect.fail('a cut was stored that began with another cloth'),
      (problem: Error) => expect(problem.message).to.match(/Grey felt has been used meanwhile/)
    );
    expect(await listStash()).to.deep.equal([one]);
    expect((await getCutJob('item'))?.wants[0]?.copies).to.equal(2);
  });
  it('goes out as a file and comes in again, beside what is there', async () => {
    await changeStash('felt', () => felt);
    const file = JSON.stringify(await stashDocument());
    await changeStash('felt', () => ({ ...felt, count: 9 }));
    const read = await importStash(
      file.replace('}]', '},{"what":"thread","id":"t","name":"Brass","colour":"#b58a3c","metres":5}]')
    );
    expect(read).to.deep.equal({ ok: true, added: 1 });
    const counts = (await listStash()).map((entry: StashEntry) =>
      'count' in entry ? entry.count : entry.what
    );
    expect(counts).to.have.members([9, 'thread']);
    expect(await importStash('{"schema":"jolt-step/item"}')).to.include({ ok: false });
  });
});
