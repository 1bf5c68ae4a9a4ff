import { expect, expectAccessible, loadDemo, test } from './support/page';

test('a topper stitched in an order that saves a change, with its bobbins on the sheet', async ({ page }) => {
  await loadDemo(page);
  await page.goto('/items/stove-topper/thread');
  await expect(page.getByText('As the sheet stands: 3 threads put on, no jumps in the file.')).toBeVisible();
  await expect(page.getByText('In another order: 2 threads put on, no jumps in the file.')).toBeVisible();
  await expectAccessible(page);

  // What is on at a step, and what may be stitched with it.
  await page.getByRole('slider', { name: 'As the sheet stands' }).focus();
  await page.keyboard.press('Home');
  for (let step = 0; step < 6; step++) await page.keyboard.press('ArrowRight');
  await expect(page.getByText(/With Navy on after step 7, you may stitch now/)).toBeVisible();

  await page.getByRole('button', { name: 'Stitch it in this order' }).click();
  await expect(
    page.getByText('2 threads put on, no jumps in the file: no order saves any of it.')
  ).toBeVisible();
  await page.getByRole('button', { name: 'Undo', exact: true }).click();
  await expect(page.getByText('As the sheet stands: 3 threads put on, no jumps in the file.')).toBeVisible();
  await page.getByRole('checkbox', { name: 'Stops nobody will see take the thread that is on' }).uncheck();
  await expect(
    page.getByText('3 threads put on, no jumps in the file: no order saves any of it.')
  ).toBeVisible();

  // A bobbin that is nearly empty comes off before the edge.
  await page.getByRole('tab', { name: 'Bobbins' }).click();
  await page.getByLabel('Wound with').selectOption({ label: 'Navy' });
  await page.getByLabel('With so much left, m').fill('13');
  await page.getByLabel('With so much left, m').blur();
  await expect(page.getByText(/Before stop 6/)).toBeVisible();
  await page.getByRole('button', { name: 'Put these into the sheet' }).click();
  await page.getByRole('link', { name: 'Sheet' }).click();
  await expect(page.getByRole('button', { name: /Change the bobbin: Navy/ })).toBeVisible();
});

test('needles of a six-needle machine: what is threaded, which halts to program, on paper too', async ({
  page
}) => {
  await loadDemo(page);
  await page.goto('/items/signal-mat/thread');
  await page.getByRole('tab', { name: 'Needles' }).click();
  await expect(page.getByText(/halts to program/)).toBeVisible();
  await page.getByRole('button', { name: 'They are threaded so' }).click();
  await expect(page.getByText(': on already').first()).toBeVisible();
  const [file] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('button', { name: 'Run sheet as PDF' }).click()
  ]);
  expect(file.suggestedFilename()).toMatch(/run-sheet\.pdf$/);
  await page.getByRole('button', { name: 'Needle 1: a new one is in' }).click();

  await page.getByRole('tab', { name: 'Threads' }).click();
  await page
    .getByLabel(/Your spool for/)
    .first()
    .selectOption({ index: 1 });
  await expect(page.getByRole('option', { name: /: chosen/ }).first()).toBeAttached();
});
