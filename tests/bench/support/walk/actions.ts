import type { Page } from '@playwright/test';
import { seeded } from '$lib/core/base/units';
import { type Control, locate } from './controls';

/** One thing done, so that it can be done again. */
export interface Action {
  path: string;
  what:
    'press' | 'type' | 'choose' | 'file' | 'drag' | 'key' | 'reload' | 'offline' | 'online' | 'tab' | 'visit';
  control?: Pick<Control, 'role' | 'name' | 'nth'>;
  value?: string;
}

/** What a hand may type by mistake, or on purpose. */
const TYPED = [
  '',
  '0',
  '-10',
  '999999999',
  'abc',
  '4 3/8',
  '١٢',
  '12,5',
  '1e9',
  '50',
  '  ',
  '<b>x</b>',
  '2026-12-24',
  '10:30',
  'z'.repeat(130)
];
const KEYS = [
  'Escape',
  'Enter',
  'Space',
  'PageDown',
  'PageUp',
  'ArrowDown',
  'ArrowRight',
  'Tab',
  'Control+z',
  'Control+y',
  'Control+k',
  '?',
  'b',
  'o',
  'm',
  'n',
  'p',
  'r',
  's',
  'Alt+ArrowDown'
];
/** Files that are brought where a file is asked for. */
const FILES: readonly { name: string; mimeType: string; text: string }[] = [
  {
    name: 'chart.csv',
    mimeType: 'text/csv',
    text: 'Stop,Colour,Stitches\n1,Grey,220\n2,Grey,240\n3,Amber,1830\n4,Black,2210\n'
  },
  {
    name: 'sheet.txt',
    mimeType: 'text/plain',
    text: '1. Hoop the tear-away. Stitch stop 1.\n2. Lay the felt over the line. Stitch stop 2.\n3. Unhoop. Cut out.'
  },
  {
    name: 'outline.svg',
    mimeType: 'image/svg+xml',
    text: '<svg xmlns="http://www.w3.org/2000/svg" width="60mm" height="40mm" viewBox="0 0 60 40"><path d="M5 5H55V35H5Z"/></svg>'
  },
  { name: 'broken.json', mimeType: 'application/json', text: '{"schema":"jolt-step/item","version":' },
  { name: 'empty.txt', mimeType: 'text/plain', text: '' },
  { name: 'picture.png', mimeType: 'image/png', text: 'no picture' }
];
/** Where the walk begins anew when it is stuck. */
export const STARTS = [
  '/',
  '/items',
  '/items/new',
  '/items/badger-tab',
  '/items/badger-tab/blocks',
  '/items/badger-tab/cut',
  '/items/badger-tab/thread',
  '/items/badger-tab/time',
  '/items/badger-tab/colours',
  '/items/badger-tab/templates',
  '/items/badger-tab/chart',
  '/items/signal-lamp/blocks',
  '/orders',
  '/orders/gala-weekend',
  '/week',
  '/stash',
  '/stash/shopping',
  '/shop',
  '/log',
  '/practice',
  '/guide',
  '/guide/words',
  '/guide/zip-pouch',
  '/machine',
  '/trouble',
  '/handover'
];

/** Chooses what to do next, what was never pressed first. */
export class Chooser {
  readonly #random: () => number;
  constructor(
    seed: number,
    readonly pressed: ReadonlySet<string>,
    readonly exceptions: readonly { key: RegExp; why: string }[]
  ) {
    this.#random = seeded(seed);
  }

  chance(share: number): boolean {
    return this.#random() < share;
  }
  of<T>(list: readonly T[]): T | undefined {
    return list[Math.floor(this.#random() * list.length)];
  }

  next(path: string, controls: readonly Control[]): { action: Action; control?: Control } {
    const at = this.#random();
    if (at < 0.04) return { action: { path, what: 'key', value: this.of(KEYS) ?? 'Escape' } };
    if (at < 0.055) return { action: { path, what: 'reload' } };
    if (at < 0.07) return { action: { path, what: 'visit', value: this.of(STARTS) ?? '/' } };
    if (at < 0.075) return { action: { path, what: 'tab' } };
    const allowed = controls.filter(({ key }) => !this.exceptions.some((each) => each.key.test(key)));
    const fresh = allowed.filter(({ key }) => !this.pressed.has(key));
    const control = this.of(fresh.length > 0 && this.chance(0.85) ? fresh : allowed);
    if (!control) return { action: { path, what: 'visit', value: this.of(STARTS) ?? '/' } };
    const { role, name, nth, doing } = control;
    const value =
      doing === 'type'
        ? typedFor(control, this)
        : doing === 'choose'
          ? String(Math.floor(this.#random() * 12))
          : doing === 'file'
            ? String(Math.floor(this.#random() * FILES.length))
            : undefined;
    const action: Action = { path, what: doing, control: { role, name, nth } };
    return { action: value === undefined ? action : { ...action, value }, control };
  }
}

function typedFor({ role }: Control, chooser: Chooser): string {
  if (role.endsWith('color')) return chooser.of(['#112233', '#aabbcc', '#ffffff']) ?? '#000000';
  if (role.endsWith('range')) return chooser.of(['0', '1', '50', '100']) ?? '0';
  if (role.endsWith('date')) return chooser.of(['2026-12-24', '', '2030-01-01']) ?? '';
  if (role.endsWith('time')) return chooser.of(['10:30', '']) ?? '';
  if (role.endsWith('datetime-local')) return chooser.of(['2026-12-24T10:30', '']) ?? '';
  return chooser.of(TYPED) ?? '';
}

/** Drags a handle some way down and lets it go. */
async function drag(page: Page, handle: ReturnType<typeof locate>): Promise<void> {
  await handle.scrollIntoViewIfNeeded({ timeout: 2000 });
  const box = await handle.boundingBox();
  if (!box) return;
  const [x, y] = [box.x + box.width / 2, box.y + box.height / 2];
  await page.mouse.move(x, y);
  await page.mouse.down();
  for (let step = 1; step <= 6; step++) await page.mouse.move(x, y + step * 25);
  await page.mouse.up();
}

/** Does it; false where the control is not there any more. */
export async function act(page: Page, action: Action): Promise<boolean> {
  const { what, value = '' } = action;
  if (what === 'reload') await page.reload({ waitUntil: 'load' });
  else if (what === 'visit') await page.goto(value, { waitUntil: 'load' });
  else if (what === 'offline' || what === 'online') await page.context().setOffline(what === 'offline');
  else if (what === 'key') await page.keyboard.press(value);
  else if (what === 'tab') {
    const other = await page.context().newPage();
    await other.goto(new URL(page.url()).pathname, { waitUntil: 'load' });
    await other.waitForTimeout(150);
    await other.close();
  } else if (action.control) {
    const target = locate(page, action.control);
    if ((await target.count()) === 0) return false;
    if (what === 'file') {
      const file = FILES[Number(value)] ?? FILES[0];
      if (file) await target.setInputFiles({ ...file, buffer: Buffer.from(file.text) });
    } else if (what === 'choose') {
      const options = await target.locator('option:not([disabled])').count();
      await target.selectOption({ index: Number(value) % Math.max(1, options) });
    } else if (what === 'type') {
      const isNumber = action.control.role === 'input number';
      if (isNumber && !/^-?[\d.e]*$/.test(value.trim())) {
        await target.focus({ timeout: 2000 });
        await page.keyboard.press('Control+a');
        await page.keyboard.type(value.slice(0, 20));
      } else await target.fill(value, { timeout: 2000 });
      await target.blur({ timeout: 2000 });
    } else if (/^Drag /.test(action.control.name)) await drag(page, target);
    else await target.click({ timeout: 2000 });
  }
  return true;
}
