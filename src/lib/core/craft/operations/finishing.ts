import { ASK, choice } from './fields';
import { CAUTION } from './cautions';
import { cutOutTime, WAIT_KEY } from './time';
import { say, name, line, lengthWords, WAIT_WORDS } from './words';
import { cutAll } from './effects';
import type { TraitsOf } from './traits';

const everyPart = ({ alsoLineIds = [] }: { alsoLineIds?: string[] | undefined }): string =>
  alsoLineIds.length === 0 ? '' : `, and so round each of the ${alsoLineIds.length + 1} parts`;

/** From the ring to the cut edge. */
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
    stack: ({ pieceId }) => ({
      does: 'lay',
      pieceId,
      side: 'below',
      face: 'up',
      ownLine: true,
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
      say(
        'Cut roughly',
        `About ${lengthWords(op.margin, context)} outside the ${line(op.lineId, context)}${everyPart(op)}.`
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
    start: { margin: 15 },
    fields: { lineId: ASK.line, alsoLineIds: null, margin: ASK.margin }
  },
  'cut-out': {
    label: 'Cut out',
    mark: 'cut',
    wording: (op, context) =>
      say(
        'Cut out',
        `${op.margin === 0 ? 'On' : `${lengthWords(op.margin, context)} outside`} the ${line(op.lineId, context)}${everyPart(op)}, all round. Do not touch a thread.`
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
    fields: { lineId: ASK.line, alsoLineIds: null, margin: ASK.margin }
  }
} satisfies TraitsOf<
  'unhoop' | 'tear-away' | 'rinse' | 'wait' | 'fray-fluid' | 'heat-adhesive' | 'cut-roughly' | 'cut-out'
>;
