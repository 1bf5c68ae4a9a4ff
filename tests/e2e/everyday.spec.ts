import type { Page } from '@playwright/test';
import { expect, test } from './support/page';

/** An item of the maker’s own, on Build. */
async function begin(page: Page, name: string, begins: string): Promise<void> {
  await page.goto('/items/new');
  await page.getByRole('button', { name: 'Pattern and sizes' }).click();
  await page.getByLabel('Name of the item').fill(name);
  await page.getByRole('radio', { name: 'None of these: build it step by step' }).check();
  await page.getByLabel('It begins with').selectOption({ label: begins });
  await page.getByRole('button', { name: 'Make the sheet' }).click();
  await expect(page).toHaveURL(/\/blocks$/);
}

/** Puts a block in after another, gives it a name and its answers. */
async function put(
  page: Page,
  after: string | null,
  block: string,
  name: string,
  answers: Record<string, string> = {}
): Promise<void> {
  await page
    .getByRole('button', {
      name: after === null ? 'Put a block in at the start' : `Put a block in after ${after}`
    })
    .click();
  await page.getByRole('button', { name: new RegExp(`^${block}`) }).click();
  await expect(page.getByRole('heading', { name: new RegExp(`^${block}`), level: 2 })).toBeVisible();
  await page.getByLabel('What you call it').fill(name);
  await page.getByLabel('What you call it').blur();
  for (const [label, answer] of Object.entries(answers)) {
    const exact = page.getByLabel(label, { exact: true });
    // A hint beside a number is part of its label.
    const field = (await exact.count()) > 0 ? exact : page.getByLabel(label).first();
    if ((await field.evaluate((each) => each.tagName)) === 'SELECT')
      await field.selectOption({ label: answer });
    else {
      await field.fill(answer);
      await field.blur();
    }
  }
}

test('a lined apron with a ruffle, ties and a pocket, put together block by block', async ({ page }) => {
  await begin(page, 'Lined apron', 'Cloth hooped with stabiliser');
  await put(page, 'Hooping', 'Piece of cloth', 'Pocket', {
    'What it covers': 'A shape of its own',
    'Its right edge': 'Stitched down',
    'Its lower edge': 'Stitched down',
    'Its left edge': 'Stitched down'
  });
  await put(page, 'Design', 'Piece of cloth', 'Ruffle', {
    'How far it reaches from that side': '40',
    'It lies': 'On the work, right side down',
    Form: 'Gathered',
    'Its right edge': 'Open',
    'Its left edge': 'Open'
  });
  await put(page, 'Ruffle', 'Ribbon, elastic', 'Left tie', {
    'What is caught': 'A tie, long and loose',
    'In the seam at the': 'Left',
    'From the middle of that side': '-30',
    'How far it reaches from the seam': '600'
  });
  await put(page, 'Left tie', 'Ribbon, elastic', 'Right tie', {
    'What is caught': 'A tie, long and loose',
    'In the seam at the': 'Right',
    'From the middle of that side': '-30',
    'How far it reaches from the seam': '600'
  });
  await put(page, 'Right tie', 'Back, turned', 'Lining', { 'It is open at the': 'Top' });
  await page.getByRole('link', { name: 'To the sheet' }).click();
  await expect(page.getByText('Lay RUFFLE, face down').first()).toBeVisible();
  await page
    .getByRole('button', { name: /Closing seam/ })
    .first()
    .click();
  await expect(page.getByText(/It leaves 80 mm open at the top/).last()).toBeVisible();
  await page.getByRole('link', { name: 'Cut', exact: true }).click();
  // 37 on either side where the outline rounds off, 74 twice and two hems of 20; 40 deep, 12 over the seam, a hem of 20.
  await expect(page.getByText(/188 × 72 mm/).first()).toBeVisible();
  await expect(page.getByText(/610 × 12 mm/).first()).toBeVisible();
});

test('a lace bowl of six segments and a base, over four hoopings', async ({ page }) => {
  await begin(page, 'Lace bowl', 'Stabiliser in the hoop');
  const blocks = page.getByRole('navigation', { name: 'The item, block by block' });
  for (const usual of ['Finishing', 'Front laid and tacked', 'Hooping']) {
    await blocks.getByRole('button', { name: new RegExp(`^${usual}`) }).click();
    await page.getByRole('button', { name: 'Take it out' }).click();
    await expect(blocks.getByRole('button', { name: new RegExp(`^${usual}`) })).toHaveCount(0);
  }
  await put(page, null, 'A set of lace parts', 'Segment', {
    Shape: 'Shield',
    'One part, height': '80'
  });
  await put(page, 'Segment', 'A set of lace parts', 'Base', { 'Parts in all': '1', Shape: 'Six-sided' });
  await put(page, 'Base', 'Rinse, dry and join', 'Joined', {
    'Loops to join': '18',
    'It dries': 'Over a bowl or another form'
  });
  await page.getByRole('link', { name: 'To the sheet' }).click();
  await expect(page.getByText('Join the parts at 18 loops').first()).toBeVisible();
  await expect(page.getByText(/Hoop WASH-AWAY 4/).first()).toBeVisible();
});
