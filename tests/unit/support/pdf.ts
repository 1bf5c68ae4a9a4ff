import * as pdfjs from 'pdfjs-dist/legacy/build/pdf.mjs';

/** A box drawn on a page, mm from its top left. */
export interface DrawnBox {
  x: number;
  y: number;
  width: number;
  height: number;
  closed: boolean;
}

const MM = 25.4 / 72;

/** The paths of each page of a PDF as the boxes they fill, and its size, mm, read back from the file. */
export async function measurePdf(
  bytes: Uint8Array
): Promise<{ width: number; height: number; boxes: DrawnBox[] }[]> {
  const pdf = await pdfjs.getDocument({ data: bytes.slice(), verbosity: 0 }).promise;
  const pages = [];
  for (let number = 1; number <= pdf.numPages; number++) {
    const page = await pdf.getPage(number);
    const { width, height } = page.getViewport({ scale: 1 });
    const { fnArray, argsArray } = await page.getOperatorList();
    const boxes = fnArray.flatMap((fn, at): DrawnBox[] => {
      if (fn !== pdfjs.OPS.constructPath) return [];
      const [, [data]] = argsArray[at] as [number, [Record<string, number> | null]];
      return data ? [boxOf(Object.values(data), height)] : [];
    });
    pages.push({ width: width * MM, height: height * MM, boxes });
  }
  return pages;
}

/** A path is a list of numbers: 0 x y begins, 1 x y draws a line, 4 closes. */
function boxOf(data: number[], height: number): DrawnBox {
  const [xs, ys]: [number[], number[]] = [[], []];
  let closed = false;
  for (let at = 0; at < data.length;) {
    if (data[at] === 4) {
      closed = true;
      at += 1;
    } else {
      xs.push((data[at + 1] ?? 0) * MM);
      ys.push((height - (data[at + 2] ?? 0)) * MM);
      at += 3;
    }
  }
  const [x, y] = [Math.min(...xs), Math.min(...ys)];
  return { x, y, width: Math.max(...xs) - x, height: Math.max(...ys) - y, closed };
}

/** Every word of a PDF, read back from the file. */
export async function textOf(bytes: Uint8Array): Promise<string> {
  const pdf = await pdfjs.getDocument({ data: bytes.slice(), verbosity: 0 }).promise;
  const lines: string[] = [];
  for (let number = 1; number <= pdf.numPages; number++) {
    const { items } = await (await pdf.getPage(number)).getTextContent();
    for (const item of items) if ('str' in item) lines.push(item.str);
  }
  return lines.join('\n');
}
