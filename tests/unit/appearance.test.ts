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
import { angleScene } from '$lib/ui/angle/scene';
import { cautionsSaid } from '$lib/ui/steps/words';
import { box, regionArea, segment } from '$lib/core/base/geometry';
import { expect } from 'chai';
import { made } from './support/made';

const shop = defaultShop('pictures');

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
          ],
          art: [],
          fittings: []
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
