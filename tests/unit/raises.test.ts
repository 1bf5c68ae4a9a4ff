import { expect } from 'chai';
import { newLine, type Order } from '$lib/core/documents/order';
import type { Spread } from '$lib/core/ordering/promise';
import { planWeek, raised, raisesOf, type WeekInput } from '$lib/core/ordering/week';
import { machine, orderOf, plainPatch, shopOf } from './support/orders';

const own = (id: string, count: number, more: Partial<Order> = {}): Order => ({
  ...orderOf([newLine('line', 'patch', count)], more),
  id,
  name: id
});
/** Nothing strays but the hands, a little. */
const STEADY: Spread = {
  hands: { task: 0.1, all: 0.05 },
  needle: { task: 0.02, all: 0.02 },
  faults: { per10k: 0, seconds: 0 },
  spoilage: 0
};
const BENCH = { from: 540, to: 1080, breaks: [], days: [1, 2, 3, 4, 5] };
const week = (orders: Order[], more: Partial<WeekInput> = {}): WeekInput => ({
  orders: orders.map((order) => ({ order })),
  items: [{ item: plainPatch() }],
  shop: shopOf([machine('one')]),
  // A Friday, nine to six; the next open day is Monday.
  room: { from: '2026-11-27T09:00', bench: BENCH, people: 1 },
  ...more
});
const chanceOf = (input: WeekInput, id: string): number =>
  planWeek(input, STEADY, 200)?.orders.find(({ orderId }) => orderId === id)?.chance ?? 0;

describe('the week: what would bring an order forward', () => {
  // Nineteen patches of 26 min each are 8 h 19 min of needle: too much by 18:00 where six others go first.
  const gala = own('gala', 19, { due: '2026-11-27T18:00' });
  const market = own('market', 6, { goes: 'first' });
  const input = week([gala, market]);

  it('is another order left for Monday, an hour more today: each tried with the whole week, the best first', () => {
    const before = chanceOf(input, 'gala');
    expect(before).to.be.lessThan(0.2);
    const found = raisesOf(input, STEADY, 'gala');
    expect(found[0]?.raise).to.deep.equal({ do: 'leave', orderId: 'market', from: '2026-11-30T09:00' });
    const chances = found.map(({ chance }) => chance);
    expect(chances).to.deep.equal(chances.toSorted((a, b) => b - a));
    for (const { raise, chance } of found) {
      expect(chance).to.be.at.least(before);
      // What is said is what comes out when it is done.
      expect(chanceOf(raised(input, raise), 'gala')).to.be.closeTo(chance, 1e-9);
    }
  });

  it('an hour more is tried on the days that are open before the date, by the hours they have', () => {
    const long = week([own('gala', 33, { due: '2026-12-01T12:00' })], {
      shop: {
        ...shopOf([machine('one')]),
        workroom: {
          daysOff: ['2026-11-30'],
          otherHours: [{ day: '2026-11-28', from: 600, to: 780 }],
          away: []
        }
      }
    });
    const hours = raisesOf(long, STEADY, 'gala').flatMap(({ raise }) => (raise.do === 'hours' ? raise : []));
    // Friday until 19:00, Saturday until 14:00; Monday is a day off, and on Tuesday it is due at noon.
    expect(hours.map(({ day, to }) => [day, to])).to.have.deep.members([
      ['2026-11-27', 1140],
      ['2026-11-28', 840]
    ]);
  });

  it('an order that is due before, or would be late then, is not left', () => {
    const first = own('first', 6, { due: '2026-11-27T12:00' });
    const found = raisesOf(week([gala, first]), STEADY, 'gala');
    expect(found.some(({ raise }) => raise.do === 'leave')).to.equal(false);
    const soon = { ...market, due: '2026-11-30T09:30' };
    const late = raisesOf(week([gala, soon]), STEADY, 'gala');
    expect(late.some(({ raise }) => raise.do === 'leave')).to.equal(false);
  });

  it('is nothing where an order has no date, is none of the week, or is sure', () => {
    expect(raisesOf(input, STEADY, 'market')).to.deep.equal([]);
    expect(raisesOf(input, STEADY, 'none')).to.deep.equal([]);
    expect(raisesOf(week([own('one', 1, { due: '2026-11-27T18:00' })]), STEADY, 'one')).to.deep.equal([]);
  });
});
