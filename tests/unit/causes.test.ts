import { expect } from 'chai';
import { defaultShop } from '$lib/core/documents/shop';
import { editStep, type Item, removeStep } from '$lib/core/documents/item';
import { review } from '$lib/core/making/checks';
import {
  answeredCauses,
  causesOf,
  factsOf,
  nextQuestion,
  saidOfLastTime,
  type Symptom,
  SYMPTOMS
} from '$lib/core/running/causes';
import { RULES } from '$lib/core/running/causes/rules';
import { made } from './support/made';

const shop = defaultShop('trouble');

function facts(item: Item, run: Parameters<typeof factsOf>[4] = null, machine = shop.machines[0]) {
  const { plan, checked } = review(item, undefined, shop);
  return factsOf(item, plan, machine, checked.open, run);
}
const ranked = (
  symptom: Symptom,
  item: Item,
  ...more: [Parameters<typeof factsOf>[4]?, (typeof shop.machines)[number]?]
): string[] => causesOf(symptom, facts(item, ...more)).map(({ rule }) => rule.id);
const without = (item: Item, kind: string): Item =>
  item.steps
    .filter((step) => step.kind === 'hand' && step.op.do === kind)
    .reduce((now, { id }) => removeStep(now, id), item);
const heavy = (item: Item): Item => ({
  ...item,
  pieces: item.pieces.map((piece) => ({ ...piece, plies: 1 })),
  files: item.files.map((file) => ({
    ...file,
    stops: file.stops.map((stop) => ({
      ...stop,
      phases: stop.phases.map((phase) => ({ ...phase, stitches: phase.stitches * 4 }))
    }))
  }))
});
const narrow = (item: Item, width: number): Item => ({
  ...item,
  files: item.files.map((file) => ({
    ...file,
    stops: file.stops.map((stop) => ({
      ...stop,
      phases: stop.phases.map((phase) => (phase.width === undefined ? phase : { ...phase, width }))
    }))
  }))
});
const ofKind = (item: Item, kind: 'knit' | 'vinyl' | 'towelling'): Item => ({
  ...item,
  pieces: item.pieces.map((piece) =>
    piece.shows === 'front' ? { ...piece, material: { ...piece.material, kind } } : piece
  )
});
const faceTurned = (item: Item): Item => {
  const lay = item.steps.find(
    (step) =>
      step.kind === 'hand' &&
      step.op.do === 'lay' &&
      item.pieces.find(({ id }) => 'pieceId' in step.op && id === step.op.pieceId)?.shows === 'front'
  );
  return lay?.kind === 'hand' && lay.op.do === 'lay'
    ? editStep(item, lay.id, { op: { ...lay.op, face: lay.op.face === 'up' ? 'down' : 'up' } })
    : item;
};
const metal = (item: Item): Item => ({
  ...item,
  threads: item.threads.map((thread) => ({ ...thread, name: 'Metallic gold' }))
});
const item = (kind: string): Item => made(kind).item;
const fast = { ...(shop.machines[0] as (typeof shop.machines)[number]), setSpm: 1000 };

describe('what went wrong', () => {
  // Each cause is planted in an item that had it right; it must come first or second of its symptom.
  const PLANTED: [symptom: Symptom, cause: string, ids: () => string[]][] = [
    ['puckers', 'too-little-stabiliser', () => ranked('puckers', heavy(item('patch')))],
    ['puckers', 'too-little-stabiliser', () => ranked('puckers', heavy(item('layered-mat')))],
    ['gap', 'too-little-stabiliser', () => ranked('gap', heavy(item('border-patch')))],
    ['gap', 'satin-too-narrow', () => ranked('gap', narrow(item('layered-mat'), 1.2))],
    ['raw-edge', 'satin-too-narrow', () => ranked('raw-edge', narrow(item('patch'), 1.2))],
    ['raw-edge', 'trim-left-out', () => ranked('raw-edge', without(item('layered-mat'), 'trim'))],
    ['sunk', 'no-topping', () => ranked('sunk', ofKind(without(item('patch'), 'topping-on'), 'towelling'))],
    ['sunk', 'thin-letters', () => ranked('sunk', item('pile-patch'))],
    ['wrong-side', 'face-wrong', () => ranked('wrong-side', faceTurned(item('turned-flat')))],
    ['wrong-side', 'face-wrong', () => ranked('wrong-side', faceTurned(item('zip-pouch')))],
    ['lumpy', 'not-clipped', () => ranked('lumpy', without(item('turned-flat'), 'clip'))],
    ['holes', 'unpicked-vinyl', () => ranked('holes', ofKind(item('snap-tab'), 'vinyl'))],
    ['shiny', 'ironed-vinyl', () => ranked('shiny', ofKind(item('turned-flat'), 'vinyl'))],
    ['skipped', 'blunt-needle', () => ranked('skipped', item('patch'), { faults: 0, needleHours: 11 })],
    ['shredding', 'blunt-needle', () => ranked('shredding', item('patch'), { faults: 2, needleHours: 11 })],
    ['shredding', 'too-fast', () => ranked('shredding', metal(item('patch')), null, fast)],
    [
      'loops-on-top',
      'upper-tension',
      () => ranked('loops-on-top', item('patch'), { faults: 3, needleHours: 1 })
    ],
    ['nest', 'long-tail', () => ranked('nest', item('patch'))],
    [
      'film-trapped',
      'film-shut-in',
      () => ranked('film-trapped', without(item('pile-patch'), 'topping-off'))
    ],
    ['size', 'border-forgotten', () => ranked('size', item('patch'))]
  ];

  it('is found first or second, nine times in ten', () => {
    const missed = PLANTED.filter(([, cause, ids]) => !ids().slice(0, 2).includes(cause));
    expect(missed.map(([symptom, cause]) => `${symptom}: ${cause}`).slice(PLANTED.length / 10)).to.deep.equal(
      []
    );
  });

  it('has at least one cause for whatever is seen, with its evidence and what to do', () => {
    for (const symptom of Object.keys(SYMPTOMS) as Symptom[]) {
      const rules = RULES.filter(({ symptoms }) => symptoms.includes(symptom));
      expect(rules, symptom).not.to.have.length(0);
      for (const { evidence, rule } of causesOf(symptom, facts(item('zip-pouch')))) {
        expect(evidence).not.to.equal('');
        expect(rule.advice).to.match(/\.$/);
      }
    }
  });

  it('is mended by one press where that can be: a layer more, and the cause is gone', () => {
    const thin = heavy(item('layered-mat'));
    const [first] = causesOf('puckers', facts(thin));
    expect(first?.rule.id).to.equal('too-little-stabiliser');
    const mended = first?.rule.mend?.change(thin) ?? thin;
    expect(facts(mended).layers).to.equal(facts(thin).layers + 1);
  });
});

describe('questions about what went wrong', () => {
  const nest = causesOf('nest', facts(made('patch').item));
  it('are asked where the item alone does not tell, two at most, and a yes settles it', () => {
    let answers: ReadonlyMap<string, boolean> = new Map();
    const asked: string[] = [];
    for (;;) {
      const question = nextQuestion(answeredCauses(nest, answers), answers);
      if (!question) break;
      asked.push(question.ruleId);
      answers = new Map([...answers, [question.ruleId, false]]);
    }
    expect(asked).to.have.length(2);
    expect(new Set(asked)).to.have.property('size', 2);
    const [first = ''] = asked;
    const yes = new Map([[first, true]]);
    expect(answeredCauses(nest, yes)[0]?.rule.id).to.equal(first);
    expect(nextQuestion(answeredCauses(nest, yes), yes)).to.equal(null);
  });
  it('put a cause that was not so behind the others', () => {
    const first = nest[0]?.rule.id ?? '';
    const after = answeredCauses(nest, new Map([[first, false]]));
    expect(after).to.have.length(nest.length);
    expect(after[0]?.rule.id).not.to.equal(first);
  });
  it('are not asked where the sheet shows it', () => {
    const thin = causesOf('puckers', facts(heavy(made('patch').item)));
    expect(thin[0]?.weight).to.be.greaterThan(0.9);
    expect(nextQuestion(thin, new Map())).to.equal(null);
    // What the sheet shows no answer takes away.
    const denied = answeredCauses(thin, new Map([[thin[0]?.rule.id ?? '', false]]));
    expect(denied[0]?.rule.id).to.equal(thin[0]?.rule.id);
  });
});

describe('what went wrong last time', () => {
  const puckered = {
    itemId: 'patch',
    itemName: 'Signal lamp patch',
    trouble: [{ symptom: 'puckers', cause: 'too-little-stabiliser', at: '2026-11-20T10:00:00.000Z' }]
  };
  it('is said of the next item with the same risk, and of no other', () => {
    const risky = saidOfLastTime(facts(heavy(made('layered-mat').item)), [puckered]);
    expect(risky).to.have.length(1);
    expect(risky[0]).to.match(/^On Signal lamp patch: puckers round the stitching\. It could here too: /);
    expect(risky[0]).to.include('second layer');
    expect(saidOfLastTime(facts(made('snap-tab').item), [puckered])).to.deep.equal([]);
  });
  it('is said once, however often it happened, and as last time where it is the same item', () => {
    const item = { ...heavy(made('patch').item), id: 'patch' };
    const said = saidOfLastTime(facts(item), [puckered, puckered]);
    expect(said).to.have.length(1);
    expect(said[0]).to.match(/^Last time: /);
    expect(
      saidOfLastTime(facts(item), [{ ...puckered, trouble: [{ symptom: 'x', cause: 'none', at: '' }] }])
    ).to.deep.equal([]);
  });
});
