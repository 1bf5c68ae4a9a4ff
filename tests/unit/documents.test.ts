import { type DocumentKind, DOCUMENTS, jsonSchema, readDocument, readValue } from '$lib/core/documents/files';
import { DEFAULT_HAND_TIMES, defaultShop } from '$lib/core/documents/shop';
import { expect } from 'chai';
import fc from 'fast-check';
import { readdirSync, readFileSync } from 'node:fs';
import { badgerTab } from './support/badger';

const tab = badgerTab();
const refusal = (value: unknown): string => {
  const result = readDocument('item', typeof value === 'string' ? value : JSON.stringify(value));
  return result.ok ? 'taken' : `${result.error.code} ${result.error.path}: ${result.error.message}`;
};

describe('documents', () => {
  it('come back as they were', () => {
    expect(readDocument('item', JSON.stringify(tab))).to.deep.equal({ ok: true, document: tab });
    const shop = defaultShop('shop');
    expect(readDocument('shop', JSON.stringify(shop))).to.deep.equal({ ok: true, document: shop });
  });
  it('are refused with a sentence that names the field', () => {
    expect(refusal('{ half')).to.match(/^not-json : This is not an item file: it is not JSON/);
    expect(refusal([])).to.match(/^wrong-kind : This is not an item file/);
    expect(refusal({ schema: 'jolt-step/shop', version: 1 })).to.match(
      /^wrong-kind schema: .*“jolt-step\/shop” instead of “jolt-step\/item”/
    );
    expect(refusal({ ...tab, version: 3 })).to.match(/^newer version: .*newer Jolt Step.*“version” says 3/);
    expect(refusal({ ...tab, version: 'one' })).to.match(/^invalid version/);
    expect(refusal({ ...tab, name: '' })).to.match(/^invalid name: The field “name” of this item is wrong/);
    const [first, ...rest] = tab.pieces;
    expect(refusal({ ...tab, pieces: [{ ...first, plies: 0 }, ...rest] })).to.match(
      /^invalid pieces\.0\.plies/
    );
    expect(refusal({ ...tab, pieces: rest })).to.match(
      /^invalid hoopings\.0\.hooped: The field .* names a piece “stabiliser”/
    );
  });
  it('never throw, whatever a file holds', () => {
    fc.assert(
      fc.property(
        fc.jsonValue(),
        fc.constantFrom(...(Object.keys(DOCUMENTS) as DocumentKind[])),
        (value, kind) => {
          expect(readDocument(kind, JSON.stringify(value)).ok).to.equal(false);
        }
      )
    );
  });
  it('take a shop that lacks a hand time, which gets its default', () => {
    const shop = defaultShop('shop');
    const read = readValue('shop', { ...shop, hands: { lay: 44 } });
    expect(read.ok && read.document.hands).to.deep.equal({ ...DEFAULT_HAND_TIMES, lay: 44 });
  });
  it('have a JSON Schema each, which names their fields', () => {
    for (const kind of Object.keys(DOCUMENTS) as DocumentKind[]) {
      const schema = jsonSchema(kind) as { properties: Record<string, unknown> };
      expect(Object.keys(schema.properties), kind).to.include.members(['schema', 'version']);
    }
  });
});

describe('the demo stall', () => {
  const read = (path: string): string => readFileSync(new URL(`../../demo/${path}`, import.meta.url), 'utf8');
  const folders: [folder: string, kind: DocumentKind][] = [
    ['items', 'item'],
    ['setups', 'setup'],
    ['runs', 'run']
  ];
  for (const [folder, kind] of folders) {
    it(`has ${folder} that its schema takes`, () => {
      const files = readdirSync(new URL(`../../demo/${folder}`, import.meta.url));
      expect(files.length).to.be.at.least(2);
      for (const file of files)
        expect(readDocument(kind, read(`${folder}/${file}`)), file).to.include({ ok: true });
    });
  }
  it('has a shop', () => expect(readDocument('shop', read('shop.json'))).to.include({ ok: true }));
});
