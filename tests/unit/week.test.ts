import { expect } from 'chai';
import fc from 'fast-check';
import { newLine, type Order } from '$lib/core/documents/order';
import { planBatch } from '$lib/core/ordering/day';
import { spreadOf } from '$lib/core/ordering/promise';
import { handTasks, orderOfLine, planWeek, weekLine, type WeekInput } from '$lib/core/ordering/week';
import { machine, orderOf, plainPatch, shopOf } from './support/orders';

const own = (id: string, count: number, more: Partial<Order> = {}): Order => ({
  ...orderOf([newLine('line', 'patch', count)], more),
  id,
  name: id
});
const roomOf = ({ from, bench, people }: Order): WeekInput['room'] => ({ from, bench, people });
const TWO = shopOf([machine('one'), machine('two')]);
const items = [{ item: plainPatch() }];

function weekOf(orders: Order[], shop = TWO): NonNullable<ReturnType<typeof planWeek>> {
  const [first] = orders;
  if (!first) throw new Error('no order');
  const week = planWeek(
    { orders: orders.map((order) => ({ order })), items, shop, room: roomOf(first) },
    undefined,
    60
  );
  if (!week) throw new Error('no week');
  return week;
}

describe('the week', () => {
  it('knows lines of several orders apart', () => {
    expect(orderOfLine(weekLine('gala', 'line'))).to.equal('gala');
    expect(weekLine('a', 'b')).not.to.equal(weekLine('ab', ''));
  });

  it('puts the order with the nearer date first', () => {
    const late = own('market', 12, { due: '2026-11-29T12:00' });
    const soon = own('gala', 12, { due: '2026-11-27T16:00' });
    const week = weekOf([late, soon]);
    const at = (id: string): number => week.orders.find(({ orderId }) => orderId === id)?.finish ?? 0;
    expect(week.orders.map(({ orderId }) => orderId)).to.deep.equal(['gala', 'market']);
    expect(at('gala')).to.be.lessThan(at('market'));
    // 16:00 is kept, though both together would end no sooner or later either way.
    expect(at('gala')).to.be.at.most(16 * 3600);
  });

  it('shares one drying: two orders that are rinsed end sooner together than one after the other', () => {
    const washed = [{ item: plainPatch({ wash: true }) }];
    const [a, b] = [own('a', 3), own('b', 3)];
    const shop = shopOf([machine('one')]);
    const week = planWeek({ orders: [{ order: a }, { order: b }], items: washed, shop, room: roomOf(a) });
    const alone = [a, b].map((order) => planBatch({ order, items: washed, shop }));
    const after = (alone[0]?.finish ?? 0) + (alone[1]?.finish ?? 0) - (alone[1]?.start ?? 0);
    // Each drying by itself would be waited for; together it is waited for once.
    expect(week?.plan.finish).to.be.lessThan(after - 3600);
    expect(
      week?.plan.tasks.filter(({ kind }) => kind === 'wash' || kind === 'wait').length
    ).to.be.greaterThan(0);
  });

  it('does nothing twice at once, loses no copy, and is never worse than one order after another', () => {
    fc.assert(
      fc.property(
        fc.array(
          fc.record({
            count: fc.integer({ min: 1, max: 9 }),
            day: fc.option(fc.integer({ min: 27, max: 30 }))
          }),
          {
            minLength: 1,
            maxLength: 3
          }
        ),
        fc.integer({ min: 1, max: 2 }),
        (orders, machines) => {
          const shop = shopOf(Array.from({ length: machines }, (_, at) => machine(`m${at}`)));
          const all = orders.map(({ count, day }, at) =>
            own(`o${at}`, count, day === null ? {} : { due: `2026-11-${day}T18:00` })
          );
          const { plan, orders: told } = weekOf(all, shop);
          expect(plan.hoopings.reduce((sum, { copies }) => sum + copies, 0)).to.equal(
            all.reduce((sum, { lines }) => sum + (lines[0]?.quantity ?? 0), 0)
          );
          const people = plan.tasks
            .filter(({ person }) => person !== null)
            .toSorted((x, y) => x.from - y.from);
          people.forEach((task, at) => {
            const before = people.slice(0, at).findLast(({ person }) => person === task.person);
            if (before) expect(task.from).to.be.at.least(before.to - 1e-6);
          });
          const alone = all.map((order) => planBatch({ order, items, shop }, { rounds: 60 }));
          const after = alone.reduce((sum, each) => sum + each.finish - each.start, alone[0]?.start ?? 0);
          // Each order is searched by itself more thoroughly than all together: a hundredth of their length at most is lost.
          expect(plan.finish).to.be.at.most(after + (after - plan.start) / 100);
          expect(Math.max(...told.map(({ finish }) => finish))).to.be.at.most(plan.finish + 1e-6);
        }
      ),
      { numRuns: 12 }
    );
  });

  it('says how likely each date is, and what the hands do now, next and then', () => {
    const orders = [own('gala', 9, { due: '2026-11-27T17:00' }), own('market', 9)];
    const [first] = orders;
    if (!first) throw new Error('no order');
    const week = planWeek(
      { orders: orders.map((order) => ({ order })), items, shop: TWO, room: roomOf(first) },
      spreadOf({}, null, 0)
    );
    const gala = week?.orders.find(({ orderId }) => orderId === 'gala');
    expect(gala?.chance).to.be.within(0, 1);
    expect(gala?.fourInFive).to.be.greaterThan(0);
    expect(week?.orders.find(({ orderId }) => orderId === 'market')?.chance).to.equal(null);
    const tasks = week ? handTasks(week.plan, week.plan.start, 3) : [];
    expect(tasks).to.have.length(3);
    expect(tasks[0]?.from).to.be.at.most(tasks[1]?.from ?? 0);
    expect(tasks.every(({ orderId }) => orderId === null || ['gala', 'market'].includes(orderId))).to.equal(
      true
    );
  });
});
