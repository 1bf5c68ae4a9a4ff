import { MaxRectsPacker, Rectangle } from 'maxrects-packer';
import { box } from '$lib/core/base/geometry';
import { MM_PER_INCH } from '$lib/core/base/units';
import {
  drawn,
  type PlacedTemplate,
  type Template,
  type TemplateMark,
  type TemplatePage,
  written
} from './marks';

/** Paper that printers take, mm. */
export const PAPERS = {
  A4: { width: 210, height: 297 },
  Letter: { width: 215.9, height: 279.4 }
} as const;
export type PaperName = keyof typeof PAPERS;

/** Edge of the paper that printers leave blank, mm. */
const BLANK_MM = 10;
/** Free paper between two templates. */
const APART_MM = 4;
/** What two tiles of a large template share. */
export const OVERLAP_MM = 10;
/** Band along the foot of each page that holds the check squares. */
const FOOT_MM = 2 * MM_PER_INCH + 4;

/**
 * Lays templates on pages, several on one where they fit; one that is larger than a page is cut into tiles that overlap
 * by 10 mm, named by row and column. Every page carries a square of 50 mm and one of 2 in, to check the printer.
 *
 * @param title what the pages are of
 *
 * @example
 * templatePages(templates, 'A4', 'Badger tab').length // 1
 */
export function templatePages(
  templates: readonly Template[],
  paper: PaperName,
  title: string
): TemplatePage[] {
  const { width, height } = PAPERS[paper];
  const area = { width: width - 2 * BLANK_MM, height: height - 2 * BLANK_MM - FOOT_MM };
  const fits = (template: Template): boolean =>
    template.width <= area.width && template.height <= area.height;
  const packer = new MaxRectsPacker<Rectangle>(area.width, area.height, APART_MM, {
    smart: false,
    pot: false,
    square: false,
    allowRotation: false
  });
  const byRectangle = new Map<Rectangle, Template>();
  for (const template of templates.filter(fits)) {
    const rectangle = new Rectangle(template.width, template.height);
    byRectangle.set(rectangle, template);
    packer.add(rectangle);
  }
  const shared = packer.bins.map(({ rects }) => {
    const laid = rects.flatMap((rectangle): { template: Template; placed: PlacedTemplate }[] => {
      const template = byRectangle.get(rectangle);
      if (!template) return [];
      const [x, y] = [BLANK_MM + rectangle.x, BLANK_MM + rectangle.y];
      const frame = { x, y, width: template.width, height: template.height };
      return [{ template, placed: { dx: x, dy: y, window: frame, marks: template.marks } }];
    });
    return {
      name: laid.map(({ template }) => template.name).join(', '),
      placed: laid.map(({ placed }) => placed)
    };
  });
  const tiled = templates.filter((template) => !fits(template)).flatMap((template) => tiles(template, area));
  const pages = [...shared, ...tiled];
  return pages.map(({ name, placed }, at): TemplatePage => ({
    title: name,
    width,
    height,
    placed,
    marks: footMarks(title, name, at + 1, pages.length, { width, height })
  }));
}

/** A large template in tiles, row by row. */
function tiles(
  template: Template,
  area: { width: number; height: number }
): { name: string; placed: PlacedTemplate[] }[] {
  const count = (length: number, room: number): number =>
    Math.max(1, Math.ceil((length - OVERLAP_MM) / (room - OVERLAP_MM) - 1e-9));
  const [columns, rows] = [count(template.width, area.width), count(template.height, area.height)];
  return Array.from({ length: rows * columns }, (_, at) => {
    const [column, row] = [at % columns, Math.floor(at / columns)];
    const left = column * (area.width - OVERLAP_MM);
    const top = row * (area.height - OVERLAP_MM);
    const frame = {
      x: BLANK_MM,
      y: BLANK_MM,
      width: Math.min(area.width, template.width - left),
      height: Math.min(area.height, template.height - top)
    };
    const joins: TemplateMark[] = [];
    const right = left + frame.width;
    const bottom = top + frame.height;
    // Where the next tile begins: cut one along it, glue it on the other.
    const seam = (x1: number, y1: number, x2: number, y2: number): TemplateMark =>
      drawn(
        {
          closed: false,
          points: [
            [x1, y1],
            [x2, y2]
          ]
        },
        'overlap'
      );
    if (column < columns - 1) joins.push(seam(right - OVERLAP_MM, top, right - OVERLAP_MM, bottom));
    if (column > 0) joins.push(seam(left + OVERLAP_MM, top, left + OVERLAP_MM, bottom));
    if (row < rows - 1) joins.push(seam(left, bottom - OVERLAP_MM, right, bottom - OVERLAP_MM));
    if (row > 0) joins.push(seam(left, top + OVERLAP_MM, right, top + OVERLAP_MM));
    const tile = `${String.fromCharCode(65 + (row % 26))}${column + 1}`;
    joins.push(written(left + 14, top + 18, tile, { size: 8, bold: true }));
    return {
      name: `${template.name}, part ${tile} of ${rows} × ${columns}`,
      placed: [
        { dx: BLANK_MM - left, dy: BLANK_MM - top, window: frame, marks: [...template.marks, ...joins] }
      ]
    };
  });
}

function footMarks(
  title: string,
  name: string,
  page: number,
  pages: number,
  { width, height }: { width: number; height: number }
): TemplateMark[] {
  const bottom = height - BLANK_MM;
  const inch2 = 2 * MM_PER_INCH;
  const mm50 = box(BLANK_MM, bottom - 50, BLANK_MM + 50, bottom);
  const in2 = box(BLANK_MM + 54, bottom - inch2, BLANK_MM + 54 + inch2, bottom);
  const text = BLANK_MM + 54 + inch2 + 5;
  // Long names must not run off the paper.
  const most = Math.floor((width - BLANK_MM - text) / 1.9);
  const short = (words: string, size: number): string => {
    const room = Math.floor((most * 3.6) / size);
    return words.length > room ? `${words.slice(0, room - 1)}…` : words;
  };
  return [
    drawn(mm50, 'check'),
    drawn(in2, 'check'),
    written(BLANK_MM + 25, bottom - 24, '50 mm', { size: 4, align: 'middle' }),
    written(BLANK_MM + 54 + inch2 / 2, bottom - 24, '2 in', { size: 4, align: 'middle' }),
    written(text, bottom - 42, short(title, 5), { size: 5, bold: true }),
    written(text, bottom - 35, short(name, 3.6), { size: 3.6 }),
    written(text, bottom - 27, 'Print at 100 %. Measure a square:', { size: 3.6 }),
    written(text, bottom - 22, 'if it is off, do not cut by this.', { size: 3.6 }),
    written(text, bottom - 10, 'Thick line: cut. Thin line: stitching.', { size: 3.6 }),
    written(text, bottom - 2, `Page ${page} of ${pages}`, { size: 3.6 })
  ];
}
