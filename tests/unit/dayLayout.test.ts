import { expect } from 'chai';
import { newLine } from '$lib/core/documents/order';
import { type BatchPlan, planBatch } from '$lib/core/ordering/day';
import { dayName, dayScenes } from '../../src/lib/ui/day/layout';
import { machine, orderOf, patches, plainPatch, shopOf, SIX } from './support/orders';

const FROM = '2026-11-27T09:00';
const bench = { from: 540, to: 1080, breaks: [{ from: 750, to: 795 }], days: [1, 2, 3, 4, 5, 6] };
const labels = (id: string): string[] => [`hooping ${id}`, id];
const plan = planBatch(patches(30, shopOf([machine('one'), machine('two')]), { bench }), { rounds: 100 });

describe('a day drawn', () => {
  const scenes = dayScenes(plan, FROM, labels);

  it('is named, one scene for each day with work', () => {
    expect(dayName(FROM, 0)).to.equal('Friday 27 November');
    expect(dayName(FROM, 5)).to.equal('Wednesday 2 December');
    expect(scenes.map(({ name }) => name)[0]).to.equal('Friday 27 November');
    expect(scenes.every(({ name }) => !name.startsWith('Sunday'))).to.equal(true);
  });

  it('has a row for each machine that works and one for hands', () => {
    expect(scenes[0]?.rows.map(({ name }) => name)).to.deep.equal([
      'Machine one',
      'Machine two',
      'Your hands'
    ]);
    const two = planBatch(patches(12, shopOf([machine('one')]), { people: 2 }), { rounds: 20 });
    const names = dayScenes(two, FROM, labels)[0]?.rows.map(({ name }) => name);
    expect(names?.some((name) => name === 'Hands 1')).to.equal(names?.some((name) => name === 'Hands 2'));
  });

  it('keeps every bar within the day, true to time', () => {
    for (const { rows, hours } of scenes) {
      const seconds = (hours.length - 1) * 3600;
      for (const { bars } of rows)
        for (const { left, width } of bars) {
          expect(left).to.be.within(0, 1);
          expect(left + width).to.be.at.most(1 + 1e-9);
        }
      const needle = rows
        .filter(({ kind }) => kind === 'station')
        .flatMap(({ bars }) => bars)
        .filter(({ kind }) => kind === 'needle')
        .reduce((sum, { width }) => sum + width * seconds, 0);
      expect(needle).to.be.at.most(plan.needle + 1e-6);
    }
    const drawn = scenes.reduce(
      (sum, { rows, hours }) =>
        sum +
        rows
          .flatMap(({ bars, kind }) => (kind === 'station' ? bars : []))
          .reduce((all, bar) => all + (bar.kind === 'needle' ? bar.width * (hours.length - 1) * 3600 : 0), 0),
      0
    );
    expect(drawn).to.be.closeTo(plan.needle, 1);
  });

  it('labels each hooping on its machine, and shows hours of the wall', () => {
    const ids = scenes.flatMap(({ rows }) =>
      rows.flatMap(({ labels: own }) => own.map(({ hoopingId }) => hoopingId))
    );
    expect(new Set(ids)).to.deep.equal(new Set(plan.hoopings.map(({ id }) => id)));
    expect(scenes[0]?.hours[0]?.words).to.equal('9:00');
    expect(scenes[0]?.rows[0]?.labels[0]?.words[0]).to.match(/^hooping /);
  });

  it('says where one may walk away, on the day it is', () => {
    const away = scenes.flatMap((scene) => scene.away);
    expect(away.length).to.be.greaterThan(0);
    for (const { seconds } of away) expect(seconds).to.be.at.least(15 * 60);
    const ends = scenes.filter(({ end }) => end !== null);
    expect(ends).to.have.length(1);
    expect(ends[0]?.end?.words).to.match(/^\d{2}:\d{2}$/);
  });

  it('shows what dries as a wait that goes on past the day', () => {
    const lace = planBatch(
      {
        ...patches(2, shopOf([machine('one')])),
        order: orderOf([newLine('line', 'lace', 2)], { bench }),
        items: [{ item: plainPatch({ id: 'lace', stitches: 4000, wash: true }) }]
      },
      { rounds: 20 }
    );
    const days = dayScenes(lace, FROM, labels);
    const wait = days[0]?.rows.find(({ kind }) => kind === 'wait');
    expect(wait?.bars.some(({ torn }) => torn)).to.equal(true);
    // It is pressed on the next morning.
    expect(days).to.have.length(2);
    expect(lace.finish).to.be.greaterThan(86_400 + 9 * 3600);
  });
});

describe('a plan and its hoops', () => {
  it('compares the hoops by hands, needle and stabiliser, and says why one is taken', () => {
    const small = {
      ...{ ...SIX, id: 'small', name: 'Small hoop' },
      ...{ field: { width: 100, height: 100 }, ring: { width: 140, height: 140 } }
    };
    const made: BatchPlan = planBatch(patches(12, shopOf([machine('one')], [small, SIX])), { rounds: 20 });
    const [six, single] = made.lines[0]?.hoops ?? [];
    expect(six).to.include({ hoopId: 'six', copies: 6, hoopings: 2, recommended: true, nested: false });
    expect(single).to.include({ hoopId: 'small', copies: 1, hoopings: 12, recommended: false });
    // 240 × 320 for six, 190 × 190 for one.
    expect(six?.stabiliser).to.be.closeTo((0.24 * 0.32) / 6, 1e-9);
    expect(single?.stabiliser).to.be.closeTo(0.19 * 0.19, 1e-9);
    expect(six?.pitch).to.deep.equal({ x: 80, y: 80 });
    expect(made.hoopings[0]?.pitch).to.deep.equal({ x: 80, y: 80 });
    expect(six?.why).to.match(/Least hands/);
    expect(single?.why).to.match(/more hands/);
    expect(made.lines[0]?.words).to.equal('2 hoopings of 6');
  });

  it('takes the hoop the maker wants, and the most they want in it', () => {
    const lines = [{ ...newLine('line', 'patch', 8), hoopId: 'six', most: 4 }];
    const made = planBatch(
      { ...patches(8, shopOf([machine('one')])), order: orderOf(lines) },
      { rounds: 20 }
    );
    expect(made.hoopings.map(({ copies }) => copies)).to.deep.equal([4, 4]);
    expect(made.lines[0]?.capacity).to.equal(4);
  });

  it('keeps places the maker has moved, and warns of them', () => {
    const placed = {
      'six 0 2': [
        { part: 0, x: 0, y: 0, turn: 0 as const, mirrored: false },
        { part: 0, x: 30, y: 0, turn: 90 as const, mirrored: true }
      ]
    };
    const lines = [{ ...newLine('line', 'patch', 2), placed }];
    const made = planBatch(
      { ...patches(2, shopOf([machine('one')])), order: orderOf(lines) },
      { rounds: 20 }
    );
    expect(made.hoopings[0]?.placements).to.deep.equal(placed['six 0 2']);
    expect(made.hoopings[0]?.findings.map(({ id }) => id)).to.deep.equal(['overlap']);
  });

  it('says each name with its copy', () => {
    const lines = [{ ...newLine('line', 'patch', 3), names: ['Ivy', '', 'Wren'] }];
    const made = planBatch(
      { ...patches(3, shopOf([machine('one')])), order: orderOf(lines) },
      { rounds: 20 }
    );
    expect(made.hoopings[0]?.names).to.deep.equal(['Ivy', 'Wren']);
    expect(made.hoopings[0]?.numbers).to.deep.equal([1, 2, 3]);
  });
});
