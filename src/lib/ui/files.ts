/**
 * Offers a document for download as a JSON file.
 *
 * @param name file name without its ending
 */
export function downloadJson(name: string, document: unknown): void {
  const url = URL.createObjectURL(
    new Blob([JSON.stringify(document, null, 1)], { type: 'application/json' })
  );
  const link = globalThis.document.createElement('a');
  link.href = url;
  link.download = `${name.replace(/[^\p{L}\p{N}]+/gu, '-').toLowerCase()}.json`;
  link.click();
  URL.revokeObjectURL(url);
}

/** An item is far smaller than this; a larger file is not read at all. */
export const MAX_ITEM_BYTES = 5 * 1024 * 1024;
