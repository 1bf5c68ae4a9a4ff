import type { OperationOf } from '$lib/core/documents/item';
import { CAUTION } from './cautions';
import { choice, length } from './fields';
import type { Traits } from './traits';
import { lengthWords, say } from './words';

type SewUp = OperationOf<'sew-up'>;

/** Laying parts on each other, pinning them and starting, s. */
const SET_UP_S = 60;
/** Sewing, by the metre, s. */
const A_METRE_S = { machine: 90, hand: 900, tape: 120 } as const satisfies Record<SewUp['by'], number>;
/** What is no seam, s. */
const NO_SEAM_S = { turn: 180, line: 60, stuff: 240, fold: 60 } as const;

/** What a maker calls each way of making one thing of parts. */
export const SEW_UP_WORDS = {
  join: 'Join right sides together',
  lap: 'Lap and topstitch',
  fold: 'Fold and press',
  box: 'Box the corners',
  zip: 'Sew a zip in between',
  close: 'Close what was left open',
  turn: 'Turn right side out',
  line: 'Push the lining in',
  stuff: 'Stuff it'
} as const satisfies Record<SewUp['how'], string>;

const BY = { machine: 'by machine', hand: 'by hand', tape: 'with fusible tape' } as const;

/** Words as one lists them. @example listed(['the front', 'the back']) // 'the front and the back' */
function listed(parts: readonly string[]): string {
  return parts.length < 2
    ? (parts[0] ?? 'the parts')
    : `${parts.slice(0, -1).join(', ')} and ${parts.at(-1) ?? ''}`;
}

function titleOf({ how, parts }: SewUp): string {
  const what = listed(parts);
  switch (how) {
    case 'join':
      return `Join ${what}, right sides together`;
    case 'lap':
      return `Lap ${what} and topstitch`;
    case 'fold':
      return `Fold ${what} and press`;
    case 'box':
      return `Box the corners of ${what}`;
    case 'zip':
      return `Sew a zip between ${what}`;
    case 'close':
      return `Close the opening of ${what}`;
    case 'turn':
      return `Turn ${what} right side out`;
    case 'line':
      return `Push the lining into ${what}`;
    case 'stuff':
      return `Stuff ${what}`;
  }
}

const isSeam = (how: SewUp['how']): how is Exclude<SewUp['how'], keyof typeof NO_SEAM_S> =>
  !(how in NO_SEAM_S);

/** Seconds of hands: laying it ready, then so much a metre. */
function secondsOf({ how, by, long }: SewUp): number {
  return isSeam(how) ? SET_UP_S + Math.round((long / 1000) * A_METRE_S[by]) : NO_SEAM_S[how];
}

/** Parts made one thing of outside the hoop: a seam by machine, by hand or with tape, or what belongs to it. */
export const sewUp: Traits<'sew-up'> = {
  label: 'Sew up outside the hoop',
  mark: 'sew',
  wording: (op, context) =>
    say(
      titleOf(op),
      isSeam(op.how)
        ? [
            `${op.long > 0 ? `${lengthWords(op.long, context)} ` : ''}${BY[op.by]}.`,
            op.seam > 0 ? `Seam allowance ${lengthWords(op.seam, context)}.` : '',
            op.open > 0 ? `Leave ${lengthWords(op.open, context)} open.` : ''
          ]
            .filter(Boolean)
            .join(' ')
            .replace(/^./, (letter) => letter.toUpperCase())
        : ''
    ),
  caution: ({ how, by }) => (by === 'tape' || how === 'fold' ? CAUTION.iron : null),
  time: (op) => [{ key: 'other', times: 1, seconds: secondsOf(op) }],
  waits: null,
  hoop: 'stays',
  stack: null,
  order: 'loose',
  wall: false,
  done: 'each-copy',
  bobbin: null,
  ready: null,
  spoken: null,
  start: { how: 'join', parts: [], by: 'machine', seam: 10 },
  fields: {
    how: choice('What is done', SEW_UP_WORDS),
    parts: null,
    by: choice('Sewn', { machine: 'By machine', hand: 'By hand', tape: 'With fusible tape' }),
    long: length('How long the seam is'),
    seam: length('Seam allowance'),
    open: length('Left open')
  }
};
