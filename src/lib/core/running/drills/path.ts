import { constructionOf } from '$lib/core/craft/constructions';
import type { Item } from '$lib/core/documents/item';
import { assemble } from '$lib/core/reading/matching';
import type { Practised } from './schedule';

/** An item on a beginner’s path, and what it teaches that the one before did not. */
export interface Station {
  kind: string;
  name: string;
  teaches: string;
}

/** Six items, each with something new. */
const PATH: readonly { kind: string; teaches: string }[] = [
  { kind: 'plain-embroidery', teaches: 'hooping, threads in order, halts' },
  { kind: 'patch', teaches: 'placement, tack-down, trimming in the hoop, a satin edge' },
  { kind: 'snap-tab', teaches: 'a back laid under the hoop, cutting out' },
  { kind: 'lace', teaches: 'a film that washes away, nothing below' },
  { kind: 'turned-flat', teaches: 'right sides together, an opening, turning' },
  { kind: 'zip-pouch', teaches: 'a zip, flips, linings, turning through it' }
];
/** Right answers that a station takes, and the share of all its answers. */
const RIGHT = 6;
const SHARE = 0.75;
const PREFIX = 'path-';
const MADE = '2026-01-01T00:00:00.000Z';

/** Where somebody stands on the path: each station with its answers, and which is the next. */
export function pathOf(known: Practised): {
  stations: (Station & { right: number; all: number; done: boolean })[];
  next: number;
} {
  const stations = PATH.flatMap(({ kind, teaches }) => {
    const construction = constructionOf(kind);
    if (!construction) return [];
    const { right, wrong } = known.items[`${PREFIX}${kind}`] ?? { right: 0, wrong: 0 };
    const all = right + wrong;
    return [
      { kind, name: construction.name, teaches, right, all, done: right >= RIGHT && right / all >= SHARE }
    ];
  });
  const next = stations.findIndex(({ done }) => !done);
  return { stations, next: next < 0 ? stations.length : next };
}

/**
 * The item of a station, as its construction makes it; it lies on no shelf.
 *
 * @example
 * stationItem('patch')?.name // 'Patch'
 */
export function stationItem(kind: string): Item | null {
  const construction = constructionOf(kind);
  const made = construction?.patternOf(construction.defaults);
  if (!construction || !made?.ok) return null;
  return assemble(made.pattern, {
    id: `${PREFIX}${kind}`,
    name: construction.name,
    now: MADE,
    construction: kind,
    params: made.params
  });
}
