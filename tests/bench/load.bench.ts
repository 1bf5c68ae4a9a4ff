/** How soon each screen stands: a first visit, then the demo alone, then a workroom of many years. In the browser, on the build. */
import { type Browser, chromium, type Page } from '@playwright/test';
import { BROWSER } from '../../playwright.config';
import { build, serve } from '../../scripts/lib.mjs';
import { type Amounts, fillWorkroom, isSummarised } from './support/fullWorkroom';

const LARGE: Amounts = { items: 1000, runs: 10_000, stash: 2000, orders: 100 };
/** Visits of each screen; the median counts. */
const VISITS = 3;

const middle = (values: number[]): number =>
  values.toSorted((a, b) => a - b)[Math.floor(values.length / 2)] ?? Number.NaN;

/** Scripts the page itself fetched, as they came over the line, in bytes. */
const scripts = (page: Page): Promise<number> =>
  page.evaluate(() =>
    performance
      .getEntriesByType('resource')
      .filter((entry): entry is PerformanceResourceTiming => /\.js$/.test(entry.name))
      .reduce((sum, { encodedBodySize }) => sum + encodedBodySize, 0)
  );

/** Milliseconds from the start of a visit until what it is about stands there; and the longest task on the way. */
async function visit(page: Page, path: string, ready: string): Promise<{ ms: number; task: number }> {
  await page.goto('about:blank');
  await page.goto(path, { waitUntil: 'commit' });
  const ms = await page.evaluate(async (selector) => {
    while (!document.querySelector(selector)) await new Promise(requestAnimationFrame);
    return performance.now();
  }, ready);
  // What comes after it may stand in the way of the hand too.
  await page.waitForTimeout(250);
  const task = await page.evaluate(
    () =>
      new Promise<number>((done) => {
        new PerformanceObserver((list) =>
          done(Math.max(...list.getEntries().map(({ duration }) => duration)))
        ).observe({
          type: 'longtask',
          buffered: true
        });
        setTimeout(() => done(0), 50);
      })
  );
  return { ms, task };
}

/** The time from a press until the next step stands there, for some steps of a run. */
async function steps(page: Page): Promise<number[]> {
  const times: number[] = [];
  for (let at = 1; at <= 8; at++) {
    await page.getByText(`step ${at} of`).waitFor();
    times.push(
      await page.evaluate(
        async (next) => {
          const start = performance.now();
          document.dispatchEvent(new KeyboardEvent('keydown', { key: 'PageDown', bubbles: true }));
          while (!document.body.innerText.includes(next)) await new Promise((done) => setTimeout(done));
          return performance.now() - start;
        },
        `step ${at + 1} of`
      )
    );
  }
  return times;
}

const SCREENS = {
  shelfMs: { path: '/items', ready: 'main li svg' },
  benchMs: { path: '/', ready: 'main li svg' },
  logMs: { path: '/log', ready: 'main li, main tbody tr' },
  sheetMs: { path: '/items/badger-tab', ready: 'main [data-step], main ol li' }
};
type Screen = keyof typeof SCREENS;

async function measure(page: Page): Promise<Record<Screen | 'runStepMs' | 'task', number>> {
  const found: Partial<Record<Screen, number>> = {};
  let task = 0;
  for (const [name, { path, ready }] of Object.entries(SCREENS)) {
    const visits = [];
    for (let at = 0; at < VISITS; at++) visits.push(await visit(page, path, ready));
    found[name as Screen] = middle(visits.map(({ ms }) => ms));
    task = Math.max(task, middle(visits.map((each) => each.task)));
    console.log(
      `${path}: ${visits.map(({ ms, task: long }) => `${Math.round(ms)} ms (longest task ${Math.round(long)})`).join(', ')}`
    );
  }
  await page.getByRole('button', { name: 'Stitch it' }).click();
  await page.getByRole('button', { name: /^Start/ }).click();
  const runStepMs = middle(await steps(page));
  return { ...(found as Record<Screen, number>), runStepMs, task };
}

async function main(browser: Browser, address: string): Promise<void> {
  const context = await browser.newContext({
    baseURL: address,
    viewport: { width: 1280, height: 800 },
    extraHTTPHeaders: { 'accept-encoding': 'gzip' }
  });
  // The compiler of this file names functions by a helper that the page does not have.
  await context.addInitScript('globalThis.__name = (named) => named');
  const page = await context.newPage();
  await page.goto('/');
  await page.getByRole('button', { name: 'Look at the demo stall first' }).waitFor();
  const firstJsKb = (await scripts(page)) / 1024;
  await page.getByRole('button', { name: 'Look at the demo stall first' }).click();
  await page.getByRole('link', { name: /Badger luggage tab/ }).waitFor();
  console.log('The demo alone:');
  const demo = await measure(page);
  let start = performance.now();
  await page.goto('/shop');
  await page.evaluate(fillWorkroom, LARGE);
  console.log(`Filled in ${Math.round((performance.now() - start) / 1000)} s.`);
  start = performance.now();
  await page.goto('/shop');
  while (!(await page.evaluate(isSummarised, LARGE))) await page.waitForTimeout(500);
  console.log(`Summaries made in ${Math.round((performance.now() - start) / 1000)} s. The large workroom:`);
  const { task, ...large } = await measure(page);
  const growth = Math.max(
    ...(Object.keys(large) as (keyof typeof large)[]).map((key) => large[key] / demo[key])
  );
  const round = (value: number): number => Number(value.toFixed(1));
  console.log(
    JSON.stringify({
      firstJsKb: round(firstJsKb),
      ...Object.fromEntries(Object.entries(large).map(([key, value]) => [key, round(value)])),
      longestTaskMs: Math.round(task),
      growth: Number(growth.toFixed(2))
    })
  );
}

if (process.env.SKIP_BUILD !== '1') build();
const { server, address } = await serve({ port: 4189, demo: true });
const browser = await chromium.launch(BROWSER);
try {
  await main(browser, address);
} finally {
  await browser.close();
  server.kill();
}
