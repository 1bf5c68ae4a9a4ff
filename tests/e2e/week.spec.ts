import { expect, expectAccessible, loadDemo, test } from './support/page';

test('two orders as one week: what can be promised, a day that is lost, what moved and why', async ({
  page
}) => {
  await loadDemo(page);
  // The demo’s order begins in a week to come; here it is late already, so that another order moves it.
  await page.goto('/orders/gala-weekend?tab=pieces');
  for (const [field, at] of [
    ['Work begins', '2026-11-27T09:00'],
    ['Due', '2026-11-28T18:00']
  ] as const) {
    const typed = page.getByLabel(field, { exact: true }).first();
    await typed.fill(at);
    await typed.press('Tab');
    await expect(typed).toHaveValue(at);
  }
  await page.goto('/week');
  const hands = page.getByRole('region', { name: 'For your hands' });
  await expect(hands.getByRole('listitem')).toHaveCount(6, { timeout: 60_000 });
  const promises = page.getByRole('region', { name: 'What can be promised' });
  await expect(promises.getByRole('link', { name: 'Gala weekend stall' })).toBeVisible();
  await expect(page.getByRole('region', { name: 'From the stash, in turn' })).toBeVisible();
  await expectAccessible(page);

  // Before there is an order: when could sixty more be promised beside it?
  await page.getByLabel('How many').fill('60');
  await page.getByLabel('Of which item').selectOption({ label: 'Badger luggage tab' });
  await page.getByRole('button', { name: 'When could I promise it?' }).click();
  const asked = page.locator('[data-asked]');
  await expect(asked).toContainText('nineteen in twenty', { timeout: 60_000 });
  await asked.getByRole('button', { name: 'Make it an order' }).click();
  await page.getByLabel('Name of the order').fill('Museum shop');
  await page.getByLabel('Name of the order').blur();
  await page.getByLabel('Beside other orders it goes').selectOption('first');
  await page.getByRole('link', { name: 'Orders', exact: true }).click();
  await page.getByRole('link', { name: 'The week' }).click();
  await expect(promises.getByRole('link', { name: 'Museum shop' })).toBeVisible({ timeout: 60_000 });
  // It goes before the other, which is told to end later, and why.
  const told = page.getByRole('region', { name: /What moved since/ });
  await expect(told).toContainText('Museum shop came in.', { timeout: 60_000 });
  await told.getByRole('button', { name: 'Seen' }).click();
  await expect(told).toBeHidden();

  // What would help it is tried with the whole week.
  await page.getByRole('button', { name: 'What would help Gala weekend stall?' }).click();
  const help = page.getByRole('region', { name: 'What would help Gala weekend stall' });
  await expect(help.getByText('Trying each with the whole week.')).toHaveCount(0, { timeout: 60_000 });
  await expect(help.getByText(/four times in five|Nothing tried brings it forward/).first()).toBeVisible();
  await help.getByRole('button', { name: 'Close' }).click();

  // The next working day is lost.
  await page.getByRole('button', { name: 'Hours, days off' }).click();
  const dialog = page.getByRole('dialog');
  const day = await page.evaluate(() => {
    const at = new Date();
    // After closing time the plan begins on the next day that is not a Sunday.
    do at.setDate(at.getDate() + 1);
    while (at.getDay() === 0);
    return at.toISOString().slice(0, 10);
  });
  const today = await page.evaluate(() => new Date().toISOString().slice(0, 10));
  for (const date of [today, day]) {
    await dialog.getByLabel('Day', { exact: true }).fill(date);
    await dialog.getByRole('button', { name: 'Day off' }).click();
    await expect(dialog.getByText(/closed/).first()).toBeVisible();
  }
  await expectAccessible(page);
  await dialog.getByRole('button', { name: 'Done' }).click();
  await expect(told).toContainText(`${day} is a day off.`, { timeout: 60_000 });
  await expect(told).toContainText('later');

  // Something made for its own sake is planned beside them.
  await page.getByLabel('Of which item').selectOption({ label: 'Ticket key fob' });
  await page.getByLabel('How many').fill('1');
  await page.getByLabel('How many').press('Tab');
  await page.getByRole('button', { name: 'Into the week' }).click();
  await expect(promises.getByRole('link', { name: 'Ticket key fob' })).toBeVisible({ timeout: 60_000 });

  // The bench shows what hands do next, of all of them, and leads there.
  await page.goto('/');
  const next = page.getByRole('region', { name: 'For your hands, this week' });
  await expect(next.getByRole('listitem')).toHaveCount(3);
  await next.getByRole('listitem').first().getByRole('link').click();
  await expect(page).toHaveURL(/\/orders\/|\/run\//);
});
