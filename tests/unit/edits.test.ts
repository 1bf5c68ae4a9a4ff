import 'fake-indexeddb/auto';
import { carried, isSame, merge } from '$lib/core/documents/changes';
import { newCutJob } from '$lib/core/documents/cutJob';
import { answerFinding, editStep, type Item, moveStep, removeStep } from '$lib/core/documents/item';
import { defaultSetup } from '$lib/core/documents/shop';
import { ClothEntry } from '$lib/core/documents/stash';
import { review } from '$lib/core/making/checks';
import { plan } from '$lib/core/making/plan';
import { runTable } from '$lib/core/running/runs';
import { db } from '$lib/data/db';
import {
  changeCopies,
  changeItem,
  changeItemAndSetup,
  changeSetup,
  changeShop,
  changeStash,
  NotStored,
  redoEdit,
  storeCut,
  undoEdit
} from '$lib/data/edits';
import { editHistory, type HistoryView } from '$lib/data/history';
import { addItem, duplicateItem, getItem, getSetup } from '$lib/data/items';
import { getShop } from '$lib/data/shop';
import { getCutJob, listStash } from '$lib/data/stash';
import { expect } from 'chai';
import fc from 'fast-check';
import { badgerShop, badgerTab } from './support/badger';

const tab = badgerTab();
const shop = badgerShop();
const ids = (item: Item | undefined): string[] => item?.steps.map(({ id }) => id) ?? [];

describe('a change carried over to what stands now', () => {
  it('touches only what it changed', () => {
    const before = { a: 1, b: { c: 2, d: 3 }, gone: true };
    expect(merge(before, { ...before, a: 5 }, { ...before, b: { c: 9, d: 3 } })).to.deep.equal({
      ok: true,
      value: { a: 5, b: { c: 9, d: 3 }, gone: true }
    });
    expect(merge(before, { a: 1, b: before.b }, { ...before, a: 2 })).to.deep.equal({
      ok: true,
      value: { a: 2, b: { c: 2, d: 3 } }
    });
  });
  it('says where both changed the same, and lets the later win where it must', () => {
    const before = { name: 'a', list: [{ id: 'x', width: 1 }] };
    const after = { name: 'a', list: [{ id: 'x', width: 2 }] };
    const now = { name: 'b', list: [{ id: 'x', width: 3 }] };
    expect(merge(before, after, now)).to.deep.equal({ ok: false, path: 'list.x.width' });
    expect(carried(before, after, now)).to.deep.equal({ name: 'b', list: [{ id: 'x', width: 2 }] });
  });
  it('tells rows apart by their ids: one added here, one moved there, one taken out', () => {
    const row = (id: string): { id: string } => ({ id });
    const [a, b, c, d] = [row('a'), row('b'), row('c'), row('d')];
    expect(merge([a, b, c], [a, b, d, c], [c, a, b])).to.deep.equal({ ok: true, value: [c, a, b, d] });
    expect(merge([a, b, c], [b, a, c], [a, b, d, c])).to.deep.equal({ ok: true, value: [b, d, a, c] });
    expect(merge([a, b, c], [a, c], [a, b, c, d])).to.deep.equal({ ok: true, value: [a, c, d] });
    expect(merge([a, b, c], [b, a, c], [c, b, a])).to.deep.equal({ ok: false, path: '' });
  });
  it('gives the change itself where nothing else happened, and what stands where it changed nothing', () => {
    fc.assert(
      fc.property(fc.jsonValue(), fc.jsonValue(), (one, other) => {
        expect(merge(one, other, one)).to.deep.equal({ ok: true, value: isSame(one, other) ? one : other });
        expect(merge(one, one, other)).to.deep.equal({ ok: true, value: other });
      })
    );
  });
});

describe('an edit', () => {
  let view: HistoryView = { undo: null, redo: null };
  const stop = editHistory.subscribe((now) => (view = now));
  after(() => stop());
  beforeEach(async () => {
    await db.delete();
    await db.open();
    await addItem(tab, defaultSetup(tab, shop));
    editHistory.forget();
  });
  after(() => db.delete());

  it('is made on what is stored: two made at once both hold', async () => {
    await Promise.all([
      changeItem(tab.id, (item) => ({ ...item, name: 'Stationmaster' })),
      changeItem(tab.id, (item) => ({ ...item, note: 'for the gala' }))
    ]);
    expect(await getItem(tab.id)).to.include({ name: 'Stationmaster', note: 'for the gala' });
    await Promise.all([
      changeShop((now) => ({ ...now, unit: 'in' })),
      changeShop((now) => ({ ...now, cutAccuracy: 2 }))
    ]);
    expect(await getShop()).to.include({ unit: 'in', cutAccuracy: 2 });
  });
  it('may be a new document: taken back it is gone, with its setup, and made again it is whole', async () => {
    const copy = await duplicateItem(tab.id, 'copy', tab.createdAt);
    expect(view.undo).to.equal('a copy · Test item');
    await undoEdit();
    expect([await getItem('copy'), await getSetup('copy')]).to.deep.equal([undefined, undefined]);
    await redoEdit();
    expect({ ...(await getItem('copy')), updatedAt: '' }).to.deep.equal({ ...copy, updatedAt: '' });
    expect(await getSetup('copy')).to.include({ itemId: 'copy' });
  });
  it('is taken back and made again, and says what it was', async () => {
    await changeItem(tab.id, (item) => removeStep(item, 'stop-2'));
    expect(view).to.deep.equal({ undo: 'a step · Test item', redo: null });
    expect(await undoEdit()).to.deep.equal({ words: 'a step · Test item', problem: null });
    expect(ids(await getItem(tab.id))).to.deep.equal(ids(tab));
    expect(view).to.deep.equal({ undo: null, redo: 'a step · Test item' });
    await redoEdit();
    expect(ids(await getItem(tab.id))).to.not.include('stop-2');
    expect(await redoEdit()).to.equal(null);
  });
  it('of how many are cut is one, in the job and in how the item is made', async () => {
    const job = newCutJob(tab.id, 1);
    const before = [await getSetup(tab.id), await getCutJob(tab.id)];
    await changeCopies(job, tab.id, 12);
    expect((await getSetup(tab.id))?.copies).to.equal(12);
    expect((await getCutJob(tab.id))?.wants).to.deep.equal([{ itemId: tab.id, copies: 12 }]);
    await undoEdit();
    expect([await getSetup(tab.id), await getCutJob(tab.id)]).to.deep.equal(before);
    expect(view.undo).to.equal(null);
  });
  it('that is taken back leaves what another tab has changed since', async () => {
    await changeItem(tab.id, (item) => moveStep(item, 'stop-2', 1));
    // Another tab writes to the same store and knows nothing of this history.
    await db.items.put({ ...((await getItem(tab.id)) as Item), name: 'Other tab', note: 'theirs' });
    await undoEdit();
    const now = await getItem(tab.id);
    expect(now).to.include({ name: 'Other tab', note: 'theirs' });
    expect(ids(now)).to.deep.equal(ids(tab));
  });
  it('that is still being stored is the one a quick undo takes back, and each undo another', async () => {
    await changeItem(tab.id, (item) => ({ ...item, note: 'first' }));
    const second = changeItem(tab.id, (item) => ({ ...item, name: 'Second' }));
    const undone = await Promise.all([undoEdit(), undoEdit(), second]);
    expect(undone[0]?.words).to.not.equal(undone[1]?.words);
    expect(await getItem(tab.id)).to.include({ name: tab.name, note: tab.note });
  });
  it('that cannot be taken back any more says why, and changes nothing', async () => {
    await changeItem(tab.id, (item) => ({ ...item, name: 'Mine' }));
    await db.items.put({ ...((await getItem(tab.id)) as Item), name: 'Theirs' });
    expect((await undoEdit())?.problem).to.match(/has been changed since/);
    expect((await getItem(tab.id))?.name).to.equal('Theirs');
    expect(view).to.deep.equal({ undo: null, redo: null });
  });
  it('of several documents is taken back as one', async () => {
    await changeItemAndSetup(
      tab.id,
      (item) => ({ ...item, name: 'Large' }),
      (setup) => ({ ...setup, copies: 9 }),
      'a variant'
    );
    expect((await getSetup(tab.id))?.copies).to.equal(9);
    await undoEdit();
    expect((await getSetup(tab.id))?.copies).to.equal(1);
    expect((await getItem(tab.id))?.name).to.equal('Test item');
  });
  it('that would leave no whole document is refused in words, and nothing is stored', async () => {
    const wrong = changeShop((now) => ({ ...now, machines: [] }));
    await wrong.then(
      () => expect.fail('stored'),
      (problem: unknown) => {
        expect(problem).to.be.instanceOf(NotStored);
        expect((problem as Error).message).to.match(/machines/);
      }
    );
    expect((await getShop()).machines).to.not.deep.equal([]);
    expect(view.undo).to.equal(null);
  });
  it('that changes nothing leaves no trace, and one nobody takes back none in the history', async () => {
    await changeItem(tab.id, (item) => ({ ...item }));
    await changeItem('nowhere', (item) => ({ ...item, name: 'x' }));
    await changeSetup(tab.id, (setup) => ({ ...setup, copies: 3 }), null);
    expect(view.undo).to.equal(null);
    expect((await getSetup(tab.id))?.copies).to.equal(3);
  });
  it('of the stash adds, takes out, and comes back whole', async () => {
    const felt = ClothEntry.parse({
      ...{ id: 'felt', name: 'Grey felt', colour: '#8a8a8a', what: 'cloth', kind: 'felt', form: 'sheets' },
      ...{ width: 230, height: 300 }
    });
    await changeStash('felt', () => felt, 'adding Grey felt');
    await changeStash('felt', () => null, 'taking out Grey felt');
    expect(await listStash()).to.deep.equal([]);
    await undoEdit();
    expect(await listStash()).to.deep.equal([felt]);
    const job = newCutJob(tab.id, 1);
    await storeCut(
      job,
      (now) => ({ ...now, wants: [{ itemId: tab.id, copies: 4 }] }),
      [{ id: 'felt', before: felt, after: { ...felt, height: 100 } }],
      'a cut'
    );
    await undoEdit();
    expect(await listStash()).to.deep.equal([felt]);
    expect(await getCutJob(tab.id)).to.equal(undefined);
    await undoEdit();
    expect(await listStash()).to.deep.equal([]);
  });
});

describe('“meant so”', () => {
  const cut = (width: number): Item => ({
    ...tab,
    pieces: tab.pieces.map((piece) => (piece.id === 'front' ? { ...piece, overrides: { width } } : piece))
  });
  const open = (item: Item): string[] =>
    review(item, undefined, shop).checked.open.map(({ code, severity }) => `${severity} ${code}`);

  it('holds while the finding is no graver, and lapses when it gets worse', () => {
    // The front must be 30 mm wide and 6 mm more on each side: 39 covers it by 4½, 26 does not cover it.
    const narrow = cut(39);
    const [finding] = review(narrow, undefined, shop).checked.open;
    expect(finding).to.deep.include({ code: 'covering/short', severity: 'warn', about: 'front' });
    expect(finding?.values).to.deep.include({ spareMm: 4, leastMm: 6 });
    if (!finding) throw new Error('nothing to look at');
    const { answers } = answerFinding(narrow, finding, 'I cut by eye', '2026-11-27T10:00:00.000Z');
    expect(answers[0]).to.include({ code: 'covering/short', severity: 'warn' });
    expect(open({ ...narrow, answers })).to.deep.equal([]);
    expect(open({ ...cut(26), answers })).to.deep.equal(['stop covering/uncovered']);
  });
});

describe('a run', () => {
  it('keeps its item: an edit on the shelf changes nothing at the machine', () => {
    const setup = defaultSetup(tab, shop);
    const head = { item: tab, plan: plan(tab, setup, shop), setup };
    const before = runTable(head, tab);
    const edited = editStep(removeStep(tab, 'snip-back'), 'lay-back', {
      op: { do: 'other', title: 'Something else', seconds: 1 }
    });
    expect(runTable(head, edited)).to.deep.equal(before);
    expect(runTable(head, undefined)).to.deep.equal(before);
    expect(before?.trace).to.have.length(tab.steps.length);
    // One of an older version kept none: what is on the shelf stands in, and nothing where that is gone too.
    expect(runTable({ ...head, item: null }, edited)?.trace).to.have.length(edited.steps.length);
    expect(runTable({ ...head, item: null }, undefined)).to.equal(null);
  });
});
