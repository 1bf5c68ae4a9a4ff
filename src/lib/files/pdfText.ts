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
    const words = printable(paragraph, face).split(' ');
    for (const word of words.flatMap((each) => broken(each, face, size, width))) {
      const longer = line === '' ? word : `${line} ${word}`;
      if (line !== '' && face.widthOf(longer, size) > width) {
        lines.push(line);
        line = word;
      } else line = longer;
    }
    return [...lines, line];
  });
}

/** A word in parts no wider than a width: nothing runs off the paper, however long it is. */
function broken(word: string, face: Face, size: number, width: number): string[] {
  if (face.widthOf(word, size) <= width) return [word];
  const parts: string[] = [];
  let part = '';
  for (const letter of word) {
    if (part !== '' && face.widthOf(part + letter, size) > width) {
      parts.push(part);
      part = '';
    }
    part += letter;
  }
  return [...parts, part];
}

/** Whether signs were lost in printing. @example hasLost('Badger 🦡', 'Badger ?') // true */
export function hasLost(text: string, printed: string): boolean {
  return printed.split('?').length > text.split('?').length;
}

/** The start of a text that fits a width, with three dots where it goes on. */
export function shortened(text: string, face: Face, size: number, width: number): string {
  if (face.widthOf(text, size) <= width) return text;
  let [low, high] = [0, text.length];
  while (low < high) {
    const middle = Math.ceil((low + high) / 2);
    if (face.widthOf(`${text.slice(0, middle)}…`, size) <= width) low = middle;
    else high = middle - 1;
  }
  return `${text.slice(0, low).trimEnd()}…`;
}
