import { forVariant, type Item } from '$lib/core/documents/item';
import type { RunHead } from '$lib/core/documents/run';
import { withSpools } from '$lib/core/making/plan';
import { cutSizes, simulate, type StackStep } from '$lib/core/craft/stack';

/** What a run is led by besides its plan: its item and the simulated hoop. */
export interface RunTable {
  /** As the run’s variant and spools have it. */
  item: Item;
  trace: StackStep[];
}

/**
 * The one simulation of a run: of its item as it was when the run started. What happens to the item on the shelf meanwhile
 * changes nothing at the machine.
 *
 * @param onShelf stands in for runs of an older version, which kept no item
 *
 * @example
 * runTable(head, undefined)?.trace.length // as many as the item had steps
 */
export function runTable(
  { item: kept, plan, setup }: Pick<RunHead, 'item' | 'plan' | 'setup'>,
  onShelf: Item | undefined
): RunTable | null {
  const whole = kept ?? onShelf;
  if (!whole) return null;
  const item = withSpools(forVariant(whole, plan.variant.id), setup);
  return { item, trace: simulate(item, cutSizes(plan.cuts)) };
}
