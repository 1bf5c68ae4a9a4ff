import { brokenReferences, Item, type Item as ItemType, stitchesOf } from '$lib/core/documents/item';
import { align, type Alignment } from '$lib/core/reading/matching';
import { readChart } from '$lib/core/reading/papers';
import { expect } from 'chai';
import fc from 'fast-check';
import { BADGER_CHART, badgerTab, makeItem, patternOf } from './support/badger';
import { CONSTRUCTIONS } from '$lib/core/craft/constructions';

const { expected } = patternOf('snap-tab').pattern;
const keysOf = ({ matches }: Alignment): string[] => matches.map(({ keys }) => keys.join('+'));
const ops = (item: ItemType): string[] =>
  item.steps.map((step) => (step.kind === 'stop' ? step.id : step.op.do));
const stops = (item: ItemType): [number | null, string, string][] =>
  (item.files[0]?.stops ?? []).map(({ number, name, role }) => [number, name, role]);

describe('alignment of a chart with a construction', () => {
  it('puts the badger’s rows on the tab: details repeat, the outline holds the hole marks', () => {
    const found = align(readChart(BADGER_CHART).rows, expected);
    expect(keysOf(found)).to.deep.equal([
      'placement',
      'tack-down',
      'details',
      'details',
      'details',
      'outline+holes'
    ]);
    expect(found.missing).to.deep.equal([]);
  });
  it('gives hole marks their own row where the chart has one', () => {
    const found = align(readChart(`${BADGER_CHART}\n7 hole marks white 40`).rows, expected);
    expect(keysOf(found).slice(5)).to.deep.equal(['outline', 'holes']);
  });
  it('leaves a row the pattern does not know as an extra stop, in its place', () => {
    const found = align(
      readChart(`1 basting box grey 80\n2 placement grey 120\n3 tack-down black 120\n4 outline white 420`)
        .rows,
      expected
    );
    expect(keysOf(found)).to.deep.equal(['', 'placement', 'tack-down', 'outline+holes']);
  });
  it('says which expected stop has no row', () => {
    const withoutTack = BADGER_CHART.split('\n')
      .filter((line) => !line.includes('tack'))
      .join('\n');
    expect(align(readChart(withoutTack).rows, expected).missing).to.deep.equal(['tack-down']);
  });
  it('keeps what the maker matched by hand', () => {
    const { rows } = readChart(BADGER_CHART);
    const found = align(rows, expected, [
      { line: 1, keys: ['tack-down', 'placement'] },
      { line: 2, keys: [] },
      { line: 4, keys: ['outline'] }
    ]);
    expect(keysOf(found).slice(0, 4)).to.deep.equal(['placement+tack-down', '', 'details', 'outline']);
    expect(found.matches.map(({ fixed }) => fixed)).to.deep.equal([true, true, false, true, false, false]);
  });
  it('lets several rows stand on one stop when the maker says so', () => {
    const found = align(readChart(BADGER_CHART).rows, expected, [
      { line: 1, keys: ['placement'] },
      { line: 2, keys: ['placement'] }
    ]);
    expect(keysOf(found).slice(0, 2)).to.deep.equal(['placement', 'placement']);
    expect(found.missing).to.deep.equal(['tack-down']);
  });
  it('drops a match that would turn the chart’s order round, and says which', () => {
    const found = align(readChart(BADGER_CHART).rows, expected, [
      { line: 1, keys: ['outline'] },
      { line: 3, keys: ['tack-down'] }
    ]);
    expect(found.dropped).to.deep.equal([{ line: 3, keys: ['tack-down'] }]);
  });

  const row = fc.constantFrom(
    'placement grey 120',
    'tack-down black 90',
    'face white 900',
    'outline white 400',
    'lace pink 30',
    'x 5'
  );
  it('keeps chart order and never puts two rows on a stop that does not repeat', () => {
    fc.assert(
      fc.property(fc.array(row, { maxLength: 9 }), (rows) => {
        const found = align(readChart(rows.map((text, at) => `${at + 1} ${text}`).join('\n')).rows, expected);
        const order = found.matches
          .flatMap(({ keys }) => keys)
          .map((key) => expected.findIndex((stop) => stop.key === key));
        expect(order).to.deep.equal([...order].sort((a, b) => a - b));
        const single = order.filter((at) => expected[at]?.repeats === false);
        expect(new Set(single).size).to.equal(single.length);
      })
    );
  });
});

describe('snap tab', () => {
  it('comes out of the chart as one sheet: every stop with its machine number, every hand step between', () => {
    const tab = badgerTab();
    expect(ops(tab)).to.deep.equal([
      ...['hoop', 'hoop-on', 'stop-1', 'lay', 'stop-2', 'stop-3', 'stop-4', 'stop-5'],
      ...['hoop-off', 'turn-over', 'snip', 'lay', 'turn-over', 'hoop-on', 'check-under', 'stop-6'],
      ...['hoop-off', 'inspect', 'snip', 'unhoop', 'untape', 'tear-away', 'cut-out', 'punch', 'hardware']
    ]);
    expect(stops(tab)).to.deep.equal([
      [1, 'Placement line', 'placement'],
      [2, 'Tack-down', 'tack-down'],
      [3, 'Face', 'decoration'],
      [4, 'Cheeks', 'decoration'],
      [5, 'Eyes', 'decoration'],
      [6, 'Outline and hole marks', 'closing-seam']
    ]);
    expect(tab.variants[0]?.finished).to.deep.equal({ width: 36, height: 100 });
    expect(tab.remarks).to.deep.equal([]);
  });
  it('keeps the outline’s thread on for stops nobody sees apart, and the charted colour beside it', () => {
    const tab = badgerTab();
    const used = (tab.files[0]?.stops ?? []).map((stop) => [
      stop.chart?.colour,
      tab.threads.find(({ id }) => id === stop.threadId)?.name
    ]);
    expect(used).to.deep.equal([
      ['grey', 'White'],
      ['black', 'White'],
      ['white', 'White'],
      ['pink', 'Pink'],
      ['black', 'Black'],
      ['white', 'White']
    ]);
  });
  it('has the machine halt only where hands follow', () => {
    expect((badgerTab().files[0]?.stops ?? []).map(({ halts }) => halts)).to.deep.equal([
      true,
      false,
      false,
      false,
      true,
      true
    ]);
  });
  it('keeps the hand steps of a stop the chart lacks, gives it no number, and warns', () => {
    const tab = makeItem('snap-tab', {}, BADGER_CHART.replace('2 tack-down black 120 0.60 m\n', ''));
    const missing = tab.files[0]?.stops.find(({ expects }) => expects === 'tack-down');
    expect(missing).to.include({ number: null, countSource: 'none' });
    expect(stitchesOf(missing ?? ({ phases: [{ stitches: 1 }] } as never))).to.equal(0);
    expect(ops(tab).filter((op) => op === 'lay')).to.have.length(2);
    expect(tab.remarks.map(({ severity, stepId }) => [severity, stepId])).to.deep.equal([
      ['warn', 'stop-tack-down']
    ]);
    expect(tab.remarks[0]).to.include({ code: 'chart/no-row' });
    expect(tab.remarks[0]?.values).to.deep.equal({ stop: 'tack-down' });
  });
  it('runs one row twice where it stands for stops with hand steps between', () => {
    const tab = makeItem('snap-tab', {}, BADGER_CHART, [
      { line: 1, keys: ['placement', 'tack-down'] },
      { line: 2, keys: [] }
    ]);
    const passes = tab.steps.flatMap((step) =>
      step.kind === 'stop' && step.stopId === 'stop-1' ? [step.pass] : []
    );
    expect(passes).to.deep.equal([1, 2]);
    // The extra row comes after what is laid on the stop before it.
    expect(ops(tab).slice(2, 6)).to.deep.equal(['stop-1', 'lay', 'stop-2', 'stop-1-again-2']);
    expect(tab.remarks.map(({ code, stepId }) => `${code} ${stepId}`)).to.deep.equal([
      'chart/extra stop-2',
      'chart/again stop-1-again-2'
    ]);
  });
  it('without a chart numbers its own stops and says that the counts are estimates', () => {
    const tab = makeItem('snap-tab', {
      closing: 'eyelet',
      details: [
        { name: 'Fern', colour: '#4f7f4a' },
        { name: 'Rose', colour: '#c96f80' }
      ]
    });
    expect(stops(tab).map(([number, name]) => [number, name])).to.deep.equal([
      [1, 'Placement line'],
      [2, 'Tack-down'],
      [3, 'Detail 1'],
      [4, 'Detail 2'],
      [5, 'Outline'],
      [6, 'Hole mark']
    ]);
    expect(new Set(tab.files[0]?.stops.map(({ countSource }) => countSource))).to.deep.equal(
      new Set(['estimate'])
    );
    // Round the outline once at 2.5 mm a stitch: (128 + 30 pi) / 2.5 = 88.9.
    expect(stitchesOf(tab.files[0]?.stops[0] as never)).to.equal(89);
    expect(ops(tab).slice(-3)).to.deep.equal(['punch', 'hardware', 'hardware']);
  });
});

describe('patch in one hooping', () => {
  const CHART = '1 lamp slate 3150\n2 glow yellow 2240\n3 border satin brass 2610';
  it('sewn on: cut out at once, no adhesive, felt needs no sealing', () => {
    const patch = makeItem('patch', {}, CHART);
    expect(ops(patch)).to.deep.equal([
      ...['hoop', 'hoop-on', 'stop-1', 'stop-2', 'stop-3'],
      ...['hoop-off', 'inspect', 'snip', 'unhoop', 'tear-away', 'cut-roughly', 'cut-out']
    ]);
    expect(stops(patch)[2]).to.deep.equal([3, 'Border', 'satin-edge']);
    expect(patch.files[0]?.stops.map((stop) => stop.protected)).to.deep.equal([false, false, true]);
    expect(patch.variants[0]?.finished).to.deep.equal({ width: 82, height: 82 });
  });
  it('ironed on canvas: adhesive, then fray fluid and its wait, and only then the cut', () => {
    const patch = makeItem(
      'patch',
      { finish: 'iron-on', ground: { kind: 'canvas', name: 'Canvas', colour: '#31405c' } },
      CHART
    );
    expect(ops(patch).slice(-5)).to.deep.equal([
      'cut-roughly',
      'heat-adhesive',
      'fray-fluid',
      'wait',
      'cut-out'
    ]);
    expect(patch.steps.at(-1)?.needs).to.include.members(['heat-adhesive', 'wait-fray']);
  });
  it('warns when the chart has no border', () => {
    expect(
      makeItem('patch', {}, '1 lamp slate 3150').remarks.map(({ code, values }) => [code, values.stop])
    ).to.deep.equal([['chart/no-row', 'border']]);
  });
});

describe('every construction', () => {
  for (const construction of CONSTRUCTIONS) {
    it(`${construction.name}: its defaults make a whole item with no broken name, its needs lie before it`, () => {
      const item = makeItem(construction.kind);
      expect(Item.parse(item)).to.deep.equal(item);
      expect(brokenReferences(item)).to.deep.equal([]);
      item.steps.forEach((step, at) => {
        const before = item.steps.slice(0, at).map(({ id }) => id);
        expect(before, `${step.id} needs`).to.include.members(step.needs);
      });
    });
    it(`${construction.name}: every chart makes a whole item`, () => {
      const line = fc.constantFrom(
        'placement grey 120',
        'tack-down black 90',
        'face white 900',
        'outline white 400',
        'border brass 700',
        'lace pink 30'
      );
      fc.assert(
        fc.property(fc.array(line, { minLength: 1, maxLength: 8 }), (lines) => {
          const item = makeItem(
            construction.kind,
            {},
            lines.map((text, at) => `${at + 1} ${text}`).join('\n')
          );
          expect(brokenReferences(item)).to.deep.equal([]);
          const stitched = item.steps.flatMap((step) => (step.kind === 'stop' ? [step.stopId] : []));
          // Every row of the chart is stitched, in chart order the first time it runs.
          const first = [...new Set(stitched)].filter((id) => /^stop-\d+$/.test(id));
          expect(first).to.deep.equal(lines.map((_, at) => `stop-${at + 1}`));
        }),
        { numRuns: 40 }
      );
    });
    const length = construction.questions.find(({ kind }) => kind === 'length');
    if (!length) continue;
    it(`${construction.name}: a wrong answer is refused by its label`, () => {
      const wrong = construction.patternOf({ ...construction.defaults, [length.key]: 0.5 });
      expect(wrong).to.deep.include({ ok: false });
      if (!wrong.ok) expect(wrong.problems[0]).to.match(new RegExp(`^${length.label}: at least \\d+ mm`));
    });
  }
});
