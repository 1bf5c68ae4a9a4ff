declare module 'pdfjs-dist/legacy/build/pdf.worker.mjs' {
  /** The worker side of the library; it is only handed on. */
  export const WorkerMessageHandler: unknown;
}
