import { download } from '$lib/ui/files';
import type { WorkerResult } from '$lib/workers';
import { toast } from 'svelte-sonner';

/**
 * Downloads a PDF once a worker has written it, or says that it could not.
 *
 * @param name of the file, with its ending
 * @param advice what may help, where it could not be written
 */
export async function savePdf(
  name: string,
  work: Promise<WorkerResult<Uint8Array>>,
  advice = ''
): Promise<void> {
  const written = await work;
  if (written.ok) download(name, written.value as Uint8Array<ArrayBuffer>, 'application/pdf');
  else toast.error(`The PDF was not written. ${written.why}${advice === '' ? '' : ` ${advice}`}`);
}
