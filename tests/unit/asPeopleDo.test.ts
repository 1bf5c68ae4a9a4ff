import type { OperationOf, OperationKind, Step } from '$lib/core/documents/item';
import {
  editStep,
  findPiece,
  findStop,
  type Item,
  moveStepAfter,
  stitchesOf
} from '$lib/core/documents/item';
import { defaultSetup, type Setup, type Shop } from '$lib/core/documents/shop';
import { review } from '$lib/core/making/checks';
import { plan } from '$lib/core/making/plan';
import { expect } from 'chai';
import { badgerShop, makeItem } from './support/badger';

/** What makers do, in their order: worked by hand from the craft, one sentence of it a test. */
const shop: Shop = {
  ...badgerShop(),
  hoops: [
    ...badgerShop().hoops,
    {
      id: 'large',
      name: 'Large hoop',
      field: { width: 200, height: 300 },
      ring: { width: 240, height: 345 },
      capSpm: null
    }
  ]
};
const setupOf = (item: Item, machineId = 'left'): Setup => ({ ...defaultSetup(item, shop), machineId });
const found = (item: Item, machineId = 'left'): string[] =>
  review(item, setupOf(item, machineId), shop)
    .checked.open.filter(({ severity }) => severity !== 'note')
    .map(({ code, stepId }) => `${code} ${stepId}`);
const at = (item: Item, id: string): number => item.steps.findIndex((step) => step.id === id);
const opOf = <K extends OperationKind>(item: Item, id: string, kind: K): OperationOf<K> => {
  const step = item.steps.find((each) => each.id === id);
  if (step?.kind !== 'hand' || step.op.do !== kind) throw new Error(`${id} is no ${kind}`);
  return step.op as OperationOf<K>;
};
const stopOf = (item: Item, expects: string): Step => {
  const step = item.steps.find(
    (each) => each.kind === 'stop' && findStop(item, each.stopId)?.expects === expects
  );
  if (!step) throw new Error(`no stop ${expects}`);
  return step;
};
const titles = (item: Item, machineId = 'left'): string[] =>
  plan(item, setupOf(item, machineId), shop).steps.map(({ title }) => title);

describe('joined appliqué', () => {
  const item = makeItem('joined-applique');
  it('holds the glue-up piece by hand, fuses the left one after its trimming and the seam after the flip, before the satins', () => {
    expect(opOf(item, 'lay-right', 'lay').hold).to.deep.equal({ by: 'hand' });
    expect(at(item, 'fuse-left')).to.be.above(at(item, 'trim-left'));
    expect(at(item, 'fuse-seam')).to.equal(at(item, 'flip-right') + 1);
    expect(opOf(item, 'fuse-seam', 'fuse').lineId).to.equal('join');
    for (const id of ['fuse-left', 'fuse-seam', 'fuse-right'])
      expect(at(item, id)).to.be.below(item.steps.indexOf(stopOf(item, 'right-satin')));
    expect(found(item)).to.deep.equal([]);
  });
  it('says when an iron would meet bare glue, the machine, or a piece not trimmed yet', () => {
    const lay = opOf(item, 'lay-right', 'lay');
    const ironed = editStep(item, 'lay-right', { op: { ...lay, hold: { by: 'fuse' } } });
    expect(found(ironed)).to.include.members(['iron/adhesive lay-right', 'iron/on-machine lay-right']);
    const early = moveStepAfter(item, 'fuse-left', stopOf(item, 'left-tack').id);
    expect(found(early)).to.include('iron/before-trim fuse-left');
    const [finding] = review(ironed, setupOf(ironed), shop).checked.open.filter(
      ({ code }) => code === 'iron/adhesive'
    );
    expect(found(finding?.fix?.apply(ironed) ?? ironed)).to.deep.equal([]);
  });
});

describe('cuts', () => {
  it('reach their layer from the side that is said, and name what stays whole', () => {
    const cutwork = makeItem('cutwork');
    expect(
      plan(cutwork, setupOf(cutwork), shop).steps.find(({ id }) => id === 'cut-window')?.detail
    ).to.equal('Inside the window, from the front: only that layer. WASH-AWAY stays whole.');
    const cut = opOf(cutwork, 'cut-window', 'cut-away-behind');
    const behind = editStep(cutwork, 'cut-window', { op: { ...cut, from: 'back' } });
    const refused = review(behind, setupOf(behind), shop).checked.open.find(
      ({ code }) => code === 'impossible/step'
    );
    expect(refused?.text).to.equal('CLOTH cannot be cut from the back: WASH-AWAY lies over it there.');
    expect(found(refused?.fix?.apply(behind) ?? behind)).to.deep.equal([]);
    // Batting in the gap of a zip lies on top; the stabiliser behind the zip is cut from behind.
    const pouch = makeItem('zip-pouch');
    expect(opOf(pouch, 'trim-zip-gap', 'cut-away-behind').from).to.equal('front');
    expect(opOf(pouch, 'cut-behind-zip', 'cut-away-behind').from).to.equal('back');
  });
});

describe('a towel topper', () => {
  const topper = makeItem('topper');
  it('has the towel’s front to the maker as the hoop lies turned over, its fabrics interfaced first, its slot cut but not the stabiliser', () => {
    const planned = plan(topper, setupOf(topper), shop);
    const towel = planned.steps.find(({ id }) => id === 'lay-towel');
    expect([towel?.title, towel?.hoop.turned]).to.deep.equal(['Lay TOWEL, right side to you', true]);
    expect(topper.steps.slice(0, 2).map((step) => step.kind === 'hand' && step.op.do)).to.deep.equal([
      'back-cloth',
      'back-cloth'
    ]);
    expect(planned.cuts.map(({ name }) => name)).to.include.members([
      'FRONT, soft interfacing',
      'BACK, soft interfacing'
    ]);
    expect(planned.steps.find(({ id }) => id === 'trim-slot')?.detail).to.contain('STABILISER stays whole.');
  });
  it('takes 12 to 20 minutes for a border of 700 mm at 420 a minute before anything is learned, half an hour at most', () => {
    // Edge and slot are 700 mm together.
    const wide = makeItem('topper', { width: 150, height: 166 });
    const home: Shop = {
      ...shop,
      machines: shop.machines.map((each) => ({ ...each, setSpm: 600, paceSpm: null, trimmer: true }))
    };
    const edge = findStop(wide, (stopOf(wide, 'border') as Step & { stopId: string }).stopId);
    const along = stitchesOf(edge ?? ({ phases: [] } as never)) / 7.5;
    expect(along).to.be.closeTo(700, 15);
    const made = plan(wide, { ...defaultSetup(wide, home), machineId: 'left' }, home);
    const border = made.steps.find(({ stop }) => stop?.role === 'satin-edge')?.running;
    // 3.0 a millimetre at 350 and 4.5 at 420: 6.0 + 7.5 min.
    expect((border?.value ?? 0) / 60).to.be.within(12, 20);
    expect((border?.high ?? 0) / 60).to.be.within(29, 33);
    expect((border?.low ?? 0) / 60).to.be.below(7);
  });
});

describe('files and the machine', () => {
  it('of a split design are finished one after the other: the hoop moves once, each file counts from 1', () => {
    const split = makeItem('split-design');
    expect(split.files.map(({ stops }) => stops.map(({ number }) => number))).to.deep.equal([
      [1, 2, 3, 4],
      [1, 2, 3, 4]
    ]);
    const hands = split.steps.flatMap((step) => (step.kind === 'hand' ? [step.op.do] : []));
    expect(hands.filter((each) => each === 'mount')).to.have.length(1);
    expect(at(split, 'load-lower')).to.equal(at(split, 'position-2') + 1);
    expect(at(split, 'position-2')).to.be.above(split.steps.indexOf(stopOf(split, 'upper-satin')));
    expect(found(split)).to.deep.equal([]);
  });
  it('are loaded in a batch whose lines come first, the patch file’s first stop skipped', () => {
    const batch = makeItem('batch-patch', { placements: 'all-first' });
    const planned = plan(batch, setupOf(batch), shop);
    const loads = planned.steps.filter(({ op }) => op?.do === 'load-file');
    expect(loads.map(({ title }) => title)).to.deep.equal([
      'Load “Test item, placement lines”',
      'Load “Test item, patches”'
    ]);
    expect(loads[1]?.detail).to.equal('Skip its stop 1: it is not needed here.');
    expect(planned.steps.find(({ title }) => /^Colour of patch 1/.test(title))?.stop?.machineNumber).to.equal(
      2
    );
    // A chart that counts through is one file: nothing is loaded on the way.
    const chart = '1 cut line brass 142\n2 placement brass 140\n3 colour cream 1,800\n4 border brass 900';
    expect(makeItem('batch-patch', { placements: 'all-first' }, chart).files).to.have.length(1);
  });
  it('bring the frame back before a stop is stitched', () => {
    const batch = makeItem('batch-patch');
    expect(found(batch, 'right')).to.deep.equal([]);
    const forward = { ...batch, steps: batch.steps.filter(({ id }) => !/^frame-back/.test(id)) };
    const open = review(forward, setupOf(forward, 'right'), shop).checked.open;
    const finding = open.find(({ code }) => code === 'frame/forward');
    expect(finding?.text).to.match(/with the frame forward\. The same holds for stop/);
    expect(found(finding?.fix?.apply(forward) ?? forward, 'right')).to.deep.equal([]);
  });
  it('hold a speed until the next step says otherwise, and the first pass of a charted border at 350', () => {
    const flower = makeItem('raised-piece');
    const stopsOf = (item: Item): { title: string; seconds: number; stitches: number }[] =>
      plan(item, { ...setupOf(item), machineId: 'right' }, shop).steps.flatMap(({ stop, title, running }) =>
        stop ? [{ title, seconds: running.value, stitches: stop.stitches }] : []
      );
    const texture = stopsOf(flower).find(({ title }) => title === 'Texture');
    // 900 stitches at 350 a minute are 154.3 s; start, halt and trim take 10, the change of needle 10 more.
    expect(texture?.seconds).to.be.closeTo((900 * 60) / 350 + 20, 0.1);
    expect(titles(flower)).to.include('Bring the speed back up');
    const chart = '1 badge gold 2500\n2 cut line brass 110\n3 placement brass 110\n4 border brass 2,500';
    const border = findStop(
      makeItem('border-patch', {}, chart),
      (stopOf(makeItem('border-patch', {}, chart), 'border') as Step & { stopId: string }).stopId
    );
    expect(border?.phases.map(({ stitches, cap, attended }) => [stitches, cap, attended])).to.deep.equal([
      [1000, 350, true],
      [1500, undefined, false]
    ]);
  });
  it('keep hoop and iron apart: what is fused comes off the machine for it', () => {
    for (const kind of ['fused-applique', 'joined-applique', 'zip-pouch', 'turned-flat', 'named-item'])
      expect(found(makeItem(kind)), kind).to.deep.equal([]);
    const pouch = makeItem('zip-pouch');
    const pressed: Item = {
      ...pouch,
      steps: pouch.steps.flatMap((step): Step[] =>
        step.id === 'flip-upper'
          ? [step, { ...step, kind: 'hand', id: 'iron-it', needs: [], op: { do: 'press', from: 'front' } }]
          : [step]
      )
    };
    expect(found(pressed)).to.deep.equal(['iron/on-machine iron-it']);
  });
  it('thread a needle again after the last chisel, and give chisels no thread', () => {
    const planned = plan(
      makeItem('cutwork', { school: 'needles' }),
      setupOf(makeItem('cutwork', { school: 'needles' })),
      shop
    );
    const chisels = planned.steps.filter(({ stop }) => stop?.role === 'needle-cut');
    expect(chisels).to.have.length(4);
    for (const { thread, stop } of chisels)
      expect([thread, stop?.upperMetres, stop?.bobbinMetres]).to.deep.equal([null, 0, 0]);
    const back = planned.steps.findIndex(({ id }) => id === 'needle-back');
    expect(planned.steps[back + 1]?.op?.do).to.equal('thread');
    // On six needles the chisel has a needle of its own.
    const six = plan(
      makeItem('cutwork', { school: 'needles' }),
      setupOf(makeItem('cutwork', { school: 'needles' }), 'right'),
      shop
    );
    expect(six.steps.filter(({ op }) => op?.do === 'thread')).to.deep.equal([]);
  });
  it('fuse soft mesh to a knit before it goes on the stabiliser', () => {
    for (const school of ['scissors', 'cut-through', 'needles']) {
      const ground = { kind: 'knit', name: 'Jersey', colour: '#7c8a6a' };
      const knit = makeItem('cutwork', { school, ground });
      expect(knit.steps[0]?.id, school).to.equal('mesh');
      expect(findPiece(knit, 'ground')?.backed?.[0]?.kind).to.equal('soft-mesh');
      expect(found(knit), school).to.deep.equal([]);
    }
  });
});

describe('a piece that stands up', () => {
  const flower = makeItem('raised-piece', { width: 127 });
  it('is pinned, laid and aligned, taped, looked at, unpinned, and then stitched', () => {
    const order = ['pin-centre', 'lay-petals', 'check-centre', 'unpin'];
    const places = order.map((id) => at(flower, id));
    expect(places).to.deep.equal([...places].sort((a, b) => a - b));
    expect(at(flower, 'unpin')).to.be.below(flower.steps.indexOf(stopOf(flower, 'tack')));
  });
  it('has topping over the whole flower, at least 5 × 5 in, and only the centre’s cloth trimmed under it', () => {
    const cuts = plan(flower, setupOf(flower), shop).cuts;
    const topping = cuts.find(({ pieceId }) => pieceId === 'topping')?.cut;
    expect(Math.min(topping?.width ?? 0, topping?.height ?? 0)).to.be.at.least(127);
    const trim = opOf(flower, 'trim-middle', 'trim');
    expect([trim.pieceIds, trim.keepIds]).to.deep.equal([['middle'], ['topping', 'petals']]);
  });
});

describe('hardware and what closes', () => {
  it('is set by what the tab closes with', () => {
    const hardware = (closing: string): string[] =>
      makeItem('snap-tab', { closing }).steps.flatMap((step) =>
        step.kind === 'hand' && step.op.do === 'hardware' ? [step.op.kind] : []
      );
    expect(hardware('snap')).to.deep.equal(['snap']);
    expect(hardware('eyelet')).to.deep.equal(['eyelet', 'split-ring']);
    expect(hardware('ring')).to.deep.equal(['split-ring']);
    // The loop is a piece of its own, caught in the outline.
    expect(hardware('ribbon-loop')).to.deep.equal(['split-ring']);
    const loop = makeItem('snap-tab', { closing: 'ribbon-loop' }).pieces.find(
      ({ name }) => name === 'RIBBON LOOP'
    );
    expect([loop?.folded, loop?.use]).to.deep.equal([true, 'applique']);
  });
  it('of a bib: a label in the opening, hook-and-loop by hand in three minutes, stippling on one panel, a topstitch all round', () => {
    const front = { kind: 'towelling', name: 'Terry', colour: '#e9e2d0' };
    const bib = makeItem('turned-flat', {
      ...{
        school: 'pieced',
        closes: 'hook-and-loop',
        quilted: 'lower',
        label: 'yes',
        topstitched: 'yes',
        front
      }
    });
    expect(found(bib)).to.deep.equal([]);
    expect(at(bib, 'label')).to.be.below(at(bib, 'close'));
    // The iron comes between the two.
    expect(at(bib, 'topstitch')).to.equal(at(bib, 'close') + 2);
    const planned = plan(bib, setupOf(bib), shop);
    expect(planned.steps.find(({ id }) => id === 'fasten')?.hands.value).to.equal(180);
    const quilt = bib.lines.find(({ id }) => id === 'quilt')?.path.points ?? [];
    const join = bib.lines.find(({ id }) => id === 'join')?.path.points[0]?.[1] ?? 0;
    expect(Math.min(...quilt.map(([, y]) => y))).to.be.at.least(join);
  });
});
