import 'fake-indexeddb/auto';
import { expect } from 'chai';
import fc from 'fast-check';
import { readFileSync } from 'node:fs';
import {
  type Backup,
  BackupReader,
  differences,
  handedKey,
  mergedEvents,
  takenOver
} from '$lib/core/documents/files';
import type { RunEvent } from '$lib/core/documents/run';
import { undoRestore } from '$lib/data/backup';
import { db } from '$lib/data/db';
import { documentsHere, handedOver, takeOver } from '$lib/data/handOver';
import { eventsOf } from '$lib/data/runs';
import { freshSecret, opened, readCode, sealed, writtenCode } from '$lib/files';
import { HAND_OVER, HandOverBox } from '$lib/server/handOver';
import { bringBack } from './support/restore';

const text = readFileSync('tests/kept/backup-1-landed.json', 'utf8');
function backup(): Backup {
  const reader = new BackupReader();
  reader.push(text);
  const read = reader.end();
  if (!read) throw new Error('The kept backup is one.');
  return read.backup;
}
const event = (seq: number, at: number, type: RunEvent['type'], stepId: string | null = null): RunEvent => ({
  runId: 'run',
  seq,
  at,
  client: 'a',
  copy: 1,
  stop: null,
  stitch: null,
  text: '',
  type,
  stepId
});

describe('what two devices have', () => {
  it('is nothing where both have the same', () => {
    expect(differences(backup(), backup())).to.deep.equal([]);
  });
  it('is told document by document: new, different and in which fields, a run that went on', () => {
    const [here, there] = [backup(), backup()];
    const [item] = there.items;
    const [run] = there.runs;
    if (!item || !run) throw new Error('The kept backup has an item and a run.');
    there.items = [{ ...item, note: 'mind the zip', updatedAt: '2027-01-01T00:00:00.000Z' }];
    there.orders = [...there.orders, { ...(there.orders[0] ?? never()), id: 'other', name: 'Other' }];
    const last = run.events.at(-1);
    there.runs = [
      { ...run, events: [...run.events, { ...(last ?? never()), seq: (last?.seq ?? 0) + 1, type: 'note' }] }
    ];
    const found = differences(here, there);
    expect(found.map(({ kind, state, fields }) => [kind, state, fields])).to.deep.equal([
      ['item', 'differs', ['note']],
      ['order', 'new', []],
      ['run', 'more', []]
    ]);
    expect(found[0]?.there).to.equal('2027-01-01T00:00:00.000Z');
  });
  it('keeps what is here unless the other was chosen, and an item beside it where both were', () => {
    const [here, there] = [backup(), backup()];
    const [item] = there.items;
    if (!item) throw new Error('The kept backup has an item.');
    there.items = [{ ...item, note: 'theirs' }];
    const key = handedKey({ kind: 'item', id: item.id });
    const taken = (choice?: 'here' | 'there' | 'both'): [string, string, string][] =>
      takenOver(here, there, new Map(choice ? [[key, choice]] : []), () => 'fresh').items.map(
        ({ id, name, note }) => [id, name, note]
      );
    expect(taken()).to.deep.equal([]);
    expect(taken('here')).to.deep.equal([]);
    expect(taken('there')).to.deep.equal([[item.id, item.name, 'theirs']]);
    expect(taken('both')).to.deep.equal([['fresh', `${item.name}, other device`, 'theirs']]);
  });
  it('puts a run together event by event, each once, in the order they happened, whoever begins', () => {
    const begun = [event(1, 10, 'start'), event(2, 20, 'done', 'a')];
    const tablet = [...begun, event(3, 40, 'done', 'b')];
    const laptop = [...begun, event(3, 30, 'note')];
    expect(mergedEvents(tablet, laptop).map(({ seq, at }) => [seq, at])).to.deep.equal([
      [1, 10],
      [2, 20],
      [3, 30],
      [4, 40]
    ]);
    const events = fc.array(fc.record({ at: fc.nat(50), step: fc.constantFrom('a', 'b', 'c') }), {
      maxLength: 8
    });
    fc.assert(
      fc.property(events, events, events, (shared, one, two) => {
        const of = (list: { at: number; step: string }[]): RunEvent[] =>
          list.map(({ at, step }, index) => event(index + 1, at, 'done', step));
        const [here, there] = [mergedEvents(of(shared), of(one)), mergedEvents(of(shared), of(two))];
        const [both, turned] = [mergedEvents(here, there), mergedEvents(there, here)];
        const plain = (list: RunEvent[]): string[] =>
          list.map(({ at, stepId }) => `${at} ${stepId ?? ''}`).sort();
        expect(plain(both)).to.deep.equal(plain(turned));
        expect(both.map(({ seq }) => seq)).to.deep.equal(both.map((_, at) => at + 1));
        // Taking the same over once more changes nothing.
        expect(mergedEvents(both, there)).to.have.length(both.length);
      })
    );
  });
});

describe('taking over', () => {
  beforeEach(async () => {
    await db.delete();
    await db.open();
  });
  after(() => db.delete());
  it('brings a run with its item to a device that has neither, and the rest of it later', async () => {
    await bringBack(text);
    const now = '2026-11-28T00:00:00.000Z';
    const handed = await handedOver({ what: 'run', id: 'run-4' }, now);
    expect(handed.items.every(({ id }) => id === handed.runs[0]?.itemId)).to.equal(true);
    expect(handed.runs).to.have.length(1);
    expect([handed.shop, handed.orders, handed.stash]).to.deep.equal([null, [], []]);

    await Promise.all(db.tables.map((table) => table.clear()));
    const before = await takeOver(handed, new Map());
    const count = handed.runs[0]?.events.length ?? 0;
    expect(await eventsOf('run-4')).to.have.length(count);
    expect(differences(await documentsHere(), handed)).to.deep.equal([]);
    // The tablet goes on; taken over again only what is more comes.
    const last = handed.runs[0]?.events.at(-1);
    const more = {
      ...handed,
      runs: handed.runs.map((run) => ({
        ...run,
        events: [
          ...run.events,
          { ...(last ?? never()), seq: count + 1, at: (last?.at ?? 0) + 5, type: 'note' as const }
        ]
      }))
    };
    await takeOver(more, new Map());
    expect((await eventsOf('run-4')).map(({ seq }) => seq)).to.deep.equal(
      Array.from({ length: count + 1 }, (_, at) => at + 1)
    );
    await undoRestore(before);
    expect(await db.items.count()).to.equal(0);
  });
});

describe('a hand-over through the server', () => {
  it('is opened by its code alone, and not where a byte was changed', async () => {
    const secret = freshSecret();
    const bytes = await sealed('{"name":"Dächer, 🦡"}', secret);
    expect(await opened(bytes, secret)).to.equal('{"name":"Dächer, 🦡"}');
    expect(Buffer.from(bytes).toString('latin1')).not.to.include('name');
    const rejected = async (work: Promise<unknown>): Promise<string> =>
      work.then(
        () => 'opened',
        (error: unknown) => (error instanceof Error ? error.message : '')
      );
    expect(await rejected(opened(bytes, freshSecret()))).to.match(/code does not open it/);
    bytes[bytes.length - 1] = (bytes.at(-1) ?? 0) ^ 1;
    expect(await rejected(opened(bytes, secret))).to.match(/code does not open it/);
  });
  it('has a code that is read however it is typed', () => {
    const secret = 'EFGHJKMNPQ';
    const written = writtenCode('AB3CD', secret);
    expect(written).to.equal('AB3CD-EFGHJ-KMNPQ');
    expect(readCode(written.toLowerCase().replaceAll('-', ' '))).to.deep.equal({ id: 'AB3CD', secret });
    for (const wrong of ['', 'AB3CD', `${written}X`, 'AB3CD-EFGH1-KMNPQ', 'ÄB3CD-EFGHJ-KMNPQ'])
      expect(readCode(wrong), wrong).to.equal(null);
    fc.assert(
      fc.property(fc.constant(null), () => {
        const fresh = freshSecret();
        expect(readCode(writtenCode('AB3CD', fresh))).to.deep.equal({ id: 'AB3CD', secret: fresh });
      }),
      { numRuns: 50 }
    );
  });
  it('is held for ten minutes, taken once, and no more than so many at a time', () => {
    const box = new HandOverBox();
    const bytes = new Uint8Array([1, 2, 3]);
    const held = box.put(bytes, 0, 'a');
    expect(held?.until).to.equal(600_000);
    expect(box.take(held?.id ?? '', 599_000, 'b')).to.deep.equal(bytes);
    expect(box.take(held?.id ?? '', 599_001, 'b')).to.equal('none');
    const late = box.put(bytes, 0, 'a');
    expect(box.take(late?.id ?? '', 600_000, 'a')).to.equal('none');
    const ids = Array.from({ length: HAND_OVER.count + 5 }, (_, at) => box.put(bytes, 1000, `${at}`)?.id);
    expect(ids.filter((id) => id !== undefined)).to.have.length(HAND_OVER.count);
    expect(new Set(ids.slice(0, HAND_OVER.count))).to.have.property('size', HAND_OVER.count);
    // After their time there is room again.
    expect(box.put(bytes, 700_000, 'a')).not.to.equal(null);
    expect(box.count).to.equal(1);
    const large = new HandOverBox();
    const most = HAND_OVER.all / HAND_OVER.bytes;
    const full = Array.from({ length: most + 1 }, (_, at) =>
      large.put(new Uint8Array(HAND_OVER.bytes), 0, `${at}`)
    );
    expect(full.filter((each) => each !== null)).to.have.length(most);
  });
  it('leaves room for others, however much one sends', () => {
    const box = new HandOverBox();
    const own = Array.from({ length: HAND_OVER.ofOne + 3 }, () => box.put(new Uint8Array([1]), 0, 'greedy'));
    expect(own.filter((each) => each !== null)).to.have.length(HAND_OVER.ofOne);
    expect(box.put(new Uint8Array([1]), 0, 'other')).not.to.equal(null);
  });
  it('answers no more guesses than a hand makes, and others as before', () => {
    const box = new HandOverBox();
    const held = box.put(new Uint8Array([1]), 0, 'a');
    for (let at = 0; at < HAND_OVER.misses; at++) expect(box.take('ZZZZZ', at, 'guesser')).to.equal('none');
    expect(box.take(held?.id ?? '', 30_000, 'guesser')).to.equal('too-often');
    expect(box.take('ZZZZZ', 30_000, 'b')).to.equal('none');
    expect(box.take(held?.id ?? '', 61_000, 'guesser')).to.deep.equal(new Uint8Array([1]));
  });
});

function never(): never {
  throw new Error('The kept backup has it.');
}
