/** Fills a browser that holds the demo with a workroom of many years; runs inside the page, so it imports nothing. */
export interface Amounts {
  items: number;
  runs: number;
  stash: number;
  orders: number;
}

/**
 * Copies of the demo’s documents under ids, names and days of their own, written past the application.
 *
 * Summaries of the runs come along, since a copy has the same but for its day; those of the items the application makes.
 */
export async function fillWorkroom(wanted: Amounts): Promise<void> {
  interface Row {
    id: string;
    name?: string;
    [key: string]: unknown;
  }
  const db = await new Promise<IDBDatabase>((done, failed) => {
    const opening = indexedDB.open('jolt-step');
    opening.onsuccess = () => done(opening.result);
    opening.onerror = () => failed(opening.error ?? new Error('The database does not open.'));
  });
  const all = <T>(store: string): Promise<T[]> =>
    new Promise((done) => {
      const asking = db.transaction(store).objectStore(store).getAll();
      asking.onsuccess = () => done(asking.result as T[]);
    });
  const write = (
    stores: string[],
    work: (put: (store: string, row: object) => void) => void
  ): Promise<void> =>
    new Promise((done, failed) => {
      const writing = db.transaction(stores, 'readwrite', { durability: 'relaxed' });
      writing.oncomplete = () => done();
      writing.onerror = () => failed(writing.error ?? new Error('A row could not be written.'));
      work((store, row) => writing.objectStore(store).put(row));
    });
  const day = (back: number): string => new Date(Date.UTC(2026, 5, 1) - back * 3_600_000).toISOString();
  const pick = <T>(rows: readonly T[], at: number): T => {
    const row = rows[at % rows.length];
    if (row === undefined) throw new Error('The demo has none of these.');
    return row;
  };

  const [items, setups, runs, events, summaries, stash, orders] = await Promise.all([
    all<Row>('items'),
    all<Row & { itemId: string }>('setups'),
    all<Row & { item: Row }>('runs'),
    all<{ runId: string; at: number }>('events'),
    all<Row>('runSummaries'),
    all<Row>('stash'),
    all<Row>('orders')
  ]);
  await write(['items', 'setups', 'stash', 'orders'], (put) => {
    for (let at = items.length; at < wanted.items; at++) {
      const item = pick(items, at);
      const setup = setups.find(({ itemId }) => itemId === item.id);
      put('items', { ...item, id: `i-${at}`, name: `${item.name} ${at}`, updatedAt: day(at) });
      if (setup) put('setups', { ...setup, itemId: `i-${at}` });
    }
    for (let at = stash.length; at < wanted.stash; at++) {
      const entry = pick(stash, at);
      put('stash', { ...entry, id: `s-${at}`, name: `${entry.name} ${at}` });
    }
    for (let at = orders.length; at < wanted.orders; at++) {
      const order = pick(orders, at);
      put('orders', { ...order, id: `o-${at}`, name: `${order.name} ${at}`, updatedAt: day(at) });
    }
  });
  // The shorter ones, so that filling does not take longer than measuring.
  const over = runs
    .filter(({ finishedAt }) => finishedAt !== null)
    .toSorted((a, b) => JSON.stringify(a).length - JSON.stringify(b).length)
    .slice(0, 2);
  const BATCH = 1000;
  for (let from = runs.length; from < wanted.runs; from += BATCH)
    await write(['runs', 'events', 'runSummaries'], (put) => {
      for (let at = from; at < Math.min(from + BATCH, wanted.runs); at++) {
        const run = pick(over, at);
        const id = `r-${at}`;
        const itemId = `i-${at % wanted.items}`;
        const when = { startedAt: day(at + 2), finishedAt: day(at + 1) };
        put('runs', { ...run, ...when, id, itemId, item: { ...run.item, id: itemId } });
        const summary = summaries.find((each) => each.id === run.id);
        if (summary) put('runSummaries', { ...summary, id, startedAt: when.startedAt });
        const own = events.filter(({ runId }) => runId === run.id);
        const moved = Date.parse(when.startedAt) - Math.min(...own.map(({ at: then }) => then));
        for (const event of own) put('events', { ...event, runId: id, at: event.at + moved });
      }
    });
  db.close();
}

/** Whether a worker has made the summaries of everything. */
export async function isSummarised(wanted: Amounts): Promise<boolean> {
  const db = await new Promise<IDBDatabase>((done) => {
    const opening = indexedDB.open('jolt-step');
    opening.onsuccess = () => done(opening.result);
  });
  const count = (store: string): Promise<number> =>
    new Promise((done) => {
      const asking = db.transaction(store).objectStore(store).count();
      asking.onsuccess = () => done(asking.result);
    });
  const [items, runs] = await Promise.all([count('itemSummaries'), count('runSummaries')]);
  db.close();
  return items >= wanted.items && runs >= wanted.runs - 1;
}
