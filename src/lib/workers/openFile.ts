import { LIMITS, type Brought } from '$lib/files';
import { transfer } from 'comlink';
import { inWorker } from './inWorker';

/**
 * Opens a file in a worker, so that the page stays awake, and stops the worker when it takes too long.
 *
 * @param name the file’s name
 * @param bytes its content; handed over, so not to be used afterwards
 */
export async function openFileInWorker(name: string, bytes: Uint8Array): Promise<Brought> {
  const read = await inWorker<Brought>(LIMITS.seconds, async (files) =>
    files.openFile(name, transfer(bytes, [bytes.buffer]))
  );
  if (read.ok) return read.value;
  return read.late
    ? {
        kind: 'refused',
        name,
        code: 'too-slow',
        message: `This file was not read within ${LIMITS.seconds} s, the most that is waited. Bring only the pages with the chart, or the chart as text.`
      }
    : {
        kind: 'refused',
        name,
        code: 'broken',
        message: `This file could not be opened. ${read.why}`
      };
}
