/**
 * `npm run stress`: kills the browser at random moments of runs that follow the stand-in machine, and looks whether every
 * event was stored once. Prints what it found; its last line is JSON.
 *
 * Usage: npm run stress -- [kills, 200 where missing] [seed]
 */
import { chromium, type BrowserContext, type Page } from '@playwright/test';
import { execFileSync } from 'node:child_process';
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { BROWSER } from '../playwright.config';
import { seeded } from '$lib/core/base/units';
import { stitchIt } from '../tests/e2e/support/page';
import { build, serve } from './lib.mjs';

const kills = Number(process.argv[2] ?? 200);
const random = seeded(Number(process.argv[3] ?? 20261125));
if (process.env.SKIP_BUILD !== '1') build();
const { server, address } = await serve({ port: 4191, demo: true });
const folder = mkdtempSync(join(tmpdir(), 'jolt-step-stress-'));

interface Stored {
  runs: { id: string; finishedAt: string | null }[];
  events: {
    runId: string;
    seq: number;
    at: number;
    type: string;
    stepId: string | null;
    from?: { session: string; seq: number };
  }[];
}
interface Told {
  seq: number;
  type: string;
}

const open = (): Promise<BrowserContext> =>
  chromium.launchPersistentContext(folder, {
    ...BROWSER,
    viewport: { width: 1280, height: 800 },
    locale: 'en-GB'
  });

/** Kills every process of the browser at once, as a power cut would. */
function kill(): void {
  try {
    execFileSync('pkill', ['-9', '-f', `user-data-dir=${folder}`]);
  } catch {
    // None was left.
  }
}

const readAll = (page: Page): Promise<Stored> =>
  page.evaluate(
    () =>
      new Promise<Stored>((resolve, reject) => {
        const request = indexedDB.open('jolt-step');
        request.onerror = () => reject(new Error('The database could not be opened.'));
        request.onsuccess = () => {
          const database = request.result;
          const reading = database.transaction(['runs', 'events'], 'readonly');
          const runs = reading.objectStore('runs').getAll();
          const events = reading.objectStore('events').getAll();
          reading.oncomplete = () => {
            database.close();
            resolve({ runs: runs.result, events: events.result } as Stored);
          };
        };
      })
  );

/** What a run’s events must be: numbered without a gap, and each event of the machine told of in one go. */
function faultsOf(events: Stored['events']): string[] {
  const faults: string[] = [];
  events.forEach(({ seq }, at) => {
    if (seq !== at + 1) faults.push(`event ${at + 1} is numbered ${seq}`);
  });
  let last = 0;
  for (const { from } of events) {
    if (!from) continue;
    if (from.seq < last) faults.push(`machine event ${from.seq} was told after ${last}`);
    last = Math.max(last, from.seq);
  }
  // A stop that begins may tell of several steps done, but never of one step twice.
  const told = events.flatMap(({ type, stepId, from }) =>
    from ? [`${from.seq} ${type} ${stepId ?? ''}`] : []
  );
  if (new Set(told).size < told.length) faults.push('an event of the machine was told twice');
  return faults;
}

let [lost, doubled, finished, started] = [0, 0, 0, 0];
let known = new Map<string, string>();
let machineId = '';
let runPath = '';

async function startRun(page: Page): Promise<void> {
  const reply = await fetch(`${address}/api/machine`, {
    method: 'POST',
    headers: { 'content-type': 'application/json' },
    body: JSON.stringify({
      ...{ name: 'Stress', spm: 400, trimmer: false, faultsPer10k: 4, speed: 120 },
      seed: Math.floor(random() * 1000)
    })
  });
  machineId = ((await reply.json()) as { id: string }).id;
  await page.goto(`${address}/items/badger-tab`);
  await stitchIt(page);
  await page.keyboard.press('k');
  await page.getByRole('button', { name: 'Follow a machine' }).click();
  await page
    .getByRole('button', { name: /^Stress/ })
    .last()
    .click();
  await page.getByText(/Stress:/).waitFor();
  runPath = new URL(page.url()).pathname;
  started += 1;
}

/** Presses the pedal until a moment comes. */
async function work(page: Page, until: number): Promise<void> {
  while (Date.now() < until && !page.url().includes('/log/')) {
    const isStop = await page.getByText('hands needed in').isVisible();
    const isFault = await page.getByRole('button', { name: /Sorted/ }).isVisible();
    if (!isStop || isFault) await page.keyboard.press('PageDown');
    await page.waitForTimeout(15);
  }
}

for (let done = 0; done < kills; done++) {
  const context = await open();
  const page = context.pages()[0] ?? (await context.newPage());
  try {
    await page.goto(`${address}/items`);
    await page.getByRole('link', { name: /Badger luggage tab/ }).waitFor();
    const stored = await readAll(page);
    const byRun = new Map<string, Stored['events']>();
    for (const event of stored.events) byRun.set(event.runId, [...(byRun.get(event.runId) ?? []), event]);
    for (const [runId, text] of known) {
      const now = (byRun.get(runId) ?? []).map((event) => JSON.stringify(event));
      const before = JSON.parse(text) as string[];
      const missing = before.filter((event, at) => now[at] !== event).length;
      lost += missing;
      if (missing > 0) console.log(`kill ${done}: ${missing} events of ${runId} were lost`);
    }
    for (const [runId, events] of byRun) {
      const faults = faultsOf(events);
      doubled += faults.length;
      for (const fault of faults) console.log(`kill ${done}, ${runId}: ${fault}`);
    }
    if (runPath !== '') await page.goto(`${address}${runPath}`);
    await page.waitForLoadState('domcontentloaded');
    const over = stored.runs.find(({ id }) => runPath.endsWith(id))?.finishedAt;
    if (over) finished += 1;
    if (runPath === '' || over) await startRun(page);
    await work(page, Date.now() + 300 + random() * 1500);
    // What is stored now must be there after the kill; what is pressed meanwhile may be or not, but whole.
    const last = await readAll(page);
    const texts = new Map<string, string[]>();
    for (const event of last.events)
      texts.set(event.runId, [...(texts.get(event.runId) ?? []), JSON.stringify(event)]);
    known = new Map([...texts].map(([runId, each]) => [runId, JSON.stringify(each)]));
    void page.keyboard.press('PageDown').catch(() => undefined);
    await new Promise((resolve) => setTimeout(resolve, random() * 40));
  } finally {
    kill();
    await context.close().catch(() => undefined);
  }
  if ((done + 1) % 20 === 0) console.log(`${done + 1} kills, ${started} runs started, ${finished} finished`);
}

// In the end the machine’s own list is held against what the last run was told.
const context = await open();
const page = context.pages()[0] ?? (await context.newPage());
await page.goto(`${address}${runPath}`);
await work(page, Date.now() + 60_000);
const stored = await readAll(page);
const own = stored.events.filter(({ runId }) => runPath.endsWith(runId));
const stream = await fetch(`${address}/api/machine/${machineId}/events`);
const reader = stream.body?.getReader();
let text = '';
while (reader && !text.includes('event: state')) {
  const part = await reader.read();
  if (part.done) break;
  text += new TextDecoder().decode(part.value);
}
await reader?.cancel();
const told = [...text.matchAll(/event: told\ndata: (.*)\n/g)].map(
  ([, json]) => JSON.parse(json ?? '{}') as Told
);
const ended = told.filter(({ type }) => type === 'stop-ended').map(({ seq }) => seq);
const counted = own.filter(({ type, from }) => type === 'done' && ended.includes(from?.seq ?? 0));
const missed = ended.filter((seq) => !counted.some(({ from }) => from?.seq === seq)).length;
console.log(`the machine ended ${ended.length} stops in the last run; ${missed} of them were not told`);
await context.close();
server.kill();
rmSync(folder, { recursive: true, force: true });
console.log(
  JSON.stringify({ kills, runs: started, finished, events: stored.events.length, lost, doubled, missed })
);
