import {
  jobSheetPdf,
  needleSheetPdf,
  openFile,
  quotePdf,
  sheetPdf,
  shoppingPdf,
  templatesPdf
} from '$lib/files';
import { expose } from 'comlink';

const worker = { jobSheetPdf, needleSheetPdf, openFile, quotePdf, sheetPdf, shoppingPdf, templatesPdf };
export type FilesWorker = typeof worker;

expose(worker);
