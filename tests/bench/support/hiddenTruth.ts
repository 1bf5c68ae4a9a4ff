import type { Plan } from '$lib/core/documents/plan';
import type { Run, RunEvent } from '$lib/core/documents/run';
import { plan } from '$lib/core/making/plan';
import { benchShop, intactCases, type Case } from './intact';
import { RUN_VERSION } from '$lib/core/documents/run';

/** How far hidden truths and runs stray, as sigmas of log-normals. */
export interface Spread {
  machines: number;
  kinds: number;
  needleRun: number;
  handStep: number;
  pauseOneIn: number;
}

/** As figures.md asks. */
export const SPREAD: Spread = { machines: 0.25, kinds: 0.4, needleRun: 0.05, handStep: 0.25, pauseOneIn: 10 };

/** A machine and a person as they really are, which the learner never sees. */
export interface Truth {
  speed: number;
  overhead: number;
  trims: number;
  kind: (key: string) => number;
}

export type Chance = () => number;

export function normal(chance: Chance): number {
  return Math.sqrt(-2 * Math.log(1 - chance())) * Math.cos(2 * Math.PI * chance());
}

export function hiddenTruth(chance: Chance, { machines, kinds }: Spread): Truth {
  const drawn = new Map<string, number>();
  const speed = Math.exp(machines * normal(chance));
  return {
    speed,
    overhead: Math.exp(machines * normal(chance)),
    trims: Math.exp(machines * normal(chance)),
    kind: (key) => {
      const factor = drawn.get(key) ?? Math.exp(kinds * normal(chance));
      drawn.set(key, factor);
      return factor;
    }
  };
}

/** What each step of a run really takes, s; pauses apart. */
export function reallyTakes(plan: Plan, truth: Truth, chance: Chance, spread: Spread): number[] {
  const run = Math.exp(spread.needleRun * normal(chance));
  return plan.steps.map(({ stop, parts, waiting }) => {
    const needle = stop?.needle;
    if (needle)
      return (
        run * (needle.stitching * truth.speed + needle.overhead * truth.overhead + needle.trims * truth.trims)
      );
    const hands = parts.reduce((sum, { key, seconds }) => sum + seconds * truth.kind(key), 0);
    return hands * Math.exp(spread.handStep * normal(chance)) + waiting.value;
  });
}

/** A logged run of an item: every step pressed when it was done, one run in so many with a long pause nobody pressed. */
export function loggedRun(
  id: string,
  { plan: followed, setup }: { plan: Plan; setup: Case['setup'] },
  takes: readonly number[],
  chance: Chance,
  { pauseOneIn }: Spread
): Run {
  const events: RunEvent[] = [];
  let at = 1_700_000_000_000;
  const pauseIn = chance() < 1 / pauseOneIn ? Math.floor(chance() * takes.length) : -1;
  const log = (type: RunEvent['type'], stepId: string | null): void => {
    events.push({
      ...{ runId: id, seq: events.length + 1, at: Math.round(at), client: 'bench', copy: 1 },
      ...{ stop: null, stitch: null, text: '', type, stepId }
    });
  };
  log('start', null);
  followed.steps.forEach((step, index) => {
    at += (takes[index] ?? 0) * 1000 + (index === pauseIn ? 600_000 + 1_800_000 * chance() : 0);
    log('done', step.id);
  });
  log('finish', null);
  return {
    ...{
      schema: 'jolt-step/run',
      version: RUN_VERSION,
      item: null,
      id,
      itemId: followed.itemId,
      itemName: followed.itemName
    },
    ...{ startedAt: '2026-01-01T00:00:00.000Z', finishedAt: '2026-01-01T09:00:00.000Z' },
    ...{ setup, plan: followed, events }
  };
}

/** Every construction with its usual answers on one of the two machines, planned from the craft’s defaults. */
export function plannedCases(): (Case & { plan: Plan })[] {
  return intactCases()
    .filter(({ what }) => what.includes('as it stands'))
    .map((one) => ({ ...one, plan: plan(one.item, one.setup, benchShop) }));
}
