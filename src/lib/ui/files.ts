/**
 * Offers content for download.
 *
 * @param name file name with its ending
 * @param type content type, as `application/pdf`
 */
export function download(name: string, content: string | Uint8Array<ArrayBuffer>, type: string): void {
  const url = URL.createObjectURL(new Blob([content], { type }));
  const link = globalThis.document.createElement('a');
  link.href = url;
  link.download = name;
  link.click();
  URL.revokeObjectURL(url);
}

/** A name as a file bears it. @example fileName('Badger tab', 'pdf') // 'badger-tab.pdf' */
export function fileName(name: string, ending: string): string {
  return `${name.replace(/[^\p{L}\p{N}]+/gu, '-').toLowerCase()}.${ending}`;
}

/**
 * Offers a document for download as a JSON file.
 *
 * @param name file name without its ending
 */
export function downloadJson(name: string, document: unknown): void {
  download(fileName(name, 'json'), JSON.stringify(document, null, 1), 'application/json');
}

/** An item is far smaller than this; a larger file is not read at all. */
export const MAX_ITEM_BYTES = 5 * 1024 * 1024;
