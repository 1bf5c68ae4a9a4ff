import { plan } from '$lib/core/making/plan';
import { cutSizes, simulate } from '$lib/core/craft/stack';
import { hoopScene } from '$lib/ui/hoop/scene';
import { ribbonSteps, type RibbonStep } from '$lib/core/making/summary';
import { layoutRibbon, ribbonSeconds } from '$lib/ui/ribbon/layout';
import { stackScene, type StackScene } from '$lib/ui/stack/scene';
import { expect } from 'chai';
import fc from 'fast-check';
import { badgerShop, badgerTab, makeItem } from './support/badger';

const tab = badgerTab();
const planned = plan(tab, undefined, badgerShop());

describe('the ribbon', () => {
  const band = ribbonSteps(planned.steps);
  const anyStep = fc.record<RibbonStep>({
    id: fc.uuid(),
    kind: fc.constantFrom('needle', 'hands'),
    seconds: fc.integer({ min: 0, max: 4000 }),
    label: fc.constant('1'),
    colour: fc.constant(null),
    protected: fc.constant(false),
    mark: fc.constant(null),
    words: fc.constant('')
  });

  it('is as long as the band and true to time', () => {
    const parts = layoutRibbon(band, 1128);
    const last = parts.at(-1);
    expect(last && last.x + last.width).to.be.closeTo(1128, 0.1);
    const widthOf = (id: string): number => parts.find((part) => part.id === id)?.width ?? 0;
    expect(widthOf('stop-3') / widthOf('stop-6')).to.be.closeTo(229 / 67, 0.001);
    expect(widthOf('stop-3') / widthOf('lay-front')).to.be.closeTo(229 / 62, 0.001);
  });
  it('puts a number above a stop too short to hold it', () => {
    const parts = layoutRibbon(band, 1128);
    expect(parts.filter(({ labelRow }) => labelRow !== null).map(({ label }) => label)).to.deep.equal([
      '1',
      '2',
      '4'
    ]);
  });
  it('tears waiting off at a fixed width, so that drying overnight leaves the rest readable', () => {
    const patch = plan(
      makeItem('patch', { ground: { kind: 'woven', name: 'Cotton', colour: '#31405c' } }),
      undefined,
      badgerShop()
    );
    const steps = ribbonSteps(patch.steps);
    expect(ribbonSeconds(steps)).to.be.closeTo(patch.totals.hands.value + patch.totals.needle.value, 1e-6);
    expect(layoutRibbon(steps, 1000).find(({ kind }) => kind === 'waiting')?.width).to.equal(58);
  });
  it('draws two runs on one scale when told the longer time', () => {
    const half = layoutRibbon(band, 1000, 2 * ribbonSeconds(band)).at(-1);
    expect(half && half.x + half.width).to.be.closeTo(500, 12);
  });
  it('never overlaps, never hides a step, never runs over', () => {
    fc.assert(
      fc.property(fc.array(anyStep, { minLength: 1, maxLength: 40 }), (steps) => {
        const parts = layoutRibbon(steps, 1000);
        parts.forEach((part, at) => {
          expect(part.width).to.be.at.least(3);
          const next = parts[at + 1];
          if (next) expect(next.x).to.be.closeTo(part.x + part.width, 1e-6);
        });
        const last = parts.at(-1);
        expect(last && last.x + last.width).to.be.at.most(1000.1);
      })
    );
  });
});

describe('the hoop drawing', () => {
  const trace = simulate(tab, cutSizes(planned.cuts));
  const sceneAt = (id: string): ReturnType<typeof hoopScene> => {
    const step = planned.steps.find((candidate) => candidate.id === id);
    if (!step) throw new Error(id);
    return hoopScene(tab, planned, step, trace);
  };
  it('shows the piece to lay at its cut size over the line it must cover, and where tape goes', () => {
    const scene = sceneAt('lay-front');
    expect(scene.cloths.map((cloth) => ({ ...cloth, rings: undefined }))).to.deep.equal([
      {
        name: 'FRONT',
        colour: '#3d4a66',
        x: -27.5,
        y: -60,
        width: 55,
        height: 120,
        now: true,
        rings: undefined
      }
    ]);
    expect(scene.over?.mm).to.equal(12);
    expect(scene.tape).to.have.length(4);
  });
  it('shows the side that faces the maker: the front is away when the hoop is turned over', () => {
    expect(sceneAt('lay-back').cloths.map(({ name }) => name)).to.deep.equal(['BACK']);
    expect(sceneAt('stop-6').cloths.map(({ name }) => name)).to.deep.equal(['FRONT']);
  });
  it('shows what a stop stitches, and what was stitched before', () => {
    expect(sceneAt('stop-2').active).to.have.length(1);
    expect(sceneAt('stop-2').stitched).to.have.length(1);
    expect(sceneAt('hoop').active).to.have.length(0);
  });
});

describe('the stack drawing', () => {
  const trace = simulate(tab, cutSizes(planned.cuts));
  const sideAt = (id: string): StackScene => {
    const step = trace.find(({ stepId }) => stepId === id);
    if (!step) throw new Error(id);
    return stackScene(tab, step, planned.hoop.ring.width);
  };
  const rows = (id: string): string[] =>
    sideAt(id).rows.map(({ name, words, ticks }) => `${name}: ${words}; ${ticks}`);

  it('lists what is nearest to the maker first, turned over or not', () => {
    expect(rows('lay-front')).to.deep.equal([
      'FRONT: right side to you, taped; near',
      'STABILISER: hooped; null'
    ]);
    expect(rows('lay-back')).to.deep.equal([
      'BACK: right side to you, taped; near',
      'STABILISER: hooped, stitched; null',
      'FRONT: right side away, taped, stitched; far'
    ]);
    expect(rows('turn-over-4')[0]).to.equal('FRONT: right side to you, taped, stitched; near');
  });
  it('emphasises what the step changed, and draws tape and ring where they are', () => {
    const { rows: all } = sideAt('lay-back');
    expect(all.map(({ now }) => now)).to.deep.equal([true, false, false]);
    expect(all.map(({ hooped }) => hooped)).to.deep.equal([false, true, false]);
    expect(all.map(({ taped }) => taped)).to.deep.equal([true, false, true]);
    expect([all[0]?.left, all[0]?.right]).to.deep.equal([-35, 35]);
  });
  it('draws stitching through every layer it joins, stops on one path together', () => {
    const marks = sideAt('stop-6').seams;
    expect(marks.map(({ x, from, to, numbers, now }) => [x, from, to, numbers, now])).to.deep.equal([
      [-15, 0, 2, '1, 2, 6', true],
      [15, 0, 2, '1, 2, 6', true],
      // The field of the details, and the hole marks in the middle, which the outline’s row holds too.
      [-11, 0, 1, '3, 4, 5', false],
      [11, 0, 1, '3, 4, 5', false],
      [0, 0, 2, '6', true]
    ]);
    expect(sideAt('stop-1').seams[0]).to.include({ from: 0, to: 0 });
  });
  it('says what one sees in the end, once the work is out of the hoop', () => {
    expect(sideAt('inspect').ends).to.deep.equal([]);
    expect(sideAt('hardware').ends).to.deep.equal([
      { label: 'In front', text: 'FRONT, right side' },
      { label: 'Behind', text: 'BACK, right side' },
      { label: 'Thread in front', text: 'stops 2, 3, 4, 5, 6' },
      { label: 'Thread behind', text: 'stops 6' }
    ]);
  });
});
