import {
  contains,
  difference,
  intersection,
  mirroredAcross,
  type Point,
  pointsAlong,
  rectangleRegion,
  regionArea,
  regionOf,
  shapePath,
  splitAlong
} from '$lib/core/base/geometry';
import type { HandStep, Item, Operation, Piece, Step } from '$lib/core/documents/item';
import { plan } from '$lib/core/making/plan';
import { cutSizes, type Layer, outside, simulate, type StackStep } from '$lib/core/craft/stack';
import type { CutSizes } from '$lib/core/craft/stack/layer';
import { expect } from 'chai';
import fc from 'fast-check';
import { BADGER_CHART, badgerShop, badgerTab, makeItem } from './support/badger';

const sizesOf = (item: Item): CutSizes => cutSizes(plan(item, undefined, badgerShop()).cuts);
const run = (item: Item): StackStep[] => simulate(item, sizesOf(item));
const at = (trace: StackStep[], stepId: string): StackStep => {
  const found = trace.find((step) => step.stepId === stepId);
  if (!found) throw new Error(`no step ${stepId}`);
  return found;
};
const names = (trace: StackStep[], stepId: string): string[] =>
  at(trace, stepId).state.layers.map(({ name }) => name);
const last = (trace: StackStep[]): StackStep => at(trace, trace.at(-1)?.stepId ?? '');

describe('regions', () => {
  const square = rectangleRegion([0, 0], 10, 10);
  it('have the areas worked out by hand, holes left out', () => {
    expect(regionArea(square)).to.equal(100);
    expect(regionArea(regionOf(shapePath('rectangle', 30, 94)))).to.equal(2820);
    const ring = difference(square, rectangleRegion([0, 0], 4, 5));
    expect(regionArea(ring)).to.equal(80);
    expect(regionArea(intersection(square, rectangleRegion([4, 0], 4, 4)))).to.equal(3 * 4);
    expect([contains(ring, [0, 0]), contains(ring, [4, 4]), contains(ring, [9, 0])]).to.deep.equal([
      false,
      true,
      false
    ]);
  });
  it('part along a line into two that make the whole', () => {
    const [left, right] = splitAlong(square, [-5, 2], [5, 2]);
    expect([regionArea(left), regionArea(right)].sort((a, b) => a - b)).to.deep.equal([30, 70]);
  });
  it('are themselves again when mirrored twice across the same line', () => {
    const coordinate = fc.integer({ min: -60, max: 60 });
    const point = fc.tuple(coordinate, coordinate);
    fc.assert(
      fc.property(point, point, fc.integer({ min: 5, max: 80 }), (from, to, side) => {
        fc.pre(Math.hypot(from[0] - to[0], from[1] - to[1]) > 5);
        const region = rectangleRegion([3, -4], side, 20);
        const twice = mirroredAcross(mirroredAcross(region, from, to), from, to);
        region[0]?.forEach(([x, y], corner) => {
          const [x2, y2] = twice[0]?.[corner] ?? [NaN, NaN];
          expect(Math.hypot(x - x2, y - y2)).to.be.below(0.01);
        });
        expect(regionArea(twice)).to.be.closeTo(regionArea(region), 0.5);
      })
    );
  });
  it('have points along a path no further apart than asked, all corners among them', () => {
    const points = pointsAlong(shapePath('rectangle', 30, 94), 1);
    expect(points).to.have.length(248 + 1);
    expect(points).to.deep.include.members([[-15, -47] satisfies Point, [15, 47] satisfies Point]);
  });
});

describe('the stack of the snap tab', () => {
  const trace = run(badgerTab());

  it('grows as hands lay: the backing goes underneath', () => {
    expect(names(trace, 'hoop')).to.deep.equal(['STABILISER']);
    expect(names(trace, 'lay-front')).to.deep.equal(['STABILISER', 'FRONT']);
    expect(names(trace, 'lay-back')).to.deep.equal(['BACK', 'STABILISER', 'FRONT']);
    expect(trace.map(({ problem }) => problem).filter((problem) => problem !== null)).to.deep.equal([]);
  });
  it('knows which layers each stop joins', () => {
    const joined = last(trace).state.seams.map(({ stopId, layers }) => `${stopId}: ${layers.join(' ')}`);
    expect(joined).to.deep.equal([
      'stop-1: stabiliser',
      'stop-2: stabiliser front',
      'stop-3: stabiliser front',
      'stop-4: stabiliser front',
      'stop-5: stabiliser front',
      'stop-6: back stabiliser front'
    ]);
    expect(last(trace).state.seams.map(({ assumed }) => assumed)).to.deep.equal([
      false,
      false,
      false,
      false,
      false,
      false
    ]);
  });
  it('says what holds a piece: tape, then stitches, then stitches alone', () => {
    const holds = (stepId: string): string[] =>
      at(trace, stepId).state.layers.find(({ pieceId }) => pieceId === 'back')?.holds ?? [];
    expect(holds('lay-back')).to.deep.equal(['tape']);
    expect(holds('stop-6')).to.deep.equal(['tape', 'stitched']);
    expect(holds('untape')).to.deep.equal(['stitched']);
  });
  it('ends as front right side out, back right side out, nothing between, cut to size', () => {
    const { front, back, hidden } = outside(last(trace).state, badgerTab());
    expect(
      [front, back].map((face) => face.map(({ layer, rightSide }) => [layer.name, rightSide]))
    ).to.deep.equal([[['FRONT', true]], [['BACK', true]]]);
    expect(hidden).to.deep.equal([]);
    // 36 × 100 mm with round ends: 64 × 36 and a circle of 18 mm radius.
    expect(front[0]?.area).to.be.closeTo(64 * 36 + 324 * Math.PI, 3);
  });
  it('shows the wrong side when the backing is laid the other way up', () => {
    const tab = badgerTab();
    const wrong = withOp(tab, 'lay-back', (op) => ({ ...op, face: 'up' }) as Operation);
    expect(outside(last(run(wrong)).state, wrong).back.map(({ rightSide }) => rightSide)).to.deep.equal([
      false
    ]);
  });
});

/** The item with one hand step’s operation changed. */
function withOp(item: Item, stepId: string, change: (op: Operation) => Operation): Item {
  return {
    ...item,
    steps: item.steps.map((step): Step =>
      step.id === stepId && step.kind === 'hand' ? { ...step, op: change(step.op) } : step
    )
  };
}

/** The badger tab with hand steps in place of its own, and a straight line to fold at. */
function withSteps(...ops: (Operation | 'stop-1' | 'seam')[]): Item {
  const tab = badgerTab();
  const common = { hoopingId: 'hooping-1', needs: [], note: '' };
  const fold = {
    id: 'fold',
    name: 'Fold',
    frame: 'hooping-1',
    path: { closed: false, points: [[-40, 40] satisfies Point, [40, 40] satisfies Point] },
    gaps: []
  };
  const [first, ...stops] = tab.files[0]?.stops ?? [];
  if (!first) throw new Error('the tab has no stop');
  const seam = { ...first, id: 'seam', number: 9, lineIds: ['fold'] };
  return {
    ...tab,
    lines: [...tab.lines, fold],
    files: tab.files.map((file) => ({ ...file, stops: [first, ...stops, seam] })),
    steps: ops.map((op, index): Step => {
      const id = `s${index}`;
      return typeof op === 'string'
        ? { ...common, kind: 'stop', id, stopId: op, pass: 1 }
        : ({ ...common, kind: 'hand', id, op } satisfies HandStep);
    })
  };
}

const HOOP: Operation = { do: 'hoop', pieceIds: ['stabiliser'], sticky: false };
const ON: Operation = { do: 'hoop-on' };
const layFront = (face: 'up' | 'down' = 'down'): Operation => ({
  do: 'lay',
  pieceId: 'front',
  side: 'above',
  face,
  covers: 'outline',
  over: 12,
  hold: { by: 'nothing' }
});
const FLIP: Operation = { do: 'flip', pieceId: 'front', lineId: 'fold' };
const frontOf = (trace: StackStep[]): Layer => {
  const layer = last(trace).state.layers.find(({ pieceId }) => pieceId === 'front');
  if (!layer) throw new Error('FRONT is gone');
  return layer;
};

describe('the stack: hand steps by themselves', () => {
  it('a flip mirrors the cloth beyond the seam and shows its other face; the allowance stays', () => {
    const flipped = frontOf(run(withSteps(HOOP, ON, layFront(), 'seam', FLIP)));
    // FRONT is 55 × 120 about the middle, sewn at y = 40: 100 mm go over, 20 mm stay.
    expect(flipped.face).to.equal('up');
    expect(regionArea(flipped.outline)).to.be.closeTo(55 * 100, 0.1);
    expect(regionArea(flipped.allowance)).to.be.closeTo(55 * 20, 0.1);
    expect(Math.max(...flipped.outline.flat().map(([, y]) => y))).to.be.closeTo(140, 0.01);
  });
  it('a flip twice is none: face and cloth are as they were laid', () => {
    const once = frontOf(run(withSteps(HOOP, ON, layFront(), 'seam')));
    const twice = frontOf(run(withSteps(HOOP, ON, layFront(), 'seam', FLIP, FLIP)));
    expect(twice.face).to.equal(once.face);
    expect(twice.folds).to.deep.equal([]);
    const all = [...twice.outline, ...twice.allowance];
    expect(regionArea(all)).to.be.closeTo(regionArea(once.outline), 0.1);
    expect(regionArea(difference(all, once.outline))).to.be.closeTo(0, 0.1);
  });
  it('a flip with no seam, or with one elsewhere, is marked and changes nothing', () => {
    expect(last(run(withSteps(HOOP, ON, layFront(), FLIP))).problem).to.match(/No seam holds FRONT/);
    expect(last(run(withSteps(HOOP, ON, layFront(), 'seam', 'stop-1', FLIP))).problem).to.match(
      /away from the fold/
    );
    expect(
      last(run(withSteps(HOOP, ON, layFront(), 'stop-1', { ...FLIP, lineId: 'outline' }))).problem
    ).to.match(/straight seam/);
    expect(last(run(withSteps(HOOP, FLIP))).problem).to.match(/not in the hoop/);
  });
  it('trimming outside keeps what lies inside the line, trimming inside makes a hole', () => {
    const trim = (side: 'outside' | 'inside', margin: number): Operation => ({
      do: 'trim',
      pieceIds: ['front'],
      lineId: 'outline',
      side,
      margin
    });
    const tabArea = 64 * 30 + 225 * Math.PI;
    expect(regionArea(frontOf(run(withSteps(HOOP, layFront(), trim('outside', 0)))).outline)).to.be.closeTo(
      tabArea,
      2
    );
    const holed = frontOf(run(withSteps(HOOP, layFront(), trim('inside', 0)))).outline;
    expect(regionArea(holed)).to.be.closeTo(55 * 120 - tabArea, 2);
    expect(contains(holed, [0, 0])).to.equal(false);
  });
  it('a trim of a layer that is gone, a second laying, and stitching on nothing are marked', () => {
    const trimBack: Operation = {
      do: 'trim',
      pieceIds: ['back'],
      lineId: 'outline',
      side: 'outside',
      margin: 0
    };
    expect(last(run(withSteps(HOOP, trimBack))).problem).to.equal(
      'BACK is not in the hoop, so it cannot be cut.'
    );
    expect(last(run(withSteps(HOOP, layFront(), layFront()))).problem).to.match(/lies in the hoop already/);
    expect(last(run(withSteps('stop-1'))).problem).to.match(/Nothing is hooped/);
    expect(last(run(withSteps(HOOP, 'stop-1'))).problem).to.match(/not on the machine/);
  });
  it('tearing takes tear-away off, rinsing does not', () => {
    const left = (op: Operation): string[] =>
      last(run(withSteps(HOOP, layFront(), op))).state.layers.map(({ name }) => name);
    expect(left({ do: 'tear-away' })).to.deep.equal(['FRONT']);
    expect(left({ do: 'rinse' })).to.deep.equal(['STABILISER', 'FRONT']);
  });
  it('a new hooping sets the work of the last one aside', () => {
    const trace = run(withSteps(HOOP, layFront(), { do: 'unhoop' }, HOOP));
    expect(last(trace).state.layers.map(({ name }) => name)).to.deep.equal(['STABILISER']);
    expect(last(trace).state.aside.map(({ name }) => name)).to.deep.equal(['STABILISER', 'FRONT']);
  });
});

describe('the stack of every construction', () => {
  const made: [what: string, item: Item][] = [
    ['snap tab from a chart', badgerTab()],
    ['snap tab with an eyelet', makeItem('snap-tab', { closing: 'eyelet', shape: 'oval', width: 60 })],
    ['patch sewn on', makeItem('patch')],
    [
      'patch ironed on canvas',
      makeItem('patch', { finish: 'iron-on', ground: { kind: 'canvas', name: 'Canvas', colour: '#31405c' } })
    ],
    ['tab whose chart lacks the tack-down', makeItem('snap-tab', {}, BADGER_CHART.replace(/2 tack.*\n/, ''))]
  ];
  for (const [what, item] of made) {
    it(`${what}: no step is impossible`, () => {
      expect(
        run(item).flatMap(({ stepId, problem }) => (problem === null ? [] : [`${stepId}: ${problem}`]))
      ).to.deep.equal([]);
    });
  }
  it('an iron-on patch ends with its adhesive behind, cut with it', () => {
    const item = made[3]?.[1] as Item;
    const { front, back } = outside(last(run(item)).state, item);
    expect([front[0]?.layer.name, back[0]?.layer.name]).to.deep.equal(['GROUND', 'ADHESIVE']);
    expect(back[0]?.area).to.be.closeTo(41 * 41 * Math.PI, 5);
  });

  const tab = badgerTab();
  const pieceOf = (id: string): Piece | undefined => tab.pieces.find((piece) => piece.id === id);
  it('cutting never adds cloth, in whatever order the steps stand', () => {
    fc.assert(
      fc.property(fc.shuffledSubarray(tab.steps), (steps) => {
        const sizes = sizesOf(tab);
        for (const { state } of simulate({ ...tab, steps }, sizes)) {
          for (const layer of state.layers) {
            const size = sizes.get(layer.pieceId);
            expect(pieceOf(layer.pieceId)).to.not.equal(undefined);
            expect(regionArea(layer.outline)).to.be.at.most((size?.width ?? 0) * (size?.height ?? 0) + 0.01);
          }
        }
      }),
      { numRuns: 60 }
    );
  });
  it('steps that do not touch each other may change places without changing the end', () => {
    const without = tab.steps.filter(({ id }) => !['snip-back', 'stop-4'].includes(id));
    const snip = tab.steps.find(({ id }) => id === 'snip-back') as Step;
    const cheeks = tab.steps.find(({ id }) => id === 'stop-4') as Step;
    const place = without.findIndex(({ id }) => id === 'stop-3');
    const swapped = [...without.slice(0, place), cheeks, ...without.slice(place), snip];
    const cloth = (item: Item): unknown => last(run(item)).state.layers;
    expect(cloth({ ...tab, steps: swapped })).to.deep.equal(cloth(tab));
  });
});
