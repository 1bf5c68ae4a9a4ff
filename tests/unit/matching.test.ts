import { align, type FixedMatch } from '$lib/core/reading/matching';
import { readChart } from '$lib/core/reading/papers';
import { expect } from 'chai';
import fc from 'fast-check';
import { BADGER_CHART, makeItem, patternOf } from './support/badger';

/** Matching by hand: whatever the maker says, it stays, and the rest still finds its place around it. */
describe('matching by hand', () => {
  const { expected } = patternOf('snap-tab').pattern;
  const keys = expected.map(({ key }) => key);
  const wanted = expected.filter(({ onlyCharted }) => !onlyCharted).map(({ key }) => key);
  const { rows } = readChart(BADGER_CHART);
  const anyMatch = fc.record<FixedMatch>({
    line: fc.integer({ min: 1, max: 6 }),
    keys: fc.subarray(keys, { maxLength: 3 })
  });
  const anyMatches = fc.uniqueArray(anyMatch, { selector: ({ line }) => line, maxLength: 4 });

  it('is kept to the letter, unless it crosses another', () => {
    fc.assert(
      fc.property(anyMatches, (fixed) => {
        const found = align(rows, expected, fixed);
        const dropped = new Set(found.dropped.map(({ line }) => line));
        for (const { line, keys: wanted } of fixed) {
          if (dropped.has(line)) continue;
          const match = found.matches.find((candidate) => candidate.line === line);
          expect(match).to.deep.equal({
            line,
            keys: [...wanted].sort((a, b) => keys.indexOf(a) - keys.indexOf(b)),
            fixed: true
          });
        }
      })
    );
  });
  it('never turns the chart’s order round', () => {
    fc.assert(
      fc.property(anyMatches, (fixed) => {
        const first = align(rows, expected, fixed).matches.flatMap(({ keys: [key] }) =>
          key === undefined ? [] : [keys.indexOf(key)]
        );
        expect(first).to.deep.equal([...first].sort((a, b) => a - b));
      })
    );
  });
  it('says every expected stop that is left without a row, and no other', () => {
    fc.assert(
      fc.property(anyMatches, (fixed) => {
        const { matches, missing } = align(rows, expected, fixed);
        const taken = new Set(matches.flatMap((match) => match.keys));
        expect(missing).to.deep.equal(wanted.filter((key) => !taken.has(key)));
      })
    );
  });
  it('leaves the other rows where they were when it says what was found anyway', () => {
    const free = align(rows, expected);
    for (const { line, keys: found } of free.matches) {
      const again = align(rows, expected, [{ line, keys: found }]);
      expect(again.matches.map((match) => match.keys)).to.deep.equal(free.matches.map((match) => match.keys));
    }
  });
  it('lets two rows share a stop that one of them only stands for besides', () => {
    const found = align(rows, expected, [
      { line: 1, keys: ['placement', 'tack-down'] },
      { line: 2, keys: ['tack-down'] }
    ]);
    expect(found.matches.map((match) => match.keys.join('+'))).to.deep.equal([
      'placement+tack-down',
      'tack-down',
      'details',
      'details',
      'details',
      'outline+holes'
    ]);
    const item = makeItem('snap-tab', {}, BADGER_CHART, [
      { line: 1, keys: ['placement', 'tack-down'] },
      { line: 2, keys: ['tack-down'] }
    ]);
    const stitched = item.steps.flatMap((step) =>
      step.kind === 'stop' ? [`${step.stopId}/${step.pass}`] : []
    );
    expect(stitched.slice(0, 4)).to.deep.equal(['stop-1/1', 'stop-1/2', 'stop-2/1', 'stop-3/1']);
  });
  it('of keys or lines that are not there counts for nothing', () => {
    const free = align(rows, expected);
    expect(align(rows, expected, [{ line: 99, keys: ['placement'] }]).matches).to.deep.equal(free.matches);
    expect(align(rows, expected, [{ line: 1, keys: ['sleeve'] }]).matches[0]).to.deep.equal({
      line: 1,
      keys: [],
      fixed: true
    });
  });
  it('of a chart with no rows leaves every stop missing', () => {
    const { score, ...rest } = align([], expected);
    expect(rest).to.deep.equal({ matches: [], missing: wanted, dropped: [] });
    expect(score, 'nothing speaks for it').to.be.below(0);
  });
});
