import { liveQuery } from 'dexie';
import { tellTrouble } from './trouble.svelte';

/** A query that follows the database: `value` is undefined until the first answer. */
export interface Live<T> {
  readonly value: T | undefined;
}

/**
 * Runs a query and runs it again whenever what it read changes, in this tab or another.
 * Call it while a component is set up.
 *
 * @param key a reactive value the query depends on, as the id of the page
 * @param query reads from the database with that key
 *
 * @example
 * const item = live(() => page.params.id, getItem)
 */
export function live<K, T>(key: () => K, query: (key: K) => Promise<T>): Live<T> {
  let value = $state.raw<T | undefined>(undefined);
  $effect(() => {
    const current = key();
    const subscription = liveQuery(() => query(current)).subscribe({
      next: (found) => (value = found),
      error: (error: unknown) => {
        tellTrouble(error);
        console.error('The database could not be read.', error);
      }
    });
    return () => subscription.unsubscribe();
  });
  return {
    get value() {
      return value;
    }
  };
}
