import { expect } from 'chai';
import svgpath from 'svgpath';
import { EMPTY_PICTURES } from '$lib/ui/emptyPictures';
import { SYMPTOMS } from '$lib/core/running/causes';
import { DRAWINGS } from '../../src/routes/trouble/drawings';

/** The outermost points of path data, curves by their handles. */
function reach(data: string): { low: number; high: number; across: number } {
  const [xs, ys]: [number[], number[]] = [[], []];
  svgpath(data)
    .abs()
    .unarc()
    .iterate(([command, ...values]) => {
      if (command === 'H') xs.push(...(values as number[]));
      else if (command === 'V') ys.push(...(values as number[]));
      else (values as number[]).forEach((value, at) => (at % 2 === 0 ? xs : ys).push(value));
    });
  return { low: Math.min(...xs, ...ys), high: Math.max(...ys), across: Math.max(...xs) };
}

describe('small drawings', () => {
  it('of empty places stay on their sheet of 120 x 90, and each tells cloth, hands and needle apart', () => {
    for (const [place, parts] of Object.entries(EMPTY_PICTURES)) {
      expect(new Set(Object.values(parts)).size, place).to.equal(4);
      for (const data of Object.values(parts)) {
        const { low, high, across } = reach(data);
        expect(low, `${place}: ${data}`).to.be.at.least(0);
        expect(across, `${place}: ${data}`).to.be.at.most(120);
        expect(high, `${place}: ${data}`).to.be.at.most(90);
      }
    }
  });
  it('show every symptom, no two alike', () => {
    expect(Object.keys(DRAWINGS).sort()).to.deep.equal(Object.keys(SYMPTOMS).sort());
    const drawn = Object.values(DRAWINGS).map(({ cloth, wrong }) => `${cloth} ${wrong}`);
    expect(new Set(drawn).size).to.equal(drawn.length);
  });
});
