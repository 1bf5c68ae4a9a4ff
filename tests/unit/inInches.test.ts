import { CONSTRUCTIONS } from '$lib/core/craft/constructions';
import { review } from '$lib/core/making/checks';
import { expect } from 'chai';
import { makeItem } from './support/badger';
import { roomyShop } from './support/ends';

/** What a workroom in inches is told of an item: steps, findings and remarks. */
function toldOf(kind: string, answers: Record<string, unknown>): string[] {
  const { plan, checked } = review(makeItem(kind, answers), undefined, { ...roomyShop, unit: 'in' });
  return [
    ...plan.steps.flatMap(({ title, detail, note, caution }) => [title, detail, note, caution ?? '']),
    ...checked.open.map(({ text }) => text),
    ...plan.warnings.map(({ text }) => text)
  ];
}

describe('a workroom in inches', () => {
  for (const { kind, name, questions, defaults, patternOf } of CONSTRUCTIONS)
    it(`${name}: reads no millimetre, and nothing as 0 in, whichever way it is made`, () => {
      const ways = questions.flatMap((question): Record<string, unknown>[] =>
        question.kind === 'choice'
          ? question.options.flatMap(({ value }) =>
              value === defaults[question.key] ? [] : [{ [question.key]: value }]
            )
          : []
      );
      for (const answers of [{}, ...ways]) {
        if (!patternOf({ ...defaults, ...answers }).ok) continue;
        const odd = toldOf(kind, answers).filter((text) => /\bmm\b|\b0 in\b|\bcm\b/.test(text));
        expect(odd, JSON.stringify(answers)).to.deep.equal([]);
      }
    });
  it('is told half a millimetre as a thread’s width, and lengths of notes in inches', () => {
    expect(toldOf('layered-mat', {}).join('\n')).to.contain('Leave a thread’s width outside the');
    // 3 mm are an eighth.
    expect(toldOf('turned-flat', { topstitched: 'yes' }).join('\n')).to.match(
      /Topstitch all round, (⅛|1⁄8) in from the edge/
    );
  });
  it('cuts on a line where nothing is left outside it', () => {
    expect(toldOf('border-patch', {}).join('\n')).to.match(/On the cut line, all round/);
  });
});
