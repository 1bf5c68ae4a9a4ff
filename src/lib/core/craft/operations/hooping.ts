import { ASK, length, yes } from './fields';
import { CAUTION } from './cautions';
import { spent } from './time';
import { say, names, lengthWords, writeMiddle } from './words';
import type { TraitsOf } from './traits';

/** Finding and marking a middle by hand, s. */
const MARKING_S = 60;

/** What is clamped, and where the hoop goes. */
export const hoopTraits = {
  'press-folds': {
    label: 'Press folds before the start',
    mark: 'heat',
    wording: ({ fold, pieceId, alsoIds = [] }, context) =>
      say(
        `Press ${lengthWords(fold, context)} under on ${names([pieceId, ...alsoIds], context)}`,
        'Before you start.'
      ),
    caution: CAUTION.iron,
    time: 'press',
    waits: null,
    hoop: 'stays',
    stack: null,
    order: 'loose',
    wall: false,
    done: 'each-copy',
    bobbin: null,
    ready: null,
    spoken: null,
    start: { fold: 12 },
    fields: { pieceId: ASK.piece, alsoIds: null, fold: length('Folded under') }
  },
  'mark-middle': {
    label: 'Mark the middle of the design',
    mark: 'look',
    wording: writeMiddle,
    caution: null,
    time: () => [{ key: 'other', times: 1, seconds: MARKING_S }],
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
    fields: { pieceId: ASK.piece }
  },
  hoop: {
    label: 'Hoop',
    mark: 'hoop',
    wording: (op, context) =>
      say(
        `Hoop ${names(op.pieceIds, context)}`,
        op.sticky
          ? 'Paper side up, drum-tight. Score the paper inside the ring and peel it.'
          : 'Drum-tight, caught by the ring on all four edges. Line up the arrows of the ring.'
      ),
    caution: null,
    time: ({ sticky, pieceIds }) => [
      spent(sticky ? 'hoopSticky' : pieceIds.length > 1 ? 'hoopTwoLayers' : 'hoopOneLayer')
    ],
    waits: null,
    hoop: () => ({ where: 'off', turned: false }),
    stack: ({ pieceIds }) => ({ does: 'clamp', pieceIds }),
    order: 'move',
    wall: true,
    done: 'each-head',
    bobbin: null,
    ready: ({ pieceIds }, { piece }) => pieceIds.map(piece),
    spoken: /\bhoop\b/,
    start: {},
    fields: { pieceIds: ASK.pieces, sticky: yes('Sticky stabiliser') }
  },
  'hoop-on': {
    label: 'Put the hoop on',
    mark: 'move',
    wording: (_, { hoop }) =>
      hoop.turned
        ? say('Put the hoop on', 'It is still turned over: turn it back first.')
        : say(
            'Put the hoop on',
            'Seat it fully. Feel underneath that nothing is folded. Watch the first stitches.'
          ),
    caution: CAUTION.carriage,
    time: 'hoopOn',
    waits: null,
    hoop: (hoop) => ({ ...hoop, where: 'on' }),
    stack: null,
    order: 'move',
    wall: false,
    done: 'each-head',
    bobbin: 'moves-hoop',
    ready: null,
    spoken: /\b(return|put|slide|place) (?:the )?hoop\b|\bhoop (?:back )?on\b/,
    start: {},
    fields: {}
  },
  'hoop-off': {
    label: 'Take the hoop off',
    mark: 'move',
    wording: () => say('Take the hoop off', 'Leave everything in the ring.'),
    caution: null,
    time: 'hoopOff',
    waits: null,
    hoop: (hoop) => ({ ...hoop, where: 'off' }),
    stack: null,
    order: 'move',
    wall: false,
    done: 'each-head',
    bobbin: 'moves-hoop',
    ready: null,
    spoken: /\b(remove|take) (?:the )?hoop\b|\bhoop off\b/,
    start: {},
    fields: {}
  },
  'turn-over': {
    label: 'Turn the hoop over',
    mark: 'turn',
    wording: (_, { hoop }) =>
      hoop.turned
        ? say('Turn the hoop back', 'Front of the hoop up again. Keep what lies underneath flat.')
        : say('Turn the hoop over', 'Left to right. The back of the work now faces you.'),
    caution: null,
    time: 'turnOver',
    waits: null,
    hoop: ({ turned }) => ({ where: 'off', turned: !turned }),
    stack: null,
    order: 'move',
    wall: false,
    done: 'each-head',
    bobbin: null,
    ready: null,
    spoken: /\b(turn (?:the )?hoop|turn .*over|back of the hoop|underside)\b/,
    start: {},
    fields: {}
  },
  'frame-forward': {
    label: 'Bring the frame forward',
    mark: 'move',
    wording: () => say('Bring the frame forward', 'The hoop stays on.'),
    caution: null,
    time: 'frameForward',
    waits: null,
    hoop: (hoop) => ({ ...hoop, where: 'forward' }),
    stack: null,
    order: 'move',
    wall: false,
    done: 'once',
    bobbin: null,
    ready: null,
    spoken: null,
    start: {},
    fields: {}
  },
  'frame-back': {
    label: 'Send the frame back',
    mark: 'move',
    wording: () => say('Send the frame back', 'To where it stitches. Nothing may lie in its way.'),
    caution: CAUTION.carriage,
    time: 'frameForward',
    waits: null,
    hoop: (hoop) => ({ ...hoop, where: 'on' }),
    stack: null,
    order: 'move',
    wall: false,
    done: 'once',
    bobbin: null,
    ready: null,
    spoken: /\b(send|move|bring) (?:the )?frame back\b/,
    start: {},
    fields: {}
  }
} satisfies TraitsOf<
  | 'press-folds'
  | 'mark-middle'
  | 'hoop'
  | 'hoop-on'
  | 'hoop-off'
  | 'turn-over'
  | 'frame-forward'
  | 'frame-back'
>;
