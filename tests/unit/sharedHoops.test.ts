import { expect } from 'chai';
import fc from 'fast-check';
import { shapePath } from '$lib/core/base/geometry';
import { newLine, type OrderLine } from '$lib/core/documents/order';
import type { Run } from '$lib/core/documents/run';
import { readValue } from '$lib/core/documents/files';
import { type BatchInput, hoopingPlan, planBatch, planned, progressOf } from '$lib/core/ordering/day';
import { orderDemands } from '$lib/core/ordering/quote';
import { traceHoop } from '$lib/core/ordering/copies';
import { LEAVE_ON } from '$lib/core/ordering/hoopings';
import { runOfHooping } from './support/orderRuns';
import { machine, orderOf, plainPatch, shopOf } from './support/orders';

/** Eight patches and two badges of 6,000 stitches: six of either go into a hoop. */
function two({
  ground = 'Felt',
  a = {},
  b = {}
}: { ground?: string; a?: Partial<OrderLine>; b?: Partial<OrderLine> } = {}): BatchInput {
  const badge = plainPatch({ id: 'badge', stitches: 6000 });
  const pieces = badge.pieces.map((piece) => ({ ...piece, material: { ...piece.material, name: ground } }));
  return {
    items: [{ item: plainPatch() }, { item: { ...badge, pieces } }],
    order: orderOf([
      { ...newLine('a', 'patch', 8), ...a },
      { ...newLine('b', 'badge', 2), ...b }
    ]),
    shop: shopOf([machine('one')])
  };
}
const quick = (input: BatchInput): ReturnType<typeof planBatch> => planBatch(input, { rounds: 20 });

describe('orders: items that share a hoop', () => {
  const input = two();
  const plan = quick(input);
  const [patches, badges] = plan.hoopings.filter(({ shared }) => shared !== null);

  it('what is left over of two items on the same material is one hooping', () => {
    expect(plan.hoopings).to.have.length(3);
    expect(patches?.shared?.parts.map(({ name, copies }) => `${copies} ${name}`)).to.deep.equal([
      '4 Plain patch',
      '2 Plain badge'
    ]);
    expect(badges?.shared).to.deep.include({ id: patches?.shared?.id, at: 1 });
    expect(badges?.placements).to.have.length(2);
    const { outlines = [], placements = [] } = patches?.shared ?? {};
    expect(placements).to.have.length(6);
    expect(
      traceHoop(outlines, placements, patches?.area ?? { minX: 0, minY: 0, maxX: 0, maxY: 0 }, 19.6, 'mm')
    ).to.deep.equal([]);
  });

  it('loads once, takes off once, and calls the second file up where the hoop stays on', () => {
    const titles = (kind: string): string[] =>
      plan.tasks.filter((task) => task.kind === kind).map(({ title }) => title);
    // Two hoopings for ten copies.
    expect(titles('load')).to.have.length(2);
    expect(titles('off')).to.have.length(2);
    const call = plan.tasks.find(({ title }) => title === 'Call up Plain badge');
    // The set-up of a job on a machine of several needles; the red thread is on.
    expect((call?.to ?? 0) - (call?.from ?? 0)).to.be.closeTo(input.shop.hands.setUpMulti, 1e-6);
    expect(call?.hoopingId).to.equal(badges?.id);
    const needle = plan.tasks.filter(({ hoopingId, kind }) => hoopingId === badges?.id && kind === 'needle');
    // 2 × 6,000 stitches at 800 a minute are 900 s, and 4 s to start.
    expect(needle.reduce((sum, { from, to }) => sum + to - from, 0)).to.be.closeTo(904, 1e-6);
  });

  it('gives each line its own end', () => {
    const { linesOf } = planned(input, { rounds: 20 });
    expect(linesOf).to.deep.include(['a', 'b']);
    expect(patches?.to).to.not.equal(badges?.to);
  });

  it('cuts the hooped material once', () => {
    const counts = orderDemands(input, plan, []).map(({ hooped, count }) => ({ hooped, count }));
    expect(counts).to.deep.equal([{ hooped: true, count: 2 }]);
  });

  for (const [why, changed] of Object.entries({
    'on different cloth': two({ ground: 'Velvet' }),
    'where the maker keeps it apart': two({ b: { alone: true } }),
    'where one goes round a hem': two({ b: { repeats: { of: 'border', length: 400, sides: 1 } } }),
    'where each is wanted in its own hoop': two({ a: { most: 8 }, b: { machineIds: ['two'] } }),
    'on a machine that only repeats in a grid': {
      ...two(),
      shop: shopOf([machine('one', { panel: { copies: 'grid', unit: 'mm', asks: 'counts-first' } })])
    },
    'for two customers': { ...two(), groupOf: (lineId: string) => lineId }
  }))
    it(`not ${why}`, () => {
      const { hoopings } = quick(changed);
      expect(hoopings.every(({ shared }) => shared === null)).to.equal(true);
    });
});

describe('orders: whatever is put together', () => {
  it('every copy is stitched once, in one place of its hoop, and the bound stays below', () => {
    const sizes = [30, 45, 60, 80];
    const item = (at: number, side: number): BatchInput['items'][number] => {
      const made = plainPatch({ id: `item-${at}`, stitches: 2000 + 700 * at });
      const path = shapePath('rectangle', side, side);
      const size = { width: side, height: side };
      return {
        item: {
          ...made,
          variants: made.variants.map((variant) => ({ ...variant, size, finished: size })),
          lines: made.lines.map((line) => ({ ...line, path }))
        }
      };
    };
    let together = 0;
    fc.assert(
      fc.property(
        fc.array(fc.tuple(fc.constantFrom(...sizes), fc.integer({ min: 1, max: 7 })), {
          minLength: 2,
          maxLength: 4
        }),
        fc.integer({ min: 1, max: 2 }),
        (wanted, machines) => {
          const input: BatchInput = {
            items: wanted.map(([side], at) => item(at, side)),
            order: orderOf(wanted.map(([, count], at) => newLine(`${at}`, `item-${at}`, count))),
            shop: shopOf(Array.from({ length: machines }, (_, at) => machine(`${at}`)))
          };
          const plan = planBatch(input, { rounds: 10 });
          wanted.forEach(([, count], at) => {
            const numbers = plan.hoopings
              .filter(({ lineId }) => lineId === `${at}`)
              .flatMap((each) => each.numbers);
            expect(numbers.sort((a, b) => a - b)).to.deep.equal(
              Array.from({ length: count }, (_, n) => n + 1)
            );
          });
          for (const { shared, placements, copies, area } of plan.hoopings) {
            expect(placements).to.have.length(copies);
            if (!shared) continue;
            together++;
            expect(traceHoop(shared.outlines, shared.placements, area, 19.6, 'mm')).to.deep.equal([]);
          }
          expect(plan.bound.worked).to.be.at.most(plan.worked + 1e-6);
        }
      ),
      { numRuns: 25 }
    );
    expect(together).to.be.above(20);
  });
});

describe('orders: a shared hoop at the machine', () => {
  const input = two();
  const { order, items, shop } = input;
  const plan = quick(input);
  const [patches, badges] = plan.hoopings.filter(({ shared }) => shared !== null);
  if (!patches?.shared || !badges?.shared) throw new Error('They share a hoop.');
  const hoop = { id: 'first', parts: patches.shared.parts };
  const names = (hooping: typeof patches): string[] =>
    hoopingPlan(input, hooping)?.plan.steps.map(({ op, id }) => op?.do ?? id) ?? [];

  const runOf = (at: 0 | 1, done: number | 'all'): Run => {
    const hooping = at === 0 ? patches : badges;
    const item = items[at]?.item ?? plainPatch();
    const run = runOfHooping({ order, item, shop, items }, hooping, done);
    const own = run.order && { ...run.order, shared: { ...hoop, at } };
    const id = at === 0 ? 'first' : 'second';
    return {
      ...run,
      id,
      ...(own && { order: own }),
      events: run.events.map((each) => ({ ...each, runId: id }))
    };
  };

  it('the first run leaves the hoop on, the second does without hooping', () => {
    expect(names(patches)).to.deep.equal(['set-up', 'hoop', 'hoop-on', 'fill-step', LEAVE_ON, 'cut-out']);
    // The bobbin runs out in the stop, so that is where it is changed.
    const fill = hoopingPlan(input, patches)?.plan.steps.find(({ id }) => id === 'fill-step');
    expect(fill?.note).to.match(/runs out in it 4 times/);
    expect(names(badges)).to.deep.equal(['set-up', 'fill-step', 'hoop-off', 'unhoop', 'cut-out']);
    expect(hoopingPlan(input, badges)?.plan.cuts).to.deep.equal([]);
    expect(hoopingPlan(input, patches)?.plan.cuts.map(({ count }) => count)).to.deep.equal([1]);
  });

  it('is a document that can be read again', () => {
    expect(readValue('run', runOf(0, 3))).to.include({ ok: true });
  });

  it('a hoop under way keeps both items, and what is planned anew has neither', () => {
    const progress = progressOf([runOf(0, 5)]);
    expect(progress.begun).to.have.length(1);
    const again = quick({ ...input, progress });
    const own = again.hoopings.filter(({ shared }) => shared !== null);
    expect(own.map(({ id, runId, copies }) => [id, runId, copies])).to.deep.equal([
      ['first', 'first', 4],
      [own[1]?.id, null, 2]
    ]);
    expect(again.hoopings.reduce((sum, { copies }) => sum + copies, 0)).to.equal(10);
    // The patches are stitched: what is left on the machine is the badges.
    const needle = again.tasks.filter(({ kind, hoopingId }) => kind === 'needle' && hoopingId === own[1]?.id);
    expect(needle.reduce((sum, { from, to }) => sum + to - from, 0)).to.be.closeTo(904, 1e-6);
    expect(again.tasks.some(({ kind, hoopingId }) => kind === 'needle' && hoopingId === 'first')).to.equal(
      false
    );
  });

  it('the second under way, the first waits to be finished at the table', () => {
    const progress = progressOf([runOf(0, 5), runOf(1, 3)]);
    const again = quick({ ...input, progress });
    const left = again.tasks.map(({ title }) => title);
    expect(left.filter((title) => title.startsWith('Cut out'))).to.have.length(3);
    expect(again.tasks.filter(({ kind }) => kind === 'load')).to.have.length(1);
  });

  it('one that is through counts, whatever the other does', () => {
    const through = progressOf([runOf(0, 'all'), runOf(1, 'all')]);
    expect(through.begun).to.deep.equal([]);
    expect(through.done.map(({ lineId, copies }) => [lineId, copies])).to.deep.equal([
      ['a', 4],
      ['b', 2]
    ]);
    const waits = progressOf([runOf(0, 'all')]);
    expect(waits.done).to.have.length(1);
    expect(waits.begun.map(({ lineId, copies }) => [lineId, copies])).to.deep.equal([['b', 2]]);
    const again = quick({ ...input, progress: waits });
    expect(again.hoopings.reduce((sum, { copies }) => sum + copies, 0)).to.equal(6);
  });

  it('one given up before the other was begun is planned anew with it', () => {
    const early = runOf(0, 3);
    const last = early.events.at(-1);
    if (!last) throw new Error('It has events.');
    const gone = {
      ...early,
      events: [...early.events, { ...last, seq: last.seq + 1, type: 'stop-early' as const }]
    };
    expect(progressOf([gone])).to.deep.equal({ done: [], begun: [], named: [] });
  });
});
