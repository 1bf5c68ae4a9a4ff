import { pathData } from '$lib/core/base/geometry';
import type { TemplateMark, TemplatePage } from '$lib/core/preparing/templates';
import { STROKES } from './strokes';

/**
 * A page of templates as SVG, true to size: its units are millimetres.
 *
 * @example
 * templatesSvg(page).startsWith('<svg xmlns="http://www.w3.org/2000/svg" width="210mm"') // true
 */
export function templatesSvg({ title, width, height, placed, marks }: TemplatePage): string {
  const windows = placed.map(
    ({ window: { x, y, width: w, height: h } }, at) =>
      `<clipPath id="window-${at}"><rect x="${mm(x)}" y="${mm(y)}" width="${mm(w)}" height="${mm(h)}"/></clipPath>`
  );
  const groups = placed.map(
    ({ dx, dy, marks: own }, at) =>
      `<g clip-path="url(#window-${at})"><g transform="translate(${mm(dx)} ${mm(dy)})">${own.map(markSvg).join('')}</g></g>`
  );
  return [
    `<svg xmlns="http://www.w3.org/2000/svg" width="${mm(width)}mm" height="${mm(height)}mm" viewBox="0 0 ${mm(width)} ${mm(height)}">`,
    `<title>${escaped(title)}</title>`,
    `<defs>${windows.join('')}</defs>`,
    ...groups,
    ...marks.map(markSvg),
    '</svg>'
  ].join('\n');
}

function markSvg(mark: TemplateMark): string {
  if (mark.kind === 'text') {
    const { x, y, size, text, align, bold } = mark;
    return `<text x="${mm(x)}" y="${mm(y)}" font-size="${mm(size)}" font-family="sans-serif" text-anchor="${align}"${bold ? ' font-weight="bold"' : ''}>${escaped(text)}</text>`;
  }
  const { width, dash, grey } = STROKES[mark.style];
  const level = Math.round(grey * 255);
  return `<path d="${pathData(mark.path)}" fill="none" stroke="rgb(${level},${level},${level})" stroke-width="${width}"${dash.length > 0 ? ` stroke-dasharray="${dash.join(' ')}"` : ''}/>`;
}

const mm = (value: number): number => Math.round(value * 1000) / 1000;

function escaped(text: string): string {
  return text.replace(/[<>&"]/g, (sign) => `&#${sign.charCodeAt(0)};`);
}
