import type { Plan } from '$lib/core/documents/plan';
import type { MachineJob } from './schema';

/**
 * The file of a plan as a machine takes it: its stops by number, in the order of the file, with a halt after each that
 * hands follow.
 *
 * @param id names the run it is loaded for
 *
 * @example
 * jobOf(tabPlan, 'run-1').stops.map(({ number, halt }) => [number, halt]) // [[1, true], [2, false], …]
 */
export function machineJobOf(plan: Plan, id: string): MachineJob {
  const stops = new Map<number, MachineJob['stops'][number]>();
  plan.steps.forEach(({ stop, thread, needle }, at) => {
    if (!stop || stop.machineNumber === null || stop.stitches === 0) return;
    const halt = plan.steps[at + 1]?.kind === 'hand' && stop.halts;
    const before = stops.get(stop.machineNumber);
    stops.set(stop.machineNumber, {
      number: stop.machineNumber,
      stitches: stop.stitches,
      thread: thread?.name ?? '',
      needle: needle ?? 1,
      cap: null,
      bobbinMetres: stop.bobbinMetres,
      halt: halt || before?.halt === true
    });
  });
  return {
    id,
    name: plan.itemName,
    hoop: plan.hoop.id,
    stops: [...stops.values()].sort((a, b) => a.number - b.number)
  };
}
