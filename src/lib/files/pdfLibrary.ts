type Library = typeof import('pdfjs-dist/legacy/build/pdf.mjs');
let loaded: Promise<Library> | undefined;

/** The library that reads PDFs, with its worker in the same thread: readers run in a worker of their own, or on the server. */
export function pdfLibrary(): Promise<Library> {
  loaded ??= (async () => {
    const worker = await import('pdfjs-dist/legacy/build/pdf.worker.mjs');
    Object.assign(globalThis, { pdfjsWorker: worker });
    return import('pdfjs-dist/legacy/build/pdf.mjs');
  })();
  return loaded;
}
