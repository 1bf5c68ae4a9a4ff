export { openFileInWorker } from './openFile';
export { sheetPdfInWorker, templatesPdfInWorker } from './writePdf';
