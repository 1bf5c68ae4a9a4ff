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
  await expect(rows.filter({ hasText: '1140 mm wide, 755 mm left' })).toHaveCount(1);
  await expect(rows.filter({ hasText: '730 × 145 mm' })).toHaveCount(1);
  await expectAccessible(page);

  await page.goto('/items/ticket-pouch/cut');
  await page.getByRole('button', { name: 'Undo the last cut' }).click();
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
  // The widest cloth that is sold is 1,100 mm wide.
  await page.getByLabel('Cut, height').fill('1150 mm');
  await page.getByLabel('Cut, height').blur();
  await page.getByRole('button', { name: 'Cut it like this' }).click();
  await expect(page.getByRole('alert')).toContainText('found no place');
  await expect(page.getByRole('alert')).toContainText('larger than any Cream there is');
  await page.keyboard.press('Control+z');
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

test('from an empty stash: all is to buy, what was bought goes in, and the plan uses it', async ({
  page
}) => {
  await page.goto('/items/new');
  await page.getByRole('button', { name: 'Start without a chart' }).click();
  await page.getByRole('radio', { name: /Turned flat item/ }).check();
  await page.getByLabel('Name of the item').fill('Bramble bib');
  await page.getByRole('button', { name: 'Make the sheet' }).click();
  await page.getByRole('link', { name: 'Cut', exact: true }).click();
  await expect(page.getByText('is empty, so all of it is to buy')).toBeVisible();
  const plan = page.getByRole('region', { name: 'Cutting plan' });
  await expect(plan).toHaveAttribute('aria-busy', 'false');
  const bought = page.getByRole('button', { name: 'Bought: put it in the stash' });
  const before = await bought.count();
  expect(before).toBeGreaterThan(2);
  await expectAccessible(page);
  await bought.first().click();
  await expect(bought).toHaveCount(before - 1);
  await expect(page.getByText('is empty, so all of it is to buy')).toHaveCount(0);
  // The rule of all backs, changed from one of them, and back.
  const back = page.getByRole('listitem').filter({ hasText: /BACK [A-Z]/ });
  const size = await back.locator('.whitespace-nowrap').innerText();
  await back.getByText(/BACK [A-Z]/).click();
  await back.getByRole('button', { name: 'Cut it otherwise' }).click();
  await page.getByLabel('Margin on each side').fill('45 mm');
  await page.getByLabel('Margin on each side').blur();
  await page.getByRole('button', { name: 'This margin for all backs' }).click();
  await expect(back.locator('.whitespace-nowrap')).not.toHaveText(size);
  await page.keyboard.press('Control+z');
  await expect(back.locator('.whitespace-nowrap')).toHaveText(size);
});

test('a stash goes out as a file and comes in again; a file of another kind changes nothing', async ({
  page
}) => {
  await loadDemo(page);
  await page.goto('/stash');
  const [file] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('button', { name: 'Save as file' }).click()
  ]);
  const rows = await page.getByRole('row', { name: /Take/ }).count();
  await page.getByRole('button', { name: 'Take Towelling out of the stash' }).click();
  await expect(page.getByRole('row', { name: /Take/ })).toHaveCount(rows - 1);
  await page.getByLabel('Stash to bring in').setInputFiles(await file.path());
  await expect(page.getByText('1 lines came in')).toBeVisible();
  await expect(page.getByRole('row', { name: /Take/ })).toHaveCount(rows);
  await page.getByLabel('Stash to bring in').setInputFiles({
    name: 'lamp.json',
    mimeType: 'application/json',
    buffer: Buffer.from('{"schema":"x"}')
  });
  await expect(page.getByText(/This is not a stash file/)).toBeVisible();
  await page.getByLabel('Look for').fill('wash-away');
  await expect(page.getByRole('row', { name: /Take/ })).toHaveCount(2);
});
