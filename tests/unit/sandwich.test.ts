import { editStep, type Item, type Operation, removeStep, type Step } from '$lib/core/documents/item';
import { review, type Review } from '$lib/core/making/checks';
import {
  insertWindows,
  leavingAt,
  outside,
  type Shown,
  sidesOf,
  type StackStep,
  visibleThreads
} from '$lib/core/craft/stack';
import { expect } from 'chai';
import fc from 'fast-check';
import { BADGER_CHART, makeItem } from './support/badger';
import { roomyShop } from './support/ends';
import { CONSTRUCTIONS } from '$lib/core/craft/constructions';
import { checkOf } from './support/findingWords';

const look = (item: Item): Review => review(item, undefined, roomyShop);
const end = ({ trace }: Review): StackStep => trace.at(-1) as StackStep;
const after = ({ trace }: Review, stepId: string): StackStep => {
  const found = trace.find((step) => step.stepId === stepId);
  if (!found) throw new Error(stepId);
  return found;
};
const stackAfter = (seen: Review, stepId: string): string[] =>
  after(seen, stepId).state.layers.map(({ name, face }) => `${name} ${face}`);
const faces = (shown: Shown[]): string[] =>
  shown.map(({ layer, rightSide }) => `${layer.name} ${rightSide ? 'right' : 'wrong'}`).sort();
const ends = (seen: Review): Record<'front' | 'back' | 'lining', string[]> => {
  const { front, back, lining } = outside(end(seen).state, seen.item);
  return { front: faces(front), back: faces(back), lining: faces(lining) };
};
const said = ({ checked }: Review): string[] =>
  checked.open
    .filter(({ severity }) => severity !== 'note')
    .map(({ code, stepId }) => `${checkOf(code)} ${stepId ?? ''}`.trim());
const withOp = (item: Item, stepId: string, change: object): Item => {
  const step = item.steps.find(({ id }) => id === stepId);
  if (step?.kind !== 'hand') throw new Error(stepId);
  return editStep(item, stepId, { op: { ...step.op, ...change } as Operation });
};
/** An item whose openings are so wide, mm. */
const openedBy = (item: Item, wide: number): Item => ({
  ...item,
  lines: item.lines.map((line) => ({
    ...line,
    gaps: line.gaps.map(({ from, ...gap }) => ({ ...gap, from, to: from + wide }))
  }))
});

describe('the lined zip pouch', () => {
  const pouch = makeItem('zip-pouch');
  const seen = look(pouch);

  it('lies in the hoop as the craft has it, from the back lining up to the back batting', () => {
    expect(stackAfter(seen, 'stop-16')).to.deep.equal([
      'BACK LINING up',
      'UPPER LINING down',
      'LOWER LINING down',
      'STABILISER up',
      'BATTING up',
      'ZIP up',
      'UPPER FRONT up',
      'LOWER FRONT up',
      'ACCENT up',
      'BACK down',
      'BACK BATTING up'
    ]);
  });
  it('after the first turn has its linings outside, right side out', () => {
    const { state } = after(seen, 'turn-lining');
    const [bottom, top] = [state.layers[0], state.layers.at(-1)];
    const outer = [bottom, top].map((layer) => `${layer?.name} ${layer?.face}`).sort();
    // A lining at the bottom shows its right side when that faces down, one at the top when it faces up.
    expect(outer.map((name) => name.includes('LINING'))).to.deep.equal([true, true]);
    const { front, back } = outside(state, pouch);
    expect(
      [...front, ...back]
        .filter(({ layer }) => layer.name.includes('LINING'))
        .every(({ rightSide }) => rightSide)
    ).to.equal(true);
  });
  it('after the second turn has both panels right side out and the lining right side in', () => {
    expect(ends(seen)).to.deep.equal({
      front: ['ACCENT right', 'LOWER FRONT right', 'UPPER FRONT right', 'ZIP right'],
      back: ['BACK right'],
      lining: ['BACK LINING right', 'LOWER LINING right', 'UPPER LINING right']
    });
    expect(said(seen)).to.deep.equal([]);
    expect(seen.plan.finished).to.deep.equal({ width: 180, height: 120 });
  });
  it('cannot be turned with the zip closed, whether it was never opened or closed again', () => {
    for (const closed of [removeStep(pouch, 'zip-open'), withOp(pouch, 'zip-open', { to: 'closed' })]) {
      const wrong = look(closed);
      expect(after(wrong, 'turn-zip').problem).to.equal(
        'ZIP is closed, so nothing can be turned through it.'
      );
      expect(said(wrong)).to.include('zip lay-back');
    }
  });
  it('needs an opening of 60 mm, in the lining alone', () => {
    expect(said(look(makeItem('zip-pouch', { opening: 60 })))).to.deep.equal([]);
    const small = look(openedBy(pouch, 59));
    expect(after(small, 'turn-lining').problem).to.equal(
      'The opening of 59 mm is too small to turn through.'
    );
    expect(said(small)).to.deep.equal(['opening stop-16']);
    // Without the back tack the outer layers stay open as well.
    expect(said(look(removeStep(pouch, 'stop-15')))).to.include('opening turn-lining');
  });
  it('finds the stabiliser left behind the zip, and a panel that is not flipped', () => {
    expect(said(look(removeStep(pouch, 'cut-behind-zip')))).to.deep.equal(['zip turn-zip']);
    expect(said(look(removeStep(pouch, 'flip-upper')))).to.include('faces lay-upper');
  });
});

describe('the bib', () => {
  for (const school of ['all-hooped', 'pieced', 'floated']) {
    it(`${school}: front and back end right side out, the batting between them`, () => {
      const seen = look(makeItem('turned-flat', { school }));
      expect(said(seen)).to.deep.equal([]);
      const front = school === 'pieced' ? ['LOWER FRONT right', 'UPPER FRONT right'] : ['FRONT right'];
      expect(ends(seen)).to.deep.equal({ front, back: ['BACK right'], lining: [] });
      expect(outside(end(seen).state, seen.item).hidden.map(({ name }) => name)).to.include('BATTING');
    });
    it(`${school}: a back laid right side up ends inside out`, () => {
      const wrong = withOp(makeItem('turned-flat', { school }), 'lay-back', { face: 'up' });
      expect(said(look(wrong))).to.deep.equal(['faces lay-back']);
    });
  }
});

describe('other sandwiches', () => {
  it('the topper on a towel: slot through the cloth, stabiliser torn away, towel on its strip', () => {
    const seen = look(makeItem('topper'));
    expect(said(seen)).to.deep.equal([]);
    expect(ends(seen).front).to.include.members(['FRONT right', 'TOWEL right']);
    expect(ends(seen).back).to.include.members(['BACK right', 'TOWEL right']);
    const cut = editStep(seen.item, 'trim-slot', {
      op: { do: 'cut-through', pieceIds: ['base', 'batting', 'front'], lineId: 'slot' }
    });
    expect(said(look(cut)).filter((finding) => finding.startsWith('slot'))).to.deep.equal(['slot stop-6']);
  });
  it('the border patch: cut out of one hooping, laid on the line of the next', () => {
    const patch = makeItem('border-patch');
    const seen = look(patch);
    expect(said(seen)).to.deep.equal([]);
    expect(stackAfter(seen, 'hoop-hooping-2')).to.deep.equal(['WASH-AWAY up']);
    expect(after(seen, 'hoop-hooping-2').state.aside.map(({ name }) => name)).to.deep.equal([
      'STABILISER',
      'PATCH'
    ]);
    // What is stitched to it comes along.
    expect(stackAfter(seen, 'lay-patch')).to.deep.equal(['WASH-AWAY up', 'STABILISER up', 'PATCH up']);
    expect(ends(seen).front).to.deep.equal(['PATCH right']);
    expect(said(look(removeStep(patch, 'stop-4')))).to.include('registration lay-patch');
  });
  it('cutwork cut through and patched: bars on the scrap; without the scrap they hang over a hole', () => {
    const cutwork = makeItem('cutwork', { school: 'cut-through' });
    expect(said(look(cutwork))).to.deep.equal([]);
    const bare = look(removeStep(cutwork, 'patch'));
    expect(said(bare)).to.include('holes stop-2');
    expect(bare.checked.open.find(({ code }) => checkOf(code) === 'holes')?.text).to.equal(
      'Stop 2 stitches over a hole, with nothing under the needle. The same holds for stop 3.'
    );
  });
  it('the joined appliqué: the right piece is sewn face down and flipped over the join', () => {
    const joined = makeItem('joined-applique');
    const seen = look(joined);
    expect(said(seen)).to.deep.equal([]);
    const right = (stepId: string): string | undefined =>
      after(seen, stepId).state.layers.find(({ pieceId }) => pieceId === 'right')?.face;
    expect([right('lay-right'), right('flip-right')]).to.deep.equal(['down', 'up']);
    expect(ends(seen).front).to.include.members(['LEFT PIECE right', 'RIGHT PIECE right']);
    expect(said(look(removeStep(joined, 'stop-5')))).to.include('impossible flip-right');
  });
  it('the tab: threads show where the stack says, and black under a white outline is found', () => {
    const tab = makeItem('snap-tab', {}, BADGER_CHART);
    const seen = look(tab);
    expect(visibleThreads(end(seen).state).map((each) => sidesOf(each))).to.deep.equal([
      ...['hidden', 'front', 'front', 'front', 'front'],
      'both'
    ]);
    const black = tab.threads.find(({ name }) => name === 'Black')?.id ?? '';
    const wrong = {
      ...tab,
      files: tab.files.map((file) => ({
        ...file,
        stops: file.stops.map((stop) => (stop.id === 'stop-2' ? { ...stop, threadId: black } : stop))
      }))
    };
    expect(said(look(wrong))).to.deep.equal(['colours stop-2']);
  });
});

describe('every sandwich', () => {
  for (const { kind, name } of CONSTRUCTIONS) {
    const item = makeItem(kind);
    it(`${name}: comes out right, and nothing it can be made into stops the simulation`, () => {
      expect(said(look(item))).to.deep.equal([]);
      fc.assert(
        fc.property(fc.shuffledSubarray(item.steps, { minLength: 1 }), (steps) => {
          const { trace, checked } = look({ ...item, steps });
          expect(trace).to.have.length(steps.length);
          for (const { text, advice } of checked.open)
            expect(`${text} ${advice}`).to.not.match(/undefined|null|NaN/);
        }),
        { numRuns: 8 }
      );
    });
  }
});

describe('a name run in between', () => {
  const windows = (item: Item): { pieceId: string; after: string[] }[] => {
    const { trace } = look(item);
    return insertWindows(item, trace);
  };
  it('fits a tab between its tack-down and its backing', () => {
    expect(windows(makeItem('snap-tab', {}, BADGER_CHART))).to.deep.equal([
      { pieceId: 'front', after: ['stop-2', 'stop-3', 'stop-4', 'stop-5'] }
    ]);
  });
  it('fits where the craft puts it in every item that takes one', () => {
    for (const base of ['snap-tab', 'turned-flat', 'layered-mat', 'topper']) {
      const item = makeItem('named-item', { base });
      const at = item.steps.findIndex(({ id }) => id === 'name-run');
      const places = windows(removeStep(item, 'name-run')).flatMap(({ after: steps }) => steps);
      expect(places, base).to.include(item.steps[at - 1]?.id);
      expect(said(look(item)), base).to.deep.equal([]);
    }
  });
  it('fits nowhere in lace, which has no surface', () => {
    expect(windows(makeItem('lace'))).to.deep.equal([]);
  });
  it('is found when it comes after the surface is covered', () => {
    const item = makeItem('named-item', { base: 'turned-flat' });
    const run = item.steps.find(({ id }) => id === 'name-run') as Step;
    const steps = item.steps.filter((step) => step !== run);
    const late = steps.findIndex(({ id }) => id === 'lay-back') + 2;
    const wrong = { ...item, steps: [...steps.slice(0, late), { ...run, needs: [] }, ...steps.slice(late)] };
    expect(said(look(wrong))).to.include('covered name-run');
  });
  it('says where to leave the file, where to go on, and when the machine must be caught', () => {
    const tab = makeItem('snap-tab', {}, BADGER_CHART);
    expect(leavingAt(tab, 'stop-5', 1)).to.deep.equal({ leaveAfter: 5, resumeAt: 6, catchIt: false });
    expect(leavingAt(tab, 'stop-4', 1).catchIt).to.equal(false);
    expect(leavingAt(tab, 'stop-4', 6)).to.deep.equal({ leaveAfter: 4, resumeAt: 5, catchIt: true });
  });
  it('has its thread put on before it, and the next stop’s again after it', () => {
    const item = makeItem('named-item', { base: 'snap-tab' });
    const { steps, threads } = look(item).plan;
    const at = steps.findIndex(({ itemStepId }) => itemStepId === 'name-run');
    expect(steps[at - 1]?.title).to.equal('Thread Burgundy');
    expect(steps.slice(at + 1).find(({ op }) => op?.do === 'thread')?.title).to.equal('Thread Signal white');
    // 7 letters at 220 stitches, 5.4 m a thousand.
    expect(threads.find(({ thread }) => thread.name === 'Burgundy')?.upperMetres).to.be.closeTo(
      1540 * 0.0054,
      0.01
    );
    expect(steps[at]?.running.value).to.be.above(0);
  });
});
