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

  it('whose step needs one that is not there does without, and one that names two steps alike is a fault', () => {
    const lost = sequence();
    lost.hand('inspect', { do: 'inspect' }, { needs: ['tack'] });
    lost.must('tack');
    expect(lost.composed().entries[0]?.needs).to.deep.equal([]);
    expect(lost.composed().truths).to.deep.equal([]);
    const twice = sequence();
    twice.hand('look', { do: 'inspect' });
    twice.hand('look', { do: 'inspect' });
    expect(() => twice.composed()).to.throw(RangeError, 'Two steps are called look.');
  });
  it('has hand work wait for the moves of the hoop, and what is prepared come before the hooping', () => {
    const s = sequence();
    s.piece('cloth', 'CLOTH', { kind: 'felt', name: 'Felt', colour: '#888888' }, 'hooped');
    s.hoop('hooping-1', 'Hooping', ['cloth']);
    s.hand('on', { do: 'hoop-on' });
    s.hand('off', { do: 'hoop-off' });
    s.hand('over', { do: 'turn-over' });
    s.hand('snip', { do: 'snip', side: 'back', jumps: 1 });
    s.prepare('web', { do: 'back-cloth', pieceIds: ['cloth'] });
    const { entries } = s.composed();
    const ids = entries.map((entry) => (entry.kind === 'hand' ? entry.id : entry.key));
    expect(ids).to.deep.equal(['web', 'hoop', 'on', 'off', 'over', 'snip']);
    expect(entries.at(4)?.needs).to.include('off');
    expect(s.simulated.hoop.turned).to.equal(true);
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
      'Closes with: choose one of: One snap, two holes; One snap, round a ring; One eyelet and a ring; A ring through a punched hole; A ribbon loop in the seam, and a ring'
    ]);
  });
});
