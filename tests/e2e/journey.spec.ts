import { cutPiece, expect, expectAccessible, expectNoScrolling, test, stitchIt } from './support/page';

const CHART = `Badger tab
1 placement grey 120 0.60 m
2 tack-down black 120 0.60 m
3 face white 1,500 8.10 m
4 cheeks pink sixty 0.32 m
5 eyes black 900 4.86 m
6 outline white 420 2.10 m`;

test('from an empty database: chart, match, sheet, cut list, a run with a reload in the middle, log', async ({
  page
}) => {
  await page.goto('/');
  await expect(page.getByRole('heading', { name: 'Start with a chart' })).toBeVisible();
  await expectAccessible(page);

  // The workroom: one needle at 400 spm without a trimmer, as in the worked example.
  await page.getByRole('link', { name: 'Shop' }).click();
  await page.getByLabel('Speed you set, spm').fill('400');
  await page.getByLabel('Speed you set, spm').blur();
  await page.getByLabel('Trims by itself').uncheck();
  await expectAccessible(page);

  // The chart: one line is its title, one has a count that cannot be read and is mended in place.
  await page.goto('/items/new');
  await page.getByLabel('Paste the colour chart').fill(CHART);
  const unread = page.getByRole('list', { name: 'Lines not understood' });
  await expect(unread.getByRole('listitem')).toHaveCount(1);
  await page.getByRole('button', { name: '1 more line was not taken for a stop' }).click();
  await unread.getByRole('button', { name: 'No stop' }).first().click();
  await unread.getByLabel('Line 5', { exact: true }).fill('4 cheeks pink 60 0.32 m');
  await unread.getByLabel('Line 5', { exact: true }).press('Enter');
  await expect(page.getByText('6 stops, 3,120 stitches')).toBeVisible();
  await expect(page.getByLabel('What stop 2 does')).toHaveValue('tack-down');
  await expectAccessible(page);
  await page.getByRole('button', { name: 'Go on with 6 stops' }).click();

  // The pattern: sizes typed in any unit.
  await page.getByLabel('Name of the item').fill('Badger luggage tab');
  await page.getByLabel('Stitched outline, width').fill('wide');
  await page.getByLabel('Stitched outline, width').blur();
  await expect(page.getByText('“wide” is not a length.')).toBeVisible();
  await page.getByLabel('Stitched outline, width').fill('3 cm');
  await page.getByLabel('Stitched outline, height').fill('94mm');
  await page.getByLabel('Stitched outline, height').blur();
  await expect(page.getByText('36 × 100 mm')).toBeVisible();
  await expectAccessible(page);
  await page.getByRole('button', { name: 'Match the chart' }).click();

  // The match: proposed, one changed by hand and let go again.
  await expect(page.getByRole('button', { name: /Row 6 is: Outline \+ Hole marks/ })).toBeVisible();
  await page.getByRole('button', { name: /Row 2 is: Tack-down/ }).click();
  await page.getByRole('menuitem', { name: 'Extra stop, not in the pattern' }).click();
  await expect(page.getByText('Your chart has no row for the tack-down.')).toBeVisible();
  await page.getByRole('button', { name: /Row 2 is: Extra stop/ }).click();
  await page.getByRole('menuitem', { name: 'Let it find its place' }).click();
  await expect(page.getByRole('button', { name: /Row 2 is: Tack-down/ })).toBeVisible();
  await expectAccessible(page);
  await page.getByRole('button', { name: 'Make the sheet' }).click();

  // The sheet.
  await expect(page.getByRole('heading', { name: 'Badger luggage tab' })).toBeVisible();
  const steps = page.getByRole('region', { name: 'Steps' }).getByRole('listitem');
  // A charted colour that will be seen is kept, and where it shares a line with another the sheet asks.
  await expect(steps).toHaveCount(32);
  await page.getByRole('button', { name: 'Use white', exact: true }).click();
  await expect(steps).toHaveCount(30);
  await expect(steps.nth(6)).toContainText('charted black, use white');
  await expect(page.locator('dl').first()).toHaveText(/hands\s*18 min\s*needle\s*8 min\s*waiting\s*0/);
  await expectAccessible(page);
  const ribbon = page.getByRole('slider');
  await ribbon.focus();
  // The finding led to its stop.
  await page.keyboard.press('Home');
  for (let press = 0; press < 5; press++) await page.keyboard.press('ArrowRight');
  await expect(page.getByRole('heading', { name: 'Lay FRONT, right side to you' })).toBeVisible();
  await expect(ribbon).toHaveAttribute('aria-valuetext', /step 6 of 30: Lay FRONT/);

  // The cut list.
  await page.getByRole('link', { name: 'Cut', exact: true }).click();
  await expect(cutPiece(page, 'FRONT')).toContainText('55 × 120 mm');
  await expect(cutPiece(page, 'BACK')).toContainText('70 × 135 mm');
  await page.getByLabel(/^How many/).fill('6');
  await page.getByLabel(/^How many/).blur();
  await expect(cutPiece(page, 'FRONT')).toContainText('6');
  await expectAccessible(page);

  // At the machine.
  await page.getByRole('link', { name: 'Sheet', exact: true }).click();
  await stitchIt(page);
  await expect(page.getByText('step 1 of 30')).toBeVisible();
  await expectAccessible(page);
  await expectNoScrolling(page);
  for (let step = 2; step <= 8; step++) {
    await page.keyboard.press(step % 2 === 0 ? 'Space' : 'PageDown');
    await expect(page.getByText(`step ${step} of 30`)).toBeVisible();
  }
  await expect(page.getByRole('heading', { name: 'Stop 3: Face' })).toBeVisible();
  await page.keyboard.press('b');
  await page.getByLabel(/Stitch number/).fill('742');
  await expectAccessible(page);
  await page.getByRole('button', { name: 'Sorted, go on' }).click();
  await expect(page.getByText('1 noted')).toBeVisible();

  // The tab is closed and opened again: same step, same clock.
  await page.keyboard.press('p');
  await expect(page.getByText('Paused', { exact: true })).toBeVisible();
  const clock = await page.locator('.facts .big').first().textContent();
  await page.reload();
  await expect(page.getByRole('heading', { name: 'Stop 3: Face' })).toBeVisible();
  await expect(page.getByText('Paused', { exact: true })).toBeVisible();
  await expect(page.locator('.facts .big').first()).toHaveText(clock ?? '');
  await page.getByRole('button', { name: 'Leave it here' }).click();
  await page.getByRole('button', { name: 'Go on' }).click();
  // The run screen must be back before its keys can be pressed.
  await expect(page.getByText('Paused', { exact: true })).toBeVisible();
  await page.keyboard.press('Space');
  await expect(page.getByText('Paused', { exact: true })).toHaveCount(0);
  await page.keyboard.press('PageUp');
  await expect(page.getByText('step 7 of 30')).toBeVisible();
  for (let step = 8; step <= 30; step++) {
    await page.keyboard.press('Space');
    await expect(page.getByText(`step ${step} of 30`)).toBeVisible();
  }
  await page.keyboard.press('Space');
  await expect(page.getByRole('heading', { name: 'That was the last step.' })).toBeVisible();
  await page.keyboard.press('Space');

  // The log.
  await expect(page).toHaveURL(/\/log\//);
  await expect(page.getByText('in step 8, Face, at stitch 742')).toBeVisible();
  await expect(page.getByRole('img', { name: 'Actual' })).toBeVisible();
  await expect(page.getByRole('row', { name: /Stop 3, Face/ })).toContainText('3 min 49 s');
  await expectAccessible(page);
  await page.getByRole('link', { name: 'Log' }).click();
  await expect(page.getByRole('link', { name: /Badger luggage tab/ })).toBeVisible();
  await expectAccessible(page);
});

test('two tabs on one run follow each other', async ({ page, context }) => {
  await page.goto('/items/new');
  await page.getByRole('button', { name: 'Start without a chart' }).click();
  await page.getByLabel('Name of the item').fill('Fern fob');
  await page.getByRole('button', { name: 'Make the sheet' }).click();
  await stitchIt(page);
  await expect(page.getByText('step 1 of')).toBeVisible();
  const second = await context.newPage();
  await second.goto(page.url());
  await expect(second.getByText('step 1 of')).toBeVisible();
  await page.keyboard.press('Space');
  await expect(page.getByText('step 2 of')).toBeVisible();
  await expect(second.getByText('step 2 of')).toBeVisible();
  await second.keyboard.press('Space');
  await expect(page.getByText('step 3 of')).toBeVisible();
});
