/**
 * A seeded walk over every control of every screen: `npm run bench -- walk [actions] [seed]`. After each action it holds that
 * nothing broke, no notice blames what is not so, what is stored passes its schema, undo and redo give it back byte for byte.
 */
import { chromium } from '@playwright/test';
import { BROWSER } from '../../playwright.config';
import { build, serve } from '../../scripts/lib.mjs';
import { keepDemo } from '../e2e/support/demoState';
import { walk } from './support/walk/walk';

const [most = 5000, seed = 1] = process.argv.slice(2).map(Number);
if (process.env.SKIP_BUILD !== '1') build();
const port = 4195 + (seed % 50);
const { server, address } = await serve({ port, demo: false });
const browser = await chromium.launch(BROWSER);
try {
  await keepDemo(address, BROWSER);
  const walked = await walk(browser, address, {
    seed,
    most,
    shrink: process.env.SHRINK !== '0',
    say: (line) => console.log(line)
  });
  console.log(`\nNever pressed:\n${walked.never.map((key) => `  ${key}`).join('\n')}`);
  console.log(`\nNot in the history of edits:\n${walked.notTakenBack.map((key) => `  ${key}`).join('\n')}`);
  console.log(
    JSON.stringify({
      actions: walked.actions,
      controls: walked.controls,
      pressedShare: Number((walked.pressed / Math.max(1, walked.controls)).toFixed(3)),
      faults: walked.faults.length
    })
  );
} finally {
  await browser.close();
  server.kill();
}
