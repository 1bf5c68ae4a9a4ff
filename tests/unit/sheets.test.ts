import { expect } from 'chai';
import { makeItem } from './support/badger';
import { endOf } from './support/ends';
import { FINISHED } from './support/finished';
import { SHEETS } from './support/sheets';
import { sheetWords } from './support/sheetWords';
import { CONSTRUCTIONS } from '$lib/core/craft/constructions';

describe('the merged sheet', () => {
  for (const { kind, name } of CONSTRUCTIONS) {
    it(`of ${name} is built in the order of the craft`, () =>
      expect(sheetWords(makeItem(kind))).to.deep.equal(SHEETS[kind]));
  }
  it('is written down for every construction', () =>
    expect(Object.keys(SHEETS)).to.have.members(CONSTRUCTIONS.map(({ kind }) => kind)));
});

describe('what one has in the end', () => {
  for (const { kind, name } of CONSTRUCTIONS) {
    it(`of ${name}: faces out, layers hidden, threads seen`, () =>
      expect(endOf(makeItem(kind))).to.deep.equal(FINISHED[kind]));
  }
});
