import { remember } from './remembered';

const KEY = 'jolt-step.theme';

/** Day or night, as static/theme.js set it before the first paint. */
class Theme {
  #night = $state(document.documentElement.dataset.theme === 'night');

  get night(): boolean {
    return this.#night;
  }

  /** Changes between day and night and remembers it. */
  turn(): void {
    this.#night = !this.#night;
    const wish = this.#night ? 'night' : 'day';
    document.documentElement.dataset.theme = wish;
    remember(KEY, wish);
  }
}

export const theme = new Theme();
