import { expect, expectAccessible, expectNoScrolling, loadDemo, stitchIt, test } from './support/page';

test('a whole item followed on the stand-in at high speed: a thread break, a bobbin run-out and a reload', async ({
  page,
  request
}) => {
  // Stand-ins outlive a page: one of an earlier try would be in the way.
  const stale =
    test.info().retry > 0 ? ((await (await request.get('/api/machine')).json()) as { id: string }[]) : [];
  for (const { id } of stale) await request.delete(`/api/machine/${id}`);
  await loadDemo(page);
  await page.goto('/machine');
  // Faults come often enough that one is met, and the seed makes them the same each time.
  await page.getByLabel('Faults in 10,000 stitches').fill('12');
  await page.getByLabel('Luck (seed)').fill('5');
  await page.getByLabel('Times as fast, 1 to 500').fill('200');
  await page.getByRole('button', { name: 'Set it up' }).click();
  await expect(page.getByText('Nothing loaded')).toBeVisible();
  await page.getByRole('button', { name: 'Start' }).click();
  await expect(page.getByText('Nothing is loaded.')).toBeVisible();
  await expectAccessible(page);

  await page.goto('/items/badger-tab');
  await page.getByRole('button', { name: 'Stitch it' }).click();
  await page.getByRole('button', { name: /The file is in the machine/ }).click();
  await expect(page.getByRole('button', { name: /The file is in the machine/ })).toHaveAttribute(
    'aria-pressed',
    'true'
  );
  await expectNoScrolling(page);
  await page.keyboard.press('k');
  await page.getByRole('button', { name: 'Follow a machine' }).click();
  await page.getByRole('button', { name: /Stand-in for left machine/ }).click();
  await expect(page.getByText(/Stand-in for left machine:/)).toBeVisible();
  await page.keyboard.press('Space');

  // Hands press the pedal; stops go by themselves, faults open their recovery.
  let [reloaded, halved] = [false, false];
  const counter = page.locator('header p').last();
  for (let turn = 0; turn < 400 && !page.url().includes('/log/'); turn++) {
    if (
      await page
        .getByText('1 Halt.')
        .or(page.getByRole('button', { name: /Sorted/ }))
        .first()
        .isVisible()
    ) {
      await page.keyboard.press('PageDown');
      await expect(page.getByRole('button', { name: /Sorted/ })).toBeHidden();
      continue;
    }
    const step = Number(/step (\d+) of/.exec((await counter.textContent().catch(() => '')) ?? '')?.[1]);
    const shown = await page.locator('body').innerText();
    const isStop = await page.getByText('hands needed in').isVisible();
    if (step === 4 && !halved) {
      // The front is being laid and the needle rests: a bobbin that lasts half-way into the face, the last of stops 2 to 5.
      halved = true;
      await page.evaluate(async () => {
        interface Loaded {
          id: string;
          state: { job: { stops: { number: number; bobbinMetres: number }[] } };
        }
        const [machine] = (await (await fetch('/api/machine')).json()) as Loaded[];
        if (!machine) throw new Error('No stand-in is set up.');
        const metres = machine.state.job.stops
          .filter(({ number }) => number >= 2 && number <= 5)
          .reduce((sum, { number, bobbinMetres }) => sum + bobbinMetres * (number === 3 ? 0.5 : 1), 0);
        await fetch(`/api/machine/${machine.id}/command`, {
          method: 'POST',
          headers: { 'content-type': 'application/json' },
          body: JSON.stringify({ do: 'bobbin', metres })
        });
      });
    }
    if (!isStop) await page.keyboard.press('PageDown');
    // What is said changes with the step, and with the clock in any case.
    await page.waitForFunction((before) => document.body.innerText !== before, shown);
    if (!reloaded && step >= 10) {
      reloaded = true;
      await page.reload();
      await expect(page.getByText(/step \d+ of 29/)).toBeVisible();
    }
  }
  await expect(page).toHaveURL(/\/log\//);
  expect(reloaded).toBe(true);
  await expect(page.getByText(/Bobbin is out in step 8, Face/)).toBeVisible();
  await expect(page.getByText(/Thread broke|Nest underneath/).first()).toBeVisible();
  // Timed by the machine: 1,500 stitches at 400 a minute, whatever the clock on the wall says.
  await expect(page.getByRole('row', { name: /Stop 3, Face/ })).toContainText(/[345] min \d+ s\s*$/);
});

test('a stop skipped and come back to, a hooping set aside, and another stop in the thread that is on', async ({
  page
}) => {
  await loadDemo(page);
  await page.goto('/items/stove-topper');
  await stitchIt(page);
  for (let step = 1; step < 6; step++) {
    await expect(page.getByText(`step ${step} of`)).toBeVisible();
    await page.keyboard.press('PageDown');
  }
  await expect(page.getByText('step 6 of')).toBeVisible();
  await page.keyboard.press('s');
  await expect(page.getByText(/step 7 of \d+ · 1 waiting/)).toBeVisible();
  await page.keyboard.press('k');
  await page.getByRole('listitem').filter({ hasText: 'Go there' }).first().getByRole('button').click();
  await expect(page.getByText('step 6 of')).toBeVisible();
  await expect(page.getByText('waiting', { exact: true })).toHaveCount(0);

  await page.keyboard.press('a');
  await page.getByLabel(/Stitch number/).fill('60');
  await page.getByRole('button', { name: 'Set it aside' }).click();
  await expect(page.getByRole('heading', { name: 'Getting back to it' })).toBeVisible();
  await expect(page.getByText(/forward to stitch 50/)).toBeVisible();
  await page.reload();
  await expect(page.getByRole('heading', { name: 'Getting back to it' })).toBeVisible();
  await expectAccessible(page);
  await page.keyboard.press('PageDown');
  await expect(page.getByRole('heading', { name: 'Getting back to it' })).toBeHidden();
  await expect(page.getByText('step 6 of')).toBeVisible();
  await page.keyboard.press('f');
  await page.getByRole('button', { name: /Wrong hoop/ }).click();
  await expect(page.getByText(/a needle that hits it breaks/)).toBeVisible();
  await page.setViewportSize({ width: 820, height: 1180 });
  await expectNoScrolling(page);
  await expectAccessible(page);
});
