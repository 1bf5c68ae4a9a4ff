import type { HoopState } from '$lib/core/documents/plan';
import { ASK, choice } from './fields';
import { CAUTION } from './cautions';
import { spent, alongCm } from './time';
import { keptWords, lengthWords, line, name, names, say } from './words';
import { pieceReady } from './ready';
import type { TraitsOf } from './traits';

/** Where one trims, as the hoop lies by then. */
const WHERE: Record<HoopState['where'], string> = {
  empty: '',
  on: ' The hoop stays on.',
  forward: ' The hoop stays on, the frame forward.',
  off: ' Hoop off, on the table.',
  unhooped: ''
};

/** Cutting in the hoop, and what goes over cut edges and pile. */
export const cuttingTraits = {
  trim: {
    label: 'Trim',
    mark: 'cut',
    wording: (op, context) =>
      say(
        `Trim ${names(op.pieceIds, context)}`,
        `${op.margin === 0 ? 'Close' : `Leave ${lengthWords(op.margin, context)}`} ${op.side} the ${line(op.lineId, context)}.${
          WHERE[context.hoop.where]
        }${keptWords(op.keepIds, context)}`
      ),
    caution: CAUTION.blade,
    time: ({ lineId, side, margin }, { item }) => [
      spent('trim'),
      spent('trimPerCm', alongCm(item, lineId, side === 'outside' ? margin : -margin))
    ],
    waits: null,
    hoop: 'stays',
    stack: ({ pieceIds, lineId, side, margin }) => ({
      does: 'cut',
      pieceIds,
      lineId,
      outwards: side === 'outside' ? margin : -margin,
      takes: side
    }),
    order: 'work',
    wall: false,
    done: 'each-copy',
    bobbin: null,
    ready: () => ['curved scissors'],
    spoken: /\b(trim|cut (?:away|back|close|off))\b/,
    start: { side: 'outside', margin: 2 },
    fields: {
      pieceIds: ASK.pieces,
      lineId: ASK.line,
      side: choice('Side', { outside: 'Outside the line', inside: 'Inside the line' }),
      margin: ASK.margin,
      keepIds: null
    }
  },
  'cut-away-behind': {
    label: 'Cut away',
    mark: 'cut',
    wording: (op, context) =>
      say(
        `Cut ${names(op.pieceIds, context)} away${op.from === 'back' ? ' behind' : ''}`,
        `Inside the ${line(op.lineId, context)}, from the ${op.from}: only ${op.pieceIds.length === 1 ? 'that layer' : 'those layers'}.${keptWords(op.keepIds, context)}`
      ),
    caution: CAUTION.blade,
    time: 'cutAway',
    waits: null,
    hoop: 'stays',
    stack: ({ pieceIds, lineId, from }) => ({
      does: 'cut',
      pieceIds,
      lineId,
      outwards: 0,
      takes: 'inside',
      from
    }),
    order: 'work',
    wall: false,
    done: 'each-copy',
    bobbin: null,
    ready: () => ['small scissors'],
    spoken: null,
    start: { from: 'back' },
    fields: {
      pieceIds: ASK.pieces,
      lineId: ASK.line,
      from: choice('From', { front: 'The front', back: 'The back' }),
      keepIds: null
    }
  },
  'cut-through': {
    label: 'Cut through',
    mark: 'cut',
    wording: (op, context) =>
      say(
        `Cut through ${names(op.pieceIds, context)}`,
        `Just inside the ${line(op.lineId, context)}, on a mat.`
      ),
    caution: CAUTION.blade,
    time: ({ lineId }, { item }) => [spent('cutOut'), spent('cutOutPerCm', alongCm(item, lineId, 0))],
    waits: null,
    hoop: 'stays',
    stack: ({ pieceIds, lineId }) => ({ does: 'cut', pieceIds, lineId, outwards: 0, takes: 'inside' }),
    order: 'work',
    wall: false,
    done: 'each-copy',
    bobbin: null,
    ready: () => ['small scissors'],
    spoken: null,
    start: {},
    fields: { pieceIds: ASK.pieces, lineId: ASK.line }
  },
  'patch-hole': {
    label: 'Patch a hole',
    mark: 'lay',
    wording: (op, context) =>
      say(
        'Patch the hole',
        `Lay ${name(op.pieceId, context)} over the ${line(op.lineId, context)} and cover it fully.`
      ),
    caution: null,
    time: 'lay',
    waits: null,
    hoop: 'stays',
    stack: ({ pieceId, lineId }) => ({ does: 'lay', pieceId, side: 'above', face: 'up', covers: lineId }),
    order: 'work',
    wall: false,
    done: 'each-copy',
    bobbin: null,
    ready: pieceReady,
    spoken: null,
    start: {},
    fields: { pieceId: ASK.piece, lineId: ASK.line }
  },
  zip: {
    label: 'Open or close a zip',
    mark: 'fasten',
    wording: (op, context) =>
      op.to === 'closed'
        ? say(`Close ${name(op.pieceId, context)}`)
        : say(
            `Open ${name(op.pieceId, context)}${op.to === 'three-quarters' ? ' three quarters' : ''}`,
            'You turn the work through it later.'
          ),
    caution: null,
    time: 'checkUnder',
    waits: null,
    hoop: 'stays',
    stack: ({ pieceId, to }) => ({ does: 'zip', pieceId, to }),
    order: 'free',
    wall: false,
    done: 'each-copy',
    bobbin: null,
    ready: null,
    spoken: /\b(open|close|unzip) .*zip\b/,
    start: { to: 'three-quarters' },
    fields: {
      pieceId: ASK.piece,
      to: choice('To', { open: 'Open', 'three-quarters': 'Three quarters open', closed: 'Closed' })
    }
  },
  'topping-on': {
    label: 'Lay topping',
    mark: 'lay',
    wording: (op, context) =>
      say(`Lay ${name(op.pieceId, context)} on top`, 'Over all of the stitching to come.'),
    caution: null,
    time: 'toppingOn',
    waits: null,
    hoop: 'stays',
    stack: ({ pieceId }) => ({ does: 'lay', pieceId, side: 'above', face: 'up' }),
    order: 'work',
    wall: false,
    done: 'each-head',
    bobbin: null,
    ready: pieceReady,
    spoken: null,
    start: {},
    fields: { pieceId: ASK.piece }
  },
  'topping-off': {
    label: 'Take topping off',
    mark: 'tear',
    wording: (op, context) =>
      say(`Take ${name(op.pieceId, context)} off`, 'Tear it, then dab the rest away.'),
    caution: null,
    time: 'toppingOff',
    waits: null,
    hoop: 'stays',
    stack: ({ pieceId }) => ({ does: 'take', what: 'topping', pieceId }),
    order: 'free',
    wall: false,
    done: 'each-copy',
    bobbin: null,
    ready: null,
    spoken: null,
    start: {},
    fields: { pieceId: ASK.piece }
  }
} satisfies TraitsOf<
  'trim' | 'cut-away-behind' | 'cut-through' | 'patch-hole' | 'zip' | 'topping-on' | 'topping-off'
>;
