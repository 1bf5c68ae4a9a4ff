import type { Plan } from '$lib/core/documents/plan';
import type { PaperName } from '$lib/core/preparing/templates';
import type { NeedleSheet } from '$lib/core/preparing/threads';
import type { FontFiles } from './pdfFonts';
import { wrapped } from './pdfText';
import { MARGIN_MM, SOFT, Writer } from './pdfWriter';
import { POINTS_PER_MM } from './templatesPdf';

/** Edges of the columns, mm from the left of the paper. */
const COLUMN = { stop: 12, name: 28, needle: 88, thread: 100, then: 148 } as const;

/**
 * The run sheet for the needles on paper: the threads by needle, then every stop with its needle, its thread, and the
 * halt that must be programmed after it.
 *
 * @returns the PDF file
 */
export async function needleSheetPdf(
  sheet: NeedleSheet,
  plan: Plan,
  paper: PaperName,
  fonts: FontFiles
): Promise<Uint8Array> {
  const writer = await Writer.begin(`${plan.itemName}, run sheet`, paper, fonts);
  const several = plan.machine.needles > 1;
  writer.text(MARGIN_MM, plan.itemName, { size: 22, font: 'bold', lead: 10 });
  writer.text(MARGIN_MM, `Run sheet for ${plan.machine.name}, ${plan.hoop.name.toLowerCase()}`, {
    size: 11,
    lead: 6
  });
  for (const { hooping, needle } of sheet.advice)
    writer.text(MARGIN_MM, `${hooping}: needle ${needle.size} ${needle.kind}, ${needle.why}`, {
      size: 11,
      lead: 6
    });
  if (several) {
    writer.y += 3;
    writer.text(MARGIN_MM, 'Before the start', { size: 14, font: 'bold', lead: 8 });
    for (const { needle, thread, threadFirst } of sheet.needles.filter((each) => each.thread !== null)) {
      writer.ensure(8);
      writer.at(COLUMN.stop + 6, writer.y + 5, String(needle), { size: 14, font: 'bold', right: true });
      if (thread) writer.swatch(COLUMN.name, writer.y + 0.8, thread.colour);
      writer.text(COLUMN.name + 13, `${thread?.name ?? ''}${threadFirst ? ': thread it' : ': on already'}`, {
        size: 12,
        lead: 7.5
      });
    }
  }
  writer.y += 4;
  for (const [x, words] of [
    [COLUMN.stop, 'Stop'],
    ...(several ? ([[COLUMN.needle, 'Needle']] as const) : []),
    [COLUMN.thread, 'Thread'],
    [COLUMN.then, 'Then']
  ] as const)
    writer.text(x, words, { size: 8, lead: 5, colour: SOFT, stay: true });
  writer.y += 5;
  for (const row of sheet.rows) {
    const then = row.halt
      ? `${several ? 'HALT: ' : ''}${row.halt.why}${several && row.halt.sameNeedle ? ' (same needle next)' : ''}`
      : 'runs on';
    const type = { size: 11, font: row.rethread && several ? ('bold' as const) : ('plain' as const) };
    const lines = broken(writer, then, 10, 'plain', writer.width - MARGIN_MM - COLUMN.then);
    // Names as long as they are, and what must be done with the thread behind its name.
    const name = broken(writer, row.name, 11, 'plain', COLUMN.needle - COLUMN.name - 2);
    const spool = broken(
      writer,
      `${row.thread?.name ?? ''}${row.rethread && several ? ', re-thread' : ''}`,
      type.size,
      type.font,
      COLUMN.then - COLUMN.thread - 14
    );
    const tall = Math.max(9, 3 + Math.max(lines.length, name.length, spool.length) * 4.6);
    writer.ensure(tall + (row.needleBefore ? 7 : 0));
    writer.rule(0.2);
    if (row.needleBefore)
      writer.text(COLUMN.name, `Put in: ${row.needleBefore}`, { size: 11, font: 'bold', lead: 7 });
    const top = writer.y;
    const below = (
      x: number,
      words: readonly string[],
      from: number,
      style: Parameters<Writer['at']>[3]
    ): void => words.forEach((line, at) => writer.at(x, top + from + at * 4.6, line, style));
    writer.at(COLUMN.stop + 8, top + 6.5, String(row.number), { size: 15, font: 'bold', right: true });
    below(COLUMN.name, name, 6, { size: 11 });
    if (several) writer.at(COLUMN.needle + 3, top + 6.5, String(row.needle), { size: 15, font: 'bold' });
    if (row.thread) writer.swatch(COLUMN.thread, top + 2, row.thread.colour);
    below(COLUMN.thread + 12, spool, 6, type);
    below(COLUMN.then, lines, 5.5, { size: 10, font: row.halt && several ? 'bold' : 'plain' });
    writer.y = top + tall;
  }
  writer.numberPages(`${plan.itemName}, run sheet`);
  return writer.pdf.save();
}

/** Words in lines that fit a column, mm wide. */
function broken(
  writer: Writer,
  words: string,
  size: number,
  font: keyof Writer['fonts'],
  width: number
): string[] {
  return wrapped(words, writer.fonts[font], size, width * POINTS_PER_MM);
}
