import type { Stop } from '$lib/core/documents/item';
import { threadChanges } from '$lib/core/solvers/needles';
import { bobbinThread, upperThread } from '$lib/core/stitching/thread';
import { expect } from 'chai';
import fc from 'fast-check';
import { badgerTab } from './support/badger';

const stops = badgerTab().files[0]?.stops ?? [];
const uncharted = (stop: Stop | undefined): Stop => ({ ...(stop as Stop), chart: undefined });

describe('thread lengths', () => {
  it('are the chart’s where it has them: 16.58 m for the badger', () => {
    const sum = stops.reduce((metres, stop) => metres + upperThread(stop).metres, 0);
    expect(sum).to.be.closeTo(16.58, 1e-9);
    expect(upperThread(stops[0] as Stop).source).to.equal('chart');
  });
  it('are counts by the role’s average elsewhere: 5.0 mm a running stitch, 5.4 a fill stitch', () => {
    expect(upperThread(uncharted(stops[0])).metres).to.be.closeTo(120 * 0.005, 1e-9);
    expect(upperThread(uncharted(stops[2])).metres).to.be.closeTo(1500 * 0.0054, 1e-9);
    expect(upperThread(uncharted(stops[2])).source).to.equal('role-average');
  });
  it('take a satin’s stitch as long as it is wide', () => {
    const satin = {
      ...uncharted(stops[5]),
      role: 'satin-edge' as const,
      phases: [{ stitches: 1000, width: 4, attended: false }]
    };
    expect(upperThread(satin).metres).to.be.closeTo(6.5, 1e-9);
    expect(bobbinThread(satin)).to.be.closeTo(2.6, 1e-9);
  });
  it('take less from the bobbin in fill than in running', () => {
    expect(bobbinThread(stops[0] as Stop)).to.be.closeTo(0.6 * 0.8, 1e-9);
    expect(bobbinThread(stops[2] as Stop)).to.be.closeTo(8.1 * 0.4, 1e-9);
  });
});

describe('thread changes', () => {
  const kinds = (threads: string[], needles: number): string[] =>
    threadChanges(threads, needles).map(({ kind }) => kind);

  it('on one needle come with every new colour', () => {
    expect(kinds(['white', 'white', 'white', 'pink', 'black', 'white'], 1)).to.deep.equal([
      'thread',
      'stays',
      'stays',
      'thread',
      'thread',
      'thread'
    ]);
  });
  it('are the machine’s own as long as its needles go', () => {
    expect(kinds(['a', 'a', 'b', 'a'], 6)).to.deep.equal(['stays', 'stays', 'switch', 'switch']);
  });
  it('re-thread the needle that is needed last', () => {
    // a and b are on; c takes the needle of a, which never comes again.
    expect(threadChanges(['a', 'b', 'c', 'b'], 2)).to.deep.equal([
      { needle: 1, kind: 'stays' },
      { needle: 2, kind: 'switch' },
      { needle: 1, kind: 'thread' },
      { needle: 2, kind: 'switch' }
    ]);
  });
  it('are never more than the fewest there can be', () => {
    /** Fewest re-threads by trying every needle for every new thread. */
    const fewest = (threads: string[], onNeedle: string[]): number => {
      const [thread, ...rest] = threads;
      if (thread === undefined) return 0;
      if (onNeedle.includes(thread)) return fewest(rest, onNeedle);
      return (
        1 +
        Math.min(
          ...onNeedle.map((_, needle) =>
            fewest(
              rest,
              onNeedle.map((old, at) => (at === needle ? thread : old))
            )
          )
        )
      );
    };
    fc.assert(
      fc.property(
        fc.array(fc.constantFrom('a', 'b', 'c', 'd'), { minLength: 1, maxLength: 8 }),
        fc.integer({ min: 2, max: 3 }),
        (threads, needles) => {
          const start = [...new Set(threads)].slice(0, needles);
          const count = kinds(threads, needles).filter((kind) => kind === 'thread').length;
          expect(count).to.equal(fewest(threads, start));
        }
      )
    );
  });
});
