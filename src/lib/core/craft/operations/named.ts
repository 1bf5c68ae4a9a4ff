/**
 * Whether a stop is named for a piece: every word of the piece’s name stands in it, “backing” for BACK too.
 *
 * @example
 * isNamedFor('Backing tack-down', 'BACK') // true
 */
export function isNamedFor(stopName: string, pieceName: string): boolean {
  const words = stopName.toLowerCase().split(/[^\p{L}\d]+/u);
  return pieceName
    .toLowerCase()
    .split(/\s+/)
    .every((word) => words.some((own) => own === word || own === `${word}ing`));
}
