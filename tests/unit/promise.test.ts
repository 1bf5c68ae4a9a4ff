import { expect } from 'chai';
import { seeded } from '$lib/core/base/units';
import { newLine } from '$lib/core/documents/order';
import { planBatch, planned } from '$lib/core/ordering/day';
import { chanceOf, promiseOf, quantile, type Spread, spreadOf } from '$lib/core/ordering/promise';
import { drawFinishes, poisson } from '$lib/core/ordering/promise/draw';

import { machine, orderOf, patches, plainPatch, shopOf } from './support/orders';

const NONE: Spread = {
  hands: { task: 0, all: 0 },
  needle: { task: 0, all: 0 },
  faults: { per10k: 0, seconds: 180 },
  spoilage: 0
};

describe('sharing out over machines', () => {
  it('gives 25 copies to three heads and to the single head beside them: sooner than all on the heads', () => {
    const item = plainPatch({ stitches: 24_650 });
    const with_ = (ids: string[]) =>
      planBatch({
        order: { ...orderOf([newLine('line', 'patch', 25)]), spoilage: 0, machineIds: ids },
        items: [{ item }],
        shop: shopOf([machine('heads', { heads: 3 }), machine('one')])
      });
    const both = with_(['heads', 'one']);
    const heads = with_(['heads']);
    // Six to a hoop at 800 stitches a minute: 6 x 24,650 / 800 = 185 min of needle a round.
    expect((6 * 24_650) / 800).to.be.closeTo(184.9, 0.05);
    expect(both.finish).to.be.lessThan(heads.finish - 1800);
    expect(new Set(both.hoopings.map(({ machineId }) => machineId)).size).to.equal(2);
    expect(both.hoopings.reduce((sum, { copies }) => sum + copies, 0)).to.equal(25);
  });
});

describe('machines of several heads and of one', () => {
  const both = shopOf([machine('heads', { heads: 3 }), machine('one')]);
  const planOf = (count: number, machineIds: string[]) =>
    planBatch(
      { ...patches(count, both), order: { ...orderOf([newLine('line', 'patch', count)]), machineIds } },
      { rounds: 80 }
    );

  it('together never end later than either alone, and lose no copy', () => {
    for (const count of [1, 5, 7, 13, 19, 31, 40]) {
      const together = planOf(count, []);
      const alone = [planOf(count, ['heads']), planOf(count, ['one'])];
      expect(
        together.hoopings.reduce((sum, { copies }) => sum + copies, 0),
        String(count)
      ).to.equal(count);
      for (const each of alone) expect(together.finish, String(count)).to.be.at.most(each.finish + 60);
      // Six to a hoop, and as many hoops at once as the machine has heads.
      for (const { copies, machineId } of together.hoopings)
        expect(copies, String(count)).to.be.at.most(machineId === 'heads' ? 18 : 6);
    }
  });
});

describe('shares of draws', () => {
  const sorted = [10, 20, 30, 40, 50, 60, 70, 80, 90, 100];

  it('are read from the earliest on', () => {
    expect(quantile(sorted, 0)).to.equal(10);
    expect(quantile(sorted, 0.5)).to.equal(60);
    expect(quantile(sorted, 0.95)).to.equal(100);
    expect(quantile(sorted, 1)).to.equal(100);
    expect(quantile([], 0.5)).to.equal(0);
  });

  it('and a date is kept by those that do not end after it', () => {
    expect(chanceOf(sorted, 5)).to.equal(0);
    expect(chanceOf(sorted, 50)).to.equal(0.5);
    expect(chanceOf(sorted, 100)).to.equal(1);
    expect(chanceOf([], 100)).to.equal(0);
  });
});

describe('a promise', () => {
  const input = patches(12, shopOf([machine('one')]));
  const made = planned(input);

  it('is the plan itself where nothing strays', () => {
    expect(drawFinishes(made, NONE, { draws: 5, copies: 12, spare: 0 })).to.deep.equal(
      Array.from({ length: 5 }, () => made.plan.finish)
    );
  });

  it('of a machine whose speed is not known spreads as that speed does: in closed form', () => {
    // Only the needle strays, all of it together: finish = rest + needle x factor, and the factor is lognormal with mean 1.
    const sigma = 0.1;
    const finishes = drawFinishes(
      made,
      { ...NONE, needle: { task: 0, all: sigma } },
      { draws: 4000, copies: 12, spare: 0 }
    );
    const needle = made.plan.needle;
    const at = (z: number): number => made.plan.finish + needle * (Math.exp(sigma * z - sigma ** 2 / 2) - 1);
    // Hands that run beside the needle soften it a little; a tenth of the spread either way.
    const tenth = 0.1 * (at(1.6449) - at(-1.6449));
    expect(quantile(finishes, 0.5)).to.be.closeTo(at(0), tenth);
    expect(quantile(finishes, 0.95)).to.be.closeTo(at(1.6449), tenth);
    expect(quantile(finishes, 0.05)).to.be.closeTo(at(-1.6449), tenth);
  });

  it('counts copies that come out bad beyond those it makes to spare', () => {
    const bad = { ...NONE, spoilage: 0.2 };
    const draw = (spare: number): number[] => drawFinishes(made, bad, { draws: 2000, copies: 12, spare });
    const over = (finishes: number[]): number =>
      finishes.filter((finish) => finish > made.plan.finish + 1).length / finishes.length;
    // None of 12 bad: 0.8^12 = 6.9 %. At most two of 14: 44.8 %.
    expect(over(draw(0))).to.be.closeTo(1 - 0.8 ** 12, 0.02);
    const atMostTwo = 0.8 ** 14 + 14 * 0.2 * 0.8 ** 13 + 91 * 0.04 * 0.8 ** 12;
    expect(over(draw(2))).to.be.closeTo(1 - atMostTwo, 0.03);
  });

  it('draws faults as often as they are said', () => {
    const random = seeded(5);
    const counts = Array.from({ length: 4000 }, () => poisson(1.3, random));
    const mean = counts.reduce((sum, count) => sum + count, 0) / counts.length;
    expect(mean).to.be.closeTo(1.3, 0.06);
    expect(counts.filter((count) => count === 0).length / counts.length).to.be.closeTo(Math.exp(-1.3), 0.03);
  });

  it('says one in two before four in five before nineteen in twenty, and what would raise it', () => {
    const spread = spreadOf(input.shop, null, 0.03);
    const order = { ...input.order, due: input.order.from.replace(/T.*/, 'T16:00') };
    const promised = promiseOf({ ...input, order }, spread);
    expect(promised.half).to.be.at.most(promised.fourInFive);
    expect(promised.fourInFive).to.be.at.most(promised.nineteenInTwenty);
    expect(promised.chance).to.be.within(0, 1);
    for (const raise of promised.raises) expect(raise.chance).to.be.greaterThan(promised.chance ?? 1);
    // The same once more, the same answer.
    expect(promiseOf({ ...input, order }, spread)).to.deep.equal(promised);
  });

  it('rests on what runs logged, and on what is usual until they say enough', () => {
    const usual = spreadOf({}, null, 0);
    expect(usual.faults.per10k).to.be.closeTo(0.65, 1e-9);
    const learned = {
      people: { me: { factors: {}, shared: { mean: 0, sd: 0.05, samples: 9 }, noise: 0.12, runs: 4 } },
      machines: {},
      runIds: [],
      counts: []
    };
    expect(spreadOf({ learned }, null, 0).hands).to.deep.equal({ task: 0.12, all: 0.05 });
    // 50,000 stitches without a fault beside as many that are usual: half of what is usual.
    const calm = spreadOf({}, { faults: 0, stitches: 50_000 }, 0);
    expect(calm.faults.per10k).to.be.closeTo(0.325, 1e-9);
  });
});
