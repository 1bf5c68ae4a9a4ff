import { needleSheetPdf, openFile, sheetPdf, shoppingPdf, templatesPdf } from '$lib/files';
import { expose } from 'comlink';

const worker = { needleSheetPdf, openFile, sheetPdf, shoppingPdf, templatesPdf };
export type FilesWorker = typeof worker;

expose(worker);
