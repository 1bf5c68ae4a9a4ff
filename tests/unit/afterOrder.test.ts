import { expect } from 'chai';
import { newLine } from '$lib/core/documents/order';
import type { Run } from '$lib/core/documents/run';
import { type BatchInput, planBatch } from '$lib/core/ordering/day';
import { afterOrder, learnedSpoilage } from '$lib/core/ordering/after';
import { machine, orderOf, plainPatch, shopOf } from './support/orders';
import { type Happening, runOfHooping } from './support/orderRuns';

const shop = shopOf([machine('one')]);

/** An order of plain patches with every hooping of its plan stitched. */
function stitched(
  count: number,
  { spoilage = 0, spoiled = 0, extra = [] }: { spoilage?: number; spoiled?: number; extra?: Happening[] } = {}
): { input: BatchInput; runs: Run[] } {
  const item = plainPatch();
  const order = orderOf([{ ...newLine('line', 'patch', count), spoiled }], { spoilage });
  const input = { order, items: [{ item }], shop };
  const runs = planBatch(input).hoopings.map((hooping, at) => ({
    ...runOfHooping({ order, item, shop }, hooping, 'all', at === 0 ? extra : []),
    id: `run-${at}`
  }));
  return { input, runs };
}

describe('after an order', () => {
  it('counts what went wrong by kind, with the time until the work went on', () => {
    // Each event is 1,000 s after the one before.
    const fault = (kind: 'thread-broke' | 'nest'): Happening[] => [
      { type: 'fault', fault: kind },
      { type: 'sorted' }
    ];
    const { input, runs } = stitched(12, {
      extra: [...fault('thread-broke'), ...fault('nest'), ...fault('thread-broke')]
    });
    const { wrong } = afterOrder(input, runs);
    expect(wrong.map(({ times, seconds }) => [times, seconds])).to.deep.equal([
      [2, 2000],
      [1, 1000]
    ]);
    expect(wrong[0]?.words).to.match(/thread/i);
  });

  it('sets the time it took against the time it was planned to take', () => {
    const { input, runs } = stitched(6);
    const { predicted, actual } = afterOrder(input, runs);
    const steps = runs[0]?.plan.steps ?? [];
    expect(runs).to.have.length(1);
    expect(predicted.needle).to.be.closeTo(
      steps.reduce(
        (sum, { kind, hands, running, waiting }) =>
          sum + (kind === 'stop' ? hands.value + running.value + waiting.value : 0),
        0
      ),
      1
    );
    // Every step took 1,000 s in this log.
    expect(actual.needle).to.equal(1000 * steps.filter(({ kind }) => kind === 'stop').length);
  });

  it('says what was spoiled, and carries a share of that over: a few pieces teach little', () => {
    // 24 ordered, 10 % reckoned with: 27 stitched, 3 of them bad.
    const { input, runs } = stitched(24, { spoilage: 0.1, spoiled: 3 });
    const after = afterOrder(input, runs);
    expect(after.spoiled).to.deep.equal([{ lineId: 'line', name: 'Plain patch', made: 27, bad: 3 }]);
    expect(after.badShare).to.be.closeTo(3 / 27, 1e-9);
    // 10 of 50 against 3 % reckoned with: weight 10/50 of 17 points on top of 3 is 6.
    expect(learnedSpoilage({ badShare: 0.2, reckoned: 0.03, made: 10 })).to.equal(0.06);
    expect(learnedSpoilage({ badShare: null, reckoned: 0.03, made: 0 })).to.equal(0.03);
    expect(learnedSpoilage({ badShare: 0.2, reckoned: 0.03, made: 4000 })).to.equal(0.2);
  });

  it('offers the cloth of a hooping with room left, its stitched parts marked', () => {
    // Six fit a hoop; eight are shared out as four and four.
    const { input, runs } = stitched(8);
    const { leftovers } = afterOrder(input, runs);
    expect(runs.map(({ order }) => order?.copies).toSorted()).to.deep.equal([4, 4]);
    expect(leftovers).to.have.length(2);
    const [left] = leftovers;
    expect(left?.stitched).to.have.length(4);
    for (const { x, y, width, height } of left?.stitched ?? []) {
      // A patch of 60 mm marks what it covers, and no more.
      expect([width, height]).to.deep.equal([60, 60]);
      expect(x).to.be.at.least(0);
      expect(y).to.be.at.least(0);
      expect(x + width).to.be.at.most((left?.width ?? 0) + 1);
      expect(y + height).to.be.at.most((left?.height ?? 0) + 1);
    }
  });

  it('offers nothing of what is not stitched yet', () => {
    const { input, runs } = stitched(8);
    const under = runs.map((run) => ({ ...run, events: run.events.slice(0, 3), finishedAt: null }));
    expect(afterOrder(input, under).leftovers).to.deep.equal([]);
    expect(afterOrder(input, []).badShare).to.equal(null);
  });
});
