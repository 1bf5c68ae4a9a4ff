import type { Plan } from '$lib/core/documents/plan';
import type { Run } from '$lib/core/documents/run';
import { DEFAULT_HAND_TIMES, defaultSetup } from '$lib/core/documents/shop';
import type { StashEntry } from '$lib/core/documents/stash';
import { plan as planItem } from '$lib/core/making/plan';
import { runningShort } from '$lib/core/preparing/stash';
import { lessonWords, taughtBy } from '$lib/core/running/learning';
import {
  accuracyOverTime,
  againstBy,
  faultRates,
  handMinutes,
  runsCsv,
  savings
} from '$lib/core/running/runs';
import { expect } from 'chai';
import { badgerShop, badgerTab, makeItem } from './support/badger';
import { roomyShop } from './support/ends';
import { events, type Line } from './support/runEvents';
import { CONSTRUCTIONS } from '$lib/core/craft/constructions';
import { RUN_VERSION } from '$lib/core/documents/run';

const shop = badgerShop();
const tab = badgerTab();
const setup = defaultSetup(tab, shop);
const plan = planItem(tab, setup, shop);

describe('what the log tells', () => {
  /** A run that took so many times the prediction, with faults in the face. */
  function run(id: string, by: number, day: number, faults: number, followed: Plan = plan): Run {
    let at = 0;
    const lines: Line[] = [['start', null, 0]];
    for (const step of followed.steps) {
      if (step.title === 'Face')
        for (let each = 0; each < faults; each++) {
          lines.push(['fault', step.id, at, { fault: 'thread-broke' }]);
          at += 90;
          lines.push(['sorted', step.id, at]);
        }
      at += by * (step.hands.value + step.running.value);
      lines.push(['done', step.id, at]);
    }
    lines.push(['finish', null, at]);
    const started = `2026-11-${String(day).padStart(2, '0')}T10:00:00.000Z`;
    return {
      ...{
        schema: 'jolt-step/run',
        version: RUN_VERSION,
        item: null,
        id,
        itemId: tab.id,
        itemName: tab.name,
        setup,
        plan: followed
      },
      ...{ startedAt: started, finishedAt: started, events: events(...lines) }
    };
  }
  const runs = [run('one', 1.2, 3, 2), run('two', 1.2, 9, 0)];

  it('sets predicted against actual by kind of work', () => {
    const kinds = againstBy(runs, 'kind');
    for (const { predicted, actual } of kinds) expect(actual).to.be.closeTo(predicted * 1.2, 0.05);
    expect(kinds.find(({ name }) => name === 'Needle, Left machine')).to.include({
      steps: 12,
      predicted: 984
    });
  });
  it('sets the needle’s time against what was predicted by thread and by needle too', () => {
    // White: 22 + 22 + 229 + 67 s a tab.
    const white = againstBy(runs, 'thread').find(({ name }) => name === 'White');
    expect(white).to.include({ predicted: 680, steps: 8 });
    expect(againstBy(runs, 'needle').map(({ name }) => name)).to.deep.equal(['Left machine, needle 1']);
    expect(againstBy(runs, 'machine')).to.have.length(1);
  });
  it('counts faults in 10,000 stitches, by thread, machine and hours on the needle', () => {
    // White: 120 + 120 + 1500 + 420 stitches a tab, two tabs.
    const white = faultRates(runs, 'thread').find(({ name }) => name === 'White');
    expect(white).to.include({ stitches: 4320, faults: 2 });
    expect(white?.rate).to.be.closeTo(4.63, 0.01);
    expect(faultRates(runs, 'machine')).to.deep.include({
      name: 'Left machine',
      stitches: 6240,
      faults: 2,
      rate: (2 / 6240) * 10_000
    });
    expect(faultRates(runs, 'hours').map(({ name }) => name)).to.deep.equal(['0 to 2 h on the needle']);
    expect(faultRates(runs, 'kind')[0]).to.include({ name: 'Thread broke', faults: 2 });
  });
  it('says how far each run was from its prediction, the earliest first', () => {
    const [first, second] = accuracyOverTime([...runs].reverse());
    expect([first?.runId, second?.runId]).to.deep.equal(['one', 'two']);
    expect(first?.needle).to.be.closeTo(0.2, 1e-3);
  });
  it('goes out as CSV, a line a step', () => {
    const lines = runsCsv(runs).split('\r\n');
    expect(lines).to.have.length(1 + 2 * plan.steps.length);
    expect(lines.find((line) => line.includes('Face'))).to.match(
      /^one,Test item,2026-11-03.*,needle,3,White,229,274\.8,2$/
    );
  });
  it('goes out as CSV in which no name is a formula', () => {
    const [first] = runs;
    if (!first) throw new Error('no run');
    const lines = runsCsv([{ ...first, itemName: '=HYPERLINK("x")' }]).split('\r\n');
    expect(lines[1]).to.match(/^one,"'=HYPERLINK\(""x""\)",/);
  });
  it('says what the last run taught', () => {
    const lessons = taughtBy([run('three', 2, 12, 0), ...runs], 'three', DEFAULT_HAND_TIMES);
    expect(lessons.length).to.be.greaterThan(3);
    expect(lessons.every(({ before, after }) => after > before)).to.equal(true);
    expect(lessonWords({ name: 'Re-thread a needle', before: 1, after: 1.12 })).to.equal(
      'Re-thread a needle: now planned 12 % longer'
    );
    expect(taughtBy(runs, 'nobody', DEFAULT_HAND_TIMES)).to.deep.equal([]);
  });
  it('shows where the minutes go, and they add up to the whole', () => {
    for (const { kind } of CONSTRUCTIONS) {
      const made = planItem(makeItem(kind), undefined, roomyShop);
      const sum = handMinutes(made).reduce((all, { seconds }) => all + seconds, 0);
      expect(sum, kind).to.be.closeTo(made.totals.hands.value, 1e-6);
      for (const { seconds } of savings(made, 0))
        expect(seconds, kind).to.be.at.most(made.totals.needle.value + 1e-6);
    }
    expect(handMinutes(plan)[0]).to.deep.equal({
      key: 'rethread',
      name: 'Re-thread a needle',
      seconds: 280,
      steps: 4
    });
  });
  it('says what runs short, the scarcest first', () => {
    const common = { colour: '#000000', place: '', price: null, note: '' };
    const entries = [
      { ...common, id: '1', name: 'Brass', what: 'thread', spools: 1, metres: 40 },
      { ...common, id: '2', name: 'White', what: 'thread', spools: 2, metres: 900 },
      { ...common, id: '3', name: 'Snap caps', what: 'notion', count: 1 }
    ] as unknown as StashEntry[];
    expect(runningShort(entries, 'mm')).to.deep.equal(['Snap caps: 1 left', 'Brass: 40 m left']);
  });
});
