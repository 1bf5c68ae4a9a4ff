import { blocksOn, expect, loadDemo, pressBlock, stitchIt, test } from './support/page';

test('a block is taken out, stays out, and comes back by undo', async ({ page }) => {
  await loadDemo(page);
  await page.goto('/items/stove-topper/blocks');
  const blocks = blocksOn(page);
  await expect(blocks.first()).toBeVisible();
  const count = await blocks.count();
  await pressBlock(blocks.nth(count - 2));
  await page.getByRole('button', { name: 'Take it out' }).click();
  await expect(blocks).toHaveCount(count - 1);
  await page.getByRole('button', { name: /^Undo: .*taken out/ }).click();
  await expect(blocks).toHaveCount(count);
  await page.getByRole('button', { name: /^Redo: .*taken out/ }).click();
  await expect(blocks).toHaveCount(count - 1);
  await page.reload();
  await expect(blocks).toHaveCount(count - 1);
});

test('a name typed for one block is that block’s, though another is pressed at once', async ({ page }) => {
  await loadDemo(page);
  await page.goto('/items/stove-topper/blocks');
  const blocks = blocksOn(page);
  await expect(blocks.first()).toBeVisible();
  // A block of the table can be added anywhere; two of them are told apart by their names.
  const put = page.getByRole('button', { name: 'Put a block in after Details' });
  await put.click();
  await page.getByRole('button', { name: /^Name/ }).first().click();
  const called = page.getByLabel('What you call it');
  await expect(called).toBeVisible();
  await called.fill('First of all');
  await pressBlock(blocks.nth(0));
  await expect(blocks.filter({ hasText: 'First of all' })).toHaveCount(1);
  await expect(blocks.nth(0)).not.toContainText('First of all');
});

test('a night away from a stop is asked for, counted as it was, and can be mended or deleted in the log', async ({
  page
}) => {
  await page.clock.install();
  await loadDemo(page);
  await page.goto('/items/badger-tab');
  await stitchIt(page);
  await page.clock.runFor(20_000);
  await page.clock.fastForward('21:25:00');
  await expect(page.getByRole('dialog', { name: /21 h 25 went by\. What happened\?/ })).toBeVisible();
  await page.getByRole('button', { name: /^It was paused/ }).click();
  await expect(page.getByRole('dialog')).toHaveCount(0);
  await page.keyboard.press('Space');
  await expect(page.getByText('step 2 of')).toBeVisible();
  await page.getByRole('button', { name: /^More/ }).click();
  await page.getByRole('button', { name: 'Give this run up' }).click();
  await page.getByRole('button', { name: /^Yes: it ends here/ }).click();
  await expect(page).toHaveURL(/\/log\//);
  const time = page.getByRole('button', { name: /^Mend the time of step 1,/ });
  // Some twenty seconds were worked, and nothing of the night.
  await expect(time).toContainText(/^(?:1\d|2\d|3\d) s/);
  await time.click();
  await page.getByLabel(/^Time of step 1,/).fill('soon');
  await page.getByLabel(/^Time of step 1,/).blur();
  await expect(page.getByText('“soon” is no time. Try 12 min, 1 h 10 or 90 s.')).toBeVisible();
  await time.click();
  await page.getByLabel(/^Time of step 1,/).fill('2 min 30 s');
  await page.getByLabel(/^Time of step 1,/).blur();
  await expect(time).toContainText('2 min 30 s');
  await page.reload();
  await expect(time).toContainText('2 min 30 s');
  const path = new URL(page.url()).pathname;
  await page.getByRole('button', { name: 'Delete the run' }).click();
  await expect(page).toHaveURL(/\/log$/);
  await expect(page.locator(`a[href="${path}"]`)).toHaveCount(0);
  await page.getByRole('button', { name: 'Undo', exact: true }).click();
  await expect(page.getByText('The run is back in the log.')).toBeVisible();
  await page.goto(path);
  await expect(time).toContainText('2 min 30 s');
});

test('a caution is never cut by the buttons below it, in any step', async ({ page }) => {
  await loadDemo(page);
  await page.goto('/items/odd-pouch');
  await stitchIt(page);
  const steps = Number(/of (\d+)/.exec((await page.getByText(/step 1 of/).textContent()) ?? '')?.[1] ?? 0);
  expect(steps).toBeGreaterThan(30);
  for (let step = 1; step < Math.min(steps, 40); step++) {
    const now = page.locator('.now');
    await expect
      .poll(() => now.evaluate((box) => box.scrollHeight - box.clientHeight), { message: `step ${step}` })
      .toBeLessThanOrEqual(1);
    await page.keyboard.press('Space');
    await expect(page.getByText(`step ${step + 1} of`)).toBeVisible();
  }
});
