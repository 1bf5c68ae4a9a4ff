import { expect, expectAccessible, loadDemo, stitchIt, test } from './support/page';
import { readFileSync } from 'node:fs';

test('everything into one file, wiped, and back: the same shelf, the same run at the same step', async ({
  page
}) => {
  await loadDemo(page);
  await page.goto('/items/badger-tab');
  await stitchIt(page);
  await page.keyboard.press('Space');
  await expect(page.getByText('step 2 of 29')).toBeVisible();
  const address = page.url();

  await page.goto('/shop');
  const [file] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('button', { name: 'Keep everything in one file' }).click()
  ]);
  const backup = readFileSync(await file.path());
  await expect(page.getByText(/Last kept in a file on/)).toBeVisible();
  await expectAccessible(page);

  // The browser is cleared.
  await page.goto('about:blank');
  await page.route('**/favicon.ico', (route) => route.fulfill({ status: 204 }));
  await page.goto('/api/health');
  await page.evaluate(
    () =>
      new Promise<void>((resolve, reject) => {
        const request = indexedDB.deleteDatabase('jolt-step');
        request.onsuccess = () => resolve();
        request.onerror = () => reject(new Error('not deleted'));
      })
  );
  await page.goto('/items');
  await expect(page.getByRole('main').getByRole('listitem')).toHaveCount(0);

  await page.goto('/shop');
  const chooser = page.getByLabel('Backup to bring back');
  await chooser.setInputFiles({
    name: 'broken.json',
    mimeType: 'application/json',
    buffer: Buffer.from(backup.subarray(0, 400))
  });
  // It breaks off: what it would bring back is told, and nothing is changed.
  await expect(page.getByRole('dialog')).toContainText('The file breaks off');
  await page.getByRole('button', { name: 'Change nothing' }).click();
  await chooser.setInputFiles({ name: 'jolt.json', mimeType: 'application/json', buffer: backup });
  await expect(page.getByText('Everything is as it was in jolt.json.')).toBeVisible();
  await page.goto('/items');
  await expect(page.getByRole('main').getByRole('listitem')).toHaveCount(14);
  await page.goto(address);
  await expect(page.getByText('step 2 of 29')).toBeVisible();
});

test('times with their ranges and what they rest on; a run left out teaches nothing', async ({ page }) => {
  await loadDemo(page);
  await page.goto('/items/badger-tab/time');
  await expect(page.getByText('Rests on 5 logged runs.')).toBeVisible();
  await expect(page.getByText('Rests on 3 logged runs.')).toBeVisible();
  await expectAccessible(page);
  await page.getByLabel('Claimed by the seller, min').fill('20');
  await page.getByLabel('Claimed by the seller, min').blur();
  await page.getByRole('button', { name: 'Learned from 5 runs' }).click();
  await page.getByRole('link', { name: 'Badger luggage tab, 14 November 2026' }).click();

  await page.getByRole('checkbox', { name: 'Estimates learn from this run' }).uncheck();
  await page.getByLabel('Note').fill('Tension was low.');
  await page.getByLabel('Note').blur();
  await page.getByLabel('Photo of this run').setInputFiles({
    name: 'edge.png',
    mimeType: 'image/png',
    buffer: Buffer.from(
      'iVBORw0KGgoAAAANSUhEUgAAAAEAAAABCAYAAAAfFcSJAAAADUlEQVR42mNkYPhfDwAChwGA60e6kgAAAABJRU5ErkJggg==',
      'base64'
    )
  });
  await expect(page.getByRole('img', { name: /edge\.png/ })).toBeVisible();
  await page.reload();
  await expect(page.getByLabel('Note')).toHaveValue('Tension was low.');
  await expect(page.getByRole('img', { name: /edge\.png/ })).toBeVisible();
  await page.goto('/items/badger-tab/time');
  await expect(page.getByText('Rests on 4 logged runs.')).toBeVisible();
  await expect(page.getByLabel('Claimed by the seller, min')).toHaveValue('20');
});

test('the log in charts and as CSV, and what stands on the bench', async ({ page }) => {
  await loadDemo(page);
  await page.goto('/log');
  const [csv] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('button', { name: 'All runs as CSV' }).click()
  ]);
  expect(readFileSync(await csv.path(), 'utf8')).toMatch(/^run,item,started,machine,step/);
  for (const name of ['Predicted and actual', 'Accuracy over time', 'Faults']) {
    await page.getByRole('tab', { name }).click();
    await expect(page.locator('canvas:visible')).toBeVisible();
    await expectAccessible(page);
  }
  await page.getByLabel('Faults in 10,000 stitches, by').selectOption('kind');
  await expect(page.getByRole('cell', { name: 'Thread broke' })).toBeVisible();

  await page.goto('/items/badger-tab');
  await stitchIt(page);
  await page.keyboard.press('a');
  await page.getByLabel(/Stitch number/).fill('12');
  await page.getByRole('button', { name: 'Set it aside' }).click();
  await expect(page.getByRole('heading', { name: 'Getting back to it' })).toBeVisible();
  await page.getByRole('button', { name: 'Leave it here' }).click();
  await expect(page.getByText(/set aside, stitch 12/)).toBeVisible();
  await expect(page.getByRole('heading', { name: 'What the last run taught' })).toBeVisible();
  await expect(page.getByRole('heading', { name: 'Running short' })).toBeVisible();
  await expect(page.getByText('Nothing has been kept in a file yet.')).toBeVisible();
  await expectAccessible(page);
});
