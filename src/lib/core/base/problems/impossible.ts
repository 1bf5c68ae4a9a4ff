/**
 * Stands where nothing can come: a kind that was added without its branch does not compile there.
 *
 * @throws Error where something comes all the same, as from a newer file
 *
 * @example
 * switch (field.kind) { case 'length': return …; default: return impossible(field.kind); }
 */
export function impossible(nothing: never): never {
  throw new Error(`There is no branch for ${JSON.stringify(nothing)}.`);
}
