import { CONSTRUCTIONS, isOwn, questionsOf, withOwn } from '$lib/core/craft/constructions';
import { inSchool, isAsked } from '$lib/core/craft/sequence';
import { readDocument } from '$lib/core/documents/files';
import { OwnPattern } from '$lib/core/documents/pattern';
import { expect } from 'chai';
import { readFileSync } from 'node:fs';
import { blocksOf, composed, itemOf } from './support/blocks';
import { sheetWords } from './support/sheetWords';

const text = readFileSync(new URL('../kept/pattern-1-first.json', import.meta.url), 'utf8');
const mat = OwnPattern.parse(JSON.parse(text));
const all = withOwn(CONSTRUCTIONS, [mat]);
const own = all.at(-1);
if (!own) throw new Error('There is a pattern.');

describe('a pattern of one’s own', () => {
  it('stands behind the others and asks only what was left open', () => {
    expect(all).to.have.length(CONSTRUCTIONS.length + 1);
    expect(isOwn(own.kind)).to.equal(true);
    expect(own.questions.map(({ label }) => label)).to.deep.equal([
      'The item, width',
      'The item, height',
      'Name, from a file of its own: name or monogram'
    ]);
    expect(own.defaults).to.deep.equal({ width: 160, height: 120, 'name.name': 'Ada' });
  });
  it('makes the item as it was kept, with the answers given now', () => {
    const made = own.patternOf({ width: 150, 'name.name': 'Ivy' });
    if (!made.ok) throw new Error(made.problems.join(' '));
    expect([made.construction, made.troubles]).to.deep.equal(['own', []]);
    expect(made.pattern.variant.size).to.deep.equal({ width: 150, height: 120 });
    const words = sheetWords(itemOf(made));
    expect(words.filter((word) => word.startsWith('insert-run'))).to.have.length(1);
    expect(made.blocks.find(({ id }) => id === 'name')?.answers).to.deep.equal({ name: 'Ivy' });
    // What was not left open cannot be answered.
    const shaped = own.patternOf({ shape: 'oval' });
    expect(shaped.ok && shaped.params.shape).to.equal('rounded');
  });
  it('says which answer is wrong, and is not there where its construction is not known', () => {
    const wrong = own.patternOf({ width: 1 });
    expect(wrong.ok ? [] : wrong.problems).to.deep.equal(['The item, width: at least 10 mm']);
    expect(withOwn(CONSTRUCTIONS, [{ ...mat, construction: 'loom' }])).to.have.length(CONSTRUCTIONS.length);
  });
  it('goes out as a file and comes back; another file is refused in plain words', () => {
    const read = readDocument('pattern', text);
    expect(read.ok && read.document).to.deep.equal(mat);
    const broken = readDocument('pattern', JSON.stringify({ ...mat, name: '' }));
    expect(broken.ok ? '' : broken.error.message).to.include('give the pattern a name');
    expect(readDocument('pattern', '{').ok).to.equal(false);
  });
  it('offers blocks as the construction beneath does', () => {
    const offers = own.offers({}, mat.blocks, 2);
    expect(offers.find(({ block }) => block.kind === 'panel')?.refusal).to.equal(null);
    expect(offers.find(({ block }) => block.kind === 'hardware')?.refusal?.repair).to.equal(
      'Move it after the finishing.'
    );
    expect(offers.find(({ block }) => block.kind === 'finishing')?.refusal?.why).to.equal(
      'This hooping is finished once.'
    );
  });
});

describe('questions', () => {
  it('are asked only where another answer makes them matter', () => {
    const [hooping] = blocksOf('hooping');
    const cloth = hooping && questionsOf(hooping).find(({ key }) => key === 'cloth');
    if (!cloth) throw new Error('A hooping may have cloth.');
    expect([isAsked(cloth, { ground: 'none' }), isAsked(cloth, { ground: 'hooped' })]).to.deep.equal([
      false,
      true
    ]);
  });
  it('take what a maker answers where makers differ, and only what they offer', () => {
    const { questions, defaults } = CONSTRUCTIONS.find(({ kind }) => kind === 'layered-mat') ?? own;
    const answered = inSchool(questions, defaults, { hold: 'glue', stabiliser: 'silk' });
    expect(answered).to.include({ firstHold: 'glue', secondHold: 'glue' });
    expect(inSchool(questions, defaults, {})).to.deep.equal(defaults);
  });
  it('of a made item stay as they were: another maker’s way changes nothing of it', () => {
    const made = composed(blocksOf('hooping', 'front', 'finishing'));
    expect(made.blocks.map(({ answers }) => answers)).to.deep.equal([{}, {}, {}]);
  });
});
