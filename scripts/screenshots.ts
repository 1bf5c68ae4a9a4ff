/** `npm run screenshots`: one picture of each main view, from the demo stall, into docs/screenshots/. */
import { chromium, type Page } from '@playwright/test';
import { mkdirSync } from 'node:fs';
import { badgerPdf } from '../tests/e2e/support/badgerPdf';
import { stitchIt } from '../tests/e2e/support/page';
import { BROWSER } from '../playwright.config';
import { build, serve } from './lib.mjs';

const folder = new URL('../docs/screenshots/', import.meta.url).pathname;
const only = process.argv.slice(2);
mkdirSync(folder, { recursive: true });
if (process.env.SKIP_BUILD !== '1') build();
const { server, address } = await serve({ port: 4187, demo: true });
const browser = await chromium.launch(BROWSER);

interface View {
  name: string;
  path: string;
  size?: { width: number; height: number };
  night?: boolean;
  prepare?: (page: Page) => Promise<void>;
}

const CHART = `No  Part        Colour   Stitches   Thread
 1  placement   grey          120   0.60 m
 2  tack-down   black         120   0.60 m
 3  face        white       1,500   8.10 m
 4  cheeks      pink           60   0.32 m
 5  eyes        black         900   4.86 m
 6  outline     white         420   2.10 m
Made for the stall, hoop 100`;

const toBack = async (page: Page): Promise<void> => {
  await stitchIt(page);
  for (let step = 1; step < 16; step++) {
    await page.getByText(`step ${step} of`).waitFor();
    await page.keyboard.press('PageDown');
  }
  await page.getByText('step 16 of').waitFor();
};

const views: View[] = [
  { name: 'bench', path: '/' },
  { name: 'shelf', path: '/items' },
  {
    name: 'new-chart',
    path: '/items/new',
    prepare: (page) => page.getByLabel('Paste the colour chart').fill(CHART)
  },
  {
    name: 'new-paper',
    path: '/items/new',
    prepare: async (page) => {
      await page
        .getByLabel('File to bring')
        .setInputFiles({ name: 'badger.pdf', mimeType: 'application/pdf', buffer: await badgerPdf() });
      await page.getByText('Go on with 4 stops').waitFor();
      await page.getByRole('row').nth(3).hover();
    }
  },
  {
    name: 'new-pattern',
    path: '/items/new',
    prepare: async (page) => {
      await page.getByRole('button', { name: 'Start without a chart' }).click();
      await page.getByLabel('Name of the item').fill('Fern window tab');
    }
  },
  {
    name: 'new-match',
    path: '/items/new',
    prepare: async (page) => {
      await page.getByLabel('Paste the colour chart').fill(CHART);
      await page.getByRole('button', { name: /Go on with/ }).click();
      await page.getByLabel('Name of the item').fill('Badger tab');
      await page.getByRole('button', { name: 'Match the chart' }).click();
    }
  },
  {
    name: 'sheet',
    path: '/items/badger-tab',
    prepare: async (page) => {
      await page.getByRole('button', { name: /Lay BACK/ }).click();
    }
  },
  {
    name: 'sheet-night',
    path: '/items/lamp-patch',
    night: true,
    prepare: async (page) => {
      await page.getByRole('button', { name: /Border/ }).click();
    }
  },
  {
    name: 'sheet-findings',
    path: '/items/odd-pouch',
    prepare: async (page) => {
      await page.getByRole('button', { name: /Lay BACK,/ }).click();
    }
  },
  {
    name: 'guide-pouch',
    path: '/guide/zip-pouch',
    prepare: async (page) => {
      await page.getByRole('slider').focus();
      await page.keyboard.press('End');
    }
  },
  {
    name: 'cut',
    path: '/items/ticket-pouch/cut',
    prepare: async (page) => {
      await page.getByLabel('How many Ticket pouch with a zip').fill('4');
      await page.getByLabel('How many Ticket pouch with a zip').blur();
      await page
        .getByRole('region', { name: 'Cutting plan' })
        .and(page.locator('[aria-busy=false]'))
        .waitFor();
      await page
        .getByRole('article', { name: /Fern print/ })
        .first()
        .scrollIntoViewIfNeeded();
    }
  },
  {
    name: 'thread',
    path: '/items/stove-topper/thread',
    prepare: async (page) => {
      await page.getByRole('button', { name: 'Stitch it in this order' }).waitFor();
    }
  },
  { name: 'stash', path: '/stash' },
  { name: 'templates', path: '/items/badger-tab/templates' },
  { name: 'run', path: '/items/badger-tab', prepare: toBack },
  { name: 'run-tablet', path: '/items/badger-tab', size: { width: 820, height: 1180 }, prepare: toBack },
  {
    name: 'run-night',
    path: '/items/badger-tab',
    night: true,
    prepare: async (page) => {
      await stitchIt(page);
      for (let step = 1; step < 8; step++) {
        await page.getByText(`step ${step} of`).waitFor();
        await page.keyboard.press('PageDown');
      }
      await page.getByText('step 8 of').waitFor();
    }
  },
  { name: 'log', path: '/log' },
  { name: 'log-run', path: '/log/run-2' },
  { name: 'shop', path: '/shop' }
];

for (const view of views) {
  if (only.length > 0 && !only.includes(view.name)) continue;
  const context = await browser.newContext({
    viewport: view.size ?? { width: 1280, height: 800 },
    colorScheme: view.night ? 'dark' : 'light',
    locale: 'en-GB',
    timezoneId: 'UTC'
  });
  const page = await context.newPage();
  page.on('console', (message) => {
    if (message.type() === 'error') console.log(`${view.name}: ${message.text()}`);
  });
  page.on('pageerror', (error) => console.log(`${view.name}: ${error.message}`));
  await page.goto(`${address}/items`);
  await page.getByRole('link', { name: 'Badger luggage tab' }).waitFor();
  await page.goto(`${address}${view.path}`);
  await page.waitForLoadState('networkidle');
  await view.prepare?.(page);
  await page.waitForTimeout(300);
  await page.screenshot({ path: `${folder}${view.name}.png` });
  console.log(`docs/screenshots/${view.name}.png`);
  await context.close();
}
await browser.close();
server.kill();
