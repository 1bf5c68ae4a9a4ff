import { saying, threadIn } from './saying';

const say = (count: number): string => count.toLocaleString('en');

/** Sayings about what the making of an item from its chart left open, and about what its plan had to take instead. */
export const CHART_SAYINGS = {
  'chart/no-row': saying<{ stop: string }>(
    'warn',
    ({ stop }) =>
      `Your chart has no row for the ${stop}. Its hand steps stay; check which stop of your file does this.`,
    ''
  ),
  'chart/no-count': saying<{ stop: number }>(
    'warn',
    ({ stop }) => `Stop ${stop} has no stitch count, so its time is not counted.`,
    ''
  ),
  'chart/guessed': saying<{
    stops: number;
    items: number;
    stitches: number;
    low: number;
    high: number;
    threadLowM: number;
    threadHighM: number;
    bobbinLowM: number;
    bobbinHighM: number;
    unit: string;
  }>(
    'note',
    ({ stops, items, stitches, low, high, threadLowM, threadHighM, bobbinLowM, bobbinHighM, unit }) =>
      `Nobody has charted ${stops === 1 ? 'this stop' : `these ${stops} stops`}: about ${say(stitches)} stitches, ${say(low)} to ${say(high)}; ` +
      `${threadIn(threadLowM, unit)} to ${threadIn(threadHighM, unit)} of thread, ${threadIn(bobbinLowM, unit)} to ${threadIn(bobbinHighM, unit)} from the bobbin. ` +
      (items === 0
        ? 'It rests on what most files have.'
        : `It rests on ${items} charted ${items === 1 ? 'item' : 'items'} of yours.`),
    ''
  ),
  'chart/extra': saying<{ stop: number | null }>(
    'note',
    ({ stop }) =>
      `Stop ${stop ?? ''} is extra: the pattern does not expect it. It stays where your chart has it.`,
    ''
  ),
  'chart/again': saying<{ stop: number | null }>(
    'note',
    ({ stop }) => `Stop ${stop ?? ''} runs again here: send the machine back to it before you start.`,
    ''
  ),
  /** A remark that an older version kept as a sentence. */
  'chart/said': saying<{ text: string }>('note', ({ text }) => text, ''),
  'setup/gone': saying<{ what: string; used: string }>(
    'warn',
    ({ what, used }) => `The ${what} of this item is no longer in the shop. Planned with ${used}.`,
    ''
  )
};
