import 'fake-indexeddb/auto';
import { expect } from 'chai';
import fc from 'fast-check';
import { readFileSync } from 'node:fs';
import { Item } from '$lib/core/documents/item';
import { BackupReader, type JsonPart, JsonSplitter, type LooseBackup } from '$lib/core/documents/files';
import { db } from '$lib/data/db';
import { listItems } from '$lib/data/items';
import { undoRestore } from '$lib/data/backup';
import { bringBack } from './support/restore';

const landed = readFileSync('tests/kept/backup-1-landed.json', 'utf8');
const item = JSON.parse(readFileSync('tests/kept/item-2-landed.json', 'utf8')) as Record<string, unknown>;

function partsOf(text: string, ...cuts: number[]): { parts: JsonPart[]; whole: boolean } {
  const parts: JsonPart[] = [];
  const splitter = new JsonSplitter((part) => parts.push(part));
  const places = [0, ...cuts.map((cut) => Math.min(text.length, cut)).sort((a, b) => a - b), text.length];
  places.slice(1).forEach((to, at) => splitter.push(text.slice(places[at], to)));
  return { parts, whole: splitter.end() };
}
function read(text: string, size = 4096): LooseBackup | null {
  const reader = new BackupReader();
  for (let at = 0; at < text.length; at += size) reader.push(text.slice(at, at + size));
  return reader.end();
}
/** A backup with so many copies of one item. */
function backupOf(
  count: number,
  change: (at: number, own: Record<string, unknown>) => unknown = (_, own) => own
): string {
  const items = Array.from({ length: count }, (_, at) =>
    change(at, { ...item, id: `item-${at}`, name: `Tab ${at}` })
  );
  return JSON.stringify({ ...(JSON.parse(landed) as object), items });
}

describe('a JSON object taken apart while it comes in', () => {
  it('gives the same values as when it is read at once, however it is cut', () => {
    fc.assert(
      fc.property(
        fc.dictionary(fc.string(), fc.oneof(fc.jsonValue(), fc.array(fc.jsonValue()))),
        fc.array(fc.nat(2000), { maxLength: 5 }),
        fc.constantFrom(0, 1, 2),
        (value, cuts, indent) => {
          const text = JSON.stringify(value, null, indent);
          // A name that is there twice, as __proto__, is the business of whoever reads the parts.
          const { parts, whole } = partsOf(text, ...cuts);
          expect(whole).to.equal(true);
          const made = new Map<string, unknown>();
          for (const [field, own] of Object.entries(JSON.parse(text) as object))
            if (Array.isArray(own)) made.set(field, []);
          for (const { field, at, text: part } of parts) {
            if (at === null) made.set(field, JSON.parse(part));
            else (made.get(field) as unknown[]).push(JSON.parse(part));
          }
          const byField = (a: [string, unknown], b: [string, unknown]): number => (a[0] < b[0] ? -1 : 1);
          expect([...made].sort(byField)).to.deep.equal(
            Object.entries(JSON.parse(text) as object).sort(byField)
          );
        }
      ),
      { numRuns: 300 }
    );
  });
  it('gives what is whole where it breaks off, and nothing that is not', () => {
    const text = '{"at":"now","items":[{"id":1},{"id":[2,"]}"]},{"id":3}],"shop":{"a":{}}}';
    fc.assert(
      fc.property(fc.nat(text.length - 1), (cut) => {
        const { parts, whole } = partsOf(text.slice(0, cut));
        expect(whole).to.equal(false);
        for (const { text: part } of parts) expect(() => JSON.parse(part) as unknown).not.to.throw();
      })
    );
    expect(partsOf(text).parts).to.have.length(5);
    expect(partsOf('[1,2]')).to.deep.equal({ parts: [], whole: false });
  });
});

describe('a backup that is not as it should be', () => {
  it('gives the rest where one document is broken, and names it', () => {
    const made = read(backupOf(5, (at, own) => (at === 2 ? { ...own, pieces: 'none' } : own)));
    expect(made?.backup.items.map(({ id }) => id)).to.deep.equal(['item-0', 'item-1', 'item-3', 'item-4']);
    expect(made?.left.map(({ what, name }) => [what, name])).to.deep.equal([['item', 'Tab 2']]);
    expect(made?.left[0]?.why).to.match(/pieces/);
    expect(made?.truncated).to.equal(false);
  });
  it('gives what is before the place where it breaks off', () => {
    const text = backupOf(8);
    const made = read(text.slice(0, text.indexOf('"Tab 5"') + 40));
    expect(made?.truncated).to.equal(true);
    expect(made?.backup.items.map(({ name }) => name)).to.deep.equal([
      'Tab 0',
      'Tab 1',
      'Tab 2',
      'Tab 3',
      'Tab 4'
    ]);
  });
  it('leaves out what is newer and says so', () => {
    const text = backupOf(3, (at, own) => (at === 1 ? { ...own, version: 99 } : own)).replace(
      /("schema":"jolt-step\/backup","version":)\d+/,
      '$147'
    );
    const made = read(text);
    expect(made?.newer).to.equal(true);
    expect(made?.left).to.deep.equal([
      { what: 'item', name: 'Tab 1', why: 'it was written by a newer Jolt Step' }
    ]);
    expect(made?.backup.items).to.have.length(2);
  });
  it('names an item that refers to nothing, and a photo without a picture', () => {
    const broken = Item.parse(item);
    const text = JSON.stringify({
      ...(JSON.parse(landed) as object),
      items: [{ ...broken, steps: [...broken.steps, { ...broken.steps[0], id: 'x', hoopingId: 'nowhere' }] }],
      photos: [{ id: 'p', runId: 'r', at: 1, stepId: null, name: 'edge', type: 'image/png' }]
    });
    const made = read(text);
    expect(made?.left.map(({ what }) => what)).to.deep.equal(['item', 'photo']);
  });
  it('is read in pieces, so that 40 MB of photos hold nothing else up', () => {
    const photo = {
      id: '',
      runId: 'r',
      at: 1,
      stepId: null,
      name: 'edge',
      type: 'image/png',
      base64: 'A'.repeat(1_000_000)
    };
    const photos = Array.from({ length: 40 }, (_, at) => JSON.stringify({ ...photo, id: `p${at}` }));
    const reader = new BackupReader();
    reader.push('{"schema":"jolt-step/backup","version":1,"photos":[');
    photos.forEach((text, at) => reader.push((at === 0 ? '' : ',') + text));
    reader.push('],"items":[');
    reader.push(JSON.stringify(item));
    // It breaks off here.
    const made = reader.end();
    expect(made?.backup.photos).to.have.length(40);
    expect(made?.backup.items).to.have.length(0);
    expect(made?.truncated).to.equal(true);
  });

  describe('brought back all the same', () => {
    beforeEach(async () => {
      await db.delete();
      await db.open();
    });
    after(() => db.delete());
    it('stores the rest, and can be taken back', async () => {
      await bringBack(backupOf(1));
      const mended = await bringBack(backupOf(4, (at, own) => (at === 0 ? { ...own, name: '' } : own)));
      expect((await listItems()).map(({ name }) => name).sort()).to.deep.equal(['Tab 1', 'Tab 2', 'Tab 3']);
      expect(mended?.left).to.have.length(1);
      if (mended) await undoRestore(mended.before);
      expect((await listItems()).map(({ name }) => name)).to.deep.equal(['Tab 0']);
    });
  });
});
