import type { Page } from '@playwright/test';

/** What may stand on the console, each with its reason. */
const ALLOWED: readonly { pattern: RegExp; why: string }[] = [
  { pattern: /Service Worker registration blocked/, why: 'the walk keeps no copy of the application' },
  {
    pattern: /status of (404|409|422|429|503)/,
    why: 'the browser logs every refused request; the page says it in words'
  },
  {
    pattern: /net::ERR_INTERNET_DISCONNECTED|Failed to fetch|ERR_FAILED/,
    why: 'the walk itself went offline'
  },
  {
    pattern: /^(?:No demo|No example|The screen may go dark|No sound|A picture is not shown)/,
    why: 'told for whoever helps'
  }
];

/** Listens to a page: what went wrong is kept until it is asked for. */
export class Watch {
  #heard: string[] = [];
  offline = false;
  /** Things that happened outside the page: a file came, or one was asked for. */
  effects = 0;

  constructor(page: Page) {
    page.on('download', () => (this.effects += 1));
    page.on('filechooser', () => (this.effects += 1));
    page.on('pageerror', ({ message }) => this.#heard.push(`uncaught: ${message}`));
    page.on('console', (message) => {
      if (message.type() !== 'error' && message.type() !== 'warning') return;
      const text = message.text();
      if (!ALLOWED.some(({ pattern }) => pattern.test(text)))
        this.#heard.push(`console: ${text.slice(0, 300)}`);
    });
  }

  /** What was heard since it was asked last. */
  heard(): string[] {
    return this.#heard.splice(0);
  }
}

/** Begins to watch how long the page stands still. It runs in the page. */
export function watchFrames(): void {
  const kept = globalThis as unknown as { walkLongest?: number; walkBusy?: boolean };
  kept.walkLongest = 0;
  new PerformanceObserver((list) => {
    for (const { duration } of list.getEntries()) {
      const working = document.querySelector('[aria-busy=true], [role=status]') !== null;
      if (!working) kept.walkLongest = Math.max(kept.walkLongest ?? 0, duration);
    }
  }).observe({ type: 'longtask', buffered: false });
}

/** The longest the page stood still without saying that it works, ms, since it was asked last. */
export function longestTask(page: Page): Promise<number> {
  return page.evaluate(() => {
    const kept = globalThis as unknown as { walkLongest?: number };
    const longest = kept.walkLongest ?? 0;
    kept.walkLongest = 0;
    return longest;
  });
}

/** Notices that say a cause; those that blame what is not so are faults. */
export function falseNotices(page: Page, offline: boolean): Promise<string[]> {
  return page.evaluate(
    (isOffline) =>
      [...document.querySelectorAll('[data-sonner-toast], [role=alert]')].flatMap((notice) => {
        const text = notice.textContent?.replace(/\s+/g, ' ').trim() ?? '';
        if (/fault in Jolt Step/.test(text)) return [text];
        if (/storage (?:is|may be) full/.test(text)) return [text];
        return !isOffline && /server does not answer/.test(text) ? [text] : [];
      }),
    offline
  );
}
