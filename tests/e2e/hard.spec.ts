import { chromium, expect, test, type BrowserContext, type Page } from '@playwright/test';
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { BROWSER } from '../../playwright.config';
import { loadDemo } from './support/page';

const folder = mkdtempSync(join(tmpdir(), 'jolt-step-hard-'));
const open = (): Promise<BrowserContext> =>
  chromium.launchPersistentContext(folder, {
    ...BROWSER,
    viewport: { width: 1280, height: 800 },
    locale: 'en-GB',
    timezoneId: 'UTC',
    serviceWorkers: 'block'
  });
test.afterAll(() => rmSync(folder, { recursive: true, force: true }));

/** Waits until an edit of this tab can be taken back: from then on the page shows it as kept. */
const kept = (page: Page, words: RegExp): Promise<void> =>
  expect(page.getByRole('button', { name: words })).toBeEnabled();

test('the browser is killed after an edit of the stash, the shop, an order and a sheet: what was shown as kept is there', async ({
  baseURL
}) => {
  const first = await open();
  const page = await first.newPage();
  page.setDefaultTimeout(30_000);
  await page.goto(`${baseURL}/`);
  await page.getByRole('button', { name: 'Look at the demo stall first' }).click();
  await page.getByRole('link', { name: /Badger luggage tab/ }).waitFor();

  await page.goto(`${baseURL}/stash`);
  await page.getByRole('button', { name: 'Navy canvas', exact: true }).click();
  await page.getByLabel('Where it is kept').fill('Signal box');
  await page.getByRole('button', { name: 'Keep the changes' }).click();
  await kept(page, /^Undo: .*Navy canvas/);
  await page.goto(`${baseURL}/orders/gala-weekend?tab=pieces`);
  await page.getByLabel('For whom').fill('Platform two');
  await page.getByLabel('For whom').blur();
  await kept(page, /^Undo: the customer/);
  await page.goto(`${baseURL}/shop`);
  await page
    .getByRole('region', { name: 'Machines' })
    .getByLabel('Name', { exact: true })
    .first()
    .fill('Old lady');
  await page.getByRole('region', { name: 'Machines' }).getByLabel('Name', { exact: true }).first().blur();
  await kept(page, /^Undo: the machines/);
  await page.goto(`${baseURL}/items/badger-tab`);
  await page.getByRole('button', { name: /Lay FRONT/ }).click();
  await page.getByRole('button', { name: 'Later', exact: true }).click();
  await kept(page, /^Undo: a step/);
  // Its place in the sheet; its time follows what runs taught, a moment later.
  const moved = /\d+/.exec((await page.getByRole('button', { name: /Lay FRONT/ }).textContent()) ?? '')?.[0];
  const session = await first.newCDPSession(page);
  await session.send('Browser.crash').catch(() => undefined);

  const second = await open();
  const again = await second.newPage();
  await again.goto(`${baseURL}/stash`);
  await expect(again.getByRole('row', { name: /Navy canvas/ })).toContainText('Signal box');
  await again.goto(`${baseURL}/orders/gala-weekend?tab=pieces`);
  await expect(again.getByLabel('For whom')).toHaveValue('Platform two');
  await again.goto(`${baseURL}/shop`);
  await expect(
    again.getByRole('region', { name: 'Machines' }).getByLabel('Name', { exact: true }).first()
  ).toHaveValue('Old lady');
  await again.goto(`${baseURL}/items/badger-tab`);
  await expect(again.getByRole('button', { name: /Lay FRONT/ })).toContainText(
    `${moved ?? 'nowhere'} Lay FRONT`
  );
  await second.close();
});

test('a full disk is told in words, and what was shown as kept stays', async ({ page }) => {
  await loadDemo(page);
  await page.goto('/log');
  await page
    .getByRole('link', { name: /Badger/ })
    .first()
    .click();
  await page.getByLabel('Note').fill('The edge came out well.');
  await page.getByLabel('Note').blur();
  // Noise, which no encoding makes small.
  const noise = await page.evaluate(() => {
    const canvas = Object.assign(document.createElement('canvas'), { width: 1600, height: 1600 });
    const pen = canvas.getContext('2d');
    const pixels = pen?.createImageData(1600, 1600);
    if (!pen || !pixels) return '';
    for (let at = 0; at < pixels.data.length; at++) pixels.data[at] = Math.random() * 256;
    pen.putImageData(pixels, 0, 0);
    return canvas.toDataURL('image/jpeg', 0.9);
  });
  const buffer = Buffer.from(noise.split(',')[1] ?? '', 'base64');
  const photo = { name: 'photo.jpg', mimeType: 'image/jpeg', buffer };
  // The browser answers every write as it does when its quota is used up.
  await page.evaluate(() => {
    const full = (): never => {
      throw new DOMException('The quota has been exceeded.', 'QuotaExceededError');
    };
    Object.defineProperties(IDBObjectStore.prototype, { add: { value: full }, put: { value: full } });
  });
  await page.getByLabel('Photo of this run').setInputFiles(photo);
  await expect(page.getByText('The photo is not kept. The browser’s storage is full.')).toBeVisible();
  await expect(page.getByRole('img', { name: /photo\.jpg/ })).toHaveCount(0);
  await page.getByRole('link', { name: 'Stash', exact: true }).click();
  await page.getByRole('button', { name: 'Navy canvas', exact: true }).click();
  await page.getByLabel('Where it is kept').fill('Nowhere');
  await page.getByRole('button', { name: 'Keep the changes' }).click();
  await expect(page.getByText('The change is not stored. The browser’s storage is full.')).toBeVisible();
  await page.reload();
  await expect(page.getByRole('row', { name: /Navy canvas/ })).not.toContainText('Nowhere');
  await page.goto('/log');
  await page
    .getByRole('link', { name: /Badger/ })
    .first()
    .click();
  await expect(page.getByLabel('Note')).toHaveValue('The edge came out well.');
  // With room again it is kept.
  await page.getByLabel('Photo of this run').setInputFiles(photo);
  await expect(page.getByRole('img', { name: /photo\.jpg/ })).toBeVisible();
});

test('a browser that keeps nothing says so, and a tab in the way of a newer one is named', async ({
  browser,
  baseURL
}) => {
  const context = await browser.newContext({ ...(baseURL && { baseURL }), serviceWorkers: 'block' });
  await context.addInitScript(() => {
    const refuse = (): never => {
      throw new DOMException('The user denied permission to access the database.', 'SecurityError');
    };
    Object.defineProperty(IDBFactory.prototype, 'open', { value: refuse });
  });
  const without = await context.newPage();
  await without.goto('/items');
  await expect(without.getByRole('alert').first()).toContainText('does not let the page keep anything');
  await context.close();

  const own = await browser.newContext({ ...(baseURL && { baseURL }), serviceWorkers: 'block' });
  const older = await own.newPage();
  await older.goto('/items');
  await expect(older.getByRole('heading', { name: 'Shelf' })).toBeVisible();
  const newer = await own.newPage();
  await newer.goto('/api/health');
  // Another tab raises the version, as a newer Jolt Step would.
  await newer.evaluate(
    () =>
      new Promise<void>((resolve) => {
        const request = indexedDB.open('jolt-step', 5000);
        request.onsuccess = () => resolve();
        request.onerror = () => resolve();
      })
  );
  await expect(older.getByRole('alert').first()).toContainText('A newer Jolt Step was opened in another tab');
  await own.close();
});
