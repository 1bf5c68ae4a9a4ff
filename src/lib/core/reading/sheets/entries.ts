import type { PaperLine } from '$lib/core/reading/pages';
import { flat, LENGTH, saysSize, SIZE } from './measures';

/** Words that lead to a list and name no piece of it: “Cut from cotton:”, “for each mat:”. */
const LEADS =
  /^(?:for|each|every|per|cut|materials?|supplies|you|also|what|pieces?|needs?|needed|requirements?|gather|list|sizes?|from|fabrics?|plus|and|notions?|other)\b/i;
/** Words with which an entry goes on after a mark. */
const GOES_ON =
  /^(?:for|each|cut|folded|or|with|on|in|to|long|wide|high|per|as|of|if|optional|about|approx|finished)\b/i;
/** What is cut to no size, and so ends the entry before it. */
const UNSIZED =
  /^(?:(?:\d+|one|two|medium|heavy|light|strong)\s+)*(?:(?:layers?|sheets?|pieces?)\s+(?:of\s+)?)?(?:tear|cut|wash|water)[\s-]?(?:away|soluble)\b|^(?:no-show |poly)?mesh\b|^stabili[sz]er\b/i;
const SAME = /\b(?:the same|same size|ditto|as above)\b/i;
const LETTER = /^(?:\d+\s*[x×]?\s*)?[A-Z]\d?$/;

/**
 * The entries of a line that lists several pieces, one behind the other, each as a line of its own; “the same” and “each” are
 * written out.
 *
 * @example
 * entriesOf(lineOf('Cut: A 17 x 14 cm; B and C 17 x 12 cm each')).map(({ text }) => text)
 * // ['A 17 x 14 cm', 'B 17 x 12 cm', 'C 17 x 12 cm each']
 */
export function entriesOf(line: PaperLine): PaperLine[] {
  const whole = flat(line.text);
  const label = /^\W*([^:]{2,40}):\s+(?=\S)/.exec(whole);
  const leads = label?.[1] !== undefined && LEADS.test(label[1]) && !saysMeasure(label[1]);
  const needs =
    /^(?:[^:]*?\.\s+)?(?:each|every|you|one)\b[^.:,]{0,20}?\b(?:needs?|requires?|takes)\s+(?=\S)/i.exec(
      whole
    );
  const text = leads ? whole.slice(label[0].length) : needs ? whole.slice(needs[0].length) : whole;
  const parts = leads && text.split(/,\s+/).length >= 4 ? listed(text) : parted(text);
  if (leads && parts.length >= 4) return writtenOut(parts).map((part) => alone(line, `- ${part}`));
  if (parts.filter((part) => saysMeasure(part) || SAME.test(part)).length < 2)
    return leads && saysMeasure(text) ? [alone(line, text)] : [line];
  return writtenOut(parts).map((part) => alone(line, part));
}

/** Whether a line lists pieces, so that it is no step: several measures, or a label before one. */
export function isList(text: string): boolean {
  const own = flat(text);
  const measures = parted(own).filter((part) => saysMeasure(part) || SAME.test(part)).length;
  const label = /^\W*([^:.]{2,40}):/.exec(own)?.[1];
  if (measures >= 2 && /\b(?:needs?|requires?|takes)\b/i.test(own)) return true;
  return measures >= 3 || (measures >= 1 && label !== undefined && LEADS.test(label));
}

function alone(line: PaperLine, text: string): PaperLine {
  return { ...line, text, tokens: [], cells: [{ text, x: 0, width: text.length }] };
}

function saysMeasure(text: string): boolean {
  return saysSize(text) || LENGTH.test(text);
}

/** A list behind its label: every mark outside brackets parts it, save between a thing and its size. */
function listed(text: string): string[] {
  const parts = text
    .split(/(\([^)]*\))/)
    .map((part, at) => (at % 2 === 0 ? part.replace(/[,;]\s+|\.\s+(?=\p{Lu})/gu, '\n') : part))
    .join('')
    .split('\n');
  return parts
    .reduce<string[]>((entries, part) => {
      const last = entries.at(-1);
      if (last === undefined || isNamed(part)) return [...entries, part.trim()];
      return [...entries.slice(0, -1), `${last}, ${part.trim()}`];
    }, [])
    .filter((part) => /\p{L}/u.test(part));
}

/** Parts of a text between marks, where a new entry begins; marks inside brackets part nothing. */
function parted(text: string): string[] {
  const parts: string[] = [];
  let open = '';
  for (const piece of text.split(
    /(\([^)]*\)|\s*[;|]\s*|(?<=(?:mm|cm|in|\d|[)"″”]))\.\s+(?=\p{Lu})|,\s+|\s+(?:and|plus|&|\+)\s+)/u
  )) {
    const isMark = /^(?:\s*[;|]\s*|\.\s+|,\s+|\s+(?:and|plus|&|\+)\s+)$/.test(piece);
    if (isMark) {
      parts.push(open, piece);
      open = '';
    } else open += piece;
  }
  parts.push(open);
  const entries: string[] = [];
  for (let at = 0; at < parts.length; at += 2) {
    const [mark, part] = [parts[at - 1] ?? '', parts[at] ?? ''];
    const last = entries.at(-1);
    if (last === undefined || (isNamed(part) && begins(last, mark, part))) entries.push(part.trim());
    else entries[entries.length - 1] = `${last}${mark}${part}`.trim();
  }
  return entries.filter((entry) => /\p{L}/u.test(entry));
}

/** Whether words are left once the measures are taken away: a second size is that of the same entry. */
function isNamed(part: string): boolean {
  return /\p{L}/u.test(
    part.replace(new RegExp(SIZE.source, 'gi'), ' ').replace(new RegExp(LENGTH.source, 'gi'), ' ')
  );
}

function begins(last: string, mark: string, part: string): boolean {
  if (GOES_ON.test(part)) return false;
  const own = saysMeasure(part) || SAME.test(part);
  if (/[;|.]/.test(mark)) return own || saysMeasure(last);
  const isWhole = saysMeasure(last) || SAME.test(last) || LETTER.test(last);
  return (
    isWhole &&
    (own || LETTER.test(part) || UNSIZED.test(part) || /^(?:\d+|one|two|three|four|an?)\s+\p{L}/iu.test(part))
  );
}

/** “the same” becomes the size before; “B and C 17 x 12 cm each” gives B its size too. */
function writtenOut(parts: readonly string[]): string[] {
  const sizeOf = (part: string | undefined): string =>
    SIZE.exec(part ?? '')?.[0] ?? LENGTH.exec(part ?? '')?.[0] ?? '';
  const written: string[] = [];
  for (const part of parts) written.push(SAME.test(part) ? part.replace(SAME, sizeOf(written.at(-1))) : part);
  return written.map((part, at) => {
    const next = written[at + 1];
    return !saysMeasure(part) && next !== undefined && /\beach\b/i.test(next)
      ? `${part} ${sizeOf(next)}`
      : part;
  });
}
