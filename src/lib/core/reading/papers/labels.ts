import type { Field } from './fields';
import { readCount, readThreadLength } from './numbers';

/** What a cell says of a stop where each value carries its label. */
export interface Labelled {
  field: Field;
  /** Empty where the value stands in another cell. */
  value: string;
}

const LABELS: [words: RegExp, field: Field][] = [
  [
    /(?:(?:colou?r\s+)?stop|step|position|no|nr|number|seq(?:uence)?)\.?(?:\s*(?:no\.?|number|#))?|#/,
    'number'
  ],
  [/(?:stitches|stitch\s*count|(?:no\.?|number) of stitches|count|sts)\.?/, 'stitches'],
  [
    /(?:thread\s*)?(?:length|used|usage|consumption|metres|meters)|(?:upper\s*)?thread\s*(?:length|needed|required|\((?:m|cm|ft|in)\))|length of thread/,
    'thread'
  ],
  [/(?:thread\s*)?(?:colou?r|shade)(?:\s*name)?/, 'colour'],
  [/(?:thread\s*)?(?:colou?r\s*)?code|(?:thread|colou?r)\s*(?:no\.?|number)/, 'code'],
  [/(?:name|part|element|description|what|section|layer|purpose|role|use|label|does)/, 'name']
];
const PATTERNS = LABELS.map(
  ([words, field]) => [new RegExp(`^(?:${words.source})\\s*([:=]|\\s|$)\\s*(.*)$`, 'i'), field] as const
);

/**
 * Reads a cell as a label with its value, as `Stitches: 120`, `Stop 3`, `120 stitches` or the bare label `Colour`.
 *
 * @returns undefined where the cell carries no label
 *
 * @example
 * labelled('Stitches: 1,500') // { field: 'stitches', value: '1,500' }
 * labelled('0.60 m of thread') // { field: 'thread', value: '0.60 m' }
 */
export function labelled(text: string): Labelled | undefined {
  const bare = text.trim();
  const behind = /^(.*\d\S*(?:\s?(?:m|cm|in|ft))?)\s+(?:of\s+)?thread$/i.exec(bare);
  if (behind?.[1] && readThreadLength(behind[1])?.unitSeen) return { field: 'thread', value: behind[1] };
  if (/\d\s*(?:stitches|sts)\.?$/i.test(bare) && readCount(bare) !== undefined)
    return { field: 'stitches', value: bare };
  const plain = /^thread\s*[:=]?\s*(.*)$/i.exec(bare);
  if (plain) {
    const value = plain[1] ?? '';
    // "Thread" may head a length or a colour: its value tells.
    if (value !== '' && !/^(?:colou?r|code|no|length|used|usage|number)\b/i.test(value))
      return { field: readThreadLength(value) ? 'thread' : 'colour', value };
  }
  for (const [pattern, field] of PATTERNS) {
    const found = pattern.exec(bare);
    if (!found) continue;
    const value = (found[2] ?? '').trim();
    // "Name plate" is a name and no label; a label is followed by a mark, a number, or nothing.
    if (value !== '' && !/[:=]/.test(found[1] ?? '') && !fits(field, value)) continue;
    return { field, value };
  }
  return undefined;
}

/** Whether a value after a label without a mark is one of the label’s kind. */
function fits(field: Field, value: string): boolean {
  switch (field) {
    case 'number':
      return /^#?\d{1,3}[.):]?$/.test(value);
    case 'stitches':
      return readCount(value) !== undefined;
    case 'thread':
      return readThreadLength(value) !== undefined;
    case 'colour':
      return /^\p{L}/u.test(value) && value.split(' ').length <= 4;
    case 'code':
      return /\d/.test(value);
    case 'name':
      return false;
  }
}
