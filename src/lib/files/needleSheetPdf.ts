import type { Plan } from '$lib/core/documents/plan';
import type { PaperName } from '$lib/core/preparing/templates';
import type { NeedleSheet } from '$lib/core/preparing/threads';
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
export async function needleSheetPdf(sheet: NeedleSheet, plan: Plan, paper: PaperName): Promise<Uint8Array> {
  const writer = await Writer.begin(`${plan.itemName}, run sheet`, paper);
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
    const lines = wrapped(
      then,
      writer.fonts.plain,
      10,
      (writer.width - MARGIN_MM - COLUMN.then) * POINTS_PER_MM
    );
    writer.ensure(Math.max(9, 3 + lines.length * 4.6) + (row.needleBefore ? 7 : 0));
    writer.rule(0.2);
    if (row.needleBefore)
      writer.text(COLUMN.name, `Put in: ${row.needleBefore}`, { size: 11, font: 'bold', lead: 7 });
    const top = writer.y;
    writer.at(COLUMN.stop + 8, top + 6.5, String(row.number), { size: 15, font: 'bold', right: true });
    writer.at(COLUMN.name, top + 6, row.name.slice(0, 34), { size: 11 });
    if (several) writer.at(COLUMN.needle + 3, top + 6.5, String(row.needle), { size: 15, font: 'bold' });
    if (row.thread) writer.swatch(COLUMN.thread, top + 2, row.thread.colour);
    writer.at(
      COLUMN.thread + 12,
      top + 6,
      `${row.thread?.name ?? ''}${row.rethread && several ? ', re-thread' : ''}`.slice(0, 22),
      {
        size: 11,
        font: row.rethread && several ? 'bold' : 'plain'
      }
    );
    lines.forEach((line, at) =>
      writer.at(COLUMN.then, top + 5.5 + at * 4.6, line, {
        size: 10,
        font: row.halt && several ? 'bold' : 'plain'
      })
    );
    writer.y = top + Math.max(9, 3 + lines.length * 4.6);
  }
  writer.numberPages(`${plan.itemName}, run sheet`);
  return writer.pdf.save();
}
