import { needleSheetPdf } from '$lib/files';
import { formatRoll, formatThread, formatWidth, saidIn } from '$lib/core/base/units';
import { findStop, type Item } from '$lib/core/documents/item';
import { defaultSetup } from '$lib/core/documents/shop';
import { planAndTrace } from '$lib/core/making/plan';
import { coversOver } from '$lib/core/craft/stack';
import {
  itemTasks,
  needleSheet,
  planItemBobbins,
  planThreads,
  putBobbins
} from '$lib/core/preparing/threads';
import { footprintOf, footprintsTouch } from '$lib/core/preparing/threads/footprint';
import { haltPlace } from '$lib/core/preparing/threads/haltPlace';
import { bobbinUse } from '$lib/core/solvers/bobbins';
import { expect } from 'chai';
import { badgerShop, badgerTab, makeItem } from './support/badger';
import { roomyShop } from './support/ends';
import { textOf } from './support/pdf';
import { FONTS } from './support/fonts';

/** A tab with two details stitched one by one: squares of 10 mm, so many millimetres apart. */
function withSquares(apart: number): { item: Item; ids: [string, string] } {
  const tab = badgerTab();
  const square = (left: number): { x: number[]; y: number[] } => ({
    x: [0, 1000, 1000, 0, 0].map((each) => each + left * 100),
    y: [0, 0, 1000, 1000, 0]
  });
  const [one = '', other = ''] = ['Face', 'Cheeks'].map(
    (name) => tab.files[0]?.stops.find((stop) => stop.name === name)?.id
  );
  const put = (item: Item, id: string, left: number): Item => ({
    ...item,
    files: item.files.map((file) => ({
      ...file,
      stops: file.stops.map((stop) =>
        stop.id === id ? { ...stop, stitched: { from: 'list', jumps: [], trims: [], ...square(left) } } : stop
      )
    }))
  });
  return { item: put(put(tab, one, -12), other, -2 + apart), ids: [one, other] };
}
const stopOf = (item: Item, id: string): NonNullable<ReturnType<typeof findStop>> => {
  const stop = findStop(item, id);
  if (!stop) throw new Error(`no stop ${id}`);
  return stop;
};

describe('where stops stitch', () => {
  it('is known from their stitches: squares 5 mm apart do not touch, squares side by side do', () => {
    for (const [apart, touches] of [
      [5, false],
      [0.5, true]
    ] as const) {
      const { item, ids } = withSquares(apart);
      const [one, other] = ids.map((id) => footprintOf(stopOf(item, id), item));
      expect(one?.exact).to.equal(true);
      expect(footprintsTouch(one ?? null, other ?? null), `${apart} mm apart`).to.equal(touches);
    }
  });
  it('is anywhere inside its line where its stitches are not known, and may be anywhere without a line', () => {
    const tab = badgerTab();
    const face = footprintOf(stopOf(tab, 'stop-3'), tab);
    expect(face?.exact).to.equal(false);
    // The field of the tab is about 22 x 86 mm with round ends.
    expect(face?.cells.size).to.be.within(1500, 2200);
    expect(footprintOf({ ...stopOf(tab, 'stop-3'), lineIds: [] }, tab)).to.equal(null);
    expect(footprintsTouch(null, face)).to.equal(true);
  });
  it('lets stops that lie apart go past each other, and holds those that touch', () => {
    for (const [apart, waits] of [
      [5, false],
      [0.5, true]
    ] as const) {
      const { item, ids } = withSquares(apart);
      const made = planAndTrace(item, defaultSetup(item, roomyShop), roomyShop);
      const { tasks } = itemTasks(made.item, made.plan, made.trace, true);
      const cheeks = tasks.find(({ id }) => id === ids[1]);
      expect(cheeks?.after.includes(ids[0]), `${apart} mm apart`).to.equal(waits);
    }
  });
  it('keeps hand work in its order, and every stop on its side of it', () => {
    const tab = badgerTab();
    const made = planAndTrace(tab, defaultSetup(tab, roomyShop), roomyShop);
    const { tasks } = itemTasks(made.item, made.plan, made.trace, true);
    const hands = tasks.filter(({ stop }) => stop === null);
    hands.slice(1).forEach((task, at) => expect(task.after).to.include(hands[at]?.id ?? ''));
    const outline = tasks.find(({ stop }) => stop?.number === 6);
    for (const { id } of tasks.filter(({ stop }) => stop !== null && (stop.number ?? 9) < 6))
      expect(outline?.after).to.include(id);
  });
});

describe('a halt inside a stop', () => {
  it('comes between two parts of it where there are some', () => {
    const { item } = withSquares(5);
    const stop = stopOf(item, 'stop-3');
    const twoParts: Item = {
      ...item,
      files: item.files.map((file) => ({
        ...file,
        stops: file.stops.map((each) =>
          each.id === 'stop-3' && stop.stitched
            ? { ...each, stitched: { ...stop.stitched, jumps: [2] } }
            : each
        )
      }))
    };
    // Place 2 of 5, of 1,000 stitches.
    expect(haltPlace(twoParts, 'stop-3', 1000, 0.2, 0.9, undefined)).to.deep.equal({
      stitch: 400,
      where: 'between two parts of it'
    });
  });
  it('comes at its lowest point otherwise, and as late as may be where nothing is known', () => {
    const { item } = withSquares(5);
    expect(haltPlace(item, 'stop-3', 1000, 0.1, 0.9, undefined)).to.deep.equal({
      // Two corners are lowest, of which the later comes.
      stitch: 600,
      where: 'on the lower edge'
    });
    expect(haltPlace(badgerTab(), 'stop-5', 900, 0.1, 0.5, undefined)).to.deep.equal({
      stitch: 450,
      where: 'as late as the bobbin allows'
    });
  });
  it('comes under what lies over it in the end', () => {
    const topper = makeItem('topper');
    const made = planAndTrace(topper, defaultSetup(topper, roomyShop), roomyShop);
    const last = made.trace.at(-1)?.state;
    // The front lies over what holds the batting; its slot, a part of its own, begins later.
    const tack = made.plan.steps.find(({ title }) => title === 'Batting tack-down');
    if (!last || !tack) throw new Error('no tack-down');
    expect(coversOver(last, tack.id).map(({ name }) => name)).to.include('FRONT');
    expect(haltPlace(topper, tack.id, 500, 0.2, 0.6, last).where).to.equal('under FRONT');
  });
});

describe('bobbins by colour', () => {
  it('of a lace in five colours are five, and the sheet changes them with the threads', () => {
    const lace = makeItem('lace');
    const colours = ['cream', 'rust', 'fern', 'sky', 'ink'];
    const first = lace.files[0]?.stops.at(-1);
    const step = lace.steps.find((each) => each.kind === 'stop' && each.stopId === first?.id);
    if (!first || step?.kind !== 'stop') throw new Error('no lace');
    const at = lace.steps.indexOf(step);
    const five: Item = {
      ...lace,
      threads: [...lace.threads, ...colours.map((name) => ({ id: name, name, colour: '#808080' }))],
      files: lace.files.map((file) => ({
        ...file,
        stops: [
          ...file.stops.filter(({ id }) => id !== first.id),
          ...colours.map((threadId, index) => ({
            ...first,
            id: threadId,
            threadId,
            number: (first.number ?? 1) + index
          }))
        ]
      })),
      steps: [
        ...lace.steps.slice(0, at),
        ...colours.map((stopId) => ({ ...step, id: `lace-${stopId}`, stopId, needs: [] })),
        ...lace.steps.slice(at + 1)
      ]
    };
    const setup = defaultSetup(five, roomyShop);
    const made = planAndTrace(five, setup, roomyShop);
    const bobbins = planItemBobbins(made, bobbinUse([]));
    const matched = bobbins.changes.filter(({ colour }) => colours.includes(colour));
    expect(matched.map(({ colour }) => colour)).to.deep.equal(colours);
    expect(bobbins.wind.filter(({ colour }) => colours.includes(colour))).to.have.length(5);
    const sheet = putBobbins(five, bobbins.changes);
    const after = planAndTrace(sheet, setup, roomyShop).plan;
    for (const colour of colours) {
      const stop = after.steps.findIndex(({ stop: own }) => own?.stopId === colour);
      const before = after.steps.slice(0, stop).findLast(({ op }) => op?.do === 'bobbin')?.op;
      expect(before?.do === 'bobbin' && before.threadId, colour).to.equal(colour);
    }
    // Five threads and five bobbins are put on, and no order needs fewer.
    const { order } = planThreads({ item: five, setup, shop: roomyShop, anyHidden: true, measured: [] });
    expect(order.now.bobbins).to.be.at.least(5);
    expect(order.better).to.equal(null);
  });
});

describe('the run sheet for the needles', () => {
  it('reads back from its PDF: threads by needle, halts, and what to put in', async () => {
    const tab = badgerTab();
    const shop = badgerShop();
    const made = planAndTrace(tab, { ...defaultSetup(tab, shop), machineId: 'right' }, shop);
    const machine = shop.machines.find(({ id }) => id === 'right');
    if (!machine) throw new Error('no machine');
    const sheet = needleSheet(made, machine);
    const text = await textOf(await needleSheetPdf(sheet, made.plan, 'A4', FONTS));
    for (const words of ['Right machine', 'Before the start', 'White: thread it', 'HALT: ', 'needle 90/14'])
      expect(text).to.include(words);
    expect(text.match(/HALT: /g)).to.have.length(2);
  });
  it('keeps long names whole, with what must be done behind them', async () => {
    const tab = badgerTab();
    const shop = badgerShop();
    const made = planAndTrace(tab, { ...defaultSetup(tab, shop), machineId: 'right' }, shop);
    const machine = shop.machines.find(({ id }) => id === 'right');
    const [row] = machine ? needleSheet(made, machine).rows : [];
    if (!machine || !row?.thread) throw new Error('no row');
    const name = 'Stationmaster’s midnight burgundy with a silver gleam';
    const title = 'Outline of the badger’s left ear, stitched twice over';
    const rows = [{ ...row, name: title, rethread: true, thread: { ...row.thread, name } }];
    const sheet = { ...needleSheet(made, machine), rows };
    const text = (await textOf(await needleSheetPdf(sheet, made.plan, 'A4', FONTS))).replace(/\s+/g, ' ');
    for (const word of [...name.split(' '), ...title.split(' '), 're-thread']) expect(text).to.include(word);
  });
  it('has cutting needles as changes of their own, with the change back', () => {
    const cutwork = makeItem('cutwork', { school: 'needles' });
    const made = planAndTrace(cutwork, defaultSetup(cutwork, roomyShop), roomyShop);
    const machine = roomyShop.machines[0];
    if (!machine) throw new Error('no machine');
    const rows = needleSheet(made, machine).rows;
    const put = rows.flatMap(({ needleBefore }) => needleBefore ?? []);
    const cuts = made.plan.steps.filter(({ stop }) => stop?.role === 'needle-cut').length;
    expect(cuts).to.be.greaterThan(0);
    // One for each cut, and a stitching needle after the last.
    expect(put).to.have.length(cuts + 1);
    expect(put.at(-1)).to.not.equal(put.at(-2));
  });
  it('says thread and rolls as they are bought, in metres or yards', () => {
    expect(formatThread(91.44, 'in', true)).to.equal('100 yd');
    expect(formatThread(5, 'in')).to.equal('5.47 yd');
    expect([formatRoll(3100, 'mm'), formatRoll(450, 'mm'), formatRoll(9144, 'in')]).to.deep.equal([
      '3.1 m',
      '450 mm',
      '10 yd'
    ]);
    // Made in inches, and so written; 300 mm is 300 mm.
    expect([formatWidth(304.8, 'mm'), formatWidth(300, 'mm'), formatWidth(304.8, 'in')]).to.deep.equal([
      '12 in',
      '300 mm',
      '12 in'
    ]);
  });

  it('says the limits of an answer in the maker’s unit', () => {
    expect(saidIn('Width: at least 25.4 mm', 'in')).to.equal('Width: at least 1 in');
    expect(saidIn('12.7 to 25.4 mm each', 'in')).to.equal('½ to 1 in each');
    expect(saidIn('at least 5 mm', 'mm')).to.equal('at least 5 mm');
  });

  it('says lengths of thread to the centimetre, long ones to the metre', () => {
    expect([formatThread(16.58, 'mm'), formatThread(99.994, 'mm'), formatThread(820, 'mm')]).to.deep.equal([
      '16.58 m',
      '99.99 m',
      '820 m'
    ]);
  });
});
