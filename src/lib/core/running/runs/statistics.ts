import { does } from '$lib/core/craft/operations';
import Papa from 'papaparse';
import type { Plan, PlanStep } from '$lib/core/documents/plan';
import type { Run } from '$lib/core/documents/run';
import { workName } from '$lib/core/documents/shop';
import { compareRun, kindOf } from './compare';
import { foldRun } from './fold';
import { faultName } from './recovery';

/** Predicted against actual of one kind of work. */
export interface Against {
  name: string;
  kind: 'hands' | 'needle';
  predicted: number;
  actual: number;
  steps: number;
}

export const AGAINST_GROUPS = ['kind', 'machine', 'thread', 'needle'] as const;
export type AgainstGroup = (typeof AGAINST_GROUPS)[number];

/**
 * Predicted against actual: by kind of work (hand steps by what most of their time is for), or the needle’s time by machine,
 * by thread, or by the needle that stitched.
 *
 * @example
 * againstBy([run], 'kind')[0] // { name: 'Re-thread a needle', kind: 'hands', predicted: 280, actual: 344, steps: 4 }
 */
export function againstBy(runs: readonly Run[], by: AgainstGroup): Against[] {
  const found = new Map<string, Against>();
  for (const { plan, events } of runs) {
    for (const { step, predicted, actual } of compareRun(plan, events).steps) {
      const kind = kindOf(step);
      if (actual === null || kind === 'waiting' || (by !== 'kind' && kind !== 'needle')) continue;
      const name = againstName(step, plan, by);
      const sofar = found.get(name) ?? { name, kind, predicted: 0, actual: 0, steps: 0 };
      found.set(name, {
        ...sofar,
        predicted: sofar.predicted + predicted,
        actual: sofar.actual + actual,
        steps: sofar.steps + 1
      });
    }
  }
  return [...found.values()].sort((a, b) => b.actual - a.actual);
}

function againstName(step: PlanStep, { machine }: Plan, by: AgainstGroup): string {
  if (by === 'thread') return step.thread?.name ?? 'no thread named';
  if (by === 'needle') return `${machine.name}, needle ${step.needle ?? 1}`;
  if (by === 'machine' || step.stop) return `Needle, ${machine.name}`;
  const main = [...step.parts].sort((a, b) => b.seconds - a.seconds)[0]?.key ?? 'other';
  return workName(main);
}

/** Faults of one group of stitching. */
export interface FaultRate {
  name: string;
  stitches: number;
  faults: number;
  /** In 10,000 stitches. */
  rate: number;
}

export const FAULT_GROUPS = ['thread', 'machine', 'hours', 'speed', 'kind'] as const;
export type FaultGroup = (typeof FAULT_GROUPS)[number];

/** Upper ends of the groups by needle hours, h. */
const HOURS = [2, 4, 8, Infinity];

/**
 * Faults per 10,000 stitches, by thread, machine, hours on the needle, speed set, or kind of fault.
 *
 * @param runs in any order
 *
 * @example
 * faultRates(runs, 'thread')[0] // { name: 'Opal', stitches: 4200, faults: 3, rate: 7.14 }
 */
export function faultRates(runs: readonly Run[], by: FaultGroup): FaultRate[] {
  const groups = new Map<string, { stitches: number; faults: number }>();
  const add = (name: string, stitches: number, faults: number): void => {
    const { stitches: s, faults: f } = groups.get(name) ?? { stitches: 0, faults: 0 };
    groups.set(name, { stitches: s + stitches, faults: f + faults });
  };
  const hours = new Map<string, number>();
  let all = 0;
  for (const { plan, events } of [...runs].sort((a, b) => a.startedAt.localeCompare(b.startedAt))) {
    const state = foldRun(plan.steps, events);
    plan.steps.forEach((step, at) => {
      const needle = `${plan.machine.id} ${step.needle ?? 1}`;
      if (does(step.op, 'needle') !== null && state.done[at]) hours.set(needle, 0);
      if (!step.stop || (!state.done[at] && (state.seconds[at] ?? 0) === 0)) return;
      const own = state.faults.filter(({ stepId }) => stepId === step.id);
      const { stitches } = step.stop;
      all += stitches;
      if (by === 'kind') for (const { fault } of own) add(faultName(fault), 0, 1);
      else add(groupOf(by, step.thread?.name ?? '', plan, hours.get(needle) ?? 0), stitches, own.length);
      hours.set(needle, (hours.get(needle) ?? 0) + (state.seconds[at] ?? 0) / 3600);
    });
  }
  return [...groups]
    .map(([name, { stitches, faults }]): FaultRate => {
      const over = by === 'kind' ? all : stitches;
      return { name, stitches: over, faults, rate: over > 0 ? (faults / over) * 10_000 : 0 };
    })
    .sort((a, b) => (by === 'hours' ? a.name.localeCompare(b.name) : b.rate - a.rate));
}

function groupOf(by: FaultGroup, thread: string, { machine }: Run['plan'], hours: number): string {
  if (by === 'thread') return thread || 'no thread named';
  if (by === 'machine') return machine.name;
  if (by === 'speed') return `${machine.setSpm} spm`;
  const at = HOURS.findIndex((end) => hours < end);
  const from = at > 0 ? HOURS[at - 1] : 0;
  return HOURS[at] === Infinity ? `from ${from ?? 0} h` : `${from ?? 0} to ${HOURS[at] ?? 0} h on the needle`;
}

/** How far a run was from what was predicted of it; +0.1 took a tenth longer. */
export interface Accuracy {
  runId: string;
  name: string;
  startedAt: string;
  hands: number | null;
  needle: number | null;
}

/** How near each finished run came to its prediction, the earliest first. */
export function accuracyOverTime(runs: readonly Run[]): Accuracy[] {
  return runs
    .filter(({ finishedAt }) => finishedAt !== null)
    .sort((a, b) => a.startedAt.localeCompare(b.startedAt))
    .map(({ id, itemName, startedAt, plan, events }) => {
      const { predicted, actual } = compareRun(plan, events);
      const off = (kind: 'hands' | 'needle'): number | null =>
        predicted[kind] > 0 ? actual[kind] / predicted[kind] - 1 : null;
      return { runId: id, name: itemName, startedAt, hands: off('hands'), needle: off('needle') };
    });
}

/**
 * Every step of every run as CSV.
 *
 * @example
 * runsCsv(runs).split('\r\n')[0] // 'run,item,started,machine,step,name,kind,stop,thread,predicted s,actual s,faults'
 */
export function runsCsv(runs: readonly Run[]): string {
  const rows = runs.flatMap(({ id, itemName, startedAt, plan, events }) => {
    const { faults } = foldRun(plan.steps, events);
    return compareRun(plan, events).steps.map(({ step, predicted, actual }) => ({
      run: id,
      item: itemName,
      started: startedAt,
      machine: plan.machine.name,
      step: step.number,
      name: step.title,
      kind: kindOf(step),
      stop: step.stop?.machineNumber ?? '',
      thread: step.thread?.name ?? '',
      'predicted s': Math.round(predicted * 10) / 10,
      'actual s': actual === null ? '' : Math.round(actual * 10) / 10,
      faults: faults.filter(({ stepId }) => stepId === step.id).length
    }));
  });
  // A spreadsheet must not take a name for a formula.
  return Papa.unparse(rows, { escapeFormulae: true });
}
