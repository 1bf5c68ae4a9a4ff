import { PDFDocument, rgb, type PDFPage } from 'pdf-lib';
import { type PaperName, PAPERS } from '$lib/core/preparing/templates';
import { Face, type FontFiles } from './pdfFonts';
import { hasLost, printable, shortened } from './pdfText';
import { POINTS_PER_MM } from './templatesPdf';

interface Fonts {
  plain: Face;
  bold: Face;
  italic: Face;
}

export const MARGIN_MM = 12;
const INK = rgb(0.1, 0.12, 0.15);
export const SOFT = rgb(0.35, 0.37, 0.4);

interface Style {
  size: number;
  font?: keyof Fonts;
  colour?: ReturnType<typeof rgb>;
}

/** A colour as #rrggbb for the page. */
function inkOf(colour: string): ReturnType<typeof rgb> {
  const part = (from: number): number => Number.parseInt(colour.slice(from, from + 2), 16) / 255;
  return rgb(part(1), part(3), part(5));
}

/** Writes down a page in millimetres from its top left, and turns to the next when it is full. */
export class Writer {
  y = MARGIN_MM;
  readonly width: number;
  readonly #height: number;
  #page: PDFPage;
  /** Signs that no typeface here has were printed as question marks. */
  #lost = false;

  private constructor(
    readonly pdf: PDFDocument,
    readonly fonts: Fonts,
    paper: PaperName
  ) {
    this.width = PAPERS[paper].width;
    this.#height = PAPERS[paper].height;
    this.#page = this.#turn();
  }

  /** A document with its first page. */
  static async begin(title: string, paper: PaperName, files: FontFiles): Promise<Writer> {
    const pdf = await PDFDocument.create();
    pdf.setTitle(title);
    const fonts: Fonts = {
      plain: await Face.embed(pdf, files.plain),
      bold: await Face.embed(pdf, files.bold),
      italic: await Face.embed(pdf, files.italic)
    };
    return new Writer(pdf, fonts, paper);
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
    const printed = printable(words, type);
    this.#lost ||= hasLost(words, printed);
    // Nothing runs off the paper: what does not fit is cut short.
    const room = right
      ? x - MARGIN_MM
      : middle
        ? 2 * Math.min(x, this.width - x) - MARGIN_MM
        : this.width - x - MARGIN_MM / 2;
    const text = shortened(printed, type, size, room * POINTS_PER_MM);
    const width = type.widthOf(text, size);
    let left = x * POINTS_PER_MM - (middle ? width / 2 : right ? width : 0);
    for (const run of type.runs(text)) {
      this.#page.drawText(run.text, { x: left, y: this.#up(y), size, font: run.font, color: colour });
      left += run.font.widthOfTextAtSize(run.text, size);
    }
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

  /** A shape in its own millimetres, scaled and laid with its origin at a place. */
  shape(
    path: string,
    x: number,
    y: number,
    scale: number,
    { fill, stroke, width }: { fill?: string; stroke: string; width: number }
  ): void {
    this.#page.drawSvgPath(path, {
      x: x * POINTS_PER_MM,
      y: this.#up(y),
      scale: scale * POINTS_PER_MM,
      ...(fill !== undefined && { color: inkOf(fill) }),
      borderColor: inkOf(stroke),
      borderWidth: width * scale * POINTS_PER_MM
    });
  }

  /** A thread’s colour with an ink edge, so that white and black both read. */
  swatch(x: number, y: number, colour: string): void {
    this.#page.drawRectangle({
      x: x * POINTS_PER_MM,
      y: this.#up(y + 5),
      width: 10 * POINTS_PER_MM,
      height: 5 * POINTS_PER_MM,
      color: inkOf(colour),
      borderColor: INK,
      borderWidth: 0.3 * POINTS_PER_MM
    });
  }

  numberPages(title: string): void {
    const pages = this.pdf.getPages();
    pages.forEach((page, at) => {
      this.#page = page;
      const words = `${title.slice(0, 60)}, page ${at + 1} of ${pages.length}`;
      this.at(this.width - MARGIN_MM, this.#height - MARGIN_MM, words, {
        size: 9,
        colour: SOFT,
        right: true
      });
      if (this.#lost)
        this.at(MARGIN_MM, this.#height - MARGIN_MM, 'A “?” stands for a sign that cannot be printed here.', {
          size: 9,
          colour: SOFT
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
