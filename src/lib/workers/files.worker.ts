import { openFile, sheetPdf, shoppingPdf, templatesPdf } from '$lib/files';
import { expose } from 'comlink';

const worker = { openFile, sheetPdf, shoppingPdf, templatesPdf };
export type FilesWorker = typeof worker;

expose(worker);
