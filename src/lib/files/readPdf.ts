import { messageOf } from '$lib/core/base/problems';
import type { Page, Paper, PaperWord } from '$lib/core/reading/pages';
import { LIMITS, sizeWords } from './limits';
import { unpacksTooMuch } from './pdfStreams';
import { pdfLibrary } from './pdfLibrary';

export type PdfReading =
  | { ok: true; paper: Paper; pages: number; skipped: number }
  | { ok: false; code: 'broken' | 'locked' | 'scanned' | 'too-slow' | 'too-large'; message: string };

/** The part of a text item that tells where it stands. */
interface TextItem {
  str: string;
  width: number;
  height: number;
  fontName: string;
  transform: unknown[];
}

/**
 * Reads the text of a PDF with its positions, nothing else: no picture is drawn, no script run, no font loaded.
 *
 * @param bytes the file
 * @param clock milliseconds, to keep to the time limit
 * @returns words in points, y from the top of each page; a scanned picture without text is said to be one
 */
export async function readPdf(
  bytes: Uint8Array,
  clock: () => number = () => performance.now()
): Promise<PdfReading> {
  if (unpacksTooMuch(bytes, LIMITS.pdf.unpacked))
    return {
      ok: false,
      code: 'too-large',
      message: `This PDF unpacks to more than ${sizeWords(LIMITS.pdf.unpacked)}, the most that is held. Print only the pages of the chart into a new PDF.`
    };
  const until = clock() + LIMITS.seconds * 1000;
  const pdfjs = await pdfLibrary();
  const task = pdfjs.getDocument({
    data: bytes.slice(),
    isEvalSupported: false,
    disableFontFace: true,
    useSystemFonts: false,
    useWorkerFetch: false,
    enableXfa: false,
    stopAtErrors: false,
    verbosity: 0
  });
  // A locked file would wait for its password for ever.
  let locked = false;
  task.onPassword = (): void => {
    locked = true;
    void task.destroy();
  };
  try {
    const pdf = await task.promise;
    const count = Math.min(pdf.numPages, LIMITS.pdf.pages);
    const pages: Page[] = [];
    for (let number = 1; number <= count; number++) {
      if (clock() > until) {
        return {
          ok: false,
          code: 'too-slow',
          message: `Page ${number} was not reached within ${LIMITS.seconds} s, the most a PDF may take. Print only the pages of the chart into a new PDF.`
        };
      }
      const page = await pdf.getPage(number);
      const content = await page.getTextContent();
      const items = content.items.filter((item) => 'str' in item);
      pages.push(uprightPage(items, page.getViewport({ scale: 1 })));
      page.cleanup();
    }
    if (pages.every(({ words }) => words.length === 0)) {
      return {
        ok: false,
        code: 'scanned',
        message:
          'This PDF is a picture: a scanned page holds no text that could be read. Type the rows in, or bring the chart as text.'
      };
    }
    return { ok: true, paper: { pages }, pages: pdf.numPages, skipped: pdf.numPages - count };
  } catch (problem) {
    if (locked)
      return {
        ok: false,
        code: 'locked',
        message: 'This PDF is locked with a password. Open it and print it into a new PDF.'
      };
    return {
      ok: false,
      code: 'broken',
      message: `This PDF is damaged and cannot be opened (${messageOf(problem)}). Download it again, or bring the chart as text.`
    };
  } finally {
    await ended(task);
  }
}

/** Lets go of what a PDF took; that it could not be let go whole changes nothing of what was read. */
async function ended(task: { destroy(): Promise<void> }): Promise<void> {
  try {
    await task.destroy();
  } catch (problem) {
    console.info(`A PDF was not let go whole: ${messageOf(problem)}`);
  }
}

/** How text runs on a page: to the right, upwards, downwards, or upside down. */
type Direction = 'right' | 'up' | 'down' | 'left';

/**
 * The words of a page in the direction most of them run, turned upright; text that runs another way, up a margin, is no row of
 * a chart.
 */
function uprightPage(
  items: readonly TextItem[],
  { width, height, transform }: { width: number; height: number; transform: number[] }
): Page {
  const words = items.flatMap((item) => wordOf(item, transform) ?? []);
  const letters: Record<Direction, number> = { right: 0, up: 0, down: 0, left: 0 };
  for (const { word, direction } of words) letters[direction] += word.text.length;
  const main = (Object.keys(letters) as Direction[]).reduce((most, each) =>
    letters[each] > 2 * letters[most] ? each : most
  );
  const turned = (word: PaperWord): PaperWord => {
    switch (main) {
      case 'right':
        return word;
      case 'up':
        return { ...word, x: height - word.y, y: word.x };
      case 'down':
        return { ...word, x: word.y, y: width - word.x };
      case 'left':
        return { ...word, x: width - word.x, y: height - word.y };
    }
  };
  const isSideways = main === 'up' || main === 'down';
  return {
    width: isSideways ? height : width,
    height: isSideways ? width : height,
    words: words.filter(({ direction }) => direction === main).map(({ word }) => turned(word))
  };
}

/** Where a text item begins on the page as it is shown, and which way it runs. */
function wordOf(item: TextItem, page: number[]): { word: PaperWord; direction: Direction } | undefined {
  if (item.str.trim() === '') return undefined;
  const [a = 1, b = 0, c = 0, d = 1, e = 0, f = 0] = item.transform as number[];
  const [pa = 1, pb = 0, pc = 0, pd = -1, pe = 0, pf = 0] = page;
  const height = Math.hypot(c, d) || item.height || 10;
  const [along, down] = [pa * a + pc * b, pb * a + pd * b];
  const direction =
    Math.abs(down) > Math.abs(along) ? (down < 0 ? 'up' : 'down') : along < 0 ? 'left' : 'right';
  const x = pa * e + pc * f + pe;
  const y = pb * e + pd * f + pf;
  if (![x, y, item.width].every(Number.isFinite)) return undefined;
  return { word: { text: item.str, x, y, width: item.width, height, font: item.fontName }, direction };
}
