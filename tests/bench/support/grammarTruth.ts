/** Charts that no word list knows: labels, colours and figures drawn from a seed, wider than anyone’s habits. */
import { pick, seeded } from './random';

export interface GrammarRow {
  number: number;
  label: string;
  colour: string;
  code: string;
  stitches: number;
  /** Length as it is printed, mm; null where none is. */
  mm: number | null;
}
export interface GrammarChart {
  title: string;
  rows: GrammarRow[];
  unit: 'm' | 'cm' | 'mm' | 'ft' | 'in' | 'yd';
  hasCodes: boolean;
  hasLengths: boolean;
  numbered: boolean;
}

const WORK = [
  'Placement line',
  'Placement',
  'Tack-down',
  'Tack down',
  'Position outline',
  'Fixing run',
  'Cutting line',
  'Cut guide',
  'Quilting',
  'Stipple fill',
  'Satin border',
  'Edge, satin',
  'Closing seam',
  'Final outline',
  'Joining seam',
  'Topstitch',
  'Basting frame',
  'Lace grid',
  'Bars',
  'Eyelet marks',
  'Hold-down stitch',
  'Zigzag over raw edge'
];
const THINGS = [
  'Badger',
  'Signal arm',
  'Lamp',
  'Fern leaf',
  'Carriage roof',
  'Wheel',
  'Whistle',
  'Ticket',
  'Canopy',
  'Coal heap',
  'Footbridge',
  'Smoke',
  'Rails',
  'Clock face',
  'Porter’s cap',
  'Kettle',
  'Milk churn',
  'Luggage strap',
  'Lettering PLATFORM 2',
  'Words WAY OUT',
  'Tender',
  'Buffer beam'
];
const PARTS = [
  '',
  '',
  '',
  ', left',
  ', right',
  ' (front)',
  ' shading',
  ' outline',
  ' detail',
  ' 1',
  ' 2',
  ', upper half'
];
const PLAIN = [
  'Black',
  'White',
  'Grey',
  'Red',
  'Navy',
  'Cream',
  'Ivory',
  'Brass',
  'Moss',
  'Silver',
  'Rust',
  'Teal',
  'Gold'
];
const HOUSE = [
  'Boiler',
  'Carriage',
  'Lamp',
  'Station',
  'Rail',
  'Signal',
  'Ticket',
  'Oxide',
  'Chalk',
  'Slate',
  'Guard’s',
  'Fern'
];
const SHADES = [
  'Black',
  'Cream',
  'Amber',
  'Green',
  'Red',
  'Buff',
  'White',
  'Grey',
  'Blue',
  'Brown',
  'Pink',
  'Violet'
];
const ODD = [
  'Halt',
  'Soot',
  'Ballast',
  'Porridge',
  'Embers',
  'Dew',
  'Tarpaulin',
  'Mustard',
  'Fog',
  'Clinker'
];

/** A chart with 4 to 24 stops. */
export function grammarChart(seed: number): GrammarChart {
  const random = seeded(seed);
  const count = 4 + Math.floor(random() ** 1.4 * 21);
  const shelf = Array.from({ length: 2 + Math.floor(random() * 6) }, (_, at) => {
    const kind = random();
    const name =
      kind < 0.35
        ? pick(random, PLAIN)
        : kind < 0.85
          ? `${pick(random, HOUSE)} ${pick(random, SHADES)}`
          : pick(random, ODD);
    return { name, at };
  }).filter(({ name }, at, all) => all.findIndex((each) => each.name === name) === at);
  const codeOf = codes(random);
  const unit = pick(random, ['m', 'm', 'm', 'cm', 'mm', 'ft', 'in', 'yd'] as const);
  const hasCodes = random() < 0.6;
  const hasLengths = random() < 0.8;
  const labels = new Set<string>();
  const rows = Array.from({ length: count }, (_, at): GrammarRow => {
    let label = '';
    while (label === '' || (labels.has(label) && random() < 0.9)) {
      label = random() < 0.5 ? pick(random, WORK) : pick(random, THINGS);
      if (random() < 0.35)
        label += random() < 0.5 ? pick(random, PARTS) : `, ${pick(random, THINGS).toLowerCase()}`;
    }
    labels.add(label);
    const thread = pick(random, shelf);
    const running = random() < 0.5;
    const stitches = Math.round(running ? 24 + random() * 500 : 200 + random() ** 2 * 9000);
    const each = running ? 4.6 + random() * 1.2 : 5 + random() * 1.6;
    const bare = random() < 0.03;
    return {
      number: at + 1,
      label,
      colour: thread.name,
      code: hasCodes && random() > 0.03 ? codeOf(thread.at) : '',
      stitches,
      mm: hasLengths && !bare ? stitches * each : null
    };
  });
  return {
    title: `${pick(random, THINGS)} for the stall`,
    rows,
    unit,
    hasCodes,
    hasLengths,
    numbered: random() < 0.9
  };
}

/** Codes of one house: letters and digits of one shape, the same for the same thread. */
function codes(random: () => number): (thread: number) => string {
  const letter = pick(random, ['K', 'N', 'W', 'R', 'TS', '']);
  const mark = letter === '' ? '' : pick(random, ['', '-', ' ']);
  const digits = letter === '' ? 4 : pick(random, [2, 3]);
  const made = Array.from({ length: 10 }, () => Math.floor(random() * 10 ** digits));
  return (thread) => `${letter}${mark}${String(made[thread] ?? 0).padStart(digits, '0')}`;
}
