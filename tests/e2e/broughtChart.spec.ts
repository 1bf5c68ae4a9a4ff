import { expect, loadDemo, test } from './support/page';

const CHART = `1 placement grey 118
2 tack-down grey 121
3 ticket black 1,640
4 number burgundy 380
5 outline burgundy 402`;

test('a chart is brought to an item that is there: its stops take it, its steps stay', async ({ page }) => {
  await loadDemo(page);
  await page.goto('/items/ticket-tab/chart');
  await expect(page.getByRole('heading', { name: 'A chart for Ticket key fob' })).toBeVisible();
  await page.getByLabel('Paste the colour chart').fill(CHART);
  await page.getByRole('button', { name: 'Go on with 5 stops' }).click();
  await expect(page.getByRole('button', { name: /Row 2 is: Tack-down/ })).toBeVisible();
  await expect(page.getByRole('button', { name: /Row 5 is: Outline/ })).toBeVisible();
  await page.getByRole('button', { name: 'Take the chart' }).click();
  await expect(page).toHaveURL(/\/items\/ticket-tab$/);
  const steps = page.getByRole('region', { name: 'Steps' }).getByRole('listitem');
  await expect(steps.filter({ hasText: 'Lay BACK' })).toHaveCount(1);
  await expect(steps.filter({ hasText: /^\D*\d+\D*3\D*Ticket/ })).toHaveCount(1);
  await expect(steps.filter({ hasText: 'count estimated' })).toHaveCount(0);
});

test('an item whose answers make nothing any more says so where a chart is brought', async ({ page }) => {
  await loadDemo(page);
  await page.goto('/items/odd-pouch/chart');
  await expect(page.getByText('Opening in the lining: at least 60 mm')).toBeVisible();
  await page.getByRole('link', { name: 'Change them on Build' }).click();
  await expect(page).toHaveURL(/\/items\/odd-pouch\/blocks$/);
});

test('a chart of one patch makes one, and says so; another answer of the maker’s stays', async ({ page }) => {
  await page.goto('/items/new');
  await page.getByLabel('Paste the colour chart').fill(`1 cut line white 150
2 placement grey 150
3 badge fill cream 3,900
4 detail red 480
5 border satin brass 2,380`);
  await page.getByRole('button', { name: 'Go on with 5 stops' }).click();
  await page.getByRole('radio', { name: /Batch patch on blanks/ }).click();
  await expect(page.getByText('Your chart goes with: Copies in the hoop: 1.')).toBeVisible();
  await page.getByLabel('Copies in the hoop').fill('2');
  await page.getByLabel('Copies in the hoop').press('Enter');
  await expect(page.getByText('Your chart goes with')).toBeHidden();
});

test('a chart that may be of this or that asks by two pictures; what is pressed is made', async ({
  page
}) => {
  await page.goto('/items/new');
  await page.getByLabel('Paste the colour chart').fill(`1 cut line and placement white 150
2 fill cream 3,900
3 detail red 480
4 border brass 2,380`);
  const which = page.getByRole('group', { name: 'What is this the chart of?' });
  await expect(which.getByText(/about \d in 10/)).toHaveCount(2);
  await expect(page.getByRole('button', { name: 'Make the sheet' })).toBeHidden();
  await which.getByRole('button', { name: 'Border patch, two hoopings' }).click();
  await expect(page.getByText('It reads like a border patch, two hoopings')).toBeVisible();
  await page.getByRole('button', { name: 'Make the sheet' }).click();
  await expect(page).toHaveURL(/\/items\/[\w-]+$/);
  await page.getByRole('link', { name: 'Sheet', exact: true }).first().click();
  const steps = page.getByRole('region', { name: 'Steps' }).getByRole('listitem');
  await expect(steps.filter({ hasText: 'Cut line and patch: placement' })).toHaveCount(2);
});

test('what the machine shows gives its pace in one press, and it can be taken back', async ({ page }) => {
  await loadDemo(page);
  await page.goto('/items/ticket-tab/time');
  const shown = page.getByLabel('Displayed by the machine, min');
  await shown.fill('60');
  await shown.press('Enter');
  await page.getByRole('button', { name: /^Take this machine for \d+ a minute$/ }).click();
  await expect(page.getByText(/The machine’s 1 h agrees with the estimate/)).toBeVisible();
  await page.getByRole('button', { name: /^Undo/ }).click();
  await expect(page.getByRole('button', { name: /^Take this machine for/ })).toBeVisible();
});

test('colours and minutes, as a machine shows them, are a chart: its counts are estimates, and they last', async ({
  page
}) => {
  await page.goto('/items/new');
  await page.getByLabel('Paste the colour chart').fill('1  Brown  4 min\n2  Black  1:30');
  await expect(page.getByRole('row', { name: /Brown/ })).toContainText('4 min');
  await page.getByRole('button', { name: 'Go on with 2 stops' }).click();
  await page.getByRole('radio', { name: /Plain embroidery/ }).click();
  await expect(page.getByText('Your chart goes with: Basting box: The machine’s own')).toBeVisible();
  await page.getByLabel('Name of the item').fill('Shown towel');
  await page.getByRole('button', { name: 'Match the chart' }).click();
  await page.getByRole('button', { name: 'Make the sheet' }).click();
  await expect(page.getByRole('heading', { name: 'Shown towel' })).toBeVisible();
  await page.reload();
  const steps = page.getByRole('region', { name: 'Steps' }).getByRole('listitem');
  await expect(steps.filter({ hasText: '1,680 stitches, estimated' })).toHaveCount(1);
  await expect(steps.filter({ hasText: '630 stitches, estimated' })).toHaveCount(1);
});
