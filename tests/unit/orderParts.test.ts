import { expect } from 'chai';
import fc from 'fast-check';
import { constructionOf } from '$lib/core/craft/constructions';
import { newLine } from '$lib/core/documents/order';
import { plan } from '$lib/core/making/plan';
import { outlineOf } from '$lib/core/ordering/copies';
import { compose, LineContext, shareOver, stationsOf } from '$lib/core/ordering/hoopings';
import { bobbinAfter } from '$lib/core/ordering/hoopings/bobbins';
import type { ComposeInput } from '$lib/core/ordering/hoopings/compose';
import { stagesOf } from '$lib/core/ordering/hoopings/stages';
import { workTimes } from '$lib/core/ordering/hoopings/work';
import type { TableWork } from '$lib/core/solvers/schedule';
import { HoopPool } from '$lib/core/solvers/schedule/hoopPool';
import { together } from '$lib/core/solvers/schedule/washes';
import { demoItem, demoSetup, demoShop } from './support/demo';
import { DEMO_STAGES } from './support/demoStages';
import { machine, plainPatch, shopOf, SIX } from './support/orders';

const piecesOf = (kind: string, answers: Record<string, unknown>): number | undefined =>
  constructionOf(kind)?.piecesPerFile(answers);

describe('orders: what one copy takes up', () => {
  it('is the largest line where all lies inside it', () => {
    const outline = outlineOf(demoItem('badger-tab'), 'as-drawn', ['hooping-1'], 12);
    expect(outline.width).to.be.closeTo(30, 2.5);
    expect(outline.height).to.be.closeTo(94, 2.5);
    expect(outline.reach).to.equal(12);
  });
  it('is what the variant says where nothing is drawn', () => {
    const bare = { ...plainPatch(), lines: [], steps: [] };
    expect(outlineOf(bare, 'v', ['h'], 0)).to.include({ width: 60, height: 60 });
  });
  it('is the hull of several lines side by side', () => {
    const { width, height } = outlineOf(demoItem('canopy-lace'), 'as-drawn', ['hooping-1'], 0);
    expect(width).to.be.greaterThan(110);
    expect(height).to.be.closeTo(70, 3);
  });
});

describe('orders: copies shared out', () => {
  const input = (copies: number, machines: string[], more: Partial<ComposeInput> = {}): ComposeInput => {
    const shop = shopOf(machines.map((id) => machine(id, { paceSpm: id === 'slow' ? 400 : 800 })));
    const context = new LineContext(newLine('line', 'patch', 40), plainPatch(), undefined, shop);
    return {
      context,
      stage: 0,
      copies,
      hoop: SIX,
      hoops: [SIX],
      stations: stationsOf(shop, []),
      ...more
    };
  };
  const sizes = (how: 'full' | 'even' | 'shared', from: ComposeInput): number[] =>
    compose(how, from).map(({ copies }) => copies);

  const cases: [how: 'full' | 'even' | 'shared', copies: number, machines: string[], sizes: number[]][] = [
    ['full', 38, ['one'], [6, 6, 6, 6, 6, 6, 2]],
    ['even', 38, ['one'], [6, 6, 6, 5, 5, 5, 5]],
    ['shared', 38, ['a', 'b', 'c', 'd'], [5, 5, 5, 5, 5, 4, 5, 4]],
    ['full', 6, ['one'], [6]],
    ['even', 7, ['one'], [4, 3]],
    ['full', 0, ['one'], []]
  ];
  for (const [how, copies, machines, expected] of cases)
    it(`${copies} on ${machines.length} ${how}: ${expected.join(' + ') || 'none'}`, () =>
      expect(sizes(how, input(copies, machines))).to.deep.equal(expected));

  it('a machine half as fast gets half as many', () => {
    const made = compose('shared', input(18, ['fast', 'slow']));
    expect(made.reduce((sum, { copies }) => sum + copies, 0)).to.equal(18);
    expect(made.map(({ copies }) => copies)).to.deep.equal([6, 6, 6]);
  });

  it('always come to as many as were wanted, none over the hoop', () => {
    fc.assert(
      fc.property(
        fc.constantFrom('full' as const, 'even' as const, 'shared' as const),
        fc.integer({ min: 0, max: 90 }),
        fc.integer({ min: 1, max: 5 }),
        (how, copies, count) => {
          const made = sizes(
            how,
            input(
              copies,
              Array.from({ length: count }, (_, at) => `m${at}`)
            )
          );
          expect(made.reduce((sum, each) => sum + each, 0)).to.equal(copies);
          for (const each of made) expect(each).to.be.within(1, 6);
        }
      ),
      { numRuns: 60 }
    );
  });

  it('shares are as equal as can be', () => {
    expect(shareOver(20, 6)).to.deep.equal([4, 4, 3, 3, 3, 3]);
    expect(shareOver(3, 5)).to.deep.equal([1, 1, 1, 0, 0]);
  });

  it('knows how many pieces a file gives', () => {
    expect(piecesOf('batch-patch', { copies: 4 })).to.equal(4);
    expect(piecesOf('batch-patch', {})).to.equal(2);
    expect(piecesOf('several-designs', { school: 'napkins', designs: 3 })).to.equal(3);
    expect(piecesOf('several-designs', { school: 'corners', designs: 3 })).to.equal(1);
    expect(piecesOf('snap-tab', { copies: 9 })).to.equal(1);
    expect(piecesOf('batch-patch', { copies: 'many' })).to.equal(1);
  });
});

describe('orders: stages and times', () => {
  const shop = demoShop();
  const hoopingOf = (id: string): Map<string, string> =>
    new Map(demoItem(id).steps.map((step) => [step.id, step.hoopingId]));
  const tab = plan(demoItem('badger-tab'), demoSetup('badger-tab'), shop);

  it('load, machine, off and finish of a tab', () => {
    const [stage] = stagesOf(tab, hoopingOf('badger-tab'));
    const of = (phase: string): string[] =>
      stage?.steps.flatMap((each) => (each.phase === phase ? (each.step.op?.do ?? each.step.title) : [])) ??
      [];
    expect(of('load')).to.deep.equal(['hoop']);
    expect(of('machine')[0]).to.equal('hoop-on');
    expect(of('machine').at(-1)).to.equal('hoop-off');
    expect(of('off')).to.deep.equal(['inspect', 'snip', 'unhoop']);
    expect(of('finish')).to.deep.equal(['untape', 'tear-away', 'cut-out', 'punch', 'hardware']);
    expect(stage?.steps.some(({ step }) => step.op?.do === 'thread')).to.equal(false);
  });

  for (const [id, stages] of Object.entries(DEMO_STAGES))
    it(`each step of ${id} has its place`, () => {
      const made = stagesOf(plan(demoItem(id), demoSetup(id), shop), hoopingOf(id));
      const found = made.map(({ steps }) => {
        const of = (phase: string): string[] =>
          steps.flatMap((each) =>
            each.phase === phase ? (each.step.op?.do ?? each.step.stop?.role ?? 'none') : []
          );
        return { load: of('load'), machine: of('machine'), off: of('off'), finish: of('finish') };
      });
      expect(found).to.deep.equal(stages);
    });

  it('keep all the time there is, in its kinds', () => {
    const [stage] = stagesOf(tab, hoopingOf('badger-tab'));
    const times = workTimes(
      stage?.steps ?? [],
      demoItem('badger-tab'),
      { total: 1, heads: 1 },
      { isLast: true }
    );
    const needle = times.segments.reduce(
      (sum, { kind, seconds }) => sum + (kind === 'hands' ? 0 : seconds),
      0
    );
    expect(needle).to.be.closeTo(tab.totals.needle.value, 1e-6);
    const hands =
      times.load +
      times.threading +
      times.off +
      times.segments.reduce((sum, { kind, seconds }) => sum + (kind === 'hands' ? seconds : 0), 0) +
      times.finish.reduce((sum, { seconds }) => sum + seconds, 0);
    const setUp = tab.steps[0]?.hands.value ?? 0;
    const threads = tab.steps.reduce(
      (sum, { op, hands: own }) => sum + (op?.do === 'thread' ? own.value : 0),
      0
    );
    expect(hands).to.be.closeTo(tab.totals.hands.value - setUp - threads, 1e-6);
  });

  it('lace leaves its rinse, its drying and what comes after to be shared', () => {
    const lace = plan(demoItem('canopy-lace'), demoSetup('canopy-lace'), shop);
    const [stage] = stagesOf(lace, hoopingOf('canopy-lace'));
    const times = workTimes(
      stage?.steps ?? [],
      demoItem('canopy-lace'),
      { total: 2, heads: 1 },
      { isLast: true }
    );
    expect(times.wash[0]?.what).to.match(/rinse|wait soak/);
    expect(times.wash.some(({ what }) => what === 'wait dry')).to.equal(true);
    expect(times.finish.every(({ what }) => what !== 'rinse')).to.equal(true);
    // Before another clamping nothing can wait for other parts.
    expect(
      workTimes(stage?.steps ?? [], demoItem('canopy-lace'), { total: 2, heads: 1 }, { isLast: false }).wash
    ).to.deep.equal([]);
  });

  it('two washes become one: rinsed once, dried once, pressed piece by piece', () => {
    const each = (what: string, seconds: number, more: Partial<TableWork> = {}): TableWork => ({
      ...{ kind: 'hands', what, title: what, seconds, times: 1, once: true },
      ...more
    });
    const one = [
      each('rinse', 180),
      each('wait dry', 36_000, { kind: 'wait' }),
      each('press', 90, { once: false, times: 2 })
    ];
    const two = together(one, [...one, each('join-parts', 270, { once: false })]);
    expect(two.map(({ what, seconds, times }) => [what, seconds, times])).to.deep.equal([
      ['rinse', 180, 1],
      ['wait dry', 36_000, 1],
      ['press', 180, 4],
      ['join-parts', 270, 1]
    ]);
  });

  it('a stop longer than a bobbin halts in its middle, and the needle goes on after each change', () => {
    // Two copies of 60,000 stitches take 240 m: with 40 m on a bobbin five changes, in six equal parts.
    const shop = shopOf([machine('one')]);
    const context = new LineContext(
      newLine('line', 'patch', 2),
      plainPatch({ stitches: 60_000 }),
      undefined,
      shop
    );
    const [station, hoop] = [stationsOf(shop, [])[0], shop.hoops[0]];
    const times = station && hoop && context.timesOn(0, 2, station, hoop);
    expect(Math.round(times?.bobbinMetres ?? 0)).to.equal(240);
    const needle = times?.segments.filter(({ kind }) => kind === 'needle') ?? [];
    const changes = times?.segments.filter(({ title }) => title.includes('in the middle')) ?? [];
    expect(needle).to.have.length(6);
    expect(changes.map(({ seconds }) => seconds)).to.deep.equal(Array(5).fill(60));
    // Nothing is lost: 120,000 stitches at the machine's pace, as one run of the needle would take.
    const one = needle.reduce((sum, { seconds }) => sum + seconds, 0) / 6;
    for (const { seconds } of needle) expect(seconds).to.be.closeTo(one, 1e-6);
  });

  it('a bobbin is changed before an edge it would not last, and used up elsewhere', () => {
    const stop = (
      bobbinMetres: number,
      isProtected: boolean
    ): { bobbinMetres: number; protected: boolean } => ({
      bobbinMetres,
      protected: isProtected
    });
    expect(bobbinAfter([stop(25, true), stop(30, true)], 40)).to.equal(10);
    expect(bobbinAfter([stop(25, true), stop(30, false)], 40)).to.equal(25);
    expect(bobbinAfter([stop(100, true)], 40)).to.equal(20);
    expect(bobbinAfter([], 40)).to.equal(40);
  });

  it('hoops are free again when they are given back', () => {
    const pool = new HoopPool({ six: 2 }, 100);
    expect(pool.freeAt('six', 2)).to.equal(100);
    pool.take('six', 1);
    expect(pool.freeAt('six', 1)).to.equal(100);
    expect(pool.freeAt('six', 2)).to.equal(Infinity);
    pool.give('six', 1, 500);
    expect(pool.freeAt('six', 2)).to.equal(500);
    expect(pool.freeAt('other', 1)).to.equal(Infinity);
  });
});
