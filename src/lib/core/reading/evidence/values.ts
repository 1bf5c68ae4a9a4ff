/** Marks that stand for nothing at all. */
const NOTHING = /^(?:[-–—.·•/]*|n\/?a|none|nil|no code|null|\?+)$/i;
/** Marks that stand for the same as above. */
const DITTO = /^(?:["″”„]|,,|''|[-–—]\s?["″”]\s?[-–—]|ditto|do\.|same|as above|idem)$/i;

/** Whether a cell says nothing. */
export function isBlank(text: string): boolean {
  return NOTHING.test(text.trim());
}

/** Whether a cell says the same as the one above it. */
export function isDitto(text: string): boolean {
  return DITTO.test(text.trim());
}

/** A figure as it is printed, with the words before and behind it. */
export interface Figure {
  before: string;
  digits: string;
  unit: string;
}

/**
 * The one figure of a cell: `1 234,5 cm`, `#12`, `ca. 3.40 m`. Nothing where there is none, or more than one.
 *
 * @example
 * figureIn('1 410 st') // { before: '', digits: '1 410', unit: 'st' }
 */
export function figureIn(text: string): Figure | undefined {
  const found =
    /^([^\d]*?)(\d{1,3}(?:[ \u00a0\u2009\u202f'’]\d{3})+(?:[.,]\d{1,3})?|\d[\d.,]*\d|\d)\s*([^\d\s][^\d]*)?$/u.exec(
      text.trim()
    );
  if (!found?.[2]) return undefined;
  return { before: (found[1] ?? '').trim(), digits: found[2], unit: (found[3] ?? '').trim() };
}

/** How figures of one column are written: what parts thousands, and what begins decimals. */
export interface Writing {
  thousands: RegExp | null;
  decimal: '.' | ',' | null;
}

/**
 * The ways in which all figures of a column can be meant; a single `1.250` may be either, a whole column seldom.
 *
 * @example
 * writingsOf(['242', '5.236']) // thousands parted by dots, or decimals after a dot
 */
export function writingsOf(digits: readonly string[]): Writing[] {
  const bare = digits.map((each) => each.replace(/[ \u00a0\u2009\u202f'’]/g, ''));
  const spaced = digits.some((each, at) => each !== bare[at]);
  const marks = (['.', ','] as const).filter((mark) => bare.some((each) => each.includes(mark)));
  const asThousands = (mark: string): boolean =>
    bare.every((each) => {
      const whole = each.split(mark === '.' ? ',' : '.')[0] ?? '';
      return !whole.includes(mark) || new RegExp(`^\\d{1,3}(?:\\${mark}\\d{3})+$`).test(whole);
    });
  const asDecimal = (mark: string): boolean =>
    bare.every((each) => each.split(mark).length <= 2 && (each.split(mark)[1] ?? '').length <= 4);
  const [first, second] = marks;
  if (first === undefined) return [{ thousands: spaced ? SPACES : null, decimal: null }];
  if (second !== undefined) {
    return (['.', ','] as const).flatMap((decimal): Writing[] => {
      const other = decimal === '.' ? ',' : '.';
      return asThousands(other) && asDecimal(decimal) ? [{ thousands: partedBy(other), decimal }] : [];
    });
  }
  return [
    ...(asThousands(first) && !spaced ? [{ thousands: partedBy(first), decimal: null }] : []),
    ...(asDecimal(first) ? [{ thousands: SPACES, decimal: first }] : [])
  ];
}

const SPACES = /[ \u00a0\u2009\u202f'’]/g;
const partedBy = (mark: string): RegExp => new RegExp(`[ \\u00a0\\u2009\\u202f'’\\${mark}]`, 'g');

/** The value of a figure in a way of writing. */
export function valueOf(digits: string, { thousands, decimal }: Writing): number {
  const bare = thousands === null ? digits : digits.replace(thousands, '');
  return Number(decimal === ',' ? bare.replace(',', '.') : bare);
}

/** The number of a stop: `3`, `3.`, `#3`, `03`, `Stop 3`, `C3`. */
export function stopNumberIn(text: string): number | undefined {
  const found = /^(?:\p{L}{1,12}\.?\s?)?#?(\d{1,3})\s?[.):\]]?$/u.exec(text.trim());
  return found?.[1] === undefined ? undefined : Number(found[1]);
}
