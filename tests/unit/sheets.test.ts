import { CONSTRUCTIONS } from '$lib/core/constructions';
import { expect } from 'chai';
import { makeItem } from './support/badger';
import { SHEETS } from './support/sheets';
import { sheetWords } from './support/sheetWords';

describe('the merged sheet', () => {
  for (const { kind, name } of CONSTRUCTIONS) {
    it(`of ${name} is built in the order of the craft`, () =>
      expect(sheetWords(makeItem(kind))).to.deep.equal(SHEETS[kind]));
  }
  it('is written down for every construction', () =>
    expect(Object.keys(SHEETS)).to.have.members(CONSTRUCTIONS.map(({ kind }) => kind)));
});
