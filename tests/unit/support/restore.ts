import type { LooseBackup } from '$lib/core/documents/files';
import { type Everything, readBackup, restoreBackup } from '$lib/data/backup';

/** Brings a backup back from its text; null where it is none. */
export async function bringBack(text: string): Promise<(LooseBackup & { before: Everything }) | null> {
  const read = await readBackup(new Blob([text]));
  return read && { ...read, before: await restoreBackup(read.backup) };
}
