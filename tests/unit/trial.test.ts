import { expect } from 'chai';
import { defaultShop, Shop, type Trial } from '$lib/core/documents/shop';
import type { Item, Material } from '$lib/core/documents/item';
import { review } from '$lib/core/making/checks';
import { beforeStart } from '$lib/core/running/runs';
import { OVERLAPS, SPACINGS, trialFor, trialItem, trialWords, withTrial } from '$lib/core/running/trial';
import { geometryOf, stitchListOf } from '$lib/core/stitching/stitches';
import { made } from './support/made';

const vinyl: Material = { kind: 'vinyl', name: 'Buff vinyl', colour: '#d9bd8b' };
const threads = ['Brass', 'White', 'Ink black', 'Cream'].map((name) => ({ name, colour: '#b58a3c' }));
const trial = (count = 2, cloth = vinyl): Item =>
  trialItem(
    { cloth, threads: threads.slice(0, count), stabiliser: 'tear-away', of: 'tab' },
    { id: 't', name: 'Test', now: '2026-01-01T00:00:00.000Z' }
  );
const shown = (more: Partial<Trial> = {}): Trial => ({
  id: 'run Brass',
  at: '2026-11-01T10:00:00.000Z',
  itemId: null,
  kind: 'vinyl',
  cloth: 'Buff vinyl',
  thread: 'Brass',
  tension: 'even',
  spacing: null,
  overlap: null,
  cut: null,
  ...more
});

describe('a test stitch', () => {
  it('has a tension part for each thread up to three, and can be stitched without a finding', () => {
    for (const count of [1, 2, 3, 4]) {
      const item = trial(count);
      const names = item.files.flatMap(({ stops }) => stops.map(({ name }) => name));
      expect(names.filter((name) => name.startsWith('Tension'))).to.have.length(Math.min(3, count));
      expect(
        review(item, undefined, defaultShop('trial')).checked.open.filter(
          ({ severity }) => severity !== 'note'
        )
      ).to.deep.equal([]);
    }
    for (const kind of ['woven', 'felt', 'knit', 'towelling'] as const)
      expect(trial(1, { ...vinyl, kind }).pieces.some(({ material }) => material.kind === kind)).to.equal(
        true
      );
  });
  it('brings its own stitches, so that it goes out as a stitch list', () => {
    const item = trial();
    const known = item.files.flatMap(({ stops }) => stops).filter((stop) => stop.stitched);
    expect(known.map(({ name }) => name)).to.deep.equal([
      'Tension, Brass',
      'Tension, White',
      'Density, four squares',
      'Line for the strip',
      'Edge, four overlaps',
      'Square to cut on'
    ]);
    for (const stop of known) {
      const { stitches } = geometryOf(stop, item) ?? {};
      expect(stitches?.x.length).to.equal(stop.phases[0]?.stitches);
      // All of it lies inside the 96 mm it takes.
      expect(
        Math.max(...Array.from(stitches?.x ?? [], Math.abs), ...Array.from(stitches?.y ?? [], Math.abs))
      ).to.be.at.most(48);
    }
    expect(stitchListOf(item).length).to.be.at.least(known.length);
  });
  it('lays four densities: 14 mm of rows 0.35 to 0.5 mm apart, fewer stitches from square to square', () => {
    const stop = trial().files[0]?.stops.find(({ name }) => name.startsWith('Density'));
    const stitches = stop && geometryOf(stop, trial())?.stitches;
    const counts = SPACINGS.map(
      (_, at) => Array.from(stitches?.x ?? []).filter((x) => Math.abs(x - (-33 + at * 22)) <= 7.01).length
    );
    expect(counts).to.deep.equal(counts.toSorted((a, b) => b - a));
    // 14 / 0.35 is 40 rows, 14 / 0.5 is 28: 1.43 times as many.
    expect((counts[0] ?? 0) / (counts[3] ?? 1)).to.be.closeTo(40 / 28, 0.12);
  });
  it('reaches further over the cut edge from part to part, by what is said', () => {
    const item = trial();
    const stop = item.files[0]?.stops.find(({ name }) => name.startsWith('Edge'));
    const stitches = stop && geometryOf(stop, item)?.stitches;
    const reach = OVERLAPS.map((_, part) => {
      const ys = Array.from(stitches?.x ?? []).flatMap((x, at) =>
        x >= -40 + part * 18 + 1 && x <= -40 + part * 18 + 17 ? [stitches?.y[at] ?? 0] : []
      );
      return Math.round((Math.max(...ys) - 16) * 10) / 10;
    });
    expect(reach).to.deep.equal([...OVERLAPS]);
  });
});

describe('what a test stitch showed', () => {
  const tab = made('snap-tab', { front: vinyl }).item;
  it('is found for the item itself, else for its cloth, else for its kind of cloth; the newest first', () => {
    const felt = shown({ id: 'felt', kind: 'felt', cloth: 'Grey felt' });
    const other = shown({ id: 'other', cloth: 'Red vinyl', at: '2026-11-05T10:00:00.000Z' });
    const same = shown({ id: 'same' });
    const own = shown({ id: 'own', kind: 'knit', itemId: tab.id, at: '2020-01-01T00:00:00.000Z' });
    const found = (...trials: Trial[]): string | undefined => trialFor({ trials }, tab)?.id;
    expect(found(felt)).to.equal(undefined);
    expect(found(felt, other)).to.equal('other');
    expect(found(felt, other, same)).to.equal('same');
    expect(found(felt, other, same, own)).to.equal('own');
    expect(trialFor({}, tab)).to.equal(null);
  });
  it('is said before the start, and how exactly one cuts is reckoned with', () => {
    const said = trialWords(shown({ tension: 'bobbin-above', overlap: 1, spacing: 0.4 }));
    expect(said[0]).to.match(/With Brass the bobbin showed above: loosen/);
    expect(said.slice(1)).to.deep.equal([
      'An edge held from 1 mm over the cut edge.',
      'Rows 0.4 mm apart covered the cloth.'
    ]);
    const { plan, item } = made('snap-tab', { front: vinyl });
    const checks = beforeStart({
      plan,
      item,
      machine: undefined,
      bobbins: { wind: [], changes: 0, heads: 1 },
      needles: { rows: [], advice: [], needles: [] },
      bobbinName: (colour) => colour,
      trial: said
    });
    expect(checks.find(({ id }) => id === 'trial')?.detail).to.include('loosen the upper tension');
    const shop = withTrial(defaultShop('s'), shown({ cut: 0.5 }));
    expect(shop.cutAccuracy).to.equal(0.5);
    expect(Shop.parse(shop).trials).to.have.length(1);
    // Said again of the same run and thread it takes the place of what was said before.
    expect(withTrial(shop, shown({ tension: 'loops-above' })).trials).to.have.length(1);
    expect(withTrial(shop, shown({ id: 'two' })).cutAccuracy).to.equal(0.5);
  });
});
