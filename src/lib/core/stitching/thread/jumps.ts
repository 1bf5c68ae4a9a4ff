/** Where the maker has to send the machine before a stop. */
export interface Jump {
  way: 'forward' | 'back';
  to: number;
  /** Stops of the file that wait still, once it is stitched. */
  waiting: number[];
}

/**
 * The jumps of one file, stop by stop: none where the machine comes to a stop by itself. What is skipped and stitched
 * later is kept as a list; stops that are left out for good are not on it.
 *
 * @param numbers the machine’s numbers in the order of stitching; one that comes twice in a row is one stop
 *
 * @example
 * jumpsOf([1, 2, 4, 3, 5]) // [null, null, { way: 'forward', to: 4, waiting: [3] }, { way: 'back', to: 3, … }, …]
 */
export function jumpsOf(numbers: readonly number[]): (Jump | null)[] {
  const start = Math.min(...numbers);
  return numbers.map((number, at): Jump | null => {
    const before = numbers[at - 1];
    const byItself = before === undefined ? start : before + 1;
    if (number === byItself || number === before) return null;
    const later = new Set(numbers.slice(at + 1));
    const seen = new Set(numbers.slice(0, at + 1));
    const waiting = [...later].filter((each) => each < Math.max(...seen) && !seen.has(each));
    return {
      way: number > byItself ? 'forward' : 'back',
      to: number,
      waiting: waiting.sort((a, b) => a - b)
    };
  });
}

/**
 * A jump in words.
 *
 * @example
 * jumpWords({ way: 'forward', to: 9, waiting: [6, 7, 8] }) // 'Go forward to stop 9; stops 6 to 8 wait.'
 */
export function jumpWords({ way, to, waiting }: Jump): string {
  const wait =
    waiting.length === 0 ? '' : `; ${stopList(waiting)} ${waiting.length === 1 ? 'waits' : 'wait'}`;
  return `Go ${way} to stop ${to}${wait}.`;
}

/**
 * Stops by number, runs of them drawn together.
 *
 * @example
 * stopList([6, 7, 8, 11]) // 'stops 6 to 8 and 11'
 */
export function stopList(numbers: readonly number[]): string {
  const runs: [from: number, to: number][] = [];
  for (const number of numbers) {
    const run = runs.at(-1);
    if (run && number === run[1] + 1) run[1] = number;
    else runs.push([number, number]);
  }
  const words = runs.flatMap(([from, to]) =>
    to - from > 1 ? [`${from} to ${to}`] : from === to ? [String(from)] : [String(from), String(to)]
  );
  return `${numbers.length === 1 ? 'stop' : 'stops'} ${new Intl.ListFormat('en-GB').format(words)}`;
}
