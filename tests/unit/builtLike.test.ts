import { CONSTRUCTIONS } from '$lib/core/craft/constructions';
import { Constructions } from '$lib/core/reading/matching';
import { readChart } from '$lib/core/reading/papers';
import { expect } from 'chai';
import { readFileSync } from 'node:fs';
import { z } from 'zod';

/** Charts of other writers, with the constructions that would do; the rows are those of the paper, whatever its layout. */
const Charts = z.array(
  z.object({
    paper: z.string(),
    title: z.string(),
    size: z.tuple([z.number(), z.number()]).nullable(),
    kinds: z.array(z.string()),
    rows: z.string()
  })
);
const charts = Charts.parse(JSON.parse(readFileSync('tests/papers/built-like.json', 'utf8')));
const constructions = new Constructions(CONSTRUCTIONS.filter(({ kind }) => kind !== 'own'));
const told = charts.map(({ title, size, rows, ...rest }) => ({
  ...rest,
  like: constructions.builtLike(readChart(rows).rows, {
    title,
    size: size && { width: size[0], height: size[1] }
  })
}));

describe('what a chart is built like', () => {
  it('is told of three charts in four of other writers, and stands among the first two of four in five', () => {
    const among = (first: number): string[] =>
      told.flatMap(({ paper, kinds, like }) =>
        like.slice(0, first).some(({ kind }) => kinds.includes(kind)) ? [] : paper
      );
    expect(among(1).length, among(1).join(', ')).to.be.at.most(charts.length / 4);
    expect(among(2).length, among(2).join(', ')).to.be.at.most(charts.length / 5);
  });
  it('is as sure as it says: of those it is nine tenths sure of, nine in ten are right', () => {
    const sure = told.filter(({ like: [first] }) => (first?.chance ?? 0) >= 0.85);
    const right = sure.filter(({ kinds, like: [first] }) => kinds.includes(first?.kind ?? ''));
    expect(sure.length).to.be.at.least(charts.length / 3);
    expect(right.length / sure.length).to.be.at.least(0.9);
  });
  it('says nothing sure of rows that fit anything', () => {
    const [first, second] = constructions.builtLike(readChart('1\tred\tred\t900\n2\tblue\tblue\t800').rows, {
      title: null,
      size: null
    });
    expect(first?.chance).to.be.below(0.7);
    expect(second?.chance).to.be.above(0);
  });
  it('hears the title: the same rows are a bookmark or a key fob', () => {
    const { rows } = readChart(
      '1 placement grey 140\n2 tack-down grey 140\n3 fern green 2,200\n4 outline grey 300'
    );
    const as = (title: string): string | undefined =>
      constructions.builtLike(rows, { title, size: null })[0]?.kind;
    expect(as('Badger bookmark')).to.equal('bookmark');
    expect(as('Badger key fob')).to.equal('snap-tab');
  });
});
