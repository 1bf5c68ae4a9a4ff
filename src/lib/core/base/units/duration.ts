/**
 * Writes a time so that it reads at a glance: seconds up to a minute, then minutes, then hours.
 *
 * @param seconds a time in seconds
 * @returns for instance `22 s`, `1 min 7 s`, `13 min`, `1 h 10`
 *
 * @example
 * formatDuration(67) // '1 min 7 s'
 * formatDuration(4200) // '1 h 10'
 */
export function formatDuration(seconds: number): string {
  const whole = Math.round(seconds);
  if (whole < 60) return `${whole} s`;
  if (whole < 600) {
    const rest = whole % 60;
    return rest === 0 ? `${whole / 60} min` : `${Math.floor(whole / 60)} min ${rest} s`;
  }
  return formatMinutes(whole);
}

/**
 * Writes a time to the nearest minute, for totals.
 *
 * @example
 * formatMinutes(492) // '8 min'
 * formatMinutes(5400) // '1 h 30'
 */
export function formatMinutes(seconds: number): string {
  if (seconds > 0 && seconds < 30) return 'under 1 min';
  const minutes = Math.round(seconds / 60);
  if (minutes < 60) return `${minutes} min`;
  const rest = minutes % 60;
  const hours = Math.floor(minutes / 60);
  return rest === 0 ? `${hours} h` : `${hours} h ${String(rest).padStart(2, '0')}`;
}

/**
 * Writes a running clock.
 *
 * @example
 * formatClock(67) // '1:07'
 */
export function formatClock(seconds: number): string {
  const whole = Math.max(0, Math.floor(seconds));
  const hours = Math.floor(whole / 3600);
  const minutes = Math.floor((whole % 3600) / 60);
  const rest = String(whole % 60).padStart(2, '0');
  return hours > 0 ? `${hours}:${String(minutes).padStart(2, '0')}:${rest}` : `${minutes}:${rest}`;
}

const DURATION =
  /^(?:(\d+(?:[.,]\d+)?)\s*h(?:ours?)?)?\s*(?:(\d+(?:[.,]\d+)?)\s*(?:m|min|minutes?|$))?\s*(?:(\d+)\s*s(?:ec|econds?)?)?$/i;

/**
 * Reads a time as a maker types it; a number alone is minutes.
 *
 * @returns seconds; undefined where it is no time
 *
 * @example
 * parseDuration('1 h 10') // 4200
 * parseDuration('2 min 30 s') // 150
 */
export function parseDuration(text: string): number | undefined {
  const clock = /^(\d+):([0-5]\d)(?::([0-5]\d))?$/.exec(text.trim());
  if (clock) {
    const [first, second, third] = clock
      .slice(1)
      .map((part) => (part === undefined ? undefined : Number(part)));
    return third === undefined
      ? (first ?? 0) * 60 + (second ?? 0)
      : (first ?? 0) * 3600 + (second ?? 0) * 60 + third;
  }
  const found = DURATION.exec(text.trim());
  if (!found || text.trim() === '') return undefined;
  const number = (part: string | undefined): number => Number((part ?? '0').replace(',', '.'));
  return Math.round(number(found[1]) * 3600 + number(found[2]) * 60 + number(found[3]));
}
