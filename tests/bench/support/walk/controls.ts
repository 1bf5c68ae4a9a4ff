import type { Page } from '@playwright/test';

/** What is done to a control. */
export type Doing = 'press' | 'type' | 'choose' | 'file';

/** A control as it is found on a screen: by its role and name, never listed by hand. */
export interface Control {
  /** Route, role and name without what differs from item to item: the same control on every item is one. */
  key: string;
  route: string;
  role: string;
  name: string;
  /** Which of the controls of this role and name on the page, from 0. */
  nth: number;
  doing: Doing;
  /** Pressing it again need not change anything: it is chosen already, or leads to this very page. */
  settled: boolean;
}

/** The pattern of a path. @example routeOf('/items/badger-tab/cut') // '/items/[]/cut' */
function routeOf(path: string): string {
  return path
    .replace(/^\/(items|run|orders|log|guide)\/(?!new$|new\/|words)([^/]+)/, '/$1/[]')
    .replace(/\/$/, '/');
}

/** A name without what is of one item alone: what an undo takes back, figures and sizes, what is quoted. */
function saidOf(name: string): string {
  return name
    .replace(/^(Undo|Redo):.*/, '$1')
    .replace(/“[^”]*”/g, '“…”')
    .replace(/\d+[⁄/]\d+|\d+(?:[.,]\d+)?|[¼½¾⅛⅜⅝⅞]/g, '#')
    .replace(/#(?:\s?#)+/g, '#')
    .replace(/^.*?(# × #)/, '… $1')
    .slice(0, 60);
}

/** Every control that can be seen and used just now; those of a dialog alone where one is open. */
export async function controlsOf(page: Page): Promise<Control[]> {
  const found = await page.evaluate(() => {
    const SELECTOR =
      'a[href], button, input:not([type=hidden]), select, textarea, summary, [role=button], [role=tab], [role=menuitem], [role=option], [role=radio], [role=checkbox], [role=switch], [role=slider]';
    const dialogs = [...document.querySelectorAll<HTMLElement>('[role=dialog], [role=alertdialog]')];
    const root: ParentNode = dialogs.at(-1) ?? document;
    const counts = new Map<string, number>();
    return [...root.querySelectorAll<HTMLElement>(SELECTOR)].flatMap((element) => {
      const box = element.getBoundingClientRect();
      const isFile = element instanceof HTMLInputElement && element.type === 'file';
      const style = getComputedStyle(element);
      const seen = box.width > 0 && box.height > 0 && style.visibility !== 'hidden';
      if (!(seen || isFile) || element.closest('[inert], [aria-hidden=true]:not(svg)')) return [];
      if ((element as HTMLButtonElement).disabled || element.getAttribute('aria-disabled') === 'true')
        return [];
      const tag = element.tagName.toLowerCase();
      const type = element instanceof HTMLInputElement ? element.type : '';
      const role =
        element.getAttribute('role') ?? (tag === 'a' ? 'link' : tag === 'input' ? `input ${type}` : tag);
      const labelled = element.getAttribute('aria-labelledby');
      const name = (
        element.getAttribute('aria-label') ??
        (labelled ? document.getElementById(labelled)?.textContent : null) ??
        (element as HTMLInputElement).labels?.[0]?.textContent ??
        (element.textContent?.trim() ||
          element.getAttribute('title') ||
          element.getAttribute('placeholder') ||
          '')
      )
        .replace(/\s+/g, ' ')
        .trim();
      // Rows of a list are one control each, whatever stands in them.
      const list = element.closest('ol, ul, tbody');
      const row = element.closest('li, tr');
      const isRow = list !== null && row !== null && list.children.length > 1 && !element.closest('nav');
      const rowName = isRow
        ? `row: ${[...row.querySelectorAll(SELECTOR)].indexOf(element)} of ${list.getAttribute('aria-label') ?? list.closest('section, aside, table')?.getAttribute('aria-label') ?? ''}`
        : null;
      const id = `${role} ${name}`;
      const nth = counts.get(id) ?? 0;
      counts.set(id, nth + 1);
      element.setAttribute('data-walk', `${id} ${nth}`);
      const typed = ['text', 'number', 'search', 'date', 'time', 'datetime-local', 'color', 'range', ''];
      const doing = isFile
        ? 'file'
        : tag === 'select'
          ? 'choose'
          : tag === 'textarea' || (tag === 'input' && typed.includes(type))
            ? 'type'
            : 'press';
      const state = ['aria-pressed', 'aria-selected', 'aria-checked'].some(
        (attribute) => element.getAttribute(attribute) === 'true'
      );
      const current = element.getAttribute('aria-current');
      const settled =
        state ||
        (current !== null && current !== 'false') ||
        (element instanceof HTMLAnchorElement &&
          (element.pathname === location.pathname || element.hasAttribute('download'))) ||
        (element instanceof HTMLInputElement && element.type === 'radio' && element.checked);
      // What stands on every page is one control wherever it is pressed.
      const everywhere =
        element.closest('nav[aria-label="Rooms"], [data-sonner-toaster], #rail') !== null ||
        /^(?:Undo|Redo|Night colours|Day colours|To the page|JoltStep)/.test(name);
      return [
        {
          role,
          name,
          rowName,
          nth,
          doing: doing as 'press',
          settled,
          path: everywhere ? '*' : location.pathname
        }
      ];
    });
  });
  return found.map(({ path, rowName, ...control }) => {
    const route = routeOf(path);
    const name = control.role === 'option' ? 'one of those found' : saidOf(rowName ?? control.name);
    return { ...control, route, key: `${route} | ${control.role} | ${name}` };
  });
}

/** A control on the page, as it was found last. */
export const locate = (page: Page, { role, name, nth }: Pick<Control, 'role' | 'name' | 'nth'>) =>
  page.locator(`[data-walk=${JSON.stringify(`${role} ${name} ${nth}`)}]`).first();
