import { pdfOf } from '../../bench/support/pdf';

/** A chart in cards with its instruction sheet on the next page. */
export async function badgerPdf(): Promise<Buffer> {
  const rows = [
    ['Placement line', 'grey', 120, 60],
    ['Tack-down', 'black', 120, 60],
    ['Badger face', 'white', 1500, 810],
    ['Final outline', 'white', 420, 210]
  ] as const;
  const bytes = await pdfOf((sheet) => {
    sheet.text(50, 60, 'Badger luggage tab', 22);
    sheet.text(50, 82, 'for the small hoop, 30.0 x 94.0 mm (1.18 x 3.70 in), 2,160 stitches in all');
    rows.forEach(([name, colour, stitches, cm], at) => {
      const [x, y] = [60 + (at % 2) * 260, 130 + Math.floor(at / 2) * 95];
      sheet.text(x, y, String(at + 1), 26);
      sheet.text(x + 40, y - 8, name, 12);
      [
        ['Thread colour', colour],
        ['Stitches', String(stitches)],
        ['Thread length', `${cm} cm`]
      ].forEach(([label = '', value = ''], line) => {
        sheet.text(x + 40, y + 8 + line * 14, label, 8);
        sheet.text(x + 120, y + 8 + line * 14, value, 10);
      });
    });
    sheet.newPage();
    [
      '1. Hoop the tear-away.',
      '2. Stitch colour 1, the placement line.',
      '3. Lay the front felt over the line and tape its corners.',
      '4. Stitch the final outline.'
    ].forEach((text, at) => sheet.text(50, 90 + at * 18, text, 11));
  });
  return Buffer.from(bytes);
}
