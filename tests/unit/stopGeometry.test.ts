import { pathLength } from '$lib/core/geometry';
import type { Item, Stop } from '$lib/core/item';
import { plan, type PlanStop } from '$lib/core/plan';
import { measure, packStitches, runStitches } from '$lib/core/stitch';
import { expect } from 'chai';
import { badgerShop, makeItem } from './support/badger';

const planned = (item: Item, role: Stop['role']): PlanStop => {
  const stop = plan(item, undefined, badgerShop()).steps.find((step) => step.stop?.role === role)?.stop;
  if (!stop) throw new Error(`no ${role}`);
  return stop;
};
const changed = (item: Item, role: Stop['role'], change: Partial<Stop>): Item => ({
  ...item,
  files: item.files.map((file) => ({
    ...file,
    stops: file.stops.map((stop) => (stop.role === role ? { ...stop, ...change } : stop))
  }))
});

describe('a stop whose geometry is known', () => {
  const tab = makeItem('snap-tab', { width: 30, height: 94 });
  it('takes count, thread and density from its line, and says so', () => {
    const stop = planned(tab, 'placement');
    const line = tab.lines.find(({ id }) => tab.files[0]?.stops[0]?.lineIds.includes(id));
    if (!line) throw new Error('no line');
    // Stitches of at most 2.5 mm along the outline, each with 2.5 mm of take-up.
    const count = Math.ceil(pathLength(line.path) / 2.5);
    expect(stop.stitches).to.be.within(count, count + 4);
    expect([stop.countSource, stop.threadSource, stop.geometry?.source]).to.deep.equal([
      'geometry',
      'geometry',
      'lines'
    ]);
    expect(stop.upperMetres).to.be.closeTo((pathLength(line.path) + stop.stitches * 2.5) / 1000, 0.01);
  });
  it('keeps the chart’s count, its stitches as long as the line asks', () => {
    const stop = planned(
      changed(tab, 'placement', { countSource: 'chart', phases: [{ stitches: 100, attended: false }] }),
      'placement'
    );
    expect([stop.stitches, stop.countSource, stop.threadSource]).to.deep.equal([100, 'chart', 'geometry']);
    expect((stop.geometry?.length ?? 0) / 100).to.be.within(2, 2.6);
  });
  it('uses stitches that came in one by one before anything else', () => {
    const stitches = runStitches(
      {
        closed: true,
        points: [
          [-10, -10],
          [10, -10],
          [10, 10],
          [-10, 10]
        ]
      },
      { length: 2 }
    );
    const stop = planned(
      changed(tab, 'decoration', { stitched: packStitches(stitches, 'list'), lineIds: [] }),
      'decoration'
    );
    expect([stop.stitches, stop.geometry?.source]).to.deep.equal([measure(stitches).count, 'list']);
    // 40 stitches in a square of 20 mm.
    expect(stop.geometry?.density).to.be.closeTo(40 / 400, 1e-6);
  });
  it('that only bounds what it stitches keeps the average, unless its stitches can be laid', () => {
    expect(planned(tab, 'decoration')).to.include({
      countSource: 'estimate',
      threadSource: 'role-average',
      geometry: null
    });
    const bib = planned(makeItem('turned-flat', {}), 'quilting');
    // Stippled 6 mm apart, the walk is about the area over 6 mm long, in stitches of 2.2 mm.
    expect(bib.countSource).to.equal('geometry');
    const area = (bib.geometry?.length ?? 0) * 6;
    expect(bib.stitches).to.be.within(area / 6 / 2.2, area / 6 / 1.8);
  });
  it('charted as bare path is given its take-up', () => {
    const row = { line: 1, number: 1, name: 'x', colour: '', stitches: 100, threadMetres: 0.25 };
    const charted = changed(tab, 'placement', {
      countSource: 'chart',
      chart: row,
      phases: [{ stitches: 100, attended: false }]
    });
    const path: Item = {
      ...charted,
      files: charted.files.map((file) => ({ ...file, threadMeaning: 'path' }))
    };
    expect(planned(charted, 'placement').upperMetres).to.equal(0.25);
    // 100 stitches × 2.5 mm of take-up.
    expect(planned(path, 'placement').upperMetres).to.equal(0.5);
  });
});
