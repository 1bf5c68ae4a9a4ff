import type { Order } from '$lib/core/documents/order';
import type { Plan } from '$lib/core/documents/plan';
import type { Quote } from '$lib/core/ordering/quote';
import type { ShoppingRow } from '$lib/core/preparing/cutting';
import type { PaperName, TemplatePage } from '$lib/core/preparing/templates';
import type { NeedleSheet } from '$lib/core/preparing/threads';
import type { BesideSheet, JobSheet, Looks } from '$lib/files';
import type { WorkerResult } from './bounded';
import { inWorker } from './inWorker';

/** The most that writing a PDF may take, s. */
const SECONDS = 30;

/** The sheet of a plan as a PDF, written in a worker. */
export function sheetPdfInWorker(
  plan: Plan,
  paper: PaperName,
  beside: BesideSheet = {}
): Promise<WorkerResult<Uint8Array>> {
  return inWorker(SECONDS, (files) => files.sheetPdf(plan, paper, beside));
}

/** The run sheet for the needles as a PDF, written in a worker. */
export function needleSheetPdfInWorker(sheet: NeedleSheet, plan: Plan): Promise<WorkerResult<Uint8Array>> {
  return inWorker(SECONDS, (files) => files.needleSheetPdf(sheet, plan, 'A4'));
}

/** Pages of templates as a PDF, written in a worker. */
export function templatesPdfInWorker(
  pages: TemplatePage[],
  title: string
): Promise<WorkerResult<Uint8Array>> {
  return inWorker(SECONDS, (files) => files.templatesPdf(pages, title));
}

/** A shopping list as a PDF, written in a worker. */
export function shoppingPdfInWorker(title: string, rows: ShoppingRow[]): Promise<WorkerResult<Uint8Array>> {
  return inWorker(SECONDS, (files) => files.shoppingPdf(title, rows, 'A4'));
}

/** A quote as a PDF, written in a worker. */
export function quotePdfInWorker(
  order: Order,
  quote: Quote,
  looks: Looks
): Promise<WorkerResult<Uint8Array>> {
  return inWorker(SECONDS, (files) => files.quotePdf(order, quote, looks, 'A4'));
}

/** The job sheet of an order as a PDF, written in a worker. */
export function jobSheetPdfInWorker(sheet: JobSheet): Promise<WorkerResult<Uint8Array>> {
  return inWorker(SECONDS, (files) => files.jobSheetPdf(sheet, 'A4'));
}
