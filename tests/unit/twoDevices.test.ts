import { mergedEvents } from '$lib/core/documents/files';
import type { RunEvent, RunEventType } from '$lib/core/documents/run';
import { canBe, fitsScreen, foldRun } from '$lib/core/running/runs';
import { expect } from 'chai';
import fc from 'fast-check';
import { events } from './support/runEvents';

const STEPS = 'abcdefgh'.split('').map((id, at) => ({ id, kind: at % 2 === 0 ? 'hand' : 'stop' }) as const);
const HOUR = 3_600_000;

/** A device with its own log and a clock of its own, that stores a press only where it fits its screen, as the application does. */
class Device {
  log: RunEvent[] = [];
  constructor(
    readonly client: string,
    readonly skew: number
  ) {}

  press(type: RunEventType, now: number, to?: string): RunEvent | undefined {
    const state = foldRun(STEPS, this.log);
    const stepId = STEPS[state.at]?.id ?? null;
    if (!fitsScreen(state, { type, stepId })) return undefined;
    const clock = this.log.reduce((most, each) => Math.max(most, each.clock ?? each.seq), 0) + 1;
    const plain = { runId: 'run', copy: 1, stop: null, stitch: null, text: '' };
    const own = { ...plain, seq: this.log.length + 1, client: this.client, clock, type, stepId };
    const event: RunEvent = { ...own, at: now + this.skew + HOUR, ...(to !== undefined && { to }) };
    this.log = [...this.log, event];
    return event;
  }

  take(there: readonly RunEvent[]): void {
    this.log = mergedEvents(this.log, there);
  }
}

const plain = (log: readonly RunEvent[]): string[] =>
  log.map(({ client, clock, type, stepId, seq }) => `${seq} ${client}${clock} ${type} ${stepId}`);
const skews = fc.integer({ min: -HOUR, max: HOUR });

describe('a run on two devices', () => {
  it('keeps its order where one clock is ten minutes ahead', () => {
    const laptop = new Device('laptop', 0);
    const tablet = new Device('tablet', 10 * 60_000);
    laptop.press('start', 0);
    laptop.press('done', 60_000);
    tablet.take(laptop.log);
    tablet.press('done', 120_000);
    tablet.press('done', 180_000);
    laptop.take(tablet.log);
    // By the wall clocks this would come before what the tablet did.
    laptop.press('done', 240_000);
    const state = foldRun(STEPS, laptop.log);
    expect(state.done.filter(Boolean)).to.have.length(4);
    expect(state.at).to.equal(4);
    tablet.take(laptop.log);
    expect(plain(tablet.log)).to.deep.equal(plain(laptop.log));
  });

  it('keeps what both did at the same time, each once', () => {
    const laptop = new Device('laptop', -HOUR);
    laptop.press('start', 0);
    const tablet = new Device('tablet', HOUR);
    tablet.take(laptop.log);
    laptop.press('skip', 1000);
    laptop.press('done', 2000);
    tablet.press('done', 1000);
    tablet.press('done', 2000);
    tablet.press('done', 3000);
    const both = mergedEvents(laptop.log, tablet.log);
    expect(foldRun(STEPS, both).done.slice(0, 4)).to.deep.equal([true, true, true, false]);
  });

  it('loses nothing done and doubles nothing, whatever the clocks say and whoever merges first', () => {
    const step = fc.record({
      who: fc.boolean(),
      what: fc.constantFrom('done', 'done', 'done', 'skip', 'note', 'pause', 'resume', 'hand over'),
      after: fc.integer({ min: -60_000, max: 600_000 })
    });
    fc.assert(
      fc.property(skews, skews, fc.array(step, { maxLength: 30 }), (one, two, course) => {
        const [laptop, tablet] = [new Device('laptop', one), new Device('tablet', two)];
        laptop.press('start', 0);
        tablet.take(laptop.log);
        const done = new Set<string>();
        let now = 0;
        for (const { who, what, after } of course) {
          now = Math.max(0, now + after);
          const [own, other] = who ? [laptop, tablet] : [tablet, laptop];
          if (what === 'hand over') own.take(other.log);
          else {
            const event = own.press(what as RunEventType, now);
            if (event?.type === 'done' && event.stepId !== null) done.add(event.stepId);
          }
        }
        const [here, there] = [mergedEvents(laptop.log, tablet.log), mergedEvents(tablet.log, laptop.log)];
        expect(plain(here)).to.deep.equal(plain(there));
        expect(plain(mergedEvents(here, tablet.log))).to.deep.equal(plain(here));
        // Each event once, each writer’s in the order it wrote them.
        const own = (client: string): number[] =>
          here.flatMap((each) => (each.client === client ? [each.clock ?? 0] : []));
        for (const client of ['laptop', 'tablet']) {
          const clocks = own(client);
          expect(clocks).to.deep.equal([...new Set(clocks)].sort((a, b) => a - b));
        }
        const state = foldRun(STEPS, here);
        const told = STEPS.flatMap(({ id }, at) => (state.done[at] ? [id] : []));
        expect(told).to.deep.equal([...done].sort());
      }),
      { numRuns: 400 }
    );
  });

  it('ends once where one finished while the other went on, and what that one did is done', () => {
    const laptop = new Device('laptop', 0);
    laptop.press('start', 0);
    const tablet = new Device('tablet', 0);
    tablet.take(laptop.log);
    laptop.press('stop-early', 1000);
    tablet.press('done', 1000);
    tablet.press('done', 2000);
    const state = foldRun(STEPS, mergedEvents(tablet.log, laptop.log));
    expect(state.phase).to.equal('stopped-early');
    expect(state.done.slice(0, 3)).to.deep.equal([true, true, false]);
  });
});

describe('times of a run', () => {
  it('are trusted where one device saw them, not where a clock was set back or another wrote', () => {
    const one = foldRun(STEPS, events(['start', null, 0], ['done', 'a', 60], ['done', 'b', 50]));
    expect(one.trusted.slice(0, 3)).to.deep.equal([true, false, true]);
    expect(one.seconds[1]).to.equal(0);
    const two = foldRun(STEPS, events(['start', null, 0], ['done', 'a', 60, { client: 'tablet' }]));
    expect(two.trusted[0]).to.equal(false);
  });

  it('count of a night what the maker says, and teach only where it was paused', () => {
    const night = 21 * 3600 + 25 * 60;
    const after = (to: string, seconds: number) =>
      foldRun(
        STEPS,
        events(['start', null, 0], ['away', 'a', night, { to, seconds }], ['done', 'a', night + 5])
      );
    expect([after('paused', 100).seconds[0], after('paused', 100).trusted[0]]).to.deep.equal([105, true]);
    expect([after('went-on', 300).seconds[0], after('went-on', 300).trusted[0]]).to.deep.equal([305, false]);
    expect([after('unknown', 100).seconds[0], after('unknown', 100).trusted[0]]).to.deep.equal([105, false]);
  });

  it('can be mended, also once the run is over', () => {
    const run = events(['start', null, 0], ['done', 'a', 77_100], ['finish', null, 77_200]);
    const state = foldRun(STEPS, [...run, ...events(['mend-time', 'a', 90_000, { seconds: 240 }])]);
    expect([state.seconds[0], state.trusted[0], state.phase]).to.deep.equal([240, true, 'finished']);
  });

  it('that cannot be: a night for 118 stitches, four thousand stitches in a second', () => {
    const estimate = (value: number) => ({
      kind: 'needle' as const,
      value,
      low: value,
      high: value,
      source: '',
      samples: 0
    });
    const stop = (stitches: number, seconds: number) =>
      ({
        hands: estimate(0),
        waiting: estimate(0),
        running: estimate(seconds),
        stop: { stitches }
      }) as unknown as Parameters<typeof canBe>[0];
    expect(canBe(stop(118, 20), 77_100)).to.equal(false);
    // Twenty minutes for a short stop may be a thread that would not go in; an hour may not.
    expect(canBe(stop(118, 20), 1200)).to.equal(true);
    expect(canBe(stop(118, 20), 1201)).to.equal(false);
    // 4,000 stitches take two minutes at the very least: 2,000 a minute.
    expect(canBe(stop(4000, 600), 119)).to.equal(false);
    expect(canBe(stop(4000, 600), 120)).to.equal(true);
    expect(canBe(stop(4000, 600), 3000)).to.equal(true);
    expect(canBe(stop(4000, 600), 3001)).to.equal(false);
  });
});
