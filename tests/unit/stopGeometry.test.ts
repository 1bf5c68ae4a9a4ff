import { extentsOfAll, pathData, pathLength } from '$lib/core/base/geometry';
import type { Item, Stop } from '$lib/core/documents/item';
import type { PlanStop } from '$lib/core/documents/plan/schema';
import { review } from '$lib/core/making/checks';
import { plan } from '$lib/core/making/plan';
import { matchPaper, withPaperNotes } from '$lib/core/reading/matching';
import { readChart } from '$lib/core/reading/papers';
import {
  measure,
  packStitches,
  readSizes,
  readStitchList,
  runStitches,
  stitchListCsv,
  stitchListOf
} from '$lib/core/stitching/stitches';
import { drawStitches } from '$lib/ui/hoop/drawStitches';
import { expect } from 'chai';
import { badgerShop, makeItem } from './support/badger';
import { checkOf } from './support/findingWords';

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

describe('a stop of a construction', () => {
  it('edged in blanket stitch bites as deep as its edge, and counts three stitches a bite', () => {
    const item = makeItem('fused-applique', { edge: 'blanket' });
    const stop = planned(item, 'applique-edge');
    const line = item.lines.find(({ id }) => id === 'first');
    if (!line) throw new Error('no line');
    // Every 2.5 mm a bite of 3 mm there and back, and the step along.
    const bites = pathLength(line.path) / 2.5;
    expect(stop.countSource).to.equal('geometry');
    expect(stop.stitches).to.be.closeTo(3 * bites, 6);
    expect(stop.geometry?.length).to.be.closeTo(bites * (2 * 3 + 2.5), 0.05 * bites * 8.5);
  });
  it('is in the stitch list of its item with the machine’s number', () => {
    const item = makeItem('snap-tab', {});
    const listed = stitchListOf(item);
    expect(listed.map(({ stop }) => stop)).to.include(1);
    const numbers = item.files.flatMap(({ stops }) => stops.map(({ number }) => number));
    expect(listed.every(({ stop }) => numbers.includes(stop))).to.equal(true);
    const read = readStitchList(stitchListCsv(listed));
    expect([read.problems, read.stops.length]).to.deep.equal([[], listed.length]);
  });
});

describe('the maker’s own accuracy', () => {
  const patch = makeItem('border-patch', {});
  const raw = (cutAccuracy: number): string[] =>
    review(patch, undefined, { ...badgerShop(), cutAccuracy })
      .checked.open.filter(({ code }) => checkOf(code) === 'raw-edge')
      .map(({ text }) => text);
  it('decides whether a satin is wide enough for the raw edge', () => {
    // A satin of 4 mm, half of it inside: 2 mm are enough for cuts that stray by 1 mm.
    expect(raw(1)).to.deep.equal([]);
    expect(raw(2.5)[0]).to.match(/4 mm wide, does not hide the edge of PATCH: its cut edge can stick out/);
  });
});

describe('instructions on the steps of a plan', () => {
  const tab = makeItem('snap-tab', {});
  const sheet = readChart(
    '1. Hoop the stabiliser.\n2. Lay the front over the placement line.\n3. Thank the badger warmly.'
  );
  const matches = matchPaper(plan(tab, undefined, badgerShop()), sheet.instructions);
  it('become notes beside them; one without a step stands in the item’s note', () => {
    const noted = withPaperNotes(tab, matches);
    const noteOf = (stepId: string): string => noted.steps.find(({ id }) => id === stepId)?.note ?? '';
    expect(noteOf('hoop')).to.include('Paper 1: Hoop the stabiliser.');
    expect(noteOf('lay-front')).to.include('Paper 2: Lay the front over the placement line.');
    expect(noted.note).to.equal('Paper 3: Thank the badger warmly.');
  });
  it('keep what was noted before', () => {
    const before = { ...tab, note: 'For the stall.' };
    expect(withPaperNotes(before, matches).note).to.equal(
      'For the stall.\nPaper 3: Thank the badger warmly.'
    );
  });
});

describe('stitches on the screen', () => {
  const many = runStitches(
    {
      closed: false,
      points: [
        [0, 0],
        [100, 0]
      ]
    },
    { length: 0.5 }
  );
  it('are drawn once for each dot, however many there are', () => {
    const drawn: number[] = [];
    const nothing = (): void => undefined;
    const context = {
      beginPath: nothing,
      moveTo: nothing,
      stroke: nothing,
      lineTo: (x: number) => void drawn.push(x),
      strokeStyle: '',
      lineWidth: 0,
      lineJoin: 'miter' as const,
      globalAlpha: 1
    };
    const layer = { stitches: many, colour: '#b08d3c', now: true };
    // 200 stitches of half a millimetre: at two dots a millimetre all are seen, at a tenth of a dot one in eight.
    expect(drawStitches(context, layer, 2)).to.equal(200);
    drawn.length = 0;
    expect(drawStitches(context, layer, 0.1)).to.be.within(20, 30);
    expect(drawn.length).to.be.within(20, 30);
  });
});

describe('sizes copied from a machine', () => {
  it('are read however they are set apart', () => {
    expect(readSizes('91.2  92,7 mm; 94')).to.deep.equal([91.2, 92.7, 94]);
    expect(readSizes('none, 0, 5000')).to.deep.equal([]);
  });
});

describe('a path written down', () => {
  it('is the data of an SVG path, closed where it is closed', () => {
    expect(
      pathData({
        closed: true,
        points: [
          [0, 0],
          [10.00049, 0],
          [0, -5]
        ]
      })
    ).to.equal('M0 0L10 0L0 -5Z');
    expect(extentsOfAll([])).to.equal(undefined);
  });
});
