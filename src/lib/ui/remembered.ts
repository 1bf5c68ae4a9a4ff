import { messageOf } from '$lib/core/base/problems';

/** What the browser remembers beside its database: the theme, a place in the tour. */

/** Remembers a word, or forgets it for null. Where the browser lets nothing be kept it lasts as long as the page. */
export function remember(key: string, value: string | null): void {
  try {
    if (value === null) localStorage.removeItem(key);
    else localStorage.setItem(key, value);
  } catch (problem) {
    console.info(`${key} is not remembered: ${messageOf(problem)}`);
  }
}

/** What was remembered; null for nothing. */
export function remembered(key: string): string | null {
  try {
    return localStorage.getItem(key);
  } catch (problem) {
    console.info(`${key} cannot be read: ${messageOf(problem)}`);
    return null;
  }
}
