import type { Browser, BrowserContext, Page } from '@playwright/test';
import { seedDemo } from '../../../e2e/support/demoState';
import { act, type Action, Chooser, STARTS } from './actions';
import { type Control, controlsOf } from './controls';
import { broken, brokenEvents, changed, type Stored, storedIn } from './stored';
import { falseNotices, longestTask, Watch, watchFrames } from './watch';

/** Something that does not hold after an action. */
export interface Fault {
  what: string;
  /** The shortest series that shows it again; the whole where none was found shorter. */
  actions: Action[];
}

export interface Walked {
  actions: number;
  controls: number;
  pressed: number;
  never: string[];
  faults: Fault[];
  /** Changes that the history of edits does not take back, by the control that made them. */
  notTakenBack: string[];
}

/** Controls that are not pressed, each with its reason; short. */
const EXCEPTIONS: readonly { key: RegExp; why: string }[] = [
  { key: /Print/, why: 'opens the browser’s own dialog, which stops the page' },
  { key: /\| link \| To the page/, why: 'shown only while it has the focus' }
];
/** Controls whose press need not change what is seen, each with its reason. */
const QUIET: readonly { key: RegExp; why: string }[] = [
  { key: /\| Drag /, why: 'let go where nothing takes it, it goes back' },
  { key: /\| input /, why: 'the same may have stood there' },
  { key: /\| select \|/, why: 'the same may have been chosen' },
  { key: /\/run\/|\/practice|\/machine/, why: 'its clock moves anyway' },
  { key: /Close toast/, why: 'the notice may have gone by itself' },
  { key: /to look at|Show it|Look at/, why: 'scrolls to what it names' }
];
/** Longest that the page may stand still without saying that it works, ms. */
const STILL_MS = 500;
/** Actions after which everything is brought back as it was in the beginning. */
const EPISODE = 50;

const SETTLE_MS = 120;

/** The demo as it is brought in, in a browser of its own. */
async function fresh(
  browser: Browser,
  address: string
): Promise<{ context: BrowserContext; page: Page; watch: Watch }> {
  const context = await browser.newContext({
    baseURL: address,
    viewport: { width: 1280, height: 800 },
    locale: 'en-GB',
    timezoneId: 'UTC',
    serviceWorkers: 'block'
  });
  await context.addInitScript('globalThis.__name = (named) => named');
  await context.addInitScript(watchFrames);
  const page = await context.newPage();
  const watch = new Watch(page);
  page.on('dialog', (dialog) => void dialog.accept());
  await seedDemo(page);
  await page.goto('/');
  await page
    .getByRole('link', { name: /Badger luggage tab/ })
    .first()
    .waitFor({ timeout: 60_000 });
  return { context, page, watch };
}

/** What does not hold after an action. */
async function check(
  page: Page,
  watch: Watch,
  before: Stored,
  { seen, effects }: { seen: string; effects: number },
  { action, control }: { action: Action; control?: Control | undefined }
): Promise<{ faults: string[]; after: Stored }> {
  await page.waitForTimeout(SETTLE_MS);
  const faults = watch.heard();
  faults.push(...(await falseNotices(page, watch.offline)).map((text) => `a notice blames: ${text}`));
  const still = await longestTask(page);
  if (still > STILL_MS && action.what !== 'reload' && action.what !== 'visit' && control?.role !== 'link')
    faults.push(`the page stood still for ${Math.round(still / 100) * 100} ms`);
  const after = await storedIn(page);
  faults.push(...broken(after, changed(before, after)).map((text) => `stored wrongly: ${text}`));
  if (
    action.what === 'press' &&
    control &&
    !control.settled &&
    !QUIET.some(({ key }) => key.test(control.key))
  ) {
    let now = await lookOf(page);
    // What is worked out elsewhere may take a moment.
    for (let tries = 0; now === seen && watch.effects === effects && tries < 6; tries++) {
      await page.waitForTimeout(150);
      now = await lookOf(page);
    }
    if (now === seen && watch.effects === effects && changed(before, after).length === 0)
      faults.push(`no effect: ${control.key}`);
  }
  return { faults, after };
}

/** What can be seen: the address, the page, and what has the focus. */
function lookOf(page: Page): Promise<string> {
  return page.evaluate(() => {
    const dialogs = [...document.querySelectorAll('[role=dialog], [data-sonner-toaster]')];
    const fields = [...document.querySelectorAll<HTMLInputElement>('input, select, textarea')].map(
      ({ value, checked }) => `${value}${checked}`
    );
    const open = [...document.querySelectorAll('details')].map(({ open: isOpen }) => isOpen);
    const main = document.querySelector('main')?.innerHTML.replace(/ data-walk="[^"]*"/g, '') ?? '';
    const aside = dialogs.map(({ innerHTML }) => innerHTML.replace(/ data-walk="[^"]*"| style="[^"]*"/g, ''));
    const nav = `${document.documentElement.dataset.theme ?? ''} ${document.activeElement?.getAttribute('data-walk') ?? ''}`;
    return [location.href, main, ...aside, ...fields, ...open, nav, scrollY].join('\n');
  });
}

/** Takes the change back and makes it again; says where the store is not what it was, byte for byte. */
async function undoAndRedo(
  page: Page,
  before: Stored,
  after: Stored
): Promise<{ faults: string[]; taken: boolean }> {
  if ((await page.locator('[role=dialog]').count()) > 0 || /\/run\//.test(page.url()))
    return { faults: [], taken: true };
  const pressed = async (keys: string): Promise<boolean> => {
    await page.evaluate(() => (document.activeElement as HTMLElement | null)?.blur());
    const notices = page.locator('[data-sonner-toast]', { hasText: /Taken back|Done again|Not taken back/ });
    const were = await notices.count();
    await page.keyboard.press(keys);
    for (let tries = 0; tries < 8 && (await notices.count()) === were; tries++) await page.waitForTimeout(60);
    return (await notices.count()) !== were;
  };
  if (!(await pressed('Control+z'))) return { faults: [], taken: false };
  const undone = await storedIn(page);
  const left = changed(before, undone);
  if (left.length > 0 && changed(after, undone).length === 0) return { faults: [], taken: false };
  const faults = left.length > 0 ? [`undo leaves ${left.join(', ')} otherwise than before`] : [];
  await pressed('Control+Shift+z');
  const redone = changed(after, await storedIn(page));
  if (redone.length > 0) faults.push(`redo leaves ${redone.join(', ')} otherwise than it was`);
  return { faults, taken: true };
}

/** Whether a series of actions shows a fault again. */
async function shows(
  browser: Browser,
  address: string,
  series: readonly Action[],
  what: string
): Promise<boolean> {
  const { context, page, watch } = await fresh(browser, address);
  try {
    await page.goto(series[0]?.path ?? '/');
    await page.waitForTimeout(600);
    for (const action of series) {
      const controls = await controlsOf(page);
      const control = controls.find(
        ({ role, name, nth }) =>
          role === action.control?.role && name === action.control.name && nth === action.control.nth
      );
      const before = await storedIn(page);
      const was = { seen: await lookOf(page), effects: watch.effects };
      if (!(await act(page, action))) return false;
      const { faults, after } = await check(page, watch, before, was, { action, control });
      if (faults.some((fault) => alike(fault, what))) return true;
      if (/^(undo|redo)/.test(what) && changed(before, after).length > 0) {
        const { faults: back } = await undoAndRedo(page, before, after);
        if (back.some((fault) => alike(fault, what))) return true;
      }
    }
    return false;
  } catch (problem) {
    return alike(String(problem), what);
  } finally {
    await context.close();
  }
}

/** Two faults of one kind, whatever numbers stand in them. */
const alike = (one: string, other: string): boolean => kindOf(one) === kindOf(other);
const kindOf = (fault: string): string =>
  fault
    .replace(/\d+/g, '#')
    .replace(/“[^”]*”/g, '“…”')
    .slice(0, 140);

/** The shortest end of a series that shows a fault again. */
async function cutDown(
  browser: Browser,
  address: string,
  series: readonly Action[],
  what: string
): Promise<Action[]> {
  for (const length of [1, 2, 3, 5, 8, 13]) {
    if (length >= series.length) break;
    const end = series.slice(-length);
    if (await shows(browser, address, end, what)) return end;
  }
  return [...series];
}

/**
 * Walks through the application, choosing over every control that is found, and holds after each action what must hold.
 *
 * @param most actions
 * @param until ms since 1970 at which it ends anyhow
 */
export async function walk(
  browser: Browser,
  address: string,
  {
    seed,
    most,
    until = Infinity,
    shrink = true,
    say = () => undefined
  }: {
    seed: number;
    most: number;
    until?: number;
    shrink?: boolean;
    say?: (line: string) => void;
  }
): Promise<Walked> {
  const [found, pressed] = [new Set<string>(), new Set<string>()];
  const chooser = new Chooser(seed, pressed, EXCEPTIONS);
  const faults: Fault[] = [];
  const notTakenBack = new Set<string>();
  let actions = 0;
  while (actions < most && Date.now() < until) {
    const { context, page, watch } = await fresh(browser, address);
    const series: Action[] = [];
    await page.goto(chooser.of(STARTS) ?? '/');
    await page.waitForTimeout(500);
    let before = await storedIn(page);
    chooser.afresh();
    let last: { control?: Control | undefined; path: string } = { path: '' };
    for (let step = 0; step < EPISODE && actions < most && Date.now() < until; step++) {
      const told: string[] = [];
      let chosen: { action: Action; control?: Control } | undefined;
      try {
        const controls = await controlsOf(page);
        for (const { key } of controls) if (!EXCEPTIONS.some((each) => each.key.test(key))) found.add(key);
        const was = { seen: await lookOf(page), effects: watch.effects };
        const path = new URL(page.url()).pathname;
        chooser.learn(path, controls, last.control, last.path);
        chosen = chooser.next(path, controls);
        last = { control: chosen.control, path };
        if (chosen.control) pressed.add(chosen.control.key);
        series.push(chosen.action);
        await act(page, chosen.action);
        actions += 1;
        const { faults: wrong, after } = await check(page, watch, before, was, chosen);
        told.push(...wrong);
        // What itself takes back or makes again is no edit to take back.
        const isEdit =
          changed(before, after).length > 0 &&
          chosen.action.what !== 'key' &&
          !/^(?:Undo|Redo)/.test(chosen.control?.name ?? '');
        if (isEdit && wrong.length === 0 && chooser.chance(0.4)) {
          const { faults: back, taken } = await undoAndRedo(page, before, after);
          told.push(...back);
          if (!taken && chosen.control) notTakenBack.add(chosen.control.key);
          before = await storedIn(page);
        } else before = after;
        if (chosen.action.what === 'reload')
          told.push(...(await brokenEvents(page)).map((text) => `stored wrongly: ${text}`));
      } catch (problem) {
        const text = problem instanceof Error ? (problem.message.split('\n')[0] ?? '') : String(problem);
        // A control that went while it was looked at is none; what lies over another is a fault.
        const over = problem instanceof Error && /intercepts pointer events/.test(problem.message);
        if (over && chosen?.control) told.push(`lies under something: ${chosen.control.key}`);
        else if (!/Timeout|not attached|Execution context|navigation|interrupted|ERR_ABORTED/.test(text))
          told.push(`the walk itself: ${text}`);
        if (page.isClosed()) break;
        await page.keyboard.press('Escape');
        before = await storedIn(page).catch((again: unknown) => {
          say(`The store is not read: ${String(again)}`);
          return before;
        });
      }
      for (const what of told) {
        if (faults.some((fault) => alike(fault.what, what))) continue;
        const short = shrink ? await cutDown(browser, address, series, what) : series.slice(-3);
        faults.push({ what, actions: short });
        say(`FAULT ${what}\n${short.map((each) => `    ${JSON.stringify(each)}`).join('\n')}`);
      }
    }
    await context.close();
    say(`${actions} actions, ${pressed.size} of ${found.size} controls, ${faults.length} faults`);
  }
  const never = [...found].filter((key) => !pressed.has(key)).sort();
  return {
    actions,
    controls: found.size,
    pressed: found.size - never.length,
    never,
    faults,
    notTakenBack: [...notTakenBack].sort()
  };
}
