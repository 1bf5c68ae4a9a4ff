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
    try {
      localStorage.setItem(KEY, wish);
    } catch {
      // Without storage the choice lasts as long as the page.
    }
  }
}

export const theme = new Theme();
