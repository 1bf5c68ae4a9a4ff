import { expect } from 'chai';
import fc from 'fast-check';
import { newLine, type Order } from '$lib/core/documents/order';
import { type Shop, Workroom } from '$lib/core/documents/shop';
import type { StashEntry } from '$lib/core/documents/stash';
import { planBatch, secondsBetween } from '$lib/core/ordering/day';
import {
  KeptWeek,
  keptWeek,
  meanwhile,
  moved,
  nextTasks,
  orderOfLine,
  planWeek,
  reservedByOrder,
  type WeekInput,
  type WeekPlan
} from '$lib/core/ordering/week';
import { without } from '$lib/core/solvers/schedule/calendar';
import { machine, orderOf, plainPatch, shopOf } from './support/orders';

/** Nine to six, Monday to Saturday; the 27th of November 2026 is a Friday. */
const HOURS = { from: 540, to: 1080, breaks: [], days: [1, 2, 3, 4, 5, 6] };
const items = [{ item: plainPatch() }];
const own = (id: string, count: number, more: Partial<Order> = {}): Order => ({
  ...orderOf([newLine('line', 'patch', count)], { bench: HOURS, ...more }),
  id,
  name: id
});
const room = (shop: Shop, workroom: Partial<Workroom>): Shop => ({
  ...shop,
  workroom: Workroom.parse(workroom)
});
const ONE = shopOf([machine('one')]);
const TWO = shopOf([machine('one'), machine('two')]);

function inputOf(orders: Order[], shop: Shop): WeekInput {
  const [first] = orders;
  if (!first) throw new Error('no order');
  const { from, bench, people } = first;
  return { orders: orders.map((order) => ({ order })), items, shop, room: { from, bench, people } };
}
function weekOf(orders: Order[], shop: Shop): WeekPlan {
  const week = planWeek(inputOf(orders, shop), undefined, 60);
  if (!week) throw new Error('no week');
  return week;
}
const keptOf = (orders: Order[], shop: Shop): KeptWeek =>
  keptWeek(inputOf(orders, shop), weekOf(orders, shop));
const DAY = 86_400;

describe('hours of the workroom', () => {
  it('takes a stretch out of others', () => {
    expect(without([{ from: 0, to: 100 }], [{ from: 20, to: 30 }])).to.deep.equal([
      { from: 0, to: 20 },
      { from: 30, to: 100 }
    ]);
    expect(
      without(
        [
          { from: 0, to: 10 },
          { from: 20, to: 30 }
        ],
        [{ from: 5, to: 25 }]
      )
    ).to.deep.equal([
      { from: 0, to: 5 },
      { from: 25, to: 30 }
    ]);
    expect(without([{ from: 0, to: 10 }], [{ from: 0, to: 10 }])).to.deep.equal([]);
  });

  it('does nothing on a day off: what does not end on Friday goes on on Saturday, or on Monday', () => {
    const order = own('gala', 24);
    const usual = planBatch({ order, items, shop: ONE }, { rounds: 60 });
    // 24 of 21,000 stitches take one machine more than one day that begins on Friday the 27th.
    expect(usual.finish).to.be.greaterThan(DAY);
    const off = planBatch({ order, items, shop: room(ONE, { daysOff: ['2026-11-28'] }) }, { rounds: 60 });
    // Sunday is closed anyway, so all of Saturday's work is done on Monday: two days later.
    expect(off.finish - usual.finish).to.be.closeTo(2 * DAY, 1);
    for (const { from, to } of off.tasks) expect(from >= DAY && to <= 2 * DAY).to.equal(false);
  });

  it('takes the hours of a single day as they are said', () => {
    const order = own('gala', 24);
    const short = room(ONE, { otherHours: [{ day: '2026-11-29', from: 600, to: 720 }] });
    const { tasks } = planBatch({ order, items, shop: short }, { rounds: 60 });
    const sunday = tasks.filter(({ from }) => from >= 2 * DAY && from < 3 * DAY);
    for (const { from, to } of sunday) {
      expect(from).to.be.at.least(2 * DAY + 600 * 60);
      expect(to).to.be.at.most(2 * DAY + 720 * 60);
    }
  });

  it('gives nothing to a machine while it is away, and nothing that would not be through before', () => {
    const away = [{ machineId: 'one', from: '2026-11-27T12:00', to: '2026-11-28T15:00' }];
    const { tasks } = planBatch({ order: own('gala', 18), items, shop: room(TWO, { away }) }, { rounds: 60 });
    const [from, to] = away.map((each) => [
      secondsBetween('2026-11-27T09:00', each.from),
      secondsBetween('2026-11-27T09:00', each.to)
    ])[0] ?? [0, 0];
    const there = tasks.filter(({ stationId, kind }) => stationId === 'one' && kind !== 'load');
    expect(there.length).to.be.greaterThan(0);
    for (const task of there)
      expect(task.to <= (from ?? 0) + 1e-6 || task.from >= (to ?? 0) - 1e-6, task.title).to.equal(true);
  });

  it('waits for a single item that is under way on a machine, and goes on beside it on the other', () => {
    const orders = [own('gala', 12)];
    const input = {
      ...inputOf(orders, TWO),
      busy: [{ machineId: 'one', name: 'Badger tab', seconds: 7200 }]
    };
    const week = planWeek(input, undefined, 60);
    const first = (station: string): number =>
      Math.min(
        ...(week?.plan.tasks ?? [])
          .filter(({ stationId, kind }) => stationId === station && kind !== 'load')
          .map(({ from }) => from)
      );
    // It is nine o'clock; two hours are left of the tab.
    expect(first('one')).to.be.at.least(11 * 3600);
    expect(first('two')).to.be.lessThan(10 * 3600);
    expect(input.shop.workroom).to.equal(undefined);
  });
});

describe('what is fixed by hand', () => {
  it('keeps an order first on every machine, whatever the dates', () => {
    fc.assert(
      fc.property(fc.integer({ min: 2, max: 9 }), fc.integer({ min: 2, max: 9 }), (mine, theirs) => {
        const week = weekOf(
          [
            own('market', theirs, { due: '2026-11-27T16:00' }),
            own('gala', mine, { due: '2026-12-04T16:00', goes: 'first' })
          ],
          TWO
        );
        for (const station of ['one', 'two']) {
          const order = week.plan.hoopings
            .filter(({ stationId }) => stationId === station)
            .toSorted((a, b) => a.from - b.from)
            .map(({ lineId }) => orderOfLine(lineId));
          expect(order, order.join()).to.deep.equal([
            ...order.filter((id) => id === 'gala'),
            ...order.filter((id) => id === 'market')
          ]);
        }
      }),
      { numRuns: 8 }
    );
  });

  it('begins no order before its day, and lets others pass meanwhile', () => {
    const week = weekOf(
      [own('now', 3), own('later', 3, { from: '2026-11-28T09:00', due: '2026-11-28T18:00' })],
      ONE
    );
    const from = (id: string): number =>
      Math.min(
        ...week.plan.hoopings.filter(({ lineId }) => orderOfLine(lineId) === id).map((each) => each.from)
      );
    expect(from('now')).to.be.lessThan(DAY);
    expect(from('later')).to.be.at.least(DAY);
  });
});

const felt = (height: number): StashEntry => ({
  id: 'felt',
  what: 'cloth',
  name: 'Felt',
  colour: '#334455',
  kind: 'felt',
  form: 'length',
  width: 1000,
  height,
  count: 1,
  stitched: [],
  alike: true,
  direction: 'any',
  prewashed: true,
  shrinkage: { along: 0, across: 0 },
  place: '',
  price: null,
  note: ''
});

describe('what orders take of the stash', () => {
  it('is taken by the order that begins first; the next finds what is left, and when it runs out', () => {
    const orders = [own('gala', 6, { goes: 'first' }), own('market', 6)];
    const input = inputOf(orders, ONE);
    const { plan } = weekOf(orders, ONE);
    const all = reservedByOrder(input, plan, [felt(100_000)], []).find(({ what }) => what === 'cloth');
    const [first, second] = all?.parts ?? [];
    expect(all?.short).to.equal(null);
    expect(first?.orderId).to.equal('gala');
    expect(first?.needs).to.equal(second?.needs);
    // As much felt as the first order needs and half of the second.
    const tight = felt((1.5 * (first?.needs ?? 0)) / 1000);
    const short = reservedByOrder(input, plan, [tight], []).find(({ what }) => what === 'cloth');
    expect(short?.parts.map(({ takes, needs }) => Math.round((100 * takes) / needs))).to.deep.equal([
      100, 50
    ]);
    expect(short?.short?.orderId).to.equal('market');
    expect(short?.short?.missing).to.be.closeTo((second?.needs ?? 0) / 2, 1);
    const begins = Math.min(
      ...plan.hoopings.filter(({ lineId }) => orderOfLine(lineId) === 'market').map(({ from }) => from)
    );
    expect(short?.short?.at).to.be.at.least(begins);
  });

  it('is never below nothing, and never more than there is', () => {
    fc.assert(
      fc.property(
        fc.array(fc.integer({ min: 1, max: 8 }), { minLength: 1, maxLength: 3 }),
        fc.integer({ min: 0, max: 2000 }),
        (counts, length) => {
          const orders = counts.map((count, at) => own(`o${at}`, count));
          const input = inputOf(orders, TWO);
          const { plan } = weekOf(orders, TWO);
          for (const { what, have, parts, short } of reservedByOrder(input, plan, [felt(length)], [])) {
            const taken = parts.reduce((sum, { takes }) => sum + takes, 0);
            const needed = parts.reduce((sum, { needs }) => sum + needs, 0);
            expect(parts.every(({ takes, needs }) => takes >= 0 && takes <= needs + 1e-6)).to.equal(true);
            if (what !== 'bobbins') expect(taken).to.be.at.most(have + 1e-6);
            expect(short?.missing ?? 0).to.be.closeTo(needed - taken, 1e-3);
          }
        }
      ),
      { numRuns: 12 }
    );
  });
});

describe('what moved', () => {
  const gala = own('gala', 12);
  it('is nothing where the week is the same', () => {
    const kept = keptOf([gala], ONE);
    expect(moved(kept, keptOf([gala], ONE))).to.deep.equal({ moves: [], why: [] });
  });
  it('is told with what changed: another order before it, a day off, a machine away', () => {
    const before = keptOf([gala], ONE);
    const second = moved(before, keptOf([gala, own('market', 12, { goes: 'first' })], ONE));
    expect(second.moves.map(({ orderId, seconds }) => [orderId, seconds > 0])).to.deep.equal([
      ['gala', true]
    ]);
    expect(second.why).to.include('market came in.');
    const off = moved(
      keptOf([own('gala', 24)], ONE),
      keptOf([own('gala', 24)], room(ONE, { daysOff: ['2026-11-28'] }))
    );
    expect(off.why).to.deep.equal(['2026-11-28 is a day off.']);
    expect(off.moves[0]?.seconds).to.be.closeTo(2 * DAY, 60);
  });
  it('is told where less was done than planned', () => {
    const before = keptOf([gala], ONE);
    // Nothing was done until the next morning.
    const late = own('gala', 12, { from: '2026-11-28T09:00' });
    const { moves, why } = moved(before, keptOf([late], ONE));
    expect(moves).to.have.length(1);
    const due = before.hoopings
      .filter(({ to }) => to <= '2026-11-28T09:00')
      .reduce((sum, each) => sum + each.copies, 0);
    expect(why).to.deep.equal([`gala: ${due} copies fewer done than planned by now.`]);
  });
  it('keeps what hands do next, by the clock on the wall', () => {
    const kept = keptOf([gala], ONE);
    expect(nextTasks(kept, '2026-11-27T00:00', 2).map(({ title }) => title)).to.deep.equal(
      kept.tasks.slice(0, 2).map(({ title }) => title)
    );
    expect(nextTasks(kept, '2027-01-01T00:00', 2)).to.deep.equal([]);
  });
  it('says what hands can do meanwhile: none of the run itself, nothing that takes longer than the needle', () => {
    const kept = keptOf([gala], ONE);
    const task = (title: string, minutes: number, runId: string | null, place: string): object => ({
      ...{ title, from: '2026-11-27T09:00', to: `2026-11-27T09:${minutes}`, orderId: 'gala', runId, place }
    });
    const of = (...tasks: object[]): KeptWeek => KeptWeek.parse({ ...kept, tasks });
    const ask = (week: KeptWeek, seconds = 1200): string | undefined =>
      meanwhile(week, '2026-11-27T09:00', { runId: 'run', machine: 'One', seconds })?.title;
    const trim = task('Trim', 15, 'run', 'One');
    const cut = task('Cut out', 10, 'other', 'at the table');
    const load = { ...task('Load the hoop', 12, null, 'One'), atMachine: false };
    expect(ask(of(trim, cut))).to.equal('Cut out');
    expect(ask(of(trim, cut), 599)).to.equal(undefined);
    expect(ask(of(trim, cut), 600)).to.equal('Cut out');
    expect(ask(of(trim, load))).to.equal('Load the hoop');
    // Planned before the run was begun, its own hooping still waits to be loaded in it.
    expect(ask(of(load, cut))).to.equal('Cut out');
    expect(ask(of(trim))).to.equal(undefined);
    // Nothing is put on a machine that stitches, and what comes later in the day is not for now.
    expect(ask(of(trim, task('Put the hoop on', 12, null, 'One'), cut))).to.equal('Cut out');
    const later = { ...cut, from: '2026-11-27T14:00', to: '2026-11-27T14:05' };
    expect(ask(of(trim, later))).to.equal(undefined);
  });
});
