import { remember, remembered } from '$lib/ui/remembered';

/** One thing the first visit shows: where, and what to look at. */
export interface TourStop {
  path: string;
  title: string;
  words: string;
  /** What is marked on the page, as a CSS selector. */
  marks?: string;
}

/** Five minutes through one item of the demo stall. */
export const TOUR: readonly TourStop[] = [
  {
    path: '/items',
    title: 'The shelf',
    words:
      'Every item with its picture, its times and its ribbon: what the needle does stands on the line, what your hands do hangs below.',
    marks: 'a[href="/items/badger-tab"]'
  },
  {
    path: '/items/badger-tab',
    title: 'One sheet',
    words:
      'Chart and instructions in one list. Press a step: the hoop shows what lies there, at an angle or from the side, and why it lies so.',
    marks: 'section[aria-label="Steps"]'
  },
  {
    path: '/items/badger-tab/blocks',
    title: 'What it is built of',
    words:
      'Blocks in the order of the work. Put one in between, and the sheet, the cuts and the times follow.',
    marks: 'nav[aria-label="The item, block by block"]'
  },
  {
    path: '/items/badger-tab/colours',
    title: 'Its colours',
    words: 'Try cloths and threads side by side, from your stash first, before anything is cut.'
  },
  {
    path: '/items/badger-tab/cut',
    title: 'What to cut',
    words: 'Each piece with its size, laid out on the cloth you have, with what is missing.'
  },
  {
    path: '/items/badger-tab/thread',
    title: 'Thread and bobbin',
    words:
      'What is on the needle when, how much each stop takes, and where a bobbin would run out in an edge that shows.'
  },
  {
    path: '/items/badger-tab',
    title: 'At the machine',
    words:
      '“Stitch it” leads you stop by stop in letters that read from two metres. Try it: nothing is stitched until you press Start, and “Leave it here” comes back.',
    marks: 'button.button-main'
  }
];

const KEY = 'jolt-step.tour';

/** Where the first visit stands; it can be left at any time and found again in the guide. */
class Tour {
  #at = $state<number | null>(read());

  get at(): number | null {
    return this.#at;
  }
  get stop(): TourStop | null {
    return this.#at === null ? null : (TOUR[this.#at] ?? null);
  }

  /** Goes to a place of the tour; beyond its end, and for null, it is over. */
  go(at: number | null): TourStop | null {
    this.#at = at === null || at < 0 || at >= TOUR.length ? null : at;
    remember(KEY, this.#at === null ? null : String(this.#at));
    return this.stop;
  }
}

function read(): number | null {
  const kept = remembered(KEY);
  const at = kept === null ? NaN : Number(kept);
  return Number.isInteger(at) && at >= 0 && at < TOUR.length ? at : null;
}

export const tour = new Tour();
