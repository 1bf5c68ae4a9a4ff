import type { Field } from './fields';

/** Words of chart headings; matched on the whole cell. */
const HEADINGS: [pattern: RegExp, field: Field][] = [
  [
    /^(?:#|no\.?|nr\.?|n°|number|(?:colou?r\s*)?stop|step|seq(uence)?|order|pos(ition)?\.?|(?:colou?r\s*)?(?:stop|step)\s*(?:#|no\.?|number))$/,
    'number'
  ],
  [
    /^(?:stitches|stitch\s*count|(?:stitch(?:es)?\s*)?count|sts?\.?|#?\s*of stitches|(?:no\.?|number) of stitches)$/,
    'stitches'
  ],
  [
    /^(?:(?:upper\s*)?thread\s*)?(?:length|used|usage|needed|required|consumption|metres|meters|feet|inches)$|^(?:upper\s*)?thread\s*\(?(?:m|cm|ft|in)\)?$|^length of thread$/,
    'thread'
  ],
  [
    /^(?:code|(?:thread|colou?r)\s*(?:code|no\.?|number)|shade\s*(?:code|no\.?|number)|ref(?:erence)?\.?)$/,
    'code'
  ],
  [/^(?:colou?r|thread|thread\s*colou?r|colou?r\s*name|thread\s*name|shade|colou?r of thread)$/, 'colour'],
  [
    /^(?:name|part|element|description|what(?: it (?:does|is))?|section|layer|design\s*part|purpose|role|stop\s*name|label|use|does|operation|stage)$/,
    'name'
  ]
];

/** What a heading row says: the field of each cell, and the unit of thread where it names one. */
export interface Heading {
  fields: (Field | undefined)[];
  threadUnit: string | undefined;
}

/**
 * The field that one cell of a heading names, with the unit of thread where it says one.
 *
 * @example
 * columnOf('Length (cm)') // { field: 'thread', unit: 'cm' }
 */
export function columnOf(cell: string): { field: Field; unit?: string } | undefined {
  const text = cell.trim().toLowerCase().replace(/\s+/g, ' ');
  const unit = /(?:[([]\s*|,\s*|\bin\s+)(m|cm|mm|ft|in|metres|meters|centimetres|feet|inches)\s*[)\]]?$/.exec(
    text
  )?.[1];
  const bare = text
    .replace(/\s*[([][^)\]]*[)\]]$/, '')
    .replace(/(?:,| in) (?:m|cm|mm|ft|metres|meters|centimetres|feet|inches)$/, '');
  const field = HEADINGS.find(([pattern]) => pattern.test(bare) || pattern.test(text))?.[1];
  if (unit !== undefined && (field === 'thread' || field === 'colour')) return { field: 'thread', unit };
  if (field === undefined) return undefined;
  if (field === 'thread' && /^met(?:re|er)s$/.test(bare)) return { field, unit: 'm' };
  if (field === 'thread' && /^(?:feet|inches)$/.test(bare)) return { field, unit: bare };
  return { field };
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
  const columns = cells.map(columnOf);
  const fields = columns.map((column) => column?.field);
  // "Thread" beside "Colour" heads the length, unless there is one; alone it heads the colour.
  if (fields.filter((field) => field === 'colour').length === 2) {
    const at = cells.findIndex((cell) => cell.trim().toLowerCase() === 'thread');
    if (at >= 0) fields[at] = fields.includes('thread') ? undefined : 'thread';
  }
  const known = fields.filter((field) => field !== undefined);
  if (known.length < 2 || new Set(known).size !== known.length) return undefined;
  if (cells.some((cell) => /^\d/.test(cell.trim()))) return undefined;
  return { fields, threadUnit: columns.find((column) => column?.unit !== undefined)?.unit };
}
