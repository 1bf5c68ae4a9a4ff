import { expect } from 'chai';
import fc from 'fast-check';
import { newLine, type Order } from '$lib/core/documents/order';
import { type BatchPlan, planBatch } from '$lib/core/ordering/day';
import { traceHoop } from '$lib/core/ordering/copies';
import { demoItem, demoSetup, demoShop } from './support/demo';
import { orderOf } from './support/orders';

/** Items that go into a hoop several at a time, and some that fill it. */
const ITEMS = [
  'badger-tab',
  'button-badges',
  'canopy-lace',
  'driver-towel-patch',
  'fern-border-patch',
  'lamp-patch',
  'lantern-apron',
  'napkin-window',
  'signal-mat',
  'stove-topper',
  'ticket-tab'
];
const shop = demoShop();
const items = ITEMS.map((id) => ({ item: demoItem(id), setup: demoSetup(id) }));
const day: Partial<Order> = {
  bench: { from: 540, to: 1080, breaks: [{ from: 750, to: 795 }], days: [1, 2, 3, 4, 5, 6] }
};

/** Stretches of one kind that lie on each other. */
function twice(plan: BatchPlan, of: (task: BatchPlan['tasks'][number]) => string | number | null): string[] {
  const lanes = new Map<string | number, BatchPlan['tasks']>();
  for (const task of plan.tasks) {
    const lane = of(task);
    if (lane !== null) lanes.set(lane, [...(lanes.get(lane) ?? []), task]);
  }
  return [...lanes].flatMap(([lane, tasks]) => {
    const sorted = tasks.toSorted((a, b) => a.from - b.from);
    return sorted
      .slice(1)
      .flatMap((task, at) => (task.from < (sorted[at]?.to ?? 0) - 1e-6 ? String(lane) : []));
  });
}

describe('orders of the demo’s items, whatever is ordered', () => {
  const orders = fc.record({
    lines: fc.uniqueArray(
      fc.record({ id: fc.constantFrom(...ITEMS), count: fc.integer({ min: 1, max: 14 }) }),
      {
        selector: ({ id }) => id,
        minLength: 1,
        maxLength: 3
      }
    ),
    spoilage: fc.constantFrom(0, 0.03, 0.1),
    people: fc.constantFrom(1, 2)
  });

  it('every copy is stitched once, in every clamping, where it fits', () => {
    fc.assert(
      fc.property(orders, ({ lines, spoilage, people }) => {
        const order = orderOf(
          lines.map(({ id, count }) => newLine(id, id, count)),
          { ...day, spoilage, people }
        );
        const plan = planBatch({ order, items, shop }, { rounds: 40 });
        expect(plan.problems).to.deep.equal([]);
        for (const { id, count } of lines) {
          const wanted = Math.ceil(count * (1 + spoilage) - 1e-9);
          const own = plan.hoopings.filter(({ lineId }) => lineId === id);
          for (let stage = 0; stage < (own[0]?.stages ?? 0); stage++) {
            const numbers = own.filter((each) => each.stage === stage).flatMap((each) => each.numbers);
            expect(numbers.sort((a, b) => a - b)).to.deep.equal(
              Array.from({ length: wanted }, (_, at) => at + 1)
            );
          }
        }
        for (const { outline, placements, area, copies, heads } of plan.hoopings) {
          expect(placements).to.have.length(Math.max(...heads));
          expect(heads.reduce((sum, each) => sum + each, 0)).to.equal(copies);
          const stops = traceHoop([outline], placements, area, 0, 'mm').filter(
            ({ severity }) => severity === 'stop'
          );
          expect(stops).to.deep.equal([]);
        }
      }),
      { numRuns: 8 }
    );
  });

  it('no hands and no machine are in two places, hands keep to the bench, the bound stays below', () => {
    fc.assert(
      fc.property(orders, ({ lines, spoilage, people }) => {
        const order = orderOf(
          lines.map(({ id, count }) => newLine(id, id, count)),
          { ...day, spoilage, people }
        );
        const plan = planBatch({ order, items, shop }, { rounds: 40 });
        expect(twice(plan, ({ person }) => person)).to.deep.equal([]);
        expect(twice(plan, ({ kind, stationId }) => (kind === 'load' ? null : stationId))).to.deep.equal([]);
        for (const { person, from, to } of plan.tasks) {
          if (person === null) continue;
          const [begin, end] = [from % 86_400, ((to - 1e-6) % 86_400) + 1e-6];
          expect(begin).to.be.at.least(540 * 60 - 1e-6);
          expect(end).to.be.at.most(1080 * 60 + 1e-6);
          const inBreak = begin < 795 * 60 - 1e-6 && end > 750 * 60 + 1e-6;
          expect(inBreak, `${begin} to ${end}`).to.equal(false);
        }
        expect(plan.bound.worked).to.be.at.most(plan.worked + 1e-6);
        expect(plan.bound.finish).to.be.at.most(plan.finish + 1e-6);
        const hands = plan.tasks.reduce(
          (sum, { person, from, to }) => sum + (person === null ? 0 : to - from),
          0
        );
        expect(plan.hands).to.be.closeTo(hands, 1e-6);
        const present = plan.presence.reduce((sum, { from, to }) => sum + to - from, 0);
        expect(present * people).to.be.at.least(hands - 1e-6);
      }),
      {
        numRuns: 8,
        // A mat is rinsed and not dried.
        examples: [[{ lines: [{ id: 'signal-mat', count: 1 }], spoilage: 0, people: 1 }]]
      }
    );
  });

  it('rinses what is rinsed though nothing has to dry, for several mats once', () => {
    const order = orderOf([newLine('signal-mat', 'signal-mat', 2)], { ...day, spoilage: 0, people: 1 });
    const plan = planBatch({ order, items, shop }, { rounds: 40 });
    const wash = plan.tasks.filter(({ kind }) => kind === 'wash');
    // One rinse of 180 s for both; pressing 45 s and snipping 16 s for each.
    expect(wash.reduce((sum, { from, to }) => sum + to - from, 0)).to.be.closeTo(180 + 2 * (45 + 16), 1e-6);
    expect(plan.finish).to.equal(Math.max(...wash.map(({ to }) => to)));
  });

  it('is the same plan for the same order', () => {
    const order = orderOf(
      [newLine('badger-tab', 'badger-tab', 5), newLine('lamp-patch', 'lamp-patch', 7)],
      day
    );
    const make = (): BatchPlan => planBatch({ order, items, shop }, { rounds: 60 });
    expect(make()).to.deep.equal(make());
  });

  it('a second machine never makes an order later, nor does a second pair of hands', () => {
    const lines = [newLine('badger-tab', 'badger-tab', 6), newLine('lamp-patch', 'lamp-patch', 10)];
    const finish = (more: Partial<Order>): number =>
      planBatch({ order: orderOf(lines, { ...day, ...more }), items, shop }, { rounds: 400 }).worked;
    const both = finish({});
    expect(both).to.be.at.most(finish({ machineIds: ['left'] }));
    expect(both).to.be.at.most(finish({ machineIds: ['right'] }));
    expect(finish({ people: 2 })).to.be.at.most(both);
  });
});
