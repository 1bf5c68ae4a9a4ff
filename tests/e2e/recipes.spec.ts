import { blocksOn, expect, loadDemo, pressBlock, test } from './support/page';

test('a block of a construction is changed, the item’s answers still reach the others, and both last', async ({
  page
}) => {
  await loadDemo(page);
  await page.goto('/items/badger-tab/blocks');
  await pressBlock(blocksOn(page).filter({ hasText: 'Cut edge' }));
  await page.getByLabel('The last line').selectOption({ label: 'Bean stitch' });
  await expect(blocksOn(page).filter({ hasText: 'Bean stitch' })).toHaveCount(1);
  await page.getByRole('button', { name: /^Size and answers/ }).click();
  await page.getByLabel('Front held with').selectOption({ label: 'Glue stick' });
  await page.getByLabel('Closes with').selectOption({ label: 'One eyelet and a ring' });
  await expect(blocksOn(page).filter({ hasText: 'Glue stick' })).toHaveCount(1);
  await expect(blocksOn(page).filter({ hasText: 'Eyelets' })).toHaveCount(1);
  await page.reload();
  await expect(blocksOn(page).filter({ hasText: 'Bean stitch' })).toHaveCount(1);
  await expect(blocksOn(page).filter({ hasText: 'Glue stick' })).toHaveCount(1);
  await expect(blocksOn(page).filter({ hasText: 'Eyelets' })).toHaveCount(1);
  await page.getByRole('link', { name: 'To the sheet' }).click();
  const steps = page.getByRole('region', { name: 'Steps' }).getByRole('listitem');
  await expect(steps.filter({ hasText: /eyelet/i })).not.toHaveCount(0);
  await expect(steps.filter({ hasText: 'Set the snap' })).toHaveCount(0);
});

test('a variant that closes otherwise has its own steps', async ({ page }) => {
  await loadDemo(page);
  await page.goto('/items/ticket-tab');
  await page.getByRole('button', { name: 'Add a variant' }).click();
  const dialog = page.getByRole('dialog');
  await dialog.getByLabel('Name of the variant').fill('With a snap');
  await dialog.getByLabel('Closes with').selectOption({ label: 'One snap, two holes' });
  await dialog.getByRole('button', { name: 'Add the variant' }).click();
  const steps = page.getByRole('region', { name: 'Steps' }).getByRole('listitem');
  await expect(steps.filter({ hasText: 'Set the snap' })).toHaveCount(1);
  await page.reload();
  await expect(steps.filter({ hasText: 'Set the snap' })).toHaveCount(1);
  await expect(steps.filter({ hasText: /eyelet/i })).toHaveCount(0);
});

test('a new block of each kind of work is put in, made, taken back and stays away', async ({ page }) => {
  await loadDemo(page);
  await page.goto('/items/stove-topper/blocks');
  await page.getByRole('button', { name: 'Put a block in after Details' }).click();
  await page.getByRole('button', { name: /^Appliqué pieces under one placement line/ }).click();
  await page.getByLabel('Trimmed').selectOption({ label: 'With the hoop off' });
  await page
    .getByLabel('Its edge', { exact: true })
    .selectOption({ label: 'Stitched later, or covered by what is' });
  await page
    .getByRole('button', { name: /^Put a block in after Appliqué pieces/ })
    .first()
    .click();
  await page.getByRole('button', { name: /^Edges of the pieces, all at once/ }).click();
  await expect(blocksOn(page).filter({ hasText: 'Edges of the pieces' })).toHaveCount(1);
  await expect(page.getByText('not on this sheet')).toHaveCount(0);
  await page.reload();
  await expect(blocksOn(page).filter({ hasText: 'Edges of the pieces' })).toHaveCount(1);
  await pressBlock(blocksOn(page).filter({ hasText: 'Appliqué pieces' }));
  await expect(page.getByLabel('Trimmed').locator('option:checked')).toHaveText('With the hoop off');
  await page
    .getByRole('button', { name: /^Put a block in after Edges of the pieces/ })
    .first()
    .click();
  await page.getByRole('button', { name: 'Appliqué piece', exact: true }).click();
  await expect(blocksOn(page).filter({ hasText: /Appliqué piece(?!s)/ })).toHaveCount(1);
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(blocksOn(page).filter({ hasText: /Appliqué piece(?!s)/ })).toHaveCount(0);
  await page.reload();
  await expect(blocksOn(page).filter({ hasText: 'Edges of the pieces' })).toHaveCount(1);
  await expect(blocksOn(page).filter({ hasText: /Appliqué piece(?!s)/ })).toHaveCount(0);
});

test('what was bought brings its own cloth, size and place, and what was said before stays', async ({
  page
}) => {
  await loadDemo(page);
  await page.goto('/items/new');
  await page.getByRole('button', { name: 'Start without a chart' }).click();
  await page.getByRole('radio', { name: /Plain embroidery/ }).check();
  await page.getByLabel('Name of the item').fill('Signal napkins');
  await page.getByLabel('The thing itself, height').fill('420 mm');
  await page.getByLabel('The thing itself, height').blur();
  await page.getByLabel('What it is').selectOption({ label: 'A napkin' });
  await expect(page.getByLabel('The thing itself, width')).toHaveValue('400 mm');
  await expect(page.getByLabel('The thing itself, height')).toHaveValue('420 mm');
  await expect(page.getByLabel('Made of, kind')).toHaveValue('woven');
  await page.getByRole('button', { name: 'Make the sheet' }).click();
  await expect(page.getByRole('heading', { name: 'Signal napkins' })).toBeVisible();
  await page.getByRole('link', { name: 'Build' }).click();
  await page.getByLabel('What it is').selectOption({ label: 'A pocket' });
  await expect(page.getByLabel('The thing itself, width')).toHaveValue('130 mm');
  await expect(page.getByLabel('The thing itself, height')).toHaveValue('420 mm');
  await page.getByRole('link', { name: 'To the sheet' }).click();
  const marking = page
    .getByRole('region', { name: 'Steps' })
    .getByRole('listitem')
    .filter({ hasText: 'Find and mark the middle' });
  await expect(marking).toContainText('In the middle of POCKET');
  await page.reload();
  await expect(marking).toContainText('In the middle of POCKET');
});
