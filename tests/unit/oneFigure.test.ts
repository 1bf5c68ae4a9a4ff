import { readdirSync } from 'node:fs';
import { newLine, type Order } from '$lib/core/documents/order';
import { ThreadEntry } from '$lib/core/documents/stash';
import { threadSpent } from '$lib/core/preparing/stash';
import { newCutJob } from '$lib/core/documents/cutJob';
import { itemSummary } from '$lib/core/making/summary';
import { planAndTrace } from '$lib/core/making/plan';
import { type BatchInput, type BatchPlan, hoopingPlan, planBatch } from '$lib/core/ordering/day';
import { orderThreads } from '$lib/core/ordering/quote';
import { planWeek, reservedByOrder, weekLine } from '$lib/core/ordering/week';
import { spreadOf } from '$lib/core/ordering/promise';
import { cutInputOf } from '$lib/core/preparing/cutting';
import { bobbinsInSteps, planThreads, stationBobbins } from '$lib/core/preparing/threads';
import { lookAhead, timesFrom, toPrepare } from '$lib/core/running/runs';
import { bobbinUse } from '$lib/core/solvers/bobbins';
import { expect } from 'chai';
import { demoItem, demoOrder, demoSetup, demoShop, demoStash } from './support/demo';

/** A figure that stands on two screens is the same on both: over all items and orders of the demo. */
const shop = demoShop();
const stash = demoStash();
const ITEMS = readdirSync(new URL('../../demo/items/', import.meta.url)).map((name) =>
  name.replace('.json', '')
);
const MEASURED = [0.9, 1.1, 1.15];

describe('one figure for one thing, of every item of the demo', () => {
  for (const id of ITEMS)
    it(id, () => {
      const [item, setup] = [demoItem(id), demoSetup(id)];
      const { plan, trace } = planAndTrace(item, setup, shop);
      // Shelf, sheet and run.
      const card = itemSummary(item, setup, shop);
      expect(card).to.include({
        stitches: plan.stitches,
        hands: plan.totals.hands.value,
        needle: plan.totals.needle.value
      });
      const run = timesFrom(plan, 0);
      expect(run.hands).to.be.closeTo(card.hands, 1e-6);
      expect(run.needle).to.be.closeTo(card.needle, 1e-6);
      // Thread: by colour, by stop, on the thread page.
      const byColour = plan.threads.reduce((all, { upperMetres }) => all + upperMetres, 0);
      expect(plan.upperMetres).to.be.closeTo(byColour, 1e-6);
      const done = plan.steps.map(() => true);
      const spools = plan.threads.map(({ thread: { name } }) =>
        ThreadEntry.parse({ what: 'thread', id: name, name, colour: '#111111', metres: 9000 })
      );
      const upper = plan.steps.map((step) =>
        step.op?.do === 'bobbin' ? { ...step, op: { do: 'bobbin' as const } } : step
      );
      const spent = threadSpent({ ...plan, steps: upper }, done, spools, 1);
      expect(spent.reduce((all, { metres }) => all + metres, 0)).to.be.closeTo(byColour, 1e-6);
      const page = planThreads({ item, setup, shop, anyHidden: true, measured: MEASURED });
      const made = { item, plan, trace };
      expect(page.wind).to.deep.equal(
        stationBobbins(made, bobbinUse(MEASURED), { ...setup, heads: page.heads }).wind
      );
      // Cut list of the sheet and of the cutting page: names, counts and sizes.
      const job = newCutJob(id, 1);
      const { demands } = cutInputOf({ shop, stash: [], wants: [{ item, setup, copies: 1 }], job });
      for (const demand of demands) {
        const cut = plan.cuts.find(({ pieceId }) => demand.key.split('/').includes(pieceId));
        expect(cut, `${id} ${demand.key}`).to.not.equal(undefined);
        expect([demand.cut.width, demand.cut.height, demand.count]).to.deep.equal([
          cut?.cut.width,
          cut?.cut.height,
          cut?.count
        ]);
      }
    });
});

const inputOf = (order: Order): BatchInput => ({
  order,
  shop,
  items: order.lines.map(({ itemId }) => ({ item: demoItem(itemId), setup: demoSetup(itemId) }))
});
/** The order of the demo, and three of each of its items. */
const ORDERS: Order[] = [
  demoOrder(),
  ...ITEMS.map((id): Order => ({ ...demoOrder(), id: `${id}-3`, lines: [newLine('l', id, 3)] }))
];
const named = (metres: readonly { name: string; amount: number }[]): Record<string, number> =>
  Object.fromEntries(metres.map(({ name, amount }) => [name, Number(amount.toFixed(6))]));

describe('one figure for one thing, of every order of the demo', () => {
  for (const order of ORDERS)
    it(order.id, () => {
      const input = inputOf(order);
      const plan = planBatch(input);
      const { threads, bobbins } = orderThreads(input, plan, stash, MEASURED);
      // What the week takes of the stash is what the order prepares.
      const week = reservedByOrder(
        { ...input, orders: [{ order }], room: order },
        weekOf(plan, order),
        stash,
        MEASURED
      );
      const taken = (what: 'thread' | 'bobbins'): Record<string, number> =>
        named(
          week.flatMap((row) =>
            row.what === what
              ? { name: row.name, amount: row.parts.reduce((all, { needs }) => all + needs, 0) }
              : []
          )
        );
      expect(taken('thread')).to.deep.equal(
        named(threads.map(({ name, upper, bobbin }) => ({ name, amount: upper + bobbin })))
      );
      expect(taken('bobbins')).to.deep.equal(
        named(bobbins.map(({ name, bobbins: amount }) => ({ name, amount })))
      );
      for (const { name, lacksSpools } of threads)
        expect(week.find((row) => row.what === 'thread' && row.name === name)?.spoolsShort).to.equal(
          lacksSpools
        );
      for (const hooping of plan.hoopings) sameInRun(input, hooping);
    });

  it('the week finds an order alone as the order finds itself', () => {
    const order = demoOrder();
    const input = inputOf(order);
    const alone = planBatch(input);
    const week = planWeek({ ...input, orders: [{ order }], room: order }, spreadOf(shop, null, 0));
    expect(week?.plan.hoopings.reduce((all, { copies }) => all + copies, 0)).to.equal(
      alone.hoopings.reduce((all, { copies }) => all + copies, 0)
    );
    expect(week?.orders[0]?.finish).to.be.at.most(alone.finish * 1.05);
  });
});

/** The plan of an order as the week tells it: its lines carry the order’s id. */
function weekOf(plan: BatchPlan, { id }: Order): BatchPlan {
  const own = <T extends { lineId: string }>(rows: readonly T[]): T[] =>
    rows.map((row) => ({ ...row, lineId: weekLine(id, row.lineId) }));
  return { ...plan, hoopings: own(plan.hoopings) };
}

/** The list before the start says the bobbins its steps change; no step asks for a bobbin in the thread of the needle. */
function sameInRun(input: BatchInput, hooping: BatchPlan['hoopings'][number]): void {
  const made = hoopingPlan(input, { ...hooping, shared: null });
  if (!made) throw new Error('The hooping has no plan.');
  const { plan } = made;
  const heads = hooping.heads.length;
  const list = bobbinsInSteps(plan, heads);
  const first = plan.steps.findIndex(({ stop }) => (stop?.bobbinMetres ?? 0) > 0);
  const changed = plan.steps
    .slice(first)
    .flatMap(({ parts }) => parts)
    .reduce((all, { key, times }) => all + (key === 'bobbin' ? times : 0), 0);
  expect(list.wind.reduce((all, { count }) => all + count, 0)).to.equal(heads + changed);
  // As many as the thread needs, and none that is not.
  const metres = plan.steps.reduce((all, { stop }) => all + (stop?.bobbinMetres ?? 0), 0);
  expect((list.changes + 1) * plan.bobbin.metres).to.be.at.least(metres - 1e-6);
  plan.steps.forEach((step, at) => {
    // A change that stands as a step comes before a stop; where the bobbin runs out, the stop says it itself.
    if (step.op?.do === 'bobbin') {
      const wound = step.op.threadId;
      const name = plan.threads.find(({ thread }) => thread.id === wound)?.thread.name;
      const asked = toPrepare(plan, at - 1).find((words) => words.startsWith('a full bobbin'));
      expect(asked).to.equal(name ? `a full bobbin in ${name}` : 'a full bobbin');
    }
    if (step.kind === 'stop' && step.parts.some(({ key }) => key === 'bobbin'))
      expect(step.note).to.match(/The bobbin runs out in it/);
    expect(lookAhead(plan, at, 0).left).to.be.closeTo(
      step.running.value + step.hands.value + step.waiting.value,
      1e-6
    );
  });
}
