import {
  clip,
  closePath,
  endPath,
  LineCapStyle,
  lineTo,
  moveTo,
  PDFDocument,
  popGraphicsState,
  PrintScaling,
  pushGraphicsState,
  rectangle,
  setDashPattern,
  setLineCap,
  setLineWidth,
  setStrokingGrayscaleColor,
  stroke,
  type PDFOperator,
  type PDFPage
} from 'pdf-lib';
import type { TemplateMark, TemplatePage } from '$lib/core/preparing/templates';
import { Face, type FontFiles } from './pdfFonts';
import { printable } from './pdfText';
import { STROKES } from './strokes';

/** Points of a PDF in a millimetre. */
export const POINTS_PER_MM = 72 / 25.4;

/**
 * Pages of templates as a PDF, true to size when printed at 100 %.
 *
 * @returns the file
 */
export async function templatesPdf(
  pages: readonly TemplatePage[],
  title: string,
  files: FontFiles
): Promise<Uint8Array> {
  const pdf = await PDFDocument.create();
  pdf.setTitle(title);
  // The viewer must not shrink a page that is meant to be measured.
  pdf.catalog.getOrCreateViewerPreferences().setPrintScaling(PrintScaling.None);
  const fonts = {
    plain: await Face.embed(pdf, files.plain),
    bold: await Face.embed(pdf, files.bold)
  };
  for (const { width, height, placed, marks } of pages) {
    const page = pdf.addPage([width * POINTS_PER_MM, height * POINTS_PER_MM]);
    for (const { dx, dy, window, marks: own } of placed) {
      page.pushOperators(
        pushGraphicsState(),
        rectangle(
          window.x * POINTS_PER_MM,
          (height - window.y - window.height) * POINTS_PER_MM,
          window.width * POINTS_PER_MM,
          window.height * POINTS_PER_MM
        ),
        clip(),
        endPath()
      );
      for (const mark of own) draw(page, mark, dx, dy, height, fonts);
      page.pushOperators(popGraphicsState());
    }
    for (const mark of marks) draw(page, mark, 0, 0, height, fonts);
  }
  return pdf.save();
}

function draw(
  page: PDFPage,
  mark: TemplateMark,
  dx: number,
  dy: number,
  height: number,
  fonts: { plain: Face; bold: Face }
): void {
  const x = (value: number): number => (value + dx) * POINTS_PER_MM;
  const y = (value: number): number => (height - value - dy) * POINTS_PER_MM;
  if (mark.kind === 'text') {
    const font = mark.bold ? fonts.bold : fonts.plain;
    const size = mark.size * POINTS_PER_MM;
    const text = printable(mark.text, font);
    let left = x(mark.x) - (mark.align === 'middle' ? font.widthOf(text, size) / 2 : 0);
    for (const run of font.runs(text)) {
      page.drawText(run.text, { x: left, y: y(mark.y), size, font: run.font });
      left += run.font.widthOfTextAtSize(run.text, size);
    }
    return;
  }
  const { width, dash, grey } = STROKES[mark.style];
  const operators: PDFOperator[] = [
    pushGraphicsState(),
    setLineWidth(width * POINTS_PER_MM),
    setStrokingGrayscaleColor(grey),
    setLineCap(LineCapStyle.Butt),
    setDashPattern(
      dash.map((length) => length * POINTS_PER_MM),
      0
    )
  ];
  mark.path.points.forEach(([px, py], at) =>
    operators.push(at === 0 ? moveTo(x(px), y(py)) : lineTo(x(px), y(py)))
  );
  if (mark.path.closed) operators.push(closePath());
  operators.push(stroke(), popGraphicsState());
  page.pushOperators(...operators);
}
