import { saidIn } from '$lib/core/base/units';
import { ASK, choice, number, text } from './fields';
import { CAUTION } from './cautions';
import { sewUp } from './sewUp';
import { bendsAlong, CLIP_SPACING_MM, spent } from './time';
import { say, name, line, openingOf, writeClip, writeHardware } from './words';
import type { OperationOf } from '$lib/core/documents/item';
import type { HandTimeKey } from '$lib/core/documents/shop';
import type { TraitsOf } from './traits';

/** Hand time of each kind of hardware. */
const HARDWARE_TIME = {
  snap: 'snap',
  eyelet: 'eyelet',
  'split-ring': 'ring',
  'ribbon-loop': 'ring',
  'hook-and-loop': 'hookAndLoop'
} as const satisfies Record<OperationOf<'hardware'>['kind'], HandTimeKey>;

const CLOSED = { hand: 'by hand', machine: 'by machine', tape: 'with fusible tape' } as const;

/** What makes an item of the parts, and what belongs to no part of the work. */
export const assemblingTraits = {
  clip: {
    label: 'Clip curves',
    mark: 'cut',
    wording: writeClip,
    caution: null,
    time: ({ lineId }, { item }) => {
      const { corners, curve } = bendsAlong(item, lineId);
      return [spent('clip', corners + Math.ceil(curve / CLIP_SPACING_MM))];
    },
    waits: null,
    hoop: 'stays',
    stack: null,
    order: 'loose',
    wall: false,
    done: 'each-copy',
    bobbin: null,
    ready: null,
    spoken: null,
    start: {},
    fields: { lineId: ASK.line }
  },
  'turn-through': {
    label: 'Turn through an opening',
    mark: 'fold',
    wording: (op, context) =>
      op.pieceId === undefined
        ? say(
            `Turn through the ${openingOf(op.lineId, context)}`,
            'Push the corners out with something blunt, never scissors.'
          )
        : say(
            `Turn through ${name(op.pieceId, context)}`,
            'Push the corners out with something blunt, never scissors.'
          ),
    caution: null,
    time: ({ pieceId }) => [spent(pieceId === undefined ? 'turn' : 'turnAgain')],
    waits: null,
    hoop: 'stays',
    stack: ({ lineId, pieceId }) => ({ does: 'turn', lineId, pieceId }),
    order: 'loose',
    wall: false,
    done: 'each-copy',
    bobbin: null,
    ready: null,
    spoken: /\bturn (?:it |the \w+ )?(?:through|right side out|inside out)\b|\bright side out\b/,
    start: { pieceId: undefined },
    fields: { lineId: ASK.line, pieceId: ASK.piece }
  },
  'close-opening': {
    label: 'Close an opening',
    mark: 'fasten',
    wording: (op, context) =>
      say(
        `Close the opening of the ${line(op.lineId, context)} ${CLOSED[op.by]}`,
        'Tuck the edges in, hold them with clips, press, close.'
      ),
    caution: ({ by }) => (by === 'tape' ? CAUTION.iron : null),
    time: ({ by }) => [spent(by === 'hand' ? 'closeByHand' : 'closeByMachine')],
    waits: null,
    hoop: 'stays',
    stack: null,
    order: 'loose',
    wall: false,
    done: 'each-copy',
    bobbin: null,
    ready: null,
    spoken: /\b(close|sew|stitch) .*opening\b/,
    start: { by: 'hand' },
    fields: {
      lineId: ASK.line,
      by: choice('How', { hand: 'By hand', machine: 'By machine', tape: 'With fusible tape' })
    }
  },
  'join-parts': {
    label: 'Join parts by their loops',
    mark: 'fasten',
    wording: (op) =>
      say(
        `Join the parts at ${op.loops} loops`,
        'From the middle part outwards: pull each button through its loop with a clamp.'
      ),
    caution: null,
    time: ({ loops }) => [spent('joinLoop', loops)],
    waits: null,
    hoop: 'stays',
    stack: null,
    order: 'loose',
    wall: false,
    done: 'each-copy',
    bobbin: null,
    ready: null,
    spoken: null,
    start: { loops: 4 },
    fields: { loops: number('Loops') }
  },
  'sew-up': sewUp,
  punch: {
    label: 'Punch holes',
    mark: 'cut',
    wording: (op) => say(op.holes === 1 ? 'Punch the hole' : `Punch ${op.holes} holes`, 'At the marks.'),
    caution: CAUTION.punch,
    time: ({ holes }) => [spent('punch', holes)],
    waits: null,
    hoop: 'stays',
    stack: null,
    order: 'loose',
    wall: false,
    done: 'each-copy',
    bobbin: null,
    ready: null,
    spoken: null,
    start: { holes: 1 },
    fields: { holes: number('Holes') }
  },
  hardware: {
    label: 'Set snaps, eyelets, rings',
    mark: 'fasten',
    wording: writeHardware,
    caution: ({ kind }) => (kind === 'snap' || kind === 'eyelet' ? CAUTION.smallParts : null),
    time: ({ kind, count }) => [spent(HARDWARE_TIME[kind], count)],
    waits: null,
    hoop: 'stays',
    stack: ({ kind, count }) => ({ does: 'fit', what: kind, count }),
    order: 'loose',
    wall: false,
    done: 'each-copy',
    bobbin: null,
    ready: null,
    spoken: null,
    start: { kind: 'snap', count: 1 },
    fields: {
      kind: choice('What', {
        snap: 'Snap',
        eyelet: 'Eyelet',
        'split-ring': 'Ring',
        'ribbon-loop': 'Ribbon loop',
        'hook-and-loop': 'Hook-and-loop'
      }),
      count: number('How many')
    }
  },
  'set-up': {
    label: 'Set up a job',
    mark: 'start',
    wording: ({ turned }) =>
      say(
        'Set up the job',
        `Load the file${turned ? ' and turn the design a quarter' : ''}. Check that hoop, copies and needle colours are the ones on this sheet.`
      ),
    caution: null,
    time: (_, { machine }) => [spent(machine.needles > 1 ? 'setUpMulti' : 'setUp')],
    waits: null,
    hoop: 'stays',
    stack: null,
    order: 'loose',
    wall: false,
    done: 'once',
    bobbin: null,
    ready: null,
    spoken: null,
    start: null,
    fields: { turned: null }
  },
  other: {
    label: 'Something else',
    mark: 'note',
    wording: (op, { unit }) => say(saidIn(op.title, unit)),
    caution: null,
    time: ({ seconds }) => [{ key: 'other', times: 1, seconds }],
    waits: null,
    hoop: 'stays',
    stack: null,
    order: 'loose',
    wall: false,
    done: 'each-copy',
    bobbin: null,
    ready: null,
    spoken: null,
    start: { title: 'Do something else', seconds: 30 },
    fields: { title: text('What to do'), seconds: number('Seconds') }
  },
  'left-out': {
    label: 'Not on this sheet',
    mark: 'note',
    wording: ({ what, why, repair }) => say(`Not on this sheet: ${what}`, `Because: ${why} ${repair}`),
    caution: null,
    time: () => [],
    waits: null,
    hoop: 'stays',
    stack: null,
    order: 'loose',
    wall: false,
    done: 'once',
    bobbin: null,
    ready: null,
    spoken: null,
    start: null,
    fields: { what: null, why: null, repair: null }
  }
} satisfies TraitsOf<
  | 'clip'
  | 'turn-through'
  | 'close-opening'
  | 'join-parts'
  | 'sew-up'
  | 'punch'
  | 'hardware'
  | 'set-up'
  | 'other'
  | 'left-out'
>;
