import { formatDuration, formatSize, formatThread } from '$lib/core/base/units';
import type { Plan, PlanStep } from '$lib/core/documents/plan';
import type { PaperName } from '$lib/core/preparing/templates';
import type { Appearance } from '$lib/core/making/appearance';
import { drawPicture } from './pdfPicture';
import { MARGIN_MM, SOFT, Writer } from './pdfWriter';
import type { FontFiles } from './pdfFonts';
import { wrapped } from './pdfText';
import { POINTS_PER_MM } from './templatesPdf';

/** What stands beside the steps of a sheet: how the item ends, and why a step is so, by step of the item. */
export interface BesideSheet {
  look?: Appearance;
  reasons?: Readonly<Record<string, string>>;
}

/** Edges of the columns, mm from the left of the paper. */
const COLUMN = { box: 12, step: 20, stop: 38, words: 56 } as const;

/**
 * The merged sheet for paper beside the machine: a box to tick, the step’s number, the machine’s number, what to do, the
 * thread and the time; then what to cut and the spools in the order they are put on.
 *
 * @param beside its picture, and reasons of its steps where they are wanted
 * @returns the PDF file
 */
export async function sheetPdf(
  plan: Plan,
  paper: PaperName,
  { look, reasons = {} }: BesideSheet,
  fonts: FontFiles
): Promise<Uint8Array> {
  const writer = await Writer.begin(plan.itemName, paper, fonts);
  if (look)
    drawPicture(writer, look, { x: writer.width - MARGIN_MM - 40, y: MARGIN_MM - 2, width: 40, height: 24 });
  heading(writer, plan);
  for (const step of plan.steps) stepRow(writer, step, reasons[step.itemStepId ?? ''] ?? '');
  lists(writer, plan);
  writer.numberPages(plan.itemName);
  return writer.pdf.save();
}

function heading(writer: Writer, plan: Plan): void {
  writer.text(MARGIN_MM, plan.itemName, { size: 22, font: 'bold', lead: 10 });
  const { hands, needle, waiting } = plan.totals;
  const facts = [
    plan.variant.name === 'As drawn' ? '' : plan.variant.name,
    `finished ${formatSize(plan.finished, plan.unit)}`,
    `${plan.hoop.name} ${formatSize(plan.hoop.field, plan.unit)}`,
    plan.machine.name
  ];
  writer.text(MARGIN_MM, facts.filter((fact) => fact !== '').join(' · '), { size: 11, lead: 6 });
  const times = [
    `hands ${formatDuration(hands.value)}`,
    `needle ${formatDuration(needle.value)}`,
    ...(waiting.value > 0 ? [`waiting ${formatDuration(waiting.value)}`] : [])
  ];
  writer.text(MARGIN_MM, `${times.join(' · ')} (estimated)`, { size: 11, lead: 6 });
  writer.text(COLUMN.step, 'Step', { size: 8, lead: 5, colour: SOFT, stay: true });
  writer.text(COLUMN.stop, 'Stop', { size: 8, lead: 5, colour: SOFT });
  writer.rule(0.8);
}

function stepRow(writer: Writer, step: PlanStep, reason: string): void {
  const { fonts } = writer;
  const wide = writer.width - MARGIN_MM - COLUMN.words - 22;
  const title = wrapped(step.title, fonts.bold, 13, wide * POINTS_PER_MM);
  const detail = step.detail === '' ? [] : wrapped(step.detail, fonts.plain, 10.5, wide * POINTS_PER_MM);
  const note = step.note === '' ? [] : wrapped(step.note, fonts.italic, 10, wide * POINTS_PER_MM);
  const why = reason === '' ? [] : wrapped(reason, fonts.italic, 9.5, wide * POINTS_PER_MM);
  const caution =
    step.caution && step.kind === 'hand' ? wrapped(step.caution, fonts.bold, 9, wide * POINTS_PER_MM) : [];
  const height = 4 + title.length * 5.5 + (detail.length + why.length + note.length + caution.length) * 4.6;
  writer.ensure(Math.max(11, height));
  const top = writer.y;
  writer.square(COLUMN.box, top + 2.5, 5);
  writer.at(COLUMN.step, top + 7.2, String(step.number), { size: 18, font: 'bold' });
  if (step.stop) {
    const number = step.stop.machineNumber;
    writer.square(COLUMN.stop, top + 1.5, 11, step.stop.protected ? 1 : 0.5);
    writer.at(COLUMN.stop + 5.5, top + 9, number === null ? '?' : String(number), {
      size: 18,
      font: 'bold',
      middle: true
    });
  }
  const seconds = step.hands.value + step.running.value + step.waiting.value;
  writer.at(writer.width - MARGIN_MM, top + 6.5, formatDuration(seconds), { size: 10.5, right: true });
  if (step.thread) writer.swatch(writer.width - MARGIN_MM - 10, top + 8.5, step.thread.colour);
  let y = top + 1.5;
  const lines: [string[], keyof Writer['fonts'], number, number][] = [
    [title, 'bold', 13, 5.5],
    [detail, 'plain', 10.5, 4.6],
    [why, 'italic', 9.5, 4.6],
    [note, 'italic', 10, 4.6],
    [caution, 'bold', 9, 4.6]
  ];
  for (const [words, font, size, lead] of lines) {
    for (const line of words) {
      y += lead;
      writer.at(COLUMN.words, y, line, { size, font });
    }
  }
  writer.y = top + Math.max(step.thread ? 15 : 11, height);
  writer.rule(0.2);
}

function lists(writer: Writer, plan: Plan): void {
  writer.ensure(30);
  writer.y += 6;
  writer.text(MARGIN_MM, 'Cut first', { size: 15, font: 'bold', lead: 8 });
  for (const cut of plan.cuts) {
    writer.ensure(7);
    writer.square(COLUMN.box, writer.y + 1, 4);
    const words = `${cut.name}: ${formatSize(cut.cut, plan.unit)}${cut.count > 1 ? ` × ${cut.count}` : ''}, ${cut.material.name}${cut.cutFrom === null ? '' : `, from ${cut.cutFrom}`}${cut.readyMade ? ', ready-made' : ''}`;
    writer.text(COLUMN.step, words, { size: 11, lead: 6 });
  }
  writer.ensure(20);
  writer.y += 4;
  writer.text(MARGIN_MM, 'Spools in order', { size: 15, font: 'bold', lead: 8 });
  for (const { thread, upperMetres } of plan.threads) {
    writer.ensure(8);
    writer.square(COLUMN.box, writer.y + 1, 4);
    writer.swatch(COLUMN.step, writer.y + 0.6, thread.colour);
    writer.text(COLUMN.step + 13, `${thread.name}, ${formatThread(upperMetres, plan.unit)}`, {
      size: 11,
      lead: 7
    });
  }
}
