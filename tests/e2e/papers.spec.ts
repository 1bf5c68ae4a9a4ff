import { readFile } from 'node:fs/promises';
import { linesOf } from '$lib/core/reading/pages';
import { readPdf } from '../../src/lib/files';
import { badgerPdf } from './support/badgerPdf';
import { expect, expectAccessible, loadDemo, test } from './support/page';

test('a PDF chart and its instructions become one sheet, printed again as PDF', async ({ page }) => {
  await page.goto('/items/new');
  await page
    .getByLabel('File to bring')
    .setInputFiles({ name: 'badger.pdf', mimeType: 'application/pdf', buffer: await badgerPdf() });
  await expect(
    page.getByText('4 stops, 2,160 stitches, as the paper says, 4 instructions, finished size 30 × 94 mm')
  ).toBeVisible();
  await expect(page.getByLabel('What stop 1 does')).toHaveValue('placement');
  await expect(page.getByRole('img', { name: 'Page 1 of 2' })).toBeVisible();
  await expectAccessible(page);

  await page.getByRole('button', { name: 'Go on with 4 stops' }).click();
  await page.getByLabel('Name of the item').fill('Badger tab');
  await page.getByLabel('Stitched outline, width').fill('20');
  await page.getByLabel('Stitched outline, width').blur();
  await page.getByRole('button', { name: 'Take that size' }).click();
  await expect(page.getByLabel('Stitched outline, width')).toHaveValue('30 mm');
  await page.getByRole('button', { name: 'Match the chart' }).click();
  await expect(page.getByLabel('Step of instruction 3').locator('option:checked')).toContainText('Lay FRONT');
  await expectAccessible(page);
  await page.getByRole('button', { name: 'Make the sheet' }).click();
  await expect(page.getByRole('heading', { name: 'Badger tab' })).toBeVisible();
  await expect(
    page.getByText('Paper 3: Lay the front felt over the line and tape its corners.').first()
  ).toBeVisible();

  const [download] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('button', { name: 'The sheet on paper, as PDF' }).click()
  ]);
  expect(download.suggestedFilename()).toBe('badger-tab-sheet.pdf');
  const printed = await readPdf(new Uint8Array(await readFile(await download.path())));
  const lines = printed.ok ? linesOf(printed.paper).map(({ text }) => text) : [];
  expect(lines[0]).toBe('Badger tab');
  expect(lines.join('\n')).toContain('Paper 3: Lay the front felt over the line');
});

test('a drawing gives outline and stops; a machine’s own file is refused kindly', async ({ page }) => {
  await page.goto('/items/new');
  const bring = page.getByLabel('File to bring');
  await bring.setInputFiles({ name: 'tab.own', mimeType: '', buffer: Buffer.from([1, 0, 2, 0, 3]) });
  await expect(page.getByRole('alert')).toContainText('only open formats come in. Bring the colour chart');
  const svg = `<svg xmlns="http://www.w3.org/2000/svg" width="80mm" height="80mm" viewBox="0 0 80 80">
    <g id="Satin border" fill="none" stroke="#b08d3c"><path d="M40 2C66 2 78 20 78 44V78H2V44C2 20 14 2 40 2z"/></g>
    <g id="Lamp glass"><circle cx="40" cy="46" r="14" fill="#e3b341"/></g></svg>`;
  await bring.setInputFiles({ name: 'lamp.svg', mimeType: 'image/svg+xml', buffer: Buffer.from(svg) });
  await expect(page.getByText('Everything drawn measures 76 × 76 mm.')).toBeVisible();
  await expectAccessible(page);
  await page.getByRole('button', { name: 'Go on with 2 stops' }).click();
  await page.getByLabel('Name of the item').fill('Lamp patch');
  await page.getByText('Border patch, two hoopings').click();
  await page.getByLabel('Shape').selectOption({ label: 'Drawn: Satin border' });
  await expect(page.getByLabel('Outer edge of the border, height')).toHaveValue('76 mm');

  await page.getByRole('button', { name: 'Compose the edge' }).click();
  await page.getByLabel('Sizes your machine offers for the satin, mm').fill('70.2 72.9');
  await expect(page.getByText(/Take 72.9 mm: the satin reaches 1.55 mm inside/)).toBeVisible();
  await expectAccessible(page);
  await page.getByRole('button', { name: 'Take this edge' }).click();
  await page.getByRole('button', { name: 'Match the chart' }).click();
  await page.getByRole('button', { name: 'Make the sheet' }).click();
  await expect(page.getByText('Lamp glass').first()).toBeVisible();
  await page.getByRole('link', { name: 'Templates' }).click();
  await expect(page.getByRole('button', { name: /Stitch list, \d stops/ })).toBeVisible();
});

test('templates are chosen, drawn and printed', async ({ page }) => {
  await loadDemo(page);
  await page.getByRole('link', { name: /Badger luggage tab/ }).click();
  await page.getByRole('link', { name: 'Templates' }).click();
  await expect(page.getByRole('list', { name: 'Pages' }).getByRole('listitem')).toHaveCount(2);
  await page.getByLabel('Paper').selectOption('Letter');
  await page.getByRole('checkbox', { name: /STABILISER/ }).check();
  await expect(page.getByRole('img', { name: /Page 1: FRONT, BACK/ })).toBeVisible();
  await expectAccessible(page);
  const [download] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('button', { name: /^Templates, \d pages/ }).click()
  ]);
  const printed = await readPdf(new Uint8Array(await readFile(await download.path())));
  expect(printed.ok && printed.paper.pages[0]?.words.some(({ text }) => text === '50 mm')).toBe(true);
});

test('a house’s own layout: one press puts a column right, the next paper of that house is read so', async ({
  page
}) => {
  const paper = (parts: string[]): string =>
    [
      'Nr  Krobi         Vaska               Hul         Dom',
      ...parts.map((part, at) => {
        const work = ['placement line', 'tack it down', 'satin border', 'fill', 'edge'][at] ?? '';
        return `${String(at + 1).padEnd(4)}${part.padEnd(14)}${work.padEnd(20)}${'grey'.padEnd(12)}${120 + 97 * at * at}`;
      })
    ].join('\n');
  await page.goto('/items/new');
  await page.getByLabel('Paste the colour chart').fill(paper(['Buffer', 'Axle', 'Ears', 'Lamp', 'Wheel']));
  const table = page.getByRole('table');
  await expect(table.getByRole('row').nth(1)).toContainText('placement line');
  await page.getByText('4 of 5 columns of the paper are used').click();
  await page.getByRole('button', { name: 'Krobi is: left out. Change' }).click();
  await page
    .getByRole('group', { name: 'What is this column?' })
    .getByRole('button', { name: 'Name of the stop' })
    .click();
  await expect(table.getByRole('row').nth(3)).toContainText('Ears');
  await expectAccessible(page);
  await page.getByRole('button', { name: 'Go on with 5 stops' }).click();
  await page.getByLabel('Name of the item').fill('Buffer tag');
  await page.getByLabel('Design by').fill('Halt Designs');
  await page.getByRole('button', { name: 'Match the chart' }).click();
  await page.getByRole('button', { name: 'Make the sheet' }).click();
  await expect(page.getByRole('heading', { name: 'Buffer tag' })).toBeVisible();

  await page.goto('/items/new');
  await page.getByLabel('Paste the colour chart').fill(paper(['Signal', 'Post', 'Ladder', 'Lens']));
  await expect(page.getByText('Read as you settled it for Halt Designs')).toBeVisible();
  await expect(table.getByRole('row').nth(4)).toContainText('Lens');
  await page.getByRole('button', { name: 'Forget that' }).click();
  await expect(table.getByRole('row').nth(4)).toContainText('fill');
});

test('from a good paper to its sheet in one press; two sizes on it are two variants; a letter is none', async ({
  page
}) => {
  const rows = (counts: number[]): string =>
    ['placement  grey', 'tack-down  grey', 'ears  orange', 'outline  grey']
      .map((words, at) => `${at + 1}  ${words}  ${counts[at]}`)
      .join('\n');
  await page.goto('/items/new');
  await page
    .getByLabel('Paste the colour chart')
    .fill(
      `Fox key tab\n\nSmall (30 x 94 mm)\n${rows([84, 96, 1210, 404])}\n\nLarge (40 x 125 mm)\n${rows([102, 121, 1980, 650])}`
    );
  await expect(page.getByText('This paper holds 2 lists')).toBeVisible();
  await expect(page.getByText('Fox key tab reads like a')).toBeVisible();
  await page.getByRole('button', { name: 'Make the sheet' }).click();
  await expect(page.getByRole('heading', { name: 'Fox key tab' })).toBeVisible();
  await expect(page.getByText('Large (40 x 125 mm)').first()).toBeAttached();

  await page.goto('/items/new');
  await page
    .getByLabel('Paste the colour chart')
    .fill(
      'Dear maker,\nthe 3 tabs of last week were fine.\nPlease send 12 more by Friday.\nThe stall opens at 9.\nGreetings'
    );
  await expect(page.getByText('This does not look like a colour chart')).toBeVisible();
  await expect(page.getByRole('table')).toHaveCount(0);
});

test('two papers of an item that is no construction become its merged sheet, faces out', async ({ page }) => {
  await page.goto('/items/new');
  const bring = page.getByLabel('File to bring');
  await bring.setInputFiles('tests/papers/sheets/s08-season-ticket-sleeve.pdf');
  await expect(page.getByText('26 sentences ask for 30 things to do and 8 stops')).toBeVisible();
  const names = ['outline', 'batting', 'front', 'quilting', 'ticket', 'words', 'upper back', 'seam'];
  const colours = ['grey', 'grey', 'grey', 'cream', 'buff', 'black', 'cream', 'cream'];
  await page
    .getByLabel('Paste the colour chart')
    .fill(names.map((name, at) => `${at + 1}  ${name}  ${colours[at]}  ${180 + 260 * at}`).join('\n'));
  await expect(page.getByRole('table').getByRole('row')).toHaveCount(9);
  await page.getByRole('button', { name: /See the steps/ }).click();

  // In front and behind with their right sides; a step beside its sentence, pressed, shows where the paper says so.
  const ends = page.getByRole('complementary', { name: 'How it ends' });
  await expect(ends).toContainText('In front A');
  await expect(ends).not.toContainText('with its wrong side out');
  await page.getByRole('button', { name: /Lay A, right side to you/ }).click();
  await expect(ends.locator('.marked')).toBeVisible();
  await expect(page.getByText('put in by us').first()).toBeVisible();
  await expect(page.getByRole('list', { name: 'Sentences in no step' })).toContainText(
    'comes to lie outside'
  );
  await expectAccessible(page);

  await page.getByRole('button', { name: 'Make the sheet' }).click();
  await expect(page.getByRole('heading', { name: 'Season-Ticket Sleeve' })).toBeVisible();
  await expect(page.getByText('Paper 5: Lay A right side up').first()).toBeVisible();
  await page.getByText('One sentence of s08-season-ticket-sleeve.pdf is in no step').click();
  await expect(page.getByText('The piece laid first comes to lie outside.')).toBeVisible();

  // It is built on like any other item: its steps are blocks.
  await page.getByRole('link', { name: 'Build' }).click();
  const blocks = page.getByRole('navigation', { name: 'The item, block by block' });
  await blocks.getByRole('button', { name: /^A, / }).click();
  await page.getByLabel('Cloth, name').fill('Moquette');
  await page.getByLabel('Cloth, name').blur();
  await expect(blocks).toContainText('Moquette');
  await expectAccessible(page);
});
