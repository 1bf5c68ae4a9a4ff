import { answered, constructionOf } from '$lib/core/craft/constructions';
import { blockOf } from '$lib/core/craft/blocks';
import { addHandStep, brokenReferences, editStep, type Item } from '$lib/core/documents/item';
import { blocksOf, madeFor, remake, stepBlocks } from '$lib/core/reading/matching';
import { expect } from 'chai';
import { readdirSync } from 'node:fs';
import { demoItem } from './support/demo';

const ITEMS = readdirSync(new URL('../../demo/items', import.meta.url)).map((file) =>
  file.replace('.json', '')
);
/** As it is written to a file, where what is undefined is not. */
const asKept = <T>(part: T): T => JSON.parse(JSON.stringify(part)) as T;
const ids = (item: Item): string[] => item.steps.map(({ id }) => id);
function remade(item: Item, params: Record<string, unknown>): Item {
  const made = remake(item, { ...item.params, ...params }, item.blocks ?? null);
  if (!made.ok) throw new Error(made.problems.join(' '));
  expect(made.lost).to.deep.equal([]);
  return made.item;
}

describe('an item kept from before its construction was a recipe', () => {
  for (const id of ITEMS)
    it(`${id}: the same answers change nothing`, () => {
      const item = demoItem(id);
      // Its opening is too small on purpose, which its construction does not make any more.
      if (id === 'odd-pouch') return;
      const same = remade(item, {});
      expect(asKept(same.steps)).to.deep.equal(asKept(item.steps));
      expect(asKept(same.files)).to.deep.equal(asKept(item.files));
      expect(asKept(same.pieces)).to.have.deep.members(asKept(item.pieces));
      expect(brokenReferences(same)).to.deep.equal([]);
    });
  it('keeps notes, own steps and names where an answer is changed', () => {
    const tab = demoItem('badger-tab');
    let mine = editStep(tab, 'lay-back', { note: 'The soft side out.' });
    mine = addHandStep(mine, 'lay-front', 'mine', { do: 'other', title: 'Sing', seconds: 5 });
    const larger = remade(mine, { width: 40 });
    expect(ids(larger)).to.deep.equal(ids(mine));
    expect(larger.steps.find(({ id }) => id === 'lay-back')?.note).to.equal('The soft side out.');
    expect(larger.pieces.map(({ id }) => id)).to.deep.equal(['stabiliser', 'front', 'back']);
    expect(larger.variants[0]?.size.width).to.equal(40);
    expect(brokenReferences(larger)).to.deep.equal([]);
  });
  it('keeps them however much is put together beside it', () => {
    const tab = demoItem('badger-tab');
    const own = [1, 2, 3, 4, 5, 6].map((at) => ({
      id: `more-${at}`,
      kind: 'applique',
      answers: { width: 6, height: 6 }
    }));
    const blocks = (blocksOf(tab) ?? []).flatMap((block) =>
      block.id === 'details' ? [block, ...own] : [block]
    );
    const built = remake(tab, tab.params, blocks);
    if (!built.ok) throw new Error(built.problems.join(' '));
    const noted = editStep(built.item, 'lay-back', { note: 'The soft side out.' });
    const larger = remade(noted, { height: 100 });
    expect(ids(larger)).to.deep.equal(ids(noted));
    expect(larger.steps.find(({ id }) => id === 'lay-back')?.note).to.equal('The soft side out.');
  });
  it('says of nothing that it was changed by hand where nobody did', () => {
    const tab = demoItem('badger-tab');
    const closed = remake(tab, { ...tab.params, closing: 'eyelet' }, blocksOf(tab));
    expect(closed.ok && closed.lost).to.deep.equal([]);
    const noted = remake(
      editStep(tab, 'punch', { note: 'Twice.' }),
      { ...tab.params, closing: 'eyelet' },
      null
    );
    expect(noted.ok && noted.lost).to.deep.equal(['Changed by you: Punch 2 holes.']);
  });
  it('knows the block each of its steps comes from', () => {
    const blocks = stepBlocks(demoItem('badger-tab'));
    expect([blocks.get('lay-back'), blocks.get('lay-front'), blocks.get('cut-out')]).to.deep.equal([
      'back',
      'front',
      'finishing'
    ]);
  });
  it('made of parts is made of the blocks of the recipe, with what was put between them', () => {
    const part = (id: string) => ({ id, kind: 'part', name: id, answers: {} });
    const name = { id: 'mine', kind: 'name', answers: { name: 'Ivy' } };
    const made = constructionOf('layered-mat')?.patternOf({}, [
      ...['hooping', 'top', 'details'].map(part),
      name,
      ...['applique', 'trim', 'back', 'edge', 'finishing'].map(part)
    ]);
    if (!made?.ok) throw new Error('A mat is made.');
    expect(made.blocks.map(({ id }) => id)).to.deep.equal([
      ...['hooping', 'batting', 'top', 'details', 'mine', 'applique'],
      ...['trim', 'back', 'edge', 'finishing']
    ]);
    expect(made.blocks.every(({ kind }) => blockOf(kind) !== undefined)).to.equal(true);
    expect(made.troubles).to.deep.equal([]);
  });
  it('has a variant of other answers, whose blocks follow them', () => {
    const tab = demoItem('badger-tab');
    const { params, blocks } = answered(tab.params, blocksOf(tab) ?? [], {
      closing: 'eyelet',
      'front.held': 'pins'
    });
    const made = madeFor(tab, { params, blocks });
    if (!made?.ok) throw new Error('A tab is made.');
    expect(made.blocks.map(({ id }) => id)).to.include.members(['eyelet', 'ring']);
    expect(made.blocks.some(({ id }) => id === 'snap')).to.equal(false);
    expect(made.blocks.find(({ id }) => id === 'front')?.answers).to.include({ held: 'pins' });
  });
  it('is made of nothing where it was written by hand', () => {
    expect(madeFor({ ...demoItem('badger-tab'), construction: undefined })).to.equal(null);
  });
});
