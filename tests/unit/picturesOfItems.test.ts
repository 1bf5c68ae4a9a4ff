import { box, extents, pathLength } from '$lib/core/base/geometry';
import { type Art, editStop, Item, picturesIn } from '$lib/core/documents/item';
import { defaultShop } from '$lib/core/documents/shop';
import type { ClothEntry } from '$lib/core/documents/stash';
import {
  type Appearance,
  appearance,
  placedIn,
  recoloured,
  sketchOf,
  stopsInPlace
} from '$lib/core/making/appearance';
import { review } from '$lib/core/making/checks';
import { EMPTY_STACK, type StackState } from '$lib/core/craft/stack';
import { AS_IT_IS, clothsLike, inColours } from '$lib/core/preparing/colourways';
import { fitWithin } from '$lib/files';
import { expect } from 'chai';
import { demoItem } from './support/demo';
import { made } from './support/made';

const shop = defaultShop('pictures');

function endOf(item: Item): StackState {
  return review(item, undefined, shop).trace.at(-1)?.state ?? EMPTY_STACK;
}
const fittings = (look: Appearance, side = 'front'): string[] =>
  (look.sides.find((each) => each.side === side)?.fittings ?? []).map(
    ({ kind, at }) => `${kind} ${at.map((mm) => Math.round(mm)).join(' ')}`
  );
const stopOf = (item: Item, role: string): string =>
  item.files.flatMap(({ stops }) => stops).find((stop) => stop.role === role)?.id ?? '';
const art = (stopIds: string[]): Art => ({
  id: 'art',
  picture: 'badger',
  stopIds,
  x: 1,
  y: 2,
  width: 20,
  height: 10,
  turn: 15,
  crop: { left: 0.1, top: 0, right: 0, bottom: 0 }
});

describe('hardware in the picture', () => {
  it('sits where its holes are marked: a tab of 94 mm with a snap at both ends, 7 mm inside', () => {
    const { item } = made('snap-tab', { width: 30, height: 94, closing: 'snap' });
    const look = appearance(endOf(item), item);
    expect(fittings(look)).to.deep.equal(['snap 0 -40', 'snap 0 40']);
    // From behind the same two; the drawing turns them with the cloth.
    expect(fittings(look, 'back')).to.deep.equal(['snap 0 -40', 'snap 0 40']);
  });
  it('makes room for a ring that stands over the edge, 25 mm across', () => {
    const { item } = made('snap-tab', { width: 30, height: 94, closing: 'eyelet' });
    const look = appearance(endOf(item), item);
    expect(fittings(look)).to.deep.equal(['eyelet 0 -40', 'split-ring 0 -40']);
    // The outline ends at -47 less its cut edge; the ring sits 7 mm below and reaches 25 mm up.
    expect(Math.round(look.box.minY)).to.equal(-65);
  });
  it('leaves marks of a stitch or two at those places and no line between them', () => {
    const { item } = made('snap-tab', { width: 30, height: 94, closing: 'snap' });
    const marks = item.steps.find(
      (step) => step.kind === 'stop' && step.stopId === stopOf(item, 'closure-mark')
    )?.id;
    const seen = appearance(endOf(item), item).sides[0]?.threads.find(({ stepId }) => stepId === marks);
    expect(seen?.paths.map((path) => Math.round(pathLength(path)))).to.deep.equal([2, 2, 2, 2]);
  });
  it('is not there before it is set', () => {
    const { item, trace } = made('snap-tab', { width: 30, height: 94, closing: 'snap' });
    const set = item.steps.findIndex((step) => step.kind === 'hand' && step.op.do === 'hardware');
    expect(fittings(appearance(trace[set - 1]?.state ?? EMPTY_STACK, item))).to.deep.equal([]);
    expect(fittings(appearance(trace[set]?.state ?? EMPTY_STACK, item))).to.have.length(2);
  });
});

describe('a design’s own picture', () => {
  it('shows once a stop it stands for is stitched, on the cloth that stop is on', () => {
    const tab = made('snap-tab', { width: 30, height: 94 }).item;
    const details = stopOf(tab, 'decoration');
    const item = { ...tab, art: [art([details])] };
    const { trace } = review(item, undefined, shop);
    const at = item.steps.findIndex((step) => step.kind === 'stop' && step.stopId === details);
    const before = appearance(trace[at - 1]?.state ?? EMPTY_STACK, item);
    const after = appearance(trace[at]?.state ?? EMPTY_STACK, item);
    expect(before.sides.flatMap((side) => side.art)).to.deep.equal([]);
    expect(after.sides[0]?.art.map(({ picture, on, turn }) => [picture, on, turn])).to.deep.equal([
      ['badger', 'front-cloth', 15]
    ]);
    const step = item.steps[at]?.id;
    expect(after.sides[0]?.threads.find(({ stepId }) => stepId === step)?.asArt).to.equal(true);
    // Its threads stay for wherever the picture cannot be shown.
    expect(after.sides[0]?.threads.filter(({ asArt }) => asArt !== true).length).to.be.greaterThan(0);
  });
  it('lies at first in the middle of its place, nine tenths of it', () => {
    const place = extents(box(-20, -40, 20, 0));
    const lies = (width: number, height: number): number[] => {
      const at = placedIn(place, { width, height });
      return [at.x, at.y, Math.round(at.width), Math.round(at.height)];
    };
    // 40 x 40 mm: 36 mm across for a picture twice as wide as high, 36 mm high for one four times as high.
    expect(lies(800, 400)).to.deep.equal([0, -20, 36, 18]);
    expect(lies(100, 400)).to.deep.equal([0, -20, 9, 36]);
  });
  it('stands for all stops that fill one area', () => {
    const { item } = made('border-patch');
    const first = stopOf(item, 'decoration');
    const { stopIds, names } = stopsInPlace(item, first);
    expect(stopIds).to.include(first);
    expect(stopIds).to.have.length(names.length);
    expect(stopsInPlace(item, stopIds.at(-1) ?? '').stopIds).to.deep.equal(stopIds);
  });
});

describe('a photo of the cloth', () => {
  const photo = { picture: 'fern', width: 180, height: 120 };
  const fern: ClothEntry = {
    id: 'fern',
    what: 'cloth',
    name: 'Fern print',
    colour: '#4d7148',
    kind: 'vinyl',
    form: 'length',
    width: 1100,
    height: 800,
    count: 1,
    stitched: [],
    alike: false,
    direction: 'any',
    prewashed: true,
    shrinkage: { along: 0, across: 0 },
    place: '',
    price: null,
    note: '',
    photo
  };
  it('comes along from the stash and shows on the right side alone', () => {
    const { item } = made('snap-tab', { width: 30, height: 94 });
    const end = endOf(item);
    const [cloth] = clothsLike({ kind: 'vinyl' }, [fern]);
    if (!cloth) throw new Error('The stash has a vinyl.');
    const dressed = inColours(item, appearance(end, item), { ...AS_IT_IS, cloths: { 'front-cloth': cloth } });
    const patch = recoloured(end, dressed).sides[0]?.patches[0];
    expect(patch?.photo).to.deep.equal(photo);
    const over = {
      ...end,
      layers: end.layers.map((layer) => ({
        ...layer,
        material: cloth,
        face: layer.face === 'up' ? ('down' as const) : ('up' as const)
      }))
    };
    const wrongSides = appearance(over, dressed).sides[0]?.patches ?? [];
    expect(wrongSides.map(({ rightSide, photo: seen }) => [rightSide, seen])).to.deep.equal([
      [false, undefined]
    ]);
    expect(picturesIn(dressed)).to.deep.equal(['fern']);
  });
  it('stays with an item through its file, and with the small picture of the shelf', () => {
    const { item } = made('snap-tab', { width: 30, height: 94 });
    const kept = Item.parse({ ...item, photo: 'finished', art: [art([stopOf(item, 'decoration')])] });
    expect(picturesIn(kept)).to.deep.equal(['finished', 'badger']);
    const sketch = sketchOf(appearance(endOf(kept), kept));
    expect(sketch.sides[0]?.art.map(({ picture }) => picture)).to.deep.equal(['badger']);
  });
  it('is made no larger than it is shown, and never stretched', () => {
    expect(fitWithin({ width: 4000, height: 3000 }, 1000)).to.deep.equal({ width: 1000, height: 750 });
    expect(fitWithin({ width: 90, height: 200 }, 1000)).to.deep.equal({ width: 90, height: 200 });
    expect(fitWithin({ width: 50_000, height: 2 }, 1000)).to.deep.equal({ width: 1000, height: 1 });
  });
});

describe('an area that several threads fill', () => {
  it('is drawn in the thread that stitches most, whichever comes first; the others stand beside it', () => {
    const lamp = demoItem('lamp-patch');
    const coloursOf = (item: Item): string[][] =>
      (appearance(endOf(item), item).sides.find(({ side }) => side === 'front')?.threads ?? [])
        .filter(({ weave }) => weave === 'filled')
        .map(({ colours }) => colours);
    const [slate, yellow, red, cream] = lamp.threads.map(({ colour }) => colour);
    // 3,150, 2,240, 1,380 and 1,120 stitches.
    expect(coloursOf(lamp)).to.deep.equal([[slate, yellow, red, cream]]);
    const body = lamp.files[0]?.stops[0];
    if (!body) throw new Error('The lamp has no body.');
    const small = editStop(lamp, body.id, { stitches: 100 });
    expect(coloursOf(small)).to.deep.equal([[yellow, slate, red, cream]]);
  });
});
