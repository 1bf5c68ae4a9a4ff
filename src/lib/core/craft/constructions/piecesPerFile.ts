/**
 * Finished pieces that one stitching of an item’s file gives: a batch of patches, or napkins side by side, are several.
 *
 * @example
 * piecesPerFile({ construction: 'batch-patch', params: { copies: 4 } }) // 4
 */
export function piecesPerFile({
  construction,
  params = {}
}: {
  construction?: string | undefined;
  params?: Record<string, unknown>;
}): number {
  const count = (value: unknown, usual: number): number =>
    typeof value === 'number' && Number.isInteger(value) && value >= 1 && value <= 100 ? value : usual;
  if (construction === 'batch-patch') return count(params.copies, 2);
  if (construction === 'several-designs' && params.school !== 'corners') return count(params.designs, 2);
  return 1;
}
