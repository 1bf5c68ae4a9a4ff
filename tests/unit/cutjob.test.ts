import { type CutJob, type KeptStrip, newCutJob } from '$lib/core/documents/cutJob';
import type { Hoop } from '$lib/core/documents/shop';
import type { ClothEntry, StashChange, StashEntry } from '$lib/core/documents/stash';
import { chosen, confirmCut, type Demand, type MaterialPlan, undoCut } from '$lib/core/preparing/cutting';
import { piecesIn } from '$lib/core/preparing/cutting/kept';
import { expect } from 'chai';
import { badgerShop, NOW } from './support/badger';
import { clothOf, demandOf, placedOn, planned } from './support/cutting';

const shop = badgerShop();

describe('the maker’s own choices', () => {
  const entries = [
    clothOf({ id: 'length', width: 1100, height: 500 }),
    clothOf({ id: 'red', name: 'Carriage red', width: 1100, height: 500 })
  ];
  const front = demandOf('front', 100, 100, 4);
  it('put pieces on another cloth, and no more of them than are wanted', () => {
    const job = { ...newCutJob('item', 1), ...chosen({ choices: [] }, front, 'red', 1) };
    expect(placedOn(planned([front], entries, job))).to.deep.equal({ length: 3, red: 1 });
    const all = chosen(job, front, 'red', 9).choices;
    expect(all).to.deep.equal([{ key: 'front', clothId: 'red', count: 4 }]);
    // Two go on to the length, so only two can stay on the red one.
    expect(chosen({ choices: all }, front, 'length', 2).choices).to.deep.equal([
      { key: 'front', clothId: 'red', count: 2 },
      { key: 'front', clothId: 'length', count: 2 }
    ]);
  });
  it('fall away with a cloth that is gone', () => {
    const job = { ...newCutJob('item', 1), ...chosen({ choices: [] }, front, 'gone', 2) };
    expect(placedOn(planned([front], entries, job))).to.deep.equal({ length: 4 });
  });
  it('keep a strip while the rest is planned anew, as long as its pieces are wanted', () => {
    const [before] = planned([front], entries);
    const strip = before?.cloths[0]?.strips[0]?.strip;
    if (!strip) throw new Error('There is no strip.');
    const job = { ...newCutJob('item', 1), kept: [{ clothId: 'length', along: false, strip }] };
    const more = planned([{ ...front, count: 6 }, demandOf('back', 300, 200, 1)], entries, job);
    expect(more[0]?.cloths[0]?.strips[0]).to.deep.equal({ strip, kept: true });
    expect(placedOn(more)).to.deep.equal({ length: 7 });
    const larger = planned([{ ...front, cut: { width: 110, height: 110 } }], entries, job);
    expect(larger[0]?.cloths[0]?.strips.every(({ kept }) => !kept)).to.equal(true);
  });
});

describe('strips that are kept', () => {
  const fat = clothOf({ id: 'fat', form: 'sheets', width: 457.2, height: 558.8, count: 3 });
  const front = demandOf('front', 220, 270, 5);
  const keptFrom = (plans: MaterialPlan[], which: number): KeptStrip[] =>
    plans.flatMap(({ cloths }) =>
      cloths
        .slice(which, which + 1)
        .flatMap(({ cloth, along, strips }) =>
          strips.map(({ strip }) => ({ clothId: cloth.id, along, strip }))
        )
    );
  it('are shown though they lie on a later sheet and nothing else is left to lay out', () => {
    const kept = keptFrom(planned([front], [fat]), 1);
    expect(kept.map(({ clothId }) => clothId)).to.deep.equal(['fat#2']);
    const job = { ...newCutJob('item', 1), kept };
    expect(placedOn(planned([{ ...front, count: 1 }], [fat], job))).to.deep.equal({ 'fat#2': 1 });
  });
  it('are shown on a cloth of another material too', () => {
    const red = clothOf({ id: 'red', name: 'Carriage red', width: 1100, height: 500 });
    const job = { ...newCutJob('item', 1), ...chosen({ choices: [] }, front, 'red', 5) };
    const kept = planned([front], [red], job).flatMap((each) => keptFrom([each], 0));
    expect(kept).to.have.length.above(0);
    expect(placedOn(planned([front], [red], { ...job, kept }))).to.deep.equal({ red: 5 });
  });
  it('fall away on what has yet to be bought, and are planned again', () => {
    const kept = keptFrom(planned([front], []), 0);
    const again = planned([front], [], { ...newCutJob('item', 1), kept });
    expect(again[0]?.buy?.count).to.equal(planned([front], [])[0]?.buy?.count);
    expect(Object.values(placedOn(again)).reduce((a, b) => a + b, 0)).to.equal(5);
  });
});

describe('a strip marked as cut', () => {
  const hoops: Hoop[] = shop.hoops;
  const rule = { by: 'side', side: 90, margin: 25 } as const;
  let ids = 0;
  const freshId = (): string => `offcut-${++ids}`;
  const applied = (stash: readonly StashEntry[], changes: readonly StashChange[]): StashEntry[] => {
    const rest = stash.filter(({ id }) => !changes.some((change) => change.id === id));
    return [...rest, ...changes.flatMap(({ after }) => after ?? [])];
  };
  const cut = (
    job: CutJob,
    demands: Demand[],
    entries: ClothEntry[]
  ): { job: CutJob; changes: StashChange[]; entries: ClothEntry[] } => {
    const plans = planned(demands, entries, job);
    const cloth = plans[0]?.cloths[0];
    const entry = entries.find(({ id }) => id === cloth?.entryId);
    if (!cloth || !entry) throw new Error('There is nothing to cut.');
    const made = confirmCut({ job, plans, cloth, entry, rule, hoops, now: NOW, freshId });
    return { ...made, entries: applied(entries, made.changes) as ClothEntry[] };
  };

  it('takes its height off the length, and puts the offcut back', () => {
    // Three of 200 across 1,100 leave 500 x 150, which is more than 90 on its shorter side.
    const demands = [demandOf('front', 200, 150, 3, { grain: 'fixed' })];
    const length = clothOf({ id: 'length', width: 1100, height: 500, place: 'Shelf' });
    const after = cut(newCutJob('item', 1), demands, [length]);
    expect(after.entries[0]).to.deep.equal({ ...length, height: 350 });
    expect(after.entries[1]).to.include({
      form: 'scrap',
      width: 500,
      height: 150,
      place: 'Shelf',
      price: null
    });
    expect(planned(demands, after.entries, after.job)[0]?.cloths ?? []).to.deep.equal([]);
    const back = undoCut(after.job, after.entries);
    expect(back?.ok).to.equal(true);
    if (back?.ok) {
      expect(applied(after.entries, back.changes)).to.deep.equal([length]);
      expect(placedOn(planned(demands, [length], back.job))).to.deep.equal({ length: 3 });
    }
  });
  it('cannot be taken back once the offcut has been used', () => {
    const demands = [demandOf('front', 200, 150, 3, { grain: 'fixed' })];
    const after = cut(newCutJob('item', 1), demands, [clothOf({ id: 'length', width: 1100, height: 500 })]);
    const used = after.entries.filter(({ form }) => form !== 'scrap');
    expect(undoCut(after.job, used)).to.deep.include({ ok: false });
    expect(undoCut(newCutJob('item', 1), used)).to.equal(undefined);
  });
  it('turns a sheet into an offcut of its own, and the plan of the other sheets stays', () => {
    const demands = [demandOf('front', 220, 270, 5)];
    const fat = clothOf({ id: 'fat', form: 'sheets', width: 457.2, height: 558.8, count: 3 });
    const first = cut(newCutJob('item', 1), demands, [fat]);
    expect(first.entries.find(({ id }) => id === 'fat')?.count).to.equal(2);
    const opened = first.job.done[0]?.moved?.to;
    expect(opened).to.match(/^offcut-/);
    const then = planned(demands, first.entries, first.job);
    const counts = placedOn(then);
    expect(Object.values(counts).reduce((a, b) => a + b, 0)).to.equal(3);
    // What lay on the second sheet lies there still, which is the first of those that are left.
    expect(counts).to.deep.equal({ [opened ?? '']: 2, 'fat#1': 1 });
    const back = undoCut(first.job, first.entries);
    if (!back?.ok) throw new Error('It could not be taken back.');
    const restored = applied(first.entries, back.changes) as ClothEntry[];
    expect(restored).to.deep.equal([fat]);
    expect(placedOn(planned(demands, restored, back.job))).to.deep.equal({ 'fat#1': 4, 'fat#2': 1 });
  });
  it('never gives more or less cloth than there was', () => {
    let state = {
      job: newCutJob('item', 1),
      entries: [
        clothOf({ id: 'length', width: 700, height: 600 }),
        clothOf({ id: 'scrap', form: 'scrap', width: 300, height: 260 })
      ]
    };
    const demands = [demandOf('a', 140, 120, 5), demandOf('b', 90, 210, 4), demandOf('c', 60, 60, 3)];
    const area = (entries: ClothEntry[]): number =>
      entries.reduce((sum, { width, height, count }) => sum + width * height * count, 0);
    for (
      let strips = 0;
      strips < 20 && planned(demands, state.entries, state.job)[0]?.cloths.length;
      strips++
    ) {
      const before = area(state.entries);
      const after = cut(state.job, demands, state.entries);
      const last = after.job.done.at(-1)?.kept.strip;
      const pieces = (last?.columns ?? []).flatMap(({ pieces: own }) => own);
      const cutAway = pieces.reduce((sum, { width, height }) => sum + width * height, 0);
      expect(area(after.entries) + cutAway).to.be.at.most(before + 0.5);
      state = { job: after.job, entries: after.entries };
    }
    const done = state.job.done.flatMap(({ kept }) => [...piecesIn(kept.strip)]);
    const total = (key: string): number =>
      done.filter(([own]) => own === key).reduce((sum, [, count]) => sum + count, 0);
    expect([total('a'), total('b'), total('c')]).to.deep.equal([5, 4, 3]);
  });
});
