import { formatSize, formatThread, type LengthUnit } from '$lib/core/base/units';
import type { Order } from '$lib/core/documents/order';
import { type BatchPlan, sayTime, wallTimeAt } from '$lib/core/ordering/day';
import type { BobbinRow, Quote, ThreadRow } from '$lib/core/ordering/quote';
import type { Demand, ShoppingRow } from '$lib/core/preparing/cutting';
import type { PaperName } from '$lib/core/preparing/templates';
import type { FontFiles } from './pdfFonts';
import { wrapped } from './pdfText';
import type { Appearance } from '$lib/core/making/appearance';
import { drawPicture } from './pdfPicture';
import { MARGIN_MM, SOFT, Writer } from './pdfWriter';
import { POINTS_PER_MM } from './templatesPdf';

/** How items look, by item. */
export type Looks = Readonly<Record<string, Appearance>>;

/** Height of a row with a picture, mm. */
const ROW_MM = 19;

/** A quote as the customer gets it: what, how many, the price of each and of all. Costs stay in the workroom. */
export async function quotePdf(
  order: Order,
  quote: Quote,
  looks: Looks,
  paper: PaperName,
  fonts: FontFiles
): Promise<Uint8Array> {
  const writer = await Writer.begin(`${order.name}, quote`, paper, fonts);
  const right = writer.width - MARGIN_MM;
  const money = (value: number): string => `${order.rates.currency}${value.toFixed(2)}`;
  writer.text(MARGIN_MM, 'Quote', { size: 24, font: 'bold', lead: 12 });
  writer.text(MARGIN_MM, order.name, { size: 14, font: 'bold', lead: 8 });
  if (order.customer) writer.text(MARGIN_MM, `For ${order.customer}`, { size: 12, lead: 6 });
  if (order.due)
    writer.text(MARGIN_MM, `Ready by ${order.due.slice(0, 10)}, ${order.due.slice(11, 16)}`, {
      size: 12,
      lead: 6
    });
  writer.y += 6;
  for (const [x, words, toRight] of [
    [MARGIN_MM, 'Item', false],
    [right - 70, 'Pieces', true],
    [right - 35, 'Each', true],
    [right, 'Together', true]
  ] as const)
    writer.at(x, writer.y + 3, words, { size: 10, colour: SOFT, ...(toRight && { right: true }) });
  writer.y += 5;
  for (const { lineId, name, pieces, price, revenue } of quote.lines) {
    writer.ensure(ROW_MM);
    writer.rule(0.2);
    const look = looks[order.lines.find(({ id }) => id === lineId)?.itemId ?? ''];
    if (look) drawPicture(writer, look, { x: MARGIN_MM, y: writer.y + 1.5, width: 22, height: ROW_MM - 3 });
    const middle = writer.y + ROW_MM / 2 + 1.5;
    writer.at(MARGIN_MM + 27, middle, name.slice(0, 40), { size: 12 });
    writer.at(right - 70, middle, String(pieces), { size: 12, right: true });
    writer.at(right - 35, middle, money(price), { size: 12, right: true });
    writer.at(right, middle, money(revenue), { size: 12, right: true });
    writer.y += ROW_MM;
  }
  writer.rule(0.5);
  writer.at(right, writer.y + 8, money(quote.total.revenue), { size: 15, font: 'bold', right: true });
  writer.y += 14;
  const { terms } = order;
  const said = [
    terms && terms.includes !== '' ? `Included: ${terms.includes}.` : '',
    terms && terms.deposit > 0
      ? `${terms.deposit} % (${money((quote.total.revenue * terms.deposit) / 100)}) is paid first, the rest when it is ready.`
      : '',
    terms?.validUntil ? `This quote holds until ${terms.validUntil}.` : ''
  ];
  for (const words of said.filter((each) => each !== ''))
    for (const line of wrapped(words, writer.fonts.plain, 11, (right - MARGIN_MM) * POINTS_PER_MM))
      writer.text(MARGIN_MM, line, { size: 11, lead: 6 });
  writer.y += 4;
  const note =
    'Product-safety, labelling and flammability rules of the place of sale apply to what is sold on.';
  for (const line of wrapped(note, writer.fonts.plain, 9, (right - MARGIN_MM) * POINTS_PER_MM))
    writer.text(MARGIN_MM, line, { size: 9, lead: 4.5, colour: SOFT });
  writer.numberPages(`${order.name}, quote`);
  return writer.pdf.save();
}

/** What a job sheet is written from. */
export interface JobSheet {
  order: Order;
  plan: BatchPlan;
  from: string;
  /** Names of hoops, by id. */
  hoops: Record<string, string>;
  demands: readonly Demand[];
  threads: readonly ThreadRow[];
  bobbins: readonly BobbinRow[];
  shopping: readonly ShoppingRow[];
  looks: Looks;
  unit: LengthUnit;
}

/** The job sheet of an order: its hoopings in order with boxes to tick, then what to cut, thread, wind and buy. */
export async function jobSheetPdf(
  { order, plan, from, hoops, demands, threads, bobbins, shopping, looks, unit }: JobSheet,
  paper: PaperName,
  fonts: FontFiles
): Promise<Uint8Array> {
  const writer = await Writer.begin(`${order.name}, job sheet`, paper, fonts);
  const right = writer.width - MARGIN_MM;
  writer.text(MARGIN_MM, order.name, { size: 22, font: 'bold', lead: 11 });
  writer.text(
    MARGIN_MM,
    `From ${wallTimeAt(from, plan.start).replace('T', ', ')}; done ${sayTime(from, plan.finish)}${order.due ? `; due ${order.due.replace('T', ', ')}` : ''}`,
    { size: 11, lead: 7 }
  );
  const pictures = [...new Set(order.lines.map(({ itemId }) => itemId))].flatMap((id) => looks[id] ?? []);
  if (pictures.length > 0) {
    pictures
      .slice(0, 6)
      .forEach((look, at) =>
        drawPicture(writer, look, { x: MARGIN_MM + at * 31, y: writer.y + 2, width: 28, height: 22 })
      );
    writer.y += 26;
  }
  heading('Hoopings');
  for (const each of plan.hoopings.toSorted((a, b) => a.from - b.from)) {
    const [first, last] = [each.numbers[0], each.numbers.at(-1)];
    const machine = plan.stations.find(({ id }) => id === each.stationId)?.name ?? '';
    ticked(
      `${sayTime(from, each.from)}  ${each.name} ${first === last ? first : `${first} to ${last}`}`,
      `${machine}, ${(each.shared?.at ?? 0) > 0 ? 'in the same hoop' : (hoops[each.hoopId] ?? '')}${each.stages > 1 ? `, hooping ${each.stage + 1} of ${each.stages}` : ''}${each.names.length > 0 ? `; names: ${each.names.join(', ')}` : ''}`
    );
  }
  if (demands.length > 0) heading('Cut');
  for (const { count, name, material, cut, itemName } of demands)
    ticked(`${count} × ${name}, ${material.name}: ${formatSize(cut, unit)}`, itemName);
  if (threads.length > 0) heading('Threads and bobbins');
  for (const { name, upper, bobbin, atOnce } of threads)
    ticked(`${name}: ${formatThread(upper + bobbin, unit)}`, atOnce > 1 ? `on ${atOnce} at once` : '');
  for (const { name, bobbins: count, metres } of bobbins)
    ticked(`Wind ${count} ${count === 1 ? 'bobbin' : 'bobbins'} of ${name}`, formatThread(metres, unit));
  if (shopping.length > 0) heading('Buy');
  for (const { name, buy, need, have } of shopping)
    ticked(`${name}: ${buy}`, `needed ${need}; in the stash ${have}`);
  writer.numberPages(`${order.name}, job sheet`);
  return writer.pdf.save();

  function heading(words: string): void {
    writer.ensure(24);
    writer.y += 4;
    writer.text(MARGIN_MM, words, { size: 15, font: 'bold', lead: 8 });
  }

  function ticked(words: string, under: string): void {
    const wide = (right - MARGIN_MM - 9) * POINTS_PER_MM;
    const lines = wrapped(under, writer.fonts.plain, 9.5, wide);
    writer.ensure(9 + lines.length * 4.6);
    writer.rule(0.2);
    writer.square(MARGIN_MM, writer.y + 1.8, 4.5);
    writer.text(MARGIN_MM + 9, words, { size: 12, font: 'bold', lead: 7 });
    if (under !== '')
      for (const line of lines) writer.text(MARGIN_MM + 9, line, { size: 9.5, lead: 4.6, colour: SOFT });
    writer.y += 1;
  }
}
