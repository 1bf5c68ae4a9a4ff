import type { Estimate } from '$lib/core/documents/plan';
import { comparedTimes } from '$lib/core/making/time';
import { expect } from 'chai';

const about = (kind: Estimate['kind'], minutes: number, share = 0.2): Estimate => ({
  kind,
  value: minutes * 60,
  low: minutes * 60 * (1 - share),
  high: minutes * 60 * (1 + share),
  source: 'defaults',
  samples: 0
});
const item = { needle: about('needle', 56), hands: about('hands', 45), stitches: 23_460, logged: [] };
const said = (more: Partial<Parameters<typeof comparedTimes>[0]>): string | undefined =>
  comparedTimes({ ...item, ...more })[0]?.words;

describe('times held against each other', () => {
  it('say nothing where there is nothing to hold against', () => {
    expect(comparedTimes(item)).to.deep.equal([]);
  });
  it('a minute shown gives the pace: 23,460 stitches in 60 min are 391 a minute', () => {
    const [shown] = comparedTimes({ ...item, displayed: 60 });
    expect(shown?.pace).to.equal(391);
    expect(shown?.words).to.equal(
      'The machine shows 1 h, the estimate says 56 min, whose range it is in: it averages 391 stitches a minute, and is taken for 419.'
    );
    expect(comparedTimes({ ...item, displayed: 57 })[0]).to.deep.equal({
      of: 'displayed',
      words: 'The machine’s 57 min agrees with the estimate.'
    });
  });
  it('a claim is told as what it is: both, the needle alone, too little, too much', () => {
    expect(said({ claimed: 100 })).to.match(/within what is estimated for needle and hands together/);
    expect(said({ claimed: 60 })).to.match(/is the needle alone: hands take 45 min besides/);
    expect(said({ claimed: 30 })).to.match(/less than estimated: needle and hands take 1 h 41/);
    expect(said({ claimed: 300 })).to.match(/more than estimated, 1 h 41/);
  });
  it('runs in the log are told where they lie outside', () => {
    const run = { needle: 56 * 60, hands: 60 * 60 };
    expect(said({ logged: [run, { ...run, hands: 80 * 60 }] })).to.equal(
      'The 2 runs in the log took 1 h 10 hands instead of 45 min: the next estimate learns from it.'
    );
    expect(said({ logged: [{ needle: 57 * 60, hands: 46 * 60 }] })).to.equal(
      'The run in the log took what is estimated.'
    );
  });
});
