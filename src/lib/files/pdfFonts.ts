import fontkit from '@pdf-lib/fontkit';
import type { PDFDocument, PDFFont } from 'pdf-lib';

/** The shipped typeface as font files, by style: what one file has no sign for, the next one may have. */
export interface FontFiles {
  plain: readonly Uint8Array[];
  bold: readonly Uint8Array[];
  italic: readonly Uint8Array[];
}

/** A stretch of text in the font that has its signs. */
interface FontRun {
  font: PDFFont;
  text: string;
}

/** One style of the typeface in a document, over all its files. */
export class Face {
  readonly #fonts: readonly { font: PDFFont; signs: ReadonlySet<number> }[];

  constructor(fonts: readonly PDFFont[]) {
    this.#fonts = fonts.map((font) => ({ font, signs: new Set(font.getCharacterSet()) }));
  }

  /** Puts the files of a style into a document. */
  static async embed(pdf: PDFDocument, files: readonly Uint8Array[]): Promise<Face> {
    pdf.registerFontkit(fontkit);
    return new Face(await Promise.all(files.map((file) => pdf.embedFont(file, { subset: true }))));
  }

  /** Whether every sign of a text can be printed. */
  has(text: string): boolean {
    return [...text].every((sign) => this.#fontOf(sign) !== undefined);
  }

  /** A text in stretches, each with the font that has it. */
  runs(text: string): FontRun[] {
    const found: FontRun[] = [];
    for (const sign of text) {
      const font = this.#fontOf(sign) ?? this.#fonts[0]?.font;
      const last = found.at(-1);
      if (!font) continue;
      if (last?.font === font) last.text += sign;
      else found.push({ font, text: sign });
    }
    return found;
  }

  /** Width of a text, in the unit of the size. */
  widthOf(text: string, size: number): number {
    return this.runs(text).reduce((sum, run) => sum + run.font.widthOfTextAtSize(run.text, size), 0);
  }

  #fontOf(sign: string): PDFFont | undefined {
    const code = sign.codePointAt(0) ?? 0;
    return this.#fonts.find(({ signs }) => signs.has(code))?.font;
  }
}
