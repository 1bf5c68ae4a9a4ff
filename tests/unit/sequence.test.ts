import { CONSTRUCTIONS, constructionOf } from '$lib/core/craft/constructions';
import { Sequence } from '$lib/core/craft/sequence';
import { expect } from 'chai';

describe('a construction', () => {
  const sequence = (): Sequence =>
    new Sequence({
      shape: 'rectangle',
      size: { width: 50, height: 50 },
      finished: { width: 50, height: 50 },
      edge: 'cut edge'
    });

  it('that needs a step it does not have is a fault, as is one that names two steps alike', () => {
    const lost = sequence();
    lost.hand('inspect', { do: 'inspect' }, { needs: ['tack'] });
    expect(() => lost.done()).to.throw(RangeError, 'There is no step tack, which inspect names.');
    const untrue = sequence();
    untrue.must('tack');
    expect(() => untrue.done()).to.throw(RangeError, 'There is no step tack');
    const twice = sequence();
    twice.hand('look', { do: 'inspect' });
    twice.hand('look', { do: 'inspect' });
    expect(() => twice.done()).to.throw(RangeError, 'Two steps are called look.');
  });
  it('gets the ids of its steps from the builder', () => {
    const s = sequence();
    s.piece('cloth', 'CLOTH', { kind: 'felt', name: 'Felt', colour: '#888888' }, 'hooped');
    s.hoop('hooping-1', 'Hooping', ['cloth']);
    const turned = s.toBack();
    const look = s.hand('look', { do: 'inspect' }, { needs: [turned] });
    expect(s.toFront()).to.not.equal(turned);
    expect([turned, look]).to.deep.equal(['turn-over-3', 'look']);
    expect(s.done().entries.at(3)?.needs).to.include('hoop-off-2');
  });
  it('asks for every answer it takes, under one name, and takes its own defaults', () => {
    for (const { kind, questions, defaults, patternOf } of CONSTRUCTIONS) {
      expect(questions.map(({ key }) => key).toSorted(), kind).to.deep.equal(
        Object.keys(defaults).toSorted()
      );
      expect(patternOf(defaults).ok, kind).to.equal(true);
      for (const question of questions)
        if (question.kind === 'choice')
          expect(
            question.options.map(({ value }) => value),
            `${kind} ${question.key}`
          ).to.include(defaults[question.key]);
    }
  });
  it('refuses an answer in the words of its question', () => {
    const made = constructionOf('snap-tab')?.patternOf({ width: 1, closing: 'glue' });
    expect(made?.ok === false ? made.problems : []).to.deep.equal([
      'Stitched outline, width: at least 15 mm',
      'Closes with: Invalid option: expected one of "snap"|"eyelet"|"ring"|"ribbon-loop"'
    ]);
  });
});
