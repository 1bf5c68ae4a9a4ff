import { expect, expectAccessible, stitchIt, test } from './support/page';

test('a two-panel coaster with a turned edge and a name, from nothing: a place that is wrong is said, and it is stitched', async ({
  page
}) => {
  await page.goto('/items/new');
  await page.getByRole('button', { name: 'Pattern and sizes' }).click();
  await page.getByLabel('Name of the item').fill('Signal coaster');
  await page.getByRole('radio', { name: 'None of these: build it step by step' }).check();
  await page.getByRole('button', { name: 'Make the sheet' }).click();
  await expect(page).toHaveURL(/\/blocks$/);

  const add = async (after: string, block: string): Promise<void> => {
    await page.getByRole('button', { name: `Put a block in after ${after}` }).click();
    await page.getByRole('button', { name: new RegExp(`^${block}`) }).click();
    await expect(page.getByRole('heading', { name: new RegExp(`^${block}`), level: 2 })).toBeVisible();
  };
  await add('Front laid and tacked', 'Panel, joined and flipped');
  await add('Panel, joined and flipped', 'Name, from a file of its own');
  await page.getByLabel('Name or monogram').fill('Ada');
  await page.getByLabel('Name or monogram').blur();
  await expect(page.getByText('“Ada”', { exact: true })).toBeVisible();
  await add('Name, from a file of its own', 'Back, turned');
  await expectAccessible(page);

  // After the back the name has no place: said at its block, with what mends it.
  const blocks = page.getByRole('navigation', { name: 'The item, block by block' });
  await blocks.getByRole('button', { name: /^Name, from a file/ }).press('Alt+ArrowDown');
  await expect(blocks.getByText(/The back lies over everything.* Move it before the back\./)).toBeVisible();
  await expect(page.getByRole('status').filter({ hasText: 'to look at' })).toBeVisible();
  await page.keyboard.press('Control+z');
  await expect(blocks.getByText(/Move it before the back/)).toHaveCount(0);
  await blocks.getByRole('button', { name: /^Name, from a file/ }).press('Alt+ArrowDown');
  await expect(blocks.getByText(/Move it before the back/)).toBeVisible();
  await blocks.getByRole('button', { name: /^Name, from a file/ }).click();
  await page.getByRole('button', { name: 'Earlier' }).click();
  await expect(blocks.getByText(/Move it before the back/)).toHaveCount(0);

  // A larger one: the hoop that was chosen stays, that it no longer fits is said, and the one that does is offered.
  await blocks.getByRole('button', { name: /^Size and answers/ }).click();
  await page.getByLabel('The item, width').fill('120');
  await page.getByLabel('The item, width').blur();
  await expect(page.getByText(/finished 120 × 100 mm · small hoop/i)).toBeVisible();
  await expect(page.getByText(/reaches outside the stitch field of Small hoop/).first()).toBeVisible();

  // Kept as a pattern, it is offered for the next one.
  await page.getByRole('button', { name: 'Keep it as a pattern' }).click();
  await page.getByLabel('Name of the pattern').fill('Coaster with a name');
  await page.getByRole('button', { name: 'Keep the pattern' }).click();
  await expect(page.getByText(/is among the patterns for a new item/)).toBeVisible();

  await page.getByRole('link', { name: 'To the sheet' }).click();
  await expect(page.getByText(/Run “Ada”/).first()).toBeVisible();
  await page
    .getByRole('button', { name: /^Take Long hoop/ })
    .first()
    .click();
  await expect(page.getByText(/finished 120 × 100 mm · long hoop/i)).toBeVisible();
  await expect(page.getByText('to look at')).toHaveCount(0);
  await stitchIt(page);
  await expect(page.getByText(/step 1 of/)).toBeVisible();

  await page.goto('/guide');
  await page.getByRole('link', { name: 'Coaster with a name' }).last().click();
  await expect(page.getByRole('heading', { name: 'Coaster with a name' })).toBeVisible();
  await page.goto('/items/new');
  await page.getByRole('button', { name: 'Pattern and sizes' }).click();
  await page.getByRole('radio', { name: 'Coaster with a name' }).check();
  await page.getByLabel('Name of the item').fill('Second coaster');
  await page.getByLabel(/name or monogram/).fill('Ivy');
  await page.getByRole('button', { name: 'Make the sheet' }).click();
  await expect(page.getByText(/Run “Ivy”/).first()).toBeVisible();
});
