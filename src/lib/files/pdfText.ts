import type { PDFFont } from 'pdf-lib';

/**
 * Text as the standard type of a PDF can print it: fractions and marks it lacks are written out, accents it lacks are
 * left off.
 *
 * @example
 * printable('4 ⅜ in', font) // '4 3/8 in'
 */
export function printable(text: string, font: PDFFont): string {
  const known = new Set(font.getCharacterSet());
  return [...text.normalize('NFC')]
    .map((sign) => {
      const has = (each: string): boolean => [...each].every((part) => known.has(part.codePointAt(0) ?? 0));
      if (has(sign)) return sign;
      const plain = sign
        .normalize('NFKD')
        .replace(/[\u0300-\u036f]/g, '')
        .replace('⁄', '/');
      if (plain !== '' && has(plain)) return plain;
      return /\s/.test(sign) ? ' ' : '?';
    })
    .join('');
}

/** Text broken into lines no wider than a width, in the unit of the type’s size. */
export function wrapped(text: string, font: PDFFont, size: number, width: number): string[] {
  return text.split('\n').flatMap((paragraph) => {
    const lines: string[] = [];
    let line = '';
    for (const word of printable(paragraph, font).split(' ')) {
      const longer = line === '' ? word : `${line} ${word}`;
      if (line !== '' && font.widthOfTextAtSize(longer, size) > width) {
        lines.push(line);
        line = word;
      } else line = longer;
    }
    return [...lines, line];
  });
}
