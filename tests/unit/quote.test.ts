import { expect } from 'chai';
import { newLine, Terms } from '$lib/core/documents/order';
import { linesOf } from '$lib/core/reading/pages';
import { ClothEntry, type StashEntry, ThreadEntry } from '$lib/core/documents/stash';
import { type BatchInput, planBatch } from '$lib/core/ordering/day';
import {
  earnedReally,
  orderCutInput,
  orderThreads,
  orderWants,
  priceByQuantity,
  type Quote,
  quoteOf
} from '$lib/core/ordering/quote';
import { orderDemands } from '$lib/core/ordering/quote/needs';
import { planCuts } from '$lib/core/preparing/cutting';
import {
  hoopingsCsv,
  jobSheetPdf,
  quoteCsv,
  readPdf,
  quotePdf,
  scheduleCsv,
  scheduleIcs,
  threadsCsv
} from '../../src/lib/files';
import { demoItem, demoOrder, demoSetup, demoShop, demoStash } from './support/demo';
import { machine, orderOf, patches, plainPatch, shopOf } from './support/orders';
import { FONTS } from './support/fonts';

const RATES = {
  currency: '',
  handsHour: 18,
  machineHour: 3.6,
  threadKm: 5,
  clothM2: 8,
  overhead: 10,
  margin: 25
};
/** Felt at 12 a metre, 500 mm wide; a spool of 1,000 m for 4. */
const STASH: StashEntry[] = [
  ClothEntry.parse({
    ...{ what: 'cloth', id: 'felt', name: 'Felt', colour: '#334455', kind: 'felt', form: 'length' },
    ...{ width: 500, height: 5000, price: 12, prewashed: true }
  }),
  ThreadEntry.parse({
    what: 'thread',
    id: 'red',
    name: 'Signal red',
    colour: '#bb2222',
    spools: 1,
    metres: 1000,
    price: 4
  })
];

function quoted(input: BatchInput, stash = STASH): { quote: Quote; plan: ReturnType<typeof planBatch> } {
  const plan = planBatch(input, { rounds: 60 });
  const cuts = planCuts(orderCutInput(input, plan, stash), { rounds: 20 });
  return { plan, quote: quoteOf({ order: input.order, plan, cuts, wants: orderWants(input, plan), stash }) };
}

describe('quote: twelve plain patches, by hand', () => {
  const input = patches(12, shopOf([machine('one')]), { rates: RATES });
  const { plan, quote } = quoted(input);
  const [line] = quote.lines;

  it('felt for the ring of each hooping, with its waste', () => {
    // Ring 190 × 270 and 25 mm each side: 240 × 320; two beside each other on 500 mm take 320 mm of length (or 240 twice).
    const [demand] = orderDemands(input, plan, []);
    expect(demand?.cut).to.deep.equal({ width: 240, height: 320 });
    expect(demand?.count).to.equal(2);
    expect(line?.material).to.be.closeTo(0.32 * 12, 0.001);
    expect(line?.stabiliser).to.equal(0);
  });

  it('thread: 5 mm a stitch above, and what the bobbin takes at the general rate', () => {
    const [thread] = orderThreads(input, plan, STASH, []).threads;
    // 21,000 stitches of 2.5 mm and 2.5 mm take-up are 105 m; the bobbin takes 0.4 of it.
    expect(thread?.upper).to.be.closeTo(12 * 105, 0.01);
    expect(line?.thread).to.be.closeTo(12 * (105 * 0.004 + 42 * 0.005), 0.001);
    expect(thread?.lacks).to.be.closeTo(260, 0.01);
    expect(thread?.atOnce).to.equal(1);
  });

  it('hours of the machine and of hands, overhead on all of it, margin on that', () => {
    const hands = (plan.hands / 3600) * RATES.handsHour;
    expect(line?.hands).to.be.closeTo(hands, 0.001);
    const onMachine = plan.tasks
      .filter(({ stationId }) => stationId !== null)
      .reduce((sum, task) => sum + (task.kind === 'load' ? 0 : task.to - task.from), 0);
    expect(line?.machine).to.be.closeTo((onMachine / 3600) * RATES.machineHour, 0.001);
    const direct =
      (line?.material ?? 0) +
      (line?.thread ?? 0) +
      (line?.machine ?? 0) +
      (line?.hands ?? 0) +
      (line?.notions ?? 0);
    expect(line?.cost).to.be.closeTo(direct * 1.1, 0.001);
    expect(line?.suggested).to.be.closeTo((direct * 1.1 * 1.25) / 12, 0.001);
    expect(line?.spoilage).to.equal(0);
    expect(quote.guessed).to.deep.equal([]);
  });

  it('an hour of hands earns what is left when all else is paid', () => {
    const rest = (line?.revenue ?? 0) - ((line?.cost ?? 0) - (line?.hands ?? 0));
    expect(line?.earnsHour).to.be.closeTo(rest / (plan.hands / 3600), 0.001);
  });

  it('a quoted price stays when a second machine comes, and only the cost changes', () => {
    const lines = [{ ...newLine('line', 'patch', 12), price: 20 }];
    const order = orderOf(lines, { rates: RATES });
    const one = quoted({ ...input, order }).quote;
    const two = quoted({ ...input, order, shop: shopOf([machine('one'), machine('two')]) }).quote;
    expect(one.total.revenue).to.equal(240);
    expect(two.total.revenue).to.equal(240);
    expect(two.lines[0]?.price).to.equal(20);
    expect(two.total.cost).to.not.be.closeTo(one.total.cost, 0.001);
  });

  it('pieces that come out bad are in the cost, and said to be', () => {
    const bad = quoted({
      ...input,
      order: orderOf([newLine('line', 'patch', 12)], { rates: RATES, spoilage: 0.25 })
    });
    // 15 are stitched for 12.
    expect(bad.plan.lines[0]?.copies).to.equal(15);
    expect(bad.quote.total.spoilage).to.be.closeTo(bad.quote.total.cost * (1 - 12 / 15), 0.001);
  });

  it('a piece costs less the more are ordered, and at twelve what the quote says', () => {
    const prices = line ? priceByQuantity(line, plan.lines[0]?.byQuantity ?? [], RATES) : [];
    expect(prices.map(({ quantity }) => quantity)).to.deep.equal([1, 5, 10, 12, 25, 50, 100]);
    expect(prices[0]?.price).to.be.greaterThan(prices[1]?.price ?? Infinity);
    expect(prices.find(({ quantity }) => quantity === 12)?.price).to.be.closeTo(line?.suggested ?? 0, 0.001);
  });

  it('without a price anywhere the general rates count, and that is said', () => {
    const plain = quoted(input, []);
    expect(plain.quote.guessed.join()).to.match(/Felt/);
    expect(plain.quote.guessed.join()).to.match(/Signal red thread/);
    expect(plain.quote.total.material).to.be.greaterThan(0);
  });
});

describe('quote: the demo’s weekend order', () => {
  const order = demoOrder();
  const input: BatchInput = {
    order,
    shop: demoShop(),
    items: order.lines.map(({ itemId }) => ({ item: demoItem(itemId), setup: demoSetup(itemId) }))
  };
  const stash = demoStash();
  const { plan, quote } = quoted(input, stash);

  it('cuts what the ring holds for each hooping, and the rest for each copy', () => {
    const demands = orderDemands(input, plan, []);
    const tabs = plan.hoopings.filter(({ itemId }) => itemId === 'badger-tab');
    // One for each hooping, whichever hoops the plan takes.
    const rings = demands.filter(({ key }) => key.startsWith('line-1/stabiliser'));
    expect(rings.reduce((sum, { count }) => sum + count, 0)).to.equal(tabs.length);
    expect(demands.find(({ key }) => key === 'line-1/front')?.count).to.equal(13);
    expect(demands.find(({ key }) => key === 'line-1/back')?.count).to.equal(13);
  });

  it('is finished by hand on the day it is due, lace dried overnight and joined after', () => {
    expect(plan.problems).to.deep.equal([]);
    expect(plan.due).to.equal(86_400 + 18 * 3600);
    expect(plan.finish).to.be.lessThan(plan.due ?? 0);
    const dry = plan.tasks.filter(
      ({ kind, title }) => kind === 'wait' && /dry/.test(title) && title !== 'Let the edge dry'
    );
    expect(dry).to.have.length(1);
    expect(plan.hoopings.flatMap(({ names }) => names).sort()).to.deep.equal(['Hugo', 'Ivy', 'Otto', 'Wren']);
  });

  it('keeps threads wound on bobbins apart from spools of the same name', () => {
    const { threads, bobbins } = orderThreads(input, plan, stash, []);
    const white = threads.find(({ name }) => name === 'White');
    expect(white?.bobbin).to.equal(0);
    const cream = threads.find(({ name }) => name === 'Cream');
    // The lace shows both sides, so its bobbins are wound in its own thread.
    expect(cream?.bobbin).to.be.greaterThan(0);
    expect(bobbins.find(({ name }) => name === 'Cream')?.bobbins).to.be.greaterThan(2);
  });

  it('comes out as tables, a calendar and papers', async () => {
    const from = order.from;
    const lines = scheduleCsv(plan, from).split('\n');
    expect(lines[0]).to.equal('from,to,kind,machine,hooping,what,minutes');
    expect(lines).to.have.length(plan.tasks.length + 1);
    expect(hoopingsCsv(plan, from, (id) => id).split('\n')).to.have.length(plan.hoopings.length + 1);
    expect(quoteCsv(quote).split('\n')).to.have.length(5);
    const { threads, bobbins } = orderThreads(input, plan, stash, []);
    expect(threadsCsv(threads, bobbins).split('\n')).to.have.length(threads.length + bobbins.length + 1);

    const ics = scheduleIcs(plan, from, order.name);
    expect(ics.match(/BEGIN:VEVENT/g)).to.have.length(plan.hoopings.length + plan.presence.length);
    expect(ics).to.match(/DTSTART:20261127T090000/);
    expect(ics).to.not.match(/DTSTART:\d{8}T\d{6}Z/);

    const text = (bytes: Uint8Array): string => new TextDecoder('latin1').decode(bytes.slice(0, 8));
    expect(text(await quotePdf(order, quote, {}, 'A4', FONTS))).to.match(/^%PDF-1/);
    const sheet = await jobSheetPdf(
      {
        ...{ order, plan, from, threads, bobbins, shopping: [], looks: {}, unit: 'mm' as const },
        hoops: { 'hoop-200': 'Large hoop' },
        demands: orderDemands(input, plan, [])
      },
      'A4',
      FONTS
    );
    expect(text(sheet)).to.match(/^%PDF-1/);
    expect(sheet.length).to.be.greaterThan(3000);
  });
});

describe('what a quote says beside its prices', () => {
  it('stands on the paper: what is included, what is paid first, until when it holds', async () => {
    const input = patches(4, shopOf([machine('one')]));
    const plan = planBatch(input);
    const order = {
      ...input.order,
      terms: Terms.parse({ validUntil: '2026-12-24', deposit: 30, includes: 'names and packing' })
    };
    const quote = quoteOf({ order, plan, cuts: [], wants: orderWants(input, plan), stash: [] });
    const read = await readPdf(await quotePdf(order, quote, {}, 'A4', FONTS));
    const text = read.ok
      ? linesOf(read.paper)
          .map((line) => line.text)
          .join('\n')
      : '';
    expect(text).to.include('Included: names and packing.');
    expect(text).to.match(/30 % \(.*\) is paid first/);
    expect(text).to.include('holds until 2026-12-24');
    // What it costs the shop is no word of it.
    expect(text).not.to.match(/overhead|margin|hour of hands/i);
  });
  it('is told after the fact by the hands it really took', () => {
    expect(earnedReally({ revenue: 100, cost: 60, hands: 30 }, 7200)).to.equal(35);
    expect(earnedReally({ revenue: 100, cost: 60, hands: 30 }, 0)).to.equal(0);
  });
});

describe('quote: lines that share an item', () => {
  it('are counted apart', () => {
    const lines = [newLine('a', 'patch', 6), newLine('b', 'patch', 12)];
    const { quote } = quoted({
      ...patches(1, shopOf([machine('one')])),
      order: orderOf(lines, { rates: RATES }),
      items: [{ item: plainPatch() }]
    });
    const [a, b] = quote.lines;
    expect(b?.thread).to.be.closeTo((a?.thread ?? 0) * 2, 0.001);
    expect(b?.material).to.be.closeTo((a?.material ?? 0) * 2, (a?.material ?? 0) * 0.7);
  });
  it('cost the same whatever their ids are: a slash in one loses nothing', () => {
    const costOf = (id: string): number | undefined =>
      quoted({
        ...patches(1, shopOf([machine('one')])),
        order: orderOf([newLine(id, 'patch', 6)], { rates: RATES }),
        items: [{ item: plainPatch() }]
      }).quote.lines[0]?.material;
    expect(costOf('stall')).to.be.greaterThan(0);
    expect(costOf('stall/1')).to.equal(costOf('stall'));
    expect(costOf('50 %')).to.equal(costOf('stall'));
  });
});
