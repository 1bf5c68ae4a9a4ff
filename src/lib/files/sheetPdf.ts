import { PDFDocument, rgb, StandardFonts, type PDFFont, type PDFPage } from 'pdf-lib';
import type { Plan, PlanStep } from '$lib/core/plan';
import { formatDuration, formatSize, formatThread } from '$lib/core/units';
import { PAPERS, type PaperName } from '$lib/core/templates';
import { printable, wrapped } from './pdfText';
import { POINTS_PER_MM } from './templatesPdf';

interface Fonts {
  plain: PDFFont;
  bold: PDFFont;
  italic: PDFFont;
}

/** Edges of the columns, mm from the left of the paper. */
const COLUMN = { box: 12, step: 20, stop: 38, words: 56 } as const;
const MARGIN_MM = 12;
const INK = rgb(0.1, 0.12, 0.15);
const SOFT = rgb(0.35, 0.37, 0.4);

/**
 * The merged sheet for paper beside the machine: a box to tick, the step’s number, the machine’s number, what to do, the
 * thread and the time; then what to cut and the spools in the order they are put on.
 *
 * @returns the PDF file
 */
export async function sheetPdf(plan: Plan, paper: PaperName): Promise<Uint8Array> {
  const pdf = await PDFDocument.create();
  pdf.setTitle(plan.itemName);
  const fonts: Fonts = {
    plain: await pdf.embedFont(StandardFonts.Helvetica),
    bold: await pdf.embedFont(StandardFonts.HelveticaBold),
    italic: await pdf.embedFont(StandardFonts.HelveticaOblique)
  };
  const writer = new Writer(pdf, fonts, paper);
  heading(writer, plan);
  for (const step of plan.steps) stepRow(writer, step);
  lists(writer, plan);
  writer.numberPages(plan.itemName);
  return pdf.save();
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

function stepRow(writer: Writer, step: PlanStep): void {
  const { fonts } = writer;
  const wide = writer.width - MARGIN_MM - COLUMN.words - 22;
  const title = wrapped(step.title, fonts.bold, 13, wide * POINTS_PER_MM);
  const detail = step.detail === '' ? [] : wrapped(step.detail, fonts.plain, 10.5, wide * POINTS_PER_MM);
  const note = step.note === '' ? [] : wrapped(step.note, fonts.italic, 10, wide * POINTS_PER_MM);
  const caution =
    step.caution && step.kind === 'hand' ? wrapped(step.caution, fonts.bold, 9, wide * POINTS_PER_MM) : [];
  const height = 4 + title.length * 5.5 + (detail.length + note.length + caution.length) * 4.6;
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
  const lines: [string[], keyof Fonts, number, number][] = [
    [title, 'bold', 13, 5.5],
    [detail, 'plain', 10.5, 4.6],
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
    const words = `${cut.name}: ${formatSize(cut.cut, plan.unit)}${cut.count > 1 ? ` × ${cut.count}` : ''}, ${cut.material.name}${cut.cutFrom === null ? '' : `, from ${cut.cutFrom}`}`;
    writer.text(COLUMN.step, words, { size: 11, lead: 6 });
  }
  writer.ensure(20);
  writer.y += 4;
  writer.text(MARGIN_MM, 'Spools in order', { size: 15, font: 'bold', lead: 8 });
  for (const { thread, upperMetres } of plan.threads) {
    writer.ensure(8);
    writer.square(COLUMN.box, writer.y + 1, 4);
    writer.swatch(COLUMN.step, writer.y + 0.6, thread.colour);
    writer.text(COLUMN.step + 13, `${thread.name}, ${formatThread(upperMetres)}`, { size: 11, lead: 7 });
  }
}

interface Style {
  size: number;
  font?: keyof Fonts;
  colour?: ReturnType<typeof rgb>;
}

/** Writes down a page in millimetres from its top left, and turns to the next when it is full. */
class Writer {
  y = MARGIN_MM;
  readonly width: number;
  readonly #height: number;
  #page: PDFPage;

  constructor(
    readonly pdf: PDFDocument,
    readonly fonts: Fonts,
    paper: PaperName
  ) {
    this.width = PAPERS[paper].width;
    this.#height = PAPERS[paper].height;
    this.#page = this.#turn();
  }

  /** Turns the page unless so many millimetres are left. */
  ensure(mm: number): void {
    if (this.y + mm > this.#height - MARGIN_MM - 6) this.#page = this.#turn();
  }

  /** A line of text, and on to the next unless it stays. */
  text(x: number, words: string, style: Style & { lead: number; stay?: boolean }): void {
    this.at(x, this.y + style.lead * 0.75, words, style);
    if (style.stay !== true) this.y += style.lead;
  }

  at(
    x: number,
    y: number,
    words: string,
    { size, font = 'plain', colour = INK, middle, right }: Style & { middle?: boolean; right?: boolean }
  ): void {
    const type = this.fonts[font];
    const text = printable(words, type);
    const width = type.widthOfTextAtSize(text, size);
    const left = x * POINTS_PER_MM - (middle ? width / 2 : right ? width : 0);
    this.#page.drawText(text, { x: left, y: this.#up(y), size, font: type, color: colour });
  }

  rule(thickness: number): void {
    const y = this.#up(this.y);
    const line = {
      start: { x: MARGIN_MM * POINTS_PER_MM, y },
      end: { x: (this.width - MARGIN_MM) * POINTS_PER_MM, y }
    };
    this.#page.drawLine({ ...line, thickness: thickness * POINTS_PER_MM, color: SOFT });
  }

  square(x: number, y: number, side: number, thickness = 0.5): void {
    this.#page.drawRectangle({
      x: x * POINTS_PER_MM,
      y: this.#up(y + side),
      width: side * POINTS_PER_MM,
      height: side * POINTS_PER_MM,
      borderColor: INK,
      borderWidth: thickness * POINTS_PER_MM
    });
  }

  /** A thread’s colour with an ink edge, so that white and black both read. */
  swatch(x: number, y: number, colour: string): void {
    const part = (from: number): number => Number.parseInt(colour.slice(from, from + 2), 16) / 255;
    this.#page.drawRectangle({
      x: x * POINTS_PER_MM,
      y: this.#up(y + 5),
      width: 10 * POINTS_PER_MM,
      height: 5 * POINTS_PER_MM,
      color: rgb(part(1), part(3), part(5)),
      borderColor: INK,
      borderWidth: 0.3 * POINTS_PER_MM
    });
  }

  numberPages(title: string): void {
    const pages = this.pdf.getPages();
    pages.forEach((page, at) => {
      this.#page = page;
      const words = `${title}, page ${at + 1} of ${pages.length}`;
      this.at(this.width - MARGIN_MM, this.#height - MARGIN_MM, words, {
        size: 9,
        colour: SOFT,
        right: true
      });
    });
  }

  #turn(): PDFPage {
    this.y = MARGIN_MM;
    return this.pdf.addPage([this.width * POINTS_PER_MM, this.#height * POINTS_PER_MM]);
  }

  #up(y: number): number {
    return (this.#height - y) * POINTS_PER_MM;
  }
}
