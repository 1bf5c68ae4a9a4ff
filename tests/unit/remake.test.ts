import { withUsual } from '$lib/core/craft/sequence';
import {
  brokenReferences,
  editStep,
  type Item,
  removeStep,
  addHandStep,
  answerFinding,
  editStop,
  forVariant,
  removeVariant
} from '$lib/core/documents/item';
import { answered, CONSTRUCTIONS, constructionOf } from '$lib/core/craft/constructions';
import { addVariant, align, remake, withChart } from '$lib/core/reading/matching';
import { readChart } from '$lib/core/reading/papers';
import { expect } from 'chai';
import fc from 'fast-check';
import { BADGER_CHART, badgerTab, freshItem, makeItem, patternOf } from './support/badger';
import { blocksOf } from './support/blocks';
import { sheetWords } from './support/sheetWords';

const NOW = '2026-01-02T00:00:00.000Z';
type Done = Extract<ReturnType<typeof remake>, { ok: true }>;
function remade(item: Item, params: Record<string, unknown>, blocks = item.blocks ?? null): Done {
  const made = remake(item, { ...item.params, ...params }, blocks);
  if (!made.ok) throw new Error(made.problems.join(' '));
  return made;
}
const stops = (item: Item): Item['files'][number]['stops'] => item.files.flatMap((file) => file.stops);

const usual = (kind: string) => {
  const made = constructionOf(kind)?.patternOf({});
  if (!made?.ok) throw new Error(`There is no ${kind}.`);
  return made.blocks;
};

describe('answers changed later', () => {
  for (const { kind, name, questions } of CONSTRUCTIONS) {
    it(`${name}: the same answers change nothing, others give what they would have given at once`, () => {
      const item = freshItem(kind);
      expect(remade(item, {}).item).to.deep.equal({ ...item, blocks: undefined });
      for (const question of questions) {
        if (question.kind !== 'choice') continue;
        for (const { value } of question.options) {
          // As the page does it: what nobody changed goes along.
          const answers = withUsual(questions, item.params ?? {}, { [question.key]: value });
          const { item: changed, lost } = remade(item, answers);
          expect(sheetWords(changed), `${question.key} ${value}`).to.deep.equal(
            sheetWords(freshItem(kind, { [question.key]: value }))
          );
          expect(lost).to.deep.equal([]);
          expect(brokenReferences(changed)).to.deep.equal([]);
        }
      }
    });
    it(`${name}: what the maker did by hand is kept, or told`, () =>
      fc.assert(
        fc.property(fc.nat(), fc.nat(), fc.nat(), (noted, added, answer) => {
          const item = makeItem(kind);
          const [step, after] = [
            item.steps[noted % item.steps.length],
            item.steps[added % item.steps.length]
          ];
          if (!step || !after) return;
          let mine = editStep(item, step.id, { note: 'Mind the lamp.' });
          mine = addHandStep(mine, after.id, 'mine', { do: 'other', title: 'Sing', seconds: 5 });
          const question = questions.filter((each) => each.kind === 'choice' || each.kind === 'length')[
            answer % Math.max(1, questions.length)
          ];
          if (!question) return;
          const value =
            question.kind === 'choice'
              ? question.options.at(-1)?.value
              : Math.round(Number(item.params[question.key]) * 1.1);
          const changed = remake(mine, { ...mine.params, [question.key]: value }, null);
          if (!changed.ok) return;
          const kept = changed.item.steps.find(({ id }) => id === step.id);
          if (kept) expect(kept.note).to.equal('Mind the lamp.');
          else expect(changed.lost.join(' ')).to.include('Changed by you');
          expect(changed.item.steps.some(({ id }) => id === 'mine')).to.equal(true);
        }),
        { numRuns: 15 }
      ));
  }

  it('a charted tab made larger: numbers, names, colours and rows of the chart stay, counts grow with the size', () => {
    const tab = badgerTab();
    const { item, lost } = remade(tab, { width: 60, height: 188 });
    expect(lost).to.deep.equal([]);
    expect(stops(item).map(({ number, name, chart }) => [number, name, chart])).to.deep.equal(
      stops(tab).map(({ number, name, chart }) => [number, name, chart])
    );
    const outline = (of: Item): number =>
      stops(of)
        .find(({ expects }) => expects === 'outline')
        ?.phases.reduce((sum, { stitches }) => sum + stitches, 0) ?? 0;
    // Both sides twice as long.
    expect(outline(item) / outline(tab)).to.be.closeTo(2, 0.1);
    expect(item.variants[0]?.size).to.deep.equal({ width: 60, height: 188 });
  });
  it('a thread, a count, a removed step and “meant so” stay as the maker set them', () => {
    const tab = makeItem('snap-tab');
    const [tack] = stops(tab).filter(({ expects }) => expects === 'tack-down');
    if (!tack) throw new Error('A tab is tacked.');
    let mine = editStop(tab, tack.id, { stitches: 777, name: 'Hold it' });
    mine = removeStep(mine, 'snip-back');
    mine = answerFinding(
      mine,
      { code: 'tails/covered', severity: 'warn', stepId: tack.id, about: null },
      'Short ones',
      NOW
    );
    const { item, lost } = remade(mine, { closing: 'eyelet', width: 50 });
    const kept = stops(item).find(({ id }) => id === tack.id);
    expect([kept?.name, kept?.phases[0]?.stitches, kept?.countSource]).to.deep.equal([
      'Hold it',
      777,
      'maker'
    ]);
    expect(item.steps.some(({ id }) => id === 'snip-back')).to.equal(false);
    expect(item.answers).to.have.length(1);
    expect(lost).to.deep.equal([]);
    expect(sheetWords(item).join()).to.include('punch');
  });
  it('blocks changed by hand follow the answers of the item, but for what the maker answered otherwise', () => {
    const tab = freshItem('snap-tab');
    const name = { id: 'mine', kind: 'name', answers: { name: 'Ivy' } };
    const blocks = usual('snap-tab')
      .map((block) =>
        block.id === 'edge' ? { ...block, answers: { ...block.answers, style: 'bean' } } : block
      )
      .toSpliced(3, 0, name);
    const own = remade(tab, {}, blocks).item;
    const changed = remade(own, { frontHold: 'pins', outside: 5, closing: 'ribbon-loop' }).made.blocks;
    const answersOf = (id: string) => changed.find((block) => block.id === id)?.answers;
    expect(changed.map(({ id }) => id)).to.deep.equal([
      ...['hooping', 'front', 'details', 'mine', 'loop', 'back', 'edge', 'finishing', 'ring']
    ]);
    expect(answersOf('front')).to.include({ held: 'pins' });
    expect(answersOf('edge')).to.include({ margin: 5, style: 'bean' });
    // What was taken out stays out.
    const bare = remade(
      own,
      {},
      blocks.filter(({ id }) => id !== 'details')
    ).item;
    expect(remade(bare, { width: 40 }).made.blocks.some(({ id }) => id === 'details')).to.equal(false);
  });
  it('what loses its place is told before it is done', () => {
    const tab = makeItem('snap-tab');
    const mine = editStep(tab, 'punch', { note: 'With the small die.' });
    const { lost, item } = remade(mine, { closing: 'ribbon-loop' });
    expect(lost).to.deep.equal(['Changed by you: Punch 2 holes.']);
    expect(item.steps.some(({ id }) => id === 'punch')).to.equal(false);
  });
  it('variants are made anew of their own answers, and keep their names', () => {
    const tab = makeItem('snap-tab');
    const pattern = (answers: Record<string, unknown>) => {
      const made = constructionOf('snap-tab')?.patternOf({ ...tab.params, ...answers });
      if (!made?.ok) throw new Error('A tab can be made.');
      return made.pattern;
    };
    const both = addVariant(
      tab,
      { id: 'large', name: 'Large', overrides: { width: 45 } },
      { old: pattern({}), next: pattern({ width: 45 }) }
    );
    const { item } = remade(both, { height: 120 });
    expect(item.variants.map(({ name, size }) => [name, size.width, size.height])).to.deep.equal([
      ['As drawn', 30, 120],
      ['Large', 45, 120]
    ]);
  });
  it('variants may differ in a name or a cloth of a block: one item, two names', () => {
    const blocks = usual('quilted-coaster').toSpliced(4, 0, ...blocksOf(['name', { name: 'Ada' }]));
    const coaster = remade(makeItem('quilted-coaster'), {}, blocks).item;
    const pattern = (given: Record<string, unknown>) => {
      const own = answered(coaster.params, blocks, given);
      const made = constructionOf('quilted-coaster')?.patternOf(own.params, own.blocks);
      if (!made?.ok) throw new Error('A coaster can be made.');
      return made.pattern;
    };
    const overrides = { 'name-1.name': 'Ivy', width: 140 };
    const both = addVariant(
      coaster,
      { id: 'ivy', name: 'Ivy', overrides },
      { old: pattern({}), next: pattern(overrides) }
    );
    const nameIn = (item: Item, variant: string): string[] =>
      forVariant(item, variant).steps.flatMap((step) =>
        step.kind === 'hand' && step.op.do === 'insert-run' ? [step.op.fileName] : []
      );
    expect([nameIn(both, 'variant-1'), nameIn(both, 'ivy')]).to.deep.equal([['Ada'], ['Ivy']]);
    // A change of the item later leaves the other its own name.
    const { item } = remade(both, { height: 130 });
    expect(nameIn(item, 'ivy')).to.deep.equal(['Ivy']);
    expect(item.variants.map(({ size }) => size)).to.deep.equal([
      { width: 110, height: 130 },
      { width: 140, height: 130 }
    ]);
    expect(removeVariant(item, 'ivy').variants).to.have.length(1);
    expect(() => removeVariant(item, 'variant-1')).to.throw('so it stays');
  });
  it('an item written by hand says so', () => {
    const hand = { ...makeItem('patch'), construction: undefined };
    expect(remake(hand, {}, null)).to.deep.equal({
      ok: false,
      problems: ['This item was written by hand: its steps are changed on the sheet.']
    });
  });
});

describe('blocks changed later', () => {
  it('a block added, moved and taken out again: notes stay, and in the end nothing is left of it', () => {
    const coaster = makeItem('quilted-coaster');
    const noted = editStep(coaster, 'back-lay', { note: 'Check the nap.' });
    const [name] = blocksOf(['name', { width: 40 }]);
    const blocks = usual('quilted-coaster');
    if (!name) throw new Error('There is a name.');
    const added = remade(noted, {}, blocks.toSpliced(4, 0, name)).item;
    expect(sheetWords(added).join()).to.include('insert-run');
    expect(added.blocks?.map(({ id }) => id)).to.include('name-1');
    const wrong = remade(added, {}, blocks.toSpliced(5, 0, name));
    expect(wrong.made.troubles.map(({ blockId }) => blockId)).to.deep.equal(['name-1']);
    const gone = remade(added, {}, blocks).item;
    expect(gone.steps.find(({ id }) => id === 'back-lay')?.note).to.equal('Check the nap.');
    expect(gone.blocks).to.equal(undefined);
    expect(sheetWords(gone)).to.deep.equal(sheetWords(coaster));
  });
  it('a block on a charted item: its stops are a file of their own, the chart’s stay as they are', () => {
    const tab = badgerTab();
    const blocks = usual('snap-tab');
    const [extra] = blocksOf(['applique', { width: 12, height: 12 }, 'Ear']);
    if (!extra) throw new Error('There is an ear.');
    const at = blocks.findIndex(({ id }) => id === 'details');
    const { item } = remade(tab, {}, blocks.toSpliced(at, 0, extra));
    expect(item.files.map(({ stops: own }) => own.length)).to.deep.equal([stops(tab).length, 3]);
    expect(item.files[1]?.stops.map(({ number, name }) => [number, name])).to.deep.equal([
      [1, 'Ear: placement'],
      [2, 'Ear: tack-down'],
      [3, 'Ear: edge']
    ]);
    expect(brokenReferences(item)).to.deep.equal([]);
  });
});

describe('a chart brought to an item that is there', () => {
  const { rows } = readChart(BADGER_CHART);
  const { pattern } = patternOf('snap-tab');
  const chart = {
    text: BADGER_CHART,
    setAside: [],
    rows,
    alignment: align(rows, pattern.expected)
  };

  it('gives the sheet it would have given at the start', () => {
    const item = withChart(makeItem('snap-tab'), chart);
    const whole = (of: Item) =>
      stops(of).map(({ number, name, phases, countSource }) => ({ number, name, phases, countSource }));
    expect(whole(item)).to.deep.equal(whole(badgerTab()));
    expect(sheetWords(item)).to.deep.equal(sheetWords(badgerTab()));
    expect(brokenReferences(item)).to.deep.equal([]);
  });
  it('keeps notes, own steps and own counts, and changes nothing of an item written by hand', () => {
    const tab = makeItem('snap-tab');
    const [tack] = stops(tab).filter(({ expects }) => expects === 'tack-down');
    if (!tack) throw new Error('A tab is tacked.');
    let mine = editStep(tab, 'lay-back', { note: 'The soft side out.' });
    mine = editStop(
      addHandStep(mine, 'lay-back', 'mine', { do: 'other', title: 'Sing', seconds: 5 }),
      tack.id,
      { stitches: 99 }
    );
    const item = withChart(mine, chart);
    expect(item.steps.find(({ id }) => id === 'lay-back')?.note).to.equal('The soft side out.');
    expect(item.steps.map(({ id }) => id)).to.include('mine');
    expect(stops(item).find(({ expects }) => expects === 'tack-down')?.phases[0]?.stitches).to.equal(99);
    const hand = { ...tab, construction: undefined };
    expect(withChart(hand, chart)).to.equal(hand);
  });
});
