import { review } from '$lib/core/making/checks';
import { plan as planItem } from '$lib/core/making/plan';
import { MARGIN_MM } from '$lib/core/craft/sizes';
import { ribbonSteps } from '$lib/core/making/summary';
import { fromDefaults } from '$lib/core/making/time';
import { linesOfText } from '$lib/core/reading/pages';
import { readInstructions } from '$lib/core/reading/papers/instructions';
import { gettingBack, handMinutes, savings } from '$lib/core/running/runs';
import { expect } from 'chai';
import { badgerShop, badgerTab, makeItem } from './support/badger';

/** Numbers and branches that could be changed without any other test noticing: each is held at its edge. */
const shop = badgerShop();
const tab = badgerTab();
const plan = planItem(tab, undefined, shop);

describe('at the edge', () => {
  it('a ribbon is as long as the plan: hands, needle and waiting', () => {
    for (const kind of ['snap-tab', 'lace', 'zip-pouch', 'patch'] as const) {
      const { steps, totals } = planItem(makeItem(kind), undefined, shop);
      const long = ribbonSteps(steps).reduce((sum, { seconds }) => sum + seconds, 0);
      expect(long).to.be.closeTo(totals.hands.value + totals.needle.value + totals.waiting.value, 1e-6);
    }
  });
  it('pieces are cut by the craft’s margins, a zip 25 mm over at each end', () => {
    expect(MARGIN_MM).to.deep.equal({
      hooped: 25,
      applique: 12,
      batting: 12,
      backing: 20,
      flipped: 12,
      'zip-tape': 25,
      adhesive: 10
    });
    const pouch = makeItem('zip-pouch', { width: 180 });
    const zip = planItem(pouch, undefined, shop).cuts.find(({ pieceId }) => pieceId === 'zip');
    expect(zip?.cut.width).to.equal(230);
  });
  it('an order of two words is a sentence of a sheet, one word is none', () => {
    const read = (...lines: string[]): number => readInstructions(linesOfText(lines)).instructions.length;
    expect(read('1. Hoop the tear-away.', '2. Stitch stop 1.', '3. Unhoop it.')).to.equal(3);
    expect(read('1. Hoop the tear-away.', '2. Stitch stop 1.', '3. Unhoop')).to.equal(2);
    // Without a mark at its end an order takes three words, anything else four and the mark.
    expect(read('1. Hoop the tear-away.', '2. Lay felt down')).to.equal(2);
    expect(read('1. Hoop the tear-away.', '2. Stitch stop 1.', '3. Lay felt')).to.equal(2);
  });
  it('an estimate nobody has logged anything for rests on no sample', () => {
    expect(fromDefaults('hands', 60).samples).to.equal(0);
  });
  it('hands are summed by work with the steps they come in, the most first; what spares most is told first', () => {
    const found = handMinutes(plan);
    const steps = (key: string): number =>
      plan.steps.filter(({ parts }) => parts.some((part) => part.key === key)).length;
    for (const { key, steps: counted } of found) expect(counted, key).to.equal(steps(key));
    for (const list of [found, savings(plan, 70), savings(plan, 5000)]) {
      const seconds = list.map((each) => each.seconds);
      expect(seconds).to.deep.equal(seconds.toSorted((a, b) => b - a));
    }
    expect(savings(plan, 0.9).some(({ id }) => id === 'order')).to.equal(false);
    expect(savings(plan, 1).some(({ id }) => id === 'order')).to.equal(true);
  });
  it('the hoop goes back on for a stop and for what is done on the machine, not for work at the table', () => {
    const says = (stepId: string): boolean =>
      gettingBack(plan, tab, { stepId, stop: null, stitch: null }, undefined).join(' ').includes('back on');
    for (const { id, kind, hoop } of plan.steps)
      expect(says(id), id).to.equal(kind === 'stop' || hoop.where === 'on');
  });
  it('an answer stands for its own finding, and lapses when that is graver than what was answered', () => {
    const odd = makeItem('patch', { edge: 'satin' });
    const bare = {
      ...odd,
      steps: odd.steps.filter((step) => step.kind !== 'hand' || step.op.do !== 'unhoop')
    };
    const [first, second] = review(bare, undefined, shop).checked.open.filter(
      ({ severity }) => severity !== 'note'
    );
    if (!first) throw new Error('nothing is wrong');
    const answer = (severity: 'note' | 'warn' | 'stop', code = first.code) => ({
      code,
      stepId: first.stepId,
      severity,
      reason: 'meant so',
      at: '2026-12-01T00:00:00.000Z'
    });
    const open = (answers: ReturnType<typeof answer>[]): string[] =>
      review({ ...bare, answers } as typeof bare, undefined, shop).checked.open.map(({ code }) => code);
    expect(open([answer(first.severity)])).to.not.include(first.code);
    expect(open([answer('note')])).to.include(first.code);
    expect(open([answer('stop', 'field/outside')])).to.include(first.code);
    if (second && second.code !== first.code) expect(open([answer(first.severity)])).to.include(second.code);
  });
});
