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

/** How a control was come to, so that it can be come to again: the page it stands on, or the press that shows it. */
interface Way {
  path: string;
  control: Pick<Control, 'key' | 'role' | 'name' | 'nth' | 'doing'>;
  /** The control whose press showed it; null where it stands there when the page is opened. */
  via: string | null;
  /** How often it was gone to in vain. */
  tries: number;
}

/** Ways longer than this are not gone again, and none so often in vain. */
const [MOST_STEPS, MOST_TRIES] = [4, 2];
/** What a fresh browser does not have: something that was made on the way. */
const MADE_ON_THE_WAY = /[0-9a-f]{8}-[0-9a-f]{4}-/;

/** Chooses what to do next: what was never pressed first, gone back to where it was seen. */
export class Chooser {
  readonly #random: () => number;
  readonly #ways = new Map<string, Way>();
  /** What is still to be pressed on the way to something seen before. */
  #planned: Way[] = [];
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

  /** Keeps how the controls on the page were come to, by the press before, if any. */
  learn(path: string, controls: readonly Control[], pressed: Control | undefined, cameFrom: string): void {
    for (const { key, role, name, nth, doing } of controls) {
      if (this.#ways.has(key)) continue;
      const shown = pressed && (cameFrom === path || MADE_ON_THE_WAY.test(path)) ? pressed.key : null;
      this.#ways.set(key, { path, control: { key, role, name, nth, doing }, via: shown, tries: 0 });
    }
  }

  /** Forgets where it was going, as the browser is a new one. */
  afresh(): void {
    this.#planned = [];
  }

  /** The way to a control from an open address; null where it is too long or stands on something made on the way. */
  #wayTo(key: string): Way[] | null {
    const steps: Way[] = [];
    for (let at = this.#ways.get(key); at; at = at.via === null ? undefined : this.#ways.get(at.via)) {
      if (steps.includes(at) || steps.length >= MOST_STEPS) return null;
      steps.unshift(at);
    }
    return steps[0] && !MADE_ON_THE_WAY.test(steps[0].path) ? steps : null;
  }

  /** Sets out for something never pressed that was seen elsewhere; the visit it begins with. */
  #setOut(path: string): { action: Action } | null {
    const wanted = [...this.#ways.values()].filter(
      ({ control: { key }, tries }) =>
        tries < MOST_TRIES && !this.pressed.has(key) && !this.exceptions.some((each) => each.key.test(key))
    );
    for (let tries = 0; tries < 10; tries++) {
      const goal = this.of(wanted);
      const way = goal && this.#wayTo(goal.control.key);
      if (goal) goal.tries += 1;
      if (!way?.[0]) continue;
      this.#planned = way;
      return { action: { path, what: 'visit', value: way[0].path } };
    }
    return null;
  }

  #asPlanned(path: string, controls: readonly Control[]): { action: Action; control: Control } | null {
    const [step, ...rest] = this.#planned;
    this.#planned = rest;
    const there = step && controls.find(({ key }) => key === step.control.key);
    if (!there) this.#planned = [];
    return there ? this.#doing(path, there) : null;
  }

  next(path: string, controls: readonly Control[]): { action: Action; control?: Control } {
    const planned = this.#asPlanned(path, controls);
    if (planned) return planned;
    const at = this.#random();
    if (at < 0.04) return { action: { path, what: 'key', value: this.of(KEYS) ?? 'Escape' } };
    if (at < 0.055) return { action: { path, what: 'reload' } };
    if (at < 0.07) return { action: { path, what: 'visit', value: this.of(STARTS) ?? '/' } };
    if (at < 0.075) return { action: { path, what: 'tab' } };
    const allowed = controls.filter(({ key }) => !this.exceptions.some((each) => each.key.test(key)));
    const fresh = allowed.filter(({ key }) => !this.pressed.has(key));
    const elsewhere = fresh.length === 0 && this.chance(0.85) ? this.#setOut(path) : null;
    if (elsewhere) return elsewhere;
    const control = this.of(fresh.length > 0 && this.chance(0.85) ? fresh : allowed);
    return control
      ? this.#doing(path, control)
      : { action: { path, what: 'visit', value: this.of(STARTS) ?? '/' } };
  }

  #doing(path: string, control: Control): { action: Action; control: Control } {
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
