import { readFileSync } from 'node:fs';
import { newCutJob } from '$lib/core/documents/cutJob';
import { type DocumentKind, readValue } from '$lib/core/documents/files';
import type { Run } from '$lib/core/documents/run';
import {
  defaultSetup,
  defaultShop,
  fitIn,
  type Hoop,
  type Machine,
  paceOf,
  smallestFit
} from '$lib/core/documents/shop';
import { plan } from '$lib/core/making/plan';
import { expect } from 'chai';
import { badgerShop, badgerTab, NOW } from './support/badger';
import { RUN_VERSION } from '$lib/core/documents/run';

const tab = badgerTab();
const shop = badgerShop();
const setup = defaultSetup(tab, shop);
const run: Run = {
  schema: 'jolt-step/run',
  version: RUN_VERSION,
  item: null,
  id: 'run',
  itemId: tab.id,
  itemName: tab.name,
  startedAt: NOW,
  finishedAt: null,
  setup,
  plan: plan(tab, setup, shop),
  events: [
    {
      runId: 'run',
      seq: 1,
      at: Date.parse(NOW),
      client: 'tab',
      type: 'start',
      stepId: null,
      copy: 1,
      stop: null,
      stitch: null,
      text: ''
    }
  ]
};
const stash = {
  schema: 'jolt-step/stash',
  version: 1,
  entries: [
    {
      what: 'cloth',
      id: 'felt',
      name: 'Felt',
      colour: '#777777',
      kind: 'felt',
      form: 'sheets',
      width: 230,
      height: 305
    },
    { what: 'thread', id: 'brass', name: 'Brass', colour: '#b58a3c', metres: 400 },
    { what: 'zip', id: 'zip', name: 'Nylon zip', colour: '#222222', count: 3, length: 250 }
  ]
};
const order = {
  ...{ schema: 'jolt-step/order', version: 1, id: 'order', name: 'Stall', createdAt: NOW, updatedAt: NOW },
  ...{ from: '2026-11-27T09:00', due: '2026-11-28T18:00', spoilage: 0.03 },
  lines: [{ id: 'line-1', itemId: tab.id, quantity: 12, names: ['Ivy'], price: 9.5 }]
};
const kept = (name: string): unknown =>
  JSON.parse(readFileSync(new URL(`../kept/${name}.json`, import.meta.url), 'utf8'));
const WHOLE: Record<DocumentKind, unknown> = {
  item: tab,
  setup,
  shop,
  run,
  plan: run.plan,
  order,
  pattern: kept('pattern-1-first'),
  stash,
  'cut-job': newCutJob(tab.id, 3),
  backup: {
    ...{ schema: 'jolt-step/backup', version: 1, at: NOW, items: [tab], setups: [], shop: null },
    ...{ runs: [], stash: [], cutJobs: [], meta: [{ key: 'demo-loaded', value: true }], photos: [] }
  }
};

/** A copy of a document with one field, named by its path, set to something else. */
function withField(document: unknown, path: string, value: unknown): unknown {
  const copy = structuredClone(document) as Record<string, unknown>;
  const keys = path.split('.');
  const last = keys.pop() ?? '';
  const parent = keys.reduce((at, key) => at[key] as Record<string, unknown>, copy);
  if (value === undefined) delete parent[last];
  else parent[last] = value;
  return copy;
}

describe('schemas', () => {
  for (const kind of Object.keys(WHOLE) as DocumentKind[]) {
    it(`take a whole ${kind}`, () => expect(readValue(kind, WHOLE[kind])).to.include({ ok: true }));
  }

  const wrong: [kind: DocumentKind, path: string, value: unknown, why: string][] = [
    ['shop', 'machines.0.fileEnding', '.abc', 'an ending with its dot'],
    ['shop', 'machines.0.counts', 'hoop', 'a count of nothing'],
    ['shop', 'people', [''], 'a person without a name'],
    ['shop', 'bobbins', [], 'no kind of bobbin'],
    ['setup', 'claimedMinutes', -1, 'a claim below nothing'],
    ['setup', 'bobbinOn', { threadId: '', metres: -3 }, 'a bobbin with less than nothing'],
    ['order', 'due', 'tomorrow', 'a day nobody can read'],
    ['order', 'lines.0.quantity', 0, 'no pieces at all'],
    ['order', 'lines.0.quantity', 1.5, 'half a piece'],
    ['order', 'spoilage', 0.9, 'nearly everything bad'],
    ['order', 'bench', { from: 600, to: 540, breaks: [], days: [1] }, 'a bench that closes before it opens'],
    ['run', 'order', { orderId: 'order' }, 'an order without its hooping'],
    ['run', 'events.0.fault', 'yawn', 'a fault nobody knows'],
    ['run', 'events.0.from', { session: 'm', seq: 0 }, 'an event of a machine numbered 0'],
    ['run', 'events.0.seconds', -2, 'a stop that took less than nothing'],
    ['run', 'events.0.text', 'x'.repeat(2001), 'a note of 2,001 letters'],
    ['run', 'events.0.to', 'x'.repeat(201), 'a step with a name of 201 letters'],
    ['run', 'leftOut', 'yes', 'a word where yes or no belongs'],
    ['backup', 'items.0.name', '', 'a backup with an item without a name'],
    ['backup', 'photos', [{ id: 'p' }], 'a photo without its picture'],
    ['backup', 'meta', [{ value: 3 }], 'a fact without a name'],
    ['backup', 'at', 'yesterday', 'a backup of yesterday'],
    ['stash', 'entries.0.width', 0, 'a cloth without a width'],
    ['stash', 'entries.0.name', '', 'a cloth without a name'],
    ['stash', 'entries.1.metres', -1, 'thread below nothing'],
    ['stash', 'entries.2.count', 1.5, 'half a zip'],
    ['stash', 'entries.2.what', 'gadget', 'a thing nobody keeps'],
    ['cut-job', 'wants', [], 'a job for nothing'],
    ['cut-job', 'wants.0.copies', 0, 'no copy'],
    ['item', 'id', '', 'an id of nothing'],
    ['item', 'name', 'x'.repeat(121), 'a name of 121 letters'],
    ['item', 'createdAt', 'yesterday', 'a date in words'],
    ['item', 'variants', [], 'no variant'],
    ['item', 'variants.0.size.width', -3, 'a size below nothing'],
    ['item', 'variants.0.shape', 'trapeze', 'a shape nobody knows'],
    ['item', 'threads.0.colour', 'white', 'a colour that is no hex colour'],
    ['item', 'files.0.stops.0.number', -1, 'a stop number below 0'],
    ['item', 'files.0.stops.0.confidence', 1.2, 'more than certain'],
    ['item', 'files.0.stops.0.phases', [], 'a stop of no phase'],
    ['item', 'files.0.stops.0.phases.0.stitches', 12.5, 'half a stitch'],
    ['item', 'files.0.stops.0.phases.0.cap', 20, 'a speed no machine runs'],
    ['item', 'files.0.stops.0.role', 'sparkle', 'a role nobody knows'],
    ['item', 'lines.0.path.points', [[0, 0]], 'a line of one point'],
    ['item', 'pieces.0.plies', 0, 'no ply'],
    ['item', 'pieces.0.use', 'sail', 'a use nobody knows'],
    ['item', 'steps.0.kind', 'rest', 'a step that is neither stop nor hand'],
    ['item', 'steps.0.op.do', 'juggle', 'an operation nobody knows'],
    ['item', 'steps.0.op.pieceIds', [], 'hooping nothing'],
    ['item', 'steps.3.op.hold', { by: 'tape', strips: 0 }, 'no strip of tape'],
    ['item', 'steps.3.op.face', 'left', 'a face that is neither up nor down'],
    ['setup', 'copies', 0, 'no copy'],
    ['setup', 'itemId', undefined, 'no item'],
    ['shop', 'unit', 'ell', 'a unit nobody cuts by'],
    ['shop', 'rounding', '1cm', 'a rounding no ruler has'],
    ['shop', 'machines', [], 'no machine'],
    ['shop', 'machines.0.needles', 0, 'no needle'],
    ['shop', 'machines.0.setSpm', 20, 'a crawl'],
    ['shop', 'hoops.0.field.width', 2, 'a field of 2 mm'],
    ['shop', 'hands.lay', -5, 'a time below nothing'],
    ['run', 'events.0.seq', 0, 'an event numbered 0'],
    ['run', 'events.0.type', 'tea', 'an event nobody knows'],
    ['run', 'events.0.stitch', -4, 'a stitch below 0'],
    ['run', 'plan.steps.0.hoop.where', 'shed', 'a hoop in the shed'],
    ['plan', 'totals.needle.kind', 'wishing', 'a kind of time nobody knows']
  ];
  for (const [kind, path, value, why] of wrong) {
    it(`refuse ${why} and name ${kind} ${path}`, () => {
      const result = readValue(kind, withField(WHOLE[kind], path, value));
      expect(result.ok).to.equal(false);
      if (!result.ok) {
        expect(result.error.path.startsWith(path) || path.startsWith(result.error.path)).to.equal(true);
        expect(result.error.message).to.include(`of this ${kind} is wrong`);
      }
    });
  }

  it('fill in what a file may leave out', () => {
    const { remarks, answers, note, ...bare } = tab;
    expect([remarks, answers, note]).to.deep.equal([[], [], '']);
    expect(readValue('item', bare)).to.deep.equal({ ok: true, document: tab });
  });
});

describe('shop', () => {
  const hoop = (id: string, width: number, height: number): Hoop => ({
    id,
    name: id,
    field: { width, height },
    ring: { width: width + 40, height: height + 40 },
    capSpm: null
  });
  const hoops = [hoop('large', 200, 300), hoop('small', 100, 100), hoop('long', 130, 180)];

  it('takes the smallest hoop whose field holds the outline, upright or turned a quarter', () => {
    const fitOf = (width: number, height: number): [string, boolean] | undefined => {
      const fit = smallestFit(hoops, { width, height });
      return fit && [fit.hoop.id, fit.turned];
    };
    expect(fitOf(30, 94)).to.deep.equal(['small', false]);
    expect(fitOf(30, 101)).to.deep.equal(['long', false]);
    expect(fitOf(165, 115)).to.deep.equal(['long', true]);
    expect(fitOf(150, 132)).to.deep.equal(['large', false]);
    expect(fitOf(260, 120)).to.deep.equal(['large', true]);
    expect(fitOf(310, 20)).to.equal(undefined);
    expect(fitIn(hoops[1] as Hoop, { width: 100, height: 100 })?.turned).to.equal(false);
  });
  it('sets up an item no hoop can hold in the largest, so that the plan can say so', () => {
    const wide = { id: 'wide', variants: [{ id: 'v', size: { width: 500, height: 20 } }] };
    expect(defaultSetup(wide, { ...shop, hoops }).hoopId).to.equal('large');
  });
  it('reckons with 420 spm on one needle and 800 on several until told better', () => {
    const [left, right] = shop.machines as [Machine, Machine];
    expect([paceOf(left), paceOf(right), paceOf({ ...left, paceSpm: 377 })]).to.deep.equal([420, 800, 377]);
  });
  it('begins with a machine and hoops that a schema takes', () => {
    expect(readValue('shop', defaultShop('new'))).to.include({ ok: true });
  });
});
