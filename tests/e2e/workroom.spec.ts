import type { Page } from '@playwright/test';
import {
  cutPiece,
  expect,
  expectAccessible,
  expectNoScrolling,
  loadDemo,
  test,
  stitchIt
} from './support/page';

const steps = (page: Page): ReturnType<Page['getByRole']> =>
  page.getByRole('region', { name: 'Steps' }).getByRole('listitem');

test('a workroom in inches: every size on every page follows, and typing takes what is typed', async ({
  page
}) => {
  await loadDemo(page);
  await page.goto('/items/badger-tab/cut');
  await expect(cutPiece(page, 'FRONT')).toContainText('55 × 120 mm');
  await page.getByRole('link', { name: 'Shop' }).click();
  await page.getByLabel('Inches').check();
  await page.getByLabel('¼ in').check();
  await expect(page.getByLabel('Field, width').first()).toHaveValue('3 15⁄16 in');
  // The shelf reads what the shop has stored, so it is stored when the shelf is there.
  await page.getByRole('link', { name: 'Shelf' }).first().click();
  await expect(page.getByRole('link', { name: 'Badger luggage tab' }).first()).toBeVisible();
  await page.goto('/items/badger-tab/cut');
  await expect(cutPiece(page, 'FRONT')).toContainText('2 ¼ × 4 ¾ in');
  await expect(cutPiece(page, 'BACK')).toContainText('3 × 5 ½ in');
  await page.goto('/items/badger-tab');
  await page.getByRole('button', { name: /Lay BACK/ }).click();
  await expect(page.getByRole('article').getByText('Cover the outline by 13⁄16 in all round.')).toBeVisible();

  await page.goto('/items/new');
  await page.getByRole('button', { name: 'Start without a chart' }).click();
  await page.getByLabel('Stitched outline, height').fill('3 1/2');
  await page.getByLabel('Stitched outline, height').blur();
  await expect(page.getByLabel('Stitched outline, height')).toHaveValue('3 ½ in');
  await page.getByLabel('Stitched outline, height').fill('10 cm');
  await page.getByLabel('Stitched outline, height').blur();
  await expect(page.getByLabel('Stitched outline, height')).toHaveValue('3 15⁄16 in');
});

test('the shop: a machine and a hoop come, change and go; a wrong figure is refused and nothing is lost', async ({
  page
}) => {
  await page.goto('/shop');
  await page.getByRole('button', { name: 'Add a machine' }).click();
  await expect(page.getByLabel('Needles')).toHaveCount(2);
  await page.getByLabel('Needles').nth(1).fill('6');
  await page.getByLabel('Needles').nth(1).blur();
  await page.getByLabel('Speed you set, spm').nth(1).fill('9000');
  await page.getByLabel('Speed you set, spm').nth(1).blur();
  await expect(page.getByRole('alert')).toContainText('The speed you set is not kept');
  await page.reload();
  await expect(page.getByLabel('Needles').nth(1)).toHaveValue('6');
  await expect(page.getByLabel('Speed you set, spm').nth(1)).toHaveValue('600');
  const positions = page.getByLabel('Mounting positions').first();
  await positions.fill('9');
  await positions.blur();
  await expect(page.getByRole('alert')).toContainText('The number of mounting positions is not kept');
  await positions.fill('2');
  await positions.blur();
  await expect(page.getByRole('alert')).toBeHidden();
  await page.getByRole('button', { name: 'Remove New machine' }).click();
  await expect(page.getByLabel('Needles')).toHaveCount(1);
  await page.getByRole('button', { name: 'Undo', exact: true }).click();
  await expect(page.getByLabel('Needles')).toHaveCount(2);
  await page.getByLabel('Lay a piece').fill('44');
  await page.getByLabel('Lay a piece').blur();
  // A time of the maker's own stands bold once it is stored.
  await expect(page.getByLabel('Lay a piece')).toHaveClass(/font-bold/);
  await page.reload();
  await expect(page.getByLabel('Lay a piece')).toHaveValue('44');
  await expect(positions).toHaveValue('2');
  await page.getByRole('button', { name: 'Back to the usual times' }).click();
  await expect(page.getByLabel('Lay a piece')).toHaveValue('30');
});

test('an iron-on patch without a chart, on another machine and hoop', async ({ page }) => {
  await loadDemo(page);
  await page.goto('/items/new');
  await page.getByRole('button', { name: 'Start without a chart' }).click();
  await page.getByRole('radio', { name: /Patch, one hooping/ }).check();
  await page.getByLabel('Name of the item').fill('Fern patch');
  await page.getByLabel('Goes on').selectOption('iron-on');
  await page.getByLabel('Ground cloth, kind').selectOption('canvas');
  await page.getByLabel('Its size, width').fill('120 mm');
  await page.getByLabel('Its size, width').blur();
  // The hoop follows the size until the maker chooses one.
  await expect(page.getByLabel('Hoop', { exact: true })).toHaveValue('hoop-130');
  await page.getByLabel('Hoop', { exact: true }).selectOption('hoop-100');
  await expect(page.getByText('The outline does not fit this hoop’s field.')).toBeVisible();
  await page.getByLabel('Its size, height').fill('4 mm');
  await page.getByLabel('Its size, height').blur();
  await expect(page.getByText(/: From 15 mm to/)).toBeVisible();
  await page.getByLabel('Its size, height').fill('90 mm');
  await page.getByLabel('Its size, height').blur();
  await page.getByRole('button', { name: 'Make the sheet' }).click();

  await expect(page.getByText('outside the stitch field of Small hoop').first()).toBeVisible();
  await page.getByLabel('Hoop', { exact: true }).selectOption('hoop-200');
  await page.getByLabel('Machine').selectOption('right');
  await expect(page.getByText('outside the stitch field')).toHaveCount(0);
  await expect(steps(page).filter({ hasText: /Thread (Ink|Lamp)/ })).toHaveCount(0);
  await expect(steps(page).filter({ hasText: 'count estimated' })).toHaveCount(2);
  await expect(page.getByText(/Nobody has charted these 2 stops: about [\d,]+ stitches/)).toBeVisible();
  const texts = await steps(page).allInnerTexts();
  const at = (words: string): number => texts.findIndex((text) => text.includes(words));
  expect(at('Iron ADHESIVE to the back')).toBeGreaterThan(at('Cut roughly'));
  expect(at('Let the edge dry')).toBeGreaterThan(at('Seal the edge'));
  expect(at('Cut out')).toBeGreaterThan(at('Let the edge dry'));
  await expectAccessible(page);
});

test('a chart that lacks a stop: the sheet warns, shows where, and the hand steps stay', async ({ page }) => {
  await page.goto('/items/new');
  await page
    .getByLabel('Paste the colour chart')
    .fill('1 placement grey 120\n2 face white 900\n3 sparkle frame gold 80\n4 outline white 420');
  await page.getByRole('button', { name: 'Go on with 4 stops' }).click();
  await page.getByLabel('Name of the item').fill('Short tab');
  await page.getByRole('button', { name: 'Match the chart' }).click();
  // One row for two stops with a hand step between: the machine goes back to it.
  await page.getByRole('button', { name: /Row 1 is: Placement line/ }).click();
  await page.getByRole('menuitemcheckbox', { name: 'Tack-down', exact: true }).click();
  await page.keyboard.press('Escape');
  await expect(page.getByRole('button', { name: /Row 1 is: Placement line \+ Tack-down/ })).toBeVisible();
  await page.getByRole('button', { name: /Row 1 is/ }).click();
  await page.getByRole('menuitemcheckbox', { name: 'Tack-down', exact: true }).click();
  await page.keyboard.press('Escape');
  await page.getByRole('button', { name: 'Make the sheet' }).click();

  const looks = page.getByRole('list', { name: 'To look at' });
  await expect(looks).toContainText('Your chart has no row for the tack-down.');
  const noRow = looks.getByRole('listitem').filter({ hasText: 'has no row' });
  await noRow.getByRole('button', { name: 'Show it' }).click();
  await expect(page.getByRole('heading', { name: 'Stop without a number: Tack-down' })).toBeVisible();
  await expect(steps(page).filter({ hasText: 'Lay FRONT' })).toHaveCount(1);
  await page.goto('/items');
  await expect(page.getByText('2 to look at')).toBeVisible();
});

test('at the machine: faults, a mark, a note, a stop run again, and a run given up', async ({ page }) => {
  await loadDemo(page);
  await page.goto('/items/badger-tab');
  await stitchIt(page);
  const go = async (to: number): Promise<void> => {
    await expect(page.getByText(`step ${to - 1} of 29`)).toBeVisible();
    await page.keyboard.press('Space');
    await expect(page.getByText(`step ${to} of 29`)).toBeVisible();
  };
  await expect(page.getByRole('button', { name: /Run again/ })).toBeDisabled();
  for (let step = 2; step <= 8; step++) await go(step);
  await expect(page.getByText('hands needed in')).toBeVisible();

  await page.keyboard.press('o');
  await expect(page.getByText(/Leave the work in the hoop/)).toBeVisible();
  await page.getByLabel(/Stitch number/).fill('many');
  await expect(page.getByText('A stitch number is a whole number.')).toBeVisible();
  await expect(page.getByRole('button', { name: 'Sorted, go on' })).toBeDisabled();
  await page.getByLabel(/Stitch number/).fill('');
  await page.getByRole('button', { name: 'Sorted, go on' }).click();
  await expect(page.getByText('hands needed in')).toBeVisible();
  await page.keyboard.press('m');
  await page.getByLabel(/Stitch number/).fill('1204');
  await page.getByRole('button', { name: 'Keep it' }).click();
  await expect(page.getByText('2 noted')).toBeVisible();

  // The space bar while a question is open writes a blank, it does not finish the step.
  await page.keyboard.press('n');
  await page.getByLabel('What happened').pressSequentially('tension low');
  await page.getByRole('button', { name: 'Keep it' }).click();
  await expect(page.getByText('3 noted')).toBeVisible();
  await expect(page.getByText('step 8 of 29')).toBeVisible();

  await go(9);
  await page.keyboard.press('r');
  await expect(page.getByText('step 8 of 29')).toBeVisible();
  await page.setViewportSize({ width: 820, height: 1180 });
  await expectNoScrolling(page);

  await page.keyboard.press('k');
  await page.getByRole('button', { name: 'Give this run up' }).click();
  await page.getByRole('button', { name: /^Yes: it ends here/ }).click();
  await expect(page).toHaveURL(/\/log\//);
  await expect(page.getByText('Bobbin is out in step 8, Face')).toBeVisible();
  await expect(page.getByText('Marked in step 8, Face, at stitch 1,204')).toBeVisible();
  await expect(page.getByText('Note in step 8, Face: tension low')).toBeVisible();
  await expect(page.getByText('Run again in step 8, Face')).toBeVisible();
  await expect(page.getByRole('row', { name: /Cut out/ })).toContainText('not reached');
});

test('what is on the machine stands on the bench, and goes on from there', async ({ page }) => {
  await loadDemo(page);
  await page.goto('/items/lamp-patch');
  await stitchIt(page);
  await expect(page.getByText('step 1 of 18')).toBeVisible();
  await page.keyboard.press('Space');
  await expect(page.getByText('step 2 of 18')).toBeVisible();
  await page.getByRole('button', { name: 'Leave it here' }).click();
  // Hand work does not go on by itself: it is paused or set aside.
  await expect(page.getByRole('button', { name: /The machine runs on/ })).toHaveCount(0);
  await page.getByRole('button', { name: /It is paused/ }).click();
  await expect(page.getByText('step 2 of 18: Hoop STABILISER and GROUND')).toBeVisible();
  await expectAccessible(page);
  await page.getByRole('button', { name: 'Go on' }).click();
  await expect(page.getByRole('heading', { name: 'Hoop STABILISER and GROUND' })).toBeVisible();
});

test('by keyboard alone: a chart becomes a sheet', async ({ page }) => {
  await page.goto('/items/new');
  await page.getByLabel('Paste the colour chart').focus();
  await page.keyboard.insertText('1 placement grey 120\n2 tack-down black 120\n3 outline white 420');
  await expect(page.getByRole('button', { name: 'Go on with 3 stops' })).toBeVisible();
  // Three lines may be of this or that: both that come nearest are reached, then what goes on without choosing.
  const which = page.getByRole('group', { name: 'What is this the chart of?' }).getByRole('button');
  await expect(which).toHaveCount(2);
  for (const button of [
    which.nth(0),
    which.nth(1),
    page.getByRole('button', { name: 'Go on with 3 stops' })
  ]) {
    await page.keyboard.press('Tab');
    await expect(button).toBeFocused();
  }
  await page.keyboard.press('Enter');
  await page.getByRole('radio', { name: 'Snap tab' }).focus();
  await page.keyboard.press('Space');
  await page.getByLabel('Name of the item').focus();
  await page.keyboard.insertText('Plain tab');
  await page.keyboard.press('Enter');
  await expect(page.getByRole('button', { name: /Row 3 is: Outline \+ Hole marks/ })).toBeVisible();
  await page.getByRole('button', { name: 'Make the sheet' }).focus();
  await page.keyboard.press('Enter');
  await expect(page.getByRole('heading', { name: 'Plain tab' })).toBeVisible();
  await page.getByRole('slider').focus();
  await page.keyboard.press('End');
  await expect(page.getByRole('heading', { name: 'Set the snap' })).toBeVisible();
  await page.keyboard.press('Home');
  await expect(page.getByRole('heading', { name: 'Set up the job' })).toBeVisible();
});

test('the theme that was chosen stays', async ({ page }) => {
  await page.goto('/');
  await page.getByRole('button', { name: 'Night colours' }).click();
  await page.reload();
  await expect(page.locator('html')).toHaveAttribute('data-theme', 'night');
  await page.getByRole('button', { name: 'Day colours' }).click();
  await expect(page.locator('html')).toHaveAttribute('data-theme', 'day');
});

test('the sheet finds a mistake before the needle does, mends it with one press, and takes “meant so”', async ({
  page
}) => {
  await loadDemo(page);
  await page.goto('/items/badger-tab');
  const looks = page.getByRole('list', { name: 'To look at' });
  await page.getByRole('button', { name: /Tack-down/ }).click();
  await expect(
    page.getByRole('img', { name: /The layers apart, nearest to you first: FRONT, right side to you/ })
  ).toBeVisible();
  await expect(looks).toHaveCount(0);

  await page.getByRole('button', { name: 'Change', exact: true }).click();
  await page.getByRole('dialog').getByLabel('Thread used').selectOption({ label: 'Black' });
  await page.getByRole('button', { name: 'Keep the change' }).click();
  await expect(looks).toContainText('Stops 2 and 6 are seen on one line, in black and white.');
  await expectAccessible(page);
  await looks.getByRole('button', { name: 'Use white' }).click();
  await expect(looks).toHaveCount(0);
  await page.keyboard.press('Control+z');
  await expect(looks).toHaveCount(1);

  await looks.getByRole('button', { name: 'This is intended' }).click();
  await looks.getByLabel('Why it is intended').fill('a dark edge suits the badger');
  await page.keyboard.press('Enter');
  await expect(looks).toContainText('Intended: Stops 2 and 6');
  await expect(page.locator('[aria-busy="true"]')).toHaveCount(0);
  await page.reload();
  await expect(looks).toContainText('“a dark edge suits the badger”');
  await looks.getByRole('button', { name: 'Ask again' }).click();
  await expect(looks.getByRole('button', { name: 'Use white' })).toBeVisible();
  await page.getByRole('link', { name: 'Shelf' }).first().click();
  await expect(page.getByText('1 to look at')).toBeVisible();

  // It walks the item by itself, and can be stopped.
  await page.goto('/items/badger-tab');
  await page.getByRole('button', { name: 'Walk through the steps' }).click();
  await expect(page.getByRole('heading', { name: 'Put the hoop on' })).toBeVisible();
  await page.getByRole('button', { name: 'Stop walking' }).click();
  await page.getByRole('slider').focus();
  await page.keyboard.press('End');
  const ends = page.getByRole('article').locator('dl').filter({ hasText: 'In front' });
  await expect(ends).toHaveText(/In front\s*FRONT, right side\s*Behind\s*BACK, right side/);
});

test('a bouncing pedal is one press, and a press right after the screen has moved is not lost', async ({
  page
}) => {
  await loadDemo(page);
  await page.goto('/items/badger-tab');
  await stitchIt(page);
  await expect(page.getByText('step 1 of 29')).toBeVisible();
  // Both presses come within one task, before the first can be stored.
  await page.evaluate(() => {
    for (let press = 0; press < 2; press++)
      window.dispatchEvent(new KeyboardEvent('keydown', { key: 'PageDown' }));
  });
  await expect(page.getByText('step 2 of 29')).toBeVisible();
  // Each press follows the very change of the screen that the one before brought.
  await page.evaluate(async () => {
    const shown = (): string => document.body.innerText.match(/step \d+ of 29/)?.[0] ?? '';
    for (let press = 0; press < 6; press++) {
      const before = shown();
      window.dispatchEvent(new KeyboardEvent('keydown', { key: 'PageDown' }));
      while (shown() === before) await new Promise((resolve) => setTimeout(resolve));
    }
  });
  await expect(page.getByText('step 8 of 29')).toBeVisible();
});
