import { chromium, expect, test, type BrowserContext } from '@playwright/test';
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { BROWSER } from '../../playwright.config';
import { stitchIt } from './support/page';
import { serve } from '../../scripts/lib.mjs';

/** These tests close the whole browser, so each keeps its profile in a folder of its own. */
const folders: string[] = [];
function profile(): string {
  const folder = mkdtempSync(join(tmpdir(), 'jolt-step-'));
  folders.push(folder);
  return folder;
}
const open = (folder: string): Promise<BrowserContext> =>
  chromium.launchPersistentContext(folder, {
    ...BROWSER,
    viewport: { width: 1280, height: 800 },
    locale: 'en-GB',
    timezoneId: 'UTC'
  });

test.afterAll(() => {
  for (const folder of folders) rmSync(folder, { recursive: true, force: true });
});

test('the browser is closed in the middle of a step: same step, and the clock has gone on', async ({
  baseURL
}) => {
  const folder = profile();
  const first = await open(folder);
  const page = await first.newPage();
  await page.goto(`${baseURL}/items/new`);
  await page.getByRole('button', { name: 'Start without a chart' }).click();
  await page.getByLabel('Name of the item').fill('Fern fob');
  await page.getByRole('button', { name: 'Make the sheet' }).click();
  await stitchIt(page);
  await expect(page.getByText('step 1 of')).toBeVisible();
  await page.keyboard.press('Space');
  await expect(page.getByText('step 2 of')).toBeVisible();
  const address = page.url();
  await first.close();

  const second = await open(folder);
  const again = await second.newPage();
  await again.goto(address);
  await expect(again.getByText('step 2 of')).toBeVisible();
  await expect(again.getByRole('heading', { name: 'Hoop STABILISER' })).toBeVisible();
  // Nothing was paused, so the step’s clock counts from when it began.
  await expect(again.locator('.facts .big').first()).not.toHaveText('0:00');
  await again.goto(`${baseURL}/`);
  await expect(again.getByText('step 2 of 28: Hoop STABILISER')).toBeVisible();
  await second.close();
});

test('a server started to show the demo fills an empty browser once, and never again', async () => {
  const { server, address } = (await serve({ port: 4185, demo: true })) as {
    server: { kill(): void };
    address: string;
  };
  const context = await open(profile());
  try {
    const page = await context.newPage();
    await page.goto(`${address}/items`);
    const cards = page.getByRole('main').getByRole('listitem');
    await expect(cards).toHaveCount(14);
    for (const name of ['Badger luggage tab', 'Signal lamp patch', 'Ticket key fob']) {
      await page.getByRole('button', { name: `Put away ${name}` }).click();
    }
    await expect(cards).toHaveCount(11);
    await page.reload();
    await expect(page.getByRole('button', { name: 'Put away: 3' })).toBeVisible();
    await expect(cards).toHaveCount(11);
  } finally {
    await context.close();
    server.kill();
  }
});
