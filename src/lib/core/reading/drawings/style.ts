import { formatHex, parse } from 'culori';
import type { SvgElement } from './tree';

/** Styles by class name. */
export type StyleSheet = Readonly<Record<string, string>>;

export interface Paint {
  /** `#rrggbb`, or null for none. */
  stroke: string | null;
  fill: string | null;
  hidden: boolean;
  /** What children inherit. */
  inherited: StyleSheet;
}

const INHERITED = ['stroke', 'fill', 'color', 'visibility'] as const;

/** The class rules of a drawing’s style elements, one declaration text a class. */
export function sheetOf(root: SvgElement): StyleSheet {
  const rules: Record<string, string> = {};
  const visit = (element: SvgElement): void => {
    if (element.name === 'style') {
      for (const [, selectors = '', body = ''] of element.text.matchAll(
        /([^{}]{1,500})\{([^{}]{0,2000})\}/g
      )) {
        for (const [, name = ''] of selectors.matchAll(/\.([\w-]+)\s*(?=,|$)/g))
          rules[name] = `${rules[name] ?? ''};${body}`;
      }
    }
    element.children.forEach(visit);
  };
  visit(root);
  return rules;
}

/** With what colours an element is drawn, its own word before its class’s, that before what it inherits. */
export function coloursOf({ attributes }: SvgElement, inherited: StyleSheet, sheet: StyleSheet): Paint {
  const own: Record<string, string> = { ...inherited };
  for (const key of INHERITED) {
    const value = attributes[key];
    if (value !== undefined) own[key] = value;
  }
  const classes = (attributes['class'] ?? '').split(/\s+/).map((name) => sheet[name] ?? '');
  const declared: Record<string, string> = {};
  for (const part of [...classes, attributes['style'] ?? ''].join(';').split(';')) {
    const at = part.indexOf(':');
    if (at > 0) declared[part.slice(0, at).trim().toLowerCase()] = part.slice(at + 1).trim();
  }
  for (const key of INHERITED) {
    const value = declared[key];
    if (value !== undefined) own[key] = value.replace(/\s*!important$/, '');
  }
  const hidden = (declared['display'] ?? attributes['display']) === 'none' || own['visibility'] === 'hidden';
  return {
    stroke: hexOf(own['stroke'] ?? 'none', own['color']),
    fill: hexOf(own['fill'] ?? '#000000', own['color']),
    hidden,
    inherited: own
  };
}

function hexOf(paint: string, current: string | undefined): string | null {
  const said = paint.trim().toLowerCase();
  if (said === 'none' || said === 'transparent') return null;
  const parsed = parse(said === 'currentcolor' ? (current ?? '#000000') : said);
  if (parsed?.alpha === 0) return null;
  // A gradient has no one colour: it is drawn, in ink.
  return parsed ? formatHex(parsed) : '#000000';
}
