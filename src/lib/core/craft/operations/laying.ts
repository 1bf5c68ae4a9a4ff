import { ASK, choice, length, number } from './fields';
import { CAUTION } from './cautions';
import { spent, holdTime } from './time';
import { backingNames, faceTitle, line, name, names, say, tapeWords, writeLay } from './words';
import { pieceReady, holdReady } from './ready';
import type { TraitsOf } from './traits';

const pinWords = (pins: number): string => `${pins} ${pins === 1 ? 'pin' : 'pins'}`;

/** Pieces laid, held, pressed and folded. */
export const layingTraits = {
  lay: {
    label: 'Lay a piece',
    mark: 'lay',
    wording: writeLay,
    caution: ({ hold }) => (hold.by === 'spray' ? CAUTION.spray : hold.by === 'pins' ? CAUTION.pins : null),
    time: ({ hold }, timing) => [spent('lay'), ...holdTime(hold, timing)],
    waits: null,
    hoop: 'stays',
    stack: (op) => ({ does: 'lay', ...op }),
    order: 'work',
    wall: false,
    done: 'each-copy',
    bobbin: null,
    ready: ({ pieceId, hold }, { piece }) => [piece(pieceId), ...holdReady(hold)],
    spoken: /\b(lay|place|put|position|cover|set)\b/,
    start: { side: 'above', face: 'up', over: 12, hold: { by: 'tape', strips: 4 } },
    fields: {
      pieceId: ASK.piece,
      side: ASK.side,
      face: ASK.face,
      covers: ASK.covers,
      over: length('Covers the line by'),
      edge: null,
      hold: ASK.hold
    }
  },
  float: {
    label: 'Float a piece',
    mark: 'lay',
    wording: (op, context) =>
      say(
        `Float ${name(op.pieceId, context)}${faceTitle(op.pieceId, op.face, context)}`,
        op.side === 'below'
          ? 'Slide it flat under the hoop; the ring does not clamp it.'
          : 'Lay it flat; the ring does not clamp it.'
      ),
    caution: null,
    time: 'lay',
    waits: null,
    hoop: 'stays',
    stack: (op) => ({ does: 'lay', ...op }),
    order: 'work',
    wall: false,
    done: 'each-copy',
    bobbin: null,
    ready: pieceReady,
    spoken: /\b(float|slide)\b/,
    start: { side: 'below' },
    fields: { pieceId: ASK.piece, side: ASK.side, face: ASK.face }
  },
  lift: {
    label: 'Lift a piece out',
    mark: 'lay',
    wording: (op, context) =>
      say(
        `Lift ${name(op.pieceId, context)} out`,
        'Ease it off the stabiliser; the stabiliser stays in the ring.'
      ),
    caution: null,
    time: 'lay',
    waits: null,
    hoop: 'stays',
    stack: ({ pieceId }) => ({ does: 'lift', pieceId }),
    order: 'work',
    wall: true,
    done: 'each-copy',
    bobbin: null,
    ready: null,
    spoken: null,
    start: {},
    fields: { pieceId: ASK.piece }
  },
  tape: {
    label: 'Tape',
    mark: 'hold',
    wording: (op, context) => say(`Tape ${name(op.pieceId, context)}`, tapeWords(op.strips)),
    caution: null,
    time: ({ strips }, timing) => holdTime({ by: 'tape', strips }, timing),
    waits: null,
    hoop: 'stays',
    stack: ({ pieceId, strips }) => ({ does: 'hold', pieceId, by: { by: 'tape', strips } }),
    order: 'work',
    wall: false,
    done: 'each-copy',
    bobbin: null,
    ready: null,
    spoken: /\btape\b/,
    start: { strips: 4 },
    fields: { pieceId: ASK.piece, strips: ASK.strips }
  },
  untape: {
    label: 'Take tape off',
    mark: 'hold',
    wording: (op) =>
      say('Take the tape off', `${op.strips} strips. Pull along the stitching, not across it.`),
    caution: null,
    time: ({ strips }) => [spent('untapeStrip', strips)],
    waits: null,
    hoop: 'stays',
    stack: () => ({ does: 'release', held: 'tape' }),
    order: 'free',
    wall: false,
    done: 'each-copy',
    bobbin: null,
    ready: null,
    spoken: /\b(untape|remove .*tape)\b/,
    start: { strips: 4 },
    fields: { strips: ASK.strips }
  },
  spray: {
    label: 'Spray',
    mark: 'hold',
    wording: (op, context) =>
      say(`Spray ${name(op.pieceId, context)}`, 'Lightly, on its wrong side, away from the machine.'),
    caution: CAUTION.spray,
    time: 'spray',
    waits: null,
    hoop: 'stays',
    stack: ({ pieceId }) => ({ does: 'hold', pieceId, by: { by: 'spray' }, early: true }),
    order: 'loose',
    wall: false,
    done: 'each-copy',
    bobbin: null,
    ready: null,
    spoken: null,
    start: {},
    fields: { pieceId: ASK.piece }
  },
  glue: {
    label: 'Glue inside a line',
    mark: 'hold',
    wording: (op, context) =>
      say(
        `Glue inside the ${line(op.lineId, context)}`,
        `For ${name(op.pieceId, context)}. Keep the glue off the stitching line.`
      ),
    caution: null,
    time: 'glue',
    waits: null,
    hoop: 'stays',
    stack: ({ pieceId }) => ({ does: 'hold', pieceId, by: { by: 'glue' }, early: true }),
    order: 'loose',
    wall: false,
    done: 'each-copy',
    bobbin: null,
    ready: null,
    spoken: null,
    start: {},
    fields: { pieceId: ASK.piece, lineId: ASK.line }
  },
  pin: {
    label: 'Pin',
    mark: 'hold',
    wording: (op, context) =>
      op.lineId === undefined
        ? say(`Pin ${name(op.pieceId, context)}`, `${pinWords(op.pins)}, outside the stitching.`)
        : say(
            `Stand ${op.pins === 1 ? 'a pin' : pinWords(op.pins)} in the ${line(op.lineId, context)}`,
            `Up through ${name(op.pieceId, context)}, so that what comes next finds its place.`
          ),
    caution: CAUTION.pins,
    time: 'pin',
    waits: null,
    hoop: 'stays',
    stack: ({ pieceId, pins, away, lineId }) => ({
      does: 'hold',
      pieceId,
      by: { by: 'pins', pins, away },
      lineId
    }),
    order: 'work',
    wall: false,
    done: 'each-copy',
    bobbin: null,
    ready: null,
    spoken: null,
    start: { pins: 4 },
    fields: {
      pieceId: ASK.piece,
      pins: number('Pins'),
      away: length('Away from the stitching'),
      lineId: ASK.line
    }
  },
  unpin: {
    label: 'Take pins out',
    mark: 'hold',
    wording: () => say('Take every pin out', 'Count them.'),
    caution: null,
    time: 'pin',
    waits: null,
    hoop: 'stays',
    stack: () => ({ does: 'release', held: 'pins' }),
    order: 'free',
    wall: false,
    done: 'each-copy',
    bobbin: null,
    ready: null,
    spoken: null,
    start: {},
    fields: {}
  },
  'align-holes': {
    label: 'Take hard parts out and align the holes',
    mark: 'look',
    wording: (op, context) =>
      say(
        `Take every hard part out of ${name(op.pieceId, context)}`,
        'Then line up the holes of all its layers.'
      ),
    caution: null,
    time: 'alignHoles',
    waits: null,
    hoop: 'stays',
    stack: null,
    order: 'free',
    wall: false,
    done: 'each-copy',
    bobbin: null,
    ready: null,
    spoken: null,
    start: {},
    fields: { pieceId: ASK.piece }
  },
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
  },
  flip: {
    label: 'Flip at a seam',
    mark: 'fold',
    wording: (op, context) =>
      say(
        `Flip ${name(op.pieceId, context)}`,
        `Take the tape off first. Fold it over at the ${line(op.lineId, context)} and finger-press along the seam.`
      ),
    caution: null,
    time: 'flip',
    waits: null,
    hoop: 'stays',
    stack: (op) => ({ does: 'flip', ...op }),
    order: 'work',
    wall: false,
    done: 'each-copy',
    bobbin: null,
    ready: null,
    spoken: /\b(flip|fold)\b/,
    start: {},
    fields: { pieceId: ASK.piece, lineId: ASK.line, covers: ASK.covers }
  }
} satisfies TraitsOf<
  | 'lay'
  | 'float'
  | 'lift'
  | 'tape'
  | 'untape'
  | 'spray'
  | 'glue'
  | 'pin'
  | 'unpin'
  | 'align-holes'
  | 'fuse'
  | 'back-cloth'
  | 'press'
  | 'flip'
>;
