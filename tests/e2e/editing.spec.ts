import { expect, loadDemo, test } from './support/page';

/** The names of what lies on the sheet, in order. */
const sheet = (page: import('@playwright/test').Page): ReturnType<typeof page.getByRole> =>
  page.getByRole('region', { name: 'Steps' }).getByRole('listitem');

test('two tabs that change different things of one item both win, and an undo takes back only its own', async ({
  page,
  context
}) => {
  await loadDemo(page);
  await page.goto('/items/ticket-tab');
  await expect(sheet(page).first()).toBeVisible();
  const steps = await sheet(page).count();
  const other = await context.newPage();
  await other.goto('/items/ticket-tab');
  await expect(sheet(other)).toHaveCount(steps);

  // This tab takes a step off, the other one adds one: both are in the item, in both tabs, at once.
  await page.getByRole('button', { name: /Snip tails and jumps on both sides/ }).click();
  await page.getByRole('article').getByRole('button', { name: 'Remove' }).click();
  await expect(sheet(page)).toHaveCount(steps - 1);
  await expect(sheet(other)).toHaveCount(steps - 1);
  await other.getByRole('button', { name: 'Add a step here' }).click();
  await other.getByRole('dialog').getByRole('button', { name: 'Add the step' }).click();
  await expect(sheet(other)).toHaveCount(steps);
  await expect(sheet(page)).toHaveCount(steps);

  // The undo of this tab says what it takes back, and leaves what the other tab did.
  const undo = page.getByRole('main').getByRole('button', { name: /^Undo: a step · Ticket/ });
  await undo.click();
  await expect(sheet(page)).toHaveCount(steps + 1);
  await expect(page.getByText(/^Taken back: a step/)).toBeVisible();
  await page.keyboard.press('Control+y');
  await expect(sheet(page)).toHaveCount(steps);
});

test('one history on every screen: the shop, the stash and an order are taken back by the same keys', async ({
  page
}) => {
  await loadDemo(page);
  await page.goto('/shop');
  await page.getByLabel('Inches').check();
  await expect(page.getByLabel('Inches')).toBeChecked();
  await page.getByRole('heading', { name: 'Shop', level: 1 }).click();
  await page.keyboard.press('Control+z');
  await expect(page.getByLabel('Millimetres')).toBeChecked();
  await expect(page.getByText('Taken back: the unit.')).toBeVisible();

  await page.getByRole('link', { name: 'Stash' }).click();
  const line = page.getByRole('button', { name: /^Take .* out of the stash$/ }).first();
  await expect(line).toBeVisible();
  const lines = page.getByRole('button', { name: /^Take .* out of the stash$/ });
  const count = await lines.count();
  await line.click();
  await expect(lines).toHaveCount(count - 1);
  await page.getByRole('button', { name: /^Undo: taking out/ }).click();
  await expect(lines).toHaveCount(count);

  await page.goto('/orders/gala-weekend?tab=pieces');
  const pieces = page.getByRole('spinbutton', { name: 'Pieces', exact: true }).first();
  const before = await pieces.inputValue();
  await pieces.fill('31');
  await pieces.blur();
  await expect(page.getByText(/^3\d to stitch$/).first()).toBeVisible();
  await page.getByRole('button', { name: /^Undo: the pieces/ }).click();
  await expect(pieces).toHaveValue(before);
});

test('an item that cannot be read stays in the list with what is wrong, its file, and a way to put it away', async ({
  page
}) => {
  await loadDemo(page);
  // As a version of long ago might have stored it: a line a kilometre away.
  await page.evaluate(
    () =>
      new Promise<void>((done, fail) => {
        const open = indexedDB.open('jolt-step');
        open.onerror = () => fail(new Error('no database'));
        open.onsuccess = () => {
          const items = open.result.transaction('items', 'readwrite').objectStore('items');
          const get = items.get('ticket-tab');
          get.onsuccess = () => {
            const item = get.result as { id: string; name: string; updatedAt: string; lines: unknown[] };
            item.id = 'far-tab';
            item.name = 'Far tab';
            item.updatedAt = new Date().toISOString();
            item.lines = [
              {
                ...(item.lines[0] as object),
                path: {
                  closed: false,
                  points: [
                    [0, 0],
                    [1_000_000, 0]
                  ]
                }
              }
            ];
            items.put(item).onsuccess = () => done();
          };
        };
      })
  );
  await page.goto('/items');
  const card = page.getByRole('listitem').filter({ hasText: 'Far tab' });
  await expect(card.getByRole('alert')).toContainText('lies more than 2.5 m from the middle');
  // The others stand as ever.
  await expect(page.getByRole('link', { name: 'Signal lamp patch' })).toBeVisible();
  const file = page.waitForEvent('download');
  await card.getByRole('button', { name: 'Download its file' }).click();
  expect((await file).suggestedFilename()).toContain('far-tab');

  await page.getByRole('link', { name: 'Far tab' }).click();
  await expect(page.getByRole('heading', { name: 'Far tab' })).toBeVisible();
  await expect(page.getByRole('main').getByRole('alert')).toContainText('lines.0.path.points.1.0');
  await page.getByRole('button', { name: 'Put it away' }).click();
  await expect(page.getByRole('link', { name: 'Far tab' })).toHaveCount(0);
  await expect(page.getByRole('link', { name: 'Signal lamp patch' })).toBeVisible();
  await page.goto('/');
  await expect(page.getByRole('link', { name: /Badger luggage tab/ })).toBeVisible();
});
