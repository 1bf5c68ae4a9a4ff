import { hasFigure } from './grid';
import type { Segment } from './segments';

/** A label must stand in this share of the records. */
const PRESENT = 0.8;
const MOST_WORDS = 4;

/**
 * Words that begin a segment in nearly every record: labels of values, whatever they say. The longest words that are as
 * common as their first.
 */
export function constantLabels(records: readonly Segment[][][]): string[] {
  const counts = new Map<string, number>();
  for (const record of records) {
    const own = new Set(record.flat().flatMap(({ text }) => prefixesOf(text)));
    for (const prefix of own) counts.set(prefix, (counts.get(prefix) ?? 0) + 1);
  }
  const common = [...counts].filter(([, count]) => count >= Math.max(2, PRESENT * records.length));
  return common
    .map(([prefix]) => prefix)
    .filter((prefix) => {
      const own = counts.get(prefix) ?? 0;
      return !common.some(([longer, count]) => longer.startsWith(`${prefix} `) && count >= own);
    })
    .filter((prefix) => isLabel(prefix, records))
    .sort((a, b) => b.length - a.length);
}

/**
 * Whether words that nearly all records share are a label: they have a mark, head a figure, stand in a segment of their own with
 * another behind it, or begin texts that differ. A word that stands alone, with nothing to head, is a value they share.
 */
function isLabel(prefix: string, records: readonly Segment[][][]): boolean {
  if (/[:=]$|\s[-–]$/.test(prefix)) return true;
  const rests = new Set<string>();
  let alone = 0;
  let figures = false;
  for (const record of records) {
    record.forEach((line, at) => {
      line.forEach(({ text }, index) => {
        const rest = startOf(text, prefix);
        if (rest === undefined) return;
        const next = line[index + 1]?.text;
        if (rest !== '') rests.add(rest);
        else if (next !== undefined) alone++;
        figures ||= hasFigure(rest !== '' ? rest : (next ?? record[at + 1]?.[0]?.text ?? ''));
      });
    });
  }
  const heads = rests.size >= 3 && rests.size > 0.3 * records.length && records.length >= 4;
  return figures || alone >= PRESENT * records.length || heads;
}

function prefixesOf(text: string): string[] {
  const printed = text.split(' ');
  const words = text.toLowerCase().split(' ');
  const marked = words.findIndex((word) => /[:=]$/.test(word));
  if (marked >= 0 && marked < MOST_WORDS) return [words.slice(0, marked + 1).join(' ')];
  const plain: string[] = [];
  for (const [at, word] of words.slice(0, MOST_WORDS).entries()) {
    // A letter or two in capitals begin a code.
    if (hasFigure(word) || /^\p{Lu}{1,3}$/u.test(printed[at] ?? '')) break;
    plain.push(plain.length === 0 ? word : `${plain.at(-1) ?? ''} ${word}`);
  }
  return plain;
}

/** What follows a label in a text; undefined where the text does not begin with it. */
function startOf(text: string, label: string): string | undefined {
  const lower = text.toLowerCase();
  if (lower !== label && !lower.startsWith(`${label} `)) return undefined;
  return text.slice(label.length).trim();
}

/** The labelled values of a record, and its segments without a label, line by line. */
export function labelledValues(
  record: readonly Segment[][],
  labels: readonly string[]
): { values: Map<string, string>; loose: Segment[][] } {
  const values = new Map<string, string>();
  const loose: Segment[][] = [];
  let waiting: string[] = [];
  for (const line of record) {
    const own: Segment[] = [];
    const bare: string[] = [];
    for (const segment of line) {
      const parts = partsOf(segment.text, labels);
      if (parts.length === 0) {
        const label = bare.shift() ?? waiting.shift();
        if (label !== undefined && !values.has(label)) values.set(label, segment.text);
        else own.push(segment);
      }
      for (const { label, value } of parts) {
        if (label === null) own.push({ ...segment, text: value });
        else if (value !== '') values.set(label, value);
        else bare.push(label);
      }
    }
    waiting = bare;
    if (own.length > 0) loose.push(own);
  }
  return { values, loose };
}

/** A segment as labels with their values; several may stand in one. Nothing where none does. */
function partsOf(text: string, labels: readonly string[]): { label: string | null; value: string }[] {
  const lower = ` ${text.toLowerCase()} `;
  const found = labels
    .flatMap((label) => {
      const at = lower.indexOf(` ${label} `);
      return at >= 0 ? [{ label, at }] : [];
    })
    .sort((a, b) => a.at - b.at || b.label.length - a.label.length);
  const kept = found.filter(
    ({ at, label }, index) =>
      !found
        .slice(0, index)
        .some((before) => at < before.at + before.label.length && before.label.length >= label.length)
  );
  const [first] = kept;
  if (!first) return [];
  const head = text.slice(0, first.at).trim();
  return [
    ...(head === '' ? [] : [{ label: null, value: head }]),
    ...kept.map(({ label, at }, index) => ({
      label,
      value: text
        .slice(at + label.length, kept[index + 1]?.at ?? text.length)
        .replace(/^\s*[:=]\s*/, '')
        .replace(/[\s,;|·•/]+$/, '')
        .trim()
    }))
  ];
}
