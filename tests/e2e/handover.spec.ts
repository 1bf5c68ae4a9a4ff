import { expect, expectAccessible, loadDemo, stitchIt, test } from './support/page';
import { readFileSync } from 'node:fs';

test('a run goes from one device to another by a code, is taken once, and comes back event by event', async ({
  page,
  browser,
  baseURL
}) => {
  await loadDemo(page);
  await page.goto('/items/badger-tab');
  await stitchIt(page);
  await page.keyboard.press('Space');
  await expect(page.getByText('step 2 of 29')).toBeVisible();
  const address = new URL(page.url()).pathname;

  await page.goto('/handover');
  await page.getByLabel('What').selectOption({ label: 'The run of Badger luggage tab, under way' });
  await page.getByRole('button', { name: 'Make a code' }).click();
  const code = (await page.locator('[data-code]').textContent()) ?? '';
  expect(code).toMatch(/^[2-9A-Z]{5}-[2-9A-Z]{5}-[2-9A-Z]{5}$/);
  await expect(page.getByRole('img', { name: 'The code to scan' })).toBeVisible();
  await expectAccessible(page);

  // The tablet has nothing yet.
  const context = await browser.newContext({ ...(baseURL && { baseURL }), serviceWorkers: 'block' });
  const tablet = await context.newPage();
  await tablet.goto(`/handover#${code}`);
  await expect(tablet.getByRole('paragraph').filter({ hasText: 'New here:' })).toContainText(
    'Badger luggage tab'
  );
  await tablet.getByRole('button', { name: 'Take these over' }).click();
  await expect(tablet.getByText('It is here now.')).toBeVisible();
  await tablet.goto(address);
  await expect(tablet.getByText('step 2 of 29')).toBeVisible();
  await tablet.keyboard.press('Space');
  await expect(tablet.getByText('step 3 of 29')).toBeVisible();

  // The code was taken.
  await page.getByLabel('Code of the other device').fill(code);
  const refused = page.waitForResponse('**/api/handover/take');
  await page.getByRole('button', { name: 'Take it', exact: true }).click();
  expect((await refused).status()).toBe(404);
  await expect(page.getByText(/taken already/)).toBeVisible();

  // Back again, as a file: the laptop has the run, and gets what is more.
  await tablet.goto('/handover');
  const [file] = await Promise.all([
    tablet.waitForEvent('download'),
    tablet.getByRole('button', { name: 'As a file' }).click()
  ]);
  const buffer = readFileSync(await file.path());
  await context.close();
  await page.getByLabel('File that was handed over').setInputFiles({
    name: 'back.json',
    mimeType: 'application/json',
    buffer
  });
  await expect(page.getByText(/events of both devices are put together/)).toBeVisible();
  await page.getByRole('button', { name: 'Take these over' }).click();
  await expect(page.getByText('It is here now.')).toBeVisible();
  await page.goto(address);
  await expect(page.getByText('step 3 of 29')).toBeVisible();
});
