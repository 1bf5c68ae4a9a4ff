import Papa from 'papaparse';
import type { ShoppingRow } from '$lib/core/preparing/cutting';
import type { PaperName } from '$lib/core/preparing/templates';
import type { FontFiles } from './pdfFonts';
import { wrapped } from './pdfText';
import { MARGIN_MM, SOFT, Writer } from './pdfWriter';
import { POINTS_PER_MM } from './templatesPdf';

/** The shopping list as CSV, a line a thing; a cost nobody knows stays empty. */
export function shoppingCsv(rows: readonly ShoppingRow[]): string {
  return Papa.unparse(
    rows.map(({ what, name, need, have, buy, cost }) => ({
      what,
      name,
      needed: need,
      'in the stash': have,
      buy,
      cost: cost === null ? '' : cost.toFixed(2)
    })),
    // A spreadsheet must not take a name for a formula.
    { newline: '\n', escapeFormulae: true }
  );
}

/** The shopping list to take along: a box to tick, what to ask for, and what it is for. */
export async function shoppingPdf(
  title: string,
  rows: readonly ShoppingRow[],
  paper: PaperName,
  fonts: FontFiles
): Promise<Uint8Array> {
  const writer = await Writer.begin('Shopping list', paper, fonts);
  const wide = (writer.width - 2 * MARGIN_MM) * POINTS_PER_MM;
  writer.text(MARGIN_MM, 'Shopping list', { size: 22, font: 'bold', lead: 11 });
  for (const line of wrapped(title, writer.fonts.plain, 11, wide))
    writer.text(MARGIN_MM, line, { size: 11, lead: 5.5 });
  writer.y += 3;
  for (const { name, buy, need, have, cost, colour } of rows) {
    writer.ensure(16);
    writer.rule(0.2);
    writer.y += 2;
    writer.square(MARGIN_MM, writer.y + 1, 5);
    if (colour) writer.swatch(MARGIN_MM + 9, writer.y + 1, colour);
    const price = cost === null ? '' : cost.toFixed(2);
    writer.at(writer.width - MARGIN_MM, writer.y + 5, price, { size: 13, right: true });
    writer.text(MARGIN_MM + 23, `${name}: ${buy}`, { size: 13, font: 'bold', lead: 6.5 });
    writer.text(MARGIN_MM + 23, `needed ${need}; in the stash ${have}`, { size: 10, lead: 6, colour: SOFT });
  }
  writer.numberPages('Shopping list');
  return writer.pdf.save();
}
