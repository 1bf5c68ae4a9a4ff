import boldLatin from '@fontsource/atkinson-hyperlegible-next/files/atkinson-hyperlegible-next-latin-700-normal.woff?url';
import boldMore from '@fontsource/atkinson-hyperlegible-next/files/atkinson-hyperlegible-next-latin-ext-700-normal.woff?url';
import italicLatin from '@fontsource/atkinson-hyperlegible-next/files/atkinson-hyperlegible-next-latin-400-italic.woff?url';
import italicMore from '@fontsource/atkinson-hyperlegible-next/files/atkinson-hyperlegible-next-latin-ext-400-italic.woff?url';
import plainLatin from '@fontsource/atkinson-hyperlegible-next/files/atkinson-hyperlegible-next-latin-400-normal.woff?url';
import plainMore from '@fontsource/atkinson-hyperlegible-next/files/atkinson-hyperlegible-next-latin-ext-400-normal.woff?url';
import {
  type FontFiles,
  jobSheetPdf,
  needleSheetPdf,
  openFile,
  quotePdf,
  sheetPdf,
  shoppingPdf,
  templatesPdf
} from '$lib/files';
import { expose } from 'comlink';

async function read(urls: readonly string[]): Promise<Uint8Array[]> {
  return Promise.all(urls.map(async (url) => new Uint8Array(await (await fetch(url)).arrayBuffer())));
}

/** The typeface that ships with the application. */
async function fonts(): Promise<FontFiles> {
  const [plain, bold, italic] = await Promise.all([
    read([plainLatin, plainMore]),
    read([boldLatin, boldMore]),
    read([italicLatin, italicMore])
  ]);
  return { plain, bold, italic };
}

/** A writer of PDFs, given the typeface. */
const withFonts =
  <A extends unknown[]>(write: (...args: [...A, FontFiles]) => Promise<Uint8Array>) =>
  async (...args: A): Promise<Uint8Array> =>
    write(...args, await fonts());

const worker = {
  openFile,
  jobSheetPdf: withFonts(jobSheetPdf),
  needleSheetPdf: withFonts(needleSheetPdf),
  quotePdf: withFonts(quotePdf),
  sheetPdf: withFonts(sheetPdf),
  shoppingPdf: withFonts(shoppingPdf),
  templatesPdf: withFonts(templatesPdf)
};
export type FilesWorker = typeof worker;

expose(worker);
