import { readFileSync } from 'node:fs';
import { expect, expectAccessible, expectNoScrolling, loadDemo, test, stitchIt } from './support/page';

test('the demo stall: search, duplicate, put away, bring back', async ({ page }) => {
  await loadDemo(page);
  await expectAccessible(page);
  await page.getByRole('link', { name: 'Shelf' }).click();
  const cards = page.getByRole('main').getByRole('listitem');
  await expect(cards).toHaveCount(14);
  await page.getByLabel('Search the shelf').fill('canvas');
  await expect(cards).toHaveCount(1);
  await page.getByLabel('Search the shelf').fill('');
  await page.getByRole('button', { name: 'Duplicate Signal lamp patch' }).click();
  await expect(cards).toHaveCount(15);
  await page.getByRole('button', { name: 'Put away Signal lamp patch, copy' }).click();
  await expect(cards).toHaveCount(14);
  await page.getByRole('button', { name: 'Put away: 1' }).click();
  await expectAccessible(page);
  await page.getByRole('button', { name: 'Bring back Signal lamp patch, copy' }).click();
  await page.getByRole('button', { name: 'Back to the shelf' }).click();
  await expect(cards).toHaveCount(15);
});

test('steps are added, moved, changed and removed, and every edit can be undone', async ({ page }) => {
  await loadDemo(page);
  await page.getByRole('link', { name: /Badger luggage tab/ }).click();
  const steps = page.getByRole('region', { name: 'Steps' }).getByRole('listitem');
  await expect(steps).toHaveCount(29);
  await page.getByRole('button', { name: /Lay BACK/ }).click();

  await page.getByRole('button', { name: 'Add a step here' }).click();
  const dialog = page.getByRole('dialog');
  await dialog.getByLabel('Step', { exact: true }).selectOption('speed');
  await dialog.getByLabel('Stitches a minute').fill('350');
  await dialog.getByLabel('Stitches a minute').blur();
  await dialog.getByLabel('Your note').fill('felt is thick');
  await expectAccessible(page);
  await dialog.getByRole('button', { name: 'Add the step' }).click();
  await expect(steps).toHaveCount(30);
  await expect(steps.nth(16)).toContainText('Set the speed to 350');
  await expect(steps.nth(16)).toContainText('felt is thick');

  await page.getByRole('button', { name: 'Earlier' }).click();
  await expect(steps.nth(15)).toContainText('Set the speed to 350');
  await page.getByRole('button', { name: 'Remove' }).click();
  await expect(steps).toHaveCount(29);
  await page.keyboard.press('Control+z');
  await expect(steps).toHaveCount(30);
  await page.getByRole('main').getByRole('button', { name: 'Undo' }).first().click();
  await expect(steps.nth(16)).toContainText('Set the speed to 350');
  await page.getByRole('main').getByRole('button', { name: 'Undo' }).first().click();
  await expect(steps).toHaveCount(29);

  // A stop: another thread, and its count.
  await page.getByRole('button', { name: /Cheeks/ }).click();
  await page.getByRole('button', { name: 'Change', exact: true }).click();
  await dialog.getByLabel('Name of the thread').fill('Madder');
  await dialog.getByRole('button', { name: 'Use it' }).click();
  await dialog.getByLabel('Stitches', { exact: true }).fill('600');
  await dialog.getByRole('button', { name: 'Keep the change' }).click();
  await expect(page.getByRole('button', { name: /Cheeks/ })).toContainText('charted pink, use madder');
  // 600 stitches at 400 spm, 2 s to start and 2 s to halt: 94 s, and a little more as the demo’s runs have taught.
  await expect(page.getByRole('button', { name: /Cheeks/ })).toContainText(/1 min (3[5-9]|4\d) s/);
  await page.reload();
  await expect(page.getByRole('button', { name: /Cheeks/ })).toContainText('charted pink, use madder');
});

test('an item goes out as JSON and comes back; a broken or newer file changes nothing', async ({ page }) => {
  await loadDemo(page);
  await page.getByRole('link', { name: /Badger luggage tab/ }).click();
  const [download] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('button', { name: 'Download the item' }).click()
  ]);
  expect(download.suggestedFilename()).toBe('badger-luggage-tab.json');
  const text = readFileSync(await download.path(), 'utf8');
  const file = (name: string, content: string): { name: string; mimeType: string; buffer: Buffer } => ({
    name,
    mimeType: 'application/json',
    buffer: Buffer.from(content)
  });

  await page.goto('/items');
  const cards = page.getByRole('main').getByRole('listitem');
  await expect(cards).toHaveCount(14);
  await page
    .getByLabel('Item file')
    .setInputFiles(file('newer.json', text.replace('"version": 2', '"version": 4')));
  await expect(page.getByRole('alert')).toContainText('newer Jolt Step: its field “version” says 4');
  await page
    .getByLabel('Item file')
    .setInputFiles(file('broken.json', text.replaceAll('"kind": "vinyl"', '"kind": "tin"')));
  await expect(page.getByRole('alert')).toContainText(
    'The field “pieces.1.material.kind” of this item is wrong'
  );
  await expectAccessible(page);
  await expect(cards).toHaveCount(14);
  await page.getByLabel('Item file').setInputFiles(file('mine.json', text));
  await page.waitForURL(/\/items\/.+/);
  await expect(page.getByRole('heading', { name: 'Badger luggage tab', level: 1 })).toBeVisible();
  await page.goto('/items');
  await expect(cards).toHaveCount(15);
});

test('by night and on a tablet: readable, and nothing to scroll at the machine', async ({ page }) => {
  await loadDemo(page);
  await page.getByRole('button', { name: 'Night colours' }).click();
  for (const path of [
    '/',
    '/items',
    '/items/badger-tab',
    '/items/lamp-patch/cut',
    '/log',
    '/log/run-2',
    '/shop',
    '/items/new'
  ]) {
    await page.goto(path);
    await expect(page.getByRole('heading', { level: 1 })).toBeVisible();
    await expectAccessible(page, 'color-contrast');
  }
  await page.setViewportSize({ width: 820, height: 1180 });
  await page.goto('/items/lamp-patch');
  await stitchIt(page);
  for (let step = 1; step <= 18; step++) {
    await expect(page.getByText(`step ${step} of 18`)).toBeVisible();
    await expectNoScrolling(page);
    await page.keyboard.press('PageDown');
  }
  await expectAccessible(page, 'color-contrast');
});

test('go anywhere by name', async ({ page }) => {
  await loadDemo(page);
  await page.keyboard.press('Control+k');
  await page.getByPlaceholder('Go to a page, an item or an order').fill('lamp');
  await expect(page.getByRole('option', { name: /lamp/i }).first()).toBeVisible();
  await page.keyboard.press('Enter');
  await expect(page).toHaveURL(/\/items\/lamp-patch/);
  await expect(page.getByRole('heading', { level: 1 })).toBeVisible();

  // Every key is on one page, and one of them stitches the item.
  await page.keyboard.press('?');
  await expect(page.getByRole('dialog', { name: 'Keys' })).toContainText('stitch it');
  await page.keyboard.press('Escape');
  await expect(page.getByRole('dialog')).toHaveCount(0);
  await page.keyboard.press('s');
  await expect(page.getByRole('heading', { name: 'Before the start' })).toBeVisible();
});

test('a drill is answered and what goes wrong is found, by hands that never stitched', async ({ page }) => {
  await loadDemo(page);
  await page.goto('/practice');
  const drill = page.getByRole('region', { name: 'A drill' });
  await drill.getByRole('button').first().click();
  await expect(drill.getByRole('status')).toBeVisible();
  await expect(page.getByRole('region', { name: 'What you can do' })).toContainText(/[01] of 1 right/);
  await expectAccessible(page);
  await page.reload();
  await expect(page.getByRole('region', { name: 'What you can do' })).toContainText(/[01] of 1 right/);

  await page.goto('/trouble?item=lamp-patch');
  await page.getByRole('button', { name: 'Puckers round the stitching' }).click();
  await expect(page.getByRole('heading', { name: 'Puckers round the stitching' })).toBeVisible();
  await expectAccessible(page);
  await page.getByRole('button', { name: 'Corners are lumpy' }).click();
  await expect(page.getByRole('heading', { name: 'Corners are lumpy' })).toBeVisible();
});

test('the sheet prints: every step with its words and a list to cut, nothing to click', async ({ page }) => {
  await loadDemo(page);
  await page.goto('/items/badger-tab');
  await expect(page.getByRole('heading', { name: 'Badger luggage tab' })).toBeVisible();
  await page.emulateMedia({ media: 'print' });
  await expect(page.getByRole('button', { name: 'Stitch it' })).toBeHidden();
  await expect(page.getByRole('navigation', { name: 'Rooms' })).toBeHidden();
  await expect(page.getByText('Cover the outline by 20 mm all round.').first()).toBeVisible();
  await expect(page.getByText(/1 × BACK, Felt: 70 × 135 mm/)).toBeVisible();
});
