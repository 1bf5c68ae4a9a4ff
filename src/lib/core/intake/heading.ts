import type { Field } from './fields';

/** Words of chart headings; matched on the whole cell. */
const HEADINGS: [pattern: RegExp, field: Field][] = [
  [/^(?:#|no\.?|nr\.?|n°|number|stop|step|seq(uence)?|order|stop\s*(?:#|no\.?|number))$/, 'number'],
  [/^(?:stitches|stitch\s*count|count|sts?\.?|#?\s*of stitches|no\.? of stitches)$/, 'stitches'],
  [
    /^(?:thread\s*)?(?:length|used|usage|consumption|metres|meters)$|^thread\s*\(?(?:m|cm|ft|in)\)?$/,
    'thread'
  ],
  [/^(?:colou?r|thread|thread\s*colou?r|colou?r\s*name|shade)$/, 'colour'],
  [
    /^(?:name|part|element|description|what|section|layer|design\s*part|purpose|role|stop\s*name|label)$/,
    'name'
  ]
];

/** What a heading row says: the field of each cell, and the unit of thread where it names one. */
export interface Heading {
  fields: (Field | undefined)[];
  threadUnit: string | undefined;
}

/**
 * Reads a row of cells as a heading.
 *
 * @returns undefined unless at least two cells are headings and none is a number
 *
 * @example
 * readHeading(['No', 'Name', 'Stitches', 'Length (m)'])?.threadUnit // 'm'
 */
export function readHeading(cells: string[]): Heading | undefined {
  let threadUnit: string | undefined;
  const fields = cells.map((cell): Field | undefined => {
    const text = cell.trim().toLowerCase();
    const unit = /[([]\s*(m|cm|mm|ft|in|metres|meters|feet|inches)\s*[)\]]$/.exec(text);
    const bare = text.replace(/\s*[([][^)\]]*[)\]]$/, '');
    const field = HEADINGS.find(([pattern]) => pattern.test(bare) || pattern.test(text))?.[1];
    if (unit && (field === 'thread' || field === 'colour')) {
      threadUnit = unit[1];
      return 'thread';
    }
    if (/^met(?:re|er)s$/.test(bare)) threadUnit = 'm';
    return field;
  });
  // "Thread" beside "Colour" heads the length; alone it heads the colour.
  if (fields.filter((field) => field === 'colour').length === 2) {
    const at = cells.findIndex((cell) => cell.trim().toLowerCase() === 'thread');
    if (at >= 0) fields[at] = 'thread';
  }
  const known = fields.filter((field) => field !== undefined);
  if (known.length < 2 || new Set(known).size !== known.length) return undefined;
  if (cells.some((cell) => /^\d/.test(cell.trim()))) return undefined;
  return { fields, threadUnit };
}
