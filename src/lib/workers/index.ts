export { Promising, WeekPlanning, WeekRaising } from './AskingOnce.svelte';
export { BatchPlanning } from './BatchPlanning.svelte';
export { CutPlanning } from './CutPlanning.svelte';
export { openFileInWorker } from './openFile';
export { PaperReader } from './PaperReader';
export type { Interpreted, ToldLike } from './reading.worker';
export {
  jobSheetPdfInWorker,
  needleSheetPdfInWorker,
  quotePdfInWorker,
  sheetPdfInWorker,
  shoppingPdfInWorker,
  templatesPdfInWorker
} from './writePdf';
export { ThreadPlanning } from './ThreadPlanning.svelte';
export { followSummaries } from './summaries';
export type { WorkerResult } from './bounded';
