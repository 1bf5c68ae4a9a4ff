export { CutPlanning } from './CutPlanning.svelte';
export { openFileInWorker } from './openFile';
export { sheetPdfInWorker, shoppingPdfInWorker, templatesPdfInWorker } from './writePdf';
