import { expect, loadDemo, test } from './support/page';

test.use({ serviceWorkers: 'allow' });

test('without the server every screen opens and computes; it can be installed', async ({ page, context }) => {
  await loadDemo(page);
  const manifest = await page.request.get('/manifest.webmanifest');
  expect(((await manifest.json()) as { icons: unknown[] }).icons).toHaveLength(2);
  await page.evaluate(async () => {
    const ready = await navigator.serviceWorker.ready;
    // All it keeps is in the browser once it is active.
    await new Promise<void>((done) => {
      const worker = ready.active;
      if (!worker || worker.state === 'activated') done();
      else worker.addEventListener('statechange', () => worker.state === 'activated' && done());
    });
  });
  await page.reload();
  await context.setOffline(true);

  await page.goto('/items/badger-tab');
  await expect(page.getByRole('heading', { name: 'Badger luggage tab' })).toBeVisible();
  await page.getByRole('button', { name: /Lay BACK/ }).click();
  await expect(page.getByRole('img', { name: /The layers apart/ })).toBeVisible();

  // A page that was not looked at before, and one that plans in a worker.
  await page.goto('/orders/gala-weekend?tab=day');
  await expect(page.getByText('the earliest possible end is')).toBeVisible();
  await page.goto('/guide/zip-pouch');
  await expect(page.getByRole('heading', { level: 1 })).toBeVisible();

  // An edit made without the server is there when it is back.
  await page.goto('/items/badger-tab/colours');
  await page.getByRole('button', { name: 'One more to try' }).click();
  await page
    .getByLabel(/^Cloth, .*any colour$/)
    .first()
    .fill('#336699');
  await page.getByRole('button', { name: 'Take these colours' }).click();
  await expect(page.getByText('The item has these colours now.')).toBeVisible();
  await context.setOffline(false);
  await page.goto('/items/badger-tab/colours');
  await expect(page.getByText('Colour #336699').first()).toBeVisible();
});
