type Library = typeof import('pdfjs-dist/legacy/build/pdf.mjs');
let loaded: Promise<Library> | undefined;

/** The library that reads PDFs, with its worker in the same thread: readers run in a worker of their own, or on the server. */
export function pdfLibrary(): Promise<Library> {
  loaded ??= load().catch((problem: unknown) => {
    // What could not be fetched once may be there the next time.
    loaded = undefined;
    throw problem;
  });
  return loaded;
}

async function load(): Promise<Library> {
  // On a server the library takes these from an optional native package. They are for drawing pages; text is read without them.
  if (!('DOMMatrix' in globalThis))
    Object.assign(globalThis, { DOMMatrix: NothingDrawn, Path2D: NothingDrawn });
  const worker = await import('pdfjs-dist/legacy/build/pdf.worker.mjs');
  Object.assign(globalThis, { pdfjsWorker: worker });
  return import('pdfjs-dist/legacy/build/pdf.mjs');
}

/** Stands where a drawing would be, on a server that draws nothing. */
class NothingDrawn {}
