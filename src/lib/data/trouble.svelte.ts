import { db } from './db';

/** Why nothing can be read or kept just now, in words for the maker; null where all is well. */
class StorageTrouble {
  words = $state<string | null>(null);
}
export const storageTrouble = new StorageTrouble();

const WORDS = {
  blocked:
    'Another tab holds an older Jolt Step open. Close that tab and this one goes on by itself; nothing is lost.',
  newer:
    'A newer Jolt Step was opened in another tab. Reload this page to go on; all that was shown as kept is kept.',
  unavailable:
    'This browser does not let the page keep anything: a private window, or its storage is switched off. What you enter now would be lost.',
  unread: 'What is kept could not be read just now. Reload the page; nothing was changed.'
} as const;

/** Names of errors that say there is no database to be had. */
const NONE = ['MissingAPIError', 'OpenFailedError', 'InvalidStateError', 'SecurityError', 'UnknownError'];

/** Tells of a database that cannot be read. */
export function tellTrouble(error: unknown): void {
  const name = error instanceof Error ? error.name : '';
  // A newer tab has closed this one’s database, which was told already.
  if (storageTrouble.words === WORDS.newer) return;
  storageTrouble.words = NONE.includes(name) ? WORDS.unavailable : WORDS.unread;
}

/** Watches for tabs that stand in each other’s way. Call it once. */
export function watchStorage(): void {
  db.on('blocked', () => {
    storageTrouble.words = WORDS.blocked;
  });
  db.on('ready', () => {
    if (storageTrouble.words === WORDS.blocked) storageTrouble.words = null;
  });
  db.on('versionchange', () => {
    storageTrouble.words = WORDS.newer;
    db.close();
  });
  // A query that finds no database tells nobody.
  db.open().catch(tellTrouble);
}
