import { openFile, sheetPdf, templatesPdf } from '$lib/files';
import { expose } from 'comlink';

const worker = { openFile, sheetPdf, templatesPdf };
export type FilesWorker = typeof worker;

expose(worker);
