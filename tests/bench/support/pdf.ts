import { PDFDocument, StandardFonts, type PDFFont, type PDFPage } from 'pdf-lib';

/** A page being set, measured from its top left corner in points. */
export interface Sheet {
  text(x: number, y: number, words: string, size?: number, align?: 'left' | 'right'): void;
  newPage(): void;
  width(words: string, size?: number): number;
}

/** Sets a PDF with one type on A4 pages. */
export async function pdfOf(write: (sheet: Sheet) => void): Promise<Uint8Array> {
  const pdf = await PDFDocument.create();
  const font: PDFFont = await pdf.embedFont(StandardFonts.Helvetica);
  let page: PDFPage = pdf.addPage([595, 842]);
  write({
    text(x, y, words, size = 10, align = 'left') {
      const left = align === 'right' ? x - font.widthOfTextAtSize(words, size) : x;
      page.drawText(words, { x: left, y: 842 - y, size, font });
    },
    newPage() {
      page = pdf.addPage([595, 842]);
    },
    width: (words, size = 10) => font.widthOfTextAtSize(words, size)
  });
  return pdf.save();
}
