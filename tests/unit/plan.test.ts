import { formatSize } from '$lib/core/base/units';
import { CONSTRUCTIONS } from '$lib/core/craft/constructions';
import { hoopAfter, newOperation, OPERATION_KINDS, wordingOf } from '$lib/core/craft/operations';
import { HOOP_AT_START, Plan, type PlanStep } from '$lib/core/documents/plan';
import { defaultSetup } from '$lib/core/documents/shop';
import { plan } from '$lib/core/making/plan';
import { cutList } from '$lib/core/craft/sizes';
import { expect } from 'chai';
import { badgerShop, badgerTab, makeItem } from './support/badger';

const shop = badgerShop();
const tab = badgerTab();
const onLeft = plan(tab, undefined, shop);
const stepOf = (steps: PlanStep[], id: string): PlanStep => steps.find((step) => step.id === id) as PlanStep;

describe('cut list', () => {
  const sizes = (rounding: '5mm' | 'quarter-inch'): string[] =>
    cutList(tab, shop.hoops[0] as never, { rounding, margins: {} }, 1).map(
      ({ name, cut }) => `${name} ${formatSize(cut, rounding === '5mm' ? 'mm' : 'in')}`
    );

  it('of the worked example: front 55 × 120 and back 70 × 135 mm, or 2 ¼ × 4 ¾ and 3 × 5 ½ in', () => {
    expect(sizes('5mm')).to.deep.equal(['STABILISER 190 × 190 mm', 'FRONT 55 × 120 mm', 'BACK 70 × 135 mm']);
    expect(sizes('quarter-inch').slice(1)).to.deep.equal(['FRONT 2 ¼ × 4 ¾ in', 'BACK 3 × 5 ½ in']);
    const front = cutList(tab, shop.hoops[0] as never, { rounding: 'quarter-inch', margins: {} }, 1)[1];
    expect(front?.cut).to.deep.equal({ width: 57.15, height: 120.65 });
    expect(front?.exact).to.deep.equal({ width: 54, height: 118 });
  });
  it('cuts hooped material to the ring and 25 mm more on each side', () => {
    const [stabiliser] = cutList(
      tab,
      { ...shop.hoops[0], ring: { width: 141, height: 231 } } as never,
      { rounding: '5mm', margins: {} },
      3
    );
    expect(stabiliser).to.deep.include({
      covers: { width: 141, height: 231 },
      cut: { width: 195, height: 285 },
      count: 3
    });
  });
  it('does as the maker says where a piece is overridden', () => {
    const own = {
      ...tab,
      pieces: tab.pieces.map((piece) =>
        piece.id === 'back' ? { ...piece, overrides: { margin: 5, height: 111 } } : piece
      )
    };
    expect(cutList(own, shop.hoops[0] as never, { rounding: '5mm', margins: {} }, 1)[2]).to.deep.include({
      cut: { width: 40, height: 111 },
      overridden: true
    });
  });
  it('cuts the adhesive of an iron-on patch larger than the patch', () => {
    const patch = makeItem('patch', { finish: 'iron-on' });
    const adhesive = plan(patch, undefined, shop).cuts.find(({ pieceId }) => pieceId === 'adhesive');
    expect(adhesive?.cut).to.deep.equal({ width: 100, height: 100 });
  });
});

describe('plan', () => {
  it('of the worked example: 492 s of needle, 16.58 m of thread, nothing waits', () => {
    expect(onLeft.totals.needle.value).to.equal(492);
    expect(onLeft.upperMetres).to.be.closeTo(16.58, 1e-9);
    expect(onLeft.totals.waiting.value).to.equal(0);
    // Added by hand: 90 + 120 + 20 + 4 x 85 + 62 + 15 + 10 + 16 + 62 + 10 + 20 + 10 + 15 + 45 + 16 + 30 + 32 + 60 + 66.2 + 30 + 40.
    expect(onLeft.totals.hands.value).to.be.closeTo(1109.2, 0.1);
  });
  it('numbers its steps from 1, keeps the machine’s numbers, and threads before the stop that needs it', () => {
    expect(onLeft.steps.map(({ number }) => number)).to.deep.equal(onLeft.steps.map((_, at) => at + 1));
    expect(onLeft.steps.flatMap(({ stop }) => stop?.machineNumber ?? [])).to.deep.equal([1, 2, 3, 4, 5, 6]);
    const threaded = onLeft.steps.flatMap(({ op, thread }) => (op?.do === 'thread' ? [thread?.name] : []));
    expect(threaded).to.deep.equal(['White', 'Pink', 'Black', 'White']);
  });
  it('says of every trim of every construction where the hoop is by then', () => {
    const says = { on: 'The hoop stays on.', off: 'Hoop off, on the table.' };
    let trims = 0;
    for (const { kind } of CONSTRUCTIONS)
      for (const { op, detail, hoop } of plan(makeItem(kind), undefined, shop).steps) {
        if (op?.do !== 'trim') continue;
        trims++;
        expect(['on', 'off'], kind).to.include(hoop.where);
        expect(detail, kind).to.include(says[hoop.where as 'on' | 'off']);
      }
    expect(trims).to.be.above(15);
  });
  it('follows the hoop through the item: off, turned over, back on', () => {
    const where = (id: string): string =>
      `${stepOf(onLeft.steps, id).hoop.where} ${stepOf(onLeft.steps, id).hoop.turned}`;
    expect(['set-up', 'hoop', 'stop-1', 'lay-back', 'stop-6', 'cut-out'].map(where)).to.deep.equal([
      'empty false',
      'off false',
      'on false',
      'off true',
      'on false',
      'unhooped false'
    ]);
  });
  it('says what is laid as the maker sees it, with the hoop turned over or not', () => {
    expect(stepOf(onLeft.steps, 'lay-front').title).to.equal('Lay FRONT, right side to you');
    expect(stepOf(onLeft.steps, 'lay-back').title).to.equal('Lay BACK, right side to you');
    expect(stepOf(onLeft.steps, 'lay-back').detail).to.equal(
      'Cover the outline by 20 mm all round. Tape all four corners, outside the stitching.'
    );
    const inches = plan(tab, undefined, { ...shop, unit: 'in' });
    expect(stepOf(inches.steps, 'lay-back').detail).to.match(/by 13⁄16 in all round/);
  });
  it('on six needles threads nothing on the way, sets up longer and changes by itself', () => {
    const onRight = plan(tab, { ...defaultSetup(tab, shop), machineId: 'right' }, shop);
    expect(onRight.steps.some(({ op }) => op?.do === 'thread')).to.equal(false);
    expect(onRight.steps[0]?.hands.value).to.equal(240);
    expect(stepOf(onRight.steps, 'stop-4').needle).to.equal(2);
    // 60 stitches at 800 spm 4.5 s, 4 s to start and halt, 6 s trim, 10 s change.
    expect(stepOf(onRight.steps, 'stop-4').running.value).to.equal(24.5);
  });
  it('warns when the machine is gone', () => {
    const wide = makeItem('snap-tab', { width: 120, height: 94 });
    const setup = { ...defaultSetup(wide, shop), hoopId: 'hoop-100', machineId: 'sold' };
    expect(
      plan(wide, setup, shop).warnings.map(({ code, text }) => `${code}: ${text.slice(0, 11)}`)
    ).to.deep.equal(['setup/gone: The machine', 'chart/guessed: Nobody has ']);
  });
  it('counts fray fluid as waiting, not as hands', () => {
    const patch = makeItem('patch', { ground: { kind: 'woven', name: 'Cotton', colour: '#31405c' } });
    const { totals, steps } = plan(patch, undefined, shop);
    expect(totals.waiting.value).to.equal(300);
    expect(stepOf(steps, 'wait-fray').hands.value).to.equal(0);
  });
  it('is a function of its inputs and survives being stored', () => {
    expect(plan(tab, undefined, shop)).to.deep.equal(onLeft);
    expect(Plan.parse(JSON.parse(JSON.stringify(onLeft)))).to.deep.equal(onLeft);
  });
});

describe('wording', () => {
  it('has words for every operation that can be added to a sheet', () => {
    for (const kind of OPERATION_KINDS) {
      const op = newOperation(kind, tab);
      // These come by themselves, with the machine, the files, their settings, and blocks that cannot stand.
      expect(op === undefined, kind).to.equal(
        ['set-up', 'load-file', 'one-colour', 'left-out'].includes(kind)
      );
      if (!op) continue;
      const { title } = wordingOf(op, { item: tab, unit: 'mm', hoop: HOOP_AT_START });
      expect(title, kind).to.match(/^[A-Z]/);
      expect(title, kind).to.not.match(/undefined|gone/);
    }
  });
  it('turns the hoop over and back again', () => {
    const over = hoopAfter({ where: 'on', turned: false }, { do: 'turn-over' });
    expect(over).to.deep.equal({ where: 'off', turned: true });
    expect(wordingOf({ do: 'turn-over' }, { item: tab, unit: 'mm', hoop: over }).title).to.equal(
      'Turn the hoop back'
    );
  });
});
