import { ASK, choice } from './fields';
import { CAUTION } from './cautions';
import { spent } from './time';
import { backingNames, line, name, names, say } from './words';
import type { TraitsOf } from './traits';

/** What an iron does; the hoop is off the machine for it. */
export const ironingTraits = {
  fuse: {
    label: 'Fuse',
    mark: 'heat',
    wording: (op, context) =>
      op.lineId === undefined
        ? say(`Fuse ${name(op.pieceId, context)}`, 'Press, do not slide.')
        : say(
            `Fuse ${name(op.pieceId, context)} at the ${line(op.lineId, context)}`,
            'Only there: the tip of the iron, pressed and not slid.'
          ),
    caution: CAUTION.iron,
    time: 'fuse',
    waits: null,
    hoop: 'stays',
    stack: ({ pieceId }) => ({ does: 'hold', pieceId, by: { by: 'fuse' } }),
    order: 'work',
    wall: false,
    done: 'each-copy',
    bobbin: null,
    ready: () => ['small iron, hot'],
    spoken: /\b(fuse|iron|bond)\b/,
    start: {},
    fields: { pieceId: ASK.piece, lineId: null }
  },
  'back-cloth': {
    label: 'Fuse interfacing or web on',
    mark: 'heat',
    wording: ({ pieceIds }, context) =>
      say(
        `Fuse ${backingNames(pieceIds, context)} to ${names(pieceIds, context)}`,
        'Before you start, on the wrong side. Press, do not slide; let it cool flat.'
      ),
    caution: CAUTION.iron,
    time: ({ pieceIds }) => [spent('fuse', pieceIds.length)],
    waits: null,
    hoop: 'stays',
    stack: null,
    order: 'loose',
    wall: false,
    done: 'each-copy',
    bobbin: null,
    ready: ({ pieceIds }, { piece }) => pieceIds.map(piece),
    spoken: /\binterfac/,
    start: {},
    fields: { pieceIds: ASK.pieces }
  },
  press: {
    label: 'Press',
    mark: 'heat',
    wording: ({ from }) => say('Press', from === 'back' ? 'From the back only.' : ''),
    caution: CAUTION.iron,
    time: 'fuse',
    waits: null,
    hoop: 'stays',
    stack: null,
    order: 'loose',
    wall: false,
    done: 'each-copy',
    bobbin: null,
    ready: null,
    spoken: /\b(press|iron)\b/,
    start: {},
    fields: { from: choice('Iron', { front: 'From the front', back: 'From the back only' }) }
  }
} satisfies TraitsOf<'fuse' | 'back-cloth' | 'press'>;
