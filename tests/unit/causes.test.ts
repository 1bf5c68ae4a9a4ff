import { expect } from 'chai';
import { defaultShop } from '$lib/core/documents/shop';
import { editStep, type Item, removeStep } from '$lib/core/documents/item';
import { review } from '$lib/core/making/checks';
import { causesOf, factsOf, type Symptom, SYMPTOMS } from '$lib/core/running/causes';
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
