import type { Order } from '$lib/core/documents/order';
import type { StashEntry } from '$lib/core/documents/stash';
import type { Reserved } from '$lib/core/ordering/week';
import { csv } from './csv';

/** Every line of the stash. */
export function stashCsv(entries: readonly StashEntry[]): string {
  return csv(
    entries.map((entry) => ({
      what: entry.what,
      name: entry.name,
      colour: entry.colour,
      kind: entry.what === 'cloth' ? entry.kind : '',
      form: entry.what === 'cloth' ? entry.form : '',
      'width, mm': entry.what === 'cloth' ? entry.width : '',
      'length, mm': entry.what === 'cloth' ? entry.height : 'length' in entry ? (entry.length ?? '') : '',
      count: entry.what === 'thread' ? entry.spools : entry.count,
      'thread, m': entry.what === 'thread' ? entry.metres : '',
      where: entry.place,
      price: entry.price ?? '',
      note: entry.note
    }))
  );
}

/** Every order, a line for each thing ordered. */
export function ordersCsv(orders: readonly Order[], nameOf: (itemId: string) => string): string {
  return csv(
    orders.flatMap(({ name, customer, from, due, lines, goes, putAwayAt, terms }) =>
      lines.map((line) => ({
        order: name,
        customer,
        item: nameOf(line.itemId),
        pieces: line.quantity,
        spoiled: line.spoiled,
        'price each': line.price ?? '',
        begins: from,
        due: due ?? '',
        goes: goes ?? 'by its date',
        answer: terms?.answer ?? '',
        'put away': putAwayAt ?? ''
      }))
    )
  );
}

/** What orders take of the stash, a line for each part. */
export function reservedCsv(rows: readonly Reserved[], nameOf: (orderId: string) => string): string {
  return csv(
    rows.flatMap(({ what, name, have, parts }) =>
      parts.map(({ orderId, needs, takes }) => ({
        what,
        name,
        unit: what === 'cloth' ? 'mm²' : what === 'thread' ? 'm' : 'bobbins',
        'in the stash': what === 'bobbins' ? '' : have.toFixed(0),
        order: nameOf(orderId),
        needs: needs.toFixed(0),
        takes: takes.toFixed(0),
        missing: (needs - takes).toFixed(0)
      }))
    )
  );
}
