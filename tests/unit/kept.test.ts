import 'fake-indexeddb/auto';
import { CUT_JOB_HISTORY } from '$lib/core/documents/cutJob';
import { type DocumentKind, DOCUMENTS, readRow, readValue } from '$lib/core/documents/files';
import { Item, ITEM_HISTORY } from '$lib/core/documents/item';
import { ORDER_HISTORY } from '$lib/core/documents/order';
import { PATTERN_HISTORY } from '$lib/core/documents/pattern';
import { PLAN_HISTORY } from '$lib/core/documents/plan';
import { Run, RUN_HISTORY } from '$lib/core/documents/run';
import { SETUP_HISTORY, Shop, SHOP_HISTORY } from '$lib/core/documents/shop';
import { STASH_ENTRY_HISTORY, STASH_HISTORY, StashEntry } from '$lib/core/documents/stash';
import type { RawDocument, VersionHistory } from '$lib/core/documents/versions';
import { versionOf } from '$lib/core/documents/versions';
import { bringBack } from './support/restore';
import { db } from '$lib/data/db';
import { getItem, listItems } from '$lib/data/items';
import { getOrder } from '$lib/data/orders';
import { setAside, takeOut } from '$lib/data/rows';
import { getRun } from '$lib/data/runs';
import { getShop } from '$lib/data/shop';
import { getCutJob, listStash } from '$lib/data/stash';
import { expect } from 'chai';
import { readdirSync, readFileSync } from 'node:fs';

const FOLDER = new URL('../kept/', import.meta.url);
const kept = (name: string): RawDocument =>
  JSON.parse(readFileSync(new URL(`${name}.json`, FOLDER), 'utf8')) as RawDocument;
const files = readdirSync(FOLDER).map((file) => file.replace('.json', ''));
const kindOf = (name: string): string => /^(.*)-\d+-\w+$/.exec(name)?.[1] ?? '';

const HISTORIES: Record<string, VersionHistory> = {
  item: ITEM_HISTORY,
  setup: SETUP_HISTORY,
  shop: SHOP_HISTORY,
  stash: STASH_HISTORY,
  line: STASH_ENTRY_HISTORY,
  'cut-job': CUT_JOB_HISTORY,
  order: ORDER_HISTORY,
  pattern: PATTERN_HISTORY,
  plan: PLAN_HISTORY,
  run: RUN_HISTORY
};

/** Reads a kept document as a file of its kind, or as the row it is. */
function read(name: string): { ok: true; document: unknown } | { ok: false; error: { message: string } } {
  const kind = kindOf(name);
  return kind === 'line'
    ? readRow('line of the stash', kept(name))
    : readValue(kind as DocumentKind, kept(name));
}

describe('documents as older versions wrote them', () => {
  for (const name of files) {
    it(`${name} is read, and read again it is the same`, () => {
      const once = read(name);
      expect(once.ok ? '' : once.error.message).to.equal('');
      if (!once.ok) throw new Error(once.error.message);
      const schema = kindOf(name) === 'line' ? StashEntry : DOCUMENTS[kindOf(name) as DocumentKind];
      expect(schema.parse(once.document)).to.deep.equal(once.document);
    });
  }

  it('are kept for every version a kind has had, and for the first that landed', () => {
    for (const [kind, history] of Object.entries(HISTORIES)) {
      expect(files, kind).to.include(`${kind}-1-first`);
      for (let version = 1; version <= versionOf(history); version++)
        expect(
          files.some((name) => name.startsWith(`${kind}-${version}-`)),
          `${kind} ${version}`
        ).to.equal(true);
    }
    expect(files).to.include('backup-1-first');
  });

  it('keep what they said: answers hold as far as they went, remarks keep their sentence', () => {
    const item = Item.parse(kept('item-1-answered'));
    expect(item.version).to.equal(2);
    expect(item.answers.map(({ code, severity, stepId }) => [code, severity, stepId])).to.deep.equal([
      ['covering/*', 'warn', 'lay-back'],
      ['zip/*', 'stop', undefined]
    ]);
    expect(item.remarks).to.deep.equal([
      {
        code: 'chart/said',
        severity: 'warn',
        stepId: 'stop-3',
        values: { text: 'Stop 3 has no stitch count, so its time is not counted.' }
      }
    ]);
  });

  it('get what they lacked: the first plans no variant, the first shops a hand time that is no more', () => {
    const run = Run.parse(kept('run-1-first'));
    expect(run.plan.variant).to.deep.equal({ id: 'variant-1', name: 'As drawn' });
    expect(run.item).to.equal(null);
    const shop = kept('shop-1-first');
    expect(shop.hands).to.have.property('turnTwice');
    expect(Shop.parse(shop).hands).to.not.have.property('turnTwice');
    expect(Shop.parse(shop).hands.hoopOneLayer).to.equal((shop.hands as Record<string, number>).hoopOneLayer);
  });
});

/** Raises the version of a kind as long as something is looked at: the next version says where it was made. */
async function raised(kind: string, work: () => unknown): Promise<void> {
  const history = HISTORIES[kind] as VersionHistory;
  const mark = (document: RawDocument): RawDocument => ({ ...document, ...MARKS[kind]?.(document) });
  history.lifts.push(mark);
  try {
    await work();
  } finally {
    history.lifts.pop();
  }
}

/** What each raised version changes, so that one sees it was lifted. */
const MARKS: Record<string, (document: RawDocument) => RawDocument> = {
  item: () => ({ name: 'lifted' }),
  setup: () => ({ bobbin: 'lifted' }),
  shop: () => ({ name: 'lifted' }),
  stash: ({ entries }) => ({ entries: (entries as RawDocument[]).slice(0, 1) }),
  line: () => ({ name: 'lifted' }),
  'cut-job': ({ wants }) => ({ wants: (wants as RawDocument[]).map((want) => ({ ...want, copies: 7 })) }),
  order: () => ({ name: 'lifted' }),
  plan: () => ({ itemName: 'lifted' }),
  run: () => ({ itemName: 'lifted' })
};

describe('a version that is raised', () => {
  beforeEach(async () => {
    await db.delete();
    await db.open();
  });
  after(() => db.delete());

  for (const kind of Object.keys(HISTORIES)) {
    it(`lifts a ${kind} that lies alone`, async () => {
      await raised(kind, () => {
        const found = read(`${kind}-1-first`);
        if (!found.ok) throw new Error(found.error.message);
        const document = found.document as RawDocument;
        const marks = MARKS[kind]?.(kept(`${kind}-1-first`)) ?? {};
        expect(document).to.deep.include({ version: versionOf(HISTORIES[kind] as VersionHistory) });
        if (kind === 'stash') expect(document.entries).to.have.length(1);
        else expect(document).to.deep.include(marks);
      });
    });
  }

  it('lifts what lies inside a run, inside a backup, and in the rows of the database', async () => {
    const run = kept('run-2-landed');
    await raised('plan', () => expect(Run.parse(run).plan.itemName).to.equal('lifted'));
    await raised('setup', () => expect(Run.parse(run).setup.bobbin).to.equal('lifted'));
    await raised('item', () =>
      expect(Run.parse({ ...run, item: kept('item-1-first') }).item?.name).to.equal('lifted')
    );
    const text = JSON.stringify(kept('backup-1-landed'));
    const backedUp: [kind: string, look: () => Promise<unknown>][] = [
      ['item', async () => (await listItems())[0]?.name],
      ['shop', async () => (await getShop()).name],
      ['line', async () => (await listStash())[0]?.name],
      ['order', async () => (await getOrder('gala-weekend'))?.name],
      ['run', async () => (await getRun('run-4'))?.itemName],
      ['plan', async () => (await getRun('run-4'))?.plan.itemName],
      ['setup', async () => (await getRun('run-4'))?.setup.bobbin]
    ];
    for (const [kind, look] of backedUp)
      await raised(kind, async () => {
        const restored = await bringBack(text);
        expect(restored?.left, kind).to.deep.equal([]);
        expect(await look(), kind).to.equal('lifted');
      });
    await raised('cut-job', async () => {
      await bringBack(text);
      expect((await getCutJob('odd-pouch'))?.wants[0]?.copies).to.equal(7);
    });
    // Rows that were stored before the version was raised.
    await bringBack(text);
    for (const [kind, look] of backedUp)
      await raised(kind, async () => expect(await look(), kind).to.equal('lifted'));
    await raised('cut-job', async () => expect((await getCutJob('odd-pouch'))?.wants[0]?.copies).to.equal(7));
  });

  it('is refused where it is newer than this program, alone or inside another', () => {
    const newer = readValue('item', { ...kept('item-1-first'), version: 99 });
    expect(newer.ok ? '' : newer.error.code).to.equal('newer');
    const inside = readValue('run', {
      ...kept('run-1-first'),
      setup: { ...kept('setup-1-first'), version: 9 }
    });
    expect(inside.ok ? '' : inside.error.message).to.match(/setup\.version.*newer Jolt Step/);
  });
});

describe('a row that cannot be read', () => {
  beforeEach(async () => {
    await db.delete();
    await db.open();
    await bringBack(JSON.stringify(kept('backup-1-landed')));
  });
  after(() => db.delete());

  it('is set aside with what is wrong, stops nothing else, and can be taken out', async () => {
    const broken = { ...kept('item-1-first'), id: 'broken', name: 'Broken tab', pieces: 'none' };
    await db.items.put(broken as never);
    expect((await listItems()).map(({ id }) => id)).to.deep.equal(['odd-pouch']);
    expect(await getItem('broken')).to.equal(undefined);
    const [aside, ...rest] = await setAside(['item', 'order']);
    expect(rest).to.deep.equal([]);
    expect(aside).to.include({ kind: 'item', id: 'broken', name: 'Broken tab' });
    expect(aside?.problem).to.match(/The field “pieces” of this item is wrong/);
    expect(aside?.row).to.deep.equal(broken);
    await takeOut({ kind: 'item', id: 'broken' });
    expect(await setAside(['item'])).to.deep.equal([]);
  });
});
