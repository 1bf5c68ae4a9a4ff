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
