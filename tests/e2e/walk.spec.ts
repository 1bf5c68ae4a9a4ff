import { chromium, expect, test } from '@playwright/test';
import { BROWSER } from '../../playwright.config';
import { walk } from '../bench/support/walk/walk';

/** A short, fixed seed of `npm run bench -- walk`: how long a page stands still is measured there, not here. */
test('a walk over whatever is found breaks nothing', async ({ baseURL }) => {
  const browser = await chromium.launch(BROWSER);
  try {
    const { faults, actions } = await walk(browser, baseURL ?? '', {
      seed: 20,
      most: 90,
      until: Date.now() + 30_000,
      shrink: false
    });
    expect(actions).toBeGreaterThan(10);
    expect(faults.filter(({ what }) => !what.startsWith('the page stood still'))).toEqual([]);
  } finally {
    await browser.close();
  }
});
