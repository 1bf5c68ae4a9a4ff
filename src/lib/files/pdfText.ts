import type { Face } from './pdfFonts';

/**
 * Text as the shipped typeface can print it, with every accent; fractions and marks it lacks are written out.
 *
 * @example
 * printable('Łódź, 4 ⅜ in', face) // 'Łódź, 4 3/8 in'
 */
export function printable(text: string, face: Face): string {
  return [...text.normalize('NFC')]
    .map((sign) => {
      if (face.has(sign)) return sign;
      const plain = sign
        .normalize('NFKD')
        .replace(/[\u0300-\u036f]/g, '')
        .replace('⁄', '/');
      if (plain !== '' && face.has(plain)) return plain;
      return /\s/.test(sign) ? ' ' : '?';
    })
    .join('');
}

/** Text broken into lines no wider than a width, in the unit of the type’s size. */
export function wrapped(text: string, face: Face, size: number, width: number): string[] {
  return text.split('\n').flatMap((paragraph) => {
    const lines: string[] = [];
    let line = '';
    for (const word of printable(paragraph, face).split(' ')) {
      const longer = line === '' ? word : `${line} ${word}`;
      if (line !== '' && face.widthOf(longer, size) > width) {
        lines.push(line);
        line = word;
      } else line = longer;
    }
    return [...lines, line];
  });
}
