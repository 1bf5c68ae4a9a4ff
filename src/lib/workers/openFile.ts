import { LIMITS, type Brought } from '$lib/files';
import { transfer, wrap } from 'comlink';
import type { FilesWorker } from './files.worker';

/**
 * Opens a file in a worker, so that the page stays awake, and stops the worker when it takes too long.
 *
 * @param name the file’s name
 * @param bytes its content; handed over, so not to be used afterwards
 */
export async function openFileInWorker(name: string, bytes: Uint8Array): Promise<Brought> {
  const worker = new Worker(new URL('./files.worker.ts', import.meta.url), { type: 'module' });
  const late: Brought = {
    kind: 'refused',
    name,
    code: 'too-slow',
    message: `This file was not read within ${LIMITS.seconds} s, the most that is waited. Bring only the pages with the chart, or the chart as text.`
  };
  const broken: Brought = {
    ...late,
    code: 'broken',
    message: 'This file could not be opened: reading it broke off.'
  };
  let timer: ReturnType<typeof setTimeout> | undefined;
  try {
    const { openFile } = wrap<FilesWorker>(worker);
    return await Promise.race([
      openFile(name, transfer(bytes, [bytes.buffer])),
      new Promise<Brought>((done) => {
        timer = setTimeout(() => done(late), LIMITS.seconds * 1000);
      }),
      new Promise<Brought>((done) => {
        worker.addEventListener('error', () => done(broken));
      })
    ]);
  } catch {
    return broken;
  } finally {
    clearTimeout(timer);
    worker.terminate();
  }
}
