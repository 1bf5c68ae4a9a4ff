import { newOperation } from '$lib/core/craft/operations';
import {
  addHandStep,
  addThread,
  brokenReferences,
  editStep,
  editStop,
  findStop,
  type Item,
  moveStep,
  moveStepAfter,
  removeStep,
  stitchesOf
} from '$lib/core/documents/item';
import { expect } from 'chai';
import fc from 'fast-check';
import { badgerTab } from './support/badger';

const tab = badgerTab();
const ids = (item: Item): string[] => item.steps.map(({ id }) => id);

describe('edits of an item', () => {
  it('add a hand step behind another, or at the start', () => {
    const op = newOperation('trace', tab) as NonNullable<ReturnType<typeof newOperation>>;
    expect(ids(addHandStep(tab, 'hoop-on-1', 'new', op)).slice(0, 4)).to.deep.equal([
      'hoop',
      'hoop-on-1',
      'new',
      'stop-1'
    ]);
    expect(ids(addHandStep(tab, null, 'new', op))[0]).to.equal('new');
    expect(() => addHandStep(tab, 'nowhere', 'new', op)).to.throw(RangeError, 'no step nowhere');
  });
  it('move a step up, down, and behind another', () => {
    expect(ids(moveStep(tab, 'hoop-on-1', -1)).slice(0, 2)).to.deep.equal(['hoop-on-1', 'hoop']);
    expect(moveStep(tab, 'hoop', -1)).to.equal(tab);
    expect(ids(moveStepAfter(tab, 'hoop', 'stop-1')).slice(0, 3)).to.deep.equal([
      'hoop-on-1',
      'stop-1',
      'hoop'
    ]);
  });
  it('remove a step, the needs that name it and its remarks, but never the stop of the file', () => {
    const without = removeStep(
      { ...tab, remarks: [{ code: 'chart/extra', severity: 'note', stepId: 'stop-2', values: { stop: 2 } }] },
      'stop-2'
    );
    expect(ids(without)).to.not.include('stop-2');
    expect(without.steps.flatMap(({ needs }) => needs)).to.not.include('stop-2');
    expect(without.remarks).to.deep.equal([]);
    expect(findStop(without, 'stop-2')?.number).to.equal(2);
    expect(brokenReferences(without)).to.deep.equal([]);
  });
  it('change what a hand step does, and a stop; a typed count is remembered as the maker’s', () => {
    const laid = editStep(tab, 'punch', { op: { do: 'punch', holes: 1 }, note: 'small tube' });
    expect(laid.steps.find(({ id }) => id === 'punch')).to.deep.include({
      note: 'small tube',
      op: { do: 'punch', holes: 1 }
    });
    const stop = findStop(editStop(tab, 'stop-3', { stitches: 1200, role: 'quilting' }), 'stop-3');
    expect(stop).to.deep.include({ role: 'quilting', confidence: 1, countSource: 'maker' });
    expect(stop && stitchesOf(stop)).to.equal(1200);
  });
  it('add a thread once', () => {
    const { item, threadId } = addThread(tab, { id: 'fern', name: 'Fern', colour: '#4f7f4a' });
    expect(addThread(item, { id: 'other', name: 'fern', colour: '#4f7f4a' }).threadId).to.equal(threadId);
  });
  it('never change the item they were given, nor break a name in it', () => {
    const before = JSON.stringify(tab);
    const step = fc.constantFrom(...ids(tab));
    fc.assert(
      fc.property(
        fc.array(fc.tuple(step, fc.constantFrom(-1 as const, 1 as const)), { maxLength: 6 }),
        step,
        (moves, removed) => {
          const moved = moves.reduce((item, [id, by]) => moveStep(item, id, by), tab);
          expect([...ids(moved)].sort()).to.deep.equal([...ids(tab)].sort());
          expect(brokenReferences(removeStep(moved, removed))).to.deep.equal([]);
        }
      )
    );
    expect(JSON.stringify(tab)).to.equal(before);
  });
});

describe('names inside an item', () => {
  it('that point nowhere, or are there twice, are found', () => {
    const broken: Item = {
      ...tab,
      steps: [
        ...tab.steps.map((step) =>
          step.id === 'lay-back' && step.kind === 'hand' && step.op.do === 'lay'
            ? { ...step, op: { ...step.op, pieceId: 'bakc' } }
            : step
        ),
        ...tab.steps.slice(0, 1)
      ]
    };
    expect(brokenReferences(broken).map(({ message }) => message)).to.deep.equal([
      'repeats the id “hoop”',
      'names a piece “bakc” that the item does not have'
    ]);
  });
});
