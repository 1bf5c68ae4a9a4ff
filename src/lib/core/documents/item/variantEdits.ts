import type { Item } from './schema';

/** Calls a variant otherwise. */
export function renameVariant(item: Item, variantId: string, name: string): Item {
  return {
    ...item,
    variants: item.variants.map((variant) => (variant.id === variantId ? { ...variant, name } : variant))
  };
}

/**
 * Takes a variant out, with the steps, pieces and stops that only it had. The first stays: the others are told by what differs
 * from it.
 *
 * @throws RangeError for the first variant, and for one the item does not have
 */
export function removeVariant(item: Item, variantId: string): Item {
  const at = item.variants.findIndex(({ id }) => id === variantId);
  if (at < 1) throw new RangeError('The first variant is what the others differ from, so it stays.');
  const left = item.variants.filter(({ id }) => id !== variantId).map(({ id }) => id);
  const without = <T extends { only?: string[] | undefined }>(part: T): T[] => {
    if (part.only === undefined) return [part];
    const only = part.only.filter((id) => left.includes(id));
    if (only.length === 0) return [];
    return [{ ...part, only: left.every((id) => only.includes(id)) ? undefined : only }];
  };
  const steps = item.steps.flatMap(without);
  const ids = new Set(steps.map(({ id }) => id));
  const gone = new Set(
    item.steps.filter(({ id }) => !ids.has(id)).flatMap((step) => (step.kind === 'stop' ? step.stopId : []))
  );
  const used = new Set(steps.flatMap((step) => (step.kind === 'stop' ? step.stopId : [])));
  return {
    ...item,
    variants: item.variants.filter(({ id }) => id !== variantId),
    pieces: item.pieces.flatMap(without),
    steps: steps.map((step) => ({ ...step, needs: step.needs.filter((need) => ids.has(need)) })),
    files: item.files.map((file) => ({
      ...file,
      stops: file.stops.filter(({ id, chart }) => chart !== undefined || used.has(id) || !gone.has(id))
    })),
    remarks: item.remarks.filter(({ stepId }) => stepId === undefined || ids.has(stepId)),
    answers: item.answers.filter(({ stepId }) => stepId === undefined || ids.has(stepId))
  };
}
