import { median, metresPer } from '$lib/core/base/units';
import { type Column, valuesIn } from './column';
import type { Field } from './fields';
import { isBlank, type Writing } from './values';

/** Evidence that a column is what its heading says, or is not what another heading says. */
const NAMED = 0.7;
const NAMED_OTHERWISE = -0.35;

function named(column: Column, field: Field): number {
  if (column.named === undefined) return 0;
  return column.named === field ? NAMED : NAMED_OTHERWISE;
}

/** How much a column looks like the numbers of stops. */
export function numberScore(column: Column): number {
  const known = column.numbers.filter((number) => number !== undefined).length / column.numbers.length;
  if (known < 0.7) return -Infinity;
  return known * (1.3 * column.counting - 0.45) + named(column, 'number');
}

/** A reading of a column as counts of stitches. */
export interface CountFit {
  score: number;
  values: (number | undefined)[];
}

const STITCH_UNIT = /^(?:st|sts|stitch|stitches|stch|stiche|pts?|points?)\.?$/i;

/**
 * How much a column looks like stitch counts: whole numbers of a likely size, that add up to a figure on the paper.
 *
 * @param stated figures that stand elsewhere on the paper
 */
export function countFit(column: Column, stated: ReadonlySet<number>): CountFit | undefined {
  if (column.figured < 0.7 || column.blank > 0.4) return undefined;
  const units = [
    ...column.figures.flatMap((figure) => (figure && figure.unit !== '' ? [figure.unit] : [])),
    ...(column.unitWord === undefined ? [] : [column.unitWord])
  ];
  if (
    units.some((unit) => metresPer(unit) !== undefined || /^(?:%|h|min|sec|s|°|:.*|[€$£].*)\.?$/i.test(unit))
  )
    return undefined;
  // A letter or a sign right in front of its digits makes a code or a price of it.
  if (column.figures.some((figure) => figure !== undefined && /[\p{L}€$£#-]/u.test(figure.before)))
    return undefined;
  const writing = column.writings.find(({ decimal }) => decimal === null);
  if (!writing) return undefined;
  const values = valuesIn(column, writing);
  const known = values.filter((value) => value !== undefined);
  const zeroes = column.figures.filter((figure) => /^0\d/.test(figure?.digits ?? '')).length;
  if (known.length === 0 || zeroes > 0) return undefined;
  const usual = median(known, 0);
  const sum = known.reduce((total, value) => total + value, 0);
  const isRising = known.length >= 5 && known.every((value, at) => at === 0 || value > (known[at - 1] ?? 0));
  const score =
    0.5 * column.figured +
    (usual >= 30 ? 0.25 : usual < 15 ? -0.6 : 0) +
    (known.length >= 2 && usual >= 20 && stated.has(sum) ? 1 : 0) -
    (column.counting > 0.7 ? 1 : 0) -
    (isRising ? 0.4 : 0) -
    (sum >= 97 && sum <= 103 && known.length > 2 ? 0.7 : 0) -
    0.5 * column.blank +
    (units.length > 0 && units.every((unit) => STITCH_UNIT.test(unit)) ? 0.5 : 0) +
    named(column, 'stitches');
  return { score, values };
}

/** A reading of a column as lengths of thread. */
export interface LengthFit {
  score: number;
  metres: (number | undefined)[];
  /** Whether the paper says the unit. */
  unitSeen: boolean;
}

/** Units a paper may leave unsaid, with how seldom it means them. */
const UNSAID = { m: 0, cm: 0.03, mm: 0.03, in: 0.05, ft: 0.06, yd: 0.1 } as const;
/** Thread for a stitch, mm: what the craft knows, from fine running stitches to wide satin. */
const [LEAST_MM, MOST_MM] = [2, 9];

/**
 * How much a column looks like thread, beside these counts: a length whose ratio to the stitches is that of the craft, and
 * about the same in every row.
 *
 * @param unitElsewhere unit that the paper names for all its lengths
 */
export function lengthFit(
  column: Column,
  counts: CountFit,
  unitElsewhere: string | undefined
): LengthFit | undefined {
  if (column.figured < 0.6 || column.blank > 0.85) return undefined;
  const own = column.figures.map((figure) => {
    const unit = figure?.unit.replace(/\.$/, '') ?? '';
    return unit === '' ? undefined : unit;
  });
  if (column.unitWord !== undefined && metresPer(column.unitWord) === undefined) return undefined;
  const strange = own.filter((unit) => unit !== undefined && metresPer(unit) === undefined).length;
  if (strange * 8 > own.length) return undefined;
  if (
    column.figures.some(
      (figure) =>
        figure !== undefined && figure.before !== '' && !/^(?:ca|c|~|≈|about)\.?$/i.test(figure.before)
    )
  )
    return undefined;
  const said =
    own.some((unit) => unit !== undefined) || column.namedUnit !== undefined || unitElsewhere !== undefined;
  // Whole numbers without a unit may be anything; a few of them are no lengths, and numbers that count up are none.
  const whole = column.writings.every(({ decimal }) => decimal === null);
  if (!said && whole && (column.texts.length < 4 || column.counting >= 0.5)) return undefined;
  if (column.writings.some((writing) => isRunning(valuesIn(column, writing), counts.values)))
    return undefined;
  const fits = column.writings.flatMap((writing) =>
    (said
      ? [column.namedUnit ?? unitElsewhere ?? 'm']
      : (Object.keys(UNSAID) as (keyof typeof UNSAID)[])
    ).map((unit): LengthFit => {
      const metres = valuesIn(column, writing).map((value, at) =>
        value === undefined ? undefined : inMetres(value, own[at] ?? unit)
      );
      const seldom = said ? 0 : (UNSAID[unit as keyof typeof UNSAID] ?? 0);
      return { score: ratioScore(metres, counts, writing) - seldom, metres, unitSeen: said };
    })
  );
  const best = fits.reduce<LengthFit | undefined>(
    (most, fit) => (most && most.score >= fit.score ? most : fit),
    undefined
  );
  return (
    best && {
      ...best,
      score:
        best.score +
        0.2 * (1 - column.blank) +
        (own.some((unit) => unit !== undefined) ? 0.4 : 0) +
        named(column, 'thread')
    }
  );
}

/** Whether figures only add the counts up from row to row. */
function isRunning(
  values: readonly (number | undefined)[],
  counts: readonly (number | undefined)[]
): boolean {
  let sum = 0;
  return values.every((value, at) => {
    sum += counts[at] ?? 0;
    return value === sum;
  });
}

function inMetres(value: number, unit: string): number | undefined {
  const each = metresPer(unit);
  return each === undefined ? undefined : Math.round(value * each * 1e6) / 1e6;
}

function ratioScore(metres: readonly (number | undefined)[], counts: CountFit, { decimal }: Writing): number {
  const logs = metres.flatMap((value, at) => {
    const stitches = counts.values[at];
    return value && stitches ? [Math.log((value * 1000) / stitches)] : [];
  });
  if (logs.length === 0) return -0.3;
  const usual = median(logs, 0);
  const spread = median(
    logs.map((log) => Math.abs(log - usual)),
    0
  );
  const apart = logs.reduce((sum, log) => sum + Math.min(2, Math.abs(log - usual)), 0) / logs.length;
  const off = Math.max(0, Math.log(LEAST_MM) - usual, usual - Math.log(MOST_MM));
  const likely = Math.abs(usual - Math.log(5)) * 0.08;
  return (
    0.7 - 1.6 * off - 1.4 * Math.max(0, spread - 0.12) - 0.4 * apart - likely + (decimal !== null ? 0.05 : 0)
  );
}

/** How much a column looks like colours: words of colour, that come again, seldom work. */
export function colourScore(column: Column): number {
  if (column.worded < 0.6 || column.blank > 0.8) return -Infinity;
  const rows = column.texts.length;
  return (
    0.1 +
    (0.6 * column.coloured + 0.35 * column.tinted) * Math.sqrt(1 - column.blank) +
    (rows >= 4 ? 0.35 * (1 - column.differing) : 0) -
    0.6 * column.working * (1 - column.coloured) -
    (column.words > 4 ? 0.5 : 0) -
    0.15 * column.blank +
    named(column, 'colour')
  );
}

/** How much a column looks like the work of its stops: words, mostly different ones, that are no colours. */
export function labelScore(column: Column): number {
  if (column.worded < 0.7 || column.blank > 0.5) return -Infinity;
  return (
    0.35 +
    0.6 * column.working +
    0.3 * column.differing -
    0.7 * column.coloured * (1 - column.working) -
    0.8 * column.blank -
    (column.words > 9 ? 0.5 : 0) -
    0.6 * column.timed +
    named(column, 'name')
  );
}

/** How much a column looks like codes of thread, beside these colours: the same colour has the same code. */
export function codeScore(column: Column, colours: Column | undefined): number {
  if (column.coded < 0.7 || column.counting > 0.8) return -Infinity;
  const shapes = new Map<string, number>();
  for (const text of column.texts.filter((each) => !isBlank(each))) {
    const shape = text.replace(/\d/g, '0').replace(/\p{L}/gu, 'a');
    shapes.set(shape, (shapes.get(shape) ?? 0) + 1);
  }
  const filled = [...shapes.values()].reduce((sum, count) => sum + count, 0);
  const common = Math.max(0, ...shapes.values());
  return (
    0.05 +
    0.25 * (common / Math.max(1, filled)) +
    (colours ? 0.7 * agreement(column, colours) : 0) +
    named(column, 'code')
  );
}

/** Rows whose pairs are compared: more tell nothing new. */
const TELLING = 120;

/** From −1 to 1: how well equal colours go with equal codes, and different ones with different, over the pairs that can tell. */
export function agreement(codes: Column, colours: Column): number {
  let [same, sameAgree, other, otherAgree] = [0, 0, 0, 0];
  codes.texts.slice(0, TELLING).forEach((code, at) => {
    const colour = colours.texts[at]?.toLowerCase() ?? '';
    if (isBlank(code) || isBlank(colour)) return;
    for (let earlier = 0; earlier < at; earlier++) {
      const [earlierCode = '', earlierColour = ''] = [
        codes.texts[earlier],
        colours.texts[earlier]?.toLowerCase()
      ];
      if (isBlank(earlierCode) || isBlank(earlierColour)) continue;
      if (earlierColour === colour) {
        same++;
        if (earlierCode === code) sameAgree++;
      } else {
        other++;
        if (earlierCode !== code) otherAgree++;
      }
    }
  });
  // Where no colour comes again, nothing can be told.
  if (same === 0) return 0.2;
  return (2 * sameAgree) / same - 1 - (other === 0 ? 0 : 1 - otherAgree / other);
}
