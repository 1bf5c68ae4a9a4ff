import { SaxesParser } from 'saxes';

/** An element of a drawing, its markup forgotten: a name, attributes and what stands inside. */
export interface SvgElement {
  name: string;
  attributes: Readonly<Record<string, string>>;
  children: SvgElement[];
  text: string;
}

/** More elements, or deeper ones, than any outline needs. */
const MAX_ELEMENTS = 20_000;
const MAX_DEPTH = 60;

/**
 * Reads the elements of an SVG. Nothing of it is ever put into a page.
 *
 * @returns the outermost element as far as it could be read, and why it ends early where it does
 */
export function svgTree(text: string): { root: SvgElement | undefined; problem: string | null } {
  const parser = new SaxesParser();
  const open: SvgElement[] = [];
  let root: SvgElement | undefined;
  let problem: string | null = null;
  let count = 0;
  parser.on('error', ({ message }) => {
    // The parser’s words begin with line and column.
    problem ??= `The drawing’s text is broken at ${message.replace(/^(\d+):(\d+):.*$/s, 'line $1, column $2')}; what stands before it is read.`;
  });
  parser.on('opentag', ({ name, attributes }) => {
    const element: SvgElement = {
      name: name.replace(/^svg:/, ''),
      attributes: attributes as Record<string, string>,
      children: [],
      text: ''
    };
    count++;
    if (count > MAX_ELEMENTS || open.length >= MAX_DEPTH) {
      problem ??= `The drawing has more than ${MAX_ELEMENTS.toLocaleString('en')} parts or too many layers of groups; only the first are read.`;
    } else (open.at(-1)?.children ?? []).push(element);
    root ??= element;
    open.push(element);
  });
  parser.on('text', (part) => {
    const inner = open.at(-1);
    if (inner && inner.text.length < 100_000) inner.text += part;
  });
  parser.on('cdata', (part) => {
    const inner = open.at(-1);
    if (inner && inner.text.length < 100_000) inner.text += part;
  });
  parser.on('closetag', () => {
    open.pop();
  });
  // In slices, so that a broken text ends the reading where it breaks.
  for (let at = 0; at < text.length && problem === null; at += 65_536)
    parser.write(text.slice(at, at + 65_536));
  if (problem === null) parser.close();
  return { root, problem };
}
