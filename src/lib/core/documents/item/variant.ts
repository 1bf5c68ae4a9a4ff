import type { Hooping, Item, Variant } from './schema';

/** The variant of an id, or the first. */
export function variantOf(item: Item, variantId: string | undefined): Variant | undefined {
  return item.variants.find(({ id }) => id === variantId) ?? item.variants[0];
}

/**
 * The item as one of its variants has it: what the variants share stays, lines, stitches, pieces and hand steps that
 * differ take its own, and steps and pieces of other variants are left out.
 *
 * @example
 * forVariant(tab, 'large').lines[0]?.path // the outline of the large tab
 */
export function forVariant(item: Item, variantId: string | undefined): Item {
  const variant = variantOf(item, variantId);
  if (!variant) return item;
  const { lines, phases, pieces, ops } = variant;
  const has = ({ only }: { only?: string[] | undefined }): boolean =>
    only === undefined || only.includes(variant.id);
  if (item.steps.every(has) && item.pieces.every(has) && [lines, phases, pieces, ops].every(isEmpty))
    return item;
  return {
    ...item,
    lines: item.lines.map((line) => ({ ...line, ...lines[line.id] })),
    files: item.files.map((file) => ({
      ...file,
      stops: file.stops.map((stop) => ({ ...stop, phases: phases[stop.id] ?? stop.phases }))
    })),
    hoopings: item.hoopings.map((hooping) => ({ ...hooping, hooped: hoopedIn(item, hooping, ops) })),
    pieces: item.pieces.filter(has).map((piece) => ({ ...piece, ...pieces[piece.id] })),
    steps: item.steps
      .filter(has)
      .map((step) => (step.kind === 'hand' ? { ...step, op: ops[step.id] ?? step.op } : step))
  };
}

/** What the ring clamps, where the step that hoops it is done otherwise. */
function hoopedIn(item: Item, { id, hooped }: Hooping, ops: Variant['ops']): string[] {
  const own = item.steps.flatMap(({ id: stepId, hoopingId }) => {
    const op = hoopingId === id ? ops[stepId] : undefined;
    return op?.do === 'hoop' ? op.pieceIds : [];
  });
  return own.length > 0 ? own : hooped;
}

function isEmpty(record: object): boolean {
  return Object.keys(record).length === 0;
}
