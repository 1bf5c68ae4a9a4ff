import type { Page } from '@playwright/test';
import { expect, loadDemo, test } from './support/page';

const SIZES = [
  [390, 844],
  [820, 1180],
  [1024, 768],
  [1280, 720],
  [1280, 800]
] as const;
const ROUTES = [
  '/',
  '/items',
  '/items/new',
  '/items/badger-tab',
  '/items/stove-topper/blocks',
  '/items/badger-tab/colours',
  '/items/badger-tab/cut',
  '/items/badger-tab/thread',
  '/items/badger-tab/time',
  '/items/badger-tab/templates',
  '/orders',
  '/orders/gala-weekend',
  '/orders/gala-weekend?tab=pieces',
  '/orders/gala-weekend?tab=hoopings',
  '/orders/gala-weekend?tab=after',
  '/week',
  '/stash',
  '/log',
  '/guide',
  '/guide/zip-pouch',
  '/guide/words',
  '/practice',
  '/trouble?item=badger-tab&seen=puckers',
  '/handover',
  '/stash/shopping',
  '/shop'
];

/** What stands on a page once its plan has come from the background. */
const PLANNED: Partial<Record<string, RegExp>> = {
  '/orders/gala-weekend': /^One hooping after another|set-ups?\./,
  '/orders/gala-weekend?tab=hoopings': /^Which hoop$/,
  '/week': /^What can be promised$/
};

/** What does not fit on the page as it stands: the page wider than the screen, controls too low or under something else. */
function misfits(page: Page): Promise<string[]> {
  return page.evaluate(() => {
    const wide = document.scrollingElement ? document.scrollingElement.scrollWidth - innerWidth : 0;
    const controls = [
      ...document.querySelectorAll<HTMLElement>('a[href], button, select, textarea, input:not([type=file])')
    ].filter((each) => each.checkVisibility({ checkOpacity: true, checkVisibilityCSS: true }));
    const named = (each: HTMLElement): string =>
      `“${(each.textContent || each.getAttribute('aria-label') || each.tagName).trim().slice(0, 30)}”`;
    const low = controls.filter((each) => {
      // A link in the middle of a sentence is as high as its line; a box is pressed by its label.
      if (getComputedStyle(each).display === 'inline') return false;
      const { height, width } = (each.closest('label') ?? each).getBoundingClientRect();
      return width > 2 && height < 43.5;
    });
    // Wherever it stands, fixed or not: what lies beyond the side of the screen nobody reaches, save where it can be scrolled to.
    const scrolls = (each: Element | null): boolean =>
      each !== null &&
      each !== document.documentElement &&
      (/auto|scroll/.test(getComputedStyle(each).overflowX) || scrolls(each.parentElement));
    const outside = controls.filter((each) => {
      const { left, right, width } = each.getBoundingClientRect();
      return width > 2 && (left < -1 || right > innerWidth + 1) && !scrolls(each.parentElement);
    });
    const covered = controls.filter((each) => {
      each.scrollIntoView({ block: 'center', behavior: 'instant' });
      const { left, right, top, bottom, width } = each.getBoundingClientRect();
      const [x, y] = [(left + right) / 2, (top + bottom) / 2];
      if (width < 2 || x < 0 || x > innerWidth || y < 0 || y > innerHeight) return false;
      const over = document.elementFromPoint(x, y);
      return (
        over !== null &&
        !each.contains(over) &&
        !over.contains(each) &&
        !each.closest('label')?.contains(over)
      );
    });
    return [
      ...(wide > 0 ? [`the page is ${wide} px too wide`] : []),
      ...outside.map((each) => `${named(each)} is outside the screen`),
      ...low.map((each) => `${named(each)} is too low`),
      ...covered.map((each) => `${named(each)} is covered`)
    ];
  });
}

/** Another size of the screen; drawings follow it in the next frames. */
async function resized(page: Page, width: number, height: number): Promise<void> {
  await page.setViewportSize({ width, height });
  await page.evaluate(() => new Promise((done) => requestAnimationFrame(() => setTimeout(done, 150))));
}

/** Routes by twos and threes, so that they are looked at side by side. */
const PARTS = 3;
for (let part = 0; part < PARTS; part++)
  test(`every page fits every size, its controls large and in reach: part ${part + 1} of ${PARTS}`, async ({
    page
  }) => {
    await loadDemo(page);
    const found: Record<string, string[]> = {};
    for (const route of ROUTES.filter((_, at) => at % PARTS === part)) {
      await page.goto(route);
      await expect(page.getByRole('heading', { level: 1 })).toBeVisible();
      await page.waitForLoadState('networkidle');
      const planned = PLANNED[route];
      if (planned) await expect(page.getByText(planned).first()).toBeVisible({ timeout: 60_000 });
      for (const [width, height] of SIZES) {
        await resized(page, width, height);
        const wrong = await misfits(page);
        if (wrong.length > 0) found[`${route} at ${width} x ${height}`] = wrong;
      }
    }
    expect(found).toEqual({});
  });

/** Gives an item another name where it is stored. */
async function renamed(page: Page, id: string, name: string): Promise<void> {
  await page.evaluate(
    async ([itemId, called]) => {
      const database = await new Promise<IDBDatabase>((done, failed) => {
        const asked = indexedDB.open('jolt-step');
        asked.onsuccess = () => done(asked.result);
        asked.onerror = () => failed(asked.error ?? new Error('no database'));
      });
      const items = database.transaction('items', 'readwrite').objectStore('items');
      const item = await new Promise<{ name: string }>((done) => {
        const asked = items.get(itemId);
        asked.onsuccess = () => done(asked.result as { name: string });
      });
      await new Promise<void>((done) => {
        items.put({ ...item, name: called }).onsuccess = () => done();
      });
      database.close();
    },
    [id, name] as const
  );
}

const BY_NIGHT = [
  [390, 844],
  [820, 1180],
  [1280, 800]
] as const;

test('by night every size holds a long name, and the run screen with its drawing large', async ({ page }) => {
  await page.addInitScript(() => localStorage.setItem('jolt-step.theme', 'night'));
  await loadDemo(page);
  await renamed(
    page,
    'badger-tab',
    'Luggage tab for the stationmaster of the branch line to the harbour, with a badger and his lamp, second of two'
  );
  const everySize = async (
    what: string,
    also: (width: number, height: number) => Promise<void>
  ): Promise<void> => {
    for (const [width, height] of BY_NIGHT) {
      await resized(page, width, height);
      expect(await misfits(page), `${what}, ${width} x ${height}`).toEqual([]);
      await also(width, height);
    }
  };
  const nothing = (): Promise<void> => Promise.resolve();
  for (const route of ['/items', '/items/badger-tab', '/orders/gala-weekend']) {
    await page.goto(route);
    await expect(page.getByRole('heading', { level: 1 })).toBeVisible();
    await page.waitForLoadState('networkidle');
    await everySize(route, nothing);
  }
  await page.goto('/items/badger-tab');
  await page.getByRole('button', { name: 'Stitch it' }).click();
  await expect(page.getByRole('heading', { name: 'Before the start' })).toBeVisible();
  await everySize('before the start', nothing);
  await page.keyboard.press('Space');
  for (let press = 0; press < 6; press++) {
    await page.keyboard.press('Space');
    await page.waitForTimeout(250);
  }
  await everySize('a step', async (width, height) => {
    const drawing = await page.locator('.picture').boundingBox();
    const share = ((drawing?.width ?? 0) * (drawing?.height ?? 0)) / (width * height);
    // A third of a wide screen; a tall one is read downwards.
    expect(share).toBeGreaterThan(width > height ? 0.32 : 0.2);
  });
});
