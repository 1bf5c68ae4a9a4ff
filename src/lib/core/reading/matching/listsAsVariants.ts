import type { Pattern } from '$lib/core/craft/sequence';
import { type Item, type Phase, stitchesOf, type Stop, type Variant } from '$lib/core/documents/item';
import type { ReadRow } from '$lib/core/reading/papers';
import { addVariant } from './addVariant';
import { align } from './align';
import { assemble } from './assemble';

/** A further list of stops on the paper an item was made from: another size, or another file. */
export interface FurtherList extends Pick<Variant, 'id' | 'name' | 'overrides'> {
  rows: ReadRow[];
  /** The construction’s pattern for it. */
  pattern: Pattern;
}

/**
 * Adds the further lists of a paper as variants. Each takes the counts of its own rows, not those of the first scaled.
 *
 * @param item made from the first list
 * @param base the construction’s pattern for the first
 *
 * @example
 * withLists(tab, pattern, [{ id: 'large', name: 'Large', overrides: { width: 120 }, rows, pattern: larger }]).variants.length // 2
 */
export function withLists(item: Item, base: Pattern, lists: readonly FurtherList[]): Item {
  return lists.reduce((grown, { id, name, overrides, rows, pattern }) => {
    const own = assemble(pattern, {
      id,
      name,
      now: item.updatedAt,
      construction: item.construction ?? '',
      params: {},
      chart: { text: '', setAside: [], rows, alignment: align(rows, pattern.expected) }
    });
    const made = addVariant(grown, { id, name, overrides }, { old: base, next: pattern });
    const counts = phasesByPlace(own);
    const phases = Object.fromEntries(
      placed(made).flatMap(([place, stop]): [string, Phase[]][] => {
        const charted = counts.get(place);
        return charted ? [[stop.id, charted]] : [];
      })
    );
    return {
      ...made,
      variants: made.variants.map((variant) =>
        variant.id === id ? { ...variant, phases: { ...variant.phases, ...phases } } : variant
      )
    };
  }, item);
}

/** Stops with what they are in their construction: the stop expected, and which of several of it. */
function placed(item: Item): [place: string, stop: Stop][] {
  const seen = new Map<string, number>();
  return item.files.flatMap(({ stops }) =>
    stops.flatMap((stop): [string, Stop][] => {
      if (stop.expects === undefined) return [];
      const nth = seen.get(stop.expects) ?? 0;
      seen.set(stop.expects, nth + 1);
      return [[`${stop.expects} ${nth}`, stop]];
    })
  );
}

function phasesByPlace(item: Item): Map<string, Phase[]> {
  return new Map(
    placed(item).flatMap(([place, stop]) =>
      stop.countSource === 'chart' && stitchesOf(stop) > 0 ? [[place, stop.phases]] : []
    )
  );
}
