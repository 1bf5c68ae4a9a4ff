import { CONSTRUCTIONS } from '$lib/core/craft/constructions';
import { review } from '$lib/core/making/checks';
import { expect } from 'chai';
import { makeItem } from './support/badger';
import { roomyShop } from './support/ends';

describe('what a step says of the hoop', () => {
  for (const { kind, name, questions, defaults, patternOf } of CONSTRUCTIONS)
    it(`${name}: is where the hoop is, whichever way it is made`, () => {
      const ways = questions.flatMap((question): Record<string, unknown>[] =>
        question.kind === 'choice' ? question.options.map(({ value }) => ({ [question.key]: value })) : []
      );
      for (const answers of [{}, ...ways]) {
        if (!patternOf({ ...defaults, ...answers }).ok) continue;
        for (const { title, detail, note, hoop } of review(makeItem(kind, answers), undefined, roomyShop).plan
          .steps) {
          const text = `${title}. ${detail} ${note}`;
          if (/hoop off|on the table/i.test(text)) expect(hoop.where, text).to.not.equal('on');
          if (/hoop stays on/i.test(text)) expect(hoop.where, text).to.be.oneOf(['on', 'forward']);
        }
      }
    });
});
