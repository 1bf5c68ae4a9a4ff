export { BatchPlanning } from './BatchPlanning.svelte';
export { CutPlanning } from './CutPlanning.svelte';
export { openFileInWorker } from './openFile';
export {
  needleSheetPdfInWorker,
  sheetPdfInWorker,
  shoppingPdfInWorker,
  templatesPdfInWorker
} from './writePdf';
export { ThreadPlanning } from './ThreadPlanning.svelte';
