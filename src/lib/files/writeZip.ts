import { strToU8, zipSync } from 'fflate';

/**
 * Texts as one ZIP file.
 *
 * @example
 * zipOf({ 'page-1.svg': '<svg …' }).length > 0 // true
 */
export function zipOf(files: Readonly<Record<string, string>>): Uint8Array {
  return zipSync(Object.fromEntries(Object.entries(files).map(([name, text]) => [name, strToU8(text)])));
}
