import { editStop, forVariant, type Item } from '$lib/core/documents/item';
import { FAULTS, type RunEvent, type RunEventType } from '$lib/core/documents/run';
import { defaultSetup } from '$lib/core/documents/shop';
import { plan as planItem, planAndTrace } from '$lib/core/making/plan';
import { needleSheet, stationBobbins } from '$lib/core/preparing/threads';
import {
  beforeStart,
  faultSeconds,
  foldRun,
  gettingBack,
  mayStitchAt,
  mustCatch,
  recoveryFor,
  stepSeconds,
  toPrepare
} from '$lib/core/running/runs';
import { spoolsInOrder } from '$lib/core/running/runs/beforeStart';
import { bobbinUse } from '$lib/core/solvers/bobbins';
import { expect } from 'chai';
import fc from 'fast-check';
import { badgerShop, badgerTab } from './support/badger';
import { events, type Line } from './support/runEvents';

const shop = badgerShop();
const tab = badgerTab();
const setup = defaultSetup(tab, shop);
const plan = planItem(tab, setup, shop);
const steps = ['a', 'b', 'c', 'd', 'e'].map((id, at) => ({
  id,
  kind: at % 2 === 1 ? ('stop' as const) : ('hand' as const)
}));

const fold = (...lines: Line[]): ReturnType<typeof foldRun> =>
  foldRun(steps, events(['start', null, 0], ...lines));

describe('run: skip, come back, set aside', () => {
  it('comes back to what was skipped when the rest is done', () => {
    const skipped = fold(['done', 'a', 10], ['skip', 'b', 12]);
    expect(skipped).to.deep.include({ at: 2, skipped: [1] });
    const later = fold(
      ['done', 'a', 10],
      ['skip', 'b', 12],
      ['done', 'c', 20],
      ['done', 'd', 30],
      ['done', 'e', 40]
    );
    expect(later).to.deep.include({ at: 1, skipped: [] });
  });
  it('goes on where it was left after another stop was stitched ahead', () => {
    const ahead = fold(['done', 'a', 10], ['go-to', 'b', 11, { to: 'd' }]);
    expect(ahead.at).to.equal(3);
    const back = fold(['done', 'a', 10], ['go-to', 'b', 11, { to: 'd' }], ['done', 'd', 60]);
    expect(back).to.deep.include({ at: 1, done: [true, false, false, true, false] });
    // Then d is not come to again.
    const on = fold(
      ['go-to', 'a', 1, { to: 'd' }],
      ['done', 'd', 9],
      ['done', 'a', 10],
      ['done', 'b', 20],
      ['done', 'c', 30]
    );
    expect(on.at).to.equal(4);
  });
  it('does not skip the last step there is, nor go where nothing is', () => {
    const last = fold(
      ['done', 'a', 1],
      ['done', 'b', 2],
      ['done', 'c', 3],
      ['done', 'd', 4],
      ['skip', 'e', 5]
    );
    expect(last.at).to.equal(4);
    expect(fold(['go-to', 'a', 1, { to: 'z' }]).at).to.equal(0);
  });
  it('waits half-stitched with its stitch, and its clock stands', () => {
    const aside = fold(['done', 'a', 10], ['bookmark', 'b', 40, { stop: 1, stitch: 400 }]);
    expect(aside.phase).to.equal('set-aside');
    expect(aside.bookmark).to.include({ stepId: 'b', stop: 1, stitch: 400 });
    expect(stepSeconds(aside, 9_000_000)).to.equal(30);
    const on = fold(
      ['done', 'a', 10],
      ['bookmark', 'b', 40, { stitch: 400 }],
      ['resume', 'b', 900],
      ['done', 'b', 960]
    );
    expect(on).to.deep.include({ at: 2, bookmark: null });
    expect(on.seconds[1]).to.equal(90);
  });
  it('books a fault apart from its step', () => {
    const open = fold(['done', 'a', 10], ['fault', 'b', 40, { fault: 'nest' }]);
    expect(faultSeconds(open, 100_000)).to.equal(60);
    expect(stepSeconds(open, 100_000)).to.equal(30);
    const sorted = fold(
      ['done', 'a', 10],
      ['fault', 'b', 40, { fault: 'nest' }],
      ['sorted', 'b', 130, { stitch: 77 }],
      ['done', 'b', 150]
    );
    expect(sorted.seconds[1]).to.equal(50);
    expect(sorted.faults).to.deep.equal([
      { fault: 'nest', stepId: 'b', stop: null, stitch: 77, at: 40_000, seconds: 90, told: false }
    ]);
    expect(sorted.incidents[0]?.stitch).to.equal(77);
  });
  it('takes the machine’s time of a stop for the clock’s', () => {
    const state = fold(['done', 'a', 10], ['done', 'b', 12, { seconds: 229 }]);
    expect(state.seconds.slice(0, 2)).to.deep.equal([10, 229]);
  });
  it('ticks and unticks what is looked at before the start', () => {
    const before = foldRun(
      steps,
      events(
        ['prepare', null, 0],
        ['check', null, 1, { to: 'hoop' }],
        ['check', null, 2, { to: 'file' }],
        ['uncheck', null, 3, { to: 'hoop' }]
      )
    );
    expect(before).to.deep.include({ phase: 'not-started', checked: ['file'], clockFrom: null });
  });
  it('never loses a step, whatever is pressed', () => {
    const types: RunEventType[] = [
      'done',
      'back',
      'again',
      'skip',
      'go-to',
      'fault',
      'sorted',
      'pause',
      'resume',
      'bookmark'
    ];
    fc.assert(
      fc.property(fc.array(fc.tuple(fc.constantFrom(...types), fc.nat(4)), { maxLength: 60 }), (presses) => {
        const log: RunEvent[] = events(['start', null, 0]);
        presses.forEach(([type, to], index) => {
          const state = foldRun(steps, log);
          log.push(
            ...events([
              type,
              steps[state.at]?.id ?? null,
              index + 1,
              { to: steps[to]?.id ?? 'a', fault: 'nest' }
            ])
          );
        });
        let state = foldRun(steps, log);
        expect(state.at).to.be.within(0, steps.length);
        expect(state.seconds.reduce((sum, each) => sum + each, 0)).to.be.at.most(presses.length);
        // Pressing on always comes to the end, each step done.
        for (let press = 0; press < 12 && state.at < steps.length; press++) {
          log.push(...events(['done', steps[state.at]?.id ?? null, 100 + press]));
          state = foldRun(steps, log);
        }
        expect(state.at).to.equal(steps.length);
        expect(state.done.every(Boolean)).to.equal(true);
      }),
      { numRuns: 200 }
    );
  });
});

describe('before the start', () => {
  const checksOf = (item: Item, machineId: string): ReturnType<typeof beforeStart> => {
    const own = { ...defaultSetup(item, shop), machineId };
    const made = planAndTrace(item, own, shop);
    const machine = shop.machines.find(({ id }) => id === machineId);
    if (!machine) throw new Error('no machine');
    return beforeStart({
      plan: made.plan,
      item,
      machine: { ...machine, fileEnding: 'abc' },
      bobbins: stationBobbins(made, bobbinUse([]), { copies: 1, heads: 1 }),
      needles: needleSheet(made, machine),
      bobbinName: () => 'white'
    });
  };
  it('names file, hoop, pieces, spools in order, bobbins, needle and the space behind', () => {
    const checks = checksOf(tab, 'left');
    expect(checks.map(({ id }) => id)).to.deep.equal([
      'file',
      'hoop',
      'pieces',
      'spools',
      'bobbin',
      'needle-1',
      'clear'
    ]);
    expect(checks[0]?.detail).to.include('files that end in .abc');
    expect(checks[2]?.title).to.equal('1 of stabiliser, 2 pieces cut and peeled, in order');
    expect(checks[2]?.detail).to.match(/^STABILISER 190 × 190 mm · FRONT /);
    expect(spoolsInOrder(plan).map(({ name }) => name)).to.deep.equal(['White', 'Pink', 'Black', 'White']);
    expect(checks[4]?.title).to.equal('Bobbins wound full: 1 in white');
  });
  it('asks for programmed halts on a machine that runs on, and says which file is the wrong one', () => {
    const named = { ...tab, files: tab.files.map((file) => ({ ...file, name: 'badger.xyz' })) };
    const checks = checksOf(named, 'right');
    expect(checks.find(({ id }) => id === 'halts')?.title).to.equal('Halts programmed after stops 1 and 5');
    expect(checks[0]?.detail).to.include('badger.xyz does not end so');
  });
});

describe('at a halt', () => {
  it('says what to make ready, in order', () => {
    const tack = plan.steps.findIndex(({ title }) => title === 'Eyes');
    expect(toPrepare(plan, tack)).to.deep.equal([
      'snips',
      'BACK, 70 × 135 mm',
      'tape, 4 strips',
      'the White spool'
    ]);
  });
  it('warns where a machine of several needles runs on though hands must act', () => {
    const right = { ...setup, machineId: 'right' };
    const at = plan.steps.findIndex(({ kind }) => kind === 'stop');
    const silent = editStop(tab, plan.steps[at]?.stop?.stopId ?? '', { halts: false });
    const made = planItem(silent, right, shop);
    const caught = made.steps.filter((_, index) => mustCatch(made, index));
    expect(caught.map(({ title }) => title)).to.deep.equal(['Placement line']);
    // With its halt programmed, and on one needle, nobody has to.
    for (const calm of [planItem(tab, right, shop), planItem(silent, setup, shop)])
      expect(calm.steps.some((_, index) => mustCatch(calm, index))).to.equal(false);
  });
  it('finds where a hooping was left, as its machine counts', () => {
    const eyes = plan.steps.find(({ title }) => title === 'Eyes');
    const bookmark = { stepId: eyes?.id ?? '', stop: 5, stitch: 400, at: 0, text: '' };
    expect(gettingBack(plan, tab, bookmark, { counts: undefined })).to.include.members([
      'Thread Black.',
      'Go to stop 5, then forward to stitch 390.'
    ]);
    // 120 + 120 + 1500 + 60 stitches lie before it.
    expect(gettingBack(plan, tab, bookmark, { counts: 'design' })).to.include(
      'Go to stop 5, stitch 2,190 of the whole design.'
    );
  });
  it('has a recovery for every fault, which halts first and ends in going on', () => {
    const face = plan.steps.find(({ title }) => title === 'Face');
    if (!face) throw new Error('no face');
    for (const fault of FAULTS) {
      const { title, steps: said } = recoveryFor(fault, face, 742, 'Small hoop');
      expect(title).to.not.equal('');
      expect(said.length).to.be.within(3, 5);
      if (fault !== 'bobbin-out') expect(said[0]).to.match(/^Halt/);
    }
    expect(recoveryFor('thread-broke', face, 742, 'Small hoop').steps.at(-1)).to.include('stitch 732');
    expect(recoveryFor('bobbin-out', face, 4, 'Small hoop').steps.at(-1)).to.include('stitch 0');
    expect(recoveryFor('nest', face, null, 'Small hoop').steps.at(-1)).to.include('Back up about 10');
  });
  it('says what may be stitched with the thread that is on', () => {
    const trace = planAndTrace(tab, setup, shop).trace;
    const at = plan.steps.findIndex(({ title }) => title === 'Tack-down');
    const done = plan.steps.map((_, index) => index < at);
    const now = mayStitchAt(forVariant(tab, 'variant-1'), plan, trace, { at, done, path: [3] }, true);
    expect(now?.thread.name).to.equal('White');
    // The face needs the tack-down first; what is pink or black does not come up.
    expect(now?.stops.map(({ number, first }) => [number, first])).to.deep.equal([
      [2, []],
      [3, [2]]
    ]);
    expect(
      mayStitchAt(tab, plan, trace, { at: 0, done: plan.steps.map(() => false), path: [] }, true)
    ).to.equal(null);
  });
});
