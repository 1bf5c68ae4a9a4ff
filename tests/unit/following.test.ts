import 'fake-indexeddb/auto';
import { seeded } from '$lib/core/base/units';
import type { RunHead } from '$lib/core/documents/run';
import { defaultSetup } from '$lib/core/documents/shop';
import { plan } from '$lib/core/making/plan';
import { foldRun, nextCommand } from '$lib/core/running/runs';
import {
  advance,
  type MachineEvent,
  machineJobOf,
  newStandIn,
  obey,
  StandInSetup
} from '$lib/core/running/standIn';
import { db } from '$lib/data/db';
import { appendEvent, appendFromMachine, lastTold, prepareRun } from '$lib/data/runEvents';
import { eventsOf, recentRuns } from '$lib/data/runs';
import { expect } from 'chai';
import { badgerShop, badgerTab, NOW } from './support/badger';
import { RUN_VERSION } from '$lib/core/documents/run';

const tab = badgerTab();
const shop = badgerShop();
const setup = defaultSetup(tab, shop);
const followed = plan(tab, setup, shop);
const headOf = (id: string): RunHead => ({
  ...{
    schema: 'jolt-step/run',
    version: RUN_VERSION,
    item: null,
    id,
    itemId: tab.id,
    itemName: tab.name,
    startedAt: NOW
  },
  ...{ finishedAt: null, setup, plan: followed }
});

describe('a run on two screens that follow one machine', () => {
  before(async () => {
    // Another suite may have closed it.
    if (!db.isOpen()) await db.open();
  });
  beforeEach(async () => {
    await Promise.all(db.tables.map((table) => table.clear()));
  });
  after(() => db.delete());

  /** A whole tab, each event told to both screens, in bursts, with connections that break and tell again. */
  async function stitch(seed: number): Promise<MachineEvent[]> {
    const random = seeded(seed);
    const job = machineJobOf(followed, 'run');
    const all: MachineEvent[] = [];
    let machine = newStandIn(
      StandInSetup.parse({ name: 'M', spm: 400, trimmer: false, faultsPer10k: 15, seed, hoop: job.hoop })
    );
    await prepareRun(headOf('run'), 0, 'one');
    await appendEvent('run', { type: 'start', stepId: null }, 1, 'one');
    const tell = async (events: readonly MachineEvent[]): Promise<void> => {
      all.push(...events);
      const again = random() < 0.4 ? all.slice(-6) : [];
      await Promise.all(
        ['one', 'two'].map(async (screen) => {
          for (const event of [...again, ...events])
            await appendFromMachine('run', 'm', event, event.clock * 1000, screen);
        })
      );
    };
    for (let turn = 0; turn < 1500; turn++) {
      const state = foldRun(followed.steps, await eventsOf('run'));
      if (state.at >= followed.steps.length) break;
      const step = followed.steps[state.at];
      const command = nextCommand(followed, state, machine, job);
      if (state.fault) await appendEvent('run', { type: 'sorted', stepId: step?.id ?? null }, turn, 'one');
      else if (command) {
        const answer = obey(machine, command);
        if (!answer.ok) throw new Error(answer.message);
        machine = answer.state;
        await tell(answer.events);
      } else if (step?.kind === 'hand') {
        // Both pedals are pressed at once.
        await Promise.all(
          ['one', 'two'].map((screen) => appendEvent('run', { type: 'done', stepId: step.id }, turn, screen))
        );
      } else {
        const after = advance(machine, 20 + 200 * random());
        machine = after.state;
        await tell(after.events);
      }
    }
    return all;
  }

  for (const seed of [3, 8]) {
    it(`comes to the end with every event told once, seed ${seed}`, async () => {
      const told = await stitch(seed);
      const events = await eventsOf('run');
      const state = foldRun(followed.steps, events);
      expect(state.done.every(Boolean)).to.equal(true);
      expect(events.map(({ seq }) => seq)).to.deep.equal(events.map((_, at) => at + 1));
      const ends = told.filter(({ type }) => type === 'stop-ended').map(({ seq }) => seq);
      const counted = events.flatMap(({ type, from }) =>
        type === 'done' && from && ends.includes(from.seq) ? [from.seq] : []
      );
      expect(counted).to.deep.equal(ends);
      const faults = told.filter(({ type }) => type === 'fault').length;
      expect(state.faults.filter(({ told: byMachine }) => byMachine)).to.have.length(faults);
      expect(lastTold(events, 'm')).to.be.at.most(told.at(-1)?.seq ?? 0);
      expect(lastTold(events, 'another')).to.equal(0);
    });
  }
  it('reads only as many of the latest finished runs as are asked for', async () => {
    for (let at = 1; at <= 5; at++) {
      const startedAt = `2026-11-0${at}T10:00:00.000Z`;
      await prepareRun({ ...headOf(`run-${at}`), startedAt }, 0, 'one');
      if (at !== 4) await appendEvent(`run-${at}`, { type: 'finish', stepId: null }, 60_000 * at, 'one');
    }
    const runs = await recentRuns(2);
    expect(runs.map(({ id }) => id)).to.deep.equal(['run-5', 'run-3']);
    expect(runs[0]?.events.map(({ type }) => type)).to.deep.equal(['prepare', 'finish']);
    expect((await recentRuns(9, ({ id }) => id === 'run-1')).map(({ id }) => id)).to.deep.equal(['run-1']);
  });
});
