import { editStop, type Item } from '$lib/core/documents/item';
import type { Run, RunEvent } from '$lib/core/documents/run';
import { defaultSetup, type Setup, type Shop } from '$lib/core/documents/shop';
import type { StashEntry } from '$lib/core/documents/stash';
import { plan as planItem, planAndTrace } from '$lib/core/making/plan';
import {
  chooseSpool,
  needleSheet,
  planItemBobbins,
  planThreads,
  putBobbins,
  threadNeeds,
  type ThreadPlan
} from '$lib/core/preparing/threads';
import { needleFor } from '$lib/core/preparing/threads/needleKind';
import { nearestThreads } from '$lib/core/preparing/threads/palette';
import { bobbinMeasures } from '$lib/core/running/learning';
import { needleHours, needleTimes } from '$lib/core/running/runs';
import { bobbinUse } from '$lib/core/solvers/bobbins';
import { planNeedles } from '$lib/core/solvers/needles';
import { expect } from 'chai';
import { BADGER_CHART, badgerShop, badgerTab, makeItem, tackedInWhite } from './support/badger';
import { endOf, roomyShop } from './support/ends';
import { CONSTRUCTIONS } from '$lib/core/craft/constructions';
import { RUN_VERSION } from '$lib/core/documents/run';

function threadsOf(item: Item, more: Partial<Setup> = {}, shop: Shop = roomyShop): ThreadPlan {
  const setup = { ...defaultSetup(item, shop), ...more };
  return planThreads({ item, setup, shop, anyHidden: true, measured: [] });
}
const numbers = ({ plan }: ThreadPlan, ids: readonly string[]): (number | null | undefined)[] =>
  ids.map((id) => plan.steps.find((step) => step.id === id)?.stop?.machineNumber);

/** Constructions whose own order of stops no other beats. */
const BEST_AS_CHARTED = [
  ...['snap-tab', 'patch', 'border-patch', 'lace', 'mesh-lace', 'fused-applique', 'joined-applique'],
  ...['raised-piece', 'cutwork', 'cutwork-corner', 'plain-embroidery', 'own', 'turned-flat'],
  ...['needle-book', 'snap-strap', 'bookmark']
];

describe('the order of an item’s stops', () => {
  it('leaves a tab alone whose placement, tack-down and outline share a path', () => {
    const made = threadsOf(badgerTab());
    // White, white, white, pink, black, white: the details lie where nobody knows, so they keep their order.
    expect(made.order.now).to.deep.equal({ threads: 4, bobbins: 0, jumps: 0 });
    expect(made.order.better).to.equal(null);
    expect(made.together.map((group) => numbers(made, group))).to.deep.equal([[2, 6]]);
  });
  it('brings two pinks of a tab together once its details are said to lie apart, and says the jump', () => {
    const chart = BADGER_CHART.replace('3 face white', '3 face pink')
      .replace('4 cheeks pink', '4 cheeks black')
      .replace('5 eyes black', '5 eyes pink');
    const tab = tackedInWhite(makeItem('snap-tab', {}, chart));
    // White, pink, black, pink, white as charted.
    expect(threadsOf(tab).order).to.deep.include({ better: null, proven: true });
    const details = tab.files[0]?.stops.filter(({ role }) => role === 'decoration') ?? [];
    const apart = details.reduce((item, { id }) => editStop(item, id, { apart: true }), tab);
    const { order } = threadsOf(apart);
    expect(order.now).to.deep.equal({ threads: 5, bobbins: 0, jumps: 0 });
    // 1 2 3, forward to 5, back to 4, forward to 6.
    expect(order.better?.cost).to.deep.equal({ threads: 4, bobbins: 0, jumps: 3 });
    expect(order.better?.jumps.map(({ words }) => words)[0]).to.match(/^Go forward to stop/);
  });
  it('takes the thread of the next seen stop for hidden ones, unless the maker follows the chart', () => {
    const topper = makeItem('topper');
    const { order } = threadsOf(topper);
    expect(order.now.threads).to.equal(3);
    expect(order.better?.cost).to.deep.equal({ threads: 2, bobbins: 1, jumps: 0 });
    const setup = defaultSetup(topper, roomyShop);
    const charted = planThreads({ item: topper, setup, shop: roomyShop, anyHidden: false, measured: [] });
    expect(charted.order.better).to.equal(null);
  });
  for (const { kind, name } of CONSTRUCTIONS) {
    it(`gives the same finished ${name}, and what it says it costs`, () => {
      const item = makeItem(kind);
      const { better } = threadsOf(item).order;
      // The charts of some are in the best order already.
      expect(better === null, kind).to.equal(BEST_AS_CHARTED.includes(kind));
      if (!better) return;
      expect(endOf(better.item)).to.deep.equal(endOf(item));
      expect(better.item.steps.map(({ id }) => id)).to.have.members(item.steps.map(({ id }) => id));
      const again = threadsOf(better.item).order;
      expect(again.now).to.deep.equal(better.cost);
      expect(again.better).to.equal(null);
    });
  }
});

describe('the bobbins of an item', () => {
  const topper = makeItem('topper');
  const setup = defaultSetup(topper, roomyShop);
  const made = planAndTrace(topper, setup, roomyShop);
  const edge = made.plan.steps.find(({ stop }) => stop?.role === 'satin-edge');
  const thread = edge?.thread?.id ?? '';

  it('put a full one in before an edge that needs more than what is left', () => {
    const needs = edge?.stop?.bobbinMetres ?? 0;
    const before = made.plan.steps
      .slice(0, (edge?.number ?? 1) - 1)
      .reduce((sum, { stop }) => sum + (stop?.bobbinMetres ?? 0), 0);
    // Enough for all before the edge even with the margin, and a metre short of the edge without it.
    const metres = before + needs - 1;
    const bobbins = planItemBobbins(made, bobbinUse([]), {
      copies: 1,
      bobbinOn: { threadId: thread, metres }
    });
    expect(bobbins.changes.map(({ stepId, why }) => [stepId, why])).to.deep.equal([[edge?.id, 'too little']]);
    expect(bobbins.wind).to.deep.equal([{ colour: thread, count: 1 }]);
    const sheet = planItem(putBobbins(topper, bobbins.changes), setup, roomyShop);
    const at = sheet.steps.findIndex(({ id }) => id === edge?.id);
    expect(sheet.steps.slice(0, at).filter(({ op }) => op?.do === 'bobbin')).to.have.length(1);
    // Put twice it stands there once.
    const twice = putBobbins(putBobbins(topper, bobbins.changes), bobbins.changes);
    expect(twice.steps).to.deep.equal(putBobbins(topper, bobbins.changes).steps);
  });
  it('halt inside an edge that takes more than a full one, at its lower side, and say so on the sheet', () => {
    const small = { ...roomyShop, bobbins: [{ id: 'tiny', name: 'Tiny', metres: 3 }] };
    const tiny = planAndTrace(topper, { ...setup, bobbinKind: 'tiny' }, small);
    const needs = tiny.plan.steps.find(({ id }) => id === edge?.id)?.stop?.bobbinMetres ?? 0;
    expect(needs).to.be.greaterThan(3);
    const bobbins = planItemBobbins(tiny, bobbinUse([]));
    const halts = bobbins.changes.filter(({ why }) => why === 'planned halt');
    expect(halts.length).to.be.at.least(Math.ceil(needs / 3) - 1);
    for (const { halt, runOut } of halts) {
      expect(halt?.stitch).to.be.within(1, edge?.stop?.stitches ?? 0);
      expect(runOut?.earliest.stepId).to.equal(edge?.id);
    }
    const noted = putBobbins(topper, bobbins.changes).steps.find(({ id }) => id === edge?.id);
    expect(noted?.note).to.match(/^Bobbin: halt at about stitch [\d,]+, .+, and put a full one in\./);
  });
  it('follow the copies that are made one after another', () => {
    const one = planItemBobbins(made, bobbinUse([]), { copies: 1 });
    const six = planItemBobbins(made, bobbinUse([]), { copies: 6 });
    expect(six.levels).to.have.length(one.levels.length * 6);
    const wound = six.wind.reduce((sum, { count }) => sum + count, 0);
    expect(wound * six.capacity).to.be.at.least(made.plan.bobbinMetres * 6);
  });
});

describe('what run-outs and runs tell', () => {
  const plan = planItem(badgerTab(), undefined, badgerShop());
  const face = plan.steps.find(({ title }) => title === 'Face');
  const event = (
    type: RunEvent['type'],
    stepId: string | null,
    at: number,
    stitch: number | null = null
  ) => ({
    ...{ runId: 'run', seq: at, client: 'tab', copy: 1, stop: null, text: '' },
    ...{ type, stepId, at: at * 1000, stitch }
  });
  it('measure a bobbin by the stops between two run-outs', () => {
    const events = [event('start', null, 1)];
    const stops = plan.steps.filter(({ stop }) => stop !== null);
    stops.slice(0, 2).forEach(({ id }, at) => events.push(event('done', id, at + 2)));
    // The first run-out says nothing, since nobody knows what was on that bobbin; the second measures the one between.
    events.push(event('bobbin-out', face?.id ?? '', 10, 0));
    events.push(event('bobbin-out', face?.id ?? '', 20, face?.stop?.stitches ?? 0));
    const metres = face?.stop?.bobbinMetres ?? 0;
    expect(metres).to.be.greaterThan(3);
    expect(bobbinMeasures({ plan, events })).to.deep.equal([40 / metres]);
  });
  it('count the hours of a needle since it was put in', () => {
    const stop = plan.steps.find(({ kind }) => kind === 'stop');
    const before = plan.steps.slice(0, (stop?.number ?? 1) - 1);
    const events = [event('start', null, 0)];
    before.forEach(({ id }) => events.push(event('done', id, 10)));
    events.push(event('done', stop?.id ?? '', 1810));
    const run: Run = {
      ...{
        schema: 'jolt-step/run',
        version: RUN_VERSION,
        item: null,
        id: 'run',
        itemId: plan.itemId,
        itemName: plan.itemName
      },
      ...{ startedAt: '2026-11-20T10:00:00.000Z', finishedAt: null, plan, events },
      setup: defaultSetup(badgerTab(), badgerShop())
    };
    const machine = { id: 'left', needles: 1 };
    expect(needleHours([needleTimes(run)], machine)).to.deep.equal([{ needle: 1, hours: 0.5, since: null }]);
    const fitted = { ...machine, needleFitted: { '1': '2026-11-21T08:00:00.000Z' } };
    expect(needleHours([needleTimes(run)], fitted)[0]?.hours).to.equal(0);
  });
});

describe('the needles', () => {
  it('use what is threaded and ask for the fewest re-threads', () => {
    expect(planNeedles(['white', 'pink', 'rust', 'white'], 2, ['rust', null])).to.deep.include({
      atStart: ['rust', 'white'],
      threadFirst: [2]
    });
    // An empty needle is taken before rust has to come off.
    expect(planNeedles(['white', 'pink'], 4, ['rust', 'white']).atStart).to.deep.equal([
      null,
      'white',
      'pink',
      null
    ]);
  });
  it('have a halt programmed wherever hands come, also between stops of one needle', () => {
    const item = badgerTab();
    const shop = badgerShop();
    const made = planAndTrace(item, { ...defaultSetup(item, shop), machineId: 'right' }, shop);
    const sheet = needleSheet(made, shop.machines[1] ?? shop.machines[0]!);
    // After the placement (lay the front) and after the eyes (the back goes on): placement and tack-down are one white.
    expect(sheet.rows.filter(({ halt }) => halt !== null).map(({ number }) => number)).to.deep.equal([1, 5]);
    expect(sheet.rows[0]?.halt?.sameNeedle).to.equal(true);
    expect(sheet.rows[4]?.halt?.sameNeedle).to.equal(false);
    expect(sheet.rethreads).to.equal(0);
    expect(sheet.needles.filter(({ threadFirst }) => threadFirst)).to.have.length(3);
  });
  it('are chosen by what lies under them', () => {
    const light = { layers: 2, roles: ['decoration'], stitches: 4000, threads: ['White'] } as const;
    expect(needleFor({ ...light, materials: ['felt', 'tear-away'] })).to.include({
      size: '75/11',
      fresh: false
    });
    expect(needleFor({ ...light, materials: ['knit', 'soft-mesh'] }).kind).to.equal('ballpoint');
    const appliqué = { ...light, materials: ['woven', 'tear-away'], roles: ['satin-edge'] } as const;
    expect(needleFor(appliqué).size).to.equal('80/12');
    expect(needleFor({ ...appliqué, layers: 5 })).to.include({ size: '90/14', fresh: true });
    expect(needleFor({ ...appliqué, threads: ['Opal blue'] })).to.include({
      kind: 'large eye',
      size: '90/14'
    });
  });
});

describe('threads of the maker’s own', () => {
  const spool = (id: string, name: string, colour: string, metres: number): StashEntry => ({
    ...{ id, name, colour, place: '', note: '', price: null },
    ...{ what: 'thread' as const, spools: 1, metres }
  });
  it('are matched by what the eye sees', () => {
    const palette = [
      { name: 'Cream', colour: '#f4ecd8' },
      { name: 'Rust', colour: '#a5492a' },
      { name: 'Snow', colour: '#ffffff' }
    ];
    expect(nearestThreads('#f8f8f8', palette, 2).map(({ thread }) => thread.name)).to.deep.equal([
      'Snow',
      'Cream'
    ]);
  });
  it('are counted for an order, with what the stash lacks', () => {
    const item = badgerTab();
    const made = threadsOf(item, {}, badgerShop());
    const white = made.plan.threads.find(({ thread }) => thread.name === 'White');
    const stash = [spool('s1', 'white', '#ffffff', 40)];
    const needs = threadNeeds(made.plan, 6, made.bobbins, stash);
    const need = needs.find(({ thread }) => thread.name === 'White');
    expect(need?.upper).to.be.closeTo((white?.upperMetres ?? 0) * 6, 1e-9);
    // Charted: 0.6 + 0.6 + 8.1 + 2.1 m a tab.
    expect(need?.upper).to.be.closeTo(68.4, 1e-6);
    expect(need?.have).to.equal(40);
    expect(need?.lacks).to.be.closeTo(68.4 + (need?.bobbin ?? 0) - 40, 1e-6);
    expect(needs.find(({ thread }) => thread.name === 'Pink')).to.include({ have: null, buy: 1 });
  });
  it('two colours on one spool are one thread, and nothing is re-threaded between them', () => {
    const item = badgerTab();
    const setup = defaultSetup(item, badgerShop());
    const entry = spool('s2', 'Ivory', '#fffff0', 500);
    if (entry.what !== 'thread') throw new Error('a spool is thread');
    const ids = item.threads.filter(({ name }) => ['White', 'Pink'].includes(name)).map(({ id }) => id);
    const both = ids.reduce((chosen, id) => chooseSpool(chosen, id, entry), setup);
    const plan = planItem(item, both, badgerShop());
    expect(plan.threads.map(({ thread }) => thread.name))
      .to.include('Ivory')
      .and.not.include('Pink');
    // Ivory, black, ivory.
    expect(plan.steps.filter(({ op }) => op?.do === 'thread')).to.have.length(3);
    expect(chooseSpool(both, ids[0] ?? '', null).threads).to.have.keys([ids[1] ?? '']);
  });
});
