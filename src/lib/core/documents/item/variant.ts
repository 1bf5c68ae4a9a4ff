import type { Item, Variant } from './schema';

/** The variant of an id, or the first. */
export function variantOf(item: Item, variantId: string | undefined): Variant | undefined {
  return item.variants.find(({ id }) => id === variantId) ?? item.variants[0];
}

/**
 * The item as one of its variants has it: what the variants share stays, lines and stitches that differ take its own,
 * and steps and pieces of other variants are left out.
 *
 * @example
 * forVariant(tab, 'large').lines[0]?.path // the outline of the large tab
 */
export function forVariant(item: Item, variantId: string | undefined): Item {
  const variant = variantOf(item, variantId);
  if (!variant) return item;
  const { lines, phases } = variant;
  const has = ({ only }: { only?: string[] | undefined }): boolean =>
    only === undefined || only.includes(variant.id);
  if (item.steps.every(has) && item.pieces.every(has) && isEmpty(lines) && isEmpty(phases)) return item;
  return {
    ...item,
    lines: item.lines.map((line) => ({ ...line, ...lines[line.id] })),
    files: item.files.map((file) => ({
      ...file,
      stops: file.stops.map((stop) => ({ ...stop, phases: phases[stop.id] ?? stop.phases }))
    })),
    pieces: item.pieces.filter(has),
    steps: item.steps.filter(has)
  };
}

function isEmpty(record: object): boolean {
  return Object.keys(record).length === 0;
}
