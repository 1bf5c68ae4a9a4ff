import {
  cautionOf,
  handTime,
  hoopAfter,
  hoopWords,
  newOperation,
  OPERATION_KINDS,
  traitsOf,
  wordingOf
} from '$lib/core/craft/operations';
import type { Operation } from '$lib/core/documents/item';
import { HOOP_AT_START, type HoopState } from '$lib/core/documents/plan';
import { DEFAULT_HAND_TIMES, type Machine } from '$lib/core/documents/shop';
import { expect } from 'chai';
import { badgerShop, badgerTab } from './support/badger';
import { LAYING_STEPS } from './support/layingSteps';
import { SEW_UP_STEPS } from './support/sewUpSteps';
import { OTHER_STEPS } from './support/otherSteps';

/** Every hand step the craft knows. */
const TABLE = [...LAYING_STEPS, ...OTHER_STEPS, ...SEW_UP_STEPS];

describe('hand steps', () => {
  const tab = badgerTab();
  const machine = badgerShop().machines[0] as Machine;

  for (const { op, title, detail, mark, seconds, caution } of TABLE) {
    it(`${title} (${op.do})`, () => {
      const words = wordingOf(op, { item: tab, unit: 'mm', hoop: HOOP_AT_START });
      expect(words.title).to.equal(title);
      expect(words.detail).to.match(detail);
      expect(traitsOf(op.do).mark).to.equal(mark);
      expect(handTime(op, tab, DEFAULT_HAND_TIMES, machine).hands).to.be.closeTo(seconds, 0.05);
      if (caution) expect(cautionOf(op)).to.match(caution);
      else expect(cautionOf(op)).to.equal(undefined);
    });
  }

  it('are all here: each kind that can be added to a sheet is in the table', () => {
    const told = [...new Set(TABLE.map(({ op }) => op.do))].sort();
    expect(told).to.deep.equal(OPERATION_KINDS.toSorted());
    for (const kind of told)
      expect(newOperation(kind, tab) !== undefined, kind).to.equal(traitsOf(kind).start !== null);
  });

  it('have parts that add up to their time', () => {
    for (const { op } of TABLE) {
      const { hands, parts } = handTime(op, tab, DEFAULT_HAND_TIMES, machine);
      expect(
        parts.reduce((sum, part) => sum + part.seconds, 0),
        op.do
      ).to.be.closeTo(hands, 1e-9);
    }
  });

  it('wait as long as the craft says: fray fluid and glue 5 min, a soak 3 h, drying overnight 10 h', () => {
    const waits = (['fray-fluid', 'glue', 'soak', 'dry'] as const).map(
      (why) => handTime({ do: 'wait', why }, tab, DEFAULT_HAND_TIMES, machine).waiting / 60
    );
    expect(waits).to.deep.equal([5, 5, 180, 600]);
  });

  it('name what is gone instead of breaking', () => {
    const op: Operation = {
      do: 'trim',
      pieceIds: ['sleeve'],
      lineId: 'cuff',
      side: 'inside',
      margin: 2
    };
    const words = wordingOf(op, { item: tab, unit: 'mm', hoop: HOOP_AT_START });
    expect(`${words.title} ${words.detail}`).to.match(/a piece that is gone.*line that is gone/);
    expect(handTime(op, tab, DEFAULT_HAND_TIMES, machine).hands).to.equal(30);
  });
});

describe('the hoop’s whereabouts', () => {
  const after = (...ops: Operation[]): HoopState => ops.reduce(hoopAfter, HOOP_AT_START);
  const hoop: Operation = { do: 'hoop', pieceIds: ['stabiliser'], sticky: false };

  it('follow what hands do', () => {
    expect(after(hoop)).to.deep.equal({ where: 'off', turned: false });
    expect(after(hoop, { do: 'hoop-on' })).to.deep.equal({ where: 'on', turned: false });
    expect(after(hoop, { do: 'hoop-on' }, { do: 'frame-forward' })).to.deep.equal({
      where: 'forward',
      turned: false
    });
    expect(after(hoop, { do: 'hoop-on' }, { do: 'frame-forward' }, { do: 'frame-back' }).where).to.equal(
      'on'
    );
    expect(after(hoop, { do: 'hoop-on' }, { do: 'hoop-off' }, { do: 'turn-over' })).to.deep.equal({
      where: 'off',
      turned: true
    });
    expect(after(hoop, { do: 'turn-over' }, { do: 'unhoop' })).to.deep.equal({
      where: 'unhooped',
      turned: false
    });
  });
  it('are not changed by any other step', () => {
    const movers = ['hoop', 'unhoop', 'hoop-on', 'hoop-off', 'turn-over', 'frame-forward', 'frame-back'];
    const state: HoopState = { where: 'off', turned: true };
    for (const { op } of TABLE)
      if (!movers.includes(op.do)) expect(hoopAfter(state, op), op.do).to.equal(state);
  });
  it('are said in words', () => {
    expect(
      [
        HOOP_AT_START,
        after(hoop),
        after(hoop, { do: 'hoop-on' }),
        after(hoop, { do: 'turn-over' }),
        after(hoop, { do: 'unhoop' })
      ].map(hoopWords)
    ).to.deep.equal([
      'Nothing hooped yet',
      'Hoop off',
      'Hoop on the machine',
      'Hoop off, turned over',
      'Out of the hoop'
    ]);
  });
  it('warn when a hoop still turned over is put on', () => {
    const words = wordingOf(
      { do: 'hoop-on' },
      { item: badgerTab(), unit: 'mm', hoop: after(hoop, { do: 'turn-over' }) }
    );
    expect(words.detail).to.match(/turn it back first/);
  });
});
