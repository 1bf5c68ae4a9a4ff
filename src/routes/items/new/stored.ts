import { report } from '../../report';
import { Item } from '$lib/core/documents/item';
import type { Setup } from '$lib/core/documents/shop';
import { addItem } from '$lib/data';
import { toast } from 'svelte-sonner';

/**
 * Stores a new item, or says why it cannot be.
 *
 * @returns whether it is stored
 */
export async function stored(whole: Item, setup: Setup): Promise<boolean> {
  const checked = Item.safeParse(whole);
  if (!checked.success) {
    const [issue] = checked.error.issues;
    toast.error(`The item cannot be stored: ${issue?.path.join('.')} ${issue?.message}`);
    return false;
  }
  try {
    await addItem(checked.data, setup);
    return true;
  } catch (problem) {
    report(problem, 'The item is not stored; nothing you typed is lost.');
    return false;
  }
}
