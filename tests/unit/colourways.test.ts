import { expect } from 'chai';
import { defaultShop } from '$lib/core/documents/shop';
import type { StashEntry } from '$lib/core/documents/stash';
import type { Item } from '$lib/core/documents/item';
import type { StackState } from '$lib/core/craft/stack';
import { type Appearance, appearance, recoloured, threadsOnCloth } from '$lib/core/making/appearance';
import { review } from '$lib/core/making/checks';
import { AS_IT_IS, inColours, lacksOf, seenOf, suggestColourways } from '$lib/core/preparing/colourways';
import { made as madeOf } from './support/made';

const shop = defaultShop('shop');

function ended(kind: string): { item: Item; state: StackState; look: Appearance } {
  const { trace, item } = madeOf(kind);
  const state = trace.at(-1)?.state;
  if (!state) throw new Error('Nothing was simulated.');
  return { item, state, look: appearance(state, item) };
}

const cloth = (name: string, colour: string, kind = 'woven'): StashEntry =>
  ({
    what: 'cloth',
    id: name,
    name,
    colour,
    kind,
    form: 'length',
    width: 1100,
    height: 900,
    count: 1
  }) as StashEntry;
const spool = (name: string, colour: string): StashEntry =>
  ({ what: 'thread', id: name, name, colour, spools: 1, metres: 500 }) as StashEntry;

describe('other colours of an item', () => {
  const { item, state, look } = ended('zip-pouch');
  const seen = seenOf(item, look);

  it('change all pieces cut from one cloth together, and leave the rest', () => {
    const [first] = seen.cloths;
    if (!first) throw new Error('nothing is seen');
    const green = { ...first.material, name: 'Moss', colour: '#30502c' };
    const made = inColours(item, look, { cloths: { [first.id]: green }, threads: {} });
    for (const piece of made.pieces) {
      const before = item.pieces.find(({ id }) => id === piece.id);
      if (first.pieceIds.includes(piece.id)) expect(piece.material).to.deep.equal(green);
      else expect(piece).to.deep.equal(before);
    }
    expect({ ...made, pieces: [] }).to.deep.equal({ ...item, pieces: [] });
  });

  it('are drawn as a whole simulation in those colours would draw them', () => {
    for (const kind of ['zip-pouch', 'topper', 'snap-tab', 'lace']) {
      const own = ended(kind);
      const all = seenOf(own.item, own.look);
      const way = {
        cloths: Object.fromEntries(
          all.cloths.map(({ id, material }, at) => [id, { ...material, colour: `#0${at}4080` }])
        ),
        threads: Object.fromEntries(
          all.threads.map(({ id }, at) => [id, { name: `T${at}`, colour: `#f0${at}020` }])
        )
      };
      const changed = inColours(own.item, own.look, way);
      const last = review(changed, undefined, shop).trace.at(-1)?.state;
      expect(last && recoloured(own.state, changed), kind).to.deep.equal(last && appearance(last, changed));
    }
  });

  it('say what the stash lacks of them', () => {
    expect(lacksOf(seen, [])).to.have.length(seen.cloths.length + seen.threads.length);
    const stash = [
      ...seen.cloths.map(({ material }) =>
        /zip$/.test(material.kind)
          ? ({ what: 'zip', count: 1, name: 'Zip', id: 'z', colour: '#000000' } as StashEntry)
          : cloth(material.name, material.colour, material.kind)
      ),
      ...seen.threads.map(({ name, colour }) => spool(name, colour))
    ];
    expect(lacksOf(seen, stash)).to.deep.equal([]);
    const [gone] = seen.threads;
    expect(
      lacksOf(
        seen,
        stash.filter(({ what, name }) => what !== 'thread' || name !== gone?.name)
      )
    ).to.deep.equal([`${gone?.name} thread`]);
  });

  it('are proposed from the stash, threads changed only where they would hardly be seen', () => {
    const stash = [
      cloth('Brass yellow', '#d6a634'),
      cloth('Night blue', '#1d2b4f'),
      spool('Ink', '#15171c'),
      spool('Cream', '#efe3c4')
    ];
    const ways = suggestColourways(item, look, stash, 3);
    expect(ways).to.have.length(2);
    for (const way of ways) {
      const made = inColours(item, look, way);
      const drawn = recoloured(state, made);
      expect(drawn).not.to.deep.equal(look);
      for (const { stepId, cloths } of threadsOnCloth(drawn)) {
        const step = made.steps.find(({ id }) => id === stepId);
        const stop = made.files
          .flatMap((file) => file.stops)
          .find(({ id }) => step?.kind === 'stop' && id === step.stopId);
        // One that was changed is seen at least as well as clear on all it crosses, or no spool would do.
        if (stop && way.threads[stop.threadId])
          expect(cloths.map(({ contrast }) => contrast)).not.to.include('hardly seen');
      }
    }
    expect(suggestColourways(item, look, [], 3)).to.deep.equal([]);
    expect(inColours(item, look, AS_IT_IS)).to.deep.equal(item);
  });
});
