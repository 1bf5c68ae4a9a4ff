import { constructionOf } from '$lib/core/craft/constructions';
import type { Pattern } from '$lib/core/craft/sequence';
import { editStop, type Item } from '$lib/core/documents/item';
import { defaultShop, type Shop } from '$lib/core/documents/shop';
import { align, assemble, type FixedMatch } from '$lib/core/reading/matching';
import { readChart } from '$lib/core/reading/papers';
import { inShortNames } from './shortNames';

/** The worked example: a badger tab on one needle at 400 spm without a trimmer. */
export const BADGER_CHART = `1 placement grey 120 stitches 0.60 m
2 tack-down black 120 0.60 m
3 face white 1,500 8.10 m
4 cheeks pink 60 0.32 m
5 eyes black 900 4.86 m
6 outline white 420 2.10 m`;

export const NOW = '2026-11-23T10:00:00.000Z';

export function badgerShop(): Shop {
  const shop = defaultShop('shop');
  return {
    ...shop,
    machines: [
      {
        id: 'left',
        name: 'Left machine',
        needles: 1,
        heads: 1,
        setSpm: 400,
        maxSpm: 800,
        paceSpm: null,
        trimmer: false
      },
      {
        id: 'right',
        name: 'Right machine',
        needles: 6,
        heads: 1,
        setSpm: 800,
        maxSpm: 1000,
        paceSpm: null,
        trimmer: true
      }
    ]
  };
}

/** A pattern as blocks name it: what a new item is made of. */
function freshPattern(
  kind: string,
  answers: Record<string, unknown> = {}
): { pattern: Pattern; params: Record<string, unknown> } {
  const made = constructionOf(kind)?.patternOf(answers);
  if (!made?.ok) throw new Error(made?.problems.join(' ') ?? `no construction ${kind}`);
  return made;
}

/** A pattern in the short names of kept items. */
export function patternOf(
  kind: string,
  answers: Record<string, unknown> = {}
): { pattern: Pattern; params: Record<string, unknown> } {
  const made = freshPattern(kind, answers);
  return { ...made, pattern: inShortNames(kind, made.pattern) };
}

/** An item of a construction, from a chart where one is given. */
export function makeItem(
  kind: string,
  answers: Record<string, unknown> = {},
  text?: string,
  fixed: FixedMatch[] = []
): Item {
  const { pattern, params } = patternOf(kind, answers);
  const base = { id: `${kind}-1`, name: 'Test item', now: NOW, construction: kind, params };
  if (text === undefined) return assemble(pattern, base);
  const { rows } = readChart(text);
  return assemble(pattern, {
    ...base,
    chart: { text, setAside: [], rows, alignment: align(rows, pattern.expected, fixed) }
  });
}

/** An item made today, its steps called as its blocks call them. */
export function freshItem(kind: string, answers: Record<string, unknown> = {}): Item {
  const { pattern, params } = freshPattern(kind, answers);
  return assemble(pattern, { id: `${kind}-1`, name: 'Test item', now: NOW, construction: kind, params });
}

/** The tab as its maker has it: the tack-down, which is seen under the outline, in the outline’s white and not as charted. */
export function badgerTab(): Item {
  return tackedInWhite(makeItem('snap-tab', {}, BADGER_CHART));
}

/** A tab whose second stop, the tack-down, is stitched in the outline’s white. */
export function tackedInWhite(item: Item): Item {
  const white = item.threads.find(({ name }) => name === 'White')?.id;
  return editStop(item, 'stop-2', { threadId: white });
}
