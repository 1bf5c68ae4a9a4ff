/** `npm run screenshots`: one picture of each main view, from the demo stall, into docs/screenshots/. */
import { chromium, type Page } from '@playwright/test';
import { mkdirSync } from 'node:fs';
import { badgerPdf } from '../tests/e2e/support/badgerPdf';
import { stitchIt } from '../tests/e2e/support/page';
import { BROWSER } from '../playwright.config';
import { build, serve } from './lib.mjs';

const folder = new URL('../docs/screenshots/', import.meta.url).pathname;
const sheets = new URL('../tests/papers/sheets/', import.meta.url).pathname;
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

const toBack = async (page: Page): Promise<void> => {
  await stitchIt(page);
  for (let step = 1; step < 16; step++) {
    await page.getByText(`step ${step} of`).waitFor();
    await page.keyboard.press('PageDown');
  }
  await page.getByText('step 16 of').waitFor();
};

/** Waits until the plan of an order stands still. */
const planned = async (page: Page): Promise<void> => {
  await page.getByText('the earliest possible end is').waitFor();
  await page.getByText('looking for a better plan').waitFor({ state: 'detached', timeout: 60_000 });
};

const views: View[] = [
  { name: 'bench', path: '/' },
  {
    name: 'shelf',
    path: '/items',
    // Pictures are made by a worker, one after another.
    prepare: async (page) => page.getByText('Being planned').first().waitFor({ state: 'detached' })
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
    name: 'new-steps',
    path: '/items/new',
    prepare: async (page) => {
      await page.getByLabel('File to bring').setInputFiles(`${sheets}s08-season-ticket-sleeve.pdf`);
      await page.getByRole('button', { name: /See the steps/ }).click();
      await page.getByRole('button', { name: /Fold B and C/ }).click();
    }
  },
  {
    name: 'build',
    path: '/items/stove-topper/blocks',
    prepare: async (page) => {
      await page.getByRole('button', { name: 'Put a block in after Details' }).click();
      await page
        .getByRole('button', { name: /Appliqué/ })
        .first()
        .hover();
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
  { name: 'run', path: '/items/badger-tab', prepare: toBack },
  { name: 'run-tablet', path: '/items/badger-tab', size: { width: 820, height: 1180 }, prepare: toBack },
  {
    name: 'log',
    path: '/log',
    prepare: (page) => page.getByRole('tab', { name: 'Predicted and actual' }).click()
  },
  {
    name: 'order-day',
    path: '/orders/gala-weekend?tab=day',
    prepare: planned
  },
  {
    name: 'order-hoopings',
    path: '/orders/gala-weekend?tab=hoopings',
    night: true,
    prepare: planned
  },
  {
    name: 'colours',
    path: '/items/ticket-pouch/colours',
    prepare: async (page) => {
      await page.getByRole('button', { name: 'From the stash' }).click();
      await page.getByText('Try 1').waitFor();
    }
  },
  {
    name: 'week',
    path: '/week',
    prepare: (page) => page.getByText('What can be promised').waitFor({ timeout: 60_000 })
  },
  {
    name: 'practice',
    path: '/practice',
    prepare: async (page) => {
      await page.getByLabel('With the item').selectOption({ label: 'Ticket pouch with a zip' });
      const drill = page.getByRole('region', { name: 'A drill' });
      await drill.getByText('Ticket pouch with a zip').waitFor();
      await drill.getByRole('button').first().click();
      await drill.getByRole('button', { name: 'The next one' }).waitFor();
    }
  },
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
