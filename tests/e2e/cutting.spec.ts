import { expect, expectAccessible, loadDemo, test } from './support/page';

test('from the demo’s items to a confirmed cut, a smaller stash, and back', async ({ page }) => {
  await loadDemo(page);
  await page.goto('/items/ticket-pouch/cut');
  const pieces = page.getByRole('complementary', { name: 'Pieces' });
  await expect(pieces.getByText('205 × 60 mm').first()).toBeVisible();
  // A reason for every millimetre.
  await pieces.getByText('UPPER FRONT C').click();
  await expect(pieces.getByText('over the seam').first()).toBeVisible();
  await expect(pieces.getByText('+6 mm high').first()).toBeVisible();
  await expectAccessible(page);

  const plan = page.getByRole('region', { name: 'Cutting plan' });
  await expect(plan).toHaveAttribute('aria-busy', 'false');
  const batting = page.getByRole('article', { name: /Cotton batting/ });
  await expect(batting).toContainText('Cut a strip 145 mm');
  await expect(batting).toContainText('755 mm stays on it');
  await batting.getByRole('button', { name: 'Strip of 145 mm is cut' }).click();
  await expect(page.getByText('Back into the stash: 730 × 145 mm')).toBeVisible();
  await expect(batting).toHaveCount(0);
  await page.getByRole('link', { name: 'Stash' }).click();
  await expect(page.getByRole('row', { name: /Cotton batting/ }).first()).toBeVisible();
  const rows = page.getByRole('row', { name: /Cotton batting/ });
  await expect(rows).toHaveCount(2);
  await expect(rows.filter({ hasText: '755 mm, 1140 mm wide' })).toHaveCount(1);
  await expect(rows.filter({ hasText: '730 × 145 mm' })).toHaveCount(1);
  await expectAccessible(page);

  await page.goto('/items/ticket-pouch/cut');
  await page.getByRole('button', { name: 'Take back the last cut' }).click();
  await expect(batting).toContainText('755 mm stays on it');
  await page.getByRole('link', { name: 'Stash' }).click();
  await expect(page.getByRole('row', { name: /Cotton batting/ })).toHaveCount(1);
});

test('a piece moved to another cloth, a strip kept, and a piece no cloth takes', async ({ page }) => {
  // Tall enough for a piece and the cloth it is dragged to.
  await page.setViewportSize({ width: 1280, height: 2600 });
  await loadDemo(page);
  await page.goto('/items/ticket-pouch/cut');
  const plan = page.getByRole('region', { name: 'Cutting plan' });
  await expect(plan).toHaveAttribute('aria-busy', 'false');
  await page.getByRole('button', { name: /^BACK 2/ }).click();
  await page.getByRole('button', { name: /^Cream, 1100/ }).click();
  await expect(page.getByText('BACK now comes from Cream.')).toBeVisible();
  const cream = page.getByRole('article', { name: /^Cream/ });
  await expect(cream.getByRole('button', { name: /^BACK 2/ })).toBeVisible();
  await cream
    .getByRole('button', { name: /^BACK 2/ })
    .dragTo(page.getByRole('listitem').filter({ hasText: 'Carriage red, 1100' }));
  await expect(page.getByText('BACK now comes from Carriage red.')).toBeVisible();
  await expect(cream.getByRole('button', { name: /^BACK 2/ })).toHaveCount(0);
  await cream.getByRole('button', { name: 'Keep strip 1 as it is' }).click();
  await expect(cream.getByRole('button', { name: 'Let strip 1 go' })).toHaveAttribute('aria-pressed', 'true');

  const lining = page.getByRole('listitem').filter({ hasText: 'LOWER LINING F' });
  await lining.getByText('LOWER LINING F').click();
  await lining.getByRole('button', { name: 'Cut it otherwise' }).click();
  await page.getByLabel('Cut, width').fill('1200 mm');
  await page.getByLabel('Cut, width').blur();
  await page.getByLabel('Cut, height').fill('900 mm');
  await page.getByLabel('Cut, height').blur();
  await page.getByRole('button', { name: 'Cut it like this' }).click();
  await expect(page.getByRole('alert')).toContainText('found no place');
  await expect(page.getByRole('alert')).toContainText('larger than any Cream there is');
  await page.getByRole('button', { name: 'Undo' }).last().click();
  await expect(page.getByRole('alert')).toHaveCount(0);
});

test('a stash from nothing, and a shopping list of what it lacks', async ({ page }) => {
  await page.goto('/stash');
  await expect(page.getByText('Nothing is in the stash yet.')).toBeVisible();
  await page.getByRole('button', { name: 'Cloth or stabiliser' }).click();
  await page.getByRole('button', { name: 'Put it in' }).click();
  await expect(page.getByRole('alert')).toContainText('The name: give it a name.');
  await page.getByRole('textbox', { name: 'Name' }).fill('Vinyl');
  await page.getByRole('combobox', { name: 'Kind' }).selectOption('vinyl');
  await page.getByRole('combobox', { name: 'As', exact: true }).selectOption('scrap');
  const width = page.getByRole('dialog').getByLabel('Width', { exact: true });
  await width.fill('30 cm');
  await width.blur();
  await page.getByLabel('Other side').fill('400 mm');
  await page.getByLabel('Other side').blur();
  await expectAccessible(page);
  await page.getByRole('button', { name: 'Put it in' }).click();
  await expect(page.getByRole('row', { name: /Vinyl, offcut/ })).toContainText('300 × 400 mm');

  await loadDemo(page);
  await page.goto('/stash');
  await page.getByLabel('Price of a roll').first().fill('12.5');
  await page.getByLabel('Price of a roll').first().blur();
  await page.getByRole('link', { name: 'Shopping list' }).click();
  await page.getByLabel('Buy for').selectOption('badger-tab');
  await page.getByLabel('How many Badger luggage tab').fill('12');
  await page.getByLabel('How many Badger luggage tab').blur();
  // Twelve tabs take twelve sockets and there are nine; the vinyl of the offcut is there, so none is bought.
  await expect(page.getByRole('row', { name: /Snap socket/ })).toContainText('3');
  await expect(page.getByRole('row', { name: /^Vinyl/ })).toHaveCount(0);
  await expectAccessible(page);
  const [csv] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('button', { name: 'CSV' }).click()
  ]);
  expect(csv.suggestedFilename()).toBe('shopping-list.csv');
  const [pdf] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('button', { name: 'PDF' }).click()
  ]);
  expect(pdf.suggestedFilename()).toBe('shopping-list.pdf');
});
