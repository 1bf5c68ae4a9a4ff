import { pathArea, pathLength } from '$lib/core/base/geometry';
import { roundTo } from '$lib/core/base/units';
import { findLine, forVariant, type Item, stitchesOf } from '$lib/core/documents/item';
import type { LearnedCount } from '$lib/core/documents/shop';

/** What the craft reckons with: stitches to a millimetre of edge, and to a square millimetre of fill. */
const DEFAULT_PER = { edge: 7.5, fill: 0.5 } as const;
/** Log of how far houses differ from the default (a factor of 1.6, four times in five), and one item of a house from the next. */
const BETWEEN_HOUSES = 0.367;
const BETWEEN_ITEMS = 0.2;
/** Four times in five lie within so many sigmas. */
const Z80 = 1.2816;

interface Seen {
  house: string;
  kind: LearnedCount['kind'];
  /** Log of the count over what the default reckons with. */
  log: number;
}

/**
 * What charted items whose outlines are known tell of counts that nobody has charted: by house, and of the whole workroom.
 * Few items move the default only part of the way (a normal of the logarithm, weighed against how far houses differ).
 *
 * @example
 * countsFromItems([toppersOfOneHouse]).find(({ kind }) => kind === 'edge')?.times // 1.2: 9 a millimetre and not 7.5
 */
export function countsFromItems(items: readonly Item[]): LearnedCount[] {
  const seen = items.flatMap(seenIn);
  const houses = [...new Set(seen.map(({ house }) => house)), ''];
  return [...new Set(houses)].flatMap((house) =>
    (['edge', 'fill'] as const).flatMap((kind): LearnedCount[] => {
      const own = seen.filter((each) => each.kind === kind && (house === '' || each.house === house));
      if (own.length === 0) return [];
      const precision = 1 / BETWEEN_HOUSES ** 2 + own.length / BETWEEN_ITEMS ** 2;
      const mean = own.reduce((sum, { log }) => sum + log, 0) / BETWEEN_ITEMS ** 2 / precision;
      const sigma = Math.sqrt(1 / precision + BETWEEN_ITEMS ** 2);
      const rounded = (value: number): number => roundTo(value, 3);
      return [
        {
          house,
          kind,
          times: rounded(Math.exp(mean)),
          factor: rounded(Math.exp(Z80 * sigma)),
          items: own.length
        }
      ];
    })
  );
}

/** One item is one word: its charted edges together, and its charted fill over the areas that bound it. */
function seenIn(whole: Item): Seen[] {
  const item = forVariant(whole, whole.variants[0]?.id);
  const totals = { edge: { stitches: 0, default: 0 }, fill: { stitches: 0, default: 0 } };
  const fields = new Set<string>();
  for (const stop of item.files.flatMap(({ stops }) => stops)) {
    const kind =
      stop.role === 'satin-edge' || stop.role === 'applique-edge'
        ? 'edge'
        : stop.role === 'decoration'
          ? 'fill'
          : undefined;
    const lines = stop.lineIds.flatMap((id) => findLine(item, id) ?? []);
    if (stop.countSource !== 'chart' || !kind || lines.length === 0) continue;
    totals[kind].stitches += stitchesOf(stop);
    for (const { id, path } of lines) {
      // Colours that share a field fill it together.
      if (kind === 'fill' && fields.has(id)) continue;
      fields.add(id);
      totals[kind].default += DEFAULT_PER[kind] * (kind === 'edge' ? pathLength(path) : pathArea(path));
    }
  }
  return (['edge', 'fill'] as const).flatMap((kind): Seen[] => {
    const { stitches, default: reckoned } = totals[kind];
    if (stitches === 0 || reckoned === 0) return [];
    return [{ house: item.house ?? '', kind, log: Math.log(stitches / reckoned) }];
  });
}
