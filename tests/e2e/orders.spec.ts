import { readFileSync } from 'node:fs';
import type { Page } from '@playwright/test';
import { expect, expectAccessible, loadDemo, test } from './support/page';

/** Waits until the plan of the order on the page stands still. */
async function planned(page: Page): Promise<void> {
  await expect(page.getByText(/the earliest possible end is|Everything is stitched/)).toBeVisible({
    timeout: 20_000
  });
  await expect(page.getByText('looking for a better plan')).toHaveCount(0, { timeout: 30_000 });
}

async function add(page: Page, item: string, pieces: number): Promise<void> {
  await page.getByLabel('Item of the shelf').selectOption({ label: item });
  await page.getByRole('button', { name: 'Add to the order' }).click();
  const line = page.getByRole('listitem').filter({ hasText: item }).last();
  const field = line.getByLabel('Pieces', { exact: true });
  await field.fill(String(pieces));
  await field.press('Tab');
  await expect(field).toHaveValue(String(pieces));
}

test('an empty browser is told what an order is for', async ({ page }) => {
  await page.goto('/orders');
  await expect(page.getByText('No orders yet.')).toBeVisible();
  await page.getByRole('button', { name: 'New order' }).click();
  await expect(page.getByRole('heading', { name: 'What is ordered' })).toBeVisible();
  await expect(page.getByText('Your shelf is empty.')).toBeVisible();
  await page.getByRole('tab', { name: 'Day' }).click();
  await expect(page.getByText('Choose what is ordered first')).toBeVisible();
  await expectAccessible(page);
});

test('three items due tomorrow evening: from a new order to the first finished hooping', async ({ page }) => {
  test.setTimeout(120_000);
  await loadDemo(page);
  await page.goto('/orders');
  await page.getByRole('button', { name: 'New order' }).click();
  await page.getByLabel('Name of the order').fill('Fern fair');
  await page.getByLabel('Name of the order').press('Tab');
  await page.getByLabel('Work begins').fill('2026-11-27T09:00');
  await page.getByLabel('Due').fill('2026-11-28T18:00');
  await page.getByLabel('Likely to be spoiled, %').fill('0');
  await page.getByLabel('Likely to be spoiled, %').press('Tab');
  await add(page, 'Badger luggage tab', 3);
  await add(page, 'Signal lamp patch', 4);
  await add(page, 'Ticket key fob', 2);
  await planned(page);
  await expect(page.getByRole('heading', { name: 'Fern fair' })).toBeVisible();
  await expect(page.getByText('9 pieces')).toBeVisible();

  const tabs = page.getByRole('listitem').filter({ hasText: 'Badger luggage tab' });
  await tabs.getByRole('button', { name: 'Names, hoop, machines' }).click();
  await page.getByLabel('Personal names, one a line').fill('Ivy\nOtto\nWren');
  await page.getByLabel('Personal names, one a line').press('Tab');
  await planned(page);

  await page.getByRole('tab', { name: 'Hoopings' }).click();
  await expect(page.getByRole('row').filter({ hasText: 'Large hoop' })).toBeVisible();
  await expect(page.getByText(/Recommended\. Least hands/).first()).toBeVisible();
  await expectAccessible(page);

  await page.getByRole('tab', { name: 'Day' }).click();
  await expect(page.getByRole('group', { name: /Friday 27 November: who does what when/ })).toBeVisible();
  await expect(page.getByText('Left machine').first()).toBeVisible();
  await expectAccessible(page);
  const list = page.getByRole('region', { name: 'In order' }).getByRole('listitem');
  const hoopings = await list.count();
  expect(hoopings).toBeGreaterThanOrEqual(3);

  await list.filter({ hasText: 'Badger luggage tab' }).first().getByRole('button').click();
  await page.getByRole('button', { name: /^Stitch this hooping/ }).click();
  await expect(page.getByRole('heading', { name: 'Before the start' })).toBeVisible();
  await expect(page.getByText(/Badger luggage tab.*Ivy/).first()).toBeVisible();
  await page.keyboard.press('Space');
  const steps = Number(/step 1 of (\d+)/.exec((await page.getByText(/step 1 of/).textContent()) ?? '')?.[1]);
  expect(steps).toBeGreaterThan(20);
  for (let step = 1; step < steps; step++) {
    await page.keyboard.press('Space');
    await expect(page.getByText(`step ${step + 1} of`)).toBeVisible();
  }
  await page.keyboard.press('Space');
  await expect(page.getByRole('heading', { name: 'That was the last step.' })).toBeVisible();
  await page.keyboard.press('Space');

  // Finished, the order is ticked down and what is left is planned anew.
  await expect(page).toHaveURL(/\/orders\/.*tab=day/);
  await planned(page);
  await expect(page.getByRole('region', { name: 'In order' }).getByRole('listitem')).not.toHaveCount(
    hoopings
  );
  await page.getByRole('tab', { name: 'Pieces' }).click();
  await expect(page.getByText(/\d of 3 stitched/)).toBeVisible();
});

test('the demo’s order: copies are moved with the keys, and a trace warns', async ({ page }) => {
  test.setTimeout(90_000);
  await loadDemo(page);
  await page.goto('/orders/gala-weekend?tab=hoopings');
  await planned(page);
  const first = page.getByRole('button', { name: /^Copy 1, Ivy/ });
  await first.focus();
  for (let times = 0; times < 3; times++) await first.press('Shift+ArrowRight');
  await expect(page.getByText(/Copies 1 and 2 lie (on each other|so close|closer)/)).toBeVisible();
  await page.getByRole('button', { name: 'Lay them out again' }).click();
  await expect(page.getByText(/Copies 1 and 2 lie/)).toHaveCount(0);
});

test('the demo’s order: what to prepare, what it costs, papers and tables', async ({ page }) => {
  test.setTimeout(90_000);
  await loadDemo(page);
  await page.goto('/orders/gala-weekend?tab=prepare');
  await planned(page);
  await expect(page.getByRole('listitem').filter({ hasText: 'FRONT' })).toContainText('13');
  await expect(page.getByText(/bobbins of Cream to wind/)).toBeVisible();
  const sheet = page.waitForEvent('download');
  await page.getByRole('button', { name: 'Job sheet (PDF)' }).click();
  expect((await sheet).suggestedFilename()).toBe('gala-weekend-stall-job-sheet.pdf');
  await expectAccessible(page);

  await page.getByRole('tab', { name: 'Quote' }).click();
  await expect(page.getByText('for the customer')).toBeVisible();
  const price = page.getByLabel('Quoted price of Signal lamp patch');
  await price.fill('20');
  await price.press('Tab');
  await expect(price).toHaveValue('20');
  await expectAccessible(page);
  const quote = page.waitForEvent('download');
  await page.getByRole('button', { name: 'Quote (PDF)' }).click();
  const saved = await (await quote).path();
  expect(readFileSync(saved).subarray(0, 5).toString()).toBe('%PDF-');

  await page.getByRole('tab', { name: 'Day' }).click();
  const calendar = page.waitForEvent('download');
  await page.getByRole('button', { name: 'Calendar (ICS)' }).click();
  expect(readFileSync(await (await calendar).path()).toString()).toContain('BEGIN:VCALENDAR');
});

test('an order file goes out and comes in, and a broken one changes nothing', async ({ page }) => {
  await loadDemo(page);
  await page.goto('/orders/gala-weekend?tab=pieces');
  const file = page.waitForEvent('download');
  await page.getByRole('button', { name: 'Order file' }).click();
  const path = await (await file).path();
  await page.goto('/orders');
  await page.getByLabel('Order file').setInputFiles(path);
  // It comes in beside the one that is there, under an id of its own.
  await page.waitForURL(/\/orders\/(?!gala-weekend)[^/]+$/);
  await expect(page.getByRole('heading', { name: 'Gala weekend stall', level: 1 })).toBeVisible();
  await page.goto('/orders');
  await expect(page.getByRole('link', { name: 'Gala weekend stall' })).toHaveCount(2);
  await page.getByLabel('Order file').setInputFiles({
    name: 'broken.json',
    mimeType: 'application/json',
    buffer: Buffer.from('{"schema":"jolt-step/order","version":1}')
  });
  await expect(page.getByRole('alert')).toContainText('Nothing was changed');
  await page.getByRole('button', { name: 'Put away Gala weekend stall' }).first().click();
  await expect(page.getByRole('link', { name: 'Gala weekend stall' })).toHaveCount(1);
  await page.getByRole('button', { name: 'Bring back' }).click();
  await expect(page.getByRole('link', { name: 'Gala weekend stall' })).toHaveCount(2);
});

test('two items share a hoop: one run leaves it on, the next goes on in it, and the first is finished', async ({
  page
}) => {
  test.setTimeout(120_000);
  await loadDemo(page);
  await page.goto('/orders');
  await page.getByRole('button', { name: 'New order' }).click();
  await page.getByLabel('Likely to be spoiled, %').fill('0');
  await page.getByLabel('Likely to be spoiled, %').press('Tab');
  // In the morning: what is left of today may be too short to be worth sharing.
  await page.getByLabel('Work begins').fill('2027-01-11T09:00');
  await page.getByLabel('Work begins').press('Tab');
  for (const item of ['Badger luggage tab', 'Ticket key fob']) {
    await add(page, item, 2);
    const line = page.getByRole('listitem').filter({ hasText: item });
    await line.getByRole('button', { name: 'Names, hoop, machines' }).click();
    await line.getByLabel('Machine').selectOption({ label: 'Left machine' });
  }
  await planned(page);
  await page.getByRole('tab', { name: 'Hoopings' }).click();
  await expect(page.getByText(/2 × Badger luggage tab and 2 × Ticket key fob share this hoop/)).toBeVisible();
  await expectAccessible(page);
  await page.getByRole('tab', { name: 'Day' }).click();
  const list = page.getByRole('region', { name: 'In order' }).getByRole('listitem');
  await expect(list).toHaveCount(2);
  await expect(list.last()).toContainText('in the same hoop');

  // Begun from its second item, the hoop begins with the first.
  await list.last().getByRole('button').click();
  await page.getByRole('button', { name: 'Stitch the hoop it shares' }).click();
  await expect(page.getByText('Badger luggage tab, 2 copies').first()).toBeVisible();
  await page.keyboard.press('Space');
  await untilHeading(page, /^Leave the hoop on: Ticket key fob/);
  await page.keyboard.press('Space');

  await expect(page.getByText('Ticket key fob, 2 copies').first()).toBeVisible();
  await page.keyboard.press('Space');
  await expect(page.getByText('step 1 of')).toBeVisible();
  await untilHeading(page, 'That was the last step.');
  await page.keyboard.press('Space');

  // The tabs came off with it and are finished now.
  await expect(page.getByRole('heading', { level: 1, name: 'Badger luggage tab, 2 copies' })).toBeVisible();
  await expect(page.getByText(/^step 2\d of/)).toBeVisible();
  // It was paused meanwhile.
  await expect(page.getByText('Paused', { exact: true })).toBeVisible();
  await page.keyboard.press('Space');
  await expect(page.getByText('Paused', { exact: true })).toHaveCount(0);
  await untilHeading(page, 'That was the last step.');
  await page.keyboard.press('Space');
  await expect(page).toHaveURL(/\/orders\/.*tab=day/);
  await expect(page.getByText('Everything is stitched')).toBeVisible({ timeout: 20_000 });
});

/** Presses the great key, step by step, until a heading stands there. */
async function untilHeading(page: Page, name: string | RegExp): Promise<void> {
  const wanted = page.getByRole('heading', { name });
  for (let step = 0; step < 60; step++) {
    const now = await page.getByRole('heading').last().textContent();
    if (await wanted.isVisible()) return;
    await page.keyboard.press('Space');
    await expect(page.getByRole('heading').last()).not.toHaveText(now ?? '');
  }
  await expect(wanted).toBeVisible();
}
