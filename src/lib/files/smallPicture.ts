import { InWords } from '$lib/core/base/problems';
import { LIMITS, sizeWords } from './limits';
import { pdfLibrary } from './pdfLibrary';

/** A picture decoded and encoded anew, so that nothing of the file but its looks is kept. */
export interface SmallPicture {
  image: Blob;
  /** Pixels. */
  width: number;
  height: number;
}

/** Longest side kept, pixels: enough for a card, for a cloth shown true to size, for a photo looked at. */
export const PICTURE_SIZES = { cloth: 1024, design: 1400, photo: 1600 } as const;

/** Longest side of a page of a PDF, pixels: its drawing is a part of it. */
const PAGE_PIXELS = 2400;

/** A picture that cannot be used, with a reason for the maker. */
class NoPicture extends InWords {}

/**
 * A picture made small enough to keep in the browser. What a camera wrote beside it (place, time, device) is left behind.
 *
 * @param file any kind of picture the browser knows
 * @param longest side kept at most, pixels
 * @throws NoPicture where the file is too large or no picture
 */
export async function smallPicture(file: Blob, longest: number): Promise<SmallPicture> {
  if (file.size > LIMITS.picture.bytes)
    throw new NoPicture(
      `This picture has ${sizeWords(file.size)}; at most ${sizeWords(LIMITS.picture.bytes)} can be read.`
    );
  const decoded = await decode(file);
  try {
    const { width, height } = fitWithin(decoded, longest);
    const canvas = new OffscreenCanvas(width, height);
    const pen = canvas.getContext('2d');
    if (!pen) throw new NoPicture('The browser has no room to draw this picture.');
    pen.drawImage(decoded, 0, 0, width, height);
    return { image: await canvas.convertToBlob({ type: 'image/webp', quality: 0.85 }), width, height };
  } finally {
    decoded.close();
  }
}

async function decode(file: Blob): Promise<ImageBitmap> {
  try {
    return file.type === 'application/pdf'
      ? await pdfPage(file)
      : await createImageBitmap(file, { imageOrientation: 'from-image' });
  } catch (problem) {
    throw new NoPicture(
      'This file is no picture that can be read here. Take a JPEG, a PNG or a page as PDF.',
      { cause: problem }
    );
  }
}

/** The first page of a PDF as one sees it, to be cropped. */
async function pdfPage(file: Blob): Promise<ImageBitmap> {
  const pdfjs = await pdfLibrary();
  const task = pdfjs.getDocument({
    data: new Uint8Array(await file.arrayBuffer()),
    isEvalSupported: false,
    enableXfa: false,
    verbosity: 0
  });
  try {
    const page = await (await task.promise).getPage(1);
    const own = page.getViewport({ scale: 1 });
    const viewport = page.getViewport({ scale: PAGE_PIXELS / Math.max(own.width, own.height) });
    const canvas = document.createElement('canvas');
    canvas.width = Math.round(viewport.width);
    canvas.height = Math.round(viewport.height);
    await page.render({ canvas, viewport }).promise;
    return await createImageBitmap(canvas);
  } finally {
    await task.destroy();
  }
}

/**
 * Sides of a picture so that its longest is no longer than wanted; a small one stays as it is.
 *
 * @example
 * fitWithin({ width: 4000, height: 3000 }, 1000) // { width: 1000, height: 750 }
 */
export function fitWithin(
  { width, height }: { width: number; height: number },
  longest: number
): { width: number; height: number } {
  const share = Math.min(1, longest / Math.max(width, height));
  return { width: Math.max(1, Math.round(width * share)), height: Math.max(1, Math.round(height * share)) };
}
