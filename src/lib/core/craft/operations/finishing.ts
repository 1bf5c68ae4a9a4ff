import { ASK, choice, number, text } from './fields';
import { CAUTION } from './cautions';
import { spent, alongCm, cutOutTime, WAIT_KEY, CLIP_SPACING_MM } from './time';
import { say, name, line, writeHardware, lengthWords, WAIT_WORDS } from './words';
import { cutAll } from './effects';
import { findPiece } from '$lib/core/documents/item';
import type { TraitsOf } from './traits';

/** From the ring to the finished item. */
export const finishingTraits = {
  unhoop: {
    label: 'Unhoop',
    mark: 'hoop',
    wording: () => say('Unhoop', 'Registration is lost from here: be sure every stop is done.'),
    caution: null,
    time: 'unhoop',
    waits: null,
    hoop: () => ({ where: 'unhooped', turned: false }),
    stack: () => ({ does: 'unclamp' }),
    order: 'move',
    wall: true,
    done: 'each-head',
    bobbin: null,
    ready: null,
    spoken: /\b(unhoop|(?:remove|take) .*(?:from|out of) the hoop|remove from hoop)\b/,
    start: {},
    fields: {}
  },
  'tear-away': {
    label: 'Tear stabiliser away',
    mark: 'tear',
    wording: () =>
      say('Tear the stabiliser away', 'Hold the stitches down with your thumb and tear towards them.'),
    caution: null,
    time: 'tearAway',
    waits: null,
    hoop: 'stays',
    stack: () => ({ does: 'take', what: 'torn' }),
    order: 'loose',
    wall: false,
    done: 'each-copy',
    bobbin: null,
    ready: null,
    spoken: null,
    start: {},
    fields: {}
  },
  rinse: {
    label: 'Rinse',
    mark: 'water',
    wording: () =>
      say('Rinse', 'Warm water, until it no longer feels slippery. Keep what dissolves out of the drain.'),
    caution: null,
    time: 'rinse',
    waits: null,
    hoop: 'stays',
    stack: () => ({ does: 'take', what: 'dissolved' }),
    order: 'loose',
    wall: false,
    done: 'once',
    bobbin: null,
    ready: null,
    spoken: /\b(rinse|dissolve|soak|wash)\b/,
    start: {},
    fields: {}
  },
  wait: {
    label: 'Wait',
    mark: 'wait',
    wording: (op) => WAIT_WORDS[op.why],
    caution: null,
    time: () => [],
    waits: ({ why }) => WAIT_KEY[why],
    hoop: 'stays',
    stack: null,
    order: 'loose',
    wall: false,
    done: 'once',
    bobbin: null,
    ready: null,
    spoken: /\b(dry|overnight|wait)\b/,
    start: { why: 'glue' },
    fields: {
      why: choice('Until', {
        'fray-fluid': 'Fray fluid dries',
        glue: 'Glue sets',
        soak: 'It soaks',
        dry: 'It dries overnight'
      })
    }
  },
  'fray-fluid': {
    label: 'Seal a raw edge',
    mark: 'water',
    wording: (op, context) =>
      say('Seal the edge', `Run fray fluid along the ${line(op.lineId, context)}, before you cut.`),
    caution: null,
    time: 'frayFluid',
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
  'heat-adhesive': {
    label: 'Iron adhesive on',
    mark: 'heat',
    wording: (op, context) =>
      say(
        `Iron ${name(op.pieceId, context)} to the back`,
        'Patch face down on a sheet, rough side to its back. The paper stays on.'
      ),
    caution: CAUTION.iron,
    time: 'fuse',
    waits: null,
    hoop: 'stays',
    stack: ({ pieceId }, item) => ({
      does: 'lay',
      pieceId,
      side: 'below',
      face: 'up',
      covers: findPiece(item, pieceId)?.covers ?? undefined,
      hold: { by: 'fuse' }
    }),
    order: 'loose',
    wall: false,
    done: 'each-copy',
    bobbin: null,
    ready: null,
    spoken: null,
    start: {},
    fields: { pieceId: ASK.piece }
  },
  'cut-roughly': {
    label: 'Cut roughly',
    mark: 'cut',
    wording: (op, context) =>
      say('Cut roughly', `About ${lengthWords(op.margin, context)} outside the ${line(op.lineId, context)}.`),
    caution: CAUTION.blade,
    time: cutOutTime,
    waits: null,
    hoop: 'stays',
    stack: cutAll,
    order: 'loose',
    wall: false,
    done: 'each-copy',
    bobbin: null,
    ready: null,
    spoken: null,
    start: { margin: 15 },
    fields: { lineId: ASK.line, margin: ASK.margin }
  },
  'cut-out': {
    label: 'Cut out',
    mark: 'cut',
    wording: (op, context) =>
      say(
        'Cut out',
        `${lengthWords(op.margin, context)} outside the ${line(op.lineId, context)}, all round. Do not touch a thread.`
      ),
    caution: CAUTION.blade,
    time: cutOutTime,
    waits: null,
    hoop: 'stays',
    stack: cutAll,
    order: 'loose',
    wall: false,
    done: 'each-copy',
    bobbin: null,
    ready: null,
    spoken: null,
    start: { margin: 3 },
    fields: { lineId: ASK.line, margin: ASK.margin }
  },
  clip: {
    label: 'Clip curves',
    mark: 'cut',
    wording: (op, context) =>
      say('Clip the curves', `Along the ${line(op.lineId, context)}, up to the seam but not into it.`),
    caution: null,
    time: ({ lineId }, { item }) => [
      spent('clip', Math.ceil((alongCm(item, lineId, 0) * 10) / CLIP_SPACING_MM))
    ],
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
            `Turn through the opening${op.lineId === undefined ? '' : ` of the ${line(op.lineId, context)}`}`,
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
        `Close the opening of the ${line(op.lineId, context)} by ${op.by}`,
        'Tuck the edges in, hold them with clips, press, close.'
      ),
    caution: null,
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
    fields: { lineId: ASK.line, by: choice('How', { hand: 'By hand', machine: 'By machine' }) }
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
    time: ({ kind, count }) => [
      spent(kind === 'snap' ? 'snap' : kind === 'eyelet' ? 'eyelet' : 'ring', count)
    ],
    waits: null,
    hoop: 'stays',
    stack: null,
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
    wording: () =>
      say(
        'Set up the job',
        'Load the file. Check that hoop, copies and needle colours are the ones on this sheet.'
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
    fields: {}
  },
  other: {
    label: 'Something else',
    mark: 'note',
    wording: (op) => say(op.title),
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
  }
} satisfies TraitsOf<
  | 'unhoop'
  | 'tear-away'
  | 'rinse'
  | 'wait'
  | 'fray-fluid'
  | 'heat-adhesive'
  | 'cut-roughly'
  | 'cut-out'
  | 'clip'
  | 'turn-through'
  | 'close-opening'
  | 'join-parts'
  | 'punch'
  | 'hardware'
  | 'set-up'
  | 'other'
>;
