import AxeBuilder from '@axe-core/playwright';
import { expect, test as base, type Locator, type Page } from '@playwright/test';
import { seedDemo } from './demoState';

/** A page that fails its test when the browser logs an error: a broken script, or something the security policy blocked. */
export const test = base.extend({
  page: async ({ page }, use) => {
    const errors: string[] = [];
    page.on('console', (message) => {
      // The browser logs every answer of 400 and above; a machine that refuses says so on the page.
      const refused =
        /status of (409|404 \(Not Found\))/.test(message.text()) &&
        !/\.(js|css)/.test(message.location().url);
      if (message.type() === 'error' && !refused) errors.push(message.text());
    });
    page.on('pageerror', (error) => errors.push(error.message));
    await use(page);
    expect(errors).toEqual([]);
  }
});

/** Looks for anything that keeps people out: contrast, names, roles, order; by night the colours alone are others. */
export async function expectAccessible(page: Page, rules?: 'color-contrast'): Promise<void> {
  const builder = new AxeBuilder({ page }).options({ resultTypes: ['violations'] });
  const { violations } = await (rules ? builder.withRules(rules) : builder).analyze();
  expect(
    violations.map(({ id, nodes }) => `${id}: ${nodes.map(({ target }) => target.join(' ')).join(', ')}`)
  ).toEqual([]);
}

/** Nothing on a run screen may need scrolling. */
export async function expectNoScrolling(page: Page): Promise<void> {
  const over = (): Promise<number[]> =>
    page.evaluate(() => {
      const { scrollHeight, scrollWidth, clientHeight, clientWidth } = document.documentElement;
      return [scrollHeight - clientHeight, scrollWidth - clientWidth];
    });
  // A window that has just changed its size is laid out anew first.
  await expect.poll(over).toEqual([0, 0]);
}

/** The demo as it is once it has been brought in and summarised; the first thing a page does. */
export async function loadDemo(page: Page): Promise<void> {
  await seedDemo(page);
  await page.goto('/');
  await page.getByRole('link', { name: /Badger luggage tab/ }).waitFor();
}

/** Takes the item on the page to the machine, looks at nothing before the start, and starts. */
export async function stitchIt(page: Page): Promise<void> {
  await page.getByRole('button', { name: 'Stitch it' }).click();
  await expect(page.getByRole('heading', { name: 'Before the start' })).toBeVisible();
  await page.keyboard.press('Space');
  await expect(page.getByText(/step 1 of/)).toBeVisible();
}

export { expect };

/** A piece in the list of the cutting page. */
export function cutPiece(page: Page, name: string): Locator {
  return page
    .getByRole('complementary', { name: 'Pieces' })
    .getByRole('listitem')
    .filter({ hasText: new RegExp(`^\\s*\\d+\\s*×\\s*${name} `) });
}

/** The blocks of the item on Build, in their order. */
export const blocksOn = (page: Page): Locator =>
  page.getByRole('navigation', { name: 'The item, block by block' }).getByRole('listitem');

/** Opens a block of the list. */
export const pressBlock = (block: Locator): Promise<void> => block.locator('button[title^="Alt"]').click();
