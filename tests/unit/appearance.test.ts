import { defaultShop } from '$lib/core/documents/shop';
import {
  type Appearance,
  appearance,
  contrastOf,
  faceColour,
  type Side,
  sketchOf,
  threadsOnCloth
} from '$lib/core/making/appearance';
import { review, type Review } from '$lib/core/making/checks';
import { whyOf } from '$lib/core/making/why';
import { CONSTRUCTIONS } from '$lib/core/craft/constructions';
import { assemble } from '$lib/core/reading/matching';
import { angleScene } from '$lib/ui/angle/scene';
import { cautionsSaid } from '$lib/ui/steps/words';
import { box, regionArea, segment } from '$lib/core/base/geometry';
import { expect } from 'chai';

const shop = defaultShop('pictures');

function made(kind: string, answers: Record<string, unknown> = {}): Review {
  const construction = CONSTRUCTIONS.find((each) => each.kind === kind);
  const pattern = construction?.patternOf({ ...construction.defaults, ...answers });
  if (!pattern?.ok) throw new Error(`There is no ${kind}.`);
  const item = assemble(pattern.pattern, {
    id: kind,
    name: kind,
    now: '2026-01-01T00:00:00.000Z',
    construction: pattern.construction,
    params: pattern.params
  });
  return review(item, undefined, shop);
}

function lookOf({ trace, item }: Review): Appearance {
  const last = trace.at(-1)?.state;
  if (!last) throw new Error('Nothing was simulated.');
  return appearance(last, item);
}
const side = (look: Appearance, which: Side['side']): Side | undefined =>
  look.sides.find((each) => each.side === which);
const names = (look: Appearance, which: Side['side']): string[] =>
  (side(look, which)?.patches ?? []).map(({ name }) => name).sort();

describe('the picture of an item', () => {
  it('shows the lined pouch region by region: front, back and inside', () => {
    const look = lookOf(made('zip-pouch'));
    expect(names(look, 'front')).to.deep.equal(['ACCENT', 'LOWER FRONT', 'UPPER FRONT', 'ZIP']);
    expect(names(look, 'back')).to.deep.equal(['BACK']);
    expect(names(look, 'inside')).to.deep.equal(['BACK LINING', 'LOWER LINING', 'UPPER LINING']);
    expect(look.sides.flatMap(({ patches }) => patches).every(({ rightSide }) => rightSide)).to.equal(true);
    // 180 x 120 mm finished: the regions of its front fill it, and do not lie on each other.
    expect(Math.round(look.box.width)).to.equal(180);
    expect(Math.round(look.box.height)).to.equal(120);
    const filled = (side(look, 'front')?.patches ?? []).reduce(
      (sum, { region }) => sum + regionArea(region),
      0
    );
    expect(filled).to.be.within(0.98 * 180 * 120, 1.001 * 180 * 120);
    expect(side(look, 'front')?.patches.find(({ name }) => name === 'ZIP')?.teeth).to.not.equal(null);
  });
  it('shows batting on no face', () => {
    for (const kind of ['zip-pouch', 'pot-holder', 'layered-mat', 'topper', 'quilted-coaster'])
      for (const { patches } of lookOf(made(kind)).sides)
        expect(patches.map(({ kind: material }) => material)).to.not.include('batting');
  });
  it('shows the towel behind and beside its topper', () => {
    const look = lookOf(made('topper'));
    expect(names(look, 'front')).to.deep.equal(['FRONT', 'TOWEL']);
    expect(names(look, 'back')).to.deep.equal(['BACK', 'TOWEL']);
  });
  it('shows lace by its threads alone, with nothing behind', () => {
    const front = side(lookOf(made('lace')), 'front');
    expect(front?.patches).to.deep.equal([]);
    expect(front?.threads.map(({ weave }) => weave)).to.include('net');
  });
  it('draws a satin edge 4 mm wide over every edge, and seams inside not at all', () => {
    const mat = side(lookOf(made('layered-mat')), 'front');
    expect(mat?.threads.find(({ weave, width }) => weave === 'satin' && width === 4)?.on).to.equal(null);
    const pouch = side(lookOf(made('zip-pouch')), 'front');
    expect(pouch?.threads.every(({ weave }) => weave === 'line')).to.equal(true);
  });
  it('fills an area that several stops stitch with all their threads, once', () => {
    const filled =
      lookOf(made('border-patch')).sides[0]?.threads.filter(({ weave }) => weave === 'filled') ?? [];
    expect(filled).to.have.length(1);
  });
  it('shows the face that would show where a piece is laid the wrong way up', () => {
    const { item } = made('turned-flat');
    const wrong = {
      ...item,
      steps: item.steps.map((step) =>
        step.kind === 'hand' && step.op.do === 'lay' && step.op.face === 'down'
          ? { ...step, op: { ...step.op, face: 'up' as const } }
          : step
      )
    };
    const back = side(lookOf(review(wrong, undefined, shop)), 'back');
    expect(back?.patches.find(({ name }) => name === 'BACK')?.rightSide).to.equal(false);
  });
  it('is kept small: its front, with no more corners than a card shows', () => {
    for (const kind of ['patch', 'batch-patch', 'zip-pouch', 'split-design']) {
      const look = lookOf(made(kind));
      const sketch = sketchOf(look);
      expect(sketch.sides.map((each) => each.side)).to.deep.equal(['front']);
      expect(JSON.stringify(sketch).length).to.be.below(12_000);
    }
  });
});

describe('why a step is so', () => {
  it('is told for every lay of every construction, and names what makes it right', () => {
    for (const construction of CONSTRUCTIONS) {
      if (construction.kind === 'own') continue;
      const { item, trace } = made(construction.kind);
      for (const step of item.steps) {
        if (step.kind !== 'hand' || step.op.do !== 'lay') continue;
        const why = whyOf(item, trace, step.id);
        expect(why, `${construction.kind} ${step.id}`).to.be.a('string');
        const flip = item.steps.find(
          (each) =>
            each.kind === 'hand' &&
            each.op.do === 'flip' &&
            'pieceId' in step.op &&
            each.op.pieceId === step.op.pieceId
        );
        if (flip) expect(why).to.match(/flip/);
      }
    }
  });
  const whyNamed = (kind: string, pieceName: string): string | null => {
    const { item, trace } = made(kind);
    const piece = item.pieces.find(({ name }) => name === pieceName);
    const step = item.steps.find(
      (each) => each.kind === 'hand' && each.op.do === 'lay' && each.op.pieceId === piece?.id
    );
    return step ? whyOf(item, trace, step.id) : null;
  };
  it('of a panel at a zip is the flip that turns it, and where it ends', () => {
    expect(whyNamed('zip-pouch', 'UPPER FRONT')).to.equal(
      'Face down: the flip at the upper zip seam brings its right side up; it ends in front.'
    );
  });
  it('of a lining is the side of the hoop on which it lies', () => {
    expect(whyNamed('zip-pouch', 'LOWER LINING')).to.equal(
      'Its right side is towards you while the hoop is turned over; it ends inside.'
    );
  });
  it('of an open zip is what is turned through it', () => {
    const { item, trace } = made('zip-pouch');
    const open = item.steps.find((step) => step.kind === 'hand' && step.op.do === 'zip');
    expect(whyOf(item, trace, open?.id ?? '')).to.include('after BACK is on, the work is turned through it');
  });
  it('of a trim is the edge that a later stop sews over that very piece', () => {
    let told = 0;
    for (const construction of CONSTRUCTIONS) {
      if (construction.kind === 'own') continue;
      const { item, trace } = made(construction.kind);
      for (const step of item.steps) {
        if (step.kind !== 'hand' || step.op.do !== 'trim') continue;
        const number = /stop (\d+) sews/.exec(whyOf(item, trace, step.id) ?? '')?.[1];
        if (number === undefined) continue;
        told++;
        const { pieceIds } = step.op;
        // Files count anew and stops run again, so several may bear the number: one of them is the edge over this piece.
        const stops = item.files
          .flatMap((file) => file.stops)
          .filter((stop) => String(stop.number) === number && /edge/.test(stop.role))
          .map(({ id }) => id);
        const joined = (trace.at(-1)?.state.seams ?? [])
          .filter(({ stopId }) => stopId !== null && stops.includes(stopId))
          .flatMap(({ layers }) => layers);
        expect(
          pieceIds.some((id) => joined.includes(id)),
          `${construction.kind} ${step.id}`
        ).to.equal(true);
      }
    }
    expect(told).to.be.above(5);
  });
  it('of turning the hoop is what goes on the back, and that the needle comes from above', () => {
    const { item, trace } = made('snap-tab');
    const turns = item.steps.filter((step) => step.kind === 'hand' && step.op.do === 'turn-over');
    expect(turns.map(({ id }) => whyOf(item, trace, id))).to.deep.equal([
      'BACK goes on the back: turned over, you see where.',
      'The machine stitches from above only, so the right way up again.'
    ]);
  });
  it('of a seam inside is its strength, of a line to lay by nothing but the place', () => {
    const { item, trace } = made('zip-pouch');
    const whyStop = (stopId: string): string | null => {
      const step = item.steps.find((each) => each.kind === 'stop' && each.stopId === stopId);
      return step ? whyOf(item, trace, step.id) : null;
    };
    expect(whyStop('stop-16')).to.equal('It ends inside: only its strength counts.');
    expect(whyStop('stop-1')).to.equal('It only shows where the next piece goes, so any thread will do.');
    expect(whyStop('stop-6')).to.equal('Its thread is seen in front.');
  });
  it('says nothing of a wrong side that shows: that is a finding', () => {
    const { item } = made('turned-flat');
    const at = item.steps.findIndex(
      (step) => step.kind === 'hand' && step.op.do === 'lay' && step.op.face === 'down'
    );
    const step = item.steps[at];
    if (step?.kind !== 'hand' || step.op.do !== 'lay') throw new Error('No back is laid.');
    const wrong = { ...item, steps: item.steps.with(at, { ...step, op: { ...step.op, face: 'up' } }) };
    expect(whyOf(wrong, review(wrong, undefined, shop).trace, step.id)).to.equal(null);
  });
});

describe('thread on cloth', () => {
  it('is told as the eye tells it: from hardly seen to strong', () => {
    // Red on the same red; brass on red; black on white.
    expect(contrastOf('#8d2f35', '#8d2f35')).to.equal('hardly seen');
    expect(contrastOf('#93343a', '#8d2f35')).to.equal('hardly seen');
    expect(contrastOf('#a8484e', '#8d2f35')).to.equal('soft');
    expect(contrastOf('#b0873a', '#8d2f35')).to.match(/clear|strong/);
    expect(contrastOf('#111111', '#ffffff')).to.equal('strong');
  });
  it('is told for each cloth that a thread goes across', () => {
    // Two cloths of 50 x 40 mm side by side; a cream line across both.
    const patch = (name: string, colour: string, left: number): Side['patches'][number] => ({
      pieceId: name,
      name,
      kind: 'woven',
      colour,
      rightSide: true,
      region: [box(left, 0, left + 50, 40).points],
      teeth: null,
      folds: []
    });
    const look: Appearance = {
      box: { minX: 0, minY: 0, maxX: 100, maxY: 40, width: 100, height: 40 },
      sides: [
        {
          side: 'front',
          patches: [patch('RED', '#8d2f35', 0), patch('CREAM', '#eee0c0', 50)],
          threads: [
            {
              stepId: 'quilt',
              colours: ['#efe2c4'],
              weave: 'line',
              width: 0.7,
              on: 'RED',
              paths: [segment(5, 20, 95, 20)]
            }
          ]
        }
      ]
    };
    expect(threadsOnCloth(look)).to.deep.equal([
      {
        stepId: 'quilt',
        side: 'front',
        cloths: [
          { name: 'RED', contrast: 'strong' },
          { name: 'CREAM', contrast: 'hardly seen' }
        ]
      }
    ]);
  });
  it('stands against the paler wrong side where that is out', () => {
    expect(faceColour('#8d2f35', true)).to.equal('#8d2f35');
    // 45 % red and 55 % calico.
    expect(faceColour('#8d2f35', false)).to.equal('#c39590');
  });
});

describe('the layers at an angle', () => {
  const { item, trace, plan } = made('zip-pouch');
  const at = (title: string) => {
    const id = plan.steps.find((step) => step.title.startsWith(title))?.itemStepId;
    const step = trace.find(({ stepId }) => stepId === id);
    if (!step) throw new Error(`Nothing is called ${title}.`);
    return angleScene(item, step, plan.hoop.ring, 300);
  };
  it('stand apart, the nearest to the maker on top, each with room for two lines of words', () => {
    const { layers } = at('Lay BACK,');
    expect(layers.at(-1)?.name).to.equal('BACK');
    expect(layers[0]?.name).to.equal('UPPER LINING');
    layers.slice(1).forEach(({ y }, nth) => expect((layers[nth]?.y ?? 0) - y).to.be.closeTo(46, 0.01));
  });
  it('turn over with the hoop: what lay underneath is nearest, with its other side up', () => {
    const { layers } = at('Lay UPPER LINING');
    const top = layers.at(-1);
    expect([top?.name, top?.rightSide]).to.deep.equal(['UPPER LINING', true]);
    expect(layers.find(({ name }) => name === 'UPPER FRONT')?.rightSide).to.equal(false);
  });
  it('stay inside the drawing, ring and all', () => {
    for (const { stepId } of trace) {
      const step = trace.find((each) => each.stepId === stepId);
      const scene = step && angleScene(item, step, plan.hoop.ring, 300);
      for (const { shape } of scene?.layers ?? [])
        for (const [, x, y] of shape.matchAll(/(-?[\d.]+) (-?[\d.]+)/g)) {
          expect(Number(x)).to.be.within(0, 300);
          expect(Number(y)).to.be.within(0, scene?.height ?? 0);
        }
    }
  });
});

describe('cautions', () => {
  it('are said once for a kind of work', () => {
    const step = (id: string, caution: string) => ({ id, caution });
    expect([
      ...cautionsSaid([
        step('1', 'hot'),
        step('2', 'hot'),
        step('3', 'sharp'),
        step('4', ''),
        step('5', 'hot')
      ])
    ]).to.deep.equal(['1', '3']);
  });
});
