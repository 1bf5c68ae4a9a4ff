import { expect } from 'chai';
import fc from 'fast-check';
import { BLOCKS } from '$lib/core/craft/blocks';
import { constructionOf, CONSTRUCTIONS } from '$lib/core/craft/constructions';
import type { Question } from '$lib/core/craft/sequence';
import { type Block, brokenReferences, Item } from '$lib/core/documents/item';
import { review } from '$lib/core/making/checks';
import { composed, itemOf } from './support/blocks';
import { roomyShop } from './support/ends';

/** A shop with a hoop that takes whatever is asked. */
const HUGE = {
  ...roomyShop,
  hoops: roomyShop.hoops.map((hoop) => ({
    ...hoop,
    field: { width: 1500, height: 1500 },
    ring: { width: 1550, height: 1550 }
  }))
};

/** Any answer a question allows. */
function answerTo(question: Question): fc.Arbitrary<unknown> {
  switch (question.kind) {
    case 'choice':
    case 'outline':
      return fc.constantFrom(...question.options.map(({ value }) => value));
    case 'length':
      return fc.integer({ min: Math.max(question.least, -100), max: Math.min(question.most, 300) });
    case 'number':
      return fc.integer({ min: question.least, max: Math.min(question.most, 6) });
    case 'material':
      return fc
        .constantFrom(...question.kinds)
        .map(({ value, label }) => ({ kind: value, name: label, colour: '#808080' }));
    default:
      return fc.constant(undefined);
  }
}

const anyBlock = fc.constantFrom(...BLOCKS).chain(({ kind, questions }) =>
  fc
    .record(Object.fromEntries(questions.map((question) => [question.key, answerTo(question)])))
    .map((answers) => ({
      kind,
      answers: Object.fromEntries(Object.entries(answers).filter(([, answer]) => answer !== undefined))
    }))
);
const anyBlocks = fc
  .array(anyBlock, { minLength: 1, maxLength: 7 })
  .map((drawn) => drawn.map((block, at): Block => ({ id: `b${at}-${block.kind}`, ...block })));

describe('blocks nobody chose', () => {
  it('make an item that can be kept, planned and simulated, whatever they are asked', () => {
    fc.assert(
      fc.property(anyBlocks, (blocks) => {
        const made = composed(blocks);
        const item = itemOf(made);
        expect(brokenReferences(item)).to.deep.equal([]);
        const stored = Item.safeParse(JSON.parse(JSON.stringify(item)));
        expect(stored.success, JSON.stringify(stored.error?.issues)).to.equal(true);
        // What stands on the sheet can be done: whatever the hoop does not allow was left out with its reason.
        const { trace } = review(item, undefined, HUGE);
        const own = new Set(blocks.map(({ id }) => id));
        const impossible = made.pattern.entries.flatMap((entry, at) =>
          own.has(entry.block ?? '') && trace[at] && trace[at].problem !== null ? [trace[at].problem] : []
        );
        expect(impossible).to.deep.equal([]);
      }),
      { numRuns: 150 }
    );
  });
  it('stand where Build offers them, and taken out again leave the item as it was', () => {
    const own = constructionOf('own');
    if (!own) throw new Error('There is nothing to build on.');
    const size = { width: 120, height: 120 };
    fc.assert(
      fc.property(anyBlocks, fc.nat(7), fc.constantFrom(...BLOCKS), (blocks, place, { kind }) => {
        const at = place % (blocks.length + 1);
        const offer = own.offers(size, blocks, at).find(({ block }) => block.kind === kind);
        const put = { id: 'put', kind, answers: {} };
        const made = composed(blocks.toSpliced(at, 0, put));
        const told = made.troubles.filter(({ blockId }) => blockId === 'put');
        const why = told.map((each) => each.why).filter((each) => each !== 'Nothing is stitched.');
        // A hooping is finished once, wherever in it that is.
        if (offer?.refusal && kind !== 'finishing') expect(why).to.include(offer.refusal.why);
        if (offer && !offer.refusal) expect(why, kind).to.deep.equal([]);
        const without = made.blocks.filter(({ id }) => id !== 'put');
        expect(composed(without).pattern.entries).to.deep.equal(composed(blocks).pattern.entries);
      }),
      { numRuns: 60 }
    );
  });
  it('put together by hand as a recipe has them are the same item', () => {
    for (const { kind, patternOf } of CONSTRUCTIONS) {
      const recipe = patternOf({});
      if (!recipe.ok || recipe.blocks.some((block) => block.kind === 'part')) continue;
      const copied = structuredClone(recipe.blocks);
      const byHand = composed(copied, kind, recipe.params);
      expect(byHand.pattern.entries, kind).to.deep.equal(recipe.pattern.entries);
      expect(byHand.pattern.pieces, kind).to.deep.equal(recipe.pattern.pieces);
    }
  });
});
