import { expect, expectAccessible, loadDemo, test } from './support/page';
import type { Page } from '@playwright/test';

/** A photo of a cloth with dots, made by the browser itself. */
async function photo(page: Page, width: number, height: number): Promise<Buffer> {
  const url = await page.evaluate(
    ([across, down]) => {
      const canvas = Object.assign(document.createElement('canvas'), { width: across, height: down });
      const pen = canvas.getContext('2d');
      if (!pen) return '';
      pen.fillStyle = '#c9a227';
      pen.fillRect(0, 0, canvas.width, canvas.height);
      pen.fillStyle = '#7a1f3d';
      for (let x = 20; x < canvas.width; x += 60)
        for (let y = 20; y < canvas.height; y += 60) pen.fillRect(x, y, 26, 26);
      return canvas.toDataURL('image/png');
    },
    [width, height] as const
  );
  return Buffer.from(url.split(',')[1] ?? '', 'base64');
}
const png = (buffer: Buffer): { name: string; mimeType: string; buffer: Buffer } => ({
  name: 'photo.png',
  mimeType: 'image/png',
  buffer
});

test('a photo of a cloth with its scale shows as the item’s cloth, and stays in the backup', async ({
  page
}) => {
  await loadDemo(page);
  await page.goto('/stash');
  await page
    .getByRole('button', { name: /Buff vinyl/ })
    .first()
    .click();
  const dialog = page.getByRole('dialog');
  await dialog.getByLabel('Photo of the cloth').setInputFiles(png(await photo(page, 2400, 1200)));
  await dialog.getByLabel(/The photo shows, across/).fill('120');
  await dialog.getByLabel(/The photo shows, across/).blur();
  await expect(dialog.getByText(/120 × 60/)).toBeVisible();
  await expectAccessible(page);
  await dialog.getByRole('button', { name: 'Keep the changes' }).click();
  await expect(dialog).toBeHidden();

  await page.goto('/items/badger-tab/colours');
  await page.getByRole('button', { name: 'One more to try' }).click();
  const tried = page.getByRole('article', { name: 'Try 1' });
  await tried.getByLabel('Cloth, Vinyl', { exact: true }).selectOption('Buff vinyl');
  // True to size: the photo is 120 mm of cloth across.
  await expect(tried.locator('image[width="120"]').first()).toBeAttached();
  await tried.getByRole('button', { name: /Take/ }).click();
  await expect(page.getByRole('article', { name: 'As it is' }).locator('image').first()).toBeAttached();

  const chooser = page.getByLabel('Photo of the cloth', { exact: true });
  await page.goto('/stash');
  await page
    .getByRole('button', { name: /Buff vinyl/ })
    .first()
    .click();
  await chooser.setInputFiles({ name: 'no.png', mimeType: 'image/png', buffer: Buffer.from('no picture') });
  await expect(page.getByRole('alert')).toContainText('no picture that can be read');
});

test('a design’s own picture is put in its place, cropped, and taken out again', async ({ page }) => {
  await loadDemo(page);
  await page.goto('/items/badger-tab');
  await page
    .getByRole('button', { name: /Face seen on the front/ })
    .first()
    .click();
  await page.getByRole('button', { name: 'The design’s picture' }).click();
  const dialog = page.getByRole('dialog');
  await dialog.getByLabel('Picture of the design').setInputFiles(png(await photo(page, 400, 400)));
  const place = dialog.getByRole('button', { name: /Place of the picture/ });
  const before = Number(await place.getAttribute('x'));
  await place.focus();
  await page.keyboard.press('ArrowRight');
  await expect.poll(async () => Number(await place.getAttribute('x'))).toBeCloseTo(before + 1, 3);
  const wide = Number(await place.getAttribute('width'));
  await dialog.getByLabel('Crop left, %').fill('50');
  await expect.poll(async () => Number(await place.getAttribute('width'))).toBeCloseTo(wide / 2, 2);
  await expectAccessible(page);
  await dialog.getByRole('button', { name: 'Keep it', exact: true }).click();
  await expect(dialog).toBeHidden();
  await page.keyboard.press('Control+z');
  await expect(page.getByText(/Taken back: a design’s picture/)).toBeVisible();
});

test('a photo of a run stands for its item on the shelf', async ({ page }) => {
  await loadDemo(page);
  await page.goto('/log');
  await page
    .getByRole('link', { name: /Badger/ })
    .first()
    .click();
  await page.getByLabel('Photo of this run').setInputFiles(png(await photo(page, 3000, 2000)));
  await page.getByRole('button', { name: 'Show it for the item' }).click();
  await expect(page.getByText(/This photo stands for/)).toBeVisible();
  const image = page.getByRole('img', { name: /photo\.png/ });
  // It was scaled before it was stored.
  expect(await image.evaluate((found: HTMLImageElement) => found.naturalWidth)).toBe(1600);
  await page.goto('/items');
  await expect(page.getByRole('img', { name: /Badger luggage tab, finished/ })).toBeVisible();
});
