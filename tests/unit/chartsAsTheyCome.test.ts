import { findStop, findThread, type Item, setOneColour, type Step } from '$lib/core/documents/item';
import { defaultSetup } from '$lib/core/documents/shop';
import { review } from '$lib/core/making/checks';
import { plan } from '$lib/core/making/plan';
import { expect } from 'chai';
import { badgerShop, makeItem } from './support/badger';

/** Charts as files have them, and not as a pattern would wish: rows more, rows fewer, one for two. */
const shop = badgerShop();
const ghosts = (item: Item): string[] =>
  item.files.flatMap(({ stops }) => stops.flatMap(({ number, name }) => (number === null ? [name] : [])));
const extras = (item: Item): string[] =>
  item.remarks.flatMap(({ code, stepId }) => (code === 'chart/extra' ? [stepId ?? ''] : []));
const order = (item: Item): string[] =>
  item.steps.map((step: Step) =>
    step.kind === 'stop' ? (findStop(item, step.stopId)?.name ?? '') : step.id
  );

describe('rows that nobody expected', () => {
  const tab = (chart: string): Item => makeItem('snap-tab', {}, chart);
  it('come after the hand work that belongs to the stop before them, never between a stop and its trimming', () => {
    const pile = makeItem(
      'pile-patch',
      {},
      '1 placement navy 112\n2 zigzag tack navy 192\n3 basting navy 110\n4 lettering red 900\n5 border navy 730'
    );
    const steps = order(pile);
    const [id] = extras(pile);
    const extra = pile.steps.findIndex((step) => step.id === id);
    expect(extra).to.be.above(steps.indexOf('trim-pile'));
    expect(steps[extra - 1]).to.match(/^hoop-on/);
  });
  it('that decorate come before the back goes on', () => {
    const chart =
      '1 placement grey 120\n2 tack-down black 120\n3 face white 1500\n4 topstitch blue 90\n5 outline white 420';
    const steps = order(tab(chart));
    const extra = steps.findIndex((name) => /topstitch/i.test(name));
    expect(extra).to.be.above(0);
    expect(extra).to.be.below(steps.findIndex((name) => name === 'lay-back'));
  });
  it('of a tab that ends in satin: a satin edge, and the backing’s tack-down after the backing is laid', () => {
    const item = tab(
      '1 placement grey 120\n2 tack-down black 120\n3 face white 1500\n4 backing tack-down white 130\n5 satin edge white 1900'
    );
    const steps = order(item);
    expect(steps.indexOf('Back tack-down')).to.be.above(steps.indexOf('lay-back'));
    const edge = item.files[0]?.stops.at(-1);
    expect([edge?.role, edge?.phases.length, edge?.number]).to.deep.equal(['satin-edge', 2, 5]);
    expect([ghosts(item), extras(item)]).to.deep.equal([[], []]);
  });
  it('warn where a tack-down is named for a piece that is laid later', () => {
    const item = tab(
      '1 placement grey 120\n2 tack-down black 120\n3 back tack-down white 130\n4 outline white 420'
    );
    const back = item.files[0]?.stops.find(({ number }) => number === 3);
    if (!back) throw new Error('no stop 3');
    const steps = item.steps.filter((step) => step.kind !== 'stop' || step.stopId !== back.id);
    const lay = steps.findIndex(({ id }) => id === 'lay-front');
    const early: Item = {
      ...item,
      steps: [
        ...steps.slice(0, lay + 1),
        { kind: 'stop', id: 'early', hoopingId: 'hooping-1', needs: [], note: '', stopId: back.id, pass: 1 },
        ...steps.slice(lay + 1)
      ]
    };
    const findings = review(early, undefined, shop).checked.open;
    expect(findings.find(({ code }) => code === 'order/before-piece')?.text).to.equal(
      'Stop 3, back tack-down, runs before BACK is laid.'
    );
  });
});

describe('rows that are fewer than expected', () => {
  it('of a pouch whose lower tack-down is the accent’s placement too: 15 rows and no ghost', () => {
    const chart = [
      ...['batting placement', 'batting tack', 'zip placement', 'zip tack', 'upper seam', 'upper topstitch'],
      ...[
        'lower seam',
        'lower tack-down',
        'accent seam',
        'outline baste',
        'quilting',
        'lower lining topstitch'
      ],
      ...['upper lining topstitch', 'back tack-down', 'closing seam']
    ];
    expect(chart).to.have.length(15);
    const item = makeItem('zip-pouch', {}, chart.map((name, at) => `${at + 1} ${name} cream 200`).join('\n'));
    expect(ghosts(item)).to.deep.equal([]);
    expect(extras(item)).to.deep.equal([]);
  });
  it('of lace with one stop a colour and no underlay: none is lost, the bobbin changes with each', () => {
    const item = makeItem('lace', {}, '1 petals rose 4,200\n2 leaves green 2,100\n3 centre gold 800');
    expect([ghosts(item), extras(item)]).to.deep.equal([[], []]);
    const bobbins = item.steps.flatMap((step) =>
      step.kind === 'hand' && step.op.do === 'bobbin' ? [findThread(item, step.op.threadId ?? '')?.name] : []
    );
    expect(bobbins).to.deep.equal(['Rose', 'Green', 'Gold']);
    expect(
      review(item, undefined, shop).checked.open.filter(({ severity }) => severity !== 'note')
    ).to.deep.equal([]);
  });
  it('of lace on mesh: any number of rows, run again for every segment', () => {
    const item = makeItem(
      'mesh-lace',
      { segments: 2 },
      '1 ferns green 9,000\n2 fronds moss 7,000\n3 edge green 5,000'
    );
    expect([ghosts(item), extras(item)]).to.deep.equal([[], []]);
    const passes = item.steps.flatMap((step) => (step.kind === 'stop' ? [step.pass] : []));
    expect(passes).to.deep.equal([1, 1, 1, 2, 2, 2]);
    // All colours are one run in one thread.
    const planned = plan(item, { ...defaultSetup(item, shop), machineId: 'left' }, shop);
    expect(planned.steps.filter(({ op }) => op?.do === 'one-colour')).to.have.length(1);
    expect(planned.threads.map(({ thread }) => thread.name)).to.deep.equal(['Green']);
  });
});

describe('charted colours and one-colour mode', () => {
  const chart = '1 placement grey 120\n2 tack-down black 120\n3 face white 1500\n4 outline white 420';
  const colour = (item: Item, number: number): string | undefined => {
    const stop = item.files[0]?.stops.find((each) => each.number === number);
    return stop && findThread(item, stop.threadId)?.name;
  };
  it('stay where they will be seen; only what is hidden takes the thread that is on, and one line in two colours asks', () => {
    const item = makeItem('snap-tab', {}, chart);
    expect([1, 2, 3, 4].map((number) => colour(item, number))).to.deep.equal([
      'White',
      'Black',
      'White',
      'White'
    ]);
    const asked = review(item, undefined, shop).checked.open.find(({ code }) => code === 'colours/one-line');
    expect(asked?.fix?.label).to.equal('Use white');
  });
  it('one-colour mode runs a file through, and is a stop finding where hands must act between', () => {
    const item = setOneColour(makeItem('snap-tab', {}, chart), 'file-1', true);
    const planned = plan(item, undefined, shop);
    expect(
      planned.steps.filter(({ op }) => op?.do === 'one-colour').map(({ detail }) => detail)
    ).to.deep.equal(['The 4 stops of this file run as one: it does not halt between them.']);
    expect(planned.steps.filter(({ op }) => op?.do === 'thread')).to.have.length(1);
    const finding = review(item, undefined, shop).checked.open.find(
      ({ code }) => code === 'halts/one-colour'
    );
    expect(finding?.severity).to.equal('stop');
    expect(finding?.text).to.match(/^Hands are needed after stop 1, .* The same holds for stop 3\.$/);
  });
});
