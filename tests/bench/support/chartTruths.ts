/** What charts say, made from every construction: the truth that a reader’s rows are compared with. */
import { CONSTRUCTIONS } from '$lib/core/craft/constructions';
import type { Pattern } from '$lib/core/craft/sequence';
import { type Role, stitchKind } from '$lib/core/documents/item';
import { pick, seeded } from './random';

export interface TrueRow {
  number: number;
  name: string;
  colour: string;
  stitches: number;
  metres: number;
  role: Role;
  /** Stop of the construction. */
  key: string;
}
export interface TrueChart {
  kind: string;
  title: string;
  pattern: Pattern;
  rows: TrueRow[];
}

const COLOURS = [
  'grey',
  'black',
  'white',
  'dark red',
  'lamp yellow',
  'fern green',
  'slate',
  'brass',
  'cream',
  'navy',
  'moss',
  'light blue',
  'madder',
  'charcoal'
];
/** What else a maker’s paper may call a stop of a role. */
const OTHER_WORDS: Partial<Record<Role, readonly string[]>> = {
  placement: ['Placement', 'Placement stitch', 'Position line', 'Guide line'],
  'tack-down': ['Tack down', 'Tacking line', 'Fixing line'],
  'cut-line': ['Die line', 'Cutting line'],
  quilting: ['Stippling', 'Quilting stitch'],
  'satin-edge': ['Satin border', 'Edge satin', 'Satin edge'],
  topstitch: ['Top stitch', 'Topstitching'],
  lettering: ['Letters', 'Text'],
  lace: ['Lace']
};
const DETAILS = [
  'Ears',
  'Lamp glass',
  'Signal arm',
  'Fern leaf',
  'Carriage roof',
  'Badger stripe',
  'Wheel rims',
  'Whistle',
  'Ticket frame',
  'Canopy'
];

/** A chart of every construction, names, colours and figures drawn from a seed. */
export function trueCharts(seed: number): TrueChart[] {
  const random = seeded(seed);
  return CONSTRUCTIONS.flatMap(({ kind, name, patternOf }) => {
    const made = patternOf({});
    if (!made.ok) return [];
    const rows: TrueRow[] = [];
    for (const stop of made.pattern.expected) {
      if (stop.optional && random() < 0.3) continue;
      for (let times = stop.repeats ? 2 + Math.floor(random() * 2) : 1; times > 0; times--) {
        const stitches = Math.round(
          stitchKind(stop.role) === 'running' ? 60 + random() * 500 : 300 + random() ** 2 * 9000
        );
        const length =
          stitchKind(stop.role) === 'running' ? 5 : stitchKind(stop.role) === 'satin' ? 6.5 : 5.4;
        const other = OTHER_WORDS[stop.role];
        rows.push({
          number: rows.length + 1,
          name: stop.repeats
            ? `${pick(random, DETAILS)}${rows.length % 3 === 0 ? '' : ` ${1 + Math.floor(random() * 8)}`}`
            : other && random() < 0.2
              ? pick(random, other)
              : stop.name,
          colour: pick(random, COLOURS) + (random() < 0.3 ? ` ${1000 + Math.floor(random() * 8999)}` : ''),
          stitches,
          metres: Math.max(0.1, Math.round((stitches * length) / 10) / 100),
          role: stop.role,
          key: stop.key
        });
      }
    }
    return [{ kind, title: `${name} from the gift stall`, pattern: made.pattern, rows }];
  });
}
