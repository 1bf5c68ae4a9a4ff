import { expect, test } from '@playwright/test';
import { cutPiece, expectAccessible, loadDemo } from './support/page';

test('the guide: every construction has its own stack to play, forwards and backwards', async ({ page }) => {
  await page.goto('/guide');
  await expect(
    page.getByRole('listitem').filter({ has: page.getByRole('heading', { level: 2 }) })
  ).toHaveCount(28);
  await expectAccessible(page);
  await page.getByRole('link', { name: 'Lined zip pouch' }).click();
  const steps = page.getByRole('list', { name: 'Steps' });
  await page.getByRole('slider').focus();
  await page.keyboard.press('End');
  const ends = page.getByRole('article').locator('dl').first();
  await expect(ends).toContainText('UPPER FRONT, right side');
  await expect(ends).toContainText('BACK, right side');
  await expect(ends).toHaveText(/Inside.*BACK LINING, right side/s);
  await expectAccessible(page);
  const current = steps.locator('[aria-current="step"]');
  await expect(current).toContainText('Press');
  await page.getByRole('button', { name: 'Walk backwards' }).click();
  await expect(current).not.toContainText('Press');
  await page.getByRole('button', { name: 'Stop walking' }).click();
  await page.getByRole('slider').focus();
  await page.keyboard.press('End');
  await page.getByRole('button', { name: 'One step back' }).click();
  await expect(current).toContainText('Turn through ZIP');
});

test('the odd pouch: what is wrong is found, shown and mended one by one', async ({ page }) => {
  await loadDemo(page);
  await page.goto('/items/odd-pouch');
  const looks = page.getByRole('list', { name: 'To look at' });
  await page.getByRole('button', { name: /to look at/ }).click();
  await expect(looks).toContainText('ZIP is a metal zip, and a metal zip breaks needles.');
  await expect(looks).toContainText('ZIP is still closed when BACK covers it, so the work cannot be turned.');
  await expect(looks).toContainText('The closing seam leaves only 45 mm to turn through.');
  await expect(looks).toContainText('BACK ends with its wrong side out.');
  await expect(looks).toContainText('Nothing holds BACK LINING under the hoop while the hoop goes on.');
  await expectAccessible(page);
  await looks.getByRole('button', { name: 'Nylon' }).click();
  await expect(looks).not.toContainText('metal zip');
  await looks.getByRole('button', { name: 'Turn it' }).click();
  await expect(looks).not.toContainText('BACK ends with its wrong side out.');
  await page.keyboard.press('Control+z');
  await expect(looks).toContainText('BACK ends with its wrong side out.');
});

test('a name is offered only where it can be stitched, and the sheet says how to leave the file', async ({
  page
}) => {
  await loadDemo(page);
  await page.goto('/items/badger-tab');
  await page.getByRole('button', { name: 'Put a name in' }).click();
  const dialog = page.getByRole('dialog');
  await expect(dialog.getByRole('radio')).toHaveCount(4);
  await dialog.getByLabel('Name, or the file it is in').fill('Bramble');
  await expect(dialog).toContainText('You leave the file after stop 5, and go back in at stop 6.');
  await expectAccessible(page);
  await dialog.getByRole('button', { name: 'Put it in' }).click();
  const panel = page.getByRole('article');
  await expect(panel.getByRole('heading', { name: 'Run “Bramble”' })).toBeVisible();
  await expect(panel).toContainText(
    'Leave this file after stop 5. Load “Bramble”, stitch it on FRONT, load this file again and go to stop 6.'
  );
  await page.getByRole('button', { name: /^Undo: / }).click();
  await expect(panel).not.toContainText('Bramble');

  // Felt hooped with nothing to lay on it: the whole of the work is open until it leaves the ring.
  await page.goto('/items/canopy-lace');
  await page.getByRole('button', { name: 'Put a name in' }).click();
  await expect(dialog).toContainText('There is no place for it');
});

test('a variant of another size shares its steps and has its own sizes', async ({ page }) => {
  await loadDemo(page);
  await page.goto('/items/ticket-tab');
  await expect(page.getByText('finished 38 × 76 mm')).toBeVisible();
  await page.getByRole('button', { name: 'Add a variant' }).click();
  const dialog = page.getByRole('dialog');
  await dialog.getByLabel('Name of the variant').fill('Large');
  await dialog.getByLabel('Stitched outline, height').fill('90');
  await dialog.getByLabel('Stitched outline, height').blur();
  await dialog.getByRole('button', { name: 'Add the variant' }).click();
  await expect(page.getByText('Large · finished 38 × 96 mm')).toBeVisible();
  await page.getByLabel('Variant', { exact: true }).selectOption({ label: 'As drawn' });
  await expect(page.getByText('finished 38 × 76 mm')).toBeVisible();
  await page.getByRole('link', { name: 'Cut', exact: true }).click();
  await expect(cutPiece(page, 'FRONT')).toContainText('60 × 95 mm');
});
