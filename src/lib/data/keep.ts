import { messageOf } from '$lib/core/base/problems';
let asked = false;

/**
 * Asks the browser, once, not to clear what is kept when its disk runs short: at the first document of one’s own. It may say
 * no; the shop shows its answer.
 */
export function askToKeep(): void {
  if (asked || typeof navigator === 'undefined' || !('storage' in navigator)) return;
  asked = true;
  void navigator.storage.persist().catch((problem: unknown) => {
    console.info(`The browser does not say whether it keeps things: ${messageOf(problem)}`);
  });
}

/** Whether the browser has promised to keep what is stored; null where it cannot say. */
export async function isKept(): Promise<boolean | null> {
  if (typeof navigator === 'undefined' || !('storage' in navigator)) return null;
  return navigator.storage.persisted();
}
