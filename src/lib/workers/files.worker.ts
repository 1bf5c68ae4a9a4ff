import { openFile } from '$lib/files';
import { expose } from 'comlink';

const worker = { openFile };
export type FilesWorker = typeof worker;

expose(worker);
